using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// All figures of a list read together: which rule each follows, so that with all the others it is the likeliest.
/// </summary>
/// <remarks>
/// Scores become panels; equal panels of a chain are one length. Each length takes a rule (by how much of the change of the card's
/// width, and of its height, it changes); what each says of itself, that panels sum to a side of the card, that a length is as long as one
/// of another piece, that a paper leaves the same border both ways, are log odds that add up. The readings are followed side by side, the
/// likeliest kept at each step: scored pieces first, small panels to large, then what lies on them.
/// </remarks>
internal sealed partial class JointRules
{
    // Log odds, by trial on lists (tests/…/Own).
    private const double OtherWay = -3.2, OtherWayAlike = -1.8, EndTab = 0.05, ByDie = 5, AllWalls = 1.5, AsInAnother = 2.5, AsInAnotherSmall = 1.2, HalfOfAnother =
        2.6, HalfOfAnotherSmall = 1.5, ThirdOfAnother = 1, Inner = -0.4, OfATube = -1.6, InsideEvenly = 2, Twin = 1.5, AsWide = 1.2, SquareSides = 1.7, KeptSquare =
        2, SumsToAnother = 0.2, HairLess = 2.2, Completes = -0.5, InProportion = 1.5;
    private const double SumsToSide = 2.2, SumsToTwice = 1.9, SumsToHalf = 0.9, SumsToThird = 0.7, AsSaid = -1, Runs = 1, SumsToPlain = 1.4, BothOneWay =
        -1.9, Habit = 0.6, WidthFirst = 0.6, Spans = -0.8, UsedBefore = 1, OfEach = 1.2, AnyBorder = 1.5, RoundBorder = 2.2, Framed = 6.5, OneWayFrame =
        1.8, OneWayBorder = 0.8, AsLarge = 2, TwiceABorder = -1.2, Over = 3, HangsOver = -1.5, GoesRound = 3;

    /// <summary>What a maker has said himself outweighs all guesses.</summary>
    private const double Said = 60;

    /// <summary>And so does, but for what he says of it himself, what follows from that.</summary>
    private const double Follows = 4;

    /// <summary>So many readings times lengths times lengths are looked at: all that are asked for up to some sixty lengths, more than any card has.</summary>
    private const int Work = 600_000, Fewest = 3;

    private static readonly int[] Thirds = [1, 2];

    private const int MostSums = 2, MostOptions = 24, TubeSides = 4, EvenAtLeast = 3, BestOfASide = 8;

    /// <summary>Figures under an inch are alike by chance.</summary>
    private static readonly Length LeastAlike = Length.In(1), LeastAtAll = Length.In(3, 8), Hair = Length.Mm(1.7m), MostOver = Length.In(1, 4), MostOverlap =
        Length.In(3), LeastFrame = Length.In(1, 2), MostFrame = Length.In(5, 2);

    /// <summary>Borders of a paper on each side, with the log odds of both ways having it.</summary>
    private static readonly (Pair Border, double Weight)[] Borders =
        [(Pair.Of(1, 8, 3m), 4.8), (Pair.Of(1, 16, 1.5m), 3.8), (Pair.Of(1, 4, 6m), 4.3), (Pair.Of(3, 16, 5m), 3.6), (Pair.Of(1, 32, 1m), 3.3),
        (Pair.Of(3, 8, 10m), 3.2)];

    private static Regex CutByDie => field ??= new Regex(@"\b(?:die|dies|punch|punched|circles?|discs?|rings?|eyelets?|gift cards?|coins?|sentiments?|greetings?|labels?|stamped|stamps?|toppers?|buckles?|medallions?|buttons?|magnets?)\b", RegexOptions.IgnoreCase);

    private static Regex RoundTheCard => field ??= new Regex(@"\b(?:bands?|belts?|wraps?|wrapper|sash)\b", RegexOptions.IgnoreCase);

    /// <summary>A figure of the list, as the sum of lengths that have rules of their own.</summary>
    public sealed record Figure(OwnPiece Piece, string Name, Length Value, IReadOnlyList<(int Length, int Times)> Terms);

    /// <summary>A rule for every figure.</summary>
    /// <param name="Score">Log odds of all together.</param>
    public sealed record Reading(double Score, IReadOnlyList<(double ByWidth, double ByHeight)> Rules, IReadOnlyList<Words> Why);

    /// <summary>What is known as a length that others may go with.</summary>
    /// <param name="Always">Of the card itself, what its sides follow.</param>
    private sealed record Known(Length Value, IReadOnlyList<(int Length, int Times)> Terms, int Piece, string Name, (double W, double H)? Always = null);

    private sealed record Region(Known A, Known B, double Weight, int Alike);

    /// <summary>Panels side by side that come to what has a rule.</summary>
    private sealed record Sum(IReadOnlyList<(int Length, int Times)> Terms, double ByWidth, double ByHeight, double Weight, bool IsHeight);

    private sealed record Option(int First, FigureRule Rule, int Second, FigureRule? Other, double Weight, int Piece = -1, int Way = -1, int Named = 0, Length Border = default);

    private sealed class State
    {
        public required double[] W, H;
        public required Words?[] Why;
        public required sbyte[] Way;
        public double Score;
        public int Habit;
        public Length Border;

        public bool Has(int length) => Why[length] is not null;
    }

    private readonly RulePriors _priors;
    /// <summary>What rulers are marked in: 1/16 in, 1 mm.</summary>
    private static readonly Pair Mark = Pair.Of(1, 16, 1m);

    private readonly Length _width, _height, _near, _mark;
    private readonly List<Length> _values = [];
    private readonly List<Figure> _figures = [];
    private readonly List<Known> _known = [];

    /// <summary>The scored pieces' sides, in their order.</summary>
    private readonly List<(Length Along, Length Across)> _sheets = [];

    private readonly List<Func<State, List<Option>>> _steps = [];
    private readonly List<(IReadOnlyList<(int Length, int Times)> Terms, double W, double H, double Weight)> _said = [];
    private readonly Dictionary<Length, IReadOnlyList<FigureRule>> _rules = [];
    private readonly UnitSystem _system;
    private int _pieces;

    /// <param name="upwards">Of a square card, whether its creases lie level; sideways it is where nobody says.</param>
    public JointRules(OwnList list, Length width, Length height, bool upwards = false)
    {
        _system = list.Cards.First().Unit.SystemOf();
        (_width, _height, _priors) = (width, height, new RulePriors(width, height, _system));
        (_near, _mark) = (_priors.Near, Mark.For(_system));
        var main = list.Cards.OrderByDescending(c => c.Scores.Count > 0).ThenByDescending(c => (double)c.First.Units * c.Second.Units).First();
        var regions = new List<Region> { new(new Known(width, [], -1, "card", (1, 0)), new Known(height, [], -1, "card", (0, 1)), 0, 1) };
        foreach (var piece in list.Cards.Where(c => c.Scores.Count > 0 || c == main).OrderByDescending(c => c == main).ThenByDescending(c => c.Scores.Count))
        {
            AddScored(piece, piece == main, upwards, regions);
        }

        foreach (var plain in list.Cards.Where(c => c.Scores.Count == 0 && c != main).Concat(list.Papers).Concat(list.Pieces.Where(p => p.Kind == OwnKind.Window)))
        {
            AddPlain(plain, regions);
        }
    }

    public IReadOnlyList<Figure> Figures => _figures;

    /// <summary>So many lengths have a rule of their own.</summary>
    public int Lengths => _values.Count;

    /// <summary>What a maker says of a figure; it holds in every reading. A square that stays as it is one way stays a square, and a paper that goes with the card's other side lies turned.</summary>
    public void Say(Figure figure, double byWidth, double byHeight)
    {
        _said.Add((figure.Terms, byWidth, byHeight, Said));
        if (figure.Name is "width" or "height" && figure.Piece.First == figure.Piece.Second && ((byWidth, byHeight) is (0, 0) || (figure.Piece.Scores.Count == 0 && (byWidth, byHeight) is (0, 1) or (1, 0))))
        {
            _said.AddRange(_figures.Where(f => f.Piece == figure.Piece && f.Name != figure.Name && f.Name is "width" or "height").Select(f => (f.Terms, byHeight, byWidth, Follows)));
        }
    }

    /// <summary>The likeliest readings, the likeliest first.</summary>
    /// <param name="beam">So many are followed side by side.</param>
    public IReadOnlyList<Reading> Read(int beam)
    {
        // With very many lengths fewer readings are followed, so that no list takes long.
        beam = Math.Clamp(Work / (_values.Count * _values.Count), Fewest, beam);
        var states = new List<State> { new() { W = new double[_values.Count], H = new double[_values.Count], Why = new Words?[_values.Count], Way = new sbyte[_pieces] } };
        foreach (var step in _steps)
        {
            // Only those that are kept are written out.
            var next = new PriorityQueue<(State From, Option Option), double>();
            foreach (var state in states)
            {
                foreach (var option in step(state))
                {
                    var score = state.Score + option.Weight + SaidOf(state, option);
                    if (next.Count < beam)
                    {
                        next.Enqueue((state, option), score);
                    }
                    else if (next.TryPeek(out _, out var least) && score > least)
                    {
                        next.DequeueEnqueue((state, option), score);
                    }
                }
            }

            states = [.. next.UnorderedItems.OrderByDescending(n => n.Priority).Select(n => After(n.Element.From, n.Element.Option, n.Priority))];
        }

        return [.. states.Select(s => new Reading(s.Score, [.. _figures.Select(f => Rule(s, f.Terms))], [.. _figures.Select(f => Why(s, f))]))];
    }

    /// <summary>How likely all together are in the likeliest reading.</summary>
    public double Best(int beam) => Read(beam)[0].Score;

    private static State After(State from, Option option, double score)
    {
        var state = new State { W = [.. from.W], H = [.. from.H], Why = [.. from.Why], Way = [.. from.Way], Score = score, Habit = from.Habit + option.Named,
            Border = option.Border > Length.Zero ? option.Border : from.Border };
        if (option.First >= 0)
        {
            (state.W[option.First], state.H[option.First], state.Why[option.First]) = (option.Rule.ByWidth, option.Rule.ByHeight, option.Rule.Words);
        }

        if (option.Second >= 0)
        {
            (state.W[option.Second], state.H[option.Second], state.Why[option.Second]) = (option.Other!.ByWidth, option.Other.ByHeight, option.Other.Words);
        }

        if (option.Piece >= 0)
        {
            state.Way[option.Piece] = (sbyte)option.Way;
        }

        return state;
    }

    private double SaidOf(State state, Option option)
    {
        var weight = 0d;
        foreach (var (terms, w, h, said) in _said.Where(s => s.Terms.Any(t => t.Length == option.First || t.Length == option.Second)))
        {
            var (sumW, sumH, whole) = (0d, 0d, true);
            foreach (var (length, times) in terms)
            {
                var rule = length == option.First ? option.Rule : length == option.Second ? option.Other : null;
                whole &= rule is not null || state.Has(length);
                sumW += times * (rule?.ByWidth ?? state.W[length]);
                sumH += times * (rule?.ByHeight ?? state.H[length]);
            }

            weight += whole && Same(sumW, sumH, w, h) ? said : 0;
        }

        return weight;
    }

    private static bool Same(double w, double h, double otherW, double otherH) => Math.Abs(w - otherW) + Math.Abs(h - otherH) < 0.004;

    private static (double W, double H) Rule(State state, IReadOnlyList<(int Length, int Times)> terms) => (terms.Sum(t => t.Times * state.W[t.Length]), terms.Sum(t => t.Times * state.H[t.Length]));

    /// <summary>Why a figure is taken to follow its rule: as it is said by itself, or by the panel that it ends.</summary>
    private Words Why(State state, Figure figure)
    {
        if (figure.Terms is [(var only, 1)])
        {
            return state.Why[only]!;
        }

        var (w, h) = Rule(state, figure.Terms);
        return RulesOf(figure.Value).FirstOrDefault(r => !r.IsShare && Same(r.ByWidth, r.ByHeight, w, h))?.Words
            ?? (figure.Name.Contains("score", StringComparison.Ordinal) ? Words.Of($"the panel before it is {state.Why[figure.Terms[^1].Length]!}") : Words.Of($"all its panels together, the last of them {state.Why[figure.Terms[^1].Length]!}"));
    }

    private IReadOnlyList<FigureRule> RulesOf(Length value) => _rules.TryGetValue(value, out var rules) ? rules : _rules[value] = _priors.Of(value);

    private int Add(Length value)
    {
        _values.Add(value);
        return _values.Count - 1;
    }

    /// <summary>Lengths of other pieces that a length may go with: as long, half as long, square.</summary>
    private IEnumerable<(FigureRule Rule, double Weight)> Alike(State state, int length, int piece)
    {
        var value = _values[length];
        if (value < LeastAtAll)
        {
            yield break;
        }

        foreach (var known in _known)
        {
            if (known.Terms.Any(t => !state.Has(t.Length)) || known.Terms is [var only] && only.Length == length)
            {
                continue;
            }

            var (w, h) = Rule(state, known.Terms);
            if ((known.Value - value).Abs() <= _near)
            {
                yield return (new FigureRule(w, h, known.Piece == piece ? Words.Of($"as long as the piece is across") : Words.Of($"as long as the {known.Name}"),
                    0), value >= LeastAlike ? known.Piece == piece ? AsWide : AsInAnother + (IsTwin(piece, known) ? Twin : 0) : AsInAnotherSmall);
            }
            else if (known.Piece != piece && value >= LeastAlike && known.Value > value && known.Value <= value + Hair)
            {
                yield return (new FigureRule(w, h, Words.Of($"a hair less than the {known.Name}"), 0), HairLess);
            }
            else if (known.Piece != piece && (known.Value - (2 * value)).Abs() <= _near)
            {
                yield return (new FigureRule(w / 2, h / 2, Words.Of($"half as long as the {known.Name}"), 0), value >= LeastAlike ? HalfOfAnother : HalfOfAnotherSmall);
            }
            else if (known.Piece != piece && (known.Value - (3 * value)).Abs() <= _near)
            {
                yield return (new FigureRule(w / 3, h / 3, Words.Of($"a third of the {known.Name}"), 0), ThirdOfAnother);
            }
        }
    }

    /// <summary>Whether a side is one of another sheet that is cut alike.</summary>
    private bool IsTwin(int piece, Known known)
    {
        if (known.Piece < 0 || known.Piece >= _sheets.Count || piece >= _sheets.Count || known.Piece == piece)
        {
            return false;
        }

        var ((a, b), (c, d)) = (_sheets[piece], _sheets[known.Piece]);
        bool Is(Length x, Length y) => (x - y).Abs() <= _near;
        return ((Is(a, c) && Is(b, d)) || (Is(a, d) && Is(b, c))) && (Is(known.Value, c) || Is(known.Value, d));
    }

    private static double Leaning(FigureRule rule, bool isWidth, double otherWay) => (isWidth ? rule.ByHeight : rule.ByWidth) != 0 ? otherWay : 0;

    private static double HabitOf(State state, int named) => Habit * Math.Sign(state.Habit) * named;

    /// <summary>Rules that a length may follow; of one that several things speak for the odds add up.</summary>
    private sealed class Choices
    {
        private readonly Dictionary<(double, double), (FigureRule Rule, double Weight, double Best)> _all = [];

        public void Add(FigureRule rule, double weight)
        {
            var key = (Math.Round(rule.ByWidth, 3), Math.Round(rule.ByHeight, 3));
            _all[key] = _all.TryGetValue(key, out var there)
                ? (weight > there.Best ? rule : there.Rule, Math.Log(Math.Exp(there.Weight) + Math.Exp(weight)), Math.Max(weight, there.Best))
                : (rule, weight, weight);
        }

        public IEnumerable<(FigureRule Rule, double Weight)> Best(int most) => _all.Values.OrderByDescending(a => a.Weight).Take(most).Select(a => (a.Rule, a.Weight));
    }
}

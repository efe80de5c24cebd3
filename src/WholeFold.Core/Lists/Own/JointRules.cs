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
    private const double OtherWay = -3, OtherWayAlike = -1.4, EndTab = 0.2, ByDie = 3, AllWalls = 1.5, AsInAnother = 2.5, AsInAnotherSmall = 0.9, HalfOfAnother = 2.6, AsWide = 1.2, SquareSides = 1.7, KeptSquare = 2, SumsToAnother = 0.2, HairLess = 2.2, Completes = 0, InProportion = 1.5;
    private const double SumsToSide = 1.9, SumsToTwice = 1.9, SumsToHalf = 0.9, SumsToPlain = 1.4, BothOneWay = -1.9, Habit = 0.6, Spans = -0.8, UsedBefore = 1, OfEach = 1.2, AnyBorder = 1, Framed = 2, OneWayBorder = 0.8, AsLarge = 2, TwiceABorder = -1.2;

    /// <summary>What a maker has said himself outweighs all guesses.</summary>
    private const double Said = 60;

    private const int MostSums = 2, MostOptions = 24, BestOfASide = 8;

    /// <summary>Figures under an inch are alike by chance.</summary>
    private static readonly Length LeastAlike = Length.In(1), LeastAtAll = Length.In(3, 8), Hair = Length.Mm(1.7m);

    /// <summary>Borders of a paper on each side, with the log odds of both ways having it.</summary>
    private static readonly (Pair Border, double Weight)[] Borders = [(Pair.Of(1, 8, 3m), 4.8), (Pair.Of(1, 16, 1.5m), 3.8), (Pair.Of(1, 4, 6m), 4.3), (Pair.Of(3, 16, 5m), 3.6), (Pair.Of(1, 32, 1m), 3.3), (Pair.Of(3, 8, 10m), 3.2)];

    [GeneratedRegex(@"\b(?:die|dies|punch|punched|circles?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex CutByDie();

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
    private readonly Length _width, _height, _near;
    private readonly List<Length> _values = [];
    private readonly List<Figure> _figures = [];
    private readonly List<Known> _known = [];
    private readonly List<Func<State, List<Option>>> _steps = [];
    private readonly List<(IReadOnlyList<(int Length, int Times)> Terms, double W, double H)> _said = [];
    private readonly Dictionary<Length, IReadOnlyList<FigureRule>> _rules = [];
    private readonly UnitSystem _system;
    private int _pieces;

    /// <param name="upwards">Of a square card, whether its creases lie level; sideways it is where nobody says.</param>
    public JointRules(OwnList list, Length width, Length height, bool upwards = false)
    {
        _system = list.Cards.First().Unit.SystemOf();
        (_width, _height, _priors) = (width, height, new RulePriors(width, height, _system));
        _near = _priors.Near;
        var main = list.Cards.OrderByDescending(c => c.Scores.Count > 0).ThenByDescending(c => (double)c.First.Units * c.Second.Units).First();
        var regions = new List<Region>();
        foreach (var piece in list.Cards.Where(c => c.Scores.Count > 0 || c == main).OrderByDescending(c => c == main).ThenByDescending(c => c.Scores.Count))
        {
            AddScored(piece, piece == main, upwards, regions);
        }

        var (w, h) = (new Known(width, [], -1, "card", (1, 0)), new Known(height, [], -1, "card", (0, 1)));
        regions.Add(new Region(w, h, 0, 1));
        foreach (var plain in list.Cards.Where(c => c.Scores.Count == 0 && c != main).Concat(list.Papers).Concat(list.Pieces.Where(p => p.Kind == OwnKind.Window)))
        {
            AddPlain(plain, regions);
        }
    }

    public IReadOnlyList<Figure> Figures => _figures;

    /// <summary>So many lengths have a rule of their own.</summary>
    public int Lengths => _values.Count;

    /// <summary>What a maker says of a figure; it holds in every reading.</summary>
    public void Say(Figure figure, double byWidth, double byHeight) => _said.Add((figure.Terms, byWidth, byHeight));

    /// <summary>The likeliest readings, the likeliest first.</summary>
    /// <param name="beam">So many are followed side by side.</param>
    public IReadOnlyList<Reading> Read(int beam)
    {
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
        var state = new State { W = [.. from.W], H = [.. from.H], Why = [.. from.Why], Way = [.. from.Way], Score = score, Habit = from.Habit + option.Named, Border = option.Border > Length.Zero ? option.Border : from.Border };
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
        foreach (var (terms, w, h) in _said.Where(s => s.Terms.Any(t => t.Length == option.First || t.Length == option.Second)))
        {
            var (sumW, sumH, whole) = (0d, 0d, true);
            foreach (var (length, times) in terms)
            {
                var rule = length == option.First ? option.Rule : length == option.Second ? option.Other : null;
                whole &= rule is not null || state.Has(length);
                sumW += times * (rule?.ByWidth ?? state.W[length]);
                sumH += times * (rule?.ByHeight ?? state.H[length]);
            }

            weight += whole && Same(sumW, sumH, w, h) ? Said : 0;
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
            ?? (figure.Name.Contains("score", StringComparison.Ordinal) ? Words.Of($"the panel before it is {state.Why[figure.Terms[^1].Length]!}") : Words.Of($"what its panels come to, the last one {state.Why[figure.Terms[^1].Length]!}"));
    }

    private IReadOnlyList<FigureRule> RulesOf(Length value) => _rules.TryGetValue(value, out var rules) ? rules : _rules[value] = _priors.Of(value);

    private int Add(Length value)
    {
        _values.Add(value);
        return _values.Count - 1;
    }

    private void AddScored(OwnPiece piece, bool isMain, bool upwards, List<Region> regions)
    {
        var index = _pieces++;
        var panels = Classes(piece.Panels);
        var crossed = piece.Cross.Count > 0 && piece.Cross[^1] < piece.Across;
        var across = Classes(crossed ? (piece with { Scores = piece.Cross, AlongFirst = !piece.AlongFirst }).Panels : [piece.Across]);
        var (alongTerms, acrossTerms) = (Total(panels), Total(across));
        _figures.Add(new Figure(piece, piece.AlongFirst ? "height" : "width", piece.Across, acrossTerms));
        _figures.Add(new Figure(piece, piece.AlongFirst ? "width" : "height", piece.Along, alongTerms));
        for (var i = 0; i < piece.Scores.Count; i++)
        {
            _figures.Add(new Figure(piece, $"score {i + 1}", piece.Scores[i], Total([.. panels.Take(i + 1)])));
        }

        for (var i = 0; crossed && i < piece.Cross.Count; i++)
        {
            _figures.Add(new Figure(piece, $"score {piece.Scores.Count + i + 1}", piece.Cross[i], Total([.. across.Take(i + 1)])));
        }

        // Which side its creases run along comes first, then how far it is across, then its panels, small to large. Of a square card that is
        // as good as the other.
        var ways = isMain && (_width - _height).Abs() <= _near ? [upwards ? 1 : 0] : Enumerable.Range(0, 2).ToArray();
        var named = piece.AlongFirst ? 1 : -1;
        _steps.Add(state => [.. ways.Select(way => new Option(-1, RulePriors.Fixed(piece.Along), -1, null, HabitOf(state, way == 0 ? named : -named), index, way, way == 0 ? named : -named))]);
        var walls = crossed && panels.Count > 2 && across.Count > 2 && panels[0] == panels[^1] && across[0] == across[^1] && (_values[panels[0]] - _values[across[0]]).Abs() <= _near;
        AddChain(piece, index, across, crossed, isAcross: true, walls);
        AddChain(piece, index, panels, panels.Count > 1, isAcross: false, walls);

        // What others may be as long as, and what papers may lie on.
        var acrossKnown = new Known(piece.Across, acrossTerms, index, piece.Name);
        var alongKnown = new Known(piece.Along, alongTerms, index, piece.Name);
        _known.AddRange(panels.Count > 1 ? [acrossKnown, alongKnown] : [acrossKnown]);
        regions.Add(new Region(alongKnown, acrossKnown, panels.Count > 1 ? Spans : 0, piece.Quantity));
        foreach (var panel in panels.Distinct())
        {
            var known = new Known(_values[panel], [(panel, 1)], index, panels.Count > 1 ? $"{piece.Name}’s panel" : piece.Name);
            _known.Add(known);
            if (panels.Count > 1)
            {
                regions.Add(new Region(known, acrossKnown, 0, panels.Count(p => p == panel) * piece.Quantity));
            }
        }

        for (var from = 0; from < panels.Count; from++)
        {
            for (var to = from + 1; to < panels.Count && to - from < panels.Count - 1; to++)
            {
                List<int> run = [.. panels.Skip(from).Take(to - from + 1)];
                var sum = new Known(run.Aggregate(Length.Zero, (s, p) => s + _values[p]), Total(run), index, piece.Name);
                regions.Add(new Region(sum, acrossKnown, Spans, piece.Quantity));
            }
        }
    }

    /// <summary>A length for each panel; those that are as long are one.</summary>
    private List<int> Classes(IReadOnlyList<Length> panels)
    {
        var classes = new List<int>();
        foreach (var panel in panels)
        {
            var same = classes.FirstOrDefault(c => (_values[c] - panel).Abs() <= _near, -1);
            classes.Add(same >= 0 ? same : Add(panel));
        }

        return classes;
    }

    private static IReadOnlyList<(int Length, int Times)> Total(IReadOnlyList<int> panels) => [.. panels.GroupBy(p => p).Select(g => (g.Key, g.Count())).OrderBy(t => t.Key == panels[^1])];

    private void AddChain(OwnPiece piece, int index, List<int> panels, bool isChain, bool isAcross, bool walls)
    {
        var sums = isChain ? SumsOf(panels) : [];
        var (whole, total) = (panels.Aggregate(Length.Zero, (s, p) => s + _values[p]), Total(panels));
        var order = panels.Distinct().OrderBy(p => _values[p]).ToList();
        foreach (var (length, n) in order.Select((l, n) => (l, n)))
        {
            var isEnd = isChain && panels.Select((p, i) => (p, i)).Where(p => p.p == length).All(p => p.i == 0 || p.i == panels.Count - 1) && _values[length] <= LeastAlike;
            var isWall = walls && (length == panels[0] || length == panels[^1]);
            var byDie = CutByDie().IsMatch(piece.Name);
            _steps.Add(state =>
            {
                // Along its creases a piece goes with the side of the card that they run along.
                var isWidth = (state.Way[index] == 0) != isAcross;
                var options = new Choices();
                foreach (var rule in RulesOf(_values[length]))
                {
                    var isFixed = rule.ByWidth == 0 && rule.ByHeight == 0;
                    options.Add(rule, rule.Weight + Leaning(rule, isWidth, OtherWay) + (!isFixed ? 0 : (isEnd ? EndTab : 0) + (isWall ? AllWalls : 0) + (byDie ? ByDie : 0)));
                }

                foreach (var (rule, weight) in Alike(state, length, index))
                {
                    options.Add(rule, weight + Leaning(rule, isWidth, OtherWayAlike));
                }

                List<Sum> both = isChain ? [.. sums, .. AsLong(state, whole, total, index, isWidth)] : sums;
                foreach (var sum in both.Where(s => s.IsHeight != isWidth && s.Terms.Any(t => t.Length == length)))
                {
                    if (Rest(state, sum, length) is { } rest)
                    {
                        options.Add(rest, rest.Weight);
                    }
                }

                // With its last panel known a chain is weighed as a whole.
                var isLast = n == order.Count - 1;
                return [.. options.Best(MostOptions).Select(o => new Option(length, o.Rule, -1, null, o.Weight + (isLast && isChain ? SumWeight(state, both, length, o.Rule, isWidth) : 0)))];
            });
        }
    }

    /// <summary>Panels side by side that come to the card's side, twice or half of it, or to what their piece is long where that has a rule of its own.</summary>
    private List<Sum> SumsOf(List<int> panels)
    {
        var sums = new List<Sum>();
        foreach (var isWidth in new[] { true, false })
        {
            var side = isWidth ? _width : _height;
            for (var from = 0; from < panels.Count; from++)
            {
                for (var to = from + 1; to < panels.Count; to++)
                {
                    List<int> run = [.. panels.Skip(from).Take(to - from + 1)];
                    var (value, isWhole) = (run.Aggregate(Length.Zero, (s, p) => s + _values[p]), from == 0 && to == panels.Count - 1);
                    void Add(double part, double weight) => sums.Add(new Sum(Total(run), isWidth ? part : 0, isWidth ? 0 : part, weight, !isWidth));
                    if ((value - side).Abs() <= _near)
                    {
                        Add(1, SumsToSide);
                    }
                    else if ((value - (2 * side)).Abs() <= _near)
                    {
                        Add(2, isWhole ? SumsToTwice : SumsToHalf);
                    }
                    else if ((2 * value - side).Abs() <= _near)
                    {
                        Add(0.5, SumsToHalf);
                    }
                    else if (isWhole)
                    {
                        sums.AddRange(RulesOf(value).Where(r => !r.IsShare && r.Weight > 0 && (isWidth ? r.ByWidth : r.ByHeight) > 0).Select(r => new Sum(Total(run), r.ByWidth, r.ByHeight, r.Weight * SumsToPlain, !isWidth)));
                    }
                }
            }
        }

        // The same panels in another place say nothing new.
        return [.. sums.GroupBy(s => (s.IsHeight, string.Join(',', s.Terms.OrderBy(t => t.Length)), s.ByWidth, s.ByHeight)).Select(g => g.MaxBy(s => s.Weight)!)];
    }

    /// <summary>Whole chains that are as long as something in another piece, or go into it with a hair to spare.</summary>
    private IEnumerable<Sum> AsLong(State state, Length whole, IReadOnlyList<(int Length, int Times)> total, int piece, bool isWidth)
    {
        foreach (var known in _known.Where(k => k.Piece != piece && k.Value >= LeastAlike && k.Value >= whole - _near && k.Value <= whole + Hair && k.Terms.All(t => state.Has(t.Length))))
        {
            var (w, h) = Rule(state, known.Terms);
            yield return new Sum(total, w, h, SumsToAnother, !isWidth);
        }
    }

    private static double SumWeight(State state, List<Sum> sums, int length, FigureRule rule, bool isWidth)
    {
        var holding = new List<double>();
        foreach (var sum in sums.Where(s => s.IsHeight != isWidth))
        {
            var (w, h) = (0d, 0d);
            foreach (var (term, times) in sum.Terms)
            {
                w += times * (term == length ? rule.ByWidth : state.W[term]);
                h += times * (term == length ? rule.ByHeight : state.H[term]);
            }

            if (Same(w, h, sum.ByWidth, sum.ByHeight))
            {
                holding.Add(sum.Weight);
            }
        }

        return holding.OrderDescending().Take(MostSums).Sum();
    }

    /// <summary>What a sum leaves for a panel, by itself or in proportion with the others that are not yet known.</summary>
    private FigureRule? Rest(State state, Sum sum, int length)
    {
        var (w, h, open, own, settled) = (sum.ByWidth, sum.ByHeight, 0d, 0, false);
        foreach (var (term, times) in sum.Terms)
        {
            if (term == length)
            {
                own = times;
                open += times * (double)_values[term].Units;
            }
            else if (state.Has(term))
            {
                (w, h, settled) = (w - (times * state.W[term]), h - (times * state.H[term]), true);
            }
            else
            {
                open += times * (double)_values[term].Units;
            }
        }

        if (!settled)
        {
            return null;
        }

        var alone = Math.Abs(open - (own * (double)_values[length].Units)) < 1;
        var share = _values[length].Units / open;
        return new FigureRule(w * share, h * share, Words.Of($"{(!alone ? "its share of what the others leave" : own == 1 ? "what the other panels leave" : "what the others leave, in equal parts")}"), alone ? Completes : InProportion - 1);
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
                yield return (new FigureRule(w, h, known.Piece == piece ? Words.Of($"as long as the piece is across") : Words.Of($"as long as the {known.Name}"), 0), value >= LeastAlike ? known.Piece == piece ? AsWide : AsInAnother : AsInAnotherSmall);
            }
            else if (known.Piece != piece && value >= LeastAlike && known.Value > value && known.Value <= value + Hair)
            {
                yield return (new FigureRule(w, h, Words.Of($"a hair less than the {known.Name}"), 0), HairLess);
            }
            else if (known.Piece != piece && (known.Value - (2 * value)).Abs() <= _near)
            {
                yield return (new FigureRule(w / 2, h / 2, Words.Of($"half as long as the {known.Name}"), 0), HalfOfAnother);
            }
        }
    }

    private static double Leaning(FigureRule rule, bool isWidth, double otherWay) => (isWidth ? rule.ByHeight : rule.ByWidth) != 0 ? otherWay : 0;

    private static double HabitOf(State state, int named) => Habit * Math.Sign(state.Habit) * named;

    private void AddPlain(OwnPiece piece, List<Region> regions)
    {
        var index = _pieces++;
        var square = (piece.First - piece.Second).Abs() <= _near;
        var (first, second) = (Add(piece.First), Add(piece.Second));
        _figures.Add(new Figure(piece, "width", piece.First, [(first, 1)]));
        _figures.Add(new Figure(piece, "height", piece.Second, [(second, 1)]));
        var (byDie, oblong) = (CutByDie().IsMatch(piece.Name), (_width - _height).Abs() > _near);
        var lies = regions.SelectMany(r => new[] { (r.A, r.B, r.Weight, r.Alike), (A: r.B, B: r.A, r.Weight, r.Alike) }).SelectMany(r => BorderOf(piece, r.A, r.B) is { } b ? [(r.A, r.B, b.Border, Weight: b.Weight + r.Weight + (piece.Quantity > 1 && r.Alike % piece.Quantity == 0 ? OfEach : 0))] : Array.Empty<(Known A, Known B, Length Border, double Weight)>()).ToList();
        _steps.Add(state =>
        {
            var options = new List<Option>();
            var (a, b) = (Side(state, first), square ? null : Side(state, second));
            if (b is null)
            {
                options.AddRange(a.Select(s => new Option(first, s.Rule, second, s.Rule, s.Weight + SquareSides + (oblong ? KeptSquare : 0))));
                b = a;
            }

            foreach (var one in a)
            {
                foreach (var other in b)
                {
                    var (way, otherWay) = (WayOf(one.Rule), WayOf(other.Rule));
                    var named = way > 0 || (way == 0 && otherWay < 0) ? 1 : way < 0 || otherWay > 0 ? -1 : 0;
                    options.Add(new Option(first, one.Rule, second, other.Rule, one.Weight + other.Weight + (way != 0 && way == otherWay ? BothOneWay : HabitOf(state, named)), Named: way != 0 && way == otherWay ? 0 : named));
                }
            }

            foreach (var (on, beside, border, weight) in lies)
            {
                var (x, y) = (on.Always ?? Rule(state, on.Terms), beside.Always ?? Rule(state, beside.Terms));
                var said = Words.Of($"the {on.Name} less {border} on each side");
                options.Add(new Option(first, new FigureRule(x.W, x.H, said, 0), second, new FigureRule(y.W, y.H, said, 0), weight + (border == state.Border ? UsedBefore : 0), Border: border));
            }

            return [.. options.GroupBy(o => (Math.Round(o.Rule.ByWidth, 3), Math.Round(o.Rule.ByHeight, 3), Math.Round(o.Other!.ByWidth, 3), Math.Round(o.Other.ByHeight, 3))).Select(g => g.MaxBy(o => o.Weight)!).OrderByDescending(o => o.Weight).Take(MostOptions)];
        });

        var (knownA, knownB) = (new Known(piece.First, [(first, 1)], index, piece.Name), new Known(piece.Second, [(second, 1)], index, piece.Name));
        if (piece.Kind == OwnKind.Piece || piece.Kind == OwnKind.Paper)
        {
            _known.AddRange([knownA, knownB]);
            regions.Add(new Region(knownA, knownB, 0, piece.Quantity));
        }

        List<(FigureRule Rule, double Weight)> Side(State state, int length)
        {
            var options = new Choices();
            foreach (var rule in RulesOf(_values[length]))
            {
                options.Add(rule, rule.Weight + (byDie && rule.ByWidth == 0 && rule.ByHeight == 0 ? ByDie : 0));
            }

            foreach (var (rule, weight) in Alike(state, length, index))
            {
                options.Add(rule, weight);
            }

            // A strip keeps its border on one side only.
            foreach (var known in _known.Where(k => k.Value >= LeastAlike && k.Terms.All(t => state.Has(t.Length)) && Borders.Take(3).Any(b => (k.Value - (2 * b.Border.For(_system)) - _values[length]).Abs() <= new Length(_near.Units / 2))))
            {
                var (w, h) = Rule(state, known.Terms);
                options.Add(new FigureRule(w, h, Words.Of($"the {known.Name} less a border"), 0), OneWayBorder);
            }

            return [.. options.Best(BestOfASide)];
        }    }

    private static int WayOf(FigureRule rule) => rule.ByWidth == 0 && rule.ByHeight == 0 ? 0 : Math.Abs(rule.ByWidth) >= Math.Abs(rule.ByHeight) ? 1 : -1;

    /// <summary>The border that a piece leaves on a place, where it is the same both ways.</summary>
    private (Length Border, double Weight)? BorderOf(OwnPiece piece, Known a, Known b)
    {
        var (x, y) = (a.Value - piece.First, b.Value - piece.Second);
        if (x < new Length(-_near.Units) || (x - y).Abs() > _near)
        {
            return null;
        }

        var border = new Length((x.Units + y.Units) / 4);
        var usual = Borders.SelectMany(u => new[] { (By: u.Border.For(_system), u.Weight), (By: 2 * u.Border.For(_system), Weight: u.Weight + TwiceABorder) }).Where(u => (u.By - border).Abs() <= new Length(_near.Units / 2)).ToList();
        return piece.Kind == OwnKind.Window ? (border, Framed) : usual.Count > 0 ? (usual[0].By, usual.Max(u => u.Weight)) : border <= Length.In(1) ? (border, border < new Length(_near.Units) ? AsLarge : AnyBorder) : null;
    }

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

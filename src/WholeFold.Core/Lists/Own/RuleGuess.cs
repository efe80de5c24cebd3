using System.Globalization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>How a figure may change with the card: by how much of the change of its width, and of its height.</summary>
/// <param name="Words">The rule as one says it.</param>
/// <param name="Weight">Log odds for it, before the others are known.</param>
/// <param name="IsShare">Whether it is only in proportion, and nothing that people think in.</param>
public sealed record FigureRule(double ByWidth, double ByHeight, Words Words, double Weight, bool IsShare = false)
{
    /// <summary>Whether another changes a figure by as much.</summary>
    public bool Same(FigureRule other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return Math.Abs(ByWidth - other.ByWidth) + Math.Abs(ByHeight - other.ByHeight) < 0.004;
    }

    /// <summary>What the figure becomes in another size.</summary>
    public Length In(Length value, Length changeOfWidth, Length changeOfHeight) => new((long)Math.Round(value.Units + (ByWidth * changeOfWidth.Units) + (ByHeight * changeOfHeight.Units)));
}

/// <summary>A figure of a list with the rule that it is taken to follow.</summary>
/// <param name="Figure">Which figure of its line: width, height, or score 1 and so on.</param>
/// <param name="Sure">How sure that is, from 0 to 1.</param>
/// <param name="Next">The next best rules, each with how sure it is.</param>
public sealed record GuessedFigure(OwnPiece Piece, string Figure, Length Value, FigureRule Rule, double Sure, IReadOnlyList<(FigureRule Rule, double Sure)> Next);

/// <summary>A question that would settle a figure, in the trade's words.</summary>
public sealed record OwnQuestion(int Line, string Figure, Words Ask);

/// <summary>
/// The rules of a list that no construction explains: for each figure the likeliest, the finished size chosen so that all
/// together are likeliest, what sums along a chain kept.
/// </summary>
/// <param name="Width">What the finished card is taken to be.</param>
/// <param name="Upwards">Of a square card, whether it opens upwards; null of any other, whose sides tell.</param>
public sealed record RuleGuess(Length Width, Length Height, bool? Upwards, IReadOnlyList<GuessedFigure> Figures, IReadOnlyList<OwnQuestion> Questions)
{
    /// <summary>What else the finished card may well be, where nobody said, the likeliest first.</summary>
    public IReadOnlyList<(Length Width, Length Height)> OtherSizes { get; private init; } = [];

    /// <summary>What a maker corrects who says that a square card opens the other way.</summary>
    public const string Opens = "opens";

    private const string Size = "size";

    /// <summary>What a maker says whose card is of that size: a correction that holds whatever else could be.</summary>
    public static KeyValuePair<string, int> Sized((Length Width, Length Height) size) => new(string.Create(CultureInfo.InvariantCulture, $"{Size} {size.Width.Units} {size.Height.Units}"), 1);

    private static (Length Width, Length Height)? SizeOf(string key) =>
        key.Split(' ') is [Size, var w, var h] && long.TryParse(w, CultureInfo.InvariantCulture, out var width)
            && long.TryParse(h, CultureInfo.InvariantCulture, out var height) && Format.Takes(new Length(width)) && Format.Takes(new Length(height))
            ? (new Length(width), new Length(height)) : null;

    /// <summary>A size is asked about that is no less likely by more, in log odds.</summary>
    private const double SizeInDoubt = 3.5;

    private const int MostSizesAsked = 2;

    /// <summary>Nobody would be asked which of two sizes it is that are nearer than this.</summary>
    private static readonly Length SameSize = Length.Mm(5);

    /// <summary>Above this a figure is not asked about.</summary>
    private const double SureEnough = 0.8;

    /// <summary>A question is worth asking that settles so many figures, one half sure being half a figure.</summary>
    private const double WorthAsking = 0.25;

    /// <summary>What the rules of the figures say about the finished size, beside what folding says.</summary>
    private const double FigureWeight = 0.5;

    /// <summary>What is no longer may be of a fixed size: a die, a card that goes in.</summary>
    private static readonly Length MayStay = Length.In(9, 2);

    private const int MostSizes = 14, MostQuestions = 3, Glance = 24, Look = 160, Others = 2;

    /// <summary>By trial: with this the odds of the readings are those of being right.</summary>
    private const double Heat = 0.9;

    private OwnList List { get; init; } = new([], [], []);

    /// <summary>A figure's name for whoever corrects its rule.</summary>
    public static string KeyOf(GuessedFigure figure)
    {
        ArgumentNullException.ThrowIfNull(figure);
        return KeyOf(figure.Piece, figure.Figure);
    }

    private static string KeyOf(OwnPiece piece, string figure) => $"{piece.Line}.{piece.Name}.{figure}";

    /// <summary>The same where its maker says of some figures which of the next best rules they follow: the others are read anew, so that all go together.</summary>
    /// <param name="corrections">
    /// By <see cref="KeyOf(GuessedFigure)"/>, which of the next best it is, counted from 1, in the order in which they were made: each of those that were shown then.
    /// <see cref="Opens"/> turns a square card, <see cref="Sized"/> takes another size. What there is no figure or no such rule for is left alone.
    /// </param>
    public RuleGuess Corrected(IEnumerable<KeyValuePair<string, int>> corrections)
    {
        ArgumentNullException.ThrowIfNull(corrections);
        var (now, said) = (this, new List<(string Key, FigureRule Rule, FigureRule Was)>());
        foreach (var (key, which) in corrections)
        {
            if (SizeOf(key) is { } size)
            {
                // The rules of another size are others: they begin anew.
                said.Clear();
                now = Guess(List, size.Width, size.Height, size.Width == size.Height ? false : null, new JointRules(List, size.Width, size.Height))
                    .OrOf([.. now.OtherSizes.Prepend((now.Width, now.Height)).Where(o => o != size)], isSaid: true);
            }
            else if (key == Opens && now.Upwards is { } upwards)
            {
                // What was said of the width goes with the height now.
                static FigureRule Turned(FigureRule rule) => rule with { ByWidth = rule.ByHeight, ByHeight = rule.ByWidth };
                said = [.. said.Select(s => (s.Key, Turned(s.Rule), Turned(s.Was)))];
                now = Again(!upwards, said);
            }
            else if (now.Figures.FirstOrDefault(f => KeyOf(f) == key) is { } figure && which >= 1 && which <= figure.Next.Count)
            {
                said.RemoveAll(s => s.Key == key);
                said.Add((key, figure.Next[which - 1].Rule, figure.Rule));
                now = Again(now.Upwards, said);
            }
        }

        return now;
    }

    /// <summary>With what else its card may be, and that asked first.</summary>
    private RuleGuess OrOf(IReadOnlyList<(Length Width, Length Height)> sizes, bool isSaid = false) => this with
    {
        OtherSizes = sizes,
        Questions = isSaid || sizes.Count == 0 ? Questions : [new OwnQuestion(Figures[0].Piece.Line, Size, Words.Of($"Is the finished card {Width} × {Height}, or {sizes.Select(s => Words.Of($"{s.Width} × {s.Height}")).Aggregate((a, b) => Words.Of($"{a}, or {b}"))}? {Width} × {Height} is taken.")), .. Questions.Take(MostQuestions)],
    };

    private RuleGuess Again(bool? upwards, List<(string Key, FigureRule Rule, FigureRule Was)> said)
    {
        var rules = new JointRules(List, Width, Height, upwards ?? false);
        foreach (var figure in rules.Figures)
        {
            foreach (var (_, rule, _) in said.Where(s => s.Key == KeyOf(figure.Piece, figure.Name)))
            {
                rules.Say(figure, rule.ByWidth, rule.ByHeight);
            }
        }

        var guess = Guess(List, Width, Height, upwards, rules).OrOf(OtherSizes, isSaid: Questions.All(q => q.Figure != Size));
        return guess with
        {
            Figures = [.. guess.Figures.Select(f => said.Where(s => s.Key == KeyOf(f))
                .Select(s => f with { Rule = Apart(f.Rule.Same(s.Rule) ? f.Rule : s.Rule, s.Was, f.Piece.Unit), Sure = 1,
                Next = [(s.Was, 0), .. f.Next.Where(n => !n.Rule.Same(s.Was)).Take(Others - 1)] }).FirstOrDefault(f))],
            Questions = [.. guess.Questions.Where(q => !said.Any(s => s.Key.StartsWith($"{q.Line}.", StringComparison.Ordinal) && s.Key.EndsWith($".{q.Figure}", StringComparison.Ordinal)))],
        };
    }

    /// <summary>The likeliest rules of a list; null of one that has no piece.</summary>
    public static RuleGuess? Of(OwnList list, IReadOnlyList<Format> formats)
    {
        ArgumentNullException.ThrowIfNull(list);
        ArgumentNullException.ThrowIfNull(formats);
        if (!list.Cards.Any())
        {
            return null;
        }

        var system = list.Cards.First().Unit.SystemOf();
        var sizes = FinishedSize.Candidates(list, formats, system).Take(MostSizes).Select(s => (s.Likely, s.Width, s.Height, Rules: new JointRules(list, s.Width, s.Height))).ToList();
        var ranked = (sizes.Count == 1 ? [(Size: sizes[0], Likely: 0)] : sizes.AsParallel().AsOrdered()
            .Select(s => (Size: s, Likely: s.Likely + (FigureWeight * s.Rules.Best(Glance)))).AsEnumerable()).OrderByDescending(s => s.Likely).ToList();
        var (_, width, height, rules) = ranked[0].Size;
        return Guess(list, width, height, width == height ? false : null, rules)
            .OrOf(Apart([.. ranked.TakeWhile(r => ranked[0].Likely - r.Likely <= SizeInDoubt).Select(r => (r.Size.Width, r.Size.Height))]));
    }

    /// <summary>Of sizes in their order those behind the first that one would call another, either way about.</summary>
    private static IReadOnlyList<(Length Width, Length Height)> Apart(IReadOnlyList<(Length Width, Length Height)> sizes)
    {
        static bool IsAbout((Length Width, Length Height) a, (Length Width, Length Height) b) => (a.Width - b.Width).Abs() < SameSize && (a.Height - b.Height).Abs() < SameSize;
        return [.. sizes.Aggregate(new List<(Length Width, Length Height)>(), (kept, s) => kept.Any(k => IsAbout(k, s) || IsAbout((k.Height, k.Width), s)) ? kept
            : [.. kept, s]).Skip(1).Take(MostSizesAsked)];
    }

    /// <summary>The likeliest rules of a list whose finished size is known.</summary>
    /// <param name="upwards">Of a square card, whether it opens upwards.</param>
    internal static RuleGuess At(OwnList list, Length width, Length height, bool upwards) =>
        Guess(list, width, height, width == height ? upwards : null, new JointRules(list, width, height, upwards));

    private static bool IsFixed(FigureRule rule) => rule.ByWidth == 0 && rule.ByHeight == 0;

    private static (double, double) Rounded((double ByWidth, double ByHeight) rule) => (Math.Round(rule.ByWidth, 3), Math.Round(rule.ByHeight, 3));

    /// <summary>Readings by what they make of one figure, the likeliest first.</summary>
    /// <remarks>Steps with names of their own: a compiler tries every overload of sums within sums, which took it six seconds.</remarks>
    private static List<List<(JointRules.Reading Reading, double Odds)>> Votes(List<(JointRules.Reading Reading, double Odds)> readings, int figure) =>
        [.. readings.GroupBy(r => Rounded(r.Reading.Rules[figure])).OrderByDescending(g => g.Sum(OddsOf)).Select(g => g.ToList())];

    private static double OddsOf((JointRules.Reading Reading, double Odds) likely) => likely.Odds;

    private static RuleGuess Guess(OwnList list, Length width, Length height, bool? upwards, JointRules rules)
    {
        var readings = rules.Read(Look);
        var odds = readings.Select(r => Math.Exp(Heat * (r.Score - readings[0].Score))).ToList();
        var all = odds.Sum();
        List<(JointRules.Reading Reading, double Odds)> likely = [.. readings.Select((r, n) => (r, odds[n] / all))];
        List<List<List<(JointRules.Reading Reading, double Odds)>>> votes = [.. Enumerable.Range(0, rules.Figures.Count).Select(i => Votes(likely, i))];
        var figures = rules.Figures.Select((figure, i) =>
        {
            var ranked = votes[i].Select(v => (Rule: new FigureRule(v[0].Reading.Rules[i].ByWidth, v[0].Reading.Rules[i].ByHeight, v[0].Reading.Why[i], 0), Sure: v.Sum(r => r.Odds))).ToList();
            var said = new HashSet<string> { ranked[0].Rule.Words.Write(figure.Piece.Unit) };
            if (figure.Value <= MayStay && !ranked.Take(Others + 1).Any(r => IsFixed(r.Rule)))
            {
                // Whether something grows at all is what its maker knows: it is among what she can choose.
                ranked.Insert(Math.Min(Others, ranked.Count), ranked.Where(r => IsFixed(r.Rule)).DefaultIfEmpty((RulePriors.Fixed(figure.Value), 0)).First());
            }

            return new GuessedFigure(figure.Piece, figure.Name, figure.Value, ranked[0].Rule, ranked[0].Sure,
                [.. ranked.Skip(1).Take(Others).Select(r => said.Add(r.Rule.Words.Write(figure.Piece.Unit)) ? r
                : (r.Rule with { Words = Growing(r.Rule) }, r.Sure))]);
        }).ToList();

        // What would settle most: how many figures would be surer with the answer to it.
        double SureOnce(List<(JointRules.Reading Reading, double Odds)> answer, int figure) => Votes(answer, figure)[0].Sum(OddsOf);
        double SureWith(List<(JointRules.Reading Reading, double Odds)> answer) => Enumerable.Range(0, votes.Count).Sum(f => SureOnce(answer, f));
        double SurerWith(int asked) => votes[asked].Sum(SureWith) - figures.Sum(f => f.Sure);
        var asks = figures.Select((f, i) => (Figure: f, Gain: f.Sure < SureEnough && f.Next.Count > 0 ? SurerWith(i) : 0)).Where(a => a.Gain >= WorthAsking)
            .OrderByDescending(a => a.Gain).DistinctBy(a => Math.Round(a.Gain, 3)).Take(MostQuestions).Select(a => Ask(a.Figure));
        var turned = upwards is null ? [] : new[] { new OwnQuestion(figures[0].Piece.Line, Opens, Words.Of($"The card is square: does it open sideways or upwards? {(upwards.Value ? "Upwards" : "Sideways")} is taken.")) };
        return new RuleGuess(width, height, upwards, figures, [.. turned, .. asks]) { List = list };
    }

    private static FigureRule Apart(FigureRule rule, FigureRule other, DisplayUnit unit) => rule.Words.Write(unit) == other.Words.Write(unit) ? rule with { Words = Growing(rule) } : rule;

    private static readonly (double Times, string Said)[] Fractions = [(1, "as much"), (2, "twice as much"), (3, "three times as much"), (1.5, "one and a half times as much"), (0.5, "half as much"), (1 / 3d, "a third as much"), (0.25, "a quarter as much")];

    /// <summary>By how much it grows, for one whose words are another's too.</summary>
    private static Words Growing(FigureRule rule)
    {
        static string By(double times, string side) => Fractions.Where(f => Math.Abs(f.Times - times) < 0.004).Select(f => f.Said)
            .FirstOrDefault(string.Create(CultureInfo.InvariantCulture, $"{times:0.##} times as much")) + $" as the {side}";
        var sides = new[] { (rule.ByWidth, "width"), (rule.ByHeight, "height") }.Where(s => Math.Abs(s.Item1) > 0.004).Select(s => By(s.Item1, s.Item2)).ToList();
        return sides.Count > 0 ? Words.Of($"{rule.Words}, growing {string.Join(" and ", sides)}") : Words.Of($"{rule.Words}, staying as it is");
    }

    private static OwnQuestion Ask(GuessedFigure figure)
    {
        var (rule, next) = (figure.Rule, figure.Next[0].Rule);
        return new OwnQuestion(figure.Piece.Line, figure.Figure,
            IsFixed(rule) ? Words.Of($"Stays {figure.Value} ({figure.Piece.Name}, {figure.Figure}) as it is in a larger card, or does it grow: {next.Words}?")
            : IsFixed(next) ? Words.Of($"Does {figure.Value} ({figure.Piece.Name}, {figure.Figure}) grow with the card, {rule.Words}, or does it stay as it is?")
            : Words.Of($"Which holds for {figure.Value} ({figure.Piece.Name}, {figure.Figure}): {rule.Words}, or {next.Words}?"));
    }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Tooling;

/// <summary>One comb of grooves on a score board.</summary>
/// <param name="Step">Distance from groove to groove.</param>
/// <param name="First">Distance of the first groove from the stop.</param>
public readonly record struct GrooveRow(Length Step, Length First)
{
    /// <summary>The grooves are at <see cref="First"/>, and on from there; the stop itself is no groove.</summary>
    public bool HasGrooveAt(Length at, Length end) => at >= First && at <= end && (at - First).IsOn(Step);
}

/// <summary>What a person can actually set: grooves, trimmer marks and the marks of a ruler for what no groove holds.</summary>
/// <remarks>A set that works in both systems follows the format's; <see cref="System"/> then says which of a pair's figures count.</remarks>
public sealed record ToolSet
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required UnitSystem System { get; init; }

    /// <summary>The combs of the score board; none where there is no board.</summary>
    public IReadOnlyList<GrooveRow> GrooveRows { get; init; } = [];

    /// <summary>How far the board reaches. A position beyond is reached by turning the piece round.</summary>
    public Length BoardEnd { get; init; }

    /// <summary>Marks that a cut can be set to.</summary>
    public required IReadOnlyList<Length> CutMarks { get; init; }

    /// <summary>The longest line that the trimmer cuts in one go; null where any sheet goes through.</summary>
    public Length? LongestCut { get; init; }

    /// <summary>The narrowest part that the trimmer holds while it cuts; a narrower one is cut with knife and ruler.</summary>
    public Length Hold
    {
        get => field > Length.Zero ? field : HeldUnlessSaid.For(System);
        init;
    }

    /// <summary>How thick a pile the trimmer cuts in one go.</summary>
    public Length Stack { get; init; } = StackUnlessSaid;

    /// <summary>How many sheets of a caliper are cut at once.</summary>
    public int AtOnce(Length caliper) => (int)Math.Max(1, Stack.Units / Math.Max(1, caliper.Units));

    private static readonly Pair HeldUnlessSaid = Pair.Of(1, 2, 12m);
    private static readonly Length StackUnlessSaid = Length.Mm(1);

    /// <summary>Whether the trimmer has a scoring blade, so that its own marks hold scores too.</summary>
    public bool TrimmerScores { get; init; }

    /// <summary>Marks of the ruler with which a score is set between grooves; none where it cannot be.</summary>
    public IReadOnlyList<Length> RulerMarks { get; init; } = [];

    /// <summary>True for a machine, which sets any figure to the unit and has no grooves to prefer.</summary>
    public bool Exact { get; init; }

    /// <summary>Whether there are grooves at all.</summary>
    public bool HasBoard => GrooveRows.Count > 0;

    /// <summary>Where a score can be set without measuring: the board's grooves and a scoring trimmer's marks.</summary>
    public IReadOnlyList<GrooveRow> Stops => TrimmerScores ? [.. GrooveRows, .. CutMarks.Select(m => new GrooveRow(m, m))] : GrooveRows;

    /// <summary>Figures that a person need not count small marks for: eighths of an inch, whole millimetres.</summary>
    public IReadOnlyList<Length> PlainMarks => CutMarks.Count > 1 ? [Plain.Imperial, Plain.Metric] : [Plain.For(System)];

    /// <summary>How fine the mark is that a free cut lies on: 0 for a half inch or a centimetre, and one more for each step finer.</summary>
    public int FinenessOf(Length at)
    {
        var marks = CoarseMarks;
        for (var i = 0; i < marks.Count; i++)
        {
            foreach (var mark in marks[i])
            {
                if (at.IsOn(mark))
                {
                    return i;
                }
            }
        }

        return marks.Count;
    }

    /// <summary>Marks that a free cut goes to where one is near, the coarsest first; those of both systems where the trimmer has both.</summary>
    public IReadOnlyList<Length[]> CoarseMarks => CutMarks.Count > 1 ? Both : System == UnitSystem.Imperial ? Inches : Metric;

    private static readonly Pair[] Coarse = [Pair.Of(1, 2, 10m), Pair.Of(1, 4, 5m), Pair.Of(1, 8, 1m)];
    private static readonly Length[][] Inches = [.. Coarse.Select(m => new[] { m.Imperial })];
    private static readonly Length[][] Metric = [.. Coarse.Select(m => new[] { m.Metric })];
    private static readonly Length[][] Both = [.. Coarse.Select(m => new[] { m.Imperial, m.Metric })];

    /// <summary>The finest marks of a ruler that a person can score by.</summary>
    public static Pair FinestRuler { get; } = Pair.Of(1, 32, 0.5m);

    private static readonly Pair Plain = Pair.Of(1, 8, 1m);

    /// <summary>The finest mark of the set's own system, for what is marked out and not set on a stop.</summary>
    public Length OwnCutMark => CutMarks.FirstOrDefault(Pair.Of(1, 1, 10m).For(System).IsOn, CutMarks[0]);

    public bool OnGroove(Length at) => GrooveRows.Any(c => c.HasGrooveAt(at, BoardEnd));

    /// <summary>On a groove, or on a mark of a trimmer that scores.</summary>
    public bool OnStop(Length at) => OnGroove(at) || (TrimmerScores && at > Length.Zero && OnCutMark(at) && !(at > LongestCut));

    /// <summary>Whether a person reads two figures off a rule as the same.</summary>
    public bool LooksLike(Length one, Length other) => 2 * (one - other).Abs() < FinestRuler.For(System);

    public bool IsPlain(Length at) => PlainMarks.Any(at.IsOn);

    public bool OnCutMark(Length at) => CutMarks.Any(at.IsOn);

    /// <summary>The nearest cut mark that is not above.</summary>
    public Length CutDown(Length at) => CutMarks.Select(at.Down).Max();

    /// <summary>The nearest cut mark that is not below.</summary>
    public Length CutUp(Length at) => CutMarks.Select(at.Up).Min();

    /// <summary>The nearest cut mark.</summary>
    public Length CutNearest(Length at) => Nearest(CutMarks, at);

    /// <summary>The nearest mark that a pencil finds on a ruler of its system: a place is ticked there.</summary>
    public Length Ticked(Length at) => at.Nearest(FinestRuler.For(System));

    /// <summary>The nearest mark that a score can be set to with a ruler.</summary>
    public Length RulerNearest(Length at) => Nearest(RulerMarks, at);

    /// <summary>The nearest of marks of several systems.</summary>
    internal static Length Nearest(IReadOnlyList<Length> marks, Length at) => marks.Select(at.Nearest).MinBy(m => (m - at).Abs());

    /// <summary>The groove nearest to a position; the upper one where two are as near, since one sets just inside it.</summary>
    public Length? NearestGroove(Length at)
    {
        Length? best = null;

        // Where both systems are on the board, measure from the groove whose own ruler has the distance.
        var own = GrooveRows.Where(c => RulerMarks.Any(m => c.Step.IsOn(m) && (at - c.First).IsOn(m))).ToList();
        foreach (var comb in own.Count > 0 ? own : GrooveRows)
        {
            var last = comb.First + (BoardEnd - comb.First).Down(comb.Step);
            var below = comb.First + (at - comb.First).Down(comb.Step);
            var nearer = 2 * (at - below) >= comb.Step ? below + comb.Step : below;
            var nearest = Length.Min(last, Length.Max(comb.First, nearer));
            if (best is not { } b || (nearest - at).Abs() < (b - at).Abs())
            {
                best = nearest;
            }
        }

        return best;
    }
}

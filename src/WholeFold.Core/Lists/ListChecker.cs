using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>A figure that could stand in place of one that contradicts the rest.</summary>
public sealed record LikelyFigure(Length Value, Words Because);

/// <summary>Something in a list that contradicts the rest of it.</summary>
/// <param name="Id">skipped, twice, count, beyond, sum, positions, systems, rounding, rule or slip.</param>
/// <param name="Place">Which figure, counted from 1; null for the line as a whole.</param>
/// <param name="Likely">What would be right, the likeliest first; several where the list alone cannot tell.</param>
public sealed record ListFinding(string Id, int Line, int? Place, Words Text, IReadOnlyList<LikelyFigure> Likely);

/// <summary>
/// Looks through a measure list for what contradicts a sum, the other system, a symmetry or a set of equals.
/// </summary>
/// <remarks>
/// Cards are made of few widths, the same from both ends. A list is the plainer the fewer different panels it has and the
/// more of them match their mirror image. Where moving a single score makes it the same from both ends and plainer by at least
/// two, that score is the likely slip; any other list is left alone, since not every card is symmetrical.
/// </remarks>
public static class ListChecker
{
    private static readonly Length SmallSlip = Length.In(1, 2);

    /// <summary>So many panels at least grow evenly by no chance.</summary>
    internal const int Growing = 4;

    public static IReadOnlyList<ListFinding> Check(MeasureList list)
    {
        ArgumentNullException.ThrowIfNull(list);
        var findings = new List<ListFinding>();
        foreach (var kind in Enum.GetValues<ListKind>())
        {
            findings.AddRange(Twice(list, kind));
            findings.AddRange(Systems(list, kind));
        }

        var width = list.First(ListKind.Width);
        var panels = list.First(ListKind.Panels);
        if (panels is not null && width is not null)
        {
            findings.AddRange(Sum(panels, width));
        }

        // Scores are written as they are set, which need not be the order in which they lie.
        if (list.First(ListKind.Scores) is { } written)
        {
            var scores = written with { Figures = [.. written.Figures.Order()] };
            var beyond = Beyond(scores, width).ToList();
            findings.AddRange(beyond);
            if (panels is not null)
            {
                findings.AddRange(Positions(scores, panels));
            }

            if (beyond.Count == 0 && width is not null)
            {
                findings.AddRange(Slips(list, scores, width.Figures[0], Rounding(scores, width)));
            }
        }

        findings.AddRange(list.Skipped.Select(s => new ListFinding("skipped", s.Line, null, Words.Of($"Line {s.Line} is not looked at, since its first word is not known: “{s.Text}”."), [])));

        // What is only rounded to a mark comes last.
        return [.. findings.OrderBy(f => f.Id is "rounding" or "skipped" ? 1 : 0)];
    }

    /// <summary>How far two figures may be apart by rounding alone: each to its own line's mark.</summary>
    private static Length Rounding(params ListLine[] lines) => lines.DistinctBy(l => l.Unit).Count() == 1 ? Length.Zero
        : lines.Select(l => l.Unit switch { DisplayUnit.Inch => Length.In(1, 32), DisplayUnit.Centimetre => Length.Mm(0.5m), _ => Length.Mm(0.25m) }).Max();

    /// <summary>Two values for one thing, in one system.</summary>
    private static IEnumerable<ListFinding> Twice(MeasureList list, ListKind kind)
    {
        if (kind is not (ListKind.Width or ListKind.Height))
        {
            yield break;
        }

        foreach (var same in list.Lines.Where(l => l.Kind == kind).GroupBy(l => l.Unit))
        {
            var first = same.First();
            foreach (var other in same.Skip(1).Where(o => o.Figures[0] != first.Figures[0]))
            {
                yield return new ListFinding("twice", other.Line, 1, Words.Of($"{Capital(kind)} is {first.Figures[0]} in line {first.Line} and {other.Figures[0]} here."), [new LikelyFigure(first.Figures[0], Words.Of($"{first.Figures[0]:u}, as in line {first.Line}")), new LikelyFigure(other.Figures[0], Words.Of($"{other.Figures[0]:u}, as here"))]);
            }
        }
    }

    private static IEnumerable<ListFinding> Beyond(ListLine scores, ListLine? width)
    {
        for (var i = 0; i < scores.Figures.Count; i++)
        {
            if (width is not null && scores.Figures[i] >= width.Figures[0])
            {
                yield return new ListFinding("beyond", scores.Line, i + 1, Words.Of($"Score {i + 1} at {scores.Figures[i]} lies beyond the sheet, which is {width.Figures[0]} wide."), []);
            }
        }
    }

    private static IEnumerable<ListFinding> Sum(ListLine panels, ListLine sheet)
    {
        var width = sheet.Figures[0];
        var sum = panels.Figures.Aggregate(Length.Zero, (a, b) => a + b);
        if ((sum - width).Abs() <= panels.Figures.Count * Rounding(panels, sheet))
        {
            yield break;
        }

        // The panel that is off is the one whose mending also makes the chain plainest.
        var likely = panels.Figures.Select((p, i) => (Index: i, Value: p + width - sum)).Where(c => c.Value > Length.Zero)
            .Select(c => (c.Index, c.Value, Plain: Untidiness([.. panels.Figures.Select((p, i) => i == c.Index ? c.Value : p)]))).ToList();
        var plainest = likely.Count > 0 ? likely.Min(c => c.Plain) : 0;
        var best = likely.Where(c => c.Plain == plainest).ToList();
        yield return new ListFinding(
            "sum", panels.Line, best.Count == 1 ? best[0].Index + 1 : null,
            Words.Of($"The panels add up to {sum}, and the sheet is {width} wide: {(sum - width).Abs()} too {(sum > width ? "much" : "little")}."),
            [.. best.Take(3).Select(c => new LikelyFigure(c.Value, Words.Of($"panel {c.Index + 1} at {c.Value} instead of {panels.Figures[c.Index]}")))]);
    }

    private static IEnumerable<ListFinding> Positions(ListLine scores, ListLine panels)
    {
        if (panels.Figures.Count != scores.Figures.Count + 1)
        {
            yield return new ListFinding("count", panels.Line, null, Words.Of($"{panels.Figures.Count} panels have {panels.Figures.Count - 1} scores between them, and there are {scores.Figures.Count}."), []);
            yield break;
        }

        var at = Length.Zero;
        for (var i = 0; i < Math.Min(scores.Figures.Count, panels.Figures.Count - 1); i++)
        {
            at += panels.Figures[i];
            if ((at - scores.Figures[i]).Abs() > (i + 1) * Rounding(scores, panels))
            {
                yield return new ListFinding("positions", scores.Line, i + 1, Words.Of($"Score {i + 1} is at {scores.Figures[i]}, but the panels before it add up to {at}."), [new LikelyFigure(at, Words.Of($"the panels' sum"))]);
                yield break;
            }
        }
    }

    /// <summary>The same figure in two systems: they may differ by what rounding to the coarser one's mark can do, and no more.</summary>
    private static IEnumerable<ListFinding> Systems(MeasureList list, ListKind kind)
    {
        var lines = list.Lines.Where(l => l.Kind == kind).DistinctBy(l => l.Unit).ToList();
        foreach (var (first, second) in lines.SelectMany((a, i) => lines.Skip(i + 1).Select(b => a.Unit == DisplayUnit.Inch || b.Unit != DisplayUnit.Inch ? (a, b) : (b, a))))
        {
            foreach (var finding in Systems(kind, first, second))
            {
                yield return finding;
            }
        }
    }

    private static IEnumerable<ListFinding> Systems(ListKind kind, ListLine first, ListLine second)
    {
        if (first.Figures.Count != second.Figures.Count)
        {
            yield return new ListFinding("systems", second.Line, null, Words.Of($"One system has {first.Figures.Count} figures, the other {second.Figures.Count}."), []);
            yield break;
        }

        // A tenth of a centimetre is written for anything within half of it; a thirty-second for anything within half of that.
        // Up to a whole mark it is only rounded; the real differences come first, the largest before the others.
        var allowed = Length.Max(second.Unit == DisplayUnit.Centimetre ? Length.Mm(0.5m) : Length.Mm(0.25m), Length.In(1, 64));
        var apart = first.Figures.Zip(second.Figures).Select((p, i) => (Place: i + 1, One: p.First, Other: p.Second, Off: (p.First - p.Second).Abs())).Where(d => d.Off > allowed);
        foreach (var (place, one, other, off) in apart.OrderByDescending(d => d.Off))
        {
            yield return off <= Length.In(1, 32) + allowed
                ? new ListFinding("rounding", second.Line, place, Words.Of($"{Capital(kind)} {place}: {LengthWriter.WithUnit(one, first.Unit)} and {LengthWriter.WithUnit(other, second.Unit)} are one figure, rounded to a mark."), [])
                : new ListFinding(
                    "systems", second.Line, place,
                    Words.Of($"{Capital(kind)} {place}: {LengthWriter.WithUnit(one, first.Unit)} and {LengthWriter.WithUnit(other, second.Unit)} are not the same length."),
                    [
                        new LikelyFigure(one, Words.Of($"{LengthWriter.WithUnit(one, second.Unit)}, if line {first.Line} is right")),
                        new LikelyFigure(other, Words.Of($"{LengthWriter.WithUnit(other, first.Unit)}, if line {second.Line} is right")),
                    ]);
        }
    }

    private static IEnumerable<ListFinding> Slips(MeasureList list, ListLine scores, Length width, Length rounding)
    {
        var now = Untidiness(PanelsOf(scores.Figures, width));
        var changes = new List<(int Index, Length Value, int Plain)>();
        for (var i = 0; i < scores.Figures.Count; i++)
        {
            var from = i == 0 ? Length.Zero : scores.Figures[i - 1];
            var to = i == scores.Figures.Count - 1 ? width : scores.Figures[i + 1];
            foreach (var value in Candidates(scores.Figures, width, i).Where(v => v > from && v < to && v != scores.Figures[i]).Distinct())
            {
                changes.Add((i, value, Untidiness(PanelsOf([.. scores.Figures.Select((s, j) => j == i ? value : s)], width))));
            }
        }

        // Only a change that makes the whole the same from both ends counts; and where nothing else in the list is a mirror
        // image, unequal ends may well be meant, so that only a small difference is a slip.
        var panelsNow = PanelsOf(scores.Figures, width);
        var mirrored = MirroredPairs(panelsNow);
        changes.RemoveAll(c => now - c.Plain < 2 || (c.Value - scores.Figures[c.Index]).Abs() <= rounding
            || MirroredPairs(PanelsOf([.. scores.Figures.Select((s, j) => j == c.Index ? c.Value : s)], width)) < panelsNow.Count / 2
            || (mirrored == 0 && (c.Value - scores.Figures[c.Index]).Abs() > SmallSlip));
        if (scores.Figures.Count < 2 || changes.Count == 0)
        {
            yield break;
        }

        // What is as plain is told apart by the other system, then by how small a slip it would have been.
        var other = list.Lines.FirstOrDefault(l => l.Kind == ListKind.Scores && l.Unit != scores.Unit && l.Figures.Count == scores.Figures.Count);
        bool Agrees((int Index, Length Value, int Plain) c) => other is not null && (other.Figures[c.Index] - c.Value).Abs() <= Length.Mm(0.5m)
            && (other.Figures[c.Index] - scores.Figures[c.Index]).Abs() > Length.Mm(0.5m);
        var best = changes.Where(c => c.Plain == changes.Min(d => d.Plain)).OrderBy(c => Agrees(c) ? 0 : 1).ThenBy(c => (c.Value - scores.Figures[c.Index]).Abs()).ThenBy(c => c.Index).ToList();
        if (Agrees(best[0]))
        {
            best = [.. best.Where(Agrees)];
        }

        var first = best[0];
        yield return new ListFinding(
            "slip", scores.Line, best.All(c => c.Index == first.Index) ? first.Index + 1 : null,
            best.Count == 1
                ? Words.Of($"Score {first.Index + 1} at {scores.Figures[first.Index]} breaks the pattern of the others; {first.Value} would keep it.")
                : Words.Of($"The panels are not the same from both ends; one of these scores is off."),
            [.. best.Take(4).Select(c => new LikelyFigure(c.Value, Words.Of($"score {c.Index + 1} at {c.Value} instead of {scores.Figures[c.Index]}")))]);
    }

    /// <summary>Places for a score that would make a panel beside it equal to another panel, or mirror another score.</summary>
    private static IEnumerable<Length> Candidates(IReadOnlyList<Length> scores, Length width, int index)
    {
        var before = index == 0 ? Length.Zero : scores[index - 1];
        var after = index == scores.Count - 1 ? width : scores[index + 1];
        foreach (var score in scores)
        {
            yield return width - score;
        }

        foreach (var panel in PanelsOf(scores, width))
        {
            yield return before + panel;
            yield return after - panel;
        }

        yield return new Length((before + after).Units / 2);
    }

    private static List<Length> PanelsOf(IReadOnlyList<Length> scores, Length width)
    {
        var edges = scores.Prepend(Length.Zero).Append(width).ToList();
        return [.. edges.Zip(edges.Skip(1), (a, b) => b - a)];
    }

    private static int Untidiness(List<Length> panels) => Untidiness(panels, Length.Zero);

    /// <summary>How many different widths there are, and how many panels differ from their mirror image; what grows by as much each time is as plain as equal panels.</summary>
    /// <param name="near">What is nearer than this is the same.</param>
    internal static int Untidiness(IReadOnlyList<Length> panels, Length near)
    {
        bool Same(Length a, Length b) => (a - b).Abs() <= near;
        return panels.Count >= Growing && panels.Skip(1).Zip(panels.Skip(2), (a, b) => b - a).All(step => Same(step, panels[1] - panels[0])) ? 1
            : panels.Where((p, i) => !panels.Take(i).Any(o => Same(o, p))).Count() + Enumerable.Range(0, panels.Count / 2).Count(i => !Same(panels[i], panels[^(i + 1)]));
    }

    private static int MirroredPairs(List<Length> panels) => Enumerable.Range(0, panels.Count / 2).Count(i => panels[i] == panels[^(i + 1)]);

    private static string Capital(ListKind kind) =>
        kind switch { ListKind.Scores => "Score", ListKind.Panels => "Panel", ListKind.Layers => "Layer figure", ListKind.Mats => "Mat figure",
        ListKind.Ticks => "Tick", ListKind.Dies => "Die", _ => kind.ToString() };
}

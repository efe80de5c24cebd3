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
/// <param name="Id">order, beyond, sum, positions, systems or slip.</param>
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

    public static IReadOnlyList<ListFinding> Check(MeasureList list)
    {
        ArgumentNullException.ThrowIfNull(list);
        var findings = new List<ListFinding>();
        foreach (var kind in Enum.GetValues<ListKind>())
        {
            findings.AddRange(Systems(list, kind));
        }

        var width = list.First(ListKind.Width)?.Figures[0];
        var scores = list.First(ListKind.Scores);
        var panels = list.First(ListKind.Panels);
        if (panels is not null && width is { } w)
        {
            findings.AddRange(Sum(panels, w));
        }

        if (scores is null)
        {
            return findings;
        }

        var order = Order(scores, width).ToList();
        findings.AddRange(order);
        if (panels is not null)
        {
            findings.AddRange(Positions(scores, panels));
        }

        if (order.Count == 0 && width is { } whole)
        {
            findings.AddRange(Slips(list, scores, whole));
        }

        return findings;
    }

    private static IEnumerable<ListFinding> Order(ListLine scores, Length? width)
    {
        for (var i = 0; i < scores.Figures.Count; i++)
        {
            var at = scores.Figures[i];
            if (i > 0 && at <= scores.Figures[i - 1])
            {
                yield return new ListFinding("order", scores.Line, i + 1, Words.Of($"Score {i + 1} at {at} does not come after the one before it, at {scores.Figures[i - 1]}."), []);
            }

            if (width is { } w && at >= w)
            {
                yield return new ListFinding("beyond", scores.Line, i + 1, Words.Of($"Score {i + 1} at {at} lies beyond the sheet, which is {w} wide."), []);
            }
        }
    }

    private static IEnumerable<ListFinding> Sum(ListLine panels, Length width)
    {
        var sum = panels.Figures.Aggregate(Length.Zero, (a, b) => a + b);
        if (sum == width)
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
        var at = Length.Zero;
        for (var i = 0; i < Math.Min(scores.Figures.Count, panels.Figures.Count - 1); i++)
        {
            at += panels.Figures[i];
            if (at != scores.Figures[i])
            {
                yield return new ListFinding("positions", scores.Line, i + 1, Words.Of($"Score {i + 1} is at {scores.Figures[i]}, but the panels before it add up to {at}."), [new LikelyFigure(at, Words.Of($"the panels' sum"))]);
                yield break;
            }
        }
    }

    /// <summary>The same figure in two systems: they may differ by what rounding to the coarser one's mark can do, and no more.</summary>
    private static IEnumerable<ListFinding> Systems(MeasureList list, ListKind kind)
    {
        var lines = list.Lines.Where(l => l.Kind == kind).ToList();
        var first = lines.FirstOrDefault(l => l.Unit == DisplayUnit.Inch);
        var second = lines.FirstOrDefault(l => l.Unit != DisplayUnit.Inch);
        if (first is null || second is null)
        {
            yield break;
        }

        if (first.Figures.Count != second.Figures.Count)
        {
            yield return new ListFinding("systems", second.Line, null, Words.Of($"One system has {first.Figures.Count} figures, the other {second.Figures.Count}."), []);
            yield break;
        }

        for (var i = 0; i < first.Figures.Count; i++)
        {
            var (inch, metric) = (first.Figures[i], second.Figures[i]);

            // A tenth of a centimetre is written for anything within half of it; a thirty-second for anything within half of that.
            var allowed = second.Unit == DisplayUnit.Centimetre ? Length.Mm(0.5m) : Length.Mm(0.25m);
            if ((inch - metric).Abs() > Length.Max(allowed, Length.In(1, 64)))
            {
                yield return new ListFinding(
                    "systems", second.Line, i + 1,
                    Words.Of($"{Capital(kind)} {i + 1}: {LengthWriter.WithUnit(inch, DisplayUnit.Inch)} and {LengthWriter.WithUnit(metric, second.Unit)} are not the same length."),
                    [
                        new LikelyFigure(inch, Words.Of($"{LengthWriter.WithUnit(inch, second.Unit)}, if the inches are right")),
                        new LikelyFigure(metric, Words.Of($"{LengthWriter.WithUnit(metric, DisplayUnit.Inch)}, if the {LengthWriter.Symbol(second.Unit)} are right")),
                    ]);
            }
        }
    }

    private static IEnumerable<ListFinding> Slips(MeasureList list, ListLine scores, Length width)
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
        changes.RemoveAll(c => now - c.Plain < 2
            || MirroredPairs(PanelsOf([.. scores.Figures.Select((s, j) => j == c.Index ? c.Value : s)], width)) < panelsNow.Count / 2
            || (mirrored == 0 && (c.Value - scores.Figures[c.Index]).Abs() > SmallSlip));
        if (scores.Figures.Count < 2 || changes.Count == 0)
        {
            yield break;
        }

        // What is as plain is told apart by the other system, then by how small a slip it would have been.
        var other = list.Lines.FirstOrDefault(l => l.Kind == ListKind.Scores && l.Unit != scores.Unit && l.Figures.Count == scores.Figures.Count);
        bool Agrees((int Index, Length Value, int Plain) c) => other is not null && (other.Figures[c.Index] - c.Value).Abs() <= Length.Mm(0.5m) && (other.Figures[c.Index] - scores.Figures[c.Index]).Abs() > Length.Mm(0.5m);
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

    /// <summary>How many different widths there are, and how many panels differ from their mirror image.</summary>
    private static int Untidiness(List<Length> panels) =>
        panels.Distinct().Count() + Enumerable.Range(0, panels.Count / 2).Count(i => panels[i] != panels[^(i + 1)]);

    private static int MirroredPairs(List<Length> panels) => Enumerable.Range(0, panels.Count / 2).Count(i => panels[i] == panels[^(i + 1)]);

    private static string Capital(ListKind kind) => kind switch { ListKind.Scores => "Score", ListKind.Panels => "Panel", _ => kind.ToString() };
}

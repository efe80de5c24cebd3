using WholeFold.Core.Constructions;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>A cut plan as somebody at a trimmer would be told it.</summary>
public static class PlanWords
{
    /// <summary>One stock after the other, and before the first cut what to beware of.</summary>
    public static IEnumerable<string> Of(IReadOnlyList<CutPlan> plans, DisplayUnit unit)
    {
        yield return $"Take care: {Steps.Cautions["trimmer"]}";
        if (plans.Any(p => p.Sheets.Any(s => s.Cuts.Any(c => c.ByHand))))
        {
            yield return $"Take care: {Steps.Cautions["knife"]}";
        }

        foreach (var line in plans.SelectMany(p => Of(p, unit).Prepend("")))
        {
            yield return line;
        }
    }

    private static IEnumerable<string> Of(CutPlan plan, DisplayUnit unit)
    {
        string Say(Length length) => LengthWriter.Write(length, unit);
        string Size(Length width, Length height) => $"{Say(width)} × {Say(height)} {LengthWriter.Symbol(unit)}";
        yield return $"{plan.Stock}: {Sheets(plan.SheetCount)}. {(plan.Proven ? "No plan needs less."
            : $"A better plan might save up to {Math.Ceiling(plan.Gap * 100)}% of it.")}";
        foreach (var sheet in plan.Sheets)
        {
            yield return "";
            yield return $"{Sheets(sheet.Count)}{(sheet.Count > 1 ? " alike" : "")}, {sheet.Sheet.Name}, {Size(sheet.Sheet.Width, sheet.Sheet.Height)}:";
            foreach (var alike in Alike(Runs(sheet.Cuts)))
            {
                var (cut, times) = (alike[0][0], alike[0].Count);
                var last = alike[^1][^1].N;
                var numbers = cut.N == last ? $"{cut.N}" : $"{cut.N} to {last}";
                var part = cut.Of.Count == 0 ? "the sheet"
                    : $"{(alike.Count > 1 ? $"each of the {alike.Count} parts" : "the part")} of {Size(cut.Size.Width, cut.Size.Height)}";
                yield return $"  {numbers}. {(cut.ByHand ? "With knife and ruler, cut" : "Cut")} {LengthWriter.WithUnit(cut.At, unit)} off the "
                    + $"{(cut.Axis == Axis.X ? "left" : "bottom")} of {part}{(times > 1 ? $", {times} times" : "")}.";
            }

            var pieces = sheet.Parts.GroupBy(p => (p.Piece.Name, p.Piece.Width, p.Piece.Height))
                .Select(g => $"{g.Key.Name}, {g.Count()} at {Size(g.Key.Width, g.Key.Height)}");
            yield return $"  Pieces: {string.Join("; ", pieces)}.";
            var left = sheet.Left.Where(l => Length.Min(l.Width, l.Height) >= WorthKeeping.For(unit.SystemOf()))
                .GroupBy(l => (l.Width, l.Height)).OrderByDescending(g => g.Key.Width.Units * g.Key.Height.Units)
                .Select(g => $"{(g.Count() > 1 ? $"{g.Count()} at " : "")}{Size(g.Key.Width, g.Key.Height)}").ToList();
            if (left.Count > 0)
            {
                yield return $"  Left over{(sheet.Count > 1 ? " from each" : "")}: {string.Join("; ", left)}.";
            }
        }
    }

    /// <summary>Runs at one setting off parts of one size.</summary>
    private static List<List<List<Cut>>> Alike(List<List<Cut>> runs)
    {
        var alike = new List<List<List<Cut>>>();
        foreach (var run in runs)
        {
            if (alike.Count > 0 && alike[^1][0] is var first && first.Count == run.Count
                && (first[0].Axis, first[0].At, first[0].Size) == (run[0].Axis, run[0].At, run[0].Size))
            {
                alike[^1].Add(run);
            }
            else
            {
                alike.Add([run]);
            }
        }

        return alike;
    }

    /// <summary>Narrower strips are waste.</summary>
    private static readonly Pair WorthKeeping = Pair.Of(1, 2, 12m);

    private static string Sheets(int count) => count == 1 ? "1 sheet" : $"{count} sheets";

    /// <summary>Cuts at one setting, each off what the one before left.</summary>
    private static List<List<Cut>> Runs(IReadOnlyList<Cut> cuts)
    {
        var runs = new List<List<Cut>>();
        foreach (var cut in cuts)
        {
            if (runs.Count > 0 && runs[^1][^1] is var last && last.Axis == cut.Axis && last.At == cut.At
                && cut.Of.SequenceEqual([.. last.Of, 1]))
            {
                runs[^1].Add(cut);
            }
            else
            {
                runs.Add([cut]);
            }
        }

        return runs;
    }
}

using WholeFold.Core.Guide;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>A cut plan as somebody at a trimmer would be told it.</summary>
public static class PlanWords
{
    /// <summary>Narrower strips are waste.</summary>
    private static readonly Pair WorthKeeping = Pair.Of(1, 1, 25m);

    /// <summary>One stock after the other, and before the first cut what to beware of.</summary>
    public static IEnumerable<string> Of(IReadOnlyList<CutPlan> plans, DisplayUnit unit)
    {
        foreach (var caution in Cautions(plans))
        {
            yield return $"Take care: {caution}";
        }

        foreach (var line in plans.SelectMany(p => Of(p, unit).Prepend("")))
        {
            yield return line;
        }
    }

    /// <summary>What to beware of, each tool once.</summary>
    public static IEnumerable<string> Cautions(IReadOnlyList<CutPlan> plans)
    {
        ArgumentNullException.ThrowIfNull(plans);
        var cuts = plans.SelectMany(p => p.Sheets).SelectMany(s => s.Cuts).ToList();
        return new[] { (Tool: "trimmer", Needed: cuts.Exists(c => !c.ByHand)), (Tool: "knife", Needed: cuts.Exists(c => c.ByHand)) }
            .Where(c => c.Needed).Select(c => Steps.Cautions[c.Tool]);
    }

    /// <summary>What of a sheet is worth keeping, the largest first.</summary>
    public static IEnumerable<(Length Width, Length Height, int Count)> Kept(CutSheet sheet, UnitSystem system)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return sheet.Left.Where(l => IsKept(l, system)).GroupBy(l => (l.Width, l.Height))
            .OrderByDescending(g => g.Key.Width.Units * g.Key.Height.Units).Select(g => (g.Key.Width, g.Key.Height, g.Count()));
    }

    /// <summary>Whether something left over is no mere strip.</summary>
    public static bool IsKept(LeftOver left, UnitSystem system)
    {
        ArgumentNullException.ThrowIfNull(left);
        return Length.Min(left.Width, left.Height) >= WorthKeeping.For(system);
    }

    /// <summary>What no plan can better, and where this one may still be bettered.</summary>
    public static string Proof(CutPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Proven
            ? $"No plan needs less{(plan.Patterns > 1 && plan.Patterns == plan.LeastPatterns ? ", or is cut in fewer ways" : "")}."
                : $"A better plan might save up to {Math.Ceiling(plan.Gap * 100)}% of it.";
    }

    /// <summary>What the trimmer cuts in one go.</summary>
    public static string? Stacked(CutPlan plan, AlikeSheets sheet)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(sheet);
        return plan.AtOnce < 2 || sheet.Count < 2 ? null : sheet.Count > plan.AtOnce ? $"{plan.AtOnce} at a time"
            : sheet.Count == 2 ? "both at once" : "all at once";
    }

    /// <summary>More stages than strips, rows and pieces are told: they are there because they save a sheet.</summary>
    public static string? ManyStages(CutSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return sheet.Stages <= Column.FewStages ? null : $"The cuts change direction {sheet.Stages} times: that saves a sheet.";
    }

    /// <summary>What comes out: "Pieces from all 5: doors, 48 at 1 1/2 × 6 in".</summary>
    public static Words Out(AlikeSheets alike)
    {
        ArgumentNullException.ThrowIfNull(alike);
        var pieces = Words.Join("; ", alike.Pieces.Select(p => Words.Of($"{p.Name}, {p.Count} at {p.Width} × {p.Height:u}")));
        return Words.Of($"Pieces{(alike.Count > 2 ? $" from all {alike.Count}" : alike.Count == 2 ? " from both" : "")}: {pieces}.");
    }

    public static string Sheets(int count) => count == 1 ? "1 sheet" : $"{count} sheets";

    private static IEnumerable<string> Of(CutPlan plan, DisplayUnit unit)
    {
        string Size(Length width, Length height) => Words.Of($"{width} × {height:u}").Write(unit);
        yield return $"{plan.Stock}: {Sheets(plan.SheetCount)}. {Proof(plan)}";
        foreach (var alike in plan.Alike)
        {
            var sheet = alike.First;
            yield return "";
            var (many, stacked) = (alike.Count > 1 ? " alike" : "", Stacked(plan, alike) is { } pile ? $", {pile}" : "");
            yield return $"{Sheets(alike.Count)}{many}, {sheet.Sheet.Name}, {Size(sheet.Sheet.Width, sheet.Sheet.Height)}{stacked}:";
            if (ManyStages(sheet) is { } stages)
            {
                yield return $"  {stages}";
            }

            foreach (var step in CutStep.Of(sheet))
            {
                var numbers = step.First == step.Last ? $"{step.First}" : $"{step.First} to {step.Last}";
                yield return $"  {numbers}. {step.Text.Write(unit)} {step.Lies.Write(unit)}";
            }

            yield return $"  {Out(alike).Write(unit)}";
            var left = Kept(sheet, unit.SystemOf()).Select(l =>
                $"{(l.Count > 1 ? $"{l.Count} at " : "")}{Size(l.Width, l.Height)}").ToList();
            if (left.Count > 0)
            {
                yield return $"  Left over{(alike.Count > 1 ? " from each" : "")}: {string.Join("; ", left)}.";
            }
        }
    }
}

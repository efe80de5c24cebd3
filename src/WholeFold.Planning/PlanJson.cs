using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;

namespace WholeFold.Planning;

/// <summary>Cut plans as they are written to files; <c>docs/exchange.md</c> describes it.</summary>
public sealed record PlanJson(IReadOnlyList<PlannedSheetJson> Sheets, int Bound, bool Proven, int Gap,
    IReadOnlyList<PlannedStockJson> Stocks)
{
    public static PlanJson Of(IReadOnlyList<CutPlan> plans)
    {
        ArgumentNullException.ThrowIfNull(plans);
        return new PlanJson([.. plans.SelectMany(p => p.Sheets.Select(s => PlannedSheetJson.Of(p.Stock, s)))],
            plans.Sum(Bounded), plans.All(p => p.Proven), plans.Sum(p => p.SheetCount - Bounded(p)),
            [.. plans.Select(p => new PlannedStockJson(p.Stock, p.SheetCount, p.Bound, p.Proven, p.Gap, p.Patterns, p.LeastPatterns,
                p.Settings))]);
    }

    /// <summary>Of several kinds of sheet the cost is proven, and the number with it.</summary>
    private static int Bounded(CutPlan plan) => plan.Proven ? plan.SheetCount : plan.Bound;
}

/// <param name="Bound">No plan takes fewer sheets than this.</param>
/// <param name="Gap">What share of the cost a better plan might save at most.</param>
/// <param name="Patterns">In how many ways its sheets are cut; <paramref name="LeastPatterns"/> is proven least.</param>
/// <param name="Settings">How many distances the trimmer is set to.</param>
public sealed record PlannedStockJson(string Stock, int Sheets, int Bound, bool Proven, double Gap, int Patterns,
    int LeastPatterns, int Settings);

public sealed record PlannedSheetJson(string Sheet, string Stock, int Count, LengthJson Width, LengthJson Height, int Stages,
    IReadOnlyList<PlannedCutJson> Cuts, IReadOnlyList<PlannedPartJson> Parts, IReadOnlyList<PlannedLeftJson> Left)
{
    internal static PlannedSheetJson Of(string stock, CutSheet sheet) => new(sheet.Sheet.Id, stock, sheet.Count,
        LengthJson.Of(sheet.Sheet.Width), LengthJson.Of(sheet.Sheet.Height), sheet.Stages,
        [.. sheet.Cuts.Select(c => new PlannedCutJson(
            c.N, c.Axis == Axis.X ? "x" : "y", LengthJson.Of(c.At), c.Of, c.ByHand ? "knife" : "trimmer"))],
        [.. sheet.Parts.Select(p => new PlannedPartJson(p.Piece.Id, LengthJson.Of(p.X), LengthJson.Of(p.Y), LengthJson.Of(p.Width),
            LengthJson.Of(p.Height), p.Turned))],
        [.. sheet.Left.Select(l => new PlannedLeftJson(LengthJson.Of(l.X), LengthJson.Of(l.Y), LengthJson.Of(l.Width),
            LengthJson.Of(l.Height)))]);
}

/// <param name="At">In the part that is cut, from its left or bottom edge.</param>
public sealed record PlannedCutJson(int N, string Axis, LengthJson At, IReadOnlyList<int> Of, string Tool);

public sealed record PlannedPartJson(string Piece, LengthJson X, LengthJson Y, LengthJson Width, LengthJson Height, bool Turned);

public sealed record PlannedLeftJson(LengthJson X, LengthJson Y, LengthJson Width, LengthJson Height);

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>What a plan takes of one kind of sheet, against what is there.</summary>
/// <param name="Entry">Its entry in the stock book; null where the book knows nothing of it.</param>
public sealed record Taken(SheetKind Sheet, OwnedSheet? Entry, int Takes)
{
    public int Has => Entry?.Count ?? 0;

    public int Short => Entry is null ? 0 : Math.Max(0, Takes - Has);

    /// <summary>How many packs are bought for what is missing.</summary>
    public int Packs => Entry?.PacksFor(Short) ?? 0;

    public decimal? Costs => Entry?.Price * Packs;
}

/// <summary>A stock's plan from the stock book: from what is there, or else with what has to be bought.</summary>
public static class Booked
{
    /// <param name="better">Told of each better plan as it comes.</param>
    /// <exception cref="NoPlanException">A piece comes out of no sheet.</exception>
    /// <exception cref="OperationCanceledException">It was stopped before there was any plan.</exception>
    public static CutPlan Plan(BookedJob job, Action<CutPlan>? better = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(job);
        return Here(job, better, stop) ?? Planner.Plan(job.Bought, better, stop);
    }

    /// <summary>From what is there; null where that is not enough.</summary>
    public static CutPlan? Here(BookedJob job, Action<CutPlan>? better = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(job);
        if (job.Here is null || !HasRoom(job.Here))
        {
            return null;
        }

        try
        {
            return Planner.Plan(job.Here, better, stop);
        }
        catch (NoPlanException)
        {
            return null;
        }
    }

    /// <summary>What a plan takes, each kind of sheet once: those of the book in its order.</summary>
    public static IReadOnlyList<Taken> Takes(BookedJob job, CutPlan plan)
    {
        ArgumentNullException.ThrowIfNull(job);
        ArgumentNullException.ThrowIfNull(plan);
        return [.. plan.Sheets.GroupBy(s => s.Sheet.Id).Select(g => new Taken(g.First().Sheet,
            job.Book.FirstOrDefault(b => b.Id == g.Key), g.Sum(s => s.Count)))
            .OrderBy(t => job.Book.TakeWhile(b => b.Id != t.Sheet.Id).Count())];
    }

    /// <summary>Whether the sheets that are there have the area at least.</summary>
    internal static bool HasRoom(StockJob job) => Area(job.Pieces.Select(p => (p.Width, p.Height, p.Count)))
        <= Area(job.Sheets.Select(s => (s.Width, s.Height, s.Count ?? 0)));

    private static Int128 Area(IEnumerable<(Length Width, Length Height, int Count)> all) =>
        all.Aggregate((Int128)0, (sum, a) => sum + ((Int128)a.Width.Units * a.Height.Units * a.Count));
}

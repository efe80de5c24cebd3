using System.Numerics;

namespace WholeFold.Planning;

/// <summary>
/// With several kinds of sheet the cost goes in steps: every choice of how many of each that costs less than the plan is either
/// excluded by what their sheets can hold, or tried on exactly those sheets.
/// </summary>
/// <param name="excluded">Whether some worths show that these sheets are too few.</param>
/// <param name="onJust">A plan on just these sheets; null where none was found.</param>
internal sealed class Combinations(Problem problem, IReadOnlyList<Bound> bounds, Func<int[], bool> excluded,
    Func<int[], List<Used>?> onJust)
{
    private const int MostListed = 4000, MostTried = 40;

    public void Close(List<Used> best, Bound bound, Action<List<Used>?> take, Action<Bound> prove)
    {
        var costs = problem.Sorts.Select(s => (BigInteger)s.Cost).ToArray();
        var plan = best.Select(u => costs[u.Column.Sort] * u.Times).Aggregate(BigInteger.Zero, (a, b) => a + b);
        var open = Listed(costs, bound.Cost, plan);
        var (tried, least) = (0, open is null ? bound.Cost : plan);
        foreach (var (cost, counts) in (open ?? []).OrderBy(o => o.Cost))
        {
            if (bounds.Any(b => !b.Allows(counts, problem.Demand)))
            {
                continue;
            }

            if (tried++ < MostTried)
            {
                if (excluded(counts))
                {
                    continue;
                }

                if (onJust(counts) is { } used)
                {
                    take(used);
                    least = BigInteger.Min(least, cost);
                    break;
                }
            }

            // Neither excluded nor found: the bound stays below it.
            least = BigInteger.Min(least, cost);
        }

        if (least > bound.Cost)
        {
            prove(bound with { Cost = least });
        }
    }

    /// <summary>Maximal choices of sheets that cost at least the bound and less than the plan; null where there are too many.</summary>
    private List<(BigInteger Cost, int[] Counts)>? Listed(BigInteger[] costs, BigInteger from, BigInteger below)
    {
        var found = new List<(BigInteger, int[])>();
        var counts = new int[costs.Length];
        var steps = 0;

        // What costs nothing is there in any case.
        for (var i = 0; i < costs.Length; i++)
        {
            counts[i] = costs[i].IsZero ? problem.Sorts[i].Limit!.Value : 0;
        }

        var paid = Enumerable.Range(0, costs.Length).Where(i => !costs[i].IsZero).ToArray();
        bool Go(int at, BigInteger cost)
        {
            if (++steps > 50 * MostListed || found.Count > MostListed)
            {
                return false;
            }

            if (at == paid.Length)
            {
                if (cost >= from && cost < below)
                {
                    found.Add((cost, [.. counts]));
                }

                return true;
            }

            var i = paid[at];
            for (counts[i] = 0; cost + (counts[i] * costs[i]) < below && counts[i] <= (problem.Sorts[i].Limit ?? int.MaxValue); counts[i]++)
            {
                if (!Go(at + 1, cost + (counts[i] * costs[i])))
                {
                    return false;
                }
            }

            counts[i] = 0;
            return true;
        }

        return Go(0, BigInteger.Zero) ? found : null;
    }
}

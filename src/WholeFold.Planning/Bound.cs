using System.Numerics;

namespace WholeFold.Planning;

/// <summary>
/// What no plan can better, and why: with these worths of a piece of each kind no sheet of a sort holds more than its
/// <paramref name="Most"/>, so all that is wanted takes at least <paramref name="Cost"/>. Whole numbers throughout: it can be
/// checked by anybody who finds the most that a sheet holds.
/// </summary>
internal sealed record Bound(int[] Worths, int[] Most, BigInteger Cost)
{
    /// <summary>Any worths bound the cost; how well is the master's business.</summary>
    public static Bound Of(Problem problem, int[] worths, Func<Sort, int> most)
    {
        var mosts = problem.Sorts.Select(most).ToArray();
        var wanted = problem.Kinds.Select((k, i) => (BigInteger)k.Count * worths[i]).Aggregate(BigInteger.Zero, (a, b) => a + b);
        var (cost, per) = (BigInteger.Zero, BigInteger.One);
        var free = problem.Sorts.Select((s, i) => (s, i)).Where(s => s.s.Limit is null).ToList();
        if (free.Any(f => mosts[f.i] > 0))
        {
            // The sort that gives the most for its cost, compared crosswise.
            var cheapest = free.Where(f => mosts[f.i] > 0).Aggregate((a, b) =>
                (BigInteger)a.s.Cost * mosts[b.i] <= (BigInteger)b.s.Cost * mosts[a.i] ? a : b);
            (cost, per) = (cheapest.s.Cost, mosts[cheapest.i]);
        }
        else
        {
            (cost, per) = (problem.Sorts.Max(s => s.Cost), Master.Scale);
        }

        // What a limited sort holds beyond its cost can be had only so often.
        var gained = problem.Sorts.Select((s, i) => s.Limit is { } limit
            ? limit * BigInteger.Max(BigInteger.Zero, (cost * mosts[i]) - (s.Cost * per)) : BigInteger.Zero).Aggregate(BigInteger.Zero,
                (a, b) => a + b);
        var total = (cost * wanted) - gained;
        return new Bound(worths, mosts, total.Sign <= 0 ? BigInteger.Zero : (total + per - 1) / per);
    }

    /// <summary>Whether so many sheets of each sort may hold all that is wanted, as far as these worths tell.</summary>
    public bool Allows(IReadOnlyList<int> counts, IReadOnlyList<int> demand) =>
        counts.Select((c, i) => (long)c * Most[i]).Sum() >= demand.Select((d, i) => (long)d * Worths[i]).Sum();
}

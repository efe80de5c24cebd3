using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>The lattice against counting everything out.</summary>
public class LatticeTests
{
    private const int Most = 12;

    [Fact]
    public void Has_exactly_the_members_that_satisfy_all_its_congruences()
    {
        var random = new Random(4);
        var (empty, some) = (0, 0);
        for (var run = 0; run < 300; run++)
        {
            var n = random.Next(1, 4);
            var rows = Enumerable.Range(0, random.Next(1, 4))
                .Select(_ => (A: Enumerable.Range(0, n).Select(_ => (long)random.Next(-3, 4)).ToArray(), B: (long)random.Next(-6, 7),
                M: (long)random.Next(1, 9))).ToList();
            var lattice = rows.Aggregate((Lattice?)Lattice.All(n), (l, row) => l?.With(row.A, row.B, row.M));
            var expected = All(n).Where(x => rows.All(r => Mod(r.A.Zip(x, (a, v) => a * v).Sum() + r.B, r.M) == 0)).Select(x => string.Join(',', x)).ToHashSet();
            if (lattice is null)
            {
                empty++;
                Assert.Empty(expected);
                continue;
            }

            some++;
            Assert.Equal(expected.Order(), Members(lattice, n).Order());
            for (var i = 0; i < n; i++)
            {
                var alone = lattice.Alone(i);
                Assert.All(expected, e => Assert.Contains(long.Parse(e.Split(',')[i], System.Globalization.CultureInfo.InvariantCulture), Values(alone)));

                // No coarser, and no finer either: its own step leads from a member to the next.
                Assert.True(n > 1 || alone.Step == lattice.Given(0, [], []).Step);
            }
        }

        Assert.True(empty > 20 && some > 100, $"{empty} empty, {some} not");
    }

    [Fact]
    public void Is_the_same_one_where_a_congruence_says_nothing_new()
    {
        var quarters = Lattice.All(2).With([1, 1], 0, 4)!;
        Assert.Same(quarters, quarters.With([2, 2], 0, 8));
        Assert.Same(quarters, quarters.With([1, 1], 8, 2));
        Assert.NotSame(quarters, quarters.With([1, 0], 0, 2));
        Assert.Null(quarters.With([1, 1], 1, 2));
    }

    /// <summary>Goes through a lattice as the search does, coordinate by coordinate.</summary>
    private static IEnumerable<string> Members(Lattice lattice, int n)
    {
        var (x, z) = (new long[n], new long[n]);
        return Walk(0);

        IEnumerable<string> Walk(int i)
        {
            if (i == n)
            {
                yield return string.Join(',', x);
                yield break;
            }

            foreach (var value in Values(lattice.Given(i, x, z)))
            {
                x[i] = value;
                foreach (var member in Walk(i + 1).ToList())
                {
                    yield return member;
                }

                // What is further on has changed what is known of this coordinate.
                lattice.Given(i, x, z);
            }
        }
    }

    private static IEnumerable<long> Values(Progression progression)
    {
        for (var v = 0L; v <= Most; v++)
        {
            if (progression.AtOrBelow(v) == v)
            {
                yield return v;
            }
        }
    }

    private static IEnumerable<long[]> All(int n) => n == 0 ? [[]] : All(n - 1).SelectMany(rest => Enumerable.Range(0, Most + 1).Select(v => (long[])[.. rest, v]));

    private static long Mod(long a, long m) => ((a % m) + m) % m;
}

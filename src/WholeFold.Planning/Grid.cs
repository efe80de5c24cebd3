namespace WholeFold.Planning;

/// <summary>
/// The lengths that a part of a sheet can have along one axis, and the cuts of each. A cut goes only where pieces add up to, the
/// smaller part first, and what is behind it is rounded down to where pieces add up to: nothing is lost by it, and what cannot
/// be reached from a whole sheet is not listed.
/// </summary>
internal sealed class Grid
{
    private readonly int[] floor;
    private readonly long unit;

    /// <param name="sheets">Lengths of the sheets along this axis.</param>
    /// <param name="sides">Each length that a piece may have along it, and how often at most.</param>
    public Grid(IReadOnlyList<long> sheets, IReadOnlyList<(long Side, int Count)> sides)
    {
        unit = sides.Aggregate(0L, (g, s) => Gcd(g, s.Side));
        var longest = (int)(sheets.Max() / unit);
        var sums = Sums(longest, sides.Select(s => ((int)(s.Side / unit), s.Count)));
        var down = new int[longest + 1];
        for (int at = 1, last = 0; at <= longest; at++)
        {
            down[at] = last = sums[at] ? at : last;
        }

        var reached = new SortedSet<int>();
        var open = new Stack<int>(sheets.Select(s => down[s / unit]).Where(s => s > 0));
        var ats = Enumerable.Range(1, longest).Where(a => sums[a]).ToArray();
        while (open.TryPop(out var length))
        {
            if (!reached.Add(length))
            {
                continue;
            }

            foreach (var at in ats.TakeWhile(a => 2 * a <= length))
            {
                open.Push(at);
                open.Push(down[length - at]);
            }
        }

        var all = reached.ToArray();
        Lengths = [.. all.Select(l => l * unit)];
        floor = new int[longest + 1];
        for (int at = 0, i = -1; at <= longest; at++)
        {
            i += i + 1 < all.Length && all[i + 1] <= at ? 1 : 0;
            floor[at] = i;
        }

        Cuts = [.. all.Select(l => ats.TakeWhile(a => 2 * a <= l).Select(a => (floor[a], floor[l - a])).ToArray())];
    }

    public long[] Lengths { get; }

    /// <summary>For each length the two that a cut leaves of it.</summary>
    public (int Before, int Behind)[][] Cuts { get; }

    /// <summary>The greatest listed that is not above; -1 where there is none.</summary>
    public int Floor(long length) => length < 0 ? -1 : floor[Math.Min(length / unit, floor.Length - 1)];

    /// <summary>The least listed that is not below; the number of them where there is none.</summary>
    public int Ceiling(long length)
    {
        var at = Array.BinarySearch(Lengths, length);
        return at >= 0 ? at : ~at;
    }

    private static bool[] Sums(int longest, IEnumerable<(int Side, int Count)> sides)
    {
        var sums = new bool[longest + 1];
        sums[0] = true;
        foreach (var (side, count) in sides)
        {
            var left = new int[longest + 1];
            for (var at = side; at <= longest; at++)
            {
                if (!sums[at] && sums[at - side] && left[at - side] < count)
                {
                    (sums[at], left[at]) = (true, left[at - side] + 1);
                }
            }
        }

        return sums;
    }

    private static long Gcd(long a, long b) => b == 0 ? a : Gcd(b, a % b);
}

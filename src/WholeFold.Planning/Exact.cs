using System.Numerics;
using WholeFold.Core.Constructions;

namespace WholeFold.Planning;

/// <summary>
/// The most that can be cut from every part of a sheet when a piece of each kind is worth so much and may be cut any number of
/// times: the exact guillotine programme over the grid, trims and stages unbounded. It bounds what any plan can do.
/// </summary>
internal sealed class Exact
{
    private readonly Family family;
    private readonly long? longest;
    private readonly int high;
    private readonly int[] best;
    private readonly (int X, int Y, Lying Lying)[] corners;
    private int[] worth = [];

    public Exact(Family family, long? longest)
    {
        (this.family, this.longest) = (family, longest);
        high = family.Y.Lengths.Length;
        best = new int[family.X.Lengths.Length * high];
        corners = [.. family.Lying.Select(l => (family.X.Ceiling(l.Width), family.Y.Ceiling(l.Height), l))
            .Where(c => c.Item1 < family.X.Lengths.Length && c.Item2 < high)];
    }

    public int[] Worth => worth;

    public void Fill(int[] worths)
    {
        worth = worths;
        Array.Clear(best);
        for (var x = 0; x < family.X.Lengths.Length; x++)
        {
            var row = best.AsSpan(x * high, high);
            if (x > 0)
            {
                best.AsSpan((x - 1) * high, high).CopyTo(row);
            }

            foreach (var (_, y, lying) in corners.Where(c => c.X == x))
            {
                row[y] = Math.Max(row[y], worths[lying.Kind]);
            }

            // A cut across runs the whole height of what is cut.
            var upTo = longest is { } limit ? family.Y.Floor(limit) + 1 : high;
            foreach (var (before, behind) in family.X.Cuts[x])
            {
                AddAndKeepMost(row[..upTo], best.AsSpan(before * high, upTo), best.AsSpan(behind * high, upTo));
            }

            var mayCutAcross = !(family.X.Lengths[x] > longest);
            for (var y = 0; y < high; y++)
            {
                var most = y > 0 ? Math.Max(row[y], row[y - 1]) : row[y];
                foreach (var (before, behind) in mayCutAcross ? family.Y.Cuts[y] : [])
                {
                    most = Math.Max(most, row[before] + row[behind]);
                }

                row[y] = most;
            }
        }
    }

    public int Of(long width, long height) =>
        family.X.Floor(width) is >= 0 and var x && family.Y.Floor(height) is >= 0 and var y ? best[(x * high) + y] : 0;

    public int At(int x, int y) => x < 0 || y < 0 ? 0 : best[(x * high) + y];

    /// <summary>One way to cut the most from a part of this size.</summary>
    public Layout Lay(long width, long height)
    {
        var (x, y) = (family.X.Floor(width), family.Y.Floor(height));
        if (At(x, y) == 0)
        {
            return new Layout(width, height);
        }

        var most = At(x, y);
        foreach (var (_, _, lying) in corners.Where(c => c.X <= x && c.Y <= y && worth[c.Lying.Kind] == most))
        {
            return Place(width, height, lying);
        }

        if (At(x - 1, y) == most)
        {
            return Lay(family.X.Lengths[x - 1], height).In(width, height);
        }

        if (At(x, y - 1) == most)
        {
            return Lay(width, family.Y.Lengths[y - 1]).In(width, height);
        }

        foreach (var (before, behind) in family.X.Cuts[x])
        {
            if (At(before, y) + At(behind, y) == most)
            {
                var at = family.X.Lengths[before];
                return new Layout(width, height) { Along = Axis.X, Parts = [Lay(at, height), Lay(width - at, height)] };
            }
        }

        foreach (var (before, behind) in family.Y.Cuts[y])
        {
            if (At(x, before) + At(x, behind) == most)
            {
                var at = family.Y.Lengths[before];
                return new Layout(width, height) { Along = Axis.Y, Parts = [Lay(width, at), Lay(width, height - at)] };
            }
        }

        throw new InvalidOperationException("The table holds a figure that nothing in it makes.");
    }

    internal static Layout Place(long width, long height, Lying lying) =>
        new Layout(lying.Width, lying.Height) { Piece = lying.Kind, Turned = lying.Turned }.In(width, height);

    private static void AddAndKeepMost(Span<int> into, ReadOnlySpan<int> one, ReadOnlySpan<int> other)
    {
        var i = 0;
        for (; i + Vector<int>.Count <= into.Length; i += Vector<int>.Count)
        {
            Vector.Max(new Vector<int>(into[i..]), new Vector<int>(one[i..]) + new Vector<int>(other[i..])).CopyTo(into[i..]);
        }

        for (; i < into.Length; i++)
        {
            into[i] = Math.Max(into[i], one[i] + other[i]);
        }
    }
}

using WholeFold.Planning;

namespace WholeFold.Core.Tests.Planning;

/// <summary>What a sheet holds and how few sheets do, found by trying every cut at every millimetre: only for small ones.</summary>
internal static class ByTryingAll
{
    /// <summary>The most that pieces cut from a sheet are worth, each as often as one likes.</summary>
    public static long Most(int width, int height, IReadOnlyList<(int Width, int Height, long Worth)> pieces)
    {
        var most = new long[width + 1, height + 1];
        for (var w = 1; w <= width; w++)
        {
            for (var h = 1; h <= height; h++)
            {
                most[w, h] = pieces.Where(p => (p.Width == w && p.Height == h) || (p.Height == w && p.Width == h)).Select(p =>
                    p.Worth).DefaultIfEmpty(0).Max();
                for (var at = 1; at < w; at++)
                {
                    most[w, h] = Math.Max(most[w, h], most[at, h] + most[w - at, h]);
                }

                for (var at = 1; at < h; at++)
                {
                    most[w, h] = Math.Max(most[w, h], most[w, at] + most[w, h - at]);
                }
            }
        }

        return most[width, height];
    }

    /// <summary>The fewest sheets, over every set of pieces that one sheet holds.</summary>
    public static int Sheets(SheetKind sheet, IReadOnlyList<Wanted> pieces)
    {
        var holds = new Dictionary<(int, int), HashSet<(int, int, int)>>();
        var all = Sets((int)sheet.Width.Millimetres, (int)sheet.Height.Millimetres, pieces, holds);
        var fewest = new Dictionary<(int, int, int), int> { [(0, 0, 0)] = 0 };
        int Fewest((int A, int B, int C) left) => fewest.TryGetValue(left, out var known) ? known
            : fewest[left] = 1 + all.Where(s => s != (0, 0, 0))
                .Select(s => (A: Math.Max(0, left.A - s.Item1), B: Math.Max(0, left.B - s.Item2), C: Math.Max(0, left.C - s.Item3)))
                .Where(next => next != left).Min(Fewest);
        return Fewest((pieces[0].Count, pieces[1].Count, pieces[2].Count));
    }

    /// <summary>The fewest ways in which so many sheets are cut to just what is wanted.</summary>
    public static int Patterns(SheetKind sheet, IReadOnlyList<Wanted> pieces, int sheets)
    {
        var all = Sets((int)sheet.Width.Millimetres, (int)sheet.Height.Millimetres, pieces, []).Where(s => s != (0, 0, 0)).ToList();
        const int none = 1000;
        var known = new Dictionary<(int, int, int, int, int), int>();
        int Fewest(int from, int a, int b, int c, int left)
        {
            if (left == 0 || from == all.Count)
            {
                return (a, b, c, left) == (0, 0, 0, 0) ? 0 : none;
            }

            if (known.TryGetValue((from, a, b, c, left), out var was))
            {
                return was;
            }

            var (x, y, z) = all[from];
            var best = Fewest(from + 1, a, b, c, left);
            for (var times = 1; times <= left && times * x <= a && times * y <= b && times * z <= c; times++)
            {
                best = Math.Min(best, 1 + Fewest(from + 1, a - (times * x), b - (times * y), c - (times * z), left - times));
            }

            return known[(from, a, b, c, left)] = best;
        }

        return Fewest(0, pieces[0].Count, pieces[1].Count, pieces[2].Count, sheets);
    }

    private static HashSet<(int, int, int)> Sets(int width, int height, IReadOnlyList<Wanted> pieces, Dictionary<(int, int),
        HashSet<(int, int, int)>> known)
    {
        if (known.TryGetValue((width, height), out var sets))
        {
            return sets;
        }

        sets = [(0, 0, 0)];
        for (var i = 0; i < 3; i++)
        {
            var (w, h) = ((int)pieces[i].Width.Millimetres, (int)pieces[i].Height.Millimetres);
            if ((w <= width && h <= height) || (h <= width && w <= height))
            {
                sets.Add((i == 0 ? 1 : 0, i == 1 ? 1 : 0, i == 2 ? 1 : 0));
            }
        }

        void Join(HashSet<(int, int, int)> one, HashSet<(int, int, int)> other)
        {
            foreach (var (a, b, c) in one)
            {
                foreach (var (d, e, f) in other)
                {
                    sets.Add((Math.Min(a + d, pieces[0].Count), Math.Min(b + e, pieces[1].Count), Math.Min(c + f, pieces[2].Count)));
                }
            }
        }

        for (var at = 1; 2 * at <= width; at++)
        {
            Join(Sets(at, height, pieces, known), Sets(width - at, height, pieces, known));
        }

        for (var at = 1; 2 * at <= height; at++)
        {
            Join(Sets(width, at, pieces, known), Sets(width, height - at, pieces, known));
        }

        return known[(width, height)] = sets;
    }
}

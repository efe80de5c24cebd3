using System.Runtime.Intrinsics;
using WholeFold.Core.Constructions;

namespace WholeFold.Planning;

/// <summary>
/// Good patterns of at most three stages, none with more of a kind than is wanted: strips along one axis, each cut into rows,
/// each row into pieces, trims apart. Every state keeps one label, the best it has met with counts clipped at what is wanted;
/// that is exact while nothing is clipped and good where something is. It proposes; <see cref="Exact"/> bounds.
/// </summary>
internal sealed class Staged
{
    private readonly Family family;
    private readonly Axis first;
    private readonly Grid along, across;
    private readonly long? longest;
    private readonly long[] rowHeights;
    private readonly int stride, wide, high;
    private readonly (Lying Lying, long Long, long High)[] lying;
    private readonly Labels rows, strips;
    private readonly Dictionary<int, Labels> sheets = [];
    private int[] worth = [];
    private byte[] bound = [];

    public Staged(Family family, Axis first, int kinds, long? longest)
    {
        (this.family, this.first, this.longest) = (family, first, longest);
        (along, across) = first == Axis.X ? (family.X, family.Y) : (family.Y, family.X);
        lying = [.. family.Lying.Select(l => first == Axis.X ? (l, l.Width, l.Height) : (l, l.Height, l.Width))];
        rowHeights = [.. lying.Select(l => l.High).Distinct().Order()];
        (wide, high) = (along.Lengths.Length, across.Lengths.Length);
        stride = (kinds + 15) / 16 * 16;
        rows = new Labels(wide * rowHeights.Length, stride);
        strips = new Labels(wide * high, stride);
    }

    public void Fill(int[] worths, IReadOnlyList<int> bounds)
    {
        worth = worths;
        bound = new byte[stride];
        for (var i = 0; i < bounds.Count; i++)
        {
            bound[i] = (byte)Math.Min(bounds[i], byte.MaxValue);
        }

        rows.Clear();
        strips.Clear();
        sheets.Clear();
        FillRows();
        FillStrips();
    }

    /// <summary>The best of a sheet: what it is worth, and how often each kind lies on it.</summary>
    public (int Worth, int[] Counts) Best(long width, long height)
    {
        var (a, labels) = (along.Floor(first == Axis.X ? width : height), Sheets(width, height));
        return a < 0 ? (0, new int[worth.Length]) : (labels.Worth[a], [.. labels.Of(a)[..worth.Length].ToArray().Select(c => (int)c)]);
    }

    public Layout Lay(long width, long height)
    {
        var labels = Sheets(width, height);
        var b = across.Floor(first == Axis.X ? height : width);
        return Chain(labels, along.Floor(first == Axis.X ? width : height), a => a - 1, first, width, height,
            (at, w, h) => LayStrip(at, b, w, h));
    }

    private Layout LayStrip(int a, int b, long width, long height) =>
        Chain(strips, (a * high) + b, at => at % high == 0 ? -1 : at - 1, first == Axis.X ? Axis.Y : Axis.X, width, height,
            (row, w, h) => LayRow(a, row, w, h));

    private Layout LayRow(int a, int row, long width, long height) =>
        Chain(rows, (row * wide) + a, at => at % wide == 0 ? -1 : at - 1, first, width, height,
            (l, w, h) => Exact.Place(w, h, lying[l].Lying));

    /// <summary>Walks back through what was laid one behind the other.</summary>
    private static Layout Chain(Labels labels, int at, Func<int, int> below, Axis axis, long width, long height, Func<int, long, long,
        Layout> lay)
    {
        var parts = new List<Layout>();
        var left = axis == Axis.X ? width : height;
        while (at >= 0 && labels.Worth[at] > 0)
        {
            if (labels.Took[at] < 0)
            {
                at = below(at);
                continue;
            }

            var size = labels.Size[at];
            parts.Add(axis == Axis.X ? lay(labels.Took[at], size, height) : lay(labels.Took[at], width, size));
            left -= size;
            at = labels.Rest[at];
        }

        if (left > 0)
        {
            parts.Add(axis == Axis.X ? new Layout(left, height) : new Layout(width, left));
        }

        return parts.Count == 1 ? parts[0] : new Layout(width, height) { Along = axis, Parts = parts };
    }

    private void FillRows()
    {
        Span<byte> one = stackalloc byte[stride];
        for (var h = 0; h < rowHeights.Length; h++)
        {
            for (var a = 0; a < wide; a++)
            {
                var at = (h * wide) + a;
                if (a > 0)
                {
                    rows.Keep(at, at - 1);
                }

                foreach (var (l, index) in lying.Select((l, i) => (l, i)))
                {
                    if (l.High > rowHeights[h] || l.Long > along.Lengths[a] || worth[l.Lying.Kind] == 0 || bound[l.Lying.Kind] == 0)
                    {
                        continue;
                    }

                    one.Clear();
                    one[l.Lying.Kind] = 1;
                    var rest = along.Floor(along.Lengths[a] - l.Long);
                    Offer(rows, at, rest < 0 ? 0 : rows.Worth[(h * wide) + rest], rest < 0 ? default : rows.Of((h * wide) + rest),
                        worth[l.Lying.Kind], one, index, rest < 0 ? -1 : (h * wide) + rest, l.Long);
                }
            }
        }
    }

    private void FillStrips()
    {
        for (var a = 0; a < wide; a++)
        {
            var cuttable = !(along.Lengths[a] > longest);
            for (var b = 0; b < high; b++)
            {
                var at = (a * high) + b;
                if (b > 0)
                {
                    strips.Keep(at, at - 1);
                }

                for (var h = 0; h < rowHeights.Length && rowHeights[h] <= across.Lengths[b]; h++)
                {
                    var row = (h * wide) + a;
                    if (rows.Worth[row] == 0 || (!cuttable && across.Lengths[b] != rowHeights[h]))
                    {
                        continue;
                    }

                    var rest = across.Floor(across.Lengths[b] - rowHeights[h]);
                    Offer(strips, at, rest < 0 ? 0 : strips.Worth[(a * high) + rest], rest < 0 ? default : strips.Of((a * high) + rest),
                        rows.Worth[row], rows.Of(row), h, rest < 0 ? -1 : (a * high) + rest, rowHeights[h]);
                }
            }
        }
    }

    private Labels Sheets(long width, long height)
    {
        var b = across.Floor(first == Axis.X ? height : width);
        if (sheets.TryGetValue(b, out var labels))
        {
            return labels;
        }

        labels = new Labels(wide, stride);
        for (var a = 0; a < wide && b >= 0; a++)
        {
            if (a > 0)
            {
                labels.Keep(a, a - 1);
            }

            Offer(labels, a, 0, default, strips.Worth[(a * high) + b], strips.Of((a * high) + b), a, -1, along.Lengths[a]);
            if (across.Lengths[b] > longest)
            {
                continue;
            }

            foreach (var (before, behind) in along.Cuts[a])
            {
                foreach (var (strip, rest) in behind >= 0 ? new[] { (before, behind), (behind, before) } : [(before, behind)])
                {
                    Offer(labels, a, rest < 0 ? 0 : labels.Worth[rest], rest < 0 ? default : labels.Of(rest),
                        strips.Worth[(strip * high) + b], strips.Of((strip * high) + b), strip, rest, along.Lengths[strip]);
                }
            }
        }

        return sheets[b] = labels;
    }

    /// <summary>Takes one more beside what is there, if that is better than what the state has.</summary>
    private void Offer(Labels labels, int at, int restWorth, ReadOnlySpan<byte> rest, int tookWorth, ReadOnlySpan<byte> took,
        int which, int restAt, long size)
    {
        if (tookWorth == 0 || restWorth + tookWorth <= labels.Worth[at])
        {
            return;
        }

        var total = restWorth + tookWorth;
        Span<byte> sum = stackalloc byte[stride];
        for (var i = 0; i < stride; i += Vector128<byte>.Count)
        {
            var t = Vector128.Create(took[i..]);
            var r = rest.IsEmpty ? Vector128<byte>.Zero : Vector128.Create(rest[i..]);
            var s = Vector128.AddSaturate(t, r);
            var kept = Vector128.Min(s, Vector128.Create(bound.AsSpan(i)));
            kept.CopyTo(sum[i..]);
            if (s != kept)
            {
                for (var k = i; k < Math.Min(i + Vector128<byte>.Count, worth.Length); k++)
                {
                    var over = took[k] + (rest.IsEmpty ? 0 : rest[k]) - sum[k];
                    total -= over * worth[k];
                }
            }
        }

        if (total > labels.Worth[at])
        {
            labels.Set(at, total, sum, which, restAt, size);
        }
    }

    /// <summary>A state's worth and counts, what was laid in it last, and where the rest stands.</summary>
    private sealed class Labels(int states, int stride)
    {
        private readonly byte[] counts = new byte[states * stride];

        public int[] Worth { get; } = new int[states];

        public int[] Took { get; } = new int[states];

        public int[] Rest { get; } = new int[states];

        public long[] Size { get; } = new long[states];

        public ReadOnlySpan<byte> Of(int at) => counts.AsSpan(at * stride, stride);

        public void Clear()
        {
            Array.Clear(Worth);
            Array.Clear(counts);
            Array.Fill(Took, -1);
        }

        public void Keep(int at, int from)
        {
            Worth[at] = Worth[from];
            Of(from).CopyTo(counts.AsSpan(at * stride, stride));
            Took[at] = -1;
        }

        public void Set(int at, int worth, ReadOnlySpan<byte> sum, int took, int rest, long size)
        {
            Worth[at] = worth;
            sum.CopyTo(counts.AsSpan(at * stride, stride));
            (Took[at], Rest[at], Size[at]) = (took, rest, size);
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>
/// How a rectangle of a sheet is cut: into parts along one axis, or not at all. A part that holds no piece is left over; a piece
/// smaller than its part is trimmed out of the part's lower left corner.
/// </summary>
internal sealed record Layout(long Width, long Height)
{
    /// <summary>Which kind of piece lies here; -1 where none does.</summary>
    public int Piece { get; init; } = -1;

    public bool Turned { get; init; }

    /// <summary>What it is cut into, from the left or from the bottom; sizes along the axis add up to its own.</summary>
    public IReadOnlyList<Layout> Parts { get; init; } = [];

    public Axis Along { get; init; }

    public bool IsWaste => Piece < 0 && Parts.Count == 0;

    /// <summary>The same for parts that are cut alike.</summary>
    public string Key => Parts.Count == 0
        ? $"{Width}x{Height}:{Piece}"
        : $"{Width}x{Height}{Along}[{string.Join(' ', Parts.Select(p => p.Key))}]";

    public IEnumerable<Layout> Leaves => Parts.Count == 0 ? [this] : Parts.SelectMany(p => p.Leaves);

    /// <summary>What the trimmer is set to, cut after cut.</summary>
    public IEnumerable<long> Distances => Parts.Count == 0 ? []
        : Parts.SkipLast(1).Select(p => Along == Axis.X ? p.Width : p.Height).Concat(Parts.SelectMany(p => p.Distances));

    /// <summary>The area of the largest piece that is left over.</summary>
    public long LargestLeft => Leaves.Where(l => l.IsWaste).Select(l => l.Width * l.Height).DefaultIfEmpty(0).Max();

    /// <summary>How often each kind lies here.</summary>
    public int[] Counts(int kinds)
    {
        var counts = new int[kinds];
        foreach (var leaf in Leaves.Where(l => l.Piece >= 0))
        {
            counts[leaf.Piece]++;
        }

        return counts;
    }

    /// <summary>How many times the direction of the cuts changes on the way to a piece, trims apart.</summary>
    public int Stages => Parts.Count(p => !p.IsWaste) switch
    {
        0 => 0,

        // One part and what falls off beside it is a trim.
        1 => Parts.Max(p => p.Stages),
        _ => 1 + Parts.Max(p => p.StagesUnder(Along)),
    };

    /// <summary>Cuts along the same axis as before are of the same stage.</summary>
    private int StagesUnder(Axis axis) => Parts.Count(p => !p.IsWaste) > 1 && Along == axis ? Stages - 1 : Stages;

    /// <summary>The same with parts of parts along one axis lying side by side, and what is left over in one piece at the end.</summary>
    public Layout Tidy()
    {
        if (Parts.Count == 0)
        {
            return this;
        }

        var parts = Parts.Select(p => p.Tidy()).SelectMany(p => p.Parts.Count > 0 && p.Along == Along ? p.Parts : [p]).ToList();
        var waste = parts.Where(p => p.IsWaste).Sum(p => Along == Axis.X ? p.Width : p.Height);
        var used = parts.Where(p => !p.IsWaste)
            .OrderByDescending(p => Along == Axis.X ? p.Width : p.Height).ThenBy(p => p.Piece).ToList();
        if (used.Count == 0)
        {
            return new Layout(Width, Height);
        }

        if (waste > 0)
        {
            used.Add(Along == Axis.X ? new Layout(waste, Height) : new Layout(Width, waste));
        }

        return used.Count == 1 ? used[0] : this with { Parts = used };
    }

    /// <summary>The same with no part larger than what is in it needs: what is left over lies at the outside, in fewer and larger
    /// pieces.</summary>
    public Layout Tight() => Least() is { } least ? least.In(Width, Height).Tidy() : new Layout(Width, Height);

    /// <summary>As small as it goes; null where nothing is in it.</summary>
    private Layout? Least()
    {
        if (Parts.Count == 0)
        {
            return IsWaste ? null : this;
        }

        var parts = Parts.Select(p => p.Least()).OfType<Layout>().ToList();
        if (parts.Count < 2)
        {
            return parts.FirstOrDefault();
        }

        var (width, height) = Along == Axis.X ? (parts.Sum(p => p.Width), parts.Max(p => p.Height))
            : (parts.Max(p => p.Width), parts.Sum(p => p.Height));
        return new Layout(width, height)
        {
            Along = Along,
            Parts = [.. parts.Select(p => Along == Axis.X ? p.In(p.Width, height) : p.In(width, p.Height))],
        };
    }

    /// <summary>It in the lower left corner of a larger part: the rest is trimmed off.</summary>
    public Layout In(long width, long height)
    {
        if (Width == width && Height == height)
        {
            return this;
        }

        // The shorter of the two trims first, across all of the part: the longer one is then shorter.
        if (Width != width && (Height == height || height <= width))
        {
            return new Layout(width, height) { Along = Axis.X, Parts = [In(Width, height), new Layout(width - Width, height)] };
        }

        return new Layout(width, height) { Along = Axis.Y, Parts = [In(width, Height), new Layout(width, height - Height)] };
    }

    /// <summary>The same with so many of each kind and no more: what is too many is left over.</summary>
    public Layout Only(int[] left) => Piece >= 0
        ? left[Piece]-- > 0 ? this : new Layout(Width, Height)
        : this with { Parts = [.. Parts.Select(p => p.Only(left))] };
}

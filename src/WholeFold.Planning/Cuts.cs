using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>A layout as cuts in an order in which each can be made, pieces and what is left.</summary>
internal sealed class Cuts(Problem problem, Length hold)
{
    private readonly List<Cut> cuts = [];
    private readonly List<(int Kind, long X, long Y, long Width, long Height)> pieces = [];
    private readonly List<LeftOver> left = [];

    public IReadOnlyList<Cut> All => cuts;

    public IReadOnlyList<(int Kind, long X, long Y, long Width, long Height)> Pieces => pieces;

    public IReadOnlyList<LeftOver> Left => left;

    public static Cuts Of(Problem problem, Layout layout, Length hold)
    {
        var made = new Cuts(problem, hold);
        List<Lies> level = [new(layout, 0, 0, [])];
        while (level.Count > 0)
        {
            // All of one stage before the next, and equal parts one after the other: the trimmer keeps its setting.
            level = [.. level.GroupBy(l => l.Layout.Key).OrderByDescending(g => g.First().Layout.Width * g.First().Layout.Height)
                .SelectMany(g => made.Take([.. g]))];
        }

        return made;
    }

    /// <summary>Parts that are cut alike: each setting does all of them before it is changed.</summary>
    private List<Lies> Take(List<Lies> alike)
    {
        var layout = alike[0].Layout;
        if (layout.Piece >= 0)
        {
            var kind = problem.Kinds[layout.Piece];
            var (width, height) = layout.Turned ? (kind.Height, kind.Width) : (kind.Width, kind.Height);
            pieces.AddRange(alike.Select(l => (layout.Piece, l.X, l.Y, width, height)));
            return [];
        }

        if (layout.Parts.Count == 0)
        {
            left.AddRange(alike.Select(l => new LeftOver(new Length(l.X), new Length(l.Y), new Length(layout.Width),
                new Length(layout.Height))));
            return [];
        }

        var inside = new List<Lies>();
        var rest = alike.ToArray();
        for (int from = 0, to; from < layout.Parts.Count; from = to)
        {
            for (to = from + 1; to < layout.Parts.Count && Size(layout, to) == Size(layout, from); to++)
            {
            }

            for (var i = 0; i < rest.Length; i++)
            {
                for (var part = from; part < to; part++)
                {
                    inside.Add(rest[i] with { Layout = alike[i].Layout.Parts[part] });
                    if (part < layout.Parts.Count - 1)
                    {
                        Cut(layout.Along, Size(layout, part), ref rest[i]);
                        inside[^1] = inside[^1] with { Path = [.. inside[^1].Path, 0] };
                    }
                }
            }
        }

        return inside;
    }

    private static long Size(Layout layout, int part) => layout.Along == Axis.X ? layout.Parts[part].Width : layout.Parts[part].Height;

    /// <summary>Cuts so much off a part: what is behind it goes on as the part.</summary>
    private void Cut(Axis along, long at, ref Lies part)
    {
        var (width, height) = (part.Layout.Width, part.Layout.Height);
        cuts.Add(new Cut(cuts.Count + 1, along, new Length(at), part.Path, (new Length(width), new Length(height)),
            (along == Axis.X ? width : height) < hold.Units));
        part = along == Axis.X
            ? new Lies(new Layout(width - at, height), part.X + at, part.Y, [.. part.Path, 1])
            : new Lies(new Layout(width, height - at), part.X, part.Y + at, [.. part.Path, 1]);
    }

    /// <summary>A part where it lies, and by which cuts one comes to it.</summary>
    private sealed record Lies(Layout Layout, long X, long Y, IReadOnlyList<int> Path);
}

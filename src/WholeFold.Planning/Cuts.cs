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
        made.Take(layout, 0, 0, []);
        return made;
    }

    private void Take(Layout layout, long x, long y, IReadOnlyList<int> path)
    {
        if (layout.Piece >= 0)
        {
            var kind = problem.Kinds[layout.Piece];
            pieces.Add((layout.Piece, x, y, layout.Turned ? kind.Height : kind.Width, layout.Turned ? kind.Width : kind.Height));
            return;
        }

        if (layout.Parts.Count == 0)
        {
            left.Add(new LeftOver(new Length(x), new Length(y), new Length(layout.Width), new Length(layout.Height)));
            return;
        }

        // All cuts of a stage, then each part by itself: the trimmer keeps its setting for equal ones.
        var (width, height, of) = (layout.Width, layout.Height, path);
        var inside = new List<(Layout Part, long X, long Y, IReadOnlyList<int> Path)>();
        foreach (var (part, i) in layout.Parts.Select((p, i) => (p, i)))
        {
            if (i == layout.Parts.Count - 1)
            {
                inside.Add((part, x, y, of));
                break;
            }

            var along = layout.Along == Axis.X;
            var at = along ? part.Width : part.Height;
            cuts.Add(new Cut(cuts.Count + 1, layout.Along, new Length(at), of, (new Length(width), new Length(height)), (along ? width : height) < hold.Units));
            inside.Add((part, x, y, [.. of, 0]));
            (x, y, width, height) = along ? (x + at, y, width - at, height) : (x, y + at, width, height - at);
            of = [.. of, 1];
        }

        foreach (var (part, partX, partY, partPath) in inside)
        {
            Take(part, partX, partY, partPath);
        }
    }
}

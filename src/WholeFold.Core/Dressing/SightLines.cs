using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>How much of a face is seen straight on, as a share of what is free of it.</summary>
/// <param name="Hidden">The spots that something stands before, in the flat piece, each a square of the grid.</param>
public sealed record SightLine(RoleFace Face, string Pose, double Share, IReadOnlyList<Box> Hidden);

/// <summary>What is seen of each face: closed, through windows; shown, over the tiers before it.</summary>
internal static class SightLines
{
    private const int Across = 10, Up = 14;

    public static IReadOnlyList<SightLine> Of(Figures figures, Dressed dressed)
    {
        IEnumerable<IReadOnlyList<Point>> Holes(PlateRef plate) => dressed.Windows.Where(w => w.GoesThrough(0))
            .SelectMany(w => w.On.Where(o => o.Face.Plate == plate.Plate && o.Face.Copies.Contains(plate.Piece)).Select(o => o.Outline));
        var lines = new List<SightLine>();
        foreach (var frame in new[] { Motion.JustAjar(figures), Motion.OnTheTable(figures) })
        {
            var sight = new Sight(figures, frame, Holes);
            foreach (var face in dressed.Roles.All.SelectMany(r => r.Faces).Where(f => sight.Frames.ContainsKey(f.Ref)))
            {
                var (box, reference) = (face.Open.Box, new FaceRef(face.Ref, face.Face));
                var (wide, high) = (box.Width.Units / (double)Across, box.Height.Units / (double)Up);
                var spots = Spots(box, Across, Up);
                List<Box> hidden = [.. spots.Zip(sight.AreSeen(reference, spots)).Where(s => !s.Second).Select(s => s.First)
                    .Select(s => new Box(new Length((long)(s.X - (wide / 2))), new Length((long)(s.Y - (high / 2))), new Length((long)(s.X + (wide / 2))), new Length((long)(s.Y + (high / 2)))))];
                lines.Add(new SightLine(face, frame.Name!, 1 - (hidden.Count / (double)(Across * Up)), hidden));
            }
        }

        return lines;
    }

    /// <summary>The middles of so many equal parts of a box, across and up.</summary>
    public static List<(double X, double Y)> Spots(Box box, int across, int up) =>
        [.. from i in Enumerable.Range(0, across) from j in Enumerable.Range(0, up)
        select (box.Left.Units + (box.Width.Units / (double)across * (i + 0.5)),
            box.Bottom.Units + (box.Height.Units / (double)up * (j + 0.5)))];
}

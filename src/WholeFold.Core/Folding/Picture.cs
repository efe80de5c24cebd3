using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A shape of a picture, already seen from where one stands: x to the right, y up, in units.</summary>
/// <param name="Holes">What is cut out of it.</param>
/// <param name="Light">How much light falls on it, 0 to 1.</param>
/// <param name="Inside">True where the face that was up on the board is seen.</param>
/// <param name="IsLayer">Decoration on a panel, not the panel.</param>
public sealed record Shape(string Piece, string Plate, IReadOnlyList<(double X, double Y)> Corners, IReadOnlyList<IReadOnlyList<(double X, double Y)>> Holes, double Light, bool Inside, bool IsLayer);

/// <summary>The folded card seen a little from above and from one side, what is farthest away first.</summary>
public sealed record Picture(IReadOnlyList<Shape> Shapes)
{
    // A third of a right angle from the side, a quarter of one from above: so one looks at a card on a table.
    private const double Aside = 28, Above = 22;

    /// <summary>What lies on another piece stands this far off it, so that it is not hidden in it.</summary>
    private static readonly Length Lift = Length.Mm(0.4m);

    private static readonly Vec Lamp = new(-0.35, 0.6, 0.72);

    public static Picture Of(SizedDesign sized, MotionFrame frame)
    {
        ArgumentNullException.ThrowIfNull(sized);
        ArgumentNullException.ThrowIfNull(frame);
        var assembly = Assembly.Of(sized.Construction, sized.Pieces, sized.Evaluator, (piece, crease) => frame.Angles[(piece.Piece.Id, crease)], Lift.Units);
        var first = sized.Pieces[0];
        var still = first.Plates.MaxBy(p => p.Box.Width.Units * p.Box.Height.Units)!;

        // One looks at the largest panel of the first piece, standing, its inside towards one.
        var toTable = assembly.Frames[Assembly.Key(first.Piece.Copies.First(), still.Id)].Inverse;
        var gone = sized.Construction.Bonds.Where(b => b.TakenOff && frame.Share > 0).Select(b => b.PieceB).ToHashSet();
        gone.UnionWith(sized.Construction.Bonds.Where(b => gone.Contains(b.PieceA)).Select(b => b.PieceB));
        var shapes = new List<(double Depth, Shape Shape)>();
        foreach (var (id, piece) in sized.Pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))).Where(p => !gone.Contains(p.id)))
        {
            foreach (var plate in piece.Plates)
            {
                var at = toTable.Of(assembly.Frames[Assembly.Key(id, plate.Id)]);
                (double X, double Y, double Z) See(Point p, double lift) => Seen(sized.Construction.Up, at.Apply(new Vec(p.X.Units, p.Y.Units, lift)));
                Shape Draw(IEnumerable<Point> corners, IEnumerable<IReadOnlyList<Point>> holes, double lift, bool layer) => new(
                    id, plate.Id,
                    [.. corners.Select(c => See(c, lift)).Select(c => (c.X, c.Y))],
                    [.. holes.Select(h => (IReadOnlyList<(double, double)>)[.. h.Select(c => See(c, lift)).Select(c => (c.X, c.Y))])],
                    LightOn(sized.Construction.Up, at.Ez), Faces(sized.Construction.Up, at.Ez), layer);
                var depth = plate.Corners.Average(c => See(c, 0).Z);
                var holes = piece.Openings.Where(o => o.Opening.Panel == plate.Id && o.Opening.Kind == CutKind.Window).Select(o => o.Corners).ToList();
                shapes.Add((depth, Draw(plate.Corners, holes, 0, false)));

                // Layers on the face that is seen, just in front of it.
                foreach (var layer in sized.Layers.Where(l => l.Role.Piece == piece.Piece.Id && l.Panels.Contains(plate.Id) && (l.Role.BothFaces || l.Role.Face == Face.Up == Faces(sized.Construction.Up, at.Ez))))
                {
                    var box = layer.BoxOn(plate.Id);
                    var lift = (layer.Role.BothFaces ? Faces(sized.Construction.Up, at.Ez) : layer.Role.Face == Face.Up) ? Lift.Units / 2d : -Lift.Units / 2d;
                    shapes.Add((depth + Lift.Units / 4d, Draw([new(box.Left, box.Bottom), new(box.Right, box.Bottom), new(box.Right, box.Top), new(box.Left, box.Top)], holes, lift * layer.Level, true)));
                }
            }
        }

        return new Picture([.. shapes.OrderBy(s => s.Depth).Select(s => s.Shape)]);
    }

    /// <summary>Turned and tilted as one looks at it; the last is the distance towards the eye.</summary>
    private static (double X, double Y, double Z) Seen(Axis up, Vec p)
    {
        var (x, y) = up == Axis.Y ? (p.X, p.Y) : (-p.Y, p.X);
        const double Turn = Aside * Math.PI / 180, Tilt = Above * Math.PI / 180;
        var (across, towards) = ((x * Math.Cos(Turn)) + (p.Z * Math.Sin(Turn)), (p.Z * Math.Cos(Turn)) - (x * Math.Sin(Turn)));
        return (across, (y * Math.Cos(Tilt)) - (towards * Math.Sin(Tilt)), (towards * Math.Cos(Tilt)) + (y * Math.Sin(Tilt)));
    }

    private static bool Faces(Axis up, Vec normal) => Seen(up, normal).Z >= 0;

    private static double LightOn(Axis up, Vec normal)
    {
        var (x, y, z) = Seen(up, normal);
        return Math.Round(Math.Abs((x * Lamp.X) + (y * Lamp.Y) + (z * Lamp.Z)) / Lamp.Length, 2);
    }
}

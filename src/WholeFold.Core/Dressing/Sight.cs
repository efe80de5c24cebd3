using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>Where a line of sight meets a plate.</summary>
/// <param name="X">In the flat piece.</param>
internal sealed record Hit(FaceRef On, double X, double Y, double Far);

/// <summary>
/// What of a card can be seen in a pose: from a spot on a face a line of sight goes out, and meets another plate or does not.
/// </summary>
internal sealed class Sight
{
    /// <summary>A spot this far off its face does not meet the face itself: 0.02 mm.</summary>
    private const double Off = 6;

    /// <summary>What is folded right over lies at this angle still, so that the two plies are told apart.</summary>
    private const double FoldedOver = 177;

    private readonly IReadOnlyList<Sheet> _sheets;

    private sealed record Sheet(PlateRef Plate, RigidTransform At, RigidTransform Inverse, IReadOnlyList<IReadOnlyList<(double X, double Y)>> Rings, (double Left, double Low, double Right, double High) Box);

    /// <param name="holes">What the dressing cuts out of a plate, beside its own openings.</param>
    public Sight(Figures figures, MotionFrame frame, Func<PlateRef, IEnumerable<IReadOnlyList<Point>>>? holes = null)
    {
        var gone = frame.Name == "closed" ? new HashSet<PieceRef>() : figures.Construction.TakenOff;
        var assembly = Assembly.Of(figures.Construction, figures.Pieces, figures.Evaluator,
            (piece, crease) => Math.Clamp(frame.Angles[new CreaseRef(piece.Piece.Id, crease)], -FoldedOver, FoldedOver), lift: 2 * Off);
        Frames = assembly.Frames.Where(f => !gone.Contains(f.Key.Piece)).ToDictionary(f => f.Key, f => f.Value);
        _sheets = [.. Frames.Select(f => Of(figures, f.Key, f.Value, holes?.Invoke(f.Key) ?? []))];
    }

    /// <summary>Where each plate lies.</summary>
    public IReadOnlyDictionary<PlateRef, RigidTransform> Frames { get; }

    /// <summary>The ways one looks at a face: straight, and from eight sides at half a right angle.</summary>
    private static readonly Vec[] Ways = [new(0, 0, 1), .. Enumerable.Range(0, 8).Select(i => new Vec(Math.Cos(i * Math.PI / 4), Math.Sin(i * Math.PI / 4), 1))];

    /// <summary>Whether anything of a face is seen from outside the card.</summary>
    /// <param name="spots">Where it is looked for, in the flat piece.</param>
    /// <param name="least">At how many of them it must be seen.</param>
    public bool Sees(FaceRef face, IReadOnlyList<(double X, double Y)> spots, int least)
    {
        if (!Frames.TryGetValue(face.Plate, out var at))
        {
            return false;
        }

        var side = face.Face == Face.Up ? 1 : -1;
        var seen = 0;
        for (var i = 0; i < spots.Count && seen < least && spots.Count - i >= least - seen; i++)
        {
            var from = at.Apply(new Vec(spots[i].X, spots[i].Y, side * Off));
            foreach (var way in Ways)
            {
                if (IsFree(face.Plate, from, (at.Ex * way.X) + (at.Ey * way.Y) + (at.Ez * (side * way.Z))))
                {
                    seen++;
                    break;
                }
            }
        }

        return seen >= least;
    }

    /// <summary>The plates that a line from a spot meets, the nearest first.</summary>
    public IEnumerable<(PlateRef Plate, double Far)> Met(Vec from, Vec way) =>
        _sheets.Select(s => (s.Plate, Far: Far(s, from, way))).Where(m => m.Far is not null).Select(m => (m.Plate, m.Far!.Value)).OrderBy(m => m.Item2);

    /// <summary>Whether a straight line from a spot on a face goes out without meeting a plate.</summary>
    /// <param name="way">Which way; straight off the face where it is not said.</param>
    public bool IsSeen(FaceRef face, double x, double y, Vec? way = null)
    {
        var at = Frames[face.Plate];
        var side = face.Face == Face.Up ? 1 : -1;
        return IsFree(face.Plate, at.Apply(new Vec(x, y, side * Off)), way ?? (at.Ez * side));
    }

    /// <summary>What lies straight off a spot on a face, the nearest first.</summary>
    public IEnumerable<(PlateRef Plate, double Far)> Over(FaceRef face, double x, double y)
    {
        var at = Frames[face.Plate];
        var side = face.Face == Face.Up ? 1 : -1;
        return Met(at.Apply(new Vec(x, y, side * Off)), at.Ez * side).Where(m => m.Plate != face.Plate);
    }

    /// <summary>Where a line straight off a spot on a face first meets another plate; null where it goes out.</summary>
    public Hit? Nearest(FaceRef face, double x, double y)
    {
        var (at, side) = (Frames[face.Plate], face.Face == Face.Up ? 1 : -1);
        if (Over(face, x, y).Cast<(PlateRef Plate, double Far)?>().FirstOrDefault() is not { } met)
        {
            return null;
        }

        var (other, way) = (Frames[met.Plate], at.Ez * side);
        var spot = other.Inverse.Apply(at.Apply(new Vec(x, y, side * Off)) + (way * met.Far));
        return new Hit(new FaceRef(met.Plate, other.Ez.Dot(way) < 0 ? Face.Up : Face.Down), spot.X, spot.Y, met.Far);
    }

    private bool IsFree(PlateRef own, Vec from, Vec way)
    {
        foreach (var sheet in _sheets)
        {
            if (sheet.Plate != own && Far(sheet, from, way) is not null)
            {
                return false;
            }
        }

        return true;
    }

    private static double? Far(Sheet sheet, Vec from, Vec way)
    {
        // In the plate's own plane: where the line comes through it, and whether the plate is there.
        var start = sheet.Inverse.Apply(from);
        var dz = sheet.At.Ez.Dot(way);
        if (Math.Abs(dz) < 1e-9)
        {
            return null;
        }

        var far = -start.Z / dz;
        if (far <= 0)
        {
            return null;
        }

        var (x, y) = (start.X + (far * sheet.At.Ex.Dot(way)), start.Y + (far * sheet.At.Ey.Dot(way)));
        if (x < sheet.Box.Left || x > sheet.Box.Right || y < sheet.Box.Low || y > sheet.Box.High)
        {
            return null;
        }

        var inside = false;
        foreach (var ring in sheet.Rings)
        {
            for (int i = 0, j = ring.Count - 1; i < ring.Count; j = i++)
            {
                var (a, b) = (ring[i], ring[j]);
                if (a.Y > y != b.Y > y && x < ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y)) + a.X)
                {
                    inside = !inside;
                }
            }
        }

        return inside ? far : null;
    }

    private static Sheet Of(Figures figures, PlateRef plate, RigidTransform at, IEnumerable<IReadOnlyList<Point>> holes)
    {
        var sized = figures.PlateOf(plate);
        IReadOnlyList<IReadOnlyList<(double, double)>> rings = [.. figures.PieceOf(plate.Piece).HolesIn(sized).Concat(holes).Prepend(sized.Corners).Select(r => (IReadOnlyList<(double, double)>)[.. r.Select(c => ((double)c.X.Units, (double)c.Y.Units))])];
        return new Sheet(plate, at, at.Inverse, rings, (sized.Box.Left.Units, sized.Box.Bottom.Units, sized.Box.Right.Units, sized.Box.Top.Units));
    }
}

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

    private sealed record Sheet(PlateRef Plate, RigidTransform At, RigidTransform Inverse, IReadOnlyList<IReadOnlyList<(double X, double Y)>> Rings,
        (double Left, double Low, double Right, double High) Box);

    /// <param name="holes">What the dressing cuts out of a plate, beside its own openings.</param>
    public Sight(Figures figures, MotionFrame frame, Func<PlateRef, IEnumerable<IReadOnlyList<Point>>>? holes = null)
    {
        var gone = frame.Name == "closed" ? new HashSet<PieceRef>() : figures.Construction.TakenOff;
        var assembly = Linkage.For(figures).At(crease => Math.Clamp(frame.Angles[crease], -FoldedOver, FoldedOver), lift: 2 * Off);
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
        var looks = Ways.Select(way => LookFrom(face.Plate, at, side, new Vec(way.X, way.Y, side * way.Z))).ToList();
        var seen = 0;
        for (var i = 0; i < spots.Count && seen < least && spots.Count - i >= least - seen; i++)
        {
            if (looks.Exists(look => IsFree(look, spots[i].X, spots[i].Y)))
            {
                seen++;
            }
        }

        return seen >= least;
    }

    /// <summary>A sheet as it lies to whoever looks from a plate one certain way: where the foot of a line of sight is, how it runs, all in the sheet's own flat.</summary>
    /// <param name="Reach">From where on the plate it can be met at all.</param>
    private readonly record struct Before(Sheet Sheet, Vec Ex, Vec Ey, Vec Foot, Vec Way, (double Left, double Low, double Right, double High) Reach);

    /// <summary>All the sheets that a line of sight could meet at all.</summary>
    /// <param name="way">As the plate lies.</param>
    private List<Before> LookFrom(PlateRef own, RigidTransform at, int side, Vec way)
    {
        var before = new List<Before>();
        foreach (var sheet in _sheets.Where(s => s.Plate != own))
        {
            var to = sheet.Inverse.Compose(at);
            var run = (to.Ex * way.X) + (to.Ey * way.Y) + (to.Ez * way.Z);
            if (Math.Abs(run.Z) >= Along && ReachOf(sheet, to.Inverse, side, way) is { } reach)
            {
                before.Add(new Before(sheet, to.Ex, to.Ey, to.Move + (to.Ez * (side * Off)), run, reach));
            }
        }

        return before;
    }

    /// <summary>The spots of a plate from which lines go to the box round a sheet; null where all of it lies behind the plate.</summary>
    private static (double Left, double Low, double Right, double High)? ReachOf(Sheet sheet, RigidTransform back, int side, Vec way)
    {
        var (left, low, right, high, before) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue, false);
        foreach (var (x, y) in new[] { (sheet.Box.Left, sheet.Box.Low), (sheet.Box.Right, sheet.Box.Low), (sheet.Box.Right, sheet.Box.High), (sheet.Box.Left, sheet.Box.High) })
        {
            var corner = back.Apply(x, y);
            var far = (corner.Z - (side * Off)) / way.Z;
            var (footX, footY) = (corner.X - (far * way.X), corner.Y - (far * way.Y));
            (left, low, right, high, before) = (Math.Min(left, footX), Math.Min(low, footY), Math.Max(right, footX), Math.Max(high, footY), before || far > 0);
        }

        return before ? (left, low, right, high) : null;
    }

    /// <summary>A line that runs along a sheet does not meet it.</summary>
    private const double Along = 1e-9;

    /// <summary>What doubles lose on a card.</summary>
    private const double Near = 1e-3;

    private static bool IsFree(List<Before> look, double x, double y)
    {
        foreach (var b in look)
        {
            if (x >= b.Reach.Left - Near && x <= b.Reach.Right + Near && y >= b.Reach.Low - Near && y <= b.Reach.High + Near && Far(b.Sheet, b.Foot + (b.Ex * x) + (b.Ey * y), b.Way) is not null)
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>Of many spots on a face, whether each is seen straight on.</summary>
    public IEnumerable<bool> AreSeen(FaceRef face, IEnumerable<(double X, double Y)> spots)
    {
        var side = face.Face == Face.Up ? 1 : -1;
        var look = LookFrom(face.Plate, Frames[face.Plate], side, new Vec(0, 0, side));
        return spots.Select(s => IsFree(look, s.X, s.Y));
    }

    /// <summary>The plates that a line from a spot meets, the nearest first.</summary>
    public IEnumerable<(PlateRef Plate, double Far)> Met(Vec from, Vec way) =>
        _sheets.Select(s => (s.Plate, Far: Far(s, s.Inverse.Apply(from), new Vec(s.At.Ex.Dot(way), s.At.Ey.Dot(way), s.At.Ez.Dot(way)))))
            .Where(m => m.Far is not null).Select(m => (m.Plate, m.Far!.Value)).OrderBy(m => m.Item2);

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

    /// <param name="start">The foot of the line, in the sheet's own flat; <paramref name="way"/> too.</param>
    private static double? Far(Sheet sheet, Vec start, Vec way)
    {
        if (Math.Abs(way.Z) < Along)
        {
            return null;
        }

        var far = -start.Z / way.Z;
        if (far <= 0)
        {
            return null;
        }

        var (x, y) = (start.X + (far * way.X), start.Y + (far * way.Y));
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
        IReadOnlyList<IReadOnlyList<(double, double)>> rings =
            [.. figures.PieceOf(plate.Piece).HolesIn(sized).Concat(holes).Prepend(sized.Corners)
            .Select(r => (IReadOnlyList<(double, double)>)[.. r.Select(c => ((double)c.X.Units, (double)c.Y.Units))])];
        return new Sheet(plate, at, at.Inverse, rings, (sized.Box.Left.Units, sized.Box.Bottom.Units, sized.Box.Right.Units, sized.Box.Top.Units));
    }
}

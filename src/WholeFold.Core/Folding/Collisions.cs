using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>Two plates that pass through each other.</summary>
/// <param name="Deep">How far each reaches through the other at the least.</param>
public sealed record Collision(PlateRef One, PlateRef Other, Length Deep);

/// <summary>
/// What of a card passes through itself in a pose. Two plates cross where their planes meet along a line that runs through the
/// inside of both; touching along an edge or a crease is no crossing.
/// </summary>
public static class Collisions
{
    /// <summary>A card gives way so far: a flap that brushes past another bends by as much.</summary>
    internal static readonly Length Gives = Length.Mm(2);

    /// <summary>How finely depth is told, in units.</summary>
    private const double Fine = 16;

    /// <summary>Planes that lie within this sine of each other touch along their faces and do not cross.</summary>
    private const double Level = 0.02;

    /// <summary>The deepest crossing in a frame of a card's motion; null where there is none worth the name.</summary>
    public static Collision? In(Figures figures, MotionFrame frame)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(frame);
        var assembly = Assembly.Of(figures, frame);
        var gone = frame.Share > 0 ? figures.Construction.TakenOff : new HashSet<PieceRef>();
        var plates = assembly.Frames.Where(f => !gone.Contains(f.Key.Piece)).Select(f => new Sheet(f.Key, figures.PlateOf(f.Key).Corners, Holes(figures, f.Key), f.Value)).ToList();
        var worst = (Collision?)null;
        for (var i = 0; i < plates.Count; i++)
        {
            for (var j = 0; j < i; j++)
            {
                if (Depth(plates[i], plates[j]) is var deep && deep > Gives.Units && deep > (worst?.Deep.Units ?? 0))
                {
                    worst = new Collision(plates[j].Plate, plates[i].Plate, new Length((long)deep));
                }
            }
        }

        return worst;
    }

    private static List<IReadOnlyList<Point>> Holes(Figures figures, PlateRef plate) =>
        [.. figures.PieceOf(plate.Piece).HolesIn(figures.PlateOf(plate))];

    /// <summary>How deep two plates are in each other: how far from the line that they share one can go on both sides and be inside both.</summary>
    private static double Depth(Sheet one, Sheet other)
    {
        var along = one.Normal.Cross(other.Normal);
        if (along.Length < Level || !one.Meets(other))
        {
            return 0;
        }

        // A point of both planes: the nearest to the one's first corner.
        along *= 1 / along.Length;
        var foot = one.Corner + (one.Normal.Cross(along) * (other.Normal.Dot(other.Corner - one.Corner) / other.Normal.Dot(one.Normal.Cross(along))));
        var deepest = 0d;
        foreach (var (from, to) in Common(one.Crossings(foot, along), other.Crossings(foot, along)))
        {
            // The middle of what is common, and both its quarters.
            foreach (var share in new[] { 0.25, 0.5, 0.75 })
            {
                var at = foot + (along * (from + ((to - from) * share)));
                deepest = Math.Max(deepest, Math.Min((to - from) / 2, Math.Min(one.Clear(at, along), other.Clear(at, along))));
            }
        }

        return deepest;
    }

    private static IEnumerable<(double From, double To)> Common(IReadOnlyList<(double From, double To)> one, IReadOnlyList<(double From, double To)> other) =>
        from a in one from b in other let low = Math.Max(a.From, b.From) let high = Math.Min(a.To, b.To) where high - low > Fine select (low, high);

    /// <summary>A plate where it lies in space.</summary>
    private sealed class Sheet
    {
        private readonly List<IReadOnlyList<(double X, double Y)>> _rings;
        private readonly RigidTransform _inverse;
        private readonly (Vec Low, Vec High) _box;

        public Sheet(PlateRef plate, IReadOnlyList<Point> corners, IEnumerable<IReadOnlyList<Point>> holes, RigidTransform at)
        {
            (Plate, _inverse, Normal) = (plate, at.Inverse, at.Ez);
            _rings = [.. holes.Prepend(corners).Select(r => (IReadOnlyList<(double, double)>)[.. r.Select(c => ((double)c.X.Units, (double)c.Y.Units))])];
            var placed = corners.Select(c => at.Apply(c.X.Units, c.Y.Units)).ToList();
            Corner = placed[0];
            _box = (new Vec(placed.Min(p => p.X), placed.Min(p => p.Y), placed.Min(p => p.Z)), new Vec(placed.Max(p => p.X), placed.Max(p => p.Y), placed.Max(p => p.Z)));
        }

        public PlateRef Plate { get; }

        public Vec Normal { get; }

        public Vec Corner { get; }

        public bool Meets(Sheet other) =>
            _box.Low.X < other._box.High.X && other._box.Low.X < _box.High.X && _box.Low.Y < other._box.High.Y && other._box.Low.Y < _box.High.Y
                && _box.Low.Z < other._box.High.Z && other._box.Low.Z < _box.High.Z;

        /// <summary>The stretches of a line of its plane that lie on it.</summary>
        public IReadOnlyList<(double From, double To)> Crossings(Vec foot, Vec along)
        {
            var (start, end) = (_inverse.Apply(foot), _inverse.Apply(foot + along));
            var (dx, dy) = (end.X - start.X, end.Y - start.Y);
            var cuts = new List<double>();
            foreach (var ring in _rings)
            {
                for (var i = 0; i < ring.Count; i++)
                {
                    var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                    var (sideA, sideB) = (Side(a), Side(b));
                    if (sideA > 0 != sideB > 0)
                    {
                        var t = sideA / (sideA - sideB);
                        cuts.Add(((a.X + (t * (b.X - a.X)) - start.X) * dx) + ((a.Y + (t * (b.Y - a.Y)) - start.Y) * dy));
                    }
                }
            }

            cuts.Sort();
            return [.. Enumerable.Range(0, cuts.Count / 2).Select(i => (cuts[2 * i], cuts[(2 * i) + 1]))];

            double Side((double X, double Y) p) => (dx * (p.Y - start.Y)) - (dy * (p.X - start.X));
        }

        /// <summary>How far one can go from a point of a line, square to it, to both sides and stay on the plate.</summary>
        public double Clear(Vec at, Vec along)
        {
            var (point, next) = (_inverse.Apply(at), _inverse.Apply(at + along));
            var across = (X: -(next.Y - point.Y), Y: next.X - point.X);
            var (near, far) = (double.MaxValue, double.MaxValue);
            foreach (var ring in _rings)
            {
                for (var i = 0; i < ring.Count; i++)
                {
                    var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
                    double Off((double X, double Y) p) => ((p.X - point.X) * across.Y) - ((p.Y - point.Y) * across.X);
                    var (offA, offB) = (Off(a), Off(b));
                    if (offA > 0 != offB > 0)
                    {
                        var t = offA / (offA - offB);
                        var hit = ((a.X + (t * (b.X - a.X)) - point.X) * across.X) + ((a.Y + (t * (b.Y - a.Y)) - point.Y) * across.Y);
                        (near, far) = hit > 0 ? (near, Math.Min(far, hit)) : (Math.Min(near, -hit), far);
                    }
                }
            }

            return near is double.MaxValue || far is double.MaxValue ? 0 : Math.Min(near, far);
        }
    }
}

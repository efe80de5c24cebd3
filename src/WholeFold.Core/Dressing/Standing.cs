using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>How a card stands on a table once it is shown.</summary>
/// <param name="Degrees">How far it may be tipped, towards the side where that is least, before it falls; less than nothing where it falls by itself.</param>
/// <param name="High">How high its centre of gravity is.</param>
/// <param name="Grams">What it weighs.</param>
public sealed record Standing(double Degrees, Length High, double Grams)
{
    /// <summary>A foot reaches so far up from the table: what is nearer than that touches it.</summary>
    private static readonly Length Touches = Length.Mm(0.6m);

    /// <summary>Worked out from the weight of every plate and of all that lies on it; null of a card that does not stand.</summary>
    public static Standing? Of(Figures figures, IReadOnlyList<Body> bodies)
    {
        ArgumentNullException.ThrowIfNull(figures);
        if (figures.Construction.Does != Effect.Stands)
        {
            return null;
        }

        var frame = Motion.OnTheTable(figures);
        var frames = Assembly.Of(figures, frame).Frames;
        var looked = ReadFrom.Of(figures);
        var at = frames[looked.Plate];
        var up = (at.Ex * looked.Way.X) + (at.Ey * looked.Way.Y);
        var (east, north) = (up.Cross(at.Ez) * -1, at.Ez);

        double weight = 0, lowest = double.MaxValue;
        var moment = default(Vec);
        var corners = new List<Vec>();
        void Add(RigidTransform frame, IReadOnlyList<Point> outline, double gramsPerSquareMetre)
        {
            var shape = Plane.Shape(outline);
            var grams = shape.Area / Math.Pow(Length.PerMillimetre * 1000d, 2) * gramsPerSquareMetre;
            weight += grams;
            moment += frame.Apply(shape.Centroid.X, shape.Centroid.Y) * grams;
        }

        foreach (var (id, piece) in figures.Pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))))
        {
            var stock = figures.Design.StockOf(piece.Piece.Id).Weighs;
            foreach (var plate in piece.Plates)
            {
                var here = frames[new PlateRef(id, plate.Id)];
                Add(here, plate.Corners, stock);
                foreach (var hole in piece.HolesIn(plate))
                {
                    Add(here, hole, -stock);
                }

                foreach (var body in bodies.Where(b => b.Plate == plate.Id && b.Copies.Contains(id)))
                {
                    Add(here, body.Outline, body.Weighs);
                }

                corners.AddRange(plate.Corners.Select(c => here.Apply(c.X.Units, c.Y.Units)));
            }
        }

        var centre = moment / weight;
        lowest = corners.Min(c => c.Dot(up));
        var feet = corners.Where(c => c.Dot(up) - lowest <= Touches.Units).Select(c => (X: c.Dot(east), Y: c.Dot(north))).ToList();
        var high = centre.Dot(up) - lowest;
        return new Standing(Math.Atan2(Inside(Hull(feet), (centre.Dot(east), centre.Dot(north))), high) * 180 / Math.PI, new Length((long)high), weight);
    }

    /// <summary>How far a point is inside a hull, from its nearest side; less than nothing where it is outside.</summary>
    private static double Inside(IReadOnlyList<(double X, double Y)> hull, (double X, double Y) at)
    {
        var least = double.MaxValue;
        for (var i = 0; i < hull.Count; i++)
        {
            var (a, b) = (hull[i], hull[(i + 1) % hull.Count]);
            var (dx, dy) = (b.X - a.X, b.Y - a.Y);
            var length = Math.Sqrt((dx * dx) + (dy * dy));
            if (length > 0)
            {
                least = Math.Min(least, ((dx * (at.Y - a.Y)) - (dy * (at.X - a.X))) / length);
            }
        }

        return hull.Count < 3 ? -1 : least;
    }

    /// <summary>The corners that a thread round all points touches, counter-clockwise.</summary>
    private static IReadOnlyList<(double X, double Y)> Hull(IReadOnlyList<(double X, double Y)> points)
    {
        var shape = new NetTopologySuite.Geometries.GeometryFactory().CreateMultiPointFromCoords([.. points.Select(p => new NetTopologySuite.Geometries.Coordinate(p.X, p.Y))]).ConvexHull();
        return shape is NetTopologySuite.Geometries.Polygon hull ? [.. hull.Normalized().Coordinates.SkipLast(1).Reverse().Select(c => (c.X, c.Y))] : points;
    }
}

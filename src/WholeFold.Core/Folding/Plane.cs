using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Folding;

/// <summary>Flat shapes as the library for plane geometry has them: unions, differences, offsets.</summary>
internal static class Plane
{
    private static readonly GeometryFactory Factory = new();

    /// <summary>Corners stay corners, as a blade cuts them.</summary>
    private static readonly BufferParameters Mitred = new() { JoinStyle = JoinStyle.Mitre, MitreLimit = 10 };

    public static Geometry Shape(IEnumerable<(double X, double Y)> corners)
    {
        var ring = corners.Select(c => new Coordinate(c.X, c.Y)).ToList();
        var shape = Factory.CreatePolygon([.. ring, ring[0].Copy()]);
        return shape.IsValid ? shape : shape.Buffer(0);
    }

    public static Geometry Shape(IEnumerable<Measure.Point> corners) => Shape(corners.Select(c => ((double)c.X.Units, (double)c.Y.Units)));

    public static Geometry Rectangle(Envelope box) => Factory.ToGeometry(box);

    /// <summary>Whether a spot is inside a ring of corners.</summary>
    public static bool Covers(IReadOnlyList<Measure.Point> ring, double x, double y)
    {
        var inside = false;
        for (int i = 0, j = ring.Count - 1; i < ring.Count; j = i++)
        {
            var (a, b) = (ring[i], ring[j]);
            if (a.Y.Units > y != b.Y.Units > y && x < ((b.X.Units - a.X.Units) * (y - a.Y.Units) / (double)(b.Y.Units - a.Y.Units)) + a.X.Units)
            {
                inside = !inside;
            }
        }

        return inside;
    }

    public static Geometry Union(IEnumerable<Geometry> shapes) => Factory.BuildGeometry([.. shapes]).Buffer(0);

    /// <summary>Grown by a distance all round, or shrunk where it is less than nothing.</summary>
    public static Geometry Offset(Geometry shape, double by) => shape.Buffer(by, Mitred);

    /// <summary>Its parts that have an area.</summary>
    public static IEnumerable<Polygon> Parts(Geometry shape) => Enumerable.Range(0, shape.NumGeometries).Select(shape.GetGeometryN).OfType<Polygon>().Where(p => !p.IsEmpty);

    /// <summary>A ring in whole units, counter-clockwise, without corners on a line.</summary>
    public static IReadOnlyList<Measure.Point> Corners(LineString ring)
    {
        var all = ring.Coordinates.Select(c => new Measure.Point(new Length((long)Math.Round(c.X)), new Length((long)Math.Round(c.Y)))).ToList();
        all.RemoveAt(all.Count - 1);
        if (ring is LinearRing && NetTopologySuite.Algorithm.Orientation.IsCCW(ring.CoordinateSequence) is false)
        {
            all.Reverse();
        }

        // A corner within a unit of the line between its neighbours is none.
        for (var i = 0; i < all.Count && all.Count > 3;)
        {
            var (a, b, c) = (all[(i + all.Count - 1) % all.Count], all[i], all[(i + 1) % all.Count]);
            double dx = c.X.Units - a.X.Units, dy = c.Y.Units - a.Y.Units;
            var off = Math.Abs((dx * (b.Y.Units - a.Y.Units)) - (dy * (b.X.Units - a.X.Units))) / Math.Max(1, Math.Sqrt((dx * dx) + (dy * dy)));
            if (off <= 1)
            {
                all.RemoveAt(i);
            }
            else
            {
                i++;
            }
        }

        return all;
    }

    /// <summary>So much on either side of a line.</summary>
    public static Geometry Strip(Measure.Point from, Measure.Point to, double wide) =>
        Factory.CreateLineString([new Coordinate(from.X.Units, from.Y.Units), new Coordinate(to.X.Units, to.Y.Units)]).Buffer(wide, new BufferParameters { EndCapStyle = EndCapStyle.Flat });

    public static Box Round(Geometry shape)
    {
        var e = shape.EnvelopeInternal;
        return new Box(new Length((long)Math.Round(e.MinX)), new Length((long)Math.Round(e.MinY)), new Length((long)Math.Round(e.MaxX)), new Length((long)Math.Round(e.MaxY)));
    }

    /// <summary>Whether a shape fills the rectangle round it, but for what rounding leaves.</summary>
    public static bool IsRectangle(Geometry shape) => shape is Polygon { NumInteriorRings: 0 } && shape.EnvelopeInternal.Area - shape.Area <= 4 * shape.Length;
}

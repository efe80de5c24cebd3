using NetTopologySuite.Geometries;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Point = WholeFold.Core.Measure.Point;

namespace WholeFold.Core.Guide;

/// <summary>How far the adhesive of a bond may go: as far as its two plates lie on each other.</summary>
/// <remarks>
/// A plate ends at its creases and bonded plates never move against each other, so what both cover stays together in every pose.
/// Beyond it the one would be glued to a neighbour of the other that moves.
/// </remarks>
internal static class Overlap
{
    /// <summary>The size of the largest rectangle that both plates cover round the patch, across and along the plate that is bonded to.</summary>
    public static (Length Width, Length Height) Of(Figures figures, Bond bond)
    {
        static Vec Flat(Point p) => new(p.X.Units, p.Y.Units, 0);
        IReadOnlyList<Vec> Region(BondSide side) => [.. side.Region.Anchors.Select(figures.ValueOf).Select(Flat)];
        var onto = RigidTransform.Laid(Region(bond.B), Region(bond.A));
        var own = Plane.Shape(figures.PlateOf(bond.A.Plate).Corners);
        var laid = Plane.Shape(figures.PlateOf(bond.B.Plate).Corners.Select(c => onto.Apply(c.X.Units, c.Y.Units)).Select(v => (v.X, v.Y)));
        var most = Largest(own.Intersection(laid), Plane.Shape(bond.A.Region.Corners.Select(figures.ValueOf)).EnvelopeInternal);
        return (new Length((long)Math.Round(most.Width)), new Length((long)Math.Round(most.Height)));
    }

    /// <summary>The largest rectangle round a patch that lies wholly inside a shape: its sides run through corners of the two.</summary>
    private static Envelope Largest(Geometry inside, Envelope patch)
    {
        // A unit larger, so that what was rounded to one does not count as outside.
        var room = inside.Buffer(1);
        double[] Along(Func<Coordinate, double> of, Func<double, bool> beyond, double own) => [.. inside.Coordinates.Select(of).Where(beyond).Append(own).Distinct()];
        var all = from left in Along(c => c.X, x => x <= patch.MinX, patch.MinX)
                  from right in Along(c => c.X, x => x >= patch.MaxX, patch.MaxX)
                  from low in Along(c => c.Y, y => y <= patch.MinY, patch.MinY)
                  from high in Along(c => c.Y, y => y >= patch.MaxY, patch.MaxY)
                  select new Envelope(left, right, low, high);
        return all.OrderByDescending(e => e.Area).FirstOrDefault(e => room.Covers(Plane.Rectangle(e))) ?? patch;
    }
}

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
    private static readonly GeometryFactory Plane = new();

    /// <summary>The size of what both plates cover, across and along the plate that is bonded to.</summary>
    public static (Length Width, Length Height) Of(Figures figures, Bond bond)
    {
        static Vec Flat(Point p) => new(p.X.Units, p.Y.Units, 0);
        IReadOnlyList<Vec> Region(BondSide side) => [.. side.Region.Anchors.Select(figures.ValueOf).Select(Flat)];
        var onto = RigidTransform.Laid(Region(bond.B), Region(bond.A));
        var own = Shape(figures.PlateOf(bond.A.Plate).Corners.Select(Flat));
        var laid = Shape(figures.PlateOf(bond.B.Plate).Corners.Select(c => onto.Apply(c.X.Units, c.Y.Units)));
        var both = own.Intersection(laid).EnvelopeInternal;
        return (new Length((long)Math.Round(both.Width)), new Length((long)Math.Round(both.Height)));
    }

    private static Geometry Shape(IEnumerable<Vec> corners)
    {
        var ring = corners.Select(v => new Coordinate(v.X, v.Y)).ToList();
        return Plane.CreatePolygon([.. ring, ring[0]]);
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>Something raised that is in the way of something else.</summary>
/// <param name="Pose">In which pose.</param>
/// <param name="With">The plate that meets it.</param>
/// <param name="Deep">How far it would have to give way.</param>
public sealed record Struck(string Pose, SizedElement Element, OnFace On, PlateRef With, Length Deep);

/// <summary>
/// What of a dressing is struck while the card opens. A raised element is a box on its plate: from spots all over it, straight
/// off the face, a plate that comes nearer than it stands would have to go through it.
/// </summary>
/// <remarks>
/// What lies over it in the closed card presses on it then, which is thickness and no collision; once the card is shown nothing may.
/// </remarks>
internal static class Sweeps
{
    private const int Spots = 6;

    /// <summary>Foam gives way by so much.</summary>
    private static readonly Length Gives = Length.Mm(0.5m);

    public static IReadOnlyList<Struck> Of(Figures figures, Dressed dressed)
    {
        var raised = dressed.Elements.Where(e => e.Element.IsRaised && e.Element.Held is Designs.HeldBy.Face or Designs.HeldBy.Lock).ToList();
        if (raised.Count == 0)
        {
            return [];
        }

        var poses = Motion.LookedAt(figures).Select(f => (Name: f.Name!, Sight: new Sight(figures, f))).ToList();
        var closed = poses[0].Sight;
        var struck = new List<Struck>();
        foreach (var element in raised)
        {
            foreach (var on in element.On)
            {
                var face = new FaceRef(on.Face.Ref, on.Face.Face);
                var spots = SpotsIn(on.Outline).ToList();
                var over = spots.SelectMany(s => closed.Over(face, s.X, s.Y).Select(m => m.Plate)).ToHashSet();
                foreach (var (name, sight) in poses.Skip(1).Where(p => p.Sight.Frames.ContainsKey(face.Plate)))
                {
                    var worst = spots.SelectMany(s => sight.Over(face, s.X, s.Y).Take(1)).Where(m => name == "shown" || !over.Contains(m.Plate))
                        .Select(m => (m.Plate, Deep: element.Element.Stands - new Length((long)m.Far))).Where(m => m.Deep > Gives).OrderByDescending(m => m.Deep).FirstOrDefault();
                    if (worst.Deep > Length.Zero)
                    {
                        struck.Add(new Struck(name, element, on, worst.Plate, worst.Deep));
                        break;
                    }
                }
            }
        }

        return struck;
    }

    /// <summary>Spots all over an outline, its corners a little inside with them.</summary>
    internal static IEnumerable<(double X, double Y)> SpotsIn(IReadOnlyList<Point> outline)
    {
        var box = Box.Round(outline);
        var shape = new NetTopologySuite.Algorithm.Locate.IndexedPointInAreaLocator(Plane.Shape(outline));
        for (var i = 0; i < Spots; i++)
        {
            for (var j = 0; j < Spots; j++)
            {
                var (x, y) = (box.Left.Units + (box.Width.Units * (i + 0.5) / Spots), box.Bottom.Units + (box.Height.Units * (j + 0.5) / Spots));
                if (shape.Locate(new NetTopologySuite.Geometries.Coordinate(x, y)) != NetTopologySuite.Geometries.Location.Exterior)
                {
                    yield return (x, y);
                }
            }
        }
    }
}

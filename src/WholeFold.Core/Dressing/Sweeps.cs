using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>Something raised that is in the way of something else.</summary>
/// <param name="Pose">In which pose.</param>
/// <param name="With">The plate that meets it.</param>
/// <param name="Deep">How far it would have to give way.</param>
/// <param name="Into">What is raised on that plate and meets it; null where the plate itself does.</param>
public sealed record Struck(string Pose, SizedElement Element, OnFace On, PlateRef With, Length Deep, SizedElement? Into = null);

/// <summary>
/// What of a dressing is struck while the card opens. A raised element is a box on its plate: from spots all over it, straight
/// off the face, a plate that comes nearer than it stands, or nearer than it and what is raised on that plate stand together, would
/// have to go through it.
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
        var raised = dressed.Elements.Where(e => e.Element.IsRaised && e.Element.Held is Designs.HeldBy.Face or Designs.HeldBy.Lock or Designs.HeldBy.Magnet).ToList();
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
                    var worst = spots.Select(s => sight.Nearest(face, s.X, s.Y)).OfType<Hit>().Where(m => name == "shown" || !over.Contains(m.On.Plate))
                        .Select(m => (m.On.Plate, m.Far, Into: At(m, raised.Where(r => r != element))))
                        .Select(m => (m.Plate, m.Into, Deep: element.Element.Stands + (m.Into?.Element.Stands ?? Length.Zero) - new Length((long)m.Far)))
                            .OrderByDescending(m => m.Deep).FirstOrDefault();
                    if (worst.Deep > Gives && !struck.Any(s => s.Into == element && s.Element == worst.Into))
                    {
                        struck.Add(new Struck(name, element, on, worst.Plate, worst.Deep, worst.Into));
                        break;
                    }
                }
            }
        }

        return struck;
    }

    /// <summary>What is raised where a line meets a plate; of several the highest.</summary>
    private static SizedElement? At(Hit hit, IEnumerable<SizedElement> raised) => raised
        .Where(r => r.On.Any(o => o.Face.Piece == hit.On.Plate.Piece.Piece && o.Face.Copies.Contains(hit.On.Plate.Piece) && o.Face.Plate == hit.On.Plate.Plate
            && o.Face.Face == hit.On.Face && Plane.Covers(o.Outline, hit.X, hit.Y)))
        .OrderByDescending(r => r.Element.Stands).FirstOrDefault();

    /// <summary>Spots all over an outline, its corners a little inside with them.</summary>
    internal static IEnumerable<(double X, double Y)> SpotsIn(IReadOnlyList<Point> outline)
    {
        var box = Box.Round(outline);
        for (var i = 0; i < Spots; i++)
        {
            for (var j = 0; j < Spots; j++)
            {
                var (x, y) = (box.Left.Units + (box.Width.Units * (i + 0.5) / Spots), box.Bottom.Units + (box.Height.Units * (j + 0.5) / Spots));
                if (Plane.Covers(outline, x, y))
                {
                    yield return (x, y);
                }
            }
        }
    }
}

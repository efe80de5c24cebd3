using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Drawing;

/// <summary>A paper, a window or an element on the closed card, from its lower left corner.</summary>
/// <param name="Colour">Of its stock; null where that has none.</param>
public sealed record ClosedShape(IReadOnlyList<Point> Outline, string? Colour, bool IsHole);

/// <summary>What one sees on the closed card, from the side on which most is worn: papers first, then windows, then what is on them.</summary>
public static class ClosedDress
{
    private const string Ink = "#1f2a3344";

    /// <summary>Nothing of a card that only wears what its construction usually does.</summary>
    public static IReadOnlyList<ClosedShape> Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        if (card.Design.Dressing.IsBare)
        {
            return [];
        }

        var sides = card.Dressed.Roles.All.SelectMany(r => r.Faces).Where(f => f.Seen.Any(s => s.Pose == "closed")).DistinctBy(f => f.Id)
            .ToLookup(f => f.Seen.First(s => s.Pose == "closed").FromBehind, f => f.Id);
        var (front, behind) = (On(card, sides[false].ToHashSet()), On(card, sides[true].ToHashSet()));
        var mirrored = behind.Count > front.Count;
        var read = new ClosedAsRead(card.Figures, card.Closed);
        return [.. (mirrored ? behind : front).SelectMany(w => w.Face.Copies.Select(copy => w.Shape with
        {
            Outline = [.. card.Closed.Place(new PlateRef(copy, w.Face.Plate), w.Shape.Outline).Select(c => read.Read(c, mirrored))],
        }))];
    }

    private static List<(RoleFace Face, ClosedShape Shape)> On(Card card, HashSet<string> faces) =>
    [
        .. card.Layers.OrderBy(l => l.Level).SelectMany(l => l.On.Where(o => faces.Contains(o.On.Id)).Select(o => (o.On, new ClosedShape(o.Outline, l.Stock.Colour, false)))),
        .. card.Dressed.Windows.SelectMany(w => w.On.Where(o => faces.Contains(o.Face.Id)).Select(o => (o.Face, new ClosedShape(o.Outline, null, true)))),
        .. card.Dressed.Elements.SelectMany(e => e.On.Where(o => faces.Contains(o.Face.Id)).Select(o => (o.Face, new ClosedShape(o.Outline, e.Element.IsInk ? Ink : e.Element.Stock.Colour, false)))),
    ];
}

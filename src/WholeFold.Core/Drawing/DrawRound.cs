using WholeFold.Core.Cards;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Drawing;

/// <summary>A shape that is drawn round with a pencil, counted from its lower left corner.</summary>
public sealed record DrawnRound(string Name, Length Width, Length Height, IReadOnlyList<Point> Outline);

/// <summary>What is not cut with straight cuts alone: papers that are no rectangle, contours, motifs cut by hand.</summary>
public static class DrawRound
{
    /// <param name="shade">How much smaller it is all round, so that the pencil's line falls on the waste.</param>
    public static IReadOnlyList<DrawnRound> Of(Card card, Length shade)
    {
        ArgumentNullException.ThrowIfNull(card);
        var all = card.Layers.Where(l => !l.IsRectangle).Select(l => (Name: $"{l.Role.Name}, {l.Stock.Name}{(l.Quantity > 1 ? $", cut {l.Quantity}" : "")}", l.On[0].Outline))
            .Concat(card.Dressed.Contours.Where(c => c.On.Count > 0).Select(c => (Name: $"contour above {c.On[0].Face.Name}", c.On[0].Outline)))
            .Concat(card.Dressed.Elements.Where(e => !e.Element.IsInk && e.On.Count > 0 && e.Element.Shape is Designs.OutlineShape.Polygon).Select(e => (e.Element.Name, e.On[0].Outline)));
        return [.. all.Select(a => Under(a.Name, a.Outline, shade)).OfType<DrawnRound>()];
    }

    private static DrawnRound? Under(string name, IReadOnlyList<Point> outline, Length shade)
    {
        var under = Plane.Parts(Plane.Offset(Plane.Shape(outline), -shade.Units)).MaxBy(p => p.Area);
        if (under is null)
        {
            return null;
        }

        var corners = Plane.Corners(under.ExteriorRing);
        var box = Box.Round(corners);
        return new DrawnRound(name, box.Width, box.Height, [.. corners.Select(c => new Point(c.X - box.Left, c.Y - box.Bottom))]);
    }
}

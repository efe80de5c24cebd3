using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>What a finished card weighs: area by grammage of every piece and layer, and the adhesive.</summary>
public static class Weight
{
    /// <summary>In grams, without envelope, thread or elements.</summary>
    public static double Grams(Figures sized, IReadOnlyList<Body> bodies)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var tape = sized.Design.Inventory.BondTape;
        var paper = sized.Pieces.Sum(p => Area(p) * p.Piece.Quantity * sized.Design.StockOf(p.Piece.Id).Weighs);
        var layers = bodies.Sum(b => Area(b.Outline) * b.Weighs * b.Copies.Count);
        var bonds = sized.Construction.Bonds.Where(b => !b.IsLoose).Sum(b => Area([.. b.A.Region.Corners.Select(sized.ValueOf)]) * (b.Raised is { } foam ? FoamOf(foam.Metric) : Grammage(tape)));
        return paper + layers + bonds;
    }

    /// <summary>A piece's plates, less its windows, in square metres.</summary>
    public static double Area(SizedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Plates.Sum(p => Area(p.Corners)) - piece.Openings.Where(o => o.IsHole).Sum(o => Area(o.Corners));
    }

    /// <summary>What is thicker is foam.</summary>
    private static readonly Length ThickestTape = Length.Mm(0.1m);

    /// <summary>Tape 1 g/cm³; wet glue dries to about 20 g/m².</summary>
    public static double Grammage(Adhesive adhesive) => adhesive.Wet ? 20 : adhesive.Thickness <= ThickestTape ? (double)adhesive.Thickness.Millimetres * 1000 : FoamOf(adhesive.Thickness);

    /// <summary>Foam 0.1 g/cm³ between two films of tape.</summary>
    public static double FoamOf(Length thickness) => ((double)thickness.Millimetres * 100) + 100;

    private static double Area(IReadOnlyList<Point> corners) => Math.Abs(Outline.TwiceArea(corners)) / 2 / Math.Pow(Length.PerMillimetre * 1000d, 2);
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>What a finished card weighs: area by grammage of every piece and layer, and the adhesive.</summary>
public static class Weight
{
    /// <summary>In grams, without envelope, thread or elements.</summary>
    public static double Grams(SizedDesign sized)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var paper = sized.Pieces.Sum(p => Area(p) * p.Piece.Quantity * sized.Design.StockOf(p.Piece.Id).Weighs);
        var layers = sized.Layers.Sum(l => SquareMetres(l.Width.Value, l.Height.Value) * l.Quantity * (l.Stock.Weighs + Grammage(sized.Design.Adhesive)));
        var bonds = sized.Construction.Bonds.Where(b => !b.Loose).Sum(b => Area([.. b.A.Corners.Select(c => new Point(sized.ValueOf(c.X), sized.ValueOf(c.Y)))]) * (b.Raised is { } foam ? Foam(foam.Metric) : Grammage(Adhesive.Tape)));
        return paper + layers + bonds;
    }

    /// <summary>A piece's plates, less its windows, in square metres.</summary>
    public static double Area(SizedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Plates.Sum(p => Area(p.Corners)) - piece.Openings.Where(o => o.Opening.Kind == CutKind.Window).Sum(o => Area(o.Corners));
    }

    /// <summary>Tape 1 g/cm³; wet glue dries to about 20 g/m².</summary>
    private static double Grammage(Adhesive adhesive) => adhesive.Wet ? 20 : adhesive.Thickness <= Adhesive.Tape.Thickness ? (double)adhesive.Thickness.Millimetres * 1000 : Foam(adhesive.Thickness);

    /// <summary>Foam 0.1 g/cm³ between two films of tape.</summary>
    private static double Foam(Length thickness) => ((double)thickness.Millimetres * 100) + 100;

    private static double SquareMetres(Length width, Length height) => (double)(width.Millimetres * height.Millimetres) / 1e6;

    private static double Area(IReadOnlyList<Point> corners) => Math.Abs(Outline.TwiceArea(corners)) / 2 / Math.Pow(Length.PerMillimetre * 1000d, 2);
}

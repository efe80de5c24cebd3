using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>From where a card is read: the plate whose upper face is towards one, closed and shown, and the edge of it that is
/// up.</summary>
public readonly record struct ReadFrom(PlateRef Plate, Edge Up)
{
    public static ReadFrom Of(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        var first = figures.Pieces[0];
        var at = figures.Construction.LookedAt
            ?? new LookedAt(new PlateRef(first.Piece.Copies[0], first.Plates.MaxBy(p => p.Box.Width.Units * p.Box.Height.Units)!.Id),
                Axis.Y);
        return new ReadFrom(at.Plate, at.UpFor(figures.Design.Opens, figures.PieceOf(at.Plate.Piece).Piece.FromHead));
    }

    /// <summary>Up, along the plate's own axes.</summary>
    public (int X, int Y) Way => Up switch { Edge.Left => (-1, 0), Edge.Right => (1, 0), Edge.Foot => (0, -1), _ => (0, 1) };
}

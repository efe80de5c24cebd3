using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Folding;

/// <summary>Something that lies on a plate: a layer, an element; or what a window takes out of one.</summary>
/// <param name="Face">The face of the plate that it lies on.</param>
/// <param name="Outline">In the coordinates of the flat piece.</param>
/// <param name="Thickness">With what holds it; less than nothing where it is taken out.</param>
/// <param name="Weighs">In g/m², with what holds it.</param>
/// <param name="Copies">Which of the pieces cut alike carry it.</param>
/// <param name="IsHole">Whether it is missing rather than there: from a paper, or, where <paramref name="OfCard"/>, from the plate itself.</param>
/// <param name="Tint">Its colour, to draw it.</param>
/// <param name="Id">Of an element, which one; null of a paper.</param>
public sealed record Body(string Piece, string Plate, Face Face, IReadOnlyList<Point> Outline, Length Thickness, double Weighs, IReadOnlyList<PieceRef> Copies,
    bool IsHole = false, bool OfCard = false, string? Id = null, string? Tint = null);

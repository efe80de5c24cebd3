using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Folding;

/// <summary>Something that lies on a plate of a piece, and of each piece cut like it: a layer, an element.</summary>
/// <param name="Face">The face of the plate that it lies on.</param>
/// <param name="Outline">In the coordinates of the flat piece.</param>
/// <param name="Thickness">With what holds it.</param>
/// <param name="Weighs">In g/m², with what holds it.</param>
public sealed record Body(string Piece, string Plate, Face Face, IReadOnlyList<Point> Outline, Length Thickness, double Weighs);

using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Something put where another part is bonded on: it would be covered, or the bond would not hold.</summary>
internal sealed class LiesUnder : ICheck
{
    private static readonly Length Nothing = Length.Mm(0.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        var figures = card.Figures;
        foreach (var element in card.Dressed.Elements)
        {
            foreach (var on in element.On)
            {
                var face = new FaceRef(on.Face.Ref, on.Face.Face);
                if (!figures.Construction.Bonds.Any(b => !b.IsLoose && b.Sides.Any(s => s.On == face && Box.Round([.. s.Region.Corners.Select(figures.ValueOf)]).Meets(on.Box))))
                {
                    continue;
                }

                var inside = Plane.Offset(Plane.Shape(on.Outline), -Nothing.Units);
                var over = figures.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => new[] { (Side: b.A, Other: b.B), (Side: b.B, Other: b.A) })
                    .FirstOrDefault(s => s.Side.On == face && !inside.IsEmpty && Plane.Shape(s.Side.Region.Corners.Select(figures.ValueOf)).Intersects(inside));
                if (over.Other is { } part)
                {
                    yield return new Check(
                        "lies-under-what-is-bonded", Severity.Error,
                        Words.Of($"{element.Element.Name} lies where {Spoken.The(figures.PlateOf(part.Plate).Name, figures.PieceOf(part.Piece).Piece.Name)} is bonded on {on.Face.Name}: it would be covered, or the bond would not hold."), new Dictionary<string, Length>()) { At = FoundAt.Of(on) };
                    break;
                }
            }
        }
    }
}

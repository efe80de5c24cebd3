using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Something that is to be stamped or printed where there is no card: past an edge, or in a window.</summary>
internal sealed class InkOverNothing : ICheck
{
    private static readonly Length Nothing = Length.Mm(0.5m);

    /// <summary>Whether its box alone says that there is card under all of it: most things lie so, and no shape need be cut for them.</summary>
    internal static bool IsWellInside(ICard card, SizedPiece piece, OnFace on) =>
        on.Face.Whole is { IsRectangle: true, Box: var plate } && plate.Covers(on.Box) && !piece.HolesIn(piece.Plate(on.Face.Plate)).Any(h => Box.Round(h).Meets(on.Box))
        && !card.Dressed.CutThrough(on.Face.Piece, on.Face.Plate).Any(o => o.Box.Meets(on.Box));

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => e.Element.IsInk))
        {
            foreach (var on in element.On)
            {
                var piece = card.Figures.Pieces.First(p => p.Piece.Id == on.Face.Piece);
                if (IsWellInside(card, piece, on))
                {
                    continue;
                }

                var there = Plane.Union(piece.Plates.Select(p => Plane.Shape(p.Corners)));
                foreach (var hole in piece.Plates.SelectMany(piece.HolesIn).Concat(card.Dressed.CutThrough(on.Face.Piece).Select(o => o.Outline)))
                {
                    there = there.Difference(Plane.Shape(hole));
                }

                var missing = Plane.Offset(Plane.Shape(on.Outline).Difference(there), -Nothing.Units / 2d);
                if (!missing.IsEmpty)
                {
                    var lost = Plane.Round(missing);
                    yield return new Check(
                        "stamped-where-there-is-no-card", Severity.Error, Words.Of($"{lost.Width} × {lost.Height} of {element.Element.Name} has no card under it on {on.Face.Name}."),
                        new Dictionary<string, Length> { ["width"] = lost.Width, ["height"] = lost.Height })
                    {
                        At = FoundAt.Of(on),
                        Fix = new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { Place = new PlaceSpec() }), Words.Of($"put it in the middle")),
                    };
                    break;
                }
            }
        }
    }
}

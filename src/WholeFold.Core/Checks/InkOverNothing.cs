using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Something that is to be stamped or printed where there is no card: past an edge, or in a window.</summary>
internal sealed class InkOverNothing : ICheck
{
    private static readonly Length Nothing = Length.Mm(0.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => e.Element.IsInk))
        {
            foreach (var on in element.On)
            {
                var piece = card.Figures.Pieces.First(p => p.Piece.Id == on.Face.Piece);
                var there = Plane.Union(piece.Plates.Select(p => Plane.Shape(p.Corners)));
                foreach (var hole in piece.Plates.SelectMany(piece.HolesIn).Concat(card.Dressed.Windows.Where(w => w.GoesThrough(0)).SelectMany(w => w.On.Where(o => o.Face.Piece == on.Face.Piece).Select(o => o.Outline))))
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

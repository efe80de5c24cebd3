using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>What is on a slide where it passes its slit must be flat, and no wider than the slide; what slides under a lock needs room under it.</summary>
internal sealed class SlideBinds : ICheck
{
    /// <summary>What still counts as flat, and what clears.</summary>
    private static readonly Length Flat = Length.Mm(0.5m), Clear = Length.Mm(0.25m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements)
        {
            foreach (var on in element.On)
            {
                if (element.Element.Stands > Flat && card.SlidePaths.FirstOrDefault(p => p.Plate.Plate == on.Face.Plate && p.Plate.Piece.Piece == on.Face.Piece
                    && Plane.Shape(p.Outline).Intersection(Plane.Shape(on.Outline)).Area > Flat.Units * Flat.Units) is { Outline: not null })
                {
                    yield return Found(Words.Of($"{element.Element.Name} stands {element.Element.Stands} off {on.Face.Name} where it slides through its slit."), element.Element.Stands, on) with
                    {
                        Fix = new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { Height = null }), Words.Of($"put it on flat")),
                    };
                    break;
                }

                // What holds something down by reaching over it stands off by its foam.
                var under = card.Figures.Design.StockOf(on.Face.Piece).Caliper + Clear;
                if (element.Element.Stands < under && element.HoldsALock(card))
                {
                    yield return Found(Words.Of($"{element.Element.Name} stands {element.Element.Stands} off {on.Face.Name}; what slides under it needs {under.Hundredths}."), under - element.Element.Stands, on) with
                    {
                        Fix = new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { Height = WrittenLength.Of(Length.Mm(1)) }), Words.Of($"put it on foam of 1 mm")),
                    };
                    break;
                }
            }
        }
    }

    private static Check Found(Words text, Length by, Dressing.OnFace on) => new("slide-binds", Severity.Error, text, new Dictionary<string, Length> { ["over"] = by }) { At = FoundAt.Of(on) };
}

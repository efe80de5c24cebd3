using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>
/// Something that lies across a crease that works: held on both sides it stops the crease; held on one side it may hang over it,
/// unless the other panel folds up through what hangs.
/// </summary>
internal sealed class BondedAcrossCrease : ICheck
{
    private static readonly Length Nothing = Length.Mm(0.8m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => !e.Element.IsInk && e.Element.Held is (HeldBy.Face or HeldBy.Lock or HeldBy.Slide or HeldBy.Magnet)))
        {
            foreach (var on in element.On)
            {
                var piece = card.Figures.Pieces.First(p => p.Piece.Id == on.Face.Piece);
                if (!piece.AllScores.Any(s => s.Parts.Any(p => Box.Round([p.From, p.To]) is var line && on.Box.Left <= line.Right && line.Left <= on.Box.Right
                    && on.Box.Bottom <= line.Top && line.Bottom <= on.Box.Top)))
                {
                    continue;
                }

                var inside = Plane.Offset(Plane.Shape(on.Outline), -Nothing.Units);
                var crossed = inside.IsEmpty ? null
                    : piece.AllScores.FirstOrDefault(s => s.Crease.Working && s.Crease.Closed != s.Crease.Shown
                    && s.Parts.Any(p => Plane.Strip(p.From, p.To, 1).Intersects(inside)));
                if (crossed is null)
                {
                    continue;
                }

                if (element.Element.BondedOn is null && element.Element.Held != HeldBy.Lock)
                {
                    yield return new Check(
                        "bonded-across-a-working-crease", Severity.Error,
                        Words.Of($"{element.Element.Name} is bonded on both sides of the crease {crossed.Place}, which has to move."), new Dictionary<string, Length> { ["crease"] = crossed.Figure.Value })
                    {
                        At = FoundAt.Of(on),
                        Fix = FoldsUp(crossed, on) ? null : new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { BondedOn = $"{on.Face.Piece}.{on.Face.Plate}" }), Words.Of($"bond it on {Spoken.The(piece.Plate(on.Face.Plate).Name)} only")),
                    };
                }
                else if (FoldsUp(crossed, on))
                {
                    yield return new Check(
                        "faces-collide-on-the-way", Severity.Error,
                        Words.Of($"{element.Element.Name} hangs over the crease {crossed.Place}, and the panel beyond it folds up through it."), new Dictionary<string, Length> { ["crease"] = crossed.Figure.Value }) { At = FoundAt.Of(on) };
                }

                break;
            }
        }
    }

    /// <summary>Whether the crease closes on the side that the element is on.</summary>
    private static bool FoldsUp(SizedScore crossed, OnFace on)
    {
        var side = on.Face.Face == Face.Up ? 1 : -1;
        return side * crossed.Crease.Closed > 0 || side * crossed.Crease.Shown > 0;
    }
}

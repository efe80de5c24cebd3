using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>
/// Adhesive that would hold what it must not when the card is shut: under what hangs over an edge and is stuck all over, over a
/// window, or on a paper that runs across a window cut in the card behind it.
/// </summary>
internal sealed class AdhesiveExposed : ICheck
{
    /// <summary>So little past an edge nobody sees or sticks.</summary>
    private static readonly Length Nothing = Length.Mm(0.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => !e.Element.IsInk && e.Element.Held is (HeldBy.Face or HeldBy.Slide or HeldBy.Lock or HeldBy.Magnet)))
        {
            foreach (var on in element.On)
            {
                var piece = card.Figures.Pieces.First(p => p.Piece.Id == on.Face.Piece);
                if (InkOverNothing.IsWellInside(card, piece, on))
                {
                    continue;
                }

                var outline = Plane.Shape(on.Outline);
                var past = outline.Difference(Plane.Offset(Plane.Union(piece.Plates.Select(p => Plane.Shape(p.Corners))), Nothing.Units));
                if (element.Element.BondedOn is null && !past.IsEmpty && Plane.Round(past) is var beyond && Length.Max(beyond.Width, beyond.Height) > Nothing)
                {
                    yield return Found($"{element.Element.Name} hangs {Length.Min(beyond.Width, beyond.Height)} over the edge of {on.Face.Name}, stuck all over: shut, its adhesive would hold what lies behind it.", on, Length.Min(beyond.Width, beyond.Height)) with
                    {
                        Fix = new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { BondedOn = $"{on.Face.Piece}.{on.Face.Plate}" }), Words.Of($"no adhesive on what hangs over")),
                    };
                    break;
                }

                var holes = piece.HolesIn(piece.Plate(on.Face.Plate)).Concat(card.Dressed.CutThrough(on.Face.Piece, on.Face.Plate).Select(o => o.Outline));
                if (holes.Select(Plane.Shape).FirstOrDefault(h => Plane.Offset(h, -Nothing.Units) is { IsEmpty: false } inner && inner.Intersects(outline)) is { } hole)
                {
                    var over = Plane.Round(hole.Intersection(outline));
                    yield return Found($"{element.Element.Name} lies {over.Width} × {over.Height} over a window of {on.Face.Name}: its adhesive shows there and holds what comes to lie behind it.", on, Length.Min(over.Width, over.Height)) with
                    {
                        Fix = new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { Held = "strip" }), Words.Of($"hold it by a clear strip")),
                    };
                    break;
                }
            }
        }

        foreach (var window in card.Dressed.Windows.Where(w => w.Window.Through is { } through && through.Contains(0)))
        {
            var left = card.Layers.FirstOrDefault(l => !window.GoesThrough(l.Level) && l.On.Any(o => window.On.Any(w => w.Face.Plate == o.On.Plate && w.Face.Piece == o.On.Piece)));
            if (left is not null)
            {
                yield return Found($"The window {window.Window.Id} is cut through the card and not through {left.Role.Name}: the back of that paper, with its adhesive, lies open in it.", window.On[0], window.Width.Value) with
                {
                    Fix = new Fix(new CutWindow(window.Window.Id, DressingWriter.Write(window.Window) with { Through = null }), Words.Of($"cut it through all of them")),
                };
            }
        }
    }

    private static Check Found(FormattableString text, OnFace on, Length by) =>
        new("adhesive-exposed-when-shut", Severity.Error, Words.Of(text), new Dictionary<string, Length> { ["over"] = by }) { At = FoundAt.Of(on) };
}

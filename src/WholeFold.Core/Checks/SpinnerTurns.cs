using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>
/// What hangs on a thread turns if its outline, and its mirror image in the thread, grown by a hair all round, lie inside the window.
/// </summary>
internal sealed class SpinnerTurns : ICheck
{
    private static readonly Pair Hair = Pair.Of(1, 16, 1.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        var hair = Hair.For(card.Figures.Tools.System);
        foreach (var element in card.Dressed.Elements.Where(e => e.Element.Held == HeldBy.Thread && e.On.Count > 0))
        {
            var on = element.On[0];
            var piece = card.Figures.Pieces.First(p => p.Piece.Id == on.Face.Piece);
            var windows = card.Dressed.CutThrough(on.Face.Piece, on.Face.Plate).Select(o => o.Outline)
                .Concat(piece.HolesIn(piece.Plate(on.Face.Plate))).Select(Plane.Shape).ToList();
            var outline = Plane.Shape(on.Outline);
            var window = windows.Where(w => w.Intersects(outline)).MaxBy(w => w.Intersection(outline).Area);
            if (window is null)
            {
                yield return Found(element.Element, on, Words.Of($"{element.Element.Name} hangs on a thread where there is no window to turn in."), Length.Zero, fix: null);
                continue;
            }

            // The thread runs up and down through the middle of the window.
            var axis = (window.EnvelopeInternal.MinX + window.EnvelopeInternal.MaxX) / 2;
            var mirrored = Plane.Shape(on.Outline.Select(p => ((2 * axis) - p.X.Units, (double)p.Y.Units)));
            var sweep = Plane.Offset(outline.Union(mirrored), hair.Units);
            var struck = sweep.Difference(window.Buffer(1));
            if (!struck.IsEmpty)
            {
                var (need, has) = (Plane.Round(sweep), Plane.Round(window));
                var over = Length.Max(Length.Max(need.Width - has.Width, need.Height - has.Height), Length.Mm(0.5m));
                var scale = Math.Min((double)(has.Width - (2 * hair)).Units / Math.Max(1, need.Width.Units - (2 * hair.Units)),
                    (double)(has.Height - (2 * hair)).Units / Math.Max(1, need.Height.Units - (2 * hair.Units)));
                yield return Found(element.Element, on, Words.Of($"{element.Element.Name} needs {need.Width} × {need.Height} to turn, its larger half on both sides of the thread, and the window is {has.Width} × {has.Height}."), over,
                    scale is > 0.2 and < 1 ? new Fix(new PutOn(element.Element.Id,
                        DressingWriter.Write(element.Element) with { Size = [Less(card, element.Width.Value, scale), Less(card, element.Height.Value, scale)],
                        Place = new PlaceSpec() }), Words.Of($"a smaller one, in the middle")) : null);
            }
        }
    }

    private static WrittenLength Less(ICard card, Length length, double scale) => WrittenLength.Of(card.Figures.Tools.CutDown(new Length((long)(length.Units * scale * 0.95))));

    private static Check Found(Element element, Dressing.OnFace on, Words text, Length over, Fix? fix) =>
        new("spinner-cannot-turn", Severity.Error, text, new Dictionary<string, Length> { ["over"] = over, ["width"] = element.Width, ["height"] = element.Height }) { At = FoundAt.Of(on), Fix = fix };
}

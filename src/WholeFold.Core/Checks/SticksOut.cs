using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>What stands out of the closed card, and what that does to its envelope.</summary>
internal sealed class SticksOut : ICheck
{
    private static readonly Length Nothing = Length.Mm(0.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Dressed.Elements.Count + card.Dressed.Contours.Count == 0 || card.Figures.Construction.GoesRound)
        {
            yield break;
        }

        var (bare, packed) = (card.Closed.Footprint, card.Packed);
        var most = new[] { bare.Left - packed.Left, packed.Right - bare.Right, bare.Bottom - packed.Bottom, packed.Top - bare.Top }.Max();
        if (most <= Nothing)
        {
            yield break;
        }

        Length Out(OnFace on)
        {
            var box = Box.Round(card.Closed.Place(on.Face.Ref, on.Outline));
            return new[] { bare.Left - box.Left, box.Right - bare.Right, bare.Bottom - box.Bottom, box.Top - bare.Top }.Max();
        }

        var things = card.Dressed.Elements.SelectMany(e => e.On.Select(o => (Name: e.Element.Name, Element: (SizedElement?)e, On: o)))
            .Concat(card.Dressed.Contours.SelectMany(c => c.On.Select(o => (Name: $"the contour of {o.Face.Name}", Element: (SizedElement?)null, On: o))));
        var (name, furthest, at) = things.MaxBy(t => Out(t.On));
        var figures = new Dictionary<string, Length> { ["over"] = most, ["width"] = packed.Width, ["height"] = packed.Height };
        if (things.Where(t => Out(t.On) > Nothing).All(t => t.Element is { Element.OverEdge: true }))
        {
            yield return new Check("over-edge", Severity.Note, Words.Of($"Closed, {name} stands {most:u} over the edge, as it is meant to: with it the card is {card.Figures.Design.SizeAsRead(packed.Width, packed.Height)}; {card.Packing.Said}."), figures) { At = FoundAt.Of(at) };
            yield break;
        }

        yield return new Check(
            "sticks-out-when-closed", card.Envelope is null ? Severity.Error : Severity.Caution,
            Words.Of($"Closed, {name} stands {most} out of the card: with it the card is {card.Figures.Design.SizeAsRead(packed.Width, packed.Height)}{(card.Envelope is { } into ? $", which goes into {into.Name}" : "")}."), figures)
        {
            At = FoundAt.Of(at),
            AtAGlance = new Verdict(card.Envelope is null ? VerdictKind.Stuck : VerdictKind.Eased, Words.Of($"{name} sticks out")),
            Fix = furthest is not null && furthest.On.All(o => o.Reading.Width >= furthest.Width.Value && o.Reading.Height >= furthest.Height.Value)
                ? new Fix(new PutOn(furthest.Element.Id, DressingWriter.Write(furthest.Element) with { Place = new PlaceSpec() }), Words.Of($"put it in the middle")) : null,
        };
        if (card.BareEnvelope is { } wanted && wanted.Id != card.Envelope?.Id)
        {
            yield return new Check(
                "taller-than-its-envelope-when-packed", card.Envelope is null ? Severity.Error : Severity.Caution,
                Words.Of($"The bare card goes into {wanted.Name}; with {name} it is {card.Figures.Design.SizeAsRead(packed.Width, packed.Height)} and {(card.Envelope is { } other ? $"needs {other.Name}" : "goes into none that is sold by name")}."), figures) { At = FoundAt.Of(at) };
        }
    }
}

using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Two things of one face whose card would have to be in the same place: they overlap, and stand equally high.</summary>
internal sealed class RaisedTogether : ICheck
{
    /// <summary>Edges that only just meet do no harm.</summary>
    private static readonly Length Nothing = Length.Mm(0.5m);

    /// <summary>One pad more under the upper one.</summary>
    private static readonly Length Pad = Length.Mm(1);

    public IEnumerable<Check> Find(ICard card)
    {
        var raised = card.Dressed.Elements.Where(e => e.Element.IsRaised).ToList();
        foreach (var (upper, i) in raised.Select((e, i) => (e, i)))
        {
            foreach (var lower in raised.Take(i).Where(l => upper.Element.Stands - upper.Element.Stock.Caliper < l.Element.Stands && l.Element.Stands - l.Element.Stock.Caliper < upper.Element.Stands))
            {
                var (on, over) = upper.On.SelectMany(o => lower.On.Where(l => l.Face.Id == o.Face.Id && l.Box.Meets(o.Box))
                    .Select(l => (On: o, Over: Plane.Offset(Plane.Shape(o.Outline).Intersection(Plane.Shape(l.Outline)), -Nothing.Units / 2d))))
                    .FirstOrDefault(o => !o.Over.IsEmpty);
                if (on is null)
                {
                    continue;
                }

                var shared = Plane.Round(over);
                yield return new Check(
                    "raised-in-the-same-place", Severity.Caution,
                    Words.Of($"{upper.Element.Name} and {lower.Element.Name} stand equally high on {on.Face.Name} and overlap by {shared.Width} × {shared.Height}: one of them has to go higher to lie over the other."),
                    new Dictionary<string, Length> { ["width"] = shared.Width, ["height"] = shared.Height })
                {
                    At = FoundAt.Of(on),
                    Fix = new Fix(new PutOn(upper.Element.Id,
                        DressingWriter.Write(upper.Element) with { Height = WrittenLength.Of(lower.Element.Stands + upper.Element.Stock.Caliper + Pad) }),
                        Words.Of($"raise {upper.Element.Name} by one pad more")),
                };
            }
        }
    }
}

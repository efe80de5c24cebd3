using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>What holds something down has to reach over it: at least so far past the part that it is bonded on.</summary>
internal sealed class LockCatches : ICheck
{
    private static readonly Pair Reach = Pair.Of(1, 8, 3m);

    public IEnumerable<Check> Find(ICard card)
    {
        var least = Reach.For(card.Figures.Tools.System);
        foreach (var element in card.Dressed.Elements.Where(e => e.On.Count > 0 && e.HoldsALock(card)))
        {
            var on = element.On[0];

            // In the middle of its part it holds what comes from both sides; beside an edge, what comes from there.
            var (left, right) = (-on.Margins.Left, -on.Margins.Right);
            var reaches = element.Element.Place.IsAtLeft ? left : element.Element.Place.IsAtRight ? right : Length.Min(left, right);
            if (reaches < least)
            {
                var wider = element.Width.Value + (2 * (least - reaches));
                yield return new Check(
                    "lock-cannot-catch", Severity.Error,
                    Words.Of($"{element.Element.Name} {(reaches > Length.Zero ? Words.Of($"reaches {reaches} past {on.Face.Name}") : Words.Of($"does not reach past {on.Face.Name}"))}: to hold what lies under it, it has to reach {least} over it."),
                    new Dictionary<string, Length> { ["reaches"] = reaches, ["least"] = least })
                {
                    At = FoundAt.Of(on),
                    Fix = new Fix(new PutOn(element.Element.Id,
                        DressingWriter.Write(element.Element) with { Size =
                        [WrittenLength.Of(card.Figures.Tools.CutUp(wider)), WrittenLength.Of(element.Height.Value)] }), Words.Of($"make it {card.Figures.Tools.CutUp(wider)} wide")),
                };
            }
        }
    }
}

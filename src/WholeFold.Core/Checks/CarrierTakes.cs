using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Too thick, too heavy or too square for a carrier's profile: said where only some take it, and a caution where none does.</summary>
internal sealed class CarrierTakes : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var carriers = card.Figures.Design.Inventory.All<Carrier>();
        if (card.Figures.Construction.GoesRound || carriers.Count == 0)
        {
            yield break;
        }

        var (longer, shorter) = (Length.Max(card.Packed.Width, card.Packed.Height), Length.Min(card.Packed.Width, card.Packed.Height));

        // A card that a profile does not take for its size goes into a larger envelope; what is thick stays thick in any.
        var sized = carriers.Where(c => longer <= c.Longest && shorter <= c.Widest && shorter >= c.Shortest).ToList();
        var refused = sized.Select(c => (Carrier: c, Why: Why(c, card, longer, shorter))).Where(c => c.Why is not null).ToList();
        if (refused.Count == sized.Count && sized.Count > 0)
        {
            yield return new Check(
                "too-thick-or-too-square-for-the-carrier-profile", Severity.Caution,
                Words.Of($"No carrier's profile of its size takes it: {Words.List(refused.Select(r => Words.Of($"for {r.Carrier.Name} it is {r.Why!}")))}. Check with your carrier."),
                new Dictionary<string, Length> { ["thickness"] = card.Thickness.Greatest, ["longer"] = longer, ["shorter"] = shorter });
        }
    }

    private static Words? Why(Carrier carrier, ICard card, Length longer, Length shorter) =>
        card.Thickness.Greatest > carrier.Thickest ? Words.Of($"{card.Thickness.Greatest.Hundredths} thick, over {carrier.Thickest.Hundredths}")
        : carrier.Squarest is { } squarest && (decimal)longer.Units / shorter.Units < squarest ? Words.Of($"too square")
        : card.Grams > carrier.Grams ? Words.Of($"too heavy")
        : null;
}

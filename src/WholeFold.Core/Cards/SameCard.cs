using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>
/// The same card on somebody else's tools. Two systems side by side are two sizings: a figure that is only converted lies on no mark
/// of the other's board. What was settled on here is what is wished for there, parameters and papers alike; locks and dies stay.
/// </summary>
internal static class SameCard
{
    /// <summary>On the guest's tools where they are of the other system, else on that system's usual board.</summary>
    public static Card? InTheOtherSystem(Card card)
    {
        if (card.Own is { } own)
        {
            return own.Figures.Tools.System == card.Figures.Tools.System ? null : own;
        }

        var other = card.Figures.Tools.System == UnitSystem.Imperial ? UnitSystem.Metric : UnitSystem.Imperial;
        var kit = GuestOf(card.Design) is { } guest && (guest.System ?? other) == other ? guest
            : card.Design.Inventory.DefaultToolsFor(other);
        return On(card, kit, other);
    }

    /// <summary>A guest of the same system gets it on her own tools, and no second column.</summary>
    public static Card AsHanded(Card card) =>
        card.Own is null && GuestOf(card.Design) is { System: { } system } guest && system == card.Figures.Tools.System
            && guest.Id != card.Figures.Tools.Id
            ? On(card, guest, system) ?? card : card;

    private static ToolKit? GuestOf(Design design) => design.Guest is { } id ? design.Inventory.Find<ToolKit>(id) : null;

    private static Card? On(Card card, ToolKit kit, UnitSystem system)
    {
        var (design, target, from) = (card.Design, card.Target, card.Figures.Tools.Id);
        var wishes = card.Figures.Parameters.Where(p => !design.Locks.ContainsKey(p.Parameter.Id)
            && !(p.Parameter.Held && p.Value == p.Ideal))
            .ToDictionary(p => p.Parameter.Id, p => new HandFigure(p.Value, from));
        var theirs = design with
        {
            Tools = kit.Id,
            ToolsWorkIn = system,
            Guest = null,
            Adjustments = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>> { [target.Key] = wishes },
        };
        return Sizer.TrySize(theirs, target) is { } figures ? new Card(figures, card) : null;
    }
}

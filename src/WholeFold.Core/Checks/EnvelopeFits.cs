using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Where no envelope sold by name fits the closed card, says the inside that one to make should have; where one only just does, that.</summary>
internal sealed class EnvelopeFits : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var packing = card.Packing;
        if (packing is { Grade: EnvelopeGrade.Snug, Envelope: { } snug })
        {
            yield return new Check("envelope-snug", Severity.Note, Words.Of($"It fills the {snug.Name} envelope: it goes in, with no room to slide."),
                new Dictionary<string, Length> { ["across"] = packing.Need.Across, ["along"] = packing.Need.Along });
        }

        if (card.Figures.Construction.GoesRound)
        {
            yield break;
        }

        var (box, flat) = (packing.Box, packing.Make);
        if (packing.IsThick)
        {
            yield return new Check(packing.Envelope is null ? "envelope-to-make" : "thick-for-an-envelope", Severity.Note,
                Words.Of($"{(packing.Envelope is null ? Words.Of($"No envelope sold by name fits.") : Words.Of($"It is {packing.Thickest.Hundredths} thick, so a flat envelope presses on it."))} A box envelope spares it: make one {box.Width} × {box.Height:u} inside, its sides {box.Sides:u} high."),
                new Dictionary<string, Length> { ["width"] = box.Width, ["height"] = box.Height, ["sides"] = box.Sides });
        }
        else if (packing.Envelope is null)
        {
            yield return new Check("envelope-to-make", Severity.Note, Words.Of($"No envelope sold by name fits. Make one, {flat.Width} × {flat.Height:u} inside."),
                new Dictionary<string, Length> { ["width"] = flat.Width, ["height"] = flat.Height });
        }
    }
}

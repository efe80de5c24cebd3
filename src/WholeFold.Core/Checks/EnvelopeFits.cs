using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Where no envelope sold by name fits the closed card, says the inside that one to make should have; where one only just does, that.</summary>
internal sealed class EnvelopeFits : ICheck
{
    private static readonly Pair Room = Pair.Of(1, 8, 3m);

    /// <summary>From this thickness on an envelope wants sides of its own.</summary>
    private static readonly Length WantsSides = Length.Mm(4);

    public IEnumerable<Check> Find(ICard card)
    {
        if (card is { EnvelopeGrade: EnvelopeGrade.Snug, Envelope: { } snug })
        {
            yield return new Check("envelope-snug", Severity.Note, Words.Of($"It fills the {snug.Name} envelope: it goes in, with no room to slide."), new Dictionary<string, Length> { ["across"] = card.Need.Across, ["along"] = card.Need.Along });
        }

        if (card.Envelope is null && !card.Figures.Construction.GoesRound)
        {
            var room = Room.For(card.Figures.Target.Format.System) + card.Thickness.Greatest;
            var (width, height) = (card.Figures.Tools.CutUp(card.Closed.Width + room), card.Figures.Tools.CutUp(card.Closed.Height + room));
            yield return new Check("envelope-to-make", Severity.Note, Words.Of($"No envelope sold by name fits. Make one, {width} × {height} inside{(card.Thickness.Greatest > WantsSides ? ", with sides as high as the card is thick" : "")}."), new Dictionary<string, Length> { ["width"] = width, ["height"] = height });
        }
    }
}

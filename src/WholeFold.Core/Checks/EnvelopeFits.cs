using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Where no envelope sold fits the closed card, says the inside that one to make should have.</summary>
internal sealed class EnvelopeFits : ICheck
{
    private static readonly Pair Room = Pair.Of(1, 8, 3m);

    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Envelope is null && !card.Figures.Construction.GoesRound)
        {
            var room = Room.For(card.Figures.Target.Format.System) + card.Thickness.Greatest;
            var (width, height) = (card.Figures.Tools.CutUp(card.Closed.Width + room), card.Figures.Tools.CutUp(card.Closed.Height + room));
            yield return new Check("envelope-to-make", Severity.Note, Words.Of($"No envelope sold by name fits. Make one, {width} × {height} inside."), new Dictionary<string, Length> { ["width"] = width, ["height"] = height });
        }
    }
}

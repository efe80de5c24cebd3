using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Every bond's two regions must lie on each other in the closed card, within a mark for the cut and one for the score where figures were rounded.</summary>
internal sealed class BondsCoincide : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var mark = card.Figures.Relaxation == Relaxation.RoundedFigures ? card.Figures.Tools.CutMarks.Max() + card.Figures.Tools.RulerMarks.DefaultIfEmpty(Length.Zero).Max() : Length.Zero;
        foreach (var miss in card.Closed.Misses.Where(m => m.WrongFace || m.By > mark))
        {
            yield return new Check("bond-apart", Severity.Error,
                Words.Of($"{(miss.Bond is null ? "A ring of creases" : $"The bond {miss.Bond}")} does not meet when the card is closed: {(miss.WrongFace ? Words.Of($"the wrong faces lie on each other") : Words.Of($"its two sides are {miss.By} apart"))}."),
                new Dictionary<string, Length> { ["apart"] = miss.By });
        }
    }
}

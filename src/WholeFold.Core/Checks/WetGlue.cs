using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Wet glue on a surface that it does not hold: acetate, foil, mirror, vellum.</summary>
internal sealed class WetGlue : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        if (!card.Figures.Design.Adhesive.Wet)
        {
            yield break;
        }

        var touched = card.Layers.Select(l => l.Stock).Concat(card.Layers.Select(l => card.Figures.Design.StockOf(l.Piece)));
        foreach (var stock in touched.Where(s => s.RefusesWetGlue is not null).Distinct())
        {
            yield return new Check("wet-glue", Severity.Caution, Words.Of($"{stock.Name}: {stock.RefusesWetGlue}. Use tape, or an adhesive made for it."), new Dictionary<string, Length>());
        }
    }
}

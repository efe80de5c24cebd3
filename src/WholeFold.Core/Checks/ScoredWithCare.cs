using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A stock that is not scored like plain card.</summary>
internal sealed class ScoredWithCare : ICheck
{
    public IEnumerable<Check> Find(ICard card) =>
        from stock in card.Figures.Pieces.Where(p => p.AllScores.Any()).Select(p => card.Figures.Design.StockOf(p.Piece.Id)).Distinct()
        where stock.ScoredWithCare is not null
        select new Check("scored-with-care", Severity.Note, Words.Of($"{stock.Name}: {stock.ScoredWithCare}."), new Dictionary<string, Length>());
}

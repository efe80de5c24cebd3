using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>
/// Heavy card cracks across its grain. Where the sheet's grain is known, says which pieces cannot be cut from it with their
/// creases along it.
/// </summary>
internal sealed class CrossGrain : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var piece in card.Figures.Pieces.Where(p => p.Scores.Count > 0))
        {
            var stock = card.Figures.Design.StockOf(piece.Piece.Id);
            var sheet = card.Figures.Design.SheetFor(piece.Width.Value, piece.Height.Value, card.Figures.Target.Format.System);
            if (card.Figures.Design.Grain == Grain.Unknown || stock.Grammage is not > Stock.CracksAbove || sheet is null)
            {
                continue;
            }

            // The grain runs along the sheet's longer side, or its shorter one; creases run across the piece's chain.
            var (longer, shorter) = sheet.Width >= sheet.Height ? (sheet.Width, sheet.Height) : (sheet.Height, sheet.Width);
            var (along, across) = card.Figures.Design.Grain == Grain.Long ? (longer, shorter) : (shorter, longer);
            var creases = piece.Piece.Axis == Axis.X ? piece.Height.Value : piece.Width.Value;
            var chain = piece.Piece.Axis == Axis.X ? piece.Width.Value : piece.Height.Value;
            if (creases > along || chain > across)
            {
                yield return new Check(
                    "cross-grain",
                    Severity.Caution,
                    Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} comes out of {sheet.Name} only with its creases across the grain, and {stock.Grammage} g/m² cracks there. Score it twice and fold slowly, or take a sheet with the grain the other way."),
                    new Dictionary<string, Length> { ["along"] = along, ["across"] = across });
            }
        }
    }
}

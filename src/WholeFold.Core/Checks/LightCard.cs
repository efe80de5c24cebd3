using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Checks;

/// <summary>What stands, or carries what pops up, bends in card under 160 g/m².</summary>
internal sealed class LightCard : ICheck
{
    private const int Bears = 160;

    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Figures.Construction.Does is not (Effect.Stands or Effect.PopsUp))
        {
            yield break;
        }

        var light = card.Figures.Pieces.Where(p => p.Piece.Creases.Count > 0 && p.Piece.UsualStock is null
            && card.Figures.Design.StockOf(p.Piece.Id) is { Kind: StockKind.Card or StockKind.Paper } stock && stock.Weighs < Bears).ToList();
        if (light.Count > 0)
        {
            var stock = card.Figures.Design.StockOf(light[0].Piece.Id);
            var heavier = card.Figures.Design.Inventory.All<Stock>().Where(s => s.Kind == StockKind.Card && s.Weighs >= Bears).MinBy(s => s.Weighs);
            DesignEdit? edit = heavier is null ? null : card.Figures.Design.PieceStocks.ContainsKey(light[0].Piece.Id) ? new CutFrom(light[0].Piece.Id, heavier.Id) : new Take("stock", heavier.Id);
            yield return new Check(
                "light-card-for-a-load-bearing-panel", Severity.Caution,
                Words.Of($"{Spoken.First(Spoken.The(light[0].Piece.Name))} bears the rest and is cut from {stock.Name}: under {Bears} g/m² it bends."), new Dictionary<string, Length> { ["caliper"] = stock.Caliper })
            {
                At = new FoundAt(light[0].Piece.Id, light[0].Plates[0].Id, Face.Up, light[0].Plates[0].Box),
                Fix = edit is null ? null : new Fix(edit, Words.Of($"take {heavier!.Name}")),
            };
        }
    }
}

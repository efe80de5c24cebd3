using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Checks;

/// <summary>A pattern with a way up cannot be turned on its sheet, and has no other face to be mirrored to.</summary>
internal sealed class Directional : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var stock in card.Layers.Where(l => l.Stock.Directional).GroupBy(l => l.Stock))
        {
            var first = stock.First();
            yield return new Check("pattern-has-a-way-up", Severity.Note, Words.Of($"{stock.Key.Name} has a way up: cut its {stock.Sum(l => l.Quantity)} layers as they are written, {first.Width.Value} wide and {first.Height.Value} high for {first.Role.Name}, and do not turn them on the sheet."), new Dictionary<string, Length>());
        }
    }
}

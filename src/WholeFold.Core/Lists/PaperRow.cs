using WholeFold.Core.Cards;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists;

/// <summary>Papers of one stock and size, wherever they go: one row of a list.</summary>
/// <param name="Key">The same on whatever tools the card is.</param>
/// <param name="Places">Where they go, and how many of them.</param>
/// <param name="IsShaped">Whether some are cut along a template.</param>
public sealed record PaperRow(string Key, string Stock, Length Width, Length Height, IReadOnlyList<(string Where, int Count)> Places,
    bool IsShaped)
{
    public int Quantity => Places.Sum(p => p.Count);

    /// <summary>"doors 4, centre 2"; only where they go, if that is one place.</summary>
    /// <param name="times">For how many cards.</param>
    public string Where(int times = 1) => Places.Count == 1 ? Places[0].Where
        : string.Join(", ", Places.Select(p => $"{p.Where} {p.Count * times}"));

    /// <param name="like">The same card in the other system: what is one size here and two there has two rows on both.</param>
    public static IReadOnlyList<PaperRow> Of(Card card, Card? like)
    {
        ArgumentNullException.ThrowIfNull(card);
        var other = like?.Layers.ToDictionary(l => l.Id);
        return [.. card.Layers.GroupBy(l => (l.Stock.Name, W: l.Width.Value, H: l.Height.Value,
            There: other?.GetValueOrDefault(l.Id) is { } o
                ? (o.Width.Value, o.Height.Value) : default))
            .Select(g => new PaperRow($"papers.{string.Join('+', g.Select(l => l.Id))}", g.Key.Name, g.Key.W, g.Key.H,
                [.. g.Select(l => ($"{(l.Level > 1 ? "second on " : "")}{l.Role.Name.Replace(", ", " ", StringComparison.Ordinal)}", l.Quantity))],
                g.Any(l => !l.IsRectangle)))];
    }
}

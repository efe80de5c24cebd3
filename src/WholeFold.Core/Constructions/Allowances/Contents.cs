using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>What a card is made of, as far as its allowances ask.</summary>
/// <param name="Of">The stock of a piece; of the design's own card for null.</param>
/// <param name="Layer">A layer with what holds it.</param>
/// <param name="CorrectionOf">What making cards has added to an allowance, with a stock.</param>
public sealed record Papers(Func<string?, Stock> Of, Length Layer, Func<AllowanceKind, Stock, Length> CorrectionOf)
{
    /// <summary>Every piece from one card, with layers of a thickness on it, and nothing learned yet.</summary>
    public static Papers All(Stock stock, Length layer) => new(_ => stock, layer, (_, _) => Length.Zero);
}

/// <summary>What lies inside a fold or a sleeve: a ply of each piece named, so many layers, and what else is known.</summary>
/// <param name="Other">A thickness that does not depend on the papers.</param>
public sealed record Contents(Length Other, int Layers = 0, params string[] Pieces)
{
    /// <summary>T.</summary>
    public Length Thickness(Papers papers)
    {
        ArgumentNullException.ThrowIfNull(papers);
        return Pieces.Aggregate(Other + (Layers * papers.Layer), (sum, piece) => sum + papers.Of(piece).Caliper);
    }
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// What the edge beside a slit needs more in light card, under 200 g/m², which tears: ⅛ in, in marks of either system.
/// </summary>
/// <remarks>
/// A rule of the bench and no derivation: ¼ in holds in card of 200 g/m² and more, ⅜ in (10 mm) in lighter card. Where a stock
/// has no grammage it is reckoned from its caliper.
/// </remarks>
public sealed record LightCard(string? Piece = null) : Allowance(Piece)
{
    private const double Light = 200;

    public override AllowanceKind Kind => AllowanceKind.LightCard;

    public override string Name => "the light card's edge";

    public override string Because => "card under 200 g/m² tears at a narrow edge";

    /// <summary>By grammage and not by caliper: for a caliper alone, of card of the usual bulk.</summary>
    public override Length Exact(Length caliper) => (double)caliper.Millimetres * 800 < Light ? Length.In(1, 8) : Length.Zero;

    protected override Length Exact(Papers papers) => papers.Of(Piece).Weighs < Light ? Length.In(1, 8) : Length.Zero;
}

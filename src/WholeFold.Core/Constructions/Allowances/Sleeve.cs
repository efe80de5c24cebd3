using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// How much wider than its contents a sleeve is inside: 2 · (thickness + a hand's clearance).
/// </summary>
/// <remarks>
/// Flat, a sleeve's inside is as wide as its contents. With something in it, its two walls bow apart by the contents'
/// thickness, and each side wall takes that much of the width.
/// </remarks>
/// <param name="Inside">What goes in.</param>
public sealed record Sleeve(Contents Inside) : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.Sleeve;

    public override string Name => "the sleeve's ease";

    public override string Because => "the sleeve bows round what is in it";

    public override Length Exact(Length caliper) => 2 * (Inside.Other + Hand);

    protected override Length Exact(Papers papers) => 2 * (Inside.Thickness(papers) + Hand);
}

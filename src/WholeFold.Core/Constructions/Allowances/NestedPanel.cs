using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// A panel that goes into another, "a hair less": 2t and a hand's clearance in each direction.
/// </summary>
/// <remarks>One ply of the outer panel stands at either end, and it must drop in without a push.</remarks>
public sealed record NestedPanel() : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.Nested;

    public override string Name => "a hair less";

    public override string Because => "it goes inside, between a ply at either end";

    public override Length Exact(Length caliper) => (2 * caliper) + Hand;
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// The panel that goes inside a square tube: shorter by 2t and a hand's clearance.
/// </summary>
/// <remarks>
/// Inside a tube of side s the clear width is s less one ply at each wall. At exactly that the panel would have to be forced
/// in, and a forced tube folds into a skewed box; 0.25 mm lets it in.
/// </remarks>
public sealed record Tube() : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.Tube;

    public override string Name => "the tube's shave";

    public override string Because => "inside the tube there is a ply less at either side";

    public override Length Exact(Length caliper) => (2 * caliper) + Hand;
}

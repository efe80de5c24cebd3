using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// What n layers with their tabs need of a box's depth beside the tabs themselves: (n + 1) · t, and what is stuck on them.
/// </summary>
/// <remarks>
/// n tabs of width f and the plies they stand on fit into the depth d when Σ(f + t) ≤ d − t: one ply for each layer, and one
/// for the wall at the end. With what lies on the layers, their thickness comes on top. The allowance is d − Σf at the least.
/// </remarks>
/// <param name="OnThem">Total thickness of what is mounted on the layers.</param>
public sealed record BoxDepth(int Layers, Length OnThem = default) : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.BoxDepth;

    public override string Name => "the layers' thickness";

    public override string Because => "each layer and the end wall take a ply of the depth";

    public override Length Exact(Length caliper) => ((Layers + 1) * caliper) + OnThem;
}

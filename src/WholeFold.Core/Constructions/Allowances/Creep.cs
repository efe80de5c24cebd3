using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// Plies nested in one fold push out at the fore-edge: k · t for each ply between a liner and the outermost.
/// </summary>
/// <remarks>
/// In a soft fold each ply runs round the one inside it on a half circle. Radii differ by t, so half circumferences differ by
/// π · t over the two leaves, which is k · t with k = π/2 on each. A crease burnished hard is three sides of a box instead:
/// 2t on each leaf at the most. k is between π/2, the default, and 2.
/// </remarks>
/// <param name="Plies">How many plies lie outside the one that is trimmed; 1 for a liner in a cover.</param>
public sealed record Creep(int Plies, decimal CreaseFactor = Creep.Soft) : Allowance
{
    /// <summary>π/2, half circles round a common centre.</summary>
    public const decimal Soft = 1.5707963m;

    /// <summary>Three sides of a box.</summary>
    public const decimal Hard = 2m;

    public override AllowanceKind Kind => AllowanceKind.Creep;

    public override string Name => "creep";

    public override string Because => "each ply outside goes further round the fold, so what is inside pushes out at the fore-edge";

    public override Length Exact(Length caliper) => Times(Plies * Math.Clamp(CreaseFactor, Soft, Hard), caliper);
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>How much larger something folded round a thing is outside than inside: a ply at either end, 2t.</summary>
/// <remarks>Rounded up by itself, since the inside is a cut of its own and lies on a mark already.</remarks>
public sealed record Walls(string? Piece = null) : Allowance(Piece)
{
    public override AllowanceKind Kind => AllowanceKind.Walls;

    public override string Name => "both walls";

    public override string Because => "a ply stands at either end";

    public override Length Exact(Length caliper) => 2 * caliper;
}

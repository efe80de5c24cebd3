using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// Doors that meet: 2t for each.
/// </summary>
/// <remarks>
/// A door lies on the back, one caliper above it, so its crease takes up about t of its width as it goes round; and its edge,
/// cut square, leans by as much again while it closes past its neighbour. It bounds how far a parameter may go and is not cut
/// itself, so it stays off the marks.
/// </remarks>
public sealed record Doors() : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.Doors;

    public override string Name => "the doors' clearance";

    public override string Because => "doors nearer than twice the card's thickness rub";

    public override bool UpToTheMark => false;

    public override Length Exact(Length caliper) => 2 * caliper;
}

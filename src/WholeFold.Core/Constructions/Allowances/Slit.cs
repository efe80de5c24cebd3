using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>How much longer than its slide a slit is: a clearance at either end.</summary>
/// <param name="Clearance">At each end.</param>
public sealed record Slit(Length Clearance) : Allowance
{
    public override AllowanceKind Kind => AllowanceKind.Slit;

    public override string Name => "the slide's clearance";

    public override string Because => "the slide must pass without binding at its ends";

    public override Length Exact(Length caliper) => 2 * Clearance;
}

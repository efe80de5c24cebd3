using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// How much longer than its slide a slit is: a clearance at either end; and how wide it must be.
/// </summary>
/// <remarks>
/// A slide that is thin passes through a plain knife cut, whose edges give way. Over 0.4 mm they do not, and the slit must be
/// as wide as the slide is thick.
/// </remarks>
/// <param name="Clearance">At each end.</param>
public sealed record Slit(Length Clearance) : Allowance
{
    private static readonly Length GivesWay = Length.Mm(0.4m);

    public override AllowanceKind Kind => AllowanceKind.Slit;

    public override string Name => "the slide's clearance";

    public override string Because => "the slide must pass without binding at its ends";

    public override Length Exact(Length caliper) => 2 * Clearance;

    /// <summary>How wide the slit is cut for a slide of this thickness: nothing for a plain knife cut.</summary>
    public static Length WidthFor(Length slide) => slide > GivesWay ? slide : Length.Zero;
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// How wide a slit is cut for what slides through it: nothing for a plain knife cut, otherwise as wide as that is thick.
/// </summary>
/// <remarks>Up to 0.4 mm the edges of a knife cut give way. Over that they do not, and the slide would bend.</remarks>
/// <param name="Through">What goes through it.</param>
public sealed record SlitWidth(Contents Through) : Allowance
{
    private static readonly Length GivesWay = Length.Mm(0.4m);

    public override AllowanceKind Kind => AllowanceKind.SlitWidth;

    public override string Name => "the slit's width";

    public override string Because => "what slides is too thick for a plain knife cut";

    public override Length Exact(Length caliper) => Through.Other > GivesWay ? Through.Other : Length.Zero;

    protected override Length Exact(Papers papers) => Through.Thickness(papers) is var thick && thick > GivesWay ? thick : Length.Zero;
}

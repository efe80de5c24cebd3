using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Explains an impossible case by a smallest set of requirements that cannot hold together: dropping any one of
/// them makes the rest possible.</summary>
internal static class Conflicts
{
    public static IReadOnlyList<Conflict> Explain(Poser poser, ToolSet tools)
    {
        var unit = tools.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        var means = Sizer.MeansFor(poser, tools).Last();
        var all = new List<Conflict>();
        if (means != Means.Rounded)
        {
            all.Add(new Conflict("marks:cuts", "every cut on a mark of the trimmer"));
            all.Add(new Conflict("marks:scores", "every score on a groove of the board, as it lies or turned round"));
        }

        foreach (var requirement in poser.Requirements())
        {
            var limit = new Length(-requirement.AtLeastZero.Evaluate(tools.System, n => n[0] == '@' ? poser.Known(n) : Rational.Zero).Nearest());
            all.Add(new Conflict(requirement.Id, limit > Length.Zero ? $"{requirement.Because} (at least {LengthWriter.WithUnit(limit, unit)})" : requirement.Because));
        }

        all.AddRange(poser.Pins.Select(p => new Conflict($"pin:{p.Key}", $"{p.Key} set to {LengthWriter.WithUnit(p.Value, unit)}")));

        var dropped = new HashSet<string>();
        foreach (var conflict in all)
        {
            dropped.Add(conflict.Id);
            if (Search.Solve(poser.Pose(means, dropped)) is not null)
            {
                dropped.Remove(conflict.Id);
            }
        }

        var kept = all.Where(c => !dropped.Contains(c.Id)).DistinctBy(c => c.Text).ToList();
        return kept.Count > 0 ? kept : [new Conflict("format", "the finished size itself has no mark on these tools")];
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Explains an impossible case by a smallest set of requirements that cannot hold together: dropping any one of
/// them makes the rest possible.</summary>
internal static class Conflicts
{
    private const long Effort = 20_000;

    /// <summary>No conflict, but that none is known.</summary>
    private const string GivenUp = "search:given-up";

    /// <summary>Proven impossible. Where the search cannot tell within its effort the requirement is kept, so that what is
    /// named is always a true conflict, if now and then not the smallest.</summary>
    private static bool Impossible(Problem problem)
    {
        try
        {
            return Search.Solve(problem with { Effort = Effort, AnyWillDo = true }) is null;
        }
        catch (UndecidedException)
        {
            return false;
        }
    }

    /// <summary>As it is told: what sounds the same is told once.</summary>
    public static IReadOnlyList<Conflict> Explain(ProblemBuilder builder, ToolSet tools) => [.. Smallest(builder, tools).DistinctBy(c => c.Text.Write(DisplayUnit.Millimetre))];

    public static IReadOnlyList<Conflict> Smallest(ProblemBuilder builder, ToolSet tools)
    {
        const Relaxation relaxation = Relaxation.SmallerCard;
        var all = new List<Conflict>
        {
            new("marks:cuts", Words.Of($"every cut on a mark of the trimmer")),
            new("marks:scores", tools.RulerMarks.Count > 0 ? Words.Of($"every score on a mark of the ruler") : Words.Of($"every score on a groove of the board, as it lies or turned round")),
        };

        foreach (var requirement in builder.Requirements())
        {
            var limit = new Length(-requirement.AtLeastZero.Evaluate(tools.System, s => s.Kind == SymbolKind.Allowance ? builder.Known(s) : Rational.Zero).Nearest());
            all.Add(new Conflict(requirement.Id, limit > Length.Zero ? Words.Of($"{requirement.Because} (at least {limit:u})") : Words.Of($"{requirement.Because}")));
        }

        all.AddRange(builder.Pins.Select(p => new Conflict($"pin:{p.Key}", Words.Of($"{builder.NameOf(p.Key)} {(builder.Locked.Contains(p.Key) ? "locked at" : "set to")} {p.Value:u}"))));

        if (!Impossible(builder.Build(relaxation)))
        {
            return [new Conflict(GivenUp, Words.Of($"the search was given up before it was known whether there are figures: set a figure less by hand, or take other tools"))];
        }

        var dropped = new HashSet<string>();
        foreach (var conflict in all)
        {
            dropped.Add(conflict.Id);
            if (!Impossible(builder.Build(relaxation, dropped)))
            {
                dropped.Remove(conflict.Id);
            }
        }

        var kept = all.Where(c => !dropped.Contains(c.Id)).ToList();
        return kept.Count > 0 ? kept : [new Conflict("format", Words.Of($"the finished size itself has no mark on these tools"))];
    }
}

using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>
/// The values of one parameter for which all figures can be set, everything else free to follow.
/// </summary>
/// <param name="Step">From one settable value to the next, at the ends of the range.</param>
/// <param name="Stops">All settable values in order; for a machine some half a millimetre apart, for both systems at once some two apart, those that are soon found.</param>
public sealed record FeasibleRange(Length Min, Length Max, Length Step, IReadOnlyList<Length> Stops)
{
    private const int MostStops = 400;

    /// <summary>What an end of a range may cost to find, and what one of its stops, before the next one is tried: some milliseconds.</summary>
    private const long EndEffort = 40_000, StopEffort = 12_000;

    /// <summary>The same of one of the many stops on a machine, or on two systems at once.</summary>
    private const long ManyStopsEffort = 4_000;

    internal static FeasibleRange? Of(ProblemBuilder builder, ToolSet tools, string parameter, Relaxation relaxation)
    {
        var problem = builder.Build(relaxation, only: parameter, onlyIdeal: Rational.Zero);
        var only = problem.OnlyUnknown!.Value;

        // The settable value nearest to an ideal, at least as great as a low end.
        long? Nearest(long ideal, long low, long effort = EndEffort)
        {
            var asked = problem with { Effort = effort, Unknowns = [.. problem.Unknowns.Select((u, i) => i == only ? u with { Ideal = ideal, Low = low } : u)] };
            return Search.Solve(asked) is { } solution ? solution.Values[only] : null;
        }

        if (End(0) is not { } min || End(Length.In(30).Units) is not { } max)
        {
            return null;
        }

        long? End(long ideal)
        {
            try
            {
                return Nearest(ideal, 0);
            }
            catch (UndecidedException)
            {
                // A range whose ends are not soon found is not offered.
                return null;
            }
        }

        // A machine, or two systems at once, can set nearly anything: there the stops are those next to each fine mark.
        var stops = new List<Length> { new(min) };
        var many = tools.Exact || tools.CutMarks.Count > 1;
        var grid = tools.Exact ? Pair.Of(1, 32, 0.5m).For(tools.System) : many ? Pair.Of(1, 8, 2m).For(tools.System) : new Length(1);
        for (var at = min; at < max && stops.Count < MostStops;)
        {
            var next = Math.Min(max, (new Length(at) + grid).Down(grid).Units);
            try
            {
                at = next == max ? max : Nearest(next, next, many ? ManyStopsEffort : StopEffort) ?? max;
                stops.Add(new Length(at));
            }
            catch (UndecidedException)
            {
                at = next;
            }
        }

        var step = tools.Exact ? new Length(1) : stops.Count > 1 ? stops.Zip(stops.Skip(1), (a, b) => b - a).Min() : tools.RulerMarks.DefaultIfEmpty(tools.CutMarks[0]).Min();
        return new FeasibleRange(new Length(min), new Length(max), step, stops);
    }
}

using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>
/// The values of one parameter for which all figures can be set, everything else free to follow.
/// </summary>
/// <param name="Step">From one settable value to the next, at the ends of the range.</param>
/// <param name="Stops">All settable values in order; for a machine, which sets any, those at about every half millimetre.</param>
public sealed record FeasibleRange(Length Min, Length Max, Length Step, IReadOnlyList<Length> Stops)
{
    private const int MostStops = 400;

    internal static FeasibleRange? Of(Poser poser, ToolSet tools, string parameter, Means means)
    {
        long? End(Rational ideal)
        {
            var problem = poser.Pose(means, only: parameter, onlyIdeal: ideal);
            return Search.Solve(problem) is { } solution ? solution.Values[problem.OnlyUnknown!.Value] : null;
        }

        if (End(Rational.Zero) is not { } min || End(Length.In(30).Units) is not { } max)
        {
            return null;
        }

        var stops = new List<Length> { new(min) };
        var coarse = Pair.Of(1, 32, 0.5m).In(tools.System);
        // Each next stop is the least settable value above the last.
        while (stops[^1].Units < max && stops.Count < MostStops)
        {
            var next = tools.Exact ? Math.Min(max, (stops[^1] + coarse).Down(coarse).Units) : stops[^1].Units + 1;
            var problem = poser.Pose(means, only: parameter, onlyIdeal: next);
            var only = problem.OnlyUnknown!.Value;
            var above = problem with { Unknowns = [.. problem.Unknowns.Select((u, i) => i == only ? u with { Low = next, High = max } : u)] };
            stops.Add(new Length(Search.Solve(above)!.Value.Values[only]));
        }

        var step = tools.Exact ? new Length(1) : stops.Count > 1 ? stops.Zip(stops.Skip(1), (a, b) => b - a).Min() : tools.RulerMarks.DefaultIfEmpty(tools.CutMarks[0]).Min();
        return new FeasibleRange(new Length(min), new Length(max), step, stops);
    }
}

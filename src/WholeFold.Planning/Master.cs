using Google.OrTools.LinearSolver;

namespace WholeFold.Planning;

/// <summary>The linear and the whole-numbered choice among patterns: cover what is wanted at the least cost.</summary>
internal sealed class Master(Problem problem)
{
    /// <summary>What the costliest sort is worth, in whole numbers.</summary>
    public const int Scale = 1 << 21;

    /// <summary>Dearer than any sheet, so that a piece is left out only where nothing holds it.</summary>
    private const double LeftOut = 1000;

    /// <summary>The least cost when sheets may be cut in part, and what one more of each kind, or a sheet more, would change.</summary>
    /// <param name="just">
    /// So many sheets of each sort are all there are and cost nothing: then the cost is how many pieces are left out. Null where
    /// sheets cost what they cost.
    /// </param>
    /// <param name="wanted">How many of each kind; all where it is not said.</param>
    public (double Cost, double[] Duals, double[] Limits, double[] Times) Relaxed(IReadOnlyList<Column> columns, int[]? just = null,
        int[]? wanted = null)
    {
        using var solver = Solver.CreateSolver("GLOP");
        var demand = (wanted ?? problem.Demand).Select(d => solver.MakeConstraint(d, double.PositiveInfinity)).ToArray();
        var limits = problem.Sorts.Select((s, i) => (just?[i] ?? s.Limit) is { } limit
            ? solver.MakeConstraint(double.NegativeInfinity, limit) : null).ToArray();
        var goal = solver.Objective();
        var times = columns.Select(c => Add(solver, c, demand, limits, whole: false)).ToList();
        foreach (var (column, time) in columns.Zip(times))
        {
            goal.SetCoefficient(time, just is null ? problem.Share[column.Sort] : 0);
        }

        foreach (var row in demand)
        {
            var missing = solver.MakeNumVar(0, double.PositiveInfinity, "");
            row.SetCoefficient(missing, 1);
            goal.SetCoefficient(missing, just is null ? LeftOut : 1);
        }

        goal.SetMinimization();
        solver.Solve();
        return (goal.Value(), [.. demand.Select(d => Math.Max(0, d.DualValue()))],
            [.. limits.Select(l => Math.Max(0, -(l?.DualValue() ?? 0)))],
            [.. times.Select(t => t.SolutionValue())]);
    }

    /// <summary>The best whole-numbered choice among columns, as far as a bounded search finds it; null where it finds none.</summary>
    /// <param name="just">How many sheets of each sort there are; null where that is the job's.</param>
    /// <param name="nodes">How far the search goes: a count, so that the same job gives the same plan.</param>
    public List<Used>? Whole(IReadOnlyList<Column> columns, int[]? just = null, int nodes = 1500)
    {
        using var solver = Solver.CreateSolver("SCIP");
        var demand = problem.Kinds.Select(k => solver.MakeConstraint(k.Count, double.PositiveInfinity)).ToArray();
        var limits = problem.Sorts.Select((s, i) => (just?[i] ?? s.Limit) is { } limit ? solver.MakeConstraint(0, limit) : null).ToArray();
        var goal = solver.Objective();
        var times = columns.Select(c => Add(solver, c, demand, limits, whole: true)).ToList();
        foreach (var (column, time) in columns.Zip(times))
        {
            goal.SetCoefficient(time, problem.Share[column.Sort]);
        }

        goal.SetMinimization();
        solver.SetSolverSpecificParametersAsString($"limits/nodes = {nodes}\nlimits/stallnodes = {nodes / 2}\n");
        return solver.Solve() is Solver.ResultStatus.OPTIMAL or Solver.ResultStatus.FEASIBLE
            ? [.. columns.Zip(times, (c, t) => new Used(c, (int)Math.Round(t.SolutionValue()))).Where(u => u.Times > 0)] : null;
    }

    private Variable Add(Solver solver, Column column, Constraint[] demand, Constraint?[] limits, bool whole)
    {
        var times = whole ? solver.MakeIntVar(0, Most(column), "") : solver.MakeNumVar(0, double.PositiveInfinity, "");
        for (var i = 0; i < demand.Length; i++)
        {
            if (column.Counts[i] > 0)
            {
                demand[i].SetCoefficient(times, column.Counts[i]);
            }
        }

        limits[column.Sort]?.SetCoefficient(times, 1);
        return times;
    }

    private int Most(Column column) => problem.Kinds.Select((k, i) => column.Counts[i] > 0
        ? (k.Count + column.Counts[i] - 1) / column.Counts[i] : 0).Max();
}

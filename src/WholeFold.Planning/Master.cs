using Google.OrTools.LinearSolver;

namespace WholeFold.Planning;

/// <summary>The linear and the whole-numbered choice among patterns: cover what is wanted at the least cost.</summary>
internal sealed class Master(Problem problem)
{
    /// <summary>What the costliest sort is worth, in whole numbers.</summary>
    public const int Scale = 1 << 21;

    /// <summary>Dearer than any sheet, so that a piece is left out only where nothing holds it.</summary>
    private const double LeftOut = 1000;

    private readonly double[] cost = [.. problem.Sorts.Select(s => (double)s.Cost / Math.Max(1, problem.Sorts.Max(o => o.Cost)))];

    /// <summary>The least cost when sheets may be cut in part, and what one more of each kind would cost.</summary>
    public (double Cost, double[] Duals, double[] Limits, double[] Times) Relaxed(IReadOnlyList<Column> columns)
    {
        using var solver = Solver.CreateSolver("GLOP");
        var demand = problem.Kinds.Select(k => solver.MakeConstraint(k.Count, double.PositiveInfinity)).ToArray();
        var limits = problem.Sorts.Select(s => s.Limit is { } limit ? solver.MakeConstraint(double.NegativeInfinity, limit)
            : null).ToArray();
        var goal = solver.Objective();
        var times = columns.Select(c => Add(solver, c, demand, limits, goal, whole: false)).ToList();
        foreach (var row in demand)
        {
            var missing = solver.MakeNumVar(0, double.PositiveInfinity, "");
            row.SetCoefficient(missing, 1);
            goal.SetCoefficient(missing, LeftOut);
        }

        goal.SetMinimization();
        solver.Solve();
        return (goal.Value(), [.. demand.Select(d => Math.Max(0, d.DualValue()))],
            [.. limits.Select(l => Math.Max(0, -(l?.DualValue() ?? 0)))],
            [.. times.Select(t => t.SolutionValue())]);
    }

    /// <summary>
    /// How many pieces are left out when sheets of each sort are cut in part, and these are all there are; with what one more
    /// of each kind, and one sheet more, would change.
    /// </summary>
    public (double Missing, double[] Duals, double[] Limits) OnJust(IReadOnlyList<Column> columns, int[] sheets)
    {
        using var solver = Solver.CreateSolver("GLOP");
        var demand = problem.Kinds.Select(k => solver.MakeConstraint(k.Count, double.PositiveInfinity)).ToArray();
        var limits = sheets.Select(s => solver.MakeConstraint(double.NegativeInfinity, s)).ToArray();
        var goal = solver.Objective();
        foreach (var column in columns)
        {
            goal.SetCoefficient(Add(solver, column, demand, limits, goal, whole: false), 0);
        }

        foreach (var row in demand)
        {
            var missing = solver.MakeNumVar(0, double.PositiveInfinity, "");
            row.SetCoefficient(missing, 1);
            goal.SetCoefficient(missing, 1);
        }

        goal.SetMinimization();
        solver.Solve();
        return (goal.Value(), [.. demand.Select(d => Math.Max(0, d.DualValue()))], [.. limits.Select(l => Math.Max(0, -l.DualValue()))]);
    }

    /// <summary>The best whole-numbered choice among columns, as far as a bounded search finds it; null where it finds none.</summary>
    /// <param name="exactly">How many sheets of each sort to take; null where that is free.</param>
    /// <param name="nodes">How far the search goes: a count, so that the same job gives the same plan.</param>
    public List<Used>? Whole(IReadOnlyList<Column> columns, int[]? exactly = null, int nodes = 1500)
    {
        using var solver = Solver.CreateSolver("SCIP");
        var demand = problem.Kinds.Select(k => solver.MakeConstraint(k.Count, double.PositiveInfinity)).ToArray();
        var limits = problem.Sorts.Select((s, i) => exactly is not null ? solver.MakeConstraint(0, exactly[i])
            : s.Limit is { } limit ? solver.MakeConstraint(0, limit) : null).ToArray();
        var goal = solver.Objective();
        var times = columns.Select(c => Add(solver, c, demand, limits, goal, whole: true)).ToList();
        goal.SetMinimization();
        solver.SetSolverSpecificParametersAsString($"limits/nodes = {nodes}\nlimits/stallnodes = {nodes / 2}\n");
        return solver.Solve() is Solver.ResultStatus.OPTIMAL or Solver.ResultStatus.FEASIBLE
            ? [.. columns.Zip(times, (c, t) => new Used(c, (int)Math.Round(t.SolutionValue()))).Where(u => u.Times > 0)] : null;
    }

    private Variable Add(Solver solver, Column column, Constraint[] demand, Constraint?[] limits, Objective goal, bool whole)
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
        goal.SetCoefficient(times, problem.Sorts.Count == 1 ? 1 : cost[column.Sort]);
        return times;
    }

    private int Most(Column column) => problem.Kinds.Select((k, i) => column.Counts[i] > 0
        ? (k.Count + column.Counts[i] - 1) / column.Counts[i] : 0).Max();
}

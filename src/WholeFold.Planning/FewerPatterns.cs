using Google.OrTools.Sat;

namespace WholeFold.Planning;

/// <summary>As few different ways to cut the sheets of a plan as a bounded search finds: each is set up and learnt anew.</summary>
internal sealed class FewerPatterns(Problem problem, Proposals proposals, Pool pool)
{
    private readonly int[] demand = problem.Demand;

    /// <returns>A plan of no more sheets of any kind.</returns>
    public IReadOnlyList<Used> Of(Found found, CancellationToken stop)
    {
        if (found.Used.Count < 2)
        {
            return found.Used;
        }

        // A pattern cut so many times holds no more of a kind than its share.
        foreach (var share in Enumerable.Range(1, Math.Min(24, found.Sheets)).SelectMany(r =>
            new[] { 0, r - 1 }.Select(up => demand.Select(d => (d + up) / r).ToArray()))
            .DistinctBy(s => string.Join(',', s)).Where(s => s.Any(n => n > 0)))
        {
            if (stop.IsCancellationRequested)
            {
                return found.Used;
            }

            pool.AddAll(proposals.Of(proposals.Areas(), share));
        }

        var sheets = problem.Sorts.Select((_, i) => found.Used.Where(u => u.Column.Sort == i).Sum(u => u.Times)).ToArray();
        var mayHaveMore = found.Used.Any(u => !u.Column.IsPlain);
        var columns = pool.Columns.Where(c => sheets[c.Sort] > 0 && (mayHaveMore || c.IsPlain))
            .OrderByDescending(c => c.Worth(found.Bound.Worths)).Take(500).Concat(found.Used.Select(u => u.Column)).Distinct().ToList();
        var model = new CpModel();
        var times = columns.Select(c => model.NewIntVar(0, sheets[c.Sort], "")).ToArray();
        var cut = columns.Select(_ => model.NewBoolVar("")).ToArray();
        foreach (var (c, i) in columns.Select((c, i) => (c, i)))
        {
            model.Add(times[i] <= sheets[c.Sort] * cut[i]);
            model.AddHint(times[i], found.Used.Where(u => u.Column == c).Sum(u => u.Times));
        }

        for (var sort = 0; sort < sheets.Length; sort++)
        {
            model.Add(LinearExpr.Sum(times.Where((_, i) => columns[i].Sort == sort)) <= sheets[sort]);
        }

        for (var i = 0; i < demand.Length; i++)
        {
            model.Add(LinearExpr.WeightedSum(times, columns.Select(c => c.Counts[i])) >= demand[i]);
        }

        model.Minimize(LinearExpr.Sum(cut));
        var solver = new CpSolver { StringParameters = "num_workers:1,max_deterministic_time:2" };
        return solver.Solve(model) is CpSolverStatus.Optimal or CpSolverStatus.Feasible && solver.ObjectiveValue < found.Used.Count
            ? [.. columns.Zip(times, (c, t) => new Used(c, (int)solver.Value(t))).Where(u => u.Times > 0)] : found.Used;
    }
}

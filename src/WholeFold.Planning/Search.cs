using System.Numerics;
using Google.OrTools.Sat;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>What the search has so far: sheets and patterns, and what no plan can better.</summary>
internal sealed record Found(IReadOnlyList<Used> Used, Bound Bound, bool Proven)
{
    public int Sheets => Used.Sum(u => u.Times);

    public BigInteger Cost(Problem problem) => Used.Select(u =>
        (BigInteger)problem.Sorts[u.Column.Sort].Cost * u.Times).Aggregate(BigInteger.Zero, (a, b) => a + b);
}

/// <summary>
/// The least cost for one stock. Good patterns first, sheet by sheet; then patterns proposed by what a piece is worth in the
/// linear choice, and the exact programme bounding it; then the whole-numbered choice; and where a sheet stays between plan and
/// bound, every pattern that could save it.
/// </summary>
internal sealed class Search
{
    private const int MostRounds = 120;

    private readonly Problem problem;
    private readonly int[] demand;
    private readonly Master master;
    private readonly Pool pool = new();
    private readonly Dictionary<Family, (Exact Exact, Staged[] Staged)> tables = [];
    private readonly Action<Found>? better;
    private readonly CancellationToken stop;
    private List<Used>? best;
    private Bound bound;

    public Search(Problem problem, Action<Found>? better, CancellationToken stop)
    {
        (this.problem, this.better, this.stop) = (problem, better, stop);
        demand = problem.Demand;
        master = new Master(problem);
        foreach (var family in problem.Sorts.Select(s => s.Family).Distinct())
        {
            tables[family] = (new Exact(family, problem.Longest),
                [.. new[] { Axis.X, Axis.Y }.Select(a => new Staged(family, a, problem.Kinds.Count, problem.Longest))]);
        }

        bound = new Bound(new int[demand.Length], new int[problem.Sorts.Count], BigInteger.Zero);
    }

    /// <summary>Bounds met on the way: each tells of some sets of pieces that no sheet holds them.</summary>
    public List<Bound> Bounds { get; } = [];

    private bool OneSort => problem.Sorts.Count == 1;

    /// <exception cref="NoPlanException">The sheets that are there are not enough.</exception>
    public Found Run()
    {
        Take(BySheets(Areas()));
        Improve();
        if (!IsProven)
        {
            Whole();
        }

        for (var round = 0; round < 3 && !IsProven; round++)
        {
            Residuals(round);
            Whole();
        }

        if (!IsProven && OneSort)
        {
            Decide();
        }
        else if (!IsProven && best is not null)
        {
            new Combinations(problem, Bounds, Excluded, OnJust).Close(best, bound, Take, b => bound = b);
        }

        return best is null ? throw new NoPlanException(Words.Of($"The sheets of {problem.Job.Stock} that are there are not enough for all of it.")) : Now();
    }

    private bool IsProven => best is not null && Now().Proven;

    private Found Now()
    {
        var found = new Found(best!, bound, false);
        return found with { Proven = OneSort ? found.Sheets <= LeastSheets : found.Cost(problem) <= bound.Cost };
    }

    /// <summary>Of one sort: the bound's cost in whole sheets.</summary>
    private int LeastSheets => problem.Sorts[0].Cost == 0 ? 0
        : (int)((bound.Cost + problem.Sorts[0].Cost - 1) / problem.Sorts[0].Cost);

    private void Take(List<Used>? used)
    {
        if (used is null)
        {
            return;
        }

        foreach (var u in used)
        {
            pool.Add(u.Column);
        }

        var found = new Found(used, bound, false);
        if (best is null || Rank(used).CompareTo(Rank(best)) < 0)
        {
            best = used;
            better?.Invoke(found);
        }
    }

    /// <summary>Cost, offcuts, sheets, kinds of sheet; of equals the plainer cuts.</summary>
    private (BigInteger, int, int, int, int) Rank(IReadOnlyList<Used> used) =>
        (new Found(used, bound, false).Cost(problem), used.Where(u => problem.Sorts[u.Column.Sort].Sheet.IsOffcut).Sum(u => u.Times),
            used.Sum(u => u.Times), used.Select(u => u.Column.Sort).Distinct().Count(), used.Count(u => !u.Column.IsPlain));

    private int[] Areas()
    {
        var most = problem.Kinds.Max(k => k.Area);
        return [.. problem.Kinds.Select(k => (int)Math.Max(1, k.Area * (Master.Scale / 64) / most))];
    }

    /// <summary>One sheet after the other, each the best for what is still wanted; what was hard to place is worth more the next
    /// time.</summary>
    private List<Used>? BySheets(int[] worths, int rounds = 3)
    {
        var areas = problem.Kinds.Select(k => (double)k.Area).ToArray();
        var values = worths.Select(w => (double)w).ToArray();
        List<Used>? plan = null;
        for (var round = 0; round < rounds; round++)
        {
            var made = OneByOne(values, areas);
            if (made is null)
            {
                return plan;
            }

            plan = plan is null || Rank(made).CompareTo(Rank(plan)) < 0 ? made : plan;
        }

        return plan;
    }

    private List<Used>? OneByOne(double[] values, double[] areas)
    {
        var left = demand.ToArray();
        var limits = problem.Sorts.Select(s => s.Limit ?? int.MaxValue).ToArray();
        var made = new List<Used>();
        while (left.Any(l => l > 0))
        {
            stop.ThrowIfCancellationRequested();
            var scale = Master.Scale / 64 / values.Max();
            var column = BestFor([.. values.Select(v => Math.Max(1, (int)(v * scale)))], left, limits);
            if (column is null)
            {
                return null;
            }

            var times = Math.Min(limits[column.Sort], column.Counts.Select((c, i) => c > 0 ? left[i] / c : int.MaxValue).Min());
            var sheet = problem.Sorts[column.Sort];
            var filled = column.Counts.Select((c, i) => c * areas[i]).Sum() / ((double)sheet.Width * sheet.Height);
            for (var i = 0; i < left.Length; i++)
            {
                left[i] -= times * column.Counts[i];
                values[i] = column.Counts[i] == 0 ? values[i]
                    : (0.7 * values[i]) + (0.3 * Math.Pow(areas[i] / areas.Max(), 1.02) * Master.Scale / 64 / Math.Max(0.05, filled));
            }

            limits[column.Sort] -= times;
            made.Add(new Used(column, times));
        }

        return made;
    }

    /// <summary>The column that gives most for its cost, of what is still wanted.</summary>
    private Column? BestFor(int[] worths, int[] left, int[] limits)
    {
        (double Gain, int Sort, Staged Table, int[] Counts)? most = null;
        foreach (var (family, (_, staged)) in tables)
        {
            foreach (var table in staged)
            {
                table.Fill(worths, left);
                foreach (var (sort, i) in problem.Sorts.Select((s, i) => (s, i)).Where(s => s.s.Family == family && limits[s.i] > 0))
                {
                    var (worth, counts) = table.Best(sort.Width, sort.Height);
                    var gain = worth / Math.Max(sort.Cost, 0.25 * sort.Width * sort.Height / problem.Sorts.Max(s =>
                        (double)s.Width * s.Height) * problem.Sorts.Max(s => s.Cost));
                    if (worth > 0 && (most is null || gain > most.Value.Gain))
                    {
                        most = (gain, i, table, counts);
                    }
                }
            }
        }

        return most is { } m ? new Column(m.Sort, m.Counts, m.Table.Lay(problem.Sorts[m.Sort].Width, problem.Sorts[m.Sort].Height)) : null;
    }

    /// <summary>Patterns that what a piece is worth calls for, until none is missing; and the bound that these worths give.</summary>
    private void Improve()
    {
        foreach (var (kind, i) in problem.Kinds.Select((k, i) => (k, i)))
        {
            // Whatever else is found, each piece has a sheet of its own kind to come from.
            var only = new int[demand.Length];
            only[i] = kind.Count;
            foreach (var column in Proposed([.. only.Select(o => o > 0 ? Master.Scale : 0)], only, null))
            {
                pool.Add(column);
            }
        }

        var refined = false;
        for (var round = 0; round < MostRounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            var (_, duals, limits, _) = master.Relaxed(pool.Columns);
            var worths = Worths(duals);
            var added = pool.AddAll(Proposed(worths, demand, limits));
            if (added > 0 && !refined && round % 12 != 11)
            {
                continue;
            }

            Bounded(worths);
            if (IsProven)
            {
                return;
            }

            // Where no few-staged pattern is missing, any pattern may still be.
            refined |= added == 0;
            if (added == 0 && pool.AddAll(Unstaged(limits)) == 0)
            {
                return;
            }
        }
    }

    /// <summary>Whether some worths show that these sheets cannot hold all that is wanted; patterns that they call for are kept.</summary>
    private bool Excluded(int[] sheets)
    {
        for (var round = 0; round < MostRounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            var (missing, duals, limits) = master.OnJust(pool.Columns, sheets);
            if (missing < 1e-6)
            {
                return false;
            }

            var worths = Worths(duals);
            if (pool.AddAll(Proposed(worths, demand, limits, free: true)) > 0 && round % 6 != 5)
            {
                continue;
            }

            Bounded(worths);
            if (!Bounds[^1].Allows(sheets, demand))
            {
                return true;
            }

            if (pool.AddAll(Unstaged(limits, free: true)) == 0)
            {
                return false;
            }
        }

        return false;
    }

    private List<Used>? OnJust(int[] sheets) => master.Whole(
        [.. pool.Columns.Where(c => sheets[c.Sort] > 0).OrderByDescending(c =>
            c.Worth(bound.Worths) / (double)Math.Max(1, bound.Most[c.Sort])).Take(400)], sheets, 300);

    private static int[] Worths(double[] duals) => [.. duals.Select(d => Math.Max(1, (int)Math.Min(d * Master.Scale, Master.Scale)))];

    /// <summary>Columns worth more than they cost.</summary>
    private IEnumerable<Column> Proposed(int[] worths, int[] bounds, double[]? limits, bool free = false)
    {
        foreach (var (family, (_, staged)) in tables)
        {
            foreach (var table in staged)
            {
                table.Fill(worths, bounds);
                foreach (var (sort, i) in problem.Sorts.Select((s, i) => (s, i)).Where(s => s.s.Family == family))
                {
                    var (worth, counts) = table.Best(sort.Width, sort.Height);
                    if (worth > 0 && (limits is null || worth > Needed(sort, i, limits, free)))
                    {
                        yield return new Column(i, counts, table.Lay(sort.Width, sort.Height));
                    }
                }
            }
        }
    }

    private IEnumerable<Column> Unstaged(double[] limits, bool free = false)
    {
        foreach (var (sort, i) in problem.Sorts.Select((s, i) => (s, i)))
        {
            var exact = tables[sort.Family].Exact;
            if (exact.Of(sort.Width, sort.Height) > Needed(sort, i, limits, free))
            {
                var layout = exact.Lay(sort.Width, sort.Height).Tidy();
                yield return new Column(i, layout.Counts(demand.Length), layout);
            }
        }
    }

    /// <summary>What a pattern has to be worth to better the linear choice.</summary>
    /// <param name="free">The sheets are given, and only how many of each counts.</param>
    private double Needed(Sort sort, int i, double[] limits, bool free) =>
        ((free ? 0 : OneSort ? 1 : (double)sort.Cost / Math.Max(1,
            problem.Sorts.Max(s => s.Cost))) + limits[i]) * Master.Scale * (1 + 1e-6);

    private void Bounded(int[] worths)
    {
        foreach (var (_, (exact, _)) in tables)
        {
            exact.Fill(worths);
        }

        var now = Bound.Of(problem, worths, s => tables[s.Family].Exact.Of(s.Width, s.Height));
        Bounds.Add(now);
        bound = now.Cost > bound.Cost || bound.Most.All(m => m == 0) ? now : bound;
    }

    private void Whole()
    {
        // Plain cuts first: more stages only where they save a sheet.
        var (_, duals, _, _) = master.Relaxed(pool.Columns);
        var worths = Worths(duals);
        List<Column> Nearest(IEnumerable<Column> columns) => [.. columns.OrderByDescending(c =>
            c.Worth(worths) - (OneSort ? Master.Scale : Master.Scale * (double)problem.Sorts[c.Sort].Cost / Math.Max(1,
                problem.Sorts.Max(s => s.Cost)))).Take(400)];
        Take(master.Whole(Nearest(pool.Columns.Where(c => c.IsPlain))));
        if (!IsProven && pool.Columns.Exists(c => !c.IsPlain))
        {
            Take(master.Whole(Nearest(pool.Columns)));
        }
    }

    /// <summary>The linear choice rounded down, and what is then still wanted planned by itself, with worths a little otherwise each
    /// time.</summary>
    private void Residuals(int round)
    {
        var (_, duals, _, times) = master.Relaxed(pool.Columns);
        var columns = pool.Columns.ToArray();
        var random = new Random(17 + round);
        for (var turn = 0; turn < 4; turn++)
        {
            stop.ThrowIfCancellationRequested();
            var left = demand.ToArray();
            var limits = problem.Sorts.Select(s => s.Limit ?? int.MaxValue).ToArray();
            foreach (var (column, time) in columns.Zip(times, (c, t) => (c, (int)Math.Floor(t * (1 - (0.15 * turn)) + 1e-6))))
            {
                for (var i = 0; i < left.Length; i++)
                {
                    left[i] = Math.Max(0, left[i] - (time * column.Counts[i]));
                }

                limits[column.Sort] -= Math.Min(limits[column.Sort], time);
            }

            while (left.Any(l => l > 0))
            {
                var worths = Worths([.. duals.Select((d, i) => Math.Max(d, 1e-4) * (0.85 + (0.3 * random.NextDouble())))]);
                if (BestFor([.. worths.Select(w => Math.Max(1, w / 2))], left, limits) is not { } column)
                {
                    break;
                }

                pool.Add(column);
                var times1 = Math.Max(1, column.Counts.Select((c, i) => c > 0 ? left[i] / c : int.MaxValue).Min());
                limits[column.Sort] -= Math.Min(limits[column.Sort], times1);
                for (var i = 0; i < left.Length; i++)
                {
                    left[i] -= Math.Min(left[i], times1 * column.Counts[i]);
                }
            }
        }
    }

    /// <summary>Whether one sheet fewer is enough: from every pattern that such a plan could use.</summary>
    private void Decide()
    {
        var least = LeastSheets;
        if (best is null || best.Sum(u => u.Times) != least + 1)
        {
            return;
        }

        var exact = tables[problem.Sorts[0].Family].Exact;
        exact.Fill(bound.Worths);
        var most = (long)exact.Of(problem.Sorts[0].Width, problem.Sorts[0].Height);
        var mayLose = (least * most) - demand.Select((d, i) => (long)d * bound.Worths[i]).Sum();
        if (new Exhaustive(problem, exact).Columns(mayLose) is not { } columns)
        {
            return;
        }

        var model = new CpModel();
        var times = columns.Select(_ => model.NewIntVar(0, least, "")).ToArray();
        model.Add(LinearExpr.Sum(times) == least);
        for (var i = 0; i < demand.Length; i++)
        {
            model.Add(LinearExpr.WeightedSum(times, columns.Select(c => c.Counts[i])) >= demand[i]);
        }

        var solver = new CpSolver { StringParameters = "num_workers:1,max_deterministic_time:12" };
        switch (solver.Solve(model))
        {
            case CpSolverStatus.Optimal or CpSolverStatus.Feasible:
                Take([.. columns.Zip(times, (c, t) => new Used(c, (int)solver.Value(t))).Where(u => u.Times > 0)]);
                break;
            case CpSolverStatus.Infeasible:
                bound = bound with { Cost = (BigInteger)problem.Sorts[0].Cost * (least + 1) };
                break;
        }
    }

    /// <summary>The same sheets cut in as few different ways as a bounded search finds.</summary>
    public IReadOnlyList<Used> FewerPatterns(Found found)
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
            stop.ThrowIfCancellationRequested();
            foreach (var column in Proposed(Areas(), share, null))
            {
                pool.Add(column);
            }
        }

        var sheets = problem.Sorts.Select((_, i) => found.Used.Where(u => u.Column.Sort == i).Sum(u => u.Times)).ToArray();
        var mayHaveMore = found.Used.Any(u => !u.Column.IsPlain);
        var columns = pool.Columns.Where(c => sheets[c.Sort] > 0 && (mayHaveMore || c.IsPlain))
            .OrderByDescending(c => c.Worth(bound.Worths)).Take(500).Concat(found.Used.Select(u => u.Column)).Distinct().ToList();
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

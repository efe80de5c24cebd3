using System.Numerics;
using Google.OrTools.Sat;
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
    private readonly Proposals proposals;
    private readonly Action<Found>? better;
    private readonly CancellationToken stop;

    /// <summary>Met on the way: each tells of some sets of pieces that no sheet holds them.</summary>
    private readonly List<Bound> bounds = [];

    private List<Used>? best;
    private Bound bound;

    public Search(Problem problem, Action<Found>? better, CancellationToken stop)
    {
        (this.problem, this.better, this.stop) = (problem, better, stop);
        demand = problem.Demand;
        (master, proposals) = (new Master(problem), new Proposals(problem));
        bound = new Bound(new int[demand.Length], new int[problem.Sorts.Count], BigInteger.Zero);
    }

    private bool OneSort => problem.Sorts.Count == 1;

    /// <exception cref="NoPlanException">The sheets that are there are not enough.</exception>
    public Found Run()
    {
        try
        {
            Best();
        }
        catch (OperationCanceledException) when (best is not null)
        {
            // What there is by then is a plan too.
        }

        return best is null
            ? throw new NoPlanException(Words.Of($"The sheets of {problem.Job.Stock} that are there are not enough for all of it."))
            : Now();
    }

    /// <summary>Whether the first plans, sheet by sheet, manage with the sheets that are there.</summary>
    public bool HasFirst => BySheets() is not null;

    private void Best()
    {
        Take(BySheets());
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
            new Combinations(problem, bounds, s => Excluded(s), OnJust).Close(best, bound, Take, b => bound = b);
        }
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

    /// <summary>One sheet after the other, each the best for what is still wanted; what was hard to place is worth more the next
    /// time.</summary>
    private List<Used>? BySheets()
    {
        var areas = problem.Kinds.Select(k => (double)k.Area).ToArray();
        var values = proposals.Areas().Select(w => (double)w).ToArray();
        List<Used>? plan = null;
        for (var round = 0; round < 3; round++)
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
            var column = proposals.BestFor([.. values.Select(v => Math.Max(1, (int)(v * scale)))], left, limits);
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

    /// <summary>Patterns that what a piece is worth calls for, until none is missing; and the bound that these worths give.</summary>
    private void Improve()
    {
        foreach (var (kind, i) in problem.Kinds.Select((k, i) => (k, i)))
        {
            // Whatever else is found, each piece has a sheet of its own kind to come from.
            var only = new int[demand.Length];
            only[i] = kind.Count;
            pool.AddAll(proposals.Of([.. only.Select(o => o > 0 ? Master.Scale : 0)], only));
        }

        var refined = false;
        for (var round = 0; round < MostRounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            var (_, duals, limits, _) = master.Relaxed(pool.Columns);
            var worths = Proposals.Worths(duals);
            var added = pool.AddAll(proposals.Of(worths, demand, limits));
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
            if (added == 0 && pool.AddAll(proposals.Unstaged(limits)) == 0)
            {
                return;
            }
        }
    }

    /// <summary>Whether some worths show that these sheets cannot hold all that is wanted; patterns that they call for are kept.</summary>
    /// <param name="some">What else is wanted than all.</param>
    private bool Excluded(int[] sheets, int[]? some = null)
    {
        var wanted = some ?? demand;
        for (var round = 0; round < MostRounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            var (missing, duals, limits, _) = master.Relaxed(pool.Columns, sheets, wanted);
            if (missing < 1e-6)
            {
                return false;
            }

            var worths = Proposals.Worths(duals);
            if (pool.AddAll(proposals.Of(worths, wanted, limits, free: true)) > 0 && round % 6 != 5)
            {
                continue;
            }

            Bounded(worths);
            if (!bounds[^1].Allows(sheets, wanted))
            {
                return true;
            }

            if (pool.AddAll(proposals.Unstaged(limits, free: true)) == 0)
            {
                return false;
            }
        }

        return false;
    }

    /// <summary>Whether no sheet holds so many of each: by some worths, or else from every pattern that is worth as much; and if
    /// one of those holds them, how.</summary>
    private (bool Impossible, Layout? Layout) Decided(int[] counts)
    {
        if (Excluded([1], counts))
        {
            return (true, null);
        }

        long Loses(Bound bound) => bound.Most[0] - counts.Select((c, i) => (long)c * bound.Worths[i]).Sum();
        var tightest = bounds.MinBy(b => Loses(b) / (double)Math.Max(1, b.Most[0]))!;
        var all = new Exhaustive(problem, proposals.Filled(problem.Sorts[0], tightest.Worths)).Columns(Loses(tightest));
        var holds = all?.Where(c => c.Counts.Zip(counts).All(n => n.First >= n.Second)).ToList();
        return (holds is { Count: 0 }, holds?.Select(c => c.Layout.Only([.. counts])).FirstOrDefault(l => l.Stages <= Column.FewStages));
    }

    private List<Used>? OnJust(int[] sheets) => master.Whole(
        [.. pool.Columns.Where(c => sheets[c.Sort] > 0).OrderByDescending(c =>
            c.Worth(bound.Worths) / (double)Math.Max(1, bound.Most[c.Sort])).Take(400)], sheets, 300);

    private void Bounded(int[] worths)
    {
        var now = proposals.Bounded(worths);
        bounds.Add(now);
        bound = now.Cost > bound.Cost || bound.Most.All(m => m == 0) ? now : bound;
    }

    private void Whole()
    {
        // Plain cuts first: more stages only where they save a sheet.
        var (_, duals, _, _) = master.Relaxed(pool.Columns);
        var worths = Proposals.Worths(duals);
        List<Column> Nearest(IEnumerable<Column> columns) => [.. columns.OrderByDescending(c =>
            c.Worth(worths) - (Master.Scale * problem.Share[c.Sort])).Take(400)];
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
            void Cut(Column column, int times)
            {
                limits[column.Sort] -= Math.Min(limits[column.Sort], times);
                for (var i = 0; i < left.Length; i++)
                {
                    left[i] = Math.Max(0, left[i] - (times * column.Counts[i]));
                }
            }

            foreach (var (column, time) in columns.Zip(times, (c, t) => (c, (int)Math.Floor((t * (1 - (0.15 * turn))) + 1e-6))))
            {
                Cut(column, time);
            }

            while (left.Any(l => l > 0))
            {
                var worths = Proposals.Worths([.. duals.Select((d, i) => Math.Max(d, 1e-4) * (0.85 + (0.3 * random.NextDouble())))]);
                if (proposals.BestFor([.. worths.Select(w => Math.Max(1, w / 2))], left, limits) is not { } column)
                {
                    break;
                }

                pool.Add(column);
                Cut(column, Math.Max(1, column.Counts.Select((c, i) => c > 0 ? left[i] / c : int.MaxValue).Min()));
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

        var exact = proposals.Filled(problem.Sorts[0], bound.Worths);
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

    /// <summary>The same sheets cut in as few different ways as a bounded search finds, with few settings and what is left in one
    /// piece; and how many ways there are at least.</summary>
    public (IReadOnlyList<Pattern> Patterns, int Least) Arranged(Found found)
    {
        if (stop.IsCancellationRequested)
        {
            return (Planning.Arranged.Of(problem, found.Used), 1);
        }

        var cuttings = Planning.Arranged.Exactly(problem, new FewerPatterns(problem, proposals, pool).Of(found, stop));
        var least = 1;
        if (OneSort && found.Proven)
        {
            (cuttings, least) = new LeastPatterns(problem, proposals, bounds, Decided).Of(cuttings, stop);
        }

        return (Planning.Arranged.Of(problem, cuttings, proposals), least);
    }
}

using System.Numerics;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>Plans how a stock is cut: the least cost first, then few different patterns.</summary>
public static class Planner
{
    /// <param name="better">Told of each better plan as it comes.</param>
    /// <param name="stop">Ends the search early: what was found until then is the plan.</param>
    /// <exception cref="NoPlanException">There is no plan; its message says why.</exception>
    /// <exception cref="OperationCanceledException">It was stopped before there was any plan.</exception>
    public static CutPlan Plan(StockJob job, Action<CutPlan>? better = null, CancellationToken stop = default)
    {
        var problem = Problem.Of(job);
        if (problem.Kinds.Count == 0)
        {
            return new CutPlan(job.Stock, [], 0, true, 0);
        }

        var search = new Search(problem, better is null ? null : f => better(Told(problem, f, Arranged.Of(problem, f.Used), 1)), stop);
        var found = search.Run();
        var (patterns, fewest) = search.Arranged(found);
        return Told(problem, found, patterns, fewest);
    }

    private static CutPlan Told(Problem problem, Found found, IReadOnlyList<Pattern> patterns, int fewest)
    {
        var left = problem.Members.Select(m => m.Select(w => (Wanted: w, Left: w.Count)).ToList()).ToList();
        var sheets = patterns.SelectMany(u => Named(problem, u, left, problem.Job.Hold)).ToList();
        var cost = found.Cost(problem);
        var dearest = problem.Sorts.Max(s => (BigInteger)s.Cost);
        var least = dearest.IsZero ? 0 : (int)((found.Bound.Cost + dearest - 1) / dearest);
        return new CutPlan(problem.Job.Stock, sheets, least, found.Proven, found.Proven || cost.IsZero ? 0
            : 1 - ((double)found.Bound.Cost / (double)cost), problem.Job.AtOnce)
        {
            LeastPatterns = fewest,
        };
    }

    /// <summary>Sheets cut alike with each piece by its own name: parted only where pieces of one size run out.</summary>
    private static IEnumerable<CutSheet> Named(Problem problem, Pattern used,
        List<List<(Wanted Wanted, int Left)>> left, Length hold)
    {
        var cuts = Cuts.Of(problem, used.Layout, hold);
        for (var times = used.Times; times > 0;)
        {
            var alike = times;
            var taken = new List<(int Kind, int Member)>();
            foreach (var (kind, _, _, _, _) in cuts.Pieces)
            {
                int Free(int m) => left[kind][m].Left - (taken.Count(t => t == (kind, m)) * alike);
                var member = Enumerable.Range(0, left[kind].Count).OrderByDescending(m => Free(m) >= alike).ThenByDescending(Free).First();
                while (Free(member) < alike)
                {
                    alike--;
                }

                taken.Add((kind, member));
            }

            foreach (var (kind, member) in taken)
            {
                left[kind][member] = (left[kind][member].Wanted, left[kind][member].Left - alike);
            }

            yield return new CutSheet(problem.Sorts[used.Sort].Sheet, alike, used.Layout.Stages, cuts.All,
                [.. cuts.Pieces.Zip(taken, (p, t) => new Placed(left[t.Kind][t.Member].Wanted, new Length(p.X), new Length(p.Y),
                    new Length(p.Width), new Length(p.Height)))], cuts.Left);
            times -= alike;
        }
    }
}

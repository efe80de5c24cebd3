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

        var search = new Search(problem, better is null ? null : f => better(Told(problem, f, f.Used)), stop);
        var found = search.Run();
        return Told(problem, found, search.FewerPatterns(found));
    }

    private static CutPlan Told(Problem problem, Found found, IReadOnlyList<Used> used)
    {
        var left = problem.Members.Select(m => m.Select(w => (Wanted: w, Left: w.Count)).ToList()).ToList();
        var sheets = Exactly(problem, used).SelectMany(u => Named(problem, u, left, problem.Job.Hold)).ToList();
        var cost = found.Cost(problem);
        var dearest = problem.Sorts.Max(s => (BigInteger)s.Cost);
        var least = dearest.IsZero ? 0 : (int)((found.Bound.Cost + dearest - 1) / dearest);
        return new CutPlan(problem.Job.Stock, sheets, least, found.Proven, found.Proven || cost.IsZero ? 0
            : 1 - ((double)found.Bound.Cost / (double)cost), problem.Job.AtOnce);
    }

    /// <summary>
    /// Just what is wanted: what is too many is left off where all sheets of a pattern have one fewer, and only then off some of
    /// them, which are then a pattern of their own.
    /// </summary>
    private static List<(int Sort, Layout Layout, int Times)> Exactly(Problem problem, IReadOnlyList<Used> used)
    {
        var counts = used.Select(u => (Used: u, u.Times, Counts: u.Column.Layout.Counts(problem.Kinds.Count))).ToList();
        for (var k = 0; k < problem.Kinds.Count; k++)
        {
            var over = counts.Sum(c => c.Times * c.Counts[k]) - problem.Kinds[k].Count;
            foreach (var c in counts.OrderByDescending(c => c.Times))
            {
                var fewer = Math.Min(c.Counts[k], over / c.Times);
                c.Counts[k] -= fewer;
                over -= fewer * c.Times;
            }

            while (over > 0)
            {
                var at = counts.Select((c, i) => (c, i)).Where(c => c.c.Counts[k] > 0).OrderBy(c => c.c.Times).First().i;
                var (whole, times, with) = counts[at];
                var some = Math.Min(over, times);
                var without = with.ToArray();
                without[k]--;
                over -= some;
                counts[at] = (whole, some, without);
                if (times > some)
                {
                    counts.Add((whole, times - some, with));
                }
            }
        }

        // A trim at the outside runs the whole length of the sheet, which a short trimmer does not cut.
        Layout Laid(Layout layout) => problem.Longest is null ? layout.Tight() : layout.Tidy();
        return [.. counts.Where(c => c.Counts.Any(n => n > 0)).Select(c =>
            (c.Used.Column.Sort, Laid(c.Used.Column.Layout.Only([.. c.Counts])), c.Times))
            .OrderBy(c => c.Sort).ThenByDescending(c => c.Times)];
    }

    /// <summary>Sheets cut alike with each piece by its own name: parted only where pieces of one size run out.</summary>
    private static IEnumerable<CutSheet> Named(Problem problem, (int Sort, Layout Layout, int Times) used,
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

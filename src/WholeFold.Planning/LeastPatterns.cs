using Google.OrTools.Sat;

namespace WholeFold.Planning;

/// <summary>
/// Whether the same number of sheets can be cut in fewer ways. For each number of ways, from one on, how many sheets are cut in
/// each and what lies on them is asked of a solver that knows only what sheets are bound to hold at most: where even that has
/// no answer none has, and where each of its answers can be laid it is the plan. An answer that cannot be laid is excluded by
/// worths that show it, as far as such are found.
/// </summary>
/// <param name="bounds">Each says what every sheet holds at most; there are more of them as answers are excluded.</param>
/// <param name="decide">Whether it is shown that a sheet cannot hold so many of each (worths that show it are then among the bounds), or
/// how it does.</param>
internal sealed class LeastPatterns(Problem problem, Proposals proposals, IReadOnlyList<Bound> bounds,
    Func<int[], (bool Impossible, Layout? Layout)> decide)
{
    /// <summary>More kinds, ways, answers and sheets to decide on than these are left open: counts bound them,
    /// and no clock.</summary>
    private const int MostKinds = 7, MostWays = 5, MostAnswers = 60, MostDecided = 20;

    private readonly List<int[]> notLaid = [];
    private int answers, decided;
    private bool isOpen;

    /// <returns>The patterns, fewer where they can be, and how many there are at least.</returns>
    public (List<Cutting> Patterns, int Least) Of(List<Cutting> now, CancellationToken stop)
    {
        if (problem.Kinds.Count > MostKinds)
        {
            return (now, 1);
        }

        for (var ways = 1; ways < now.Count; ways++)
        {
            if (ways > MostWays || With(ways, now.Sum(n => n.Times), stop) is not { } found)
            {
                return (now, ways);
            }

            if (found.Count > 0)
            {
                return (found, ways);
            }
        }

        return (now, now.Count);
    }

    /// <returns>A plan; nothing where there is none; null where that is not known.</returns>
    private List<Cutting>? With(int ways, int sheets, CancellationToken stop)
    {
        while (answers++ < MostAnswers && !stop.IsCancellationRequested)
        {
            switch (Answer(ways, sheets, out var answer))
            {
                case CpSolverStatus.Infeasible:
                    return isOpen ? null : [];
                case CpSolverStatus.Optimal or CpSolverStatus.Feasible:
                    var laid = answer.ConvertAll(Laid).FindAll(l => l is not null).ConvertAll(l => l!);
                    if (laid.Count == ways)
                    {
                        return laid;
                    }

                    break;
                default:
                    return null;
            }
        }

        return null;
    }

    private Cutting? Laid((int Times, int[] Counts) answer)
    {
        var layout = proposals.Laid(problem.Sorts[0], answer.Counts);
        if (layout is null && decided++ < MostDecided)
        {
            (var impossible, layout) = decide(answer.Counts);
            isOpen |= !impossible && layout is null;
        }

        if (layout is null)
        {
            isOpen |= decided > MostDecided;
            notLaid.Add(answer.Counts);
            return null;
        }

        return new Cutting(0, layout, answer.Times, answer.Counts);
    }

    private CpSolverStatus Answer(int ways, int sheets, out List<(int Times, int[] Counts)> answer)
    {
        var (model, sort, kinds) = (new CpModel(), problem.Sorts[0], problem.Kinds);
        var times = Enumerable.Range(0, ways).Select(_ => model.NewIntVar(1, sheets, "")).ToArray();
        var counts = times.Select(_ => kinds.Select(k => model.NewIntVar(0, Math.Min(k.Count, sort.Width * sort.Height / k.Area),
            "")).ToArray()).ToArray();
        model.Add(LinearExpr.Sum(times) == sheets);
        for (var way = 0; way < ways; way++)
        {
            if (way > 0)
            {
                model.Add(times[way] <= times[way - 1]);
            }

            model.Add(LinearExpr.WeightedSum(counts[way], kinds.Select(k => k.Area)) <= sort.Width * sort.Height);
            foreach (var bound in bounds)
            {
                model.Add(LinearExpr.WeightedSum(counts[way], bound.Worths) <= bound.Most[0]);
            }

            foreach (var not in notLaid)
            {
                var fewer = new List<ILiteral>();
                foreach (var (count, n) in counts[way].Zip(not).Where(c => c.Second > 0))
                {
                    var less = model.NewBoolVar("");
                    model.Add(count <= n - 1).OnlyEnforceIf(less);
                    fewer.Add(less);
                }

                model.AddBoolOr(fewer);
            }
        }

        for (var k = 0; k < kinds.Count; k++)
        {
            var made = times.Select((t, way) =>
            {
                var product = model.NewIntVar(0, kinds[k].Count, "");
                model.AddMultiplicationEquality(product, [t, counts[way][k]]);
                return product;
            }).ToArray();
            model.Add(LinearExpr.Sum(made) == kinds[k].Count);
        }

        var solver = new CpSolver { StringParameters = "num_workers:1,max_deterministic_time:1" };
        var status = solver.Solve(model);
        answer = status is not (CpSolverStatus.Optimal or CpSolverStatus.Feasible) ? []
            : [.. times.Select((t, way) => ((int)solver.Value(t), counts[way].Select(c => (int)solver.Value(c)).ToArray()))];
        return status;
    }
}

using WholeFold.Core.Constructions;

namespace WholeFold.Planning;

/// <summary>Patterns that some worths of the pieces call for, and the bound that these worths give.</summary>
internal sealed class Proposals
{
    private readonly Problem problem;
    private readonly Dictionary<Family, (Exact Exact, Staged[] Staged)> tables;

    public Proposals(Problem problem)
    {
        this.problem = problem;
        tables = problem.Sorts.Select(s => s.Family).Distinct().ToDictionary(f => f, f => (new Exact(f, problem.Longest),
            new[] { Axis.X, Axis.Y }.Select(a => new Staged(f, a, problem.Kinds.Count, problem.Longest)).ToArray()));
    }

    /// <summary>In whole numbers; none is worth nothing, or a pattern might have any number of it.</summary>
    public static int[] Worths(double[] duals) => [.. duals.Select(d => Math.Max(1, (int)Math.Min(d * Master.Scale, Master.Scale)))];

    /// <summary>As worths to begin with.</summary>
    public int[] Areas()
    {
        var most = problem.Kinds.Max(k => k.Area);
        return [.. problem.Kinds.Select(k => (int)Math.Max(1, k.Area * (Master.Scale / 64) / most))];
    }

    /// <summary>The column that gives most for its cost, of what is still wanted.</summary>
    public Column? BestFor(int[] worths, int[] left, int[] limits)
    {
        // What costs nothing is not taken for next to nothing: it is weighed as a quarter of its area.
        var largest = problem.Sorts.Max(s => (double)s.Width * s.Height);
        (double Gain, int Sort, Staged Table, int[] Counts)? most = null;
        foreach (var (family, (_, staged)) in tables)
        {
            foreach (var table in staged)
            {
                table.Fill(worths, left);
                foreach (var (sort, i) in Sorts(family).Where(s => limits[s.At] > 0))
                {
                    var (worth, counts) = table.Best(sort.Width, sort.Height);
                    var gain = worth / Math.Max(problem.Share[i], 0.25 * sort.Width * sort.Height / largest);
                    if (worth > 0 && (most is null || gain > most.Value.Gain))
                    {
                        most = (gain, i, table, counts);
                    }
                }
            }
        }

        return most is { } m ? new Column(m.Sort, m.Counts, m.Table.Lay(problem.Sorts[m.Sort].Width, problem.Sorts[m.Sort].Height)) : null;
    }

    /// <summary>Columns worth more than they cost.</summary>
    /// <param name="bounds">No pattern has more of a kind.</param>
    /// <param name="limits">What one more sheet of each sort would be worth; null for the best patterns, whatever they are worth.</param>
    /// <param name="free">The sheets are given, and only how many of each counts.</param>
    public IEnumerable<Column> Of(int[] worths, int[] bounds, double[]? limits = null, bool free = false)
    {
        foreach (var (family, (_, staged)) in tables)
        {
            foreach (var table in staged)
            {
                table.Fill(worths, bounds);
                foreach (var (sort, i) in Sorts(family))
                {
                    var (worth, counts) = table.Best(sort.Width, sort.Height);
                    if (worth > 0 && (limits is null || worth > Needed(i, limits, free)))
                    {
                        yield return new Column(i, counts, table.Lay(sort.Width, sort.Height));
                    }
                }
            }
        }
    }

    /// <summary>So many of each on a sheet; null where no way is found.</summary>
    public Layout? Laid(Sort sort, int[] counts)
    {
        var worths = Areas();
        var all = counts.Select((c, i) => (long)c * worths[i]).Sum();
        foreach (var table in tables[sort.Family].Staged)
        {
            table.Fill(worths, counts);
            if (table.Best(sort.Width, sort.Height).Worth >= all)
            {
                return table.Lay(sort.Width, sort.Height).Only([.. counts]);
            }
        }

        return null;
    }

    /// <summary>So many of each laid in as little of a sheet as they go, from one of its sides: what is left is one strip.</summary>
    public IEnumerable<Layout> InAStrip(Sort sort, int[] counts)
    {
        var worths = Areas();
        var all = counts.Select((c, i) => (long)c * worths[i]).Sum();
        foreach (var (table, axis) in tables[sort.Family].Staged.Zip([Axis.X, Axis.Y]))
        {
            // Along its first axis a table knows every part of the sheet at once.
            table.Fill(worths, counts);
            var (grid, most) = axis == Axis.X ? (sort.Family.X, sort.Width) : (sort.Family.Y, sort.Height);
            (long Width, long Height) Part(long length) => axis == Axis.X ? (length, sort.Height) : (sort.Width, length);
            foreach (var part in grid.Lengths.Where(l => l <= most).Select(l => Part(l)).Where(p =>
                table.Best(p.Width, p.Height).Worth >= all).Take(1))
            {
                yield return table.Lay(part.Width, part.Height).In(sort.Width, sort.Height);
            }
        }
    }

    /// <summary>The same without a limit to the stages, from what was bounded last.</summary>
    public IEnumerable<Column> Unstaged(double[] limits, bool free = false)
    {
        foreach (var (sort, i) in problem.Sorts.Select((s, i) => (s, i)))
        {
            var exact = tables[sort.Family].Exact;
            if (exact.Of(sort.Width, sort.Height) > Needed(i, limits, free))
            {
                var layout = exact.Lay(sort.Width, sort.Height).Tidy();
                yield return new Column(i, layout.Counts(problem.Kinds.Count), layout);
            }
        }
    }

    /// <summary>What a pattern has to be worth to better the linear choice.</summary>
    private double Needed(int sort, double[] limits, bool free) =>
        ((free ? 0 : problem.Share[sort]) + limits[sort]) * Master.Scale * (1 + 1e-6);

    public Bound Bounded(int[] worths)
    {
        foreach (var (_, (exact, _)) in tables)
        {
            exact.Fill(worths);
        }

        return Bound.Of(problem, worths, s => tables[s.Family].Exact.Of(s.Width, s.Height));
    }

    /// <summary>The most that every part of a sort's sheets is worth.</summary>
    public Exact Filled(Sort sort, int[] worths)
    {
        var exact = tables[sort.Family].Exact;
        exact.Fill(worths);
        return exact;
    }

    private IEnumerable<(Sort Sort, int At)> Sorts(Family family) =>
        problem.Sorts.Select((s, i) => (s, i)).Where(s => s.s.Family == family);
}

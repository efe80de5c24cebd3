using WholeFold.Core.Constructions;

namespace WholeFold.Planning;

/// <summary>
/// Every pattern that a plan of a given number of sheets could use: none may lose more against the most a sheet is worth than
/// all of them together may. Often these are few, and then it is decided whether that number is enough.
/// </summary>
internal sealed class Exhaustive(Problem problem, Exact exact)
{
    /// <summary>Beyond so many labels the question stays open.</summary>
    private const int MostLabels = 60_000;

    private readonly int[] demand = problem.Demand;

    /// <returns>Maximal patterns, or null where there are too many to list.</returns>
    public List<Column>? Columns(long mayLose)
    {
        var sort = problem.Sorts[0];
        var (grid, rows) = (sort.Family.X, sort.Family.Y);
        var (x, y) = (grid.Floor(sort.Width), rows.Floor(sort.Height));
        var loses = MayLose(sort, x, y, mayLose);
        var labels = new Dictionary<(int, int), List<Label>>();
        var listed = 0;
        foreach (var (at, may) in loses.OrderBy(l => l.Key.Item1).ThenBy(l => l.Key.Item2))
        {
            var here = Labels(sort, at, may, labels);
            if (here is null || (listed += here.Count) > MostLabels)
            {
                return null;
            }

            labels[at] = here;
        }

        return [.. labels[(x, y)].Where(l => l.Loss <= mayLose).Select(l => new Column(0, l.Counts, l.Lay(sort.Width, sort.Height)))];
    }

    /// <summary>How much a part may lose where it is used at best, over all ways down to it.</summary>
    private Dictionary<(int X, int Y), long> MayLose(Sort sort, int x, int y, long mayLose)
    {
        var loses = new Dictionary<(int, int), long> { [(x, y)] = mayLose };
        for (var a = x; a >= 0; a--)
        {
            for (var b = y; b >= 0; b--)
            {
                if (!loses.TryGetValue((a, b), out var may))
                {
                    continue;
                }

                foreach (var (one, other, loss) in Splits(sort, a, b))
                {
                    foreach (var part in new[] { one, other })
                    {
                        if (loss <= may && part is { X: >= 0, Y: >= 0 } && (!loses.TryGetValue(part, out var known) || known < may - loss))
                        {
                            loses[part] = may - loss;
                        }
                    }
                }
            }
        }

        return loses;
    }

    private List<Label>? Labels(Sort sort, (int X, int Y) at, long may, Dictionary<(int, int), List<Label>> labels)
    {
        var most = exact.At(at.X, at.Y);
        var (width, height) = (sort.Family.X.Lengths[at.X], sort.Family.Y.Lengths[at.Y]);
        var found = new Dictionary<string, Label>();
        void Keep(Label label)
        {
            if (label.Loss <= may)
            {
                var key = string.Join(',', label.Counts);
                if (!found.TryGetValue(key, out var known) || label.Depth < known.Depth)
                {
                    found[key] = label;
                }
            }
        }

        Keep(new Label(new int[demand.Length], most, 0, (w, h) => new Layout(w, h)));
        foreach (var lying in sort.Family.Lying.Where(l => l.Width <= width && l.Height <= height))
        {
            var counts = new int[demand.Length];
            counts[lying.Kind] = 1;
            Keep(new Label(counts, most - exact.Worth[lying.Kind], 0, (w, h) => Exact.Place(w, h, lying)));
        }

        foreach (var (one, other, loss) in Splits(sort, at.X, at.Y))
        {
            if (loss > may || !labels.TryGetValue(one, out var ones))
            {
                continue;
            }

            if (other.X < 0 || other.Y < 0)
            {
                var (w, h) = (sort.Family.X.Lengths[one.X], sort.Family.Y.Lengths[one.Y]);
                foreach (var label in ones)
                {
                    Keep(label with { Loss = label.Loss + loss, Lay = (wide, high) => label.Lay(w, h).In(wide, high) });
                }

                continue;
            }

            foreach (var a in ones)
            {
                foreach (var b in labels[other])
                {
                    if (a.Loss + b.Loss + loss <= may)
                    {
                        Keep(Beside(a, b, loss, one, sort, one.Y == at.Y));
                    }
                }
            }

            if (found.Count > MostLabels)
            {
                return null;
            }
        }

        return Maximal(found.Values);
    }

    private Label Beside(Label a, Label b, long loss, (int X, int Y) one, Sort sort, bool across)
    {
        var counts = new int[demand.Length];
        var over = 0L;
        for (var i = 0; i < counts.Length; i++)
        {
            counts[i] = Math.Min(demand[i], a.Counts[i] + b.Counts[i]);
            over += (long)(a.Counts[i] + b.Counts[i] - counts[i]) * exact.Worth[i];
        }

        var at = across ? sort.Family.X.Lengths[one.X] : sort.Family.Y.Lengths[one.Y];
        return new Label(counts, a.Loss + b.Loss + loss + over, 1 + Math.Max(a.Depth, b.Depth), (w, h) => across
            ? new Layout(w, h) { Along = Axis.X, Parts = [a.Lay(at, h), b.Lay(w - at, h)] }
            : new Layout(w, h) { Along = Axis.Y, Parts = [a.Lay(w, at), b.Lay(w, h - at)] });
    }

    /// <summary>Every cut and trim of a part, and what it loses against the most the part is worth.</summary>
    private IEnumerable<((int X, int Y) One, (int X, int Y) Other, long Loss)> Splits(Sort sort, int x, int y)
    {
        var most = (long)exact.At(x, y);
        if (x > 0)
        {
            yield return ((x - 1, y), (-1, -1), most - exact.At(x - 1, y));
        }

        if (y > 0)
        {
            yield return ((x, y - 1), (-1, -1), most - exact.At(x, y - 1));
        }

        if (!(sort.Family.Y.Lengths[y] > problem.Longest))
        {
            foreach (var (before, behind) in sort.Family.X.Cuts[x].Where(c => c.Behind >= 0))
            {
                yield return ((before, y), (behind, y), most - exact.At(before, y) - exact.At(behind, y));
            }
        }

        if (!(sort.Family.X.Lengths[x] > problem.Longest))
        {
            foreach (var (before, behind) in sort.Family.Y.Cuts[y].Where(c => c.Behind >= 0))
            {
                yield return ((x, before), (x, behind), most - exact.At(x, before) - exact.At(x, behind));
            }
        }
    }

    /// <summary>What another has as many of, and more of some, is never needed.</summary>
    private static List<Label> Maximal(IEnumerable<Label> labels)
    {
        var kept = new List<Label>();
        foreach (var label in labels.OrderBy(l => l.Loss).ThenBy(l => l.Depth))
        {
            if (!kept.Exists(k => k.Counts.Zip(label.Counts, (a, b) => a >= b).All(more => more)))
            {
                kept.Add(label);
            }
        }

        return kept;
    }

    private sealed record Label(int[] Counts, long Loss, int Depth, Func<long, long, Layout> Lay);
}

using WholeFold.Core.Constructions;

namespace WholeFold.Planning;

/// <summary>Sheets of one sort that are cut alike.</summary>
internal sealed record Pattern(int Sort, Layout Layout, int Times);

/// <summary>So many sheets of a sort, with just so many of each kind on each.</summary>
internal sealed record Cutting(int Sort, Layout Layout, int Times, int[] Counts);

/// <summary>
/// Chosen patterns as they are cut: just what is wanted, with few settings of the trimmer, and what is left over in one useful
/// piece.
/// </summary>
internal static class Arranged
{
    public static IReadOnlyList<Pattern> Of(Problem problem, IReadOnlyList<Used> used) => Of(problem, Exactly(problem, used));

    /// <param name="proposals">To lay a pattern out anew; null where it stays as it is.</param>
    public static IReadOnlyList<Pattern> Of(Problem problem, List<Cutting> counts, Proposals? proposals = null)
    {
        // A trim at the outside runs the whole length of the sheet, which a short trimmer does not cut.
        Layout Tidy(Layout layout) => problem.Longest is null ? layout.Tight() : layout.Tidy();
        var ways = counts.ConvertAll(c => (IReadOnlyList<Layout>)[
            Tidy(c.Layout.Only([.. c.Counts])),
            .. proposals is null || problem.Longest is not null ? [] : proposals.InAStrip(problem.Sorts[c.Sort], c.Counts)
                .Select(l => Tidy(l.Only([.. c.Counts])))
                .Where(l => l.Stages <= Math.Max(Column.FewStages, c.Layout.Stages)),
        ]);
        var chosen = ways.Select(w => w[0]).ToArray();

        // One after the other as long as it gets better: settings first, then the largest piece that is left, then fewer cuts.
        for (var (round, better) = (0, true); round < 4 && better; round++)
        {
            better = false;
            for (var i = 0; i < ways.Count; i++)
            {
                foreach (var way in ways[i].Skip(round == 0 ? 1 : 0))
                {
                    var before = chosen[i];
                    var was = Rank(chosen);
                    chosen[i] = way;
                    if (Rank(chosen).CompareTo(was) < 0)
                    {
                        better = true;
                    }
                    else
                    {
                        chosen[i] = before;
                    }
                }
            }
        }

        return [.. counts.Zip(chosen, (c, l) => new Pattern(c.Sort, l, c.Times)).OrderBy(p => p.Sort).ThenByDescending(p => p.Times)];
    }

    private static (int Settings, long Left, int Cuts) Rank(IReadOnlyList<Layout> layouts) =>
        (layouts.SelectMany(l => l.Distances).Distinct().Count(), -layouts.Sum(l => l.LargestLeft), layouts.Sum(l => l.Distances.Count()));

    /// <summary>
    /// What is too many is left off where that takes no further pattern, one of it from each sheet; else off as few sheets as can
    /// be, so that what is left there is large.
    /// </summary>
    public static List<Cutting> Exactly(Problem problem, IReadOnlyList<Used> used)
    {
        var counts = used.Select(u => new Cutting(u.Column.Sort, u.Column.Layout, u.Times, u.Column.Layout.Counts(problem.Kinds.Count)))
            .ToList();
        var over = problem.Kinds.Select((k, i) => counts.Sum(c => c.Times * c.Counts[i]) - k.Count).ToArray();
        for (var k = 0; k < over.Length; k++)
        {
            foreach (var (_, _, times, with) in counts.OrderByDescending(c => c.Times))
            {
                if (over[k] > 0 && over[k] % times == 0 && with[k] >= over[k] / times)
                {
                    with[k] -= over[k] / times;
                    over[k] = 0;
                }
            }
        }

        while (over.Any(o => o > 0))
        {
            long Taken(int[] with) => over.Select((o, k) => Math.Min(o, with[k]) * problem.Kinds[k].Area).Sum();
            var at = Enumerable.Range(0, counts.Count).OrderByDescending(i => Taken(counts[i].Counts)).ThenBy(i => counts[i].Times).First();
            var (sort, layout, times, whole) = counts[at];

            // As many of these sheets as can all do with so many fewer.
            var off = over.Select((o, k) => Math.Min(o, whole[k])).ToArray();
            var some = Math.Max(1, Math.Min(times, over.Select((o, k) => off[k] > 0 ? o / off[k] : int.MaxValue).Min()));
            counts[at] = new Cutting(sort, layout, some, [.. whole.Select((w, k) => w - off[k])]);
            if (times > some)
            {
                counts.Add(new Cutting(sort, layout, times - some, whole));
            }

            for (var k = 0; k < over.Length; k++)
            {
                over[k] -= off[k] * some;
            }
        }

        return counts.FindAll(c => c.Counts.Any(n => n > 0));
    }
}

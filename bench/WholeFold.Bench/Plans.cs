using System.Diagnostics;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Tests.Planning;
using WholeFold.Planning;

namespace WholeFold.Bench;

/// <summary>
/// Cut plans for jobs by chance: how many are proven least, how far the rest may be from it, how long a plan takes, and how many
/// sheets somebody takes who lays equal pieces in rows.
/// </summary>
internal static class Plans
{
    public static void Run(int jobs, int seed, TextWriter output)
    {
        output.WriteLine("jobs              proven   largest gap   first plan / proof, ms: median, 95 of 100, most   "
            + "sheets   in rows   fewest patterns proven");
        foreach (var (name, make) in new (string, Func<int, StockJob>)[]
        {
            ("realistic, one kind", s => JobMaker.Realistic(s)),
            ("hard, one kind", s => JobMaker.Hard(s)),
            ("realistic, three", s => JobMaker.Realistic(s, 3)),
            ("hard, three", s => JobMaker.Hard(s, 3)),
        })
        {
            var (first, whole, plans, rows) = (new List<double>(), new List<double>(), new List<CutPlan>(), 0);
            for (var i = 0; i < jobs; i++)
            {
                var job = make((seed * 1000) + i);
                var watch = Stopwatch.StartNew();
                double? at = null;
                plans.Add(Planner.Plan(job, _ => at ??= watch.Elapsed.TotalMilliseconds));
                first.Add(at ?? watch.Elapsed.TotalMilliseconds);
                whole.Add(watch.Elapsed.TotalMilliseconds);
                rows += InRows(job);
            }

            output.WriteLine($"{name,-20}{plans.Count(p => p.Proven),4} of {jobs,-5}{plans.Max(p => p.Gap),8:P1}      "
                + $"{At(first, 50):0}, {At(first, 95):0}, {first.Max():0} / {At(whole, 50):0}, {At(whole, 95):0}, {whole.Max():0}      "
                + $"{plans.Sum(p => p.SheetCount)}      {(make(seed * 1000).Sheets.Count == 1 ? $"{rows}" : "")}      "
                + $"{plans.Count(p => p.Patterns == p.LeastPatterns)} ({plans.Sum(p => p.Patterns)} patterns)");
        }
    }

    private static double At(List<double> all, int percent) => all.Order().ElementAt(Math.Min(all.Count - 1, all.Count * percent / 100));

    /// <summary>As it is counted where there is no plan, on the first kind of sheet.</summary>
    private static int InRows(StockJob job)
    {
        var sheet = job.Sheets[0];
        return SheetCount.Rows(new Sheet(sheet.Id, sheet.Name, sheet.Width, sheet.Height, UnitSystem.Imperial),
            [.. job.Pieces.SelectMany(p => Enumerable.Repeat((p.Width, p.Height), p.Count))]);
    }
}

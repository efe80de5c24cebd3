using System.Diagnostics;
using System.Globalization;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tests;

namespace WholeFold.Bench;

/// <summary>How long the longest of many random sizings takes, and how many meet the search's budget.</summary>
internal static class Worst
{
    public static void Run(int count, int seed, bool byHand, TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        var random = new RandomDesigns(seed, byHand);
        var times = new List<(double Ms, long Effort, string Told, DesignSpec Spec)>();
        var refused = 0;

        // Warm, as a studio is.
        var warm = reader.Read(RandomDesigns.Known[0]);
        Sizer.TrySize(warm.Design, warm.Target);
        foreach (var spec in RandomDesigns.Known.Concat(Enumerable.Range(0, count).Select(_ => random.Next())))
        {
            var watch = Stopwatch.StartNew();
            try
            {
                var read = reader.Read(spec);
                watch.Restart();
                var figures = Sizer.TrySize(read.Design, read.Target);
                var told = figures is null ? "none" : figures.Gap is { } gap ? $"{figures.Relaxation}, not proven: {gap}" : figures.Relaxation.ToString();
                times.Add((watch.Elapsed.TotalMilliseconds, figures?.Effort ?? -1, told, spec));
            }
            catch (InputProblemException)
            {
                refused++;
            }
        }

        times.Sort((a, b) => b.Ms.CompareTo(a.Ms));
        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{times.Count} sized, {refused} refused, {times.Count(t => t.Told.Contains("not proven", StringComparison.Ordinal))} not proven, {times.Count(t => t.Told == "none")} none; median {times[times.Count / 2].Ms:0.00} ms, 99 of 100 under {times[times.Count / 100].Ms:0} ms"));
        foreach (var (ms, effort, told, spec) in times.Where((t, i) => i < 5 || t.Told.Contains("not proven", StringComparison.Ordinal)).Take(25))
        {
            output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"  {ms:0} ms, effort {effort}: {told}: {spec.Construction} {string.Join(' ', spec.Set.Select(s => $"{s.Key}={s.Value}"))} {spec.Format}{(spec.Turn ? " turned" : "")} to {spec.Target} with {spec.Tools} {string.Join(',', spec.Prefer)} {spec.Priority}"));
        }

        var efforts = times.Select(t => t.Effort).Where(e => e >= 0).Order().ToList();
        output.WriteLine($"effort: median {efforts[efforts.Count / 2]}, 99 of 100 under {efforts[efforts.Count * 99 / 100]}, 999 of 1000 under {efforts[efforts.Count * 999 / 1000]}, most {efforts[^1]}");
    }
}

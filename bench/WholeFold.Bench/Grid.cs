using System.Diagnostics;
using System.Globalization;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Bench;

/// <summary>Warm sizing of every construction in every format with every tool set, side by side: median and worst of each.</summary>
internal static class Grid
{
    private static readonly string[] Tools = ["imperial-eighths", "metric-5mm", "both", "machine"];

    /// <summary>Each is sized this often; the quickest counts, so that what else the machine does does not.</summary>
    private const int Runs = 5;

    public static void Run(TextWriter output)
    {
        var all = new List<double>();
        output.WriteLine($"| construction | {string.Join(" | ", Tools)} |");
        output.WriteLine($"|---|{string.Concat(Enumerable.Repeat("---|", Tools.Length))}");
        foreach (var construction in ConstructionLibrary.All)
        {
            var cells = Tools.Select(tools =>
            {
                var times = Inventory.Shipped.Formats.Select(format => Time(construction.Id, format.Id, tools)).Order().ToList();
                all.AddRange(times);
                return string.Create(CultureInfo.InvariantCulture, $"{times[times.Count / 2]:0.00}, {times[^1]:0.00}");
            });
            output.WriteLine($"| {construction.Name} | {string.Join(" | ", cells.ToList())} |");
        }

        all.Sort();
        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{all.Count} sizings: median {all[all.Count / 2]:0.00} ms, nine of ten under {all[all.Count * 9 / 10]:0.00} ms, worst {all[^1]:0.00} ms, together {all.Sum():0} ms"));
    }

    /// <summary>With all that is shown of it.</summary>
    private static void Whole(ReadDesign read)
    {
        if (Attempt.Of(read.Design, read.Target).Card is { } card)
        {
            _ = (card.Checks, card.Verdict, card.All.Sum(f => f.Reasons.Count));
        }
    }

    private static double Time(string construction, string format, string tools)
    {
        var read = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped).Read(new DesignSpec { Construction = construction, Format = format, Tools = tools });
        Whole(read);
        return Enumerable.Range(0, Runs).Min(_ =>
        {
            var clock = Stopwatch.StartNew();
            Whole(read);
            return clock.Elapsed.TotalMilliseconds;
        });
    }
}

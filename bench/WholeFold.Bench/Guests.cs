using System.Diagnostics;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.Bench;

/// <summary>The same card on the other system's board: how often there is one, how far it is from its owner's, and what it takes.</summary>
internal static class Guests
{
    /// <summary>Every so many-th card of the grid.</summary>
    private const int Every = 7;

    private static readonly bool[] Turns = [false, true];

    public static void Run(TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        output.WriteLine("from                cards   with a second   within half a groove   worst mm   median ms   nine in ten ms");
        foreach (var tools in new[] { "imperial-eighths", "metric-5mm" })
        {
            var (cards, within, worst, times) = (0, 0, 0m, new List<double>());
            var all = from family in ConstructionLibrary.All
                      from format in Inventory.Shipped.Formats
                      from turn in Turns
                      select new DesignSpec { Construction = family.Id, Format = format.Id, Turn = turn, Tools = tools };
            foreach (var spec in all.Where((_, i) => i % Every == 0))
            {
                var read = reader.Read(spec);
                if (Attempt.Of(read.Design, read.Target).Card is not { } card)
                {
                    continue;
                }

                cards++;
                var clock = Stopwatch.StartNew();
                var second = card.Second;
                if (second is null)
                {
                    continue;
                }

                times.Add(clock.Elapsed.TotalMilliseconds);
                var sheet = FigureSheet.Of(card);
                var column = second.Figures.Tools.System == UnitSystem.Imperial ? sheet.Inches! : sheet.Centimetres!;
                within += column.Differences.Count == 0 ? 1 : 0;
                worst = Math.Max(worst, column.Differences.Count == 0 ? 0 : column.Differences[0].Off.Millimetres);
            }

            times.Sort();
            output.WriteLine($"{tools,-18}{cards,7}{times.Count,16}{within,23}{worst,11:0.0}{times[times.Count / 2],12:0}{times[times.Count * 9 / 10],17:0}");
        }
    }
}

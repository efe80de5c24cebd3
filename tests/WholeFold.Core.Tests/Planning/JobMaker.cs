using WholeFold.Core.Measure;
using WholeFold.Planning;

namespace WholeFold.Core.Tests.Planning;

/// <summary>Jobs by chance, the same for the same number.</summary>
internal static class JobMaker
{
    private static readonly SheetKind[] Sheets =
    [
        new("letter", "Letter", Length.In(17, 2), Length.In(11)),
        new("a4", "A4", Length.Mm(210), Length.Mm(297)),
        new("12x12", "12 × 12 in", Length.In(12), Length.In(12)),
    ];

    /// <summary>What a stock has to give for a class: bases, papers, strips and tags, each several a card, in inches and
    /// millimetres.</summary>
    public static StockJob Realistic(int seed, int sorts = 1)
    {
        var random = new Random(seed);
        var sheets = Some(random, sorts);
        var cards = random.Next(1, 31);
        return new StockJob("card", sheets, [.. Enumerable.Range(0, random.Next(2, 7)).Select(i =>
        {
            var metric = random.Next(2) == 0;
            var strip = random.Next(3) == 0;
            return new Wanted($"p{i}", $"piece {i}", strip ? Side(random, metric, 0.75, 2.75) : Side(random, metric, 2, 8),
                Side(random, metric, 2, 8), cards * random.Next(1, 5));
        })]);
    }

    /// <summary>Many kinds of any size on one stock.</summary>
    public static StockJob Hard(int seed, int sorts = 1)
    {
        var random = new Random(seed);
        var sheets = Some(random, sorts);
        var metric = random.Next(2) == 0;
        return new StockJob("card", sheets, [.. Enumerable.Range(0, random.Next(4, 13)).Select(i =>
            new Wanted($"p{i}", $"piece {i}", Side(random, metric, 0.5, 8.2), Side(random, metric, 0.5, 8.2), random.Next(1, 41)))]);
    }

    private static SheetKind[] Some(Random random, int sorts)
    {
        var sheets = Sheets.ToArray();
        random.Shuffle(sheets);
        return sheets[..sorts];
    }

    /// <summary>On a sixteenth or a millimetre.</summary>
    private static Length Side(Random random, bool metric, double from, double to)
    {
        var inches = from + (random.NextDouble() * (to - from));
        return metric ? Length.Mm((int)(inches * 25.4)) : Length.In((long)(inches * 16), 16);
    }
}

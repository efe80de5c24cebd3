using System.Diagnostics;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Print;

namespace WholeFold.Bench;

/// <summary>What each kind of page takes to be composed and written, and the guide that they are made of: warm, medians of five.</summary>
internal static class Print
{
    public static void Run(TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        output.WriteLine("construction            guide   sheet   booklet   templates   (ms)");
        var all = new List<(double Guide, double Sheet, double Booklet, double Templates)>();
        foreach (var family in ConstructionLibrary.All)
        {
            var read = reader.Read(new DesignSpec { Name = "x", Construction = family.Id, Format = "6x6" });
            if (Attempt.Of(read.Design, read.Target).Card is not { } card)
            {
                continue;
            }

            double Of(HandOutKind kind) => Median(() => _ = new HandOut(new Card(card.Figures), "x", DisplayUnit.Inch, Paper.A4).Write(kind, "pdf"));
            var row = (Guide: Median(() => _ = Steps.Of(new Card(card.Figures), 12)), Sheet: Of(HandOutKind.Sheet), Booklet: Of(HandOutKind.Booklet), Templates: Of(HandOutKind.Templates));
            all.Add(row);
            output.WriteLine($"{family.Id,-22}{row.Guide,8:0.0}{row.Sheet,8:0}{row.Booklet,8:0}{row.Templates,10:0}");
        }

        output.WriteLine($"worst                 {all.Max(a => a.Guide),8:0.0}{all.Max(a => a.Sheet),8:0}{all.Max(a => a.Booklet),8:0}{all.Max(a => a.Templates),10:0}");
        var many = reader.Read(new DesignSpec { Name = "x", Construction = "plain-fold", Format = "6x6" });
        var one = Card.Of(many.Design, many.Target);
        output.WriteLine($"forty pages of kits   {Median(() => _ = new HandOut(one, "x", DisplayUnit.Inch, Paper.A4, 40).Write(HandOutKind.Kit, "pdf")),8:0}");
    }

    private static double Median(Action run)
    {
        run();
        var times = Enumerable.Range(0, 5).Select(_ =>
        {
            var clock = Stopwatch.StartNew();
            run();
            return clock.Elapsed.TotalMilliseconds;
        }).Order().ToList();
        return times[2];
    }
}

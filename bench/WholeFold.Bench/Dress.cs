using System.Diagnostics;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Inventories;

namespace WholeFold.Bench;

/// <summary>
/// Every construction dressed as fully as it goes (a paper on each role, two windows, a raised thing and a stamped one on each of
/// four faces): what dressing and checks take warm, the wall of sixteen such cards, and what the Dress stage draws.
/// </summary>
internal static class Dress
{
    public static void Run(TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        output.WriteLine("construction            dressing+checks   wall of 16   stage's drawing   (ms, median of 9)");
        var all = new List<(double Dress, double Wall, double Stage)>();
        All(TextWriter.Null, reader, all);
        all.Clear();
        All(output, reader, all);
        output.WriteLine($"worst                   {all.Max(a => a.Dress),12:0.0}{all.Max(a => a.Wall),15:0.0}{all.Max(a => a.Stage),15:0.0}");
    }

    /// <summary>All constructions one after the other: the first time to warm up, so that what is measured is not the compiler.</summary>
    private static void All(TextWriter output, DesignReader reader, List<(double Dress, double Wall, double Stage)> all)
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var bare = new DesignSpec { Name = "x", Construction = family.Id, Format = "5x7" };
            if (Attempt.Of(reader.Read(bare).Design, reader.Read(bare).Target).Card is not { } card)
            {
                continue;
            }

            var faces = card.Dressed.Roles.All.SelectMany(r => r.Faces).Where(f => f.Open.Box.Width.Units > 8000 && f.Open.Box.Height.Units > 8000).ToList();
            var spec = bare with
            {
                Dressing = new DressingSpec
                {
                    Layers = [.. card.Dressed.Roles.All.Select(r => new LayerSpec(r.Id, Math.Max(1, r.Levels)))],
                    Windows = [.. faces.Take(2).Select((f, i) => new WindowSpec($"w{i}", f.Id, Size: ["1/2 in", "1/2 in"], Place: new PlaceSpec("head")))],
                    Elements = [.. faces.Take(4).SelectMany((f, i) =>
                        new[] { new ElementSpec($"a{i}", f.Id, Size: ["3/4 in", "3/4 in"], Height: "1 mm", Shape: "polygon", Motif: "star"),
                        new ElementSpec($"b{i}", f.Id, Size: ["3/4 in", "1/4 in"], Made: "stamped", Place: new PlaceSpec("foot")) })],
                },
            };
            var read = reader.Read(spec);
            Card Fresh(Target target) => new(card.Figures with { Design = read.Design, Target = target });
            var dress = Median(() => _ = Fresh(read.Target).Checks);
            var wall = Median(() => _ = Inventory.Shipped.Formats.AsParallel().AsOrdered().Select(format => Attempt.Of(read.Design, new Target(format, false)).Verdict).ToList());
            var stage = Median(() => DressedSheet.Of(Fresh(read.Target)));
            all.Add((dress, wall, stage));
            output.WriteLine($"{family.Id,-24}{dress,12:0.0}{wall,15:0.0}{stage,15:0.0}");
        }
    }

    private static double Median(Action run)
    {
        run();
        run();
        var times = Enumerable.Range(0, 9).Select(_ =>
        {
            var clock = Stopwatch.StartNew();
            run();
            return clock.Elapsed.TotalMilliseconds;
        }).Order().ToList();
        return times[4];
    }
}

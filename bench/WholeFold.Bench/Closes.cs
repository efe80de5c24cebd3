using System.Diagnostics;
using System.Globalization;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Bench;

/// <summary>Every variant × format × turning × tool set × caliper: how many can be sized, and whether each of those closes. Too long for the tests.</summary>
internal static class Closes
{
    private static readonly string[] Tools = ["imperial-eighths", "metric-5mm", "both", "ruler", "machine"];
    private static readonly string[] Calipers = ["0.1mm", "0.34mm", "0.8mm"];
    private static readonly bool[] Square = [false], Turnings = [false, true];

    public static void Run(TextWriter output)
    {
        var clock = Stopwatch.StartNew();
        var (sized, refused, open) = (0, 0, 0);
        var slowest = new List<(double Milliseconds, string Name)>();
        foreach (var spec in Grid())
        {
            var read = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped).Read(spec);
            var began = clock.Elapsed;
            if (Card.Try(read.Design, read.Target) is not { } card)
            {
                refused++;
                continue;
            }

            sized++;
            var found = card.Figures;
            slowest.Add(((clock.Elapsed - began).TotalMilliseconds, Named(spec)));
            var mark = found.Relaxation == Relaxation.RoundedFigures ? found.Tools.CutMarks.Max() : Length.Zero;
            var over = !found.Construction.MayGrow && (card.Closed.Width > found.Target.Width + mark || card.Closed.Height > found.Target.Height + mark);
            if (over || card.Closed.Misses.Any(m => m.WrongFace || m.By > mark) || card.States.Any(s => s.Pose.Misses.Any(m => m.By > mark)))
            {
                open++;
                output.WriteLine($"does not close: {Named(spec)}");
            }
        }

        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{sized} sized, {refused} have no figures, {open} do not close; {clock.Elapsed.TotalSeconds:0} s"));
        foreach (var (milliseconds, name) in slowest.OrderByDescending(s => s.Milliseconds).Take(5))
        {
            output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{milliseconds:0} ms: {name}"));
        }
    }

    private static string Named(DesignSpec spec) => $"{spec.Construction} {string.Join(' ', spec.Set)} {spec.Format}{(spec.Turn ? " turned" : "")} {spec.Tools} {spec.Caliper}";

    private static IEnumerable<DesignSpec> Grid() =>
        from family in ConstructionLibrary.All
        from choices in Combinations(family)
        from format in Inventory.Shipped.Formats
        from turn in format.Width == format.Height ? Square : Turnings
        from tools in Tools
        from caliper in Calipers
        select new DesignSpec { Construction = family.Id, Format = format.Id, Turn = turn, Tools = tools, Caliper = caliper, Set = choices.ToDictionary(c => c.Key, c => new WrittenFigure(c.Value)) };

    private static IEnumerable<Dictionary<string, string>> Combinations(ConstructionFamily family) =>
        family.Choices.Aggregate<Choice, IEnumerable<Dictionary<string, string>>>([[]],
            (all, choice) => all.SelectMany(c => choice.Options.Select(o => new Dictionary<string, string>(c) { [choice.Id] = o })));
}

/// <summary>How long it takes to move one card, 48 poses: the aim is under 150 ms.</summary>
internal static class Moves
{
    public static void Run(TextWriter output)
    {
        output.WriteLine("| construction | 48 poses, ms | greatest gap of a bond, mm |");
        output.WriteLine("|---|---|---|");
        foreach (var family in ConstructionLibrary.All)
        {
            var read = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped).Read(new DesignSpec { Construction = family.Id, Format = "5x7", Tools = "machine" });
            var sized = Sizer.Size(read.Design, read.Target);
            Motion.Of(sized, 48);
            var best = Enumerable.Range(0, 3).Min(_ =>
            {
                var clock = Stopwatch.StartNew();
                Motion.Of(sized, 48);
                return clock.Elapsed.TotalMilliseconds;
            });
            var motion = Motion.Of(sized, 48);
            output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"| {family.Name} | {best:0.0}{(motion.Moves ? "" : " (two poses)")} | {motion.Frames.Max(f => f.Apart.Millimetres):0.00} |"));
        }
    }
}

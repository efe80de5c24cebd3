using BenchmarkDotNet.Attributes;
using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

#pragma warning disable CA1822 // The benchmark runner wants instance methods.


if (args is ["baseline", var corpus, var kept])
{
    WholeFold.Bench.Baseline.Keep(corpus, kept);
    return;
}

if (args is ["compare", var before, var after])
{
    WholeFold.Bench.Baseline.Compare(before, after, Console.Out);
    return;
}

if (args is ["grid"])
{
    WholeFold.Bench.Grid.Run(Console.Out);
    return;
}

if (args is ["comfort"])
{
    WholeFold.Bench.Comfort.Run(Console.Out);
    return;
}

if (args is ["worst" or "worst-unset", var many, var seed])
{
    WholeFold.Bench.Worst.Run(int.Parse(many, System.Globalization.CultureInfo.InvariantCulture), int.Parse(seed, System.Globalization.CultureInfo.InvariantCulture), args[0] == "worst", Console.Out);
    return;
}

if (args is ["closes"])
{
    WholeFold.Bench.Closes.Run(Console.Out);
    return;
}

if (args is ["guests"])
{
    WholeFold.Bench.Guests.Run(Console.Out);
    return;
}

if (args is ["dress"])
{
    WholeFold.Bench.Dress.Run(Console.Out);
    return;
}

if (args is ["own", .. var lists])
{
    WholeFold.Bench.Own.Run(lists, Console.Out);
    return;
}

if (args is ["print"])
{
    WholeFold.Bench.Print.Run(Console.Out);
    return;
}

if (args is ["plans", var jobs, var first])
{
    WholeFold.Bench.Plans.Run(
        int.Parse(jobs, System.Globalization.CultureInfo.InvariantCulture),
        int.Parse(first, System.Globalization.CultureInfo.InvariantCulture), Console.Out);
    return;
}

if (args is ["moves"])
{
    WholeFold.Bench.Moves.Run(Console.Out);
    return;
}

BenchmarkSwitcher.FromAssembly(typeof(WholeFold.Bench.SizingBench).Assembly)
    .Run(args.Length > 0 ? args : ["--filter", "*"], DefaultConfig.Instance.AddJob(Job.ShortRun.WithWarmupCount(5).WithIterationCount(8)));

namespace WholeFold.Bench
{
    /// <summary>One sizing, warm: the aim is under 2 ms.</summary>
    [MemoryDiagnoser]
    public class SizingBench
    {
        private Design _design = null!;
        private Target _target;

        [ParamsSource(nameof(Constructions))]
        public string Construction { get; set; } = "";

        [Params("imperial-eighths", "metric-5mm", "both", "machine")]
        public string Tools { get; set; } = "";

        public static IEnumerable<string> Constructions => ConstructionLibrary.All.Select(c => c.Id);

        [GlobalSetup]
        public void Setup()
        {
            var read = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped).Read(new DesignSpec { Construction = Construction, Format = "5x7", Turn = true, Tools = Tools });
            (_design, _target) = (read.Design, read.Target);
        }

        [Benchmark]
        public Figures Size() => Sizer.Size(_design, _target);
    }

    /// <summary>One design in all sixteen formats: the aim is under 50 ms.</summary>
    public class WallBench
    {
        [ParamsSource(nameof(Constructions))]
        public string Construction { get; set; } = "";

        public static IEnumerable<string> Constructions => ConstructionLibrary.All.Select(c => c.Id);

        [Benchmark]
        public int SixteenFormats()
        {
            var read = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped).Read(new DesignSpec { Construction = Construction, Format = "5x5" });
            return Inventory.Shipped.Formats.Count(f => Attempt.Of(read.Design, new Target(f, false)).Card?.Verdict is not null);
        }
    }
}

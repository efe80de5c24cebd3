using System.Text.RegularExpressions;
using NetArchTest.Rules;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Paper;
using WholeFold.Core.Tests.Checks;
using Xunit;

namespace WholeFold.Core.Tests;

/// <summary>The shape of the program, kept by machine.</summary>
public partial class ArchitectureTests
{
    private static readonly string Source = Find("src");

    [Fact]
    public void The_core_depends_on_nothing_but_the_runtime_linear_algebra_and_plane_geometry()
    {
        var references = typeof(Construction).Assembly.GetReferencedAssemblies().Select(a => a.Name!);
        Assert.All(references, name => Assert.True(name.StartsWith("System", StringComparison.Ordinal) || name is "netstandard" or "MathNet.Numerics" or "NetTopologySuite", $"Core references {name}"));
    }

    /// <summary>From what stands on nothing to what stands on all the others; <c>docs/architecture.md</c> says why.</summary>
    private static readonly string[] Order =
        ["Input", "Measure", "Paper", "Tooling", "Inventories", "Constructions", "Designs", "Sizing", "Folding", "Dressing", "Checks", "Cards", "Guide", "Drawing", "Lists", "Exchange"];

    [Fact]
    public void No_folder_of_the_core_stands_outside_the_order()
    {
        var folders = Types.InAssembly(typeof(Construction).Assembly).GetTypes().Select(t => t.Namespace ?? "").Where(n => n.StartsWith("WholeFold.Core", StringComparison.Ordinal))
            .Select(n => n.Split('.').ElementAtOrDefault(2) ?? "(none)").Distinct();
        Assert.Equal(Order.Order(), folders.Order());
    }

    /// <summary>Read from what was compiled, so that neither an alias nor a name written out in full gets past.</summary>
    [Fact]
    public void Each_folder_of_the_core_knows_only_those_before_it()
    {
        for (var i = 0; i < Order.Length; i++)
        {
            var later = Order[(i + 1)..].Select(f => $"WholeFold.Core.{f}").ToArray();
            if (later.Length == 0)
            {
                continue;
            }

            var result = Types.InAssembly(typeof(Construction).Assembly).That().ResideInNamespaceStartingWith($"WholeFold.Core.{Order[i]}").ShouldNot().HaveDependencyOnAny(later).GetResult();
            Assert.True(result.IsSuccessful, $"{Order[i]} looks ahead: {string.Join(", ", result.FailingTypeNames ?? [])}");
        }
    }

    [Fact]
    public void No_file_outside_the_library_knows_a_construction_by_its_id()
    {
        var ids = ConstructionLibrary.All.Select(c => $"\"{c.Id}\"").ToList();
        foreach (var file in Directory.EnumerateFiles(Source, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/Library/", StringComparison.Ordinal)
            && !f.Contains("/Inventories/Kinds/", StringComparison.Ordinal) && !f.EndsWith("DemoStudio.cs", StringComparison.Ordinal)))
        {
            var text = File.ReadAllText(file);
            Assert.All(ids, id => Assert.False(text.Contains(id, StringComparison.Ordinal), $"{file} names {id}"));
        }
    }

    [Fact]
    public void A_construction_names_its_allowances_and_never_computes_one()
    {
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Source, "WholeFold.Core", "Constructions", "Library"), "*.cs"))
        {
            Assert.DoesNotMatch(Caliper(), File.ReadAllText(file));
        }
    }

    [Fact]
    public void No_file_outside_the_checks_knows_a_check_by_its_id()
    {
        var ids = ChecksIds().Select(id => $"\"{id}\"").ToList();
        Assert.True(ids.Count > 12);
        foreach (var file in Directory.EnumerateFiles(Source, "*.cs", SearchOption.AllDirectories).Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/Checks/", StringComparison.Ordinal)))
        {
            var text = File.ReadAllText(file);
            Assert.All(ids, id => Assert.False(text.Contains(id, StringComparison.Ordinal), $"{file} names {id}"));
        }
    }

    private static List<string> ChecksIds() =>
        [.. Directory.EnumerateFiles(Path.Combine(Source, "WholeFold.Core", "Checks"), "*.cs").Select(File.ReadAllText).SelectMany(t => CheckId().Matches(t)).Select(m => m.Groups[1].Value).Distinct()];

    private const string NeverOfALibraryCard = "bond-apart";

    [Fact]
    public void Every_check_has_a_file_of_its_own_and_can_fire()
    {
        var checks = ChecksIds();
        var own = Support.Own(
            [new() { Id = "small-board", Name = "Small board", Groove = "1/4", BoardLength = "5", TrimmerMark = "1/16", RulerMark = "1/32" }],
            [new() { Id = "one-sided", Name = "Printed 250", Caliper = "250gsm", Sides = "one" }, new() { Id = "way-up", Name = "Reed stems", Kind = "paper", Caliper = "0.15mm", Directional = true }]);
        var fired = new HashSet<string>();
        var designs = new[] { Support.Spec("gatefold", "5x7", "relief=0") }
            .Append(Support.Spec("plain-fold", "12x12in"))
            .Append(Support.Spec("gatefold", "5x7", "relief=1in"))
            .Append(Support.Spec("trough-pop-up", "210x148mm"))
            .Append(Support.Spec("shadow-box", "5x7", "middles=1", "middleHeight=7"))
            .Append(Support.Spec("plain-fold", "5x7") with { Dressing = new DressingSpec { Elements = [new ElementSpec("flag", "front", Size: ["1 in", "1 in"],
                Height: "5 mm", Place: new PlaceSpec("right", [new FromSpec("right", "-1/4 in")]), OverEdge: true)] } })
            .Append(Support.Spec("winged-lock-gatefold", "5x7") with { Lock = new Dictionary<string, string> { ["centre"] = "21.35mm" } })
            .Append(Support.Spec("inside-tunnel", "6x6", "layers=3", "depth=1/2"))
            .Append(Support.Spec("gatefold", "5x7") with { Lock = new Dictionary<string, string> { ["relief"] = "1/4 in" } })
            .Append(Support.Spec("plain-fold", "a6-us") with { Stock = "foil-card", Grain = "long" })
            .Append(Support.Spec("plain-fold", "5x5") with { Grain = "short" })
            .Append(Support.Spec("tier-scene", "10.1x10.1cm", "tiers=3") with { Tools = "metric-5mm" })
            .Append(Support.Spec("plain-fold", "6x6") with { Own = own, Tools = "small-board", Stock = "one-sided", LayerStock = "way-up" })
            .Append(Support.Spec("front-step", "4 3/8 x 6 3/4 in") with { Sheets = ["12x12"] })
            .Append(Support.Spec("plain-fold", "5x7") with { Blank = "5x7in" })
            .Append(Support.Spec("envelope", "a2-us", "first=4in", "side=9in"))
            .Append(Support.Spec("plain-fold", "5x7") with { Target = "3x3", Dressing = new DressingSpec { Elements = [new ElementSpec("moon", "front", Size: ["1 in", "1 in"], Place: new PlaceSpec("foot", [new FromSpec("head", "5 in")]))] } })
            .Append(Support.Spec("plain-fold", "5x7") with { Target = "2x2in", Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "front", Die: "ring-3")] } })
            .Append(Support.Spec("front-step", "a2-us") with { Dressing = new DressingSpec { Contours = [new ContourSpec("hills", "front")] } })
            .Concat(RandomDesigns.Known.Take(1))
            .Concat(KnownMistakes.Spoilt)
            .Concat(new[] { "imperial-eighths", "metric-5mm", "both" }.SelectMany(t => Support.Grid(t, "0.6mm")));

        // The grid is gone through until all have fired, and no further.
        foreach (var design in designs.TakeWhile(_ => checks.Any(c => c != NeverOfALibraryCard && !fired.Contains(c))))
        {
            fired.UnionWith(Support.Try(design)?.Checks.Select(c => c.Id) ?? []);
        }

        // A bond apart is a fault of a construction itself: ClosedPoseTests makes it.
        Assert.Equal([NeverOfALibraryCard], checks.Where(c => !fired.Contains(c)).Order());
    }

    private static string Find(string folder)
    {
        for (var at = new DirectoryInfo(AppContext.BaseDirectory); at is not null; at = at.Parent)
        {
            if (File.Exists(Path.Combine(at.FullName, "WholeFold.slnx")))
            {
                return Path.Combine(at.FullName, folder);
            }
        }

        throw new InvalidOperationException("The tests run from inside the project.");
    }

    [GeneratedRegex("[Cc]aliper|Stock\\b|thickness")]
    private static partial Regex Caliper();

    [GeneratedRegex("new Check\\(\\s*\"([a-z-]+)\"")]
    private static partial Regex CheckId();
}

using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;

namespace WholeFold.Core.Tests;

/// <summary>
/// Designs as nobody plans them: any construction, home and target of any size, tools with any grooves and marks, any caliper,
/// wishes and figures set by hand. The same for the same seed.
/// </summary>
internal sealed class RandomDesigns(int seed, bool byHand = true)
{
    private static readonly string[] Shipped = ["imperial-eighths", "metric-5mm", "both", "ruler", "machine"];
    private static readonly string[] Preferences = ["one-stop", "no-sixteenths", "whole-sheet"];

    /// <summary>Found to keep a search busy for minutes before it had a budget.</summary>
    public static IReadOnlyList<DesignSpec> Known { get; } =
    [
        new() { Construction = "inside-tunnel", Format = "133.3x187.7mm", Tools = "machine", Set = Set(("layers", "2"), ("depth", "1/4")) },
        new() { Construction = "sleeve-gatefold", Format = "5x7", Tools = "fine-ruler", Prefer = ["no-sixteenths"], Set = Set(("die", "oval")), Own = Own(new ToolSpec { Id = "fine-ruler", Name = "Ruler", Units = "mm", TrimmerMark = "1", RulerMark = "1" }) },
        .. new[] { "tier-scene", "pillar-tiers", "stair-step", "slider-stand" }.SelectMany(c => new[] { "3.3", "5" }.Select(groove => new DesignSpec
        {
            Construction = c, Format = "5x7", Turn = true, Tools = "odd-board",
            Own = Own(new ToolSpec { Id = "odd-board", Name = "Odd board", Units = "mm", Groove = groove, BoardLength = "300", TrimmerMark = groove == "5" ? "1/16in" : "1", RulerMark = "0.5" }),
        })),
    ];

    private static readonly IReadOnlyList<(ConstructionFamily Family, IReadOnlyDictionary<string, string> Choices)> Variants =
        [.. from family in ConstructionLibrary.All from choices in ConstructionFamily.Combinations(family.Choices) select (family, (IReadOnlyDictionary<string, string>)choices)];

    private readonly Random _random = new(seed);

    public DesignSpec Next()
    {
        var (family, choices) = Pick(Variants);
        var set = choices.ToDictionary(c => c.Key, c => new WrittenFigure(c.Value));
        foreach (var parameter in family.For(choices).Parameters.Where(_ => byHand && _random.Next(4) == 0))
        {
            set[parameter.Id] = Measure(2, 60);
        }

        var own = _random.Next(3) == 0 ? Tools() : null;
        return new DesignSpec
        {
            Construction = family.Id,
            Format = Format(),
            Turn = _random.Next(2) == 0,
            Target = _random.Next(2) == 0 ? Format() : null,
            TargetTurn = _random.Next(2) == 0,
            Tools = own?.Id ?? Pick(Shipped),
            Own = own is null ? null : Own(own),
            Caliper = Pick(["0.15mm", "0.27mm", "0.38mm", "0.6mm", "0.9mm", "13pt"]),
            Priority = Pick(["format", "board", "proportions"]),
            Prefer = [.. Preferences.Where(_ => _random.Next(5) == 0)],
            Set = set,
        };
    }

    private string Format() => _random.Next(2) == 0 ? Pick(Inventory.Shipped.Formats).Id
        : _random.Next(2) == 0 ? $"{_random.Next(510, 3040) / 10m}x{_random.Next(510, 3040) / 10m}mm"
        : $"{_random.Next(2, 12)} {_random.Next(1, 16)}/16x{_random.Next(2, 12)} {_random.Next(1, 8)}/8in";

    private string Measure(int from, int to) => _random.Next(2) == 0 ? $"{_random.Next(from * 2, to * 2) / 2m}mm" : $"{_random.Next(1, 32)}/16in";

    private ToolSpec Tools()
    {
        var inches = _random.Next(2) == 0;
        var groove = _random.Next(4) == 0 ? null : inches ? Pick(["1/16", "1/8", "3/16", "1/4", "1/2"]) : Pick(["1", "2", "2.5", "3.3", "4", "5", "7", "10"]);
        return new ToolSpec
        {
            Id = "own",
            Name = "Own",
            Units = inches ? "in" : "mm",
            Groove = groove,
            BoardLength = groove is null ? null : inches ? "12" : "300",
            TrimmerMark = inches ? Pick(["1/32", "1/16", "1/8", "1/4"]) : Pick(["0.5", "1", "2", "1/16in"]),
            RulerMark = groove is not null && _random.Next(4) == 0 ? null : inches ? Pick(["1/64", "1/32", "1/16"]) : Pick(["0.5", "1"]),
        };
    }

    private T Pick<T>(IReadOnlyList<T> of) => of[_random.Next(of.Count)];

    private static Dictionary<string, WrittenFigure> Set(params (string Name, string Value)[] set) => set.ToDictionary(s => s.Name, s => new WrittenFigure(s.Value));

    private static Dictionary<string, IReadOnlyList<JsonObject>> Own(ToolSpec tools) => new() { ["tools"] = [(JsonObject)JsonSerializer.SerializeToNode(tools, StrictJson.Options)!] };
}

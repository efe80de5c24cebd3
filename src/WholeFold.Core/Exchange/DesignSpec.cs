using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Exchange;

/// <summary>
/// A design as it is written down: in a file, in the store, on the wire. It holds what was chosen, as people write it,
/// and never a figure that was worked out.
/// </summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record DesignSpec
{
    /// <summary>The version of this form; 1.</summary>
    public int WholeFold { get; init; } = 1;

    public string Name { get; init; } = "";

    /// <summary>Id of a construction.</summary>
    public string Construction { get; init; } = "";

    /// <summary>The home format: an id, or a size with its unit.</summary>
    public string Format { get; init; } = "";

    public bool Turn { get; init; }

    /// <summary>The format it is being converted to; null is the home format.</summary>
    public string? Target { get; init; }

    public bool TargetTurn { get; init; }

    /// <summary>A tool set's id; null follows the system of the format.</summary>
    public string? Tools { get; init; }

    /// <summary>The unit of bare numbers and of texts: in, cm or mm; null follows the system of the home format.</summary>
    public string? Units { get; init; }

    /// <summary>Whether the other system is shown beside.</summary>
    public bool BothSystems { get; init; }

    public string Stock { get; init; } = Stocks.Default;

    /// <summary>The card's caliper, measured or from its weight (<see cref="CaliperReader"/>); it wins over the stock's usual one.</summary>
    public string? Caliper { get; init; }

    /// <summary>How the grain runs in the sheet: long, short, or null where it is not known.</summary>
    public string? Grain { get; init; }

    /// <summary>What papers are cut from.</summary>
    public string LayerStock { get; init; } = Stocks.Layers;

    /// <summary>What a mat is cut from, where a paper lies on one.</summary>
    public string MatStock { get; init; } = "card-216";

    /// <summary>Pieces that are cut from another stock than the design's own.</summary>
    public IReadOnlyDictionary<string, string> PieceStocks { get; init; } = new Dictionary<string, string>();

    /// <summary>What layers are stuck with: glue, tape, foam-1, foam-1.5 or foam-2.</summary>
    public string Adhesive { get; init; } = "glue";

    /// <summary>A reveal school's id, or a width with its unit.</summary>
    public string Reveal { get; init; } = "standard";

    /// <summary>format, board or proportions.</summary>
    public string Priority { get; init; } = "format";

    /// <summary>How figures are liked best: no-sixteenths, one-stop, mountains-from-behind, whole-sheet.</summary>
    public IReadOnlyList<string> Prefer { get; init; } = [];

    /// <summary>Tools and stocks of one's own that the design needs, so that its file stands alone.</summary>
    public Workshop? Own { get; init; }

    /// <summary>Parameters and choices set by hand in the home format.</summary>
    public IReadOnlyDictionary<string, string> Set { get; init; } = new Dictionary<string, string>();

    /// <summary>Parameters set by hand for one other format only.</summary>
    public IReadOnlyDictionary<string, IReadOnlyDictionary<string, string>> Adjustments { get; init; } = new Dictionary<string, IReadOnlyDictionary<string, string>>();

    /// <summary>Reads a design from its JSON.</summary>
    /// <exception cref="InputProblemException">It is no JSON, has an unknown field, or is of another version.</exception>
    public static DesignSpec Parse(string json, string place)
    {
        var accepted = $$"""a design such as {"wholeFold": 1, "construction": "{{ConstructionLibrary.All[0].Id}}", "format": "5x7"}""";
        var spec = ParseJson<DesignSpec>(json, place, "design.unreadable", accepted);
        return spec.WholeFold == 1 ? spec : throw new InputProblemException("design.version", place, $"it is of version {spec.WholeFold}", accepted);
    }

    /// <summary>Reads something written down, saying in which line what is not understood.</summary>
    internal static T ParseJson<T>(string json, string place, string code, string accepted)
    {
        try
        {
            return JsonSerializer.Deserialize<T>(json, SizedJson.Options) ?? throw new JsonException("it is empty");
        }
        catch (JsonException e)
        {
            var line = e.LineNumber is { } l ? $"line {l + 1}: " : "";
            throw new InputProblemException(code, place, line + e.Message.Split(" Path:")[0].TrimEnd('.'), accepted);
        }
    }
}

/// <summary>A design that was read, with the unit its owner reads in.</summary>
public sealed record ReadDesign(Design Design, Target Target, DisplayUnit Unit);

/// <summary>Turns what was written down into a design, refusing what is not understood with the place and an example.</summary>
public static class DesignReader
{
    /// <param name="workshop">The tools and stocks of the reader's own, beside those the design carries.</param>
    /// <exception cref="InputProblemException">Something is unknown or out of range.</exception>
    public static ReadDesign Read(DesignSpec spec, Workshop? workshop = null)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var own = (workshop ?? Workshop.Empty).With(spec.Own);
        var ownTools = own.Tools.Select((t, i) => WorkshopReader.Read(t, $"own.tools[{i}]")).ToDictionary(t => t.Id);
        var ownStocks = own.Stocks.Select((t, i) => WorkshopReader.Read(t, $"own.stocks[{i}]")).ToDictionary(t => t.Id);
        Stock StockOf(string id, string? caliper, string field) => DesignReader.StockOf(id, caliper, field, ownStocks);
        var family = ConstructionLibrary.ById(spec.Construction) ?? throw new InputProblemException(
            "construction.unknown", "construction", spec.Construction.Length == 0 ? "no construction is given" : $"“{spec.Construction}” is not a construction", string.Join(", ", ConstructionLibrary.All.Select(c => c.Id)));
        var home = new Target(FormatOf(spec.Format, "format"), spec.Turn);
        var target = spec.Target is null ? home : new Target(FormatOf(spec.Target, "target"), spec.TargetTurn);
        var unit = UnitOf(spec.Units, home.Format.System);
        if (spec.Tools is not null && !ToolSets.Ids.Contains(spec.Tools) && !ownTools.ContainsKey(spec.Tools))
        {
            throw new InputProblemException("tools.unknown", "tools", $"“{spec.Tools}” is not a tool set", string.Join(", ", ToolSets.Ids.Concat(ownTools.Keys)));
        }

        var choices = new Dictionary<string, string>();
        var pins = ReadPins(spec.Set, unit, family.Choices, choices, "set");
        var adjustments = spec.Adjustments.ToDictionary(
            a => a.Key,
            a => (IReadOnlyDictionary<string, Length>)ReadPins(a.Value, unit, [], [], $"adjustments.{a.Key}"));
        var construction = family.For(choices);
        foreach (var (place, name) in pins.Keys.Select(p => ("set", p)).Concat(adjustments.SelectMany(a => a.Value.Keys.Select(p => ($"adjustments.{a.Key}", p)))))
        {
            if (construction.Parameters.All(p => p.Id != name))
            {
                throw new InputProblemException("parameter.unknown", place, $"{family.Id} has no parameter “{name}”", construction.WhatCanBeSet);
            }
        }

        var design = new Design
        {
            Family = family,
            Home = home,
            Tools = spec.Tools,
            OwnTools = ownTools,
            Prefer = PreferencesOf(spec.Prefer),
            Stock = StockOf(spec.Stock, spec.Caliper, "stock"),
            LayerStock = StockOf(spec.LayerStock, null, "layerStock"),
            MatStock = StockOf(spec.MatStock, null, "matStock"),
            PieceStocks = spec.PieceStocks.ToDictionary(p => p.Key, p => construction.Pieces.Any(q => q.Id == p.Key)
                ? StockOf(p.Value, null, $"pieceStocks.{p.Key}")
                : throw new InputProblemException("piece.unknown", $"pieceStocks.{p.Key}", $"{family.Id} has no piece “{p.Key}”", string.Join(", ", construction.Pieces.Select(q => q.Id)))),
            Adhesive = Adhesive.ById(spec.Adhesive) ?? throw new InputProblemException("adhesive.unknown", "adhesive", $"“{spec.Adhesive}” is not an adhesive", string.Join(", ", Adhesive.All.Select(a => a.Id))),
            Grain = spec.Grain switch
            {
                null => Grain.Unknown,
                "long" => Grain.Long,
                "short" => Grain.Short,
                _ => throw new InputProblemException("grain.unknown", "grain", $"“{spec.Grain}” is no way for a grain to run", "long or short, by the sheet's longer side"),
            },
            Reveal = RevealOf(spec.Reveal, unit),
            Priority = spec.Priority switch
            {
                "format" => Priority.Format,
                "board" => Priority.Board,
                "proportions" => Priority.Proportions,
                _ => throw new InputProblemException("priority.unknown", "priority", $"“{spec.Priority}” is not a priority", "format, board or proportions"),
            },
            Choices = choices,
            Pins = pins,
            Adjustments = adjustments,
        };
        return new ReadDesign(design, target, unit);
    }

    public static Format FormatOf(string? text, string field) =>
        Formats.TryRead(text, out var format, out var reason) ? format : throw new InputProblemException("format.unknown", field, reason!, Formats.Accepted);

    private static Preferences PreferencesOf(IReadOnlyList<string> names) => names.Aggregate(Preferences.None, (prefer, name) =>
        Preferences.All.FirstOrDefault(p => p.Id == name).With is { } with ? with(prefer)
            : throw new InputProblemException("prefer.unknown", "prefer", $"“{name}” is not a preference", string.Join(", ", Preferences.All.Select(p => p.Id))));

    internal static DisplayUnit UnitOf(string? text, UnitSystem system, string field = "units") => text switch
    {
        null => system == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre,
        "in" => DisplayUnit.Inch,
        "cm" => DisplayUnit.Centimetre,
        "mm" => DisplayUnit.Millimetre,
        _ => throw new InputProblemException("units.unknown", field, $"“{text}” is not a unit", "in, cm or mm"),
    };

    private static Stock StockOf(string id, string? caliper, string field, Dictionary<string, Stock> own)
    {
        var stock = own.GetValueOrDefault(id) ?? Stocks.ById(id) ?? throw new InputProblemException("stock.unknown", field, $"“{id}” is not a stock", string.Join(", ", Stocks.All.Select(s => s.Id).Concat(own.Keys)));
        if (caliper is null)
        {
            return stock;
        }

        return CaliperReader.TryRead(caliper, out var read, out var reason)
            ? stock with { Caliper = read.Caliper, Grammage = read.Grammage ?? stock.Grammage }
            : throw new InputProblemException("caliper.unreadable", "caliper", reason!, CaliperReader.Accepted);
    }

    private static Reveal RevealOf(string text, DisplayUnit unit)
    {
        if (Reveal.ById(text) is { } known)
        {
            return known;
        }

        const string accepted = "thin, standard, framed, wide, flush, or a width up to 1 in, such as 1/8in or 3mm";
        var width = LengthOf(text, unit, "reveal", accepted);
        return width <= Length.In(1) ? Reveal.Custom(width) : throw new InputProblemException("reveal.range", "reveal", $"a border of {text} is more than an inch", accepted);
    }

    private static Dictionary<string, Length> ReadPins(IReadOnlyDictionary<string, string> set, DisplayUnit unit, IReadOnlyList<Constructions.Choice> choices, Dictionary<string, string> chosen, string place)
    {
        var pins = new Dictionary<string, Length>();
        foreach (var (name, text) in set)
        {
            if (choices.FirstOrDefault(c => c.Id == name) is { } choice)
            {
                chosen[name] = choice.Options.Contains(text) ? text : throw new InputProblemException("choice.unknown", $"{place}.{name}", $"“{text}” is not one of its choices", string.Join(" or ", choice.Options));
            }
            else
            {
                pins[name] = LengthOf(text, unit, $"{place}.{name}", null);
            }
        }

        return pins;
    }

    internal static Length LengthOf(string text, DisplayUnit bare, string field, string? accepted) =>
        LengthReader.TryRead(text, bare, out var value, out var problem)
            ? value
            : throw new InputProblemException("length.unreadable", field, $"{problem!.Reason} (at character {problem.Position + 1} of “{text}”)", accepted ?? problem.Example);
}

using System.Text.Json.Serialization;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Exchange;

/// <summary>A tool set of a person's own, as it is written down. Lengths are texts as people write them, in <see cref="Units"/> where bare.</summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record ToolSpec
{
    public string Id { get; init; } = "";

    public string Name { get; init; } = "";

    /// <summary>in, cm or mm: the system of its marks.</summary>
    public string Units { get; init; } = "in";

    /// <summary>Distance from groove to groove; none where there is no board.</summary>
    public string? Groove { get; init; }

    /// <summary>Where the first groove is; a groove's distance unless said.</summary>
    public string? FirstGroove { get; init; }

    /// <summary>How far the board reaches.</summary>
    public string? BoardLength { get; init; }

    /// <summary>The trimmer's finest mark.</summary>
    public string TrimmerMark { get; init; } = "";

    /// <summary>The longest line that the trimmer cuts.</summary>
    public string? LongestCut { get; init; }

    /// <summary>Whether it has a scoring blade.</summary>
    public bool TrimmerScores { get; init; }

    /// <summary>The ruler's finest mark; none where scores are only set on grooves.</summary>
    public string? RulerMark { get; init; }
}

/// <summary>A stock of a person's own, as it is written down.</summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record StockSpec
{
    public string Id { get; init; } = "";

    public string Name { get; init; } = "";

    /// <summary>paper, card, vellum, acetate, foil, mirror or embossed.</summary>
    public string Kind { get; init; } = "card";

    /// <summary>Its caliper, measured or from its weight.</summary>
    public string Caliper { get; init; } = "";

    /// <summary>g/m², where it is known and the caliper was measured.</summary>
    public int? Grammage { get; init; }

    /// <summary>alike, one (printed on one side, white behind) or different.</summary>
    public string Sides { get; init; } = "alike";

    /// <summary>Whether its pattern has a way up.</summary>
    public bool Directional { get; init; }
}

/// <summary>Tools and stocks of a person's own, beside those everybody has. A design file can carry those it needs.</summary>
[JsonUnmappedMemberHandling(JsonUnmappedMemberHandling.Disallow)]
public sealed record Workshop
{
    public static Workshop Empty { get; } = new();

    public IReadOnlyList<ToolSpec> Tools { get; init; } = [];

    public IReadOnlyList<StockSpec> Stocks { get; init; } = [];

    /// <summary>Reads tools and stocks from their JSON.</summary>
    /// <exception cref="InputProblemException">It is no JSON, or has an unknown field.</exception>
    public static Workshop Parse(string json, string place) => DesignSpec.ParseJson<Workshop>(json, place, "workshop.unreadable", """tools and stocks such as {"stocks": [{"id": "moss", "name": "Moss 250", "caliper": "250 gsm"}]}""");

    /// <summary>Both together; of two with one id the first wins.</summary>
    public Workshop With(Workshop? other) => other is null ? this : new Workshop
    {
        Tools = [.. Tools.Concat(other.Tools).DistinctBy(t => t.Id)],
        Stocks = [.. Stocks.Concat(other.Stocks).DistinctBy(s => s.Id)],
    };
}

/// <summary>Reads a person's own tools and stocks, refusing what is not understood.</summary>
public static class WorkshopReader
{
    private const int LongestName = 60;

    /// <summary>The finest step that a person can see, and the coarsest that still makes cards.</summary>
    private static readonly Pair Finest = Pair.Of(1, 32, 0.5m), Coarsest = Pair.Of(1, 2, 10m);

    /// <exception cref="InputProblemException">Something is missing, unknown or out of range.</exception>
    public static ToolSet Read(ToolSpec spec, string place)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var name = NameOf(spec.Name, $"{place}.name", "Small board by the window");
        var unit = DesignReader.UnitOf(spec.Units, UnitSystem.Imperial, $"{place}.units");
        var system = unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric;
        Length Read(string? text, string field, Length least, Length most)
        {
            var accepted = $"{LengthWriter.WithUnit(least, unit)} to {LengthWriter.WithUnit(most, unit)}";
            var value = DesignReader.LengthOf(text ?? "", unit, $"{place}.{field}", accepted);
            return value >= least && value <= most ? value : throw new InputProblemException("tools.range", $"{place}.{field}", $"{text} is no use for that", accepted);
        }

        Length Mark(string? text, string field) => Read(text, field, Finest.In(system), Coarsest.In(system));
        var groove = spec.Groove is null ? (Length?)null : Mark(spec.Groove, "groove");
        var trimmer = Mark(spec.TrimmerMark, "trimmerMark");
        var ruler = spec.RulerMark is null ? (Length?)null : Mark(spec.RulerMark, "rulerMark");
        if (groove is null && ruler is null && !spec.TrimmerScores)
        {
            throw new InputProblemException("tools.noScores", $"{place}.groove", "nothing in this set can score", "a groove such as 1/8, a ruler's mark such as 1/32, or a trimmer that scores");
        }

        // Figures are laid out on half the ruler's mark, so a mark must be a whole number of units halved.
        foreach (var (mark, field) in new[] { (ruler, "rulerMark"), (trimmer, "trimmerMark") })
        {
            if (mark is { } m && m.Units % 2 != 0)
            {
                throw new InputProblemException("tools.range", $"{place}.{field}", "that mark cannot be halved", "a mark such as 1/32 in or 0.5 mm");
            }
        }

        return new ToolSet
        {
            Id = IdOf(spec.Id, $"{place}.id", ToolSets.Ids),
            Name = name,
            System = system,
            Combs = groove is { } step ? [new Comb(step, spec.FirstGroove is null ? step : Read(spec.FirstGroove, "firstGroove", new Length(1), Length.In(2)))] : [],
            BoardEnd = groove is null ? Length.Zero : Read(spec.BoardLength, "boardLength", Length.In(4), Length.In(40)),
            CutMarks = [trimmer],
            LongestCut = spec.LongestCut is null ? null : Read(spec.LongestCut, "longestCut", Length.In(4), Length.In(40)),
            TrimmerScores = spec.TrimmerScores,
            RulerMarks = ruler is { } r ? [r] : [],
        };
    }

    /// <exception cref="InputProblemException">Something is missing, unknown or out of range.</exception>
    public static Stock Read(StockSpec spec, string place)
    {
        ArgumentNullException.ThrowIfNull(spec);
        var name = NameOf(spec.Name, $"{place}.name", "Moss 250");
        if (!CaliperReader.TryRead(spec.Caliper, out var caliper, out var reason))
        {
            throw new InputProblemException("caliper.unreadable", $"{place}.caliper", reason!, CaliperReader.Accepted);
        }

        T OneOf<T>(string text, string field) where T : struct, Enum =>
            Enum.GetNames<T>().Contains(text, StringComparer.OrdinalIgnoreCase) ? Enum.Parse<T>(text, ignoreCase: true)
                : throw new InputProblemException($"stock.{field}", $"{place}.{field}", $"“{text}” is not understood", string.Join(", ", Enum.GetNames<T>().Select(n => n.ToLowerInvariant())));
        if (spec.Grammage is < 20 or > 1000)
        {
            throw new InputProblemException("stock.grammage", $"{place}.grammage", $"{spec.Grammage} g/m² is no card", "20 to 1000");
        }

        var kind = OneOf<StockKind>(spec.Kind, "kind");

        // A weight says how much fibre there is; embossing then makes it stand higher. A measured caliper has that in it.
        var thickness = kind == StockKind.Embossed && !caliper.Measured ? Length.Mm(caliper.Caliper.Millimetres * Bulk.Embossing) : caliper.Caliper;
        return new Stock(IdOf(spec.Id, $"{place}.id", [.. Paper.Stocks.All.Select(s => s.Id)]), name, kind, thickness, spec.Grammage ?? caliper.Grammage)
        {
            Sides = OneOf<Sides>(spec.Sides, "sides"),
            Directional = spec.Directional,
        };
    }

    private static string IdOf(string id, string place, IReadOnlyList<string> taken)
    {
        if (id.Length is 0 or > 40 || !id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c is '-' or '.'))
        {
            throw new InputProblemException("own.id", place, id.Length == 0 ? "it has no id" : $"“{id}” cannot be an id", "small letters, digits and hyphens, such as window-board");
        }

        return taken.Contains(id) ? throw new InputProblemException("own.taken", place, $"“{id}” is the name of one that is there already", "another id, such as window-board") : id;
    }

    private static string NameOf(string name, string place, string example) => name.Trim() is { Length: > 0 and <= LongestName } trimmed ? trimmed
        : throw new InputProblemException("own.name", place, name.Trim().Length == 0 ? "it has no name" : $"the name has {name.Trim().Length} characters", $"1 to {LongestName} characters, such as “{example}”");
}

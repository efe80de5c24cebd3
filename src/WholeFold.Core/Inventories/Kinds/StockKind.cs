using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>A stock as it is written down.</summary>
public sealed record StockSpec
{
    public required string Id { get; init; }

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

    /// <summary>How it is drawn: #rrggbb.</summary>
    public string? Colour { get; init; }

    /// <summary>plain, stars, stripes, dots, waves or checks.</summary>
    public string Pattern { get; init; } = "plain";
}

/// <summary>Card and paper, with the caliper a pack of that weight usually measures.</summary>
public sealed class StockKindOfThing : Kind<Stock, StockSpec>
{
    public override string Id => "stocks";

    public override string Name => "Stocks";

    public override string One => "stock";

    public override string Meaning => "card and paper, by their caliper";

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Moss 250"),
        new("kind", "kind", "option", "card", Options: OptionsOf<StockKind>()),
        new("caliper", "caliper", "text", "0.33mm, 13pt, 3.4mm/10 or 250gsm"),
        new("grammage", "g/m²", "number", "250", Optional: true),
        new("sides", "its two sides", "option", "alike", Options: OptionsOf<PrintedSides>()),
        new("directional", "its pattern has a way up", "yes", "", Optional: true),
        new("colour", "its colour, to draw it", "text", "#2f4d63", Optional: true),
        new("pattern", "what is printed on it", "option", "plain", Options: OptionsOf<Pattern>()),
    ];

    protected override string Example => """{"id": "moss", "name": "Moss 250", "caliper": "250 gsm"}""";

    protected override Stock Read(StockSpec written, string place)
    {
        var name = NameOf(written.Name, place, "Moss 250");
        if (!CaliperReader.TryRead(written.Caliper, out var caliper, out var reason))
        {
            throw new InputProblemException("caliper.unreadable", $"{place}.caliper", reason!, CaliperReader.Accepted);
        }

        if (written.Grammage is < 20 or > 1000)
        {
            throw new InputProblemException("stock.grammage", $"{place}.grammage", $"{written.Grammage} g/m² is no card", "20 to 1000");
        }

        var kind = OneOf<StockKind>(written.Kind, "stock.kind", $"{place}.kind");

        // A weight says how much fibre there is; embossing then makes it stand higher. A measured caliper has that in it.
        var thickness = kind == StockKind.Embossed && !caliper.Measured ? Length.Mm(caliper.Caliper.Millimetres * Bulk.Embossing) : caliper.Caliper;
        return new Stock(IdOf(written.Id, place), name, kind, thickness, written.Grammage ?? caliper.Grammage)
        {
            Sides = OneOf<PrintedSides>(written.Sides, "stock.sides", $"{place}.sides"),
            Directional = written.Directional,
            Colour = written.Colour is null || (written.Colour.Length == 7 && written.Colour[0] == '#' && written.Colour.Skip(1).All(char.IsAsciiHexDigit)) ? written.Colour
                : throw new InputProblemException("stock.colour", $"{place}.colour", $"“{written.Colour}” is no colour", "a colour such as #2f4d63"),
            Pattern = OneOf<Pattern>(written.Pattern, "stock.pattern", $"{place}.pattern"),
        };
    }

    protected override string Describe(Stock thing) => thing.Caliper.Hundredths;
}

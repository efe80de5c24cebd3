using WholeFold.Core.Measure;

namespace WholeFold.Core.Paper;

public enum StockKind
{
    Paper,
    Card,
    Vellum,
    Acetate,
    Foil,
    Mirror,
    Embossed,
}

/// <summary>How the fibres of a sheet run, by its longer side.</summary>
public enum Grain
{
    Unknown,
    Long,
    Short,
}

/// <summary>How the two sides of a sheet look.</summary>
public enum Sides
{
    Alike,

    /// <summary>Printed or coloured on one side, white on the other.</summary>
    One,

    Different,
}

/// <summary>What holds a layer. Each adds its thickness once.</summary>
public sealed record Adhesive(string Id, string Name, Length Thickness, bool Wet)
{
    /// <summary>Structural bonds are taped: tape holds at once.</summary>
    public static Adhesive Tape { get; } = new("tape", "tape", Length.Mm(0.1m), Wet: false);

    public static Adhesive Glue { get; } = new("glue", "wet glue", Length.Zero, Wet: true);

    public static IReadOnlyList<Adhesive> All { get; } =
    [
        Glue,
        Tape,
        new("foam-1", "1 mm foam", Length.Mm(1), Wet: false),
        new("foam-1.5", "1.5 mm foam", Length.Mm(1.5m), Wet: false),
        new("foam-2", "2 mm foam", Length.Mm(2), Wet: false),
    ];

    public static Adhesive? ById(string id) => All.FirstOrDefault(a => a.Id == id);
}

/// <summary>A paper or card stock.</summary>
/// <param name="Caliper">Thickness of one ply.</param>
/// <param name="Grammage">Weight in g/m², where it is known.</param>
public sealed record Stock(string Id, string Name, StockKind Kind, Length Caliper, int? Grammage)
{
    public Sides Sides { get; init; }

    /// <summary>Whether its pattern has a way up, so that it cannot be turned to save paper.</summary>
    public bool Directional { get; init; }

    /// <summary>In g/m². Where a maker gives none: acetate and vellum by their density of 1.3 and 1.1 g/cm³, card by the bulk of 1.25 cm³/g.</summary>
    public double Weighs => Grammage ?? (double)Caliper.Millimetres * (Kind switch { StockKind.Acetate => 1300, StockKind.Vellum => 1100, _ => 800 });

    /// <summary>Above this weight a crease across the grain cracks, in g/m².</summary>
    public const int CracksAbove = 200;

    /// <summary>Why wet glue must not be used on it; null where it may.</summary>
    public string? RefusesWetGlue => Kind switch
    {
        StockKind.Acetate => "wet glue does not dry under acetate",
        StockKind.Foil or StockKind.Mirror => "wet glue peels off a sealed surface",
        StockKind.Vellum => "wet glue cockles vellum and shows through",
        _ => null,
    };

    /// <summary>What to mind when it is scored; null for plain card and paper.</summary>
    public string? ScoredWithCare => Kind switch
    {
        StockKind.Acetate => "acetate wants a lighter hand and several passes, or it cracks",
        StockKind.Foil or StockKind.Mirror => "a sealed surface shows every slip: score it from the back",
        _ => null,
    };
}

/// <summary>The stocks known by id, with the caliper a pack of that weight usually measures.</summary>
public static class Stocks
{
    public const string Default = "card-270";

    /// <summary>What layers are cut from unless said otherwise.</summary>
    public const string Layers = "paper-120";

    /// <summary>The calipers accepted, 0.05 to 1 mm: a sheet of tissue to two plies of the heaviest card.</summary>
    public static readonly Length Thinnest = Length.Mm(0.05m), Thickest = Length.Mm(1m);

    public static IReadOnlyList<Stock> All { get; } =
    [
        new("paper-120", "Ember paper 120", StockKind.Paper, Length.Mm(0.15m), 120),
        new("card-216", "Oat 216", StockKind.Card, Length.Mm(0.27m), 216),
        new("card-270", "Sail 270", StockKind.Card, Length.Mm(0.34m), 270),
        new("card-300", "Harbour 300", StockKind.Card, Length.Mm(0.375m), 300),
        new("card-350", "Slate 350", StockKind.Card, Length.Mm(0.44m), 350),
        new("vellum", "Vellum", StockKind.Vellum, Length.Mm(0.10m), 110),
        new("acetate", "Acetate", StockKind.Acetate, Length.Mm(0.20m), null),
        new("foil-card", "Foil card", StockKind.Foil, Length.Mm(0.30m), 270),
        new("mirror-card", "Mirror card", StockKind.Mirror, Length.Mm(0.32m), 270),
        new("embossed-216", "Embossed oat 216", StockKind.Embossed, Length.Mm(0.27m * Bulk.Embossing), 216),
    ];

    public static Stock? ById(string id) => All.FirstOrDefault(s => s.Id == id);
}

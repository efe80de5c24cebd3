using WholeFold.Core.Input;
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
public enum PrintedSides
{
    Alike,

    /// <summary>Printed or coloured on one side, white on the other.</summary>
    One,

    Different,
}

/// <summary>What a paper is printed with, as it is drawn.</summary>
public enum Pattern
{
    Plain,
    Stars,
    Stripes,
    Dots,
    Waves,
    Checks,
}

/// <summary>A paper or card stock.</summary>
/// <param name="Caliper">Thickness of one ply.</param>
/// <param name="Grammage">Weight in g/m², where it is known.</param>
public sealed record Stock(string Id, string Name, StockKind Kind, Length Caliper, int? Grammage) : IThing
{
    /// <summary>The calipers accepted, 0.05 to 1 mm: a sheet of tissue to two plies of the heaviest card.</summary>
    public static readonly Length Thinnest = Length.Mm(0.05m), Thickest = Length.Mm(1m);

    public PrintedSides Sides { get; init; }

    /// <summary>Whether its pattern has a way up, so that it cannot be turned to save paper.</summary>
    public bool Directional { get; init; }

    /// <summary>How it is drawn: a colour as <c>#rrggbb</c>; null where nobody has said.</summary>
    public string? Colour { get; init; }

    /// <summary>What is printed on it, as far as a drawing tells it apart.</summary>
    public Pattern Pattern { get; init; }

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

using WholeFold.Core.Measure;

namespace WholeFold.Core.Paper;

/// <summary>A paper or card stock. Caliper is the thickness of one ply.</summary>
public sealed record Stock(string Id, string Name, Length Caliper);

/// <summary>The stocks known by id, with the caliper a pack of that weight usually measures.</summary>
public static class Stocks
{
    public const string Default = "card-270";

    /// <summary>What layers are cut from unless said otherwise.</summary>
    public const string Layers = "paper-120";

    /// <summary>Structural bonds are taped; flat layers are glued, which adds nothing that can be measured.</summary>
    public static readonly Length Tape = Length.Mm(0.1m);

    /// <summary>The calipers accepted, 0.05 to 1 mm: a sheet of tissue to two plies of the heaviest card.</summary>
    public static readonly Length Thinnest = Length.Mm(0.05m), Thickest = Length.Mm(1m);

    public static IReadOnlyList<Stock> All { get; } =
    [
        new("paper-120", "Ember paper 120", Length.Mm(0.15m)),
        new("card-216", "Oat 216", Length.Mm(0.27m)),
        new("card-270", "Sail 270", Length.Mm(0.34m)),
        new("card-300", "Harbour 300", Length.Mm(0.375m)),
        new("card-350", "Slate 350", Length.Mm(0.44m)),
        new("vellum", "Vellum", Length.Mm(0.10m)),
        new("acetate", "Acetate", Length.Mm(0.20m)),
        new("foil-card", "Foil card", Length.Mm(0.30m)),
    ];

    public static Stock? ById(string id) => All.FirstOrDefault(s => s.Id == id);
}

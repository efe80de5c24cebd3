using System.Globalization;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories.Kinds;

/// <summary>Sheets in the stock book as they are written down.</summary>
/// <param name="Pack">How many come in a pack; singly unless said.</param>
/// <param name="Price">What a pack costs.</param>
public sealed record OwnedSheetSpec(string Id, string Name, string Width, string Height, string Stock, int Count, string Units = "in",
    bool Offcut = false, int? Pack = null, decimal? Price = null) : SizeSpec(Id, Name, Width, Height, Units);

/// <summary>The stock book: what is there to cut from, and what more of it costs.</summary>
public sealed class OwnedSheetKind() : SizeKind<OwnedSheet, OwnedSheetSpec>(Length.In(1, 2), Length.In(40))
{
    private const int MostSheets = 100_000, LargestPack = 5_000;

    private const decimal DearestPack = 1_000_000;

    /// <summary>Its id.</summary>
    public const string Book = "book";

    public override string Id => Book;

    public override string Name => "Stock book";

    public override string One => "kind of sheet";

    public override string Meaning => "sheets and offcuts that are there, and what a pack costs";

    public override bool ChangesFigures => false;

    public override IReadOnlyList<KindField> Fields =>
    [
        new("name", "name", "text", "Harbour 300, Letter"),
        new("stock", "stock", "text", "card-300", Of: "stocks"),
        new("units", "units", "option", "in", Options: ["in", "cm", "mm"]),
        new("width", "width", "length", "8 1/2"),
        new("height", "height", "length", "11"),
        new("count", "how many there are", "number", "24"),
        new("pack", "sheets in a pack", "number", "10", Optional: true),
        new("price", "a pack costs", "number", "5.40", Optional: true),
        new("offcut", "left over from something else", "yes", "", Optional: true),
    ];

    protected override string Example =>
        """{"id": "harbour-letter", "name": "Harbour 300, Letter", "stock": "card-300", "width": "8 1/2", "height": "11", "count": 24}""";

    protected override OwnedSheet Of(OwnedSheetSpec written, string id, string name, Length width, Length height, UnitSystem system) =>
        new(id, name, written.Stock, width, height, system, Within(written.Count, 0, MostSheets, id, "count"), written.Offcut)
        {
            Pack = Within(written.Pack ?? 1, 1, LargestPack, id, "pack"),
            Price = written.Price is null or (> 0 and <= DearestPack) ? written.Price
                : throw new InputProblemException("own.range", $"{Id}.price", $"{written.Price} is no price of a pack",
                    "more than 0 and up to 1000000, or nothing where it is not known"),
        };

    private int Within(int number, int least, int most, string id, string field) => number >= least && number <= most ? number
        : throw new InputProblemException("own.range", $"{Id}.{field}", $"{number} is out of range for {id}", $"{least} to {most}");

    protected override (Length, Length, UnitSystem) SidesOf(OwnedSheet thing) => (thing.Width, thing.Height, thing.System);

    protected override string Describe(OwnedSheet thing)
    {
        var pack = thing.Pack > 1 ? $", in packs of {thing.Pack}" : "";
        var price = thing.Price is { } p ? string.Create(CultureInfo.InvariantCulture,
            $", {p:0.00}{(thing.Pack > 1 ? " a pack" : " each")}") : "";
        return $"{thing.Count} at {base.Describe(thing)}{pack}{price}{(thing.IsOffcut ? ", offcut" : "")}";
    }
}

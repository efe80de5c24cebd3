using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Tests;

internal static class Support
{
    /// <summary>Reads designs with the library and what ships.</summary>
    public static DesignReader Reader { get; } = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    public static Length In(string text) => LengthReader.TryRead(text, DisplayUnit.Inch, out var value, out var problem) ? value : throw new ArgumentException(problem!.Reason);

    public static DesignSpec Spec(string construction, string format, params string[] set) => new()
    {
        Construction = construction,
        Format = format,
        Set = set.Select(s => s.Split('=')).ToDictionary(p => p[0], p => new WrittenFigure(p[1])),
    };

    public static Card Size(DesignSpec spec)
    {
        var read = Support.Reader.Read(spec);
        return Card.Of(read.Design, read.Target);
    }

    /// <summary>Null where the construction does not go in this format.</summary>
    public static Card? Try(DesignSpec spec)
    {
        var read = Support.Reader.Read(spec);
        return Attempt.Of(read.Design, read.Target).Card;
    }

    public static SizedPiece Piece(this Card sized, string id) => sized.Pieces.Single(p => p.Piece.Id == id);

    public static IEnumerable<Length> Scores(this Card sized, string piece) => sized.Piece(piece).Scores.Select(s => s.Figure.Value);

    /// <summary>Every construction with every one of its choices.</summary>
    public static IEnumerable<(ConstructionFamily Family, Dictionary<string, string> Choices)> Variants() =>
        from family in ConstructionLibrary.All
        from choices in ConstructionFamily.Combinations(family.Choices)
        where family.For(choices).Refused is null
        select (family, choices);

    /// <summary>Every construction × format × turning for the given tools, a calliper and a priority, as a design to size.</summary>
    public static IEnumerable<DesignSpec> Grid(string tools, string? caliper = null, string priority = "format") =>
        from variant in Variants()
        from format in Inventory.Shipped.Formats
        from turn in format.Width == format.Height ? new[] { false } : [false, true]
        select new DesignSpec { Construction = variant.Family.Id, Format = format.Id, Turn = turn, Tools = tools, Caliper = caliper, Priority = priority, Set = Written(variant.Choices) };

    /// <summary>Every piece from one card, with the usual paper on it.</summary>
    public static Papers PapersOf(Stock stock) => Papers.All(stock, Inventory.Shipped.Stocks[0].Caliper);

    /// <summary>Choices or values as a design writes them.</summary>
    public static Dictionary<string, WrittenFigure> Written(IEnumerable<KeyValuePair<string, string>> set) => set.ToDictionary(s => s.Key, s => new WrittenFigure(s.Value));

    /// <summary>Things of one's own, as a design carries them.</summary>
    public static IReadOnlyDictionary<string, IReadOnlyList<JsonObject>> Own(ToolSpec[]? tools = null, StockSpec[]? stocks = null) => new Dictionary<string, IReadOnlyList<JsonObject>>
    {
        ["tools"] = [.. (tools ?? []).Select(t => (JsonObject)JsonSerializer.SerializeToNode(t, StrictJson.Options)!)],
        ["stocks"] = [.. (stocks ?? []).Select(t => (JsonObject)JsonSerializer.SerializeToNode(t, StrictJson.Options)!)],
    };

    public static SizedPiece Piece(this Figures sized, string id) => sized.Pieces.Single(p => p.Piece.Id == id);

    public static string Named(this DesignSpec spec) => $"{spec.Construction} {string.Join(' ', spec.Set)} in {spec.Format}{(spec.Turn ? " turned" : "")} with {spec.Tools}, {spec.Priority} first, card {spec.Caliper}";
}

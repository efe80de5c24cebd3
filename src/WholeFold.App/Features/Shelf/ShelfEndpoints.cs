using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Folding;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Shelf;

/// <summary>A construction on the shelf.</summary>
public sealed record ShelfCard
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Opens { get; init; }

    /// <summary>opens, stands, popsUp, turns or holds.</summary>
    public required Effect Does { get; init; }

    public required string DoesWords { get; init; }

    /// <summary>For one card of the sample size; null where a piece is larger than any sheet.</summary>
    public required int? Sheets { get; init; }

    public required bool GoesFlat { get; init; }

    public required string Thickness { get; init; }

    /// <summary>simple, somePractice or takesPatience.</summary>
    public required Difficulty Difficulty { get; init; }

    public required string DifficultyWords { get; init; }

    public required bool Turns { get; init; }

    /// <summary>In words: which formats it takes, and whether turned too.</summary>
    public required string Formats { get; init; }

    /// <summary>Formats that it does not take, each with why.</summary>
    public required IReadOnlyList<IReadOnlyList<SentencePart>> Refuses { get; init; }

    public required PosesView Poses { get; init; }

    public required IReadOnlyList<string> Watch { get; init; }
}

/// <param name="FlatUpTo">How thick a card may be to count as flat in the post.</param>
public sealed record ShelfView(IReadOnlyList<ShelfCard> Cards, string FlatUpTo);

/// <summary>
/// The shelf, filled once and kept: it is made of what ships and depends on nothing that the studio has. The launcher has it filled
/// when it builds the app (<c>wholefold shelf</c>), and lays it beside.
/// </summary>
public sealed class FilledShelf(Catalogue catalogue)
{
    private static readonly string Laid = Path.Combine(AppContext.BaseDirectory, "shelf.json");

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Encoder = StrictJson.Options.Encoder,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    private readonly Lazy<Task<byte[]>> _written = new(() => Task.Run(() => File.Exists(Laid) ? File.ReadAllBytesAsync(Laid) : Task.FromResult(Write(catalogue))));

    /// <summary>As it is answered with.</summary>
    public Task<byte[]> Written() => _written.Value;

    public static byte[] Write(Catalogue catalogue) => JsonSerializer.SerializeToUtf8Bytes(Fill(catalogue), Json);

    private static ShelfView Fill(Catalogue catalogue)
    {
        var formats = Core.Inventories.Inventory.Shipped.Formats;
        return new([.. Core.Lists.Shelf.Of(new DesignReader(catalogue, Core.Inventories.Inventory.Shipped)).Select(i => Card(i, formats))], $"{Core.Lists.Shelf.FlatInThePost.Millimetres:0} mm");
    }

    private static ShelfCard Card(ShelfItem item, IReadOnlyList<Format> all)
    {
        var construction = item.Sample.Construction;
        var turnable = all.Count(f => f.Width != f.Height);
        var formats = item.Formats == all.Count ? "every format" : $"{item.Formats} of {all.Count} formats";
        return new ShelfCard
        {
            Id = item.Family.Id,
            Name = item.Family.Name,
            Opens = item.Family.Opens,
            Does = construction.Does,
            DoesWords = construction.Does switch { Effect.Opens => "opens", Effect.Stands => "stands", Effect.PopsUp => "pops up", Effect.Turns => "turns", _ => "holds a card" },
            Sheets = item.Sheets,
            GoesFlat = item.GoesFlat,
            Thickness = Teller.Millimetres(item.Sample.Thickness.Greatest),
            Difficulty = item.Difficulty,
            DifficultyWords = item.Difficulty switch { Difficulty.Simple => "simple", Difficulty.SomePractice => "some practice", _ => "takes patience" },
            Turns = item.Turned > 0,
            Formats = $"{formats}, {(item.Turned == turnable ? "turned too" : item.Turned == 0 ? "not turned" : $"{item.Turned} of them turned too")}",
            Refuses = [.. item.Refuses.Select(r => Words.Of($"{r.Format.Name}: {r.Why}").Parts(r.Format.System.UnitOf()))],
            Poses = PosesView.Of(item.Dressed, item.Motion, Picture.OnTheTable),
            Watch = construction.Watch,
        };
    }
}

internal static class ShelfEndpoints
{
    public static void MapShelf(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/shelf", async (FilledShelf shelf) => Results.Bytes(await shelf.Written(), "application/json; charset=utf-8"))
            .Describes<ShelfView>("shelf", "Every construction with what one looks for it by, and its pictures from closed to shown.");
}

using WholeFold.App.Features.Bench;
using WholeFold.Core.Constructions;
using WholeFold.Core.Exchange;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Shelf;

/// <summary>A construction on the shelf.</summary>
/// <param name="Does">opens, stands, popsUp, turns or holds.</param>
/// <param name="Sheets">For one card of the sample size; null where a piece is larger than any sheet.</param>
/// <param name="Difficulty">simple, somePractice or takesPatience.</param>
/// <param name="Formats">In words: which formats it takes, and whether turned too.</param>
/// <param name="Refuses">Formats that it does not take, each with why.</param>
public sealed record ShelfCard(string Id, string Name, string Opens, string Does, string DoesWords, int? Sheets, bool GoesFlat, string Thickness, string Difficulty, string DifficultyWords, bool Turns, string Formats, IReadOnlyList<string> Refuses, PosesView Poses, IReadOnlyList<string> Watch);

/// <param name="FlatUpTo">How thick a card may be to count as flat in the post.</param>
public sealed record ShelfView(IReadOnlyList<ShelfCard> Cards, string FlatUpTo);

internal static class ShelfEndpoints
{
    public static void MapShelf(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/shelf", () => View.Value)
            .WithName("shelf")
            .WithSummary("Every construction with what one looks for it by, and its pictures from closed to shown.");

    private static readonly Lazy<ShelfView> View = new(() => new ShelfView([.. Core.Lists.Shelf.All.Select(Card)], $"{Core.Lists.Shelf.FlatInThePost.Millimetres:0} mm"));

    private static ShelfCard Card(ShelfItem item)
    {
        var construction = item.Sample.Construction;
        var all = Core.Catalogue.Formats.All;
        var turnable = all.Count(f => f.Width != f.Height);
        var formats = item.Formats == all.Count ? "every format" : $"{item.Formats} of {all.Count} formats";
        return new ShelfCard(
            item.Family.Id, item.Family.Name, item.Family.Opens,
            SizedJson.Name(construction.Does), Words(construction.Does),
            item.Sheets, item.GoesFlat, $"{Math.Round(item.Sample.ClosedThickness.Millimetres, 1):0.0} mm",
            SizedJson.Name(item.Difficulty), Words(item.Difficulty),
            item.Turned > 0,
            $"{formats}, {(item.Turned == turnable ? "turned too" : item.Turned == 0 ? "not turned" : $"{item.Turned} of them turned too")}",
            [.. item.Refuses.Select(r => $"{r.Format.Name}: {r.Why}")],
            PosesView.Of(item.Sample, item.Motion),
            construction.Watch);
    }

    private static string Words(Effect does) => does switch
    {
        Effect.Opens => "opens",
        Effect.Stands => "stands",
        Effect.PopsUp => "pops up",
        Effect.Turns => "turns",
        _ => "holds a card",
    };

    private static string Words(Difficulty difficulty) => difficulty switch
    {
        Difficulty.Simple => "simple",
        Difficulty.SomePractice => "some practice",
        _ => "takes patience",
    };
}

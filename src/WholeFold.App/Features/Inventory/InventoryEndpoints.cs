using System.Text.Json.Nodes;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;
using WholeFold.Store;

namespace WholeFold.App.Features.Inventory;

/// <summary>Something to hand.</summary>
/// <param name="Detail">Size or caliper, in the thing's own system.</param>
/// <param name="Own">Whether it is the studio's own.</param>
/// <param name="ToHand">Whether it lies on the bench, or was put away.</param>
/// <param name="Written">As it is written down, where it is the studio's own.</param>
public sealed record ThingView(string Id, string Name, string Detail, bool Own, bool ToHand, JsonObject? Written);

/// <summary>A kind of things, with how one of them is asked for.</summary>
public sealed record KindView(string Id, string Name, string One, string Meaning, IReadOnlyList<KindField> Fields, IReadOnlyList<ThingView> Things);

public sealed record CatalogueItem(string Id, string Name, string Detail);

/// <summary>What there is to choose from.</summary>
/// <param name="Accepts">What a typed format may look like.</param>
public sealed record InventoryView(IReadOnlyList<KindView> Kinds, IReadOnlyList<CatalogueItem> Constructions, IReadOnlyList<CatalogueItem> Reveals, string Accepts, string AcceptsCaliper);

public sealed record ToHand(bool Lies);

/// <summary>What the studio has, of every kind alike.</summary>
internal static class InventoryEndpoints
{
    public static void MapInventory(this IEndpointRouteBuilder app)
    {
        var inventory = app.MapGroup("/api/inventory");
        inventory.MapGet("/", async (Things things, Catalogue catalogue, CancellationToken cancel) => View(await things.Read(cancel), await things.Kept(cancel), catalogue))
            .Describes<InventoryView>("inventory", "Everything to hand, by kind, and the constructions and reveals there are.");

        inventory.MapPut("/{kind}", async (string kind, Body<JsonObject> written, Things things, CancellationToken cancel) =>
            {
                var thing = await things.Keep(kind, written.Value, cancel);
                return new CatalogueItem(thing.Id, thing.Name, Core.Inventories.Inventory.KindOf(kind)!.Describe(thing));
            })
            .Describes<CatalogueItem>("keepThing", "Puts a thing of one's own into the drawer, or in the place of the one with its id.");

        inventory.MapPut("/{kind}/{id}/to-hand", async (string kind, string id, Body<ToHand> body, Things things, CancellationToken cancel) =>
            {
                await things.Lay(kind, id, body.Value.Lies, cancel);
                return body.Value;
            })
            .Describes<ToHand>("layToHand", "Keeps a thing on the bench, or puts it away.");

        inventory.MapDelete("/{kind}/{id}", async (string kind, string id, Things things, CancellationToken cancel) =>
                await things.Remove(kind, id, cancel) ? Results.NoContent() : ProblemHandler.Of(StatusCodes.Status404NotFound, "Not in the drawer", "The studio has none of its own called that.", "drawer.missing"))
            .WithName("removeThing").WithSummary("Takes a thing of one's own out for good.").Produces(StatusCodes.Status204NoContent).ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static InventoryView View(Core.Inventories.Inventory inventory, IReadOnlyList<KeptThing> kept, Catalogue catalogue) => new(
        [.. Core.Inventories.Inventory.Kinds.Select(k => KindOf(k, inventory, [.. kept.Where(t => t.Kind == k.Id)]))],
        [.. catalogue.All.Select(c => new CatalogueItem(c.Id, c.Name, c.Opens))],
        [.. Reveal.All.Select(r => new CatalogueItem(r.Id, r.Name, $"{LengthWriter.WithUnit(r.Width.Imperial, DisplayUnit.Inch)} / {LengthWriter.WithUnit(r.Width.Metric, DisplayUnit.Millimetre)}"))],
        "5x7in or 150x150mm, each side from 2 to 12 in",
        CaliperReader.Accepted);

    /// <summary>The studio's own come first. Where nothing of a kind was ever sorted out, all of it lies to hand.</summary>
    private static KindView KindOf(Kind kind, Core.Inventories.Inventory inventory, List<KeptThing> kept) => new(
        kind.Id, kind.Name, kind.One, kind.Meaning, kind.Fields,
        [.. inventory.All(kind).OrderBy(t => inventory.IsOwn(t) ? 0 : 1).Select(t =>
        {
            var row = kept.FirstOrDefault(k => k.Id == t.Id);
            var lies = row?.ToHand ?? (kept.Count == 0 || kind.WhenAway(t) is not null);
            return new ThingView(t.Id, t.Name, kind.Describe(t), inventory.IsOwn(t), lies, row?.Written);
        })]);
}

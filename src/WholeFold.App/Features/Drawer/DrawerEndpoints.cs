using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Exchange;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using WholeFold.Store;

namespace WholeFold.App.Features.Drawer;

/// <param name="Kind">tools or stock.</param>
public sealed record DrawerItem(string Kind, string Id, bool ToHand);

/// <summary>What the studio owns: which of all tools and stocks are to hand, and those that are its own.</summary>
internal static class DrawerEndpoints
{
    public static void MapDrawer(this IEndpointRouteBuilder app)
    {
        var drawer = app.MapGroup("/api/drawer");
        drawer.MapGet("/", async (WholeFoldContext context, CancellationToken cancel) =>
                (await context.Drawer.AsNoTracking().OrderBy(d => d.Position).ToListAsync(cancel)).Select(d => new DrawerItem(d.Kind, d.Id, d.ToHand)).ToList())
            .WithName("listDrawer");

        drawer.MapPut("/", async ([FromBody] DrawerItem item, WholeFoldContext context, CancellationToken cancel) =>
            {
                var row = await context.Drawer.FindAsync([item.Kind, item.Id], cancel);
                var known = row is not null || (item.Kind == OwnThings.Tools ? ToolSets.Ids.Contains(item.Id) : item.Kind == OwnThings.Stock && Stocks.ById(item.Id) is not null);
                if (!known)
                {
                    throw new InputProblemException("drawer.unknown", "id", $"“{item.Id}” is not something the drawer knows", "kind tools or stock with the id of one, such as {\"kind\": \"stock\", \"id\": \"card-300\"}");
                }

                if (row is null)
                {
                    context.Drawer.Add(new DrawerRow { Kind = item.Kind, Id = item.Id, ToHand = item.ToHand, Position = await context.Drawer.CountAsync(cancel) });
                }
                else
                {
                    row.ToHand = item.ToHand;
                }

                await context.SaveChangesAsync(cancel);
                return item;
            })
            .WithName("keepInDrawer").ProducesProblem(StatusCodes.Status400BadRequest);

        drawer.MapGet("/own", (OwnThings own, CancellationToken cancel) => own.Read(cancel)).WithName("listOwn");

        drawer.MapPut("/own/tools", async ([FromBody] ToolSpec tools, OwnThings own, CancellationToken cancel) =>
            {
                await own.Keep(tools, cancel);
                return tools;
            })
            .WithName("keepTools").ProducesProblem(StatusCodes.Status400BadRequest);

        drawer.MapPut("/own/stock", async ([FromBody] StockSpec stock, OwnThings own, CancellationToken cancel) =>
            {
                await own.Keep(stock, cancel);
                return stock;
            })
            .WithName("keepStock").ProducesProblem(StatusCodes.Status400BadRequest);

        drawer.MapDelete("/own/{kind}/{id}", async (string kind, string id, OwnThings own, CancellationToken cancel) =>
                await own.Remove(kind, id, cancel)
                    ? Results.NoContent()
                    : Results.Problem(statusCode: StatusCodes.Status404NotFound, title: "Not in the drawer", detail: $"The studio has no {kind} of its own called “{id}”.", extensions: new Dictionary<string, object?> { ["code"] = "drawer.missing" }))
            .WithName("removeOwn").Produces(StatusCodes.Status204NoContent).ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status404NotFound);
    }
}

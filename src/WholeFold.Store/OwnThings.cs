using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Exchange;
using WholeFold.Core.Sizing;

namespace WholeFold.Store;

/// <summary>The studio's own tools and stocks, kept as they are written down.</summary>
public sealed class OwnThings(WholeFoldContext context)
{
    public const string Tools = "tools", Stock = "stock";

    private static readonly JsonSerializerOptions Json = new(SizedJson.Options) { WriteIndented = false };

    public async Task<Workshop> Read(CancellationToken cancel)
    {
        var rows = await context.Drawer.AsNoTracking().Where(d => d.Own != null).OrderBy(d => d.Position).ToListAsync(cancel);
        return new Workshop
        {
            Tools = [.. rows.Where(r => r.Kind == Tools).Select(r => JsonSerializer.Deserialize<ToolSpec>(r.Own!, Json)!)],
            Stocks = [.. rows.Where(r => r.Kind == Stock).Select(r => JsonSerializer.Deserialize<StockSpec>(r.Own!, Json)!)],
        };
    }

    /// <summary>Puts one in, or in the place of the one with its id.</summary>
    /// <exception cref="InputProblemException">It is not understood.</exception>
    public Task Keep(ToolSpec tools, CancellationToken cancel)
    {
        WorkshopReader.Read(tools, Tools);
        return Keep(Tools, tools.Id, JsonSerializer.Serialize(tools, Json), cancel);
    }

    /// <inheritdoc cref="Keep(ToolSpec, CancellationToken)"/>
    public Task Keep(StockSpec stock, CancellationToken cancel)
    {
        WorkshopReader.Read(stock, Stock);
        return Keep(Stock, stock.Id, JsonSerializer.Serialize(stock, Json), cancel);
    }

    /// <summary>Takes one out for good; false where there is none of that id.</summary>
    /// <exception cref="InputProblemException">A design is made with it.</exception>
    public async Task<bool> Remove(string kind, string id, CancellationToken cancel)
    {
        var row = await context.Drawer.FirstOrDefaultAsync(d => d.Kind == kind && d.Id == id && d.Own != null, cancel);
        if (row is null)
        {
            return false;
        }

        // Undo may lead back to it, so the whole history counts.
        var named = $"\"{id}\"";
        var users = await context.History.Where(h => h.State.Contains(named)).Select(h => h.DesignId).Distinct().Join(context.Designs, d => d, d => d.Id, (_, d) => d.Name).ToListAsync(cancel);
        if (users.Count > 0)
        {
            throw new InputProblemException("drawer.inUse", id, $"it is or was used for {string.Join(", ", users.Order(StringComparer.Ordinal))}", "something that no design was made with; it can be put away instead");
        }

        context.Drawer.Remove(row);
        await context.SaveChangesAsync(cancel);
        return true;
    }

    private async Task Keep(string kind, string id, string own, CancellationToken cancel)
    {
        if (await context.Drawer.FindAsync([kind, id], cancel) is { } row)
        {
            row.Own = own;
        }
        else
        {
            context.Drawer.Add(new DrawerRow { Kind = kind, Id = id, ToHand = true, Own = own, Position = await context.Drawer.CountAsync(cancel) });
        }

        await context.SaveChangesAsync(cancel);
    }
}

using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Tooling;

namespace WholeFold.Store;

/// <summary>Something that the studio keeps to hand or has put away, of its own or as it ships.</summary>
/// <param name="Written">As it is written down, where it is the studio's own.</param>
public sealed record KeptThing(string Kind, string Id, bool ToHand, JsonObject? Written);

/// <summary>What was read of a studio's things last, for as long as none of them changes: one of these for each data file.</summary>
public sealed class ThingsRead
{
    private readonly Lock _gate = new();
    private Tuple<string, Inventory>? _last;
    private int _changes;

    /// <summary>What was read last, null where that is out of date; and how many changes there were.</summary>
    internal (Tuple<string, Inventory>? Last, int Changes) Now
    {
        get
        {
            lock (_gate)
            {
                return (_last, _changes);
            }
        }
    }

    /// <summary>Keeps what was read, unless something was changed while it was.</summary>
    internal void Keep(Tuple<string, Inventory> last, int changes)
    {
        lock (_gate)
        {
            _last = changes == _changes ? last : _last;
        }
    }

    internal void Changed()
    {
        lock (_gate)
        {
            (_last, _changes) = (null, _changes + 1);
        }
    }
}

/// <summary>What the studio has to hand, of every kind alike: kept as it is written down.</summary>
public sealed class Things(WholeFoldContext context, ThingsRead read)
{
    /// <summary>The same as long as those of the studio's own things are that figures depend on; known once they have been read.</summary>
    public string Stamp { get; private set; } = "";

    /// <summary>What ships, and the studio's own beside it or in its place.</summary>
    public async Task<Inventory> Read(CancellationToken cancel)
    {
        var (known, changes) = read.Now;
        if (known is { } last)
        {
            Stamp = last.Item1;
            return last.Item2;
        }

        var rows = await context.Drawer.AsNoTracking().Where(d => d.Own != null || !d.ToHand).OrderBy(d => d.Kind).ThenBy(d => d.Position)
            .Select(d => new { d.Kind, d.Id, d.Own, d.ToHand }).ToListAsync(cancel);
        var told = rows.Where(r => Inventory.KindOf(r.Kind)?.ChangesFigures != false).ToList();
        Stamp = told.Count == 0 ? "" : Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', told.Select(r =>
            $"{r.Kind} {r.Id} {r.ToHand} {r.Own}")))));
        var written = rows.Where(r => r.Own is not null).GroupBy(r => r.Kind).ToDictionary(g => g.Key, g =>
            (IReadOnlyList<JsonObject>)[.. g.Select(r => (JsonObject)JsonNode.Parse(r.Own!)!)]);
        var inventory = rows.Count == 0 ? Inventory.Shipped
            : Inventory.Shipped.With(written).Without(rows.Where(r => !r.ToHand).Select(r => (r.Kind, r.Id)));
        read.Keep(Tuple.Create(Stamp, inventory), changes);
        return inventory;
    }

    public async Task<IReadOnlyList<KeptThing>> Kept(CancellationToken cancel) =>
        [.. (await context.Drawer.AsNoTracking().OrderBy(d => d.Position).ToListAsync(cancel))
            .Select(d => new KeptThing(d.Kind, d.Id, d.ToHand, d.Own is null ? null : (JsonObject)JsonNode.Parse(d.Own)!))];

    /// <summary>Puts one in, or in the place of the one with its id.</summary>
    /// <exception cref="InputProblemException">It is not understood.</exception>
    public async Task<IThing> Keep(string kind, JsonObject written, CancellationToken cancel)
    {
        var thing = KindOf(kind).Read(JsonSerializer.SerializeToElement(written), kind);
        await Put(kind, thing.Id, row => row.Own = written.ToJsonString(StrictJson.OnOneLine), cancel);
        return thing;
    }

    /// <summary>Keeps one on the bench, or puts it away.</summary>
    /// <exception cref="InputProblemException">There is no such thing.</exception>
    public async Task Lay(string kind, string id, bool toHand, CancellationToken cancel)
    {
        var known = KindOf(kind);
        if ((await Read(cancel)).All(known).All(t => t.Id != id))
        {
            throw new InputProblemException("drawer.unknown", "id", $"“{id}” is no {known.One} that the drawer knows", string.Join(", ", (await Read(cancel)).All(known).Take(5).Select(t => t.Id)));
        }

        await Put(kind, id, row => row.ToHand = toHand, cancel);
    }

    /// <summary>Takes one of the studio's own out for good; false where there is none of that id.</summary>
    /// <exception cref="InputProblemException">A design is made with it.</exception>
    public async Task<bool> Remove(string kind, string id, CancellationToken cancel)
    {
        var known = KindOf(kind);
        var row = await context.Drawer.FirstOrDefaultAsync(d => d.Kind == kind && d.Id == id && d.Own != null, cancel);
        if (row is null)
        {
            return false;
        }

        // What ships under that id takes its place again. Otherwise undo may lead back to it, so the whole history counts.
        if (Inventory.Shipped.All(known).All(t => t.Id != id))
        {
            var users = await context.Uses.Where(u => u.Kind == kind && u.ThingId == id).Join(context.Designs, u => u.DesignId, d => d.Id, (_, d) => d.Name).ToListAsync(cancel);
            if (users.Count > 0)
            {
                throw new InputProblemException("drawer.inUse", id, $"it is or was used for {string.Join(", ", users.Order(StringComparer.Ordinal))}", "something that no design was made with; it can be put away instead");
            }
        }

        context.Drawer.Remove(row);
        await context.SaveChangesAsync(cancel);
        read.Changed();
        return true;
    }

    private async Task Put(string kind, string id, Action<DrawerRow> change, CancellationToken cancel)
    {
        StudioFile.StillThere(context);
        if (await context.Drawer.FindAsync([kind, id], cancel) is not { } row)
        {
            context.Drawer.Add(row = new DrawerRow { Kind = kind, Id = id, ToHand = true, Position = await context.Drawer.CountAsync(cancel) });
        }

        change(row);
        await context.SaveChangesAsync(cancel);
        read.Changed();
    }

    private static Kind KindOf(string kind) =>
        Inventory.KindOf(kind) ?? throw new InputProblemException("drawer.kind", "kind", $"“{kind}” is no kind of thing", string.Join(", ", Inventory.Kinds.Select(k => k.Id)));
}

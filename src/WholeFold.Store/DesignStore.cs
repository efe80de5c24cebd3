using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Exchange;

namespace WholeFold.Store;

/// <summary>A stored design as it stands, with where undo and redo would go.</summary>
public sealed record StoredDesign(string Id, int Version, DesignSpec State, DateTimeOffset ChangedAt, string? Undo, string? Redo);

/// <summary>A write named a version that is no longer the newest.</summary>
public sealed class StaleWriteException(StoredDesign current) : Exception("The design was changed elsewhere meanwhile.")
{
    public StoredDesign Current { get; } = current;
}

/// <summary>Designs with their whole history. Every write is one transaction, acknowledged once it is on disk.</summary>
public sealed class DesignStore(WholeFoldContext context, TimeProvider clock)
{
    private static readonly JsonSerializerOptions Json = new(SizedJson.Options) { WriteIndented = false };

    public async Task<IReadOnlyList<StoredDesign>> List(CancellationToken cancel)
    {
        // SQLite keeps no order of time offsets, so the few designs are put in order here.
        var rows = await context.Designs.AsNoTracking().ToListAsync(cancel);
        var heads = rows.Select(r => r.HeadId).ToList();
        var entries = await context.History.AsNoTracking().Where(h => heads.Contains(h.Id)).ToDictionaryAsync(h => h.Id, cancel);
        return [.. rows.OrderBy(r => r.CreatedAt).ThenBy(r => r.Id, StringComparer.Ordinal).Select(r => new StoredDesign(r.Id, r.Version, Read(entries[r.HeadId!.Value].State), r.ChangedAt, null, null))];
    }

    public async Task<StoredDesign?> Find(string id, CancellationToken cancel)
    {
        var row = await context.Designs.FirstOrDefaultAsync(d => d.Id == id, cancel);
        return row is null ? null : await Stored(row, cancel);
    }

    public async Task<StoredDesign> Create(string id, DesignSpec state, string gesture, CancellationToken cancel)
    {
        var now = clock.GetUtcNow();
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var row = new DesignRow { Id = id, Name = state.Name, CreatedAt = now, ChangedAt = now };
        context.Designs.Add(row);
        await context.SaveChangesAsync(cancel);
        await Append(row, null, state, gesture, now, cancel);
        await transaction.CommitAsync(cancel);
        return await Stored(row, cancel);
    }

    /// <summary>Adds one gesture after the head. Whatever could have been redone stays in the tree as a branch of its own.</summary>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    public async Task<StoredDesign?> Save(string id, int version, DesignSpec state, string gesture, CancellationToken cancel) =>
        await Change(id, version, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            row.Name = state.Name;
            await Append(row, head, state, gesture, clock.GetUtcNow(), cancel);
        }, cancel);

    /// <summary>Goes back by one gesture, or stays where there is none.</summary>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    public async Task<StoredDesign?> Undo(string id, int version, CancellationToken cancel) =>
        await Change(id, version, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            if (await Entry(head?.ParentId, cancel) is { } parent)
            {
                parent.RedoId = head!.Id;
                MoveTo(row, parent);
            }
        }, cancel);

    /// <summary>Goes forward along the branch that was left last, or stays where there is none.</summary>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    public async Task<StoredDesign?> Redo(string id, int version, CancellationToken cancel) =>
        await Change(id, version, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            if (await Entry(head?.RedoId, cancel) is { } next)
            {
                MoveTo(row, next);
            }
        }, cancel);

    private async Task<StoredDesign?> Change(string id, int version, Func<DesignRow, Task> change, CancellationToken cancel)
    {
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var row = await context.Designs.FirstOrDefaultAsync(d => d.Id == id, cancel);
        if (row is null)
        {
            return null;
        }

        if (row.Version != version)
        {
            throw new StaleWriteException(await Stored(row, cancel));
        }

        await change(row);
        row.Version++;
        row.ChangedAt = clock.GetUtcNow();
        await context.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return await Stored(row, cancel);
    }

    private static void MoveTo(DesignRow row, HistoryRow entry)
    {
        row.HeadId = entry.Id;
        row.Name = Read(entry.State).Name;
    }

    private async Task Append(DesignRow row, HistoryRow? head, DesignSpec state, string gesture, DateTimeOffset at, CancellationToken cancel)
    {
        var entry = new HistoryRow { DesignId = row.Id, ParentId = head?.Id, Gesture = gesture, State = JsonSerializer.Serialize(state, Json), At = at };
        context.History.Add(entry);
        await context.SaveChangesAsync(cancel);
        row.HeadId = entry.Id;
        await context.SaveChangesAsync(cancel);
    }

    private async Task<HistoryRow?> Entry(long? id, CancellationToken cancel) => id is { } i ? await context.History.FindAsync([i], cancel) : null;

    private async Task<StoredDesign> Stored(DesignRow row, CancellationToken cancel)
    {
        var head = (await Entry(row.HeadId, cancel))!;
        var redo = await Entry(head.RedoId, cancel);
        return new StoredDesign(row.Id, row.Version, Read(head.State), row.ChangedAt, head.ParentId is null ? null : head.Gesture, redo?.Gesture);
    }

    private static DesignSpec Read(string state) => JsonSerializer.Deserialize<DesignSpec>(state, Json)!;
}

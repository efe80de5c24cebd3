using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Store;

/// <summary>A stored design as it stands, with where undo and redo would go.</summary>
public sealed record StoredDesign
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required int Version { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    /// <summary>As it lies in the store, whatever it is: its file can always be taken out.</summary>
    public required string Written { get; init; }

    /// <summary>The design; null where it cannot be read.</summary>
    public DesignSpec? State { get; init; }

    /// <summary>What is wrong where it cannot be read.</summary>
    public InputProblemException? Problem { get; init; }

    public string? Undo { get; init; }

    public string? Redo { get; init; }
}

/// <summary>A write named a version that is no longer the newest.</summary>
public sealed class StaleWriteException(StoredDesign current) : Exception("The design was changed elsewhere meanwhile.")
{
    public StoredDesign Current { get; } = current;
}

/// <summary>
/// Designs with their whole history. Every write is one transaction and one save, acknowledged once it is on disk. States of
/// every version that was ever written are read; one that cannot be is told as such and hides none of the others.
/// </summary>
public sealed class DesignStore(WholeFoldContext context, TimeProvider clock)
{
    public async Task<IReadOnlyList<StoredDesign>> List(CancellationToken cancel)
    {
        // SQLite keeps no order of time offsets, so the few designs are put in order here.
        var rows = await context.Designs.AsNoTracking().ToListAsync(cancel);
        var heads = rows.Select(r => r.HeadId).ToList();
        var entries = await context.History.AsNoTracking().Where(h => heads.Contains(h.Id)).ToDictionaryAsync(h => h.Id, cancel);
        return [.. rows.OrderBy(r => r.CreatedAt).ThenBy(r => r.Id, StringComparer.Ordinal).Select(r => Read(r, entries.GetValueOrDefault(r.HeadId ?? 0), null))];
    }

    public async Task<StoredDesign?> Find(string id, CancellationToken cancel)
    {
        var row = await context.Designs.AsNoTracking().FirstOrDefaultAsync(d => d.Id == id, cancel);
        return row is null ? null : await Stored(row, cancel);
    }

    public async Task<StoredDesign> Create(string id, DesignSpec state, string gesture, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(state);
        var now = clock.GetUtcNow();
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var row = new DesignRow { Id = id, Name = state.Name, CreatedAt = now, ChangedAt = now };
        context.Designs.Add(row);
        await Append(row, null, state, [], gesture, now, cancel);
        await context.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return await Stored(row, cancel);
    }

    /// <summary>Adds one gesture after the head. Whatever could have been redone stays in the tree as a branch of its own.</summary>
    /// <param name="change">From the design as it stands to what it becomes, with the edits that do it and what they are called.</param>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    /// <exception cref="InputProblemException">The design cannot be read.</exception>
    public async Task<StoredDesign?> Save(string id, int version, Func<DesignSpec, (DesignSpec State, IReadOnlyList<DesignEdit> Edits, string Gesture)> change, CancellationToken cancel) =>
        await Change(id, version, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            var (state, edits, gesture) = change(DesignFile.Read(head!.State, "design"));
            row.Name = state.Name;
            await Append(row, head, state, edits, gesture, clock.GetUtcNow(), cancel);
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

    /// <summary>Takes a design out of the drawer with all its history; false where there is none.</summary>
    public async Task<bool> Remove(string id, CancellationToken cancel) => await context.Designs.Where(d => d.Id == id).ExecuteDeleteAsync(cancel) > 0;

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
        row.Name = Read(row, entry, null).Name;
    }

    /// <summary>The entry's number is taken here and not by the database, so that the head can name it in the same save; nobody else writes meanwhile.</summary>
    private async Task Append(DesignRow row, HistoryRow? head, DesignSpec state, IReadOnlyList<DesignEdit> edits, string gesture, DateTimeOffset at, CancellationToken cancel)
    {
        var id = (await context.History.MaxAsync(h => (long?)h.Id, cancel) ?? 0) + 1;
        context.History.Add(new HistoryRow
        {
            Id = id,
            DesignId = row.Id,
            ParentId = head?.Id,
            Gesture = gesture,
            State = DesignFile.State(state),
            Edits = edits.Count == 0 ? null : JsonSerializer.Serialize(edits, StrictJson.OnOneLine),
            At = at,
        });
        row.HeadId = id;
    }

    private async Task<HistoryRow?> Entry(long? id, CancellationToken cancel) => id is { } i ? await context.History.FindAsync([i], cancel) : null;

    private async Task<StoredDesign> Stored(DesignRow row, CancellationToken cancel)
    {
        var head = await Entry(row.HeadId, cancel);
        return Read(row, head, await Entry(head?.RedoId, cancel));
    }

    private static StoredDesign Read(DesignRow row, HistoryRow? head, HistoryRow? redo)
    {
        var stored = new StoredDesign
        {
            Id = row.Id,
            Name = row.Name,
            Version = row.Version,
            ChangedAt = row.ChangedAt,
            Written = head?.State ?? "",
            Undo = head?.ParentId is null ? null : head.Gesture,
            Redo = redo?.Gesture,
        };
        try
        {
            var state = DesignFile.Read(stored.Written, "design");
            return stored with { State = state, Name = state.Name.Length > 0 ? state.Name : row.Name };
        }
        catch (InputProblemException e)
        {
            return stored with { Problem = e };
        }
    }
}

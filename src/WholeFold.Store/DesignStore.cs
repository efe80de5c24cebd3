using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Constructions;
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

    /// <summary>As it lies in the store, whatever it is: its file can always be saved.</summary>
    public required string Written { get; init; }

    /// <summary>The design; null where it cannot be read.</summary>
    public DesignSpec? State { get; init; }

    /// <summary>What is wrong where it cannot be read.</summary>
    public InputProblemException? Problem { get; init; }

    public string? Undo { get; init; }

    public string? Redo { get; init; }
}

/// <summary>A design as the drawer lists it, without its state.</summary>
/// <param name="Undo">What undo would take back; null where there is nothing.</param>
/// <param name="Card">What was kept of it for the list; null where it has changed since, or the program or the studio's things have.</param>
public sealed record ListedDesign(string Id, string Name, int Version, DateTimeOffset ChangedAt, string? Undo, string? Card);

/// <summary>A write named a version that is no longer the newest.</summary>
public sealed class StaleWriteException(StoredDesign current) : Exception("The design was changed elsewhere meanwhile.")
{
    public StoredDesign Current { get; } = current;
}

/// <summary>
/// Designs with their whole history. Every write is one transaction, acknowledged once it is on disk. A design's newest state lies with
/// it; of what was before there are the edits, with a state every so many and wherever edits alone would not lead back to it byte for
/// byte. States of every version that was ever written are read; one that cannot be is told as such and hides none of the others.
/// </summary>
public sealed class DesignStore(WholeFoldContext context, TimeProvider clock, Catalogue catalogue, Things things)
{
    /// <summary>After so many changes a whole state is kept, so that no step back goes through more than that.</summary>
    private const int StateEvery = 50;

    /// <summary>This build of the program: another one may read edits otherwise, so that it begins with a whole state.</summary>
    private static readonly string Program = typeof(DesignEdit).Module.ModuleVersionId.ToString("N")[..12];

    /// <summary>What a list's card depends on: its design to the byte, the program, and the studio's things.</summary>
    private string StampOf(string? state) => $"{Program} {Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes($"{state}{things.Stamp}")))}";

    /// <summary>All designs in the order in which they were begun. No state is taken apart for it.</summary>
    public async Task<IReadOnlyList<ListedDesign>> List(CancellationToken cancel)
    {
        await things.Read(cancel);
        var rows = await (from d in context.Designs.AsNoTracking()
                          join h in context.History.AsNoTracking() on d.HeadId equals h.Id into heads
                          from head in heads.DefaultIfEmpty()
                          select new { d.Id, d.Name, d.Version, d.CreatedAt, d.ChangedAt, d.State, d.Card, d.CardFor, Undo = head == null || head.ParentId == null
                              ? null : head.Gesture }).ToListAsync(cancel);

        // SQLite keeps no order of time offsets, so they are put in order here.
        return [.. rows.OrderBy(r => r.CreatedAt).ThenBy(r => r.Id, StringComparer.Ordinal)
            .Select(r => new ListedDesign(r.Id, r.Name, r.Version, r.ChangedAt, r.Undo, r.CardFor == StampOf(r.State) ? r.Card : null))];
    }

    /// <summary>Keeps what the list shows of a design, as long as that is of the version it was made of.</summary>
    public async Task KeepCard(StoredDesign design, string card, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(design);
        await things.Read(cancel);
        var (id, version, stamp) = (design.Id, design.Version, StampOf(design.Written));
        await context.Designs.Where(d => d.Id == id && d.Version == version).ExecuteUpdateAsync(s => s.SetProperty(d => d.Card, card).SetProperty(d => d.CardFor, stamp), cancel);
    }

    public async Task<StoredDesign?> Find(string id, CancellationToken cancel)
    {
        var row = await context.Designs.AsNoTracking().FirstOrDefaultAsync(d => d.Id == id, cancel);
        return row is null ? null : await Stored(row, cancel);
    }

    /// <summary>Begins a design. One that is begun again under its id is the one that is there: whoever lost the answer asks a second time.</summary>
    public async Task<StoredDesign> Create(string id, DesignSpec state, string gesture, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(state);
        StudioFile.StillThere(context);
        if (await Find(id, cancel) is { } there)
        {
            return there;
        }

        var now = clock.GetUtcNow();
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var row = new DesignRow { Id = id, Name = state.Name, CreatedAt = now, ChangedAt = now };
        context.Designs.Add(row);
        await Append(row, null, state, [], gesture, null, now, cancel);
        await transaction.CommitAsync(cancel);
        return await Stored(row, cancel);
    }

    /// <summary>Adds one gesture after the head. Whatever could have been redone stays in the tree as a branch of its own.</summary>
    /// <param name="mark">What the client calls the gesture: one that is stored already is not done a second time. Null where it has no name.</param>
    /// <param name="change">From the design as it stands to what it becomes, with the edits that do it and what they are called.</param>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    /// <exception cref="InputProblemException">The design cannot be read.</exception>
    public async Task<StoredDesign?> Save(string id, int version, string? mark,
        Func<DesignSpec, (DesignSpec State, IReadOnlyList<DesignEdit> Edits, string Gesture)> change, CancellationToken cancel) =>
        await Change(id, version, mark, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            var (state, edits, gesture) = change(DesignFile.Read(row.State ?? "", "design"));
            await Append(row, head, state, edits, gesture, mark, clock.GetUtcNow(), cancel);
        }, cancel);

    /// <summary>Goes back by one gesture, or stays where there is none.</summary>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    public async Task<StoredDesign?> Undo(string id, int version, CancellationToken cancel) =>
        await Change(id, version, null, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            if (await Entry(head?.ParentId, cancel) is { } parent)
            {
                parent.RedoId = head!.Id;
                await MoveTo(row, parent, cancel);
            }
        }, cancel);

    /// <summary>Goes forward along the branch that was left last, or stays where there is none.</summary>
    /// <exception cref="StaleWriteException">The version is not the newest.</exception>
    public async Task<StoredDesign?> Redo(string id, int version, CancellationToken cancel) =>
        await Change(id, version, null, async row =>
        {
            var head = await Entry(row.HeadId, cancel);
            if (await Entry(head?.RedoId, cancel) is { } next)
            {
                await MoveTo(row, next, cancel);
            }
        }, cancel);

    /// <summary>Takes a design out of the drawer with all its history; false where there is none.</summary>
    public async Task<bool> Remove(string id, CancellationToken cancel)
    {
        StudioFile.StillThere(context);
        return await context.Designs.Where(d => d.Id == id).ExecuteDeleteAsync(cancel) > 0;
    }

    private async Task<StoredDesign?> Change(string id, int version, string? mark, Func<DesignRow, Task> change, CancellationToken cancel)
    {
        StudioFile.StillThere(context);
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        var row = await context.Designs.FirstOrDefaultAsync(d => d.Id == id, cancel);
        if (row is null)
        {
            return null;
        }

        if (mark is not null && await context.History.AnyAsync(h => h.DesignId == id && h.Mark == mark, cancel))
        {
            return await Stored(row, cancel);
        }

        if (row.Version != version)
        {
            throw new StaleWriteException(await Stored(row, cancel));
        }

        await change(row);
        row.Version++;
        row.ChangedAt = clock.GetUtcNow();
        (row.Card, row.CardFor) = (null, null);
        await context.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return await Stored(row, cancel);
    }

    private async Task MoveTo(DesignRow row, HistoryRow entry, CancellationToken cancel)
    {
        row.State = await StateOf(entry, cancel);
        row.HeadId = entry.Id;
        row.Name = Read(row, entry, null).Name;
    }

    /// <summary>A state that was: the nearest whole one before it, with the edits since done again.</summary>
    private async Task<string> StateOf(HistoryRow entry, CancellationToken cancel)
    {
        var since = new Stack<HistoryRow>();
        var at = entry;
        while (at.State.Length == 0)
        {
            since.Push(at);
            at = await Entry(at.ParentId, cancel) ?? throw new InvalidOperationException("The history has no state to begin with.");
        }

        if (since.Count == 0)
        {
            return at.State;
        }

        var reader = new DesignReader(catalogue, await things.Read(cancel));
        var state = DesignFile.Read(at.State, "design");
        while (since.TryPop(out var next))
        {
            state = DesignEdit.Apply(JsonSerializer.Deserialize<List<DesignEdit>>(next.Edits!, StrictJson.Options)!, state, reader);
        }

        return DesignFile.State(state);
    }

    private async Task Append(DesignRow row, HistoryRow? head, DesignSpec state, IReadOnlyList<DesignEdit> edits, string gesture, string? mark, DateTimeOffset at, CancellationToken cancel)
    {
        var written = DesignFile.State(state);
        var entry = new HistoryRow
        {
            DesignId = row.Id,
            ParentId = head?.Id,
            Depth = (head?.Depth ?? -1) + 1,
            Gesture = gesture,
            Edits = edits.Count == 0 ? null : JsonSerializer.Serialize(edits, StrictJson.OnOneLine),
            Mark = mark,
            Program = Program,
            At = at,
        };
        if (head is { State.Length: 0 } && head.Program != Program)
        {
            head.State = row.State ?? "";
        }

        var inventory = await things.Read(cancel);
        if (head is null || entry.Edits is null || entry.Depth % StateEvery == 0 || head.Program != Program || !LeadsTo(written, edits, row.State, new DesignReader(catalogue, inventory)))
        {
            entry.State = written;
        }

        context.History.Add(entry);
        await context.SaveChangesAsync(cancel);
        row.HeadId = entry.Id;
        row.State = written;
        row.Name = state.Name;
        var known = await context.Uses.Where(u => u.DesignId == row.Id).Select(u => new { u.Kind, u.ThingId }).ToListAsync(cancel);
        context.Uses.AddRange(DesignUses.Of(state).Where(u => !known.Contains(new { u.Kind, ThingId = u.Id })).Select(u => new UseRow { DesignId = row.Id, Kind = u.Kind, ThingId = u.Id }));
        await context.SaveChangesAsync(cancel);
    }

    /// <summary>Whether the edits alone lead from one state to the next, to the byte.</summary>
    private static bool LeadsTo(string written, IReadOnlyList<DesignEdit> edits, string? before, DesignReader reader)
    {
        try
        {
            return DesignFile.State(DesignEdit.Apply(edits, DesignFile.Read(before ?? "", "design"), reader)) == written;
        }
        catch (InputProblemException)
        {
            return false;
        }
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
            Written = row.State ?? "",
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
        catch (Exception e) when (e is not OperationCanceledException)
        {
            // A damaged state fails in ways that no reader of sound ones meets; it hides none of the others.
            return stored with { Problem = new InputProblemException("design.damaged", "design", $"it is damaged ({e.GetType().Name})", "its last change undone, or its file mended elsewhere") };
        }
    }
}

using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories.Kinds;

namespace WholeFold.Store;

/// <summary>An entry of the stock book that gets fewer or more.</summary>
/// <param name="Name">What it is called, where it has to be said.</param>
/// <param name="Whole">The entry as it is written down, for one that is not there yet; null of one that has to be.</param>
public sealed record BookChange(string Id, string Name, int By, JsonObject? Whole = null);

/// <summary>What was taken from the book, and whether that was undone.</summary>
public sealed record Taking(long Id, DateTimeOffset At, string For, bool Undone);

/// <summary>Takes sheets from the stock book and puts offcuts into it: only when asked, each time as one gesture that can be
/// undone.</summary>
public sealed class StockBook(WholeFoldContext context, ThingsRead read, TimeProvider clock)
{
    private const string Kind = OwnedSheetKind.Book;

    public async Task<IReadOnlyList<Taking>> Takings(int most, CancellationToken cancel) =>
        [.. (await context.Takings.AsNoTracking().OrderByDescending(t => t.Id).Take(most).ToListAsync(cancel)).Select(Of)];

    /// <exception cref="InputProblemException">The book has less than that.</exception>
    public async Task<Taking> Take(string what, IReadOnlyList<BookChange> changes, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(changes);
        StudioFile.StillThere(context);
        await using var transaction = await context.Database.BeginTransactionAsync(cancel);
        changes = await Apply(changes, 1, cancel);
        var row = new TakingRow { At = clock.GetUtcNow(), For = what, Changes = JsonSerializer.Serialize(changes, StrictJson.OnOneLine) };
        context.Takings.Add(row);
        await Done(transaction.CommitAsync, cancel);
        return Of(row);
    }

    /// <summary>Puts back what was taken, or takes it again.</summary>
    /// <exception cref="InputProblemException">There is no such taking, or what came of it was used since.</exception>
    public async Task<Taking> Set(long id, bool undone, CancellationToken cancel)
    {
        StudioFile.StillThere(context);
        var row = await context.Takings.FirstOrDefaultAsync(t => t.Id == id, cancel)
            ?? throw new InputProblemException("book.taking", "id", $"nothing was taken under {id}", "one of the last takings");
        if (row.Undone != undone)
        {
            await using var transaction = await context.Database.BeginTransactionAsync(cancel);
            var changes = await Apply(JsonSerializer.Deserialize<List<BookChange>>(row.Changes, StrictJson.OnOneLine)!, undone ? -1 : 1,
                cancel);
            row.Changes = JsonSerializer.Serialize(changes, StrictJson.OnOneLine);
            row.Undone = undone;
            await Done(transaction.CommitAsync, cancel);
        }

        return Of(row);
    }

    private async Task Done(Func<CancellationToken, Task> commit, CancellationToken cancel)
    {
        await context.SaveChangesAsync(cancel);
        await commit(cancel);
        read.Changed();
    }

    /// <returns>The same, with each entry that went out as it was written: it comes back like that.</returns>
    private async Task<IReadOnlyList<BookChange>> Apply(IReadOnlyList<BookChange> changes, int sign, CancellationToken cancel)
    {
        var done = new List<BookChange>();
        foreach (var change in changes)
        {
            var row = await context.Drawer.FindAsync([Kind, change.Id], cancel);
            var written = row?.Own is null ? change.Whole?.DeepClone().AsObject() : JsonNode.Parse(row.Own)!.AsObject();
            var had = row?.Own is null ? 0 : (int)written!["count"]!;
            var now = had + (sign * change.By);
            if (written is null || now < 0)
            {
                throw new InputProblemException("book.short", change.Id,
                    $"the stock book has {had} of {change.Name} by now, and that takes {-sign * change.By}",
                    "what is there; change the number in the stock book first");
            }

            if (now == 0 && change.Whole is not null)
            {
                // An offcut that nobody has any more is no entry.
                done.Add(change with { Whole = written });
                if (row is not null)
                {
                    context.Drawer.Remove(row);
                }

                continue;
            }

            written["count"] = now;
            if (row is null)
            {
                context.Drawer.Add(row = new DrawerRow { Kind = Kind, Id = change.Id, ToHand = true,
                    Position = await context.Drawer.CountAsync(cancel) });
            }

            row.Own = written.ToJsonString(StrictJson.OnOneLine);
            done.Add(change);
        }

        return done;
    }

    private static Taking Of(TakingRow row) => new(row.Id, row.At, row.For, row.Undone);
}

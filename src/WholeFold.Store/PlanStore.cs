using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Input;

namespace WholeFold.Store;

/// <summary>A plan that was kept.</summary>
/// <param name="From">What it was made from, each thing by its name: "format" → "A2 US".</param>
/// <param name="Shown">What was shown, as JSON.</param>
public sealed record KeptPlan(long Id, string Key, DateTimeOffset At, IReadOnlyDictionary<string, string> From, string Shown);

/// <summary>Every plan of a design is kept with what it was made from; of very many the last ones.</summary>
public sealed class PlanStore(WholeFoldContext context, TimeProvider clock)
{
    private const int MostOfADesign = 20;

    /// <summary>The last first.</summary>
    public async Task<IReadOnlyList<KeptPlan>> Of(string design, CancellationToken cancel) =>
        [.. (await context.Plans.AsNoTracking().Where(p => p.DesignId == design).OrderByDescending(p =>
            p.Id).ToListAsync(cancel)).Select(Read)];

    public async Task<KeptPlan?> Find(string design, long id, CancellationToken cancel) =>
        await context.Plans.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id && p.DesignId == design, cancel) is { } row ? Read(row)
            : null;

    /// <summary>Keeps one, unless its design is not there.</summary>
    /// <param name="inPlace">Whether it takes the place of one that was kept of the same things: a search that was stopped leaves
    /// another plan than one that was not.</param>
    /// <returns>Under which number; null where it is not kept.</returns>
    public async Task<long?> Keep(string design, string key, IReadOnlyDictionary<string, string> from, string shown, bool inPlace,
        CancellationToken cancel)
    {
        StudioFile.StillThere(context);
        if (!await context.Designs.AnyAsync(d => d.Id == design, cancel))
        {
            return null;
        }

        var row = await context.Plans.FirstOrDefaultAsync(p => p.DesignId == design && p.Key == key, cancel);
        if (row is not null && (!inPlace || row.Shown == shown))
        {
            return row.Id;
        }

        if (row is null)
        {
            context.Plans.Add(row = new PlanRow
            {
                DesignId = design, Key = key, At = clock.GetUtcNow(), From = JsonSerializer.Serialize(from, StrictJson.OnOneLine),
                Shown = shown,
            });
        }

        row.Shown = shown;
        try
        {
            await context.SaveChangesAsync(cancel);
        }
        catch (DbUpdateException)
        {
            // Another window has kept the same plan in this moment.
            context.ChangeTracker.Clear();
            return (await context.Plans.AsNoTracking().FirstOrDefaultAsync(p => p.DesignId == design && p.Key == key, cancel))?.Id;
        }

        var ids = await context.Plans.Where(p => p.DesignId == design).OrderByDescending(p => p.Id).Select(p =>
            p.Id).Skip(MostOfADesign).ToListAsync(cancel);
        await context.Plans.Where(p => ids.Contains(p.Id)).ExecuteDeleteAsync(cancel);
        return row.Id;
    }

    private static KeptPlan Read(PlanRow row) =>
        new(row.Id, row.Key, row.At, JsonSerializer.Deserialize<Dictionary<string, string>>(row.From, StrictJson.OnOneLine)!, row.Shown);
}

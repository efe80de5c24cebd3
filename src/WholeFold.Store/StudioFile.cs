using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;

namespace WholeFold.Store;

/// <summary>The studio's data cannot be used; the message says why, as a sentence to be read by a person.</summary>
public sealed class StudioUnusableException(string message, Exception? inner = null) : Exception(message, inner);

/// <summary>The data file went away while it was in use.</summary>
public sealed class StudioGoneException(string file) : Exception($"{file} was deleted or moved while Whole Fold was open. Put it back where it was, or close Whole Fold and start it again; what is open here is kept until this window is closed.");

/// <summary>Where the studio's data lie, and how the file is made ready.</summary>
public static class StudioFile
{
    public const string Name = "studio.db";

    /// <summary>How long another start is waited for.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(30);

    /// <summary>Writes are on disk before they are acknowledged; readers never wait for a writer.</summary>
    public static string ConnectionString(string folder) =>
        new SqliteConnectionStringBuilder { DataSource = Path.Combine(folder, Name), ForeignKeys = true, Pooling = true, DefaultTimeout = 10 }.ToString();

    /// <summary>A file that was deleted takes writes as long as it is held open, and all of them are gone with it: none is acknowledged.</summary>
    /// <exception cref="StudioGoneException">It is not where it was.</exception>
    internal static void StillThere(WholeFoldContext context)
    {
        var file = new SqliteConnectionStringBuilder(context.Database.GetConnectionString()).DataSource;
        if (!File.Exists(file))
        {
            throw new StudioGoneException(file);
        }
    }

    /// <summary>
    /// Brings the file up to the newest shape, keeping a copy of it before each change of shape.
    /// One process does this at a time; a start that was killed leaves a lock row behind, which is dropped first.
    /// </summary>
    /// <exception cref="StudioUnusableException">The file is no data file, or of a newer version, or cannot be read or written.</exception>
    public static async Task Prepare(WholeFoldContext context, string folder, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(context);
        var file = Path.Combine(folder, Name);
        try
        {
            Directory.CreateDirectory(folder);
            await using var oneAtATime = await Lock(Path.Combine(folder, "prepare.lock"), cancel);
            var existed = File.Exists(file);
            if (existed)
            {
                await RefuseNewer(context, file, cancel);
            }

            await context.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL;", cancel);
            await context.Database.ExecuteSqlRawAsync("DROP TABLE IF EXISTS \"__EFMigrationsLock\";", cancel);
            var pending = (await context.Database.GetPendingMigrationsAsync(cancel)).ToList();
            if (pending.Count == 0)
            {
                return;
            }

            if (existed)
            {
                var copy = Path.Combine(folder, $"studio-before-{pending[0]}.db");
                File.Delete(copy);
                await context.Database.ExecuteSqlAsync($"VACUUM INTO {copy}", cancel);
            }

            await context.Database.MigrateAsync(cancel);
            if (pending.Any(m => m.EndsWith("_EditsAsHistory", StringComparison.Ordinal)))
            {
                await FillUses(context, cancel);
            }
        }
        catch (SqliteException e)
        {
            throw new StudioUnusableException(
                e.SqliteErrorCode switch
                {
                    NotADatabase or Corrupt => $"{file} is no data file of Whole Fold, or it is damaged: put it aside, or name another folder with --data.",
                    Full => $"There is no room left to write {file}.",
                    _ => $"{file} cannot be read and written ({(e.SqliteErrorCode is ReadOnly or CannotOpen or NoAccess ? "there is no right to" : "another program may hold it")}).",
                },
                e);
        }
        catch (Exception e) when (e is UnauthorizedAccessException or IOException)
        {
            throw new StudioUnusableException($"The data cannot be kept in {folder}: there is no right to write there, or it is no folder.", e);
        }
    }

    /// <summary>Which things designs were made with, of a history from before that was written down: every state of it is whole.</summary>
    private static async Task FillUses(WholeFoldContext context, CancellationToken cancel)
    {
        var uses = new HashSet<(string Design, string Kind, string Id)>();
        await foreach (var entry in context.History.AsNoTracking().Where(h => h.State != "").Select(h => new { h.DesignId, h.State }).AsAsyncEnumerable().WithCancellation(cancel))
        {
            try
            {
                uses.UnionWith(DesignUses.Of(DesignFile.Read(entry.State, "design")).Select(u => (entry.DesignId, u.Kind, u.Id)));
            }
            catch (Exception e) when (e is not OperationCanceledException)
            {
                // One that cannot be read cannot be gone back to either.
            }
        }

        context.Uses.AddRange(uses.Select(u => new UseRow { DesignId = u.Design, Kind = u.Kind, ThingId = u.Id }));
        await context.SaveChangesAsync(cancel);
        context.ChangeTracker.Clear();
    }

    // SQLite's own result codes.
    private const int NoAccess = 3, ReadOnly = 8, Corrupt = 11, Full = 13, CannotOpen = 14, NotADatabase = 26;

    /// <summary>What a newer version has written is looked at only, so that nothing of it is lost.</summary>
    private static async Task RefuseNewer(WholeFoldContext context, string file, CancellationToken cancel)
    {
        var known = context.Database.GetMigrations().ToHashSet();
        await using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = file, Mode = SqliteOpenMode.ReadOnly, Pooling = false }.ToString());
        await connection.OpenAsync(cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = "SELECT count(*) FROM sqlite_master WHERE name = '__EFMigrationsHistory'";
        if (Convert.ToInt64(await command.ExecuteScalarAsync(cancel), System.Globalization.CultureInfo.InvariantCulture) == 0)
        {
            return;
        }

        command.CommandText = "SELECT MigrationId FROM __EFMigrationsHistory";
        await using var rows = await command.ExecuteReaderAsync(cancel);
        while (await rows.ReadAsync(cancel))
        {
            if (!known.Contains(rows.GetString(0)))
            {
                throw new StudioUnusableException($"{file} was written by a newer Whole Fold, so it was left as it is: start that one, or name another folder with --data.");
            }
        }
    }

    private static async Task<FileStream> Lock(string path, CancellationToken cancel)
    {
        for (var began = DateTime.UtcNow; ; await Task.Delay(50, cancel))
        {
            try
            {
                return new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None, 1, FileOptions.DeleteOnClose);
            }
            catch (IOException) when (DateTime.UtcNow - began < Patience)
            {
            }
        }
    }
}

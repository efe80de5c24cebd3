using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace WholeFold.Store;

/// <summary>Where the studio's data lie, and how the file is made ready.</summary>
public static class StudioFile
{
    public const string Name = "studio.db";

    /// <summary>Writes are on disk before they are acknowledged; readers never wait for a writer.</summary>
    public static string ConnectionString(string folder) =>
        new SqliteConnectionStringBuilder { DataSource = Path.Combine(folder, Name), ForeignKeys = true, Pooling = true, DefaultTimeout = 10 }.ToString();

    /// <summary>
    /// Brings the file up to the newest shape, keeping a copy of it before each change of shape.
    /// One process does this at a time; a start that was killed leaves a lock row behind, which is dropped first.
    /// </summary>
    public static async Task Prepare(WholeFoldContext context, string folder, CancellationToken cancel)
    {
        Directory.CreateDirectory(folder);
        await using var oneAtATime = await Lock(Path.Combine(folder, "prepare.lock"), cancel);
        var file = Path.Combine(folder, Name);
        var existed = File.Exists(file);
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
    }

    private static async Task<FileStream> Lock(string path, CancellationToken cancel)
    {
        while (true)
        {
            try
            {
                return new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None, 1, FileOptions.DeleteOnClose);
            }
            catch (IOException)
            {
                await Task.Delay(50, cancel);
            }
        }
    }
}

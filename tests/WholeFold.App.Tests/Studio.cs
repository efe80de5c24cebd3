using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Data.Sqlite;
using Xunit;

[assembly: AssemblyFixture(typeof(WholeFold.App.Tests.SharedStudio))]

namespace WholeFold.App.Tests;

/// <summary>The real host over a real data file in a folder of its own.</summary>
public sealed class Studio : WebApplicationFactory<Program>
{
    private static readonly Lazy<byte[]> DemoFile = new(FillOnce);

    private readonly bool _ownsFolder;

    /// <param name="demo">Begins with the demo studio; else with nothing.</param>
    /// <param name="folder">Where its data lie, or will; a folder of its own where none is given.</param>
    public Studio(bool demo = true, string? folder = null)
    {
        _ownsFolder = folder is null;
        Folder = folder ?? Directory.CreateTempSubdirectory("wholefold-").FullName;
        if (demo && !File.Exists(Path.Combine(Folder, "studio.db")))
        {
            LayDemo(Folder);
        }
    }

    public string Folder { get; }

    /// <summary>Lays the demo studio's data into a folder.</summary>
    public static void LayDemo(string folder) => File.WriteAllBytes(Path.Combine(folder, "studio.db"), DemoFile.Value);

    /// <summary>Whether the host fills the demo studio itself, as <c>wholefold demo</c> does at its first start.</summary>
    private bool Fills { get; init; }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("Studio:Folder", Folder);
        builder.UseSetting("Studio:Demo", Fills.ToString());
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && _ownsFolder && Directory.Exists(Folder))
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(Folder, recursive: true);
        }
    }

    /// <summary>The demo studio's data file, filled once and copied from then on: filling it is most of what a test would wait for.</summary>
    private static byte[] FillOnce()
    {
        var folder = Directory.CreateTempSubdirectory("wholefold-demo-").FullName;
        try
        {
            using (var filling = new Studio(demo: false, folder) { Fills = true })
            using (var client = filling.CreateClient())
            {
                Task.Run(() => client.GetAsync("/api/designs")).GetAwaiter().GetResult().EnsureSuccessStatusCode();
            }

            var copy = Path.Combine(folder, "copy.db");
            using (var connection = new SqliteConnection($"Data Source={Path.Combine(folder, "studio.db")}"))
            {
                connection.Open();
                using var command = connection.CreateCommand();
                command.CommandText = $"VACUUM INTO '{copy}'";
                command.ExecuteNonQuery();
            }

            return File.ReadAllBytes(copy);
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }
}

/// <summary>A demo studio for all tests that only ask: none of them may write to what was there before it.</summary>
public sealed class SharedStudio : IDisposable
{
    private readonly Studio _studio = new();

    public HttpClient Client() => _studio.CreateClient();

    public void Dispose() => _studio.Dispose();
}

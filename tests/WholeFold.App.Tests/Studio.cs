using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace WholeFold.App.Tests;

/// <summary>The real host over a real data file in a folder of its own.</summary>
public sealed class Studio : WebApplicationFactory<Program>
{
    private readonly bool _ownsFolder;
    private readonly bool _demo;

    public Studio(bool demo = true, string? folder = null)
    {
        _demo = demo;
        _ownsFolder = folder is null;
        Folder = folder ?? Directory.CreateTempSubdirectory("wholefold-").FullName;
    }

    public string Folder { get; }

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("Studio:Folder", Folder);
        builder.UseSetting("Studio:Demo", _demo.ToString());
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && _ownsFolder && Directory.Exists(Folder))
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            Directory.Delete(Folder, recursive: true);
        }
    }
}

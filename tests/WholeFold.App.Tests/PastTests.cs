using System.Net;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using WholeFold.App.Cli;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Designs;
using WholeFold.App.Features.Inventory;
using WholeFold.Core.Designs;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>Data files of the past, of the future, and broken ones.</summary>
public sealed class PastTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("wholefold-past-").FullName;

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private string Data => Path.Combine(_folder, "studio.db");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        for (var tries = 0; Directory.Exists(_folder); tries++)
        {
            try
            {
                Directory.Delete(_folder, recursive: true);
            }
            catch (IOException) when (tries < 50)
            {
                // A start that was refused its port may be closing its file still.
                Thread.Sleep(100);
            }
        }
    }

    [Fact]
    public async Task A_file_of_the_first_version_is_brought_up_and_a_copy_of_it_is_kept()
    {
        File.Copy(Path.Combine(AppContext.BaseDirectory, "Files", "studio-of-the-first-version.db"), Data);
        using var studio = new Studio(demo: false, _folder);
        var client = studio.CreateClient();
        var design = await client.Design("night-ferry");
        Assert.Equal((2, "5x7", "window-board", "1 in", "card-216"), (design.State.WholeFold, design.State.Target, design.State.Tools, design.State.Set["depth"].Value, design.State.PieceStocks["tier1"]));
        var view = await client.Bench(design.State);
        Assert.Equal(("Board by the window", 10160L), (view.Tools, view.Parameters.Single(p => p.Id == "depth").Value.Units));
        var back = await client.Step(design, "undo");
        Assert.Null(back.State.Target);
        Assert.Equal("5x7", (await client.Step(back, "redo")).State.Target);
        Assert.Contains((await Http.Read<InventoryView>(await client.GetAsync("/api/inventory", Cancel))).Kinds.Single(k => k.Id == "tools").Things, t => t is { Id: "window-board", Own: true });
        Assert.Equal(2L, await Ask(Assert.Single(Directory.GetFiles(_folder, "studio-before-*.db")), "SELECT COUNT(*) FROM history WHERE State LIKE '%\"wholeFold\":1%' AND DesignId = 'night-ferry'"));
    }

    [Fact]
    public async Task A_state_that_cannot_be_read_is_shown_as_such_and_hides_none_of_the_others()
    {
        using var studio = new Studio(folder: _folder);
        var client = studio.CreateClient();
        var all = (await Http.Read<List<DesignCard>>(await client.GetAsync("/api/designs", Cancel))).Count;
        const string Broken = """{"wholeFold": 2, "construction": "a-construction-of-tomorrow", "format": "5x7", "name": "Tandem", "colour": "red"}""";
        await Ask(Data, $"UPDATE designs SET State = '{Broken}' WHERE Id = 'tandem'");
        await Ask(Data, """UPDATE designs SET State = '{"wholeFold": 2, "construction": "gatefold", "format": "5x7", "stock": "gone", "name": "Kettle song"}' WHERE Id = 'kettle-song'""");
        var cards = await Http.Read<List<DesignCard>>(await client.GetAsync("/api/designs", Cancel));
        Assert.Equal(all, cards.Count);
        Assert.Equal(["kettle-song", "tandem"], cards.Where(c => c.Problem is not null).Select(c => c.Id).Order());
        Assert.Contains("colour", cards.Single(c => c.Id == "tandem").Problem, StringComparison.Ordinal);
        Assert.Contains("gone", cards.Single(c => c.Id == "kettle-song").Problem, StringComparison.Ordinal);
        Assert.Equal(Broken, await client.GetStringAsync("/api/designs/tandem/file", Cancel));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await client.GetAsync("/api/designs/tandem", Cancel)).StatusCode);

        // What names something that is gone can be mended by an edit.
        var kettle = await client.Saved(await client.Design("kettle-song"), new Take("stock", "card-216"));
        Assert.Null((await client.Bench(kettle.State)).Stuck);
        Assert.Equal(HttpStatusCode.NoContent, (await client.DeleteAsync("/api/designs/tandem", Cancel)).StatusCode);
        Assert.DoesNotContain(await Http.Read<List<DesignCard>>(await client.GetAsync("/api/designs", Cancel)), c => c.Id == "tandem");
    }

    [Fact]
    public async Task Each_gesture_is_one_save_and_keeps_its_edits()
    {
        using var studio = new Studio(folder: _folder);
        var client = studio.CreateClient();
        var design = await client.Design("tandem");
        await client.Saved(design, new ConvertTo("a6-us"), new Take("tools", "machine"));
        Assert.Equal(2L, await Ask(Data, "SELECT COUNT(*) FROM history WHERE DesignId = 'tandem'"));
        using var edits = JsonDocument.Parse((string)(await Ask(Data, "SELECT Edits FROM history WHERE DesignId = 'tandem' ORDER BY Id DESC LIMIT 1"))!);
        Assert.Equal(["convert", "take"], edits.RootElement.EnumerateArray().Select(e => e.GetProperty("edit").GetString()));
    }

    [Fact]
    public async Task A_file_of_a_newer_version_is_never_written()
    {
        using (var studio = new Studio(folder: _folder))
        {
            await studio.CreateClient().Design("tandem");
        }

        await Ask(Data, "INSERT INTO __EFMigrationsHistory VALUES ('20991231000000_Tomorrow', '99.0.0')");
        SqliteConnection.ClearAllPools();
        var was = await File.ReadAllBytesAsync(Data, Cancel);
        var (exit, said) = Start("--data", _folder);
        Assert.Equal(2, exit);
        Assert.Contains("newer", said, StringComparison.Ordinal);
        Assert.Equal(was, await File.ReadAllBytesAsync(Data, Cancel));
    }

    [Fact]
    public async Task A_start_that_fails_says_why_in_one_sentence()
    {
        await File.WriteAllTextAsync(Data, "no data file at all, but long enough to be taken for one, " + new string('x', 2000), Cancel);
        var (exit, said) = Start("--data", _folder);
        Assert.Equal(2, exit);
        Assert.Contains("is no data file of Whole Fold", said, StringComparison.Ordinal);
        var (noFolder, no) = Start("--data", Data);
        Assert.Equal(2, noFolder);
        Assert.Contains("it is no folder", no, StringComparison.Ordinal);
        using var listener = new System.Net.Sockets.TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        var (taken, port) = Start("--data", Path.Combine(_folder, "empty"), "--port", ((IPEndPoint)listener.LocalEndpoint).Port.ToString(System.Globalization.CultureInfo.InvariantCulture));
        Assert.Equal(2, taken);
        Assert.Contains("port", port, StringComparison.Ordinal);
        Assert.All(new[] { said, no, port }, s => Assert.Single(s.Trim().Split('\n')));
    }

    private static (int Exit, string Said) Start(params string[] args)
    {
        using var output = new StringWriter();
        using var error = new StringWriter();
        return (CommandLine.Run(["serve", .. args], output, error), error.ToString());
    }

    private static async Task<object?> Ask(string file, string sql)
    {
        await using var connection = new SqliteConnection($"Data Source={file}");
        await connection.OpenAsync(Cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        return await command.ExecuteScalarAsync(Cancel);
    }
}

using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using Microsoft.Data.Sqlite;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>
/// History is kept as what was done, and leads back to every state byte for byte; nothing happens twice, and nothing into nothing.
/// </summary>
public sealed class HistoryTests : IDisposable
{
    private readonly Studio _studio = new();
    private readonly HttpClient _client;

    public HistoryTests() => _client = _studio.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _studio.Dispose();

    private async Task<long> Ask(string sql)
    {
        await using var connection = new SqliteConnection($"Data Source={Path.Combine(_studio.Folder, "studio.db")};Mode=ReadOnly");
        await connection.OpenAsync(Cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        return Convert.ToInt64(await command.ExecuteScalarAsync(Cancel), System.Globalization.CultureInfo.InvariantCulture);
    }

    [Fact]
    public async Task Every_state_of_a_hundred_and_twenty_is_gone_back_to_and_forward_to_as_it_was()
    {
        var design = await _client.Design("tandem");
        var states = new List<string> { DesignFile.State(design.State) };
        string[] formats = ["5x7", "a2-us", "6x6", "a6-iso"];
        for (var n = 0; n < 120; n++)
        {
            design = await _client.Saved(design, n % 3 == 0 ? new ConvertTo(formats[n / 3 % 4]) : n % 3 == 1 ? new Take("name", $"  Tandem {n} ") : new Prefer("one-stop", n % 2 == 0));
            states.Add(DesignFile.State(design.State));
        }

        // A whole state every fifty, and where a name lost the spaces that an edit alone would bring back.
        Assert.InRange(await Ask("SELECT COUNT(*) FROM history WHERE DesignId = 'tandem' AND State <> ''"), 3, 45);
        for (var n = states.Count - 2; n >= 0; n--)
        {
            design = await _client.Step(design, "undo");
            Assert.Equal(states[n], DesignFile.State(design.State));
        }

        Assert.Null(design.Undo);
        for (var n = 1; n < states.Count; n++)
        {
            design = await _client.Step(design, "redo");
            Assert.Equal(states[n], DesignFile.State(design.State));
        }

        // Another branch leaves the first one where it was.
        for (var n = 0; n < 60; n++)
        {
            design = await _client.Step(design, "undo");
        }

        await _client.Saved(design, new Take("name", "Another way"));
        Assert.Equal(122, await Ask("SELECT COUNT(*) FROM history WHERE DesignId = 'tandem'"));
    }

    [Fact]
    public async Task A_change_that_is_sent_again_is_done_once()
    {
        var design = await _client.Design("tandem");
        async Task<DesignView> Send() => await Http.Read<DesignView>(await _client.PutAsJsonAsync("/api/designs/tandem",
            new SaveDesign { Version = design.Version, Mark = "one", Edits = [new ConvertTo("5x7")] }, StrictJson.Options, Cancel));
        var (once, again) = (await Send(), await Send());
        Assert.Equal((once.Version, DesignFile.State(once.State)), (again.Version, DesignFile.State(again.State)));
        Assert.Equal(2, await Ask("SELECT COUNT(*) FROM history WHERE DesignId = 'tandem'"));

        var begun = new NewDesign(once.State with { Name = "Twice asked" }, "asked-twice");
        for (var n = 0; n < 2; n++)
        {
            Assert.Equal("asked-twice", (await Http.Read<DesignView>(await _client.PostAsJsonAsync("/api/designs", begun, StrictJson.Options, Cancel))).Id);
        }

        Assert.Equal(1, await Ask("SELECT COUNT(*) FROM designs WHERE Name = 'Twice asked'"));
        Assert.Equal(HttpStatusCode.BadRequest, (await _client.PostAsJsonAsync("/api/designs", begun with { Id = "../up" }, StrictJson.Options, Cancel)).StatusCode);
    }

    [Fact]
    public async Task What_a_design_is_or_was_made_with_is_written_down()
    {
        (await _client.PutAsJsonAsync("/api/inventory/stocks", new StockSpec { Id = "moss", Name = "Moss", Caliper = "0.6mm" }, StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
        var design = await _client.Saved(await _client.Design("tandem"), new CutFrom("base", "moss"));
        await _client.Step(design, "undo");
        Assert.Equal(1, await Ask("SELECT COUNT(*) FROM uses WHERE Kind = 'stocks' AND ThingId = 'moss' AND DesignId = 'tandem'"));
        Assert.Equal(HttpStatusCode.BadRequest, (await _client.DeleteAsync("/api/inventory/stocks/moss", Cancel)).StatusCode);

        // A name that happens to be the thing's id uses nothing.
        (await _client.PutAsJsonAsync("/api/inventory/stocks", new StockSpec { Id = "fern", Name = "Fern", Caliper = "0.3mm" }, StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
        await _client.Saved(await _client.Design("tandem"), new Take("name", "fern"));
        Assert.Equal(HttpStatusCode.NoContent, (await _client.DeleteAsync("/api/inventory/stocks/fern", Cancel)).StatusCode);
    }

    /// <summary>
    /// Wherever a state is broken off or what stands in its place: it is told at that design, hides no other, and the last change is undone.
    /// </summary>
    [Theory]
    [InlineData("")]
    [InlineData("{")]
    [InlineData("null")]
    [InlineData("[]")]
    [InlineData("{\"wholeFold\": 2, \"construction\": \"gatefold\"")]
    [InlineData("{\"wholeFold\": \"two\"}")]
    [InlineData("{\"wholeFold\": 2, \"name\": \"\\ud800\", \"construction\": \"gatefold\", \"format\": \"5x7\"}")]
    [InlineData("{\"wholeFold\": 2, \"name\": \"x\", \"construction\": \"own-x\", \"format\": \"5x7\", \"made\": {\"id\": \"own-x\"}}")]
    public async Task A_damaged_design_hides_no_other_and_goes_back_to_what_it_was(string damaged)
    {
        var design = await _client.Saved(await _client.Design("tandem"), new ConvertTo("5x7"));
        await using (var connection = new SqliteConnection($"Data Source={Path.Combine(_studio.Folder, "studio.db")}"))
        {
            await connection.OpenAsync(Cancel);
            await using var command = connection.CreateCommand();
            command.CommandText = "UPDATE designs SET State = $state WHERE Id = 'tandem'";
            command.Parameters.AddWithValue("$state", damaged);
            await command.ExecuteNonQueryAsync(Cancel);
        }

        var cards = await Http.Read<List<DesignCard>>(await _client.GetAsync("/api/designs", Cancel));
        var broken = Assert.Single(cards, c => c.Problem is not null);
        Assert.Equal(("tandem", design.Version, "to 5 × 7"), (broken.Id, broken.Version, broken.Undo));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, (await _client.GetAsync("/api/designs/tandem", Cancel)).StatusCode);
        Assert.Equal(damaged, await _client.GetStringAsync("/api/designs/tandem/file", Cancel));
        Assert.Null((await _client.Step(design, "undo")).State.Target);
        Assert.All(await Http.Read<List<DesignCard>>(await _client.GetAsync("/api/designs", Cancel)), c => Assert.Null(c.Problem));
    }

    [Fact]
    public async Task A_file_that_was_deleted_takes_no_change()
    {
        var design = await _client.Design("tandem");
        foreach (var file in Directory.GetFiles(_studio.Folder, "studio.db*"))
        {
            File.Delete(file);
        }

        var answer = await _client.Save(design, new ConvertTo("5x7"));
        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
        Assert.Equal("studio.gone", (await answer.Problem()).GetProperty("code").GetString());
    }

    [Fact]
    public async Task Many_designs_are_listed_without_being_worked_out_again()
    {
        var spec = (await _client.Design("tandem")).State;
        for (var n = 0; n < 60; n++)
        {
            (await _client.PostAsJsonAsync("/api/designs", new NewDesign(spec with { Name = $"Card {n}" }), StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
        }

        var first = await _client.GetStringAsync("/api/designs", Cancel);
        Assert.Equal(0, await Ask("SELECT COUNT(*) FROM designs WHERE Card IS NULL"));
        Assert.Equal(first, await _client.GetStringAsync("/api/designs", Cancel));
        var changed = await _client.Saved(await _client.Design("tandem"), new ConvertTo("5x7"));
        Assert.Equal(1, await Ask("SELECT COUNT(*) FROM designs WHERE Card IS NULL"));
        var listed = (await Http.Read<List<DesignCard>>(await _client.GetAsync("/api/designs", Cancel))).Single(c => c.Id == "tandem");
        Assert.Equal((changed.Version, changed.Undo, true), (listed.Version, listed.Undo, listed.Latest));
    }
}

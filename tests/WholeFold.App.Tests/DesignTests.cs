using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using WholeFold.App.Features.Designs;
using WholeFold.App.Features.Inventory;
using WholeFold.App.Features.Show;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.App.Tests;

public sealed class DesignTests : IDisposable
{
    private readonly Studio _studio = new();
    private readonly HttpClient _client;

    public DesignTests() => _client = _studio.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _studio.Dispose();

    [Fact]
    public async Task The_demo_studio_opens_with_a_design_half_converted()
    {
        var cards = await Http.Read<List<DesignCard>>(await _client.GetAsync("/api/designs", Cancel));
        Assert.InRange(cards.Count, 6, 10);
        var latest = Assert.Single(cards, c => c.Latest);
        var design = await _client.Design(latest.Id);
        Assert.Equal("5x5", design.State.Format);
        Assert.NotNull(design.State.Target);
        foreach (var card in cards)
        {
            var view = await _client.Bench((await _client.Design(card.Id)).State);
            Assert.Null(view.Stuck);
        }
    }

    [Fact]
    public async Task A_design_without_a_size_is_begun_in_the_last_one_used()
    {
        var cards = await Http.Read<List<DesignCard>>(await _client.GetAsync("/api/designs", Cancel));
        var last = (await _client.Design(cards.Single(c => c.Latest).Id)).State;
        var asked = new { state = new { name = "Kite", construction = "plain-fold", format = "" } };
        var begun = await Http.Read<DesignView>(await _client.PostAsJsonAsync("/api/designs", asked, Cancel));
        Assert.Equal(last.Target ?? last.Format, begun.State.Format);
        Assert.Equal(last.Target is null ? last.Turn : last.TargetTurn, begun.State.Turn);
        Assert.Null((await _client.Bench(begun.State)).Stuck);
    }

    [Fact]
    public async Task What_is_stored_are_parameters_and_never_figures()
    {
        // The first answer comes once the file is ready.
        await _client.Design("tandem");
        await using var connection = new SqliteConnection($"Data Source={Path.Combine(_studio.Folder, "studio.db")};Mode=ReadOnly");
        await connection.OpenAsync(Cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = "SELECT State FROM designs UNION ALL SELECT State FROM history WHERE State <> ''";
        await using var reader = await command.ExecuteReaderAsync(Cancel);
        var states = 0;
        while (await reader.ReadAsync(Cancel))
        {
            states++;
            using var state = JsonDocument.Parse(reader.GetString(0));
            Assert.DoesNotContain(state.RootElement.EnumerateObject(), p => p.Name is "pieces" or "scores" or "layers" or "closed");
        }

        Assert.True(states > 6);
    }

    [Fact]
    public async Task Undo_and_redo_go_through_the_whole_history_and_survive_a_restart()
    {
        var design = await _client.Design("market-lanterns");
        var start = design.State;
        var first = await _client.Saved(design, new ConvertTo("5x7"));
        var second = await _client.Saved(first, new Take("tools", "machine"));
        Assert.Equal("Cutting machine", second.Undo);
        var back = await _client.Step(second, "undo");
        Assert.Equal(Text(first.State), Text(back.State));
        Assert.Equal("Cutting machine", back.Redo);

        using (var again = new Studio(folder: _studio.Folder))
        {
            var client = again.CreateClient();
            var restored = await client.Design("market-lanterns");
            Assert.Equal(Text(first.State), Text(restored.State));
            var forward = await client.Step(restored, "redo");
            Assert.Equal(Text(second.State), Text(forward.State));
            var all = await client.Step(await client.Step(forward, "undo"), "undo");
            Assert.Equal(Text(start), Text(all.State));
            Assert.Null(all.Undo);
            Assert.Equal(Text(start), Text((await client.Step(all, "undo")).State));
        }
    }

    [Fact]
    public async Task Editing_after_undo_grows_a_branch_and_loses_nothing()
    {
        var design = await _client.Design("tandem");
        var one = await _client.Saved(design, new ConvertTo("5x7"));
        var back = await _client.Step(one, "undo");
        var other = await _client.Saved(back, new ConvertTo("a2-us"));
        Assert.Null(other.Redo);
        await using var connection = new SqliteConnection($"Data Source={Path.Combine(_studio.Folder, "studio.db")};Mode=ReadOnly");
        await connection.OpenAsync(Cancel);
        await using var command = connection.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM history WHERE DesignId = 'tandem'";
        Assert.Equal(3L, await command.ExecuteScalarAsync(Cancel));
        Assert.Equal("to A2 US", (await _client.Step(await _client.Step(other, "undo"), "redo")).Undo);
    }

    [Fact]
    public async Task A_write_that_comes_too_late_is_refused_with_both_sides_shown()
    {
        var design = await _client.Design("tandem");
        await _client.Saved(design, new ConvertTo("5x7"));
        var late = await _client.Save(design, new ConvertTo("6x6"));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        var problem = await late.Problem();
        Assert.Equal("design.stale", problem.GetProperty("code").GetString());
        Assert.Equal("5x7", problem.GetProperty("current").GetProperty("state").GetProperty("target").GetString());
        Assert.Equal("5x7", (await _client.Design("tandem")).State.Target);
    }

    [Fact]
    public async Task Many_writers_at_once_lose_no_acknowledged_change()
    {
        var design = await _client.Design("tandem");
        async Task<int> Writer(int n)
        {
            for (var tries = 0; ; tries++)
            {
                var now = await _client.Design("tandem");
                var answer = await _client.Save(now, new Take("name", $"Tandem {n}"));
                if (answer.IsSuccessStatusCode)
                {
                    return tries;
                }

                Assert.Equal(HttpStatusCode.Conflict, answer.StatusCode);
            }
        }

        await Task.WhenAll(Enumerable.Range(0, 8).Select(Writer));
        var end = await _client.Design("tandem");
        Assert.Equal(design.Version + 8, end.Version);
        var gestures = new HashSet<string>();
        while (end.Undo is not null)
        {
            gestures.Add(end.Undo);
            end = await _client.Step(end, "undo");
        }

        Assert.Equal(8, gestures.Count);
    }

    [Theory]
    [InlineData("format", "0x5in", "format.unknown")]
    [InlineData("format", "five", "format.unknown")]
    [InlineData("convert", "5x", "format.unknown")]
    [InlineData("name", "two\nlines", "request.unreadable")]
    [InlineData("stock", "tin", "stock.unknown")]
    [InlineData("construction", "nothing", "construction.unknown")]
    [InlineData("name", "  ", "name.length")]
    [InlineData("set", "relief=five", "length.unreadable")]
    public async Task Bad_input_is_a_problem_document_and_touches_nothing(string field, string value, string code)
    {
        var design = await _client.Design("market-lanterns");
        var answer = await _client.Save(design, field switch
        {
            "format" => new Replace(design.State with { Format = value }),
            "construction" => new Replace(design.State with { Construction = value }),
            "convert" => new ConvertTo(value),
            "set" => new SetFigure(value.Split('=')[0], value.Split('=')[1]),
            _ => new Take(field, value),
        });
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var problem = await answer.Problem();
        Assert.Equal(code, problem.GetProperty("code").GetString());
        Assert.NotEmpty(problem.GetProperty("field").GetString()!);
        Assert.NotEmpty(problem.GetProperty("accepted").GetString()!);
        var after = await _client.Design("market-lanterns");
        Assert.Equal((design.Version, Text(design.State)), (after.Version, Text(after.State)));
    }

    [Fact]
    public async Task A_design_that_is_not_there_is_said_so()
    {
        var answer = await _client.GetAsync("/api/designs/none", Cancel);
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
        Assert.Equal("design.missing", (await answer.Problem()).GetProperty("code").GetString());
        Assert.Equal("route.missing", (await (await _client.GetAsync("/api/nowhere", Cancel)).Problem()).GetProperty("code").GetString());
    }

    [Fact]
    public async Task The_drawer_keeps_what_is_to_hand()
    {
        var put = await _client.PutAsJsonAsync("/api/inventory/stocks/vellum/to-hand", new ToHand(true), Cancel);
        Assert.True(put.IsSuccessStatusCode);
        var stocks = (await Http.Read<InventoryView>(await _client.GetAsync("/api/inventory", Cancel))).Kinds.Single(k => k.Id == "stocks").Things;
        Assert.Contains(stocks, i => i is { Id: "vellum", ToHand: true });
        var unknown = await _client.PutAsJsonAsync("/api/inventory/stocks/tin/to-hand", new ToHand(true), Cancel);
        Assert.Contains("tin", (await unknown.Problem()).GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    /// <summary>A tip that is put away is not said any more, and the others still are.</summary>
    [Fact]
    public async Task A_tip_is_put_away_and_taken_out_again()
    {
        var spec = new DesignSpec { Construction = "gatefold", Format = "5x7" };
        async Task<List<string?>> Said()
        {
            var show = await Http.Read<ShowView>(await _client.PostAsJsonAsync("/api/show", new ShowRequest { Design = spec }, Cancel));
            return [.. show.Screens.Select(s => s.Tip).Where(t => t is not null)];
        }

        var before = await Said();
        Assert.Contains(before, t => t!.StartsWith("Score one of the two", StringComparison.Ordinal));
        Assert.True((await _client.PutAsJsonAsync("/api/inventory/tips/equal-ends/to-hand", new ToHand(false), Cancel)).IsSuccessStatusCode);
        var after = await Said();
        Assert.DoesNotContain(after, t => t!.StartsWith("Score one of the two", StringComparison.Ordinal));
        Assert.Contains(after, t => t!.StartsWith("Fold from the outside in", StringComparison.Ordinal));
        var tips = (await Http.Read<InventoryView>(await _client.GetAsync("/api/inventory", Cancel))).Kinds.Single(k => k.Id == "tips").Things;
        Assert.Equal(["equal-ends"], tips.Where(t => !t.ToHand).Select(t => t.Id));
        Assert.True((await _client.PutAsJsonAsync("/api/inventory/tips/equal-ends/to-hand", new ToHand(true), Cancel)).IsSuccessStatusCode);
        Assert.Equal(before, await Said());
    }

    [Fact]
    public async Task Only_this_machines_own_page_is_answered()
    {
        using var foreign = new HttpRequestMessage(HttpMethod.Get, "/api/designs");
        const string Elsewhere = "elsewhere.example";
        foreign.Headers.Host = Elsewhere;
        Assert.Equal(HttpStatusCode.BadRequest, (await _client.SendAsync(foreign, Cancel)).StatusCode);
        using var other = new HttpRequestMessage(HttpMethod.Post, "/api/designs/tandem/undo") { Content = JsonContent.Create(new HistoryStep(1)) };
        other.Headers.Add("Origin", $"{Uri.UriSchemeHttp}{Uri.SchemeDelimiter}{Elsewhere}");
        Assert.Equal(HttpStatusCode.Forbidden, (await _client.SendAsync(other, Cancel)).StatusCode);
        var own = await _client.GetAsync("/api/designs", Cancel);
        Assert.Contains("default-src 'self'", own.Headers.GetValues("Content-Security-Policy").Single(), StringComparison.Ordinal);
    }

    private static string Text(DesignSpec state) => JsonSerializer.Serialize(state, StrictJson.Options);
}

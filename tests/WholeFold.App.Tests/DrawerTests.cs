using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Inventory;
using WholeFold.App.Features.Sheet;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories.Kinds;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>Tools and stocks of the studio's own, from the drawer to the bench.</summary>
public sealed class DrawerTests : IDisposable
{
    private static readonly ToolSpec Board = new() { Id = "window-board", Name = "Board by the window", Units = "in", Groove = "1/4", BoardLength = "12", TrimmerMark = "1/8", RulerMark = "1/16" };
    private static readonly StockSpec Moss = new() { Id = "moss", Name = "Moss 250", Caliper = "0.6mm" };

    private readonly Studio _studio = new(demo: true);
    private readonly HttpClient _client;

    public DrawerTests() => _client = _studio.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _studio.Dispose();

    private static async Task<IReadOnlyList<ThingView>> Things(HttpClient client, string kind) =>
        (await Http.Read<InventoryView>(await client.GetAsync("/api/inventory", Cancel))).Kinds.Single(k => k.Id == kind).Things;

    private async Task Keep()
    {
        (await _client.PutAsJsonAsync("/api/inventory/tools", Board, StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
        (await _client.PutAsJsonAsync("/api/inventory/stocks", Moss, StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task Own_tools_and_stocks_can_be_used_at_once_and_survive()
    {
        await Keep();
        var (tools, stocks) = (await Things(_client, "tools"), await Things(_client, "stocks"));
        Assert.Equal(("window-board", true), (tools[0].Id, tools[0].Own));
        Assert.Equal("0.6 mm", stocks[0].Detail);
        var design = await _client.Design("market-lanterns");
        var saved = await _client.Saved(design, new Take("tools", "window-board"), new Take("stock", "moss"));
        var view = await _client.Bench(saved.State);
        Assert.Equal(("Board by the window", 49), (view.Tools, view.Rule.Ticks.Count));
        using var again = new Studio(folder: _studio.Folder);
        Assert.Equal(Moss, Assert.Single(await Things(again.CreateClient(), "stocks"), s => s.Own).Written.Deserialize<StockSpec>(StrictJson.Options));
    }

    [Fact]
    public async Task What_no_tool_can_be_is_refused_with_the_field_and_nothing_is_kept()
    {
        foreach (var (bad, field) in new[]
        {
            (Board with { Groove = "two" }, "tools.groove"), (Board with { Groove = "3 in" }, "tools.groove"), (Board with { BoardLength = "1" }, "tools.boardLength"),
            (Board with { Id = "Window board" }, "tools.id"), (Board with { Name = " " }, "tools.name"),
            (Board with { TrimmerMark = "" }, "tools.trimmerMark"), (Board with { Units = "ell" }, "tools.units"), (Board with { Groove = null, RulerMark = null }, "tools.groove"),
        })
        {
            var answer = await _client.PutAsJsonAsync("/api/inventory/tools", bad, StrictJson.Options, Cancel);
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            var problem = await answer.Problem();
            Assert.Equal(field, problem.GetProperty("field").GetString());
            Assert.NotEmpty(problem.GetProperty("accepted").GetString()!);
        }

        foreach (var (bad, field) in new[] { (Moss with { Caliper = "9mm" }, "stocks.caliper"), (Moss with { Kind = "tin" }, "stocks.kind"), (Moss with { Sides = "three" }, "stocks.sides"), (Moss with { Grammage = 5 }, "stocks") })
        {
            var answer = await _client.PutAsJsonAsync("/api/inventory/stocks", bad, StrictJson.Options, Cancel);
            Assert.StartsWith(field, (await answer.Problem()).GetProperty("field").GetString(), StringComparison.Ordinal);
        }

        Assert.DoesNotContain(await Things(_client, "tools"), t => t.Own);
        Assert.DoesNotContain(await Things(_client, "stocks"), t => t.Own);
    }

    [Fact]
    public async Task What_a_design_was_made_with_stays_as_long_as_undo_leads_back_to_it()
    {
        await Keep();
        var design = await _client.Design("market-lanterns");
        var made = await _client.Saved(design, new Take("stock", "moss"));
        await _client.Step(made, "undo");
        var refused = await _client.DeleteAsync("/api/inventory/stocks/moss", Cancel);
        Assert.Contains("Market lanterns", (await refused.Problem()).GetProperty("detail").GetString(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.NoContent, (await _client.DeleteAsync("/api/inventory/tools/window-board", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await _client.DeleteAsync("/api/inventory/tools/window-board", Cancel)).StatusCode);
    }

    [Fact]
    public async Task A_change_of_tools_or_card_is_shown_changing_with_the_reason()
    {
        var before = new DesignSpec { Name = "x", Construction = "winged-lock-gatefold", Format = "5x5" };
        var view = await _client.Bench(before with { Tools = "metric-5mm" }, before);
        var rows = view.Ledger.SelectMany(s => s.Rows).ToList();
        Assert.Matches("^[0-9]+ figures change of [0-9]+", view.Compared!.Text);
        Assert.All(rows.Where(r => r.Changed), r => Assert.NotEmpty(r.Because!));
        Assert.Contains(rows, r => r is { Changed: true, Was: not null } && r.Was.Units != r.Now.Units);
        Assert.Equal("No figure changes.", (await _client.Bench(before, before)).Compared!.Text);
        Assert.Null((await _client.Bench(before)).Compared);
    }

    [Fact]
    public async Task A_curve_has_real_points_and_none_is_worse_than_another_in_everything()
    {
        var spec = new DesignSpec { Name = "x", Construction = "winged-lock-gatefold", Format = "5x7" };
        var curves = await _client.Ask<List<CurveView>>("/api/bench/curves", spec);
        var curve = curves[0];
        Assert.True(curve.Points.Count > 2);
        Assert.All(curve.Points, p => Assert.InRange(p.X, 0, 1));
        var picked = curve.Points.First(p => !p.Current);
        var view = await _client.Bench(spec with { Set = new Dictionary<string, WrittenFigure> { [curve.Parameter] = new(picked.Value.Exact) } });
        Assert.Equal(picked.Value.Units, view.Parameters.Single(p => p.Id == curve.Parameter).Value.Units);
    }

    [Fact]
    public async Task What_is_stuck_comes_with_the_smallest_changes_that_mend_it()
    {
        var spec = new DesignSpec { Name = "x", Construction = "winged-lock-gatefold", Format = "5x5", Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } };
        Assert.NotNull((await _client.Bench(spec)).Stuck);
        var ways = await _client.Ask<WaysView>("/api/bench/ways", spec);
        Assert.Null(ways.None);
        Assert.Equal(["centre", "pad"], ways.Ways.Select(w => Assert.Single(w.Edits)).OfType<FreeFigure>().Select(f => f.Parameter).Order());
        foreach (var way in ways.Ways)
        {
            Assert.NotEmpty(way.Costs);
            Assert.Null((await _client.Ask<BenchView>("/api/bench", spec, [.. way.Edits])).Stuck);
        }
    }

    [Fact]
    public async Task The_sheet_has_every_figure_in_both_systems()
    {
        var spec = new DesignSpec { Name = "Night ferry", Construction = "tier-scene", Format = "5x7", Turn = true };
        var sheet = await _client.Ask<SheetView>("/api/sheet", spec);
        var figures = (await _client.Bench(spec)).Ledger.SelectMany(s => s.Rows).Select(r => r.FigureId).Order();
        Assert.Equal(figures, sheet.Sections.SelectMany(s => s.Rows).Select(r => r.FigureId).Order());
        Assert.All(sheet.Sections.SelectMany(s => s.Rows), r => Assert.True(r.In is not null && r.Cm is not null));
        var none = await _client.PostAsJsonAsync("/api/sheet",
            new DeskRequest { Design = spec with { Construction = "winged-lock-gatefold", Turn = false, Format = "5x5",
            Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } } }, StrictJson.Options, Cancel);
        Assert.Equal("sheet.noFigures", (await none.Problem()).GetProperty("code").GetString());
    }

    [Fact]
    public async Task What_ships_can_be_put_in_other_words_and_comes_back_when_these_are_taken_out()
    {
        var shipped = (await Things(_client, "tools")).Single(t => t.Id == "machine");
        Assert.False(shipped.Own);
        (await _client.PutAsJsonAsync("/api/inventory/tools", Board with { Id = "machine", Name = "Our machine" }, StrictJson.Options, Cancel)).EnsureSuccessStatusCode();
        Assert.Equal("Our machine", (await Things(_client, "tools")).Single(t => t.Id == "machine").Name);
        Assert.Equal(HttpStatusCode.NoContent, (await _client.DeleteAsync("/api/inventory/tools/machine", Cancel)).StatusCode);
        Assert.Equal(shipped.Name, (await Things(_client, "tools")).Single(t => t.Id == "machine").Name);
    }

    [Fact]
    public async Task Every_kind_goes_in_and_out_by_the_one_path()
    {
        foreach (var kind in (await Http.Read<InventoryView>(await _client.GetAsync("/api/inventory", Cancel))).Kinds)
        {
            // Each field says what it takes by an example; with these, a thing of the kind is understood.
            var written = kind.Fields.ToDictionary(f => f.Id, f => f.Type switch
            {
                "yes" => true,
                "number" => (object)decimal.Parse(f.Example, System.Globalization.CultureInfo.InvariantCulture),
                _ => f.Example.Split(',')[0],
            });
            (written["id"], written["name"]) = ("of-ours", "Of ours");
            var put = await _client.PutAsJsonAsync($"/api/inventory/{kind.Id}", written, Cancel);
            Assert.True(put.IsSuccessStatusCode, $"{kind.Id}: {await put.Content.ReadAsStringAsync(Cancel)}");
            Assert.Contains(await Things(_client, kind.Id), t => t is { Id: "of-ours", Own: true });
            Assert.Equal(HttpStatusCode.NoContent, (await _client.DeleteAsync($"/api/inventory/{kind.Id}/of-ours", Cancel)).StatusCode);
        }
    }
}

using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Cut;
using WholeFold.App.Features.Inventory;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories.Kinds;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>From a design to its sheets, and into the stock book and back.</summary>
public sealed class CutTests : IDisposable
{
    private readonly Studio _studio = new(demo: true);
    private readonly HttpClient _client;

    public CutTests() => _client = _studio.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public void Dispose() => _studio.Dispose();

    private Task<HttpResponseMessage> Post(string path, DesignSpec state, int cards, bool stop = false, params DesignEdit[] edits) =>
        _client.PostAsJsonAsync(
        path, new CutRequest { Id = "comet-supper", Design = state, Edits = edits, Cards = cards, Stop = stop }, StrictJson.Options,
            Cancel);

    private async Task<CutPlanView> Planned(DesignSpec state, int cards, params DesignEdit[] edits)
    {
        while (true)
        {
            var view = await Http.Read<CutPlanView>(await Post("/api/cut", state, cards, edits: edits));
            if (!view.Running)
            {
                return view;
            }
        }
    }

    /// <summary>All of it as it is written down, to the last sign.</summary>
    private async Task<string> Book()
    {
        var inventory = await Http.Read<InventoryView>(await _client.GetAsync("/api/inventory", Cancel));
        return string.Join('\n', inventory.Kinds.Single(k => k.Id == OwnedSheetKind.Book).Things.OrderBy(t => t.Id, StringComparer.Ordinal)
            .Select(t => t.Written!.ToJsonString()));
    }

    [Fact]
    public async Task A_plan_is_taken_from_the_book_only_when_asked_and_put_back_whole()
    {
        var (design, before) = (await _client.Design("comet-supper"), await Book());
        var view = await Planned(design.State, 6);
        Assert.Equal(before, await Book());
        Assert.All(view.Book, b => Assert.Equal(0, b.Short));
        Assert.StartsWith("6 cards from ", view.Title, StringComparison.Ordinal);

        var taken = await Http.Read<TakingView>(await Post("/api/cut/take", design.State, 6));
        var after = await Book();
        var harbour = view.Book.Single(b => b.Entry == "harbour-letter");
        Assert.Contains(after.Split('\n'), l => l.Contains("harbour-letter", StringComparison.Ordinal)
            && l.Contains($"\"count\":{harbour.Left},", StringComparison.Ordinal));
        Assert.DoesNotContain("oat-offcut", after, StringComparison.Ordinal);
        Assert.True(after.Split('\n').Length > before.Split('\n').Length, "what is left over comes into the book");

        // What was taken stays as it was kept, though the book has changed.
        var kept = await Http.Read<CutPlanView>(await _client.GetAsync($"/api/cut/kept/comet-supper/{taken.Plan}", Cancel));
        Assert.Equal(view.Title, kept.Title);

        async Task<string> Set(bool undone)
        {
            await Http.Read<TakingView>(await _client.PutAsJsonAsync("/api/cut/takings", new TakingRequest(taken.Id, undone),
                StrictJson.Options, Cancel));
            return await Book();
        }

        Assert.Equal(before, await Set(true));
        Assert.Equal(after, await Set(false));
        Assert.Equal(after, await Set(false));
        Assert.Equal(before, await Set(true));
    }

    [Fact]
    public async Task What_is_short_is_not_taken_and_every_way_out_of_it_goes()
    {
        var design = await _client.Design("comet-supper");
        var view = await Planned(design.State, 12);
        Assert.Contains(view.Book, b => b.Short > 0 && b.Buy is not null);
        var before = await Book();
        Assert.Equal("book.short", (await (await Post("/api/cut/take", design.State, 12)).Problem()).GetProperty("code").GetString());
        Assert.Equal(before, await Book());

        var shortage = await Http.Read<ShortView>(await Post("/api/cut/short", design.State, 12));
        Assert.InRange(shortage.CanMake, 1, 11);
        Assert.All((await Planned(design.State, shortage.CanMake)).Book, b => Assert.Equal(0, b.Short));
        Assert.True(shortage.Ways.Count > 1, "another paper or size would make it go");
        foreach (var way in shortage.Ways.Where(w => w.Edit is not null))
        {
            var other = await Planned(design.State, 12, way.Edit!);
            Assert.True(other.Book.All(b => b.Short == 0), way.Text);
        }
    }

    [Fact]
    public async Task Earlier_plans_say_what_has_changed_since()
    {
        var design = await _client.Design("comet-supper");
        await Planned(design.State, 4);
        var kept = await Http.Read<KeptPlansView>(await Post("/api/cut/kept", design.State, 5));
        Assert.Equal(["Cards: 4 then, 5 now."], Assert.Single(kept.Plans).Changed);
        var other = await Http.Read<KeptPlansView>(await Post("/api/cut/kept", design.State, 4, edits: new ConvertTo("a2-us")));
        Assert.Contains("then", Assert.Single(Assert.Single(other.Plans).Changed), StringComparison.Ordinal);
        Assert.Empty((await Http.Read<KeptPlansView>(await Post("/api/cut/kept", design.State, 4))).Plans);
    }

    [Fact]
    public async Task Offcuts_are_good_for_papers_that_they_take()
    {
        var design = await _client.Design("comet-supper");
        await Planned(design.State, 6);
        var good = await Http.Read<GoodForView>(await Post("/api/cut/good-for", design.State, 6));
        Assert.Contains(good.Lines, l => l.Text is not null);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(10_001)]
    public async Task No_cards_and_too_many_are_refused_with_what_is_accepted(int cards)
    {
        var design = await _client.Design("comet-supper");
        var answer = await Post("/api/cut", design.State, cards);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains("1 to 10000 cards", (await answer.Problem()).GetProperty("detail").GetString(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_search_that_is_stopped_leaves_a_plan_that_can_be_cut()
    {
        var design = await _client.Design("comet-supper");
        await Post("/api/cut", design.State, 977, stop: true);
        var view = await Planned(design.State, 977);
        Assert.All(view.Stocks, s => Assert.True(s.Sheets.Count > 0 || s.Problem is not null, s.Name));
    }

    [Fact]
    public async Task A_taking_that_is_not_there_is_refused()
    {
        var answer = await _client.PutAsJsonAsync("/api/cut/takings", new TakingRequest(99, true), StrictJson.Options, Cancel);
        Assert.Equal("book.taking", (await answer.Problem()).GetProperty("code").GetString());
        Assert.Equal(HttpStatusCode.NotFound, (await _client.GetAsync("/api/cut/kept/comet-supper/99", Cancel)).StatusCode);
    }
}

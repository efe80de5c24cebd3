using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Cli;
using WholeFold.App.Features.Lists;
using WholeFold.Core.Input;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>A list of one's own, typed into the interface and read on the command line.</summary>
public sealed class OwnTests(SharedStudio shared)
{
    private const string Tiers = "base 8 x 5, score at 1 and 7\ntier one 7 x 3, scores 1/2, 6 1/2\ntier two 7 x 4 1/8, scores 1/2, 6 1/2";

    private readonly HttpClient _client = shared.Client();

    private async Task<OwnView> Ask(OwnRequest request)
    {
        var answer = await _client.PostAsync("/api/own", JsonContent.Create(request, options: StrictJson.Options), TestContext.Current.CancellationToken);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        return (await answer.Content.ReadFromJsonAsync<OwnView>(StrictJson.Options, TestContext.Current.CancellationToken))!;
    }

    /// <summary>Nothing of a list is lost: what belongs to no piece is kept with its name, what is not understood is told.</summary>
    [Fact]
    public async Task What_belongs_to_no_piece_is_kept_and_said()
    {
        var view = await Ask(new OwnRequest($"{Tiers}\nrails 7/8\nwith love"));
        var noted = Assert.Single(view.Noted);
        Assert.Equal(("rails", "7/8"), (noted.Name, noted.Value.Text));
        Assert.Equal("with love", Assert.Single(view.Left).Text);
    }

    [Fact]
    public async Task What_is_typed_is_drawn_said_what_it_is_and_taken_to_the_bench()
    {
        var view = await Ask(new OwnRequest(Tiers));
        Assert.StartsWith("This is a tier scene", view.Says[0].Text, StringComparison.Ordinal);
        Assert.Equal([("base", 1, 2), ("tier one", 1, 2), ("tier two", 1, 2)], view.Pieces.Select(p => (p.Name, p.Quantity, p.Scores.Count)));
        Assert.Equal(("tier-scene", "7x5in"), (view.Design!.Construction, view.Design.Format));
        var bench = await _client.Bench(view.Design);
        Assert.Equal(["1", "7"], bench.Pieces[0].Scores.Select(s => s.At.Text.Text));
        Assert.All(view.Figures, f => Assert.NotEmpty(f.Rule));

        // In another format each figure says what it becomes.
        var smaller = await Ask(new OwnRequest(Tiers, Format: "a2-us"));
        Assert.Contains(smaller.Figures, f => f.Now is not null);
    }

    [Fact]
    public async Task What_nothing_explains_is_told_by_rules_with_questions_and_what_is_not_understood_is_kept()
    {
        var view = await Ask(new OwnRequest("with love from all of us\ntray 6 x 5, score at 1, 5\nsleeve 9 1/4 x 4, score at 1 1/16, 4 1/8, 5 3/16, 8 1/4"));
        Assert.False(view.IsKnown);
        Assert.Equal((1, "with love from all of us"), (view.Left.Single().Line, view.Left.Single().Text));
        Assert.Equal(10, view.Figures.Count);
        Assert.All(view.Figures, f => Assert.InRange(f.Sure, 1, 100));
        Assert.Empty((await Ask(new OwnRequest(""))).Pieces);
    }

    /// <summary>A card of one's own is kept, benched, folded, worn, shown and handed out over the real host like any other.</summary>
    [Fact]
    public async Task A_card_of_ones_own_goes_all_the_way()
    {
        var cancel = TestContext.Current.CancellationToken;
        var asked = new OwnRequest("Signal flags\nbase 11 x 4 1/4, score at 2 3/4 and 5 1/2\nfront panel 5 1/4 x 4\nmat 2 1/2 x 4");
        var view = await Ask(asked);
        var design = view.Design! with { Target = "a6-iso" };
        Assert.Equal(("Signal flags", "own-signal-flags", "own-signal-flags"), (design.Name, design.Construction, design.Made!.Id));
        using var studio = new Studio(demo: false);
        using var its = studio.CreateClient();
        var kept = await its.PostAsync("/api/designs", JsonContent.Create(new { state = design }, options: StrictJson.Options), cancel);
        Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync(cancel));
        using var answer = JsonDocument.Parse(await kept.Content.ReadAsStringAsync(cancel));
        Assert.Equal("mountain", answer.RootElement.GetProperty("state").GetProperty("made").GetProperty("variants")[0].GetProperty("pieces")[0].GetProperty("creases")[1].GetProperty("fold").GetString());
        Assert.Equal(2, (await _client.Bench(design)).Pieces[0].Scores.Count);
        foreach (var (path, body) in new (string, object)[] { ("/api/folding", new { design }), ("/api/dress", new { design }), ("/api/wall", new { design }), ("/api/handouts/file", new { design, kind = "sheet", form = "pdf" }) })
        {
            var got = await _client.PostAsync(path, JsonContent.Create(body, options: StrictJson.Options), cancel);
            Assert.True(got.IsSuccessStatusCode, $"{path}: {await got.Content.ReadAsStringAsync(cancel)}");
        }

        // One key corrects a rule, and what its maker says is sure.
        var mat = view.Figures.First(f => f.Name == "mat" && f.Figure == "height");
        var corrected = (await Ask(asked with { Rules = [new RuleSaid(mat.Key, 1), new RuleSaid("9.nothing.width", 3)] })).Figures.First(f => f.Key == mat.Key);
        Assert.Equal(100, corrected.Sure);
        Assert.NotEqual(string.Concat(mat.Rule.Select(p => p.Text)), string.Concat(corrected.Rule.Select(p => p.Text)));
        Assert.DoesNotContain(view.Answers, a => a.Key == "opens");
    }

    /// <summary>A square card is asked which way it opens, and turned by a word; a figure that contradicts the others is told.</summary>
    [Fact]
    public async Task A_square_card_is_turned_and_a_slip_is_told()
    {
        var asked = new OwnRequest("base 9 x 6, score at 6\nstrip 12 x 1, score at 1, 6 and 11\nmat 5 3/4 x 5 3/8");
        var view = await Ask(asked);
        static string? Opens(OwnView of) => of.Answers.FirstOrDefault(a => a.Key == RuleGuess.Opens)?.Text;
        Assert.Equal("it opens upwards", Opens(view));
        Assert.Contains(view.Questions, q => string.Concat(q.Select(p => p.Text)).Contains("sideways or upwards", StringComparison.Ordinal));
        Assert.Contains("Height of the mat", string.Concat(Assert.Single(view.Contradictions).Select(p => p.Text)), StringComparison.Ordinal);
        var turned = await Ask(asked with { Rules = [new RuleSaid(RuleGuess.Opens, 1)], Format = "5x7" });
        Assert.Equal("it opens sideways", Opens(turned));
        FigureText? Now(OwnView of) => of.Figures.First(f => f.Name == "base" && f.Figure == "height").Now;
        Assert.Null(Now(await Ask(asked with { Format = "6x6" })));
        Assert.Equal("5", Now(turned)?.Whole);

        // And one that may be of another size too is that by a word.
        var doubted = new OwnRequest("base 9 x 5, score at 3 and 5\nmat 4 x 3");
        var other = (await Ask(doubted)).Answers.First(a => a.Text == "it is 4 × 5 in");
        var taken = (await Ask(doubted with { Rules = [new RuleSaid(other.Key, 1)] })).Answers;
        Assert.Contains("it is 5 × 5 in", taken.Select(s => s.Text));
        Assert.DoesNotContain(other.Text, taken.Select(s => s.Text));
    }

    /// <summary>Where nothing tells which side scores are read along, that is asked; a word turns them, and again turns them back.</summary>
    [Fact]
    public async Task The_side_that_scores_are_read_along_is_asked_and_said()
    {
        var asked = new OwnRequest("cover 9 x 6, scored at 3\nband 12 x 1, score at 1 and 6 and 11");
        var view = await Ask(asked);
        Assert.False(view.IsKnown);
        var side = view.Answers.First(a => a.Text == "the cover is scored along its 9 in side");
        Assert.Contains(view.Questions, q => string.Concat(q.Select(p => p.Text)).Contains("Are the scores of the cover read along its", StringComparison.Ordinal));
        Assert.False(view.Pieces[0].AlongWidth);
        var turned = await Ask(asked with { Rules = [new RuleSaid(side.Key, 1)] });
        Assert.True(turned.Pieces[0].AlongWidth);
        Assert.DoesNotContain(turned.Questions, q => string.Concat(q.Select(p => p.Text)).Contains("along its", StringComparison.Ordinal));
        Assert.Contains("the cover is scored along its 6 in side", turned.Answers.Select(a => a.Text));
        Assert.False((await Ask(asked with { Rules = [new RuleSaid(side.Key, 1), new RuleSaid(side.Key, 1)] })).Pieces[0].AlongWidth);
    }

    [Fact]
    public async Task A_drawing_becomes_a_list_over_the_host_and_a_broken_one_is_refused()
    {
        var cancel = TestContext.Current.CancellationToken;
        Task<HttpResponseMessage> Send(string text) => _client.PostAsync("/api/own/drawing", JsonContent.Create(new DrawingRequest(text, "in"), options: StrictJson.Options), cancel);
        var read = await (await Send("<svg xmlns='http://www.w3.org/2000/svg' width='8in' height='5in' viewBox='0 0 8 5'><rect width='8' height='5'/><g id='score'><path d='M4 0V5'/></g></svg>")).Content.ReadFromJsonAsync<DrawingView>(StrictJson.Options, cancel);
        Assert.Equal("piece 1 8 x 5 in, score along the 8 in side at 4", read!.List);
        Assert.Contains("a FOLD file", await (await Send("<svg onload='1'/>")).Content.ReadAsStringAsync(cancel), StringComparison.Ordinal);
    }

    /// <summary>Stand-ins answer for every demo design, say that they are simulated, and when one fails nothing else does.</summary>
    [Fact]
    public async Task Stand_ins_answer_and_fail_like_machines()
    {
        var cancel = TestContext.Current.CancellationToken;
        using var client = shared.Client();
        var state = (await client.Design("signal-flags")).State;
        async Task<(System.Net.HttpStatusCode Status, string Text)> Ask(string what, object more)
        {
            var answer = await client.PostAsync($"/api/stand-ins/{what}", JsonContent.Create(more, options: StrictJson.Options), cancel);
            return (answer.StatusCode, await answer.Content.ReadAsStringAsync(cancel));
        }

        foreach (var (what, says) in new[] { ("cut", "scoring tool"), ("caliper", "CALIPER"), ("post", "letter") })
        {
            var good = await Ask(what, new { design = state });
            Assert.Equal(System.Net.HttpStatusCode.OK, good.Status);
            Assert.Contains(says, good.Text, StringComparison.Ordinal);
            Assert.Contains("simulated", good.Text, StringComparison.Ordinal);
            foreach (var fault in new[] { "noAnswer", "wrongUnit", "halfAMessage" })
            {
                Assert.Equal(System.Net.HttpStatusCode.BadRequest, (await Ask(what, new { design = state, fault })).Status);
            }
        }

        Assert.Contains("12 × 12 in mat", (await Ask("cut", new { design = state, mat = "no mat" })).Text, StringComparison.Ordinal);
        Assert.Contains("closes", (await Built(client, state)).Text, StringComparison.Ordinal);

        // How it is made is told of the library's own too, with the sums as one types them.
        var night = await Built(client, (await client.Design("night-ferry")).State);
        Assert.Contains("\"rule\":\"width - depth\"", night.Text, StringComparison.Ordinal);
        Assert.Contains("\"isOwn\":false", night.Text, StringComparison.Ordinal);

        async Task<(System.Net.HttpStatusCode Status, string Text)> Built(HttpClient of, Core.Designs.DesignSpec design)
        {
            var answer = await of.PostAsync("/api/build", JsonContent.Create(new { design }, options: StrictJson.Options), cancel);
            return (answer.StatusCode, await answer.Content.ReadAsStringAsync(cancel));
        }
    }

    /// <summary>The demo studio's recognised card is what the recogniser makes of its list.</summary>
    [Fact]
    public async Task The_demo_studio_has_a_card_that_was_recognised_and_one_that_was_inferred()
    {
        using var client = shared.Client();
        var tide = (await client.Design("tide-window")).State;
        var taken = (await Ask(new OwnRequest(Store.DemoStudio.TideWindow))).Design!;
        Assert.Equal((taken.Name, taken.Construction, taken.Format), (tide.Name, tide.Construction, tide.Format));
        var (one, other) = (await client.Bench(tide with { Dressing = null }), await client.Bench(taken with { Stock = tide.Stock }));
        Assert.Equal(other.Pieces[0].Scores.Select(s => s.At.Text.Text), one.Pieces[0].Scores.Select(s => s.At.Text.Text));
        Assert.NotNull((await client.Design("signal-flags")).State.Made);
    }

    [Fact]
    public void The_command_line_reads_a_list_and_converts_it()
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllText(file, Tiers);
            using var output = new StringWriter();
            using var error = new StringWriter();
            Assert.Equal(0, CommandLine.Run(["own", "--list", file, "--format", "7x7in", "--json"], output, error));
            using var json = JsonDocument.Parse(output.ToString());
            Assert.Equal("tier-scene", json.RootElement.GetProperty("recognised").GetProperty("construction").GetString());
            Assert.Equal("7", json.RootElement.GetProperty("figures").GetProperty("1.height").GetProperty("in").GetString());
            using var told = new StringWriter();
            Assert.Equal(0, CommandLine.Run(["own", "--list", file], told, error));
            Assert.StartsWith("This is a tier scene, 7 × 5 in.", told.ToString(), StringComparison.Ordinal);

            // Kept as a design it is converted like any other; where it cannot be written, that is said and nothing half is left.
            var kept = $"{file}.json";
            Assert.Equal(0, CommandLine.Run(["own", "--list", file, "--save", kept], TextWriter.Null, error));
            using var converted = new StringWriter();
            Assert.Equal(0, CommandLine.Run(["convert", "--design", kept, "--format", "6x6", "--json"], converted, error));
            Assert.Contains("\"tier-scene\"", converted.ToString(), StringComparison.Ordinal);
            File.Delete(kept);
            using var refused = new StringWriter();
            Assert.Equal(2, CommandLine.Run(["own", "--list", file, "--save", Path.Combine(Path.GetTempPath(), "no-such-folder", "x.json")], TextWriter.Null, refused));
            Assert.Contains("cannot be written", refused.ToString(), StringComparison.Ordinal);
            File.WriteAllText(file, "<svg width='8in' height='5in' viewBox='0 0 8 5'><rect width='8' height='5'/><circle r='1'/></svg>");
            using var drawn = new StringWriter();
            Assert.Equal(0, CommandLine.Run(["own", "--list", file, "--units", "in"], drawn, error));
            Assert.StartsWith("Not carried over from the drawing: curves.", drawn.ToString(), StringComparison.Ordinal);
            File.WriteAllText(file, "nothing to see");
            Assert.Equal(2, CommandLine.Run(["own", "--list", file], output, error));
            Assert.Contains("base 10 x 5", error.ToString(), StringComparison.Ordinal);
        }
        finally
        {
            File.Delete(file);
        }
    }
}

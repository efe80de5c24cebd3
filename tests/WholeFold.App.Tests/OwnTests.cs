using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Cli;
using WholeFold.App.Features.Lists;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>A list of one's own, typed into the interface and read on the command line.</summary>
public sealed class OwnTests : IDisposable
{
    private const string Tiers = "base 8 x 5, score at 1 and 7\ntier one 7 x 3, scores 1/2, 6 1/2\ntier two 7 x 4 1/8, scores 1/2, 6 1/2";

    private readonly Studio _studio = new(demo: false);
    private readonly HttpClient _client;

    public OwnTests() => _client = _studio.CreateClient();

    public void Dispose() => _studio.Dispose();

    private async Task<OwnView> Ask(OwnRequest request)
    {
        var answer = await _client.PostAsync("/api/own", JsonContent.Create(request, options: StrictJson.Options), TestContext.Current.CancellationToken);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        return (await answer.Content.ReadFromJsonAsync<OwnView>(StrictJson.Options, TestContext.Current.CancellationToken))!;
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
        var view = await Ask(new OwnRequest("my very own card\ntray 6 x 5, score at 1, 5\nsleeve 9 1/4 x 4, score at 1 1/16, 4 1/8, 5 3/16, 8 1/4"));
        Assert.Null(view.Design);
        Assert.Equal((1, "my very own card"), (view.Left.Single().Line, view.Left.Single().Text));
        Assert.Equal(10, view.Figures.Count);
        Assert.All(view.Figures, f => Assert.InRange(f.Sure, 1, 100));
        Assert.Empty((await Ask(new OwnRequest(""))).Pieces);
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
            Assert.StartsWith("This is a Tier scene, 7 × 5 in.", told.ToString(), StringComparison.Ordinal);
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

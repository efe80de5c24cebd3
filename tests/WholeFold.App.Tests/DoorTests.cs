using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>What is not understood is refused at the one gate: with the field, the reason and an example, and nothing of it is kept.</summary>
public sealed class DoorTests(DoorTests.OneStudio one) : IClassFixture<DoorTests.OneStudio>
{
    private const string Spec = """{"construction": "gatefold", "format": "5x7", "name": "x"}""";

    private readonly HttpClient _client = one.Studio.CreateClient();

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    /// <summary>Every way in that takes a body, with one that is understood.</summary>
    public static TheoryData<string, string, string> Ways() => new()
    {
        { "POST", "/api/bench", $$"""{"design": {{Spec}}, "edits": []}""" },
        { "POST", "/api/bench/strip", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/ranges", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/alternatives", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/safe", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/ways", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/curves", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/bench/explain", $$"""{"design": {{Spec}}, "figureId": "base.width"}""" },
        { "POST", "/api/wall", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/folding", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/sheet", $$"""{"design": {{Spec}}}""" },
        { "POST", "/api/check-list", """{"text": "width 10\nscores 5"}""" },
        { "POST", "/api/designs", $$"""{"state": {{Spec}}}""" },
        { "PUT", "/api/designs/tandem", """{"version": 0, "edits": [{"edit": "prefer", "preference": "noSixteenths", "on": false}]}""" },
        { "POST", "/api/designs/tandem/undo", """{"version": 0}""" },
        { "POST", "/api/designs/tandem/redo", """{"version": 0}""" },
        { "PUT", "/api/inventory/stocks", """{"id": "moss", "name": "Moss", "caliper": "0.6mm"}""" },
        { "PUT", "/api/inventory/stocks/vellum/to-hand", """{"lies": true}""" },
    };

    [Theory]
    [MemberData(nameof(Ways))]
    public async Task Whatever_is_wrong_with_a_body_is_a_problem_document_with_place_and_example(string method, string path, string good)
    {
        var way = new HttpMethod(method);
        var fine = await _client.Send(way, path, good);
        Assert.True(fine.IsSuccessStatusCode || fine.StatusCode is HttpStatusCode.Conflict, $"{fine.StatusCode}: {await fine.Content.ReadAsStringAsync(Cancel)}");

        var bodies = new List<string> { "", "{", "null", "[]", "5", "{}", good[..^1] + """, "colour": "red"}""", good[..^1] + ", " + good[1..] };
        var members = JsonNode.Parse(good)!.AsObject().Select(m => m.Key).ToList();
        foreach (var name in members)
        {
            // Every member: as nothing, as a list with nothing in it, as a number, and as something with a member nobody knows.
            bodies.AddRange(new[] { "[null]", "3.5e99", """{"nobody": {"knows": 1}}""" }.Select(value => With(good, name, value)));
        }

        foreach (var body in bodies)
        {
            var refused = await _client.Send(way, path, body);
            Assert.True(refused.StatusCode == HttpStatusCode.BadRequest, $"{path} took {body}: {(int)refused.StatusCode}");
            var problem = await refused.Problem();
            Assert.NotEmpty(problem.GetProperty("field").GetString()!);
            Assert.NotEmpty(problem.GetProperty("accepted").GetString()!);
            var told = problem.GetProperty("detail").GetString()!;
            Assert.DoesNotContain("System.", told, StringComparison.Ordinal);
            Assert.DoesNotContain("JSON value could not", told, StringComparison.Ordinal);
            Assert.DoesNotContain("LineNumber", told, StringComparison.Ordinal);
        }

        Assert.Equal(HttpStatusCode.UnsupportedMediaType, (await _client.Send(way, path, good, "text/plain")).StatusCode);
        var wrong = await _client.Send(HttpMethod.Patch, path, good);
        Assert.Equal(HttpStatusCode.MethodNotAllowed, wrong.StatusCode);
        Assert.Equal("route.method", (await wrong.Problem()).GetProperty("code").GetString());
    }

    [Theory]
    [InlineData("""{"format": "5x"}""")]
    [InlineData("""{"set": {"relief": null}}""")]
    [InlineData("""{"set": null}""")]
    [InlineData("""{"prefer": [null]}""")]
    [InlineData("""{"prefer": ["nothing-known"]}""")]
    [InlineData("""{"pieceStocks": {"base": null}}""")]
    [InlineData("""{"pieceStocks": {"lid": "card-300"}}""")]
    [InlineData("""{"adjustments": {"9x9x9": {"relief": {"value": "1mm"}}}}""")]
    [InlineData("""{"own": {"stocks": [null]}}""")]
    [InlineData("""{"own": {"spells": []}}""")]
    [InlineData("""{"wholeFold": 99}""")]
    [InlineData("""{"wholeFold": 0}""")]
    [InlineData("""{"name": "a\u0007bell"}""")]
    [InlineData("""{"turn": "yes"}""")]
    public async Task Designs_with_nothing_known_in_them_are_refused_and_not_stored(string with)
    {
        var spec = JsonNode.Parse(Spec)!.AsObject();
        foreach (var (name, value) in JsonNode.Parse(with)!.AsObject())
        {
            spec[name] = value?.DeepClone();
        }

        var before = await _client.GetStringAsync("/api/designs", Cancel);
        foreach (var (path, body) in new[] { ("/api/designs", $$"""{"state": {{spec.ToJsonString()}}}"""), ("/api/bench", $$"""{"design": {{spec.ToJsonString()}}}""") })
        {
            var refused = await _client.Send(HttpMethod.Post, path, body);
            Assert.True(refused.StatusCode == HttpStatusCode.BadRequest, $"{path} took {with}: {(int)refused.StatusCode}");
            Assert.NotEmpty((await refused.Problem()).GetProperty("accepted").GetString()!);
        }

        Assert.Equal(before, await _client.GetStringAsync("/api/designs", Cancel));
    }

    [Fact]
    public async Task Texts_that_could_go_on_for_ever_are_answered_at_once()
    {
        // The first answer of all is the host's start.
        await _client.GetAsync("/api/designs", Cancel);
        foreach (var text in new[] { "5x" + string.Concat(Enumerable.Repeat(" -", 1000)), "5" + new string(' ', 10_000) + "in", new string('1', 20_000) })
        {
            var watch = System.Diagnostics.Stopwatch.StartNew();
            var edit = JsonSerializer.Serialize(text);
            foreach (var one in new[] { $$"""{"edit": "convert", "format": {{edit}}}""", $$"""{"edit": "set", "parameter": "relief", "value": {{edit}}}""" })
            {
                var refused = await _client.Send(HttpMethod.Post, "/api/bench", $$"""{"design": {{Spec}}, "edits": [{{one}}]}""");
                Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            }

            Assert.True(watch.ElapsedMilliseconds < 20_000, $"{watch.ElapsedMilliseconds} ms for {text[..8]}…");
        }

        var scores = string.Join(", ", Enumerable.Range(1, 1500).Select(n => $"{n} {n % 7 + 1}/16"));
        var many = await _client.Send(HttpMethod.Post, "/api/check-list", $$"""{"text": "width 1600\nscores {{scores}}"}""");
        Assert.Equal(HttpStatusCode.BadRequest, many.StatusCode);
    }

    [Fact]
    public async Task An_answer_that_nobody_waits_for_is_given_up()
    {
        var body = """{"design": {"construction": "inside-tunnel", "format": "3x8in", "name": "x", "tools": "machine", "set": {"layers": "2", "depth": "1/4"}}}""";
        using var impatient = new CancellationTokenSource(TimeSpan.FromMilliseconds(30));
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/wall") { Content = new StringContent(body, System.Text.Encoding.UTF8, "application/json") };
        await Assert.ThrowsAnyAsync<OperationCanceledException>(() => _client.SendAsync(request, impatient.Token));

        // And is not kept half done: asked for again it is whole.
        var again = await _client.Send(HttpMethod.Post, "/api/wall", body);
        Assert.Equal(HttpStatusCode.OK, again.StatusCode);
    }

    private static string With(string body, string name, string value)
    {
        var json = JsonNode.Parse(body)!.AsObject();
        json[name] = JsonNode.Parse(value);
        return json.ToJsonString();
    }

    public sealed class OneStudio : IDisposable
    {
        public Studio Studio { get; } = new();

        public void Dispose() => Studio.Dispose();
    }
}

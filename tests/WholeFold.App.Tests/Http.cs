using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.App.Tests;

internal static class Http
{
    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public static async Task<DesignView> Design(this HttpClient client, string id) => await Read<DesignView>(await client.GetAsync($"/api/designs/{id}", Cancel));

    public static async Task<HttpResponseMessage> Save(this HttpClient client, DesignView design, params DesignEdit[] edits) =>
        await client.PutAsJsonAsync($"/api/designs/{design.Id}", new SaveDesign { Version = design.Version, Edits = edits }, StrictJson.Options, Cancel);

    public static async Task<DesignView> Saved(this HttpClient client, DesignView design, params DesignEdit[] edits) => await Read<DesignView>(await client.Save(design, edits));

    public static async Task<DesignView> Step(this HttpClient client, DesignView design, string way) =>
        await Read<DesignView>(await client.PostAsJsonAsync($"/api/designs/{design.Id}/{way}", new HistoryStep(design.Version), StrictJson.Options, Cancel));

    public static async Task<BenchView> Bench(this HttpClient client, DesignSpec state, DesignSpec? before = null) => await Read<BenchView>(
        await client.PostAsJsonAsync("/api/bench", new BenchRequest { Design = state, Before = before is null ? null : new DeskRequest { Design = before } }, StrictJson.Options, Cancel));

    public static async Task<ExplainedView> Explain(this HttpClient client, DesignSpec state, string figure) =>
        await Read<ExplainedView>(await client.PostAsJsonAsync("/api/bench/explain", new ExplainRequest { Design = state, FigureId = figure }, StrictJson.Options, Cancel));

    public static async Task<T> Ask<T>(this HttpClient client, string path, DesignSpec state, params DesignEdit[] edits) =>
        await Read<T>(await client.PostAsJsonAsync(path, new DeskRequest { Design = state, Edits = edits }, StrictJson.Options, Cancel));

    /// <summary>Any body, as it is.</summary>
    public static async Task<HttpResponseMessage> Send(this HttpClient client, HttpMethod method, string path, string body, string type = "application/json")
    {
        using var request = new HttpRequestMessage(method, path) { Content = new StringContent(body, Encoding.UTF8, type) };
        return await client.SendAsync(request, Cancel);
    }

    public static async Task<JsonElement> Problem(this HttpResponseMessage response)
    {
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        return JsonDocument.Parse(await response.Content.ReadAsStringAsync(Cancel)).RootElement;
    }

    public static async Task<T> Read<T>(HttpResponseMessage response)
    {
        var text = await response.Content.ReadAsStringAsync(Cancel);
        Assert.True(response.IsSuccessStatusCode, text);
        return JsonSerializer.Deserialize<T>(text, StrictJson.Options)!;
    }

    /// <summary>A sentence as it is read out.</summary>
    public static string Said(this IEnumerable<SentencePart> parts) => string.Concat(parts.Select(p => p.Text ?? p.Figure!.Text));
}

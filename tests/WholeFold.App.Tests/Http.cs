using System.Net.Http.Json;
using System.Text.Json;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Exchange;
using Xunit;

namespace WholeFold.App.Tests;

internal static class Http
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public static async Task<DesignView> Design(this HttpClient client, string id) => (await client.GetFromJsonAsync<DesignView>($"/api/designs/{id}", Json, Cancel))!;

    public static async Task<HttpResponseMessage> Save(this HttpClient client, DesignView design, DesignSpec state, string gesture) =>
        await client.PutAsJsonAsync($"/api/designs/{design.Id}", new SaveDesign(design.Version, state, gesture), Json, Cancel);

    public static async Task<DesignView> Saved(this HttpClient client, DesignView design, DesignSpec state, string gesture) => await Read<DesignView>(await client.Save(design, state, gesture));

    public static async Task<DesignView> Step(this HttpClient client, DesignView design, string way) =>
        await Read<DesignView>(await client.PostAsJsonAsync($"/api/designs/{design.Id}/{way}", new Step(design.Version), Json, Cancel));

    public static Task<BenchView> Bench(this HttpClient client, DesignSpec state, DesignSpec? before = null) => client.Ask<BenchView>("/api/bench", new BenchRequest(state, before));

    public static async Task<T> Ask<T>(this HttpClient client, string path, BenchRequest request) => await Read<T>(await client.PostAsJsonAsync(path, request, Json, Cancel));

    public static async Task<JsonElement> Problem(this HttpResponseMessage response)
    {
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        return JsonDocument.Parse(await response.Content.ReadAsStringAsync(Cancel)).RootElement;
    }

    public static async Task<T> Read<T>(HttpResponseMessage response)
    {
        var text = await response.Content.ReadAsStringAsync(Cancel);
        Assert.True(response.IsSuccessStatusCode, text);
        return JsonSerializer.Deserialize<T>(text, Json)!;
    }
}

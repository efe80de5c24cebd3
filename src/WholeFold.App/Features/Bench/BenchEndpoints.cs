namespace WholeFold.App.Features.Bench;

internal static class BenchEndpoints
{
    public static void MapBench(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/bench", (BenchRequest request) => BenchBuilder.Build(request.Design))
            .WithName("bench")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("All that the bench shows for a design, worked out; nothing is stored.");
}

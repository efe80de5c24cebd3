using WholeFold.Store;

namespace WholeFold.App.Features.Bench;

internal static class BenchEndpoints
{
    public static void MapBench(this IEndpointRouteBuilder app)
    {
        var bench = app.MapGroup("/api/bench");
        bench.MapPost("/", async (BenchRequest request, OwnThings own, CancellationToken cancel) => BenchBuilder.Build(request.Design, await own.Read(cancel), request.Before))
            .WithName("bench")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("All that the bench shows for a design, worked out; nothing is stored.");
        bench.MapPost("/curves", async (BenchRequest request, OwnThings own, CancellationToken cancel) => BenchBuilder.Curves(request.Design, await own.Read(cancel)))
            .WithName("curves")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("What can be traded off in a design, each point of a curve a real sizing.");
        bench.MapPost("/wall", async (BenchRequest request, OwnThings own, CancellationToken cancel) => BenchBuilder.Wall(request.Design, await own.Read(cancel)))
            .WithName("wall")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("One design in every format at once: closed, with its sheets, its envelope and what had to change.");
        bench.MapPost("/poses", async (BenchRequest request, OwnThings own, CancellationToken cancel) => BenchBuilder.Poses(request.Design, await own.Read(cancel)))
            .WithName("poses")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("The card from closed to shown, seen from a little above, and how it is put together.");
        bench.MapPost("/sheet", async (BenchRequest request, OwnThings own, CancellationToken cancel) => BenchBuilder.Sheet(request.Design, await own.Read(cancel)))
            .WithName("sheet")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("Every figure of a design in inches and in centimetres, each column adding up.");
    }
}

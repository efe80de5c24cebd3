using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

internal static class BenchEndpoints
{
    public static void MapBench(this IEndpointRouteBuilder app)
    {
        var bench = app.MapGroup("/api/bench");
        bench.MapPost("/", async (Body<BenchRequest> body, Studio studio, CancellationToken cancel) =>
            {
                var before = body.Value.Before is { } was ? await studio.Lay(was.Design, was.Edits, cancel) : null;
                return (await Teller(studio, body.Value, cancel)).Bench(before);
            })
            .Describes<BenchView>("bench", "The figures of a design in its target format; nothing is stored.");
        Part("/strip", "strip", "Every format as the design stands in it.", t => t.Strip());
        Part("/ranges", "ranges", "What each parameter can be set to, everything else free to follow.", t => t.Ranges());
        Part("/alternatives", "alternatives", "What each priority would give.", t => t.Alternatives());
        Part("/safe", "safe", "Which way each figure may miss.", t => t.Safe());
        Part("/curves", "curves", "What can be traded off, each point of a curve a real sizing.", t => t.Curves());
        bench.MapPost("/explain", async (Body<ExplainRequest> body, Studio studio, CancellationToken cancel) => (await Teller(studio, body.Value, cancel)).Explain(body.Value.FigureId))
            .Describes<ExplainedView>("explain", "How one figure came about, and how else it could be set.");

        Part("/home", "home", "What makes the size at hand the home size, with the card as it is.", t => t.Home());
        bench.MapPost("/ways", async (Body<WaysRequest> body, Studio studio, CancellationToken cancel) =>
            (await Teller(studio, body.Value, cancel)).Ways(body.Value.Check))
            .Describes<WaysView>("ways", "Ways out of a finding, or of a design that has no figures: edits, each tried.");

        // Each part of the bench by itself: asked for when it is seen, and given up when nobody waits for it any more.
        void Part<T>(string path, string name, string summary, Func<BenchTeller, T> part) =>
            bench.MapPost(path, async (Body<DeskRequest> body, Studio studio, CancellationToken cancel) => part(await Teller(studio, body.Value, cancel)))
                .Describes<T>(name, summary);
    }

    private static async Task<BenchTeller> Teller(Studio studio, DeskRequest request, CancellationToken cancel) =>
        new(studio, await studio.Lay(request.Design, request.Edits, cancel), cancel);

    /// <summary>What a route is called and answers with, for the API's description.</summary>
    internal static RouteHandlerBuilder Describes<T>(this RouteHandlerBuilder route, string name, string summary) =>
        route.WithName(name).WithSummary(summary).Produces<T>().ProducesProblem(StatusCodes.Status400BadRequest);
}

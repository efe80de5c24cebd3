using Microsoft.AspNetCore.Mvc;
using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Features.Designs;

/// <param name="Undo">What undo would take back; null where there is nothing.</param>
public sealed record DesignView(string Id, int Version, DesignSpec State, string? Undo, string? Redo);

/// <summary>A design as the drawer shows it.</summary>
/// <param name="Latest">The one worked on last, which opens first.</param>
public sealed record DesignCard(string Id, string Name, string Construction, string Opens, string Home, long Width, long Height, string Stock, string Changed, bool Latest);

public sealed record NewDesign(DesignSpec State);

/// <param name="Gesture">What was done, in a few words; undo shows it.</param>
public sealed record SaveDesign(int Version, DesignSpec State, string Gesture);

public sealed record Step(int Version);

internal static class DesignEndpoints
{
    private const int LongestName = 80, LongestGesture = 160;

    public static void MapDesigns(this IEndpointRouteBuilder app)
    {
        var designs = app.MapGroup("/api/designs");
        designs.MapGet("/", async (DesignStore store, OwnThings own, CancellationToken cancel) =>
            {
                var all = await store.List(cancel);
                var latest = all.MaxBy(d => d.ChangedAt);
                var workshop = await own.Read(cancel);
                return all.Select(d => Card(d, d == latest, workshop)).ToList();
            })
            .WithName("listDesigns");

        designs.MapGet("/{id}", async (string id, DesignStore store, CancellationToken cancel) => Found(id, await store.Find(id, cancel)))
            .WithName("findDesign").Produces<DesignView>().ProducesProblem(StatusCodes.Status404NotFound);

        designs.MapPost("/", async ([FromBody] NewDesign request, DesignStore store, OwnThings own, CancellationToken cancel) =>
            {
                var state = Checked(request.State, await own.Read(cancel));
                var stored = await store.Create(Guid.NewGuid().ToString("N"), state, "begun", cancel);
                return TypedResults.Ok(View(stored));
            })
            .WithName("createDesign").ProducesProblem(StatusCodes.Status400BadRequest);

        designs.MapPut("/{id}", async (string id, [FromBody] SaveDesign request, DesignStore store, OwnThings own, CancellationToken cancel) =>
            {
                if (request.Gesture.Length is 0 or > LongestGesture)
                {
                    throw new InputProblemException("gesture.length", "gesture", $"it has {request.Gesture.Length} characters", $"1 to {LongestGesture}, such as “centre to 3/4 in”");
                }

                return Found(id, await store.Save(id, request.Version, Checked(request.State, await own.Read(cancel)), request.Gesture, cancel));
            })
            .WithName("saveDesign").Produces<DesignView>().ProducesProblem(StatusCodes.Status400BadRequest).ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

        designs.MapPost("/{id}/undo", async (string id, [FromBody] Step step, DesignStore store, CancellationToken cancel) => Found(id, await store.Undo(id, step.Version, cancel)))
            .WithName("undoDesign").Produces<DesignView>().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

        designs.MapPost("/{id}/redo", async (string id, [FromBody] Step step, DesignStore store, CancellationToken cancel) => Found(id, await store.Redo(id, step.Version, cancel)))
            .WithName("redoDesign").Produces<DesignView>().ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);
    }

    /// <summary>A design is only stored once every word of it is understood; figures it cannot have yet do not matter.</summary>
    private static DesignSpec Checked(DesignSpec state, Workshop workshop)
    {
        var name = state.Name.Trim();
        if (name.Length is 0 or > LongestName)
        {
            throw new InputProblemException("name.length", "name", name.Length == 0 ? "the design has no name" : $"the name has {name.Length} characters", $"1 to {LongestName} characters, such as “Comet supper”");
        }

        var read = DesignReader.Read(state, workshop);

        // One that has no figures is kept all the same: the person is told on the bench what conflicts, and frees it there.
        Sizer.TrySize(read.Design, read.Target);
        return state with { Name = name };
    }

    private static IResult Found(string id, StoredDesign? stored) => stored is null
        ? TypedResults.Problem(statusCode: StatusCodes.Status404NotFound, title: "No such design", detail: $"There is no design “{id}” in this drawer.", extensions: new Dictionary<string, object?> { ["code"] = "design.missing" })
        : TypedResults.Ok(View(stored));

    internal static DesignView View(StoredDesign stored) => new(stored.Id, stored.Version, stored.State, stored.Undo, stored.Redo);

    private static DesignCard Card(StoredDesign stored, bool latest, Workshop workshop)
    {
        var read = DesignReader.Read(stored.State, workshop);
        var home = read.Design.Home;
        var unit = home.Format.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        var size = $"{LengthWriter.Write(home.Width, unit)} × {LengthWriter.Write(home.Height, unit)}";
        return new DesignCard(
            stored.Id, stored.State.Name, read.Design.Family.Name, read.Design.Family.Opens,
            $"{(home.Format.Name == size ? "" : $"{home.Format.Name}, ")}{size} {LengthWriter.Symbol(unit)}",
            home.Width.Units, home.Height.Units, read.Design.Stock.Name,
            stored.ChangedAt.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture), latest);
    }
}

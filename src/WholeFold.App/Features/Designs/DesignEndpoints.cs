using System.ComponentModel.DataAnnotations;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Features.Designs;

/// <summary>A design as it stands.</summary>
/// <param name="Undo">What undo would take back; null where there is nothing.</param>
public sealed record DesignView(string Id, int Version, DesignSpec State, string? Undo, string? Redo);

/// <summary>A design as the drawer shows it.</summary>
public sealed record DesignCard
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Construction { get; init; }

    public required string Opens { get; init; }

    public required IReadOnlyList<SentencePart> Home { get; init; }

    public required long Width { get; init; }

    public required long Height { get; init; }

    /// <summary>The closed card, panel by panel; empty where it has no figures at home.</summary>
    public required IReadOnlyList<ClosedPanel> Panels { get; init; }

    /// <summary>What it wears outside.</summary>
    public required IReadOnlyList<WornShape> Worn { get; init; }

    public required string Stock { get; init; }

    public required string Changed { get; init; }

    /// <summary>The one worked on last, which opens first.</summary>
    public required bool Latest { get; init; }

    /// <summary>What is wrong where it cannot be read or worked out; its file can be taken out all the same, and the last change undone.</summary>
    public required string? Problem { get; init; }

    /// <summary>What a change of it, or undo, has to name.</summary>
    public required int Version { get; init; }

    /// <summary>What undo would take back; null where there is nothing.</summary>
    public required string? Undo { get; init; }
}

/// <param name="State">Without a format it opens in the last size that was used and that it goes in.</param>
/// <param name="Id">What it is to be called in addresses: chosen by whoever begins it, so that asking again after a lost answer begins no second one.</param>
public sealed record NewDesign(DesignSpec State, [property: MaxLength(40)] string? Id = null);

/// <param name="Edits">What is done to it, in that order: one gesture.</param>
public sealed record SaveDesign
{
    public required int Version { get; init; }

    public required IReadOnlyList<DesignEdit> Edits { get; init; }

    /// <summary>A name for this gesture, chosen by whoever does it: sent again after a lost answer, it is not done a second time.</summary>
    [MaxLength(40)]
    public string? Mark { get; init; }

    /// <summary>What the gesture is called; put together from the edits where it is not given.</summary>
    [MaxLength(160)]
    public string? Gesture { get; init; }
}

public sealed record HistoryStep(int Version);

internal static class DesignEndpoints
{
    private const int LongestName = 80, LongestGesture = 160;

    public static void MapDesigns(this IEndpointRouteBuilder app)
    {
        var designs = app.MapGroup("/api/designs");
        designs.MapGet("/", async (DesignStore store, Studio studio, CancellationToken cancel) =>
            {
                var all = await store.List(cancel);
                var latest = all.MaxBy(d => d.ChangedAt);
                var reader = await studio.Reader(cancel);
                var cards = new List<DesignCard>(all.Count);
                foreach (var listed in all)
                {
                    // One that was taken out meanwhile is not there any more.
                    if ((CardKept(listed) ?? await Made(listed, store, reader, cancel)) is { } card)
                    {
                        cards.Add(card with { Latest = listed == latest, Version = listed.Version, Undo = listed.Undo });
                    }
                }

                return cards;
            })
            .Describes<List<DesignCard>>("listDesigns", "Every design in the drawer, those that cannot be read as well.");

        designs.MapGet("/{id}", async (string id, DesignStore store, CancellationToken cancel) => Found(id, await store.Find(id, cancel)))
            .Describes<DesignView>("findDesign", "One design as it stands.").ProducesProblem(StatusCodes.Status404NotFound);

        designs.MapGet("/{id}/file", async (string id, DesignStore store, CancellationToken cancel) =>
                await store.Find(id, cancel) is { } stored ? Results.File(Encoding.UTF8.GetBytes(stored.State is { } state ? DesignFile.Write(state) : stored.Written), "application/json", $"{id}.json") : Missing(id))
            .Describes<string>("designFile", "A design's file to keep elsewhere: as it is written, even where it cannot be read.").ProducesProblem(StatusCodes.Status404NotFound);

        designs.MapPost("/", async (Body<NewDesign> body, DesignStore store, Studio studio, CancellationToken cancel) =>
            {
                var reader = await studio.Reader(cancel);
                var begun = body.Value.State;
                var state = Checked(begun.Format.Length > 0 ? begun
                    : FirstSize.Of(begun, await SizesUsed(store, cancel), reader, cancel), reader);
                state = state with { Format = reader.FormatAsTyped(state.Format, state) };
                return Found("", await store.Create(IdOf(body.Value), state, "begun", cancel));
            })
            .Describes<DesignView>("createDesign", "Begins a design.");

        designs.MapPut("/{id}", async (string id, Body<SaveDesign> body, DesignStore store, Studio studio, CancellationToken cancel) =>
            {
                var (request, reader) = (body.Value, await studio.Reader(cancel));
                if (request.Edits.Count == 0)
                {
                    throw new InputProblemException("edits.none", "edits", "there is nothing to be done", DesignEdit.Accepted);
                }

                return Found(id, await store.Save(id, request.Version, request.Mark,
                    state => (Checked(DesignEdit.Apply(request.Edits, state, reader), reader), request.Edits, request.Gesture
                    ?? Gesture(request.Edits, state, reader)), cancel));
            })
            .Describes<DesignView>("saveDesign", "Does edits to a design, as one gesture.").ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

        designs.MapPost("/{id}/undo", async (string id, Body<HistoryStep> step, DesignStore store, CancellationToken cancel) => Found(id, await store.Undo(id, step.Value.Version, cancel)))
            .Describes<DesignView>("undoDesign", "Takes the last gesture back.").ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

        designs.MapPost("/{id}/redo", async (string id, Body<HistoryStep> step, DesignStore store, CancellationToken cancel) => Found(id, await store.Redo(id, step.Value.Version, cancel)))
            .Describes<DesignView>("redoDesign", "Does it again.").ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status409Conflict);

        designs.MapDelete("/{id}", async (string id, DesignStore store, CancellationToken cancel) => await store.Remove(id, cancel) ? Results.NoContent() : Missing(id))
            .WithName("removeDesign").WithSummary("Takes a design out of the drawer for good.").Produces(StatusCodes.Status204NoContent).ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>How the list's cards are kept: read only by the build that wrote them.</summary>
    private static readonly JsonSerializerOptions Kept = new(JsonSerializerDefaults.Web) { Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) } };

    /// <summary>What was kept of it; null where that is nothing, or damaged.</summary>
    private static DesignCard? CardKept(ListedDesign listed)
    {
        try
        {
            return listed.Card is { } kept ? JsonSerializer.Deserialize<DesignCard>(kept, Kept) : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>A card of the list worked out, and kept for the next time.</summary>
    private static async Task<DesignCard?> Made(ListedDesign listed, DesignStore store, DesignReader reader, CancellationToken cancel)
    {
        if (await store.Find(listed.Id, cancel) is not { } stored)
        {
            return null;
        }

        var card = Card(stored, latest: false, reader);
        await store.KeepCard(stored, JsonSerializer.Serialize(card, Kept), cancel);
        return card;
    }

    /// <summary>So many designs are looked at for the sizes that are used.</summary>
    private const int MostLookedAt = 8;

    /// <summary>The sizes that were worked in, the last one first.</summary>
    private static async Task<IReadOnlyList<(string Format, bool Turn)>> SizesUsed(DesignStore store, CancellationToken cancel)
    {
        var used = new List<(string, bool)>();
        foreach (var listed in (await store.List(cancel)).OrderByDescending(d => d.ChangedAt).Take(MostLookedAt))
        {
            if ((await store.Find(listed.Id, cancel))?.State is { } state)
            {
                used.Add(state.Target is { } target ? (target, state.TargetTurn) : (state.Format, state.Turn));
            }
        }

        return used;
    }

    private static string IdOf(NewDesign begun) => begun.Id is not { } id ? Guid.NewGuid().ToString("N")
        : id.Length > 0 && id.All(c => char.IsAsciiLetterOrDigit(c) || c == '-') ? id
        : throw new InputProblemException("design.id", "id", $"“{id}” cannot stand in an address", "letters, digits and hyphens, such as 7d0c2f");

    /// <summary>A design is only stored once every word of it is understood; figures it cannot have yet do not matter.</summary>
    private static DesignSpec Checked(DesignSpec state, DesignReader reader)
    {
        var name = state.Name.Trim();
        if (name.Length is 0 or > LongestName || name.Any(char.IsControl))
        {
            throw new InputProblemException("name.length", "name", name.Length == 0 ? "the design has no name" : name.Length > LongestName ? $"the name has {name.Length} characters" : "there are control marks in the name", $"1 to {LongestName} characters, such as “Comet supper”");
        }

        // One that has no figures is kept all the same: the person is told on the bench what conflicts, and frees it there.
        Trial.Make(state, reader);
        return state with { Name = name, WholeFold = DesignSpec.Newest };
    }

    private static string Gesture(IReadOnlyList<DesignEdit> edits, DesignSpec before, DesignReader reader)
    {
        var words = new List<string>();
        foreach (var edit in edits)
        {
            words.Add(edit.Describe(before, reader).Write(reader.UnitOf(before)));
            before = edit.Apply(before, reader);
        }

        var text = string.Join(", and ", words.Distinct());
        return text.Length <= LongestGesture ? text : text[..(LongestGesture - 1)] + "…";
    }

    private static IResult Found(string id, StoredDesign? stored) => stored is null ? Missing(id) : stored.Problem is { } problem
        ? TypedResults.Problem(statusCode: StatusCodes.Status422UnprocessableEntity, title: $"“{stored.Name}” cannot be read",
            detail: $"{problem.Reason}. Its file can be taken out of the drawer.", extensions: new Dictionary<string, object?> { ["code"] = "design.unreadable", ["field"] = problem.Field, ["accepted"] = problem.Accepted })
        : TypedResults.Ok(View(stored));

    private static IResult Missing(string id) => ProblemHandler.Of(StatusCodes.Status404NotFound, "No such design", $"There is no design “{(id.Length > 40 ? id[..40] : id)}” in this drawer.", "design.missing");

    internal static DesignView View(StoredDesign stored) => new(stored.Id, stored.Version, stored.State!, stored.Undo, stored.Redo);

    private static DesignCard Card(StoredDesign stored, bool latest, DesignReader reader)
    {
        var card = new DesignCard
        {
            Id = stored.Id,
            Name = stored.Name,
            Construction = "",
            Opens = "",
            Home = [],
            Width = 0,
            Height = 0,
            Panels = [],
            Worn = [],
            Stock = "",
            Changed = stored.ChangedAt.ToString("d MMM yyyy", System.Globalization.CultureInfo.InvariantCulture),
            Latest = latest,
            Version = stored.Version,
            Undo = stored.Undo,
            Problem = stored.Problem is { } problem ? Words(problem) : null,
        };
        if (stored.State is null)
        {
            return card;
        }

        try
        {
            var design = reader.Read(stored.State).Design;
            var home = design.Home;
            var tell = new Teller(home.Format.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre);
            var made = Core.Cards.Card.Try(design, home);
            var closed = made is null ? null : new ClosedAsRead(made.Figures, made.Closed);
            return card with
            {
                Construction = design.Family.Name,
                Opens = design.Family.Opens,
                Home = tell.Say(tell.NameAndSizeShown(design, home)),
                Width = (closed?.Width ?? design.AsRead(home.Width, home.Height).Width).Units,
                Height = (closed?.Height ?? design.AsRead(home.Width, home.Height).Height).Units,
                Panels = made is null ? [] : Teller.Drawn(made.Closed, closed!),
                Worn = made is null ? [] : Teller.Worn(made),
                Stock = design.Stock.Name,
            };
        }
        catch (InputProblemException e)
        {
            // It is of a known form, but something that it names is not to hand any more.
            return card with { Problem = Words(e) };
        }
        catch (Exception e) when (e is not OperationCanceledException)
        {
            // Whatever it is, it is this one's.
            return card with { Problem = "This card could not be worked out." };
        }
    }

    private static string Words(InputProblemException problem) => $"{problem.Field}: {problem.Reason}.";
}

using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Input;

namespace WholeFold.App.Features.Dress;

internal static class DressEndpoints
{
    public static void MapDress(this IEndpointRouteBuilder app)
    {
        var dress = app.MapGroup("/api/dress");
        dress.MapPost("", async (Body<DeskRequest> body, Studio studio, CancellationToken cancel) => (await On(studio, body.Value, cancel)).View())
            .Describes<DressView>("dress", "What a card wears, face by face and as a list.");
        dress.MapPost("/drop", async (Body<DropRequest> body, Studio studio, CancellationToken cancel) => (await On(studio, body.Value, cancel)).Drop(body.Value))
            .Describes<DropView>("dressDrop", "The edit that puts an element where it was let go of: on the face there, at the nearest of nine places, on marks of the trimmer.");
        dress.MapPost("/hide", async (Body<HideRequest> body, Studio studio, CancellationToken cancel) => (await On(studio, body.Value, cancel)).Hide(body.Value))
            .Describes<DropView>("dressHide", "The edit that makes what stands before an element just high enough to hide it; none where nothing does.");
        dress.MapPost("/nudge", async (Body<NudgeRequest> body, Studio studio, CancellationToken cancel) => (await On(studio, body.Value, cancel)).Nudge(body.Value))
            .Describes<DropView>("dressNudge", "The edit that moves an element by marks of the trimmer.");
    }

    private static async Task<DressTeller> On(Studio studio, DeskRequest request, CancellationToken cancel)
    {
        var desk = await studio.Lay(request.Design, request.Edits, cancel);
        var attempt = studio.Attempt(desk, cancel);
        return attempt.Card is { } card ? new DressTeller(desk, card)
            : throw new InputProblemException("dress.noFigures", "design", $"there is nothing to dress: {attempt.Problem?.Write(desk.Unit)}", "a design that has figures; the bench says what stands in its way");
    }
}

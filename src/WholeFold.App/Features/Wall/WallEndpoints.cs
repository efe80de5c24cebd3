using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Wall;

/// <summary>A design in one format, closed.</summary>
/// <param name="Sheets">How many of which sheets do.</param>
/// <param name="Changed">Which parameters had to move from their ideals by more than a mark, and how far.</param>
public sealed record WallCard(StripFormat Format, ClosedView? Closed, string Sheets, string Tools, IReadOnlyList<SentencePart> Changed, IReadOnlyList<SentencePart>? Problem);

/// <summary>One design in all formats at once.</summary>
public sealed record WallView(string Name, string Construction, IReadOnlyList<SentencePart> Home, string Stock, string Unit, IReadOnlyList<WallCard> Cards);

internal static class WallEndpoints
{
    public static void MapWall(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/wall", async (Body<DeskRequest> body, Studio studio, CancellationToken cancel) => Wall(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), cancel))
            .Describes<WallView>("wall", "One design in every format at once: closed, with its sheets, its envelope and what had to change.");

    private static WallView Wall(Studio studio, Desk desk, CancellationToken cancel)
    {
        var (tell, bench) = (new Teller(desk.Unit), new BenchTeller(studio, desk, cancel));
        return new WallView(
            desk.Spec.Name, desk.Design.Family.Name, tell.Say(tell.NameAndSize(desk.Design, desk.Design.Home)),
                Teller.Stock(desk.Design), tell.Symbol,
            [.. studio.Attempts(desk, bench.Targets(), cancel).Select(a => CardOf(tell, bench, a.Target, a))]);
    }

    private static WallCard CardOf(Teller tell, BenchTeller bench, Target target, Attempt attempt)
    {
        var strip = bench.Format(target, attempt);
        if (attempt.Card is not { } card)
        {
            return new WallCard(strip, null, "", "", [], tell.Say(attempt.Problem!));
        }

        var sheets = SheetCount.Of(card.Figures);
        return new WallCard(
            strip,
            tell.Closed(card),
            sheets is null ? "larger than any sheet" : string.Join(", ", sheets.Select(s => $"{s.Count} × {s.Sheet.Name}")),
            card.Figures.Tools.Name,
            tell.Say(Words.Join("; ", card.Figures.Eased.Select(p => Words.Of($"{p.Parameter.Name} {p.Ideal} → {p.Value}")))),
            null);
    }
}

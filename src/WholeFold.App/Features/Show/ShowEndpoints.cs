using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Print;

namespace WholeFold.App.Features.Show;

internal static class ShowEndpoints
{
    public static void MapShow(this IEndpointRouteBuilder app)
    {
        var show = app.MapGroup("/api/show");
        show.MapPost("", async (Body<ShowRequest> body, Studio studio, CancellationToken cancel) =>
            View(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value.Cards, cancel))
            .Describes<ShowView>("show", "A design one figure at a time, for a room: the big figure in both systems, the piece drawn, what is left to set.");
        show.MapPost("/came-out", async (Body<CameOutRequest> body, Studio studio, CancellationToken cancel) =>
            CameOutAs(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value, cancel))
            .Describes<OutcomeView>("showCameOut", "What can be done about a figure that came out otherwise: cut again, left, all else sized round it, or nothing.");
    }

    internal static Card CardOf(Studio studio, Desk desk, CancellationToken cancel)
    {
        var tell = new Teller(desk.Unit);
        return studio.Attempt(desk, cancel).Card ?? throw new InputProblemException("show.noFigures", "design", $"there are no figures for {tell.NameAndSize(desk.Design, desk.Target).Write(tell.Unit)}", "a design that has figures; the bench says what stands in its way");
    }

    private static ShowView View(Studio studio, Desk desk, int cards, CancellationToken cancel)
    {
        const int most = HandOut.MostCards;
        if (cards is < 1 or > most)
        {
            throw new InputProblemException("show.cards", "cards", $"{cards} cards are not shown at once", $"1 to {most}");
        }

        var (card, tell) = (CardOf(studio, desk, cancel).For(desk.Unit), new Teller(desk.Unit));
        var (second, other) = (card.Second, desk.Unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch);
        var steps = Steps.Of(card, cards);
        var screens = Screens.Of(card, steps);
        var all = card.All.ToDictionary(f => f.Id.ToString());
        var names = NamesOf(card);
        return new ShowView(
            desk.Spec.Name, desk.Design.Family.Name, tell.Say(tell.NameAndSize(desk.Design, desk.Target)), tell.Symbol, LengthWriter.Symbol(other), steps.Count,
            (int)Math.Ceiling(steps.Sum(s => card.Design.Inventory.Pace.Of(s.Work) + s.Holds) / 60d), Ready(card, steps, cards, desk.Unit),
            [.. screens.Select(screen =>
            {
                var step = steps[screen.Step];
                return new ScreenView
                {
                    Id = screen.Id,
                    Step = screen.Step,
                    Phase = step.Phase,
                    Title = Core.Constructions.Spoken.First(screen.Title),
                    Big = screen.Big is { } big ? tell.Say(big) : [],
                    BigOther = second is not null && screen.Shows?.On(second) is { } beside ? second.Read(beside, other) : [],
                    Say = tell.Say(screen.Say),
                    Why = screen.Why is { } why ? tell.Say(why) : null,
                    LookFor = step.LookFor is { } look && step.Bonds.Count == 0 ? tell.Say(look) : null,
                    Tip = screen.Part is null or 0 ? step.Tip : null,
                    Tool = step.Tool,
                    Seconds = card.Design.Inventory.Pace.Of(step.Work),
                    Holds = step.Holds,
                    Waits = step is { Work.Act: Act.Wait, Holds: > 0 },
                    HoldsFor = step.HoldsFor,
                    Cautions = [.. step.Cautions.Select(c => Steps.Cautions[c])],
                    Drawings = [.. StepDrawing.Of(card, steps, screen.Step, screen.Part).Select(Drawn)],
                    Figures = [.. screen.Figures.Where(_ => step.Phase <= Phase.Flat).Where(names.ContainsKey)
                        .Select(id => new ShownFigure(id, names[id], LengthWriter.Parts(all[id].Value, desk.Unit)))],
                };
            })]);
    }

    /// <summary>Figures by what they are called in lists.</summary>
    private static Dictionary<string, string> NamesOf(Card card) => FigureRows.Of(card, inOrderOfSetting: false).SelectMany(s => s.Rows.Select(r => (s.Title, Row: r)))
        .ToDictionary(r => r.Row.Figure.Id.ToString(), r => $"{r.Title}, {r.Row.Label}{(r.Row.Detail is "cut" or "" ? "" : $", {r.Row.Detail.Replace(" | ", " and ", StringComparison.Ordinal)}")}");

    /// <summary>What lies ready: papers by how many sheets of them all cards take, tools, adhesive, what is off the roll.</summary>
    private static List<string> Ready(Card card, IReadOnlyList<Step> steps, int cards, DisplayUnit unit)
    {
        var ready = new List<string>();
        if (SheetCount.Of(card.Figures, cards) is { } sheets)
        {
            ready.AddRange(sheets.Select(s => $"{Teller.Many(s.Count, "sheet", "sheets")} of {s.Sheet.Name} for {string.Join(", ", s.Pieces)}, {card.Design.StockOf(null).Name}"));
        }

        ready.AddRange(card.Layers.Select(l => l.Stock.Name).Concat(card.Dressed.Elements.Where(e => !e.Element.IsInk).Select(e => e.Element.Stock.Name)).Distinct());
        ready.AddRange(steps.Select(s => s.Tool).Where(t => t is not ("by hand" or "as it is there")).Distinct());
        return [.. ready.Append(card.Construction.GoesRound ? "" : card.Packing.Said.Write(unit)).Where(r => r.Length > 0)];
    }

    private static DrawnStep Drawn(StepDrawing drawing)
    {
        static int Tenths(double millimetres) => (int)Math.Round(millimetres * 10);
        return new DrawnStep(drawing.Name, Tenths(drawing.Width), Tenths(drawing.Height),
            [.. drawing.Marks.Select(m => new DrawnMark(m.Kind,
            [.. m.Lines.Select(l => (IReadOnlyList<int>)[.. l.SelectMany(p => new[] { Tenths(p.X), Tenths(p.Y) })])], m.Closed, m.New, m.Tint, m.Light))]);
    }

    private static OutcomeView CameOutAs(Studio studio, Desk desk, CameOutRequest request, CancellationToken cancel)
    {
        var (card, tell) = (CardOf(studio, desk, cancel), new Teller(desk.Unit));
        var real = LengthReader.Read(request.Real, desk.Read.Unit, "real", "a length such as 4 7/8 or 12.3 cm");
        var outcome = CameOut.Of(desk.Spec, desk.Reader, request.Figure, real, request.Done.ToHashSet());
        var names = NamesOf(card);
        return new OutcomeView(
            outcome.Rescue, tell.Say(outcome.Say), outcome.Edits,
            [.. outcome.Changes.Where(c => names.ContainsKey(c.Id.ToString()))
                .Select(c => new ChangedView(names[c.Id.ToString()], LengthWriter.Parts(c.Was, desk.Unit), LengthWriter.Parts(c.Now, desk.Unit)))]);
    }
}

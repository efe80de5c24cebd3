using System.Globalization;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Planning;

namespace WholeFold.App.Features.Cut;

/// <summary>A paper of a design, as it is cut.</summary>
internal sealed record Paper(string Design, string Role, Core.Paper.Stock Stock, Length Width, Length Height);

/// <summary>Puts cut plans into the reader's unit and words.</summary>
internal sealed class CutTeller(Desk desk)
{
    private readonly Teller _tell = new(desk.Unit);

    public CutPlanView View(int cards, IReadOnlyList<CutRun> runs)
    {
        var plans = runs.Where(r => r.Best is not null).Select(r => (r.Job, Plan: r.Best!)).ToList();
        var (running, stopped) = (runs.Any(r => r.Running), runs.Any(r => r.Stopped));
        return new CutPlanView
        {
            Name = desk.Spec.Name,
            Construction = desk.Design.Family.Name,
            Size = _tell.Say(_tell.NameAndSize(desk.Design, desk.Target)),
            Cards = cards,
            Unit = _tell.Symbol,
            Running = running,
            Stopped = stopped,
            Title = plans.Count < runs.Count ? $"{Teller.Many(cards, "card", "cards")}"
                : $"{Teller.Many(cards, "card", "cards")} from {PlanWords.Sheets(plans.Sum(p => p.Plan.SheetCount))}",
            Said = [.. Said([.. plans.Select(p => p.Plan)], runs.Count, running)],
            Stocks = [.. runs.Select(Stock)],
            Book = [.. plans.SelectMany(p => Booked.Takes(p.Job, p.Plan).Select(t => Line(p.Job, t)))],
            Cautions = [.. PlanWords.Cautions([.. plans.Select(p => p.Plan)])],
        };
    }

    private static IEnumerable<string> Said(IReadOnlyList<CutPlan> plans, int stocks, bool running)
    {
        if (running)
        {
            yield return plans.Count < stocks ? "Looking for a plan."
                : "Looking for a better plan; you can stop any time and cut this one.";
        }
        else if (plans.Count == stocks && plans.Count > 0)
        {
            var open = plans.Where(p => !p.Proven).ToList();
            yield return open.Count == 0 ? "No plan needs less: shown for each stock."
                : $"No plan needs less, except perhaps of {string.Join(" and ", open.Select(p => p.Stock))}.";
        }

        if (plans.Count > 0)
        {
            var settings = plans.SelectMany(p => p.Sheets).SelectMany(s => s.Cuts).Select(c => c.At).Distinct().Count();
            yield return $"The trimmer is set to {Teller.Many(settings, "distance", "distances")} in all.";
        }
    }

    private CutStockView Stock(CutRun run)
    {
        var (stock, plan) = (run.Job.Stock, run.Best);
        return new CutStockView(
            stock.Id, stock.Name, Teller.ColourOf(stock),
            run.Running ? "looking" : plan is null ? "none" : run.Stopped ? "stopped" : "planned", plan?.SheetCount ?? 0,
            plan is null ? "" : run.Running ? $"{PlanWords.Sheets(plan.SheetCount)} so far." : PlanWords.Proof(plan),
            run.Problem is { } problem ? _tell.Say(problem) : null,
            plan is null ? [] : [.. plan.Alike.Select(s => Sheet(run, plan, s))]);
    }

    private CutSheetView Sheet(CutRun run, CutPlan plan, AlikeSheets alike)
    {
        var (sheet, pieces) = (alike.First, alike.Pieces);
        var steps = CutStep.Of(sheet).Select((s, i) => (Step: s, N: i + 1)).ToList();
        var stacked = PlanWords.Stacked(plan, alike) is { } at ? $", {at}" : "";
        return new CutSheetView(
            alike.Count == 1 ? "1 sheet" : $"{alike.Count} sheets alike",
            _tell.Say($"{run.Job.Stock.Name}, {Called(sheet.Sheet, alike.Count)}{stacked}{(sheet.Sheet.HasWayUp ? ", way up kept" : "")}"),
            sheet.Sheet.Width.Units, sheet.Sheet.Height.Units, sheet.Sheet.HasWayUp,
            [.. sheet.Parts.Select(p => new CutPartView(pieces.Count(o => (o.Width, o.Height) == (p.Piece.Width, p.Piece.Height)) > 1
                ? "" : p.Piece.Name, _tell.Say($"{p.Piece.Width} × {p.Piece.Height}"), Box(p.X, p.Y, p.Width, p.Height)))],
            [.. sheet.Left.Select(l => new CutLeftView(_tell.Say($"{l.Width} × {l.Height}"), Box(l.X, l.Y, l.Width, l.Height),
                PlanWords.IsKept(l, _tell.Unit.SystemOf())))],
            [.. sheet.Lines.Select(l => (Line: l, steps.First(s => l.N >= s.Step.First && l.N <= s.Step.Last).N, steps)).Select(l =>
                new CutLineView(
                l.N, steps.Exists(s => s.N == l.N && s.Step.First == l.Line.N),
                new LineView(new Bench.Spot(l.Line.X.Units, l.Line.Y.Units), new Bench.Spot(l.Line.ToX.Units, l.Line.ToY.Units))))],
            [.. steps.Select(s => new CutStepView(s.N, _tell.Say(s.Step.Text), _tell.Say(s.Step.Lies), _tell.Text(s.Step.At),
                s.Step.ByHand))],
            _tell.Say(PlanWords.Out(alike)), PlanWords.ManyStages(sheet));
    }

    /// <summary>"Letter", or "an offcut of 6 1/8 × 11 in".</summary>
    private static Words Called(SheetKind sheet, int count) => !sheet.IsOffcut ? Words.Of($"{sheet.Name}")
        : Words.Of($"{(count > 1 ? "offcuts" : "an offcut")} of {sheet.Width} × {sheet.Height:u}");

    private static BoxView Box(Length x, Length y, Length width, Length height) => new(x.Units, y.Units, width.Units, height.Units);

    private BookView Line(BookedJob job, Taken taken)
    {
        var packs = taken.Packs;
        var price = taken.Costs is { } costs ? string.Create(CultureInfo.InvariantCulture, $", {costs:0.00}") : "";
        return new BookView(
            taken.Entry?.Id, job.Stock.Name, taken.Sheet.Name, _tell.Say($"{taken.Sheet.Width} × {taken.Sheet.Height:u}"), taken.Takes,
                taken.Entry?.Count,
            Math.Max(0, taken.Has - taken.Takes), taken.Short,
            packs == 0 ? null : $"buy {(taken.Entry!.Pack > 1 ? Teller.Many(packs, "pack", "packs") : $"{packs}")}{price}");
    }

    /// <summary>What offcuts are good for: the largest papers of any design that they take, of their own stock first.</summary>
    public IEnumerable<GoodForLine> GoodFor(IEnumerable<CutRun> runs, IReadOnlyList<Paper> papers) => Kept(runs).Select(k =>
    {
        var best = papers.Where(p => p.Stock.Kind == k.Job.Stock.Kind).Select(p =>
            (Paper: p, Fits: Fits(k.Width, k.Height, p, k.Job.Stock.Directional)))
            .Where(p => p.Fits > 0).OrderByDescending(p => p.Paper.Stock.Id == k.Job.Stock.Id)
            .ThenByDescending(p => p.Paper.Width.Units * p.Paper.Height.Units).ThenByDescending(p => p.Fits).FirstOrDefault();
        return new GoodForLine(k.Job.Stock.Name, _tell.Say($"{k.Width} × {k.Height:u}"), k.Count,
            best.Fits == 0 ? null : $"{best.Fits} for “{best.Paper.Design}”: {best.Paper.Role}");
    });

    private static long Fits(Length width, Length height, Paper paper, bool hasWayUp)
    {
        long Laid(Length w, Length h) => width.Units / w.Units * (height.Units / h.Units);
        return hasWayUp ? Laid(paper.Width, paper.Height) : Math.Max(Laid(paper.Width, paper.Height), Laid(paper.Height, paper.Width));
    }

    /// <summary>What of a plan comes into the stock book when it is taken from it.</summary>
    public IEnumerable<(BookedJob Job, Length Width, Length Height, int Count)> Kept(IEnumerable<CutRun> runs) =>
        runs.SelectMany(r => r.Best!.Sheets.SelectMany(s => PlanWords.Kept(s, desk.Unit.SystemOf()).Select(k =>
            (r.Job, k.Width, k.Height, Count: k.Count * s.Count))))
            .GroupBy(k => (k.Job.Stock.Id, Side: Side(k.Width, k.Height, k.Job.Stock.Directional)))
            .Select(g => (g.First().Job, g.Key.Side.Width, g.Key.Side.Height, g.Sum(k => k.Count)));

    /// <summary>Where nothing has a way up it is the same however it lies.</summary>
    public static (Length Width, Length Height) Side(Length width, Length height, bool hasWayUp) =>
        hasWayUp ? (width, height) : (Length.Min(width, height), Length.Max(width, height));
}

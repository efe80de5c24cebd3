using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Show;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Measure;
using WholeFold.Planning;
using WholeFold.Store;

namespace WholeFold.App.Features.Cut;

/// <summary>From so many cards of a design to the sheets they are cut from, and what the stock book has of them.</summary>
internal static class CutEndpoints
{
    private const int MostTakings = 5;

    /// <summary>A plan that is found in this time is answered at once; longer ones are asked for again.</summary>
    private static readonly TimeSpan AtOnce = TimeSpan.FromMilliseconds(400);

    public static void MapCut(this IEndpointRouteBuilder app)
    {
        var cut = app.MapGroup("/api/cut");
        cut.MapPost("", async (Body<CutRequest> body, Studio studio, CutRuns runs, PlanStore plans, CancellationToken cancel) =>
            {
                var (desk, asked) = (await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value);
                var now = await Runs(studio, runs, desk, asked, cancel);
                if (now.All(r => !r.Running && !r.Stopped && r.Best is not null))
                {
                    await Keep(plans, desk, asked, now, cancel);
                }

                return new CutTeller(desk).View(asked.Cards, now);
            })
            .Describes<CutPlanView>("cut",
                "So many cards of a design as sheets to cut: the best plan so far, and whether a better one is looked for.");
        cut.MapPost("/short", async (Body<CutRequest> body, Studio studio, CancellationToken cancel) =>
                Short(studio, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), Cards(body.Value), cancel))
            .Describes<ShortView>("cutShort",
                "Where the stock book is short: how many cards can be cut from what is there, and what would make it go.");
        cut.MapPost("/good-for", async (Body<CutRequest> body, Studio studio, CutRuns runs, DesignStore store, CancellationToken cancel) =>
                await GoodFor(studio, runs, store, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value, cancel))
            .Describes<GoodForView>("cutGoodFor",
                "What the offcuts of a plan are good for: the largest papers of this studio's designs that they take.");
        cut.MapPost("/take", async (Body<CutRequest> body, Studio studio, CutRuns runs, StockBook book, PlanStore plans,
            CancellationToken cancel) =>
                await Take(studio, runs, book, plans, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value, cancel))
            .Describes<TakingView>("cutTake", "Takes a plan's sheets from the stock book, and puts what is left over into it.");
        cut.MapGet("/takings", async (StockBook book, CancellationToken cancel) =>
            new TakingsView([.. (await book.Takings(MostTakings, cancel)).Select(View)]))
            .Describes<TakingsView>("cutTakings", "What was last taken from the stock book.");
        cut.MapPut("/takings", async (Body<TakingRequest> body, StockBook book, CancellationToken cancel) =>
            View(await book.Set(body.Value.Id, body.Value.Undone, cancel)))
            .Describes<TakingView>("cutTaking", "Puts back what was taken, or takes it again.");
        cut.MapPost("/kept", async (Body<CutRequest> body, Studio studio, PlanStore plans, CancellationToken cancel) =>
                await Kept(plans, await studio.Lay(body.Value.Design, body.Value.Edits, cancel), body.Value, cancel))
            .Describes<KeptPlansView>("cutKept", "Earlier plans of a design, and what has changed since each was made.");
        cut.MapGet("/kept/{design}/{id:long}", async (string design, long id, PlanStore plans, CancellationToken cancel) =>
                await plans.Find(design, id, cancel) is { } kept ? Results.Text(kept.Shown, "application/json")
                    : ProblemHandler.Of(StatusCodes.Status404NotFound, "No such plan", "This design has no plan of that number.",
                        "plan.missing"))
            .Describes<CutPlanView>("cutKeptPlan", "An earlier plan as it was.").ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Task<long?> Keep(PlanStore plans, Desk desk, CutRequest asked, IReadOnlyList<CutRun> runs, CancellationToken cancel,
        bool inPlace = false) => plans.Keep(asked.Id, KeyOf(desk, asked.Cards), From(desk, asked.Cards),
            JsonSerializer.Serialize(new CutTeller(desk).View(asked.Cards, runs), StrictJson.OnOneLine), inPlace, cancel);

    private static int Cards(CutRequest asked) => Planning.Jobs.Checked(asked.Cards, "cards");

    private static IReadOnlyList<BookedJob> Jobs(Desk desk, Card card, int cards)
    {
        try
        {
            return Planning.Jobs.Of([new CardsOf(desk.Spec.Name, card.For(desk.Unit), cards)], desk.Design.Inventory.All<OwnedSheet>(),
                desk.Design.Inventory.Sheets);
        }
        catch (NoPlanException e)
        {
            throw new InputProblemException("plan.none", "design", e.Text.Write(desk.Unit).TrimEnd('.'),
                "a design whose pieces come out of the sheets that there are");
        }
    }

    private static async Task<IReadOnlyList<CutRun>> Runs(Studio studio, CutRuns runs, Desk desk, CutRequest asked,
        CancellationToken cancel)
    {
        var jobs = Jobs(desk, ShowEndpoints.CardOf(studio, desk, cancel), Cards(asked));
        var mine = jobs.Select(j => runs.Of(j, asked.GoOn)).ToList();
        if (asked.Stop)
        {
            mine.ForEach(r => r.Stop());
        }

        for (var waited = TimeSpan.Zero; waited < AtOnce && mine.Exists(r => r.Running); waited += AtOnce / 20)
        {
            await Task.Delay(AtOnce / 20, cancel);
        }

        return mine;
    }

    private static async Task<TakingView> Take(Studio studio, CutRuns runs, StockBook book, PlanStore plans, Desk desk,
        CutRequest asked, CancellationToken cancel)
    {
        var now = await Runs(studio, runs, desk, asked, cancel);
        if (now.Any(r => r.Running || r.Best is null))
        {
            throw new InputProblemException("plan.unfinished", "cards", "this plan is not done yet",
                "a plan that is, or one that was stopped");
        }

        var takes = now.SelectMany(r => Booked.Takes(r.Job, r.Best!)).ToList();
        if (takes.Find(t => t.Short > 0) is { } missing)
        {
            throw new InputProblemException("book.short", missing.Entry!.Id,
                $"the stock book has {missing.Has} of {missing.Entry.Name}, and the plan takes {missing.Takes}",
                "fewer cards, or more in the stock book");
        }

        var changes = takes.Where(t => t.Entry is not null)
            .Select(t => new BookChange(t.Entry!.Id, t.Entry.Name, -t.Takes, t.Entry.IsOffcut ? Written(t.Entry) : null));
        var left = new CutTeller(desk).Kept(now).Select(k => Offcut(desk, k.Job, k.Width, k.Height, k.Count));

        // An offcut may be cut from and one of its size be left over: that is one change.
        var all = changes.Concat(left).GroupBy(c => c.Id).Select(g => g.First() with { By = g.Sum(c => c.By) }).ToList();
        var taken = await book.Take($"{asked.Cards} × {desk.Spec.Name}", all, cancel);
        return View(taken) with { Plan = await Keep(plans, desk, asked, now, cancel, inPlace: true) };
    }

    /// <summary>An offcut of one size is always the same entry, so that equal ones are counted together.</summary>
    private static BookChange Offcut(Desk desk, BookedJob job, Length width, Length height, int count)
    {
        var unit = desk.Unit == DisplayUnit.Inch ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        var entry = job.Book.FirstOrDefault(b => b.IsOffcut
            && CutTeller.Side(b.Width, b.Height, job.Stock.Directional) == (width, height)) ?? new OwnedSheet(
            Shortened($"{job.Stock.Id}-{width.Units}-{height.Units}"),
                $"{job.Stock.Name}, offcut {LengthWriter.Write(width, unit)} × {LengthWriter.WithUnit(height, unit)}",
            job.Stock.Id, width, height, unit.SystemOf(), count, IsOffcut: true);
        return new BookChange(entry.Id, entry.Name, count, Written(entry));
    }

    private static string Shortened(string id) => id.Length <= 40 ? id
        : Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(id)))[..40];

    private static JsonObject Written(OwnedSheet entry) => JsonSerializer.SerializeToNode(new OwnedSheetSpec(
        entry.Id, entry.Name, $"{entry.Width}", $"{entry.Height}", entry.Stock, entry.Count, entry.System == UnitSystem.Imperial ? "in"
            : "mm",
        Offcut: true), StrictJson.Options)!.AsObject();

    private static ShortView Short(Studio studio, Desk desk, int cards, CancellationToken cancel)
    {
        var card = ShowEndpoints.CardOf(studio, desk, cancel);
        var missing = Jobs(desk, card, cards).Where(j => !Shortage.Fits(j)).ToList();
        if (missing.Count == 0)
        {
            return new ShortView("", cards, []);
        }

        var can = Shortage.CanMake(cards - 1, n => Jobs(desk, card, n));
        var ways = new List<ShortWay>();
        if (can > 0)
        {
            ways.Add(new ShortWay($"Cut {Teller.Many(can, "card", "cards")} from what is here", null, can));
        }

        ways.AddRange(new[] { Layers(desk, card, missing), Formats(desk, card) }.SelectMany(all =>
            all.Where(e => Goes(studio, desk, e, cards, cancel)).Take(3))
            .Select(e => new ShortWay(Core.Constructions.Spoken.First(e.Describe(desk.Spec, desk.Reader).Write(desk.Unit)), e, null)));
        return new ShortView($"Not enough {string.Join(" and ", missing.Select(m => m.Stock.Name))}.", can, ways);
    }

    /// <summary>Papers of a stock that is short, in another that the book has, or left off.</summary>
    private static IEnumerable<DesignEdit> Layers(Desk desk, Card card, IReadOnlyList<BookedJob> missing)
    {
        var others = desk.Design.Inventory.All<OwnedSheet>().Where(b => b.Count > 0).Select(b => b.Stock).Distinct()
            .Where(s => missing.All(m => m.Stock.Id != s)).ToList();
        foreach (var layer in card.Layers.Where(l => missing.Any(m => m.Stock.Id == l.Stock.Id)))
        {
            var spec = desk.Spec.Dressing?.Layers.FirstOrDefault(l => l.Role == layer.Role.Id && l.Level == layer.Level)
                ?? new LayerSpec(layer.Role.Id, layer.Level, layer.Stock.Id);
            foreach (var other in others.Where(o => desk.Design.Inventory.Find<Core.Paper.Stock>(o)?.Kind == layer.Stock.Kind))
            {
                yield return new Wear(layer.Role.Id, layer.Level, spec with { Stock = other });
            }

            yield return new Wear(layer.Role.Id, layer.Level, spec with { Worn = false });
        }
    }

    /// <summary>Smaller formats, the nearest in size first.</summary>
    private static IEnumerable<DesignEdit> Formats(Desk desk, Card card)
    {
        static long Area(Length width, Length height) => width.Units * height.Units;
        return desk.Design.Inventory.Formats.Where(f => f.System == desk.Target.Format.System
            && Area(f.Width, f.Height) < Area(card.Size.Width, card.Size.Height))
            .OrderByDescending(f => Area(f.Width, f.Height)).Take(3).Select(f => new ConvertTo(f.Id));
    }

    private static bool Goes(Studio studio, Desk desk, DesignEdit edit, int cards, CancellationToken cancel)
    {
        try
        {
            var spec = DesignEdit.Apply([edit], desk.Spec, desk.Reader);
            var read = desk.Reader.Read(spec);
            var other = new Desk(spec, desk.Reader, read, $"{desk.Key}|{JsonSerializer.Serialize(edit, StrictJson.OnOneLine)}");
            return studio.Attempt(other, cancel).Card is { } card && Jobs(other, card, cards).All(Shortage.Fits);
        }
        catch (InputProblemException)
        {
            // What cannot be done to this card is no way.
            return false;
        }
    }

    private static async Task<GoodForView> GoodFor(Studio studio, CutRuns runs, DesignStore store, Desk desk, CutRequest asked,
        CancellationToken cancel)
    {
        var now = await Runs(studio, runs, desk, asked, cancel);
        var papers = new List<Paper>();
        foreach (var listed in await store.List(cancel))
        {
            if ((await store.Find(listed.Id, cancel))?.State is { } state)
            {
                try
                {
                    var other = await studio.Lay(state, [], cancel);
                    papers.AddRange(studio.Attempt(other, cancel).Card?.Layers.Select(l =>
                        new Paper(listed.Name, l.Role.Name, l.Stock, l.Width.Value, l.Height.Value)) ?? []);
                }
                catch (InputProblemException)
                {
                    // A design that cannot be read has no papers to cut.
                }
            }
        }

        var tell = new CutTeller(desk);
        return new GoodForView([.. now.All(r => r.Best is not null) ? tell.GoodFor(now, papers) : []]);
    }

    private static async Task<KeptPlansView> Kept(PlanStore plans, Desk desk, CutRequest asked, CancellationToken cancel)
    {
        var (now, key) = (From(desk, asked.Cards), KeyOf(desk, asked.Cards));
        return new KeptPlansView([.. (await plans.Of(asked.Id, cancel)).Where(p => p.Key != key).Select(p => new KeptPlanView(
            p.Id, At(p.At), (string?)JsonNode.Parse(p.Shown)?["title"] ?? "",
                [.. now.Where(n => p.From.GetValueOrDefault(n.Key) != n.Value).Select(n => n.Key switch
            {
                "design" or "stock book" => $"The {n.Key} has changed.",
                _ => $"{Core.Constructions.Spoken.First(n.Key)}: {p.From.GetValueOrDefault(n.Key)} then, {n.Value} now.",
            })]))]);
    }

    /// <summary>What a plan is made from, each by the name it is told by.</summary>
    private static Dictionary<string, string> From(Desk desk, int cards) => new()
    {
        ["cards"] = cards.ToString(CultureInfo.InvariantCulture),
        ["size"] = new Teller(desk.Unit).NameAndSize(desk.Design, desk.Target).Write(desk.Unit),
        ["tools"] = desk.Design.ToolsFor(desk.Target).Name,
        ["design"] = Hash(DesignFile.Canonical(desk.Spec with { Target = null, TargetTurn = false, Tools = null })),
        ["stock book"] = Book(desk),
    };

    private static string KeyOf(Desk desk, int cards) =>
        Hash($"{desk.Key}|{desk.Target.Key}|{desk.Target.Width.Units}|{desk.Target.Height.Units}|{Book(desk)}|{cards}");

    private static string Book(Desk desk) => Hash(string.Join('\n', desk.Design.Inventory.All<OwnedSheet>().Select(o => o.ToString())));

    private static string Hash(string text) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(text)));

    private static TakingView View(Taking taking) => new(taking.Id, At(taking.At), taking.For, taking.Undone);

    private static string At(DateTimeOffset at) => at.ToLocalTime().ToString("d MMM yyyy, HH:mm", CultureInfo.InvariantCulture);
}

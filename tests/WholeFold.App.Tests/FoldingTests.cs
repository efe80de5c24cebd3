using System.Net.Http.Json;
using System.Net;
using System.Text.Json;
using WholeFold.App.Cli;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Folding;
using WholeFold.App.Features.Shelf;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>The shelf, the drawings of all constructions, and how a card folds.</summary>
public sealed class FoldingTests(SharedStudio shared)
{
    private readonly HttpClient _client = shared.Client();

    private static DesignReader Reader { get; } = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private static DesignSpec Spec(string construction, string format = "6x6") => new() { Name = "x", Construction = construction, Format = format };

    [Fact]
    public async Task Every_cut_and_every_score_of_the_json_is_in_the_drawing()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = Spec(family.Id);
            var view = await _client.Bench(spec);
            var read = Reader.Read(spec);
            using var json = JsonDocument.Parse(SizedJson.Write(Card.Of(read.Design, read.Target, TestContext.Current.CancellationToken), DisplayUnit.Inch));
            foreach (var (piece, drawn) in json.RootElement.GetProperty("pieces").EnumerateArray().Zip(view.Pieces))
            {
                var scores = piece.GetProperty("scores").EnumerateArray().ToList();
                Assert.Equal(scores.Select(s => s.GetProperty("at").GetProperty("units").GetInt64()), drawn.Scores.Select(s => s.At.Units));
                Assert.Equal(scores.Select(s => s.TryGetProperty("stretches", out var parts) ? parts.GetArrayLength() : 1), drawn.Scores.Select(s => s.Parts.Count));
                Assert.Equal(piece.GetProperty("cuts").EnumerateArray().Select(c => c.GetProperty("kind").GetString()).Skip(1), drawn.Cuts.Select(o => SizedJson.Name(o.Kind)));

                // Nothing is drawn off its piece, and nothing as a point.
                var (width, height) = (drawn.Width.Units, drawn.Height.Units);
                foreach (var corner in drawn.Cuts.SelectMany(o => o.Line).Concat(drawn.Glue.SelectMany(g => g.Outline))
                    .Concat(drawn.Scores.SelectMany(s => s.Parts).SelectMany(p => new[] { p.From, p.To })))
                {
                    Assert.True(corner.X >= 0 && corner.X <= width && corner.Y >= 0 && corner.Y <= height, $"{family.Id}: {drawn.Id}");
                }

                Assert.All(drawn.Scores.SelectMany(s => s.Parts), p => Assert.NotEqual(p.From, p.To));
                var order = drawn.Order.SelectMany(o => o.Scores).Select(s => s.FigureId).Order();
                Assert.Equal(drawn.Scores.Select(s => s.FigureId).Order(), order);
            }
        }
    }

    [Fact]
    public async Task Scores_that_the_rule_does_not_read_say_how_they_run_and_are_set()
    {
        var carrier = (await _client.Bench(Spec("twist-pop"))).Pieces.Single(p => p.Id == "carrier");
        Assert.Equal([ScoreRun.Upright, ScoreRun.Level, ScoreRun.Slanting, ScoreRun.Slanting], carrier.Scores.Select(s => s.Runs));
        Assert.Equal(["as it lies", "laid the other way", "from tick to tick"], carrier.Order.Select(o => o.Words));
        Assert.StartsWith("ticks at ", carrier.Scores[2].Words.Said(), StringComparison.Ordinal);
        var swing = (await _client.Bench(Spec("double-swing"))).Pieces[0];
        Assert.All(swing.Cuts, o => Assert.Equal((4, false), (o.Line.Count, o.Closed)));
        Assert.All((await _client.Bench(Spec("twist-pop-wide"))).Pieces[1].Cuts, o => Assert.True(o.Closed));
    }

    [Fact]
    public async Task The_poses_go_from_closed_to_shown_with_the_steps_that_make_the_card()
    {
        var view = await _client.Ask<FoldingView>("/api/folding", Spec("tier-scene"));
        Assert.True(view.Poses.Moves);
        Assert.Equal((0d, 1d), (view.Poses.Frames[0].Share, view.Poses.Frames[^1].Share));
        Assert.All(view.Poses.Frames.SelectMany(f => f.Shapes), s => Assert.True(s.Outline.Count >= 6 && s.Outline.Count % 2 == 0));
        Assert.All(view.Poses.Frames.SelectMany(f => f.Shapes).SelectMany(s => s.Outline.Chunk(2)),
            p => Assert.True(p[0] >= view.Poses.Left && p[0] <= view.Poses.Left + view.Poses.Width && p[1] >= view.Poses.Top
            && p[1] <= view.Poses.Top + view.Poses.Height));
        var press = view.Steps.First(s => s.Lights.Count > 0);
        Assert.Contains("Check: ", press.Say.Said(), StringComparison.Ordinal);
        Assert.Contains("its fold", press.Say.Said(), StringComparison.Ordinal);
        Assert.Contains(view.Steps, s => s.Cautions.Count > 0);

        // Seen from the other side it is another picture of the same card.
        var behind = await Http.Read<FoldingView>(await _client.PostAsJsonAsync("/api/folding", new FoldingRequest { Design = Spec("tier-scene"), Aside = -150 }, StrictJson.Options, TestContext.Current.CancellationToken));
        Assert.NotEqual(view.Poses.Frames[^1].Shapes[0].Outline, behind.Poses.Frames[^1].Shapes[0].Outline);
        Assert.Equal(HttpStatusCode.BadRequest, (await _client.PostAsJsonAsync("/api/folding", new FoldingRequest { Design = Spec("tier-scene"), Above = 91 },
            StrictJson.Options, TestContext.Current.CancellationToken)).StatusCode);
        Assert.NotEmpty(view.Troubles);
        Assert.Equal(view.Closed.Thickness, view.Map.Greatest);
        Assert.Contains(view.Map.Spots, s => s.Share == 1);

        var wide = await _client.Ask<FoldingView>("/api/folding", Spec("twist-pop-wide"));
        Assert.Equal((false, 2), (wide.Poses.Moves, wide.Poses.Frames.Count));
        Assert.Equal(["first", "cross", "last"], (await _client.Ask<FoldingView>("/api/folding", Spec("never-ending"))).States.Select(s => s.Id));
    }

    [Fact]
    public async Task Poses_of_what_has_no_figures_are_refused_with_the_reason()
    {
        var stuck = Spec("winged-lock-gatefold", "5x5") with { Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } };
        var response = await _client.PostAsJsonAsync("/api/folding", new DeskRequest { Design = stuck }, TestContext.Current.CancellationToken);
        Assert.Equal("poses.noFigures", (await response.Problem()).GetProperty("code").GetString());
    }

    [Fact]
    public async Task The_envelopes_to_make_are_for_the_card_as_it_closes()
    {
        var card = await _client.Ask<FoldingView>("/api/folding", Spec("twist-pop"));
        Assert.Equal(["envelope", "box-envelope"], card.Envelopes.Select(e => e.Design.Construction));
        foreach (var spec in card.Envelopes.Select(e => e.Design))
        {
            var read = Reader.Read(spec);
            var made = Card.Of(read.Design, read.Target, TestContext.Current.CancellationToken);
            var thick = made.Figures.Parameters.Single(p => p.Parameter.Id == "thick").Value;
            Assert.Equal(card.Closed.Thickness, $"{Math.Round(thick.Millimetres, 1):0.0} mm");

            // The room round the card, an eighth, and its thickness.
            Assert.True(made.Closed.Width.Units >= card.Closed.Width.Units + Length.In(1, 8).Units + thick.Units);
            Assert.True(made.Closed.Height.Units >= card.Closed.Height.Units + Length.In(1, 8).Units + thick.Units);
        }

        // For a card in inches it is told in inches, for one in millimetres in millimetres.
        Assert.All(card.Envelopes, e => Assert.Equal("6x6in", e.Design.Format));
        Assert.All((await _client.Ask<FoldingView>("/api/folding", Spec("plain-fold", "a6-iso"))).Envelopes, e => Assert.Equal("105x148mm", e.Design.Format));
        Assert.Empty((await _client.Ask<FoldingView>("/api/folding", Spec("envelope"))).Envelopes);
    }

    [Fact]
    public async Task The_shelf_has_every_construction_with_what_one_looks_for_it_by()
    {
        var shelf = (await _client.GetFromJsonAsync<ShelfView>("/api/shelf", StrictJson.Options, TestContext.Current.CancellationToken))!;
        Assert.Equal(ConstructionLibrary.All.Select(c => c.Id), shelf.Cards.Select(c => c.Id));
        var by = shelf.Cards.ToDictionary(c => c.Id);
        Assert.Equal((Effect.Opens, (int?)1, true, Difficulty.Simple), (by["plain-fold"].Does, by["plain-fold"].Sheets, by["plain-fold"].GoesFlat, by["plain-fold"].Difficulty));
        Assert.Equal((Effect.Stands, false, Difficulty.TakesPatience), (by["pillar-tiers"].Does, by["pillar-tiers"].GoesFlat, by["pillar-tiers"].Difficulty));
        Assert.Null(by["drop-flap"].Sheets);
        Assert.Equal(["twist-pop-wide"], shelf.Cards.Where(c => !c.Poses.Moves).Select(c => c.Id));
        Assert.All(shelf.Cards, c => Assert.NotEmpty(c.Poses.Frames[^1].Shapes));
        Assert.All(shelf.Cards, c => Assert.True(c.Formats.Length > 0 && c.Watch.Count > 0));
    }

    /// <summary>What the shelf says of formats is so: where it says that a card goes in all of them, no error stands in its way in
    /// any.</summary>
    [Fact]
    public async Task A_card_that_goes_in_every_format_goes_in_each()
    {
        var shelf = (await _client.GetFromJsonAsync<ShelfView>("/api/shelf", StrictJson.Options, TestContext.Current.CancellationToken))!;
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        var (everywhere, tried) = (shelf.Cards.Where(c => c.Formats.StartsWith("every format", StringComparison.Ordinal)).ToList(), 0);
        Assert.InRange(everywhere.Count, 3, shelf.Cards.Count - 3);
        foreach (var (card, i) in everywhere.Select((c, i) => (c, i)))
        {
            foreach (var format in Inventory.Shipped.Formats.Where((_, n) => n % 3 == i % 3))
            {
                var read = reader.Read(new DesignSpec { Construction = card.Id, Format = format.Id });
                Assert.True(Attempt.Of(read.Design, read.Target, TestContext.Current.CancellationToken).Card?.Checks.All(c =>
                    c.Severity != Severity.Error), $"{card.Name} in {format.Name}");
                tried++;
            }

            Assert.Empty(card.Refuses);
        }

        Assert.True(tried > 15, $"{tried}");
    }

    [Fact]
    public async Task The_shelf_that_is_filled_when_the_app_is_built_is_the_one_it_would_fill_itself()
    {
        using var output = new StringWriter();
        Assert.Equal(0, CommandLine.Run(["shelf"], output, TextWriter.Null));
        using var laid = JsonDocument.Parse(output.ToString());
        using var served = JsonDocument.Parse(await _client.GetStringAsync("/api/shelf", TestContext.Current.CancellationToken));
        Assert.True(JsonElement.DeepEquals(served.RootElement, laid.RootElement));
    }
}

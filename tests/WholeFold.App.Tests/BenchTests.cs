using System.Globalization;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Wall;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using Xunit;

namespace WholeFold.App.Tests;

public sealed class BenchTests(SharedStudio shared)
{
    private readonly HttpClient _client = shared.Client();

    private static DesignSpec Spec(string construction, string format) => new() { Name = "x", Construction = construction, Format = format };

    private static Dictionary<string, WrittenFigure> Set(params string[] set) => set.Select(s => s.Split('=')).ToDictionary(p => p[0], p => new WrittenFigure(p[1]));

    [Fact]
    public async Task The_strip_has_every_format_with_a_verdict_and_the_home_and_target_marked()
    {
        var strip = await _client.Ask<List<StripFormat>>("/api/bench/strip", Spec("winged-lock-gatefold", "5x5") with { Target = "a6-iso" });
        Assert.Equal(16, strip.Count);
        Assert.Equal("5x5", Assert.Single(strip, f => f.Home).Format);
        Assert.Equal("a6-iso", Assert.Single(strip, f => f.Target).Format);
        Assert.All(strip, f => Assert.NotEmpty(f.VerdictText));
        Assert.Equal(VerdictKind.LargerSheet, strip.Single(f => f.Format == "6x6").Verdict);
    }

    [Fact]
    public async Task The_ledger_says_was_and_now_with_reasons_that_lead_there()
    {
        var spec = Spec("winged-lock-gatefold", "5x5") with { Target = "5x7" };
        var rows = (await _client.Bench(spec)).Ledger.SelectMany(s => s.Rows).ToList();
        var first = rows.Single(r => r.FigureId == "base.scores[0]");
        Assert.Equal(("3/8", "3/8", false), (first.Was!.Text.Text, first.Now.Text.Text, first.Changed));
        var height = rows.Single(r => r.FigureId == "base.height");
        Assert.Equal(("5", "7", true), (height.Was!.Text.Text, height.Now.Text.Text, height.Changed));
        foreach (var row in rows)
        {
            Assert.Equal(row.Now.Text, (await _client.Explain(spec, row.FigureId)).Reasons[^1].To);
        }
    }

    [Fact]
    public async Task Flags_and_grooves_are_given_in_the_pieces_own_units()
    {
        var view = await _client.Bench(Spec("winged-lock-gatefold", "5x7"));
        var piece = Assert.Single(view.Pieces);
        Assert.Equal([3048L, 20320, 37592, 43688, 60960, 78232], piece.Scores.Select(s => s.At.Units));
        Assert.All(piece.Scores, s => Assert.Contains(view.Rule.Ticks, t => t.At == s.At.Units));
        Assert.Equal(97, view.Rule.Ticks.Count);
        Assert.Equal("12", view.Rule.Ticks[^1].Label);
    }

    [Fact]
    public async Task Switching_units_changes_texts_only_and_switching_tools_the_rule()
    {
        var inches = await _client.Bench(Spec("gatefold", "5x7"));
        var metric = await _client.Bench(Spec("gatefold", "5x7") with { Units = "cm" });
        Assert.Equal(inches.Pieces[0].Scores.Select(s => s.At.Units), metric.Pieces[0].Scores.Select(s => s.At.Units));
        Assert.Equal("6.2 scant", metric.Pieces[0].Scores[0].At.Text.Text);
        var board = await _client.Bench(Spec("gatefold", "5x7") with { Tools = "metric-5mm" });
        Assert.Equal(1600, board.Rule.Ticks[1].At);
        Assert.NotEqual(inches.Pieces[0].Scores.Select(s => s.At.Units), board.Pieces[0].Scores.Select(s => s.At.Units));
    }

    [Fact]
    public async Task Every_stop_of_every_slider_can_be_set_and_gives_that_value()
    {
        var spec = Spec("tier-scene", "5x7");
        var view = await _client.Bench(spec);
        var ranges = await _client.Ask<List<RangeView>>("/api/bench/ranges", spec);
        foreach (var parameter in view.Parameters)
        {
            var stops = ranges.Single(r => r.Parameter == parameter.Id).Stops;
            Assert.Contains(stops, s => s.Units == parameter.Value.Units);
            foreach (var stop in stops.Where((_, i) => i % 6 == 0))
            {
                var moved = await _client.Ask<BenchView>("/api/bench", spec, new SetFigure(parameter.Id, stop.Exact));
                Assert.Null(moved.Stuck);
                Assert.Equal(stop.Units, moved.Parameters.Single(p => p.Id == parameter.Id).Value.Units);
            }
        }
    }

    [Fact]
    public async Task A_case_with_no_figures_names_what_conflicts_and_what_can_be_freed()
    {
        var view = await _client.Bench(Spec("winged-lock-gatefold", "5x5") with { Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } });
        Assert.NotNull(view.Stuck);
        Assert.Equal(VerdictKind.Stuck, view.Verdict);
        Assert.Equal(["centre locked at 3/4 in", "pad locked at 5/8 in"], view.Stuck.Conflicts.Select(c => c.Said()).Where(t => t.Contains(" locked at ", StringComparison.Ordinal)).Order());
        Assert.Empty(view.Pieces);
        Assert.Equal(16, (await _client.Ask<List<StripFormat>>("/api/bench/strip", Spec("winged-lock-gatefold", "5x5") with { Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } })).Count);
    }

    [Fact]
    public async Task Glue_is_shown_where_the_bonds_are()
    {
        var view = await _client.Bench(Spec("tier-scene", "5x7") with { Turn = true, Set = Set("depth=1") });
        var wall = view.Pieces[0].Glue.Where(g => g.Id.StartsWith("tier2-left", StringComparison.Ordinal)).Single();
        Assert.Equal((4064L, 8128L), (wall.Outline.Min(c => c.X), wall.Outline.Max(c => c.X)));
        Assert.All(view.Pieces.Skip(1), p => Assert.Equal(2, p.Glue.Count));
    }

    [Fact]
    public async Task The_alternatives_say_what_each_priority_would_give()
    {
        var alternatives = await _client.Ask<List<AlternativeView>>("/api/bench/alternatives", Spec("gatefold", "5x7"));
        Assert.Equal([Priority.Format, Priority.Board, Priority.Proportions], alternatives.Select(a => a.Priority));
        Assert.Contains("2 by ruler", alternatives[0].Gives.Said(), StringComparison.Ordinal);
        Assert.Contains("4 15/16", alternatives[1].Gives.Said(), StringComparison.Ordinal);
        Assert.False(alternatives[1].Same);
        var view = await _client.Bench(Spec("gatefold", "5x7"));
        Assert.True(decimal.TryParse(view.Parameters[0].Value.Exact.Split(' ')[0], CultureInfo.InvariantCulture, out _));
    }

    [Fact]
    public async Task A_window_is_drawn_where_its_lines_are_and_each_line_is_a_row_with_its_ways()
    {
        var view = await _client.Bench(Spec("shadow-box", "5x7"));
        var front = view.Pieces.Single(p => p.Id == "front");
        var window = Assert.Single(front.Cuts);
        var rows = view.Ledger.Single(s => s.Id == "front").Rows.ToDictionary(r => r.FigureId);
        Assert.Equal((CutKind.Window, window.Line.Min(c => c.X), window.Line.Max(c => c.X)), (window.Kind, rows["front.window.left"].Now.Units, rows["front.window.right"].Now.Units));
        Assert.Equal((window.Line.Min(c => c.Y), window.Line.Max(c => c.Y)), (rows["front.window.foot"].Now.Units, rows["front.window.head"].Now.Units));
        Assert.Contains((await _client.Explain(Spec("shadow-box", "5x7"), "front.window.left")).Ways, w => w.Said().StartsWith("die, its edge", StringComparison.Ordinal));
        Assert.Contains(view.Checks, c => c is { Id: "knife-work", Severity: Severity.Note });

        // Of a slit, which is one line, the two that coincide are told once.
        var slit = (await _client.Bench(Spec("slider-stand", "5x7"))).Ledger.Single(s => s.Id == "base").Rows.Where(r => r.Label == "slit").Select(r => r.Detail);
        Assert.Equal(["left edge", "lower edge", "upper edge"], slit);
    }

    [Fact]
    public async Task What_lies_loose_is_not_shown_as_glued()
    {
        var view = await _client.Bench(Spec("sleeve-gatefold", "5x7"));
        Assert.Empty(view.Pieces.Single(p => p.Id == "base").Glue);
        Assert.Equal(2, view.Pieces.Single(p => p.Id == "tile").Glue.Count);
    }

    [Fact]
    public async Task The_wall_has_every_format_with_what_the_bench_says_of_it()
    {
        var spec = Spec("winged-lock-gatefold", "5x5") with { Target = "a6-iso" };
        var wall = await _client.Ask<WallView>("/api/wall", spec);
        var strip = await _client.Ask<List<StripFormat>>("/api/bench/strip", spec);
        Assert.Equal(strip.Select(f => (f.Key, f.Verdict, f.VerdictText.Said(), f.Envelope)), wall.Cards.Select(c => (c.Format.Key, c.Format.Verdict, c.Format.VerdictText.Said(), c.Format.Envelope)));
        foreach (var card in wall.Cards.Where((_, i) => i % 5 == 0))
        {
            var there = await _client.Ask<BenchView>("/api/bench", spec, new ConvertTo(card.Format.Format, card.Format.Turn));
            Assert.Equal((there.Closed?.Width, there.Closed?.Thickness), (card.Closed?.Width, card.Closed?.Thickness));
            Assert.NotEmpty(card.Sheets);
        }

        Assert.Equal("depth 1 1/8 → 1", (await _client.Ask<WallView>("/api/wall", Spec("tier-scene", "slimline") with { Turn = true })).Cards.Single(c => c.Format.Format == "a6-us").Changed.Said());
        var stuck = await _client.Ask<WallView>("/api/wall", Spec("winged-lock-gatefold", "5x5") with { Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } });
        var home = stuck.Cards.Single(c => c.Format.Home);
        Assert.Null(home.Closed);
        Assert.Contains("cannot hold together", home.Problem!.Said(), StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_being_tried_is_answered_as_if_it_were_done()
    {
        var spec = Spec("winged-lock-gatefold", "5x5");
        var tried = await _client.Ask<BenchView>("/api/bench", spec, new SetFigure("centre", "1 in"), new ConvertTo("a6-us"), new Take("tools", "machine"));
        var done = await _client.Bench(spec with { Set = Set("centre=1 in"), Target = "a6-us", Tools = "machine" });
        Assert.Equal(done.Ledger.SelectMany(s => s.Rows).Select(r => (r.FigureId, r.Now.Units)), tried.Ledger.SelectMany(s => s.Rows).Select(r => (r.FigureId, r.Now.Units)));
        Assert.Equal("a6-us", tried.Target.Format);
    }
}

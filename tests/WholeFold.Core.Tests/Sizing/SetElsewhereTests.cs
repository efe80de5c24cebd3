using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What was set at home, in every other format: it gives the ideal, and is treated like any ideal from there.</summary>
public class SetElsewhereTests
{
    private const int Every = 48;

    private static IEnumerable<(Format Format, bool Turn)> Formats() =>
        from format in Inventory.Shipped.Formats from turn in format.Width == format.Height ? new[] { false }
            : [false, true] select (format, turn);

    /// <summary>Every construction at home in every format on every board, with a card of its own there.</summary>
    private static IEnumerable<(Card Home, string Board)> Homes(params string[] boards) =>
        from board in boards
        from spec in Support.Grid(board)
        let home = Support.Try(spec)
        where home is { Relaxation: Relaxation.None }
        select (home, board);

    private static Design With(Card home, string board, IEnumerable<KeyValuePair<string, Length>> set) =>
        home.Design with { Sets = set.ToDictionary(s => s.Key, s => new HandFigure(s.Value, board)) };

    private static string Written(Figures? figures) => figures is null ? "none" : string.Join(' ', figures.Parameters.Select(p => $"{p.Parameter.Id}={p.Value.Units}")
        .Concat(figures.Pieces.SelectMany(p => p.Scores.Select(s => s.Figure).Append(p.Width).Append(p.Height)).Select(f => $"{f.Id}={f.Value.Units}")));

    /// <summary>Who only writes down the figures of her card gets the same card in every other format.</summary>
    [Fact]
    public void Set_to_the_figures_it_has_anyway_it_converts_to_the_same_card()
    {
        var (looked, random) = (0, new Random(Day.Seed));
        foreach (var (home, board) in Homes("imperial-eighths", "metric-5mm", "both", "ruler", "machine").Stride(Every))
        {
            var all = home.Figures.Parameters.ToDictionary(p => p.Parameter.Id, p => p.Value);
            foreach (var set in all.Select(one => new Dictionary<string, Length> { [one.Key] = one.Value }).Append(all))
            {
                var design = With(home, board, set);
                Assert.Equal(Written(home.Figures), Written(Sizer.TrySize(design, design.Home)));
                foreach (var (format, turn) in Formats().Where(_ => Day.Whole || random.Next(4) == 0))
                {
                    var target = new Target(format, turn);
                    looked++;
                    Assert.True(Written(Sizer.TrySize(home.Design, target)) == Written(Sizer.TrySize(design, target)),
                        $"{home.Construction.Id} at home in {home.Target.Key} on {board} with {string.Join(' ', set)}, sized for {target.Key}");
                }
            }
        }

        Assert.True(looked > Day.AtLeast(20_000, Every), $"{looked}");
    }

    /// <summary>With anything set within its limits, no figures within the bands round what it comes to elsewhere would be
    /// better.</summary>
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void What_was_set_at_home_is_an_ideal_like_any_other_elsewhere(string board)
    {
        var (judged, random, formats) = (0, new Random(Day.Seed), Formats().ToList());
        var tools = Inventory.Shipped.Find<ToolKit>(board)!;
        foreach (var (home, _) in Homes(board).Stride(Every))
        {
            var set = new Dictionary<string, Length>();
            foreach (var parameter in home.Figures.Parameters.Where(_ => random.Next(2) == 0))
            {
                if (Sizer.RangeOf(With(home, board, set), home.Target, parameter.Parameter.Id,
                    Relaxation.None) is { Stops.Count: > 1 } range
                    && range.Stops[random.Next(range.Stops.Count)] is var value && value != parameter.Value && value > Length.Zero)
                {
                    set[parameter.Parameter.Id] = value;
                }
            }

            var (format, turn) = formats[random.Next(formats.Count)];
            var (design, target) = (With(home, board, set), new Target(format, turn));
            if (set.Count == 0 || design.IsHome(target) || Elsewhere.Of(design, target).Count < set.Count)
            {
                continue;
            }

            var builder = Sizer.BuilderFor(design, target, firm: true, CancellationToken.None);
            var problem = builder.Build(Relaxation.None) with { Effort = long.MaxValue };
            if (Search.Solve(problem) is not { } found)
            {
                continue;
            }

            judged++;
            var name = $"{home.Construction.Id} at home in {home.Target.Key} on {board} with {string.Join(' ', set)}, sized for {target.Key}";
            var values = problem.Unknowns.Select((u, i) => (u.Symbol, found.Values[i])).ToDictionary(p => p.Symbol.Id, p => p.Item2);
            Oracle Judge() => new(design.Construction, target, tools.For(format.System), design.Stock, new CostOrder(Priority.Format),
                noSixteenths: false, (design.Home, set));
            var cost = Judge().CostOf(values, out var status);
            Assert.True(cost is not null, $"{name}: the judge says that the search's values break a rule ({status})");
            var own = Oracle.Ordered(found.Cost, new CostOrder(Priority.Format));
            Assert.True(cost!.SequenceEqual(own), $"{name}: the judge costs it {string.Join(", ", cost!)}, the search {string.Join(", ", own)}");
            Assert.False(Judge().HasBetterThan(found.Cost), $"{name}: the judge found something better than {found.Cost}");
        }

        Assert.True(judged > Day.AtLeast(200, Every), $"{judged}");
    }

    /// <summary>Cases where entering one's own figures once made every other format worse.</summary>
    [Theory]
    [InlineData("winged-lock-gatefold", "centre", "1", "imperial-eighths", "6x6", "5x7")]
    [InlineData("winged-lock-gatefold", "centre", "1 1/4", "imperial-eighths", "6x6", "5x7")]
    [InlineData("bridge", "back", "3 1/2", "imperial-eighths", "6x6", "5x7")]
    [InlineData("tower-pinwheel", "side", "1 1/8", "imperial-eighths", "6x6", "5x7")]
    [InlineData("slider-stand", "box", "1 1/8", "imperial-eighths", "6x6", "5x7")]
    [InlineData("twist-pop", "grip", "1 1/8", "imperial-eighths", "6x6", "5x7")]
    [InlineData("split-gatefold", "left", "3 3/4", "imperial-eighths", "6x6", "5x7")]
    [InlineData("bay-window-stop", "strip", "1/2", "imperial-eighths", "6x6", "5x7")]
    [InlineData("bay-window-hook", "centre", "2 1/4", "imperial-eighths", "6x6", "5x7")]
    public void Ones_own_figures_make_no_other_format_worse(string construction, string parameter, string value, string board,
        string from, string to)
    {
        var format = Inventory.Shipped.Find<Format>(to)!;
        var free = Support.Size(new DesignSpec { Construction = construction, Format = from, Tools = board });
        var set = With(free, board, [new(parameter, Support.In(value))]);
        var target = new Target(format, false);
        var (without, with) = (Sizer.TrySize(free.Design, target)!, Sizer.TrySize(set, target)!);
        Assert.True(with.Cost.OffGroove <= without.Cost.OffGroove, $"{with.Cost.OffGroove} scores off a groove, {without.Cost.OffGroove} without");
    }

    [Fact]
    public void Where_no_groove_is_within_its_band_that_is_said()
    {
        // With 1/4 or 1/2 both scores of the bay would be on grooves; 3/8 goes a sixteenth either way.
        var free = Support.Size(new DesignSpec { Construction = "bay-window-stop", Format = "6x6", Tools = "imperial-eighths" });
        var design = With(free, "imperial-eighths", [new("strip", Support.In("3/8"))]);
        var there = Sizer.TrySize(design, new Target(Inventory.Shipped.Find<Format>("5x7")!, false))!;
        var strip = there.Parameters.Single(p => p.Parameter.Id == "strip");
        Assert.Equal(2, there.Cost.OffGroove);
        Assert.Equal("3/8 in at 6 × 6; no groove holds its scores within 1/16 in of that", strip.Said(there.Tools).Write(DisplayUnit.Inch));
    }

    [Fact]
    public void It_is_said_where_it_comes_from_and_never_as_if_it_had_been_set_here()
    {
        var free = Support.Size(new DesignSpec { Construction = "bridge", Format = "6x6", Tools = "imperial-eighths" });
        var design = With(free, "imperial-eighths", [new("back", Support.In("3 1/2"))]);
        var there = Sizer.TrySize(design, new Target(Inventory.Shipped.Find<Format>("5x7")!, false))!;
        var back = there.Parameters.Single(p => p.Parameter.Id == "back");
        Assert.Equal(Support.In("3"), back.Value);
        Assert.Equal("3 1/2 in at 6 × 6, in proportion 2 29/32 in full; with 3 in its scores are on grooves", back.Said(there.Tools).Write(DisplayUnit.Inch));
        var texts = there.Pieces.SelectMany(p => p.Scores).SelectMany(s =>
            s.Figure.Reasons.Select(r => r.Why).Append(s.Figure.Said)).Select(w => w.Write(DisplayUnit.Inch)).ToList();
        Assert.DoesNotContain(texts, t => t.Contains("you set", StringComparison.Ordinal) || t.Contains("nearest that", StringComparison.Ordinal));
        Assert.Contains(texts, t => t.Contains("at 6 × 6, in proportion", StringComparison.Ordinal));

        // What was adjusted for that format stands as it was set there.
        var adjusted = design.Adjusted(there.Target, "back", Support.In("2 1/2"));
        Assert.Equal((Support.In("2 1/2"), Hold.Set), Sizer.TrySize(adjusted, there.Target)!.Parameters.Where(p =>
            p.Parameter.Id == "back").Select(p => (p.Value, p.Hold)).Single());
    }
}

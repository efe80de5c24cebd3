using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Folding;

/// <summary>Which way a figure may miss: worked by hand, and found for every figure there is.</summary>
public class SafeSideTests
{
    [Theory]
    [InlineData("plain-fold", "base.height", SafeDirection.Scant)]
    [InlineData("front-step", "base.scores[0]", SafeDirection.Exact)]
    [InlineData("gatefold", "layers.door.width", SafeDirection.Scant)]
    public void By_hand(string construction, string figure, SafeDirection side) => Assert.Equal(side, Size(Spec(construction, "a2-us")).SafeSides.ByName()[figure].Direction);

    /// <summary>Against the table that was written before the code, from what each part does.</summary>
    [Theory]
    [InlineData("5x7", "imperial-eighths")]
    [InlineData("a5", "metric-5mm")]
    [InlineData("6x6", "machine")]
    public void Every_part_errs_on_the_side_that_its_function_asks_for(string format, string tools)
    {
        var wrong = new List<string>();
        foreach (var row in File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Folding", "expected-sides.txt")).Where(l => l.Contains('|', StringComparison.Ordinal) && !l.StartsWith('#')))
        {
            var cells = row.Split('|', StringSplitOptions.TrimEntries);
            var named = cells[0].Split(", ");
            var card = Size(Spec(named[0], format, named.Length > 1 ? named[1].Split(' ') : []) with { Tools = tools });
            var side = card.SafeSides.ByName()[cells[1]].Direction.ToString().ToLowerInvariant();
            if (side != cells[2])
            {
                wrong.Add($"{cells[0]}, {cells[1]}: {side}, not {cells[2]}: {cells[3]}");
            }
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    [Fact]
    public void No_side_is_taken_because_a_bond_would_be_a_mark_short()
    {
        foreach (var (family, choices) in Variants())
        {
            if (Try(new DesignSpec { Construction = family.Id, Format = "5x7", Set = Support.Written(choices) }) is { } card)
            {
                Assert.All(card.SafeSides.Values, s => Assert.DoesNotContain("not covered", s.Why.Write(Core.Measure.DisplayUnit.Inch), StringComparison.Ordinal));
            }
        }
    }

    [Fact]
    public void Every_figure_has_one_with_a_reason()
    {
        var seen = new HashSet<SafeDirection>();
        foreach (var (family, choices) in Variants())
        {
            var read = Support.Reader.Read(new DesignSpec { Construction = family.Id, Format = "5x7", Set = Support.Written(choices) });
            if (Attempt.Of(read.Design, read.Target).Card is not { } sized)
            {
                continue;
            }

            var safe = sized.SafeSides;
            Assert.Equal(sized.All.Select(f => f.Id.ToString()).Order(), safe.Keys.Select(f => f.ToString()).Order());
            Assert.All(safe.Values, s => Assert.NotEmpty(s.Why.Write(Core.Measure.DisplayUnit.Inch)));
            seen.UnionWith(safe.Values.Select(s => s.Direction));
        }

        Assert.Equal(4, seen.Count);
    }

    [Theory]
    [InlineData("front.window.left", SafeDirection.Full)]
    [InlineData("front.window.head", SafeDirection.Scant)]
    public void A_window_can_be_cut_larger_and_never_smaller(string line, SafeDirection side) => Assert.Equal(side, Size(Spec("shadow-box", "5x7")).SafeSides.ByName()[line].Direction);

    [Fact]
    public void A_slit_needs_its_own_line_and_may_be_longer()
    {
        var safe = Size(Spec("slider-stand", "5x7")).SafeSides.ByName();
        Assert.Equal((SafeDirection.Exact, SafeDirection.Full, SafeDirection.Scant), (safe["base.slit.left"].Direction, safe["base.slit.foot"].Direction, safe["base.slit.head"].Direction));
    }

    [Fact]
    public void What_no_longer_meets_is_named() =>
        Assert.Equal("either way the back and the tab no longer meet", Size(Spec("front-step", "a2-us")).SafeSides.ByName()["base.scores[0]"].Why.Write(Core.Measure.DisplayUnit.Inch));

    [Fact]
    public void Scores_that_mirror_each_other_are_twins_and_so_are_pieces_cut_alike()
    {
        var safe = Size(Spec("gatefold", "a2-us")).SafeSides.ByName();
        Assert.Contains("its twin at the other end", safe["base.scores[0]"].Twins);
        Assert.Contains("all 2", safe["layers.door.width"].Twins);
    }
}

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
    [InlineData("gatefold", "base.scores[0]", SafeDirection.Full)]
    [InlineData("gatefold", "base.scores[1]", SafeDirection.Scant)]
    [InlineData("front-step", "base.height", SafeDirection.Full)]
    [InlineData("front-step", "base.scores[0]", SafeDirection.Exact)]
    [InlineData("gatefold", "layers.door.width", SafeDirection.Scant)]
    public void By_hand(string construction, string figure, SafeDirection side) => Assert.Equal(side, Size(Spec(construction, "a2-us")).SafeSides.ByName()[figure].Direction);

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

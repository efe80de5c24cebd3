using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Tooling;

public class ToolSetTests
{
    private static readonly ToolSet Imperial = Inventory.Shipped.Find<ToolKit>("imperial-eighths")!.For(UnitSystem.Imperial);
    private static readonly ToolSet Metric = Inventory.Shipped.Find<ToolKit>("metric-5mm")!.For(UnitSystem.Metric);
    private static readonly ToolSet Both = Inventory.Shipped.Find<ToolKit>("both")!.For(UnitSystem.Metric);

    [Theory]
    [InlineData("0", false)]
    [InlineData("1/8", true)]
    [InlineData("1/16", false)]
    [InlineData("5 3/8", true)]
    [InlineData("12", true)]
    [InlineData("12 1/8", false)]
    public void Grooves_run_from_the_first_to_the_end_of_the_board_and_the_stop_is_none(string at, bool groove) =>
        Assert.Equal(groove, Imperial.OnGroove(In(at)));

    [Fact]
    public void Both_boards_have_the_grooves_of_either()
    {
        Assert.True(Both.OnGroove(In("3/8")));
        Assert.True(Both.OnGroove(Length.Mm(35)));
        Assert.False(Both.OnGroove(Length.Mm(36)));
        Assert.Equal(UnitSystem.Metric, Both.System);
    }

    [Theory]
    [InlineData("2 7/16", "2 1/2")]
    [InlineData("2 13/32", "2 3/8")]
    [InlineData("2 15/32", "2 1/2")]
    [InlineData("1/32", "1/8")]
    [InlineData("13", "12")]
    public void The_nearest_groove_is_the_upper_of_two_as_near(string at, string groove) => Assert.Equal(In(groove), Imperial.NearestGroove(In(at)));

    [Fact]
    public void With_both_systems_the_distance_is_one_that_its_own_ruler_has()
    {
        var groove = Both.NearestGroove(Length.Mm(52.5m))!.Value;
        Assert.True((Length.Mm(52.5m) - groove).IsOn(Length.Mm(0.5m)));
        Assert.True(groove.IsOn(Length.Mm(5)));
    }

    [Fact]
    public void A_cut_goes_down_or_up_to_a_mark_that_the_trimmer_has()
    {
        Assert.Equal(Length.Mm(52), Metric.CutDown(Length.Mm(52.9m)));
        Assert.Equal(Length.Mm(53), Metric.CutUp(Length.Mm(52.1m)));
        Assert.Equal(Length.Mm(52), Metric.CutUp(Length.Mm(52)));
        Assert.Equal(Length.Mm(52.5m), Metric.RulerNearest(Length.Mm(52.4m)));
    }

    [Theory]
    [InlineData("2 1/2", "10", SetBy.Direct, "groove")]
    [InlineData("3 5/16", "9 7/16", SetBy.Turned, "turned, 6 1/8")]
    [InlineData("2 7/16", "9 7/8", SetBy.Between, "1/16 inside 2 1/2")]
    [InlineData("2 13/32", "9 7/8", SetBy.Between, "1/32 past 2 3/8")]
    [InlineData("12 1/2", "14", SetBy.Turned, "turned, 1 1/2")]
    public void A_score_is_set_directly_if_it_can_be_then_turned_then_by_ruler(string at, string width, SetBy how, string words)
    {
        var setting = ScorePlan.Of(Imperial, Preferences.None, In(width), [new ScoreAt(In(at), false)]).Settings[0];
        Assert.Equal(how, setting.How);
        Assert.Equal(words, setting.Write(DisplayUnit.Inch));
    }

    [Fact]
    public void Without_a_board_everything_is_by_ruler_and_a_machine_needs_none()
    {
        var ruler = Inventory.Shipped.Find<ToolKit>("ruler")!.For(UnitSystem.Imperial);
        Assert.Equal("by ruler", Setting.ForScore(ruler, In("2 1/2"), In("10"), Lay.AsItLies, noFine: false)!.Write(DisplayUnit.Inch));
        var machine = Inventory.Shipped.Find<ToolKit>("machine")!.For(UnitSystem.Metric);
        Assert.Equal("by machine", Setting.ForScore(machine, new Length(12345), In("10"), Lay.AsItLies, noFine: false)!.Write(DisplayUnit.Inch));
        Assert.Null(Inventory.Shipped.Find<ToolKit>("hammer"));
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Measure;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Guide;

/// <summary>What the guide says: for one card and for twelve, in either school, with what can hurt where it can.</summary>
public class GuideTests
{
    private static IReadOnlyList<Step> Of(DesignSpec spec, int cards = 1) => Steps.Of(Size(spec), cards);

    private static string Say(Step step) => step.Say.Write(DisplayUnit.Inch);

    private static DesignSpec With(DesignSpec spec, params ElementSpec[] elements) => spec with { Dressing = new DressingSpec { Elements = elements } };

    private static int At(IReadOnlyList<Step> steps, string id) => steps.ToList().FindIndex(s => s.Id == id);

    [Fact]
    public void For_twelve_cards_each_thing_is_set_once_and_done_twelve_times()
    {
        var spec = Spec("winged-lock-gatefold", "5x7");
        var (one, twelve) = (Of(spec), Of(spec, 12));
        Assert.Equal(one.Select(s => s.Id), twelve.Select(s => s.Id));
        Assert.StartsWith("Cut the base from Sail 270: 10 × 7 in.", Say(one[0]), StringComparison.Ordinal);
        Assert.StartsWith("Cut twelve bases from Sail 270: 10 × 7 in.", Say(twelve[0]), StringComparison.Ordinal);
        var score = twelve.Single(s => s.Phase == Phase.Score);
        Assert.Contains("Score all twelve bases at 3/8, 2 1/2", Say(score), StringComparison.Ordinal);
        Assert.EndsWith("Score all twelve bases at one stop, then at the next.", Say(score), StringComparison.Ordinal);
        Assert.DoesNotContain("one stop", Say(one.Single(s => s.Phase == Phase.Score)), StringComparison.Ordinal);
        Assert.Equal(12 * one.Where(s => s.Phase == Phase.Score).Sum(s => Pace.Estimated.Of(s.Work)),
            twelve.Where(s => s.Phase == Phase.Score).Sum(s => Pace.Estimated.Of(s.Work)));
        Assert.Contains("Laid on each other, all twelve", twelve[0].LookFor!.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    [Fact]
    public void Papers_of_one_stock_are_cut_together_as_strips_of_the_side_that_they_share()
    {
        var papers = Of(Spec("winged-lock-gatefold", "5x7"), 3).Where(s => s.Id.StartsWith("cut-papers-", StringComparison.Ordinal)).ToList();
        var paper = Assert.Single(papers);
        Assert.Contains("24 at 1 7/8 × 6 3/4 in", Say(paper), StringComparison.Ordinal);
        Assert.Contains("Set the trimmer to 6 3/4 in once and cut strips of it first.", Say(paper), StringComparison.Ordinal);
    }

    [Fact]
    public void Pieces_alike_are_one_step_with_all_their_figures()
    {
        var card = Size(Spec("sleeve-gatefold", "5x7"));
        var cut = Steps.Of(card).Where(s => s.Phase == Phase.Cut && s.Pieces.Count > 0).ToList();
        Assert.Equal(card.Pieces.Select(p => p.Piece.Id).Order(), cut.SelectMany(s => s.Pieces).Order());
        Assert.Equal(2 * card.Pieces.Count, cut.Sum(s => s.Figures.Count));
        Assert.Contains(cut, s => s.Tool == "die" && s.Cautions.Contains("rollers"));
    }

    [Theory]
    [InlineData("assemble", false)]
    [InlineData("decorate", true)]
    public void Papers_go_on_last_in_one_school_and_flat_in_the_other(string order, bool before)
    {
        var steps = Of(Spec("plain-fold", "5x7") with { Order = order });
        Assert.Equal(before, At(steps, "layer-front") < At(steps, "make-1"));
        Assert.Equal(before ? Phase.DecorateFlat : Phase.Decorate, steps[At(steps, "layer-front")].Phase);
        Assert.True(At(steps, "layer-front") < At(steps, "layer-front-2"), "the second goes on the first");
    }

    [Fact]
    public void What_is_raised_goes_on_last_in_either_school()
    {
        foreach (var order in new[] { "assemble", "decorate" })
        {
            var steps = Of(With(Spec("bridge", "5x7"), new ElementSpec("star", "bridge.bridge.up", "star", Size: ["1 in", "1 in"], Height: "2 mm")) with { Order = order });
            Assert.True(At(steps, "element-star") > steps.ToList().FindLastIndex(s => s.Bonds.Count > 0), order);
            Assert.Equal(Phase.Raise, steps[At(steps, "element-star")].Phase);
            Assert.True(At(steps, "tick-bridge.bridge.up-last") < At(steps, "element-star"));
        }
    }

    [Fact]
    public void What_no_hand_reaches_in_a_closed_box_goes_on_before_it_is_closed()
    {
        var steps = Of(With(Spec("shadow-box", "5x7"), new ElementSpec("star", "back", "star", Size: ["1 in", "1 in"], Height: "2 mm")));
        Assert.True(At(steps, "element-star") < steps.ToList().FindIndex(s => s.Bonds.Count > 0));
        Assert.Contains("you can't reach it", steps[At(steps, "element-star")].Why!.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    [Fact]
    public void A_paper_that_runs_under_a_bonded_part_goes_on_before_it()
    {
        var spec = Spec("bay-window-hook", "5x7") with { Dressing = new DressingSpec { Layers = [new LayerSpec("inside", Under: "first")] } };
        var steps = Of(spec);
        Assert.True(At(steps, "layer-inside") < steps.ToList().FindIndex(s => s.Bonds.Count > 0));
        Assert.Contains("goes on now", steps[At(steps, "layer-inside")].Why!.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var free = Of(spec with { Dressing = new DressingSpec { Layers = [new LayerSpec("inside", Under: "free")] } });
        Assert.True(At(free, "layer-inside") > free.ToList().FindLastIndex(s => s.Bonds.Count > 0));
    }

    [Fact]
    public void Wet_glue_is_waited_for_and_tape_is_not()
    {
        var wet = Of(Spec("plain-fold", "5x7") with { Order = "decorate", Adhesive = "glue" });
        var wait = wet.Single(s => s.Id == "wait-1");
        Assert.Equal((300, "wet glue sets"), (wait.Holds, wait.HoldsFor));
        Assert.Contains("Leave it for five minutes", Say(wait), StringComparison.Ordinal);
        Assert.Equal("make-1", wet[At(wet, "wait-1") + 1].Id);
        Assert.DoesNotContain(Of(Spec("plain-fold", "5x7") with { Order = "decorate", Adhesive = "tape" }), s => s.Id.StartsWith("wait-", StringComparison.Ordinal));

        // A glue of one's own sets as long as its maker says.
        var slow = Inventory.Shipped.With(new Dictionary<string, IReadOnlyList<System.Text.Json.Nodes.JsonObject>> { ["adhesives"] = [new() { ["id"] = "glue", ["name"] = "slow glue", ["thickness"] = "0", ["wet"] = true, ["minutes"] = 20 }] });
        Assert.Equal(1200, slow.Find<Core.Paper.Adhesive>("glue")!.Sets);
    }

    [Theory]
    [InlineData(-1)]
    [InlineData(5000)]
    public void A_time_to_set_that_cannot_be_is_refused(int minutes)
    {
        var refused = Assert.Throws<InputProblemException>(() =>
            Inventory.Shipped.With(new Dictionary<string, IReadOnlyList<System.Text.Json.Nodes.JsonObject>> { ["adhesives"] =
            [new() { ["id"] = "odd", ["name"] = "odd", ["thickness"] = "0", ["minutes"] = minutes }] }));
        Assert.EndsWith("minutes", refused.Field, StringComparison.Ordinal);
        Assert.Contains("0 to 1440", refused.Accepted, StringComparison.Ordinal);
    }

    public static TheoryData<string, string, string[]> Hurts => new()
    {
        { "heat-embossed", "face", ["heat", "powder"] },
        { "stamped", "face", [] },
        { "lit", "face", ["button-cell", "small-parts"] },
        { "built-up", "face", ["small-parts"] },
        { "die-cut", "face", [] },
        { "die-cut", "magnet", ["magnets"] },
    };

    [Theory]
    [MemberData(nameof(Hurts))]
    public void A_caution_stands_at_the_step_where_it_can_hurt_and_nowhere_else(string made, string held, string[] cautions)
    {
        var steps = Of(With(Spec("plain-fold", "5x7"), new ElementSpec("thing", "inside", "thing", Size: ["1 in", "3/4 in"], Made: made, Held: held)));
        Assert.Equal(cautions, steps.Single(s => s.Id == "element-thing").Cautions);
        Assert.DoesNotContain(steps.Where(s => s.Id != "element-thing").SelectMany(s => s.Cautions), c => c is "heat" or "powder" or "button-cell" or "magnets" or "small-parts");
    }

    [Fact]
    public void Spray_asks_for_an_open_window_at_each_paper_and_only_there()
    {
        var steps = Of(Spec("plain-fold", "5x7") with { Adhesive = "spray" });
        Assert.All(steps.Where(s => s.Id.StartsWith("layer-", StringComparison.Ordinal)), s => Assert.Contains("solvent", s.Cautions));
        Assert.All(steps.Where(s => !s.Id.StartsWith("layer-", StringComparison.Ordinal)), s => Assert.DoesNotContain("solvent", s.Cautions));
    }

    [Fact]
    public void A_stamp_is_ticked_dries_and_its_ticks_are_rubbed_out_and_a_machine_ticks_no_window()
    {
        var spec = With(Spec("plain-fold", "5x7"), new ElementSpec("greeting", "base.front.up", "greeting", Size: ["2 in", "1/2 in"], Made: "stamped", Place: new PlaceSpec("foot", [new FromSpec("foot", "1/2 in")])));
        var steps = Of(spec);
        var (tick, stamp, rub) = (steps.Single(s => s.Marks.Contains("elements.greeting")), steps.Single(s => s.Id == "element-greeting"), steps.Single(s => s.Id == "rub-out"));
        Assert.Contains("1/2 in from the bottom", Say(tick), StringComparison.Ordinal);
        Assert.Equal((60, "the ink dries"), (stamp.Holds, stamp.HoldsFor));
        Assert.Contains("elements.greeting", rub.Gone);
        Assert.DoesNotContain(Of(With(Spec("plain-fold", "5x7"))), s => s.Id == "rub-out");

        // On a paper it is stamped before that goes on, and measured from the paper's own edges.
        var papered = Of(With(Spec("plain-fold", "5x7"), new ElementSpec("greeting", "inside", "greeting", Size: ["2 in", "1/2 in"], Made: "stamped", Place: new PlaceSpec("foot", [new FromSpec("foot", "1/2 in")]))));
        Assert.DoesNotContain(papered, s => s.Marks.Count > 0);
        Assert.Equal("Stamp the greeting, 2 × 1/2 in, on the Ember paper 120 that goes on the back: centred with 1 3/8 in on either side, 3/8 in from its bottom.",
            Say(papered[At(papered, "element-greeting")]));
        Assert.True(At(papered, "element-greeting") < At(papered, "layer-inside"));

        var window = Spec("plain-fold", "5x7") with { Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "front", Size: ["1 in", "1 in"])] } };
        Assert.Contains(Of(window), s => s.Marks.Contains("windows.eye"));
        Assert.DoesNotContain(Of(window with { Tools = "machine" }), s => s.Marks.Contains("windows.eye"));
        Assert.Equal(["windows.eye"], Of(window).Single(s => s.Id == "window-eye").Gone);
    }

    [Theory]
    [InlineData("sideways")]
    [InlineData("")]
    public void An_order_of_work_that_is_none_is_refused(string order) =>
        Assert.Contains("assemble", Assert.Throws<InputProblemException>(() => Of(Spec("plain-fold", "5x7") with { Order = order })).Accepted, StringComparison.Ordinal);

    [Fact]
    public void The_order_of_work_is_an_edit_that_is_undone()
    {
        var spec = Spec("plain-fold", "5x7");
        var edit = new Take("order", "decorate");
        var after = edit.Apply(spec, Reader);
        Assert.Equal(("decorate", "decorate, then assemble"), (after.Order, edit.Describe(spec, Reader).Write(DisplayUnit.Inch)));
        Assert.Equal("assemble", edit.Inverse(spec, Reader).Apply(after, Reader).Order);
    }
}

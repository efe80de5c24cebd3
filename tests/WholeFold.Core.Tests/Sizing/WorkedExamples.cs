using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Figures worked by hand, outside the program.</summary>
public class WorkedExamples
{
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("both")]
    [InlineData("ruler")]
    [InlineData("machine")]
    public void Plain_fold_in_a_five_inch_square_on_any_board(string tools)
    {
        var sized = Size(Spec("plain-fold", "5x5") with { Tools = tools, Reveal = "1/8in" });
        Assert.Equal((In("10"), In("5")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));
        Assert.Equal([In("5")], sized.Scores("base"));
        if (tools != "metric-5mm")
        {
            Assert.Equal([In("4 3/4"), In("4 1/2")], sized.Layers.Where(l => l.Role.Id == "front").Select(l => l.Width.Value));
        }
    }

    [Fact]
    public void Gatefold_keeps_its_relief_since_no_groove_lies_within_its_limits()
    {
        var sized = Size(Spec("gatefold", "5x7"));
        Assert.Equal((In("9 7/8"), In("7")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));
        Assert.Equal([In("2 7/16"), In("7 7/16")], sized.Scores("base"));
        Assert.All(sized.Piece("base").Scores, s => Assert.Equal("1/16 inside", s.Figure.Setting.Write(DisplayUnit.Inch)[..11]));
        Assert.Equal(In("5"), sized.Closed.Width);
    }

    [Fact]
    public void Gatefold_that_keeps_its_sheet_grows_and_says_so()
    {
        var sized = Size(Spec("gatefold", "5x7", "backKeeps=sheet"));
        Assert.Equal(In("10"), sized.Piece("base").Width.Value);
        Assert.Equal([In("2 7/16"), In("7 9/16")], sized.Scores("base"));
        Assert.Equal((In("5 1/8"), In("7")), (sized.Closed.Width, sized.Closed.Height));
        Assert.Contains(sized.Checks, c => c.Id == "closed-over-format" && c.Severity == Severity.Caution);
    }

    [Fact]
    public void Gatefold_with_the_board_first_is_a_sixteenth_narrower_and_all_on_grooves()
    {
        var sized = Size(Spec("gatefold", "5x7") with { Priority = "board" });
        Assert.Equal(In("4 15/16"), sized.Closed.Width);
        Assert.Equal(0, sized.Figures.Cost.OffGroove);
    }

    [Fact]
    public void Winged_lock_gatefold_on_a_machine()
    {
        var sized = Size(Spec("winged-lock-gatefold", "5x5", "centre=1") with { Tools = "machine" });
        Assert.Equal((In("10"), In("5")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));
        Assert.Equal(["1/2", "2 1/2", "4 1/2", "5 1/2", "7 1/2", "9 1/2"], sized.Scores("base").Select(s => LengthWriter.Write(s, DisplayUnit.Inch)));
    }

    [Fact]
    public void Winged_lock_gatefold_on_eighths_takes_the_centre_that_lets_every_score_on_a_groove()
    {
        var sized = Size(Spec("winged-lock-gatefold", "5x7"));
        Assert.Equal(["3/8", "2 1/2", "4 5/8", "5 3/8", "7 1/2", "9 5/8"], sized.Scores("base").Select(s => LengthWriter.Write(s, DisplayUnit.Inch)));
        Assert.Equal(In("3/4"), sized.Figures.Parameters.Single(p => p.Parameter.Id == "centre").Value);
    }

    [Fact]
    public void Winged_lock_gatefold_with_foam_shortens_each_wing_by_half_of_it()
    {
        var sized = Size(Spec("winged-lock-gatefold", "5x5", "centre=1", "pad=1/4"));
        Assert.Equal(In("9 3/4"), sized.Piece("base").Width.Value);
        Assert.Equal(In("3/8"), sized.Scores("base").First());
        Assert.Equal(In("5"), sized.Closed.Width);
    }

    [Fact]
    public void Tier_scene_with_two_tiers()
    {
        var sized = Size(Spec("tier-scene", "5x7", "depth=1") with { Turn = true });
        Assert.Equal((In("8"), In("5")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));
        Assert.Equal([In("1"), In("7")], sized.Scores("base"));
        foreach (var tier in new[] { "tier1", "tier2" })
        {
            Assert.Equal(In("7"), sized.Piece(tier).Width.Value);
            Assert.Equal([In("1/2"), In("6 1/2")], sized.Scores(tier));
        }

        Assert.Equal(In("3"), sized.Piece("tier1").Height.Value);
        Assert.Equal(In("4 1/8"), sized.Piece("tier2").Height.Value);
        Assert.Equal((In("7"), In("5")), (sized.Closed.Width, sized.Closed.Height));
    }

    [Fact]
    public void A_format_that_the_trimmer_has_no_mark_for_ends_on_the_mark_below()
    {
        var sized = Size(Spec("plain-fold", "a6-iso") with { Tools = "imperial-eighths" });
        Assert.Equal((In("4 1/8"), In("5 13/16")), (sized.Figures.Width, sized.Figures.Height));
        Assert.Contains(sized.Checks, c => c.Id == "under-format");
    }

    [Fact]
    public void A_position_that_no_groove_holds_as_it_lies_is_reached_by_turning_the_piece_round()
    {
        // 17.8 cm long: the second score at 14.8 lies off the 5 mm grooves, 3 from the other end.
        var sized = Size(Spec("tier-scene", "a6-iso", "tiers=2") with { Turn = true });
        var second = sized.Piece("base").Scores[1].Figure;
        Assert.Equal(Core.Tooling.SetBy.Turned, second.Setting.How);
        Assert.Equal(sized.Piece("base").Width.Value - second.Value, second.Setting.At);
    }

    [Theory]
    [InlineData("plain-fold", "a6-iso", "env-c6")]
    [InlineData("plain-fold", "5x7", "env-a7")]
    [InlineData("plain-fold", "a2-us", "env-a2")]
    [InlineData("plain-fold", "5x5", "env-sq-5")]
    [InlineData("plain-fold", "dl", "env-dl")]
    [InlineData("plain-fold", "a5", "env-c5")]
    [InlineData("plain-fold", "3x3", null)]
    public void The_envelope_is_the_smallest_that_fits_and_does_not_rattle(string construction, string format, string? envelope)
    {
        var sized = Size(Spec(construction, format));
        Assert.Equal(envelope, sized.Envelope?.Id);
        Assert.Equal(envelope is null, sized.Checks.Any(c => c.Id == "envelope-to-make"));
    }

    [Theory]
    [InlineData("thin", "4 7/8")]
    [InlineData("standard", "4 3/4")]
    [InlineData("wide", "4 1/2")]
    [InlineData("flush", "5")]
    [InlineData("3/16in", "4 5/8")]
    public void A_reveal_is_the_same_border_on_each_side(string reveal, string size) =>
        Assert.All(Size(Spec("plain-fold", "5x5") with { Reveal = reveal }).Layers.Where(l => l.Level == 1), l => Assert.Equal(In(size), l.Width.Value));

    [Fact]
    public void A_narrow_strips_reveal_shrinks_and_says_so()
    {
        // The centre is ¾ in: half the reveal. The wings are ⅜ in: half the reveal is less than a quarter of the strip.
        var sized = Size(Spec("winged-lock-gatefold", "5x7"));
        var centre = sized.Layers.Single(l => l.Id == "centre");
        // Only across the strip: along it the border is as everywhere, so that neighbours line up at head and foot.
        Assert.Equal((In("5/8"), In("6 3/4"), 1), (centre.Width.Value, centre.Height.Value, centre.Quantity));
        Assert.Contains(centre.Width.Reasons, r => r.Why.Write(DisplayUnit.Inch).Contains("halved", StringComparison.Ordinal));
        Assert.Equal((4, 4), (sized.Layers.Single(l => l.Id == "doors").Quantity, sized.Layers.Single(l => l.Id == "doors-back").Quantity));
    }

    [Fact]
    public void Closed_thickness_adds_every_ply_layer_and_tape_over_the_thickest_spot()
    {
        // A plain fold: two plies of 0.34, a mat of 0.27 and a paper of 0.15 on the front, a paper inside.
        Assert.Equal((2 * Length.Mm(0.34m)) + Length.Mm(0.27m) + (2 * Length.Mm(0.15m)), Size(Spec("plain-fold", "5x5")).ClosedThickness);

        // One tier: the folded wall lies on the back; between them the tab taped to it, on the tier's face with its layer.
        var tier = Size(Spec("tier-scene", "5x7", "tiers=1") with { Turn = true });
        Assert.True(tier.ClosedThickness >= Length.Mm(0.34m * 3) + Length.Mm(0.1m));
    }

    [Fact]
    public void Bridge_with_its_back_and_height_given()
    {
        var sized = Size(Spec("bridge", "7x5in", "back=4", "bridge=1 5/8"));
        Assert.Equal((In("10"), In("5")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));
        Assert.Equal([In("1 1/2"), In("3"), In("7"), In("8 1/2")], sized.Scores("base"));
        Assert.Equal((In("7"), In("1 5/8")), (sized.Piece("bridge").Width.Value, sized.Piece("bridge").Height.Value));

        // The front slides by a leg: the bridge, bonded to the outer legs, ends a leg's width beside the back.
        var box = sized.Closed.Panels.ToDictionary(p => $"{p.Piece}.{p.Panel}", p => p.Box);
        Assert.Equal(In("7"), box["bridge.bridge"].Width);
        Assert.Equal(box["base.outer-left"].Left, box["bridge.bridge"].Left);
        Assert.Equal(box["base.back"].Left, box["base.outer-left"].Left);
    }

    [Fact]
    public void Tower_pinwheel_with_its_side_given()
    {
        var sized = Size(Spec("tower-pinwheel", "6x4in", "side=1"));
        Assert.Equal((In("7"), In("4")), (sized.Piece("strip").Width.Value, sized.Piece("strip").Height.Value));
        Assert.Equal([In("1"), In("2"), In("3"), In("4")], sized.Scores("strip"));
        Assert.Equal((In("3"), In("4"), 3), (sized.Piece("fin").Width.Value, sized.Piece("fin").Height.Value, sized.Piece("fin").Piece.Quantity));
        Assert.Equal(In("6"), sized.Closed.Width);

        // Four outer faces f wide, four inner ones f − s; each less its reveal.
        Assert.Equal(4, sized.Layers.Where(l => l.Width.Value == In("2 3/4")).Sum(l => l.Quantity));
        Assert.Equal(4, sized.Layers.Where(l => l.Width.Value == In("1 3/4")).Sum(l => l.Quantity));
    }

    [Fact]
    public void Drop_flap_keeps_its_liner_inside_the_cover_on_all_sides()
    {
        var sized = Size(Spec("drop-flap", "a2-us"));
        Assert.Equal((In("4 1/4"), In("8 1/4")), (sized.Piece("cover").Width.Value, sized.Piece("cover").Height.Value));
        Assert.Equal([In("5 1/2")], sized.Scores("cover"));
        Assert.Equal((In("3 3/4"), In("10")), (sized.Piece("liner").Width.Value, sized.Piece("liner").Height.Value));
        Assert.Equal([In("5")], sized.Scores("liner"));
        var flap = sized.Layers.Single(l => l.Id == "flap");
        Assert.Equal((In("3 3/4"), In("2 1/4")), (flap.Width.Value, flap.Height.Value));
        Assert.Equal((In("4 1/4"), In("5 1/2")), (sized.Closed.Width, sized.Closed.Height));
    }

    [Fact]
    public void Split_gatefold_gives_the_right_door_what_is_left()
    {
        var sized = Size(Spec("split-gatefold", "5x7", "left=3", "relief=1/16"));
        Assert.Equal(In("9 15/16"), sized.Piece("base").Width.Value);
        Assert.Equal([In("3"), In("8")], sized.Scores("base"));
        Assert.Equal(In("5"), sized.Closed.Width);
    }

    [Fact]
    public void Bay_window_with_a_hook_fills_the_card_and_glues_its_strip_beside_the_spine()
    {
        var sized = Size(Spec("bay-window-hook", "5x7", "centre=1 3/4", "hook=1/4", "glue=1/4"));
        Assert.Equal([In("1/4"), In("1 5/8"), In("3 3/8"), In("4 3/4"), In("5")], sized.Scores("base"));
        Assert.Equal([true, true, true, true, false], sized.Piece("base").Scores.Select(s => s.Crease.Working));
        Assert.Equal(In("4 1/2"), sized.Layers.Single(l => l.Id == "inside").Width.Value);
    }
}

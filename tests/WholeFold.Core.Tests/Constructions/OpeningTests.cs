using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>Windows, slits and what lies loose: worked by hand, and over all constructions.</summary>
public class OpeningTests
{
    private const int Every = 4;

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("both")]
    [InlineData("machine")]
    public void Every_line_lies_on_a_mark_inside_its_piece_and_says_how_it_is_cut(string tools)
    {
        var lines = 0;
        foreach (var spec in Grid(tools, "0.5mm").Stride(Every))
        {
            if (Try(spec) is not { Relaxation: Relaxation.None } sized)
            {
                continue;
            }

            foreach (var piece in sized.Pieces)
            {
                foreach (var opening in piece.Openings)
                {
                    var (box, kind) = (opening.Box, opening.Opening.Kind);
                    var inside = box.Left > Length.Zero && box.Right < piece.Width.Value && box.Bottom > Length.Zero && box.Top < piece.Height.Value;
                    Assert.True(inside == kind is CutKind.Window or CutKind.Slit or CutKind.Flap, spec.Named());
                    Assert.True(kind switch
                    {
                        CutKind.Slit => box.Width >= Length.Mm(0.5m) && box.Width < Length.Mm(0.5m * 4) + Length.In(1, 16) && box.Height > Length.Zero,
                        CutKind.Divide => box.Width == Length.Zero ? box.Height == piece.Height.Value : box.Height == Length.Zero && box.Width == piece.Width.Value,
                        CutKind.Window => Length.Min(box.Width, box.Height) >= Smallest.For(sized.Figures.Tools.System),
                        _ => box.Width > Length.Zero && box.Height > Length.Zero,
                    }, spec.Named());
                    Assert.Equal(!sized.Figures.Tools.Exact && sized.Pieces.Any(p => p.Openings.Any(o => o.Opening.IsKnifeWork)), sized.Checks.Any(c => c.Id == "knife-work"));
                    foreach (var edge in piece.MarkedLines.Where(l => l.Opening == opening).Select(l => l.Figure))
                    {
                        lines++;
                        Assert.True(sized.Figures.Tools.Exact || edge.Value.IsOn(sized.Figures.Tools.OwnCutMark), $"{spec.Named()}: {edge.Id} at {edge.Value}");
                        Assert.True(edge.Setting switch
                        {
                            Setting.ByMachine => sized.Figures.Tools.Exact,
                            Setting.Stretch { With: SetBy.InGroove } cut => sized.Figures.Tools.OnGroove(edge.Value) && cut.From < cut.To,
                            Setting.Stretch { With: SetBy.StartStop } cut => cut.From <= cut.To,
                            Setting.OnTrimmer => kind == CutKind.Divide,
                            Setting.Stretch { With: SetBy.Scissors } cut => kind == CutKind.Notch && cut.From < cut.To,
                            _ => false,
                        });
                    }
                }
            }
        }

        Assert.True(lines > Day.AtLeast(300, Every), $"only {lines} lines");
    }

    private static readonly Pair Smallest = Core.Constructions.Construction.SmallestWindow;

    [Fact]
    public void One_note_names_everything_that_is_cut_with_a_blade()
    {
        var caution = Assert.Single(Size(Spec("inside-tunnel", "6x6", "layers=2")).Checks, c => c.Id == "knife-work");
        Assert.StartsWith("Cut the window of the box, the window of layer 1 and the window of layer 2 before anything is folded", caution.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        Assert.Equal(Severity.Note, caution.Severity);
    }

    [Fact]
    public void Slider_stand_by_hand()
    {
        var sized = Size(Spec("slider-stand", "6x4in", "box=1", "flap=1"));
        Assert.Equal(["1", "3", "4", "6", "8", "9", "11"], sized.Scores("base").Select(s => LengthWriter.Write(s, DisplayUnit.Inch)));
        Assert.Equal((In("12"), In("4")), (sized.Piece("base").Width.Value, sized.Piece("base").Height.Value));

        // The slit stays the edge, ¼, from either end; the slide is at least 1/16 narrower than the slit is long, on a coarser mark.
        var slit = sized.Piece("base").Openings.Single();
        Assert.Equal((In("6"), In("1/4"), In("3 3/4")), (slit.Left.Value, slit.Foot.Value, slit.Head.Value));
        Assert.Equal(SetBy.InGroove, slit.Left.Setting.How);
        Assert.Equal((In("6"), In("3 3/8")), (sized.Piece("slide").Width.Value, sized.Piece("slide").Height.Value));
        Assert.Equal((In("6"), In("4")), (sized.Closed.Width, sized.Closed.Height));
    }

    [Fact]
    public void Shadow_box_by_hand()
    {
        var sized = Size(Spec("shadow-box", "5x7", "middles=1", "depth=1"));

        // Front ½ | 4 … with depth 1: walls 1, front 4; back tab ¼; the middle's tab (1 − ¼)/2.
        Assert.Equal([In("1"), In("5")], sized.Scores("front"));
        Assert.Equal([In("1/4"), In("4 1/4")], sized.Scores("back"));
        Assert.Equal([In("3/8"), In("4 3/8")], sized.Scores("middle1"));
        var window = sized.Piece("front").Openings.Single();
        Assert.Equal((In("1 1/2"), In("4 1/2"), In("1/2"), In("6 1/2")), (window.Left.Value, window.Right.Value, window.Foot.Value, window.Head.Value));
    }

    [Theory]
    [InlineData("alternate", "5", "1")]
    [InlineData("oneWay", "3", "1")]
    public void Pillar_tiers_slide_by_one_side_or_by_all(string flatten, string back, string side)
    {
        var sized = Size(Spec("pillar-tiers", "6x6", "rows=3", $"flatten={flatten}", "side=1"));
        Assert.Equal(In(back), sized.Piece("back").Width.Value);
        Assert.Equal((In("6"), In("6")), (sized.Closed.Width, sized.Closed.Height));
        Assert.Equal([In(side), In("2"), In("3"), In("4")], sized.Scores("pillar1"));

        // 2t + 0.25 of 0.34 mm card is 0.93 mm: one sixteenth.
        Assert.Equal(In("4 15/16"), sized.Piece("pillar1").Width.Value);
    }

    [Fact]
    public void A_line_can_be_cut_by_start_and_stop_in_the_groove_or_by_a_die_against_a_score()
    {
        var sized = Size(Spec("shadow-box", "5x7", "depth=1"));
        var window = sized.Piece("front").Openings.Single();
        Assert.Equal((SetBy.InGroove, "in the groove, 1/2 to 6 1/2"), (window.Left.Setting.How, window.Left.Setting.Write(DisplayUnit.Inch)));
        Assert.Equal((SetBy.StartStop, "from 1 1/2 to 4 1/2"), (window.Foot.Setting.How, window.Foot.Setting.Write(DisplayUnit.Inch)));
        Assert.Equal(["from 1/2 to 6 1/2", "die, its edge 1/2 past the score at 1"], Setting.OtherInnerCuts(sized.Figures.Tools, window.Left.Setting, [.. sized.Scores("front")]).Select(w => w.Write(DisplayUnit.Inch)));
        Assert.Equal("die, its edge 1/2 before the score at 5", Setting.OtherInnerCuts(sized.Figures.Tools, window.Right.Setting, [.. sized.Scores("front")]).Last().Write(DisplayUnit.Inch));
        Assert.Empty(Setting.OtherInnerCuts(sized.Figures.Tools, window.Foot.Setting, []));
        Assert.Equal(SetBy.Machine, Size(Spec("shadow-box", "5x7") with { Tools = "machine" }).Piece("front").Openings[0].Left.Setting.How);
    }

    [Fact]
    public void What_lies_loose_has_its_place_and_no_glue()
    {
        var sized = Size(Spec("sleeve-gatefold", "5x7"));
        Assert.Contains(sized.Construction.Bonds, b => b.IsLoose);
        var tile = sized.Closed.Panels.Single(p => p.Piece == "tile").Box;
        Assert.Equal(tile.Left - sized.Closed.Footprint.Left, sized.Closed.Footprint.Right - tile.Right);
        var elsewhere = sized.Construction with { Bonds = [.. sized.Construction.Bonds.Select(b => b.IsLoose ? b with { A = b.A with { On = b.A.On with { Face = Face.Up } } } : b)] };
        Assert.Empty(Core.Folding.ClosedPose.Of(elsewhere, sized.Pieces, e => sized.Figures.ValueOf(e).Units).Misses);
    }

    [Fact]
    public void A_spinner_on_the_peak_stays_inside_the_closed_card_and_its_window_opens_both_slopes()
    {
        var sized = Size(Spec("peak-tunnel", "6x6", "spinner=onThePeak"));
        var inset = sized.Figures.Parameters.Single(p => p.Parameter.Id == "inset").Value;
        Assert.True(sized.Piece("spinner").Width.Value <= 2 * (inset - In("1/16")));
        Assert.Equal((In("6"), In("6")), (sized.Closed.Width, sized.Closed.Height));
        var tunnel = sized.Piece("tunnel");
        Assert.Equal(["slope-front", "slope-back"], tunnel.Plates.Where(p => tunnel.HolesIn(p).Any()).Select(p => p.Id));
        Assert.All(sized.Thickness.Spreads, s => Assert.True(s.Thick > Length.Zero));
    }

    [Fact]
    public void An_ovals_pockets_lie_inside_it_and_a_second_tile_covers_them_from_behind()
    {
        var sized = Size(Spec("sleeve-gatefold", "5x7", "die=oval", "behind=tile"));
        var (tile, pocket) = (sized.Piece("tile"), sized.Piece("pocket"));
        double Share(Length part, Length whole) => (double)part.Units / whole.Units;
        Assert.True(Math.Pow(Share(pocket.Width.Value, tile.Width.Value), 2) + Math.Pow(Share(pocket.Height.Value, tile.Height.Value), 2) <= 1);
        Assert.Equal((tile.Width.Value, tile.Height.Value), (sized.Piece("backTile").Width.Value, sized.Piece("backTile").Height.Value));
        Assert.Empty(sized.Closed.Misses);
        var boxes = sized.Closed.Panels.Where(p => p.Panel == "tile").Select(p => p.Box).Distinct();
        Assert.Single(boxes);
    }

    [Fact]
    public void The_json_has_every_opening_as_a_cut()
    {
        using var json = System.Text.Json.JsonDocument.Parse(SizedJson.Write(Size(Spec("slider-stand", "6x4in")), DisplayUnit.Inch));
        var cuts = json.RootElement.GetProperty("pieces")[0].GetProperty("cuts");
        Assert.Equal([("outer", "rectangle"), ("slit", "line")], cuts.EnumerateArray().Select(c => (c.GetProperty("kind").GetString(), c.GetProperty("shape").GetString())));
    }
}

using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Dressing;

public class DressingTests
{
    private static DesignSpec Plain(DressingSpec dressing, string format = "5x5") => Spec("plain-fold", format) with { Dressing = dressing };

    private static DressingSpec Layers(params LayerSpec[] layers) => new() { Layers = layers };

    private static (Length, Length) Of(Card card, string layer) => card.Layers.Single(l => l.Id == layer) is var l ? (l.Width.Value, l.Height.Value) : default;

    [Fact]
    public void A_role_is_bare_or_worn_on_several_levels_each_stepping_in_by_the_school()
    {
        Assert.Equal(["front", "front-2", "inside"], Size(Plain(new DressingSpec())).Layers.Select(l => l.Id));
        Assert.Equal(["inside"], Size(Plain(Layers(new LayerSpec("front", Worn: false)))).Layers.Select(l => l.Id));
        Assert.Equal(["front", "inside"], Size(Plain(Layers(new LayerSpec("front", 2, Worn: false)))).Layers.Select(l => l.Id));
        var three = Size(Plain(Layers(new LayerSpec("inside", 2, "vellum"), new LayerSpec("inside", 3))));
        Assert.Equal([(In("4 3/4"), In("4 3/4")), (In("4 1/2"), In("4 1/2")), (In("4 1/4"), In("4 1/4"))], new[] { "inside", "inside-2", "inside-3" }.Select(i => Of(three, i)));
        Assert.Equal("vellum", three.Layers.Single(l => l.Id == "inside-2").Stock.Id);

        // A face that the construction does not speak of is worn where it is said.
        Assert.Equal((In("4 3/4"), In("4 3/4")), Of(Size(Plain(Layers(new LayerSpec("base.back.down")))), "base.back.down"));
    }

    [Fact]
    public void A_border_is_said_by_role_by_face_and_by_direction_as_one_reads_it()
    {
        var card = Size(Spec("gatefold", "5x7") with { Dressing = Layers(new LayerSpec("door", Reveal: new RevealSpec(X: "1/4 in")), new LayerSpec("base.left.down", Reveal: new RevealSpec(Y: "0"))) });
        Assert.Equal(2, card.Layers.Count(l => l.Role.Id == "door"));
        Assert.Equal(In("7"), card.Layers.Single(l => l.Panels is ["left"]).Height.Value);
        Assert.Equal(In("6 3/4"), card.Layers.Single(l => l.Panels is ["right"]).Height.Value);
        var (door, right) = (card.Piece("base").Panels.Single(p => p.Panel.Id == "right").Extent, card.Layers.Single(l => l.Panels is ["right"]).Width.Value);
        Assert.Equal(card.Figures.Tools.CutDown(door - In("1/2")), right);
    }

    [Fact]
    public void Paper_ends_at_what_is_bonded_or_runs_under_it()
    {
        Length Wide(string? under) => Size(Spec("bay-window-hook", "5x7") with { Dressing = Layers(new LayerSpec("inside", Under: under)) }).Layers.Single(l => l.Role.Id == "inside").Width.Value;
        Assert.Equal(Wide(null), Wide("free"));
        Assert.Equal(In("1/4"), Wide("first") - Wide("free"));
    }

    /// <summary>A layer on a plate that is no rectangle keeps its border to every edge of it.</summary>
    [Theory]
    [InlineData("twist-pop-wide", "insert.high-left.up")]
    [InlineData("twist-pop-wide", "insert.left.up")]
    [InlineData("twist-pop", "carrier.left.up")]
    public void A_layer_follows_its_plate(string construction, string face)
    {
        var card = Size(Spec(construction, "5x7") with { Tools = "machine", Dressing = Layers(new LayerSpec(face)) });
        var layer = card.Layers.Single(l => l.Role.Id == face);
        Assert.False(layer.IsRectangle);
        Assert.NotNull(layer.HowToCut);
        var (laid, free) = (Plane.Shape(layer.On[0].Outline), layer.On[0].Region.Shape);
        Assert.True(free.Buffer(2).Covers(laid));

        // A quarter of a narrow plate at the most, an eighth of an inch elsewhere, less the trimmer's mark.
        Assert.InRange(laid.Distance(((NetTopologySuite.Geometries.Polygon)free).ExteriorRing), 100, In("1/8").Units + 8);
    }

    [Fact]
    public void A_window_goes_through_the_stack_and_what_drops_out_is_a_piece()
    {
        var spec = Plain(new DressingSpec { Windows = [new WindowSpec("eye", "front", Die: "ring-2")] });
        var card = Size(spec);
        Assert.All(card.Layers.Where(l => l.Role.Id == "front"), l => Assert.Single(l.On[0].Holes));
        var document = SizedJson.Document(card, DisplayUnit.Inch);
        Assert.Equal(["2", "2"], Assert.Single(document.Windows).DropsOut.Select(l => l.In));
        Assert.Equal(["2", "2"], document.Layers[0].DropsOut![0].Select(l => l.In));

        // Less card, less thickness over it, less weight.
        Assert.True(card.Grams < Size(spec with { Dressing = null }).Grams);
        Assert.Empty(Size(spec with { Dressing = spec.Dressing! with { Windows = [spec.Dressing!.Windows[0] with { Through = [0] }] } }).Layers[0].On[0].Holes);
    }

    [Fact]
    public void A_die_window_goes_to_the_nearest_die_that_is_there_and_a_knifes_follows_its_rule()
    {
        SizedWindow In(string format, WindowSpec window) => Size(Plain(new DressingSpec { Windows = [window] }, "5x7") with { Target = format }).Dressed.Windows.Single();
        var pane = new WindowSpec("eye", "front", Die: "pane-3");
        Assert.Equal((WindowFound.AsChosen, "pane-3"), (In("5x7", pane).Found, In("5x7", pane).Die!.Id));
        Assert.Equal((WindowFound.NearestDie, "pane-2"), (In("a2-us", pane).Found, In("a2-us", pane).Die!.Id));
        Assert.Equal(WindowFound.NoneFits, In("2x2in", pane).Found);

        var knife = new WindowSpec("eye", "front", Size: ["2 1/2 in", "3 1/2 in"]);
        Assert.Equal((Support.In("2 1/8"), Support.In("2 3/4")), (In("a2-us", knife).Width.Value, In("a2-us", knife).Height.Value));
        Assert.Equal((Support.In("2 1/2"), Support.In("3 1/2")), (In("a2-us", knife with { Rule = "fixed" }).Width.Value, In("a2-us", knife with { Rule = "fixed" }).Height.Value));
        Assert.Equal((Support.In("1 3/4"), Support.In("2")), (In("a2-us", knife with { Rule = "margins" }).Width.Value, In("a2-us", knife with { Rule = "margins" }).Height.Value));

        // Passed twice, the second pass is moved by what the opening is longer than the die.
        var twice = In("5x7", pane with { Size = ["2 1/2 in", "4 in"] });
        Assert.Equal((Support.In("4"), Support.In("1")), (twice.Height.Value, twice.Shift));
    }

    [Fact]
    public void Each_of_the_nine_places_is_where_one_reads_it_also_on_the_outside()
    {
        Box Lies(string role, string anchor) => Size(Plain(new DressingSpec { Elements = [new ElementSpec("moon", role, Size: ["1 in", "1 in"], Place: new PlaceSpec(anchor))] })).Dressed.Elements[0].On[0].Box;
        var edge = In("1/8");
        foreach (var (anchor, left, foot) in new[] { ("head-left", edge, In("3 7/8")), ("head", In("2"), In("3 7/8")), ("right", In("3 7/8"), In("2")), ("centre", In("2"), In("2")), ("foot-right", In("3 7/8"), edge) })
        {
            // The back's inside lies as it is read, from the spine at 5 in; the front's outside is read from the other side.
            Assert.Equal((In("5") + left, foot), (Lies("inside", anchor).Left, Lies("inside", anchor).Bottom));
            Assert.Equal((In("5") - left - In("1"), foot), (Lies("base.front.down", anchor).Left, Lies("base.front.down", anchor).Bottom));
        }
    }

    [Fact]
    public void A_window_is_placed_from_the_one_before_it()
    {
        var windows = Size(Plain(new DressingSpec
        {
            Windows = [new WindowSpec("one", "front", Size: ["1 in", "1 in"], Place: new PlaceSpec("left", [new FromSpec("left", "1/2 in")])),
                new WindowSpec("two", "front", Size: ["1 in", "1 in"], Place: new PlaceSpec("centre", [new FromSpec("window:one", "1/4 in")]))],
        })).Dressed.Windows;
        Assert.Equal(In("1 3/4"), windows[1].On[0].Read.Left);
    }

    /// <summary>Dressed in inches, made in centimetres and brought home again, it is what it was; nothing that was put on is lost on the way.</summary>
    [Fact]
    public void Nothing_is_lost_in_any_format_and_home_is_home_again()
    {
        var dressing = new DressingSpec
        {
            Layers = [new LayerSpec("front", 2, "vellum"), new LayerSpec("base.back.down", Reveal: new RevealSpec("3/16 in", "5 mm"))],
            Windows = [new WindowSpec("eye", "front", Die: "ring-1"), new WindowSpec("port", "front", Size: ["1 in", "20 mm"], Place: new PlaceSpec("head", [new FromSpec("head", "1/2 in")]))],
            Elements = [new ElementSpec("moon", "inside", Size: ["1 in", "1 in"], Height: "2 mm"), new ElementSpec("tag", "front", Shape: "polygon", Motif: "label", Size: ["1 1/4 in", "1/2 in"], Fixed: false, Place: new PlaceSpec("foot"))],
            Soft = [new SoftSpec("bow", "front", Rule: "bow")],
        };
        foreach (var construction in new[] { "plain-fold" })
        {
            var spec = Spec(construction, "5x7") with { Dressing = dressing };
            var home = SizedJson.Write(Size(spec), DisplayUnit.Inch);
            foreach (var format in new[] { "a6-iso", "sq-144", "a2-us", "3x3", "12x12in" })
            {
                foreach (var tools in new[] { "imperial-eighths", "metric-5mm", "machine" })
                {
                    DesignEdit[] edits = [new Take("tools", tools), new ConvertTo(format)];
                    var there = DesignEdit.Apply(edits, spec, Reader);
                    var card = Size(there);
                    Assert.Equal((2, 2, 1), (card.Dressed.Windows.Count, card.Dressed.Elements.Count, SoftGoods.Of(card.Figures, card.Dressed).Count));
                    Assert.All(card.Dressed.Elements.Where(e => e.Element.IsFixed), e => Assert.Equal((e.Home.Width, e.Home.Height), (e.Width.Value, e.Height.Value)));
                    Assert.Equal(card.Dressed.Windows.Count + card.Dressed.Elements.Count, DressedPlaces.Of(card).Count);
                    Assert.All(card.Dressed.Elements, e => Assert.Contains(Steps.Of(card), s => s.Id == $"element-{e.Element.Id}"));
                    Assert.Equal(home, SizedJson.Write(Size(DesignEdit.Apply(DesignEdit.InverseOf(edits, spec, Reader), there, Reader)), DisplayUnit.Inch));
                }
            }
        }
    }

    [Fact]
    public void A_design_file_brings_its_dressing_out_and_back_lengths_of_any_form_read()
    {
        var spec = DesignFile.Read("""
            {"wholeFold": 2, "construction": "plain-fold", "format": "5x5", "dressing": {
              "layers": [{"role": "front", "level": 1, "stock": "vellum", "worn": true, "reveal": {"x": {"units": 1016, "mm": 3.175}, "y": 0.25}}],
              "elements": [{"id": "moon", "role": "inside", "shape": "circle", "size": ["1 in", {"mm": 25.4}], "height": "2 mm", "fixed": true, "place": {"anchor": "head-left", "from": [{"edge": "left", "distance": "-1/4 in"}], "pose": "shown"}, "bondedOn": "base.back"}]}}
            """, "design");
        var card = Size(spec);
        Assert.Equal((In("4 3/4"), In("4 1/2")), Of(card, "front"));
        Assert.Equal(-In("1/4"), card.Dressed.Elements[0].On[0].Margins.Left);
        Assert.Equal(SizedJson.Write(card, DisplayUnit.Inch), SizedJson.Write(Size(DesignFile.Read(DesignFile.Write(spec), "again")), DisplayUnit.Inch));

        // Past the spine by a quarter, so much wider is the closed card.
        Assert.Equal(In("1/4"), card.Packed.Width - card.Closed.Width);
    }

    [Fact]
    public void A_contour_rises_above_the_rules_height_and_its_paper_follows_it()
    {
        var spec = Spec("tier-scene", "5x7", "tiers=1") with { Turn = true, Dressing = new DressingSpec { Contours = [new ContourSpec("hills", "tier1", "hills", "1/2 in")] } };
        var (card, bare) = (Size(spec), Size(spec with { Dressing = null }));
        Assert.True(card.Layers.Single(l => l.Id == "tier1").Height.Value > bare.Layers.Single(l => l.Id == "tier1").Height.Value);
        Assert.True(card.Dressed.Contours[0].IsFree);
        Assert.Contains(Steps.Of(card), s => s.Id == "cut-tier1" && s.Say.Write(DisplayUnit.Inch).Contains("1/2 in more at the top for the hills", StringComparison.Ordinal));

        // Where the tier is as high as the card, the hills stand out of it, and that is found.
        var high = Size(spec with { Set = new Dictionary<string, WrittenFigure> { ["tiers"] = "1", ["tier1Height"] = "5 in" } });
        Assert.Contains(high.Checks, c => c.Id == "sticks-out-when-closed");
        Assert.DoesNotContain(card.Checks, c => c.Id == "sticks-out-when-closed");
    }

    [Fact]
    public void Ribbon_and_twine_are_measured_by_rule()
    {
        Length Take(string kind, string rule, int passes = 1) =>
            SoftGoods.Of(Size(Plain(new DressingSpec { Soft = [new SoftSpec("tie", "front", kind, rule, Passes: passes)] })).Figures,
            Size(Plain(new DressingSpec { Soft = [new SoftSpec("tie", "front", kind, rule, Passes: passes)] })).Dressed).Single().Length;
        Assert.Equal(In("5"), Take("tape", "run"));
        Assert.Equal(In("6"), Take("ribbon", "run"));
        Assert.Equal(In("11"), Take("ribbon", "wrap"));
        Assert.Equal(In("21"), Take("twine", "wrap", 2));
        Assert.Equal(In("24"), Take("ribbon", "bow"));
    }

    public static TheoryData<string, string> Refused => new()
    {
        { """{"layers": [{"role": "roof"}]}""", "no face of this card" },
        { """{"layers": [{"role": "front", "level": 9}]}""", "no level" },
        { """{"layers": [{"role": "front"}, {"role": "front"}]}""", "twice" },
        { """{"layers": [{"role": "front", "under": "over"}]}""", "habit" },
        { """{"windows": [{"id": "eye", "role": "front", "die": "ring-99"}]}""", "no die" },
        { """{"windows": [{"id": "eye", "role": "front"}]}""", "neither a die nor a size" },
        { """{"windows": [{"id": "eye", "role": "front", "size": ["0", "1 in"]}]}""", "out of range" },
        { """{"windows": [{"id": "Eye!", "role": "front", "size": ["1 in", "1 in"]}]}""", "cannot be an id" },
        { """{"windows": [{"id": "eye", "role": "front", "die": "ring-1", "size": ["1 in", "1 in"]}]}""", "passed twice" },
        { """{"elements": [{"id": "moon", "role": "front", "size": ["1 in"]}]}""", "two lengths" },
        { """{"elements": [{"id": "moon", "role": "front", "size": ["9 in", "9 in"]}]}""", "larger than any face" },
        { """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "middle"}}]}""", "nine places" },
        { """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "spine", "distance": "1 in"}]}}]}""", "no edge" },
        { """{"elements": [{"id": "moon", "role": "front", "shape": "polygon", "size": ["1 in", "1 in"]}]}""", "needs its outline" },
        { """{"elements": [{"id": "moon", "role": "front", "shape": "polygon", "outline": [[0, 0], [1, 1], [1, 0], [0, 1]], "size": ["1 in", "1 in"]}]}""", "crosses itself" },
        { """{"elements": [{"id": "moon", "role": "front", "shape": "polygon", "svg": "<svg><script/></svg>", "size": ["1 in", "1 in"]}]}""", "script" },
        { """{"elements": [{"id": "moon", "role": "front", "shape": "polygon", "svg": "<svg><path onload='x' d='M0 0L1 0L1 1z'/></svg>", "size": ["1 in", "1 in"]}]}""", "onload" },
        { """{"elements": [{"id": "moon", "role": "front", "shape": "polygon", "svg": "<!DOCTYPE a><svg/>", "size": ["1 in", "1 in"]}]}""", "not a drawing" },
        { """{"elements": [{"id": "moon", "role": "front", "motif": "unicorn", "shape": "polygon", "size": ["1 in", "1 in"]}]}""", "no motif" },
        { """{"soft": [{"id": "bow", "role": "front", "kind": "rope"}]}""", "not known" },
        { """{"contours": [{"id": "top", "role": "front", "shape": "spires"}]}""", "no contour" },
    };

    [Theory]
    [MemberData(nameof(Refused))]
    public void What_is_not_understood_is_refused_with_place_and_what_is_accepted(string dressing, string reason)
    {
        var problem = Assert.Throws<InputProblemException>(() => Size(DesignFile.Read($$"""{"wholeFold": 2, "construction": "plain-fold", "format": "5x5", "dressing": {{dressing}}}""", "design")));
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        Assert.StartsWith("dressing", problem.Field, StringComparison.Ordinal);
        Assert.NotEmpty(problem.Accepted);
    }

    [Fact]
    public void A_megabyte_of_drawing_is_refused_at_once_and_every_motif_that_ships_is_one_line()
    {
        Assert.Throws<InputProblemException>(() => SvgOutline.Read(new string('<', 1_000_000), "svg"));
        Assert.True(Motifs.Names.Count >= 10);
        Assert.All(Motifs.Names, name => Assert.InRange(Motifs.Of(name)!.Corners.Count, 5, SvgOutline.MostCorners));
        var square = SvgOutline.Read("<svg><path d='M10 10h20v20H10z'/></svg>", "svg");
        Assert.Equal([(0d, 1d), (1d, 1d), (1d, 0d), (0d, 0d)], square.Corners);
    }

    /// <summary>A ring of paper round a window in the card: the next larger die, in every format, and with one middle.</summary>
    [Fact]
    public void A_window_round_another_keeps_its_middle_and_stays_the_next_larger_in_every_format()
    {
        var spec = Plain(new DressingSpec { Windows =
            [new WindowSpec("eye", "front", Die: "ring-2", Through: [0], Place: new PlaceSpec("head", [new FromSpec("head", "3/4 in")])),
            new WindowSpec("rim", "front", Through: [1], Around: "eye"), new WindowSpec("wide", "front", Size: ["3 in", "3 in"], Shape: "circle", Through: [2], Around: "rim")] }, "6x6");
        Assert.Equal(["ring-2", "ring-3", null], Size(spec).Dressed.Windows.Select(w => w.Die?.Id));
        foreach (var format in Core.Inventories.Inventory.Shipped.Formats)
        {
            if (Try(spec with { Target = format.Id }) is not { } card)
            {
                continue;
            }

            var (eye, rim, wide) = (card.Dressed.Windows[0], card.Dressed.Windows[1], card.Dressed.Windows[2]);
            Assert.Equal(Core.Inventories.Inventory.Shipped.LargerThan(eye.Die!).First(), rim.Die);
            Assert.InRange((wide.Width.Value - rim.Width.Value - In("1/2")).Abs().Units, 0, card.Figures.Tools.OwnCutMark.Units);
            Assert.All([rim, wide], w => Assert.InRange((w.On[0].Read.Left + w.On[0].Read.Right - eye.On[0].Read.Left - eye.On[0].Read.Right).Abs().Units, 0, 2));
            Assert.All([rim, wide], w => Assert.InRange((w.On[0].Read.Bottom + w.On[0].Read.Top - eye.On[0].Read.Bottom - eye.On[0].Read.Top).Abs().Units, 0, 2));
        }
    }

    [Theory]
    [InlineData("eye", null, "no window", "sun")]
    [InlineData("eye", "1 in", "no larger", "eye")]
    [InlineData("eye", "place", "has its middle there", "eye")]
    public void What_cannot_go_round_a_window_is_refused(string id, string? size, string said, string around)
    {
        var round = size == "place" ? new WindowSpec("rim", "front", Around: around, Place: new PlaceSpec("head")) : new WindowSpec("rim", "front", Size: size is null ? ["3 in", "3 in"] : [size, size], Around: around);
        var refused = Assert.Throws<InputProblemException>(() => Size(Plain(new DressingSpec { Windows = [new WindowSpec(id, "front", Size: ["2 in", "2 in"]), round] })));
        Assert.Contains(said, refused.Reason, StringComparison.Ordinal);
    }

    public static TheoryData<string, string, string, bool> Edges => new()
    {
        // Two windows of one size, one a sixteenth nearer to the edge than it may be.
        { "window-margin", "plain-fold", """{"windows": [{"id": "eye", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "3/8 in"}]}}]}""", false },
        { "window-margin", "plain-fold", """{"windows": [{"id": "eye", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "5/16 in"}]}}]}""", true },
        { "element-too-large-for-its-face", "gatefold", """{"elements": [{"id": "moon", "role": "base.left.down", "size": ["2 7/16 in", "1 in"]}]}""", false },
        { "element-too-large-for-its-face", "gatefold", """{"elements": [{"id": "moon", "role": "base.left.down", "size": ["2 1/2 in", "1 in"]}]}""", true },
        { "sticks-out-when-closed", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "bondedOn": "base.front", "place": {"anchor": "head", "from": [{"edge": "head", "distance": "0"}]}}]}""", false },
        { "sticks-out-when-closed", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "bondedOn": "base.front", "place": {"anchor": "head", "from": [{"edge": "head", "distance": "-1/16 in"}]}}]}""", true },
        { "adhesive-exposed-when-shut", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "0"}]}}]}""", false },
        { "adhesive-exposed-when-shut", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "-1/16 in"}]}}]}""", true },
        { "bonded-across-a-working-crease", "plain-fold", """{"elements": [{"id": "moon", "role": "inside", "size": ["1 in", "1 in"], "place": {"anchor": "left", "from": [{"edge": "left", "distance": "0"}]}}]}""", false },
        { "bonded-across-a-working-crease", "plain-fold", """{"elements": [{"id": "moon", "role": "inside", "size": ["1 in", "1 in"], "place": {"anchor": "left", "from": [{"edge": "left", "distance": "-1/16 in"}]}}]}""", true },
        { "stamped-where-there-is-no-card", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "made": "stamped", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "0"}]}}]}""", false },
        { "stamped-where-there-is-no-card", "plain-fold", """{"elements": [{"id": "moon", "role": "front", "made": "stamped", "size": ["1 in", "1 in"], "place": {"anchor": "head", "from": [{"edge": "head", "distance": "-1/16 in"}]}}]}""", true },
        { "raised-element-behind-a-single-ply-marks-the-front", "plain-fold", """{"layers": [{"role": "front", "worn": false}], "elements": [{"id": "moon", "role": "inside", "size": ["1 in", "1 in"], "height": "0.7 mm"}]}""", false },
        { "raised-element-behind-a-single-ply-marks-the-front", "plain-fold", """{"layers": [{"role": "front", "worn": false}], "elements": [{"id": "moon", "role": "inside", "size": ["1 in", "1 in"], "height": "0.75 mm"}]}""", true },
        { "spinner-cannot-turn", "plain-fold", """{"windows": [{"id": "eye", "role": "front", "size": ["2 in", "2 in"]}], "elements": [{"id": "moon", "role": "front", "held": "thread", "size": ["1 7/8 in", "1 7/8 in"]}]}""", false },
        { "spinner-cannot-turn", "plain-fold", """{"windows": [{"id": "eye", "role": "front", "size": ["2 in", "2 in"]}], "elements": [{"id": "moon", "role": "front", "held": "thread", "size": ["1 15/16 in", "1 7/8 in"]}]}""", true },
        { "tape-wider-than-its-tab", "front-step", """{"soft": [{"id": "hold", "role": "base.tab.up", "kind": "tape", "rule": "run", "width": "1/2 in"}]}""", false },
        { "tape-wider-than-its-tab", "front-step", """{"soft": [{"id": "hold", "role": "base.tab.up", "kind": "tape", "rule": "run", "width": "9/16 in"}]}""", true },
        { "die-not-owned", "plain-fold", """{"windows": [{"id": "eye", "role": "front", "die": "ring-1"}]}""", false },
        { "no-place-left-to-write", "plain-fold", """{"elements": [{"id": "moon", "role": "inside", "size": ["5 in", "4 1/16 in"], "place": {"anchor": "foot", "from": [{"edge": "foot", "distance": "0"}]}}]}""", false },
        { "no-place-left-to-write", "plain-fold", """{"elements": [{"id": "moon", "role": "inside", "size": ["5 in", "4 1/4 in"], "place": {"anchor": "foot", "from": [{"edge": "foot", "distance": "0"}]}}]}""", true },
    };

    /// <summary>Each at its edge: what still holds, and a mark further what does not.</summary>
    [Theory]
    [MemberData(nameof(Edges))]
    public void A_check_fires_past_its_edge_and_not_on_it(string check, string construction, string dressing, bool fires)
    {
        var card = Size(DesignFile.Read($$"""{"wholeFold": 2, "construction": "{{construction}}", "format": "5x5", "dressing": {{dressing}}}""", "design"));
        Assert.Equal(fires, card.Checks.Any(c => c.Id == check && c.Severity > Severity.Note));
    }

    /// <summary>Nobody has to say that a topper is a lock: raised on the strip that the wings slide over, it has to reach over them, or it holds nothing.</summary>
    [Theory]
    [InlineData("1 1/2 in", "2 mm", true, null)]
    [InlineData("1 1/4 in", "2 mm", true, null)]
    [InlineData("1 3/16 in", "2 mm", true, "lock-cannot-catch")]
    [InlineData("1 1/2 in", "0.5 mm", true, "slide-binds")]
    [InlineData("7/8 in", "2 mm", false, null)]
    public void A_topper_holds_the_wings_or_is_told_that_it_does_not(string wide, string high, bool bonded, string? found)
    {
        var card = Size(Spec("winged-lock-gatefold", "5x5", "centre=1 in") with { Dressing = new DressingSpec { Elements = [new ElementSpec("comet", "centre", Size: [wide, "1 in"], Height: high, BondedOn: bonded ? "centre" : null)] } });
        Assert.Equal(found is null ? [] : [found], card.Checks.Where(c => c.Severity > Severity.Note).Select(c => c.Id));
    }

    [Fact]
    public void A_raised_thing_is_struck_where_the_bay_is_too_shallow_and_not_where_there_is_room()
    {
        bool Struck(string height) => Size(Spec("tier-scene", "5x7", "tiers=1", "depth=1 in") with { Turn = true,
            Dressing = new DressingSpec { Elements = [new ElementSpec("lamp", "back", Size: ["1 in", "1 in"], Height: height, Made: "built-up",
            Place: new PlaceSpec("foot"))] } }).Checks.Any(c => c.Id == "faces-collide-on-the-way");
        Assert.True(Struck("28 mm"));
        Assert.False(Struck("20 mm"));
    }
}

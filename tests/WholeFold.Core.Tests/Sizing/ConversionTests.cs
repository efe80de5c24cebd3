using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Sizing;

public class ConversionTests
{
    [Fact]
    public void There_and_back_through_the_written_design_gives_the_same_bytes()
    {
        foreach (var start in new[]
        {
            Spec("winged-lock-gatefold", "5x5", "centre=1", "pad=1/4"), Spec("tier-scene", "a6-iso", "tiers=3", "depth=45mm") with { Turn = true },
            Spec("gatefold", "a2-us", "relief=3/32", "backKeeps=sheet"), Spec("plain-fold", "dl", "frontShort=20mm"),
        })
        {
            var before = Json(start);
            var spec = start;
            foreach (var format in Inventory.Shipped.Formats)
            {
                foreach (var tools in new[] { null, "machine", "metric-5mm", "imperial-eighths" })
                {
                    // Each stop is written down and read again, as the store does.
                    spec = DesignFile.Read(System.Text.Json.JsonSerializer.Serialize(spec with { Target = format.Id, Tools = tools }, StrictJson.Options), "test");
                    var read = Support.Reader.Read(spec);
                    _ = Attempt.Of(read.Design, read.Target);
                }
            }

            Assert.Equal(before, Json(spec with { Target = null, Tools = start.Tools }));
        }

        static string Json(DesignSpec spec)
        {
            var read = Support.Reader.Read(spec);
            return SizedJson.Write(Card.Of(read.Design, read.Target), read.Unit);
        }
    }

    [Fact]
    public void A_fixed_parameter_keeps_its_size_and_a_proportional_one_its_relation()
    {
        var spec = Spec("winged-lock-gatefold", "6x6", "centre=1 1/2", "pad=1/4") with { Tools = "machine", Target = "4x4" };
        var sized = Size(spec);
        Assert.Equal(In("1"), sized.Figures.Parameters.Single(p => p.Parameter.Id == "centre").Value);
        Assert.Equal(In("1/4"), sized.Figures.Parameters.Single(p => p.Parameter.Id == "pad").Value);
    }

    [Fact]
    public void An_adjustment_holds_for_its_format_only()
    {
        var adjusted = Spec("winged-lock-gatefold", "5x5") with { Adjustments = new Dictionary<string, IReadOnlyDictionary<string, WrittenFigure>> { ["5x7"] = new Dictionary<string, WrittenFigure> { ["centre"] = "1 1/4" } } };
        Assert.Equal(In("1 1/4"), Size(adjusted with { Target = "5x7" }).Parameters[0].Value);
        Assert.NotEqual(In("1 1/4"), Size(adjusted with { Target = "a2-us" }).Parameters[0].Value);
        Assert.Equal(SizedJson.Write(Size(Spec("winged-lock-gatefold", "5x5")), DisplayUnit.Inch), SizedJson.Write(Size(adjusted), DisplayUnit.Inch));
    }

    [Theory]
    [InlineData("plain-fold", "5x5", null, VerdictKind.AsDrawn, "fits")]
    [InlineData("winged-lock-gatefold", "6x6", null, VerdictKind.LargerSheet, "wants a larger sheet")]
    [InlineData("gatefold", "5x7", null, VerdictKind.Eased, "2 scores by ruler")]
    [InlineData("plain-fold", "a6-iso", "imperial-eighths", VerdictKind.Eased, "a hair under")]
    [InlineData("plain-fold", "a2-us", "metric-5mm", VerdictKind.Eased, "1/32 full under")]
    [InlineData("plain-fold", "12x12in", null, VerdictKind.Stuck, "no sheet of 24 in")]
    public void The_verdict_says_the_gravest_thing(string construction, string format, string? tools, VerdictKind kind, string text)
    {
        var read = Support.Reader.Read(Spec(construction, format) with { Tools = tools });
        var verdict = Attempt.Of(read.Design, read.Target).Verdict;
        Assert.Equal(kind, verdict.Kind);
        Assert.Equal(text, verdict.Text.Write(DisplayUnit.Inch));
    }

    [Fact]
    public void A_piece_longer_than_any_sheet_is_joined_under_a_bonded_ply_and_both_lengths_are_said()
    {
        // Twice the width and both fins: longer than A4, and the fins' tops are glued.
        var trough = Size(Spec("trough-pop-up", "210x148mm"));
        var joined = Assert.Single(trough.Checks, c => c.Id == "joined");
        Assert.DoesNotContain(trough.Checks, c => c.Id == "sheet-too-small");
        Assert.Equal(joined.Figures["width"], joined.Figures["first"] + joined.Figures["rest"]);
        Assert.Contains("where a bonded ply covers the seam", joined.Text.Write(DisplayUnit.Millimetre), StringComparison.Ordinal);
        Assert.Contains(Size(Spec("plain-fold", "210x297mm")).Checks, c => c.Id == "sheet-too-small");
    }

    [Fact]
    public void A_card_that_grows_says_so_before_anything_smaller()
    {
        var read = Support.Reader.Read(Spec("gatefold", "5x7", "backKeeps=sheet"));
        Assert.Equal("grows past its format", Attempt.Of(read.Design, read.Target).Verdict.Text.Write(DisplayUnit.Inch));
    }

    [Fact]
    public void A_fixed_length_from_home_is_not_said_to_have_grown()
    {
        string Why(string construction, string home, string target, string pin) =>
            string.Join(' ', Size(Spec(construction, home, pin) with { Target = target }).All.SelectMany(f => f.Reasons)
            .Select(r => r.Why.Write(DisplayUnit.Inch)));
        Assert.Contains("1 1/4 in at 5 × 5, in proportion", Why("winged-lock-gatefold", "5x5", "6x6", "centre=1 1/4"), StringComparison.Ordinal);
        var kept = Why("plain-fold", "dl", "a2-us", "frontShort=20mm");
        Assert.Contains("as at DL", kept, StringComparison.Ordinal);
        Assert.DoesNotContain("in proportion", kept, StringComparison.Ordinal);
    }
}

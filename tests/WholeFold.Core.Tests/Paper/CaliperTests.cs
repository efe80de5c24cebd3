using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Paper;

public class CaliperTests
{
    [Theory]
    [InlineData("0.33mm", 0.33, true, null)]
    [InlineData("0.33", 0.33, true, null)]
    [InlineData("13pt", 0.3302, true, null)]
    [InlineData("12.5 points", 0.3175, true, null)]
    [InlineData("3.4mm/10", 0.34, true, null)]
    [InlineData("3.4 mm / 10", 0.34, true, null)]
    [InlineData("1/8in/10", 0.3175, true, null)]
    [InlineData("300gsm", 0.375, false, 300)]
    [InlineData("300 g/m2 smooth", 0.345, false, 300)]
    [InlineData("300gsm coated", 0.27, false, 300)]
    [InlineData("200gsm felt", 0.3, false, 200)]
    [InlineData("80lb cover", 0.2708, false, 217)]
    [InlineData("110 lb cover smooth", 0.342562, false, 298)]
    [InlineData("100 lb text", 0.185, false, 148)]
    [InlineData("90lb index", 0.2034, false, 163)]
    [InlineData("67lb bristol", 0.184, false, 147)]
    public void Is_read_as_people_know_it(string text, double millimetres, bool measured, int? grammage)
    {
        Assert.True(CaliperReader.TryRead(text, out var caliper, out var reason), reason);
        Assert.InRange((double)caliper.Caliper.Millimetres, millimetres - 0.0016, millimetres + 0.0016);
        Assert.Equal((measured, grammage), (caliper.Measured, caliper.Grammage));
    }

    [Theory]
    [InlineData("thin")]
    [InlineData("0.01mm")]
    [InlineData("2mm")]
    [InlineData("110 lb")]
    [InlineData("300gsm shiny")]
    [InlineData("3.4mm/0")]
    [InlineData("40pt extra")]
    [InlineData("")]
    public void What_is_no_card_is_refused(string text)
    {
        Assert.False(CaliperReader.TryRead(text, out _, out var reason));
        Assert.NotEmpty(reason!);
    }

    [Fact]
    public void The_stocks_known_by_weight_have_the_caliper_that_their_weight_gives()
    {
        foreach (var stock in Inventory.Shipped.Stocks.Where(s => s.Kind is StockKind.Card or StockKind.Paper))
        {
            Assert.True(CaliperReader.TryRead($"{stock.Grammage}gsm", out var caliper, out _));
            Assert.True((caliper.Caliper - stock.Caliper).Abs() <= Length.Mm(0.005m), $"{stock.Id}: {caliper.Caliper} by weight, {stock.Caliper} listed");
        }
    }

    [Fact]
    public void Each_piece_and_layer_has_its_own_stock_in_the_thickness()
    {
        var spec = Support.Spec("plain-fold", "5x5") with { Reveal = "framed" };
        var plain = Support.Size(spec).ClosedThickness;

        // Two framed faces: a mat under each paper. A thicker mat is felt twice, a base of 0.1 mm more twice as well.
        Assert.Equal(plain + (2 * (Length.Mm(0.44m) - Length.Mm(0.27m))), Support.Size(spec with { MatStock = "card-350" }).ClosedThickness);
        Assert.Equal(plain + (2 * (Length.Mm(0.44m) - Length.Mm(0.34m))), Support.Size(spec with { Caliper = "0.44mm" }).ClosedThickness);
        Assert.Equal(plain + (2 * (Length.Mm(0.44m) - Length.Mm(0.34m))), Support.Size(spec with { PieceStocks = new Dictionary<string, string> { ["base"] = "card-350" } }).ClosedThickness);
        Assert.Equal(plain + (4 * Length.Mm(1.5m)), Support.Size(spec with { Adhesive = "foam-1.5" }).ClosedThickness);
    }

    [Theory]
    [InlineData("foil-card", "paper-120", "glue", true)]
    [InlineData("card-270", "acetate", "glue", true)]
    [InlineData("card-270", "vellum", "glue", true)]
    [InlineData("card-270", "vellum", "tape", false)]
    [InlineData("card-270", "paper-120", "glue", false)]
    public void Wet_glue_is_warned_of_where_it_does_not_hold(string stock, string layers, string adhesive, bool warned) =>
        Assert.Equal(warned, Support.Size(Support.Spec("plain-fold", "5x5") with { Stock = stock, LayerStock = layers, Adhesive = adhesive }).Checks.Any(c => c.Id == "wet-glue"));

    [Theory]
    [InlineData("a2-us", "card-270", "short", false)]
    [InlineData("a2-us", "card-270", "long", false)]
    [InlineData("5x5", "card-270", "long", true)]
    [InlineData("5x5", "card-270", "short", false)]
    [InlineData("5x5", "paper-120", "long", false)]
    [InlineData("5x5", "card-270", null, false)]
    public void A_crease_that_must_run_across_the_grain_is_warned_of_on_heavy_card(string format, string stock, string? grain, bool warned)
    {
        // 10 × 5 in comes out of Letter only with its creases along the short side.
        var sized = Support.Size(Support.Spec("plain-fold", format) with { Stock = stock, Grain = grain });
        Assert.Equal(warned, sized.Checks.Any(c => c.Id == "cross-grain" && c.Severity == Severity.Caution));
    }
}

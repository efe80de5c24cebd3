using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>What slides through a slit, with a cover round it and without.</summary>
public class CoverTests
{
    private static readonly string[] Boards = ["imperial-eighths", "metric-5mm", "both", "machine"];

    public static TheoryData<string, string> Cases
    {
        get
        {
            var cases = new TheoryData<string, string>();
            foreach (var tools in Boards)
            {
                foreach (var caliper in new[] { "0.2mm", "0.34mm", "0.44mm", "0.8mm" })
                {
                    cases.Add(tools, caliper);
                }
            }

            return cases;
        }
    }

    /// <summary>A hand pushes the slide through: the slit is longer than what goes through by a clearance at either end, and as wide as that is thick unless a knife cut gives way.</summary>
    [Theory]
    [MemberData(nameof(Cases))]
    public void What_slides_passes_its_slit(string tools, string caliper)
    {
        foreach (var format in new[] { "a2-us", "5x7", "a6-iso", "sq-135" })
        {
            foreach (var covered in new[] { false, true })
            {
                var card = Support.Size(Support.Spec("slider-stand", format, covered ? "cover=folded" : "cover=none") with { Tools = tools, Caliper = caliper, Turn = true });
                var (t, slit) = (card.Design.Stock.Caliper, card.Piece("base").Openings.Single());
                var slide = card.Piece("slide").Height.Value;
                var (outside, thick) = (slide, t);
                if (covered)
                {
                    // Inside it is wider than the slide by twice what is in it and a hand's clearance; outside by its own two walls more.
                    var inside = card.Piece("cover").Panels[1].Extent;
                    Assert.True(inside >= slide + (2 * (t + Length.Mm(0.25m))), $"{format}: the cover grips the slide");
                    Assert.Equal(inside, card.Piece("cover").Panels[2].Extent);
                    (outside, thick) = (inside + (2 * t), 4 * t);
                }

                var clearance = card.Figures.Tools.System == UnitSystem.Imperial ? Length.In(1, 32) : Length.Mm(0.79m);
                Assert.True(slit.Box.Height >= outside + (2 * clearance), $"{format} {covered}: {outside} binds in {slit.Box.Height}");
                Assert.True(thick > Length.Mm(0.4m) ? slit.Box.Width >= thick && !slit.IsLine : slit.IsLine, $"{format} {covered}: {thick.Millimetres} mm through {slit.Box.Width.Millimetres} mm");
                Assert.Equal(!slit.IsLine, card.Piece("base").HolesIn(card.Piece("base").Plate("top2")).Any());
            }
        }
    }

    [Fact]
    public void A_cover_stays_clear_of_the_flaps_and_goes_on_before_the_slide_goes_through()
    {
        var card = Support.Size(Support.Spec("slider-stand", "5x7", "cover=folded") with { Turn = true });
        var flap = card.Piece("base").Panels[0].Extent;
        Assert.True(card.Piece("cover").Width.Value <= card.Figures.Width - flap);
        var steps = Steps.Of(card).ToList();
        Assert.True(steps.FindIndex(s => s.Bonds.Contains("cover-closes")) < steps.FindIndex(s => s.Say.Write(DisplayUnit.Inch).Contains("through the slit", StringComparison.Ordinal)));
        Assert.True(steps.FindIndex(s => s.Bonds.Contains("cover-slide")) < steps.FindIndex(s => s.Bonds.Contains("cover-closes")));
    }

    /// <summary>A second box never hangs over the first, closes inside the card, and its two tabs do not lie on each other.</summary>
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("machine")]
    public void A_second_box_stands_on_the_first(string tools)
    {
        var made = 0;
        foreach (var spec in Support.Grid(tools, "0.34mm").Where(s => s.Construction == "front-step" && s.Set.GetValueOrDefault("boxes")?.Value == "2"))
        {
            if (Support.Try(spec) is not { } card)
            {
                continue;
            }

            made++;
            Length Of(string id) => card.Figures.Parameters.Single(p => p.Parameter.Id == id).Value;
            var tab = card.Piece("upper").Panels[0].Extent;
            Assert.True(Of("step") + Of("upperStep") + Of("rise") <= card.Figures.Height, spec.Named());
            Assert.True(2 * tab <= Of("upperStep"), spec.Named());
            Assert.Equal(Of("rise"), card.Piece("upper").Panels[1].Extent);
            Assert.Empty(card.Closed.Misses);
            var foot = Places.Of(card.Figures).Single(p => p.Id == "places.upper-foot");
            Assert.Contains(foot.From, f => f.Distance == Of("step") && f.OfItsCrease);
        }

        Assert.True(made > 20, $"only {made}");
    }
}

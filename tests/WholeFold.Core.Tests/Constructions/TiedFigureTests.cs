using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>Where a construction ties a figure to another, what was set stays and the tied one gives way.</summary>
public class TiedFigureTests
{
    [Theory]
    [InlineData("1", "1/2")]
    [InlineData("2", "1/2")]
    [InlineData("2", "5/8")]
    [InlineData("3", "7/8")]
    [InlineData("3", "9/16")]
    public void A_depth_is_kept_and_the_tabs_go_below_their_share(string layers, string depth)
    {
        var sized = Support.Size(Support.Spec("inside-tunnel", "5x7", $"layers={layers}", $"depth={depth}"));
        var (d, f) = (sized.Figures.ValueOf(Core.Constructions.Affine.Name("depth")), sized.Figures.ValueOf(Core.Constructions.Affine.Name("tab")));
        Assert.Equal(Support.In(depth), d);
        var n = int.Parse(layers, System.Globalization.CultureInfo.InvariantCulture);
        Assert.True((n + 1) * f <= d && f >= Length.In(1, 8), $"tabs of {f}");
        Assert.DoesNotContain(sized.Checks, c => c.Severity == Core.Checks.Severity.Error);
    }

    /// <summary>Whatever is locked, and with any stock, there are figures or a reason; nothing falls over.</summary>
    [Fact]
    public void A_locked_depth_of_a_tunnel_has_figures_or_a_reason()
    {
        foreach (var (layers, depth) in from l in new[] { "1", "2", "3" } from d in new[] { "1/4", "3/8", "1/2", "5/8", "11/16", "1 1/4" } select (l, d))
        {
            var read = Support.Reader.Read(Support.Spec("inside-tunnel", "5x7", $"layers={layers}") with { Lock = new Dictionary<string, string> { ["depth"] = $"{depth} in" } });
            var attempt = Attempt.Of(read.Design, read.Target);
            Assert.True(attempt.Card is { } card ? card.Figures.Parameters.Single(p => p.Parameter.Id == "depth").Value == Support.In(depth)
                : Sizer.ConflictsOf(read.Design, read.Target).Count > 0, $"{layers} layers, {depth}");
        }
    }

    [Fact]
    public void A_middle_has_a_height_of_its_own_and_a_full_one_hides_the_scene()
    {
        Card Box(params string[] set) => Support.Size(Support.Spec("shadow-box", "5x7", ["middles=1", .. set]));
        Assert.Equal(Length.In(11, 4), Box().Figures.Parameters.Single(p => p.Parameter.Id == "middleHeight").Value);
        Assert.Equal(Length.In(2), Box("middleHeight=2").Piece("middle1").Height.Value);
        Assert.DoesNotContain(Box().Checks, c => c.Id == "scene-hidden");
        var hidden = Assert.Single(Box("middleHeight=7").Checks, c => c.Id == "scene-hidden");
        Assert.Equal("Nothing of the scene on the back is seen when the card stands: what is before it hides it all. Make that lower, or give it a window.",
            hidden.Text.Write(DisplayUnit.Inch));

        // A window of its own lets one see through again.
        var window = new DressingSpec { Windows = [new WindowSpec("eye", "middle1.face.up", Size: ["2 in", "2 in"])] };
        var through = Support.Size(Support.Spec("shadow-box", "5x7", "middles=1", "middleHeight=7") with { Dressing = window });
        Assert.DoesNotContain(through.Checks, c => c.Id == "scene-hidden");
    }
}

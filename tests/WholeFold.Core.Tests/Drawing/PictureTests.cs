using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using Xunit;

namespace WholeFold.Core.Tests.Drawing;

/// <summary>Which way up a card is drawn: as it stands on the table before one.</summary>
public class PictureTests
{
    [Theory]
    [InlineData("front-step", "front", "back")]
    [InlineData("stair-step", "front", "back")]
    [InlineData("drop-flap", "flap", "back")]
    public void What_stands_at_the_foot_is_drawn_at_the_foot(string construction, string low, string high)
    {
        var card = Support.Size(Support.Spec(construction, "5x7"));
        var picture = Picture.Of(card.Figures, card.Bodies, Motion.Of(card.Figures).Shown);
        var first = card.Pieces[0].Piece.Id;
        double Middle(string plate) => picture.Shapes.First(s => !s.IsLayer && s.Plate.Piece.Piece == first && s.Plate.Plate == plate).Corners.Average(c => c.Y);
        Assert.True(Middle(low) < Middle(high), $"{low} at {Middle(low)}, {high} at {Middle(high)}");
    }

    /// <summary>The map of the closed card stands the same way up: of a front step the step, which is thick, is at its foot.</summary>
    [Fact]
    public void A_closed_card_lies_with_its_foot_towards_one()
    {
        var card = Support.Size(Support.Spec("front-step", "5x7"));
        var foot = card.Closed.Footprint;
        Assert.True(2 * (card.Thickness.ThickestAt.Y - foot.Bottom) < foot.Height, "the step is at the head");
    }
}

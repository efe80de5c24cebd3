using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Lists;

/// <summary>How many sheets do: worked by hand, and never fewer than the paper that is needed.</summary>
public class SheetCountTests
{
    [Theory]
    [InlineData("plain-fold", "a2-us", "1 Letter")]
    [InlineData("plain-fold", "6x6", "1 12 × 12 in")]
    [InlineData("front-step", "a2-us", "1 Letter")]
    [InlineData("tower-pinwheel", "5x7", "2 Letter")]
    [InlineData("plain-fold", "a6-iso", "1 A4")]
    [InlineData("sleeve-gatefold", "a2-us", "2 Letter")]
    [InlineData("slider-stand", "5x7", "2 Letter")]
    public void By_hand(string construction, string format, string expected)
    {
        var needed = SheetCount.Of(Support.Size(Support.Spec(construction, format)).Figures);
        Assert.Equal(expected, string.Join(", ", needed!.Select(n => $"{n.Count} {n.Sheet.Name}")));
    }

    [Theory]
    [InlineData("plain-fold", "a2-us", 12, "6 Letter")]
    [InlineData("plain-fold", "a2-us", 5, "3 Letter")]
    [InlineData("plain-fold", "a6-iso", 12, "6 A4")]
    [InlineData("plain-fold", "6x6", 12, "6 12 × 12 in")]
    [InlineData("tower-pinwheel", "5x7", 1, "2 Letter")]
    public void Cards_cut_together_share_their_sheets(string construction, string format, int cards, string expected)
    {
        var needed = SheetCount.Of(Support.Size(Support.Spec(construction, format)).Figures, cards);
        Assert.Equal(expected, string.Join(", ", needed!.Select(n => $"{n.Count} {n.Sheet.Name}")));
    }

    [Fact]
    public void More_cards_never_take_more_than_each_by_itself_nor_fewer_than_one_less()
    {
        foreach (var spec in Support.Grid("imperial-eighths").Stride(11))
        {
            if (Support.Try(spec) is not { } sized || SheetCount.Of(sized.Figures) is not { } one)
            {
                continue;
            }

            var before = one.Sum(n => n.Count);
            foreach (var cards in new[] { 2, 5, 12 })
            {
                var needed = SheetCount.Of(sized.Figures, cards)!;
                var area = cards * sized.Pieces.Sum(p => (decimal)p.Width.Value.Units * p.Height.Value.Units * p.Piece.Quantity);
                Assert.InRange(needed.Sum(n => n.Count), before, cards * one.Sum(n => n.Count));
                Assert.True(needed.Sum(n => (decimal)n.Count * n.Sheet.Width.Units * n.Sheet.Height.Units) >= area, spec.Named());
                before = needed.Sum(n => n.Count);
            }
        }
    }

    [Fact]
    public void So_many_hold_the_pieces_and_none_is_left_out()
    {
        foreach (var spec in Support.Grid("imperial-eighths").Stride(7))
        {
            if (Support.Try(spec) is not { } sized || SheetCount.Of(sized.Figures) is not { } needed)
            {
                continue;
            }

            var area = sized.Pieces.Sum(p => (decimal)p.Width.Value.Units * p.Height.Value.Units * p.Piece.Quantity);
            Assert.True(needed.Sum(n => (decimal)n.Count * n.Sheet.Width.Units * n.Sheet.Height.Units) >= area, spec.Named());
            Assert.True(needed.Sum(n => n.Count) <= sized.Pieces.Sum(p => p.Piece.Quantity));
            Assert.Equal(sized.Pieces.Select(p => p.Piece.Name).Distinct().Order(), needed.SelectMany(n => n.Pieces).Distinct().Order());
        }
    }

    [Fact]
    public void What_comes_out_of_no_sheet_is_said_so() =>
        Assert.Null(SheetCount.Of(Support.Size(Support.Spec("plain-fold", "12x12in")).Figures));
}

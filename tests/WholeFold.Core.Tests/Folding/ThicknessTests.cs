using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Folding;

public class ThicknessTests
{
    private const int Every = 4;

    /// <summary>Nothing is lost and nothing is counted twice: over the footprint the map holds all the paper there is.</summary>
    [Fact]
    public void The_map_over_the_footprint_is_area_times_caliper_of_every_piece_layer_and_bond()
    {
        var maps = 0;
        foreach (var spec in Grid("machine", "0.4mm").Concat(Grid("both")).Stride(3 * Every, whole: 3))
        {
            if (Try(spec) is not { } sized || sized.Closed.Deep > Length.Zero)
            {
                continue;
            }

            maps++;
            double Square(Length a, Length b) => (double)a.Units * b.Units;
            var expected = sized.Pieces.Sum(p => Weight.Area(p) * 1e6 * 320 * 320 * p.Piece.Quantity * sized.Design.StockOf(p.Piece.Id).Caliper.Units)
                + sized.Layers.Sum(l => Square(l.Width.Value, l.Height.Value) * l.Quantity * (l.Stock.Caliper + sized.Design.Adhesive.Thickness).Units)
                + sized.Construction.Bonds.Where(b => !b.IsLoose).Sum(b => Outline(sized, b.A.Region) * (b.Raised?.Metric ?? Inventory.Shipped.BondTape.Thickness).Units);
            Assert.True(Math.Abs(sized.Thickness.Volume - expected) <= expected * 2e-4, $"{spec.Named()}: {sized.Thickness.Volume} and not {expected}");
            Assert.Equal(sized.Thickness.Greatest, sized.Thickness.GreatestFlat);
            Assert.True(sized.Thickness.Mean <= sized.Thickness.Greatest && sized.Thickness.Mean > Length.Zero);
            var at = sized.Thickness.ThickestAt;
            Assert.Contains(sized.Thickness.Spreads, s => s.Thick == sized.Thickness.Greatest && s.Left <= at.X.Units && at.X.Units <= s.Right);
        }

        Assert.True(maps > Day.AtLeast(500, Every), $"only {maps}");
    }

    private static double Outline(Card sized, Core.Constructions.Region region)
    {
        var corners = region.Corners.Select(c => (X: (double)sized.Figures.ValueOf(c.X).Units, Y: (double)sized.Figures.ValueOf(c.Y).Units)).ToList();
        return Math.Abs(corners.Select((a, i) => corners[(i + 1) % corners.Count] is var b ? (a.X * b.Y) - (b.X * a.Y) : 0).Sum()) / 2;
    }

    [Fact]
    public void A_twist_pop_is_thickest_where_its_corners_panels_and_walls_lie_together()
    {
        var sized = Size(Spec("twist-pop", "6x6") with { LayerStock = "paper-120" });

        // Card 2, walls 2 and four panels with their papers, two strips of tape, mat and paper outside, papers inside and behind: where the grip is.
        var grip = (8 * Length.Mm(0.34m)) + (4 * Length.Mm(0.15m)) + (2 * Length.Mm(0.1m)) + Length.Mm(0.27m) + (4 * Length.Mm(0.15m));
        Assert.Equal(grip, sized.Thickness.Greatest);
    }

    [Fact]
    public void Weight_is_area_by_grammage()
    {
        // 10 × 5 in of 270 g/m² is 8.71 g; layers 4¾ (twice, one a mat of 216) and 4½ of 120, with glue of 20 under each.
        var grams = Size(Spec("plain-fold", "5x5")).Grams;
        var square = 25.4 * 25.4 / 1e6;
        Assert.Equal((50 * square * 270) + (4.75 * 4.75 * square * (216 + 20)) + (((4.5 * 4.5) + (4.75 * 4.75)) * square * 140), grams, 3);
        Assert.Equal(260, Inventory.Shipped.Find<Stock>("acetate")!.Weighs, 3);
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Folding;

/// <summary>What a thick card takes of an envelope.</summary>
public class GirthTests
{
    private static readonly ClosedPose Flat = Support.Size(Support.Spec("plain-fold", "5x5")).Closed;

    private static ThicknessMap Of(params (decimal Left, decimal Right, decimal Low, decimal High, decimal Thick)[] spreads)
    {
        static double U(decimal mm) => Length.Mm(mm).Units;
        return new ThicknessMap([.. spreads.Select(s => new Spread(U(s.Left), U(s.Right), U(s.Low), U(s.Low), U(s.High), U(s.High), Length.Mm(s.Thick)))],
            Length.Mm(spreads.Max(s => s.Thick)), default);
    }

    [Fact]
    public void An_even_thickness_takes_itself()
    {
        var (across, along) = Girth.Of(Of((0, 127, 0, 127, 3)), Flat, Flat.Footprint);
        Assert.Equal((Length.Mm(3), Length.Mm(3)), (across, along));
    }

    [Fact]
    public void A_bump_in_the_middle_takes_less_than_it_is_high()
    {
        // 5 mm high, 30 mm wide, midway on a card of 127 mm whose edges are 1 mm: 1.2 mm.
        var (across, along) = Girth.Of(Of((0, 48.5m, 0, 127, 1), (48.5m, 78.5m, 0, 127, 5), (78.5m, 127, 0, 127, 1)), Flat, Flat.Footprint);
        Assert.InRange(across.Millimetres, 1.15m, 1.2m);

        // Along it the bump is as long as the card, and takes its height.
        Assert.Equal(Length.Mm(5), along);
    }

    [Fact]
    public void It_is_never_more_than_the_thickness_and_never_less_than_the_edges()
    {
        foreach (var spec in Support.Grid("imperial-eighths").Stride(37))
        {
            if (Support.Try(spec) is not { Closed.Deep.Units: 0 } card)
            {
                continue;
            }

            Assert.True(card.Packing.Need.Across <= card.Thickness.Greatest + new Length(1) && card.Packing.Need.Along <= card.Thickness.Greatest + new Length(1), $"{spec.Named()}: needs {card.Packing.Need}, {card.Thickness.Greatest} thick");
        }
    }

    [Fact]
    public void A_card_that_is_posted_every_day_is_not_called_impossible()
    {
        // Six plies at the spine of a trough: 3.3 mm thick, 3.2 mm of room, and paper slopes up to it.
        var card = Support.Size(Support.Spec("trough-pop-up", "a2-us"));
        Assert.Equal(("env-a2", EnvelopeGrade.Snug), (card.Envelope?.Id, card.EnvelopeGrade));
        Assert.Contains(card.Checks, c => c.Id == "envelope-snug");
        Assert.DoesNotContain(card.Checks, c => c.Id == "envelope-to-make");
    }
}

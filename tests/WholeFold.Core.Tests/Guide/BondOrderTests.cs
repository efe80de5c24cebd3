using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using Xunit;

namespace WholeFold.Core.Tests.Guide;

/// <summary>Whether a hand reaches every bond, in which order.</summary>
public class BondOrderTests
{
    [Theory]
    [InlineData("5x7", "imperial-eighths")]
    [InlineData("a5", "metric-5mm")]
    public void Every_construction_can_be_put_together_in_its_own_order(string format, string tools)
    {
        var wrong = new List<string>();
        foreach (var (family, choices) in Support.Variants())
        {
            if (Support.Try(new DesignSpec { Construction = family.Id, Format = format, Tools = tools, Set = Support.Written(choices) }) is not { } card)
            {
                continue;
            }

            var wished = card.Construction.Steps.SelectMany(s => s.Bonds).ToList();
            var name = $"{family.Id} {string.Join(' ', choices)}";
            if (BondOrder.Of(card.Figures) is not { } order)
            {
                wrong.Add($"{name}: no order at all");
            }
            else if (!order.Select(o => o.Bond.Id).SequenceEqual(wished))
            {
                wrong.Add($"{name}: {string.Join(", ", order.Select(o => $"{o.Bond.Id} {o.Laid}"))} instead of {string.Join(", ", wished)}");
            }
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    private static bool Holds(DesignSpec spec, params string[] order)
    {
        var figures = Support.Size(spec).Figures;
        var bonds = order.Select(id => figures.Construction.Bonds.Single(b => b.Id == id)).ToList();
        return bonds.Select((bond, i) => BondOrder.Ways(figures, [.. bonds.Take(i)], [bond])).All(way => way is not null);
    }

    /// <summary>Orders in which a hand cannot get in any more, or nothing can be laid flat, are refused.</summary>
    [Theory]
    [InlineData("shadow-box", "middles=1", "back-left", "back-right", "middle1-left", "middle1-right")]
    [InlineData("shadow-box", "middles=2", "middle1-left", "middle1-right", "back-left", "back-right", "middle2-left", "middle2-right")]
    [InlineData("inside-tunnel", "layers=1", "back", "front", "layer1-left", "layer1-right")]
    public void What_is_closed_too_early_cannot_be_reached(string construction, string choice, params string[] order) =>
        Assert.False(Holds(Support.Spec(construction, "5x7", choice), order));

    [Fact]
    public void The_order_of_its_own_steps_holds_bond_by_bond_where_nothing_is_laid_on_two_at_once() =>
        Assert.True(Holds(Support.Spec("shadow-box", "5x7", "middles=1"), "middle1-right", "middle1-left", "back-left", "back-right"));

    [Fact]
    public void A_bond_that_places_itself_says_which_creases_to_fold_and_which_to_leave()
    {
        var tab = BondOrder.Of(Support.Size(Support.Spec("front-step", "a2-us")).Figures)!.Single();
        Assert.Equal(LaidBy.Closed, tab.Laid);
        Assert.Equal(["between back and floor", "between step front and step top"], tab.Folded);
        Assert.Equal(["between floor and step front", "between step top and tab"], tab.Left);
    }
}

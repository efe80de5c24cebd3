using System.Text.Json.Nodes;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>What making a card has taught goes into the next one: for its allowance, its stock, and nothing else.</summary>
public class CorrectionTests
{
    private static readonly ToolSet Metric = Inventory.Shipped.Find<ToolKit>("metric-5mm")!.For(UnitSystem.Metric);

    private static Dictionary<string, IReadOnlyList<JsonObject>> Learnt(string allowance, string by, bool less = false, string? stock = null, string id = "learnt") => new()
    {
        ["corrections"] = [new JsonObject { ["id"] = id, ["name"] = "Learnt", ["allowance"] = allowance, ["by"] = by, ["less"] = less, ["stock"] = stock }],
    };

    private static Length Of(Allowance allowance, Inventory hand, string stock)
    {
        var card = hand.Find<Stock>(stock)!;
        return allowance.Value(new Papers(_ => card, Length.Zero, hand.CorrectionOf), Metric);
    }

    [Fact]
    public void It_is_added_before_the_allowance_goes_up_to_a_mark()
    {
        var plain = Of(new Tube(), Inventory.Shipped, "card-300");
        Assert.Equal(plain, Of(new Tube(), Inventory.Shipped.With(Learnt("tube", "0.05 mm", less: true)), "card-300"));
        Assert.Equal(plain + Length.Mm(1), Of(new Tube(), Inventory.Shipped.With(Learnt("tube", "0.05 mm")), "card-300"));
        Assert.Equal(plain + Length.Mm(1), Of(new Tube(), Inventory.Shipped.With(Learnt("tube", "1 mm")), "card-300"));
    }

    [Fact]
    public void It_changes_no_other_allowance_and_no_other_stock()
    {
        var hand = Inventory.Shipped.With(Learnt("doors", "0.5 mm", stock: "card-300"));
        Assert.Equal(Of(new Doors(), Inventory.Shipped, "card-300") + Length.Mm(0.5m), Of(new Doors(), hand, "card-300"));
        Assert.Equal(Of(new Doors(), Inventory.Shipped, "card-216"), Of(new Doors(), hand, "card-216"));
        Assert.Equal(Of(new Tube(), Inventory.Shipped, "card-300"), Of(new Tube(), hand, "card-300"));
    }

    [Fact]
    public void A_stocks_own_wins_over_the_one_for_every_stock()
    {
        var hand = Inventory.Shipped.With(Learnt("doors", "1 mm")).With(Learnt("doors", "0.5 mm", stock: "card-300", id: "harbour-doors"));
        Assert.Equal(Of(new Doors(), Inventory.Shipped, "card-300") + Length.Mm(0.5m), Of(new Doors(), hand, "card-300"));
        Assert.Equal(Of(new Doors(), Inventory.Shipped, "card-216") + Length.Mm(1), Of(new Doors(), hand, "card-216"));
    }

    [Fact]
    public void However_much_less_no_allowance_falls_below_nothing() =>
        Assert.Equal(Length.Zero, Of(new Doors(), Inventory.Shipped.With(Learnt("doors", "3 mm", less: true)), "card-300"));

    [Fact]
    public void A_card_is_cut_by_it_and_closes_all_the_same()
    {
        var spec = Support.Spec("pillar-tiers", "5x7") with { Tools = "metric-5mm" };
        var (was, now) = (Support.Size(spec), Support.Size(spec with { Own = Learnt("tube", "1.5 mm") }));
        Assert.NotEqual(was.Figures.All.Select(f => f.Value), now.Figures.All.Select(f => f.Value));
        Assert.All(now.Closed.Misses, m => Assert.Equal(Length.Zero, m.By));
        Assert.Equal(was.Figures.All.Select(f => f.Value), Support.Size(spec with { Own = Learnt("sleeve", "1.5 mm") }).Figures.All.Select(f => f.Value));
    }
}

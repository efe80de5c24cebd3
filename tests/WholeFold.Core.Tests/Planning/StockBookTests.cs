using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Planning;
using Xunit;
using SheetKind = WholeFold.Planning.SheetKind;

namespace WholeFold.Core.Tests.Planning;

/// <summary>What is there, what is short, what is bought; and a plan as it is cut, pile by pile.</summary>
public class StockBookTests
{
    private static readonly Stock Oat = Inventory.Shipped.Stocks.First(s => s.Grammage == 216);

    private static OwnedSheet Letter(int count, int pack = 1) =>
        new("letter", "Oat, Letter", Oat.Id, Length.In(17, 2), Length.In(11), UnitSystem.Imperial, count) { Pack = pack, Price = 6m };

    private static OwnedSheet Offcut(int count) => new("left", "Oat, offcut", Oat.Id, Length.In(6), Length.In(11), UnitSystem.Imperial,
        count, IsOffcut: true);

    /// <summary>Bases of 5 1/2 × 8 1/2: two from a sheet, one from an offcut.</summary>
    private static IReadOnlyList<BookedJob> Bases(int cards, params OwnedSheet[] book)
    {
        SheetKind Kind(OwnedSheet b, int? count) => new(b.Id, b.Name, b.Width, b.Height, count, b.IsOffcut) { Price = b.Each };
        Wanted[] pieces = [new("base", "Base", Length.In(11, 2), Length.In(17, 2), cards)];
        var here = book.Where(b => b.Count > 0).Select(b => Kind(b, b.Count)).ToList();
        return [new BookedJob(Oat, here.Count == 0 ? null : new StockJob(Oat.Name, here, pieces),
            new StockJob(Oat.Name, [.. book.Where(b => !b.IsOffcut).Select(b => Kind(b, null)), .. here.Where(h => h.IsOffcut)],
                pieces), book)];
    }

    [Fact]
    public void What_is_there_is_cut_before_anything_is_bought()
    {
        var job = Assert.Single(Bases(8, Letter(3), Offcut(2)));
        var takes = Booked.Takes(job, Booked.Plan(job, stop: TestContext.Current.CancellationToken));
        Assert.Equal([(3, 0), (2, 0)], takes.Select(t => (t.Takes, t.Short)));
    }

    [Fact]
    public void What_is_short_is_told_in_sheets_packs_and_money()
    {
        var job = Assert.Single(Bases(12, Letter(2, pack: 3)));
        var taken = Assert.Single(Booked.Takes(job, Booked.Plan(job, stop: TestContext.Current.CancellationToken)));
        Assert.Equal((6, 4, 2, 12m), (taken.Takes, taken.Short, taken.Packs, taken.Costs));
    }

    /// <summary>By trying each number: so many can be cut from what is there, and not one more.</summary>
    [Theory]
    [InlineData(3, 0)]
    [InlineData(1, 2)]
    [InlineData(0, 1)]
    public void As_many_as_can_be_made_are_the_most_that_a_plan_is_found_for(int sheets, int offcuts)
    {
        var can = Shortage.CanMake(20, n => Bases(n, Letter(sheets), Offcut(offcuts)));
        Assert.Equal(Enumerable.Range(1, 20).Last(n => Booked.Here(Bases(n, Letter(sheets), Offcut(offcuts))[0]) is not null), can);
        Assert.Equal((2 * sheets) + offcuts, can);
    }

    [Fact]
    public void A_stock_that_the_book_knows_nothing_of_counts_as_there_and_one_that_is_used_up_does_not()
    {
        Assert.True(Shortage.Fits(Bases(3)[0]));
        Assert.False(Shortage.Fits(Bases(3, Letter(0))[0]));
    }

    /// <summary>Nobody wants a strip off each of five sheets who can have half a sheet.</summary>
    [Fact]
    public void What_is_left_of_sheets_that_are_not_full_is_left_in_one_piece()
    {
        var plan = Planner.Plan(new StockJob("paper", [new SheetKind("s", "12 × 12", Length.In(12), Length.In(12))],
            [new("a", "front", Length.In(3, 2), Length.In(6), 50), new("b", "back", Length.In(3, 2), Length.In(6), 22)]),
                stop: TestContext.Current.CancellationToken);
        Assert.Equal([(4, 16), (1, 8)], plan.Alike.Select(a => (a.Count, a.First.Parts.Count)));
        Assert.Equal(72, plan.Alike.Sum(a => a.Pieces.Sum(p => p.Count)));
        var left = Assert.Single(plan.Alike[1].First.Left);
        Assert.Equal(Length.In(72).Units * Length.In(1).Units, left.Width.Units * left.Height.Units);
        Assert.Equal(2, plan.Settings);
    }

    [Fact]
    public void Each_cut_is_told_once_for_all_that_it_does_with_the_side_that_lies_at_the_stop()
    {
        var sheet = new SheetKind("s", "s", Length.In(12), Length.In(6));
        var plan = Planner.Plan(new StockJob("paper", [sheet], [new("a", "a", Length.In(2), Length.In(6), 6)]),
            stop: TestContext.Current.CancellationToken);
        var step = Assert.Single(CutStep.Of(Assert.Single(plan.Sheets)));
        Assert.Equal((1, 5, 5, Axis.X), (step.First, step.Last, step.Times, step.Axis));
        Assert.Equal("Cut 2 in off the left of the sheet, 5 times.", step.Text.Write(DisplayUnit.Inch));
        Assert.Equal("Short side at the stop.", step.Lies.Write(DisplayUnit.Inch));
        Assert.Equal("Left edge at the stop.", (step with { HasWayUp = true }).Lies.Write(DisplayUnit.Inch));
    }

    [Fact]
    public void The_trimmer_says_what_it_holds_and_how_much_it_cuts_at_once()
    {
        var tools = (ToolKit)new ToolKind().Read(Json(new ToolSpec { Id = "t", Name = "T", TrimmerMark = "1/16", RulerMark = "1/32",
            Hold = "3/4", Stack = "2 mm" }), "tools");
        Assert.Equal((Length.In(3, 4), 7), (tools.Imperial.Hold, tools.Imperial.AtOnce(Length.Mm(0.27m))));
        Assert.Equal((Length.In(1, 2), 3), (Inventory.Shipped.Tools[0].Imperial.Hold,
            Inventory.Shipped.Tools[0].Imperial.AtOnce(Length.Mm(0.27m))));
        foreach (var (hold, stack, field) in new[] { ("9", "1 mm", "tools.hold"), ("1/2", "20 mm", "tools.stack"), ("half", "1 mm",
            "tools.hold") })
        {
            var refused = Assert.Throws<InputProblemException>(() => new ToolKind().Read(
                Json(new ToolSpec { Id = "t", Name = "T", TrimmerMark = "1/16", RulerMark = "1/32", Hold = hold, Stack = stack }),
                    "tools"));
            Assert.Equal(field, refused.Field);
        }
    }

    /// <summary>The same card on a trimmer that holds parts of three inches, and one that holds any.</summary>
    [Fact]
    public void What_the_trimmer_does_not_hold_is_cut_by_hand_and_a_pile_is_as_thick_as_it_takes()
    {
        List<CutPlan> Plans(string hold, string stack)
        {
            var tools = new ToolSpec { Id = "t", Name = "T", TrimmerMark = "1/16", RulerMark = "1/32", Hold = hold, Stack = stack };
            var card = Support.Size(Support.Spec("gatefold", "a2-us") with
            {
                Stock = "card-300",
                Tools = "t",
                Dressing = new DressingSpec { Layers = [new LayerSpec("door", Stock: "card-216")] },
                Own = new Dictionary<string, IReadOnlyList<JsonObject>>
                {
                    ["tools"] = [JsonSerializer.SerializeToNode(tools, StrictJson.Options)!.AsObject()],
                },
            });
            return [.. Jobs.Of([new CardsOf("Lanterns", card, 8)], [], card.Design.Inventory.Sheets)
                .Select(j => Planner.Plan(j.Bought, stop: TestContext.Current.CancellationToken))];
        }

        IReadOnlyList<Cut> Cuts(string hold) => [.. Plans(hold, "1 mm").SelectMany(p => p.Sheets).SelectMany(s => s.Cuts)];
        Assert.DoesNotContain(Cuts("1/8"), c => c.ByHand);
        var coarse = Cuts("4");
        Assert.All(coarse, c => Assert.Equal((c.Axis == Axis.X ? c.Size.Width : c.Size.Height) < Length.In(4), c.ByHand));
        Assert.Contains(coarse, c => c.ByHand);

        // Sheets of 0.375 and of 0.27 mm.
        Assert.Equal([1, 1], Plans("1/2", "0.3 mm").Take(2).Select(p => p.AtOnce));
        Assert.Equal([4, 5], Plans("1/2", "1.5 mm").Take(2).Select(p => p.AtOnce));
    }

    [Fact]
    public void An_entry_of_the_book_is_read_and_what_cannot_be_is_refused_with_its_field()
    {
        var good = new OwnedSheetSpec("a", "Oat, A4", "210", "297", Oat.Id, 12, "mm", Pack: 10, Price: 5.5m);
        var read = (OwnedSheet)new OwnedSheetKind().Read(Json(good), "book");
        Assert.Equal((Length.Mm(210), 12, 10, 0.55m), (read.Width, read.Count, read.Pack, read.Each));
        Assert.Equal("12 at 210 × 297 mm, in packs of 10, 5.50 a pack", new OwnedSheetKind().Describe(read));
        foreach (var (bad, field) in new[] { (good with { Count = -1 }, "count"), (good with { Pack = 0 }, "pack"),
            (good with { Price = 0 }, "price"), (good with { Width = "0" }, "width") })
        {
            Assert.Equal($"book.{field}", Assert.Throws<InputProblemException>(() => new OwnedSheetKind().Read(Json(bad), "book")).Field);
        }
    }

    private static JsonElement Json(object written) => JsonSerializer.SerializeToElement(written, StrictJson.Options);
}

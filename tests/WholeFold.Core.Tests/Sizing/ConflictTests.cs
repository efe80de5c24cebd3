using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Tests.Sizing;

public class ConflictTests
{
    [Fact]
    public void Locks_that_cannot_hold_together_are_named()
    {
        var none = Assert.Throws<NoFiguresException>(() => Support.Size(Support.Spec("winged-lock-gatefold", "5x5") with { Lock = new Dictionary<string, string> { ["centre"] = "3/4", ["pad"] = "5/8" } }));
        Assert.Contains(none.Conflicts, c => c.Id == "pin:pad");
        Assert.Contains(none.Conflicts, c => c.Id == "pin:centre");
        Assert.Contains("wing would be too narrow", none.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    [Fact]
    public void A_fixed_figure_from_home_is_kept_where_it_can_be_set_and_else_put_on_the_nearest_mark()
    {
        var spec = Support.Spec("plain-fold", "dl", "frontShort=20mm");
        Assert.Equal(Length.Mm(20), Support.Size(spec with { Target = "a6-iso" }).Parameters[0].Value);
        Assert.Equal(Support.In("13/16"), Support.Size(spec with { Target = "a2-us" }).Parameters[0].Value);
    }

    /// <summary>Random chains with random pins and no ruler: many cannot be, and each explanation is tried by brute force.</summary>
    [Fact]
    public void An_explanation_is_a_conflict_and_no_part_of_it_is()
    {
        var random = new Random(20260);
        var (explained, undecided) = (0, 0);
        while (explained < 40)
        {
            var construction = RandomChains.Make(random);
            var (target, tools) = RandomChains.Case(random, ruler: false);
            var pins = construction.Parameters.Where(_ => random.Next(2) == 0).ToDictionary(p => p.Id, _ => new Length(random.Next(1, 80) * 508L));
            var builder = new ProblemBuilder(construction, target, tools, Support.PapersOf(Inventory.Shipped.Stocks[2]), Priority.Format, Preferences.None, pins, new Dictionary<string, Wish>());
            if (new[] { Relaxation.None, Relaxation.SmallerCard }.Any(m => Search.Solve(builder.Build(m)) is not null))
            {
                continue;
            }

            explained++;
            var conflicts = Conflicts.Smallest(builder, tools);
            var everything = builder.Requirements().Select(r => r.Id).Concat(pins.Keys.Select(p => $"pin:{p}")).Concat(["marks:cuts", "marks:scores"]).ToHashSet();
            var named = conflicts.Select(c => c.Id).ToHashSet();
            if (named.SetEquals(["format"]))
            {
                Assert.False(Decide(builder, everything));
                continue;
            }

            if (named.SetEquals(["search:given-up"]))
            {
                undecided++;
                continue;
            }

            // Alone, without anything else that is required, they cannot hold; without any one of them, they can.
            var others = everything.Except(named).ToHashSet();
            if (Decide(builder, others) is not { } together || named.Select(n => Decide(builder, others.Append(n).ToHashSet())).Any(d => d is null))
            {
                undecided++;
                continue;
            }

            Assert.False(together);
            Assert.All(named, one => Assert.True(Decide(builder, others.Append(one).ToHashSet()), $"dropping {one} frees nothing"));
        }

        Assert.True(undecided < 14, $"{undecided} of 40 could not be decided");
    }

    /// <summary>Whether the problem can be solved without some groups; null where that would take too long to find out.</summary>
    private static bool? Decide(ProblemBuilder builder, HashSet<string> without)
    {
        try
        {
            return Search.Solve(builder.Build(Relaxation.SmallerCard, without) with { Effort = 40_000 }) is not null;
        }
        catch (UndecidedException)
        {
            return null;
        }
    }

    [Fact]
    public void Equal_panels_without_a_common_mark_are_rounded_and_it_is_said()
    {
        // Five equal panels in 4¼ in have no 32nd in common, even an eighth below.
        var fifth = Affine.W / 5;
        var family = new ConstructionFamily("fifths", "Fifths", "folds in five", [], c => c.Piece(
            "base", "Base", Axis.X, Affine.H, "the width", "the height",
            [.. Enumerable.Range(1, 5).Select(i => Panel($"p{i}", $"panel {i}", fifth))],
            [.. Enumerable.Range(1, 4).Select(i => Valley(90, "a fifth", closed: i % 2 == 0 ? -180 : 180))]));
        var design = new Design { Family = family, Home = new Target(Inventory.Shipped.Find<Format>("a2-us")!, false), Stock = Inventory.Shipped.Stocks[2],
            LayerStock = Inventory.Shipped.Stocks[0], MatStock = Inventory.Shipped.Stocks[0], Inventory = Inventory.Shipped,
            Adhesive = Inventory.Shipped.Adhesives[0] };
        var sized = Card.Of(design, design.Home);
        Assert.Equal(Relaxation.RoundedFigures, sized.Figures.Relaxation);
        Assert.Equal(0, sized.Figures.Cost.Shortfall);
        Assert.Contains(sized.Checks, c => c.Id == "figures-rounded");

        // Positions are rounded, not panels: each score is within half a 32nd of its fifth.
        Assert.All(sized.Pieces[0].Scores.Select((s, i) => (s, i)),
            p => Assert.True((p.s.Figure.Value - new Length(new Rational((p.i + 1) * design.Home.Width.Units, 5).Nearest())).Abs() <= Length.In(1, 64)));
        Assert.All(sized.Pieces[0].Scores, s => Assert.Equal(s.Figure.Value, s.Figure.Reasons[^1].To));
    }
}

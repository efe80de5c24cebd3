using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Another size is made the home: the card at hand does not change, and going back gives the old one to the last figure.</summary>
public class HomingTests
{
    private const int Every = 20;

    private static string Written(Card? card) => card is null ? "none" : string.Join(' ', card.All.Select(f => $"{f.Id}={f.Value.Units}"));

    [Fact]
    public void Neither_the_card_at_hand_nor_the_old_one_changes_when_the_home_does()
    {
        var (random, looked, set) = (new Random(Day.Seed), 0, 0);
        foreach (var grid in Support.Grid("imperial-eighths").Concat(Support.Grid("metric-5mm")).Stride(Every))
        {
            if (Support.Try(grid) is not { Relaxation: Relaxation.None } home)
            {
                continue;
            }

            // Some of its figures set by hand at home, one adjusted for the other size.
            var spec = grid;
            foreach (var parameter in home.Figures.Parameters.Where(_ => random.Next(2) == 0))
            {
                var range = Sizer.RangeOf(home.Design, home.Target, parameter.Parameter.Id, Relaxation.None);
                if (range is { Stops.Count: > 1 })
                {
                    spec = new SetFigure(parameter.Parameter.Id,
                        LengthWriter.Exact(range.Stops[random.Next(range.Stops.Count)])).Apply(spec, Support.Reader);
                    set++;
                }
            }

            var format = Inventory.Shipped.Formats[random.Next(Inventory.Shipped.Formats.Count)];
            spec = new ConvertTo(format.Id, random.Next(2) == 0).Apply(spec, Support.Reader);
            var (design, target, _) = Support.Reader.Read(spec);
            if (Homing.Of(spec, Support.Reader) is not { } edit)
            {
                Assert.True(design.IsHome(target) || Card.Try(design, target) is null, $"{grid.Named()} with {string.Join(' ', spec.Set)}: {target.Key} cannot be its home");
                continue;
            }

            looked++;
            var next = edit.Apply(spec, Support.Reader);
            Assert.Equal((format.Id, null), (next.Format, next.Target));
            Assert.Equal(Written(Card.Try(design, target)), Written(Support.Try(next)));
            Assert.Equal(Written(Card.Try(design, design.Home)),
                Written(Support.Try(new ConvertTo(grid.Format, grid.Turn).Apply(next, Support.Reader))));
            Assert.Equal(DesignFile.State(spec), DesignFile.State(edit.Inverse(spec, Support.Reader).Apply(next, Support.Reader)));
        }

        Assert.True(looked > Day.AtLeast(600, Every) && set > looked / 2, $"{looked} made home, {set} figures set");
    }

    [Fact]
    public void What_was_set_stays_set_where_it_was()
    {
        var spec = Support.Spec("bridge", "6x6", "back=3 1/2") with { Target = "5x7" };
        var next = Homing.Of(spec, Support.Reader)!.Apply(spec, Support.Reader);
        Assert.Equal(("3", "3 1/2"), (next.Set["back"].Value.Replace(" in", "", StringComparison.Ordinal),
            next.Adjustments["6x6"]["back"].Value.Replace(" in", "", StringComparison.Ordinal)));
        Assert.Null(Homing.Of(Support.Spec("bridge", "6x6"), Support.Reader));
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Checks;

/// <summary>
/// Slips of one sign in the core that would be wrong figures at a table, and that nothing noticed once: each is held by the figures that
/// it would change.
/// </summary>
public class SlipTests
{
    private static Card On(string board, string construction, string format) => Support.Size(Support.Spec(construction, format) with
    {
        Tools = "small-board",
        Own = Support.Own([new() { Id = "small-board", Name = "Small board", Groove = "1/4", BoardLength = board, TrimmerMark = "1/16", RulerMark = "1/32" }]),
    });

    [Fact]
    public void Past_the_boards_end_from_both_sides_is_found_and_what_turning_reaches_is_not()
    {
        var found = Assert.Single(On("5", "plain-fold", "6x6").Checks, c => c.Id == "longer-than-board");
        Assert.Equal([Length.In(6)], found.Figures.Values);
        Assert.DoesNotContain(On("6", "plain-fold", "6x6").Checks, c => c.Id == "longer-than-board");

        // 7 7/16 of 9 7/8 is 2 7/16 from the other end.
        Assert.DoesNotContain(On("5", "gatefold", "5x7").Checks, c => c.Id == "longer-than-board");
        Assert.False(On("5", "plain-fold", "6x6").Figures.Tools.OnGroove(Length.In(21, 4)));
        Assert.Equal(Length.In(5), On("5", "plain-fold", "6x6").Figures.Tools.NearestGroove(Length.In(6)));
    }

    [Theory]
    [InlineData(1, 2, 0)]
    [InlineData(3, 2, 2)]
    [InlineData(4, 3, 3)]
    [InlineData(5, 3, 6)]
    [InlineData(-1, 2, -2)]
    [InlineData(-4, 3, -3)]
    public void Half_a_mark_goes_down(long units, long mark, long nearest) => Assert.Equal(new Length(nearest), new Length(units).Nearest(new Length(mark)));

    /// <summary>Two side by side across the long side of a sheet, and one above the other down it.</summary>
    [Theory]
    [InlineData("2 3/4x8 1/2in")]
    [InlineData("4 1/4x5 1/2in")]
    public void A_sheet_is_counted_lying_either_way(string format)
    {
        var needed = Assert.Single(SheetCount.Of(Support.Size(Support.Spec("plain-fold", format)).Figures, 4)!);
        Assert.Equal(("Letter", 2), (needed.Sheet.Name, needed.Count));
    }

    private static Card Windowed(string format, string? target, params WindowSpec[] windows) =>
        Support.Size(Support.Spec("plain-fold", format) with { Target = target, Dressing = new DressingSpec { Windows = windows } });

    [Fact]
    public void Round_a_window_goes_the_next_larger_die_and_not_the_largest()
    {
        var windows = Windowed("5x5", "3x3", new WindowSpec("inner", "front", Die: "ring-2"), new WindowSpec("outer", "front", Die: "ring-3", Around: "inner")).Dressed.Windows;
        Assert.Equal(["ring-1", "ring-2"], windows.Select(w => w.Die!.Id));
        Assert.Equal([Length.In(3, 2), Length.In(2)], windows.Select(w => w.Width.Value));
    }

    [Fact]
    public void A_die_that_is_passed_twice_reaches_twice_its_length_and_no_further()
    {
        var window = Assert.Single(Windowed("3x3", "slimline", new WindowSpec("slot", "front", Die: "pane-1", Size: ["1 1/2 in", "2 1/4 in"])).Dressed.Windows);
        Assert.Equal(("pane-2", Length.In(2), Length.In(5)), (window.Die!.Id, window.Width.Value, window.Height.Value));
    }

    [Fact]
    public void The_envelope_to_make_is_as_thick_as_its_card()
    {
        var card = Support.Size(Support.Spec("tower-pinwheel", "5x7"));
        var made = EnvelopeToMake.For(card, ConstructionLibrary.Catalogue, "Kite");
        Assert.Equal(2, made.Count);
        foreach (var spec in made)
        {
            var (name, thickness) = Assert.Single(spec.Set);
            Assert.Equal(card.Thickness.Greatest, Support.In(thickness.Value));
            var thin = Support.Size(spec with { Set = Support.Written([KeyValuePair.Create(name, "0 mm")]) });
            Assert.True(Support.Size(spec).Piece("envelope").Width.Value > thin.Piece("envelope").Width.Value);
        }
    }

    [Fact]
    public void Where_a_window_leaves_too_little_the_largest_die_that_leaves_enough_is_offered()
    {
        var found = Assert.Single(Windowed("4x4", null, new WindowSpec("eye", "front", Die: "ring-5")).Checks, c => c.Id == "window-margin");
        Assert.Equal((Length.In(1, 4), Length.In(3, 8)), (found.Figures["margin"], found.Figures["least"]));
        Assert.Equal("ring-4", Assert.IsType<CutWindow>(found.Fix!.Edit).Window!.Die);
    }

    [Theory]
    [InlineData("imperial-eighths", "a2-us")]
    [InlineData("metric-5mm", "a2-us")]
    [InlineData("metric-5mm", "a6-iso")]
    [InlineData("machine", "5x7")]
    public void A_gap_closed_by_hand_stays_closed_on_every_board_and_in_every_format(string tools, string format)
    {
        var card = Support.Size(Support.Spec("split-gatefold", "5x7") with { Set = new Dictionary<string, WrittenFigure> { ["relief"] = new("0", "imperial-eighths") }, Tools = tools, Target = format == "5x7" ? null : format });
        Assert.Equal(Length.Zero, card.Figures.Parameters.Single(p => p.Parameter.Id == "relief").Value);
        Assert.Equal(Length.Zero, Assert.Single(card.Checks, c => c.Id == "no-gap").Figures["relief"]);
    }
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Inventories;

public class InventoryTests
{
    [Theory]
    [InlineData("5x7", "5x7", 40640, 56896)]
    [InlineData(" A6-ISO ", "a6-iso", 33600, 47360)]
    [InlineData("5x5in", "5x5in", 40640, 40640)]
    [InlineData("5 1/2 x 4 in", "5-1/2x4in", 44704, 32512)]
    [InlineData("150 × 150 mm", "150x150mm", 48000, 48000)]
    [InlineData("15,5x10cm", "15,5x10cm", 49600, 32000)]
    public void A_format_is_read_by_id_or_by_size(string text, string id, long width, long height)
    {
        var format = FormatReader.Read(text, Inventory.Shipped.Formats, out var reason);
        Assert.True(format is not null, reason);
        Assert.Equal((id, width, height), (format.Id, format.Width.Units, format.Height.Units));
        var again = FormatReader.Read(format.Id, Inventory.Shipped.Formats, out _);
        Assert.True(again is not null, $"its own id {format.Id} is not read");
        Assert.Equal((format.Width, format.Height), (again.Width, again.Height));
    }

    [Theory]
    [InlineData(null)]
    [InlineData("")]
    [InlineData("five")]
    [InlineData("0x5in")]
    [InlineData("5x13in")]
    [InlineData("5x5")]
    [InlineData("5x5x5in")]
    public void What_is_no_format_is_refused_with_a_reason(string? text)
    {
        // 5x5 is an id; everything else here is nothing.
        Assert.Equal(text == "5x5", FormatReader.Read(text, Inventory.Shipped.Formats, out var reason) is not null);
        Assert.Equal(text != "5x5", reason is { Length: > 0 });
    }

    private static (string?, EnvelopeGrade?) Fit(Length width, Length height, decimal across, decimal along, UnitSystem system)
    {
        var fit = Inventory.Shipped.EnvelopeFor(width, height, (Length.Mm(across), Length.Mm(along)), system);
        return (fit?.Envelope.Id, fit?.Grade);
    }

    [Fact]
    public void An_envelope_takes_what_a_card_needs_easily_snugly_or_not_at_all()
    {
        // Its ⅛ in of room in width is 3.175 mm, its ¼ in of height 6.35: 1/16 in, 1.5875 mm, is what lets it slide.
        var (w, h) = (Length.In(17, 4), Length.In(11, 2));
        Assert.Equal(("env-a2", EnvelopeGrade.Easy), Fit(w, h, 1.58m, 4.76m, UnitSystem.Imperial));
        Assert.Equal(("env-a2", EnvelopeGrade.Easy), Fit(h, w, 4.76m, 1.58m, UnitSystem.Imperial));
        Assert.Equal(("env-a2", EnvelopeGrade.Snug), Fit(w, h, 1.59m, 1, UnitSystem.Imperial));
        Assert.Equal(("env-a2", EnvelopeGrade.Snug), Fit(w, h, 3.17m, 4.77m, UnitSystem.Imperial));
        Assert.NotEqual("env-a2", Fit(w, h, 3.18m, 1, UnitSystem.Imperial).Item1);
        Assert.Null(Inventory.Shipped.EnvelopeFor(Length.In(12), Length.In(12), default, UnitSystem.Imperial));
    }

    [Fact]
    public void The_formats_own_system_comes_first_and_then_the_better_grade()
    {
        Assert.Equal(("env-c6", EnvelopeGrade.Easy), Fit(Length.Mm(105), Length.Mm(148), 1, 1, UnitSystem.Metric));
        Assert.Equal(("env-5x7-uk", EnvelopeGrade.Easy), Fit(Length.Mm(127), Length.Mm(178), 4, 4, UnitSystem.Metric));
        Assert.Equal(("env-sq-150", EnvelopeGrade.Easy), Fit(Length.Mm(144), Length.Mm(144), 1, 1, UnitSystem.Metric));

        // 135 in 140 with 4 of need is snug, in 150 it is easy: the better grade, though larger.
        Assert.Equal(("env-sq-150", EnvelopeGrade.Easy), Fit(Length.Mm(135), Length.Mm(135), 4, 4, UnitSystem.Metric));
        Assert.Equal("env-a6", Fit(Length.In(9, 2), Length.In(25, 4), 1, 1, UnitSystem.Imperial).Item1);
    }

    [Fact]
    public void A_piece_comes_out_of_the_smallest_sheet_of_its_own_system()
    {
        var design = Support.Reader.Read(Support.Spec("plain-fold", "5x5")).Design;
        Assert.Equal("letter", design.SheetFor(Length.In(11), Length.In(8), UnitSystem.Imperial)!.Id);
        Assert.Equal("a4", design.SheetFor(Length.Mm(290), Length.Mm(200), UnitSystem.Metric)!.Id);
        Assert.Equal("12x12", design.SheetFor(Length.In(12), Length.In(9), UnitSystem.Imperial)!.Id);
        Assert.Null(design.SheetFor(Length.In(13), Length.In(2), UnitSystem.Imperial));
    }

    /// <summary>Whatever a size is to the unit, written as a format it reads back the same: nothing is finer than a reader takes.</summary>
    [Fact]
    public void A_size_written_as_a_format_reads_back_to_the_unit()
    {
        for (var units = Format.Least.Units; units <= Format.Greatest.Units; units += 1013)
        {
            foreach (var system in new[] { UnitSystem.Imperial, UnitSystem.Metric })
            {
                var (width, height) = (new Length(units), new Length(Format.Greatest.Units + Format.Least.Units - units));
                var back = FormatReader.Read(FormatReader.Write(width, height, system), [], out var reason);
                Assert.True(back is not null, reason);
                Assert.Equal((width, height, system), (back!.Width, back.Height, back.System));
            }
        }
    }
}

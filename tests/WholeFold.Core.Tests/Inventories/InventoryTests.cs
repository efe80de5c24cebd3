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

    [Fact]
    public void An_envelope_is_loose_enough_for_the_cards_thickness_and_goes_either_way_round()
    {
        var (w, h) = (Length.In(17, 4), Length.In(11, 2));
        Assert.Equal("env-a2", Inventory.Shipped.EnvelopeFor(w, h, Length.Mm(1), UnitSystem.Imperial)!.Id);
        Assert.Equal("env-a2", Inventory.Shipped.EnvelopeFor(h, w, Length.Mm(1), UnitSystem.Imperial)!.Id);

        // Its ⅛ in of room is 3.2 mm: less 1/16 in there are 1.6 mm for the card.
        Assert.NotEqual("env-a2", Inventory.Shipped.EnvelopeFor(w, h, Length.Mm(1.7m), UnitSystem.Imperial)?.Id);
        Assert.Null(Inventory.Shipped.EnvelopeFor(Length.In(12), Length.In(12), Length.Zero, UnitSystem.Imperial));
    }

    [Fact]
    public void The_formats_own_system_comes_first()
    {
        var (w, h) = (Length.Mm(105), Length.Mm(148));
        Assert.Equal("env-c6", Inventory.Shipped.EnvelopeFor(w, h, Length.Mm(1), UnitSystem.Metric)!.Id);
        Assert.Equal(UnitSystem.Imperial, Inventory.Shipped.EnvelopeFor(Length.In(9, 2), Length.In(25, 4), Length.Mm(1), UnitSystem.Imperial)!.System);
    }

    [Fact]
    public void A_piece_comes_out_of_the_smallest_sheet_of_its_own_system()
    {
        Assert.Equal("letter", Inventory.Shipped.SheetFor(Length.In(11), Length.In(8), UnitSystem.Imperial)!.Id);
        Assert.Equal("a4", Inventory.Shipped.SheetFor(Length.Mm(290), Length.Mm(200), UnitSystem.Metric)!.Id);
        Assert.Equal("12x12", Inventory.Shipped.SheetFor(Length.In(12), Length.In(9), UnitSystem.Imperial)!.Id);
        Assert.Null(Inventory.Shipped.SheetFor(Length.In(13), Length.In(2), UnitSystem.Imperial));
    }
}

using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Inventories;

/// <summary>Formats as people type them.</summary>
public class FormatNameTests
{
    [Theory]
    [InlineData("A2 US", "a2-us")]
    [InlineData("a2", "a2-us")]
    [InlineData("a2 us", "a2-us")]
    [InlineData("5 × 7", "5x7")]
    [InlineData("5 x 7", "5x7")]
    [InlineData("5X7", "5x7")]
    [InlineData("5 by 7", "5x7")]
    [InlineData("6 x 6", "6x6")]
    [InlineData("6×6", "6x6")]
    [InlineData("mini slimline", "mini-slimline")]
    [InlineData("Slimline", "slimline")]
    [InlineData("mini", "mini-slimline")]
    [InlineData("dl", "dl")]
    [InlineData("A5", "a5")]
    [InlineData("a6 iso", "a6-iso")]
    [InlineData("5 × 7 uk cut", "5x7-uk")]
    [InlineData("square 135", "sq-135")]
    public void A_format_goes_by_its_name_however_it_is_typed(string typed, string id) =>
        Assert.Equal(id, FormatReader.Read(typed, Inventory.Shipped.Formats, out _)?.Id);

    /// <summary>Every name on the screen is one, in any case, with any sign between its sides.</summary>
    [Fact]
    public void Every_name_on_the_screen_is_taken()
    {
        foreach (var format in Inventory.Shipped.Formats)
        {
            foreach (var typed in new[] { format.Name, format.Name.ToUpperInvariant(),
                format.Name.Replace(" × ", "x", StringComparison.Ordinal), format.Name.Replace("×", "by", StringComparison.Ordinal), $"  {format.Name.ToLowerInvariant()} " })
            {
                Assert.Equal(format.Id, FormatReader.Read(typed, Inventory.Shipped.Formats, out _)?.Id);
            }
        }
    }

    [Theory]
    [InlineData("6 inch square", 6, 6)]
    [InlineData("6in sq", 6, 6)]
    [InlineData("5 1/2 by 4 1/4", 5.5, 4.25)]
    [InlineData("5 1/2 x 4 1/4 inches", 5.5, 4.25)]
    [InlineData("5½ × 4¼ in", 5.5, 4.25)]
    [InlineData("8 x 8", 8, 8)]
    public void A_size_is_taken_as_people_write_it(string typed, double width, double height)
    {
        var format = FormatReader.Read(typed, Inventory.Shipped.Formats, out var reason, DisplayUnit.Inch);
        Assert.True(format is not null, reason);
        Assert.Equal((width, height), (format.Width.Units / (double)Length.PerInch, format.Height.Units / (double)Length.PerInch));

        // What is kept of it reads back as the same size, whatever the unit is by then.
        var again = FormatReader.Read(format.Id, Inventory.Shipped.Formats, out _, DisplayUnit.Millimetre);
        Assert.Equal((format.Width, format.Height), (again?.Width, again?.Height));
    }

    [Fact]
    public void A_name_of_several_sizes_is_asked_and_a_bare_size_without_a_unit_too()
    {
        Assert.Null(FormatReader.Read("A6", Inventory.Shipped.Formats, out var which));
        Assert.Equal("“A6” is 2 sizes: A6 US, 4 1/2 × 6 1/4 in; A6 ISO, 105 × 148 mm", which);
        Assert.Null(FormatReader.Read("8 x 8", Inventory.Shipped.Formats, out var none));
        Assert.Equal("“8 x 8” has no unit", none);
        Assert.Null(FormatReader.Read("moon", Inventory.Shipped.Formats, out var no));
        Assert.Equal("“moon” is not a format", no);
    }

    /// <summary>A bare size is in the design's unit, and stays that size when the unit is another.</summary>
    [Fact]
    public void A_bare_size_stays_what_it_was_when_the_unit_changes()
    {
        var design = new DesignSpec { Construction = "plain-fold", Format = "5x7", Units = "cm" };
        var there = DesignEdit.Apply([new ConvertTo("12 by 15"), new ShowIn("in")], design, Support.Reader);
        var target = Support.Reader.Read(there).Target;
        Assert.Equal((Length.Mm(120), Length.Mm(150)), (target.Width, target.Height));
    }
}

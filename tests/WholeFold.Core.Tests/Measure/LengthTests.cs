using FsCheck;
using FsCheck.Fluent;
using FsCheck.Xunit;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Measure;

public class LengthTests
{
    [Theory]
    [InlineData("5 1/2", 44704)]
    [InlineData("5½", 44704)]
    [InlineData("5 ½", 44704)]
    [InlineData("5-1/2", 44704)]
    [InlineData("5.5", 44704)]
    [InlineData("5,5", 44704)]
    [InlineData(".5", 4064)]
    [InlineData("5.5\"", 44704)]
    [InlineData("5 1/2 in", 44704)]
    [InlineData("5 1/2 inches", 44704)]
    [InlineData("14 cm", 44800)]
    [InlineData("14,5cm", 46400)]
    [InlineData("140mm", 44800)]
    [InlineData("1/16", 508)]
    [InlineData("⅛", 1016)]
    [InlineData("1/3", 2709)]
    [InlineData("0", 0)]
    [InlineData("  7 ", 56896)]
    public void Reads_what_people_write(string text, long units)
    {
        Assert.True(LengthReader.TryRead(text, DisplayUnit.Inch, out var value, out _));
        Assert.Equal(units, value.Units);
    }

    [Theory]
    [InlineData("", 0)]
    [InlineData("five", 0)]
    [InlineData("5 five", 2)]
    [InlineData("5 1/0", 2)]
    [InlineData("5 9/8", 2)]
    [InlineData("-5", 0)]
    [InlineData("5.5.5", 0)]
    [InlineData("5 1", 0)]
    [InlineData("12 yards", 3)]
    [InlineData("101", 0)]
    public void Refuses_the_rest_with_the_place_and_an_example(string text, int position)
    {
        Assert.False(LengthReader.TryRead(text, DisplayUnit.Inch, out var value, out var problem));
        Assert.Equal(Length.Zero, value);
        Assert.Equal(position, problem!.Position);
        Assert.NotEmpty(problem.Reason);
        foreach (var example in problem.Example.Split([", ", " or "], StringSplitOptions.None))
        {
            Assert.True(LengthReader.TryRead(example, DisplayUnit.Inch, out _, out _), $"its own example “{example}” is refused");
        }
    }

    [Fact]
    public void A_bare_number_is_in_the_unit_that_is_asked_for()
    {
        Assert.True(LengthReader.TryRead("14", DisplayUnit.Centimetre, out var cm, out _));
        Assert.True(LengthReader.TryRead("140", DisplayUnit.Millimetre, out var mm, out _));
        Assert.Equal(cm, mm);
        Assert.Equal(Length.Mm(140), cm);
    }

    [Fact]
    public void Lists_are_separated_by_lines_semicolons_or_a_comma_and_a_space()
    {
        Assert.True(LengthReader.TryReadList("1/2, 2½;4,5\n 5 1/2\n", DisplayUnit.Inch, out var values, out _));
        Assert.Equal([4064L, 20320, 36576, 44704], values.Select(v => v.Units));
        Assert.False(LengthReader.TryReadList("1/2; five", DisplayUnit.Inch, out _, out var problem));
        Assert.Equal(5, problem!.Position);
    }

    [Theory]
    [InlineData(40640, "5", "12.7", "127")]
    [InlineData(19812, "2 7/16", "6.2 scant", "62 scant")]
    [InlineData(33600, "4 1/8 full", "10.5", "105")]
    [InlineData(19680, "2 13/32 full", "6.15", "61.5")]
    [InlineData(508, "1/16", "0.2 scant", "1.5 full")]
    [InlineData(0, "0", "0", "0")]
    public void Writes_the_nearest_mark_with_scant_or_full(long units, string inches, string centimetres, string millimetres)
    {
        var value = new Length(units);
        Assert.Equal(inches, LengthWriter.Write(value, DisplayUnit.Inch));
        Assert.Equal(centimetres, LengthWriter.Write(value, DisplayUnit.Centimetre));
        Assert.Equal(millimetres, LengthWriter.Write(value, DisplayUnit.Millimetre));
    }

    [Fact]
    public void The_unit_comes_before_scant() => Assert.Equal("6.2 cm scant", LengthWriter.WithUnit(new Length(19812), DisplayUnit.Centimetre));

    [Property(MaxTest = 500)]
    public Property A_figure_on_the_mark_is_read_back_as_it_was()
    {
        var marks = Gen.Choose(0, 12 * 32).Select(n => (Value: Length.In(n, 32), Unit: DisplayUnit.Inch));
        var halves = Gen.Choose(0, 600).Select(n => (Value: new Length(n * 160L), Unit: DisplayUnit.Centimetre));
        var millimetres = Gen.Choose(0, 600).Select(n => (Value: new Length(n * 160L), Unit: DisplayUnit.Millimetre));
        return Prop.ForAll(Arb.From(Gen.OneOf(marks, halves, millimetres)), m =>
            LengthReader.TryRead(LengthWriter.Write(m.Value, m.Unit), m.Unit, out var back, out _) && back == m.Value);
    }

    [Property(MaxTest = 500)]
    public Property Off_the_mark_the_text_and_its_difference_make_the_figure() =>
        Prop.ForAll(Arb.From(Gen.Choose(0, 100_000).Select(n => new Length(n))), Arb.From(Gen.Elements(DisplayUnit.Inch, DisplayUnit.Centimetre, DisplayUnit.Millimetre)), (value, unit) =>
        {
            var text = LengthWriter.Write(value, unit);
            var off = LengthWriter.OffMark(value, unit);
            var named = text.Replace(" scant", "", StringComparison.Ordinal).Replace(" full", "", StringComparison.Ordinal);
            return LengthReader.TryRead(named, unit, out var mark, out _)
                && mark + off == value
                && text.EndsWith("scant", StringComparison.Ordinal) == off < Length.Zero
                && text.EndsWith("full", StringComparison.Ordinal) == off > Length.Zero
                && off.Abs() <= new Length(160);
        });

    [Property(MaxTest = 500)]
    public bool A_mark_below_and_above_enclose_the_figure(int units, PositiveInt step)
    {
        var (value, mark) = (new Length(units), new Length(step.Get));
        var (down, up) = (value.Down(mark), value.Up(mark));
        return down <= value && value <= up && down.IsOn(mark) && up.IsOn(mark) && up - down <= mark && (value.IsOn(mark) == (down == up));
    }

    [Fact]
    public void Every_mark_of_either_system_is_exact()
    {
        Assert.Equal(127, Length.In(1, 64).Units);
        Assert.Equal(8128, Length.In(1).Units);
        Assert.Equal(Length.Mm(25.4m), Length.In(1));
        Assert.Equal(16, Length.Mm(0.05m).Units);
    }
}

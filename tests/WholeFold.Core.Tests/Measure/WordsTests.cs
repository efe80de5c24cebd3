using System.Diagnostics;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using Xunit;

namespace WholeFold.Core.Tests.Measure;

/// <summary>Sentences with figures in them, and texts that could go on for ever.</summary>
public class WordsTests
{
    [Fact]
    public void A_sentence_keeps_its_figures_as_figures_and_reads_the_same()
    {
        var words = Words.Of($"{Length.In(39, 16)} is {Length.Mm(1):u} inside {Length.In(1)} of 10.");
        var parts = words.Parts(DisplayUnit.Inch);
        Assert.Equal(new FigureText("2", 7, 16), parts[0].Figure);
        Assert.Equal("in", parts[2].Figure!.Unit);
        Assert.All(parts, p => Assert.True(p.Text is null != p.Figure is null));
        Assert.Equal(words.Write(DisplayUnit.Inch), string.Concat(parts.Select(p => p.Text ?? p.Figure!.Text)));
        Assert.Equal("6.2 scant is 1 mm inside 2.5 full of 10.".Length > 0, words.Write(DisplayUnit.Centimetre).EndsWith("of 10.", StringComparison.Ordinal));
    }

    [Fact]
    public void Sentences_are_put_one_in_another()
    {
        var one = Words.Of($"at {Length.In(1, 2)}");
        Assert.Equal("at 1/2; at 1/2", Words.Join("; ", [one, one]).Write(DisplayUnit.Inch));
        Assert.Equal(2, Words.Of($"({one}, {Length.In(1, 4)})").Parts(DisplayUnit.Inch).Count(p => p.Figure is not null));
    }

    [Fact]
    public void Every_length_is_written_in_parts_that_read_as_it_is_written()
    {
        for (var units = 0L; units < 60_000; units += 37)
        {
            foreach (var unit in Enum.GetValues<DisplayUnit>())
            {
                Assert.Equal(LengthWriter.Write(new Length(units), unit), LengthWriter.Parts(new Length(units), unit).Text);
            }
        }
    }

    public static TheoryData<string> Hostile =>
    [
        "5" + new string(' ', 100_000) + "x", string.Concat(Enumerable.Repeat("1 ", 50_000)), new string('9', 100_000), string.Concat(Enumerable.Repeat("1/", 50_000)),
        "5x" + string.Concat(Enumerable.Repeat(" -", 50_000)), string.Concat(Enumerable.Repeat("5x", 50_000)), "٣", "5 \u0661/2", "5mm/" + new string('1', 50_000), string.Concat(Enumerable.Repeat("a", 100_000)),
    ];

    [Theory]
    [MemberData(nameof(Hostile))]
    public void No_reader_goes_over_a_text_again_and_again(string text)
    {
        var watch = Stopwatch.StartNew();
        Assert.False(LengthReader.TryRead(text, DisplayUnit.Inch, out _, out _));
        LengthReader.TryReadList(text, DisplayUnit.Inch, out _, out _);
        Assert.Null(FormatReader.Read(text, Inventory.Shipped.Formats, out _));
        Assert.False(CaliperReader.TryRead(text, out _, out _));
        Assert.True(watch.ElapsedMilliseconds < 20_000, $"{watch.ElapsedMilliseconds} ms");
    }
}

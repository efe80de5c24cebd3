using WholeFold.Core.Input;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>No list keeps the reader at work, whatever stands in it.</summary>
public class OwnHostileTests
{
    [Fact]
    public void A_hostile_text_is_refused_or_read_in_no_time()
    {
        Assert.Throws<InputProblemException>(() => OwnListReader.Read(new string('9', 30_000), DisplayUnit.Inch));
        Assert.Throws<InputProblemException>(() => OwnListReader.Read(string.Concat(Enumerable.Repeat("base 5 x 5\n", 400)), DisplayUnit.Inch));
        var clock = System.Diagnostics.Stopwatch.StartNew();
        foreach (var text in new[] { string.Concat(Enumerable.Repeat("1 ", 9_000)), string.Concat(Enumerable.Repeat("1/", 9_000)), string.Concat(Enumerable.Repeat("x by ", 3_900)), "base 0 x 5, score at 0", "base 1/0 x 5", "base 99999999999999999999 x 5", "base -5 x NaN" })
        {
            Assert.All(OwnListReader.Read(text, DisplayUnit.Inch).Pieces, p => Assert.True(p.First > Length.Zero && p.Second > Length.Zero));
        }

        Assert.True(clock.Elapsed < TimeSpan.FromSeconds(20), $"{clock.Elapsed}");
    }

    /// <summary>However often a word is said again, and wherever it breaks off, it takes no longer than it is long.</summary>
    [Theory]
    [InlineData("")]
    [InlineData("base 10 x 5, score at ")]
    [InlineData("base 10 x 5: ")]
    [InlineData("base 10 x 5\n")]
    public void No_line_takes_longer_than_it_is_long(string before)
    {
        var clock = System.Diagnostics.Stopwatch.StartNew();
        foreach (var word in new[] { "1", "1 ", "1 1/2", "1/2 ", "1-", ".5", "1,", "a ", "a, ", "and ", "with ", "x", "x 1 ", "1x1 ", "1 x ", "score ", "at ", "(",
            "(1", "every ", "every 1 to ", "in ", ";", ". a", "fold ", "to 1 x ", "both ends ", "from each ", "circle ", "circle 1", "1 circle", "| ", "1|", "\t1",
            "rotate ", "1 wide ", "w 1 ", "two ", "make two ", "2 of ", "cut ", "cut to get ", "trim to ", "every leaving ", ", it is ", " is left", " - a", "m 1 ",
            "1 m ", "an inch and a half ", "is a 1, ", "1 in from ", "x 1 x ", "1 x 1 envelope: ", "same as the ", "one and ", "three, ", "score marks ",
            "each scored ", "for a 1 x 1 card ", "1,2,", "in half ", "in half again ", "into 4 equal ", "cut each ", "1x1s ", "#2 ", "window 1 ", "window 1 from all ", "same window ", "all pillars ", "score all tiers ", "1 valley ", "four scores 1 apart ", "both ends scored 1 and ", "no scores ", "1 wide strip ", "for the ", "1 and seven ", "square tile 1 ", "1-1-", " -- ", " ", "-", "\"" }.Stride(28))
        {
            foreach (var (times, end) in new[] { (60, "?"), (4000 / word.Length, "?"), (4000 / word.Length, "") })
            {
                clock.Restart();
                OwnListReader.Read($"{before}{string.Concat(Enumerable.Repeat(word, times))}{end}", DisplayUnit.Inch);
                Assert.True(clock.Elapsed < TimeSpan.FromSeconds(20), $"“{word}” {times} times after “{before}”: {clock.Elapsed}");
            }
        }
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using Xunit;

namespace WholeFold.Core.Tests.Designs;

/// <summary>A design opens in the last size that was used and that its card goes in; what is typed then is its home.</summary>
public class FirstSizeTests
{
    [Fact]
    public void It_opens_in_the_last_size_used_that_fits()
    {
        var lately = new[] { ("no such format", false), ("2x2in", false), ("a6-us", true), ("5x7", false) };
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = FirstSize.Of(new DesignSpec { Construction = family.Id }, lately, Support.Reader,
                TestContext.Current.CancellationToken);
            Assert.NotEqual("no such format", spec.Format);
            var at = Array.IndexOf(lately, (spec.Format, spec.Turn));
            bool Fits(string format, bool turn)
            {
                var read = Support.Reader.Read(spec with { Format = format, Turn = turn });
                return Attempt.Of(read.Design, read.Target).Verdict.Kind != VerdictKind.Stuck;
            }

            // All before it were tried and do not go.
            Assert.True(Fits(spec.Format, spec.Turn), family.Id);
            Assert.All(lately[1..(at < 0 ? lately.Length : at)], l => Assert.False(Fits(l.Item1, l.Item2), $"{family.Id} goes in {l}"));
        }
    }

    [Fact]
    public void What_is_typed_first_is_its_home_and_later_it_is_refused()
    {
        var begun = Support.Spec("gatefold", "5x7");
        var sized = new BeginIn("5 1/2 by 4 1/4").Apply(begun, Support.Reader);
        Assert.Equal((null, Support.In("5 1/2"), Support.In("4 1/4")),
            (sized.Target, Support.Size(sized).Target.Width, Support.Size(sized).Target.Height));
        Assert.Equal(begun, new BeginIn("a2 us").Inverse(begun, Support.Reader).Apply(sized, Support.Reader));
        var set = Support.Spec("gatefold", "5x7", "relief=1/8 in");
        Assert.Equal("format", Assert.Throws<InputProblemException>(() => new BeginIn("a2 us").Apply(set, Support.Reader)).Field);
    }
}

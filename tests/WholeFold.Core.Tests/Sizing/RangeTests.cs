using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

public class RangeTests
{
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("machine")]
    public void Each_end_and_stop_can_be_set_and_a_step_beyond_is_refused(string tools)
    {
        var ranges = 0;
        foreach (var spec in Support.Grid(tools).Where((_, i) => i % 11 == 0))
        {
            var read = Support.Reader.Read(spec);
            var attempt = Attempt.Of(read.Design, read.Target);
            if (attempt.Card is not { Relaxation: Relaxation.None } sized)
            {
                continue;
            }

            foreach (var parameter in sized.Figures.Parameters.Select(p => p.Parameter))
            {
                var range = Sizer.RangeOf(read.Design, read.Target, parameter.Id, sized.Figures.Relaxation)!;
                ranges++;
                Card With(Length value) => Card.Of(read.Design with { Pins = new Dictionary<string, Length> { [parameter.Id] = value } }, read.Target);
                foreach (var stop in range.Stops.Where((_, i) => i % 5 == 0).Append(range.Min).Append(range.Max))
                {
                    var at = With(stop);
                    Assert.Equal(Relaxation.None, at.Relaxation);
                    Assert.Equal(stop, at.Parameters.Single(p => p.Parameter.Id == parameter.Id).Value);
                }

                foreach (var beyond in new[] { range.Min - range.Step, range.Max + range.Step })
                {
                    var refused = Record.Exception(() => With(beyond));
                    if (refused is null && parameter.ZeroByHand is not null && beyond == Length.Zero)
                    {
                        continue;
                    }

                    Assert.True(refused is InputProblemException or NoFiguresException, $"{spec.Named()}: {parameter.Id} = {beyond} was not refused beyond {range.Min} to {range.Max}");
                }
            }
        }

        Assert.True(ranges > 40, $"only {ranges} ranges were looked at");
    }

    [Fact]
    public void The_stops_are_all_the_values_that_can_be_set_and_no_others()
    {
        var read = Support.Reader.Read(Support.Spec("winged-lock-gatefold", "5x7"));
        var range = Sizer.RangeOf(read.Design, read.Target, "centre", Relaxation.None)!;
        var byTrial = Enumerable.Range(0, 400).Select(n => Length.In(n, 64)).Where(v =>
        {
            try
            {
                return Card.Of(read.Design with { Pins = new Dictionary<string, Length> { ["centre"] = v } }, read.Target).Relaxation == Relaxation.None;
            }
            catch (Exception e) when (e is InputProblemException or NoFiguresException)
            {
                return false;
            }
        });
        Assert.Equal(byTrial, range.Stops);
    }
}

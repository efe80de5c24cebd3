using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

public class RangeTests
{
    private const int Every = 12;

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("machine")]
    public void Each_end_and_stop_can_be_set_and_a_step_beyond_is_refused(string tools)
    {
        var ranges = 0;
        foreach (var spec in Support.Grid(tools).Stride(11 * Every, whole: 11))
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
                Card With(Length value) => Card.Try(read.Design with { Sets = new Dictionary<string, HandFigure> { [parameter.Id] = new(value, tools) } },
                    read.Target) ?? throw new InvalidOperationException($"{spec.Named()}: {parameter.Id} = {value}");
                foreach (var stop in range.Stops.Where((_, i) => i % 5 == 0).Append(range.Min).Append(range.Max))
                {
                    var at = With(stop);
                    Assert.Equal(Relaxation.None, at.Relaxation);
                    Assert.True(stop == at.Parameters.Single(p => p.Parameter.Id == parameter.Id).Value, $"{spec.Named()}: {parameter.Id} = {stop} came out as {at.Parameters.Single(p => p.Parameter.Id == parameter.Id).Value}");
                }

                foreach (var beyond in new[] { range.Min - range.Step, range.Max + range.Step })
                {
                    if (parameter.ZeroByHand is not null && beyond == Length.Zero)
                    {
                        continue;
                    }

                    // It is not refused: the nearest that can be set is taken, and that is said.
                    var at = With(beyond);
                    var value = at.Parameters.Single(p => p.Parameter.Id == parameter.Id).Value;
                    Assert.True(value != beyond || at.Relaxation != Relaxation.None, $"{spec.Named()}: {parameter.Id} = {beyond} was set beyond {range.Min} to {range.Max}");
                    Assert.True(value == beyond || at.Checks.Any(c => c.Id == "figure-set-by-hand"), $"{spec.Named()}: {parameter.Id} = {beyond} became {value} without a word");
                }
            }
        }

        Assert.True(ranges > Day.AtLeast(40, Every), $"only {ranges} ranges were looked at");
    }

    [Fact]
    public void The_stops_are_all_the_values_that_can_be_set_and_no_others()
    {
        var read = Support.Reader.Read(Support.Spec("winged-lock-gatefold", "5x7"));
        var range = Sizer.RangeOf(read.Design, read.Target, "centre", Relaxation.None)!;
        var byTrial = Enumerable.Range(0, 400).Select(n => Length.In(n, 64)).Where(v =>
        {
            var at = Card.Of(read.Design with { Sets = new Dictionary<string, HandFigure> { ["centre"] = new(v, "imperial-eighths") } }, read.Target);
            return at.Relaxation == Relaxation.None && at.Parameters.Single(p => p.Parameter.Id == "centre").Value == v;
        });
        Assert.Equal(byTrial, range.Stops);
    }
}

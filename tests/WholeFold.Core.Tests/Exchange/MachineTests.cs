using WholeFold.Core.Exchange.Machines;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Exchange;

/// <summary>Stand-ins for machines do what a real one would be asked for, say that they are none, and fail as real ones do without losing anything.</summary>
public class MachineTests
{
    private const string Card = """
        <svg xmlns="http://www.w3.org/2000/svg" width="280mm" height="140mm" viewBox="0 0 280 140">
        <rect class="cut" width="280" height="140"/><rect class="cut" x="20" y="20" width="30" height="40"/>
        <path class="valley" d="M70 0V140"/><path class="mountain" d="M210 0V140"/></svg>
        """;

    private static readonly Mat Twelve = Mat.All[0];

    [Fact]
    public void A_cutting_machine_scores_before_it_cuts_and_says_its_travel_its_area_and_what_drops()
    {
        var machine = new SimulatedCuttingMachine();
        Assert.Contains("simulated", machine.Name, StringComparison.Ordinal);
        var report = machine.Send(Card, Twelve);
        Assert.Equal(["scoring tool", "blade"], report.Passes.Select(p => p.Tool));
        Assert.Equal((Length.Mm(280), Length.Mm(140)), (report.Width, report.Height));
        Assert.Equal(Length.Mm(280), report.Passes[0].Length);
        Assert.Equal(Length.Mm(980), report.Passes[1].Length);

        // Up the one score, over, and down the other: the way between them is what is travelled, from the corner on.
        Assert.Equal(Length.Mm(210), report.Passes[0].Travel);
        Assert.Equal((Length.Mm(30), Length.Mm(40)), (Assert.Single(report.Drops).Width, report.Drops[0].Height));
        Assert.Equal(Twelve.Width, report.Left + report.Width + report.Right);
        Assert.Equal(Twelve.Height, report.Below + report.Height + report.Above);
    }

    [Fact]
    public void What_lies_off_the_mat_is_refused_with_both_sizes()
    {
        var small = Assert.Throws<InputProblemException>(() => new SimulatedCuttingMachine().Send(Card, Mat.All[2]));
        Assert.Contains("280 × 140 mm", small.Reason, StringComparison.Ordinal);
        Assert.Contains("200 × 287 mm", small.Reason, StringComparison.Ordinal);
        Assert.Equal("mat", small.Field);
        Assert.Equal("drawing", Assert.Throws<InputProblemException>(() => new SimulatedCuttingMachine().Send("<svg><script/></svg>", Twelve)).Field);
    }

    [Theory]
    [InlineData(Fault.NoAnswer, "does not answer")]
    [InlineData(Fault.WrongUnit, "millimetres for inches")]
    public void A_machine_that_fails_says_how_and_can_be_asked_again(Fault fault, string how)
    {
        Assert.Contains(how, Assert.Throws<InputProblemException>(() => new SimulatedCuttingMachine(fault).Send(Card, Twelve)).Reason, StringComparison.Ordinal);
        Assert.NotEmpty(new SimulatedCuttingMachine().Send(Card, Twelve).Passes);
    }

    [Fact]
    public void Half_a_drawing_is_never_begun_on()
    {
        var half = Assert.Throws<InputProblemException>(() => new SimulatedCuttingMachine(Fault.HalfAMessage).Send(Card, Twelve));
        Assert.Equal("machine", half.Field);
        Assert.Contains("has not begun", half.Reason, StringComparison.Ordinal);
        Assert.Contains("nothing was lost", half.Accepted, StringComparison.Ordinal);
    }

    [Fact]
    public void A_caliper_is_read_line_by_line()
    {
        Assert.Equal(Length.Mm(0.34m), CaliperLine.Read(new SimulatedCaliper(Length.Mm(0.34m)).Next()));
        Assert.Equal(Length.Mm(0.34m).Units, CaliperLine.Read("CALIPER 0.0134 in\r\n").Units, 2.0);
        Assert.Contains("simulated", new SimulatedCaliper(Length.Mm(0.3m)).Name, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(Fault.NoAnswer, "does not answer")]
    [InlineData(Fault.WrongUnit, "no reading in millimetres or inches")]
    [InlineData(Fault.HalfAMessage, "half a line")]
    public void A_reading_that_is_not_whole_is_not_taken(Fault fault, string why) =>
        Assert.Contains(why, Assert.Throws<InputProblemException>(() => CaliperLine.Read(new SimulatedCaliper(Length.Mm(0.34m), fault).Next())).Reason, StringComparison.Ordinal);

    [Theory]
    [InlineData("CALIPER 5.00 mm\n", "no card is that thin or thick")]
    [InlineData("CALIPER 0.01 mm\n", "no card is that thin or thick")]
    [InlineData("CALIPER -0.34 mm\n", "no reading")]
    [InlineData("CALIPER NaN mm\n", "no reading")]
    [InlineData("CALIPER 0.34 mm CALIPER 0.34 mm CALIPER 0.34 mm\n", "far too much")]
    public void Nonsense_from_a_caliper_is_refused(string line, string why)
    {
        var refused = Assert.Throws<InputProblemException>(() => CaliperLine.Read(line));
        Assert.Contains(why, refused.Reason, StringComparison.Ordinal);
        Assert.Contains("CALIPER 0.34 mm", refused.Accepted, StringComparison.Ordinal);
    }

    [Fact]
    public void A_postal_counter_says_the_cheapest_class_and_what_keeps_it_out_of_the_one_before()
    {
        var counter = new SimulatedPostalCounter();
        Assert.Contains("example tariffs", counter.Name, StringComparison.Ordinal);
        Assert.Equal(("letter", null), (counter.Price(Length.Mm(120), Length.Mm(170), Length.Mm(3), 30) is var letter ? letter.Class.Name : "", letter.Why));
        Assert.Equal("letter", counter.Price(Length.Mm(240), Length.Mm(165), Length.Mm(5), 100).Class.Name);
        var thick = counter.Price(Length.Mm(120), Length.Mm(170), Length.Mm(5.1m), 30);
        Assert.Equal("large letter", thick.Class.Name);
        Assert.Contains("too thick for a letter: 5.1 mm", thick.Why, StringComparison.Ordinal);
        Assert.Contains("too long", counter.Price(Length.Mm(241), Length.Mm(100), Length.Mm(3), 30).Why, StringComparison.Ordinal);
        Assert.Contains("too wide", counter.Price(Length.Mm(200), Length.Mm(170), Length.Mm(3), 30).Why, StringComparison.Ordinal);
        Assert.Contains("too heavy", counter.Price(Length.Mm(120), Length.Mm(100), Length.Mm(3), 101).Why, StringComparison.Ordinal);
        Assert.Contains("no class of post", Assert.Throws<InputProblemException>(() => counter.Price(Length.Mm(500), Length.Mm(100), Length.Mm(3), 30)).Reason, StringComparison.Ordinal);
        Assert.All(new[] { Fault.NoAnswer, Fault.WrongUnit, Fault.HalfAMessage },
            f => Assert.Equal("post", Assert.Throws<InputProblemException>(() =>
            new SimulatedPostalCounter(f).Price(Length.Mm(120), Length.Mm(100), Length.Mm(3), 30)).Field));
    }
}

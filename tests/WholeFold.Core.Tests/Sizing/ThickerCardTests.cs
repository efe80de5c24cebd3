using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Thicker card moves what it must, and throws nothing that has to do with it.</summary>
public class ThickerCardTests
{
    [Theory]
    [InlineData("5x7", "imperial-eighths")]
    [InlineData("a6-iso", "metric-5mm")]
    [InlineData("a2-us", "both")]
    public void A_parameter_follows_the_caliper_one_way_or_stays_within_a_groove(string format, string tools)
    {
        var jumps = new List<string>();
        foreach (var (family, choices) in Support.Variants())
        {
            var cards = Enumerable.Range(1, 10).Select(n =>
                Support.Try(new DesignSpec { Construction = family.Id, Format = format, Tools = tools,
                Caliper = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{n * 0.1m}mm"), Set = Support.Written(choices) })).ToList();
            if (cards.Any(c => c is null))
            {
                continue;
            }

            foreach (var parameter in cards[0]!.Figures.Parameters.Select(p => p.Parameter.Id))
            {
                var values = cards.Select(c => c!.Figures.Parameters.Single(p => p.Parameter.Id == parameter)).ToList();
                var steps = values.Zip(values.Skip(1), (a, b) => (b.Value - a.Value).Units).ToList();
                var groove = cards[0]!.Figures.Tools.System == UnitSystem.Imperial ? Length.In(1, 8) : Length.Mm(5);
                var within = Length.Max(groove, new Length(values.Max(v => v.Ideal).Units * 30 / 100));
                if (!(steps.All(s => s >= 0) || steps.All(s => s <= 0)) && values.Max(v => v.Value) - values.Min(v => v.Value) > within)
                {
                    jumps.Add($"{family.Id} {string.Join(' ', choices)}, {parameter}: {string.Join(", ", values.Select(v => v.Value))}");
                }
            }
        }

        Assert.True(jumps.Count == 0, string.Join('\n', jumps));
    }
}

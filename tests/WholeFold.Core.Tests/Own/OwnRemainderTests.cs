using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>The lists of <c>lists.json</c> with less to go by than they have: without one of their lines, and without the library.</summary>
public class OwnRemainderTests
{
    private const int Every = 16;

    /// <summary>A line that is missing: what is left is mostly still taken for the same. Some lists without a piece are another construction (a tunnel without its layer is a box).</summary>
    [Fact]
    public void With_a_line_missing_most_are_recognised_still_and_few_are_taken_for_another()
    {
        var (right, other, all) = (0, 0, 0);
        foreach (var listed in OwnListTests.Lists.Where(l => l.Construction is not null).Stride(Every))
        {
            var list = OwnListReader.Read(listed.Text, listed.Unit);
            foreach (var gone in list.Cards.Where(c => list.Cards.Count(d => d.Scores.Count > 0) > (c.Scores.Count > 0 ? 1 : 0)))
            {
                all++;
                var found = OwnListTests.Recogniser.Find(list with { Pieces = [.. list.Pieces.Where(p => p != gone)] }, TestContext.Current.CancellationToken);
                right += found is [{ } best, ..] && best.Family.Id == listed.Construction ? 1 : 0;
                other += found is [{ Sure: true } sure, ..] && sure.Family.Id != listed.Construction ? 1 : 0;
            }
        }

        Assert.True(all - right <= Day.AtMost(0.18, all) && other <= Day.AtMost(0.16, all), $"{right} right, {other} sure of another, of {all}");
    }

    /// <summary>Without the library, by rules alone: of the figures of the library's own lists most are right in another format.</summary>
    [Fact]
    public void By_rules_alone_most_figures_are_what_the_construction_would_make_them()
    {
        var (right, among, all) = (0, 0, 0);
        foreach (var listed in OwnListTests.Lists.Where(l => l.Construction is not null).Stride(Every))
        {
            var list = OwnListReader.Read(listed.Text, listed.Unit);
            if (OwnListTests.Find(listed.Text, listed.Unit) is not [{ Sure: true, Differs.Count: 0 } best, ..] || RuleGuess.Of(list, Inventory.Shipped.Formats) is not { } guess)
            {
                continue;
            }

            var truth = OwnDesign.Of(listed.Text, listed.Unit, Support.Reader, OwnListTests.Recogniser, listed.Unit == DisplayUnit.Inch ? "6x6"
                : "sq-144").Figures.Where(f => f.Now is not null && f.Next.Count == 0).ToDictionary(f => $"{f.Id} {f.Name}", f => f.Now!.Value);
            var format = Inventory.Shipped.Formats.First(f => f.Id == (listed.Unit == DisplayUnit.Inch ? "6x6" : "sq-144"));
            foreach (var figure in guess.Figures)
            {
                if (truth.TryGetValue($"{figure.Piece.Line}.{figure.Figure} {figure.Piece.Name}", out var should))
                {
                    all++;
                    bool Is(FigureRule rule) => (rule.In(figure.Value, format.Width - guess.Width, format.Height - guess.Height) - should).Abs() <= Length.Mm(1.2m);
                    right += Is(figure.Rule) ? 1 : 0;
                    among += Is(figure.Rule) || figure.Next.Any(n => Is(n.Rule)) ? 1 : 0;
                }
            }
        }

        Assert.True(all > Day.AtLeast(250, Every) && all - right <= Day.AtMost(0.2, all) && all - among <= Day.AtMost(0.1, all), $"{right} right, {among} among the first three, of {all}");
    }
}

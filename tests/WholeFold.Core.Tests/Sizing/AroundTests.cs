using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What came out wrong, sized round: an independent solver says whether anything holds together, and where it does, so does
/// the program.</summary>
public class AroundTests
{
    private const int Every = 12;

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void What_can_hold_together_is_found(string board)
    {
        var (random, possible, impossible) = (new Random(Day.Seed), 0, 0);
        var step = board == "metric-5mm" ? Length.Mm(1) : Length.In(1, 16);
        foreach (var spec in Support.Grid(board).Stride(Every))
        {
            if (Support.Try(spec) is not { Relaxation: Relaxation.None } card || card.Construction.GoesRound
                || card.Figures.Tools.RulerMarks.Count == 0)
            {
                continue;
            }

            // One figure of a piece is off by a mark or two, and some of the others are there as they should be.
            var figures = card.Figures.All.Select(f => (f.Value, At: Done.FigureOf(card.Construction, f.Id))).Where(f =>
                f.At is { Terms.Count: > 0 }).ToList();
            var wrong = figures[random.Next(figures.Count)];
            var off = (random.Next(2) == 0 ? -1 : 1) * (random.Next(2) + 1);
            var real = new Length(wrong.Value.Units + (off * step.Units));
            List<Done> done = [new(wrong.At!, real), .. figures.Where(f => f != wrong && random.Next(3) == 0).Select(f =>
                new Done(f.At!, f.Value))];
            var found = Around.Of(card.Figures, done);
            var judge = new Oracle(card.Construction, card.Target, card.Figures.Tools, card.Design.Stock,
                new CostOrder(Priority.Format), noSixteenths: false, home: null, done);
            var holds = judge.HasBetterThan(null);
            Assert.True(holds == (found is not null), $"{spec.Named()}: {string.Join(" and ", done)}: the judge says {(holds ? "something holds" : "nothing does")}");
            (possible, impossible) = holds ? (possible + 1, impossible) : (possible, impossible + 1);
        }

        Assert.True(possible > Day.AtLeast(60, Every) && impossible > Day.AtLeast(60, Every), $"{possible} hold, {impossible} do not");
    }
}

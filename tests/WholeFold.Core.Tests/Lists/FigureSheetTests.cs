using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Lists;

/// <summary>The sheet in both systems, read back from its texts as a person reads it.</summary>
public class FigureSheetTests
{
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void Chains_add_up_as_they_are_read_in_either_system(string tools)
    {
        var (own, plain, none) = (0, 0, 0);
        foreach (var spec in Support.Grid(tools).Stride(6))
        {
            var read = Support.Reader.Read(spec);
            if (Attempt.Of(read.Design, read.Target).Card is not { Relaxation: Relaxation.None } sized)
            {
                continue;
            }

            var sheet = FigureSheet.Of(sized);
            foreach (var column in new[] { sheet.Inches, sheet.Centimetres })
            {
                if (column is null)
                {
                    none++;
                    continue;
                }

                (own, plain) = column.OwnSizing ? (own + 1, plain) : (own, plain + 1);
                Assert.Equal(column.OwnSizing, column.Unit.SystemOf() != sized.Figures.Tools.System);
                foreach (var piece in column.Settled.Pieces)
                {
                    // What is scored across adds up too, panel by panel as one reads them.
                    var crossing = piece.Lines.Where(l => l.Axis is not null).Select(l => l.Figure.Value).Prepend(Length.Zero).Append(piece.Across.Value).ToList();
                    var parts = crossing.Zip(crossing.Skip(1), (from, to) => Read(LengthWriter.Write(to - from, column.Unit), column.Unit));
                    Assert.Equal(Read(LengthWriter.Write(piece.Across.Value, column.Unit), column.Unit), parts.Aggregate(Length.Zero, (sum, part) => sum + part));
                    Length As(FigureRef id) => Read(column.Figures[id].Text, column.Unit);
                    var total = As(piece.Along.Id);
                    var edges = piece.Scores.Select(s => As(s.Figure.Id)).Append(total).ToList();
                    Assert.Equal(total, edges.Select((e, i) => i == 0 ? e : e - edges[i - 1]).Aggregate(Length.Zero, (sum, panel) => sum + panel));

                    // Scores that mirror each other come to the whole, as they are read.
                    foreach (var score in piece.Scores.Where(s => piece.Scores.Any(o => o.Figure.Value == piece.Along.Value - s.Figure.Value)))
                    {
                        var twin = piece.Scores.First(o => o.Figure.Value == piece.Along.Value - score.Figure.Value);
                        Assert.Equal(total, As(score.Figure.Id) + As(twin.Figure.Id));
                    }
                }
            }
        }

        Assert.True(own > 10 && plain > 10 && none < own + plain, $"{own} sized for themselves, {plain} not, {none} without");
    }

    [Fact]
    public void A_sum_that_would_not_come_out_is_said()
    {
        var sheet = FigureSheet.Of(Support.Size(Support.Spec("gatefold", "a2-us")));
        Assert.False(sheet.Inches!.OwnSizing);
        Assert.True(sheet.Centimetres!.OwnSizing);
        Assert.Equal("the panels of Base, 5.2 + 10.8 + 5.2, come to 21.2 cm and the sheet is 21.3", sheet.Centimetres.Contradictions[0].Text.Write(DisplayUnit.Centimetre));
        Assert.Equal("metric-5mm", sheet.Centimetres.Settled.Tools.Id);
    }

    /// <summary>What is named, without "scant" and "full".</summary>
    private static Length Read(string text, DisplayUnit unit)
    {
        var named = text.Replace(" scant", "", StringComparison.Ordinal).Replace(" full", "", StringComparison.Ordinal);
        Assert.True(LengthReader.TryRead(named, unit, out var value, out _), text);
        return value;
    }
}

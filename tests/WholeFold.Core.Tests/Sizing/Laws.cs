using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What holds for every construction in every format, with each of some ways to work; a class each, so that they run side by side.</summary>
public abstract class Laws(string tools, string caliper, string priority)
{
    /// <summary>One in so many is sized a second time.</summary>
    private const int Again = 12;

    /// <summary>One case in so many has its day.</summary>
    private const int Every = 9;

    [Fact]
    public void Hold_for_every_construction_and_format()
    {
        var sizedCount = 0;
        foreach (var spec in Support.Grid(tools, caliper, priority).Stride(Every))
        {
            var read = Support.Reader.Read(spec);
            var attempt = Attempt.Of(read.Design, read.Target);
            if (attempt.Card is not { } sized)
            {
                Assert.NotEmpty(attempt.Conflicts);
                continue;
            }

            sizedCount++;
            var name = spec.Named();
            ChainsClose(sized, name);
            EveryFigureIsSettableAsItSays(sized, name);
            IdealPlusStepsIsTheResult(sized, name);
            ClosesWithinItsFormat(sized, name);
            if (sizedCount % Again == 0)
            {
                Assert.Equal(SizedJson.Write(sized, read.Unit), SizedJson.Write(Card.Of(read.Design, read.Target), read.Unit));
            }
        }

        Assert.True(sizedCount > Day.AtLeast(180, Every), $"only {sizedCount} could be sized");
    }

    private static void ChainsClose(Card sized, string name)
    {
        foreach (var piece in sized.Pieces)
        {
            Assert.Equal(piece.Along.Value, piece.Panels.Aggregate(Length.Zero, (sum, p) => sum + p.Extent));
            Assert.All(piece.Panels, p => Assert.True(p.Extent > Length.Zero, $"{name}: {p.Panel.Id} is {p.Extent}"));
            if (sized.Figures.Relaxation != Relaxation.RoundedFigures)
            {
                // Panels that are equal by their rule are equal as cut.
                Assert.All(piece.Panels, p => Assert.Equal(sized.Figures.ValueOf(p.Panel.Extent), p.Extent));
                Assert.All(piece.Panels, p => Assert.True(p.Extent >= sized.Figures.ValueOf(p.Panel.Min.Value), $"{name}: {p.Panel.Id} is {p.Extent}, too small"));
            }
        }
    }

    private static void EveryFigureIsSettableAsItSays(Card sized, string name)
    {
        var tools = sized.Figures.Tools;
        foreach (var cut in sized.Pieces.SelectMany(p => new[] { p.Width, p.Height }).Concat(sized.Layers.SelectMany(l => new[] { l.Width, l.Height })))
        {
            Assert.True(tools.OnCutMark(cut.Value), $"{name}: {cut.Id} of {cut.Value} is on no mark of the trimmer");
            Assert.Equal(cut.Value, cut.Setting.At);
        }

        foreach (var piece in sized.Pieces)
        {
            foreach (var (score, length) in piece.AllScores.Select(s => (s.Figure, s.Axis == piece.Piece.Axis ? piece.Along.Value : piece.Across.Value)))
            {
                var read = score.Setting.Lay is Lay.TurnedRound or Lay.TurnedOver ? length - score.Value : score.Value;
                bool OnBoard(Length at) => tools.GrooveRows.Any(c => at >= c.First && at <= tools.BoardEnd && (at - c.First).IsOn(c.Step));
                var holds = score.Setting switch
                {
                    { How: SetBy.Direct, At: var at, Lay: var lay } => at == read && lay == Lay.AsItLies && OnBoard(at),
                    { How: SetBy.Turned, At: var at, Lay: var lay } => at == read && lay == Lay.TurnedRound && OnBoard(at),
                    { How: SetBy.Mirrored, At: var at, Lay: var lay } => at == read && lay is Lay.TurnedOver or Lay.HeadOverHeels && OnBoard(at),
                    Setting.FromGroove { At: var at, Groove: var groove, Offset: var offset } => at == read && tools.RulerMarks.Any(score.Value.IsOn) && groove + offset == at && OnBoard(groove),
                    { How: SetBy.Trimmer, At: var at } => at == read && tools.TrimmerScores && tools.OnCutMark(at),
                    Setting.FoldedTo { At: var line, FarEdge: var far } => line == 2 * (far ? length - read : read) && line <= length && tools.IsPlain(line),
                    { How: SetBy.Ruler, At: var at } => at == read && tools.RulerMarks.Any(score.Value.IsOn) && !tools.HasBoard,
                    { How: SetBy.Machine, At: var at } => at == read && tools.Exact,
                    Setting.TickToTick { Ticks: var ticks } => sized.Figures.Relaxation == Relaxation.RoundedFigures
                        || new[] { ticks.FromX, ticks.FromY, ticks.ToX, ticks.ToY }.All(at => at == Length.Zero || at.IsOn(tools.OwnCutMark)),
                    _ => false,
                };
                Assert.True(holds, $"{name}: {score.Id} at {score.Value} cannot be set as it says: {score.Setting}");
            }
        }
    }

    private static void IdealPlusStepsIsTheResult(Card sized, string name)
    {
        foreach (var figure in sized.All)
        {
            var at = figure.Reasons[0].From;
            foreach (var reason in figure.Reasons)
            {
                Assert.Equal(at, reason.From);
                at = reason.To;
            }

            Assert.True(at == figure.Value, $"{name}: the reasons of {figure.Id} end at {at}, not at {figure.Value}");
        }

        // The first reason's figure is the rule at the format and the ideals, worked out here by itself.
        foreach (var piece in sized.Pieces)
        {
            Assert.Equal(IdealOf(sized, piece.Piece.Along), piece.Along.Ideal);
            for (var i = 0; i < piece.Scores.Count; i++)
            {
                Assert.Equal(IdealOf(sized, piece.Piece.Position(i)), piece.Scores[i].Figure.Ideal);
            }

            foreach (var (line, rule) in piece.Lines.Zip(piece.Piece.Lines))
            {
                Assert.Equal(IdealOf(sized, line.Axis == Axis.Y ? rule.From.Y : rule.From.X), line.Figure.Ideal);
            }
        }
    }

    private static Length IdealOf(Card sized, Affine expression)
    {
        var sum = expression.ConstantIn(sized.Figures.Tools.System);
        foreach (var (name, ratio) in expression.Terms)
        {
            sum += ratio * name.Kind switch
            {
                SymbolKind.Size => name == Symbol.Width ? sized.Target.Width.Units : sized.Target.Height.Units,
                _ => sized.Figures.ExactIdeal(name),
            };
        }

        return new Length(sum.Nearest());
    }

    private static void ClosesWithinItsFormat(Card sized, string name)
    {
        var mark = sized.Figures.Relaxation == Relaxation.RoundedFigures ? sized.Figures.Tools.CutMarks.Max() : Length.Zero;
        Assert.All(sized.Closed.Misses, m => Assert.True(!m.WrongFace && m.By <= mark, $"{name}: {m}"));
        if (!sized.Construction.MayGrow)
        {
            Assert.True(sized.Closed.Width <= sized.Target.Width + mark && sized.Closed.Height <= sized.Target.Height, $"{name}: closed {sized.Closed.Width} × {sized.Closed.Height}");
        }

        var slack = (sized.Figures.Relaxation == Relaxation.SmallerCard ? Pair.Of(1, 8, 3m) : Pair.Of(1, 16, 1.5m)).For(sized.Figures.Tools.System);
        Assert.True(sized.Figures.Width <= sized.Target.Width && sized.Figures.Width >= sized.Target.Width - slack, name);
        Assert.True(sized.Figures.Height <= sized.Target.Height && sized.Figures.Height >= sized.Target.Height - slack, name);
    }
}

public sealed class LawsOfEighths() : Laws("imperial-eighths", "0.34mm", "format");

public sealed class LawsOfEighthsOnGroovesInHeavyCard() : Laws("imperial-eighths", "0.8mm", "board");

public sealed class LawsOfEighthsInProportionInThinPaper() : Laws("imperial-eighths", "0.1mm", "proportions");

public sealed class LawsOfFiveMillimetres() : Laws("metric-5mm", "0.34mm", "format");

public sealed class LawsOfFiveMillimetresOnGroovesInHeavyCard() : Laws("metric-5mm", "0.8mm", "board");

public sealed class LawsOfFiveMillimetresInProportionInThinPaper() : Laws("metric-5mm", "0.1mm", "proportions");

public sealed class LawsOfBothBoards() : Laws("both", "0.34mm", "format");

public sealed class LawsOfARuler() : Laws("ruler", "0.34mm", "format");

public sealed class LawsOfAMachine() : Laws("machine", "0.34mm", "format");

public sealed class LawsOfAMachineInHeavyCard() : Laws("machine", "0.8mm", "board");

using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Guide;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Guide;

/// <summary>The steps one figure at a time, and what is drawn of them.</summary>
public class ScreenTests
{
    [Fact]
    public void Every_length_of_every_step_is_shown_once_and_each_score_by_itself()
    {
        foreach (var family in ConstructionLibrary.All)
        {
            if (Support.Try(new DesignSpec { Construction = family.Id, Format = "6x6" }) is not { } card)
            {
                continue;
            }

            var steps = Steps.Of(card);
            var screens = Screens.Of(card, steps);
            Assert.Equal(screens.Count, screens.Select(s => s.Id).Distinct().Count());
            Assert.Equal(Enumerable.Range(0, steps.Count), screens.Select(s => s.Step).Distinct());
            var lengths = card.All.Select(f => f.Id.ToString()).ToHashSet();
            foreach (var (step, i) in steps.Select((s, i) => (s, i)))
            {
                Assert.Equal(step.Figures.Where(lengths.Contains).Order(), screens.Where(s => s.Step == i).SelectMany(s => s.Figures).Order());
            }

            foreach (var screen in screens.Where(s => steps[s.Step].Phase == Phase.Score))
            {
                Assert.Single(screen.Figures);
                Assert.NotNull(screen.Big);
            }

            // A figure that is read from the back of the room is short.
            Assert.All(screens.Where(s => s.Big is not null), s => Assert.True(s.Big!.Write(DisplayUnit.Inch).Length <= 40, $"{family.Id} {s.Id}: {s.Big!.Write(DisplayUnit.Inch)}"));
        }
    }

    /// <summary>One screen is enough for its one thing: the edge that is set from, both ends of what slants, from where to where a cut
    /// runs.</summary>
    [Fact]
    public void Each_screen_is_enough_for_its_act()
    {
        var (edges, slants, runs) = (0, 0, 0);
        foreach (var family in ConstructionLibrary.All)
        {
            if (Support.Try(new DesignSpec { Construction = family.Id, Format = "6x6" }) is not { } card)
            {
                continue;
            }

            var steps = Steps.Of(card);
            foreach (var screen in Screens.Of(card, steps))
            {
                var (step, say, big) = (steps[screen.Step], screen.Say.Write(DisplayUnit.Millimetre),
                    screen.Big?.Write(DisplayUnit.Millimetre) ?? "");
                var piece = card.Pieces.First(p => p.Piece.Id == (step.Pieces.Count > 0 ? step.Pieces[0] : card.Pieces[0].Piece.Id));
                if (step.Phase == Phase.Score && piece.AllScores.Single(s => s.Figure.Id.ToString() == screen.Figures[0]) is var score)
                {
                    edges += score.Axis is null ? 0 : 1;
                    slants += score.Axis is null ? 1 : 0;
                    Assert.True(score.Axis is null ? big.Split(" by ").Length == 3 : say.Contains(" edge", StringComparison.Ordinal), $"{family.Id}: {big}, {say}");
                }

                if (step.Work.Act == Act.Open && screen.Part is not null && !say.StartsWith("Snip", StringComparison.Ordinal))
                {
                    runs++;
                    Assert.Matches("set from the (left|bottom) edge; cut from .+ to .+ from the (left|bottom) edge", say);
                }
            }
        }

        Assert.True(edges > 40 && slants > 2 && runs > 10, $"{edges} {slants} {runs}");
    }

    /// <summary>Nothing of a later step is drawn before it is due, and what a step brings is there after it.</summary>
    [Fact]
    public void A_picture_shows_what_is_done_so_far_and_no_more()
    {
        var card = Support.Size(Support.Spec("winged-lock-gatefold", "5x5") with
        {
            Dressing = new DressingSpec
            {
                Windows = [new WindowSpec("eye", "base.door-left.up", Size: ["1 in", "1 in"])],
                Elements = [new ElementSpec("greeting", "base.inner-left.up", Size: ["1 in", "3/8 in"], Made: "stamped", Place: new PlaceSpec("foot")), new ElementSpec("star", "base.centre.up", Size: ["1/2 in", "1/2 in"], Height: "2 mm", BondedOn: "base.centre", Held: "lock")],
            },
        });
        var steps = Steps.Of(card);
        var screens = Screens.Of(card, steps);
        var scored = 0;
        foreach (var screen in screens)
        {
            var drawings = StepDrawing.Of(card, steps, screen.Step, screen.Part);
            Assert.NotEmpty(drawings);
            Assert.All(drawings, d => Assert.True(d.Width > 0 && d.Height > 0 && d.Marks.Count > 0));
            var step = steps[screen.Step];
            if (step.Phase == Phase.Score)
            {
                scored++;
                Assert.Equal(scored, drawings[0].Marks.Count(m => m.Kind is StepMarkKind.Valley or StepMarkKind.Mountain));
                Assert.Single(drawings[0].Marks, m => m.New);
                Assert.Equal(scored - 1, drawings[0].Before.Marks.Count(m => m.Kind is StepMarkKind.Valley or StepMarkKind.Mountain));
            }

            var due = steps.Take(screen.Step + 1).SelectMany(s => s.Things).ToHashSet();
            if (!due.Contains("windows.eye"))
            {
                Assert.DoesNotContain(drawings.SelectMany(d => d.Marks), m => m.Kind == StepMarkKind.Cut);
            }

            if (!due.Any(t => t.StartsWith("elements.", StringComparison.Ordinal)))
            {
                Assert.DoesNotContain(drawings.SelectMany(d => d.Marks), m => m.Kind == StepMarkKind.Thing);
            }
        }

        var window = StepDrawing.Of(card, steps, steps.ToList().FindIndex(s => s.Id == "window-eye"));
        Assert.Single(window[0].Marks, m => m is { Kind: StepMarkKind.Cut, New: true });
        Assert.Contains(StepDrawing.Of(card, steps, steps.ToList().FindIndex(s => s.Id == "element-star"))[0].Marks, m =>
            m is { Kind: StepMarkKind.Thing, New: true });
    }
}

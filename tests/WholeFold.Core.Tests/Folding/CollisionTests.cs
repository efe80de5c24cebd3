using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Folding;

public class CollisionTests
{
    private static Card? Card(string family, Dictionary<string, string> choices, string format) =>
        Support.Try(Support.Spec(family, format) with { Set = choices.ToDictionary(c => c.Key, c => (WrittenFigure)c.Value) });

    /// <summary>No hand pulls card through card: on its way from closed to shown, nothing of a card reaches through anything else of it.</summary>
    [Theory]
    [InlineData("5x7")]
    [InlineData("a6-iso")]
    [InlineData("slimline")]
    public void No_card_passes_through_itself_on_its_way(string format)
    {
        var moved = 0;
        foreach (var (family, choices) in Support.Variants())
        {
            if (Card(family.Id, choices, format) is not { } card)
            {
                continue;
            }

            moved++;
            foreach (var frame in Motion.Of(card.Figures).Frames)
            {
                Assert.Null(Collisions.In(card.Figures, frame) is { } hit ? $"{family.Id} {ConstructionFamily.KeyOf(choices)}: {hit.One} through {hit.Other} by {hit.Deep.Millimetres} mm at {frame.Share:0.00}" : null);
            }
        }

        Assert.True(moved > 50, $"only {moved} cards");
    }

    /// <summary>Moved evenly, two of the double swing's foldings go through themselves by over 10 mm: one strip must lead, and the step says which.</summary>
    [Theory]
    [InlineData("forward", true)]
    [InlineData("back", true)]
    [InlineData("steps", false)]
    public void Where_a_card_would_pass_through_itself_something_leads(string folding, bool leads)
    {
        var card = Card("double-swing", new() { ["folding"] = folding }, "5x7")!;
        var motion = Motion.Of(card.Figures);
        Assert.Equal(leads, motion.Leads.Count > 0);

        // The same frames driven evenly, by hand.
        var (closed, shown) = (motion.Closed.Angles, motion.Shown.Angles);
        var worst = Enumerable.Range(0, 25).Select(i => new MotionFrame(i / 24.0, closed.Keys.ToDictionary(k => k, k => closed[k] + (i / 24.0 * (shown[k] - closed[k]))), Length.Zero))
            .Max(frame => Collisions.In(card.Figures, frame)?.Deep ?? Length.Zero);
        Assert.Equal(leads, worst > Length.Mm(10));
        var step = Steps.Of(card).SingleOrDefault(s => s.Id == "lead");
        Assert.Equal(leads, step is not null);
        Assert.True(step is null || step.Say.Write(DisplayUnit.Inch).Contains("Open the folds at the scores between left frame and strip and between strip and middle frame first", StringComparison.Ordinal), step?.Say.Write(DisplayUnit.Inch));
    }

    /// <summary>Two doors that are each as wide as the card run into each other wherever they meet, not where they only touch.</summary>
    [Fact]
    public void A_crossing_is_told_from_a_touch()
    {
        var card = Card("gatefold", [], "5x7")!;
        MotionFrame At(double left, double right) => new(0.5, new Dictionary<CreaseRef, double> { [new("base", 0)] = left, [new("base", 1)] = right }, Length.Zero);
        Assert.Null(Collisions.In(card.Figures, At(170, 90)));

        // Lifted at one crease of its front and bent back at the next, the front goes through the back; bent on, it stands off.
        var hook = Card("bay-window-hook", [], "5x7")!;
        Collision? Bent(double first, double second)
        {
            var angles = Motion.Of(hook.Figures).Closed.Angles.ToDictionary(a => a.Key, a => a.Value);
            (angles[new("base", 2)], angles[new("base", 1)]) = (first, second);
            return Collisions.In(hook.Figures, new MotionFrame(0.5, angles, Length.Zero));
        }

        Assert.True(Bent(30, -100)?.Deep > Length.Mm(10));
        Assert.Null(Bent(30, 30));
    }
}

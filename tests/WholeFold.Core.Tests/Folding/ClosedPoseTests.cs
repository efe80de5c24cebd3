using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Folding;

public class ClosedPoseTests
{
    [Fact]
    public void Every_construction_fills_its_format_exactly_on_a_machine()
    {
        var filled = 0;
        foreach (var spec in Support.Grid("machine"))
        {
            if (Support.Try(spec) is not { } sized)
            {
                continue;
            }

            filled++;
            Assert.Empty(sized.Closed.Misses);
            if (!sized.Construction.MayGrow)
            {
                Assert.Equal((sized.Target.Width, sized.Target.Height), (sized.Closed.Width, sized.Closed.Height));
            }
        }

        Assert.True(filled > 1000, $"only {filled}");
    }

    /// <summary>Where a score is a mark off, either a bond misses, or the card ends larger, or a door or a panel is seen to be uneven.</summary>
    [Fact]
    public void A_score_moved_by_one_mark_is_noticed()
    {
        var moved = 0;
        foreach (var spec in Support.Grid("machine").Stride(5))
        {
            if (Support.Try(spec) is not { } sized)
            {
                continue;
            }

            foreach (var piece in sized.Pieces)
            {
                for (var score = 0; score < piece.Scores.Count + piece.Lines.Count; score++)
                {
                    // What no plate is folded at only helps shaping, and may lie a hair aside.
                    if (piece.Plates.All(p => p.By != score) && piece.Piece.Rings.All(r => r.By != score))
                    {
                        continue;
                    }

                    foreach (var by in new[] { Length.Mm(0.5m), -Length.Mm(0.5m) })
                    {
                        var pieces = sized.Pieces.Select(p => p == piece ? score < p.Scores.Count ? p.Moved(score, by) : p.LineMoved(score - p.Scores.Count, by) : p).ToList();
                        var pose = ClosedPose.Of(sized.Construction, pieces, e => sized.Figures.ValueOf(e).Units);
                        var missed = pose.Misses.Count > 0;
                        var otherSize = pose.Width != sized.Closed.Width || pose.Height != sized.Closed.Height;
                        var otherPanels = !pose.Panels.Select(p => p.Box).SequenceEqual(sized.Closed.Panels.Select(p => p.Box));
                        Assert.True(missed || otherSize || otherPanels, $"{spec.Named()}: {piece.Piece.Id} score {score} moved by {by} went unnoticed");
                        moved++;
                    }
                }
            }
        }

        Assert.True(moved > 100);
    }

    /// <summary>A seeded sample of formats, tools, calipers and parameters set by hand; the whole grid is in the bench.</summary>
    [Fact]
    public void A_card_closes_whatever_is_set_by_hand()
    {
        var random = new Random(Day.Whole ? 20 : Day.Seed);
        string[] tools = ["imperial-eighths", "metric-5mm", "both", "ruler", "machine"];
        var variants = Support.Variants().ToList();
        var formats = Inventory.Shipped.Formats;
        var closed = 0;
        for (var run = 0; run < (Day.Whole ? 220 : 60); run++)
        {
            var (family, choices) = variants[random.Next(variants.Count)];
            var spec = new DesignSpec { Construction = family.Id, Format = formats[random.Next(formats.Count)].Id, Turn = random.Next(2) == 0,
                Tools = tools[random.Next(tools.Length)], Caliper = $"0.{random.Next(1, 9)}mm", Set = Support.Written(choices) };
            var read = Support.Reader.Read(spec);
            if (Attempt.Of(read.Design, read.Target).Card is not { Relaxation: Relaxation.None, Parameters.Count: > 0 } free)
            {
                continue;
            }

            var parameter = free.Figures.Parameters[random.Next(free.Figures.Parameters.Count)].Parameter;
            if (Sizer.RangeOf(read.Design, read.Target, parameter.Id, Relaxation.None) is not { } range)
            {
                continue;
            }

            var value = range.Stops.Count > 0 ? range.Stops[random.Next(range.Stops.Count)] : random.Next(2) == 0 ? range.Min : range.Max;
            var sized = Card.Of(read.Design.Adjusted(read.Target, parameter.Id, value), read.Target);
            closed++;
            Assert.True(sized.Closed.Misses.Count == 0, $"{spec.Named()} with {parameter.Id} {value}: {string.Join(' ', sized.Closed.Misses)}");
            Assert.True(sized.Construction.MayGrow || (sized.Closed.Width <= sized.Target.Width && sized.Closed.Height <= sized.Target.Height), $"{spec.Named()} with {parameter.Id} {value}: closed {sized.Closed.Width} × {sized.Closed.Height}");
            Assert.All(sized.States, s => Assert.Empty(s.Pose.Misses));
        }

        Assert.True(closed > (Day.Whole ? 120 : 20), $"only {closed}");
    }

    [Fact]
    public void A_bond_on_the_wrong_face_or_out_of_place_is_found()
    {
        var sized = Support.Size(Support.Spec("tier-scene", "5x7") with { Turn = true });
        ClosedPose With(Func<Bond, Bond> change) =>
            ClosedPose.Of(sized.Construction with { Bonds = [.. sized.Construction.Bonds.Select((b, i) => i == 1 ? change(b) : b)] }, sized.Pieces, e => sized.Figures.ValueOf(e).Units);
        Assert.Empty(With(b => b).Misses);
        Assert.True(With(b => b with { A = b.A with { On = b.A.On with { Face = Face.Down } } }).Misses.Single().WrongFace);
        var aside = With(b => b with { A = b.A with { Region = b.A.Region is Rectangle r
            ? r with { FromX = r.FromX + Pair.Of(1, 16, 1.5m), ToX = r.ToX + Pair.Of(1, 16, 1.5m) } : b.A.Region } }).Misses.Single();
        Assert.Equal(Length.In(1, 16), aside.By);
    }

    [Fact]
    public void A_tier_scene_closes_sideways_by_its_depth()
    {
        var sized = Support.Size(Support.Spec("tier-scene", "5x7", "depth=1") with { Turn = true });
        var box = sized.Closed.Panels.ToDictionary(p => $"{p.Piece}.{p.Panel}", p => p.Box);

        // The left wall lies still and the back is folded over onto it; each tier's face stands over by its own
        // distance from the back.
        Assert.Equal(box["base.back"].Right, box["base.wall-left"].Right);
        Assert.Equal(Length.In(1, 2), box["base.back"].Right - box["tier2.face"].Right);
        Assert.Equal(Length.In(1), box["base.back"].Right - box["tier1.face"].Right);
        Assert.All(box.Values, b => Assert.True(b.Bottom == Length.Zero, "all stand flush at the foot"));
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>Slanting creases, creases on rails, pieces cut in two and what goes round a card: worked by hand.</summary>
public class SlantingTests
{
    [Fact]
    public void Double_swing_by_hand()
    {
        var sized = Size(Spec("double-swing", "5x5"));
        var sheet = sized.Piece("base");
        Assert.Equal((In("9"), In("5")), (sheet.Width.Value, sheet.Height.Value));
        Assert.Equal([In("2"), In("3"), In("6"), In("7")], sized.Scores("base"));
        Assert.Equal(["valley", "mountain", "valley", "mountain"], sheet.Scores.Select(s => s.Crease.Fold.ToString().ToLowerInvariant()));

        // Scored on the rails only, 13/16 high; each swing is 3 wide and hangs on its strip in the middle.
        var rail = sized.Figures.Parameters.Single(p => p.Parameter.Id == "rail").Value;
        Assert.All(sheet.Scores, s => Assert.Equal([(Length.Zero, rail), (In("5") - rail, In("5"))], s.Stretches));
        Assert.Equal([("1", "2", "right"), ("3", "4", "left"), ("5", "6", "right"), ("7", "8", "left")],
            sheet.Openings.Select(o => (LengthWriter.Write(o.Left.Value, DisplayUnit.Inch), LengthWriter.Write(o.Right.Value, DisplayUnit.Inch),
            o.Opening.StaysOn.ToString()!.ToLowerInvariant())));
        var panels = sized.Closed.Panels.ToDictionary(p => p.Panel, p => p.Box);
        Assert.Equal((In("0"), In("3")), (panels["strip1"].Left, panels["strip1"].Right));
        Assert.Equal((In("2"), In("5")), (panels["strip2"].Left, panels["strip2"].Right));
        Assert.Equal([2, 2, 3, 3], new[] { "swing", "swing-back", "post", "post-back" }.Select(role => sized.Layers.Where(l => l.Role.Id == role).Sum(l => l.Quantity)));
        Assert.All(new[] { "rail-upper", "rail-lower", "rail-upper-back", "rail-lower-back" }, role => Assert.Equal(3, sized.Layers.Where(l => l.Role.Id == role).Sum(l => l.Quantity)));
        Assert.Equal(In("5"), Size(Spec("double-swing", "3x3", "swings=1")).Piece("base").Width.Value);
    }

    [Fact]
    public void Never_ending_by_hand()
    {
        var sized = Size(Spec("never-ending", "6x6"));
        foreach (var (piece, line) in new[] { ("top", "left"), ("bottom", "foot") })
        {
            Assert.Equal([In("1 1/2"), In("4 1/2")], sized.Scores(piece));
            var cut = Assert.Single(sized.Piece(piece).MarkedLines);
            Assert.Equal((CutKind.Divide, line, In("3")), (cut.Opening.Opening.Kind, cut.Figure.Id.ToString().Split('.')[^1], cut.Figure.Value));
        }

        // On the front and the back each half and its ends; inside each half, and of each end what the glue leaves.
        Assert.Equal([("front", "3 × 3", 2), ("front-back", "3 × 3", 2), ("back", "3 × 3", 2), ("back-back", "3 × 3", 2), ("front-end", "3 × 1 1/2", 4), ("back-end", "1 1/2 × 3", 4), ("inner-end", "1 1/2 × 1 1/2", 4), ("inner-side", "1 1/2 × 1 1/2", 4)],
            sized.Layers.Select(l => (l.Role.Id, $"{LengthWriter.Write(l.On[0].Region.Box.Width, DisplayUnit.Inch)} × {LengthWriter.Write(l.On[0].Region.Box.Height, DisplayUnit.Inch)}", l.Quantity)));
    }

    [Fact]
    public void Every_state_lies_flat_within_the_format_and_only_by_its_own_creases()
    {
        var states = 0;
        foreach (var spec in Grid("machine"))
        {
            if (Try(spec) is not { Construction.States.Count: > 0 } sized)
            {
                continue;
            }

            foreach (var (state, pose) in sized.States)
            {
                states++;
                Assert.Empty(pose.Misses);
                Assert.Equal((sized.Closed.Width, sized.Closed.Height), (pose.Width, pose.Height));
                for (var score = 0; score < 2; score++)
                {
                    var pieces = sized.Pieces.Select(p => state.Angles.ContainsKey(new CreaseRef(p.Piece.Id, score)) ? p.Moved(score, Length.Mm(0.5m)) : p).ToList();
                    var moved = ClosedPose.Of(sized.Construction, pieces, e => sized.Figures.ValueOf(e).Units, state);
                    Assert.True(moved.Misses.Count > 0 || moved.Width != pose.Width || moved.Height != pose.Height, $"{spec.Named()}: {state.Id} did not mind crease {score}");
                }
            }

            // The cross lacks its corners.
            var cross = sized.States.Single(s => s.State.Id == "cross").Pose;
            Point Corner(Length x, Length y) => new(x == cross.Footprint.Left ? x + new Length(1) : x - new Length(1), y == cross.Footprint.Bottom ? y + new Length(1) : y - new Length(1));
            foreach (var corner in new[] { Corner(cross.Footprint.Left, cross.Footprint.Bottom), Corner(cross.Footprint.Right, cross.Footprint.Top) })
            {
                Assert.DoesNotContain(cross.Panels, p => p.Box.Left < corner.X && corner.X < p.Box.Right && p.Box.Bottom < corner.Y && corner.Y < p.Box.Top);
            }
        }

        Assert.True(states > 60, $"only {states}");
    }

    [Fact]
    public void Twist_pop_by_hand()
    {
        var sized = Size(Spec("twist-pop", "6x6", "panel=2 3/4", "carrierWidth=3 1/2", "grip=1 1/4"));
        var carrier = sized.Piece("carrier");

        // The middle a panel and a grip from either end; the diagonals leave the foot where the walls end: 4 − 1¾.
        Assert.Equal((In("8"), In("3 1/2")), (carrier.Width.Value, carrier.Height.Value));
        Assert.Equal([In("4")], sized.Scores("carrier"));
        var (length, up, down) = (carrier.Lines[0], carrier.Lines[1], carrier.Lines[2]);
        Assert.Equal((Axis.Y, In("1 3/4")), (length.Axis, length.Figure.Value));
        Assert.Equal((In("2 1/4"), In("0"), In("5 3/4"), In("3 1/2")), (up.From.X, up.From.Y, up.To.X, up.To.Y));
        Assert.Equal((In("2 1/4"), In("3 1/2"), In("5 3/4"), In("0")), (down.From.X, down.From.Y, down.To.X, down.To.Y));
        Assert.Equal((SetBy.Ticks, "ticks at 2 1/4 by 0 and 5 3/4 by 3 1/2"), (up.Figure.Setting.How, up.Figure.Setting.Write(DisplayUnit.Inch)));
        Assert.Equal([In("2 3/4"), In("5 1/2"), In("8 1/4")], sized.Scores("concertina"));
        Assert.Equal(In("3 3/4"), sized.Piece("concertina").Height.Value);

        // Closed, the four panels lie on each other from 2¾ to 5½ from the spine, and the carrier's tip is on it.
        var panels = sized.Closed.Panels.Where(p => p.Piece == "concertina").Select(p => (p.Box.Left, p.Box.Right)).Distinct();
        Assert.Equal((In("1/2"), In("3 1/4")), Assert.Single(panels));
        Assert.Equal(In("6"), sized.Closed.Panels.Single(p => p.Panel == "left").Box.Right);
    }

    [Fact]
    public void Wide_twist_pop_by_hand()
    {
        var sized = Size(Spec("twist-pop-wide", "5.5x4.25in") with { Tools = "machine" });
        Assert.Equal((In("10 1/2"), In("8 1/2")), (sized.Piece("insert").Width.Value, sized.Piece("insert").Height.Value));
        Assert.Equal([In("2 3/4"), In("5 1/2"), In("8 1/4")], sized.Scores("twist"));
        Assert.Equal((In("11"), In("2 3/4")), (sized.Piece("twist").Width.Value, sized.Piece("twist").Height.Value));

        // Reach 4¼, square 2¾: closed, the strip lies from 2 3/16 to 4 15/16 from the spine, and the column ends at 4¼.
        var strip = Assert.Single(sized.Closed.Panels.Where(p => p.Piece == "twist").Select(p => (p.Box.Left, p.Box.Right)).Distinct());
        Assert.Equal((In("9/16"), In("3 5/16")), strip);
        Assert.Equal(In("1 1/4"), sized.Closed.Panels.Where(p => p.Panel == "high-left").Min(p => p.Box.Left));
    }

    [Theory]
    [InlineData("square", "0")]
    [InlineData("square", "3mm")]
    [InlineData("rectangle", "0")]
    [InlineData("rectangle", "3mm")]
    public void An_envelope_leaves_an_eighth_round_its_card_and_room_for_its_thickness(string school, string thick)
    {
        foreach (var tools in new[] { "machine", "imperial-eighths", "metric-5mm" })
        {
            var sized = Size(Spec("envelope", "5x7", $"school={school}", $"thick={thick}") with { Tools = tools });
            var room = Pair.Of(1, 8, 3m).For(sized.Figures.Tools.System) + (thick == "0" ? Length.Zero : Length.Mm(3));
            var loose = tools == "machine" ? Length.Mm(0.02m) : school == "rectangle" ? Length.Mm(1.5m) : Length.Mm(6);
            Assert.InRange((sized.Closed.Width - In("5") - room).Units, -2, loose.Units);
            Assert.InRange((sized.Closed.Height - In("7") - room).Units, -2, loose.Units);
            Assert.Null(sized.Envelope);
            Assert.DoesNotContain(sized.Checks, c => c.Id is "envelope-to-make" or "closed-over-format");
        }
    }

    [Fact]
    public void The_square_school_by_hand()
    {
        // 5⅛ and 7⅛ inside: side (12.25)/√2 + ¾ = 9.412, first score (9.412 − 2/√2)/2 = 3.999.
        var sized = Size(Spec("envelope", "5x7") with { Tools = "machine" });
        Assert.InRange((double)sized.Piece("envelope").Width.Value.Millimetres / 25.4, 9.4120, 9.4125);
        Assert.InRange((double)sized.Figures.Parameters.Single(p => p.Parameter.Id == "first").Value.Millimetres / 25.4, 3.9985, 3.9995);
        Assert.Equal(4, sized.Piece("envelope").Lines.Count(l => l.Axis is null));
        var slim = Assert.Throws<NoFiguresException>(() => Size(Spec("envelope", "2x12in")));
        Assert.Contains(slim.Conflicts, c => c.Text.Write(DisplayUnit.Inch).Contains("take the rectangle", StringComparison.Ordinal));
    }

    [Fact]
    public void A_box_envelope_stands_as_high_as_its_card()
    {
        var sized = Size(Spec("box-envelope", "5x7", "thick=1/4"));
        var gusset = In("5/16");
        Assert.InRange((sized.Closed.Deep - gusset).Units, 0, In("1/16").Units);
        Assert.InRange((sized.Closed.Width - In("5 3/8")).Units, 0, In("1/16").Units);
        Assert.InRange((sized.Closed.Height - In("7 3/8")).Units, 0, In("1/16").Units);
        Assert.True(sized.Thickness.Greatest > gusset);
        Assert.Empty(sized.Closed.Misses);
    }

    [Fact]
    public void The_json_has_slanting_scores_with_their_ends_stretches_and_every_cut()
    {
        using var twist = System.Text.Json.JsonDocument.Parse(SizedJson.Write(Size(Spec("twist-pop", "6x6")), DisplayUnit.Inch));
        var scores = twist.RootElement.GetProperty("pieces")[1].GetProperty("scores");
        Assert.Equal(["x", "y", "diagonal", "diagonal"], scores.EnumerateArray().Select(s => s.GetProperty("axis").GetString()));
        Assert.Equal((2, 2), (scores[2].GetProperty("from").GetArrayLength(), scores[2].GetProperty("to").GetArrayLength()));
        Assert.False(scores[0].TryGetProperty("from", out _));
        using var swing = System.Text.Json.JsonDocument.Parse(SizedJson.Write(Size(Spec("double-swing", "5x5")), DisplayUnit.Inch));
        var piece = swing.RootElement.GetProperty("pieces")[0];
        Assert.Equal(2, piece.GetProperty("scores")[0].GetProperty("stretches").GetArrayLength());
        Assert.Equal(["outer", "flap", "flap", "flap", "flap"], piece.GetProperty("cuts").EnumerateArray().Select(c => c.GetProperty("kind").GetString()));
        using var never = System.Text.Json.JsonDocument.Parse(SizedJson.Write(Size(Spec("never-ending", "5x5")), DisplayUnit.Inch));
        Assert.Equal(3, never.RootElement.GetProperty("closed").GetProperty("states").GetArrayLength());
        Assert.Equal("divide", never.RootElement.GetProperty("pieces")[0].GetProperty("cuts")[1].GetProperty("kind").GetString());
    }

    /// <summary>The library refuses a square sheet round so slim a card; written down without that rule, it is found by folding it.</summary>
    [Fact]
    public void A_flap_that_reaches_past_the_face_is_found_by_folding()
    {
        var family = ConstructionWriter.Write(ConstructionLibrary.All.Single(f => f.Id == "envelope"));
        var loose = family with { Variants = [.. family.Variants.Select(v => v with { Requirements = [.. v.Requirements.Where(r => !r.Id.StartsWith("tip", StringComparison.Ordinal))] })] };
        var reader = new DesignReader(new Catalogue([ConstructionReader.Read(loose, "construction")]), Inventory.Shipped);
        Card Sized(string format)
        {
            var read = reader.Read(Spec("envelope", format));
            return Card.Of(read.Design, read.Target);
        }

        Assert.Contains(Sized("90x200mm").Checks, c => c is { Id: "sticks-out-when-closed", Severity: Severity.Error });
        Assert.DoesNotContain(Sized("5x7").Checks, c => c.Id == "sticks-out-when-closed");
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Checks;

/// <summary>What is packed is the closed card with all that stands over its edge, counted once, and everything says the same of
/// it.</summary>
public class PackingTests
{
    private static Card With(string size, string place, bool overEdge = false, string? height = null, string format = "5x7") => Support.Size(
        Support.Spec("plain-fold", format) with { Dressing = new DressingSpec { Elements = [new ElementSpec("flag", "front",
            Size: [size, size], Height: height is null ? null : (WrittenLength)height,
            Place: new PlaceSpec("right", [new FromSpec("right", place)]), OverEdge: overEdge)] } });

    /// <summary>Its width is what stands over, and no need beside it: 3 mm over leaves a 5 × 7 its A7.</summary>
    [Fact]
    public void What_stands_over_the_edge_is_counted_once()
    {
        var card = With("1 in", "-3mm");
        Assert.Equal(card.Closed.Width + Length.Mm(3), card.Packing.Width);
        Assert.Equal("env-a7", card.Envelope?.Id);
        Assert.True(card.Packing.Need.Across <= card.Thickness.Greatest + new Length(1), $"{card.Packing.Need.Across}");
    }

    [Fact]
    public void Meant_to_stand_over_it_is_a_note_with_the_envelope_that_takes_it()
    {
        Assert.Contains(With("1 in", "-1/4in").Checks, c => c is { Id: "sticks-out-when-closed", Severity: Severity.Caution or Severity.Error });
        var meant = With("1 in", "-1/4in", overEdge: true);
        Assert.DoesNotContain(meant.Checks, c => c.Id is "sticks-out-when-closed" or "taller-than-its-envelope-when-packed");
        var note = Assert.Single(meant.Checks, c => c.Id == "over-edge");
        Assert.Equal(Severity.Note, note.Severity);
        Assert.Contains(meant.Packing.Said.Write(DisplayUnit.Inch), note.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    /// <summary>A thread drawn tight round every section, wound here point by point: it goes round what stands over as well, and is
    /// as long as the card is wide with that, and the need.</summary>
    [Theory]
    [InlineData("1/2 in", "-1/8in", "3mm")]
    [InlineData("1 in", "-1/4in", "5mm")]
    [InlineData("2 in", "-1in", "2mm")]
    [InlineData("1 in", "-3mm", null)]
    public void The_need_is_that_of_a_thread_round_all_of_it(string size, string place, string? height)
    {
        var card = With(size, place, overEdge: true, height: height);
        var spreads = card.Thickness.Spreads;
        Assert.Equal(card.Packed.Right.Units, spreads.Max(s => s.Right), 1.0);
        var most = 0d;
        foreach (var y in spreads.SelectMany(s => new[] { s.LowLeft + 1, s.HighLeft - 1 }).Distinct())
        {
            var points = spreads.Where(s => s.LowLeft <= y && y <= s.HighLeft).SelectMany(s => new[]
            {
                (X: s.Left, Y: 0d), (X: s.Right, Y: 0d), (X: s.Left, Y: (double)s.Thick.Units), (X: s.Right, Y: (double)s.Thick.Units),
            }).ToList();
            most = Math.Max(most, (Thread(points) / 2) - card.Packing.Width.Units);
        }

        Assert.InRange(card.Packing.Need.Across.Units, most - 2, most + 2);
    }

    /// <summary>From each point to the one that has all others on its left.</summary>
    private static double Thread(List<(double X, double Y)> points)
    {
        var (start, round) = (points.Min(), 0d);
        var at = start;
        do
        {
            var next = points[0] == at ? points[1] : points[0];
            foreach (var p in points)
            {
                var turn = ((next.X - at.X) * (p.Y - at.Y)) - ((next.Y - at.Y) * (p.X - at.X));
                var further = Far(at, p) > Far(at, next);
                next = p != at && (turn < 0 || (turn == 0 && further)) ? p : next;
            }

            round += Far(at, next);
            at = next;
        }
        while (at != start);
        return round;
    }

    private static double Far((double X, double Y) a, (double X, double Y) b) =>
        Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));

    /// <summary>The one to make has room for what stands out too.</summary>
    [Fact]
    public void The_envelope_to_make_goes_round_all_of_it()
    {
        var bare = With("1 in", "0in", format: "9x11in");
        var over = With("1 in", "-1in", format: "9x11in");
        Assert.True(bare.Envelope is null && over.Envelope is null);
        Assert.Equal(bare.Packing.Make.Width + Length.In(1), over.Packing.Make.Width);
        var said = Assert.Single(over.Checks, c => c.Id == "envelope-to-make");
        Assert.Equal(over.Packing.Make.Width, said.Figures["width"]);
    }

    /// <summary>From 4 mm on the box envelope is offered beside whatever fits.</summary>
    [Fact]
    public void A_thick_card_is_offered_a_box()
    {
        var thick = With("2 in", "1in", height: "6mm", format: "6x6");
        Assert.True(thick.Packing.IsThick);
        var offered = Assert.Single(thick.Checks, c => c.Id is "thick-for-an-envelope" or "envelope-to-make");
        Assert.Equal(thick.Packing.Box.Sides, offered.Figures["sides"]);
        Assert.True(offered.Figures["sides"] >= thick.Thickness.Greatest + Length.In(1, 16));
        Assert.DoesNotContain(With("2 in", "1in", height: "2mm", format: "6x6").Checks, c => c.Id == "thick-for-an-envelope");
    }
}

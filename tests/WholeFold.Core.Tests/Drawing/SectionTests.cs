using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Drawing;

/// <summary>The closed card cut through: what one sees with a glass at its edge.</summary>
public class SectionTests
{
    private static IEnumerable<(string Name, Card Card, Section Section)> All()
    {
        foreach (var (family, choices) in Support.Variants())
        {
            foreach (var format in new[] { "5x7", "a6-iso" })
            {
                if (Support.Try(Support.Spec(family.Id, format) with { Set = Support.Written(choices) }) is { } card && Section.Of(card) is { } section)
                {
                    yield return ($"{family.Id} {ConstructionFamily.KeyOf(choices)} in {format}", card, section);
                }
            }
        }
    }

    [Fact]
    public void Of_every_card_that_lies_flat_there_is_one()
    {
        foreach (var (family, choices) in Support.Variants())
        {
            if (Support.Try(Support.Spec(family.Id, "5x7") with { Set = Support.Written(choices) }) is { } card)
            {
                Assert.Equal(card.Closed.Deep == Length.Zero, Section.Of(card) is not null);
            }
        }
    }

    /// <summary>As many plies are drawn at a spot as the closed card has there, each in a row of its own.</summary>
    [Fact]
    public void Every_ply_is_seen_once_and_lies_on_no_other()
    {
        var seen = 0;
        foreach (var (name, card, section) in All())
        {
            var line = section.AcrossX ? card.Thickness.ThickestAt.Y : card.Thickness.ThickestAt.X;
            for (var i = 1; i < 40; i++)
            {
                var at = new Length((section.Width.Units * i / 40) + 7);
                var here = section.Plies.Where(p => p.From < at && at < p.To).ToList();
                Assert.Equal(here.Count, here.Select(p => p.Row).Distinct().Count());
                var x = section.AcrossX ? at + card.Closed.Footprint.Left : line;
                var y = section.AcrossX ? line : at + card.Closed.Footprint.Bottom;
                Assert.True(card.Closed.Panels.Count(p => Inside(p.Corners, x, y)) == here.Count, $"{name} at {i}/40");
                seen += here.Count;
            }
        }

        Assert.True(seen > 5_000, $"only {seen}");
    }

    /// <summary>Paper does not go through paper: where a crease joins two plies, nothing between them reaches past it.</summary>
    [Fact]
    public void No_ply_lies_through_a_fold()
    {
        var folds = 0;
        foreach (var (name, _, section) in All())
        {
            foreach (var fold in section.Folds)
            {
                folds++;
                var through = section.Plies.FirstOrDefault(p => p.Row > fold.Low && p.Row < fold.High && p.From.Units + 1 < fold.At.Units && fold.At.Units + 1 < p.To.Units);
                Assert.True(through is null, $"{name}: {through?.Name} through the fold at {fold.At.Millimetres} mm, rows {fold.Low} to {fold.High}");
            }
        }

        Assert.True(folds > 200, $"only {folds}");
    }

    /// <summary>Where a crease is flat in the closed card, the sheet goes on in one line.</summary>
    [Fact]
    public void What_is_not_folded_goes_on_in_its_row()
    {
        var flat = 0;
        foreach (var (name, card, section) in All())
        {
            foreach (var ply in section.Plies)
            {
                var piece = card.Figures.PieceOf(ply.Plate.Piece);
                if (piece.Plate(ply.Plate.Plate) is { HangsOn: { } on, By: var by } && piece.Score(by).Crease.Closed == 0
                    && section.Plies.FirstOrDefault(p => p.Plate == new PlateRef(ply.Plate.Piece, on)) is { } next)
                {
                    flat++;
                    Assert.True(next.Row == ply.Row, $"{name}: {ply.Name} in row {ply.Row}, {next.Name} in row {next.Row}");
                }
            }
        }

        Assert.True(flat > 150, $"only {flat}");
    }

    [Fact]
    public void A_gatefold_has_its_doors_on_its_back_and_a_front_step_its_tab_against_it()
    {
        var gate = Section.Of(Support.Size(Support.Spec("gatefold", "5x7")))!;
        Assert.Equal([("left door", 1), ("back", 0), ("right door", 1)], gate.Plies.OrderBy(p => p.Plate.Plate == "left" ? 0 : p.Plate.Plate == "back" ? 1 : 2).Select(p => (p.Name, p.Row)));
        Assert.Equal(2, gate.Folds.Count);
        var step = Section.Of(Support.Size(Support.Spec("front-step", "5x7")))!;
        Assert.False(step.AcrossX);
        Assert.Equal(1, Math.Abs(step.Plies.Single(p => p.Plate.Plate == "tab").Row - step.Plies.Single(p => p.Plate.Plate == "back").Row));
        Assert.Single(step.Stuck);
    }

    private static bool Inside(IReadOnlyList<Point> outline, Length x, Length y)
    {
        var inside = false;
        for (var i = 0; i < outline.Count; i++)
        {
            var (a, b) = (outline[i], outline[(i + 1) % outline.Count]);
            if (a.Y > y != b.Y > y && x.Units < a.X.Units + ((double)(y - a.Y).Units / (b.Y - a.Y).Units * (b.X - a.X).Units))
            {
                inside = !inside;
            }
        }

        return inside;
    }
}

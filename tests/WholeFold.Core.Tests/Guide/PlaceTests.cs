using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Guide;

/// <summary>Where things go and how far adhesive may go, worked out by hand.</summary>
public class PlaceTests
{
    private static readonly string[] Boards = ["imperial-eighths", "metric-5mm", "machine"];

    private static IEnumerable<Card> Cards(string construction) =>
        Support.Grid("imperial-eighths").Concat(Support.Grid("metric-5mm")).Concat(Support.Grid("machine")).Where(s => s.Construction == construction).Stride(2).Select(Support.Try).OfType<Card>();

    /// <summary>The strip's first square lies on its half of the column from the crease up to the column's end: three quarters of a square high, half the column wide.</summary>
    [Fact]
    public void A_patch_may_be_as_large_as_what_lies_on_each_other()
    {
        var made = 0;
        foreach (var card in Cards("twist-pop-wide").Where(c => c.Figures.Relaxation != Core.Sizing.Relaxation.RoundedFigures))
        {
            made++;
            Length Of(string id) => card.Figures.Parameters.Single(p => p.Parameter.Id == id).Value;
            foreach (var id in new[] { "first", "fourth" })
            {
                var bond = Places.FiguresOf(card.Figures, card.Construction.Bonds.Single(b => b.Id == id));
                Assert.NotNull(bond.Most);
                Assert.InRange((4 * bond.Most.Value.Height).Units - (3 * Of("square")).Units, -4, 4);
                Assert.InRange((2 * bond.Most.Value.Width).Units - Of("column").Units, -4, 4);
                Assert.True(bond.Width < bond.Most.Value.Width && bond.Height < bond.Most.Value.Height);
            }

            Assert.All(card.Construction.Bonds.Where(b => !b.AtLeast), b => Assert.Null(Places.FiguresOf(card.Figures, b).Most));
        }

        Assert.True(made > Day.AtLeast(30, 2), $"only {made}");
    }

    /// <summary>Glue stays back from a crease that moves, whether that is of the part it goes on or of the part that is laid on it.</summary>
    [Theory]
    [InlineData("front-step", "tab", true)]
    [InlineData("bridge", "left", true)]
    [InlineData("spinner-window", "halves", false)]
    [InlineData("sleeve-gatefold", "left-pocket", false)]
    public void Adhesive_stays_back_from_a_crease_that_moves_on_either_side(string construction, string bond, bool stays)
    {
        foreach (var tools in Boards)
        {
            var card = Support.Size(Support.Spec(construction, "5x7") with { Tools = tools });
            var its = card.Construction.Bonds.First(b => b.Id.StartsWith(bond, StringComparison.Ordinal));
            Assert.Equal(stays, Places.FiguresOf(card.Figures, its).Limit > Length.Zero);
        }
    }

    /// <summary>Folded to the one line, both doors end on it, with half the gap on either side.</summary>
    [Theory]
    [InlineData("gatefold")]
    [InlineData("split-gatefold")]
    [InlineData("sleeve-gatefold")]
    public void Both_doors_fold_to_the_one_line(string construction)
    {
        var made = 0;
        foreach (var card in Cards(construction))
        {
            made++;
            var (sheet, scores) = (card.Piece("base").Width.Value, card.Scores("base").ToList());
            var line = Places.Of(card.Figures).Single(p => p.Id == "one-line").From[0].Distance;
            var (left, right) = (2 * scores[0], sheet - (2 * (sheet - scores[1])));
            Assert.True(left < line && line < right, $"{construction}: {left}, {line}, {right}");
            Assert.InRange((2 * line).Units - (left + right).Units, -2, 2);

            // It is how one does without a board, and no step for who has one.
            Assert.Equal(card.Figures.Tools is { Exact: false, GrooveRows.Count: 0 }, Steps.Of(card).Any(s => s.Figures.Contains("one-line")));
        }

        Assert.True(made > Day.AtLeast(30, 2), $"only {made}");
        Assert.Contains(Steps.Of(Support.Size(new DesignSpec { Construction = construction, Format = "a2-us", Tools = "ruler" })), s =>
            s.Figures.Contains("one-line"));
    }

    [Fact]
    public void Pieces_and_panels_are_named_as_one_says_them()
    {
        Assert.Equal(["the base", "pillar 1", "the back of the base", "face 1", "the liner back", "the clear strip", "the panel behind of pillar 2"],
            [Spoken.The("Base"), Spoken.The("Pillar 1"), Spoken.The("back", "Base"), Spoken.The("face", "Face 1"), Spoken.The("liner back", "Liner"), Spoken.The("strip", "Clear strip"), Spoken.The("panel behind", "Pillar 2")]);
        foreach (var (family, choices) in Support.Variants())
        {
            if (Support.Try(Support.Spec(family.Id, "5x7") with { Set = Support.Written(choices) }) is { } card)
            {
                foreach (var said in Steps.Of(card).Select(s => s.Say.Write(DisplayUnit.Inch)))
                {
                    Assert.True(char.IsUpper(said[0]) && said[^1] is '.', said);
                    Assert.DoesNotContain("the the", said, StringComparison.Ordinal);
                    Assert.DoesNotContain("  ", said, StringComparison.Ordinal);
                }
            }
        }
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Cards that begin with a bought blank, already cut and folded.</summary>
public class BlankTests
{
    private static readonly string[] Boards = ["imperial-eighths", "metric-5mm", "both", "machine"];

    private static IEnumerable<string> CanBegin => ConstructionLibrary.All.Where(f => Blank.In(f.For()) is not null).Select(f => f.Id);

    /// <summary>Whatever it measures, on a mark or not: its edges and its spine are where they are, each half comes out of it, and everything else can be set.</summary>
    [Theory]
    [InlineData("5x7in", "a6-us")]
    [InlineData("125.3x176.2mm", "5x7")]
    [InlineData("147.5x104.8mm", "a6-iso")]
    public void What_is_there_is_as_it_is_and_everything_else_follows(string blank, string home)
    {
        var made = 0;
        foreach (var (id, tools) in CanBegin.SelectMany(id => Boards.Select(t => (id, t))))
        {
            if (Support.Try(Support.Spec(id, home) with { Blank = blank, Tools = tools }) is not { Figures: { Blank: { } there } figures } card)
            {
                continue;
            }

            made++;
            var piece = card.Piece(there.Piece);
            var (half, across) = piece.Piece.Axis == Axis.X ? (there.Width, there.Height) : (there.Height, there.Width);
            Assert.Equal((there.Width, there.Height), card.Size);
            Assert.True(figures.Relaxation != Relaxation.RoundedFigures || tools == "both" || Support.Size(Support.Spec(id, blank) with { Tools = tools }).Relaxation == Relaxation.RoundedFigures, $"{id} with {tools}");
            Assert.Equal(across, piece.Across.Value);
            Assert.IsType<Setting.AsGiven>(piece.Across.Setting);
            var spine = piece.Scores[there.Spine].Figure;
            Assert.IsType<Setting.AsGiven>(spine.Setting);
            // Everything else is reckoned from the marks below it, and so lies in it.
            var reckoned = piece.Piece.Axis == Axis.X ? figures.Width : figures.Height;
            var slack = figures.Tools.System == UnitSystem.Imperial ? Length.In(1, 8) : Length.Mm(3);
            Assert.True(reckoned <= half && half - reckoned <= slack, id);
            Assert.True(spine.Value == half || piece.Along.Value - spine.Value == reckoned, $"{id} with {tools}: {spine.Value} of {piece.Along.Value}, half is {half}");

            // Uncut where it is whole, and on the trimmer's marks where it is trimmed.
            Assert.True(piece.Along.Value == 2 * half ? piece.Along.Setting is Setting.AsGiven : figures.Tools.Exact || figures.Tools.OnCutMark(piece.Along.Value), id);
            Assert.DoesNotContain(piece.Passes.SelectMany(p => p.Scores), i => i == there.Spine);
            Assert.Equal(piece.AllScores.Count(), piece.InOrder.Count());
            Assert.DoesNotContain(card.Checks, c => c.Id is "under-format" or "bond-apart" || c.Text.Write(DisplayUnit.Inch).StartsWith($"{piece.Piece.Name} is {LengthWriter.Write(piece.Width.Value, DisplayUnit.Inch)} ×", StringComparison.Ordinal));
            Assert.Contains(card.Checks, c => c.Id == "begun-with-blank");
            Assert.DoesNotContain(SheetCount.Of(figures) ?? [], s => s.Pieces.Contains(piece.Piece.Name));
            var first = Steps.Of(card)[0];
            Assert.StartsWith("Take the blank for", first.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
            Assert.Equal(piece.Along.Setting is Setting.AsGiven, first.Cautions.Count == 0);
        }

        Assert.True(made > 20, $"only {made}");
    }

    [Fact]
    public void It_is_for_its_home_only()
    {
        var spec = Support.Spec("plain-fold", "5x7") with { Blank = "4 7/8 x 6 7/8 in" };
        Assert.Equal(Support.In("9 3/4"), Support.Size(spec).Piece("base").Width.Value);
        var there = Support.Size(spec with { Target = "a2-us" });
        Assert.Equal(Support.In("8 1/2"), there.Piece("base").Width.Value);
        Assert.Null(there.Figures.Blank);
    }

    /// <summary>A blank comes out of no sheet, so none leads it.</summary>
    [Fact]
    public void It_stays_a_blank_where_the_whole_sheet_is_liked()
    {
        var spec = Support.Spec("front-step", "a2-us") with { Blank = "4.25x5.5in" };
        var (bare, whole) = (Support.Size(spec), Support.Size(spec with { Prefer = ["whole-sheet"] }));
        Assert.NotNull(whole.Figures.Blank);
        Assert.Equal(bare.Figures.All.Select(f => f.Value), whole.Figures.All.Select(f => f.Value));
    }

    [Fact]
    public void What_a_blank_cannot_become_is_refused_and_so_is_what_is_no_size()
    {
        foreach (var id in new[] { "gatefold", "winged-lock-gatefold", "tower-pinwheel", "double-swing" })
        {
            var refused = Assert.Throws<InputProblemException>(() => Support.Reader.Read(Support.Spec(id, "5x7") with { Blank = "5x7in" }));
            Assert.Equal("blank", refused.Field);
        }

        Assert.Throws<InputProblemException>(() => Support.Reader.Read(Support.Spec("plain-fold", "5x7") with { Blank = "large" }));

        // A locked tab that would need more than the other half.
        Assert.Null(Support.Try(Support.Spec("front-step", "a2-us") with { Blank = "4.25x5.5in", Lock = new Dictionary<string, string> { ["tab"] = "2 in", ["step"] = "2 1/4 in", ["rise"] = "1 in" } }));
    }
}

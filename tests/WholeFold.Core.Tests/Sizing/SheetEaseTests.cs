using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Designs that are told which sheets are there.</summary>
public class SheetEaseTests
{
    private static readonly string[][] There = [["a4"], ["letter"], ["12x12"], ["a5", "6x6"], ["half-letter", "8x8"], ["12x6"]];

    /// <summary>What gives way is what nobody set, and not further than nobody minds; the card stays as large as it is, and what comes out of its sheet without stays as it is.</summary>
    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void Only_what_just_misses_a_sheet_is_eased_and_only_within_comfort(string tools)
    {
        var eased = 0;
        foreach (var (spec, i) in Support.Grid(tools, "0.34mm").Where((_, i) => i % 5 == 0).Select((s, i) => (s, i)))
        {
            if (Support.Try(spec) is not { } before || Support.Try(spec with { Sheets = There[i % There.Length] }) is not { } after)
            {
                continue;
            }

            bool Comes(SizedPiece piece) => after.Design.Sheets.Any(s => s.Holds(piece.Width.Value, piece.Height.Value));
            var (was, now) = (before.Figures, after.Figures);
            Assert.Equal((was.Width, was.Height), (now.Width, now.Height));
            Assert.All(was.Pieces.Zip(now.Pieces), p => Assert.True(Comes(p.Second) || !Comes(p.First), spec.Named()));
            Assert.Equal(now.EasedPieces.Count > 0, was.Parameters.Zip(now.Parameters).Any(p => p.First.Value != p.Second.Value));
            Assert.Equal(now.EasedPieces.Count, after.Checks.Count(c => c.Id == "eased-to-sheet"));
            foreach (var piece in now.EasedPieces)
            {
                eased++;
                Assert.True(Comes(now.Pieces.Single(p => p.Piece.Id == piece.Piece.Id)), spec.Named());
                Assert.False(Comes(was.Pieces.Single(p => p.Piece.Id == piece.Piece.Id)), spec.Named());
                Assert.NotEmpty(piece.Moved);
            }

            // 15 % of the ideal, or half a groove: ⅛ in boards have 1/16, 5 mm boards 2.5 mm.
            var half = tools == "metric-5mm" ? Length.Mm(2.5m) : Length.In(1, 16);
            Assert.All(was.Parameters.Zip(now.Parameters).Where(p => p.First.Value != p.Second.Value), p =>
                Assert.True((p.Second.Value - p.Second.Ideal).Abs().Units <= Math.Max(half.Units, Math.Max((p.Second.Ideal.Units * 15 / 100) + 1, (p.First.Value - p.First.Ideal).Abs().Units)), $"{spec.Named()}: {p.Second.Parameter.Id}"));
        }

        Assert.True(eased >= 5, $"only {eased} pieces were eased");
    }

    [Fact]
    public void It_is_said_and_can_be_taken_back()
    {
        // 12 1/16 in long, with a rise, a step and a tab that may give way.
        var spec = Support.Spec("front-step", "a1-us") with { Format = "4 3/8 x 6 3/4 in", Sheets = ["12x12"] };
        var bare = Support.Size(spec with { Sheets = [] });
        Assert.True(bare.Piece("base").Height.Value > Length.In(12));
        var card = Support.Size(spec);
        Assert.True(card.Piece("base").Height.Value <= Length.In(12));
        var note = Assert.Single(card.Checks, c => c.Id == "eased-to-sheet");
        Assert.StartsWith($"The base was 4 3/8 × {LengthWriter.Write(bare.Piece("base").Height.Value, DisplayUnit.Inch)} and is now 4 3/8 × ", note.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        Assert.Equal(VerdictKind.Eased, card.Verdict.Kind);
        var back = new Prefer("not-eased").Apply(spec, Support.Reader);
        Assert.Equal(bare.Figures.All.Select(f => f.Value), Support.Size(back).Figures.All.Select(f => f.Value));
        Assert.Contains(Support.Size(back).Checks, c => c.Id == "sheet-too-small");

        // Whoever set them keeps them.
        var set = spec with { Set = bare.Figures.Parameters.ToDictionary(p => p.Parameter.Id,
            p => new WrittenFigure(LengthWriter.WithUnit(p.Value, DisplayUnit.Inch))).Append(new("boxes", "1")).ToDictionary() };
        Assert.Empty(Support.Size(set).Figures.EasedPieces);
    }

    /// <summary>A piece that is then led by its sheet does not outgrow it again, and what was eased is still said.</summary>
    [Fact]
    public void What_is_eased_stays_so_where_the_whole_sheet_is_used()
    {
        var spec = Support.Spec("front-step", "a1-us") with { Format = "4 3/8 x 6 3/4 in", Sheets = ["12x12"] };
        var card = Support.Size(spec with { Prefer = ["whole-sheet"] });
        Assert.True(card.Piece("base").Height.Value <= Length.In(12));
        var note = Assert.Single(card.Checks, c => c.Id == "eased-to-sheet");
        Assert.All(card.Figures.EasedPieces.SelectMany(e => e.Moved), m => Assert.Contains(
            $"the {m.Parameter.Name} from {LengthWriter.Write(m.Was, DisplayUnit.Inch)} to {LengthWriter.Write(card.Figures.Parameters.Single(p => p.Parameter.Id == m.Parameter.Id).Value, DisplayUnit.Inch)}", note.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal));
    }

    [Fact]
    public void An_unknown_sheet_is_refused_with_those_there_are()
    {
        var refused = Assert.Throws<InputProblemException>(() => Support.Reader.Read(Support.Spec("gatefold", "5x7") with { Sheets = ["foolscap"] }));
        Assert.Equal("sheets", refused.Field);
        Assert.Contains("letter", refused.Accepted, StringComparison.Ordinal);
    }

    /// <summary>Sheets that nobody reckons with unless they are said to be there change nothing.</summary>
    [Fact]
    public void Small_sheets_count_only_where_they_are_said_to_be_there()
    {
        var card = Support.Size(Support.Spec("plain-fold", "3x3"));
        Assert.Equal("letter", card.Design.SheetFor(Length.In(3), Length.In(3), UnitSystem.Imperial)!.Id);
        Assert.Equal("6x6", (card.Design with { Sheets = [card.Design.Inventory.Find<Sheet>("6x6")!, card.Design.Inventory.Find<Sheet>("letter")!] })
            .SheetFor(Length.In(3), Length.In(3), UnitSystem.Imperial)!.Id);
    }
}

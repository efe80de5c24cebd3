using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Lists;

public class ListCheckerTests
{
    private static IReadOnlyList<ListFinding> Check(string text) => ListChecker.Check(MeasureList.Read(text, DisplayUnit.Inch));

    [Theory]
    [InlineData("width 10\nscores 1/2, 2 1/2, 4 1/2, 5 1/2, 7 1/2, 9 1/2")]
    [InlineData("width 10\nscores 1/2; 2½; 4½; 5½; 7½; 9½\nscores cm 1.3, 6.4, 11.4, 14, 19.1, 24.1")]
    [InlineData("width 8\nscores 1, 7\npanels 1 | 6 | 1")]
    [InlineData("width 9 1/2\nscores 5")]
    [InlineData("width cm: 21\nheight cm: 14.8\nscores cm: 10.5")]
    [InlineData("width 10\nscores 1 1/2, 3, 7, 8 1/2")]
    [InlineData("width 11\nscores 2, 5, 6 1/2")]
    [InlineData("width 8\nscores 7, 1\nlayers 5 7/8 x 4 3/4\nmat 4\nticks 1, 2\ndie 3 1/4")]
    [InlineData("width 8\nscores cm 2.5, 17.8\npanels 1 | 6 | 1")]
    public void A_list_that_holds_together_is_left_alone(string list) => Assert.Empty(Check(list));

    [Theory]
    [InlineData("width 10\nscores 1/2, 2 1/2, 4 3/8, 5 1/2, 7 1/2, 9 1/2", "slip", 3, "4 1/2")]
    [InlineData("width 10\nscores 1/2, 2 1/2, 4 1/2, 5 1/2, 7 3/4, 9 1/2", "slip", 5, "7 1/2")]
    [InlineData("width 8\nwidth 9", "twice", 1, "8")]
    [InlineData("width cm 20\nwidth mm 210", "systems", 1, "7 7/8 scant")]
    [InlineData("width 10\nscores 5, 10 1/2", "beyond", 2, null)]
    [InlineData("width 8\npanels 1 | 6 1/8 | 1", "sum", 2, "6")]
    [InlineData("width 9\npanels 2 | 2 | 2 1/4 | 2 | 1", "sum", 3, "2")]
    [InlineData("width 8\nscores 1, 6\npanels 1 | 6 | 1", "positions", 2, "7")]
    [InlineData("scores 2 7/16, 7 7/16\nscores cm 6.2, 18.4", "systems", 2, "7 7/16")]
    [InlineData("width 5\nwidth mm 130", "systems", 1, "5")]
    public void What_contradicts_the_rest_is_found_with_what_would_be_right(string list, string id, int place, string? likely)
    {
        var finding = Assert.Single(Check(list), f => f.Id == id);
        Assert.Equal(place, finding.Place);
        Assert.Equal(likely, finding.Likely.Count == 0 ? null : LengthWriter.Write(finding.Likely[0].Value, DisplayUnit.Inch));
        Assert.NotEmpty(finding.Text.Write(DisplayUnit.Inch));
    }

    [Fact]
    public void A_gatefold_with_unequal_doors_could_be_mended_at_either_and_the_other_system_tells_which()
    {
        var either = Assert.Single(Check("width 9 7/8\nscores 2 3/8, 7 7/16"));
        Assert.Null(either.Place);
        Assert.Equal(["2 7/16", "7 1/2"], either.Likely.Select(l => LengthWriter.Write(l.Value, DisplayUnit.Inch)));
        var findings = Check("width 9 7/8\nscores 2 3/8, 7 7/16\nscores cm 6.2, 18.9");
        Assert.Equal(1, Assert.Single(findings, f => f.Id == "slip").Place);
        Assert.Contains(findings, f => f.Id == "systems");
    }

    /// <summary>Lists of real cards, each with one score moved: the slip is found, and the true figure is among the likely ones.</summary>
    [Fact]
    public void A_slip_in_a_real_cards_list_is_found()
    {
        var random = new Random(77);
        var found = 0;
        foreach (var spec in Support.Grid("imperial-eighths").Where(s => s.Construction == "winged-lock-gatefold"))
        {
            var sized = Support.Size(spec);
            var (scores, width) = (sized.Scores("base").ToList(), sized.Piece("base").Width.Value);
            string List(IEnumerable<Length> figures) => $"width {width} \nscores mm {string.Join("; ", figures)}".Replace(" mm ", "mm ", StringComparison.Ordinal);
            Assert.Empty(Check(List(scores)));
            var slipped = random.Next(scores.Count);
            var by = (random.Next(2) == 0 ? 1 : -1) * Length.In(random.Next(1, 4), 16);
            var finding = Assert.Single(Check(List(scores.Select((s, i) => i == slipped ? s + by : s))), f => f.Id == "slip");
            Assert.Contains(finding.Likely, l => l.Value == scores[slipped]);
            found++;
        }

        Assert.True(found > 20);
    }

    [Theory]
    [InlineData("", "list.empty", "list")]
    [InlineData("10 x 5", "list.line", "line 1")]
    [InlineData("width 10\nscores 1/2, five", "list.figure", "line 2")]
    [InlineData("width 10, 11", "list.many", "line 1")]
    public void What_is_no_list_is_refused_with_the_line(string text, string code, string place)
    {
        var problem = Assert.Throws<InputProblemException>(() => Check(text));
        Assert.Equal((code, place), (problem.Code, problem.Field));
        Assert.Contains("scores", problem.Accepted, StringComparison.Ordinal);
    }

    [Fact]
    public void An_unknown_line_is_skipped_and_named_and_the_rest_is_looked_through()
    {
        var findings = Check("width 8\nribbon 24 of the blue one\npanels 1 | 6 1/8 | 1");
        Assert.Equal(["sum", "skipped"], findings.Select(f => f.Id));
        Assert.Equal(2, findings[1].Line);
        Assert.Contains("ribbon", findings[1].Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    [Fact]
    public void Scores_and_panels_of_unequal_number_contradict_each_other() => Assert.Equal("count", Assert.Single(Check("scores 1, 2, 3\npanels 1 | 1 | 1")).Id);

    [Fact]
    public void The_real_difference_comes_before_what_is_only_rounded()
    {
        var findings = Check("scores 2 7/16, 7 7/16\nscores cm 6.1, 18.4");
        Assert.Equal(["systems", "rounding"], findings.Select(f => f.Id));
        Assert.Equal(2, findings[0].Place);
    }

    /// <summary>Every construction's own list is left alone, and with one score moved that one is found, or one of those that it could be.</summary>
    [Theory]
    [InlineData("imperial-eighths", "5x7")]
    [InlineData("metric-5mm", "a5")]
    public void A_figure_that_contradicts_a_constructions_rules_is_found(string tools, string format)
    {
        var (found, clean) = (0, 0);
        foreach (var (family, choices) in Support.Variants())
        {
            var spec = new DesignSpec { Construction = family.Id, Format = format, Tools = tools, Set = Support.Written(choices) };
            if (Support.Try(spec) is not { } card || card.Pieces.FirstOrDefault(p => p.Scores.Count >= 3) is not { } piece || card.Pieces.First(p => p.Scores.Count == piece.Scores.Count) != piece)
            {
                continue;
            }

            string List(int? moved) => $"width mm {piece.Along.Value.Millimetres}\nscores mm {string.Join("; ", piece.Scores.Select((s, i) => (s.Figure.Value + (i == moved ? Length.Mm(3) : Length.Zero)).Millimetres))}";
            IReadOnlyList<ListFinding> Rules(int? moved) => RuleChecker.Check(MeasureList.Read(List(moved), DisplayUnit.Millimetre), spec, Support.Reader);
            Assert.True(Rules(null).Count == 0, $"{spec.Named()}: {List(null)}");
            clean++;
            var finding = Rules(1);
            found += finding.Count > 0 && finding[0].Likely.Any(l => (l.Value - piece.Scores[1].Figure.Value).Abs() <= Length.Mm(1.2m)) ? 1 : 0;
        }

        Assert.True(clean > 15 && found > clean / 2, $"{found} of {clean}");
    }
}

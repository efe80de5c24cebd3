using System.Globalization;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>Lines as people write them: several pieces in one, scores both ways, the same again, halves, headings, two systems side by side; and what size it all is for.</summary>
public class OwnLinesTests
{
    private static string Inches(Length l) => ((double)l.Units / Length.PerInch).ToString("0.###", CultureInfo.InvariantCulture);

    private static string Told(OwnPiece p) =>
        $"{(p.Quantity > 1 ? $"{p.Quantity} " : "")}{p.Name} {Inches(p.First)}x{Inches(p.Second)}{(p.Scores.Count > 0 ? $" [{string.Join(' ', p.Scores.Select(Inches))}]" : "")}{(p.Cross.Count > 0 ? $" across [{string.Join(' ', p.Cross.Select(Inches))}]" : "")}{(p.Kind is OwnKind.Piece ? "" : $" ({p.Kind.ToString().ToLowerInvariant()})")}";

    public static TheoryData<string, string> Written => new()
    {
        { "mats: 4 x 5; 3 x 5 (2)", "mats 4x5 (paper) | 2 mats 3x5 (paper)" },
        { "papers 4 x 5 1/4, 4 x 1 3/4", "papers 4x5.25 (paper) | papers 4x1.75 (paper)" },
        { "tiers 6 x 3 and 6 x 4, score 1/2 from both ends", "tiers 6x3 [0.5 5.5] | tiers 6x4 [0.5 5.5]" },
        { "rear 6 x 4, score at 1/2, 5 1/2\nfront 6 x 3, same again", "rear 6x4 [0.5 5.5] | front 6x3 [0.5 5.5]" },
        { "rear 6 x 4, score at 1/2, 5 1/2\nfront 6 x 3: score as the rear", "rear 6x4 [0.5 5.5] | front 6x3 [0.5 5.5]" },
        { "tray 6 x 5 score 1 from all four sides", "tray 6x5 [1 5] across [1 4]" },
        { "pocket 8 1/2 x 7 1/2; score at 4 1/4 and along the 7 1/2 side at 2", "pocket 8.5x7.5 [4.25] across [2]" },
        { "carrier 3 1/2 x 7 1/2, score at 1 3/4 lengthwise and across the middle", "carrier 3.5x7.5 [1.75] across [3.75]" },
        { "base 10 x 5\n2 1/2, 7 1/2", "base 10x5 [2.5 7.5]" },
        { "base 10 x 5\nScores: 2 1/2 / 7 1/2\ncut away the corners", "base 10x5 [2.5 7.5]" },
        { "base 9 3/4 x 7, scored at 4 3/4 (so the front is 1/4 short)", "base 9.75x7 [4.75]" },
        { "piece 6 x 6, score at 1 1/2 and 4 1/2, cut in half at 3", "piece 1 6x6 [1.5 4.5]" },
        { "tower 7 x 4, score every inch for four inches", "tower 7x4 [1 2 3 4]" },
        { "tube 7 x 4, score every 1 in, 3 times", "tube 7x4 [1 2 3]" },
        { "base 10 x 5 in (25.4 x 12.7 cm), score at 5 in (12.7 cm)", "base 10x5 [5]" },
        { "pillars: two 4 wide x 7 tall and three 4 x 5", "2 pillars 4x7 | 3 pillars 4x5" },
        { "paper for a door 2 x 4", "paper door 2x4 (paper)" },
        { "for a 5 x 7 card\nbase 10 x 7", "card 5x7 (finished) | base 10x7" },
        { "tier one 7 x 3\ntier two 7 x 4", "tier one 7x3 | tier two 7x4" },
        { "2 circles 2 1/4 x 2 1/4 for the spinner", "2 circles 2.25x2.25" },
        { "liner 4 1/2 x 13, fold in half", "liner 4.5x13 [6.5]" },
        { "inside liner 5 1/4 x 4", "inside liner 5.25x4 (paper)" },
        { "fin 3 1/2 x 5, three of them", "3 fin 3.5x5" },
        { "Night card\nYou need:\nbase 10 x 5", "base 10x5" },
    };

    [Theory]
    [MemberData(nameof(Written))]
    public void A_list_is_read_clause_by_clause(string text, string told)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(told, string.Join(" | ", list.Pieces.Select(Told)));
        Assert.Empty(list.Left);
    }

    [Theory]
    [InlineData("A4 sheet cut in half\nscore at 105", "mm", "5.846x")]
    [InlineData("base 280 x 140, score at 70, 210", null, "11.024x5.512")]
    [InlineData("base 29,6 x 10,5 score 14,8", null, "11.654x4.134")]
    [InlineData("base 10 1/2 x 5", null, "10.5x5")]
    [InlineData("base 10 x 5", null, "10x5")]
    [InlineData("all in cm\nbase 10 x 5", null, "3.937x1.969")]
    public void Units_are_named_once_or_told_by_the_figures(string text, string? unit, string size)
    {
        var piece = OwnListReader.Read(text, unit is null ? null : UnitReader.Read(unit, "unit")).Pieces[0];
        Assert.Contains(size, $"{Inches(piece.First)}x{Inches(piece.Second)}x", StringComparison.Ordinal);
    }

    [Fact]
    public void A_title_and_figures_with_names_are_kept()
    {
        var list = OwnListReader.Read("Signal flags\nbase 11 x 4 1/4, score at 5 1/2\nrails 7/8 in\nsticks 1 1/4 from the fore-edges", DisplayUnit.Inch);
        Assert.Equal("Signal flags", list.Title);
        Assert.Equal([(3, "rails", Support.In("7/8")), (4, "sticks from the fore-edges", Support.In("1 1/4"))], list.Named.Select(n => (n.Line, n.Name, n.Value)));
        Assert.Empty(list.Left);
    }

    /// <summary>A card is as high as its main piece is across its scores, as wide as some panels side by side, and everything else fits on it.</summary>
    [Theory]
    [InlineData("base 8 1/2 x 5 1/2, score at 4 1/4", "4.25x5.5")]
    [InlineData("base 11 x 4 1/4 score at 2 3/4 and 5 1/2", "5.5x4.25")]
    [InlineData("Base: 11 x 5 1/2 score at 1 1/2, 3, 8, 9 1/2\nBridge: 8 x 2", "8x5.5")]
    [InlineData("background 7 x 5 1/2, score 1 from each end\ntiers 6 x 3 1/4 and 6 x 4 1/4, score 1/2 from both ends", "6x5.5")]
    [InlineData("pocket sheet 8 1/2 x 7 1/2; score at 4 1/4 and along the 7 1/2 side at 2", "4.25x5.5")]
    [InlineData("Finished 6 x 6\nbase 12 x 6, score at 6", "6x6")]
    [InlineData("tag 1 x 1\nbead 1/2 x 1/2", "2x2")]
    public void The_finished_size_follows_from_folding(string text, string size)
    {
        var guess = RuleGuess.Of(OwnListReader.Read(text, DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        Assert.Equal(size, $"{Inches(guess.Width)}x{Inches(guess.Height)}");
    }

    [Fact]
    public void Rules_are_said_as_people_think_them_and_one_that_is_corrected_is_sure()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 12 x 4 1/4, score at 4 and 8\nfront panel 4 x 3 3/4\nbead 1 1/8 x 1 1/8\nfinished 4 x 4 1/4", DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        string Rule(string piece, string figure) => guess.Figures.First(f => f.Piece.Name == piece && f.Figure == figure).Rule.Words.Write(DisplayUnit.Inch);
        Assert.Equal("three times the width", Rule("base", "width"));
        Assert.Equal("the height", Rule("base", "height"));
        Assert.StartsWith("its panel less 1/8", Rule("front panel", "width"), StringComparison.Ordinal);
        Assert.Equal("always 1 1/8", Rule("bead", "width"));
        Assert.All(guess.Figures, f => Assert.InRange(f.Sure, 0, 1));
        var figure = guess.Figures.First(f => f.Next.Count > 0);
        var corrected = guess.Corrected(new Dictionary<string, int> { [RuleGuess.KeyOf(figure)] = 1 }).Figures.First(f => RuleGuess.KeyOf(f) == RuleGuess.KeyOf(figure));
        Assert.Equal((1.0, figure.Next[0].Rule), (corrected.Sure, corrected.Rule));
        Assert.Equal(figure.Rule, corrected.Next[0].Rule);
        Assert.Equal(guess.Figures, guess.Corrected(new Dictionary<string, int> { ["9.nothing.width"] = 1, [RuleGuess.KeyOf(figure)] = 99 }).Figures);
    }
}

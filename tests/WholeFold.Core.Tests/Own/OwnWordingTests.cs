using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;
using static WholeFold.Core.Tests.Own.OwnLinesTests;

namespace WholeFold.Core.Tests.Own;

/// <summary>What is said of pieces in words: how many there are, panels alike, halves, what a sheet is made for, and what of a line is told as not understood.</summary>
public class OwnWordingTests
{
    /// <summary>How many there are may stand behind the scores, and what is slit is no score of the piece before.</summary>
    [Theory]
    [InlineData("pocket 3 1/2 x 3 1/2, score at 1 3/4 (2)", 2, "1.75")]
    [InlineData("pocket 3 1/2 x 3 1/2, score at 1 3/4, x2", 2, "1.75")]
    [InlineData("pocket 3 1/2 x 3 1/2, score at 1 3/4 and 2 (3 of them)", 3, "1.75 2")]
    [InlineData("slide 3 1/2 x 6\nslit along the centre score, 1/4 in from each side", 1, "")]
    [InlineData("slide 3 1/2 x 6\nfold at 3", 1, "3")]
    public void A_count_is_no_score_and_neither_is_a_slit(string text, int count, string scores)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        var piece = Assert.Single(list.Pieces);
        Assert.Equal((count, scores), (piece.Quantity, string.Join(' ', piece.Scores.Select(Inches))));
        Assert.Empty(list.Left);
    }

    /// <summary>Pieces of one line with one name are told apart, so that what is said of one is not said of the other.</summary>
    [Fact]
    public void Pieces_of_one_line_are_told_apart()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 8 1/2 x 5 1/2, score at 4 1/4\nmats 4 x 5 1/4, 3 x 4", DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        Assert.Equal(guess.Figures.Count, guess.Figures.Select(RuleGuess.KeyOf).Distinct().Count());
        Assert.Equal(["mats 1", "mats 2"], guess.Figures.Select(f => f.Piece.Name).Where(n => n.StartsWith("mats", StringComparison.Ordinal)).Distinct());
    }

    /// <summary>Figures that nothing reads are told, and what can be read of their line is.</summary>
    [Theory]
    [InlineData("base 10 x 5, bend 2 1/2, 7 1/2")]
    [InlineData("base 10 x 5, 2 1/2 / 7 1/2 in the jig")]
    [InlineData("base 10 x 5, score 12 and 14")]
    [InlineData("base 10 x 5, score as usual")]
    [InlineData("base 10 x 5, bent (2 1/2)")]
    [InlineData("base 10 x 5 long way 3, across 2, glued")]
    [InlineData("base 10 x 5, score both diagonals, and 12 1/2")]
    [InlineData("base 10 x 5, scored all over")]
    [InlineData("base 10 x 5, scored on two sides")]
    public void Figures_that_were_not_read_are_told(string line)
    {
        var list = OwnListReader.Read(line, DisplayUnit.Inch);
        Assert.Equal("base", Assert.Single(list.Pieces).Name);
        Assert.Contains("“score at”", Assert.Single(list.Left).Would, StringComparison.Ordinal);
    }

    /// <summary>How often, after the name; and names in other letters than plain ones.</summary>
    [Theory]
    [InlineData("frames x3: 8 x 6", "frames", 3)]
    [InlineData("mats x 4 = 3 x 4", "mats", 4)]
    [InlineData("panel 4 x 5, 2x", "panel", 2)]
    [InlineData("(2) designer paper 1 7/8 x 5 1/4", "designer paper", 2)]
    [InlineData("2) designer paper 1 7/8 x 5 1/4", "designer paper", 1)]
    [InlineData("Karte 297 x 148 mm, bei 148,5 falzen", "karte", 1)]
    [InlineData("Rückwand 6 x 6", "rückwand", 1)]
    [InlineData("boîte 6 x 3", "boîte", 1)]
    public void How_often_stands_behind_the_name_too(string line, string name, int count)
    {
        var piece = Assert.Single(OwnListReader.Read(line, DisplayUnit.Inch).Pieces);
        Assert.Equal((name, count), (piece.Name, piece.Quantity));
    }

    /// <summary>Panels alike, by how many there are; where figures stand beside, those hold, and a quarter of an inch is none.</summary>
    [Theory]
    [InlineData("strip 12 x 3, score into 4 equal panels", "3 6 9")]
    [InlineData("strip 12 x 3, scored into four equal sections", "3 6 9")]
    [InlineData("strip 12 x 3 scored in quarters", "3 6 9")]
    [InlineData("strip 12 x 3, divided into 6 equal parts", "2 4 6 8 10")]
    [InlineData("base 9 x 5 folded in thirds", "3 6")]
    [InlineData("strip 12 x 3, score every quarter of its length", "3 6 9")]
    [InlineData("strip 12 x 3, folded in half, then in half again", "3 6 9")]
    [InlineData("strip 12 x 3, folded in half and each half folded in half again", "3 6 9")]
    [InlineData("strip 12 x 3, fold into quarters (2 7/8, 5 3/4, 8 5/8)", "2.875 5.75 8.625")]
    [InlineData("strip 1 x 3, score every quarter of an inch to 3/4 inch along the 1 side", "0.25 0.5 0.75")]
    public void Panels_alike_are_scored_by_their_number(string line, string scores)
    {
        var list = OwnListReader.Read(line, DisplayUnit.Inch);
        Assert.Equal(scores, string.Join(' ', Assert.Single(list.Pieces).Scores.Select(Inches)));
        Assert.Empty(list.Left);
    }

    /// <summary>What is cut in two is its halves, where they are scored then; of a sheet that is scored before, it is only done.</summary>
    [Theory]
    [InlineData("Cut two 6 x 6. Cut each in half to 3 x 6. Score all four at 1 1/2 and 4 1/2.", "piece 1 3 x 6 x4: 1.5 4.5")]
    [InlineData("2 squares 4 x 4\nslice them into halves of 2 x 4, score at 1 and 3", "squares 2 x 4 x4: 1 3")]
    [InlineData("squares 6 x 6 (2), score at 1 1/2, 4 1/2\nThen cut both in half to 3 x 6", "squares 6 x 6 x2: 1.5 4.5")]
    [InlineData("sheet 8 x 8\ncut the strip 2 x 8", "sheet 8 x 8 x1:  / strip 2 x 8 x1: ")]
    [InlineData("Two 12x6s. #1 score 6. #2 score 3, 6, 9.", "piece 1 12 x 6 x1: 6 / other piece 1 12 x 6 x1: 3 6 9")]
    [InlineData("2 12 x 6 pieces. No. 1: score at 6. No. 2: score at 3, 6 and 9", "piece 1 12 x 6 x1: 6 / other piece 1 12 x 6 x1: 3 6 9")]
    public void Halves_and_the_first_and_second_of_two_are_told_apart(string text, string pieces)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(pieces, string.Join(" / ", list.Pieces.Select(p => $"{p.Name} {Inches(p.First)} x {Inches(p.Second)} x{p.Quantity}: {string.Join(' ', p.Scores.Select(Inches))}")));
        Assert.Empty(list.Left);
    }

    /// <summary>What a sheet is made for is the card; what it holds besides is scored no more than it is.</summary>
    [Theory]
    [InlineData("Envelope: 9 1/2 square for a 5x7 card", "envelope 9.5 x 9.5", "5 x 7")]
    [InlineData("8 1/2 square envelope to fit a 5 x 6 3/4 card, first score at 3 1/2", "envelope 8.5 x 8.5: 3.5", "5 x 6.75")]
    [InlineData("9 1/2 in square envelope sheet for 5 x 7, first score 4 in", "envelope sheet 9.5 x 9.5: 4", "5 x 7")]
    [InlineData("base 8 1/2 x 5 1/2 for a 4 1/4 x 5 1/2 card, score at 4 1/4", "base 8.5 x 5.5: 4.25", "4.25 x 5.5")]
    [InlineData("pocket 3 x 4 1/2 for a 2 1/8 x 3 3/8 gift card, score at 1/2", "pocket 1 3 x 4.5: 0.5 / pocket 2 2.125 x 3.375", "")]
    public void What_it_is_made_for_is_the_card(string line, string pieces, string finished)
    {
        var list = OwnListReader.Read(line, DisplayUnit.Inch);
        Assert.Equal(pieces, string.Join(" / ", list.Cards.Select(p => $"{p.Name} {Inches(p.First)} x {Inches(p.Second)}{(p.Scores.Count > 0 ? ": " : "")}{string.Join(' ', p.Scores.Select(Inches))}")));
        Assert.Equal(finished, list.Finished is { } card ? $"{Inches(card.First)} x {Inches(card.Second)}" : "");
        Assert.Empty(list.Left);
    }

    /// <summary>Whole figures that rise are figures of their own, though no blank stands behind a comma; others may be decimals.</summary>
    [Theory]
    [InlineData("strip 12 x 4 in; scores at 1,3,4,6,8,9,11", "1 3 4 6 8 9 11")]
    [InlineData("card 9 x 5 in, score 2,3,6,7", "2 3 6 7")]
    [InlineData("strip 30 x 10 cm, score 5,10,15", "1.969 3.937 5.906")]
    [InlineData("strip 30 x 10 cm, score 2,5 5,0 7,5", "0.984 1.969 2.953")]
    public void Whole_figures_may_stand_close(string line, string scores) =>
        Assert.Equal(scores, string.Join(' ', Assert.Single(OwnListReader.Read(line, null).Pieces).Scores.Select(Inches)));

    /// <summary>Scores in words, and marks; which side stands first; what a card was folded from; what is said of each of several.</summary>
    [Theory]
    [InlineData("body nine inches by six, with scores at one and a half, three, six, and seven and a half", "body: 1.5 3 6 7.5")]
    [InlineData("card 10 x 5. Score marks 2 1/2 / 7 1/2", "card: 2.5 7.5")]
    [InlineData("panel 4 1/4 x 10\non the 10 inch side: 5 1/2, 6 1/2, 8 1/2, 9 1/2", "panel: 5.5 6.5 8.5 9.5")]
    [InlineData("outside folded from 8 1/2 x 5 1/2", "outside: 4.25")]
    [InlineData("base 5 x 12. from the left: 5, then 1/2 four times, then 5", "base: 5 5.5 6 6.5 7")]
    [InlineData("strip 12 x 3, panels 2, 1 three times, 7", "strip: 2 3 4 5")]
    [InlineData("strip 12 x 3, score every 1 1/2, 3 times", "strip: 1.5 3 4.5")]
    [InlineData("strip 12 x 3, score every 2 in, 5 times", "strip: 2 4 6 8 10")]
    [InlineData("1. Cut a 5 1/2\" x 6 1/2\" front. Score the 6 1/2\" side at 1/2\" and 6\". Cut a 4 1/2 x 4 1/2 opening in the middle.", "front: 0.5 6")]
    [InlineData("For a 5x7 gate card I cut 9 7/8 by 7 then score 2 7/16 from each short end.", "gate: 2.438 7.438")]
    [InlineData("left 5 x 3; right 5 x 4; each with 1/2 tabs scored at both ends", "left: 0.5 4.5 / right: 0.5 4.5")]
    [InlineData("base 8 x 5, score 1 and 7\ntier one 7 x 3\ntier two 7 x 4\neach scored 1/2 in from both ends", "base: 1 7 / tier one: 0.5 6.5 / tier two: 0.5 6.5")]
    public void Words_marks_and_what_is_said_of_each_are_scores(string text, string pieces)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(pieces, string.Join(" / ", list.Cards.Select(p => $"{(p.Name == "piece 1" ? "card" : p.Name)}: {string.Join(' ', p.Scores.Select(Inches))}")));
        Assert.Empty(list.Left);
    }

    /// <summary>A fold at figures that a piece has nowhere is told, or kept with its name, and never dropped.</summary>
    [Theory]
    [InlineData("base 10 x 7, score 5\nfold the pocket 3", 1)]
    [InlineData("base 10 x 7, score 5\nfold at 5 and burnish", 0)]
    [InlineData("base 10 x 7, score 5\nfold to 5 x 7", 0)]
    [InlineData("base 10 x 7, score 5\nfold it 180 degrees", 0)]
    public void A_fold_that_is_not_understood_is_told(string text, int told)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(told, list.Left.Count + list.Named.Count);
    }

    [Theory]
    [InlineData("base 10 x 5")]
    [InlineData("tag 3 1/2 x 1 1/2, 300 gsm, for the front")]
    [InlineData("base 10 x 5 (2)")]
    [InlineData("band 1 x 12, cut slits 1/2, 3/4 deep")]
    public void What_is_no_figure_of_it_is_not_told(string line) => Assert.Empty(OwnListReader.Read(line, DisplayUnit.Inch).Left);
}

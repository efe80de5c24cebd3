using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>What a list says beside its figures, and what its pieces may be named by: the card's name, the format that it is for, halves, what runs across.</summary>
public class OwnSayingsTests
{
    private static IReadOnlyList<Recognised> Find(string text) => OwnListTests.Recogniser.Find(OwnListReader.Read(text, DisplayUnit.Inch), TestContext.Current.CancellationToken);

    /// <summary>Of constructions that explain a list alike the one goes first that its maker calls it by, in one word or in two; a name alone makes no card.</summary>
    [Theory]
    [InlineData("", "gatefold")]
    [InlineData("Sleeve gatefold\n", "sleeve-gatefold")]
    [InlineData("Sleeve gate fold card\n", "sleeve-gatefold")]
    [InlineData("Gate fold\n", "gatefold")]
    public void What_its_maker_calls_a_card_counts(string title, string construction)
    {
        var found = Find($"{title}outside 9 7/8 x 5, score at 2 7/16, 7 7/16\nsquare 3 1/4 x 3 1/4");
        Assert.Equal(construction, found[0].Family.Id);
        Assert.DoesNotContain(Find($"{title}sheet 9 x 5, score at 1, 2 1/2, 5, 8 1/4\nother 8 x 3, score at 2"), f => f.Sure);
    }

    /// <summary>A sheet that is cut in two may be listed as its halves, together or apart; each is half as wide in every format, and a strip that is cut otherwise is none.</summary>
    [Theory]
    [InlineData("4 strips 3 x 6, score each at 1 1/2 and 4 1/2", "never-ending")]
    [InlineData("over: 2 pieces 3 x 6, score at 1 1/2 and 4 1/2\nunder: 2 pieces 6 x 3, score at 1 1/2, 4 1/2\npapers 2 3/4 x 2 3/4 (8)", "never-ending")]
    [InlineData("4 strips 2 x 6, score each at 1 and 5", null)]
    public void Halves_of_a_sheet_are_that_sheet(string text, string? construction)
    {
        var own = OwnDesign.Of(text, DisplayUnit.Inch, Support.Reader, OwnListTests.Recogniser, "5x7");
        Assert.Equal(construction, own.Recognised?.Family.Id);
        if (construction is not null)
        {
            // In 5 x 7 one pair is 2 1/2 wide and the other 3 1/2, and each row says which it is of.
            var now = own.Figures.Where(f => f.Line <= own.List.Cards.Count()).ToDictionary(f => $"{f.Line} {f.Called} {f.Figure}", f => f.Now!.Value);
            Assert.Contains(Support.In("2 1/2"), now.Values);
            Assert.Contains(Support.In("3 1/2"), now.Values);
            Assert.Equal("a never-ending card", own.Recognised!.Called);
            Assert.DoesNotContain(own.Contradictions, c => c.Line <= own.List.Pieces.Count);
        }
    }

    /// <summary>A piece that is named by the creases across its chain only is as long as it is that way in every format.</summary>
    [Fact]
    public void A_piece_named_by_what_runs_across_it_keeps_its_sides()
    {
        var own = OwnDesign.Of("base 12 x 6, score 6\ncarrier 3 1/2 x 7 1/2, score along the 3 1/2 side at 1 3/4, both diagonals through the middle\nconcertina 11 x 3 3/4, score at 2 3/4, 5 1/2, 8 1/4", DisplayUnit.Inch, Support.Reader, OwnListTests.Recogniser, "6x6");
        Assert.Equal("twist-pop", own.Recognised?.Family.Id);
        Assert.All(own.Figures, f => Assert.Equal(f.Value, f.Now));
    }

    /// <summary>A format that a list says it is for is taken where its figures go with it; where they do not, that is told.</summary>
    [Theory]
    [InlineData("envelope 8 x 8, first score at 3 9/16, for A2", "4 1/4 x 5 1/2", false)]
    [InlineData("envelope for A2: 7 1/4 x 7 1/4, first score at 3 1/2", null, true)]
    [InlineData("Envelope: 9 1/2 square for a 5x7 card", "5 x 7", false)]
    public void A_list_says_what_it_is_for(string text, string? size, bool told)
    {
        var own = OwnDesign.Of(text, DisplayUnit.Inch, Support.Reader, OwnListTests.Recogniser);
        Assert.Equal("envelope", own.Recognised?.Family.Id);
        Assert.Equal(told, own.Contradictions.Any(c => c.Text.Write(DisplayUnit.Inch).StartsWith("It is said to be for A2", StringComparison.Ordinal)));
        if (size is not null)
        {
            Assert.Equal(size, string.Join(" x ", new[] { own.Recognised!.Width, own.Recognised.Height }.Order().Select(l => LengthWriter.Write(l, DisplayUnit.Inch))));
        }
    }

    /// <summary>What is scored both ways is the same whichever way is named first, each score under the number that it is listed by.</summary>
    [Fact]
    public void Which_of_two_ways_is_named_first_does_not_matter()
    {
        OwnDesign Of(string carrier, string? format) => OwnDesign.Of($"base 12 x 6, score 6\ncarrier {carrier}, both diagonals through the middle\nconcertina 11 x 3 3/4, score at 2 3/4, 5 1/2, 8 1/4", DisplayUnit.Inch, Support.Reader, OwnListTests.Recogniser, format);
        const string Along = "7 1/2 x 3 1/2, score along the 7 1/2 side at 3 3/4, along the 3 1/2 side at 1 3/4", Across = "7 1/2 x 3 1/2, score along the 3 1/2 side at 1 3/4, along the 7 1/2 side at 3 3/4";
        Length Score(OwnDesign of, int n) => Assert.Single(of.Figures, f => f.Name == "carrier" && f.Figure == $"score {n}").Now!.Value;
        Assert.All([Of(Along, "6x6"), Of(Across, "6x6")], own => Assert.All(own.Figures, f => Assert.Equal(f.Value, f.Now)));
        var (one, other) = (Of(Along, "5x7"), Of(Across, "5x7"));
        Assert.Equal(("twist-pop", "twist-pop"), (one.Recognised?.Family.Id, other.Recognised?.Family.Id));
        Assert.Equal((Score(one, 1), Score(one, 2)), (Score(other, 2), Score(other, 1)));
    }

    /// <summary>So far from each end of one side is so far from each end of the other: whoever turns a piece finds it there.</summary>
    [Fact]
    public void What_is_so_far_from_both_ends_is_so_along_the_other_side_too()
    {
        var piece = Assert.Single(OwnListReader.Read("lid 6 x 8, score 1 (mountain) from each side", DisplayUnit.Inch).Pieces);
        Assert.True(piece.FromEnds);
        var turned = Assert.IsType<OwnPiece>(piece.Turned);
        Assert.Equal([Support.In("1"), Support.In("5")], piece.Scores);
        Assert.Equal([Support.In("1"), Support.In("7")], turned.Scores);
        Assert.Equal(turned.Scores.Order(), turned.Folds.Keys.Order());
        Assert.Equal(piece.Scores, turned.Turned!.Scores);
        Assert.Null(Assert.Single(OwnListReader.Read("strip 6 x 3, score 2 from each side", DisplayUnit.Inch).Pieces).Turned);
    }

    /// <summary>What is folded from corner to corner only is no plain mat, and leaves doubt where no construction has it.</summary>
    [Fact]
    public void A_piece_with_diagonals_alone_is_left_over()
    {
        const string Base = "base 8 1/2 x 4 1/4, fold at 4 1/4";
        Assert.True(Find(Base)[0].Sure);
        Assert.False(Find($"flower 4 x 4, valley fold each diagonal\n{Base}")[0].Sure);
        Assert.True(Find($"flower 4 x 4\n{Base}")[0].Sure);
    }

    /// <summary>A piece that is cut three times is not the one that a card has once.</summary>
    [Fact]
    public void How_often_a_piece_is_cut_tells_constructions_apart() =>
        Assert.Equal(("tower-pinwheel", true), Find("core 7 1/2 x 5, score at 1, 2, 3, 4\nwings 3 1/2 x 5 (3)") is [var first, ..] ? (first.Family.Id, first.Sure) : default);

    /// <summary>The card's name tells what a square without a name of its own is.</summary>
    [Theory]
    [InlineData("Envelope for 5 x 7 card\nSheet 9 1/2 x 9 1/2, score at 5 7/16", "envelope")]
    [InlineData("Card 5 x 7\nSheet 9 1/2 x 9 1/2, score at 5 7/16", null)]
    public void A_title_names_the_piece(string text, string? construction) => Assert.Equal(construction, Find(text) is [{ Sure: true } first, ..] ? first.Family.Id : null);

    /// <summary>Scores with a line each stand in the piece before them, under its line.</summary>
    [Fact]
    public void Scores_may_have_a_line_each()
    {
        var list = OwnListReader.Read("base 12 x 5\n- crease 1: 2 from left\n- crease 2: 4\n3rd score: 9\nmat 4 3/4 x 4 3/4", DisplayUnit.Inch);
        Assert.Empty(list.Left);
        Assert.Equal([Support.In("2"), Support.In("4"), Support.In("9")], list.Pieces[0].Scores);
        Assert.Equal([1, 5], list.Pieces.Select(p => p.Line));
    }

    /// <summary>Whoever corrects a figure means the one behind; of scores that are said anew all of them.</summary>
    [Theory]
    [InlineData("base 10 x 5, score at 2, no, 2 1/2 and 7 1/2", "2 1/2, 7 1/2")]
    [InlineData("base 10 x 5, score at 2 and 8... I mean score at 2 1/2, 7 1/2", "2 1/2, 7 1/2")]
    public void What_is_corrected_counts_as_it_is_corrected(string line, string scores) =>
        Assert.Equal(scores.Split(", ").Select(Support.In), OwnListReader.Read(line, DisplayUnit.Inch).Pieces[0].Scores);

    /// <summary>Words for scores may stand in names and numbers, and score nothing there.</summary>
    [Theory]
    [InlineData("Middle fold panel: 4 x 6", "4 x 6:")]
    [InlineData("centre score strip 3 x 8", "3 x 8:")]
    [InlineData("Line 1: base 10 x 5, score at 2 1/2, 7 1/2\nLine 2: mat 4 3/4 x 4 3/4", "10 x 5: 2.5 7.5 / 4.75 x 4.75:")]
    [InlineData("panels 1, 2 and 3: 4 x 4", "4 x 4:")]
    [InlineData("pocket: circle 3, folded in half", "3 x 3: 1.5")]
    [InlineData("base 8 x 5, a 3 in circle, and two 2 x 2 squares folded in half", "8 x 5: 4 / 3 x 3: / 2 x 2: 1")]
    public void What_only_sounds_like_a_score_is_none(string text, string pieces) =>
        Assert.Equal(pieces, string.Join(" / ", OwnListReader.Read(text, DisplayUnit.Inch).Pieces.Select(p => $"{OwnLinesTests.Inches(p.First)} x {OwnLinesTests.Inches(p.Second)}: {string.Join(' ', p.Scores.Select(OwnLinesTests.Inches))}".TrimEnd())));
}

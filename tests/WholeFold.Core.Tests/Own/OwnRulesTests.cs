using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>What is made of a list that no construction explains: its finished size, the rules of its figures, what does not go with the others, and what its maker says.</summary>
public class OwnRulesTests
{
    private static readonly Recogniser Recogniser = new(Support.Reader);

    /// <summary>A card is as high as its main piece is across its scores, as wide as some panels side by side, and everything else fits on it.</summary>
    [Theory]
    [InlineData("base 8 1/2 x 5 1/2, score at 4 1/4", "4.25x5.5")]
    [InlineData("base 11 x 4 1/4 score at 2 3/4 and 5 1/2", "5.5x4.25")]
    [InlineData("Base: 11 x 5 1/2 score at 1 1/2, 3, 8, 9 1/2\nBridge: 8 x 2", "8x5.5")]
    [InlineData("background 7 x 5 1/2, score 1 from each end\ntiers 6 x 3 1/4 and 6 x 4 1/4, score 1/2 from both ends", "6x5.5")]
    [InlineData("pocket sheet 8 1/2 x 7 1/2; score at 4 1/4 and along the 7 1/2 side at 2", "4.25x5.5")]
    [InlineData("Finished 6 x 6\nbase 12 x 6, score at 6", "6x6")]
    [InlineData("tower 7 x 4, score every inch for four inches\n3 fins 3 x 4", "6x4")]
    [InlineData("back 5 x 7\n4 pillars: two 4 15/16 x 7 and two 4 15/16 x 5 1/4, score every inch\nface 5 x 5 1/4\nfront face 5 x 4 3/8", "6x7")]
    [InlineData("two pieces 6 x 6, score at 1 1/2 and 4 1/2", "6x6")]
    [InlineData("sheet 9 x 5, score at 2, 3, 6, 7", "5x5")]
    [InlineData("background 7 x 5, score 1 from each end\ntiers 6 x 3 1/4 and 6 x 4 1/4, score 1/2 from both ends", "6x5")]
    [InlineData("tag 1 x 1\nbead 1/2 x 1/2", "2x2")]
    public void The_finished_size_follows_from_folding(string text, string size)
    {
        var guess = RuleGuess.Of(OwnListReader.Read(text, DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        Assert.Equal(size, $"{OwnLinesTests.Inches(guess.Width)}x{OwnLinesTests.Inches(guess.Height)}");
    }

    /// <summary>What is left of a list is still that card where its figures are no other's: a fold out of the middle is a flap, doors without a gap are doors.</summary>
    [Theory]
    [InlineData("outside 4 1/4 x 8 1/4, score along the long side at 5 1/2", "drop-flap")]
    [InlineData("cover 29 x 15 cm, scored 14\nframe 30 x 15 cm; scored at 1, 15, 16", "inside-box")]
    [InlineData("base 10 x 7, score at 2 1/2, 7 1/2\ntile 3 3/4 x 3 3/4\npockets 3 1/2 x 3 1/2 (2), score at 1 3/4", "sleeve-gatefold")]
    [InlineData("base 8 1/2 x 5 1/2, score at 4 1/4", "plain-fold")]
    [InlineData("base 8 1/4 x 5 1/2, score at 4 1/4", "plain-fold")]
    public void The_likeliest_card_is_the_one_whose_figures_are_usual(string text, string construction) =>
        Assert.Equal(construction, Recogniser.Find(OwnListReader.Read(text, DisplayUnit.Inch), TestContext.Current.CancellationToken)[0].Family.Id);

    /// <summary>Of two figures that contradict each other the one that leaves a size with a name is right.</summary>
    [Fact]
    public void The_figure_that_leaves_a_named_size_is_right()
    {
        var own = OwnDesign.Of("card: 8 x 5 3/4, score 4 1/4\nbox strip 8 1/2 x 5 1/2: score at 1/2, 4 1/4, 4 3/4", DisplayUnit.Inch, Support.Reader, Recogniser, cancel: TestContext.Current.CancellationToken);
        Assert.Equal("inside-box", own.Recognised?.Family.Id);
        var finding = Assert.Single(own.Contradictions);
        Assert.Equal((1, Support.In("5 1/2")), (finding.Line, finding.Likely[0].Value));
    }

    /// <summary>What a maker says of one figure is heard in the others too; a square card is asked which way it opens, and turned.</summary>
    [Fact]
    public void A_correction_is_heard_in_all_figures_and_a_square_card_is_turned()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 9 x 6, score at 6\nstrip 12 x 1, score at 1, 6 and 11\nmat 5 3/4 x 5 3/4", DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        FigureRule Rule(RuleGuess g, string piece, string figure) => g.Figures.First(f => f.Piece.Name == piece && f.Figure == figure).Rule;
        Assert.False(guess.Upwards);
        Assert.Equal(RuleGuess.Opens, guess.Questions[0].Figure);
        Assert.Contains("sideways or upwards", guess.Questions[0].Ask.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var turned = guess.Corrected([new(RuleGuess.Opens, 1)]);
        Assert.True(turned.Upwards);
        Assert.Equal((Rule(guess, "base", "width").ByWidth, Rule(guess, "base", "width").ByHeight), (Rule(turned, "base", "width").ByHeight, Rule(turned, "base", "width").ByWidth));
        Assert.False(turned.Corrected([new(RuleGuess.Opens, 1)]).Upwards);

        // Of the strip's end another rule is taken: its partner at the other end goes with it, and the whole stays what its panels come to.
        var end = guess.Figures.First(f => f.Piece.Name == "strip" && f.Figure == "score 1");
        Assert.NotEmpty(end.Next);
        var said = guess.Corrected([new(RuleGuess.KeyOf(end), 1)]);
        double By(string figure) => Rule(said, "strip", figure).ByWidth;
        Assert.True(Rule(said, "strip", "score 1").Same(end.Next[0].Rule));
        Assert.Equal(By("score 1"), By("width") - By("score 3"), 0.01);

        // Turned after that, what was said of the width holds of the height.
        var both = guess.Corrected([new(RuleGuess.KeyOf(end), 1), new(RuleGuess.Opens, 1)]);
        Assert.Equal((end.Next[0].Rule.ByWidth, end.Next[0].Rule.ByHeight), (Rule(both, "strip", "score 1").ByHeight, Rule(both, "strip", "score 1").ByWidth));
    }

    /// <summary>Any rule may be said of any score: the panel before it is what it must be for that, so that what is said holds, and what is not touched by it stays.</summary>
    [Theory]
    [InlineData("5 x 10, score at 1/4, 1 5/8, 3 3/8, 4 3/4, 5", "score 2", "score 1")]
    [InlineData("7 x 10, score at 3/8, 2 1/2, 4 5/8, 5 3/8, 7 1/2, 9 5/8", "score 3", "score 1")]
    [InlineData("base 8 1/4 x 5, score at 1 1/4, 7", "score 2", "score 1")]
    public void What_is_said_of_a_score_holds_whatever_it_is(string text, string figure, string other)
    {
        var guess = RuleGuess.Of(OwnListReader.Read(text, DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        GuessedFigure Of(RuleGuess g, string name) => g.Figures.First(f => f.Figure == name);
        var was = Of(guess, figure);
        Assert.NotEmpty(was.Next);
        for (var which = 1; which <= was.Next.Count; which++)
        {
            var said = guess.Corrected([new(RuleGuess.KeyOf(was), which)]);
            Assert.True(Of(said, figure).Rule.Same(was.Next[which - 1].Rule));
            Assert.Equal(1, Of(said, figure).Sure);
        }

        // The tab before it is fixed, and was right.
        Assert.True(Of(guess.Corrected([new(RuleGuess.KeyOf(was), 1)]), other).Rule.Same(Of(guess, other).Rule));
    }

    /// <summary>What runs across the whole card and is a little less than its other side goes with that, and a third of a card is one.</summary>
    [Theory]
    [InlineData("base 12 x 4, score at 1, 3, 4, 6, 8, 9, 11\nslide 3 7/16 x 6", "slide", "width", 0, 1)]
    [InlineData("base 148 x 210, score at 5, 35, 70, 100, 105", "base", "score 2", 1 / 3d, 0)]
    public void A_rule_that_people_think_in_is_among_those_to_choose_from(string text, string piece, string figure, double byWidth, double byHeight)
    {
        var guess = RuleGuess.Of(OwnListReader.Read(text, null), Inventory.Shipped.Formats)!;
        var found = guess.Figures.First(f => f.Piece.Name == piece && f.Figure == figure);
        Assert.Contains(found.Next.Select(n => n.Rule).Prepend(found.Rule), r => Math.Abs(r.ByWidth - byWidth) < 0.001 && Math.Abs(r.ByHeight - byHeight) < 0.001);
    }

    /// <summary>In every reading the scores of a chain add up: what a figure is at home it stays, and the last panel is what the others leave.</summary>
    [Fact]
    public void Rules_of_a_chain_add_up()
    {
        foreach (var text in new[] { "base 10 x 5, score at 2 1/2 and 7 1/2", "stage 8 x 5, score at 1, 7\ntier 7 x 3, score at 1/2, 6 1/2", "tower 7 x 4, score every inch for four inches\n3 fins 3 x 4", "base 11 x 4 1/4, score at 2 3/4 and 5 1/2\nfront panel 5 1/4 x 4\nmat 2 1/2 x 4" })
        {
            var guess = RuleGuess.Of(OwnListReader.Read(text, DisplayUnit.Inch), Inventory.Shipped.Formats)!;
            foreach (var figure in guess.Figures)
            {
                Assert.Equal(figure.Value, figure.Rule.In(figure.Value, Length.Zero, Length.Zero));
                Assert.True(figure.Sure + figure.Next.Sum(n => n.Sure) <= 1.0001);
                Assert.Equal(figure.Next.Count + 1, figure.Next.Select(n => n.Rule).Prepend(figure.Rule).Select(r => r.Words.Write(DisplayUnit.Inch)).Distinct().Count());
                Assert.True(figure.Next.All(n => !n.Rule.Same(figure.Rule) && n.Sure <= figure.Sure + 1e-9));
            }

            foreach (var larger in new[] { Support.In("1/2"), Support.In("2") })
            {
                foreach (var piece in guess.Figures.GroupBy(f => f.Piece).Where(p => p.Key.Scores.Count > 0))
                {
                    var at = piece.Where(f => f.Figure.StartsWith("score", StringComparison.Ordinal)).Select(f => f.Rule.In(f.Value, larger, larger)).ToList();
                    Assert.Equal(at.Order(), at);
                    Assert.True(at[^1] < piece.First(f => f.Figure == (piece.Key.AlongFirst ? "width" : "height")) switch { var w => w.Rule.In(w.Value, larger, larger) });
                }
            }
        }
    }

    /// <summary>One figure that is off is found among the others, of papers too, and what would be right; a list that is right is left alone.</summary>
    [Theory]
    [InlineData("base 10 x 5, score at 2 1/2 and 7 1/2\nmat 4 3/4 x 4 3/4\nmats 2 1/4 x 4 3/8 (2)", 3, "4 3/4")]
    [InlineData("base 10 x 5, score at 5\nmat 4 3/4 x 4 3/8", 2, "4 3/4")]
    [InlineData("card 8 1/2 x 5 5/8, score at 4 1/4\nmat 4 x 5 1/4\nliner paper 4 x 5 1/4", 1, "5 1/2")]
    [InlineData("strip 12 x 3, score at 3, 6 1/2, 9", 1, "6")]
    [InlineData("base 10 x 5, score at 5\nmat 4 3/4 x 4 3/4", 0, "")]
    [InlineData("base 10 x 5, score at 2 1/2 and 7 1/2\nmats 2 1/4 x 4 7/8 (2)\nstrip 1 x 4", 0, "")]
    [InlineData("base 10 x 5, score at 2 1/2 and 7 1/2\nmats 2 1/2 x 4 3/4 (2)", 0, "")]
    [InlineData("strip 12 x 4, score at 2, 4, 5 3/4, 8, 10", 1, "6")]
    [InlineData("strip 13 1/2 x 4, score at 1, 2 1/2, 4 1/2, 7, 10", 0, "")]
    [InlineData("base 10 1/4 x 5, score at 5", 1, "10")]
    [InlineData("base 10 x 5, score at 5\ncircle 2 x 2 1/4", 2, "2")]
    [InlineData("base 10 x 5, score at 5\nsquares 2 x 2 (3)\ncircle 1 1/2", 0, "")]
    [InlineData("base 10 x 5 1/8, score at 5", 1, "5")]
    [InlineData("base 10 x 5 1/4, score at 5", 1, "5")]
    [InlineData("base 10 x 5 1/2, score at 5", 0, "")]
    [InlineData("base 10 x 5 1/8, score at 5\nmat 4 3/4 x 4 7/8", 0, "")]
    public void A_figure_that_does_not_go_with_the_others_is_found(string text, int line, string right)
    {
        var found = OwnDesign.Of(text.Replace("\\n", "\n", StringComparison.Ordinal), DisplayUnit.Inch, Support.Reader, Recogniser, cancel: TestContext.Current.CancellationToken).Contradictions;
        Assert.Equal(line == 0 ? [] : [line], found.Select(f => f.Line).Distinct());
        Assert.True(line == 0 || found[0].Likely[0].Value == Support.In(right), found.Count == 0 ? "" : found[0].Text.Write(DisplayUnit.Inch));
    }

    /// <summary>A list far longer than any card's is still read in bounded time, rules, finished size and contradictions too.</summary>
    [Theory]
    [InlineData(38, 30, 1900)]
    [InlineData(12, 6, 100)]
    [InlineData(1, 30, 1900)]
    public void A_hostile_list_takes_no_more_than_a_moment(int pieces, int scores, int within)
    {
        var random = new Random(7);
        var lines = Enumerable.Range(0, pieces).Select(i => $"part {i} {within + 100 + (i * 7)} x {(within / 2) + 20 + i} mm, score at {string.Join(", ", Enumerable.Range(0, scores).Select(_ => random.Next(1, within)).Distinct().Order())}");
        var list = OwnListReader.Read(string.Join('\n', lines), DisplayUnit.Millimetre);
        Assert.Equal(pieces, list.Cards.Count());
        var clock = System.Diagnostics.Stopwatch.StartNew();
        var own = OwnDesign.Of(list, Support.Reader, Recogniser, cancel: TestContext.Current.CancellationToken);
        Assert.NotEmpty(own.Figures);
        Assert.True(clock.Elapsed < TimeSpan.FromSeconds(30), $"{clock.Elapsed}");
    }

    /// <summary>A border half as wide one way is what some people want of a narrow paper; of another it is a slip, and of two papers off alike it is the piece.</summary>
    [Theory]
    [InlineData("mat 4 3/4 x 4 1/2", "2: Height of the mat at 4 1/2 leaves another border than the other way; 4 3/4 would leave the same.")]
    [InlineData("mat 4 3/4 x 4 7/8", "2: Height of the mat at 4 7/8 leaves another border than the other way; 4 3/4 would leave the same.")]
    [InlineData("mat 4 3/4 x 4 5/8", "2: Height of the mat at 4 5/8 leaves another border than the other way; 4 3/4 would leave the same.")]
    [InlineData("mat 4 3/4 x 3", "")]
    [InlineData("mat 4 3/4 x 5 1/8\npaper 4 3/4 x 5 1/8", "1: 2 papers do not go with the base at 5; with 5 3/8 they would.")]
    public void Papers_that_keep_their_border_one_way_are_told(string papers, string told)
    {
        Assert.Equal(told, Told($"base 10 x 5, score at 5\n{papers}"));
    }

    private static string Told(string text) => string.Join(' ',
        OwnDesign.Of(text, DisplayUnit.Inch, Support.Reader, Recogniser, cancel: TestContext.Current.CancellationToken).Contradictions.Select(f => $"{f.Line}: {f.Text.Write(DisplayUnit.Inch)}"));

    /// <summary>What a free figure makes of the card is said with the size that it may have been meant for; a clear slip among several pieces comes before what is said of papers.</summary>
    [Theory]
    [InlineData("base 10 x 5 1/8, score at 5", "1: Height of the base at 5 1/8 makes a card of 5 × 5 1/8; with 5 it would be 5 × 5.")]
    [InlineData("circle 2 x 2 1/4\nbase 10 x 5, score at 5", "1: Circle at 2 × 2 1/4: a circle is as wide as it is high.")]
    [InlineData("base 8 1/4 x 5 1/2, score at 2 1/8, 6 3/8\npanel 4 x 5 1/4", "1: Width of the base at 8 1/4 does not go with the other figures; 8 1/2 would.")]
    public void A_free_figure_is_told_by_what_it_makes(string text, string told)
    {
        Assert.Equal(told, Told(text));
    }

    /// <summary>A size is a format's either way about, and no other.</summary>
    [Fact]
    public void A_size_has_a_name_either_way_about()
    {
        var near = Length.Mm(1);
        foreach (var format in Inventory.Shipped.Formats)
        {
            Assert.True(format.IsAbout(format.Width, format.Height, near));
            Assert.True(format.IsAbout(format.Height, format.Width, near));
            Assert.True(format.Turned().IsAbout(format.Width, format.Height, Length.Zero));
            Assert.True(format.IsAbout(format.Width + near, format.Height - near, near));
            Assert.False(format.IsAbout(format.Width + Length.Mm(2), format.Height, near));
            Assert.False(format.IsAbout(format.Width, format.Height - Length.Mm(2), near));
        }
    }

    [Fact]
    public void Rules_are_said_as_people_think_them_and_one_that_is_corrected_is_sure()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 12 x 4 1/4, score at 4 and 8\nfront panel 3 5/8 x 3 7/8\nbead 3/8 x 3/8\nfinished 4 x 4 1/4", DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        string Rule(string piece, string figure) => guess.Figures.First(f => f.Piece.Name == piece && f.Figure == figure).Rule.Words.Write(DisplayUnit.Inch);
        Assert.Equal("three times the width", Rule("base", "width"));
        Assert.Equal("the height", Rule("base", "height"));
        Assert.EndsWith("less 3/16 on each side", Rule("front panel", "width"), StringComparison.Ordinal);
        Assert.Equal("always 3/8", Rule("bead", "width"));
        Assert.All(guess.Figures, f => Assert.InRange(f.Sure, 0, 1));
        var figure = guess.Figures.First(f => f.Next.Count > 0);
        var corrected = guess.Corrected(new Dictionary<string, int> { [RuleGuess.KeyOf(figure)] = 1 }).Figures.First(f => RuleGuess.KeyOf(f) == RuleGuess.KeyOf(figure));
        Assert.Equal((1.0, true), (corrected.Sure, corrected.Rule.Same(figure.Next[0].Rule)));
        Assert.Equal(figure.Rule, corrected.Next[0].Rule);
        Assert.Equal(guess.Figures, guess.Corrected(new Dictionary<string, int> { ["9.nothing.width"] = 1, [RuleGuess.KeyOf(figure)] = 99 }).Figures);
    }

    /// <summary>What is cut square and stays as it is one way stays so the other way, and a square paper that goes with the card's other side lies turned.</summary>
    [Fact]
    public void A_square_stays_a_square_where_its_maker_corrects_one_side()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 10 x 5, score at 2 7/16 and 7 9/16\ntile 3 1/4 x 3 1/4\npockets 3 x 3 (2), score at 1 1/2", DisplayUnit.Inch), Inventory.Shipped.Formats)!.Corrected([new(RuleGuess.Opens, 1), new(RuleGuess.Opens, 1)]);
        GuessedFigure Of(RuleGuess of, string name, string figure) => of.Figures.First(f => f.Piece.Name == name && f.Figure == figure);
        var height = Of(guess, "pockets", "height");
        var stays = height.Next.ToList().FindIndex(n => n.Rule.ByWidth == 0 && n.Rule.ByHeight == 0) + 1;
        Assert.True(stays > 0 && Of(guess, "pockets", "width").Rule.ByWidth != 0, "the list no longer asks what this is about");
        var said = guess.Corrected([new(RuleGuess.KeyOf(height), stays)]);
        Assert.All(["width", "height"], side => Assert.Equal((0d, 0d), (Of(said, "pockets", side).Rule.ByWidth, Of(said, "pockets", side).Rule.ByHeight)));

        // What is said of the other side too holds, whatever would follow.
        var other = Of(said, "pockets", "width").Next[0].Rule;
        Assert.NotEqual((0d, 0d), (other.ByWidth, other.ByHeight));
        Assert.True(Of(guess.Corrected([new(RuleGuess.KeyOf(height), stays), new(RuleGuess.KeyOf(Of(said, "pockets", "width")), 1)]), "pockets", "width").Rule.Same(other));
    }

    /// <summary>Where it may be of several sizes the maker is asked; what she says holds, and the rules are those of that size.</summary>
    [Fact]
    public void A_card_of_another_size_is_that_when_its_maker_says_so()
    {
        var guess = RuleGuess.Of(OwnListReader.Read("base 9 x 5, score at 3 and 5\nmat 4 x 3", DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        var other = Assert.Single(guess.OtherSizes);
        Assert.Equal((Length.In(4), Length.In(5)), other);
        Assert.Contains("4 × 5", guess.Questions[0].Ask.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var said = guess.Corrected([RuleGuess.Sized(other)]);
        Assert.Equal(other, (said.Width, said.Height));
        Assert.Contains((guess.Width, guess.Height), said.OtherSizes);
        Assert.DoesNotContain(said.Questions, q => q.Ask.Write(DisplayUnit.Inch).StartsWith("Is the finished", StringComparison.Ordinal));

        // What is said of a rule then keeps it; what no card could be is left alone, and so is another key.
        var figure = said.Figures.First(f => f.Next.Count > 0);
        Assert.Equal(other.Width, said.Corrected([new(RuleGuess.KeyOf(figure), 1)]).Width);
        Assert.Equal(guess.Width, guess.Corrected([RuleGuess.Sized((Length.In(40), Length.In(5))), new("size 1", 1), new("size a b", 1)]).Width);
    }

    /// <summary>Sizes that nobody would tell apart are not asked about, nor one that lies on its side.</summary>
    [Theory]
    [InlineData("base 12.5 x 25 cm, score at 8.4, 16.8\nmat 4 x 11.9")]
    [InlineData("strip 12 1/2 x 2, score 2, 4, 6, 8, 10, 12\nsides 2 x 5")]
    [InlineData("base 9 x 5, score at 3 and 5\nmat 4 x 3")]
    public void Sizes_that_are_asked_about_are_apart(string text)
    {
        var guess = RuleGuess.Of(OwnListReader.Read(text, DisplayUnit.Inch), Inventory.Shipped.Formats)!;
        var sizes = guess.OtherSizes.Prepend((guess.Width, guess.Height)).ToList();
        Assert.InRange(sizes.Count, 2, 3);
        foreach (var (a, b) in sizes.SelectMany((a, i) => sizes.Skip(i + 1).SelectMany(b => new[] { (a, b), (a, (b.Height, b.Width)) })))
        {
            Assert.True(Length.Max((a.Width - b.Item1).Abs(), (a.Height - b.Item2).Abs()) >= Length.Mm(5), $"{a} or {b}");
        }
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>What is begun with a list: the card that it says, with the windows and papers that it says.</summary>
public class OwnTakingTests
{
    private const int Every = 24;

    private static readonly Length Near = Length.Mm(1);

    private static OwnDesign Read(string text, DisplayUnit unit = DisplayUnit.Inch, string? format = null) =>
        OwnDesign.Of(OwnListReader.Read(text, unit), Support.Reader, OwnListTests.Recogniser, format, cancel: TestContext.Current.CancellationToken);

    private static Card Made(TakenDesign taken)
    {
        var read = Support.Reader.Read(taken.Design with { Tools = "machine" });
        return Attempt.Of(read.Design, read.Target).Card!;
    }

    private static bool Is(SizedLayerSides layer, OwnPiece paper) => ((layer.Wide - paper.First).Abs() <= Near && (layer.High - paper.Second).Abs() <= Near)
        || ((layer.Wide - paper.Second).Abs() <= Near && (layer.High - paper.First).Abs() <= Near);

    private sealed record SizedLayerSides(Length Wide, Length High, int Quantity);

    [Fact]
    public void A_window_says_how_wide_its_frame_is()
    {
        var own = Read("A: 10 x 7 - s at 1/2, 5, 5 1/2\nB: 9 1/2 x 7 - s at 5\nWindow in A: 3 1/2 x 5 1/2", format: "6x6");
        Assert.Equal((Length.In(1, 2), Length.In(1)), (own.Recognised!.Parameters["windowMargin"], own.Recognised.Parameters["footMargin"]));

        // The frame stays as wide as it is, and the window is what it leaves.
        Assert.Equal([Length.In(9, 2), Length.In(9, 2)], own.Figures.Where(f => f.Line == 3).Select(f => f.Now!.Value));
        var window = Made(own.Take(Support.Reader)!).Construction.Pieces.SelectMany(p => p.Openings).Single(o => o.Id == "window");
        var figures = Made(own.Take(Support.Reader)!).Figures;
        Assert.Equal((Length.In(7, 2), Length.In(11, 2)), (figures.ValueOf(window.Within.ToX - window.Within.FromX), figures.ValueOf(window.Within.ToY - window.Within.FromY)));
    }

    [Fact]
    public void Two_windows_are_told_apart_by_the_pieces_that_they_are_in()
    {
        var read = Read("Card: 9 1/2 x 7, score at 5\ntunnel 10 x 7 scores 1/2, 5, 5 1/2\ninner layer 4 15/16 x 6 15/16, score 1/4 from each end\nwindow in the box panel 3 1/2 x 6, in the layer 3 x 5 1/2").Recognised!;
        Assert.Equal(["Box", "Layer"], read.Windows.Select(w => w.Piece.Name));
        Assert.Equal(Length.In(7, 32), read.Parameters["windowStep"]);
    }

    [Fact]
    public void What_does_not_turn_in_its_window_is_no_spinner() =>
        Assert.Equal("plain-fold", Read("base 11 x 4 1/4, score at 5 1/2\nfront panel 5 1/4 x 4\nwindow 3 1/2 x 1/2 in the panel\nslider 3/4 x 3/4 (2)").Closest[0].Family.Id);

    [Theory]
    [InlineData("base 8 1/2 x 5 1/2 score 4 1/4\nfront mat 4 x 5 1/4\nprinted paper 3 3/4 x 5\ninside mat 3 7/8 x 5 1/8", "front 1, front 2, inside 1 by 3/16")]
    [InlineData("base 11 x 4 1/4, score 2 3/4 from each end\ndoor papers 2 1/2 x 4 (2)", "door 1")]
    [InlineData("base 11 x 4 1/4, score 2 3/4 from each end\npaper for the left door 2 1/2 x 4", "base.left.down 1")]
    [InlineData("base 210 x 148 mm, score 105\nmat 97 x 140 mm, mat 93 x 136 mm", "front 1 by 4, front 2 by 2")]
    [InlineData("base 8 1/2 x 5 1/2 score 4 1/4\nliner 4 x 5 1/4", "inside 1")]
    public void Papers_lie_where_they_leave_the_same_border(string text, string worn)
    {
        var taken = Read(text).Take(Support.Reader)!;
        Assert.Empty(taken.Aside);
        string By(Core.Designs.LayerSpec l) => l.Reveal?.X is { } x ? $" by {x.Text.Split(' ')[0]}" : "";
        Assert.Equal(worn, string.Join(", ", taken.Design.Dressing!.Layers.Where(l => l.Worn).Select(l => $"{l.Role} {l.Level}{By(l)}")));
    }

    [Fact]
    public void What_goes_on_no_face_stays_in_the_list_and_is_said()
    {
        var taken = Read("base 8 1/2 x 5 1/2 score 4 1/4\nmat 4 x 5 1/4\nbelly band 1 1/2 x 9\ncircle window 2 in the front\nwindow 1 x 2 in the front").Take(Support.Reader)!;
        Assert.Equal("belly band", taken.Aside.Single().Name);
        Assert.Equal("What line 3 lists as belly band, 1 1/2 × 9 in, is no part of the card that is begun; it stays in the list.", taken.Says.Single().Write(DisplayUnit.Inch));
        Assert.Equal([("window", "front", "circle"), ("window-2", "front", "rectangle")], taken.Design.Dressing!.Windows.Select(w => (w.Id, w.Role, w.Shape)));
        Assert.Equal(["Window", "Window 2"], Made(taken).Dressed.Windows.Select(w => w.Window.Called));
    }

    /// <summary>Of every list: what is taken is a card that can be made, and each paper that it wears is as large as it is listed.</summary>
    [Fact]
    public void Every_paper_of_a_card_that_is_begun_is_as_large_as_it_is_listed()
    {
        var (laid, all, wrong) = (0, 0, new System.Collections.Concurrent.ConcurrentBag<string>());
        Parallel.ForEach(OwnListTests.Texts.Stride(Every), listed =>
        {
            if (OwnListTests.Find(listed.Text, listed.Unit) is not [{ Sure: true, Differs.Count: 0 } best, ..] found)
            {
                return;
            }

            var own = new OwnDesign(OwnListReader.Read(listed.Text, listed.Unit), best, found, null, [], []);
            var taken = own.Take(Support.Reader)!;

            var layers = Made(taken).Layers.Select(l => new SizedLayerSides(l.Width.Value, l.Height.Value, l.Quantity)).ToList();
            var papers = own.List.Pieces.Where(p => p.Kind == OwnKind.Paper).ToList();
            Interlocked.Add(ref all, papers.Count);
            foreach (var paper in papers.Where(p => !taken.Aside.Any(a => a.Line == p.Line && a.Name == p.Name) && best.Pieces.All(m => m.Listed != p)))
            {
                Interlocked.Increment(ref laid);
                if (layers.Where(l => Is(l, paper)).Sum(l => l.Quantity) < 1)
                {
                    wrong.Add($"{listed.Name}: {paper.Name} {paper.First} × {paper.Second}; {string.Join(", ", layers.Select(l => $"{l.Wide} × {l.High}"))}");
                }
            }
        });
        Assert.Empty(wrong);
        Assert.True(all - laid <= Day.AtMost(0.2, all), $"{laid} of {all}");
    }
}

using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;
using static WholeFold.Core.Tests.Own.OwnLinesTests;

namespace WholeFold.Core.Tests.Own;

/// <summary>Where scores lie and windows are, in the many ways that people say it; and what is no score, no piece and no count.</summary>
public class OwnPlacesTests
{
    private static string Written(OwnPiece piece) =>
        $"{(piece.Kind == OwnKind.Piece ? "" : $"{piece.Kind} ")}{piece.Name} {Inches(piece.First)} x {Inches(piece.Second)}{(piece.Quantity > 1 ? $" x{piece.Quantity}" : "")}{(piece.Scores.Count > 0 ? $": {string.Join(' ', piece.Scores.Select(Inches))}" : "")}{(piece.Cross.Count > 0 ? $" | {string.Join(' ', piece.Cross.Select(Inches))}" : "")}";

    private static void Reads(string text, string pieces)
    {
        var list = OwnListReader.Read(text, DisplayUnit.Inch);
        Assert.Equal(pieces, string.Join(" / ", list.Pieces.Select(Written)));
        Assert.Empty(list.Left);
    }

    /// <summary>Ends and sides may stand before the word and its figure or behind it, and the foot beside them.</summary>
    [Theory]
    [InlineData("base 10 x 5, both ends scored at 2", "base 10 x 5: 2 8")]
    [InlineData("strip 8 x 1, both short ends scored at 1/2 and 1", "strip 8 x 1: 0.5 1 7 7.5")]
    [InlineData("strip 8 x 1, both ends folded in 1/2", "strip 8 x 1: 0.5 7.5")]
    [InlineData("flap 3 x 4, all four sides scored at 1/2", "flap 3 x 4: 0.5 2.5 | 0.5 3.5")]
    [InlineData("pocket 6 x 4, score 1/2 from each side and from the bottom", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("pocket 6 x 4, left, right and bottom scored at 1/2", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("pocket 6 x 4, sides and bottom scored at 1/2", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("card 3 1/2 high, 16 7/8 wide, doors 4 3/16 each", "piece 1 16.875 x 3.5: 4.188 12.688")]
    [InlineData("pocket 3 x 4, 1/2 flaps on three sides", "pocket 3 x 4: 0.5 2.5 | 0.5")]
    [InlineData("tier 4 x 3 5/8; 1/2 tabs", "tier 4 x 3.625: 0.5 3.5")]
    [InlineData("tier 4 x 3 & stage 4 x 5, both with 1/2 tabs", "tier 4 x 3: 0.5 3.5 / & stage 4 x 5: 0.5 3.5")]
    [InlineData("inner 5 x 3 3/4 1/4\" tabs both sides", "inner 5 x 3.75: 0.25 4.75")]
    [InlineData("pocket 6 x 4, score 1/2 from each end along the 6 side and 1/2 from the bottom", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("pocket 6 x 4, score at 1/2 and 5 1/2 across the width and at 1/2 up from the bottom", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("pocket 6 x 4. Score both short sides at 1/2. Score the bottom at 1/2.", "pocket 6 x 4: 0.5 5.5 | 0.5")]
    [InlineData("bag 11 x 6, score 3 1/2, 5 1/4, 8 3/4 and 10 1/2, then bottom at 1 1/4", "bag 11 x 6: 3.5 5.25 8.75 10.5 | 1.25")]
    [InlineData("tray 6 x 8, score at 1/2 on every side", "tray 6 x 8: 0.5 5.5 | 0.5 7.5")]
    [InlineData("tray 8 x 5, score 1/2 along each edge", "tray 8 x 5: 0.5 7.5 | 0.5 4.5")]
    [InlineData("sheet 6 x 14: long side scores 4 and 10; short side scores 1 and 5", "sheet 6 x 14: 4 10 | 1 5")]
    [InlineData("carrier 3 x 6, score at 3 and lengthwise at 1 1/2", "carrier 3 x 6: 3 | 1.5")]
    [InlineData("Two sheets 8 x 3. Score one along the 3 side at 1 and 2. Score the other along the 8 side at 2 and 6.", "sheets 8 x 3: 1 2 / other sheets 8 x 3: 2 6")]
    [InlineData("layer 5 x 4\n2 1/2 circle cut from both front and layer", "Paper layer 5 x 4 / Window front layer 2.5 x 2.5 x2")]
    public void Ends_may_stand_before_their_figure(string text, string pieces) => Reads(text, pieces);

    /// <summary>Scores that follow each other, by how far they are apart; how many there are is no count of pieces.</summary>
    [Theory]
    [InlineData("strip 8 x 5, four scores 1 apart", "strip 8 x 5: 1 2 3 4")]
    [InlineData("strip 8 x 5, score 1 in four times", "strip 8 x 5: 1 2 3 4")]
    [InlineData("strip 8 x 5, four scores: 1, 2, 3, 4", "strip 8 x 5: 1 2 3 4")]
    [InlineData("strip 8 x 5 > 1 / 2 / 3 / 4", "strip 8 x 5: 1 2 3 4")]
    [InlineData("strip 8 x 5, 1\" valley, 2\" mountain, 4\" valley", "strip 8 x 5: 1 2 4")]
    [InlineData("strip 8 x 5, score at: 1 and seven eighths; 3 and an eighth; 6", "strip 8 x 5: 1.875 3.125 6")]
    [InlineData("strip 8 x 5, score 2, 3, 6 starting 7/8\" down and stopping at 4 1/8\" down", "strip 8 x 5: 2 3 6")]
    [InlineData("strip 8 x 5. With the 8\" side along the top of your board, score at 2 and 4", "strip 8 x 5: 2 4")]
    [InlineData("Two strips, each 8 x 5. One scored in the middle, the other scored every 2.", "strips 8 x 5: 4 / other strips 8 x 5: 2 4 6")]
    [InlineData("tube 16 x 9: 2-5-7", "tube 16 x 9: 2 5 7")]
    [InlineData("base 3 x 17, 1/2 fold", "base 3 x 17: 8.5")]
    [InlineData("Cut two 8 x 5\nA: score 4; cut at 2\nB: score 2 & 6", "piece 1 8 x 5: 4 / other piece 1 8 x 5: 2 6")]
    [InlineData("back 3 x 6\n2 pillars 4 x 6\n2 pillars 4 x 5\nall pillars scored at 1, 2 and 3", "back 3 x 6 / pillars 4 x 6 x2: 1 2 3 / pillars 4 x 5 x2: 1 2 3")]
    [InlineData("tier 8 x 3\ntier 8 x 4\nmat 6 x 2\nscore each tier at 1/2 and 7 1/2", "tier 8 x 3: 0.5 7.5 / tier 8 x 4: 0.5 7.5 / Paper mat 6 x 2")]
    [InlineData("strip 8 x 5 --- 1 --- 2 --- 4", "strip 8 x 5: 1 2 4")]
    [InlineData("strip 8 x 5\nscores (left to right):\n- 1\n- 2\n- 4", "strip 8 x 5: 1 2 4")]
    [InlineData("strip 8 x 5\nL-R 1 / 2 / 4", "strip 8 x 5: 1 2 4")]
    [InlineData("base 10 x 5, score 3/8, 2 1/2, 4 5/8\nTurn round, score 3/8, 2 1/2, 4 5/8", "base 10 x 5: 0.375 2.5 4.625 5.375 7.5 9.625")]
    [InlineData("envelope 5 7/8 x 13\nw: 3/4, 5\nh: 3, 9", "envelope 5.875 x 13: 0.75 5 | 3 9")]
    [InlineData("carrier 5 x 3, score 2 1/2 & 1 1/2 & diagonals", "carrier 5 x 3: 2.5 | 1.5")]
    [InlineData("box 10 x 5: 1/2, 5, 5 1/2, window 3 1/2 x 4", "box 10 x 5: 0.5 5 5.5 / Window window 3.5 x 4")]
    [InlineData("layer 4 x 4 @1/4 both ends - window 3 x 3 1/2", "layer 4 x 4: 0.25 3.75 / Window window 3 x 3.5")]
    [InlineData("Two pieces 8 x 5.\nPiece one: score at 4\nPiece two: score at 2 and 6", "piece 1 8 x 5: 4 / other piece 1 8 x 5: 2 6")]
    public void Scores_may_be_told_by_their_number(string text, string pieces) => Reads(text, pieces);

    /// <summary>A window that is told by what stays round it is cut from the widest panel.</summary>
    [Theory]
    [InlineData("frame 4 x 5, window 1/2 from every edge", "frame 4 x 5 / Window window 3 x 4")]
    [InlineData("base 8 1/2 x 5 1/2 folded; aperture 3/4 all round", "base 8.5 x 5.5: 4.25 / Window aperture 2.75 x 4")]
    [InlineData("front 5 1/2 x 7, 1/2 walls left and right, window leaves half an inch all round", "front 5.5 x 7: 0.5 5 / Window window 3.5 x 6")]
    [InlineData("Die a 3 square through front", "Window die 3 x 3")]
    [InlineData("layer 5 x 5 with the same 3 square out of it", "Paper layer 5 x 5 / Window window 3 x 3")]
    [InlineData("window die 3 5/8, cut through the front\nlayer 5 x 5, same window", "Window window 3.625 x 3.625 / Paper layer 5 x 5 / Window window 3.625 x 3.625")]
    [InlineData("tunnel 3 1/2 x 17, folds at 4, 8 1/2, 13, window 2 x 7 across middle fold", "tunnel 3.5 x 17: 4 8.5 13 / Window window 2 x 7")]
    [InlineData("box 10 x 5 | 1/2, 5, 5 1/2 | aperture 3 1/2 x 4", "box 10 x 5: 0.5 5 5.5 / Window aperture 3.5 x 4")]
    public void A_window_may_be_told_by_its_frame(string text, string pieces) => Reads(text, pieces);

    /// <summary>A window that leaves nothing is told.</summary>
    [Fact]
    public void A_frame_that_leaves_no_window_is_told() => Assert.Single(OwnListReader.Read("strip 1 x 5, window 1/2 from every edge", DisplayUnit.Inch).Left);

    /// <summary>Where papers go is no name of the next one, and what is not scored needs no figure.</summary>
    [Theory]
    [InlineData("mats: 4 x 5 for the front, 3 1/2 x 5 for the inside and 2 x 5 for the band", "Paper mats 1 4 x 5 / Paper mats 2 3.5 x 5 / Paper mats 3 2 x 5")]
    [InlineData("paper 4 x 5 on the front, 3 x 2 behind it, window 2 x 1 in the front", "Paper paper 1 4 x 5 / Paper paper 2 3 x 2 / Window window 2 x 1")]
    [InlineData("strips: 4 x 1/2 on the left and focal 3 x 3", "strips 4 x 0.5 / focal 3 x 3")]
    [InlineData("first mat 4 3/4 x 6, second 4 1/2 x 5 3/4", "Paper first mat 4.75 x 6 / Paper second 4.5 x 5.75")]
    [InlineData("flap 4 x 2, no scores", "flap 4 x 2")]
    [InlineData("flap 4 x 2 (not scored)", "flap 4 x 2")]
    [InlineData("square tile 3 1/4", "tile 3.25 x 3.25")]
    [InlineData("covers (2 chipboard) 4 1/4 x 4 1/4", "covers 4.25 x 4.25 x2")]
    [InlineData("cover 10 x 5, trim 1/2 off the back", "cover 10 x 5")]
    [InlineData("2 squares of 3 in folded in half", "piece 1 3 x 3 x2: 1.5")]
    [InlineData("6 in wide strip, 11 1/2 in long", "strip 6 x 11.5")]
    [InlineData("base 10\" on the long edge, 7\" on the short edge", "base 10 x 7")]
    [InlineData("Gift bag 4 x 6 x 2\nsheet 12 1/2 x 8, score at 4, 6, 10 and 12", "Finished gift bag 4 x 6 / sheet 12.5 x 8: 4 6 10 12")]
    [InlineData("mats 2 x 4 x 5\nbase 12 x 8", "Paper mats 4 x 5 x2 / base 12 x 8")]
    [InlineData("6x6 card. Cut stock 12 x 6. Score: 3, 6.", "Finished card 6 x 6 / card 12 x 6: 3 6")]
    [InlineData("5 x 6 card base (10 x 6 scored and folded at 5)", "Finished base 5 x 6 / base 10 x 6: 5")]
    public void Places_are_no_names(string text, string pieces) => Reads(text, pieces);

    /// <summary>Figures between two sizes that nothing reads are told.</summary>
    [Fact]
    public void Figures_between_sizes_are_told() => Assert.True(Assert.Single(OwnListReader.Read("box 10 x 5 bent 2 1/2 aperture 3 1/2 x 4", DisplayUnit.Inch).Left).InPart);
}

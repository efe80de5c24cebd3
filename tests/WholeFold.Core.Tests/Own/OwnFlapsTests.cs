using System.Text;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Exchange.Drawings;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>What is scored both ways is cut apart, folded and bonded like any other piece: boxes, lids, bags, pockets, flaps that are folded up first.</summary>
public class OwnFlapsTests
{
    private const string Treats = "base 5 15/16 x 5 15/16, score 1 on all four sides\nlid 5 x 5, score 1/2 on all four sides";
    private const string Bag = "bag 11 x 6, score along the 11 side at 3 1/2, 5 1/4, 8 3/4 and 10 1/2; score along the 6 side at 1 1/4";
    private const string Pocket = "Card 8 1/2 x 5 1/2, score at 4 1/4\npocket 4 x 3 1/2, score 1/2 from each end along the 4 side and 1/2 from the bottom";
    private const string FoldedUp = "card 10 x 8, score along the 10 side at 5; score along the 8 side at 2";

    public static TheoryData<string, string, int, int> Lists => new()
    {
        // How deep it lies when it is folded, in thirty-seconds of an inch, and what bonds there are.
        { "box", Treats, 32, 8 },
        { "lid alone", "lid 5 x 6, score 3/4 on all four sides", 24, 4 },
        { "walls of two heights", "tray 6 x 8; along the 6 side score at 1 and 5; along the 8 side score at 3/4 and 7 1/4", 32, 4 },
        { "bag", Bag, 56, 4 },
        { "tab first", "bag 11 x 6, score along the 11 side at 1/2, 4, 5 3/4 and 9 1/4; score along the 6 side at 1 1/4", 56, 4 },
        { "box with both ends", "carton 11 x 8, score along the 11 side at 3 1/2, 5 1/4, 8 3/4 and 10 1/2; score along the 8 side at 1 1/4 and 6 3/4", 56, 7 },
        { "pocket", Pocket, 0, 3 },
        { "pocket open below", "Card 8 1/2 x 5 1/2, score at 4 1/4\npocket 4 x 3 1/2, score 1/2 from each end along the 4 side and 1/2 from the top", 0, 3 },
        { "two pockets", Pocket.Replace("pocket", "2 pockets", StringComparison.Ordinal), 0, 6 },
        { "folded up first", FoldedUp, 0, 0 },
        { "folded in three", "card 12 x 7, score along the 12 side at 4 and 8; score along the 7 side at 1 1/2", 0, 0 },
        { "walls that fall open", "Base 9 x 9, score at 3 and 6, turn, score at 3 and 6\nlid 4 1/8 x 4 1/8, score 1/2 on all four sides", 96, 4 },
        { "one in the other", "Base 9 x 9, score at 3 and 6, turn, score at 3 and 6\nsecond layer 8 x 8, score at 2 3/4 and 5 1/4, turn, score at 2 3/4 and 5 1/4", 96, 0 },
        { "upright tray", "tray 8 x 5, score 1/2 on all four sides", 16, 4 },
        { "metric box", "base 146 x 146 mm, score 25 mm on all four sides\nlid 118 x 118 mm, score 10 mm on all four sides", 31, 8 },
    };

    private static DesignSpec Spec(string text)
    {
        var list = OwnListReader.Read(text, text.Contains("mm", StringComparison.Ordinal) ? DisplayUnit.Millimetre : DisplayUnit.Inch);
        Assert.Empty(list.Left);
        return OwnConstruction.Design(list, RuleGuess.Of(list, Inventory.Shipped.Formats)!, "box");
    }

    /// <summary>Folded in the hand: every bond closes, every ring of folds, in every format and on every tool, and it stands as high as its walls.</summary>
    [Theory]
    [MemberData(nameof(Lists))]
    public void It_closes(string name, string text, int deep, int bonds)
    {
        var spec = Spec(text);
        var made = spec.Made!.Variants[0];
        Assert.Equal(bonds, made.Bonds.Count(b => !b.Loose));
        Assert.DoesNotContain(made.Watch, w => w.Contains("by hand", StringComparison.Ordinal));
        Assert.Contains(made.Watch, w => w.Contains("is taken to be", StringComparison.Ordinal));
        var sized = 0;
        foreach (var tools in new[] { spec.Tools, "machine", "imperial-eighths", "metric" }.Where(t => t is null || Inventory.Shipped.Tools.Any(k => k.Id == t)))
        {
            var read = Support.Reader.Read(spec with { Tools = tools });
            foreach (var target in Inventory.Shipped.Formats.Where(f => f.Id is "a2" or "5x7" or "6x6" or "a5" or "sq-144").Select(f => new Target(f, false)).Prepend(read.Target))
            {
                if (Attempt.Of(read.Design, target).Card is not { } card)
                {
                    continue;
                }

                sized++;
                Assert.DoesNotContain(card.Closed.Misses, m => m.Bond is null || !card.Construction.Bonds.First(b => b.Id == m.Bond).IsLoose);
                Assert.True(Motion.Of(card.Figures).Frames.All(f => f.Apart < Length.Mm(0.1m)), name);
                if (target == read.Target && tools is null)
                {
                    Assert.True((card.Closed.Deep - Length.In(deep, 32)).Abs() < Length.Mm(1.2m), $"{name}: {card.Closed.Deep.Millimetres} mm deep");
                }
            }
        }

        Assert.True(sized >= 8, $"{name}: {sized} sized");
    }

    /// <summary>What lies in a sheet is all of it: plates, and what is cut off, neither twice nor with holes.</summary>
    [Theory]
    [MemberData(nameof(Lists))]
    public void Plates_and_corners_are_the_sheet(string name, string text, int deep, int bonds)
    {
        Assert.True(deep + bonds >= 0, name);
        var read = Support.Reader.Read(Spec(text));
        var card = Attempt.Of(read.Design, read.Target).Card!;
        foreach (var piece in card.Pieces)
        {
            static double Area(Box box) => (double)box.Width.Units * box.Height.Units;
            var plates = piece.Plates.Sum(p => Area(Box.Round([.. p.Corners])));
            var corners = piece.Openings.Where(o => o.Opening.Kind == CutKind.Notch).Sum(o => Area(Box.Round([.. o.Corners])));
            Assert.Equal((double)piece.Along.Value.Units * piece.Across.Value.Units, plates + corners, 1e-6 * plates);
        }
    }

    /// <summary>Walls of one height on all sides are set together, and lid and box grow alike.</summary>
    [Fact]
    public void Walls_are_one_figure()
    {
        var made = Spec(Treats).Made!.Variants[0];
        Assert.Equal(["base, sides", "lid, sides"], made.Parameters.Select(p => p.Name));
        var read = Support.Reader.Read(Spec(Treats) with { Set = new Dictionary<string, WrittenFigure> { ["p1Panel1"] = new("1 1/2 in") } });
        var card = Attempt.Of(read.Design, read.Target).Card!;
        Assert.True((card.Closed.Deep - Length.In(3, 2)).Abs() < Length.Mm(1));
        var at = card.Pieces[0].Scores;
        Assert.All(at.Where((_, i) => i % 2 == 0), s => Assert.Equal(Length.In(3, 2), s.Figure.Value));
    }

    /// <summary>The lid is turned over, its walls outside those of its box.</summary>
    [Fact]
    public void A_lid_goes_over_its_box()
    {
        var read = Support.Reader.Read(Spec(Treats));
        var card = Attempt.Of(read.Design, read.Target).Card!;
        var (box, lid) = (Of("p1"), Of("p2"));
        Assert.True(box.FaceUp);
        Assert.False(lid.FaceUp);
        Assert.True(lid.Box.Width > box.Box.Width && lid.Box.Width - box.Box.Width < Length.Mm(3));
        PlacedPanel Of(string piece) => card.Closed.Panels.First(p => p.Plate.Piece.Piece == piece && p.Plate.Plate == "panel2");
    }

    /// <summary>What has walls on all sides is as large as it is between them, and walls that fall open are papered like its floor.</summary>
    [Fact]
    public void Walls_that_fall_open_are_papered()
    {
        var spec = Spec("Base 9 x 9, score at 3 and 6, turn, score at 3 and 6\nmats 2 3/4 x 2 3/4 (5)");
        var read = Support.Reader.Read(spec);
        Assert.Equal((Support.In("3"), Support.In("3")), (read.Target.Width, read.Target.Height));
        Assert.Equal(["panel1", "panel2", "panel3", "panel2-foot", "panel2-head"], Assert.Single(spec.Made!.Variants[0].Layers).Panels);
        Assert.Equal((Support.In("4"), Support.In("5")), Support.Reader.Read(Spec("lid 5 x 6, score 1/2 on all four sides")).Target is var lid ? (lid.Width, lid.Height) : default);
    }

    /// <summary>Upright on its sheet it is cut in where its scores are too, and each lid of several lies on a box.</summary>
    [Theory]
    [InlineData(false, 1)]
    [InlineData(true, 1)]
    [InlineData(true, 2)]
    public void It_is_cut_in_where_it_is_scored(bool upright, int copies)
    {
        var list = OwnListReader.Read($"{Treats.Replace("\n", $" ({copies})\n", StringComparison.Ordinal)} ({copies})", DisplayUnit.Inch);
        var guess = RuleGuess.Of(list, Inventory.Shipped.Formats)!;
        var read = Support.Reader.Read(OwnConstruction.Design(list, upright ? guess.Corrected([new(RuleGuess.Opens, 1)]) : guess, "box"));
        var card = Attempt.Of(read.Design, read.Target).Card!;
        Assert.Equal(copies, card.Construction.Bonds.Count(b => b.Id.Contains("over", StringComparison.Ordinal)));
        Assert.Empty(card.Closed.Misses);
        foreach (var piece in card.Pieces)
        {
            Assert.Equal((copies, upright ? Axis.Y : Axis.X), (piece.Piece.Quantity, piece.Piece.Axis));
            Assert.Equal(piece.Scores.Select(s => s.Figure.Value), piece.CutLines.Where(c => c.Edge == "along the score").Select(c => c.First.Value).Order());
        }
    }

    /// <summary>A pocket hides its flaps: they are drawn before it.</summary>
    [Fact]
    public void A_pocket_hides_its_flaps()
    {
        var read = Support.Reader.Read(Spec(Pocket));
        var card = Attempt.Of(read.Design, read.Target).Card!;
        foreach (var frame in Motion.Of(card.Figures).Frames.Where(f => f.Share > 0))
        {
            var drawn = Core.Drawing.Picture.Of(card.Figures, [], frame).Shapes.Select(s => s.Plate).Where(p => p.Piece.Piece == "p2").Select(p => p.Plate).ToList();
            Assert.Equal("panel2", drawn[^1]);
        }
    }

    /// <summary>What goes into a pocket is not glued there.</summary>
    [Fact]
    public void What_lies_in_a_pocket_is_taken_out_again()
    {
        var made = Spec($"{Pocket}\nvoucher 2 3/4 x 2 1/2").Made!.Variants[0];
        var voucher = made.Pieces.Single(p => p.Name == "Voucher").Id;
        var bond = Assert.Single(made.Bonds, b => b.B.Piece == voucher);
        Assert.True(bond.Loose);
        Assert.Equal("Pocket", made.Pieces.Single(p => p.Id == bond.A.Piece).Name);
    }

    /// <summary>Out as a crease pattern and in again it is the same sheets, scored the same both ways; a square’s sides are told apart.</summary>
    [Theory]
    [MemberData(nameof(Lists))]
    public void A_crease_pattern_of_it_comes_back(string name, string text, int deep, int bonds)
    {
        Assert.True(deep + bonds >= 0, name);
        var read = Support.Reader.Read(Spec(text) with { Tools = "machine" });
        var card = Attempt.Of(read.Design, read.Target).Card!;
        var (written, _) = DrawnList.Of(DrawingFile.Read(Encoding.UTF8.GetString(CreasePattern.Write(card, "Kite")), "drawing"), DisplayUnit.Millimetre, "drawing");
        var back = OwnListReader.Read(written, DisplayUnit.Millimetre);
        Assert.Empty(back.Left);
        foreach (var piece in card.Pieces.Where(p => p.Openings.All(o => o.Opening.Kind != CutKind.Notch)))
        {
            static bool Are(IEnumerable<Length> one, IEnumerable<Length> other) => one.Order().ToList() is var a && other.Order().ToList() is var b
                && a.Count == b.Count && a.Zip(b).All(z => (z.First - z.Second).Abs() < Length.Mm(0.3m));
            var (scores, cross) = (piece.Scores.Select(s => s.Figure.Value), piece.Lines.Where(l => l.Axis is { } axis && axis != piece.Piece.Axis).Select(l => l.Figure.Value));
            var upright = piece.Piece.Axis == Axis.Y;
            Assert.True(back.Cards.Any(c => Are(c.AlongFirst == !upright ? c.Scores : c.Cross, scores) && Are(c.AlongFirst == !upright ? c.Cross : c.Scores, cross)), $"{name}: {piece.Piece.Name} is none of {written}");
        }
    }

    /// <summary>What stays uncertain is said: scores in its middle, diagonals, more than two across.</summary>
    [Theory]
    [InlineData("card 8 x 8, score at 4 both ways")]
    [InlineData("piece 8 x 8; score at 2 and 6, turn and score at 1, 2 and 7")]
    public void What_is_no_flap_is_said(string text)
    {
        Assert.Contains(Spec(text).Made!.Variants[0].Watch, w => w.Contains("by hand", StringComparison.Ordinal));
    }

    /// <summary>Its steps bond what it bonds, each once, and its file is the same again.</summary>
    [Theory]
    [MemberData(nameof(Lists))]
    public void Its_steps_bond_it(string name, string text, int deep, int bonds)
    {
        Assert.True(deep >= 0, name);
        var spec = Spec(text);
        var made = spec.Made!.Variants[0];
        Assert.Equal(bonds, made.Steps.Sum(s => s.Bonds.Count));
        Assert.Equal(DesignFile.State(spec), DesignFile.State(DesignFile.Read(DesignFile.Write(spec), "box")));
        var read = Support.Reader.Read(spec);
        Assert.NotEmpty(Core.Guide.Steps.Of(Attempt.Of(read.Design, read.Target).Card!));
    }
}

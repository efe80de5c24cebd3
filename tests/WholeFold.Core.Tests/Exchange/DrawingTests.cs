using System.Diagnostics;
using System.Globalization;
using System.Text;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Exchange.Drawings;
using WholeFold.Core.Input;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Exchange;

/// <summary>Drawings that other programs made are read as measure lists; what was written here comes back; what is hostile is refused.</summary>
public class DrawingTests
{
    private static (OwnList List, IReadOnlyList<string> Left) Read(string text, DisplayUnit unit = DisplayUnit.Millimetre)
    {
        var (list, left) = DrawnList.Of(DrawingFile.Read(text, "drawing"), unit, "drawing");
        var own = OwnListReader.Read(list, unit);
        Assert.Empty(own.Left);
        return (own, left);
    }

    /// <summary>As large, whichever side is named first.</summary>
    private static bool IsAsLarge(OwnPiece piece, Length one, Length other) => (Length.Min(piece.First, piece.Second) - Length.Min(one, other))
        .Abs() < Length.Mm(0.2m) && (Length.Max(piece.First, piece.Second) - Length.Max(one, other)).Abs() < Length.Mm(0.2m);

    /// <summary>Of every construction, each piece comes back from its crease pattern: as large, and with as many straight scores.</summary>
    [Fact]
    public void Every_piece_comes_back_from_its_crease_pattern()
    {
        var (pieces, folds) = (0, 0);
        foreach (var family in ConstructionLibrary.All)
        {
            var read = Support.Reader.Read(new DesignSpec { Construction = family.Id, Format = "6x6", Tools = "machine" });
            if (Attempt.Of(read.Design, read.Target).Card is not { } card)
            {
                continue;
            }

            // What is cut apart comes as the parts that it is cut into.
            var (own, left) = Read(Encoding.UTF8.GetString(CreasePattern.Write(card, "Kite")));
            foreach (var piece in card.Pieces.Where(p => p.Piece.Openings.All(o => o.Kind == Core.Constructions.CutKind.Window || o.IsKnifeWork) && p.Piece.OwnPlates is null))
            {
                pieces++;
                var (along, across) = (piece.Along.Value, piece.Across.Value);
                var back = own.Cards.Where(c => IsAsLarge(c, along, across)).ToList();
                Assert.True(back.Any(b => b.Scores.Count + b.Cross.Count >= piece.Scores.Count), $"{family.Id}: {piece.Piece.Name} {along.Millimetres} × {across.Millimetres} is not among {string.Join("; ", own.Cards.Select(c => $"{c.First.Millimetres} × {c.Second.Millimetres}, {c.Scores.Count}"))}");
                Assert.True(piece.Scores.Count == 0 || back.Any(b => piece.Scores.All(s => b.Scores.Concat(b.Cross).Any(at => (at - s.Figure.Value).Abs() < Length.Mm(0.2m)))), $"{family.Id}: scores of {piece.Piece.Name}");
                Assert.True(back.Any(b => piece.Scores.All(s => !b.Folds.Keys.Any(at => (at - s.Figure.Value).Abs() < Length.Mm(0.2m))
                    || b.Folds.Any(f => (f.Key - s.Figure.Value).Abs() < Length.Mm(0.2m) && f.Value == s.Crease.Fold))), $"{family.Id}: folds of {piece.Piece.Name}");
                folds += back.Max(b => b.Folds.Count);
            }

            Assert.Contains(left, l => l.StartsWith("poses", StringComparison.Ordinal));
        }

        Assert.True(pieces > 40 && folds > 100, $"{pieces}, {folds}");
    }

    /// <summary>And what it comes back as is the card that it was.</summary>
    [Theory]
    [InlineData("gatefold")]
    [InlineData("tier-scene")]
    [InlineData("bay-window-hook")]
    [InlineData("trough-pop-up")]
    public void A_crease_pattern_is_recognised(string construction)
    {
        var read = Support.Reader.Read(new DesignSpec { Construction = construction, Format = "6x6" });
        var (list, _) = DrawnList.Of(DrawingFile.Read(Encoding.UTF8.GetString(CreasePattern.Write(Card.Of(read.Design, read.Target), "Kite")), "drawing"), DisplayUnit.Inch, "drawing");
        var own = OwnDesign.Of(list, DisplayUnit.Inch, Support.Reader, new Recogniser(Support.Reader));
        Assert.Equal(construction, own.Closest[0].Family.Id);
    }

    private const string Svg = """
        <?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:x="http://example.org/x" width="12in" height="8in" viewBox="0 0 864 576">
        <defs><clipPath id="c"><rect width="5" height="5"/></clipPath></defs>
        <g x:label="Cut lines" transform="translate(36,36)"><path d="M0 0h720v306h-720z"/><rect x="400" y="100" width="72" height="72"/></g>
        <g id="scores"><line x1="216" y1="36" x2="216" y2="342" style="stroke:#00f;stroke-dasharray: 4 2"/><path d="M576 36V342"/></g>
        <text x="1" y="1">Base</text><circle cx="100" cy="100" r="20"/>
        </svg>
        """;

    [Fact]
    public void An_svg_is_read_in_its_true_size_by_groups_and_dashes()
    {
        var (own, left) = Read(Svg, DisplayUnit.Inch);
        var piece = Assert.Single(own.Cards);
        Assert.Equal((Support.In("10"), Support.In("4 1/4")), (piece.First, piece.Second));
        Assert.Equal([Support.In("2 1/2"), Support.In("7 1/2")], piece.Scores);
        Assert.Equal(Support.In("1"), own.Pieces.Single(p => p.Kind == OwnKind.Window).First);
        Assert.Contains("curves", left);
        Assert.Contains("words", left);
    }

    /// <summary>A sheet of 100 × 50 mm with a score in the middle, in every unit and by every element that draws a straight line.</summary>
    [Theory]
    [InlineData("width='100mm' height='50mm' viewBox='0 0 100 50'", "<rect width='100' height='50'/><line class='score' x1='50' y1='0' x2='50' y2='50'/>")]
    [InlineData("width='10cm' height='5cm' viewBox='0 0 1000 500'", "<polygon points='0,0 1000,0 1000,500 0,500'/><polyline class='fold' points='500,0 500,500'/>")]
    [InlineData("width='283.465pt' height='141.732pt' viewBox='0 0 100 50'", "<path d='M0 0H100V50H0z'/><path stroke-dasharray='2' d='M50 0v50'/>")]
    [InlineData("width='377.953' height='188.976'", "<rect width='377.953' height='188.976'/><path id='crease' d='M188.976 0v188.976'/>")]
    [InlineData("width='200mm' height='200mm' viewBox='0 0 200 200'", "<g transform='translate(120,20) rotate(90)'><rect width='50' height='100'/><path class='valley' transform='scale(10)' d='M0 5H5'/></g>")]
    [InlineData("width='200mm' height='200mm' viewBox='0 0 200 200'", "<g transform='matrix(-2 0 0 2 150 10)'><rect width='50' height='25' transform='rotate(180, 25, 12.5)'/><line class='score' x1='25' y1='0' x2='25' y2='25'/></g>")]
    [InlineData("width='50%' height='100mm' viewBox='0 0 200 100'", "<g transform='translate(20 10)'><g transform='translate(5)'><rect width='100' height='50'/><path class='valley' d='M50 0V50'/></g></g>")]
    public void An_svg_is_the_same_sheet_in_every_unit_and_element(string size, string shapes)
    {
        var (own, _) = Read($"<svg xmlns='http://www.w3.org/2000/svg' {size}>{shapes}</svg>");
        var piece = Assert.Single(own.Cards);
        Assert.InRange((piece.First - Length.Mm(100)).Abs().Units, 0, 40);
        Assert.InRange((piece.Second - Length.Mm(50)).Abs().Units, 0, 40);
        Assert.InRange((Assert.Single(piece.Scores) - Length.Mm(50)).Abs().Units, 0, 40);
    }

    [Theory]
    [InlineData("mm", 100)]
    [InlineData("cm", 10)]
    [InlineData("in", 3.937008)]
    [InlineData("m", 0.1)]
    [InlineData("unit", 100)]
    public void A_crease_pattern_is_the_same_sheet_in_every_unit(string unit, double wide)
    {
        string N(double share) => (share * wide).ToString("R", CultureInfo.InvariantCulture);
        var (own, _) = Read(Pattern(places: $"[0,0],[{N(1)},0],[{N(1)},{N(0.5)}],[0,{N(0.5)}],[{N(0.5)},0],[{N(0.5)},{N(0.5)}]", unit: unit));
        Assert.InRange((Assert.Single(own.Cards).First - Length.Mm(100)).Abs().Units, 0, 40);
    }

    [Fact]
    public void Pieces_alike_are_counted_and_what_runs_slantwise_is_said()
    {
        var (own, left) = Read("<svg width='300mm' height='100mm' viewBox='0 0 300 100'><rect width='50' height='80'/><rect x='60' width='50' height='80'/><rect x='120' width='90' height='80'/><path class='score' d='M120 0L210 80'/></svg>");
        Assert.Equal([(1, Length.Mm(90)), (2, Length.Mm(50))], own.Cards.Select(c => (c.Quantity, c.First)));
        Assert.Contains("scores that run slantwise", left);
        Assert.All(own.Cards, c => Assert.Empty(c.Scores));
    }

    [Fact]
    public void What_a_dxf_cannot_give_is_said_and_its_remarks_are_no_lines()
    {
        static string Line(string layer, double x1, double y1, double x2, double y2) => string.Create(CultureInfo.InvariantCulture, $"  0\nLINE\n  8\n{layer}\n 10\n{x1}\n 20\n{y1}\n 11\n{x2}\n 21\n{y2}\n");
        var sides = Line("CUT", 0, 0, 90, 0) + Line("CUT", 90, 0, 90, 60) + Line("CUT", 90, 60, 0, 60) + Line("CUT", 0, 60, 0, 0);
        var (own, left) = Read("  0\nSECTION\n  2\nENTITIES\n" + sides + Line("NOTE", 0, 30, 90, 30) + Line("MOUNTAIN", 30, 0, 30, 60) + "  0\nINSERT\n  2\nEVIL\n  0\nTEXT\n  1\nhello\n  0\nENDSEC\n  0\nEOF\n");
        var piece = Assert.Single(own.Cards);
        Assert.Equal([Length.Mm(30)], piece.Scores);
        Assert.Empty(piece.Cross);
        Assert.Contains("blocks, which are not followed", left);
        Assert.Contains("words", left);
    }

    private const string Dxf = "  0\nSECTION\n  2\nHEADER\n  9\n$INSUNITS\n 70\n1\n  0\nENDSEC\n  0\nSECTION\n  2\nENTITIES\n  0\nLWPOLYLINE\n  8\n0\n 90\n4\n 70\n1\n 10\n0\n 20\n0\n 10\n11\n 20\n0\n 10\n11\n 20\n4.25\n 10\n0\n 20\n4.25\n  0\nLINE\n  8\nSCORE\n 10\n5.5\n 20\n0\n 11\n5.5\n 21\n4.25\n  0\nCIRCLE\n  8\n0\n 10\n2\n 20\n2\n 40\n1\n  0\nENDSEC\n  0\nEOF\n";

    [Fact]
    public void A_dxf_is_read_by_layers_and_in_its_unit()
    {
        var (own, left) = Read(Dxf, DisplayUnit.Inch);
        var piece = Assert.Single(own.Cards);
        Assert.Equal((Support.In("11"), Support.In("4 1/4")), (piece.First, piece.Second));
        Assert.Equal([Support.In("5 1/2")], piece.Scores);
        Assert.Equal(["curves"], left);
    }

    [Fact]
    public void What_was_written_as_a_dxf_comes_back()
    {
        var page = new Page(400, 200, [new Part(Reads.Figure, [
            new Mark.Path([[(10, 10), (290, 10), (290, 150), (10, 150)]], true, Pen.Cut, Class: "cut"),
            new Mark.Path([[(80, 10), (80, 150)]], false, Pen.Valley, Class: "valley"), new Mark.Path([[(220, 10), (220, 150)]], false, Pen.Valley, Class: "mountain"),
            new Mark.Text(10, 9, 3, "Base"),
        ])]);
        var (own, left) = Read(Encoding.Latin1.GetString(PageDxf.Write(page)));
        var piece = Assert.Single(own.Cards);
        Assert.Equal((Length.Mm(280), Length.Mm(140)), (piece.First, piece.Second));
        Assert.Equal([Length.Mm(70), Length.Mm(210)], piece.Scores);
        Assert.Equal([Fold.Valley, Fold.Mountain], piece.Scores.Select(at => piece.Folds[at]));
        Assert.DoesNotContain(left, l => l.Contains("which way", StringComparison.Ordinal));
    }

    private static string Pattern(string more = "", string places = "[0,0],[10,0],[10,5],[0,5],[5,0],[5,5]", string edges = "[0,4],[4,1],[1,2],[2,5],[5,3],[3,0],[4,5]", string unit = "in") =>
        $$"""{"file_spec":1.1,"frame_unit":"{{unit}}","vertices_coords":[{{places}}],"edges_vertices":[{{edges}}],"edges_assignment":["B","B","B","B","B","B","V"]{{more}}}""";

    [Fact]
    public void A_crease_pattern_of_another_program_becomes_a_piece()
    {
        var (own, _) = Read(Pattern(), DisplayUnit.Inch);
        var piece = Assert.Single(own.Cards);
        Assert.Equal((Support.In("10"), Support.In("5"), Support.In("5")), (piece.First, piece.Second, piece.Scores.Single()));
    }

    /// <summary>Huge, deep, cyclic, in no unit, no number, a bomb of entities: refused at once, with the reason.</summary>
    [Fact]
    public void What_is_hostile_is_refused_with_the_reason_and_in_no_time()
    {
        var clock = Stopwatch.StartNew();
        foreach (var (text, why) in new (string, string)[]
        {
            (new string(' ', 10) + "{" + new string('x', 2_000_000), "characters"),
            (string.Concat(Enumerable.Repeat("{\"a\":", 5000)), "deep"),
            (Pattern(unit: "parsec"), "parsec"),
            (Pattern(places: "[0,0],[NaN,1]"), "no JSON"),
            (Pattern(places: "[0,0],[1e999,1],[1,1]"), "pair of numbers"),
            (Pattern(places: "[0,0],[1e9,0],[10,5],[0,5],[5,0],[5,5]"), "no number a sheet could have"),
            (Pattern(edges: "[0,99]"), "does not run between"),
            (Pattern(edges: "[0,1],[1,1],[1,0]"), "goes round"),
            (Pattern(places: "[0,0,3],[10,0,0],[10,5,0],[0,5,0],[5,0,0],[5,5,0]"), "flat"),
            (Pattern(",\"file_frames\":[" + string.Join(',', Enumerable.Repeat("{\"frame_parent\":1,\"frame_inherit\":true}", 500)) + "]"), "frames"),
            ("<!DOCTYPE a [<!ENTITY b \"bbbbbbbbbb\"><!ENTITY c \"&b;&b;&b;&b;\">]><svg>&c;</svg>", "entities"),
            ("<svg><script>alert(1)</script></svg>", "script"),
            ("<svg onload='x()'/>", "onload"),
            (string.Concat(Enumerable.Repeat("<g>", 5000)), "deep"),
            ("<svg width='5parsec' height='1'/>", "parsec"),
            ("<svg width='10mm' height='10mm' viewBox='0 0 10 10'><g transform='perspective(45)'><path d='M0 0L9 9'/></g></svg>", "placed by"),
            ("<svg width='10mm' height='10mm' viewBox='0 0 10 10'><g transform='rotate(1,2)'><path d='M0 0L9 9'/></g></svg>", "placed by"),
            ("<svg width='10mm' height='10mm' viewBox='0 0 10 10'>" + string.Concat(Enumerable.Repeat("<g transform='scale(1e9)'>", 30)) + "<path d='M0 0L9 9'/>", "no number a sheet could have"),
            ("<svg><path d='M0 0L9'/></svg>", "middle of a line"),
            ("<svg><circle r='4'/></svg>", "curves"),
            ("  0\nSECTION\n  2\nENTITIES\n  0\nLINE\n 10\nNaN\n 20\n0\n", "no number"),
            ("  0\nSECTION\n  2\nHEADER\n  9\n$INSUNITS\n 70\n20\n", "unit"),
            ("  0\nSECTION\n what\n", "no code"),
            ("  0\nSECTION\n  2\nENTITIES\n" + string.Concat(Enumerable.Repeat("  0\nLINE\n 10\n1\n 20\n1\n 11\n5\n 21\n9\n", 22_000)), "more than"),
            ("a shopping list", "begins like none"),
        })
        {
            var refused = Assert.Throws<InputProblemException>(() => Read(text));
            Assert.Contains(why, refused.Reason, StringComparison.Ordinal);
            Assert.Contains("FOLD", refused.Accepted, StringComparison.Ordinal);
        }

        Assert.True(clock.Elapsed < TimeSpan.FromSeconds(20), $"{clock.Elapsed}");
    }
}

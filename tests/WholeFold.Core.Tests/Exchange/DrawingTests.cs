using System.Diagnostics;
using System.Text;
using WholeFold.Core.Cards;
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
    private static bool IsAsLarge(OwnPiece piece, Length one, Length other) => (Length.Min(piece.First, piece.Second) - Length.Min(one, other)).Abs() < Length.Mm(0.2m) && (Length.Max(piece.First, piece.Second) - Length.Max(one, other)).Abs() < Length.Mm(0.2m);

    /// <summary>Of every construction, each piece comes back from its crease pattern: as large, and with as many straight scores.</summary>
    [Fact]
    public void Every_piece_comes_back_from_its_crease_pattern()
    {
        var pieces = 0;
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
            }

            Assert.Contains(left, l => l.StartsWith("poses", StringComparison.Ordinal));
        }

        Assert.True(pieces > 40, $"{pieces}");
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
        Assert.Contains(left, l => l.StartsWith("which way", StringComparison.Ordinal));
    }

    private static string Fold(string more = "", string places = "[0,0],[10,0],[10,5],[0,5],[5,0],[5,5]", string edges = "[0,4],[4,1],[1,2],[2,5],[5,3],[3,0],[4,5]", string unit = "in") =>
        $$"""{"file_spec":1.1,"frame_unit":"{{unit}}","vertices_coords":[{{places}}],"edges_vertices":[{{edges}}],"edges_assignment":["B","B","B","B","B","B","V"]{{more}}}""";

    [Fact]
    public void A_crease_pattern_of_another_program_becomes_a_piece()
    {
        var (own, _) = Read(Fold(), DisplayUnit.Inch);
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
            (Fold(unit: "parsec"), "parsec"),
            (Fold(places: "[0,0],[NaN,1]"), "no JSON"),
            (Fold(places: "[0,0],[1e999,1],[1,1]"), "pair of numbers"),
            (Fold(places: "[0,0],[1e9,0],[10,5],[0,5],[5,0],[5,5]"), "no number a sheet could have"),
            (Fold(edges: "[0,99]"), "does not run between"),
            (Fold(edges: "[0,1],[1,1],[1,0]"), "goes round"),
            (Fold(places: "[0,0,3],[10,0,0],[10,5,0],[0,5,0],[5,0,0],[5,5,0]"), "flat"),
            (Fold(",\"file_frames\":[" + string.Join(',', Enumerable.Repeat("{\"frame_parent\":1,\"frame_inherit\":true}", 500)) + "]"), "frames"),
            ("<!DOCTYPE a [<!ENTITY b \"bbbbbbbbbb\"><!ENTITY c \"&b;&b;&b;&b;\">]><svg>&c;</svg>", "entities"),
            ("<svg><script>alert(1)</script></svg>", "script"),
            ("<svg onload='x()'/>", "onload"),
            (string.Concat(Enumerable.Repeat("<g>", 5000)), "deep"),
            ("<svg width='5parsec' height='1'/>", "parsec"),
            ("<svg width='10mm' height='10mm' viewBox='0 0 10 10'><g transform='rotate(45)'><path d='M0 0L9 9'/></g></svg>", "turned"),
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

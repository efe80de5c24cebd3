using System.Xml.Linq;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Drawing;

/// <summary>Pages as SVG, shapes to draw round, and the captions of a run.</summary>
public class PageTests
{
    private static readonly XNamespace Svg = "http://www.w3.org/2000/svg";

    private static XElement Written(Page page, string title = "Kite") => XDocument.Parse(PageSvg.Write(page, title)).Root!;

    [Fact]
    public void A_page_is_in_true_size_and_says_what_each_line_is()
    {
        var root = Written(new Page(210, 297, [new Part(Reads.Figure,
            [new Mark.Path([[(10, 10), (110, 10), (110, 60)]], true, Pen.Cut, Class: "cut"),
            new Mark.Path([[(20, 10), (20, 60)]], false, Pen.Valley, Class: "valley")], "a base")]));
        Assert.Equal(("210mm", "297mm", "0 0 210 297"), (root.Attribute("width")!.Value, root.Attribute("height")!.Value, root.Attribute("viewBox")!.Value));
        var paths = root.Descendants(Svg + "path").ToList();
        Assert.Equal(["cut", "valley"], paths.Select(p => p.Attribute("class")!.Value));
        Assert.Equal("M10 10L110 10L110 60z", paths[0].Attribute("d")!.Value);
        Assert.Null(paths[0].Attribute("stroke-dasharray"));
        Assert.Equal("3 1.5", paths[1].Attribute("stroke-dasharray")!.Value);
        Assert.Equal("a base", root.Descendants(Svg + "desc").Single().Value);
        Assert.Equal("Kite", root.Element(Svg + "title")!.Value);
    }

    [Fact]
    public void For_a_machine_scores_come_before_cuts_and_what_is_inside_before_what_is_round_it()
    {
        var page = new Page(210, 100, [new Part(Reads.Figure,
        [
            new Mark.Path([[(10, 10), (110, 10), (110, 60), (10, 60)]], true, Pen.Cut, Class: "cut"),
            new Mark.Path([[(20, 20), (30, 20), (25, 30)]], true, Pen.Cut, Class: "cut"),
            new Mark.Path([[(60, 10), (60, 30)], [(60, 40), (60, 60)]], false, Pen.Valley, Class: "valley"),
            new Mark.Text(10, 9, 3, "Café 2½ · 好\n  0\nEOF"),
        ])]);
        var lines = System.Text.Encoding.Latin1.GetString(PageDxf.Write(page)).Split('\n')[..^1];
        Assert.Equal(0, lines.Length % 2);
        var groups = lines.Chunk(2).Select(g => (Code: int.Parse(g[0].Trim(), System.Globalization.CultureInfo.InvariantCulture), Value: g[1])).ToList();

        // Whatever a name holds, the file ends where it ends, once.
        Assert.Equal((0, "EOF"), groups[^1]);
        Assert.Single(groups, g => g == (0, "EOF"));
        Assert.Equal("Café 2½ · ?   0 EOF", groups.Last(g => g.Code == 1).Value);
        var drawn = groups[groups.IndexOf((2, "ENTITIES"))..];
        Assert.Equal(["VALLEY", "VALLEY", "CUT", "CUT", "NOTE"], drawn.Select((g, i) => (g, i)).Where(x => x.g is (0, "POLYLINE" or "TEXT")).Select(x => drawn[x.i + 1].Value));
        Assert.Equal(["0", "0", "1", "1"], drawn.Where(g => g.Code == 70).Select(g => g.Value));

        // The triangle before the plate; what is down on a page is up from its foot here.
        var corners = drawn.Select((g, i) => (g, i)).Where(x => x.g == (0, "VERTEX")).Select(x => (drawn[x.i + 2].Value, drawn[x.i + 3].Value)).ToList();
        Assert.Equal(("60.0", "90.0"), corners[0]);
        Assert.Equal([("20.0", "80.0"), ("30.0", "80.0"), ("25.0", "70.0"), ("10.0", "90.0")], corners[4..8]);
    }

    [Fact]
    public void Signs_in_a_text_are_text_and_spaces_are_kept()
    {
        var text = Written(new Page(10, 10, [new Part(Reads.Paragraph, [new Mark.Text(1, 2, 3, "2 <b>&\"½\" ", Bold: true)])]), "<script>").Descendants(Svg + "text").Single();
        Assert.Equal("2 <b>&\"½\" ", text.Value);
        Assert.Equal(("700", "preserve"), (text.Attribute("font-weight")!.Value, text.Attribute(XNamespace.Xml + "space")!.Value));
    }

    [Fact]
    public void What_is_clipped_is_clipped_and_a_ground_lies_behind_all()
    {
        var root = Written(new Page(10, 10, [new Part(Reads.Figure, [], "x", (1, 2, 3, 4)), new Part(Reads.Nothing, [])], "#f4ecdd"));
        var clip = root.Descendants(Svg + "clipPath").Single();
        Assert.Equal(("1", "4"), (clip.Elements().Single().Attribute("x")!.Value, clip.Elements().Single().Attribute("height")!.Value));
        Assert.Contains(root.Elements(Svg + "g"), g => g.Attribute("clip-path")?.Value == $"url(#{clip.Attribute("id")!.Value})");
        Assert.Equal("#f4ecdd", root.Element(Svg + "rect")!.Attribute("fill")!.Value);
        Assert.Empty(Written(new Page(10, 10, [])).Elements(Svg + "rect"));
    }

    [Fact]
    public void A_shape_to_draw_round_lies_inside_what_it_is_for_and_as_near_as_a_shade()
    {
        var card = Support.Size(Support.Spec("tier-scene", "5x7") with
        {
            Turn = true,
            Dressing = new DressingSpec { Contours = [new ContourSpec("hills", "tier1", "hills", "1/2 in")],
                Elements = [new ElementSpec("moon", "back", "moon", "polygon", ["2 in", "2 in"], Motif: "moon"),
                new ElementSpec("label", "back", "label", Size: ["1 in", "1 in"]), new ElementSpec("ink", "back", "ink", "polygon", ["1 in", "1 in"], Made: "stamped", Motif: "star")] },
        });
        var shade = Length.Mm(0.3m);
        var drawn = DrawRound.Of(card, shade);

        // A contour, the paper that follows it and a moon, but neither a rectangle, which is cut with straight cuts, nor ink.
        Assert.Equal(3, drawn.Count);
        Assert.Contains(drawn, d => d.Name == "moon");
        Assert.Contains(drawn, d => d.Name.StartsWith("contour above", StringComparison.Ordinal));
        Assert.DoesNotContain(drawn, d => d.Name is "label" or "ink");
        foreach (var one in drawn)
        {
            Assert.Equal((Length.Zero, Length.Zero), (one.Outline.Min(p => p.X), one.Outline.Min(p => p.Y)));
            Assert.Equal((one.Width, one.Height), (one.Outline.Max(p => p.X), one.Outline.Max(p => p.Y)));
        }

        var (under, whole) = (drawn.Single(d => d.Name == "moon"), DrawRound.Of(card, Length.Zero).Single(d => d.Name == "moon"));
        Assert.InRange((whole.Width - under.Width).Millimetres, 0.5m, 1.5m);
    }

    private static readonly Screen[] Screens = [new("a.1", 0, 0, "score the base", null, Words.Of($"Valley at {Length.In(5, 2)}."), null, []),
        new("a.2", 0, 1, "score the base", null, Words.Of($"Mountain."), null, []), new("b", 1, null, "fold", null, Words.Of($"Fold it."), null, [])];

    [Fact]
    public void A_run_becomes_captions_one_a_screen_and_chapters_one_a_step()
    {
        ShownAt[] run = [new("a.1", 0), new("a.2", 12.4), new("b", 3671)];
        Assert.Equal("WEBVTT\n\n00:00:00.000 --> 00:00:12.000\nValley at 2 1/2.\n\n00:00:12.000 --> 01:01:11.000\nMountain.\n\n01:01:11.000 --> 01:01:20.000\nFold it.\n", Captions.WebVtt(Screens, run, 3680, DisplayUnit.Inch));
        Assert.Equal("00:00:00 Score the base\n01:01:11 Fold\n", Captions.Chapters(Screens, run, 3680));
    }

    [Theory]
    [InlineData("z", 0, 10)]
    [InlineData("b", -1, 10)]
    [InlineData("b", 20, 10)]
    [InlineData("b", double.NaN, 10)]
    [InlineData("b", 0, 1e9)]
    public void Times_that_cannot_be_are_refused_with_their_place(string screen, double at, double end) =>
        Assert.StartsWith("run[0].", Assert.Throws<InputProblemException>(() => Captions.WebVtt(Screens, [new(screen, at)], end, DisplayUnit.Inch)).Field, StringComparison.Ordinal);
}

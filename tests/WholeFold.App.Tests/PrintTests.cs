using System.Text.Json;
using System.Xml.Linq;
using UglyToad.PdfPig;
using WholeFold.App.Cli;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Print;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>Hand-outs, read back by readers that know nothing of how they were written.</summary>
public sealed class PrintTests : IDisposable
{
    private const double PointsPerMillimetre = 72 / 25.4;

    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private readonly string _folder = Directory.CreateTempSubdirectory("wholefold-print-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static DesignSpec Spec(string construction, string format = "5x7") => new() { Name = "Market lanterns", Construction = construction, Format = format };

    private static HandOut Ask(DesignSpec spec, Paper? paper = null, int cards = 1)
    {
        var read = Reader.Read(spec);
        return new HandOut(Card.Of(read.Design, read.Target, Cancel), spec.Name, read.Target.Format.System.UnitOf(), paper ?? Paper.A4, cards);
    }

    private static PdfDocument Read(HandOut ask, HandOutKind kind) => PdfDocument.Open(ask.Write(kind, "pdf", cancel: Cancel).Bytes);

    /// <summary>What a person would copy out of it, without the spaces.</summary>
    private static string Solid(string text) => string.Concat(text.Where(c => !char.IsWhiteSpace(c)));

    private static DesignSpec Dressed(DesignSpec spec) => spec with
    {
        Dressing = new DressingSpec
        {
            Windows = [new WindowSpec("eye", "front", Size: ["1 in", "1 in"], Place: new PlaceSpec("head", [new FromSpec("head", "1/2 in")]))],
            Elements = [new ElementSpec("lantern", "inside", Size: ["1 1/4 in", "1 3/4 in"], Shape: "polygon", Motif: "lantern", Height: "1 mm"), new ElementSpec("greeting", "inside", Size: ["2 in", "3/8 in"], Made: "stamped", Place: new PlaceSpec("foot"))],
            Soft = [new SoftSpec("ribbon", "front", "ribbon", "bow", "3/8 in")],
        },
    };

    [Fact]
    public void Every_construction_is_on_a_page_or_two_at_nine_points()
    {
        foreach (var (family, i) in ConstructionLibrary.All.Select((f, i) => (f, i)))
        {
            var ask = Ask(Spec(family.Id, i % 2 == 0 ? "6x6" : "a5"), i % 3 == 0 ? Paper.Letter : Paper.A4);
            using var pdf = Read(ask, HandOutKind.Sheet);
            Assert.InRange(pdf.NumberOfPages, 1, 2);
            var page = pdf.GetPage(1);
            Assert.Equal((ask.Paper.Width * PointsPerMillimetre, ask.Paper.Height * PointsPerMillimetre), (page.Width, page.Height),
                (a, b) => Math.Abs(a.Item1 - b.Item1) < 0.3 && Math.Abs(a.Item2 - b.Item2) < 0.3);

            // Nothing is set so small that it cannot be read, nothing off the page; every font is embedded.
            var least = page.Letters.Where(l => char.IsAsciiLetter(l.Value[0])).Min(l => l.PointSize);
            Assert.True(least > 8.9, $"{family.Id}: {least}");
            Assert.All(page.Letters.Where(l => !string.IsNullOrWhiteSpace(l.Value)), l => Assert.True(l.BoundingBox.Left >= 0 && l.BoundingBox.Right <= page.Width && l.BoundingBox.Bottom >= 0, $"{family.Id}: {l.Value} at {l.BoundingBox}"));
            Assert.All(page.Letters.Select(l => l.FontName!).Distinct(), n => Assert.Matches("^[A-Z]{6}[+]Inter", n));
            Assert.Equal(ask.Title, pdf.Information.Title);
        }
    }

    [Fact]
    public void A_pdf_has_a_language_a_title_that_is_shown_and_an_order_in_which_it_is_read()
    {
        var raw = System.Text.Encoding.Latin1.GetString(Ask(Dressed(Spec("plain-fold"))).Write(HandOutKind.Booklet, cancel: Cancel).Bytes);
        foreach (var said in new[] { "/StructTreeRoot", "/Lang", "en-GB", "/DisplayDocTitle true", "/MarkInfo" })
        {
            Assert.Contains(said, raw, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("plain-fold", "a6-us", "a4")]
    [InlineData("stair-step", "5x7", "letter")]
    [InlineData("twist-pop", "a5", "a4")]
    public void Templates_are_full_size_over_as_many_pages_as_it_takes(string construction, string format, string paper)
    {
        var ask = Ask(Spec(construction, format), Paper.Of(paper));
        var pages = ask.Pages(HandOutKind.Templates, cancel: Cancel);
        using var pdf = Read(ask, HandOutKind.Templates);
        Assert.Equal(pages.Count, pdf.NumberOfPages);
        foreach (var page in pdf.GetPages())
        {
            // The check rectangles measure what they say, to a tenth of a millimetre.
            var sizes = page.Paths.Select(p => p.GetBoundingRectangle()).Where(b => b is not null)
                .Select(b => (Wide: b!.Value.Width / PointsPerMillimetre, High: b.Value.Height / PointsPerMillimetre)).ToList();
            Assert.Contains(sizes, s => Math.Abs(s.Wide - 25.4) < 0.1 && Math.Abs(s.High - 12.7) < 0.1);
            Assert.Contains(sizes, s => Math.Abs(s.Wide - 50) < 0.1 && Math.Abs(s.High - 10) < 0.1);
        }

        // Every piece is there as large as it is, clipped to its page or not.
        var drawn = pdf.GetPages().SelectMany(p => p.Paths).Select(p => p.GetBoundingRectangle()).Where(b => b is not null)
            .Select(b => (Wide: b!.Value.Width / PointsPerMillimetre, High: b.Value.Height / PointsPerMillimetre)).ToList();
        Assert.All(ask.Card.Pieces, p => Assert.Contains(drawn, d => Math.Abs(d.Wide - (double)p.Width.Value.Millimetres) < 0.1 && Math.Abs(d.High - (double)p.Height.Value.Millimetres) < 0.1));

        // Solid, dashes, dash and dot: told apart in black only, and by a letter.
        var letters = pages.SelectMany(p => p.Parts).SelectMany(p => p.Marks).OfType<Core.Drawing.Mark.Text>().Select(t => t.Words).ToList();
        var folds = ask.Card.Pieces.SelectMany(p => p.AllScores).Select(s => s.Crease.Fold).ToList();
        Assert.Equal((folds.Contains(Core.Constructions.Fold.Mountain), folds.Contains(Core.Constructions.Fold.Valley)), (letters.Contains("M"), letters.Contains("V")));
        Assert.All(pages.SelectMany(p => p.Parts).SelectMany(p => p.Marks).OfType<Core.Drawing.Mark.Path>().Where(m => m.Class is "cut" or "valley" or "mountain"),
            m => Assert.Equal(Core.Drawing.Pen.Black, m.Pen!.Colour));
    }

    [Fact]
    public void Over_two_pages_the_parts_overlap_and_together_are_as_long_as_the_piece()
    {
        var ask = Ask(Spec("plain-fold", "a5"));
        var tiles = ask.Pages(HandOutKind.Templates, cancel: Cancel).Where(p => p.Parts.Any(x => x.Said?.StartsWith("Base", StringComparison.Ordinal) == true)).ToList();
        Assert.True(tiles.Count > 1);
        var parts = tiles.Select(t => t.Parts.Single(x => x.Said?.StartsWith("Base", StringComparison.Ordinal) == true)).ToList();
        var lefts = parts.Select(p => p.Marks.OfType<Core.Drawing.Mark.Path>().SelectMany(m => m.Lines).SelectMany(l => l).Min(c => c.X) - p.Clip!.Value.Left).Distinct().OrderDescending().ToList();
        for (var i = 1; i < lefts.Count; i++)
        {
            // The next page begins before this one has ended: by an overlap that paper can be laid over.
            var shift = lefts[i - 1] - lefts[i];
            Assert.InRange(parts[0].Clip!.Value.Width - shift, 9, 12);
        }
    }

    [Fact]
    public void A_shape_to_draw_round_is_a_shade_smaller_than_what_it_is_for()
    {
        var ask = Ask(Dressed(Spec("plain-fold")));
        var lantern = Core.Drawing.DrawRound.Of(ask.Card, Length.Mm(0.3m)).Single(d => d.Name == "lantern");
        Assert.InRange((Length.In(5, 4) - lantern.Width).Millimetres, 0.55m, 1.2m);
        Assert.InRange((Length.In(7, 4) - lantern.Height).Millimetres, 0.55m, 1.2m);
        Assert.Contains(ask.Pages(HandOutKind.Templates, cancel: Cancel), p => p.Parts.Any(x => x.Said?.StartsWith("lantern", StringComparison.Ordinal) == true));
    }

    [Fact]
    public void A_booklet_has_every_step_with_its_figures_in_both_systems_and_its_cautions()
    {
        var ask = Ask(Dressed(Spec("plain-fold")), cards: 12);
        using var pdf = Read(ask, HandOutKind.Booklet);
        var text = Solid(string.Concat(pdf.GetPages().Select(p => p.Text)));
        var inches = System.Text.RegularExpressions.Regex.Replace(text, @"·[\d.,×]+?(?:(?:and|by|to)[\d.,×]+?)*cm|\([\d.×]+c?mm?\)", "");
        foreach (var step in ask.Steps)
        {
            Assert.Contains(Solid(step.Say.Write(ask.Unit)), inches, StringComparison.Ordinal);
            Assert.All(ask.FiguresOf(step), f => Assert.Contains(Solid(LengthWriter.Beside(ask.Card.Second!.Figure(f.Figure.Id)!.Value,
                DisplayUnit.Centimetre).Text.Trim('(', ')').Replace(" mm", "", StringComparison.Ordinal)), text, StringComparison.Ordinal));
            Assert.All(step.Cautions, c => Assert.Contains(Solid(Core.Guide.Steps.Cautions[c]), text, StringComparison.Ordinal));
        }
    }

    [Fact]
    public void Kits_cut_lists_and_plain_texts_count_for_all_the_cards()
    {
        var ask = Ask(Dressed(Spec("plain-fold")), cards: 12);
        using var kits = Read(ask, HandOutKind.Kit);
        Assert.Equal(12, kits.NumberOfPages);
        Assert.Contains("kit7of12", Solid(kits.GetPage(7).Text), StringComparison.Ordinal);
        var csv = System.Text.Encoding.UTF8.GetString(ask.Write(HandOutKind.Cuts, "csv", cancel: Cancel).Bytes).Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        Assert.Equal("from,what,each,for all,width in,height in,width cm,height cm,note", csv[0]);
        Assert.Contains(csv, l => l.StartsWith("Sail 270,Base,1,12,10,7,25.4,17.7,scored at 5 in", StringComparison.Ordinal));
        Assert.Contains(csv, l => l.StartsWith("off the roll,ribbon,1,12,", StringComparison.Ordinal));
        var text = System.Text.Encoding.UTF8.GetString(ask.Write(HandOutKind.Text, cancel: Cancel).Bytes);
        Assert.Contains("- Base: 10 × 7 in, scored at 5", text, StringComparison.Ordinal);
        Assert.Contains("- window eye in front, outside: 1 × 1 in", text, StringComparison.Ordinal);
    }

    [Fact]
    public void Whoever_reads_in_the_other_system_gets_figures_that_her_tools_can_set()
    {
        var spec = Spec("tier-scene", "a6-iso");
        var read = Reader.Read(spec);
        var card = Card.Of(read.Design, read.Target, Cancel);
        var text = System.Text.Encoding.UTF8.GetString(new HandOut(card, "x", DisplayUnit.Inch, Paper.Letter).Write(HandOutKind.Text, cancel: Cancel).Bytes);
        Assert.DoesNotContain("/32", text.Split("Measures")[1], StringComparison.Ordinal);
        var own = System.Text.Encoding.UTF8.GetString(new HandOut(card, "x", DisplayUnit.Centimetre, Paper.A4).Write(HandOutKind.Text, cancel: Cancel).Bytes);
        Assert.DoesNotContain("scant", own, StringComparison.Ordinal);

        // A bag's page has the same pair as every other.
        using var kit = PdfDocument.Open(new HandOut(card, "x", DisplayUnit.Inch, Paper.Letter).Write(HandOutKind.Kit, "pdf", cancel: Cancel).Bytes);
        Assert.Contains(Solid(LengthWriter.Write(card.Second!.Pieces[0].Width.Value, DisplayUnit.Inch)), Solid(kit.GetPage(1).Text), StringComparison.Ordinal);
    }

    [Fact]
    public void A_picture_has_its_ground_or_none_and_its_figures_are_drawn()
    {
        var ask = Ask(Dressed(Spec("plain-fold")));
        foreach (var (background, step) in new (bool, int?)[] { (true, null), (false, null), (false, 1) })
        {
            using var picture = SkiaSharp.SKBitmap.Decode(ask.Write(HandOutKind.Picture, "png", background, step, cancel: Cancel).Bytes);
            Assert.Equal((1200, 1200), (picture.Width, picture.Height));
            Assert.Equal(background ? 255 : 0, picture.GetPixel(3, 3).Alpha);

            // Where the figures stand there is ink, which there is not when the renderer has no typeface.
            var dark = Enumerable.Range(950, 100).SelectMany(y => Enumerable.Range(80, 500).Select(x => picture.GetPixel(x, y))).Count(p => p.Alpha > 200 && p.Red < 80);
            Assert.True(dark > 800, $"{dark} dark dots");
        }

        var svg = XDocument.Parse(System.Text.Encoding.UTF8.GetString(ask.Write(HandOutKind.Templates, "svg", cancel: Cancel).Bytes));
        Assert.Equal("210mm", svg.Root!.Attribute("width")!.Value);
        Assert.Contains(svg.Descendants(), e => e.Attribute("class")?.Value == "valley" && e.Attribute("stroke-dasharray") is not null);
    }

    /// <summary>The rings that a machine cuts, in the order in which it gets them.</summary>
    private static List<(double Left, double Foot, double Wide, double High)> Cuts(HandOut ask)
    {
        var lines = System.Text.Encoding.Latin1.GetString(ask.Write(HandOutKind.Templates, "dxf", cancel: Cancel).Bytes).Split('\n');
        var groups = lines[..^1].Chunk(2).Select(g => (Code: g[0].Trim(), Value: g[1])).ToList();
        double Number(int i) => double.Parse(groups[i].Value, System.Globalization.CultureInfo.InvariantCulture);
        var rings = new List<(double Left, double Foot, double Wide, double High)>();
        for (var i = 0; i < groups.Count; i++)
        {
            if (groups[i] == ("0", "POLYLINE") && groups[i + 1].Value == "CUT")
            {
                var ring = Enumerable.Range(i, groups.FindIndex(i, g => g == ("0", "SEQEND")) - i).Where(k => groups[k] == ("0", "VERTEX")).Select(k => (X: Number(k + 2), Y: Number(k + 3))).ToList();
                rings.Add((ring.Min(p => p.X), ring.Min(p => p.Y), ring.Max(p => p.X) - ring.Min(p => p.X), ring.Max(p => p.Y) - ring.Min(p => p.Y)));
            }
        }

        return rings;
    }

    [Fact]
    public void A_machine_cuts_a_window_before_the_card_round_it_and_a_shape_as_large_as_it_is_to_be()
    {
        var ask = Ask(Dressed(Spec("plain-fold")));
        var cuts = Cuts(ask);
        var window = cuts.FindIndex(c => Math.Abs(c.Wide - 25.4) < 0.001 && Math.Abs(c.High - 25.4) < 0.001);
        var sheet = ask.Card.Pieces[0];
        var plate = cuts.FindIndex(c => Math.Abs(c.Wide - (double)sheet.Width.Value.Millimetres) < 0.001);
        Assert.InRange(window, 0, plate - 1);
        Assert.True(cuts[window].Left > cuts[plate].Left && cuts[window].Foot > cuts[plate].Foot);

        // Half an inch from the head, as it was asked for.
        Assert.Equal(12.7, cuts[plate].Foot + cuts[plate].High - cuts[window].Foot - cuts[window].High, 0.001);

        // What is drawn round on paper is smaller by the pencil's line; a blade has none.
        var lantern = DrawRound.Of(ask.Card, Length.Zero).Single(d => d.Name.StartsWith("lantern", StringComparison.Ordinal));
        Assert.Contains(cuts, c => Math.Abs(c.Wide - (double)lantern.Width.Millimetres) < 0.001 && Math.Abs(c.High - (double)lantern.Height.Millimetres) < 0.001);
        var traced = DrawRound.Of(ask.Card, Length.Mm(0.3m)).Single(d => d.Name == lantern.Name);
        Assert.True(traced.Width < lantern.Width && traced.Height < lantern.Height);
    }

    [Fact]
    public void A_machine_gets_the_card_of_whoever_reads_the_other_system_in_millimetres_still()
    {
        var read = Reader.Read(Spec("tier-scene", "a6-iso"));
        var card = Card.Of(read.Design, read.Target, Cancel);
        var inches = Cuts(new HandOut(card, "x", DisplayUnit.Inch, Paper.Letter));
        var own = Cuts(new HandOut(card, "x", DisplayUnit.Centimetre, Paper.A4));
        Assert.Equal(own.Count, inches.Count);

        // Her own card lies on the marks of her own trimmer, to a whole half millimetre; that of the other system on sixteenths.
        Assert.All(own, c => Assert.Equal(0, Math.Abs((c.Wide * 2) - Math.Round(c.Wide * 2)), 0.001));
        Assert.Contains(inches, c => Math.Abs((c.Wide * 2) - Math.Round(c.Wide * 2)) > 0.01);
        Assert.All(inches, c => Assert.Equal(0, Math.Abs((c.Wide / 25.4 * 32) - Math.Round(c.Wide / 25.4 * 32)), 0.01));
        Assert.All(own.OrderBy(c => c.Wide).Zip(inches.OrderBy(c => c.Wide)), c => Assert.Equal(c.First.Wide, c.Second.Wide, 3.2));
    }

    [Theory]
    [InlineData("tier-scene", "5x7")]
    [InlineData("stair-step", "slimline")]
    [InlineData("never-ending", "6x6")]
    public void For_a_machine_everything_is_there_as_often_as_it_is_cut_and_nothing_over_another(string construction, string format)
    {
        var ask = Ask(Spec(construction, format));
        var plates = Cuts(ask);
        foreach (var same in ask.Card.Pieces.GroupBy(p => (Wide: (double)p.Width.Value.Millimetres, High: (double)p.Height.Value.Millimetres)))
        {
            var found = plates.Where(p => Math.Abs(p.Wide - same.Key.Wide) < 0.001 && Math.Abs(p.High - same.Key.High) < 0.001).ToList();
            Assert.Equal(same.Sum(p => p.Piece.Quantity), found.Count);
            Assert.All(found, a => Assert.All(found.Where(b => b != a),
                b => Assert.True(a.Left + a.Wide < b.Left || b.Left + b.Wide < a.Left || a.Foot + a.High < b.Foot || b.Foot + b.High < a.Foot)));
        }

        Assert.All(plates, p => Assert.True(p.Left > 0 && p.Foot > 0));
    }

    private static (int Code, string Out, string Error) Run(params string[] args)
    {
        using var output = new StringWriter();
        using var error = new StringWriter();
        return (CommandLine.Run(args, output, error), output.ToString(), error.ToString());
    }

    [Fact]
    public void The_command_line_writes_each_kind_and_says_what_would_work_where_it_cannot()
    {
        var file = Path.Combine(_folder, "design.json");
        File.WriteAllText(file, DesignFile.State(Dressed(Spec("plain-fold"))));
        foreach (var (kind, ending) in new[] { ("sheet", "pdf"), ("booklet", "pdf"), ("templates", "svg"), ("templates", "dxf"), ("templates", "fold"), ("cuts", "csv"), ("kit", "pdf"), ("text", "txt"), ("picture", "png") })
        {
            var to = Path.Combine(_folder, $"{kind}.{ending}");
            var (code, said, error) = Run("print", "--design", file, "--format", "6x6", "--as", kind, "--out", to);
            Assert.True(code == 0, error);
            Assert.Contains(Path.GetFileName(to), said, StringComparison.Ordinal);
            Assert.True(new FileInfo(to).Length > 200);
        }

        foreach (var (args, accepted) in new (string[], string)[]
        {
            (["--as", "poster", "--out", "x.pdf"], "sheet, booklet, templates"),
            (["--as", "text", "--out", "x.pdf"], "txt"),
            (["--as", "sheet", "--out", "x.pdf", "--paper", "a9"], "a4, letter"),
            (["--as", "booklet", "--out", "x.pdf", "--cards", "0"], "1 to 200"),
            (["--as", "picture", "--out", "x.png", "--step", "99"], "1 to "),
            (["--as", "sheet", "--out", "x.png", "--page", "9"], "1 to 1"),
        })
        {
            var (code, _, error) = Run(["print", "--design", file, .. args.Select(a => a.StartsWith("x.", StringComparison.Ordinal) ? Path.Combine(_folder, a) : a)]);
            Assert.Equal(2, code);
            Assert.Contains(accepted, error, StringComparison.Ordinal);
        }

        // Where it cannot be written nothing half-written is left.
        var (no, _, why) = Run("print", "--design", file, "--as", "sheet", "--out", Path.Combine(_folder, "nowhere", "sheet.pdf"));
        Assert.Equal(2, no);
        Assert.Contains("a folder that is there", why, StringComparison.Ordinal);
        Assert.Empty(Directory.GetFiles(_folder, "*.part", SearchOption.AllDirectories));
        Assert.Empty(Directory.GetFiles(_folder, "x.*"));
    }
}

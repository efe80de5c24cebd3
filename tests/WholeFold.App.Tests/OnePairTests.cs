using System.Text.RegularExpressions;
using UglyToad.PdfPig;
using WholeFold.App.Cli;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Print;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>
/// Whoever holds two of our pages reads the same pair of figures on both. Every hand-out is read back as text, and each pair on it has
/// to be
/// one of the measure sheet's, whichever system comes first.
/// </summary>
public sealed partial class OnePairTests : IDisposable
{
    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private readonly string _folder = Directory.CreateTempSubdirectory("wholefold-pairs-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    public static TheoryData<string, string, string> Designs()
    {
        var data = new TheoryData<string, string, string>();
        foreach (var (family, i) in ConstructionLibrary.All.Select((f, i) => (f, i)))
        {
            data.Add(family.Id, i % 2 == 0 ? "5x7" : "a5", (i % 3) switch { 0 => "imperial-eighths", 1 => "metric-5mm", _ => "both" });
        }

        return data;
    }

    private static DesignSpec Spec(string construction, string format, string tools) => new()
    {
        Name = "Market lanterns",
        Construction = construction,
        Format = format,
        Tools = tools,
        Dressing = construction is not ("plain-fold" or "gatefold") ? null : new DressingSpec
        {
            Windows = [new WindowSpec("eye", construction == "gatefold" ? "inside" : "front", Size: ["1 in", "26 mm"])],
            Elements = [new ElementSpec("lantern", "inside", Size: ["1 1/4 in", "44 mm"], Height: "1 mm")],
            Soft = [new SoftSpec("ribbon", "inside", "ribbon", "run", "3/8 in")],
        },
    };

    [Theory]
    [MemberData(nameof(Designs))]
    public void Every_pair_that_is_read_anywhere_is_a_pair_of_the_measure_sheet(string construction, string format, string tools)
    {
        var spec = Spec(construction, format, tools);
        var read = Reader.Read(spec);
        var card = Card.Of(read.Design, read.Target, Cancel);
        Assert.SkipWhen(card.Second is null, "the other system's board cannot set it");
        var (inches, metric) = card.Figures.Tools.System == UnitSystem.Imperial ? (card, card.Second!) : (card.Second!, card);
        var pairs = Pairs(card.All.Select(f => (inches.Figure(f.Id), metric.Figure(f.Id))).Where(p => p is ({ }, { })).Select(p =>
            (p.Item1!.Value, p.Item2!.Value)));
        pairs.UnionWith(Pairs(card.Figures.Parameters.Select(p => (ValueOf(inches, p.Parameter.Id), ValueOf(metric, p.Parameter.Id)))));
        pairs.UnionWith(Pairs(new[] { (inches.Design.AsRead(inches.Size.Width, inches.Size.Height),
            metric.Design.AsRead(metric.Size.Width, metric.Size.Height)) }
            .SelectMany(s => new[] { (s.Item1.Width, s.Item2.Width), (s.Item1.Height, s.Item2.Height) })));
        pairs.UnionWith(Pairs(inches.States.Zip(metric.States).SelectMany(s =>
            new[] { (s.First.Pose.Width, s.Second.Pose.Width), (s.First.Pose.Height, s.Second.Pose.Height) })));
        pairs.UnionWith(Pairs(Core.Dressing.SoftGoods.Of(inches.Figures,
            inches.Dressed).Zip(Core.Dressing.SoftGoods.Of(metric.Figures, metric.Dressed)).Select(s =>
                (s.First.Length, s.Second.Length))));
        var found = 0;
        void Check(string where, string text)
        {
            foreach (Match match in Pair().Matches(text))
            {
                found++;
                var (one, other) = (Plain(match.Groups["one"].Value), Plain(match.Groups["other"].Value));
                Assert.True(pairs.Contains((one, other)) || pairs.Contains((other, one)), $"{where} says {one} · {other}");
            }
        }

        foreach (var unit in new[] { DisplayUnit.Inch, DisplayUnit.Centimetre })
        {
            var ask = new HandOut(card, spec.Name, unit, Paper.A4);
            Assert.Equal(Rows(ask, HandOutKind.Sheet), Rows(ask, HandOutKind.Booklet));
            var csv = System.Text.Encoding.UTF8.GetString(ask.Write(HandOutKind.Cuts, "csv", cancel: Cancel).Bytes);
            foreach (var row in csv.Split('\n', StringSplitOptions.RemoveEmptyEntries).Skip(1).Select(r => r.Trim().Split(',')))
            {
                // A name with a comma in it moves all that is behind it: figures are counted from the width, which is the first one
                // after the counts.
                var at = Array.FindIndex(row, 2, f => f.All(char.IsAsciiDigit)) + 2;
                Check($"cut list in {unit}", $"{row[at]} in · {row[at + 2]} cm  {(row[at + 1].Length > 0 ? $"{row[at + 1]} in · {row[at + 3]} cm" : "")}");
            }
        }

        var file = Path.Combine(_folder, "design.json");
        File.WriteAllText(file, DesignFile.Write(spec));
        using var told = new StringWriter();
        Assert.Equal(0, CommandLine.Run(["convert", "--design", file], told, TextWriter.Null));
        Check("the command line", told.ToString());
        Assert.True(found > 10, $"only {found} pairs in all of it");
    }

    /// <summary>Every row of figures with its fellow in the other system, once.</summary>
    private static List<string> Rows(HandOut ask, HandOutKind kind)
    {
        using var pdf = PdfDocument.Open(ask.Write(kind, "pdf", cancel: Cancel).Bytes);
        var text = string.Join('\n', pdf.GetPages().SelectMany(PageText.Paragraphs));
        List<string> rows = [.. Regex.Matches(text, $"{PageText.Row("(?:in|cm)")} (?:· {PageText.Row("(?:in|cm)")}|\\({PageText.Row("(?:in|[cm]m)")}\\))")
            .Select(m => m.Value).Distinct().Order(StringComparer.Ordinal)];
        Assert.True(rows.Count > 3, $"{rows.Count} rows on the {kind}");
        return rows;
    }

    private static Length ValueOf(Card card, string parameter) => card.Figures.Parameters.First(p => p.Parameter.Id == parameter).Value;

    private static HashSet<(string, string)> Pairs(IEnumerable<(Length In, Length Cm)> values) =>
        [.. values.SelectMany(v => new[] { LengthWriter.Write(v.Cm, DisplayUnit.Centimetre) + " cm",
            LengthWriter.Beside(v.Cm, DisplayUnit.Centimetre, withUnit: true).Text }
            .SelectMany(cm => new[] { LengthWriter.WithUnit(v.In, DisplayUnit.Inch),
                LengthWriter.Beside(v.In, DisplayUnit.Inch, withUnit: true).Text }.Select(inch => (Plain(inch), Plain(cm)))))];

    /// <summary>Without brackets, and without the spaces that a reader of pages leaves out or puts in; a word behind the unit before
    /// it.</summary>
    private static string Plain(string figure)
    {
        var solid = Regex.Replace(figure, @"[()\s]", "");
        return Regex.Replace(solid, "^(.*?)(in|cm|mm)(scant|full)?(in|cm)?$", "$1$3$2");
    }

    [GeneratedRegex(@"(?<one>\(?\d[\d /.]*(?: ?(?:scant|full))? ?(?:in|cm|mm)(?: (?:scant|full))?\)?(?: (?:in|cm))?) · (?<other>\(?\d[\d /.]*(?: ?(?:scant|full))? ?(?:in|cm|mm)(?: (?:scant|full))?\)?)")]
    private static partial Regex Pair();
}

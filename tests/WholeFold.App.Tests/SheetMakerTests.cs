using System.Text;
using System.Text.RegularExpressions;
using UglyToad.PdfPig;
using UglyToad.PdfPig.Content;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tests.Maker;
using WholeFold.Print;
using Xunit;

namespace WholeFold.App.Tests;

/// <summary>From the pages that are handed out, read back as they are written, the card is made: in either system.</summary>
public partial class SheetMakerTests
{
    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private static Card Size(DesignSpec spec)
    {
        var read = Reader.Read(spec);
        return Card.Of(read.Design, read.Target, Cancel);
    }

    public static TheoryData<string> Constructions => [.. ConstructionLibrary.All.Select(f => f.Id)];

    [Theory]
    [MemberData(nameof(Constructions))]
    public void The_measure_sheet_is_enough_to_make_it_with(string construction)
    {
        var spec = new DesignSpec { Construction = construction, Format = "6x6" };
        var card = Size(Worn.On(spec, Size(spec)));
        var paper = construction.Length % 2 == 0 ? Paper.A4 : Paper.Letter;
        using var pdf = PdfDocument.Open(new HandOut(card, "Night ferry", DisplayUnit.Inch, paper)
            .Write(HandOutKind.Sheet, "pdf", cancel: Cancel).Bytes);
        var paragraphs = pdf.GetPages().SelectMany(Paragraphs).ToList();
        var own = card.For(DisplayUnit.Inch);
        Assert.Equal([], AsTheCard.Differs(own, GuideMaker.MakeFrom(First(paragraphs), "in")).Select(d => $"in inches {d}"));
        if (own.Second is { } second)
        {
            Assert.Equal([], AsTheCard.Differs(second, GuideMaker.MakeFrom(Second(paragraphs), "cm")).Select(d => $"in centimetres {d}"));
        }
    }

    private const string Figure = @"(?:\d+/\d+|\d+(?:\.\d+)?(?: \d+/\d+)?)";

    /// <summary>Two sides, or figures that share a unit: "2, 3 1/2 and 5 in".</summary>
    private static string Row(string unit) =>
        $@"(?:{Figure}(?: full| scant)? × {Figure}|{Figure}(?:(?: full| scant)?(?:, | and | by | to | and from ){Figure})*) {unit}(?: full| scant)?";

    /// <summary>What the first system is told.</summary>
    private static string First(IEnumerable<string> paragraphs) => string.Join('\n', paragraphs.Select(p =>
        Regex.Replace(Plain(p).Split(" In centimetres: ")[0].Replace(" In inches:", "", StringComparison.Ordinal), $@" · {Row("cm")}| \({Row("cm")}\)| \({Row("mm")}\)", "")));

    /// <summary>What the second system is told: the fellow of each figure, and what is done otherwise.</summary>
    private static string Second(IEnumerable<string> paragraphs)
    {
        var (lines, number) = (new List<string>(), 0);
        foreach (var plain in paragraphs.Select(Plain))
        {
            var otherwise = plain.Split(" In centimetres: ");
            if (otherwise.Length == 1 && plain.Contains(" In inches: ", StringComparison.Ordinal))
            {
                continue;
            }

            var said = otherwise.Length > 1 ? $"1. {string.Join(' ', otherwise[1..])}"
                : Regex.Replace(plain, $@"(?<own>{Row("in")}) (?:· (?<there>{Row("cm")})|\((?<there>{Row("c?mm?")})\))", Fellow);
            lines.Add(Numbered().Replace(said, _ => $"{++number}. "));
        }

        return string.Join('\n', lines);
    }

    /// <summary>As many figures as stand behind it; the number before them is of a name: "tier 1, 1/8 in · 0.3 cm".</summary>
    private static string Fellow(Match pair)
    {
        var (own, there) = (pair.Groups["own"].Value, pair.Groups["there"].Value);
        return own[..Regex.Matches(own, Figure)[^Regex.Count(there, Figure)].Index] + there;
    }

    /// <summary>Without what is said beside the steps.</summary>
    private static string Plain(string paragraph) => Beside().Replace(paragraph, "");

    /// <summary>The headings and the numbered sentences, in the order in which they are read.</summary>
    private static IEnumerable<string> Paragraphs(Page page)
    {
        var (text, bold, last, space) = (new StringBuilder(), false, (Letter?)null, false);
        foreach (var letter in page.Letters.Where(l => l.StartBaseLine.Y > Foot))
        {
            if (string.IsNullOrWhiteSpace(letter.Value))
            {
                space = true;
                continue;
            }

            var isBold = letter.FontName!.Contains("Bold", StringComparison.Ordinal);
            var (here, before) = (letter.StartBaseLine, last?.StartBaseLine ?? letter.StartBaseLine);
            var newLine = Math.Abs(here.Y - before.Y) > 5 || here.X < before.X - 1;
            if (last is not null && (newLine || space || here.X - last.EndBaseLine.X > 0.12 * last.PointSize))
            {
                text.Append(newLine ? '\n' : ' ');
            }

            if (last is not null && isBold != bold)
            {
                text.Append('\u0001');
            }

            (bold, last, space) = (isBold, letter, false);
            text.Append(letter.Value);
        }

        // A paragraph begins with its number, or where the weight changes.
        return Regex.Split(text.ToString().Replace("\u0001", "\n\u0001", StringComparison.Ordinal), @"\n(?=\d+\. )|\n?\u0001").Select(p =>
            p.Replace('\n', ' ').Trim()).Where(p => p.Length > 0);
    }

    /// <summary>What stands below is on every page.</summary>
    private const double Foot = 32;

    [GeneratedRegex(@"^\d+\. ")]
    private static partial Regex Numbered();

    [GeneratedRegex(@" Take care: .*$")]
    private static partial Regex Beside();
}

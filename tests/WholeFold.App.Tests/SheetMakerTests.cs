using System.Text.RegularExpressions;
using UglyToad.PdfPig;
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
        var paragraphs = pdf.GetPages().SelectMany(PageText.Paragraphs).ToList();
        var own = card.For(DisplayUnit.Inch);
        Assert.Equal([], AsTheCard.Differs(own, GuideMaker.MakeFrom(First(paragraphs), "in")).Select(d => $"in inches {d}"));
        if (own.Second is { } second)
        {
            Assert.Equal([], AsTheCard.Differs(second, GuideMaker.MakeFrom(Second(paragraphs), "cm")).Select(d => $"in centimetres {d}"));
        }
    }

    /// <summary>What the first system is told.</summary>
    private static string First(IEnumerable<string> paragraphs) => string.Join('\n', paragraphs.Select(p =>
        Regex.Replace(Plain(p).Split(" In centimetres: ")[0].Replace(" In inches:", "", StringComparison.Ordinal), $@" · {PageText.Row("cm")}| \({PageText.Row("cm")}\)| \({PageText.Row("mm")}\)", "")));

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
                : Regex.Replace(plain, $@"(?<own>{PageText.Row("in")}) (?:· (?<there>{PageText.Row("cm")})|\((?<there>{PageText.Row("c?mm?")})\))", Fellow);
            lines.Add(Numbered().Replace(said, _ => $"{++number}. "));
        }

        return string.Join('\n', lines);
    }

    /// <summary>As many figures as stand behind it; the number before them is of a name: "tier 1, 1/8 in · 0.3 cm".</summary>
    private static string Fellow(Match pair)
    {
        var (own, there) = (pair.Groups["own"].Value, pair.Groups["there"].Value);
        return own[..Regex.Matches(own, PageText.Figure)[^Regex.Count(there, PageText.Figure)].Index] + there;
    }

    /// <summary>Without what is said beside the steps.</summary>
    private static string Plain(string paragraph) => Beside().Replace(paragraph, "");

    [GeneratedRegex(@"^\d+\. ")]
    private static partial Regex Numbered();

    [GeneratedRegex(@" Take care: .*$")]
    private static partial Regex Beside();
}

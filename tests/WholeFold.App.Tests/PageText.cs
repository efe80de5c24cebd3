using System.Text;
using System.Text.RegularExpressions;
using UglyToad.PdfPig.Content;

namespace WholeFold.App.Tests;

/// <summary>What stands on a page, in the order in which it is read.</summary>
internal static class PageText
{
    public const string Figure = @"(?:\d+/\d+|\d+(?:\.\d+)?(?: \d+/\d+)?)";

    /// <summary>Two sides, or figures that share a unit: "2, 3 1/2 and 5 in".</summary>
    public static string Row(string unit) =>
        $@"(?:{Figure}(?: full| scant)? × {Figure}|{Figure}(?:(?: full| scant)?(?:, | and | by | to | and from ){Figure})*) {unit}(?: full| scant)?";

    /// <summary>The headings and the numbered sentences, in the order in which they are read.</summary>
    public static IEnumerable<string> Paragraphs(Page page)
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
}

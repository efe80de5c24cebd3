using System.Globalization;
using System.Text.RegularExpressions;

namespace WholeFold.Core.Measure;

/// <summary>Where and why a written length could not be read.</summary>
/// <param name="Position">Zero-based place in the text that was given.</param>
/// <param name="Reason">What is wrong there, as a sentence.</param>
/// <param name="Example">What would be accepted.</param>
public sealed record ReadProblem(int Position, string Reason, string Example);

/// <summary>Reads lengths as people write them: <c>5 1/2</c>, <c>5½</c>, <c>5-1/2</c>, <c>5.5"</c>, <c>14 cm</c>, <c>140mm</c>.</summary>
/// <remarks>
/// A bare number is in the unit the caller names. Decimal commas are read as points; in a list, items are separated by
/// a new line, a semicolon, or a comma followed by a space. What cannot be read is refused with the place; nothing is
/// guessed. Lengths run from 0 to 100 in (2540 mm): anything beyond is a slip of the pen, not a card.
/// </remarks>
public static partial class LengthReader
{
    private const string Vulgar = "½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞";
    private static readonly (int N, int D)[] VulgarValues =
        [(1, 2), (1, 3), (2, 3), (1, 4), (3, 4), (1, 5), (2, 5), (3, 5), (4, 5), (1, 6), (5, 6), (1, 8), (3, 8), (5, 8), (7, 8)];

    private static readonly Length Longest = Length.In(100);

    public static string Example(DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => "5 1/2, 5½, 5.5 in or 140 mm",
        DisplayUnit.Centimetre => "14, 14.5 cm or 5 1/2 in",
        _ => "140, 140 mm or 5 1/2 in",
    };

    public static bool TryRead(string? text, DisplayUnit bare, out Length value, out ReadProblem? problem)
    {
        value = default;
        problem = null;
        if (string.IsNullOrWhiteSpace(text))
        {
            problem = new ReadProblem(0, "there is no figure here", Example(bare));
            return false;
        }

        var match = Grammar().Match(text);
        if (!match.Success)
        {
            var at = FirstUnreadable(text);
            problem = new ReadProblem(at, $"“{text[at..].Trim()}” is not a length", Example(bare));
            return false;
        }

        if (!TryNumber(match, out var number, out var reason))
        {
            problem = new ReadProblem(match.Groups["frac"].Success ? match.Groups["frac"].Index : 0, reason!, Example(bare));
            return false;
        }

        var unit = UnitOf(match.Groups["unit"].Value) ?? bare;
        var perUnit = unit switch
        {
            DisplayUnit.Inch => new Rational(Length.PerInch),
            DisplayUnit.Centimetre => new Rational(10 * Length.PerMillimetre),
            _ => new Rational(Length.PerMillimetre),
        };
        value = new Length((number * perUnit).Nearest());
        if (value > Longest)
        {
            problem = new ReadProblem(0, $"“{text.Trim()}” is more than 100 inches", Example(bare));
            value = default;
            return false;
        }

        return true;
    }

    /// <summary>Reads a list of lengths; the problem's position is in the whole text.</summary>
    public static bool TryReadList(string? text, DisplayUnit bare, out IReadOnlyList<Length> values, out ReadProblem? problem)
    {
        var read = new List<Length>();
        values = read;
        problem = null;
        foreach (Match item in ListItem().Matches(text ?? ""))
        {
            if (string.IsNullOrWhiteSpace(item.Value))
            {
                continue;
            }

            if (!TryRead(item.Value, bare, out var value, out problem))
            {
                problem = problem! with { Position = problem.Position + item.Index };
                return false;
            }

            read.Add(value);
        }

        if (read.Count == 0)
        {
            problem = new ReadProblem(0, "there is no figure here", Example(bare));
            return false;
        }

        return true;
    }

    private static bool TryNumber(Match match, out Rational number, out string? reason)
    {
        number = Rational.Zero;
        reason = null;
        if (match.Groups["dec"].Success)
        {
            var written = match.Groups["dec"].Value.Replace(',', '.');
            var decimalValue = decimal.Parse(written, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);
            number = Rational.Of(decimalValue);
            return true;
        }

        if (match.Groups["whole"].Success)
        {
            number = new Rational(long.Parse(match.Groups["whole"].Value, CultureInfo.InvariantCulture));
        }

        var fraction = match.Groups["frac"].Value;
        if (fraction.Length == 1)
        {
            var (n, d) = VulgarValues[Vulgar.IndexOf(fraction[0], StringComparison.Ordinal)];
            number += new Rational(n, d);
        }
        else if (fraction.Length > 1)
        {
            var parts = fraction.Split('/', '⁄');
            var n = long.Parse(parts[0], CultureInfo.InvariantCulture);
            var d = long.Parse(parts[1], CultureInfo.InvariantCulture);
            if (d == 0)
            {
                reason = "a fraction cannot have 0 below the line";
                return false;
            }

            if (match.Groups["whole"].Success && n >= d)
            {
                reason = $"“{fraction}” after a whole number must be less than one";
                return false;
            }

            number += new Rational(n, d);
        }

        return true;
    }

    private static DisplayUnit? UnitOf(string written) => written.ToUpperInvariant() switch
    {
        "" => null,
        "CM" => DisplayUnit.Centimetre,
        "MM" => DisplayUnit.Millimetre,
        _ => DisplayUnit.Inch,
    };

    private static int FirstUnreadable(string text)
    {
        var good = Prefix().Match(text).Length;
        return good >= text.Length || string.IsNullOrWhiteSpace(text[good..]) ? 0 : good + text[good..].TakeWhile(char.IsWhiteSpace).Count();
    }

    [GeneratedRegex(@"^\s*(?:(?<dec>\d{1,5}[.,]\d{1,6}|[.,]\d{1,6})|(?<whole>\d{1,5})(?:(?:\s+|\s*-\s*)(?<frac>\d{1,3}[/⁄]\d{1,3})|\s*(?<frac>[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]))?|(?<frac>\d{1,3}[/⁄]\d{1,3}|[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]))\s*(?<unit>inches|inch|in|""|″|cm|mm)?\.?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Grammar();

    [GeneratedRegex(@"^[\s\d.,/⁄½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞-]*")]
    private static partial Regex Prefix();

    [GeneratedRegex(@"(?:(?!\n|;|,\s).)+")]
    private static partial Regex ListItem();
}

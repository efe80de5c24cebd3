using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What bare numbers of a list are.</summary>
public static partial class OwnListReader
{
    /// <summary>No side of a sheet is longer, in inches or in centimetres.</summary>
    private const int Longest = 60;

    /// <summary>What is longer than a card can be in centimetres was meant in millimetres.</summary>
    private static DisplayUnit Sensible(DisplayUnit unit, string line) =>
        unit == DisplayUnit.Centimetre && OwnFigures.Sizes(line, unit)
            .Count(s => Length.Max(s.A, s.B).Millimetres <= 10 * Longest) < OwnFigures.Sizes(line, DisplayUnit.Millimetre).Count
            ? DisplayUnit.Millimetre : unit;

    /// <param name="far">Whether some figure can be no inches: then what is so far in from an edge names none.</param>
    private static DisplayUnit? NamedUnit(string text, bool far) =>
        Regex.Match(far ? InSomething.Replace(SoFarIn.Replace(text, " "), " ") : text, @"(?<=\d\s?)(mm|cm|inches|inch|in|"")(?![a-z])(?!\s+half)|\b(?:all|sizes|measures|everything)\s+in\s+(mm|cm|inches|inch)\b|\bunits?:?\s*(mm|cm|in)\b", RegexOptions.IgnoreCase) is { Success: true } m
            ? (m.Groups[1].Value + m.Groups[2].Value + m.Groups[3].Value).ToLowerInvariant() switch { "mm" => DisplayUnit.Millimetre, "cm" => DisplayUnit.Centimetre, _ => DisplayUnit.Inch } : null;

    /// <summary>What bare numbers are that nobody says the unit of: no side of a card is longer than 60 in, and no inch is written 14,8.</summary>
    private static DisplayUnit Usual(string text)
    {
        var table = new OwnTable();
        var plain = string.Join('\n', text.Split('\n').Select(l => table.Row(Plain(l, keepTabs: true))));
        if (plain.Contains('/', StringComparison.Ordinal) && Regex.IsMatch(plain, @"\d/\d"))
        {
            return DisplayUnit.Inch;
        }

        var sizes = plain.Split('\n').SelectMany(l => OwnFigures.Sizes(l, DisplayUnit.Millimetre)).SelectMany(s => new[] { s.A, s.B }).Select(l => l.Millimetres).ToList();
        return sizes.Count == 0 ? DisplayUnit.Inch : sizes.Max() > Longest ? DisplayUnit.Millimetre : sizes.Max() > 16 || sizes.Any(m => m * 8 % 1 != 0) ? DisplayUnit.Centimetre : DisplayUnit.Inch;
    }
}

using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Catalogue;

/// <summary>A finished size: the card, closed and flat.</summary>
/// <remarks>Names are ambiguous between systems (A6 is two sizes), so a format always shows its size and its system.</remarks>
public sealed record Format(string Id, string Name, Length Width, Length Height, UnitSystem System)
{
    /// <summary>The same format lying on its side: W and H change places.</summary>
    public Format Turned() => this with { Width = Height, Height = Width };
}

/// <summary>The formats known by name. Sizes are finished sizes as the trade sells cards and envelopes for them;
/// the ISO ones are ISO 216 (A5, A6) and its third for DL.</summary>
public static partial class Formats
{
    /// <summary>The least and the greatest side of a custom format: 2 in and 12 in.</summary>
    public static readonly Length Least = Length.In(2), Greatest = Length.In(12);

    /// <summary>The sixteen formats of the format wall, in its order.</summary>
    public static IReadOnlyList<Format> All { get; } =
    [
        Inch("a1-us", "A1 US", (7, 2), (39, 8)),
        Inch("a2-us", "A2 US", (17, 4), (11, 2)),
        Inch("a6-us", "A6 US", (9, 2), (25, 4)),
        Inch("5x7", "5 × 7", (5, 1), (7, 1)),
        Inch("slimline", "Slimline", (7, 2), (17, 2)),
        Inch("mini-slimline", "Mini slimline", (7, 2), (6, 1)),
        Inch("3x3", "3 × 3", (3, 1), (3, 1)),
        Inch("4x4", "4 × 4", (4, 1), (4, 1)),
        Inch("5x5", "5 × 5", (5, 1), (5, 1)),
        Inch("6x6", "6 × 6", (6, 1), (6, 1)),
        Metric("a6-iso", "A6 ISO", 105, 148),
        Metric("a5", "A5", 148, 210),
        Metric("dl", "DL", 99, 210),
        Metric("5x7-uk", "5 × 7 UK cut", 127, 178),
        Metric("sq-135", "Square 135", 135, 135),
        Metric("sq-144", "Square 144", 144, 144),
    ];

    public const string Accepted = "one of the format ids (5x7, a2-us, a6-iso …) or a size with its unit, such as 5x5in or 150x150mm, each side from 2 to 12 in (50.8 to 304.8 mm)";

    public static Format? ById(string id) => All.FirstOrDefault(f => f.Id == id);

    /// <summary>Reads an id or a size with its unit.</summary>
    /// <returns>False with the reason where it is neither, or where a side is out of range.</returns>
    public static bool TryRead(string? text, out Format format, out string? reason)
    {
        format = All[0];
        reason = null;
        var written = text?.Trim() ?? "";
        if (ById(written.ToLowerInvariant()) is { } known)
        {
            format = known;
            return true;
        }

        var match = Size().Match(written);
        if (!match.Success)
        {
            reason = written.Length == 0 ? "no format is given" : $"“{written}” is not a format";
            return false;
        }

        var unit = match.Groups["unit"].Value.ToUpperInvariant() switch { "MM" => DisplayUnit.Millimetre, "CM" => DisplayUnit.Centimetre, _ => DisplayUnit.Inch };
        var sides = new Length[2];
        for (var i = 0; i < 2; i++)
        {
            var side = match.Groups[i == 0 ? "w" : "h"].Value;
            if (!LengthReader.TryRead(side, unit, out sides[i], out var problem))
            {
                reason = $"its {(i == 0 ? "width" : "height")}: {problem!.Reason}";
                return false;
            }

            if (sides[i] < Least || sides[i] > Greatest)
            {
                reason = $"its {(i == 0 ? "width" : "height")} of {LengthWriter.WithUnit(sides[i], unit)} is outside 2 to 12 in (50.8 to 304.8 mm)";
                return false;
            }
        }

        var symbol = LengthWriter.Symbol(unit);
        var system = unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric;
        var (width, height) = (LengthWriter.Write(sides[0], unit), LengthWriter.Write(sides[1], unit));
        format = new Format($"{match.Groups["w"].Value.Trim()}x{match.Groups["h"].Value.Trim()}{symbol}".Replace(' ', '-'), $"{width} × {height}", sides[0], sides[1], system);
        return true;
    }

    private static Format Inch(string id, string name, (long N, long D) width, (long N, long D) height) =>
        new(id, name, Length.In(width.N, width.D), Length.In(height.N, height.D), UnitSystem.Imperial);

    private static Format Metric(string id, string name, decimal width, decimal height) =>
        new(id, name, Length.Mm(width), Length.Mm(height), UnitSystem.Metric);

    [GeneratedRegex("^(?<w>[^x×]+?)[-\\s]*[x×][-\\s]*(?<h>[^x×]+?)[-\\s]*(?<unit>mm|cm|in|\"|″)$", RegexOptions.IgnoreCase)]
    private static partial Regex Size();
}

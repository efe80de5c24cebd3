using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>Reads a format as people write it: its id, or a size with its unit.</summary>
public static class FormatReader
{
    public const string Accepted = "one of the format ids (5x7, a2-us, a6-iso …) or a size with its unit, such as 5x5in or 150x150mm, each side from 2 to 12 in (50.8 to 304.8 mm)";

    private const int LongestText = 48;

    private static readonly (string Text, DisplayUnit Unit)[] Units =
        [("mm", DisplayUnit.Millimetre), ("cm", DisplayUnit.Centimetre), ("in", DisplayUnit.Inch), ("\"", DisplayUnit.Inch), ("″", DisplayUnit.Inch)];

    /// <param name="known">The formats known by name.</param>
    /// <returns>Null with the reason where it is neither, or where a side is out of range.</returns>
    public static Format? Read(string? text, IReadOnlyList<Format> known, out string? reason)
    {
        reason = null;
        var written = text?.Trim() ?? "";
        if (known.FirstOrDefault(f => f.Id.Equals(written, StringComparison.OrdinalIgnoreCase)) is { } format)
        {
            return format;
        }

        if (Split(written) is not var (first, second, unit))
        {
            reason = written.Length == 0 ? "no format is given" : $"“{(written.Length <= LongestText ? written : written[..LongestText] + "…")}” is not a format";
            return null;
        }

        var sides = new Length[2];
        for (var i = 0; i < 2; i++)
        {
            var name = i == 0 ? "width" : "height";
            if (!LengthReader.TryRead(i == 0 ? first : second, unit, out sides[i], out var problem))
            {
                reason = $"its {name}: {problem!.Reason}";
                return null;
            }

            if (!Format.Takes(sides[i]))
            {
                reason = $"its {name} of {LengthWriter.WithUnit(sides[i], unit)} is outside 2 to 12 in (50.8 to 304.8 mm)";
                return null;
            }
        }

        var (wide, high) = (LengthWriter.Write(sides[0], unit), LengthWriter.Write(sides[1], unit));
        var id = $"{first}x{second}{LengthWriter.Symbol(unit)}".Replace(' ', '-');
        return new Format(id, $"{wide} × {high}", sides[0], sides[1], unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric);
    }

    /// <summary>A size as a format is written, in the unit of a system, so that it reads back as it was.</summary>
    public static string Write(Length width, Length height, UnitSystem system)
    {
        decimal Of(Length length) => system == UnitSystem.Imperial ? (decimal)length.Units / Length.PerInch : length.Millimetres;
        return string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Of(width):0.#####}x{Of(height):0.#####}{(system == UnitSystem.Imperial ? "in" : "mm")}");
    }

    /// <summary>"133.3 × 187.7 mm" in its two sides and the unit: each character is looked at once.</summary>
    private static (string First, string Second, DisplayUnit Unit)? Split(string written)
    {
        if (written.Length > LongestText || Units.FirstOrDefault(u => written.EndsWith(u.Text, StringComparison.OrdinalIgnoreCase)) is not { Text: { } symbol, Unit: var unit })
        {
            return null;
        }

        var sizes = written[..^symbol.Length];
        var by = sizes.IndexOfAny(['x', 'X', '×']);
        if (by < 0 || sizes.IndexOfAny(['x', 'X', '×'], by + 1) >= 0)
        {
            return null;
        }

        // An id has hyphens for spaces, one on either side of the sign; any other is somebody's minus.
        var (first, second) = (sizes[..by].Trim(), sizes[(by + 1)..].Trim());
        if (first.EndsWith('-') && second.StartsWith('-'))
        {
            (first, second) = (first[..^1].Trim(), second[1..].Trim());
        }

        return first.Length == 0 || second.Length == 0 ? null : (first, second, unit);
    }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>Reads a format as people write it: by its name in any case, its id, or a size.</summary>
public static class FormatReader
{
    public const string Accepted = "a format by its name, such as A2 US or 5 × 7, or a size with its unit, such as 5x5in, 150x150mm or 6 inch square, each side from 2 to 12 in (50.8 to 304.8 mm)";

    private const int LongestText = 48;

    private static readonly (string Text, DisplayUnit Unit)[] Units =
        [("millimetres", DisplayUnit.Millimetre), ("mm", DisplayUnit.Millimetre), ("centimetres", DisplayUnit.Centimetre), ("cm", DisplayUnit.Centimetre),
        ("inches", DisplayUnit.Inch), ("inch", DisplayUnit.Inch), ("in.", DisplayUnit.Inch), ("in", DisplayUnit.Inch), ("\"", DisplayUnit.Inch), ("″", DisplayUnit.Inch)];

    private static readonly string[] Square = [" square", " sq"];

    /// <param name="known">The formats known by name: a name goes before a bare size.</param>
    /// <param name="bare">The unit of a size that names none; null where it has to name one.</param>
    /// <returns>Null with the reason where it is none, where a name stands for several, or where a side is out of range.</returns>
    public static Format? Read(string? text, IReadOnlyList<Format> known, out string? reason, DisplayUnit? bare = null)
    {
        ArgumentNullException.ThrowIfNull(known);
        reason = null;
        var written = text?.Trim() ?? "";
        if (written.Length is > 0 and <= LongestText && Named(written, known) is { Count: > 0 } named)
        {
            reason = named.Count == 1 ? null : $"“{written}” is {named.Count} sizes: {string.Join("; ", named.Select(f => $"{f.Name}, {Sized(f)}"))}";
            return named.Count == 1 ? named[0] : null;
        }

        if (Split(written, bare) is not var (first, second, unit))
        {
            reason = written.Length == 0 ? "no format is given" : Split(written, DisplayUnit.Inch) is not null ? $"“{written}” has no unit"
                : $"“{(written.Length <= LongestText ? written : written[..LongestText] + "…")}” is not a format";
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

    private static string Sized(Format format) => format.System == UnitSystem.Imperial
        ? $"{LengthWriter.Write(format.Width, DisplayUnit.Inch)} × {LengthWriter.WithUnit(format.Height, DisplayUnit.Inch)}"
        : $"{LengthWriter.Write(format.Width, DisplayUnit.Millimetre)} × {LengthWriter.WithUnit(format.Height, DisplayUnit.Millimetre)}";

    /// <summary>Those that a text names: by id or whole name one alone, else all whose names have its words.</summary>
    private static List<Format> Named(string written, IReadOnlyList<Format> known)
    {
        var plain = Plain(written);
        if (known.FirstOrDefault(f => f.Id.Equals(written, StringComparison.OrdinalIgnoreCase)) is { } byId)
        {
            return [byId];
        }

        if (known.Where(f => Plain(f.Name) == plain).ToList() is { Count: > 0 } byName)
        {
            return byName.Count == 1 ? byName : [.. byName.DistinctBy(f => (f.Width, f.Height))];
        }

        var words = plain.Split(' ');
        return words.All(w => char.IsLetter(w[0])) ? [.. known.Where(f => words.All(Plain(f.Name).Split(' ').Contains))] : [];
    }

    /// <summary>However it is typed: "5 by 7", "5 X 7" and "5×7" are one.</summary>
    private static string Plain(string text)
    {
        var words = text.ToLowerInvariant().Replace('×', 'x').Replace(" by ", " x ", StringComparison.Ordinal).Replace('-', ' ').Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return string.Join(' ', words).Replace(" x ", "x", StringComparison.Ordinal);
    }

    /// <summary>A size as a format is written, in the unit of a system, so that it reads back as it was.</summary>
    public static string Write(Length width, Length height, UnitSystem system)
    {
        decimal Of(Length length) => system == UnitSystem.Imperial ? (decimal)length.Units / Length.PerInch : length.Millimetres;
        return string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Of(width):0.#####}x{Of(height):0.#####}{(system == UnitSystem.Imperial ? "in" : "mm")}");
    }

    /// <summary>"133.3 × 187.7 mm" in its two sides and the unit: each character is looked at once.</summary>
    private static (string First, string Second, DisplayUnit Unit)? Split(string written, DisplayUnit? bare)
    {
        if (written.Length > LongestText)
        {
            return null;
        }

        // "6 inch square" is one side twice.
        var sizes = written;
        var square = Square.FirstOrDefault(s => sizes.EndsWith(s, StringComparison.OrdinalIgnoreCase));
        sizes = square is null ? sizes : sizes[..^square.Length].TrimEnd();
        var named = Units.FirstOrDefault(u => sizes.EndsWith(u.Text, StringComparison.OrdinalIgnoreCase));
        if (named.Text is null && bare is null)
        {
            return null;
        }

        var unit = named.Text is null ? bare!.Value : named.Unit;
        sizes = named.Text is null ? sizes : sizes[..^named.Text.Length].TrimEnd();
        if (square is not null)
        {
            return sizes.Length == 0 || sizes.IndexOfAny(['x', 'X', '×']) >= 0 ? null : (sizes, sizes, unit);
        }

        sizes = sizes.Replace(" by ", " x ", StringComparison.OrdinalIgnoreCase);
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

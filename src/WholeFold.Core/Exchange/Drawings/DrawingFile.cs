using WholeFold.Core.Input;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>What a line of a drawing stands for.</summary>
public enum Stroke
{
    Cut,
    Valley,
    Mountain,

    /// <summary>A score, whichever way it folds.</summary>
    Score,
}

/// <summary>A straight line of a drawing, in millimetres, upwards.</summary>
public readonly record struct DrawnLine(double X1, double Y1, double X2, double Y2, Stroke Stroke)
{
    public double Length => Math.Sqrt(((X2 - X1) * (X2 - X1)) + ((Y2 - Y1) * (Y2 - Y1)));
}

/// <summary>A drawing that was read: its lines, and what was in it that no line can carry.</summary>
/// <param name="LeftOut">In words, each once.</param>
public sealed record Drawn(IReadOnlyList<DrawnLine> Lines, IReadOnlyList<string> LeftOut);

/// <summary>
/// Reads drawings that other programs made. A drawing is data: nothing in it is followed or run, and one that is too large, too deep or
/// broken is refused with the reason.
/// </summary>
public static class DrawingFile
{
    /// <summary>The longest that is read, in characters.</summary>
    public const int Longest = 900_000;

    /// <summary>The most lines that are read.</summary>
    public const int MostLines = 20_000;

    public const string Accepted = "a FOLD file (crease pattern, version 1.1 or 1.2), an SVG or a DXF with straight lines, of at most 900,000 characters and 20,000 lines";

    /// <summary>Reads a drawing, whichever of the three it is.</summary>
    /// <exception cref="InputProblemException">It is none of them, or one that cannot be read.</exception>
    public static Drawn Read(string text, string field)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > Longest)
        {
            throw Problem(field, $"it has {text.Length} characters");
        }

        var start = text.AsSpan().TrimStart("\uFEFF \t\r\n");
        var drawn = start.StartsWith("{") ? FoldReader.Read(text, field) : start.StartsWith("<") ? SvgReader.Read(text, field) : IsDxf(start) ? DxfReader.Read(text, field) : throw Problem(field, "it begins like none of them");
        return drawn.Lines.Count == 0 ? throw Problem(field, drawn.LeftOut is [var first, ..] ? $"there is no straight line in it, only {first}" : "there is no line in it") : drawn;
    }

    /// <summary>Whether a text looks like one of these drawings, and not like a list.</summary>
    public static bool IsOne(string text)
    {
        var start = text.AsSpan().TrimStart("\uFEFF \t\r\n");
        return start.StartsWith("{") || start.StartsWith("<") || IsDxf(start);
    }

    private static bool IsDxf(ReadOnlySpan<char> start)
    {
        var end = start.IndexOf('\n');
        return end > 0 && int.TryParse(start[..end].Trim(), out var code) && code is 0 or 999 or 9;
    }

    internal static InputProblemException Problem(string field, string reason) => new("drawing.unreadable", field, reason, Accepted);

    /// <summary>A line whose ends are numbers that a sheet of card can have; a point is none.</summary>
    internal static void Add(List<DrawnLine> lines, double x1, double y1, double x2, double y2, Stroke stroke, string field)
    {
        if (!double.IsFinite(x1 + y1 + x2 + y2) || Math.Max(Math.Max(Math.Abs(x1), Math.Abs(y1)), Math.Max(Math.Abs(x2), Math.Abs(y2))) > 100_000)
        {
            throw Problem(field, "a line of it ends at a place that is no number a sheet could have");
        }

        if (lines.Count >= MostLines)
        {
            throw Problem(field, $"it has more than {MostLines} lines");
        }

        var line = new DrawnLine(x1, y1, x2, y2, stroke);
        if (line.Length > 0.01)
        {
            lines.Add(line);
        }
    }

    /// <summary>What a layer, a class or a group is called, as a kind of line; null where its name says nothing.</summary>
    internal static Stroke? Named(string? name) => name?.ToLowerInvariant() switch
    {
        null => null,
        var n when n.Contains("valley", StringComparison.Ordinal) => Stroke.Valley,
        var n when n.Contains("mountain", StringComparison.Ordinal) => Stroke.Mountain,
        var n when n.Contains("score", StringComparison.Ordinal) || n.Contains("crease", StringComparison.Ordinal) || n.Contains("fold", StringComparison.Ordinal)
            || n.Contains("perf", StringComparison.Ordinal) => Stroke.Score,
        var n when n.Contains("cut", StringComparison.Ordinal) || n.Contains("outline", StringComparison.Ordinal) || n.Contains("border", StringComparison.Ordinal) => Stroke.Cut,
        _ => null,
    };

    /// <summary>Whether a layer, a class or a group is there for people, and not for the card.</summary>
    internal static bool IsRemark(string? name) => name?.ToLowerInvariant() is { } n
        && (n.Contains("note", StringComparison.Ordinal) || n.Contains("glue", StringComparison.Ordinal) || n.Contains("check", StringComparison.Ordinal)
        || n.Contains("text", StringComparison.Ordinal) || n.Contains("dimension", StringComparison.Ordinal));
}

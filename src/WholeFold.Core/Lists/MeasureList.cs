using System.Text.RegularExpressions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>What a line of a measure list is about.</summary>
public enum ListKind
{
    Width,
    Height,
    Scores,
    Panels,
}

/// <summary>One line of a measure list, as it was read.</summary>
/// <param name="Line">Counted from 1.</param>
/// <param name="Unit">The unit its bare numbers are in.</param>
public sealed record ListLine(int Line, ListKind Kind, DisplayUnit Unit, IReadOnlyList<Length> Figures);

/// <summary>
/// A measure list as demonstrators write it: a line each for the sheet's width and height, the scores, the panels. A second
/// line of the same kind in the other system gives the same figures once more.
/// </summary>
/// <example>
/// <code>
/// width 10
/// scores 1/2, 2 1/2, 4 1/2, 5 1/2, 7 1/2, 9 1/2
/// scores cm 1.3, 6.4, 11.4, 14, 19.1, 24.1
/// </code>
/// </example>
public sealed partial record MeasureList(IReadOnlyList<ListLine> Lines)
{
    public const string Accepted = "lines such as “width 10”, “scores 1/2, 2 1/2, 4 1/2” and “panels 1/2 | 2 | 2”, with in, cm or mm after the word where it is not the usual unit";

    /// <summary>Reads a list; bare numbers are in <paramref name="bare"/> unless the line names its unit.</summary>
    /// <exception cref="InputProblemException">A line is not understood; the field is its number.</exception>
    public static MeasureList Read(string text, DisplayUnit bare)
    {
        ArgumentNullException.ThrowIfNull(text);
        var lines = new List<ListLine>();
        var number = 0;
        foreach (var raw in text.Split('\n'))
        {
            number++;
            var line = raw.Trim();
            if (line.Length == 0)
            {
                continue;
            }

            var match = Line().Match(line);
            if (!match.Success)
            {
                throw new InputProblemException("list.line", $"line {number}", $"“{line}” does not begin with width, height, scores or panels", Accepted);
            }

            var unit = match.Groups["unit"].Value.ToUpperInvariant() switch { "IN" => DisplayUnit.Inch, "CM" => DisplayUnit.Centimetre, "MM" => DisplayUnit.Millimetre, _ => bare };
            if (!LengthReader.TryReadList(match.Groups["rest"].Value.Replace("|", "; ", StringComparison.Ordinal), unit, out var figures, out var problem))
            {
                throw new InputProblemException("list.figure", $"line {number}", problem!.Reason, Accepted);
            }

            var kind = Enum.Parse<ListKind>(match.Groups["kind"].Value, ignoreCase: true);
            if (kind is ListKind.Width or ListKind.Height && figures.Count > 1)
            {
                throw new InputProblemException("list.many", $"line {number}", $"a {kind.ToString().ToLowerInvariant()} is one figure, not {figures.Count}", Accepted);
            }

            lines.Add(new ListLine(number, kind, unit, figures));
        }

        return lines.Count > 0 ? new MeasureList(lines) : throw new InputProblemException("list.empty", "list", "there is nothing in it", Accepted);
    }

    internal ListLine? First(ListKind kind) => Lines.FirstOrDefault(l => l.Kind == kind);

    [GeneratedRegex(@"^(?<kind>width|height|scores|panels)\s*(?:(?<unit>in|cm|mm)\b)?\s*[:=]?\s*(?<rest>.+)$", RegexOptions.IgnoreCase)]
    private static partial Regex Line();
}

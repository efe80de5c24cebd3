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
public sealed record MeasureList(IReadOnlyList<ListLine> Lines)
{
    public const string Accepted = "lines such as “width 10”, “scores 1/2, 2 1/2, 4 1/2” and “panels 1/2 | 2 | 2”, with in, cm or mm after the word where it is not the usual unit";

    /// <summary>The longest list that is read, in characters, and the most lines of one.</summary>
    public const int LongestText = 20_000;

    private const int MostLines = 200;

    /// <summary>Reads a list; bare numbers are in <paramref name="bare"/> unless the line names its unit.</summary>
    /// <exception cref="InputProblemException">A line is not understood; the field is its number.</exception>
    public static MeasureList Read(string text, DisplayUnit bare)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > LongestText)
        {
            throw new InputProblemException("list.long", "list", $"it has {text.Length} characters, and at most {LongestText} are read", Accepted);
        }

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

            if (lines.Count == MostLines)
            {
                throw new InputProblemException("list.long", $"line {number}", $"there are more than {MostLines} lines in it", Accepted);
            }

            if (Head(line) is not var (kind, named, rest))
            {
                throw new InputProblemException("list.line", $"line {number}", $"“{(line.Length <= 60 ? line : line[..60] + "…")}” does not begin with width, height, scores or panels", Accepted);
            }

            var unit = named ?? bare;
            if (!LengthReader.TryReadList(rest.Replace("|", "; ", StringComparison.Ordinal), unit, out var figures, out var problem))
            {
                throw new InputProblemException("list.figure", $"line {number}", problem!.Reason, Accepted);
            }

            if (kind is ListKind.Width or ListKind.Height && figures.Count > 1)
            {
                throw new InputProblemException("list.many", $"line {number}", $"a {kind.ToString().ToLowerInvariant()} is one figure, not {figures.Count}", Accepted);
            }

            lines.Add(new ListLine(number, kind, unit, figures));
        }

        return lines.Count > 0 ? new MeasureList(lines) : throw new InputProblemException("list.empty", "list", "there is nothing in it", Accepted);
    }

    /// <summary>What a line is about and the unit it names, and what follows them.</summary>
    private static (ListKind Kind, DisplayUnit? Unit, string Figures)? Head(string line)
    {
        if (Enum.GetValues<ListKind>().Where(k => line.StartsWith(k.ToString(), StringComparison.OrdinalIgnoreCase)).Select(k => (ListKind?)k).FirstOrDefault() is not { } kind)
        {
            return null;
        }

        var rest = line[kind.ToString().Length..].TrimStart();
        DisplayUnit? unit = null;
        foreach (var (name, which) in new[] { ("in", DisplayUnit.Inch), ("cm", DisplayUnit.Centimetre), ("mm", DisplayUnit.Millimetre) })
        {
            if (rest.StartsWith(name, StringComparison.OrdinalIgnoreCase) && (rest.Length == name.Length || !char.IsLetterOrDigit(rest[name.Length])))
            {
                (unit, rest) = (which, rest[name.Length..].TrimStart());
                break;
            }
        }

        rest = rest.StartsWith(':') || rest.StartsWith('=') ? rest[1..].TrimStart() : rest;
        return rest.Length == 0 ? null : (kind, unit, rest);
    }

    internal ListLine? First(ListKind kind) => Lines.FirstOrDefault(l => l.Kind == kind);
}

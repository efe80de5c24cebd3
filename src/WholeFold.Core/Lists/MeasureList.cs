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
    Layers,
    Mats,
    Ticks,
    Dies,
}

/// <summary>A line that was not understood; the rest of the list is looked through all the same.</summary>
public sealed record SkippedLine(int Line, string Text);

/// <summary>One line of a measure list, as it was read.</summary>
/// <param name="Line">Counted from 1.</param>
/// <param name="Unit">The unit its bare numbers are in.</param>
public sealed record ListLine(int Line, ListKind Kind, DisplayUnit Unit, IReadOnlyList<Length> Figures);

/// <summary>
/// A measure list as demonstrators write it: a line each for the sheet's width and height, the scores, the panels, the layers
/// and mats, ticks and dies. A second line of the same kind in the other system gives the same figures once more. A line that
/// begins with another word is skipped and named.
/// </summary>
/// <example>
/// <code>
/// width 10
/// scores 1/2, 2 1/2, 4 1/2, 5 1/2, 7 1/2, 9 1/2
/// scores cm 1.3, 6.4, 11.4, 14, 19.1, 24.1
/// </code>
/// </example>
public sealed record MeasureList(IReadOnlyList<ListLine> Lines, IReadOnlyList<SkippedLine> Skipped)
{
    public const string Accepted = "lines such as “width 10”, “scores 1/2, 2 1/2, 4 1/2” and “panels 1/2 | 2 | 2”, layers, mats, ticks and dies too, with in, cm or mm after the word where it is not the usual unit";

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

        var (lines, skipped) = (new List<ListLine>(), new List<SkippedLine>());
        var number = 0;
        foreach (var raw in text.Split('\n'))
        {
            number++;
            var line = raw.Trim();
            if (line.Length == 0)
            {
                continue;
            }

            if (lines.Count + skipped.Count == MostLines)
            {
                throw new InputProblemException("list.long", $"line {number}", $"there are more than {MostLines} lines in it", Accepted);
            }

            if (Head(line) is not var (kind, named, rest))
            {
                skipped.Add(new SkippedLine(number, line.Length <= 60 ? line : line[..60] + "…"));
                continue;
            }

            var unit = named ?? bare;
            if (!LengthReader.TryReadList(Separated(rest), unit, out var figures, out var problem))
            {
                throw new InputProblemException("list.figure", $"line {number}", problem!.Reason, Accepted);
            }

            if (kind is ListKind.Width or ListKind.Height && figures.Count > 1)
            {
                throw new InputProblemException("list.many", $"line {number}", $"a {kind.ToString().ToLowerInvariant()} is one figure, not {figures.Count}", Accepted);
            }

            lines.Add(new ListLine(number, kind, unit, figures));
        }

        return lines.Count > 0 ? new MeasureList(lines, skipped)
            : skipped.Count > 0 ? throw new InputProblemException("list.line", $"line {skipped[0].Line}", $"“{skipped[0].Text}” does not begin with width, height, scores, panels, layers, mats, ticks or dies", Accepted)
            : throw new InputProblemException("list.empty", "list", "there is nothing in it", Accepted);
    }

    /// <summary>Bars and the × of a size part figures as commas do.</summary>
    private static string Separated(string figures) => figures.Replace("|", "; ", StringComparison.Ordinal).Replace("×", "; ", StringComparison.Ordinal).Replace(" x ", "; ", StringComparison.OrdinalIgnoreCase);

    /// <summary>The words that a line may begin with: one of a kind, or several.</summary>
    private static readonly (string Word, ListKind Kind)[] Words =
        [.. Enum.GetValues<ListKind>().SelectMany(k =>
            k switch { ListKind.Width or ListKind.Height => new[] { (k.ToString(), k) }, ListKind.Dies => [("dies", k), ("die", k)],
            _ => [(k.ToString(), k), (k.ToString()[..^1], k)] })];

    /// <summary>What a line is about and the unit it names, and what follows them.</summary>
    private static (ListKind Kind, DisplayUnit? Unit, string Figures)? Head(string line)
    {
        if (Words.FirstOrDefault(w => line.StartsWith(w.Word, StringComparison.OrdinalIgnoreCase) && EndsThere(line[w.Word.Length..])) is not { Word: { } word, Kind: var kind })
        {
            return null;
        }

        var rest = line[word.Length..].TrimStart();
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

    /// <summary>After the word there is nothing, or no letter, or a unit written right behind it.</summary>
    private static bool EndsThere(string rest) => rest.Length == 0 || !char.IsLetter(rest[0])
        || (rest.Length > 1 && rest[..2].ToUpperInvariant() is "IN" or "CM" or "MM" && (rest.Length == 2 || !char.IsLetter(rest[2])));

    internal ListLine? First(ListKind kind) => Lines.FirstOrDefault(l => l.Kind == kind);
}

using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Lines that are rows of a table, as they come out of a spreadsheet: written as one says them.</summary>
internal sealed partial class OwnTable
{
    private const int Name = 0, First = 1, Second = 2, Scores = 3, Quantity = 4, Other = 5;

    private static readonly int[] Usual = [Name, First, Second, Scores, Quantity];

    private static readonly char[] Marks = ['\t', '|', ',', ';'];

    private static Regex Figure => field ??= new Regex($@"^\s*{OwnFigures.Number}{OwnFigures.Unit}\s*$", RegexOptions.IgnoreCase);

    private char? _mark;
    private int[] _columns = Usual;

    /// <summary>A row as a line of a list; any other line as it is, and of a table's head nothing.</summary>
    public string Row(string line)
    {
        if (line.StartsWith('#') || Marks.FirstOrDefault(m => line.Contains(m, StringComparison.Ordinal)) is not (var mark and not '\0'))
        {
            return line;
        }

        // Without a head only tabs and rules make a table: a comma may part scores.
        var cells = line.Trim('|').Split(_mark ?? mark).Select(c => c.Trim()).ToList();
        if (cells.Count >= 3 && !line.Any(char.IsAsciiDigit) && cells.Select(Column).ToArray() is var columns && columns.Contains(First) && columns.Contains(Second))
        {
            (_mark, _columns) = (mark, columns);
            return "";
        }

        string? Cell(int column) => Array.IndexOf(_columns, column) is var at and >= 0 && at < cells.Count && cells[at].Length > 0 ? cells[at] : null;
        if ((_mark is null && mark is not ('\t' or '|')) || cells.Count < 3 || Cell(First) is not { } a || Cell(Second) is not { } b || !Figure.IsMatch(a)
            || !Figure.IsMatch(b) || OwnFigures.Sizes(Cell(Name) ?? "", DisplayUnit.Millimetre).Count > 0 || OwnScores.Word.IsMatch(Cell(Name) ?? ""))
        {
            return line.Replace('\t', ' ');
        }

        // Scores that are parted by the same mark fill the cells that are left.
        var scores = Cell(Scores) is null ? null : _mark is ',' or ';' && _columns[^1] == Scores ? string.Join(", ", cells[(_columns.Length - 1)..]) : Cell(Scores);
        return $"{Cell(Name)}: {a} x {b}{(Cell(Quantity) is { } many && int.TryParse(many, out var n) ? $" ({n})" : "")}{(scores is not null && scores.Any(char.IsAsciiDigit) ? $", score at {scores}" : "")}";
    }

    private static int Column(string head) => head.ToUpperInvariant() switch
    {
        "WIDTH" or "W" or "WIDE" or "LONG" or "LENGTH" or "L" => First,
        "HEIGHT" or "H" or "HIGH" or "TALL" or "DEPTH" => Second,
        "SCORE" or "SCORES" or "SCORED" or "SCORED AT" or "SCORE AT" or "FOLDS" or "CREASES" => Scores,
        "QTY" or "QUANTITY" or "NUMBER" or "NO" or "COUNT" or "HOW MANY" or "PIECES" => Quantity,
        "PIECE" or "PART" or "NAME" or "WHAT" or "" => Name,
        _ => Other,
    };
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Lists;

/// <summary>So many of a sheet are enough for the pieces that come out of it.</summary>
public sealed record SheetsNeeded(Sheet Sheet, int Count, IReadOnlyList<string> Pieces);

/// <summary>
/// How many sheets the pieces of one card or more need, laid in rows from the highest piece to the lowest, each as it stands and turned only
/// where it would not go otherwise. That many are enough; a better lay may now and then save one, so it is said as "do" and
/// never as "at least".
/// </summary>
public static class SheetCount
{
    /// <param name="cards">Cut together, so that what is left of a sheet goes into the next card.</param>
    /// <returns>By sheet, the everyday one first; null where a piece comes out of none.</returns>
    public static IReadOnlyList<SheetsNeeded>? Of(Figures sized, int cards = 1)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var system = sized.Target.Format.System;
        var all = sized.Pieces.Where(p => p.Piece.Id != sized.Blank?.Piece)
            .SelectMany(p => Enumerable.Repeat((p.Piece.Name, Width: p.Width.Value, Height: p.Height.Value,
            Sheet: sized.Design.SheetFor(p.Width.Value, p.Height.Value, system)), p.Piece.Quantity)).ToList();
        return all.Any(p => p.Sheet is null) ? null : [.. all.GroupBy(p => p.Sheet!).OrderBy(g => g.Key.System == system ? 0 : 1).ThenBy(g => g.Key.Width.Units * g.Key.Height.Units)
            .Select(g => new SheetsNeeded(g.Key, ForAll(g.Key, [.. g.Select(p => (p.Width, p.Height))], cards), [.. g.Select(p => p.Name).Distinct()]))];
    }

    /// <summary>Together, or each card from its own sheets where rows of all their pieces happen to take more.</summary>
    private static int ForAll(Sheet sheet, List<(Length Width, Length Height)> ofOne, int cards) =>
        Math.Min(Rows(sheet, [.. Enumerable.Repeat(ofOne, cards).SelectMany(p => p)]), cards * Rows(sheet, ofOne));

    /// <summary>First fit: each piece goes on the first row with room, or begins one on the first sheet with room, or begins a sheet.</summary>
    public static int Rows(Sheet sheet, IReadOnlyList<(Length Width, Length Height)> pieces)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(pieces);
        var best = int.MaxValue;
        foreach (var (across, down) in new[] { (sheet.Width, sheet.Height), (sheet.Height, sheet.Width) })
        {
            var laid = pieces.Select(p => p.Width <= across && p.Height <= down ? p : (Width: p.Height, Height: p.Width));
            var sheets = new List<(Length Used, List<(Length Left, Length High)> Rows)>();
            foreach (var (width, height) in laid.OrderByDescending(p => p.Height).ThenByDescending(p => p.Width))
            {
                if (!OnARow(sheets, width, height))
                {
                    var at = sheets.FindIndex(s => s.Used + height <= down);
                    if (at < 0)
                    {
                        at = sheets.Count;
                        sheets.Add((Length.Zero, []));
                    }

                    sheets[at].Rows.Add((across - width, height));
                    sheets[at] = (sheets[at].Used + height, sheets[at].Rows);
                }
            }

            best = Math.Min(best, sheets.Count);
        }

        return best;
    }

    private static bool OnARow(List<(Length Used, List<(Length Left, Length High)> Rows)> sheets, Length width, Length height)
    {
        foreach (var (_, rows) in sheets)
        {
            var at = rows.FindIndex(r => r.Left >= width && r.High >= height);
            if (at >= 0)
            {
                rows[at] = (rows[at].Left - width, rows[at].High);
                return true;
            }
        }

        return false;
    }
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// What size a list may be for that names none. Its main piece, folded, is as high as it is across its scores, and as wide as some
/// of its panels side by side; everything else must fit on it.
/// </summary>
internal static class FinishedSize
{
    // Log odds, by trial on lists: a size that has a name; a paper that is that size less a border; the largest panel of a chain, half of a
    // sheet; what does not fit.
    private const double Named = 5, HasPaper = 3, LargestPanel = 2.5, Half = 1.5, EdgeToCrease = 0.7, Misfit = 6, Whole = 1.5, Turned = 1.2, Lesser = 0.8, Sheared = 4;

    private const int Most = 60;

    private static readonly Pair Near = new(Length.Mm(0.8m), Length.Mm(1m));

    /// <summary>Borders that leave a paper of the finished size.</summary>
    private static readonly Pair[] Borders = [Pair.Of(1, 16, 1.5m), Pair.Of(1, 8, 3m), Pair.Of(3, 16, 5m), Pair.Of(1, 4, 6m), Pair.Of(3, 8, 10m)];

    public static IReadOnlyList<(Length Width, Length Height, double Likely)> Candidates(OwnList list, IReadOnlyList<Format> formats, UnitSystem system)
    {
        if (list.Finished is { } finished)
        {
            return [(Bounded(finished.First), Bounded(finished.Second), 0)];
        }

        var near = Near.For(system);
        var scored = list.Cards.Where(c => c.Scores.Count > 0).OrderByDescending(c => (double)c.First.Units * c.Second.Units).ToList();
        var found = new List<(OwnPiece Main, Length Width, Length Height, double Likely)>();
        foreach (var (main, rank) in (scored.Count > 0 ? scored : [list.Cards.MaxBy(c => (double)c.First.Units * c.Second.Units)!]).Select((c, i) => (c, i)))
        {
            foreach (var (piece, doubt) in main.Turned is { } turned ? [(main, 0d), (turned, Turned)] : new[] { (main, 0d) })
            {
                // Scored both ways it is folded both ways.
                var heights = piece.Cross.Count == 0 ? [(piece.Across, 0d)] : Widths(piece with { Scores = piece.Cross, AlongFirst = !piece.AlongFirst, Cross = [] }, list, near).ToList();
                found.AddRange(from width in Widths(piece, list, near) from height in heights select (main, width.Width, height.Item1, width.Likely + height.Item2 - doubt - (rank * Lesser)));
            }
        }

        // None of it is of a card's size: it is what its largest piece is, as near as a card can be.
        bool IsCard(Length side) => side >= Format.Least && side <= Format.Greatest;
        if (!found.Any(f => IsCard(f.Width) && IsCard(f.Height)))
        {
            var largest = list.Cards.MaxBy(c => (double)c.First.Units * c.Second.Units)!;
            return [(Bounded(largest.First), Bounded(largest.Second), 0)];
        }

        return [.. found.GroupBy(f => (f.Width, f.Height)).Select(g => g.MaxBy(f => f.Likely)).Where(f => IsCard(f.Width) && IsCard(f.Height))
            .Select(f => (f.Width, f.Height, f.Likely + Fits(list, f.Main, f.Width, f.Height, formats, system, near))).OrderByDescending(f => f.Item3).Take(Most)];
    }

    private static Length Bounded(Length side) => Length.Min(Format.Greatest, Length.Max(Format.Least, side));

    /// <summary>What a folded chain may be wide: panels side by side, and the sheet itself where it is not scored.</summary>
    private static IEnumerable<(Length Width, double Likely)> Widths(OwnPiece piece, OwnList list, Length near)
    {
        if (piece.Scores.Count == 0)
        {
            yield return (piece.Along, Whole);
            yield break;
        }

        var (panels, widest) = (piece.Panels, piece.Panels.Max());

        // A piece with the same middle and other ends goes across it: such a tube is pushed flat sideways, by the depth of a wall.
        var isTube = panels.Count == 3 && list.Cards.Any(c => c != piece && c.Panels.Count == 3 && (c.Panels[1] - panels[1]).Abs() <= near && c.Panels[0] < panels[0] - near);
        for (var from = 0; from < panels.Count; from++)
        {
            var sum = Length.Zero;
            for (var to = from; to < panels.Count; to++)
            {
                sum += panels[to];

                // Folded it is at least as wide as its widest panel, and less than flat.
                if (sum >= widest - near && sum < piece.Along - near)
                {
                    yield return (sum, ((sum - widest).Abs() <= near ? LargestPanel : 0) + ((sum + sum - piece.Along).Abs() <= near ? Half : 0) + (from == 0 || to == panels.Count - 1 ? EdgeToCrease : 0) + (isTube && from == 0 && to == 1 ? Sheared : 0));
                }
            }
        }
    }

    /// <summary>What speaks for a size beside the chain: its name, a paper that it takes; and against it: what would hang over.</summary>
    private static double Fits(OwnList list, OwnPiece main, Length width, Length height, IReadOnlyList<Format> formats, UnitSystem system, Length near)
    {
        bool Is(Length a, Length b) => ((a - width).Abs() <= near && (b - height).Abs() <= near) || ((a - height).Abs() <= near && (b - width).Abs() <= near);
        bool Goes(Length a, Length b) => (a <= width + near && b <= height + near) || (a <= height + near && b <= width + near);
        var likely = formats.Any(f => f.System == system && Is(f.Width, f.Height)) ? Named : 0;
        likely += Borders.Any(b => list.Papers.Any(p => p.Quantity <= 2 && Is(p.First + (2 * b.For(system)), p.Second + (2 * b.For(system))))) ? HasPaper : 0;
        foreach (var piece in list.Pieces.Where(p => p != main && p.Kind is OwnKind.Piece or OwnKind.Paper && !Recogniser.IsExtra(p.Name)))
        {
            likely -= piece.Scores.Count == 0 ? Goes(piece.First, piece.Second) ? 0 : Misfit : piece.Panels.All(p => Goes(p, piece.Across)) ? 0 : Misfit;

            // Another whole piece as large as the card speaks for it.
            likely += piece.Scores.Count == 0 && Is(piece.First, piece.Second) ? Whole : 0;
        }

        return likely;
    }
}

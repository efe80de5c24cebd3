using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;

namespace WholeFold.Bench;

/// <summary>Lists with one figure as it is easily got wrong: by an eighth to an inch, or 3 to 20 mm.</summary>
internal static class Slips
{
    private static readonly Length[] Inches = [Length.In(1, 8), Length.In(1, 4), Length.In(1, 2), Length.In(1)];

    private static readonly Length[] Millimetres = [Length.Mm(3), Length.Mm(5), Length.Mm(10), Length.Mm(20)];

    /// <summary>At most so many of a list, with the line that is off and what stood there; the same for the same list every time.</summary>
    public static IEnumerable<(OwnList List, int Line, Length Was)> Of(OwnList list, int most)
    {
        var random = new Random(list.Pieces.Count + (list.Pieces.Sum(p => p.Scores.Count) * 31));
        var places = list.Pieces.Where(p => p.Kind != OwnKind.Finished).SelectMany(p => Enumerable.Range(0, p.Scores.Count + 2).Select(i => (Piece: p, Figure: i)))
            .OrderBy(_ => random.Next()).Take(most).ToList();
        foreach (var (piece, figure) in places)
        {
            var by = (piece.Unit == DisplayUnit.Inch ? Inches : Millimetres)[random.Next(4)];
            by = random.Next(2) == 0 ? by : Length.Zero - by;
            var (was, off) = figure switch
            {
                0 => (piece.First, piece with { First = piece.First + by }),
                1 => (piece.Second, piece with { Second = piece.Second + by }),
                _ => (piece.Scores[figure - 2], piece with { Scores = [.. piece.Scores.Select((s, i) => i == figure - 2 ? s + by : s)] }),
            };
            if (off.First > Length.Zero && off.Second > Length.Zero && off.Panels.All(p => p > Length.Zero))
            {
                yield return (list with { Pieces = [.. list.Pieces.Select(p => ReferenceEquals(p, piece) ? off : p)] }, piece.Line, was);
            }
        }
    }
}

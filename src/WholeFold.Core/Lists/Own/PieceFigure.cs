using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>One figure of a piece in words, and the piece with another in its place.</summary>
/// <param name="Figure">Width, height, or score 1 and so on.</param>
/// <param name="Score">Which score; null of a side.</param>
/// <param name="With">Null where the figure cannot be that.</param>
internal sealed record PieceFigure(OwnPiece Piece, string Figure, int? Score, Length Value, Func<Length, OwnPiece?> With)
{
    public bool IsAlong => Score is null && Figure == (Piece.AlongFirst ? "width" : "height");

    /// <summary>Its sides, the one along its scores first, and its scores.</summary>
    public static IEnumerable<PieceFigure> Of(OwnPiece piece)
    {
        yield return new(piece, piece.AlongFirst ? "width" : "height", null, piece.Along, at => at > (piece.Scores.Count == 0 ? Length.Zero : piece.Scores[^1]) ? Sized(piece, at, piece.Across) : null);
        yield return new(piece, piece.AlongFirst ? "height" : "width", null, piece.Across, at => at > (piece.Cross.Count == 0 ? Length.Zero : piece.Cross[^1]) ? Sized(piece, piece.Along, at) : null);
        for (var i = 0; i < piece.Scores.Count; i++)
        {
            var (n, before, after) = (i, i == 0 ? Length.Zero : piece.Scores[i - 1], i + 1 < piece.Scores.Count ? piece.Scores[i + 1] : piece.Along);
            yield return new(piece, $"score {i + 1}", i + 1, piece.Scores[i], at => at > before && at < after ? piece with { Scores = [.. piece.Scores.Select((s, j) => j == n ? at : s)] } : null);
        }
    }

    /// <summary>By how much one slips along a ruler: a mark or a few, half an inch, an inch; 3 to 20 mm.</summary>
    public static IReadOnlyList<Pair> UsualSlips { get; } = [Pair.Of(1, 8, 3m), Pair.Of(1, 4, 5m), Pair.Of(1, 2, 10m), Pair.Of(1, 1, 20m)];

    /// <summary>What is further off is no slip but another design.</summary>
    public static Length FurthestSlip { get; } = Length.In(21, 20);

    private static OwnPiece Sized(OwnPiece piece, Length along, Length across) => piece with { First = piece.AlongFirst ? along : across, Second = piece.AlongFirst ? across : along };
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What a line of somebody's own list is about.</summary>
public enum OwnKind
{
    /// <summary>A piece of card, scored or not.</summary>
    Piece,

    /// <summary>A paper or a mat that is laid on.</summary>
    Paper,

    /// <summary>Something cut out of a piece.</summary>
    Window,

    /// <summary>The finished card, as it is named.</summary>
    Finished,
}

/// <summary>A piece, a paper or a window as it was read.</summary>
/// <param name="Line">Counted from 1.</param>
/// <param name="First">The side that is named first; <paramref name="Second"/> the other.</param>
/// <param name="Scores">From the left or the lower end of the side that they are read along, in order.</param>
/// <param name="AlongFirst">Whether the scores are read along the side that is named first.</param>
public sealed record OwnPiece(int Line, string Name, OwnKind Kind, int Quantity, Length First, Length Second, IReadOnlyList<Length> Scores, bool AlongFirst, DisplayUnit Unit)
{
    /// <summary>Scores that run the other way, read along the other side.</summary>
    public IReadOnlyList<Length> Cross { get; init; } = [];

    /// <summary>Which way a score folds, of those where the list says so; by where it is.</summary>
    public IReadOnlyDictionary<Length, Fold> Folds { get; init; } = new Dictionary<Length, Fold>();

    /// <summary>Whether the list says which side the scores are read along; otherwise it is the side that takes them all, or the one named first.</summary>
    public bool SideSaid { get; init; }

    /// <summary>Whether scores run both ways through one corner to the other.</summary>
    public bool Diagonals { get; init; }

    /// <summary>What its maker says beside its size, where it goes among it.</summary>
    public string Said { get; init; } = "";

    public Length Along => AlongFirst ? First : Second;

    public Length Across => AlongFirst ? Second : First;

    /// <summary>The panels between its scores, along the chain.</summary>
    public IReadOnlyList<Length> Panels => [.. Scores.Append(Along).Zip(Scores.Prepend(Length.Zero), (to, from) => to - from)];

    /// <summary>Read the other way about, where the list leaves that open and both sides take its scores; null where they do not.</summary>
    public OwnPiece? Turned => SideSaid || Scores.Count == 0 || First == Second ? null : FromEnds ? FromOtherEnds() : Scores[^1] >= Across ? null : this with { AlongFirst = !AlongFirst };

    /// <summary>Whether its scores were said by how far they are from both ends: then so they are along its other side.</summary>
    public bool FromEnds { get; init; }

    private OwnPiece? FromOtherEnds()
    {
        Length There(Length score) => score + score < Along ? score : score + score == Along ? new Length(Across.Units / 2) : Across - (Along - score);
        IReadOnlyList<Length> there = [.. Scores.Select(There)];
        return there[0] <= Length.Zero || there.Zip(there.Skip(1)).Any(s => s.First >= s.Second) ? null
            : this with { AlongFirst = !AlongFirst, Scores = there, Folds = Folds.ToDictionary(f => There(f.Key), f => f.Value) };
    }

    /// <summary>Whether its maker is to be asked which side its scores are read along: nothing tells, or it is taken to be the shorter one.</summary>
    public bool IsSideInDoubt => Turned is not null && (OwnScores.IsOpen(this) || Along < Across);

    /// <summary>Whether its maker was asked, and said.</summary>
    public bool SideAnswered { get; init; }

    /// <summary>What its maker names it by who says that its scores are read along its other side.</summary>
    public string SideKey => $"{Line}.{Name}.side";
}

/// <summary>A line that was not understood, with what would be; it is kept as it is.</summary>
/// <param name="InPart">Whether what else stands in it was.</param>
public sealed record NotUnderstood(int Line, string Text, string Would, bool InPart = false);

/// <summary>A figure that has a name and belongs to no side: rails ⅞, 1¼ from the fore-edges.</summary>
public sealed record OwnNamed(int Line, string Name, Length Value);

/// <summary>A measure list in its maker's own words, as far as it was understood.</summary>
/// <param name="Named">Figures that are no side and no score of a piece.</param>
public sealed record OwnList(IReadOnlyList<OwnPiece> Pieces, IReadOnlyList<OwnNamed> Named, IReadOnlyList<NotUnderstood> Left)
{
    /// <summary>What its maker calls it, in a line above the others; null where there is none.</summary>
    public string? Title { get; init; }

    /// <summary>The name of a format that it says it is for; null where it names none.</summary>
    public string? Fits { get; init; }

    public IEnumerable<OwnPiece> Cards => Pieces.Where(p => p.Kind == OwnKind.Piece);

    public IEnumerable<OwnPiece> Papers => Pieces.Where(p => p.Kind == OwnKind.Paper);

    /// <summary>As its maker has it who says of pieces, by <see cref="OwnPiece.SideKey"/>, that they are scored along their other side; who says it twice is back.</summary>
    public OwnList Turned(IEnumerable<string> said) => said.CountBy(k => k).ToDictionary() is { Count: > 0 } times
        ? this with { Pieces = [.. Pieces.Select(p => times.TryGetValue(p.SideKey, out var n) && p.Turned is { } turned
            ? (n % 2 == 1 ? turned : p) with { SideSaid = true, SideAnswered = true } : p)] }
        : this;

    public OwnPiece? Finished => Pieces.FirstOrDefault(p => p.Kind == OwnKind.Finished);
}

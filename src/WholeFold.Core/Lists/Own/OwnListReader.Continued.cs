using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What a line without a size says of the piece before it.</summary>
public static partial class OwnListReader
{
    /// <summary>Something about the piece before it, something that is done, or a figure with a name.</summary>
    private static bool Continues(string part, string? tail, int number, DisplayUnit unit, List<OwnPiece> pieces, List<OwnNamed> named)
    {
        var last = pieces.FindLastIndex(p => p.Kind is OwnKind.Piece or OwnKind.Paper);
        // So much at both ends may stand before the word.
        tail = tail is not null && !tail.Any(char.IsAsciiDigit) && OwnScores.EndsForm.IsMatch(tail) && part.Any(char.IsAsciiDigit) ? part : tail;
        var isOfEach = OfEach.IsMatch(part);
        bool IsAlike(OwnPiece piece) => piece.Line == number && piece.Name == pieces[last].Name;
        static bool Is(OwnPiece piece, string called) => piece.Name.TrimEnd('s').EndsWith(called.TrimEnd('s'), StringComparison.OrdinalIgnoreCase);
        var ofThose = OfEachNamed.Match(part).Groups["name"].Value is { Length: > 0 } called && pieces.Any(p => Is(p, called)) ? called : null;
        last = ofThose is null ? last : pieces.FindLastIndex(p => Is(p, ofThose));
        if (last > 0 && tail is not null && (isOfEach || ofThose is not null
            || (IsAlike(pieces[last - 1]) && !part.StartsWith("the ", StringComparison.OrdinalIgnoreCase)))
            && Each(tail, unit, pieces, last, p => ofThose is not null ? Is(p, ofThose) : isOfEach ? p.Line >= pieces[last].Line - MostRows : IsAlike(p)))
        {
            return true;
        }

        if (last >= 0 && (Changed(part, tail, unit, pieces, pieces[last]) is { } changed))
        {
            pieces[last] = changed.Quantity > 1 || tail is null ? changed : changed with { Quantity = OwnFigures.Count("", TailCount(tail)) };
            return true;
        }

        if (last >= 0 && (Another(part, tail, number, unit, pieces, last) || IsDone(part, unit, pieces[last])))
        {
            return true;
        }

        if (tail is null && NamedForm.Match(part) is { Success: true } m && OwnFigures.Figure(m.Groups["n"].Value, m.Groups["u"].Value, unit) is { } value && value > Length.Zero)
        {
            named.Add(new OwnNamed(number, $"{m.Groups["name"].Value.Trim()}{m.Groups["rest"].Value}".Trim(' ', '.', ',').ToLowerInvariant(), value));
            return true;
        }

        return false;
    }

    /// <summary>Whether a line says only what is done; where it folds, by figures that the piece has already.</summary>
    private static bool IsDone(string part, DisplayUnit unit, OwnPiece piece)
    {
        bool Has(Length figure) => piece.Scores.Concat(piece.Cross).Append(piece.First).Append(piece.Second).SelectMany(l => new[] { l, new Length(l.Units / 2) })
            .Any(l => (l - figure).Abs() <= Length.Mm(0.5m));
        return DoneWord.IsMatch(part) && (!FoldFirst.IsMatch(part) || OwnFigures.All(OwnFigures.WithoutCounts(Angle.Replace(part, "")), unit, MostPieces).All(Has));
    }

    /// <summary>Of several pieces in a row that nothing is scored on yet each is scored so.</summary>
    private static bool Each(string tail, DisplayUnit unit, List<OwnPiece> pieces, int last, Func<OwnPiece, bool> belongs)
    {
        var first = last;
        while (first > 0 && pieces[first - 1] is { Kind: OwnKind.Piece, Scores.Count: 0 } && belongs(pieces[first - 1]))
        {
            first--;
        }

        if (first == last || pieces[last].Kind != OwnKind.Piece || pieces[last].Scores.Count > 0)
        {
            return false;
        }

        var scored = pieces.Skip(first).Take(last - first + 1).Select(p => Scored(p, OwnScores.Read(tail, p.First, p.Second, unit), pieces)).ToList();
        if (scored.Any(p => p is not { Scores.Count: > 0 }))
        {
            return false;
        }

        for (var i = first; i <= last; i++)
        {
            pieces[i] = scored[i - first]!;
        }

        return true;
    }

    /// <summary>What is said of each is said of pieces that stand no more lines before.</summary>
    private const int MostRows = 6;

    /// <summary>The piece before it is cut into halves of that size: they are what is scored then, and of a sheet that is scored already nothing new
    /// is said. Null where they are no halves of it.</summary>
    private static bool? Halved(OwnFigures.Size size, string tail, int number, DisplayUnit unit, List<OwnPiece> pieces, List<OwnNamed> named)
    {
        var last = pieces.FindLastIndex(p => p.Kind == OwnKind.Piece);
        if (last < 0 || !(Is(pieces[last].First, pieces[last].Second) || Is(pieces[last].Second, pieces[last].First)) || (pieces[last].Scores.Count > 0 && tail.Length > 0))
        {
            return null;
        }

        if (pieces[last].Scores.Count == 0)
        {
            pieces[last] = pieces[last] with { First = size.A, Second = size.B, Quantity = 2 * pieces[last].Quantity };
        }

        return tail.Length == 0 || Continues(tail, tail, number, unit, pieces, named);

        bool Is(Length halved, Length kept) => (halved == size.A + size.A && kept == size.B) || (halved == size.B + size.B && kept == size.A);
    }

    /// <summary>The piece before it with its scores, or with more of them; null where the line does not say any.</summary>
    private static OwnPiece? Changed(string part, string? tail, DisplayUnit unit, List<OwnPiece> pieces, OwnPiece piece)
    {
        var isScored = piece.Scores.Count > 0;
        var isOther = DoneWord.IsMatch(part) && !part.TrimStart().StartsWith("fold", StringComparison.OrdinalIgnoreCase) && !part.Contains("then fold", StringComparison.OrdinalIgnoreCase);
        tail ??= OnASide.IsMatch(part) ? part : null;
        if (!isOther && !isScored && (tail ?? (BareForm.IsMatch(part) || EndsOnly.IsMatch(part) ? part : null)) is { } said
            && Scored(piece, OwnScores.Read(said, piece.First, piece.Second, unit), pieces) is { } scored)
        {
            return scored;
        }

        if (tail is null && !isScored && OwnScores.OfPanels(part, piece.First, piece.Second, unit) is { } panels)
        {
            return Scored(piece, panels, pieces);
        }

        if (tail is null)
        {
            return !isOther && DiagonalWord.IsMatch(part) ? piece with { Diagonals = true } : null;
        }

        if (isScored && OwnScores.HalfTurnForm.IsMatch(part) && OwnScores.Read(tail, piece.Along, piece.Along, unit) is { } far && (far.Scores.Count > 0 || far.Same))
        {
            var near = new OwnScores(piece.Scores, piece.AlongFirst, [], piece.SideSaid, false, Same: false) { Folds = piece.Folds };
            var both = near.AndFrom(far.Same ? near : far, piece.Along);

            // What comes to the same from the other end was read along the other side.
            if (both.Scores.Count == piece.Scores.Count && piece.Turned is { } turnedPiece)
            {
                both = (near with { AlongFirst = !near.AlongFirst }).AndFrom(far.Same ? near : far, piece.Across);
                return turnedPiece with { Scores = both.Scores, Folds = both.Folds };
            }

            return piece with { Scores = both.Scores, Folds = both.Folds };
        }

        // Of two that are cut alike this is the other.
        if (piece.Quantity > 1 && OtherOne.IsMatch(part))
        {
            return null;
        }

        if (!isOther && isScored && piece.Cross.Count == 0 && OwnScores.TurnForm.IsMatch(part[..part.IndexOf(tail, StringComparison.Ordinal)])
            && OwnScores.Read(tail, piece.Across, piece.Across, unit) is { Scores.Count: > 0 } turned)
        {
            return piece with { Cross = turned.Scores, SideSaid = true };
        }

        var more = OwnScores.Read(tail, piece.First, piece.Second, unit);
        if (more.Scores.Count == 0)
        {
            return more.Diagonals ? piece with { Diagonals = true } : null;
        }

        return OtherWay.IsMatch(tail) && more.Scores[^1] < piece.Along && (!more.SideSaid || more.AlongFirst == piece.AlongFirst)
            ? piece with { Scores = [.. piece.Scores.Concat(more.Scores).Distinct().Order()], Folds = more.Folds.Concat(piece.Folds).DistinctBy(f => f.Key).ToDictionary() }
            : !isOther && piece.Cross.Count == 0 && more.SideSaid && more.AlongFirst != piece.AlongFirst ? piece with { Cross = more.Scores, SideSaid = true } : null;
    }

    /// <summary>One more piece like the one before it, or the other of two that were cut alike.</summary>
    private static bool Another(string part, string? tail, int number, DisplayUnit unit, List<OwnPiece> pieces, int last)
    {
        var piece = pieces[last];
        if (piece.Scores.Count == 0)
        {
            return false;
        }

        if (AllTheSame.Match(part) is { Success: true } again)
        {
            // Of two that are cut alike nothing new is said.
            if (piece.Quantity > 1 && OtherOne.IsMatch(part))
            {
                return true;
            }

            pieces.Add(piece with { Line = number, Name = Name(again.Groups["name"].Value) is { Length: > 0 } called ? called : piece.Name });
            return true;
        }

        if (tail is not null && piece.Quantity > 1 && OtherOne.IsMatch(part)
            && Scored(piece with { Quantity = 1, Scores = [] }, OwnScores.Read(tail, piece.First, piece.Second, unit), pieces) is { } different)
        {
            pieces[last] = piece with { Quantity = piece.Quantity - 1 };
            pieces.Add(different with { Line = number, Name = $"other {piece.Name}" });
            return true;
        }

        return false;
    }

    /// <summary>A window that has no size of its own, beside what else its line says: as large as the one before it, or all of a panel but its frame. Null where the line has none.</summary>
    private static bool? WithAWindow(string part, int number, DisplayUnit unit, List<OwnPiece> pieces, List<OwnNamed> named)
    {
        var window = pieces.FindLast(p => p.Kind == OwnKind.Window);
        var said = window is not null && SameWindow.Match(part) is { Success: true } same ? same : FramedWindow.Match(part);
        if (!said.Success)
        {
            return null;
        }

        var rest = part.Remove(said.Index, said.Length).Trim(' ', ',', ';', '-', '.');
        if (rest.Length > 0 && !ReadPart(rest, number, unit, pieces, named))
        {
            return false;
        }

        var name = said.Groups["name"].Value.ToLowerInvariant();
        if (!said.Groups["frame"].Success)
        {
            pieces.Add(window! with { Line = number, Name = name });
            return true;
        }

        // Of the widest panel that frame stays on each side.
        if (OwnFigures.All(said.Groups["frame"].Value, unit, 1) is not [var frame]
            || pieces.FindLast(p => p.Kind is OwnKind.Piece or OwnKind.Paper) is not { } piece || piece.Panels.Max() - frame - frame is var along
            && piece.Across - frame - frame is var across && Length.Min(along, across) <= Length.Zero)
        {
            return false;
        }

        pieces.Add(new OwnPiece(number, name, OwnKind.Window, 1, piece.AlongFirst ? along : across, piece.AlongFirst ? across : along, [], true, piece.Unit));
        return true;
    }
}

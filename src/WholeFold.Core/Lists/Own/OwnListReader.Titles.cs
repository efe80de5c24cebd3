using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What a list calls its card, and how large it says that is when it is finished.</summary>
public static partial class OwnListReader
{
    /// <summary>A line that says what comes, or what the card is called, and measures nothing.</summary>
    private static bool IsHeading(string line, bool first) => !(first ? CountOf.Replace(FormatName.Replace(line, ""), "") : line).Any(char.IsAsciiDigit)
        && (line.EndsWith(':') || (first && line.Split(' ', StringSplitOptions.RemoveEmptyEntries).Length <= (line.Any(char.IsAsciiDigit) ? LongestSized
        : LongestTitle)));

    /// <summary>In words; of one with a format in it, which may be a sheet that is cut, fewer.</summary>
    private const int LongestTitle = 5, LongestSized = 4;

    /// <summary>What a card is called with its size, and behind a colon what is cut for it.</summary>
    private static IEnumerable<string> FromItsTitle(string part, DisplayUnit unit)
    {
        if (OwnFigures.Sizes(part, unit) is not [var card, var piece, ..] || part.IndexOf(':', card.End) is var colon && (colon < 0 || colon > piece.At)
            || part[..card.At].Contains(':', StringComparison.Ordinal))
        {
            return [part];
        }

        // Figures behind the colon are scores of what stands before it.
        if (part[(colon + 1)..].TrimStart() is [>= '0' and <= '9', ..] && OwnFigures.WithoutCounts(part[colon..piece.At]).Any(char.IsAsciiDigit))
        {
            return [part];
        }

        // The name stands before the size, or behind it.
        var (before, between) = (part[..card.At], part[card.End..colon]);
        return before.Any(char.IsAsciiLetter) ? ClosedWords.IsMatch(between) ? [$"{part[..card.End]} finished", part[(colon + 1)..].Trim()] : [part]
            : between.Any(char.IsAsciiLetter) && !between.Any(char.IsAsciiDigit) && !DoneWord.IsMatch(between) && !OwnScores.Word.IsMatch(between)
                && !PieceName.IsMatch(between) ? [$"{between} {part[..card.End]} finished", part[(colon + 1)..].Trim()] : [part];
    }

    /// <summary>What the card is called and its size, over a list of pieces: in brackets, behind a fold's name, which no piece is called, or for.</summary>
    private static OwnPiece? Title(string part, string? next, int number, DisplayUnit unit)
    {
        var isListed = next is not null && OwnFigures.Sizes(next, unit).Count > 0;
        if (isListed && DeepTitle.Match(part) is { Success: true } deep && OwnFigures.Figure(deep.Groups["a"].Value, deep.Groups["ua"].Value, unit) is { } wide
            && OwnFigures.Figure(deep.Groups["b"].Value, deep.Groups["ub"].Value, unit) is { } high)
        {
            return new OwnPiece(number, Name(deep.Groups["name"].Value), OwnKind.Finished, 1, wide, high, [], true, unit);
        }

        if (OwnFigures.Sizes(part, unit) is not [var size])
        {
            return null;
        }

        var (before, after) = (part[..size.At].Trim(), part[size.End..].Trim());
        var isTitle = (before.EndsWith('(') && after is ")" or "" && !(PieceName.IsMatch(before) && !isListed)) || (ClosedWords.IsMatch(after) && TitleName.IsMatch(before) && isListed);

        // Or the card that the sheet behind it comes to, folded.
        isTitle |= before.Length == 0 && OnlyCard.IsMatch(after) && isListed && OwnFigures.Sizes(next!, unit) is [var sheet, ..] && ComesTo(sheet.A, sheet.B, size.A, size.B);
        return isTitle ? new OwnPiece(number, Name(before) is { Length: > 0 } name ? name : "card", OwnKind.Finished, 1, size.A, size.B, [], true, unit) : null;
    }

    /// <summary>What comes first, has a name that no piece has, and is as large as what is scored will be when it is folded, is the finished card.</summary>
    private static List<OwnPiece> WithItsCard(List<OwnPiece> pieces)
    {
        if (pieces is not [{ Kind: OwnKind.Piece, Quantity: 1, Scores.Count: 0 } first, .. var rest] || rest.Any(p => p.Kind == OwnKind.Finished)
            || PieceName.IsMatch(first.Name) || !rest.Any(p => p.Scores.Count > 0 && ComesTo(p.First, p.Second, first.First, first.Second)))
        {
            return pieces;
        }

        return [first with { Kind = OwnKind.Finished }, .. rest];
    }

    /// <summary>Whether a sheet, folded, can come to a card: as large one way, and larger the other.</summary>
    private static bool ComesTo(Length a, Length b, Length width, Length height)
    {
        return Longer(a, b) || Longer(b, a);

        bool Longer(Length along, Length across) => (across == height && along > FoldedAway(width)) || (across == width && along > FoldedAway(height));
    }

    /// <summary>What is folded was longer by so much.</summary>
    private static Length FoldedAway(Length side) => new(side.Units * 23 / 20);
}

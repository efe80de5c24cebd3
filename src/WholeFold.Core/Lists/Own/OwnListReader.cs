using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Reads a measure list as people write it: pieces with their sizes, scores behind them or on the next line, quantities, papers,
/// windows. A line that cannot be read is kept with what could be.
/// </summary>
public static partial class OwnListReader
{
    public const string Accepted = "lines such as “base 10 x 5, score at 2 1/2 and 7 1/2” or “mats 4 3/4 x 4 3/4 (2)”";

    private const int LongestText = 20_000, MostLines = 200, MostPieces = 40;

    /// <param name="bare">The unit of bare numbers, until a line names one; null where nobody said: then the figures themselves tell.</param>
    /// <exception cref="InputProblemException">It is far too long.</exception>
    public static OwnList Read(string text, DisplayUnit? bare)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > LongestText || text.Count(c => c == '\n') > MostLines)
        {
            throw new InputProblemException("own.long", "list", $"it has {text.Length} characters in {text.Count(c => c == '\n') + 1} lines", $"at most {LongestText} characters in {MostLines} lines; {Accepted}");
        }

        var (pieces, named, left) = (new List<OwnPiece>(), new List<OwnNamed>(), new List<NotUnderstood>());
        var far = OwnFigures.NumberForm.Matches(text).Any(n => decimal.TryParse(n.Groups["n"].Value, NumberStyles.None, CultureInfo.InvariantCulture, out var whole) && whole > Longest);
        var unit = NamedUnit(text, far) ?? bare ?? Usual(text);
        var (number, title) = (0, (string?)null);
        var table = new OwnTable();
        var written = text.Split('\n');
        var (lines, isNumbered) = (InOneLine(written), FirstNumber.IsMatch(text));
        foreach (var raw in lines)
        {
            number++;
            var line = table.Row(Plain(raw, keepTabs: true));
            unit = Sensible(NamedUnit(line, far) ?? unit, line);
            line = unit == DisplayUnit.Inch ? line : InSomething.Replace(SoFarIn.Replace(line, " "), " into ");
            line = NextColumn.Replace(line, "; ");
            line = isNumbered ? line : CountAhead.Replace(line, "(${n}) ");
            if (line.Length == 0 || (line.StartsWith('#') && !(line.Length > 1 && char.IsAsciiDigit(line[1]))) || UnitsOnly.IsMatch(line)
                || IsHeading(line, pieces.Count == 0) || (pieces.Count == 0 && FitsEnvelope.IsMatch(line)))
            {
                title ??= pieces.Count == 0 && line.Length > 0 && !line.EndsWith(':') && (IsHeading(line, true) || FitsEnvelope.IsMatch(line)) ? line : null;
                continue;
            }

            // Several pieces a line are parted by a semicolon, or each is a sentence.
            var parts = EachHeight(line).SelectMany(l => l.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
                .SelectMany(p => Sentences(p, unit)).SelectMany((p, i) => pieces.Count == 0 && i == 0 ? FromItsTitle(p, unit) : [p]).ToList();
            foreach (var (part, at) in parts.Select((p, i) => (p, i)))
            {
                if (pieces.Count == 0 && Title(part, parts.Skip(at + 1).Concat(lines.Skip(number).Select(l => Plain(l))).FirstOrDefault(l => l.Length > 0), number, unit) is { } card)
                {
                    pieces.Add(card);
                }
                else if (pieces.Count is var before && (pieces.Count >= MostPieces || !ReadPart(part, number, unit, pieces, named) || HasUnread(part, unit, pieces.Skip(before))))
                {
                    left.Add(new NotUnderstood(number, written[number - 1].Trim() is { Length: > 80 } late ? late[..80] + "…" : written[number - 1].Trim(),
                        pieces.Count >= MostPieces ? $"at most {MostPieces} pieces" : pieces.Count > before ? "“score at” before its figures, if they are scores" : Accepted, InPart: pieces.Count > before));
                }
            }
        }

        return new OwnList([.. ToldApart(ByHabit(WithItsCard(pieces)))], named, left) { Title = title, Fits = FormatThatItFits.Match(text) is { Success: true } fits ? fits.Groups["name"].Value : null };
    }

    /// <summary>Whether figures stand behind the size of a piece, or between two sizes, that were not taken for anything.</summary>
    private static bool HasUnread(string part, DisplayUnit unit, IEnumerable<OwnPiece> read)
    {
        if (read.ToList() is not { Count: > 0 } now || now.Any(p => p.Scores.Count > 0) || !now.Any(p => p.Kind == OwnKind.Piece))
        {
            return false;
        }

        var sizes = OwnFigures.Sizes(part, unit);
        var rest = sizes is [.., var last] ? part[last.End..] : part;
        return (now.All(p => p.Kind == OwnKind.Piece) && IsUnread(rest)) || (OwnScores.Word.IsMatch(rest) && !now.All(p => p.Diagonals)) || sizes.Zip(sizes.Skip(1)).Any(two => IsUnread($"{part[two.First.End..two.Second.At]} x"));

        static bool IsUnread(string words) => !DoneWord.IsMatch(words) && Unread.IsMatch(OwnFigures.WithoutCounts(words));
    }

    private static IEnumerable<string> Sentences(string part, DisplayUnit unit)
    {
        // Each is a piece, or what is scored on the one before it; lines may be numbered.
        part = LineNumber.Replace(part, "");
        var sentences = SentenceEnd.Split(part).Select(s => StepNumber.Replace(s, "").TrimEnd('.', ' ')).ToArray();

        // What a line begins with may be no more than the card's name.
        sentences = sentences.Length > 2 && !sentences[0].Any(char.IsAsciiDigit) && !OwnScores.Word.IsMatch(sentences[0]) ? sentences[1..] : sentences;
        return sentences.Length > 1 && sentences.All(s => OwnFigures.Sizes(s, unit).Count > 0
            || (OwnScores.Word.Match(s) is { Success: true } word && OwnScores.IsSaid(s[word.Index..])) || BareForm.IsMatch(s)
            || (s.Length > 0 && char.IsUpper(s[0]) && NamedForm.IsMatch(s) && !GoesOn.IsMatch(s))) ? sentences : [StepNumber.Replace(part, "")];
    }

    /// <summary>Whoever names the side that is scored second, where there is no doubt, does so in what comes after it too.</summary>
    private static List<OwnPiece> ByHabit(IReadOnlyList<OwnPiece> pieces)
    {
        var read = new List<OwnPiece>();
        var (first, second) = (false, false);
        foreach (var piece in pieces)
        {
            var isClear = piece.Scores.Count > 0 && piece.Cross.Count == 0 && piece.First != piece.Second && (piece.SideSaid || !OwnScores.IsOpen(piece));
            (first, second) = (first || (isClear && piece.AlongFirst), second || (isClear && !piece.AlongFirst));
            read.Add(second && !first && !isClear && piece is { AlongFirst: true, Turned: { } turned } && OwnScores.IsOpen(piece) ? turned : piece);
        }

        return read;
    }

    /// <summary>Pieces of one line with one name get a number each; the finished card is none.</summary>
    private static IEnumerable<OwnPiece> ToldApart(IReadOnlyList<OwnPiece> pieces)
    {
        bool IsAlike(OwnPiece one, OwnPiece other) => one.Line == other.Line && one.Name == other.Name && other.Kind != OwnKind.Finished;
        return pieces.Select((p, i) => p.Kind == OwnKind.Finished || pieces.Count(q => IsAlike(p, q)) == 1 ? p : p with { Name = $"{p.Name} {pieces.Take(i + 1).Count(q => IsAlike(p, q))}" });
    }

    private static bool ReadPart(string part, int number, DisplayUnit unit, List<OwnPiece> pieces, List<OwnNamed> named)
    {
        part = AsMeant(part, unit);
        if (OneAndOther.Match(part) is { Success: true } two && (OwnFigures.Sizes(part[..two.Index], unit).Count == 1 || (two.Index == 0 && pieces is [.., { Quantity: > 1, Scores.Count: 0 }])))
        {
            var sheet = part[..two.Index].TrimEnd(' ', ':', ',', '-');
            return ReadPart(sheet.Length > 0 ? $"{sheet}, {two.Groups["one"].Value}" : two.Groups["one"].Value, number, unit, pieces, named) && ReadPart($"the other {two.Groups["other"].Value}", number, unit, pieces, named);
        }

        if (WithAWindow(part, number, unit, pieces, named) is { } withAWindow)
        {
            return withAWindow;
        }

        // A piece may be called a folded one: what is scored stands behind its size.
        var score = OwnScores.Word.Match(part);
        if (score.Success && OwnFigures.Sizes(part, unit) is [var only, ..] && only.At > score.Index && !part[score.Index..only.At].Any(char.IsAsciiDigit)
            && OwnScores.Word.Match(part, only.End) is { Success: true } behindIt)
        {
            score = behindIt;
        }

        var (head, tail) = score.Success ? (part[..score.Index], part[score.Index..]) : (part, "");
        head = Plural.IsMatch(score.Value) && SoManyScores.Match(head) is { Success: true } many && OwnFigures.Sizes(head[..many.Index], unit).Count > 0 ? head[..many.Index] : head;
        var sizes = OwnFigures.Sizes(head, unit);
        if (sizes.Count == 0 && score.Success && OwnFigures.Sizes(tail, unit) is [var behind, ..])
        {
            // A size may stand behind its scores: score at 4 a piece of 8 x 5.
            (sizes, head) = ([new OwnFigures.Size(head.Length, 0, behind.A, behind.B)], head + tail[..behind.At]);
            tail = tail[..behind.At];
        }

        if (sizes.Count == 0 && SameSize.Match(head) is { Success: true } same && As(same.Groups["as"].Value, pieces) is { } model)
        {
            sizes = [new OwnFigures.Size(same.Index, same.Length, model.First, model.Second)];
        }

        if (sizes.Count > 0 && OffCorners.IsMatch(head) && pieces.Count > 0)
        {
            return true;
        }

        if (sizes.Count == 1 && sizes[0].End <= head.Length && CutInHalf.IsMatch(head[..sizes[0].At]) && Halved(sizes[0], tail, number, unit, pieces, named) is { } halved)
        {
            return halved;
        }

        if (score.Success && sizes.Count == 1 && sizes[0].End <= head.Length && !OwnFigures.BeforeSize(tail, unit).Any(char.IsAsciiDigit)
            && BeforeWord.Match(head[sizes[0].End..]) is { Success: true } ahead)
        {
            return ReadPart($"{head[..sizes[0].End]}, score {ahead.Groups["scores"].Value} {OwnScores.Word.Replace(tail, "", 1)}", number, unit, pieces, named);
        }

        // Figures behind a size, and another size behind them: what is cut out of it, mostly.
        if (!score.Success && sizes.Count > 1 && LastClause.Match(part[..sizes[1].At]) is { Success: true } next && next.Index > sizes[0].End && BehindForm.IsMatch(part[sizes[0].End..next.Index]))
        {
            return ReadPart(part[..next.Index], number, unit, pieces, named) && ReadPart(part[(next.Index + next.Length - next.Groups["words"].Length)..], number, unit, pieces, named);
        }

        if (!score.Success && sizes.Count == 1 && BehindSize(head, sizes[0], number, unit, pieces, named) is { } isRead)
        {
            return isRead;
        }

        // A size behind scores is another piece: what goes into it, mostly.
        if (sizes.Count > 0 && score.Success && OwnFigures.Sizes(tail, unit) is [var other, ..] && LastClause.Match(tail[..other.At]) is { Success: true } clause && !OwnScores.FoldedTo.IsMatch(tail))
        {
            return Adds(head, sizes, tail[..clause.Index], number, unit, pieces) && ReadPart(tail[(clause.Index + clause.Length - clause.Groups["words"].Length)..], number, unit, pieces, named);
        }

        return sizes.Count == 0 ? Continues(part, score.Success ? (OwnScores.SideForm.IsMatch(part[..(score.Index + score.Length)]) ? part : tail) : null, number,
            unit, pieces, named) : Adds(head, sizes, score.Success ? tail : null, number, unit, pieces);
    }

    /// <summary>What stands behind a size without a word that it is scored, where it is its scores, its panels or figures in a row; null where it is none of that.</summary>
    private static bool? BehindSize(string head, OwnFigures.Size size, int number, DisplayUnit unit, List<OwnPiece> pieces, List<OwnNamed> named)
    {
        var behind = head[size.End..];
        if (!DoneWord.IsMatch(behind) && BehindForm.Match(OwnScores.CountForm.Replace(behind, "").TrimEnd(' ', '.', '!')) is { Success: true } figures)
        {
            return Adds(head[..size.End], [size], $"{figures.Groups["scores"].Value}{(OwnFigures.Count("", TailCount(behind)) is > 1 and var many ? $" ({many})" : "")}", number, unit, pieces);
        }

        if (EndsOnly.IsMatch(behind))
        {
            return Adds(head[..size.End], [size], behind, number, unit, pieces);
        }

        if (OwnScores.OfPanels(behind, size.A, size.B, unit) is { } panels)
        {
            var before = pieces.Count;
            return Adds(head[..size.End], [size], null, number, unit, pieces) && pieces.Count > before && Scored(pieces[^1], panels, pieces) is { } scored && (pieces[^1] = scored) is not null;
        }

        if (RunForm.Match(behind) is { Success: true } run && OwnScores.Read(run.Groups["scores"].Value, size.A, size.B, unit) is { Scores.Count: > 1 })
        {
            return Adds(head[..size.End], [size], run.Groups["scores"].Value, number, unit, pieces)
                && (!run.Groups["rest"].Value.Any(char.IsAsciiDigit) || ReadPart(run.Groups["rest"].Value, number, unit, pieces, named));
        }

        if (BracketForm.Match(behind) is { Success: true } inBrackets)
        {
            return Adds(head[..size.End], [size], inBrackets.Groups["scores"].Value, number, unit, pieces);
        }

        return null;
    }

    /// <summary>The piece that is called so, or the last one; null where there is none.</summary>
    private static OwnPiece? As(string name, List<OwnPiece> pieces) =>
        pieces.FindLast(p => name.Length > 0 && p.Kind != OwnKind.Finished && Name(name) is { Length: > 0 } called
        && (p.Name.Contains(called, StringComparison.Ordinal) || called.Contains(p.Name, StringComparison.Ordinal)))
        ?? pieces.FindLast(p => p.Kind == OwnKind.Piece);

    /// <summary>A line with sizes: a piece for each, its name, its kind and its scores carried over to those that have none of their own.</summary>
    private static bool Adds(string head, IReadOnlyList<OwnFigures.Size> sizes, string? tail, int number, DisplayUnit unit, List<OwnPiece> pieces)
    {
        var carried = pieces.Count > 0 && pieces[^1].Line == number && (tail is null || pieces[^1].Kind == OwnKind.Finished) ? pieces[^1] : null;
        var from = 0;

        // Two tiers of two sizes are one of each.
        var ofEach = sizes.Count > 1 && sizes.Zip(sizes.Skip(1)).All(two => two.Second.At <= head.Length && OnlyAnd.IsMatch(head[two.First.End..two.Second.At]))
            && OwnFigures.Count(head[..Math.Min(sizes[0].At, head.Length)], "") == sizes.Count;
        for (var i = 0; i < sizes.Count && pieces.Count < MostPieces; i++)
        {
            var size = sizes[i];
            var before = head[from..Math.Min(size.At, head.Length)];
            var after = head[Math.Min(size.End, head.Length)..(i + 1 < sizes.Count ? Math.Min(sizes[i + 1].At, head.Length) : head.Length)];
            from = Math.Min(size.End, head.Length);

            // Where the one before goes is no name of this one.
            before = i > 0 ? WhereItGoes.Replace(before, "") : before;

            // A folded card, and in brackets the sheet that it is folded from.
            if (i == 0 && sizes.Count == 2 && tail is not null && after.TrimEnd().EndsWith('(') && ComesTo(sizes[1].A, sizes[1].B, size.A, size.B))
            {
                pieces.Add(new OwnPiece(number, Name(before) is { Length: > 0 } called ? called : Name(after) is { Length: > 0 } calledBehind ? calledBehind
                    : "card", OwnKind.Finished, 1, size.A, size.B, [], true, unit));
                carried = pieces[^1];
                continue;
            }

            // What it is made for is the card, and no piece.
            if ((i > 0 || (pieces.Count + sizes.Count > 1 && GoesIn.Match(before).Groups["kept"] is { Success: true, Length: 0 })) && IsMadeFor(before, after, head))
            {
                pieces.Add(new OwnPiece(number, "card", OwnKind.Finished, 1, size.A, size.B, [], true, unit));
                continue;
            }

            // And what goes into it is scored no more than it is.
            var holds = i > 0 && GoesIn.IsMatch(before);
            after = i + 1 < sizes.Count && GoesIn.Match(after) is { Success: true } goes && IsMadeFor(after, head[Math.Min(sizes[i + 1].End, head.Length)..], head) ? goes.Groups["kept"].Value : after;
            var behind = i == 0 && carried?.Kind != OwnKind.Finished && !Aside.IsMatch(after) ? Name(after) : "";
            var itself = head[Math.Min(size.At, head.Length)..Math.Min(size.End, head.Length)];
            var isRound = CircleWord.IsMatch(itself);
            var scores = tail is null || holds || (isRound && sizes.Count > 1) ? null : OwnScores.Read(tail, size.A, size.B, unit);
            var own = Name(before) is { Length: > 0 } named ? named : i == 0 && size.At == 0 && CircleFirst.Match(head) is { Success: true } round ? round.Value.ToLowerInvariant() : "";
            var kind = scores is { Scores.Count: > 0 } or { Same: true } ? OwnKind.Piece : (i > 0 && Within.IsMatch(before))
                || ((i > 0 || own.Length == 0) && IsOpening.IsMatch(after)) || (CutA.IsMatch(before) && OutOf.IsMatch(after))
                || (carried?.Kind == OwnKind.Window && InAnother.IsMatch(before)) || WindowWord.IsMatch(itself) ? OwnKind.Window
                : Kind(own.Length > 0 || carried is null ? before : behind.Length > 0 ? behind : carried.Name,
                before + (i > 0 && OnlyWhereItGoes.IsMatch(after) ? "" : after), carried);
            var name = own.Length > 0 && (own != "a" || behind.Length == 0) ? own : (i > 0 || carried is not null) && kind == OwnKind.Window
                && carried?.Kind != OwnKind.Window ? "window" : behind.Length > 0 ? behind : carried?.Name
                ?? (kind switch { OwnKind.Paper => "paper", OwnKind.Window => "window", OwnKind.Finished => "card", _ when isRound => "circle", _ => $"piece {pieces.Count(p => p.Kind == OwnKind.Piece) + 1}" });
            var isSlanted = tail is null && sizes.Count == 1 && FoldedDiagonally.IsMatch(after);
            var piece = new OwnPiece(number, name, kind, size.Halves ? Math.Max(2, OwnFigures.Count(before, after))
                : OwnFigures.Count(ofEach && i == 0 ? "" : before, i + 1 < sizes.Count ? Until(after) : after + (tail is null ? "" : " " + TailCount(tail))),
                size.A, size.B, [], true, unit) { Diagonals = isSlanted, Said = $"{before} {itself} {after}".ToLowerInvariant() };
            pieces.Add(scores is null ? piece : Scored(piece, scores, pieces) ?? piece);
            carried = carried is null || own.Length > 0 ? pieces[^1] with { Scores = [], Cross = [] } : carried;
        }

        return true;

        static bool IsMadeFor(string before, string after, string head) => GoesIn.IsMatch(before) && (CardBehind.IsMatch(after) || (EnvelopeWord.IsMatch(head) && NothingBehind.IsMatch(after)));

        // What stands before the next name belongs to the size before it.
        static string Until(string after) => Regex.Match(after, @"^\W*(?:\(\s*\d+\s*\)|x\s*\d+)") is { Success: true } m ? m.Value : "";
    }

    /// <summary>What says how many there are, behind scores.</summary>
    private static string TailCount(string tail) => string.Join(' ', OwnScores.CountForm.Matches(tail).Select(m => m.Value));

    private static OwnKind Kind(string name, string words, OwnPiece? carried) =>
        FinishedWord.IsMatch(words) ? OwnKind.Finished : WindowWord.IsMatch(name) || Through.IsMatch(words) ? OwnKind.Window : PaperWord.IsMatch(words)
            ? OwnKind.Paper : carried?.Kind is OwnKind.Paper or OwnKind.Window && (Name(words).Length == 0 || OneOfThem.IsMatch(Name(name))) ? carried.Kind
            : OwnKind.Piece;

    private static OwnPiece? Scored(OwnPiece piece, OwnScores scores, List<OwnPiece> pieces)
    {
        if (scores.Same)
        {
            var before = pieces.FindLast(p => p.Scores.Count > 0);
            var fits = before is null ? null : before.Along == piece.First ? (bool?)true : before.Along == piece.Second ? false : before.AlongFirst;
            return before is null || fits is not { } along || before.Scores[^1] >= (along ? piece.First : piece.Second) ? null
                : piece with { Kind = OwnKind.Piece, Scores = before.Scores, Folds = before.Folds, AlongFirst = along, SideSaid = true };
        }

        return scores.Scores.Count == 0 ? scores.Diagonals ? piece with { Diagonals = true } : null
            : piece with { Kind = OwnKind.Piece, Scores = scores.Scores, AlongFirst = scores.AlongFirst, Cross = scores.Cross, SideSaid = scores.SideSaid,
            Diagonals = scores.Diagonals, Folds = scores.Folds, FromEnds = scores.FromEnds };
    }

    /// <summary>What is left of a line's head without counts and small words.</summary>
    private static string Name(string words)
    {
        // A letter with its mark is a name, and no article.
        if (LetterName.IsMatch(words))
        {
            return "a";
        }

        var name = Small.Replace(OwnFigures.WithoutCounts(Regex.Replace(words, @"\bcut[\s-]out\b", "cutout", RegexOptions.IgnoreCase)), " ").ToLowerInvariant();
        name = string.Join(' ', name.Split(' ', StringSplitOptions.RemoveEmptyEntries)).Trim(' ', '-', '\'');
        name = NoName.Replace(name, "");
        return name.Length > LongestName ? name[..LongestName] : name;
    }

    private const int LongestName = 40;
}

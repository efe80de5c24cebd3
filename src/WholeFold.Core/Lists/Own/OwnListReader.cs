using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Reads a measure list as people write it: pieces with their sizes, scores behind them or on the next line, quantities, papers,
/// windows. A line that cannot be read is kept with what could be.
/// </summary>
public static partial class OwnListReader
{
    public const string Accepted = "lines such as “base 10 x 5, score at 2 1/2 and 7 1/2” or “mats 4 3/4 x 4 3/4 (2)”";

    private const int LongestText = 20_000, MostLines = 200, MostPieces = 40, MostScores = 40;

    private const string Number = @"(?:\d+\s*[-\s]\s*\d+/\d+|\d+/\d+|\d+[.,]\d+|[.,]\d+|\d+)";
    private const string Unit = @"(?:\s*(?:inches|inch|in\b|""|″|''|cm|mm))?";

    [GeneratedRegex($@"(?<a>{Number})(?<ua>{Unit})\s*(?:x|×|by)\s*(?<b>{Number})(?<ub>{Unit})", RegexOptions.IgnoreCase)]
    private static partial Regex SizeForm();

    [GeneratedRegex($@"(?<a>{Number})(?<ua>{Unit})[\s-]*square\b", RegexOptions.IgnoreCase)]
    private static partial Regex SquareForm();

    [GeneratedRegex(@"\b(?<name>a[3-7]|letter|half letter)\b(?:\s+sheet)?", RegexOptions.IgnoreCase)]
    private static partial Regex SheetForm();

    [GeneratedRegex($@"(?<n>{Number})(?<u>{Unit})", RegexOptions.IgnoreCase)]
    private static partial Regex NumberForm();

    [GeneratedRegex(@"\bscor(?:e|es|ed|ing)\b|\bfold(?:s|ed)?\s+(?:at|in)\b|\bcreases?\b", RegexOptions.IgnoreCase)]
    private static partial Regex ScoreWord();

    [GeneratedRegex(@"\(\s*(?<n>\d{1,2})\s*\)|\bcut\s+(?<n>\d{1,2})\b|\b(?:x|×)\s*(?<n>\d{1,2})\s*$|^\s*(?<n>\d{1,2})\s*(?:x|×|of)\s+(?=[a-z])|\b(?<n>\d{1,2})\s+(?:of them|off|pieces|pcs)\b|^\s*(?<n>\d{1,2})\s+(?=[a-z]{3,})", RegexOptions.IgnoreCase)]
    private static partial Regex CountForm();

    [GeneratedRegex(@"\b(?<w>one|two|three|four|five|six|seven|eight|nine|ten|twelve|a pair of|both)\b(?=\s+[a-z])", RegexOptions.IgnoreCase)]
    private static partial Regex CountWord();

    [GeneratedRegex(@"\b(?:mats?|papers?|layers?|panels? of paper|pattern(?:ed)?|dsp|decorat\w*|liners?\b(?= paper)|front mat|topper)\b", RegexOptions.IgnoreCase)]
    private static partial Regex PaperWord();

    [GeneratedRegex(@"\b(?:window|aperture|opening|cut ?out)\b", RegexOptions.IgnoreCase)]
    private static partial Regex WindowWord();

    [GeneratedRegex(@"\b(?:finished|closed|folded size|card size|makes an?|for an?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex FinishedWord();

    private static readonly Dictionary<string, int> Words = new(StringComparer.OrdinalIgnoreCase)
    {
        ["one"] = 1, ["two"] = 2, ["a pair of"] = 2, ["both"] = 2, ["three"] = 3, ["four"] = 4, ["five"] = 5, ["six"] = 6, ["seven"] = 7, ["eight"] = 8, ["nine"] = 9, ["ten"] = 10, ["twelve"] = 12,
    };

    private static readonly Dictionary<string, (decimal, decimal)> Sheets = new(StringComparer.OrdinalIgnoreCase)
    {
        ["a3"] = (297, 420), ["a4"] = (210, 297), ["a5"] = (148, 210), ["a6"] = (105, 148), ["a7"] = (74, 105), ["letter"] = (215.9m, 279.4m), ["half letter"] = (139.7m, 215.9m),
    };

    private static readonly Dictionary<char, string> Fractions = new()
    {
        ['½'] = "1/2", ['¼'] = "1/4", ['¾'] = "3/4", ['⅛'] = "1/8", ['⅜'] = "3/8", ['⅝'] = "5/8", ['⅞'] = "7/8", ['⅓'] = "1/3", ['⅔'] = "2/3", ['⅙'] = "1/6",
    };

    /// <param name="bare">The unit of bare numbers, until a line names one.</param>
    /// <exception cref="InputProblemException">It is far too long.</exception>
    public static OwnList Read(string text, DisplayUnit bare)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > LongestText || text.Count(c => c == '\n') > MostLines)
        {
            throw new InputProblemException("own.long", "list", $"it has {text.Length} characters in {text.Count(c => c == '\n') + 1} lines", $"at most {LongestText} characters in {MostLines} lines; {Accepted}");
        }

        var (pieces, left) = (new List<OwnPiece>(), new List<NotUnderstood>());
        var unit = NamedUnit(text) ?? bare;
        var number = 0;
        foreach (var raw in text.Split('\n'))
        {
            number++;
            var line = Plain(raw);
            if (line.Length == 0 || line.StartsWith('#'))
            {
                continue;
            }

            unit = NamedUnit(line) ?? unit;

            // Several pieces a line are parted by a semicolon.
            foreach (var part in line.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries))
            {
                if (pieces.Count >= MostPieces || !ReadPart(part, number, unit, pieces))
                {
                    left.Add(new NotUnderstood(number, raw.Trim() is { Length: > 80 } late ? late[..80] + "…" : raw.Trim(), pieces.Count >= MostPieces ? $"at most {MostPieces} pieces" : Accepted));
                }
            }
        }

        return new OwnList(pieces, left);
    }

    /// <summary>One way of writing for what can be written in several.</summary>
    private static string Plain(string line)
    {
        var plain = new System.Text.StringBuilder();
        foreach (var c in line)
        {
            plain.Append(c switch
            {
                _ when Fractions.TryGetValue(c, out var fraction) => (plain.Length > 0 && char.IsAsciiDigit(plain[^1]) ? " " : "") + fraction,
                '⁄' => "/",
                '–' or '—' or '‑' => "-",
                '“' or '”' or '″' => "\"",
                '\t' or ' ' => " ",
                _ => c.ToString(),
            });
        }

        return plain.ToString().Trim().TrimStart('-', '*', '•').Trim();
    }

    private static DisplayUnit? NamedUnit(string text) =>
        Regex.Match(text, @"(?<=\d\s?)(mm|cm|inches|inch|in|"")(?![a-z])(?!\s+half)|\b(?:all|sizes|measures|everything)\s+in\s+(mm|cm|inches|inch)\b|\bunits?:?\s*(mm|cm|in)\b", RegexOptions.IgnoreCase) is { Success: true } m
            ? (m.Groups[1].Value + m.Groups[2].Value + m.Groups[3].Value).ToLowerInvariant() switch { "mm" => DisplayUnit.Millimetre, "cm" => DisplayUnit.Centimetre, _ => DisplayUnit.Inch } : null;

    private static bool ReadPart(string part, int number, DisplayUnit unit, List<OwnPiece> pieces)
    {
        var score = ScoreWord().Match(part);
        var (head, tail) = score.Success ? (part[..score.Index], part[score.Index..]) : (part, "");
        if (Size(head, unit) is not { } size)
        {
            // Scores on a line of their own belong to the piece before; a size may stand behind them.
            if (score.Success && pieces.FindLastIndex(p => p.Kind is OwnKind.Piece or OwnKind.Paper) is >= 0 and var last && Size(tail, unit) is null)
            {
                var (scores, along) = Scores(tail, pieces[last].First, pieces[last].Second, unit);
                if (scores.Count == 0 || pieces[last].Scores.Count > 0)
                {
                    return false;
                }

                pieces[last] = pieces[last] with { Scores = scores, AlongFirst = along, Kind = OwnKind.Piece };
                return true;
            }

            if (score.Success && Size(tail, unit) is { } behind)
            {
                size = behind;
                head = tail[..behind.At];
            }
            else
            {
                return false;
            }
        }

        var name = Name(head[..Math.Min(size.At, head.Length)]);
        var rest = head.Length > size.At + size.Length ? head[(size.At + size.Length)..] : "";
        var (found, alongFirst) = score.Success ? Scores(tail, size.A, size.B, unit) : ([], true);
        var kind = FinishedWord().IsMatch(part) && found.Count == 0 ? OwnKind.Finished : WindowWord().IsMatch(head) && found.Count == 0 ? OwnKind.Window : PaperWord().IsMatch(head) && found.Count == 0 ? OwnKind.Paper : OwnKind.Piece;
        if (name.Length == 0)
        {
            name = Name(rest) is { Length: > 0 } after ? after : kind switch { OwnKind.Paper => "paper", OwnKind.Window => "window", OwnKind.Finished => "card", _ => $"piece {pieces.Count(p => p.Kind == OwnKind.Piece) + 1}" };
        }

        pieces.Add(new OwnPiece(number, name, kind, Count($"{head[..Math.Min(size.At, head.Length)]} {rest}"), size.A, size.B, found, alongFirst, unit));
        return true;
    }

    /// <summary>What is left of a line's head without counts and small words.</summary>
    private static string Name(string words)
    {
        var name = Small().Replace(CountForm().Replace(words, " "), " ").ToLowerInvariant();
        name = string.Join(' ', name.Split(' ', StringSplitOptions.RemoveEmptyEntries)).Trim(' ', '-', '\'');
        return name.Length > LongestName ? name[..LongestName] : name;
    }

    private const int LongestName = 40;

    [GeneratedRegex(@"\b(one|two|three|four|five|six|eight|both)\b(?=\s+[a-z])|\b(cut|piece of|a|an|the|of|card|cardstock|at|to|from|is|for)\b|[^a-z0-9 '&-]", RegexOptions.IgnoreCase)]
    private static partial Regex Small();

    private static int Count(string words) => CountForm().Match(words) is { Success: true } m ? int.Parse(m.Groups["n"].Value, CultureInfo.InvariantCulture) is >= 1 and <= 60 and var n ? n : 1
        : CountWord().Match(words) is { Success: true } w ? Words[w.Groups["w"].Value] : 1;

    private static (int At, int Length, Length A, Length B)? Size(string text, DisplayUnit unit)
    {
        foreach (Match m in SizeForm().Matches(text))
        {
            var (ua, ub) = (m.Groups["ua"].Value, m.Groups["ub"].Value);
            if (Figure(m.Groups["a"].Value, ua.Length > 0 ? ua : ub, unit) is { } a && Figure(m.Groups["b"].Value, ub.Length > 0 ? ub : ua, unit) is { } b && a > Length.Zero && b > Length.Zero)
            {
                return (m.Index, m.Length, a, b);
            }
        }

        if (SquareForm().Match(text) is { Success: true } s && Figure(s.Groups["a"].Value, s.Groups["ua"].Value, unit) is { } side && side > Length.Zero)
        {
            return (s.Index, s.Length, side, side);
        }

        return SheetForm().Match(text) is { Success: true } sheet && Sheets.TryGetValue(sheet.Groups["name"].Value, out var mm) ? (sheet.Index, sheet.Length, Length.Mm(mm.Item1), Length.Mm(mm.Item2)) : null;
    }

    private static Length? Figure(string number, string named, DisplayUnit unit)
    {
        var own = named.Trim().ToLowerInvariant() switch { "cm" => DisplayUnit.Centimetre, "mm" => DisplayUnit.Millimetre, "" => unit, _ => DisplayUnit.Inch };
        return LengthReader.TryRead(Regex.Replace(number, @"(?<=\d)\s*-\s*(?=\d)", " "), own, out var value, out _) ? value : null;
    }

    /// <summary>The positions that a line of scores names, and the side that they are read along.</summary>
    private static (IReadOnlyList<Length> Scores, bool AlongFirst) Scores(string text, Length first, Length second, DisplayUnit unit)
    {
        var low = text.ToLowerInvariant();
        var side = Regex.Match(low, $@"(?:along|on|across|down)\s+the\s+(?:(?<word>long|longer|short|shorter|first|second|width|height)|(?<n>{Number})(?<u>{Unit}))(?:\s*(?:side|edge|length|way))?");
        bool? along = null;
        if (side.Success)
        {
            along = side.Groups["word"].Value switch
            {
                "long" or "longer" => first >= second,
                "short" or "shorter" => first < second,
                "first" or "width" => true,
                "second" or "height" => false,
                _ => Figure(side.Groups["n"].Value, side.Groups["u"].Value, unit) is { } named ? (named - first).Abs() <= (named - second).Abs() : null,
            };
            low = low.Remove(side.Index, side.Length);
        }

        if (Regex.IsMatch(low, @"\bin half\b|\bat half\b|\bhalfway\b|\bdown the (?:middle|centre)\b"))
        {
            var halved = along ?? first >= second;
            return ([new Length((halved ? first : second).Units / 2)], halved);
        }

        var every = Regex.Match(low, $@"\bevery\s+(?:(?<n>{Number})(?<u>{Unit})|inch)");
        var figures = every.Success ? [] : NumberForm().Matches(low).Select(m => Figure(m.Groups["n"].Value, m.Groups["u"].Value, unit)).OfType<Length>().Where(f => f > Length.Zero).Take(MostScores).ToList();
        bool Holds(Length room) => figures.All(f => f < room);
        var which = along ?? (Holds(first) || !Holds(second));
        var room = which ? first : second;
        if (every.Success)
        {
            var step = every.Groups["n"].Success ? Figure(every.Groups["n"].Value, every.Groups["u"].Value, unit) ?? Length.In(1) : Length.In(1);
            which = along ?? first >= second;
            room = which ? first : second;
            return (step <= Length.Zero ? [] : [.. Enumerable.Range(1, MostScores).Select(i => i * step).TakeWhile(at => at < room)], which);
        }

        if (figures.Count == 0 || !Holds(room))
        {
            return ([], true);
        }

        if (Regex.IsMatch(low, @"\b(?:from|at|on)\s+(?:each|both|either)\s+(?:ends?|sides?)\b|\bboth (?:ends|sides)\b|\beach (?:end|side)\b"))
        {
            figures = [.. figures, .. figures.Select(f => room - f)];
        }

        return ([.. figures.Distinct().Order()], which);
    }
}

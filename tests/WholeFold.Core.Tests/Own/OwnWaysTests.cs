using System.Globalization;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>What a list says does not depend on how it is written: every way of giving a size with every way of giving scores, counts and names.</summary>
public sealed class OwnWaysTests
{
    private static readonly string[] Sizes =
    [
        "{a} x {b}", "{a}x{b}", "{a} X {b}", "{a} by {b}", "{a} × {b}", "{a}\" x {b}\"", "{a} in x {b} in", "{a} wide x {b} tall", "{a} w x {b} h", "{a}\"W x {b}\"H", "{a} wide by {b} high",
        "{a} inches by {b} inches", "{a} x {b} inches", "({a} x {b})", "size {a} x {b}", "measuring {a} x {b}", "cut to {a} x {b}", "cut at {a} x {b}", "{a} long and {b} wide", "width {a}, height {b}",
        "{b} tall x {a} wide", "{b}\" high by {a}\" wide", "{a} in. x {b} in.", "{a}\" wide and {b}\" tall", "trimmed to {a} x {b}", "which measures {a} by {b}", "{a}” x {b}”", "{a} wide, {b} tall", "{a} across by {b} down",
    ];

    private static readonly string[] Scores =
    [
        "score at {l}", "scored at {l}", "score @ {l}", "score: {l}", "scores {l}", "score lines at {l}", "score lines: {l}", "fold at {l}", "folds at {l}", "fold lines at {l}", "crease at {l}", "creases: {l}", "S: {l}", "s@{l}",
        "sc {l}", "scored {l}", "(score {l})", "(scored at {l})", "score it at {l}", "score along the long side at {l}", "score on the {a} side at {l}", "scoring at {l}", "score at {l} from the left", "from the left score at {l}",
        "scored on the {a}\" side at {l}", "score the {a} side at {l}", "score {l} on the {a} side", "put score lines at {l}", "score marks at {l}", "line up the {a} side on the score board and score at {l}",
        "with the {a} side at the top, score at {l}", "with the long side along the top of the board score at {l}", "score the long side at {l}", "score lines are at {l}", "score points {l}", "fold marks at {l}", "valley fold at {l}",
        "score it with the {a} edge along the top at {l}", "score at the following: {l}",
    ];

    private static readonly string[] Names = ["Base: ", "base - ", "base ", "Base = ", "1. Base ", "- base: ", "* Base – ", "Base (white) ", "BASE ", "For the base cut a piece of cardstock ", "Cut the base ", "a) base ", "Piece A: ", "The base is ", "Card base, ", "1 x base ", "[base] ", "(1) base ", "#1 base: ", "Base .... "];

    private static readonly string[] Parted = [", ", ". ", "\n", " - ", "; ", ", and ", " — ", ", then ", "\n- ", " | "];

    private static readonly string[] Joined = [", ", " and ", " & ", " / ", " then ", "; ", " | "];

    private static readonly (string Text, int Count)[] Tails = [("", 1), (" (cut 2)", 2), (" x2", 2), (" - cut 2", 2), (", make 2", 2), (" (heavy card)", 1), (", 2 of these", 2), (" (x2)", 2), (".", 1), (" - burnish well", 1), (", from one sheet", 1)];

    /// <summary>In sixteenths: the long side, the short one, and the scores along the long one.</summary>
    private static readonly (int Along, int Across, int[] Scores)[] Pieces =
        [(160, 80, [40, 120]), (160, 80, [24, 48, 112, 136]), (136, 88, [68]), (112, 48, [8, 104]), (192, 64, [16, 48, 64, 96, 128, 144, 176]),
        (134, 88, [33, 101]), (122, 68, [12, 37, 73, 98])];

    /// <summary>8 1/2, 8-1/2, 8½ or 8.5.</summary>
    private static string Inches(int sixteenths, int style)
    {
        var (whole, part, of) = (sixteenths / 16, sixteenths % 16, 16);
        while (part > 0 && part % 2 == 0)
        {
            (part, of) = (part / 2, of / 2);
        }

        return part == 0 ? $"{whole}" : style switch
        {
            3 => (sixteenths / 16m).ToString("0.####", CultureInfo.InvariantCulture),
            2 when of == 2 => $"{(whole > 0 ? whole : "")}½",
            _ => whole == 0 ? $"{part}/{of}" : $"{whole}{(style == 1 ? "-" : " ")}{part}/{of}",
        };
    }

    [Fact]
    public void A_piece_is_read_however_its_size_its_scores_and_its_count_are_written()
    {
        var (wrong, n) = (new List<string>(), 0);
        foreach (var size in Sizes)
        {
            foreach (var score in Scores)
            {
                // Names, marks, counts and ways of writing figures go round at their own pace, so that each meets all others.
                n++;
                var (piece, name, between, tail, style) = (Pieces[n % Pieces.Length], Names[n % Names.Length], Parted[n % Parted.Length], Tails[n % Tails.Length], n / 3 % 4);
                var figures = piece.Scores.Select(s => Inches(s, style)).ToList();
                var join = Joined[n / 5 % Joined.Length];
                var list = join is " and " or " & " or " then " && figures.Count > 2 ? string.Join(", ", figures[..^1]) + join + figures[^1] : string.Join(join, figures);
                string With(string text) => text.Replace("{a}", Inches(piece.Along, style), StringComparison.Ordinal)
                    .Replace("{b}", Inches(piece.Across, style), StringComparison.Ordinal).Replace("{l}", list, StringComparison.Ordinal);
                var text = $"{name}{With(size)}{between}{With(score)}{tail.Text}";
                if (Told(text, Length.In(piece.Along, 16), Length.In(piece.Across, 16), [.. piece.Scores.Select(s => Length.In(s, 16))], tail.Count, DisplayUnit.Inch) is { } told)
                {
                    wrong.Add($"{told}: {text}");
                }
            }
        }

        Assert.True(wrong.Count == 0, $"{wrong.Count} of {n}\n" + string.Join("\n", wrong.Take(20)));
    }

    /// <summary>What is wrong with the one piece that a text tells of; null where nothing is.</summary>
    private static string? Told(string text, Length along, Length across, IReadOnlyList<Length> scores, int count, DisplayUnit unit)
    {
        var list = OwnListReader.Read(text, unit);
        return list.Pieces is not [{ Kind: OwnKind.Piece } piece] ? $"{list.Pieces.Count} pieces"
            : piece.Along != along || piece.Across != across ? "sides"
            : !piece.Scores.SequenceEqual(scores) || piece.Cross.Count > 0 ? $"scores {string.Join(", ", piece.Scores)}"
            : piece.Quantity != count ? $"{piece.Quantity} of them"
            : list.Left.Count > 0 ? "something left" : null;
    }

    /// <summary>e is so far from an end, m what is between, n the other place; q, h and t are the quarters.</summary>
    private static readonly (string[] Ways, string[] Places)[] Said =
    [
        (["score {e} from each end", "scored {e} from both ends", "score at {e} from each short side", "score {e} in from each short edge", "score {e} on both short sides", "score both short sides at {e}", "score both ends at {e}", "score each end at {e}",
            "score at {e}, turn round and score at {e} again", "score {e} from the left and {e} from the right", "score at {e} from left and right", "score {e} from either end", "scored {e} at each short end", "score lines {e} from the short edges",
            "with a score line {e} in from each end", "score the short ends at {e}", "fold in {e} at each end", "fold each end in {e}", "fold both ends in by {e}", "score at {e} and again {e} from the other end", "score at {e}, then {e} from the other end",
            "score {e} from one end and {e} from the other", "panels of {e}, {m}, {e}", "panels: {e} + {m} + {e}", "mountain fold at {e}, valley fold at {n}", "score a {e} tab on each end", "score {e} flaps both ends", "score lines @ {e} + {n}",
            "score the {a} edge at {e} and {n}", "scores on the long side: {e}, {n}", "score (long side) {e}, {n}", "long side scored at {e} and {n}", "long side: score at {e} and {n}"], ["{e}", "{n}"]),
        (["score in half", "folded in half", "fold in half", "score down the middle", "scored at the centre", "half fold", "folded in the middle", "score at the halfway point", "fold it in half", "folded in two", "score it down the centre", "with a centre score",
            "centre crease", "fold down the centre", "folded once in the middle"], ["{h}"]),
        (["score into quarters", "fold into four equal panels", "score into 4 equal parts", "score every {q}", "scored every {q} along the length", "accordion folded every {q}", "score in half and in half again", "concertina fold at {q}, {h}, {t}", "accordion fold: {q}, {h}, {t}"], ["{q}", "{h}", "{t}"]),
        (["fold the ends to the middle", "fold both short ends to meet in the middle", "gate folded to the centre"], ["{q}", "{t}"]),
    ];

    [Theory]
    [InlineData(DisplayUnit.Inch, 1)]
    [InlineData(DisplayUnit.Millimetre, 20)]
    public void Ends_halves_and_parts_are_read_however_they_are_said(DisplayUnit unit, int scale)
    {
        var (wrong, n) = (new List<string>(), 0);
        foreach (var (way, places) in Said.SelectMany(s => s.Ways.Select(w => (w, s.Places))))
        {
            n++;
            var (a, b, e) = (8 * scale, 4 * scale, scale);
            string With(string text) => text.Replace("{e}", $"{e}").Replace("{m}", $"{a - (2 * e)}").Replace("{n}", $"{a - e}").Replace("{q}", $"{a / 4}").Replace("{h}", $"{a / 2}").Replace("{t}", $"{3 * a / 4}").Replace("{a}", $"{a}");
            Length Of(int figure) => unit == DisplayUnit.Inch ? Length.In(figure) : Length.Mm(figure);
            foreach (var between in new[] { ", ", ". ", "\n", " - ", " " })
            {
                var text = $"{Names[n % 5]}{a} x {b}{between}{With(way)}";
                if (Told(text, Of(a), Of(b), [.. places.Select(p => Of(int.Parse(With(p), CultureInfo.InvariantCulture)))], 1, unit) is { } told)
                {
                    wrong.Add($"{told}: {text}");
                }
            }
        }

        Assert.True(wrong.Count == 0, string.Join("\n", wrong));
    }

    /// <summary>w is the count in words.</summary>
    private static readonly string[] Counted =
    [
        "{n} ({q}): {a} x {b}", "{n} {a} x {b} ({q})", "{q} {n}s {a} x {b}", "{w} {n}s at {a} x {b}", "{n}s x{q}: {a} x {b}", "{a} x {b} {n}s, {q}", "{q}x {n}s {a} x {b}", "cut {q} {n}s {a} x {b}", "{n}s: {a} x {b}, cut {q}", "{n}s {a} x {b} qty {q}",
        "{a} x {b} - {q} {n}s", "({q}) {a} x {b} {n}s", "{n}s, {q} of them, {a} x {b}", "{n} {a} x {b} x{q}", "{n}s {a} x {b} - {q} of them", "{n}s: {q} @ {a} x {b}", "{n}s: {q} at {a} x {b}", "{n}s: {q} pieces {a} x {b}", "{n}s {a} by {b} (cut {q})",
        "{w} pieces {a} x {b} for the {n}s", "make {w} {n}s, each {a} x {b}", "you need {w} {n}s, {a} x {b} each", "{n}s (make {q}) {a} x {b}", "{n}s: {q} — {a} x {b}", "{n}s = {q} no. {a} x {b}", "{n}s: {a} x {b}, {w} of them", "also {q} {n}s at {a} x {b}",
        "{n}s, {a} x {b}, {w}", "{n}s, {w}, {a} x {b}", "plus {q} {n}s of {a} x {b}", "a set of {q} {n}s {a} x {b}", "{q} {n}s measuring {a} x {b}", "{n}s: {q} x ({a} x {b})", "{n}s: {w} @ {a} x {b}", "{a} x {b} {n} (make {q})",
    ];

    [Fact]
    public void Counts_and_names_are_read_wherever_they_stand()
    {
        string[] nouns = ["mat", "layer", "pocket", "fin", "door panel", "side panel", "strip", "front panel", "wing", "tile"];
        string[] words = ["", "one", "two", "three", "four", "five", "six"];
        var (wrong, n) = (new List<string>(), 0);
        foreach (var way in Counted)
        {
            foreach (var between in new[] { "\n", "\n- ", "\n\n", "; ", "\n2. " })
            {
                n++;
                var (noun, count, style) = (nouns[n % nouns.Length], 2 + (n % 5), n % 4);
                var (a, b) = (20 + (7 * n % 41), 21 + (5 * n % 37));
                var said = way.Replace("{n}", noun).Replace("{q}", $"{count}").Replace("{w}", words[count]).Replace("{a}", Inches(a, style)).Replace("{b}", Inches(b, style));
                var text = $"{(between == "\n2. " ? "1. " : "")}Base: 10 x 5, score at 2 1/2 and 7 1/2{between}{said}";
                if (OwnListReader.Read(text, DisplayUnit.Inch) is not { Left.Count: 0, Pieces: [{ Scores.Count: 2, Quantity: 1 }, { Kind: OwnKind.Piece
                    or OwnKind.Paper, Scores.Count: 0 } piece] } || piece.Quantity != count
                    || piece.First != Length.In(a, 16) || piece.Second != Length.In(b, 16) || !piece.Name.Contains(noun, StringComparison.Ordinal))
                {
                    wrong.Add(text);
                }
            }
        }

        Assert.True(wrong.Count == 0, $"{wrong.Count} of {n}\n" + string.Join("\n---\n", wrong));
    }
}

using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Figures, sizes and quantities as they stand within a line.</summary>
internal static partial class OwnFigures
{
    // No more digits than a figure has: a run of thousands is none, and would be tried from each of them.
    public const string Number = @"(?<!\d)(?:\d{1,6}(?:-|\s+)\d{1,4}/\d{1,4}|\d{1,4}/\d{1,4}|\d{1,6}[.,]\d{1,8}|[.,]\d{1,8}|\d{1,6})(?!\d)";
    public const string Unit = @"(?:\s*(?:inches\b|inch\b|in\b\.?(?!\s+half)|""|″|''|cm\b|mm\b))?";
    private const string Way = @"(?:\s*(?:wide|tall|high|long|deep|across|down|w|h)\b)?";

    // Of three figures the first is how many, or the last where it stands right behind an x.
    private static Regex SizeForm => field ??= new Regex($@"(?!(?:[1-9]|1\d|2[0-4])\s*[x×]\s*(?>{Number})(?>{Unit})\s*(?:x|×|by)(?!\d{{1,2}}\s*$)\s*\d)(?<a>{Number})(?<ua>{Unit}){Way}\s*(?:x|×|\*|by)\s*(?<b>(?>{Number}))(?!{Unit}\s*(?:circle|disc|round\s+(?:hole|window|opening|tile|die)))(?<ub>{Unit}){Way}", RegexOptions.IgnoreCase);

    // So wide and so high, or its width and its height, each with its name.
    private const string Broad = @"(?:wide|width|long|length|across|w|l)", High = @"(?:tall|high|height|deep|width|wide|long|length|w|h)", Tall = @"(?:tall|high|height|h)", OnASide = @"(?:on|along|for)\s+the\s+(?:long|short)(?:er)?\s+(?:edge|side)";

    private static Regex NamedSides => field ??= new Regex($@"(?<a>{Number})(?<ua>{Unit})\s*\(?{Broad}\b\)?\s*(?:,|&|/|and|by|x|×)?\s*(?<b>{Number})(?<ub>{Unit})\s*\(?{High}\b\)?|\b{Broad}(?:\s+of\s+[a-z ]{{1,20}})?\s*[:=]?\s*(?<a>{Number})(?<ua>{Unit})\s*(?:,|&|/|and|by|x|×)?\s*{High}\s*[:=]?\s*(?<b>{Number})(?<ub>{Unit})|(?<b>{Number})(?<ub>{Unit})\s*\(?{Tall}\b\)?\s*(?:,|&|/|and|by|x|×)?\s*(?<a>{Number})(?<ua>{Unit})\s*\(?{Broad}\b\)?|\b{Tall}\s*[:=]?\s*(?<b>{Number})(?<ub>{Unit})\s*(?:,|&|/|and|by|x|×)?\s*{Broad}\s*[:=]?\s*(?<a>{Number})(?<ua>{Unit})|(?<a>{Number})(?<ua>{Unit})\s*{OnASide}\s*,?\s*(?:and\s+|by\s+|x\s+)?(?<b>{Number})(?<ub>{Unit})\s*{OnASide}", RegexOptions.IgnoreCase);

    private static Regex SquareForm => field ??= new Regex($@"(?<a>{Number})(?<ua>{Unit})[\s-]*(?:square\b|sq\b|(?<=[\d/]\s*/\d+\s*|""\s*|\b(?:in|inch|cm|mm)[\s-]*)squares\b)|\bsquare(?:s?\s+of)?(?:\s+card(?:stock)?|\s+paper)?\s*[,:]?\s+(?<a>{Number})(?<ua>{Unit})(?!\s*(?:x|×|\*|by)\s*\d)", RegexOptions.IgnoreCase);

    // A circle goes into a square as wide as it is.
    private static Regex CircleForm => field ??= new Regex($@"\b(?:circles?|discs?)\s+(?:(?:die|window|opening|hole|aperture)\b:?\s+)?(?:of\s+)?(?<a>(?>{Number}))(?<ua>(?>{Unit}))(?!\s*(?:x|×|\*|by)\s*[\d:=,;])|(?<a>{Number})(?<ua>{Unit})\s*(?:circle|disc|round(?=\s+(?:hole|window|opening|aperture|tile|die|disc|tag|panel|piece))|(?<!\bat\s[\d/., ]{{1,10}}(?:mm|cm|in|inch|inches|"")?\s?)across|in diameter|diameter|(?<=[\d/]\s*/\d+\s*|""\s*|\b(?:in|inch|cm|mm)\s*)(?:circles|discs))\b(?!\s+(?:the|its|from)\b)", RegexOptions.IgnoreCase);

    private static Regex SheetForm => field ??= new Regex(@"\b(?<name>a[3-7]|half letter|letter)\b(?:\s+(?:sheet|card(?:stock)?|paper))?(?<half>,?\s*(?:cut|sliced)?\s*in\s+(?:half|halves)(?:\s+(?<long>lengthwise|lengthways|along (?:its|the) length))?)?", RegexOptions.IgnoreCase);

    public static Regex NumberForm => field ??= new Regex($@"(?<n>{Number})(?<u>{Unit})", RegexOptions.IgnoreCase);

    private static Regex CountForm => field ??= new Regex(@"[:=(]\s*(?<n>\d{1,2})\s*(?:[@x×:=-]+|at\b|no\b\.?)\s*\(?\s*$|\b(?:also|plus|then|add|set\s+of)\s+(?<n>\d{1,2})\s+(?=[a-z]{3,})|^\W*-\s+(?<n>\d{1,2})\s+(?=[a-z]{3,})|(?<=[a-z])\s*,\s*(?<n>\d{1,2})\W*$|\(\s*(?:x|×)?\s*(?<n>\d{1,2})\s*(?:x|×|off|of(?: them)?|pcs?|pieces|chip\s?boards?|card(?:stock)?|papers?|acetates?|vellums?|foams?)?\s*\)|\b(?:cut|make|need|qty:?)\s+(?<n>\d{1,2})\b(?!\s*(?:[x×/]|[.,]\d|\d|in\b|cm|mm|""))|(?:^|\s)(?:x|×)\s*(?<n>\d{1,2})(?![.,/]?\d)(?=\s*(?:$|[,;.:=]|on\b|and\b|\())|(?:(?<=[a-z,;:]\s)|^\W*)(?<n>\d{1,2})\s*(?:x|×)(?=\s*(?:$|[,;:=]))|^\W*(?<n>\d{1,2})\s*@?\s*$|^\W*(?<n>\d{1,2})\s*(?:x|×|of)\s+(?=[a-z])|(?<![/.,\d])\b(?<n>\d{1,2})\s+(?:of (?:them|these|those)|off|pieces|pcs?|each(?=\s*$))\b|(?:^|[:,]\s*|(?<=[a-z]\s))(?<n>\d{1,2})\s+of\s+(?=\d|$)|[-,;]\s*(?<n>\d{1,2})\s+(?:of|off)\s*$|(?:^|(?<!\d)[:,]\s*|[:,]\s+|\band\s+)(?<n>\d{1,2})\s+(?=(?!(?:for|scores?|creases?|folds?|lines?)\b)[a-z]{3,}(?!\w*\s*square))", RegexOptions.IgnoreCase);

    private static Regex CountWord => field ??= new Regex(@"\b(?<!\b(?:through|on)\s)(?<w>one|two|three|four|five|six|seven|eight|nine|ten|twelve|a pair of|both)\b(?=\s+[a-z])(?!\s+(?:(?:short|long|opposite|score|fold)(?:er)?\s+)?(?:scores?|creases?|lines?|sides?(?!\s+(?:panel|piece|flap|strip|wall|door))|ends?|edges?|layers? of|diagonals?|folds?|ways?|times|halves|corners?)\b)|(?:^\W*|[:,]\s*|\band\s+)(?<w>one|two|three|four|five|six|seven|eight|nine|ten|twelve)(?=,?\s*(?:@|at\b)?\s+\d|,?\s*(?:@|at\b)?\s*$)|\b(?:make|cut|need)\s+(?<w>two|three|four|five|six|seven|eight|nine|ten|twelve)\b", RegexOptions.IgnoreCase);

    // Pieces that are named by a letter each.
    private static Regex LettersForm => field ??= new Regex(@"^\W*(?<each>[A-Z])(?:(?:\s*[,&]\s*|\s+)(?:(?:and|&)\s+)?(?<each>[A-Z]))+\b\W*$");

    private static readonly Dictionary<string, int> Words = new(StringComparer.OrdinalIgnoreCase)
    {
        ["one"] = 1, ["two"] = 2, ["a pair of"] = 2, ["both"] = 2, ["three"] = 3, ["four"] = 4, ["five"] = 5, ["six"] = 6, ["seven"] = 7, ["eight"] = 8, ["nine"] = 9, ["ten"] = 10, ["twelve"] = 12,
    };

    private static readonly Dictionary<string, (decimal, decimal)> Sheets = new(StringComparer.OrdinalIgnoreCase)
    {
        ["a3"] = (297, 420), ["a4"] = (210, 297), ["a5"] = (148, 210), ["a6"] = (105, 148), ["a7"] = (74, 105), ["letter"] = (215.9m, 279.4m), ["half letter"] = (139.7m, 215.9m),
    };

    /// <summary>A size within a line.</summary>
    /// <param name="Halves">Of a sheet that is cut in halves, that there are two.</param>
    public readonly record struct Size(int At, int Length, Length A, Length B, bool Halves = false)
    {
        public int End => At + Length;
    }

    /// <summary>All sizes that a text names, in their order; one that says the size before it in the other system is left out.</summary>
    public static IReadOnlyList<Size> Sizes(string text, DisplayUnit unit)
    {
        var found = new List<Size>();
        var named = NamedSides.Matches(text).ToList();
        foreach (var m in named.Concat(SizeForm.Matches(text).Where(m => named.All(n => m.Index >= n.Index + n.Length || m.Index + m.Length <= n.Index))))
        {
            var (ua, ub) = (m.Groups["ua"].Value, m.Groups["ub"].Value);
            if (Figure(m.Groups["a"].Value, ua.Length > 0 ? ua : ub, unit) is { } a && Figure(m.Groups["b"].Value, ub.Length > 0 ? ub : ua, unit) is { } b && a > Length.Zero && b > Length.Zero)
            {
                found.Add(new Size(m.Index, m.Length, a, b));
            }
        }

        foreach (Match m in SquareForm.Matches(text).Concat(CircleForm.Matches(text)))
        {
            if (found.All(f => m.Index >= f.End || m.Index + m.Length <= f.At) && Figure(m.Groups["a"].Value, m.Groups["ua"].Value, unit) is { } side && side > Length.Zero)
            {
                found.Add(new Size(m.Index, m.Length, side, side));
            }
        }

        if (found.Count == 0 && SheetForm.Match(text) is { Success: true } sheet && Sheets.TryGetValue(sheet.Groups["name"].Value, out var mm))
        {
            // Cut in halves it is halved across its length, unless it says otherwise.
            var (a, b) = (Length.Mm(mm.Item1), Length.Mm(mm.Item2));
            var halved = sheet.Groups["half"].Success;
            found.Add(new Size(sheet.Index, sheet.Length, halved && sheet.Groups["long"].Success ? new Length(a.Units / 2) : a, halved && !sheet.Groups["long"].Success ? new Length(b.Units / 2) : b, halved));
        }

        var kept = new List<Size>();
        foreach (var size in found.OrderBy(f => f.At))
        {
            var near = Length.Mm(1.5m);
            var inBrackets = kept.Count > 0 && text[kept[^1].End..size.At].Trim() is "(" or "/" or "or" or "=" or "|";
            if (!inBrackets || (kept[^1].A - size.A).Abs() > near || (kept[^1].B - size.B).Abs() > near)
            {
                kept.Add(size);
            }
        }

        return kept;
    }

    /// <summary>What stands before the first size of a text; all of one that has none.</summary>
    public static string BeforeSize(string text, DisplayUnit unit) => Sizes(text, unit) is [var first, ..] ? text[..first.At] : text;

    public static Length? Figure(string number, string named, DisplayUnit unit)
    {
        var own = named.Trim().ToLowerInvariant() switch { "cm" => DisplayUnit.Centimetre, "mm" => DisplayUnit.Millimetre, "" => unit, _ => DisplayUnit.Inch };
        return LengthReader.TryRead(Regex.Replace(number, @"(?<=\d)\s*-\s*(?=\d)", " "), own, out var value, out _) ? value : null;
    }

    /// <summary>Every figure of a text; one that says the one before it in the other system is left out.</summary>
    public static List<Length> All(string text, DisplayUnit unit, int most)
    {
        var all = new List<(Length Value, bool Named)>();
        foreach (Match m in NumberForm.Matches(text))
        {
            var named = m.Groups["u"].Length > 0;
            if (all.Count < most && Figure(m.Groups["n"].Value, m.Groups["u"].Value, unit) is { } value && value > Length.Zero
                && !(named && all.Count > 0 && all[^1].Named && (all[^1].Value - value).Abs() <= Length.Mm(1) && m.Index > 0 && text[..m.Index].TrimEnd()
                .EndsWith('(')))
            {
                all.Add((value, named));
            }
        }

        return [.. all.Select(a => a.Value)];
    }

    /// <summary>How many: what stands behind the size counts before what stands before it, and of that the nearest.</summary>
    public static int Count(string before, string after) => Of(after, first: true) ?? Of(before, first: false) ?? 1;

    private static int? Of(string words, bool first)
    {
        var numbers = CountForm.Matches(words).Select(m => (m.Index, N: int.Parse(m.Groups["n"].Value, CultureInfo.InvariantCulture))).Where(m => m.N is >= 1 and <= 60);
        var all = numbers.Concat(CountWord.Matches(words).Select(m => (m.Index, N: Words[m.Groups["w"].Value]))).OrderBy(m => m.Index).ToList();
        return all.Count > 0 ? (first ? all[0] : all[^1]).N : LettersForm.Match(words) is { Success: true } letters ? letters.Groups["each"].Captures.Count : null;
    }

    /// <summary>What is left of words without counts.</summary>
    public static string WithoutCounts(string words) => CountForm.Replace(words, " ");

    public static int Times(string word) => int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : Words.GetValueOrDefault(word, 0);
}

using System.Text.RegularExpressions;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>The scores that a line names for a piece.</summary>
/// <param name="Cross">Those that are read along the other side.</param>
/// <param name="SideSaid">Whether it says which side they are read along.</param>
/// <param name="Same">They are the scores of the piece before.</param>
internal sealed partial record OwnScores(IReadOnlyList<Length> Scores, bool AlongFirst, IReadOnlyList<Length> Cross, bool SideSaid, bool Diagonals, bool Same)
{
    private const int Most = 40;

    /// <summary>Which way scores of the first chain fold, where that is said.</summary>
    public IReadOnlyDictionary<Length, Fold> Folds { get; init; } = new Dictionary<Length, Fold>();

    /// <summary>Whether they are so far from both ends, of whichever side.</summary>
    public bool FromEnds { get; init; }

    /// <summary>So far from both ends, or from both long sides or short ones.</summary>
    public const string BothEnds = @"(?:\b(?:from|at|on|in from)\s+)?\b(?:each|both|either|every|the\s+two|two(?:\s+opposite)?|opposite)\s+(?:of\s+the\s+)?(?:opposite\s+)?(?:(?<kind>long|short)(?:er)?\s+)?(?:ends?|sides?|edges?)\b";

    /// <summary>A sheet that is longer than wide by so much is scored along its length, where nobody says.</summary>
    private const double LongSheet = 1.7;

    /// <summary>One that is longer by so much has ends, and is folded in half across its length.</summary>
    private const double LongToHalve = 1.45;

    [GeneratedRegex($@"\bscor(?:e|es|ed|ing)\b(?!\s*board)(?:\s+(?:lines?|marks?))?|\bs/f\b|\bpunch(?:ed)?\s+(?:and\s+scored?\s+)?at\b|\bhalf[\s-]fold(?:ed)?\b|(?<=(?:[\d""”]|\b(?:cm|mm|in))\s*,\s*)half\b(?=\s*$|\s+(?:both|each)\s+ways?\b)|(?<!['’])\bs\b\.?(?=\s*(?:[@:]|at\b)?\s*\.?\d)|\bsc\b\.?(?=\s*(?:at\b|@|\d|\.\d))|\bdivided?\s+(?:it\s+)?(?=in(?:to)?\s+\w+\s+equal\b)|\bfold(?:s|ed)?\b(?=\s+(?:(?:it\s+|(?:the\s+)?(?:left|right|first|second)\s+(?:(?:side|edge|flap|door|panel)\s+)?)?(?:at|in|into|along|every|each|down\s+the|through\s+the|across\s+the|lengthwise|lengthways|crosswise|widthwise|widthways)\b|to\s+\d|(?:up|over|under|back|down|in)\s+(?:at\s+)?\d|(?:(?:both|the|two|its|short|long)\s+){{0,3}}(?:ends|sides|edges)\s+(?:(?:in\s*)?to\b|in\b|by\b)|\d)|\s*[:=@])|\bfolds?\s+on\b|(?<!\b(?:draw|pencil|guide|cut|cutting|middle|centre|center)\s+(?:an?\s+)?)\blines?\s*(?:at\b|[:@]|(?=\d))|\bfold\s+(?:lines?|marks?)\b|\bfolded\b|\bcreases?d?\b|\b(?:mountains?|valleys?)(?:\s+folds?)?(?=\s+(?:at|on)\b|\s*:|\s+[\d.]|\s+(?:the\s+)?same\b)|\bpanels?\s*(?:of\b|are\b|[:=])?\s*(?=(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*[,|+/]\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:$|[,|+/]|and\b))|\bsame\s+again\b|\bsame\s+scores?\b", RegexOptions.IgnoreCase)]
    public static partial Regex Word();

    // Whatever is said from here on is no score: why, or what else is done.
    [GeneratedRegex(@"[(,;.]?\s*\b(?:then\s+|and\s+)?(?:so\b|so that|that(?:['’]s|\s+is)\b|(?<!\b(?:every|each)\s[^,;.]{0,16},?\s*)lea(?:ving|ves?)\b|which|making|makes|because|for (?:a|the|an|my|[abc]\d|dl)\b|fits?\b|holds?\b|(?:along|on)\s+(?:the\s+)?(?:top|bottom|rails?)\b(?!\s+(?:and|&)|\s*(?:of\s+the\s+(?:score\s*)?board)?,?\s*(?:and\s+)?(?:score\s+)?at\b)|along\s+(?:the\s+)?top\b(?!\s*(?:of\s+the\s+(?:score\s*)?board)?,?\s*(?:and\s+)?(?:score\s+)?at\b)|to make|cut|(?:slit|slot|snip|trim|notch|tick|mark|glue|tape|bond|burnish|slic|window|aperture|hole|opening|stick|attach|adhere|only)(?:s|d|e|ed|ted|ped|med)?)\b.*$", RegexOptions.IgnoreCase | RegexOptions.Singleline)]
    private static partial Regex Otherwise();

    // What a part of it comes to, and no score.
    [GeneratedRegex(@"\([^()]*\b(?:is|are|makes?|leaves?|gives?|only)\b[^()]*\)|[,;]\s*(?:the\s+)?(?:(?!scor|fold|creas|valley|mountain)[a-z]+\s+){1,2}(?:is|are)\s+[^,;)]*|(?:\s-\s|[,;])(?:(?!\s-\s|[,;]).)*\b(?:is|are|stays?)\s+left(?:\s+over)?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Remark();

    [GeneratedRegex($@"(?:read\s+)?(?:along|on|across|down)\s+(?:the|its)\s+(?:(?<word>long|longer|short|shorter|first|second|width|height|length)|(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit}))(?:\s*(?:side|edge|length|way))?|(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})\s+(?:side|edge)\b|\b(?<word>long|short)(?:er)?\s+(?:side|edge)\b(?=\s*(?:at\b|:|@|\d))|\b(?<word>lengthwise|lengthways|crosswise|widthwise|widthways)\b", RegexOptions.IgnoreCase)]
    internal static partial Regex SideForm();

    [GeneratedRegex($@"\b(?:every|each)\s+(?:(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})|inch|(?<cm>cm))(?:[\s,]*(?:beginning\s+|starting\s+)?(?:from|at)\s+(?<from>{OwnFigures.Number})(?<fu>{OwnFigures.Unit}))?(?:[\s,]*(?:up\s+)?(?:to|until)\s+(?<to>{OwnFigures.Number})(?<tu>{OwnFigures.Unit})|[\s,]*(?:for\s+)?(?:(?<times>\d{{1,2}}|two|three|four|five|six|seven|eight)\s*(?<what>times|inch(?:es)?\b|in\b|x))|[\s,]*(?:leaving|with)\s+(?<rest>{OwnFigures.Number})(?<ru>{OwnFigures.Unit}))?", RegexOptions.IgnoreCase)]
    private static partial Regex EveryForm();

    [GeneratedRegex(@"\b(?:in|at|into)\s+(?:half|halves)\b|\bin\s+two\b(?!\s+[a-z])|\bhalf[\s-]fold(?:ed)?\b|^\W*half\b(?=\s*$|\s+(?:both|each)\s+ways?\b)|\bhalf\s*way\b|\b(?:down|at|across|in|on|through)\s+the\s+(?:middle|centre|center)\b|\bcent(?:re|er)\s*line\b", RegexOptions.IgnoreCase)]
    private static partial Regex HalfForm();

    // So many panels alike: in quarters, into 4 equal panels, each half in half again.
    [GeneratedRegex(@"\b(?:in(?:to)?\s+|at\s+(?:the\s+)?|every\s+)?(?:(?<n>\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+equal(?:ly)?(?:[\s-]+(?:sized|wide|spaced))?(?:\s+(?:panels?|parts?|sections?|pieces|widths?|spaces|columns?|strips?))?)\b|\b(?:in(?:to)?|at(?:\s+the)?)\s+(?:equal\s+)?(?<part>third|quarter|fourth|fifth|sixth|eighth)s\b|\b(?:every|each)\s+(?<part>third|quarter|fourth|fifth|sixth|eighth)\s+of\s+(?:its|the)\s+(?:length|width|height|sheet|strip|piece)\b|\b(?:in\s+half\b.{0,40}?)(?<half>\bin\s+half\s+again|\bin\s+half(?=\s*$)|\bhalf\s+again)\b", RegexOptions.IgnoreCase)]
    private static partial Regex EqualForm();

    // Where the half is, is said too.
    [GeneratedRegex(@"\bin\s+half\s+(?=at\s+\d)", RegexOptions.IgnoreCase)]
    private static partial Regex HalfAtForm();

    // How diagonals lie.
    [GeneratedRegex(@"(?:\bat\s+)?\b45\s*(?:°|degrees?\b|deg\b)|(?<=\bdiagonal[^,;\d]{0,40})\bat\s+45\b", RegexOptions.IgnoreCase)]
    private static partial Regex SlantForm();

    // Whole inches one after the other: no inch is written 3,6.
    [GeneratedRegex(@"(?<=(?<![\d.,/])[1-9]\d?),(?=\d(?![\d/]))")]
    private static partial Regex PartedForm();

    // Several whole figures that rise are figures of their own, whatever a comma may be elsewhere: 2,3,6,7.
    [GeneratedRegex(@"(?<![\d.,/])\d{1,3}(?:,\d{1,3}){2,}(?![\d/]|[.,]\d)")]
    private static partial Regex RisingRun();

    // Where parts are written with a slash or a point, a comma parts figures.
    [GeneratedRegex(@"\d/\d|\d\.\d|(?<!\d)\.\d")]
    private static partial Regex WithParts();

    [GeneratedRegex(@"(?<=\d),(?=\.?\d)")]
    private static partial Regex CommaForm();

    private static string Parted(Match run) => run.Value.Split(',').Select(f => int.Parse(f, System.Globalization.CultureInfo.InvariantCulture)).ToList() is var f && f.Zip(f.Skip(1)).All(p => p.First < p.Second) ? run.Value.Replace(",", ", ", StringComparison.Ordinal) : run.Value;

    // Of what is folded, and nothing more is said, it is in half.
    [GeneratedRegex(@"^\W*(?:scored?\s+and\s+)?folded(?:\s+from(?:\s+an?|\s+one)?)?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex FoldedOnly();

    // Both ends meet in the middle.
    [GeneratedRegex(@"^\W*to\s+(?:meet\s+)?(?:(?:in|at)\s+)?the\s+(?:middle|centre|center)\b|\b(?:(?<kind>short|long)\s+)?(?:ends|sides|edges)\s+(?:in\s*)?to\s+(?:meet\s+)?(?:(?:in|at)\s+)?(?:the\s+)?(?:middle|centre|center)\b", RegexOptions.IgnoreCase)]
    private static partial Regex MeetForm();

    [GeneratedRegex($@"{BothEnds}|\b(?:(?:from|on|at)\s+)?(?:the|its)\s+(?<kind>short|long)(?:er)?\s+(?:ends|sides|edges)\b|\b(?:from\s+)?(?<across>left\s+(?:and|&|\+)\s+right|l\s*(?:and|&|\+|/)\s*r)\b(?:\s+(?:ends?|sides?|edges?))?|\b(?:from|on|at)\s+(?:the\s+)?(?:(?<across>left\s+(?:and|&|\+)\s+(?:the\s+)?right)|(?<down>top\s+(?:and|&|\+)\s+(?:the\s+)?bottom))\b(?:\s+(?:ends?|sides?|edges?))?", RegexOptions.IgnoreCase)]
    internal static partial Regex EndsForm();

    // The sheet is turned a quarter and scored again.
    [GeneratedRegex(@"\b(?:rotate|turn)(?:d|ed)?\b(?!\s+over)(?:\s+(?:it|the\s+\w+))?(?:\s+(?:by\s+)?(?:90|a\s+quarter)[^,;.]{0,12})?", RegexOptions.IgnoreCase)]
    internal static partial Regex TurnForm();

    // It is turned end for end, so that what was counted from one end is counted from the other.
    [GeneratedRegex(@"\b(?:flip|rotate|turn|spin)(?:ped|d|ed)?\b(?:\s+(?:it|over|the\s+\w+))?\s*(?:end\s+(?:for|to|over)\s+end|(?:by\s+)?180\b(?:\s*(?:°|degrees))?|(?:right\s+)?(?:a)?round\b|half\s*way\s+round|half\s+a\s+turn)", RegexOptions.IgnoreCase)]
    internal static partial Regex HalfTurnForm();

    // So much from one end, and so much from the other.
    [GeneratedRegex(@"\bfrom\s+(?:the\s+|its\s+)?(?:(?<far>right|rh|(?<other>other)|far|opposite)|left|lh|one|near|first)\b(?:[\s-]*hand)?(?:\s+(?:ends?|sides?|edges?))?(?!\s+and\s+(?:the\s+)?right)", RegexOptions.IgnoreCase)]
    private static partial Regex OneEndForm();

    [GeneratedRegex($@"(?<=\d[""]?\s*(?:mm|cm|in|inch|inches)?)\s*,?\s*\b(?:and|then)\s+(?:again\s+)?(?:at\s+)?{OwnFigures.Number}{OwnFigures.Unit}\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex LastOfThem();

    [GeneratedRegex(@"\bon\s+the\s+left\b", RegexOptions.IgnoreCase)]
    private static partial Regex OnTheLeft();

    [GeneratedRegex(@"\bon\s+the\s+right\b", RegexOptions.IgnoreCase)]
    private static partial Regex OnTheRight();

    [GeneratedRegex(@"\b(?:again|also|too|the\s+same|repeat)\b", RegexOptions.IgnoreCase)]
    private static partial Regex AgainForm();

    [GeneratedRegex(@"\b(?:on\s+)?(?:three|3)\s+(?:of\s+(?:the\s+|its\s+)?)?(?:sides|edges)\b|\bboth\s+(?:(?:short|long)\s+)?(?:sides|ends|edges)\s+and\s+(?:the\s+|at\s+the\s+)?(?:bottom|foot|top|head)\b", RegexOptions.IgnoreCase)]
    private static partial Regex ThreeSidesForm();

    // In both directions.
    [GeneratedRegex(@"\balong\b.{0,30}\band\s+across\b(?!\s+(?:the|at)\b)|(?<!\bdiagonal(?:s|ly)?\s+)\b(?:both|each)\s+(?:ways?|directions?)\b|\bin\s+(?:both|each)\s+directions?\b", RegexOptions.IgnoreCase)]
    private static partial Regex BothWays();

    // What a sheet is folded to, and no score.
    [GeneratedRegex($@"\b(?:down\s+)?to\s+(?:make\s+)?(?<a>{OwnFigures.Number})(?<ua>{OwnFigures.Unit})\s*(?:x|×|by)\s*(?<b>{OwnFigures.Number})(?<ub>{OwnFigures.Unit})", RegexOptions.IgnoreCase)]
    internal static partial Regex FoldedTo();

    [GeneratedRegex(@"\b(?:all|each of the)\s+(?:four\s+|4\s+)?(?:sides|edges)\b|\ball\s+(?:the\s+way\s+)?(?:a)?round\b|\bfour sides\b", RegexOptions.IgnoreCase)]
    private static partial Regex AllSidesForm();

    // A panel's name before its figure, or behind it.
    [GeneratedRegex($@"(?<![a-z])[a-z](?>[a-z ]{{0,30}})\s*[:=]?\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})|(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s+[a-z]+", RegexOptions.IgnoreCase)]
    private static partial Regex PanelForm();

    // What figures are said of that are no panels.
    [GeneratedRegex(@"\b(?:ways?|along|across|long|short|down|apart|rails?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex OtherThanPanels();

    // The word stands before the figures that it is said of, or behind one: mountain at 3, or 3 (mountain).
    [GeneratedRegex($@"\b(?:(?<m>mountains?)|valleys?)\b(?:\s+(?:folds?|creases?|scores?)\b)?(?<before>\s*(?:(?:is|are)\b\s*)?(?:at\b|on\b|:|=)?\s*{OwnFigures.Number})?", RegexOptions.IgnoreCase)]
    private static partial Regex WayForm();

    // Figures in words, where none is written otherwise: one and a half, three, six.
    [GeneratedRegex($@"(?<=\bat\s+|\bon\s+|[,:;]\s*|\band\s+|&\s*)(?:{OwnListReader.Worded}|(?:an?|one)\s+(?<part>{OwnListReader.Part}))\b(?!\s+(?:(?:opposite|long|short|equal|of|more)\b|\w+\s+)?(?:sides?|ends?|edges?|ways?|times|halves|parts?|panels?|sections?|lines?|folds?|scores?|creases?|corners?|directions?)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex WordedForm();

    // A panel that comes several times: 1/2 four times.
    [GeneratedRegex($@"(?<![\d/.,]|\b(?:every|each)\s+(?:\d+[\s-]+)?)(?<f>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))\s*,?\s*\(?(?<n>two|three|four|five|six|seven|eight|[2-8])\s+times\b\)?", RegexOptions.IgnoreCase)]
    private static partial Regex RepeatedForm();

    /// <summary>With what comes several times written out.</summary>
    public static string Repeated(string text) => RepeatedForm().Replace(text, m => string.Join(", ", Enumerable.Repeat(m.Groups["f"].Value.Trim(), OwnFigures.Times(m.Groups["n"].Value))));

    /// <summary>How many there are of a piece, behind its scores.</summary>
    [GeneratedRegex(@"\(\s*(?:x\s*)?\d{1,2}\s*(?:x|off|of\s+(?:them|these))?\s*\)|(?<![\d""]\s*)[\s,]x\s?\d{1,2}\s*$|\s[x×]\d{1,2}\W*$|[,;]\s*(?:two|three|four|six|eight)\s+of\s+(?:them|these|those)|[-,;]?\s*\b(?:make|need|qty)\s+\d{1,2}\s*$|[-,;]\s*\d{1,2}\s+(?:of|off)(?:\s+(?:them|these))?\s*$", RegexOptions.IgnoreCase)]
    internal static partial Regex CountForm();

    /// <summary>Whether it says where.</summary>
    public static bool IsSaid(string text) => text.Any(char.IsAsciiDigit) || HalfForm().IsMatch(text) || MeetForm().IsMatch(text);

    /// <param name="text">From the word that says it is about scores to the end of the line.</param>
    public static OwnScores Read(string text, Length first, Length second, DisplayUnit unit)
    {
        text = OwnListReader.FormatName().Replace(text, " ");
        if (FoldedOnly().IsMatch(text))
        {
            text = "in half";
        }

        text = text.Any(char.IsAsciiDigit) && WordedForm().Count(text) < 2 ? text : WordedForm().Replace(text, OwnListReader.InFigures);
        var said = Otherwise().Replace(Word().Replace(CountForm().Replace(Remark().Replace(text, " "), " "), Kept), " ");
        if (FromBothEnds(said) is { } parted && Read(parted.Near, first, second, unit) is { Scores.Count: > 0 } near)
        {
            // What would come to the same from the other end is read along the other side.
            var far = Read(parted.Far, first, second, unit) is { Scores.Count: > 0 } there ? there : near;
            var both = near.AndFrom(far, near.AlongFirst ? first : second);
            return both.Scores.Count > near.Scores.Count || near.SideSaid ? both : (near with { AlongFirst = !near.AlongFirst }).AndFrom(far, near.AlongFirst ? second : first);
        }

        if (TurnForm().Match(said) is { Success: true } turn && Read(said[..turn.Index], first, second, unit) is { Scores.Count: > 0 } before && Read(said[(turn.Index + turn.Length)..], first, second, unit) is { Scores.Count: > 0 } turned)
        {
            return before with { Cross = turned.Scores };
        }

        if (FoldedTo().Match(said) is { Success: true } to && OwnFigures.Figure(to.Groups["a"].Value, to.Groups["ua"].Value, unit) is { } a && OwnFigures.Figure(to.Groups["b"].Value, to.Groups["ub"].Value, unit) is { } b)
        {
            said = said.Remove(to.Index, to.Length);
            bool Halves(Length whole, Length other) => new[] { (a, b), (b, a) }.Any(s => (s.Item1 + s.Item1 - whole).Abs() <= Length.Mm(1.6m) && (s.Item2 - other).Abs() <= Length.Mm(1.6m));
            if (OwnFigures.All(said, unit, 1).Count == 0 && (Halves(first, second) || Halves(second, first)))
            {
                return new OwnScores([new Length((Halves(first, second) ? first : second).Units / 2)], Halves(first, second), [], true, false, Same: false);
            }
        }

        var diagonals = Regex.IsMatch(text, @"\bdiagonal", RegexOptions.IgnoreCase);
        said = HalfAtForm().Replace(said, " ");
        said = diagonals ? SlantForm().Replace(said, " ") : said;
        said = RisingRun().Replace(said, Parted);
        said = WithParts().IsMatch(said) ? CommaForm().Replace(said, ", ") : said;
        said = unit == DisplayUnit.Inch ? PartedForm().Replace(said, ", ") : said;
        if (Regex.IsMatch(said, @"\bsame\b|^\W*(?:as|like)\s+(?:the|above|before|on)\b", RegexOptions.IgnoreCase) && OwnFigures.All(said, unit, 1).Count == 0)
        {
            return new OwnScores([], true, [], false, diagonals, Same: true);
        }

        // Figures stand before the side that they are read along, or behind it; a word such as lengthwise stands behind.
        var sides = SideForm().Matches(said).ToList();
        var ends = sides.Select(s => s.Index).Append(said.Length).ToList();
        var parts = ends.Select((end, i) => said[(i == 0 ? 0 : sides[i - 1].Index + sides[i - 1].Length)..end]).ToList();
        var along = new bool?[parts.Count];
        var behind = Any(parts[0]) && !Any(parts[^1]);
        foreach (var (side, i) in sides.Select((s, i) => (s, i)))
        {
            var isAdverb = side.Groups["word"].Value.EndsWith("wise", StringComparison.OrdinalIgnoreCase) || side.Groups["word"].Value.EndsWith("ways", StringComparison.OrdinalIgnoreCase);
            along[(behind || isAdverb) && Any(parts[i]) ? i : i + 1] ??= Side(side, first, second, unit);
        }

        var groups = parts.Select((text, i) => (Text: text, AlongFirst: along[i])).Where(g => Any(g.Text)).ToList();

        // A line that runs lengthwise and a line across the middle are two ways.
        var read = groups.Select(g => Group(g.Text, g.AlongFirst, first, second, unit)).Where(g => g.Scores.Count > 0).ToList();
        if (read.Count == 0)
        {
            return new OwnScores([], true, [], false, diagonals, Same: false);
        }

        var main = read[0];
        var others = read.Skip(1).ToList();
        if (AllSidesForm().IsMatch(said) && others.Count == 0)
        {
            IReadOnlyList<Length> Both(Length room, IReadOnlyList<Length> at) => [.. at.Concat(at.Select(s => room - s)).Where(s => s > Length.Zero && s < room).Distinct().Order()];
            return new OwnScores(Both(first, main.Scores), true, Both(second, main.Scores), true, diagonals, Same: false);
        }

        if (ThreeSidesForm().IsMatch(said) && others.Count == 0)
        {
            return new OwnScores([.. main.Scores.Concat(main.Scores.Select(s => first - s)).Where(s => s > Length.Zero && s < first).Distinct().Order()], true, [.. main.Scores.Where(s => s < second)], true, diagonals, Same: false);
        }

        if (others.Count == 0 && (BothWays().IsMatch(said) || (EveryForm().IsMatch(said) && EndsForm().IsMatch(said))))
        {
            var other = Group(EveryForm().Match(said) is { Success: true } every ? every.Value : said, !main.AlongFirst, first, second, unit).Scores;
            return new OwnScores(main.Scores, main.AlongFirst, other, true, diagonals, Same: false) { Folds = main.Folds };
        }

        var cross = others.Where(o => o.AlongFirst != main.AlongFirst || !o.Said).SelectMany(o => o.Scores).Distinct().Order().ToList();
        var more = others.Where(o => o.AlongFirst == main.AlongFirst && o.Said).ToList();
        return new OwnScores([.. main.Scores.Concat(more.SelectMany(o => o.Scores)).Distinct().Order()], main.AlongFirst, cross, main.Said, diagonals, Same: false)
        {
            Folds = main.Folds.Concat(more.SelectMany(o => o.Folds)).DistinctBy(f => f.Key).ToDictionary(),
            FromEnds = main.FromEnds,
        };

        // Which way it folds, that it is folded in half or scored as before, is still to be read.
        static string Kept(Match word) => word.Value.Contains("same", StringComparison.OrdinalIgnoreCase) ? " same " : word.Value.StartsWith("half", StringComparison.OrdinalIgnoreCase) ? " in half " : word.Value.StartsWith("m", StringComparison.OrdinalIgnoreCase) ? " mountain " : word.Value.StartsWith("v", StringComparison.OrdinalIgnoreCase) ? " valley " : " ";
        static bool Any(string part) => OwnFigures.NumberForm().IsMatch(part) || HalfForm().IsMatch(part) || EveryForm().IsMatch(part) || EqualForm().IsMatch(part) || MeetForm().IsMatch(part);
    }

    /// <summary>The scores between panels that are told one after the other, each with its name, and come to the whole of a side: left 3, back 5, right 2. Null where they do not.</summary>
    public static OwnScores? OfPanels(string text, Length first, Length second, DisplayUnit unit)
    {
        var words = OwnFigures.WithoutCounts(text);
        var panels = OwnFigures.All(words, unit, Most);

        // Two that rise may be places as far from both ends.
        if (panels.Count < 2 || OtherThanPanels().IsMatch(words) || (panels.Count == 2 && panels[0] < panels[1]) || OwnFigures.Sizes(words, unit).Count > 0 || PanelForm().Count(words) < panels.Count)
        {
            return null;
        }

        var all = panels.Aggregate(Length.Zero, (sum, panel) => sum + panel);
        var sides = new[] { first, second }.Where(side => (side - all).Abs() <= Length.Mm(0.5m)).ToList();
        return sides.Count == 0 ? null : new OwnScores(Between(panels), sides[0] == first, [], SideSaid: true, Diagonals: false, Same: false);
    }

    /// <summary>Where one panel ends and the next begins.</summary>
    private static List<Length> Between(IEnumerable<Length> panels) => panels.SkipLast(1).Aggregate(new List<Length>(), (at, panel) => [.. at, (at.Count > 0 ? at[^1] : Length.Zero) + panel]);

    /// <summary>What is scored from one end and what from the other, where both are said; a far part without figures is the same again.</summary>
    private static (string Near, string Far)? FromBothEnds(string said)
    {
        said = OnTheLeft().IsMatch(said) && OnTheRight().IsMatch(said) ? OnTheRight().Replace(OnTheLeft().Replace(said, "from the left"), "from the right") : said;
        if (HalfTurnForm().Match(said) is { Success: true } turn)
        {
            return (said[..turn.Index], said[(turn.Index + turn.Length)..]);
        }

        var ends = OneEndForm().Matches(said).ToList();
        if (!ends.Any(e => e.Groups["far"].Success))
        {
            return null;
        }

        if (ends is [var only] && OwnFigures.NumberForm().IsMatch(said[..only.Index]) && OwnFigures.NumberForm().IsMatch(said[(only.Index + only.Length)..]))
        {
            return (said[..only.Index], said[(only.Index + only.Length)..]);
        }

        // Two figures, and the last of them from the other end.
        if (ends is [{ Groups: var named } last] && named["other"].Success && LastOfThem().Match(said[..last.Index]) is { Success: true } then)
        {
            return (said[..then.Index], then.Value);
        }

        // Figures stand before the end that they are counted from, or behind it.
        var behind = OwnFigures.NumberForm().IsMatch(said[..ends[0].Index]);
        var (near, far) = ("", "");
        foreach (var (end, i) in ends.Select((e, i) => (e, i)))
        {
            var part = behind ? said[(i == 0 ? 0 : ends[i - 1].Index + ends[i - 1].Length)..end.Index] : said[(end.Index + end.Length)..(i + 1 < ends.Count ? ends[i + 1].Index : said.Length)];
            (near, far) = end.Groups["far"].Success ? (near, far + part) : (near + part, far);
        }

        return near.Length > 0 ? (near, far) : AgainForm().IsMatch(far) ? (far, "") : null;
    }

    /// <summary>These, and others that are counted from the other end.</summary>
    public OwnScores AndFrom(OwnScores far, Length room) => this with
    {
        Scores = [.. Scores.Concat(far.Scores.Select(s => room - s)).Where(s => s > Length.Zero).Distinct().Order()],
        Folds = Folds.Concat(far.Folds.Select(f => KeyValuePair.Create(room - f.Key, f.Value))).DistinctBy(f => f.Key).ToDictionary(),
    };

    private static bool? Side(Match side, Length first, Length second, DisplayUnit unit) => side.Groups["word"].Value.ToLowerInvariant() switch
    {
        "long" or "longer" or "length" or "crosswise" or "widthwise" or "widthways" => first >= second,
        "short" or "shorter" or "lengthwise" or "lengthways" => first < second,
        "first" or "width" => true,
        "second" or "height" => false,
        _ => OwnFigures.Figure(side.Groups["n"].Value, side.Groups["u"].Value, unit) is { } named ? (named - first).Abs() <= (named - second).Abs() : null,
    };

    /// <summary>Scores that run one way.</summary>
    private sealed record Chain(IReadOnlyList<Length> Scores, bool AlongFirst, bool Said)
    {
        public IReadOnlyDictionary<Length, Fold> Folds { get; init; } = new Dictionary<Length, Fold>();

        public bool FromEnds { get; init; }
    }

    /// <summary>Which way scores fold, of those where it is said.</summary>
    /// <param name="room">Of figures that are so far from both ends, from one to the other.</param>
    private static Dictionary<Length, Fold> Ways(string text, DisplayUnit unit, Length? room)
    {
        var said = new Dictionary<Length, Fold>();
        var words = WayForm().Matches(text).ToList();
        foreach (var (word, i) in words.Select((w, i) => (w, i)))
        {
            var fold = word.Groups["m"].Success ? Fold.Mountain : Fold.Valley;
            var figures = word.Groups["before"].Success
                ? OwnFigures.All(text[word.Groups["before"].Index..(i + 1 < words.Count ? words[i + 1].Index : text.Length)], unit, Most)
                : OwnFigures.All(text[(i > 0 ? words[i - 1].Index + words[i - 1].Length : 0)..word.Index], unit, Most).TakeLast(1);
            foreach (var at in figures)
            {
                said[at] = fold;
                if (room is { } whole)
                {
                    said[whole - at] = fold;
                }
            }
        }

        return said;
    }

    private static Chain Group(string text, bool? along, Length first, Length second, DisplayUnit unit)
    {
        if (MeetForm().Match(text) is { Success: true } meet)
        {
            var doors = along ?? EndsAlong(meet, first, second) ?? first >= second;
            var sheet = doors ? first : second;
            return new([new Length(sheet.Units / 4), new Length(3 * sheet.Units / 4)], doors, along is not null || meet.Groups["kind"].Success);
        }

        // Where the panels are told apart by figures too, those hold.
        if (EqualForm().Match(text) is { Success: true } equal)
        {
            text = text.Remove(equal.Index, equal.Length);
            var way = along ?? first >= second;
            if (OwnFigures.All(text, unit, 1).Count == 0 && Parts(equal) is > 1 and <= Most and var parts)
            {
                return new([.. Enumerable.Range(1, parts - 1).Select(i => new Length((way ? first : second).Units * i / parts))], way, along is not null);
            }
        }

        if (HalfForm().Match(text) is { Success: true } half && OwnFigures.All(text, unit, 1).Count == 0)
        {
            var halved = along ?? first >= second;
            return new([new Length((halved ? first : second).Units / 2)], halved, along is not null || Length.Max(first, second).Units > LongToHalve * Length.Min(first, second).Units);
        }

        if (EveryForm().Match(text) is { Success: true } every)
        {
            var step = every.Groups["n"].Success ? OwnFigures.Figure(every.Groups["n"].Value, every.Groups["u"].Value, unit) ?? Length.In(1) : every.Groups["cm"].Success ? Length.Mm(10) : Length.In(1);
            var last = every.Groups["to"].Success ? OwnFigures.Figure(every.Groups["to"].Value, every.Groups["tu"].Value, unit) : null;
            var rest = every.Groups["rest"].Success ? OwnFigures.Figure(every.Groups["rest"].Value, every.Groups["ru"].Value, unit) ?? Length.Zero : Length.Zero;
            var (room, which) = Enough(first, step) && !(last >= first && last < second) ? (first, true) : (second, false);
            (room, which) = along is { } said ? (said ? first : second, said) : (room, which);
            room = rest > Length.Zero && rest < room ? room - rest + Length.Mm(1) : room;
            room = last is { } end && end + Length.Mm(1) < room ? end + Length.Mm(1) : room;
            var times = every.Groups["times"].Success ? OwnFigures.Times(every.Groups["times"].Value) : Most;
            var from = every.Groups["from"].Success ? OwnFigures.Figure(every.Groups["from"].Value, every.Groups["fu"].Value, unit) ?? step
                : OwnFigures.All(text[..every.Index], unit, Most) is [var begin] ? begin : step;
            return new(step <= Length.Zero ? [] : [.. Enumerable.Range(0, Math.Min(times, Most)).Select(i => from + (i * step)).TakeWhile(at => at < room - Length.Mm(0.5m))], which, along is not null);
        }

        var ends = EndsForm().Match(text);
        along ??= EndsAlong(ends, first, second);
        var figures = OwnFigures.All(text, unit, Most);

        // Who reads along a ruler may name its end too.
        figures = figures.Count > 1 && (figures[^1] - Length.Max(first, second)).Abs() <= Length.Mm(0.5m) ? figures[..^1] : figures;
        // Panels one after the other, and no places: they come to the whole of a side, and do not rise; of two only where they are parted as panels are.
        if (figures.Count > (text.AsSpan().ContainsAny('|', '+') ? 1 : 2) && !WayForm().IsMatch(text) && figures.Zip(figures.Skip(1)).Any(p => p.Second <= p.First) && figures.Aggregate((a, b) => a + b) is var sum && new[] { first, second }.Where(s => (s - sum).Abs() <= Length.Mm(0.5m)).ToList() is [var whole, ..])
        {
            return new(Between(figures), whole == first, true);
        }

        bool Holds(Length room) => figures.All(f => f < room);

        // Of a side that it could be on either, the one whose ends it is as far from; a sheet's ends are its short sides.
        var side = along ?? (ends.Value.TrimEnd('s').EndsWith("end", StringComparison.OrdinalIgnoreCase) && Length.Max(first, second).Units > LongToHalve * Length.Min(first, second).Units ? first > second : !ends.Success && Holds(first) && Holds(second) && IsEven(figures, first) != IsEven(figures, second) ? IsEven(figures, first)
            : Holds(first) && Holds(second) && IsLong(first, second) ? first > second : Holds(first) || !Holds(second));
        if (figures.Count == 0 || !Holds(side ? first : second))
        {
            return new([], true, false);
        }

        var length = side ? first : second;
        IEnumerable<Length> all = ends.Success ? figures.Concat(figures.Select(f => length - f)) : figures;

        // The middle may be named beside figures.
        all = HalfForm().IsMatch(text) ? all.Append(new Length(length.Units / 2)) : all;
        return new([.. all.Distinct().Order()], side, along is not null || Holds(first) != Holds(second)) { Folds = Ways(text, unit, ends.Success ? length : null), FromEnds = ends.Success };
    }

    private static int Parts(Match equal) => equal.Groups["half"].Success ? 4 : equal.Groups["n"].Success ? OwnFigures.Times(equal.Groups["n"].Value)
        : equal.Groups["part"].Value.ToLowerInvariant() switch { "third" => 3, "fifth" => 5, "sixth" => 6, "eighth" => 8, _ => 4 };

    /// <summary>Whether nothing tells which side a piece's scores are read along: neither symmetry nor a long sheet.</summary>
    public static bool IsOpen(OwnPiece piece) => !IsLong(piece.First, piece.Second) && IsEven(piece.Scores, piece.First) == IsEven(piece.Scores, piece.Second);

    private static bool IsLong(Length first, Length second) => Length.Max(first, second).Units > LongSheet * Length.Min(first, second).Units;

    private static bool IsEven(IReadOnlyList<Length> scores, Length room) => scores.Count > 0 && (scores.Min() + scores.Max() - room).Abs() <= Length.Mm(0.5m);

    /// <summary>Whether what is so far from both ends is read along the first side: from long sides along the short one, from left and right along the width. Null where nobody says.</summary>
    private static bool? EndsAlong(Match ends, Length first, Length second) =>
        ends.Groups["across"].Success ? true : ends.Groups["down"].Success ? false
        : ends.Groups["kind"].Success && first != second ? ends.Groups["kind"].Value.StartsWith("s", StringComparison.OrdinalIgnoreCase) == first > second : null;

    /// <summary>Whether a step goes into a side at least twice.</summary>
    private static bool Enough(Length room, Length step) => room.Units > 2.2 * step.Units;
}

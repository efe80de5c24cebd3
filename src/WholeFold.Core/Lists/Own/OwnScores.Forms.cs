using System.Text.RegularExpressions;

namespace WholeFold.Core.Lists.Own;

/// <summary>What scores look like.</summary>
internal sealed partial record OwnScores
{
    public static Regex Word => field ??= new Regex($@"\bscor(?:e|es|ed|ing)\b(?!\s*board)(?:\s+(?:lines?|marks?))?|\bs/f\b|\bpunch(?:ed)?\s+(?:and\s+scored?\s+)?at\b|\bhalf[\s-]fold(?:ed)?\b|(?<=(?:[\d""”]|\b(?:cm|mm|in))\s*,\s*)half\b(?=\s*$|\s+(?:both|each)\s+ways?\b)|(?<!['’])\bs\b\.?(?=\s*(?:[@:]|at\b)?\s*\.?\d)|\bsc\b\.?(?=\s*(?:at\b|@|\d|\.\d))|\bdivided?\s+(?:it\s+)?(?=in(?:to)?\s+\w+\s+equal\b)|\bfold(?:s|ed)?\b(?=\s+(?:(?:it\s+|(?:the\s+)?(?:left|right|first|second)\s+(?:(?:side|edge|flap|door|panel)\s+)?)?(?:at|in|into|along|every|each|down\s+the|through\s+the|across\s+the|lengthwise|lengthways|crosswise|widthwise|widthways)\b|to\s+\d|(?:up|over|under|back|down|in)\s+(?:at\s+)?\d|(?:(?:both|the|two|its|short|long)\s+){{0,3}}(?:ends|sides|edges)\s+(?:(?:in\s*)?to\b|in\b|by\b)|\d)|\s*[:=@])|\bfolds?\s+on\b|(?<!\b(?:draw|pencil|guide|cut|cutting|middle|centre|center)\s+(?:an?\s+)?)\b(?:lines\s*(?:at\b|[:@]|(?=\d))|line\s+at\b)|\bfold\s+(?:lines?|marks?)\b|\bfolded\b|\bcreases?d?\b|\b(?:mountains?|valleys?)(?:\s+folds?)?(?=\s+(?:at|on)\b|\s*:|\s+[\d.]|\s+(?:the\s+)?same\b)|\bpanels?\s*(?:of\b|are\b|[:=])?\s*(?=(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*[,|+/]\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:$|[,|+/]|and\b)(?!.*\d\s*(?:x|×|by)\s*\d))|\bsame\s+again\b|\bsame\s+scores?\b", RegexOptions.IgnoreCase);

    // Whatever is said from here on is no score: why, or what else is done.
    private static Regex Otherwise => field ??= new Regex($@"[(,;.]?\s*\b(?:then\s+|and\s+)?(?:(?:start|begin|stop|end)(?:n?ing|p?ing)?\s+(?:at\s+)?(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:(?:in\s+)?from\s+(?:the\s+)?(?:top|bottom|head|foot)|up|down)|so\b|so that|that(?:['’]s|\s+is)\b|(?<!\b(?:every|each)\s[^,;.]{{0,16}},?\s*)lea(?:ving|ves?)\b|which|making|makes|because|for (?:a|the|an|my|[abc]\d|dl)\b|fits?\b|holds?\b|(?:along|on)\s+(?:the\s+)?(?:top|bottom|rails?)\b(?!\s+(?:and|&)|\s*(?:of\s+the\s+(?:score\s*)?board)?,?\s*(?:and\s+)?(?:score\s+)?at\b)|along\s+(?:the\s+)?top\b(?!\s*(?:of\s+the\s+(?:score\s*)?board)?,?\s*(?:and\s+)?(?:score\s+)?at\b)|to make|cut|(?:slit|slot|snip|trim|notch|tick|mark|glue|tape|bond|burnish|slic|window|aperture|hole|opening|stick|attach|adhere|only)(?:s|d|e|ed|ted|ped|med)?)\b.*$", RegexOptions.IgnoreCase | RegexOptions.Singleline);

    // What a part of it comes to, and no score.
    private static Regex Remark => field ??= new Regex(@"\([^()]*\b(?:is|are|makes?|leaves?|gives?|only)\b[^()]*\)|[,;]\s*(?:the\s+)?(?:(?!scor|fold|creas|valley|mountain)[a-z]+\s+){1,2}(?:is|are)\s+[^,;)]*|(?:\s-\s|[,;])(?:(?!\s-\s|[,;]).)*\b(?:is|are|stays?)\s+left(?:\s+over)?\s*$", RegexOptions.IgnoreCase);

    internal static Regex SideForm => field ??= new Regex($@"(?:read\s+)?(?:along|on|across|down)\s+(?:the|its)\s+(?:(?<word>long|longer|short|shorter|first|second|width|height|length)|(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit}))(?:\s*(?:side|edge|length|way))?|(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})\s+(?:side|edge)\b|\b(?<word>long|short)(?:er)?\s+(?:side|edge)\b(?=\s*(?:at\b|:|@|\d|scores?\b|scored\b))|\b(?<word>lengthwise|lengthways|crosswise|widthwise|widthways)\b", RegexOptions.IgnoreCase);

    private static Regex EndsInAnd => field ??= new Regex(@"(?:,|;|\band|&|\bthen)\s*$", RegexOptions.IgnoreCase);

    // So far from the foot or the head: the last figure before it, and what parts that from others.
    private static Regex UprightForm => field ??= new Regex($@"(?:[\s,;&+]|\band\b|\bthen\b|\bat\b|\ba(?:nother)?\b){{0,8}}(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:up\s+|down\s+|in\s+)?from\s+(?:the\s+|its\s+)?(?:top|bottom|foot|head)\b(?!\s+(?:and|&|of|right|left))(?:\s+(?:edge|end|side))?|(?:[\s,;&+]|\band\b|\bthen\b){{0,6}}(?<!\b(?:and|&)\s)\b(?:(?:on|along)\s+)?(?:the\s+|its\s+)?(?:top|bottom|foot|head)(?:\s+(?:edge|end|side))?\s*(?:at\b|by\b|:)\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})(?!\s*(?:x|×|by)\s*\d)", RegexOptions.IgnoreCase);

    private static Regex EveryForm => field ??= new Regex($@"\b(?:every|each(?!\s+(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:in\s+)?(?:from|at|on)\s+(?:both|each|either|opposite)\b))\s+(?:(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})|inch|(?<cm>cm))(?:[\s,]*(?:beginning\s+|starting\s+)?(?:from|at)\s+(?<from>{OwnFigures.Number})(?<fu>{OwnFigures.Unit}))?(?:[\s,]*(?:up\s+)?(?:to|until)\s+(?<to>{OwnFigures.Number})(?<tu>{OwnFigures.Unit})|[\s,]*(?:for\s+)?(?:(?<times>\d{{1,2}}|two|three|four|five|six|seven|eight)\s*(?<what>times|inch(?:es)?\b|in\b|x))|[\s,]*(?:leaving|with)\s+(?<rest>{OwnFigures.Number})(?<ru>{OwnFigures.Unit}))?", RegexOptions.IgnoreCase);

    private static Regex HalfForm => field ??= new Regex(@"\b(?:in|at|into)\s+(?:half|halves)\b|\bin\s+two\b(?!\s+[a-z])|\bhalf[\s-]fold(?:ed)?\b|^\W*half\b(?=\s*$|\s+(?:both|each)\s+ways?\b)|\bhalf\s*way\b|\b(?:down|at|across|in|on|through)\s+the\s+(?:middle|centre|center)\b|\bcent(?:re|er)\s*line\b", RegexOptions.IgnoreCase);

    // So many panels alike: in quarters, into 4 equal panels, each half in half again.
    private static Regex EqualForm => field ??= new Regex(@"\b(?:in(?:to)?\s+|at\s+(?:the\s+)?|every\s+)?(?:(?<n>\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve)\s+equal(?:ly)?(?:[\s-]+(?:sized|wide|spaced))?(?:\s+(?:panels?|parts?|sections?|pieces|widths?|spaces|columns?|strips?))?)\b|\b(?:in(?:to)?|at(?:\s+the)?)\s+(?:equal\s+)?(?<part>third|quarter|fourth|fifth|sixth|eighth)s\b|\b(?:every|each)\s+(?<part>third|quarter|fourth|fifth|sixth|eighth)\s+of\s+(?:its|the)\s+(?:length|width|height|sheet|strip|piece)\b|\b(?:in\s+half\b.{0,40}?)(?<half>\bin\s+half\s+again|\bin\s+half(?=\s*$)|\bhalf\s+again)\b", RegexOptions.IgnoreCase);

    // Where the half is, is said too.
    private static Regex HalfAtForm => field ??= new Regex(@"\bin\s+half\s+(?=at\s+\d)", RegexOptions.IgnoreCase);

    // How diagonals lie.
    private static Regex SlantForm => field ??= new Regex(@"(?:\bat\s+)?\b45\s*(?:°|degrees?\b|deg\b)|(?<=\bdiagonal[^,;\d]{0,40})\bat\s+45\b", RegexOptions.IgnoreCase);

    // Whole inches one after the other: no inch is written 3,6.
    private static Regex PartedForm => field ??= new Regex(@"(?<=(?<![\d.,/])[1-9]\d?),(?=\d(?![\d/]))");

    // Several whole figures that rise are figures of their own, whatever a comma may be elsewhere: 2,3,6,7.
    private static Regex RisingRun => field ??= new Regex(@"(?<![\d.,/])\d{1,3}(?:,\d{1,3}){2,}(?![\d/]|[.,]\d)");

    // Where parts are written with a slash or a point, a comma parts figures.
    private static Regex WithParts => field ??= new Regex(@"\d/\d|\d\.\d|(?<!\d)\.\d");

    private static Regex CommaForm => field ??= new Regex(@"(?<=\d),(?=\.?\d)");

    // Of what is folded, and nothing more is said, it is in half.
    private static Regex FoldedOnly => field ??= new Regex(@"^\W*(?:scored?\s+and\s+)?folded(?:\s+from(?:\s+an?|\s+one)?)?\W*$", RegexOptions.IgnoreCase);

    // Both ends meet in the middle.
    private static Regex MeetForm => field ??= new Regex(@"^\W*to\s+(?:meet\s+)?(?:(?:in|at)\s+)?the\s+(?:middle|centre|center)\b|\b(?:(?<kind>short|long)\s+)?(?:ends|sides|edges)\s+(?:in\s*)?to\s+(?:meet\s+)?(?:(?:in|at)\s+)?(?:the\s+)?(?:middle|centre|center)\b", RegexOptions.IgnoreCase);

    internal static Regex EndsForm => field ??= new Regex($@"{BothEnds}|\b(?:(?:from|on|at)\s+)?(?:the|its)\s+(?<kind>short|long)(?:er)?\s+(?:ends|sides|edges)\b|\b(?:from\s+)?(?<across>left\s+(?:and|&|\+)\s+right|l\s*(?:and|&|\+|/)\s*r)\b(?:\s+(?:ends?|sides?|edges?))?|\b(?:from|on|at)\s+(?:the\s+)?(?:(?<across>left\s+(?:and|&|\+)\s+(?:the\s+)?right)|(?<down>top\s+(?:and|&|\+)\s+(?:the\s+)?bottom))\b(?:\s+(?:ends?|sides?|edges?))?", RegexOptions.IgnoreCase);

    // The sheet is turned a quarter and scored again.
    internal static Regex TurnForm => field ??= new Regex(@"\b(?:rotate|turn)(?:d|ed)?\b(?!\s+over)(?:\s+(?:it|the\s+\w+))?(?:\s+(?:by\s+)?(?:90|a\s+quarter)[^,;.]{0,12})?", RegexOptions.IgnoreCase);

    // It is turned end for end, so that what was counted from one end is counted from the other.
    internal static Regex HalfTurnForm => field ??= new Regex(@"\b(?:flip|rotate|turn|spin)(?:ped|d|ed)?\b(?:\s+(?:it|over|the\s+\w+))?\s*(?:end\s+(?:for|to|over)\s+end|(?:by\s+)?180\b(?:\s*(?:°|degrees))?|(?:right\s+)?(?:a)?round\b|half\s*way\s+round|half\s+a\s+turn)", RegexOptions.IgnoreCase);

    // So much from one end, and so much from the other.
    private static Regex OneEndForm => field ??= new Regex(@"\bfrom\s+(?:the\s+|its\s+)?(?:(?<far>right|rh|(?<other>other)|far|opposite)|left|lh|one|near|first)\b(?:[\s-]*hand)?(?:\s+(?:ends?|sides?|edges?))?(?!\s+and\s+(?:the\s+)?right)", RegexOptions.IgnoreCase);

    // The last of several figures: 1 and 2, then 2.
    private static Regex LastOfThem => field ??= new Regex($@"(?<=\d[""]?\s*(?:mm|cm|in|inch|inches)?)\s*,?\s*\b(?:and|then)\s+(?:again\s+)?(?:at\s+)?{OwnFigures.Number}{OwnFigures.Unit}\s*$", RegexOptions.IgnoreCase);

    private static Regex OnASide => field ??= new Regex(@"\bon\s+the\s+(?<side>left|right)\b", RegexOptions.IgnoreCase);

    private static Regex AgainForm => field ??= new Regex(@"\b(?:again|also|too|the\s+same|repeat)\b", RegexOptions.IgnoreCase);

    private static Regex ThreeSidesForm => field ??= new Regex(@"\b(?:on\s+)?(?:three|3)\s+(?:of\s+(?:the\s+|its\s+)?)?(?:sides|edges)\b|\b(?:both|each|either|the|two)\s+(?:(?:short|long|of\s+the)\s+)?(?:sides?|ends?|edges?)\s*,?\s+and\s+(?:(?:along|from|at|on)\s+)?(?:the\s+)?(?:bottom|foot|top|head)\b|\bleft,?\s+(?:and\s+)?right,?\s+and\s+(?:(?:along|from|at|on)\s+)?(?:the\s+)?(?:bottom|top)\b", RegexOptions.IgnoreCase);

    // In both directions.
    private static Regex BothWays => field ??= new Regex(@"\balong\b.{0,30}\band\s+across\b(?!\s+(?:the|at)\b)|(?<!\bdiagonal(?:s|ly)?\s+)\b(?:both|each)\s+(?:ways?|directions?)\b|\bin\s+(?:both|each)\s+directions?\b", RegexOptions.IgnoreCase);

    // What a sheet is folded to, and no score.
    internal static Regex FoldedTo => field ??= new Regex($@"\b(?:down\s+)?to\s+(?:make\s+)?(?<a>{OwnFigures.Number})(?<ua>{OwnFigures.Unit})\s*(?:x|×|by)\s*(?<b>{OwnFigures.Number})(?<ub>{OwnFigures.Unit})", RegexOptions.IgnoreCase);

    private static Regex AllSidesForm => field ??= new Regex(@"\b(?:all|each of the)\s+(?:four\s+|4\s+)?(?:sides|edges)\b|\ball\s+(?:the\s+way\s+)?(?:a)?round\b|\bfour sides\b|\bevery\s+(?:side|edge)\b|\balong\s+each\s+edge\b|\b(?:a)?round\s+(?:the|its)\s+(?:edges?|outside)\b", RegexOptions.IgnoreCase);

    // A panel's name before its figure, or behind it.
    private static Regex PanelForm => field ??= new Regex($@"(?<![a-z])[a-z](?>[a-z ]{{0,30}})\s*[:=]?\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})|(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s+[a-z]+", RegexOptions.IgnoreCase);

    // What figures are said of that are no panels.
    private static Regex OtherThanPanels => field ??= new Regex(@"\b(?:ways?|along|across|long|short|down|apart|rails?)\b", RegexOptions.IgnoreCase);

    // The word stands before the figures that it is said of, or behind one: mountain at 3, or 3 (mountain).
    private static Regex WayForm => field ??= new Regex($@"\b(?:(?<m>mountains?)|valleys?)\b(?:\s+(?:folds?|creases?|scores?)\b)?(?<before>\s*(?:(?:is|are)\b\s*)?(?:at\b|on\b|:|=)?\s*{OwnFigures.Number})?", RegexOptions.IgnoreCase);

    // Figures in words, where none is written otherwise: one and a half, three, six.
    private static Regex WordedForm => field ??= new Regex($@"(?<=\bat\s+|\bon\s+|[,:;]\s*|\band\s+|&\s*)(?:{OwnListReader.Worded}|(?:an?|one)\s+(?<part>{OwnListReader.Part}))\b(?!\s+(?:(?:opposite|long|short|equal|of|more)\b|\w+\s+)?(?:sides?|ends?|edges?|ways?|times|halves|parts?|panels?|sections?|lines?|folds?|scores?|creases?|corners?|directions?)\b)", RegexOptions.IgnoreCase);

    // A panel that comes several times: 1/2 four times.
    private static Regex RepeatedForm => field ??= new Regex($@"(?<![\d/.,]|\b(?:every|each)\s+(?:\d+[\s-]+)?)(?<f>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))\s*,?\s*\(?(?<n>two|three|four|five|six|seven|eight|[2-8])\s+times\b\)?", RegexOptions.IgnoreCase);

    /// <summary>How many there are of a piece, behind its scores.</summary>
    internal static Regex CountForm => field ??= new Regex(@"\(\s*(?:x\s*)?\d{1,2}\s*(?:x|off|of\s+(?:them|these))?\s*\)|(?<![\d""]\s*)[\s,]x\s?\d{1,2}\s*$|\s[x×]\d{1,2}\W*$|[,;]\s*(?:two|three|four|six|eight|\d{1,2})\s+of\s+(?:them|these|those)|[-,;]?\s*\b(?:cut|make|need|qty)\s+\d{1,2}\s*\)?\W*$|[-,;]\s*\d{1,2}\s+(?:of|off)(?:\s+(?:them|these))?\s*$", RegexOptions.IgnoreCase);
}

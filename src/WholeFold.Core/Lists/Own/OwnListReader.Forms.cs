using System.Text.RegularExpressions;

namespace WholeFold.Core.Lists.Own;

/// <summary>What lines of a list look like.</summary>
public static partial class OwnListReader
{
    /// <summary>Each is read once, so that no run of digits is tried in all ways.</summary>
    private const string Figure = $@"(?>{OwnFigures.Number})(?>{OwnFigures.Unit})";

    /// <summary>Figures one after the other to the end; and the same, parted by dashes too.</summary>
    private const string Figures = $@"(?:{Figure}(?:[\s,;/&|]+(?:(?:and|then)\s+)?|$))+", DashedFigures = $@"(?:{Figure}(?:[\s,;/&|+]+(?:(?:and|then)\s+)?(?:-\s+)?|$))+";

    /// <summary>Parts of an inch in words.</summary>
    internal const string Part = @"half|quarter|eighth|sixteenth|three[\s-]quarters?|(?:three|five|seven)[\s-]eighths?|three[\s-]sixteenths?";

    /// <summary>A side in words.</summary>
    internal const string Worded = $@"(?<n>one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen)(?:\s+and\s+(?:an?\s+|one\s+)?(?<part>{Part}))?";

    private static Regex PaperWord => field ??= new Regex(@"\b(?:mats?|papers?|layers?|panels? of paper|prints?|pattern(?:ed)?|dsp|decorat\w*|liners?|front mat|sentiment|greeting)\b", RegexOptions.IgnoreCase);

    private static Regex FinishedWord => field ??= new Regex(@"\b(?:finished|closed|(?:when|folded|folds)\s+(?:it\s+is\s+)?(?:flat|shut)|folded size|card size|makes an?)\b|\b(?:for|fits?|to\s+(?:take|hold|fit|house))\s+an?\s*(?:card\b|$)", RegexOptions.IgnoreCase);

    // A line about what is done, or how it comes out, without a size of its own.
    private static Regex DoneWord => field ??= new Regex(@"^\W*(?:(?:then|(?:the\s+)?(?:first|second|other)(?:\s+(?:one|piece))?(?:\s+is)?)\s+)?(?:slits?|slots?|cuts?|snip|trim|notch|tick|mark(?!\s+and\s+(?:scor|fold|creas))|glue|tape|bond|burnish|stick|attach|punch|round|window|aperture|fold)\b", RegexOptions.IgnoreCase);

    private static Regex UnitsOnly => field ??= new Regex(@"^\W*(?:(?:all|sizes|measures|measurements|everything|units?)\b[\s:]*)*(?:(?:are|is|in)\s+)*(?:mm|cm|in|inches|inch|millimetres|centimetres)\W*$", RegexOptions.IgnoreCase);

    private static Regex NamedForm => field ??= new Regex($@"^(?<name>[a-z][a-z '&-]{{1,40}}?)\W*(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})(?<rest>[^\d]*)$", RegexOptions.IgnoreCase);

    private static Regex BareForm => field ??= new Regex($@"^(?:l(?:eft)?\s*(?:-+|to)\s*r(?:ight)?\b[\s:]*|(?:measured\s+)?from\s+(?:the\s+)?(?:one|left|lh|top|either)\b(?:[\s-]*hand)?(?:\s+(?:end|edge|side))?\s*[:,-]?)?[\s,;/&|]*{Figures}(?:panels|sections)?$", RegexOptions.IgnoreCase);

    // Figures right behind a size are its scores.
    private static Regex BehindForm => field ??= new Regex($@"^\s*[,)]?(?:\s*\b[a-z]+\b){{0,2}}\s*(?:[:@]{{1,2}}|[-=]*>|→|\||\s/\s|\bat\b|\s-{{1,2}}\s|\bpanels?\b(?:\s+(?:of|are))?\s*:?(?=[\s,;/&|]*{Figure}[\s,;/&|+]+(?:(?:and|then)\s+)?{Figure}))(?<scores>[\s,;/&|]*{DashedFigures})(?:$|\s*(?:panels|sections|parts)\W*$|[(*!][^\d]*$|(?<=-\s)[a-z][^\d]*$|(?<=,\s)(?:from|in|of)\b[^\d]*$)|^\s*[:@,-]?\s*(?<scores>every\s+(?:inch|\d).*)$", RegexOptions.IgnoreCase);

    // So much at both ends.
    private static Regex EndsOnly => field ??= new Regex($@"^\W*{OwnFigures.Number}{OwnFigures.Unit}\s*(?:in\s+)?{OwnScores.BothEnds}\W*$", RegexOptions.IgnoreCase);

    // Mountains and valleys may be named apart.
    private static Regex OtherWay => field ??= new Regex(@"^\W*(?:mountain|valley)", RegexOptions.IgnoreCase);

    private static Regex SlashedRun => field ??= new Regex(@"(?<![\d/.,])\d+(?:/\d+){2,}(?![\d/])");

    // Figures that a slash parts, and what may be a fraction.
    private static Regex MaybeFraction => field ??= new Regex(@"(?<![\d/.,])(?<n>\d{1,4})/(?<of>\d{1,4})(?![\d/])");

    // The words before a size, from where its clause begins.
    private static Regex LastClause => field ??= new Regex(@"(?:[,(.]|\bwith\b|\bw/|\band\b)\s*(?<words>(?:an?\s+)?[a-z][a-z ]*(?:\d{1,2}\s*[x×]\s*)?|\d{1,2}\s*[x×]\s*)$", RegexOptions.IgnoreCase);

    // What stands before the size of a card that a title names: a fold's name or a gate's, or for.
    private static Regex TitleName => field ??= new Regex(@"^[^,;:]*(?:fold|gate|swing|twist|pinwheel|endless|never[\s-]ending|diorama|tier\s+scene|shadow\s+box|step(?:per)?)\s*(?:card)?\s*,?\s*$|\b(?:for|fits)\s+an?(?:\s+[a-z]+)?\s*$|^[^,;:\d]*\bfor\s*$|^(?!.*\b(?:gift|base|blank|note|place|business|inside|main|inner|outer|back|front|the|a|one|fold(?:ed)?)\s+card\b)[^,;:\d]*[a-z][^,;:\d]*\s+card\s*,?\s*$", RegexOptions.IgnoreCase);

    // What stands on a table is as wide and high, and as deep: Gift bag 4 x 6 x 2.
    private static Regex DeepTitle => field ??= new Regex($@"^(?<name>[^\d]*(?:bag|box|case|house|holder|tray|tin|drawer|chest)\b[^\d]{{0,20}}?)\s(?<a>(?>{OwnFigures.Number}))(?<ua>(?>{OwnFigures.Unit}))\s*(?:x|×|by)\s*(?<b>(?>{OwnFigures.Number}))(?<ub>(?>{OwnFigures.Unit}))\s*(?:x|×|by)\s*{Figure}(?:\s*deep)?\W*$", RegexOptions.IgnoreCase);

    // What stands behind the size of a finished card, at most.
    private static Regex ClosedWords => field ??= new Regex(@"^\W*(?:(?:square|landscape|portrait)\s*)?(?:when\s+(?:it\s+is\s+)?)?(?:flat|closed|folded|finished|shut|card)?(?:\W*\w+\s+(?:rows?|tiers?|layers?|steps?))?\W*$", RegexOptions.IgnoreCase);

    private static Regex CircleWord => field ??= new Regex(@"\b(?:circles?|discs?)\b", RegexOptions.IgnoreCase);

    private static Regex CircleFirst => field ??= new Regex(@"^(?:circles?|discs?)\b", RegexOptions.IgnoreCase);

    private static Regex SentenceEnd => field ??= new Regex($@"(?<!\bno)\.\s+(?!(?:x\b|by\b|I\s+mean|make\s+that|no\b[\s,]|wait\b|sorry\b|oops\b))(?=[A-Za-z]|#\d\b|\d{{1,2}}\s+(?!in\b|inch|mm\b|cm\b|x\b)[a-z]{{2,}}|\d{{1,3}}\s*(?:mm|cm|inch|"")\s+[a-z]{{3,}}|\(\s*x?\s*\d{{1,2}}\s*\)|\d{{1,2}}\s*[@x×-]\s+[a-z]{{3,}}|{Figure}\s*(?:x|×|by)\s*\d)");

    // As large as the piece before, or as one that is named.
    private static Regex SameSize => field ??= new Regex(@"\b(?:the\s+)?same\s+size(?:\s+as\s+(?:the\s+)?(?<as>[a-z]+(?:\s+(?!scor|fold|creas)[a-z]+)?))?", RegexOptions.IgnoreCase);

    // All that was said of the piece before.
    private static Regex AllTheSame => field ??= new Regex(@"^(?<name>(?:\d(?:st|nd|rd|th)\b)?[^:,\d]{0,40}?)\W*\b(?:is\s+|exactly\s+)*(?:the\s+)?same(?:\s+again|\s+as\s+(?:the\s+)?[a-z]+(?:\s+one)?)?(?:,?\s*(?:but\s+)?turned)?\W*$", RegexOptions.IgnoreCase);

    // Whoever corrects a size means what stands behind.
    private static Regex Corrected => field ??= new Regex(@"(?:\?\s*)?\b(?:no|sorry|wait|scratch\s+that|i\s+mean|make\s+that)\b\s*[-:,]|\?|(?<=\b(?:cut|trim|slice)(?:med|d)?\b(?:(?!fold|scor)[^.;])*)\b(?:to\s+(?:get|give|make)|so\s+(?:that\s+)?(?:you|i|we)(?:'ll|\s+will)?\s+(?:have|get))\b|\b(?:cut|trim|slice)(?:med|d)?\s+(?:it\s+)?(?:down\s+)?to\b", RegexOptions.IgnoreCase);

    // A piece that has none, and says so.
    private static Regex NotScored => field ??= new Regex(@"[\s,;(-]{0,6}\b(?:(?:no|without(?:\s+any)?)\s+(?:scores?|scoring|score\s+lines?|folds?|creases?)|(?:not|un)[\s-]?(?:scored|folded)|(?:score|fold)\s+nothing)\b\s*\)?", RegexOptions.IgnoreCase);

    // Scores that are said anew: 1/4 and 10, I mean score at 1/4.
    private static Regex ScoresCorrected => field ??= new Regex(@"^(.*?)\b(?:scor|fold|creas)[a-z]*\b[^;]*?[.,(-]+\s*\b(?:(?:i\s+mean|make\s+that|no\s+wait|wait|sorry|oops)\b|no\s*[,:-])[\s,:-]*(?=(?:scor|fold|creas)[a-z]*\b[^;]*\d)", RegexOptions.IgnoreCase);

    // One figure that is said anew: 8 1/2, no, 8 1/4.
    private static Regex FigureCorrected => field ??= new Regex($@"(?<![x×]\s*)(?<!\b(?:by|x)\s+){Figure}[.,?(-]+\s*\b(?:(?:i\s+mean|make\s+that|no\s+wait|wait(?:,?\s+no)?|sorry|oops)\b|no\s*[,:-])[\s,:-]*(?={Figure}(?!\s*(?:x|×|by)\b))", RegexOptions.IgnoreCase);

    // The fold in the middle, and where it is.
    private static Regex MiddleFold => field ??= new Regex($@"(?<!\b(?:over|across|on|through|along|at)\s+(?:the\s+)?)\b(?:cent(?:re|er)|middle)\s+(?:folds?|creases?|scores?)(?:\s+lines?)?\b(?![\s:=-]*[a-z][a-z ]{{0,24}}[\s:=-]*{Figure}\s*(?:x|×|by)\s*\d)(?:\s*(?:at|on|is|[:@=])?\s*(?<figure>(?=\d)))?", RegexOptions.IgnoreCase);

    // Figures behind a size that nothing reads; none is how heavy it is, or how often, or a number that it bears.
    private static Regex Unread => field ??= new Regex($@"(?<![#\w]|\bno\.?\s*){OwnFigures.Number}{OwnFigures.Unit}(?!\s*(?:gsm|g\b|lbs?\b|pt\b|ply\b|%|°|degrees?\b|sheets?\b|layers?\b|times\b|sides?\b|ends?\b|edges?\b|corners?\b|ways?\b|pages?\b|diagonals?\b|for\b|of\b))", RegexOptions.IgnoreCase);

    private static Regex WordedFigure => field ??= new Regex($@"\b{Worded}(?=\s*(?:inch(?:es)?\s*)?\b(?:by|x)\b)|(?<=\b(?:by|x)\s+){Worded}\b", RegexOptions.IgnoreCase);

    // A whole number and its part: 1 and 5/8.
    private static Regex WholeAndPart => field ??= new Regex(@"(?<![\d/.,]\s?)(?<=(?:\b(?:x|by|at|is|of|to)|[x×@:,])\s*|^\W*)(\d{1,2})\s+(?:and|&)\s+(?=\d/\d|1?\d/16\b)", RegexOptions.IgnoreCase);

    // Figures that are parted as pieces are.
    private static Regex PartedFigures => field ??= new Regex($@"(?<=[\d""]\s*)(?<!(?:[x×]|\b(?:by|high|tall|wide|w|h))\s*[\d/ .-]{{1,10}}(?:""|in\b|mm|cm)?\s*);\s*(?=(?:and\s+)?(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:\W*$|[;,)(/-]|\band\b|[x×]\d{{1,2}}\W*$|\b(?:on|from|in(?!ch))\b))", RegexOptions.IgnoreCase);

    // Two of a size: two 12x6s.
    private static Regex SeveralOf => field ??= new Regex(@"(?<=\d\s*[x×]\s*(?:\d+[\s-])?\d+(?:[/.]\d+)?)'?s\b", RegexOptions.IgnoreCase);

    // Its part in words: 2 and seven eighths, 3 and an eighth.
    private static Regex WholeAndWorded => field ??= new Regex($@"(?<whole>(?<![\d/.,]\s?)\b\d{{1,2}})\s+and\s+(?:an?\s+|one[\s-])?(?<part>(?:three|five|seven)[\s-](?:quarter|eighth|sixteenth)s?|(?<=\b(?:an?|one)[\s-])(?:half|quarter|eighth|sixteenth))\b(?!\s+(?:fold|way|of)\b)", RegexOptions.IgnoreCase);

    // So wide and so long, with what it is between: 6 in wide strip, 11 in long.
    private static Regex NameBetween => field ??= new Regex($@"(?<wide>(?<![\d/])(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*wide)\s+(?<name>(?!and\b|by\b|x\b)[a-z]{{3,14}})\s*,?\s+(?<long>(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:long|high|tall|deep)\b)", RegexOptions.IgnoreCase);

    // Which way each score folds, where no word says that they are scores: 4 1/4 valley, 8 1/2 mountain.
    private static Regex WordedWays => field ??= new Regex($@"(?<![\w./])(?:(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:valley|mountain)\b(?:\s*[,/|&]\s*|\s+and\s+|\s+|$)){{2,}}", RegexOptions.IgnoreCase);

    // Inches in words: half an inch, three quarters of an inch, an inch and a half, two and a half inches.
    private static Regex WordedInches => field ??= new Regex($@"\b(?:(?<n>an|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\s+inch(?:es)?(?:\s+and\s+(?:an?\s+|one\s+)?(?<part>{Part}))?|{Worded}\s+inch(?:es)?|(?:an?\s+|one[\s-])?(?<part>{Part})(?:\s+of)?(?:\s+an)?[\s-]+inch(?:es)?)\b", RegexOptions.IgnoreCase);

    // What stands before it is cut in two.
    private static Regex CutInHalf => field ??= new Regex(@"^\W*(?:and\s+|then\s+|now\s+)*(?:cut|slic|trim|halv)[a-z]*\s+(?:(?:it|each|both|all|them|these|those|every)\b(?:\s+(?:of\s+)?[a-z]+){0,2}|the\s+[a-z]+)\s*(?:(?:in(?:to)?\s+)?(?:half|halves|two)\b)?[^\d]*$", RegexOptions.IgnoreCase);

    // One of two that were cut alike: what else is done to the other.
    private static Regex OtherOne => field ??= new Regex(@"^\W*(?:the\s+)?(?:(?:other|second|2nd)(?:\s+(?:one|piece))?\b|(?:#|no\.?\s*|number\s+|(?:piece|one|strip|card|sheet|panel)\s+)(?:2|two)\b|b\s*[:.)=])|^\W*(?:then\s+)?(?:score|fold|crease)\s+the\s+(?:other|second)\b(?:\s+(?:one|piece))?(?!\s+(?:sides?|ways?|ends?|edges?|directions?)\b)", RegexOptions.IgnoreCase);

    // One score of several that have a line each: crease 2: 90 from the left; or 2nd score: 7 1/4.
    private static Regex NumberedScore => field ??= new Regex($@"^\W*(?:(?:score|crease|fold)(?:\s+line)?\s*(?:no\.?|#)?\s*\d{{1,2}}\s*[:=.)-]|(?:\d(?:st|nd|rd|th)|first|second|third|fourth|fifth|sixth|seventh|eighth)\s+(?:score|crease|fold)(?:\s+line)?\b\s*[:=]?)\s*(?:at\s+)?(?<score>{Figure})(?:\s*(?:from\s+(?:the\s+)?)?(?:left|top)(?:\s+(?:edge|end|side))?)?\W*$", RegexOptions.IgnoreCase);

    // Whole figures that strokes part.
    private static Regex StrokedRun => field ??= new Regex(@"(?<![\d/.,-])\d{1,3}(?:-\d{1,3}){2,}(?![\d/.-])");

    // Of which pieces something is said: all pillars, each of the tiers.
    private static Regex OfEachNamed => field ??= new Regex(@"^\W*(?:and\s+)?(?:(?:score|fold|crease)\s+)?(?:each|all)\s+(?:of\s+)?(?:the\s+)?(?<name>[a-z]{3,})\b", RegexOptions.IgnoreCase);

    // Behind a size, that it is a card, and nothing else.
    private static Regex OnlyCard => field ??= new Regex(@"^\W*(?:(?!base|blank|gift|note|place|business)[a-z-]+\s+){0,3}card\W*$", RegexOptions.IgnoreCase);

    // One figure and nothing else, as in a list of scores.
    private static Regex OnlyFigure => field ??= new Regex($@"^\W*(?<score>{Figure})\W*$", RegexOptions.IgnoreCase);

    // Strokes that are longer than one.
    private static Regex LongStroke => field ??= new Regex(@"(?<=\s)-{2,}(?=\s)");

    private static Regex CornerToCorner => field ??= new Regex(@"\b(?:from\s+)?corner\s+to\s+(?:opposite\s+)?corner\b(?:\s+(?:both\s+ways|twice|through\s+the\s+(?:cent(?:re|er)|middle)))*", RegexOptions.IgnoreCase);

    private static Regex OnlyAnd => field ??= new Regex(@"^\W*(?:and\W*)?$", RegexOptions.IgnoreCase);

    // Behind its size a sheet is halved by folding it.
    private static Regex Halving => field ??= new Regex(@"(?<=\d[\w""]{0,6}\s{0,4}[,:-]\s{0,4})halved\b", RegexOptions.IgnoreCase);

    // Of two that are cut alike one is scored so, and the other otherwise.
    private static Regex OneAndOther => field ??= new Regex(@"\bone\s+(?:is\s+)?(?<one>(?:scor|fold|creas)[^;]{0,80}?)[\s,;]{1,4}(?:and\s+)?the\s+other\s+(?:one\s+)?(?:is\s+)?(?<other>(?:scor|fold|creas).*)$", RegexOptions.IgnoreCase);

    private static Regex FoldFirst => field ??= new Regex(@"^\W*(?:then\s+|now\s+)?fold", RegexOptions.IgnoreCase);

    // By how much something is turned or folded, and no length.
    private static Regex Angle => field ??= new Regex(@"\b(?:45|90|180|360)\s*(?:°|deg(?:rees?)?\b)", RegexOptions.IgnoreCase);

    private static Regex DiagonalWord => field ??= new Regex(@"\bdiagonal", RegexOptions.IgnoreCase);

    private static Regex FoldedDiagonally => field ??= new Regex(@"\b(?:fold|crease|score|valley|mountain)[^,;.\d]{0,30}\bdiagonal|\bdiagonal[^,;.\d]{0,20}\b(?:fold|crease|score)", RegexOptions.IgnoreCase);

    // The last of figures is how many there are: score at 1 and 7 x2.
    private static Regex CountAtEnd => field ??= new Regex(@"^(?<said>.*\d[""]?)\s+[x×](?<n>\d{1,2})\W*$", RegexOptions.IgnoreCase);

    // What is said of all pieces before it that nothing was said of.
    private static Regex OfEach => field ??= new Regex(@"^\W*(?:and\s+)?(?:each|all)\b(?!\s+(?:of\s+)?(?:the\s+)?(?:sides|edges|corners|way|round))", RegexOptions.IgnoreCase);

    // So wide, and several heights: one piece for each.
    private static Regex SeveralHeights => field ??= new Regex($@"^(?<name>[^\d]*(?:\d\s+[a-z][^\d]*)?)\b(?<w>{OwnFigures.Number}{OwnFigures.Unit})\s*wide\b(?<between>.*?)[,;]?\s*\bheights?\b\s*(?:of|are)?\s*[:=]?\s*(?<heights>{Figures})$", RegexOptions.IgnoreCase);

    private static Regex StepNumber => field ??= new Regex(@"^\W*step\s*\d{1,2}\b(?!\s+\d+/\d|[/-]\d|[.,]\d|\s*(?:x|×|by\b|""|in\b|cm\b|mm\b))\s*[:.)-]?\s*", RegexOptions.IgnoreCase);

    private static Regex LineNumber => field ??= new Regex($@"^[^\w(]*\d{{1,2}}[.)]\s+(?=[A-Za-z(]|\d{{1,2}}\s*(?:[@×-]|x\b|\s[a-z]{{3,}})|{Figure}\s*(?:x|×|by)\s*\d)");

    // The first of lines that are numbered, and a number before a name that is a count where none are.
    private static Regex FirstNumber => field ??= new Regex(@"^[^\w\n(]*1\s*(?:[.):-]|\s-)", RegexOptions.Multiline);

    private static Regex CountAhead => field ??= new Regex(@"^\W*(?<n>[2-9]|1\d|2[0-4])\s+-\s+(?=[a-z])", RegexOptions.IgnoreCase);

    // What comes off the corners is no piece.
    private static Regex OffCorners => field ??= new Regex(@"\bcorners?\s+(?:off|out|away)\b|\b(?:off|from|out\s+of)\s+(?:each|all|every|the|both)\s+(?:\w+\s+)?corners?\b", RegexOptions.IgnoreCase);

    // Scores behind a size whose word comes last: 2, 4, 8 score lines.
    private static Regex BeforeWord => field ??= new Regex($@"^[^\d(]{{0,24}}(?<scores>{DashedFigures})\s*$", RegexOptions.IgnoreCase);

    // Three figures or more right behind a size, parted by slashes, and what else is said behind them.
    private static Regex RunForm => field ??= new Regex($@"^\s*,?\s*(?<scores>(?:{Figure}\s*[/|]\s*){{2,}}{Figure})\W*(?<rest>[a-z].*)?$", RegexOptions.IgnoreCase);

    // Figures in brackets behind a size, with a word at most before them.
    private static Regex BracketForm => field ??= new Regex($@"^\s*,?\s*(?:[a-z]+\s*)?\(\s*(?<scores>{OwnFigures.Number}{OwnFigures.Unit}\s*[,/;|&].*?)\s*\)\W*$", RegexOptions.IgnoreCase);

    // Which way each score folds by its letter: m 1/2, v 3; or 2 1/8 v, 4 1/4 m.
    private static Regex LetteredWays => field ??= new Regex($@"(?<![\w./])(?:[mv]\s+(?>{OwnFigures.Number})(?>{OwnFigures.Unit})(?:\s*[,/|&]\s*|\s+|$)){{2,}}|(?<![\w./])(?:(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*[mv]\b(?:\s*[,/|&]\s*|\s+|$)){{2,}}", RegexOptions.IgnoreCase);

    private static Regex LetteredWay => field ??= new Regex(@"(?<![a-z])[mv](?![a-z])", RegexOptions.IgnoreCase);

    // How many of something a card has, in its name: 2-row column card.
    private static Regex CountOf => field ??= new Regex(@"\b\d{1,2}(?=[\s-]+[a-z]{3,})", RegexOptions.IgnoreCase);

    // So far in from an edge, which is no inch.
    private static Regex SoFarIn => field ??= new Regex(@"(?<=\d)\s+in\s+(?=from\b)", RegexOptions.IgnoreCase);

    // What is cut in a piece, and no inch either.
    private static Regex InSomething => field ??= new Regex(@"(?<=\d)\s+in\s+(?=(?:the|its|both|each|every|all)\b)", RegexOptions.IgnoreCase);

    private static Regex LetterName => field ??= new Regex(@"^\W*a\s*[:=)]\s*$", RegexOptions.IgnoreCase);

    // Words that lead to a size.
    private static Regex NoName => field ??= new Regex(@"^(?:with|by)\b\s*|\s*\b(?:with|by|fits?|in|into)$");

    // Names of pieces, which no finished card has.
    private static Regex PieceName => field ??= new Regex(@"\b(?:base|cover|front|back|sheet|strip|panel|piece|part|liner|layer|outer|inner|outside|inside|body|box|lid|bottom|top|spine|tube|tabs?|walls?|doors?|pockets?|insert|frame|tile|tiers?|carrier|backing|backer|tag|tray|sleeve|slider?|fins?|pillars?|faces?|facade|stop|main|band|blank|gift|cardstock|paper|focal|circle)\b", RegexOptions.IgnoreCase);

    // What a sheet is made for, between its size and the card's; what stands behind that.
    private static Regex GoesIn => field ??= new Regex(@"^(?<kept>[^\d]{0,24}?)\b(?:for|to\s+fit|fits?|holds?|takes?|makes)\s+(?:(?:an?|the|my)\s+)?(?:finished\s+)?$", RegexOptions.IgnoreCase);

    // The format that it is for, by its name.
    private static Regex FormatThatItFits => field ??= new Regex($@"\b(?:for|fits?)\s+(?:(?:an?|the|my)\s+)?(?<name>{FinishedSize.FormatNames})\b(?!\s*(?:sheet|paper))|[,(]\s*(?<name>{FinishedSize.FormatNames})\s+(?:size\s+)?card\s*\)?\s*$", RegexOptions.IgnoreCase | RegexOptions.Multiline);

    private static Regex CardBehind => field ??= new Regex(@"^\s*(?:(?!gift\b)[a-z-]+\s+){0,2}card\b(?!\s*stock)", RegexOptions.IgnoreCase);

    private static Regex NothingBehind => field ??= new Regex(@"^\W*(?:$|,)");

    private static Regex EnvelopeWord => field ??= new Regex(@"\benvelopes?\b", RegexOptions.IgnoreCase);

    // The envelope that a card is for is no piece of it.
    private static Regex FitsEnvelope => field ??= new Regex($@"\b(?:fits|for|goes)\s+(?:in(?:to)?\s+)?(?:an?\s+)?{OwnFigures.Number}{OwnFigures.Unit}\s*(?:x|×|by)\s*{OwnFigures.Number}{OwnFigures.Unit}\s+envelopes?\W*$", RegexOptions.IgnoreCase);

    // A sentence that says more of what stands before it.
    private static Regex GoesOn => field ??= new Regex(@"^\W*(?:then|and|also|again|on|from|at|turn|rotate|flip|the\s+other)\b", RegexOptions.IgnoreCase);

    // How it is done, and no name of the piece; what it is for may be one.
    private static Regex Aside => field ??= new Regex(@"^\W*(?:with|using|(?:the\s+)?(?:long|short)(?:er)?\s+(?:side|edge)|for(?!\s+(?:the|each|both)\s+(?!card\b)(?:[a-z]+\s*){1,3}\W*$)|so|then|and)\b", RegexOptions.IgnoreCase);

    // Which of several it is, and no name of its own.
    private static Regex OneOfThem => field ??= new Regex(@"^(?:second|third|fourth|2nd|3rd|4th|next|other|last)\b(?:\s+(?:one|inside|front|back))*$", RegexOptions.IgnoreCase);

    // Columns that a rule parts, of which another names a piece or a window.
    private static Regex NextColumn => field ??= new Regex($@"(?<=(?:x|×|by)\s{{0,3}}\d[^\n]{{0,60}})(?:\s*\||\s+-(?=\s+(?:window|aperture|opening)\b))\s*(?=[a-z][a-z ]{{0,30}}:?\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:x|×|by)\s*\d)", RegexOptions.IgnoreCase);

    // What is in a piece: with a circle of so much.
    private static Regex Within => field ??= new Regex(@"(?:\bwith|\bw/)(?:\s+an?)?\s*$", RegexOptions.IgnoreCase);

    // A card's name may be that of its format, which is no figure.
    internal static Regex FormatName => field ??= new Regex(@"(?<!\w)(?:[abc]\d|#\d+)(?!\w)", RegexOptions.IgnoreCase);

    private static Regex Small => field ??= new Regex(@"\bw/|\b(?:make|need|cut)\s+(?:one|two|three|four|five|six|eight)\b|\b(one|two|three|four|five|six|eight|both)\b(?=\s+[a-z])|(?<=[:,]\s*|\band\s+|^\W*)(one|two|three|four|five|six|eight)\W*$|\b(start|begin|using|cut|pieces?|piece of|a|an|the|of|and|(?<!\bgift\s+)card|cardstock|pcs?|stock|at|to|from|is|for|each|measures?|measuring|that|which|qty|same|exactly|i|we)\b|(?<!\w)\d+(?!\w)|(?<!\w)(?:[x×]\s*\d{1,2}|\d{1,2}\s*[x×])(?!\w)|[^\p{L}0-9 '&-]", RegexOptions.IgnoreCase);
}

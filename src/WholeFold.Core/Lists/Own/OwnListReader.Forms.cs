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

    [GeneratedRegex(@"\b(?:mats?|papers?|layers?|panels? of paper|prints?|pattern(?:ed)?|dsp|decorat\w*|liners?|front mat|sentiment|greeting)\b", RegexOptions.IgnoreCase)]
    private static partial Regex PaperWord();

    [GeneratedRegex(@"\b(?:finished|closed|(?:when|folded|folds)\s+(?:it\s+is\s+)?(?:flat|shut)|folded size|card size|makes an?)\b|\b(?:for|fits?|to\s+(?:take|hold|fit|house))\s+an?\s*(?:card\b|$)", RegexOptions.IgnoreCase)]
    private static partial Regex FinishedWord();

    // A line about what is done, or how it comes out, without a size of its own.
    [GeneratedRegex(@"^\W*(?:(?:then|(?:the\s+)?(?:first|second|other)(?:\s+(?:one|piece))?(?:\s+is)?)\s+)?(?:slits?|slots?|cuts?|snip|trim|notch|tick|mark(?!\s+and\s+(?:scor|fold|creas))|glue|tape|bond|burnish|stick|attach|punch|round|window|aperture|fold)\b", RegexOptions.IgnoreCase)]
    private static partial Regex DoneWord();

    [GeneratedRegex(@"^\W*(?:(?:all|sizes|measures|measurements|everything|units?)\b[\s:]*)*(?:(?:are|is|in)\s+)*(?:mm|cm|in|inches|inch|millimetres|centimetres)\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex UnitsOnly();

    [GeneratedRegex($@"^(?<name>[a-z][a-z '&-]{{1,40}}?)\W*(?<n>{OwnFigures.Number})(?<u>{OwnFigures.Unit})(?<rest>[^\d]*)$", RegexOptions.IgnoreCase)]
    private static partial Regex NamedForm();

    [GeneratedRegex($@"^(?:l(?:eft)?\s*(?:-+|to)\s*r(?:ight)?\b[\s:]*|(?:measured\s+)?from\s+(?:the\s+)?(?:one|left|lh|top|either)\b(?:[\s-]*hand)?(?:\s+(?:end|edge|side))?\s*[:,-]?)?[\s,;/&|]*{Figures}(?:panels|sections)?$", RegexOptions.IgnoreCase)]
    private static partial Regex BareForm();

    // Figures right behind a size are its scores.
    [GeneratedRegex($@"^\s*[,)]?(?:\s*\b[a-z]+\b){{0,2}}\s*(?:[:@]{{1,2}}|[-=]*>|→|\||\s/\s|\bat\b|\s-{{1,2}}\s|\bpanels?\b(?:\s+(?:of|are))?\s*:?(?=[\s,;/&|]*{Figure}[\s,;/&|+]+(?:(?:and|then)\s+)?{Figure}))(?<scores>[\s,;/&|]*{DashedFigures})(?:$|\s*(?:panels|sections|parts)\W*$|[(*!][^\d]*$|(?<=-\s)[a-z][^\d]*$|(?<=,\s)(?:from|in|of)\b[^\d]*$)|^\s*[:@,-]?\s*(?<scores>every\s+(?:inch|\d).*)$", RegexOptions.IgnoreCase)]
    private static partial Regex BehindForm();

    // So much at both ends.
    [GeneratedRegex($@"^\W*{OwnFigures.Number}{OwnFigures.Unit}\s*(?:in\s+)?{OwnScores.BothEnds}\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex EndsOnly();

    // Mountains and valleys may be named apart.
    [GeneratedRegex(@"^\W*(?:mountain|valley)", RegexOptions.IgnoreCase)]
    private static partial Regex OtherWay();

    [GeneratedRegex(@"(?<![\d/.,])\d+(?:/\d+){2,}(?![\d/])")]
    private static partial Regex SlashedRun();

    // Figures that a slash parts, and what may be a fraction.
    [GeneratedRegex(@"(?<![\d/.,])(?<n>\d{1,4})/(?<of>\d{1,4})(?![\d/])")]
    private static partial Regex MaybeFraction();

    // The words before a size, from where its clause begins.
    [GeneratedRegex(@"(?:[,(.]|\bwith\b|\bw/|\band\b)\s*(?<words>(?:an?\s+)?[a-z][a-z ]*(?:\d{1,2}\s*[x×]\s*)?|\d{1,2}\s*[x×]\s*)$", RegexOptions.IgnoreCase)]
    private static partial Regex LastClause();

    // What stands before the size of a card that a title names: a fold's name or a gate's, or for.
    [GeneratedRegex(@"^[^,;:]*(?:fold|gate|swing|twist|pinwheel|endless|never[\s-]ending|diorama|tier\s+scene|shadow\s+box|step(?:per)?)\s*(?:card)?\s*,?\s*$|\b(?:for|fits)\s+an?(?:\s+[a-z]+)?\s*$|^[^,;:\d]*\bfor\s*$|^(?!.*\b(?:gift|base|blank|note|place|business|inside|main|inner|outer|back|front|the|a|one|fold(?:ed)?)\s+card\b)[^,;:\d]*[a-z][^,;:\d]*\s+card\s*,?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex TitleName();

    // What stands on a table is as wide and high, and as deep: Gift bag 4 x 6 x 2.
    [GeneratedRegex($@"^(?<name>[^\d]*(?:bag|box|case|house|holder|tray|tin|drawer|chest)\b[^\d]{{0,20}}?)\s(?<a>(?>{OwnFigures.Number}))(?<ua>(?>{OwnFigures.Unit}))\s*(?:x|×|by)\s*(?<b>(?>{OwnFigures.Number}))(?<ub>(?>{OwnFigures.Unit}))\s*(?:x|×|by)\s*{Figure}(?:\s*deep)?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex DeepTitle();

    // What stands behind the size of a finished card, at most.
    [GeneratedRegex(@"^\W*(?:(?:square|landscape|portrait)\s*)?(?:when\s+(?:it\s+is\s+)?)?(?:flat|closed|folded|finished|shut|card)?(?:\W*\w+\s+(?:rows?|tiers?|layers?|steps?))?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex ClosedWords();

    [GeneratedRegex(@"\b(?:circles?|discs?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex CircleWord();

    [GeneratedRegex(@"^(?:circles?|discs?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex CircleFirst();

    [GeneratedRegex($@"(?<!\bno)\.\s+(?!(?:x\b|by\b|I\s+mean|make\s+that|no\b[\s,]|wait\b|sorry\b|oops\b))(?=[A-Za-z]|#\d\b|\d{{1,2}}\s+(?!in\b|inch|mm\b|cm\b|x\b)[a-z]{{2,}}|\d{{1,3}}\s*(?:mm|cm|inch|"")\s+[a-z]{{3,}}|\(\s*x?\s*\d{{1,2}}\s*\)|\d{{1,2}}\s*[@x×-]\s+[a-z]{{3,}}|{Figure}\s*(?:x|×|by)\s*\d)")]
    private static partial Regex SentenceEnd();

    // As large as the piece before, or as one that is named.
    [GeneratedRegex(@"\b(?:the\s+)?same\s+size(?:\s+as\s+(?:the\s+)?(?<as>[a-z]+(?:\s+(?!scor|fold|creas)[a-z]+)?))?", RegexOptions.IgnoreCase)]
    private static partial Regex SameSize();

    // All that was said of the piece before.
    [GeneratedRegex(@"^(?<name>(?:\d(?:st|nd|rd|th)\b)?[^:,\d]{0,40}?)\W*\b(?:is\s+|exactly\s+)*(?:the\s+)?same(?:\s+again|\s+as\s+(?:the\s+)?[a-z]+(?:\s+one)?)?(?:,?\s*(?:but\s+)?turned)?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex AllTheSame();

    // Whoever corrects a size means what stands behind.
    [GeneratedRegex(@"(?:\?\s*)?\b(?:no|sorry|wait|scratch\s+that|i\s+mean|make\s+that)\b\s*[-:,]|\?|(?<=\b(?:cut|trim|slice)(?:med|d)?\b(?:(?!fold|scor)[^.;])*)\b(?:to\s+(?:get|give|make)|so\s+(?:that\s+)?(?:you|i|we)(?:'ll|\s+will)?\s+(?:have|get))\b|\b(?:cut|trim|slice)(?:med|d)?\s+(?:it\s+)?(?:down\s+)?to\b", RegexOptions.IgnoreCase)]
    private static partial Regex Corrected();

    // A piece that has none, and says so.
    [GeneratedRegex(@"[\s,;(-]{0,6}\b(?:(?:no|without(?:\s+any)?)\s+(?:scores?|scoring|score\s+lines?|folds?|creases?)|(?:not|un)[\s-]?(?:scored|folded)|(?:score|fold)\s+nothing)\b\s*\)?", RegexOptions.IgnoreCase)]
    private static partial Regex NotScored();

    // Scores that are said anew: 1/4 and 10, I mean score at 1/4.
    [GeneratedRegex(@"^(.*?)\b(?:scor|fold|creas)[a-z]*\b[^;]*?[.,(-]+\s*\b(?:(?:i\s+mean|make\s+that|no\s+wait|wait|sorry|oops)\b|no\s*[,:-])[\s,:-]*(?=(?:scor|fold|creas)[a-z]*\b[^;]*\d)", RegexOptions.IgnoreCase)]
    private static partial Regex ScoresCorrected();

    // One figure that is said anew: 8 1/2, no, 8 1/4.
    [GeneratedRegex($@"(?<![x×]\s*)(?<!\b(?:by|x)\s+){Figure}[.,?(-]+\s*\b(?:(?:i\s+mean|make\s+that|no\s+wait|wait(?:,?\s+no)?|sorry|oops)\b|no\s*[,:-])[\s,:-]*(?={Figure}(?!\s*(?:x|×|by)\b))", RegexOptions.IgnoreCase)]
    private static partial Regex FigureCorrected();

    // The fold in the middle, and where it is.
    [GeneratedRegex($@"(?<!\b(?:over|across|on|through|along|at)\s+(?:the\s+)?)\b(?:cent(?:re|er)|middle)\s+(?:folds?|creases?|scores?)(?:\s+lines?)?\b(?![\s:=-]*[a-z][a-z ]{{0,24}}[\s:=-]*{Figure}\s*(?:x|×|by)\s*\d)(?:\s*(?:at|on|is|[:@=])?\s*(?<figure>(?=\d)))?", RegexOptions.IgnoreCase)]
    private static partial Regex MiddleFold();

    // Figures behind a size that nothing reads; none is how heavy it is, or how often, or a number that it bears.
    [GeneratedRegex($@"(?<![#\w]|\bno\.?\s*){OwnFigures.Number}{OwnFigures.Unit}(?!\s*(?:gsm|g\b|lbs?\b|pt\b|ply\b|%|°|degrees?\b|sheets?\b|layers?\b|times\b|sides?\b|ends?\b|edges?\b|corners?\b|ways?\b|pages?\b|diagonals?\b|for\b|of\b))", RegexOptions.IgnoreCase)]
    private static partial Regex Unread();

    [GeneratedRegex($@"\b{Worded}(?=\s*(?:inch(?:es)?\s*)?\b(?:by|x)\b)|(?<=\b(?:by|x)\s+){Worded}\b", RegexOptions.IgnoreCase)]
    private static partial Regex WordedFigure();

    // A whole number and its part: 1 and 5/8.
    [GeneratedRegex(@"(?<![\d/.,]\s?)(?<=(?:\b(?:x|by|at|is|of|to)|[x×@:,])\s*|^\W*)(\d{1,2})\s+(?:and|&)\s+(?=\d/\d|1?\d/16\b)", RegexOptions.IgnoreCase)]
    private static partial Regex WholeAndPart();

    // Figures that are parted as pieces are.
    [GeneratedRegex($@"(?<=[\d""]\s*)(?<!(?:[x×]|\b(?:by|high|tall|wide|w|h))\s*[\d/ .-]{{1,10}}(?:""|in\b|mm|cm)?\s*);\s*(?=(?:and\s+)?(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:\W*$|[;,)(/-]|\band\b|[x×]\d{{1,2}}\W*$|\b(?:on|from|in(?!ch))\b))", RegexOptions.IgnoreCase)]
    private static partial Regex PartedFigures();

    // Two of a size: two 12x6s.
    [GeneratedRegex(@"(?<=\d\s*[x×]\s*(?:\d+[\s-])?\d+(?:[/.]\d+)?)'?s\b", RegexOptions.IgnoreCase)]
    private static partial Regex SeveralOf();

    // Its part in words: 2 and seven eighths, 3 and an eighth.
    [GeneratedRegex($@"(?<whole>(?<![\d/.,]\s?)\b\d{{1,2}})\s+and\s+(?:an?\s+|one[\s-])?(?<part>(?:three|five|seven)[\s-](?:quarter|eighth|sixteenth)s?|(?<=\b(?:an?|one)[\s-])(?:half|quarter|eighth|sixteenth))\b(?!\s+(?:fold|way|of)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex WholeAndWorded();

    // So wide and so long, with what it is between: 6 in wide strip, 11 in long.
    [GeneratedRegex($@"(?<wide>(?<![\d/])(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*wide)\s+(?<name>(?!and\b|by\b|x\b)[a-z]{{3,14}})\s*,?\s+(?<long>(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:long|high|tall|deep)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex NameBetween();

    // Which way each score folds, where no word says that they are scores: 4 1/4 valley, 8 1/2 mountain.
    [GeneratedRegex($@"(?<![\w./])(?:(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:valley|mountain)\b(?:\s*[,/|&]\s*|\s+and\s+|\s+|$)){{2,}}", RegexOptions.IgnoreCase)]
    private static partial Regex WordedWays();

    // Inches in words: half an inch, three quarters of an inch, an inch and a half, two and a half inches.
    [GeneratedRegex($@"\b(?:(?<n>an|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\s+inch(?:es)?(?:\s+and\s+(?:an?\s+|one\s+)?(?<part>{Part}))?|{Worded}\s+inch(?:es)?|(?:an?\s+|one[\s-])?(?<part>{Part})(?:\s+of)?(?:\s+an)?[\s-]+inch(?:es)?)\b", RegexOptions.IgnoreCase)]
    private static partial Regex WordedInches();

    // What stands before it is cut in two.
    [GeneratedRegex(@"^\W*(?:and\s+|then\s+|now\s+)*(?:cut|slic|trim|halv)[a-z]*\s+(?:(?:it|each|both|all|them|these|those|every)\b(?:\s+(?:of\s+)?[a-z]+){0,2}|the\s+[a-z]+)\s*(?:(?:in(?:to)?\s+)?(?:half|halves|two)\b)?[^\d]*$", RegexOptions.IgnoreCase)]
    private static partial Regex CutInHalf();

    // One of two that were cut alike: what else is done to the other.
    [GeneratedRegex(@"^\W*(?:the\s+)?(?:(?:other|second|2nd)(?:\s+(?:one|piece))?\b|(?:#|no\.?\s*|number\s+|(?:piece|one|strip|card|sheet|panel)\s+)(?:2|two)\b|b\s*[:.)=])|^\W*(?:then\s+)?(?:score|fold|crease)\s+the\s+(?:other|second)\b(?:\s+(?:one|piece))?(?!\s+(?:sides?|ways?|ends?|edges?|directions?)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex OtherOne();

    // One score of several that have a line each: crease 2: 90 from the left; or 2nd score: 7 1/4.
    [GeneratedRegex($@"^\W*(?:(?:score|crease|fold)(?:\s+line)?\s*(?:no\.?|#)?\s*\d{{1,2}}\s*[:=.)-]|(?:\d(?:st|nd|rd|th)|first|second|third|fourth|fifth|sixth|seventh|eighth)\s+(?:score|crease|fold)(?:\s+line)?\b\s*[:=]?)\s*(?:at\s+)?(?<score>{Figure})(?:\s*(?:from\s+(?:the\s+)?)?(?:left|top)(?:\s+(?:edge|end|side))?)?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex NumberedScore();

    // Whole figures that strokes part.
    [GeneratedRegex(@"(?<![\d/.,-])\d{1,3}(?:-\d{1,3}){2,}(?![\d/.-])")]
    private static partial Regex StrokedRun();

    // Of which pieces something is said: all pillars, each of the tiers.
    [GeneratedRegex(@"^\W*(?:and\s+)?(?:(?:score|fold|crease)\s+)?(?:each|all)\s+(?:of\s+)?(?:the\s+)?(?<name>[a-z]{3,})\b", RegexOptions.IgnoreCase)]
    private static partial Regex OfEachNamed();

    // Behind a size, that it is a card, and nothing else.
    [GeneratedRegex(@"^\W*(?:(?!base|blank|gift|note|place|business)[a-z-]+\s+){0,3}card\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex OnlyCard();

    // One figure and nothing else, as in a list of scores.
    [GeneratedRegex($@"^\W*(?<score>{Figure})\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex OnlyFigure();

    // Strokes that are longer than one.
    [GeneratedRegex(@"(?<=\s)-{2,}(?=\s)")]
    private static partial Regex LongStroke();

    [GeneratedRegex(@"\b(?:from\s+)?corner\s+to\s+(?:opposite\s+)?corner\b(?:\s+(?:both\s+ways|twice|through\s+the\s+(?:cent(?:re|er)|middle)))*", RegexOptions.IgnoreCase)]
    private static partial Regex CornerToCorner();

    [GeneratedRegex(@"^\W*(?:and\W*)?$", RegexOptions.IgnoreCase)]
    private static partial Regex OnlyAnd();

    // Behind its size a sheet is halved by folding it.
    [GeneratedRegex(@"(?<=\d[\w""]{0,6}\s{0,4}[,:-]\s{0,4})halved\b", RegexOptions.IgnoreCase)]
    private static partial Regex Halving();

    // Of two that are cut alike one is scored so, and the other otherwise.
    [GeneratedRegex(@"\bone\s+(?:is\s+)?(?<one>(?:scor|fold|creas)[^;]{0,80}?)[\s,;]{1,4}(?:and\s+)?the\s+other\s+(?:one\s+)?(?:is\s+)?(?<other>(?:scor|fold|creas).*)$", RegexOptions.IgnoreCase)]
    private static partial Regex OneAndOther();

    [GeneratedRegex(@"^\W*(?:then\s+|now\s+)?fold", RegexOptions.IgnoreCase)]
    private static partial Regex FoldFirst();

    // By how much something is turned or folded, and no length.
    [GeneratedRegex(@"\b(?:45|90|180|360)\s*(?:°|deg(?:rees?)?\b)", RegexOptions.IgnoreCase)]
    private static partial Regex Angle();

    [GeneratedRegex(@"\bdiagonal", RegexOptions.IgnoreCase)]
    private static partial Regex DiagonalWord();

    [GeneratedRegex(@"\b(?:fold|crease|score|valley|mountain)[^,;.\d]{0,30}\bdiagonal|\bdiagonal[^,;.\d]{0,20}\b(?:fold|crease|score)", RegexOptions.IgnoreCase)]
    private static partial Regex FoldedDiagonally();

    // The last of figures is how many there are: score at 1 and 7 x2.
    [GeneratedRegex(@"^(?<said>.*\d[""]?)\s+[x×](?<n>\d{1,2})\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex CountAtEnd();

    // What is said of all pieces before it that nothing was said of.
    [GeneratedRegex(@"^\W*(?:and\s+)?(?:each|all)\b(?!\s+(?:of\s+)?(?:the\s+)?(?:sides|edges|corners|way|round))", RegexOptions.IgnoreCase)]
    private static partial Regex OfEach();

    // So wide, and several heights: one piece for each.
    [GeneratedRegex($@"^(?<name>[^\d]*(?:\d\s+[a-z][^\d]*)?)\b(?<w>{OwnFigures.Number}{OwnFigures.Unit})\s*wide\b(?<between>.*?)[,;]?\s*\bheights?\b\s*(?:of|are)?\s*[:=]?\s*(?<heights>{Figures})$", RegexOptions.IgnoreCase)]
    private static partial Regex SeveralHeights();

    [GeneratedRegex(@"^\W*step\s*\d{1,2}\b(?!\s+\d+/\d|[/-]\d|[.,]\d|\s*(?:x|×|by\b|""|in\b|cm\b|mm\b))\s*[:.)-]?\s*", RegexOptions.IgnoreCase)]
    private static partial Regex StepNumber();

    [GeneratedRegex($@"^[^\w(]*\d{{1,2}}[.)]\s+(?=[A-Za-z(]|\d{{1,2}}\s*(?:[@×-]|x\b|\s[a-z]{{3,}})|{Figure}\s*(?:x|×|by)\s*\d)")]
    private static partial Regex LineNumber();

    // The first of lines that are numbered, and a number before a name that is a count where none are.
    [GeneratedRegex(@"^[^\w\n(]*1\s*(?:[.):-]|\s-)", RegexOptions.Multiline)]
    private static partial Regex FirstNumber();

    [GeneratedRegex(@"^\W*(?<n>[2-9]|1\d|2[0-4])\s+-\s+(?=[a-z])", RegexOptions.IgnoreCase)]
    private static partial Regex CountAhead();

    // What comes off the corners is no piece.
    [GeneratedRegex(@"\bcorners?\s+(?:off|out|away)\b|\b(?:off|from|out\s+of)\s+(?:each|all|every|the|both)\s+(?:\w+\s+)?corners?\b", RegexOptions.IgnoreCase)]
    private static partial Regex OffCorners();

    // Scores behind a size whose word comes last: 2, 4, 8 score lines.
    [GeneratedRegex($@"^[^\d(]{{0,24}}(?<scores>{DashedFigures})\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex BeforeWord();

    // Three figures or more right behind a size, parted by slashes, and what else is said behind them.
    [GeneratedRegex($@"^\s*,?\s*(?<scores>(?:{Figure}\s*[/|]\s*){{2,}}{Figure})\W*(?<rest>[a-z].*)?$", RegexOptions.IgnoreCase)]
    private static partial Regex RunForm();

    // Figures in brackets behind a size, with a word at most before them.
    [GeneratedRegex($@"^\s*,?\s*(?:[a-z]+\s*)?\(\s*(?<scores>{OwnFigures.Number}{OwnFigures.Unit}\s*[,/;|&].*?)\s*\)\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex BracketForm();

    // Which way each score folds by its letter: m 1/2, v 3; or 2 1/8 v, 4 1/4 m.
    [GeneratedRegex($@"(?<![\w./])(?:[mv]\s+(?>{OwnFigures.Number})(?>{OwnFigures.Unit})(?:\s*[,/|&]\s*|\s+|$)){{2,}}|(?<![\w./])(?:(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*[mv]\b(?:\s*[,/|&]\s*|\s+|$)){{2,}}", RegexOptions.IgnoreCase)]
    private static partial Regex LetteredWays();

    [GeneratedRegex(@"(?<![a-z])[mv](?![a-z])", RegexOptions.IgnoreCase)]
    private static partial Regex LetteredWay();

    // How many of something a card has, in its name: 2-row column card.
    [GeneratedRegex(@"\b\d{1,2}(?=[\s-]+[a-z]{3,})", RegexOptions.IgnoreCase)]
    private static partial Regex CountOf();

    // So far in from an edge, which is no inch.
    [GeneratedRegex(@"(?<=\d)\s+in\s+(?=from\b)", RegexOptions.IgnoreCase)]
    private static partial Regex SoFarIn();

    // What is cut in a piece, and no inch either.
    [GeneratedRegex(@"(?<=\d)\s+in\s+(?=(?:the|its|both|each|every|all)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex InSomething();

    [GeneratedRegex(@"^\W*a\s*[:=)]\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex LetterName();

    // Words that lead to a size.
    [GeneratedRegex(@"^(?:with|by)\b\s*|\s*\b(?:with|by|fits?|in|into)$")]
    private static partial Regex NoName();

    // Names of pieces, which no finished card has.
    [GeneratedRegex(@"\b(?:base|cover|front|back|sheet|strip|panel|piece|part|liner|layer|outer|inner|outside|inside|body|box|lid|bottom|top|spine|tube|tabs?|walls?|doors?|pockets?|insert|frame|tile|tiers?|carrier|backing|backer|tag|tray|sleeve|slider?|fins?|pillars?|faces?|facade|stop|main|band|blank|gift|cardstock|paper|focal|circle)\b", RegexOptions.IgnoreCase)]
    private static partial Regex PieceName();

    // What a sheet is made for, between its size and the card's; what stands behind that.
    [GeneratedRegex(@"^(?<kept>[^\d]{0,24}?)\b(?:for|to\s+fit|fits?|holds?|takes?|makes)\s+(?:(?:an?|the|my)\s+)?(?:finished\s+)?$", RegexOptions.IgnoreCase)]
    private static partial Regex GoesIn();

    // The format that it is for, by its name.
    [GeneratedRegex($@"\b(?:for|fits?)\s+(?:(?:an?|the|my)\s+)?(?<name>{FinishedSize.FormatNames})\b(?!\s*(?:sheet|paper))|[,(]\s*(?<name>{FinishedSize.FormatNames})\s+(?:size\s+)?card\s*\)?\s*$", RegexOptions.IgnoreCase | RegexOptions.Multiline)]
    private static partial Regex FormatThatItFits();

    [GeneratedRegex(@"^\s*(?:(?!gift\b)[a-z-]+\s+){0,2}card\b(?!\s*stock)", RegexOptions.IgnoreCase)]
    private static partial Regex CardBehind();

    [GeneratedRegex(@"^\W*(?:$|,)")]
    private static partial Regex NothingBehind();

    [GeneratedRegex(@"\benvelopes?\b", RegexOptions.IgnoreCase)]
    private static partial Regex EnvelopeWord();

    // The envelope that a card is for is no piece of it.
    [GeneratedRegex($@"\b(?:fits|for|goes)\s+(?:in(?:to)?\s+)?(?:an?\s+)?{OwnFigures.Number}{OwnFigures.Unit}\s*(?:x|×|by)\s*{OwnFigures.Number}{OwnFigures.Unit}\s+envelopes?\W*$", RegexOptions.IgnoreCase)]
    private static partial Regex FitsEnvelope();

    // A sentence that says more of what stands before it.
    [GeneratedRegex(@"^\W*(?:then|and|also|again|on|from|at|turn|rotate|flip|the\s+other)\b", RegexOptions.IgnoreCase)]
    private static partial Regex GoesOn();

    // How it is done, and no name of the piece; what it is for may be one.
    [GeneratedRegex(@"^\W*(?:with|using|(?:the\s+)?(?:long|short)(?:er)?\s+(?:side|edge)|for(?!\s+(?:the|each|both)\s+(?!card\b)(?:[a-z]+\s*){1,3}\W*$)|so|then|and)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Aside();

    // Which of several it is, and no name of its own.
    [GeneratedRegex(@"^(?:second|third|fourth|2nd|3rd|4th|next|other|last)\b(?:\s+(?:one|inside|front|back))*$", RegexOptions.IgnoreCase)]
    private static partial Regex OneOfThem();

    // Columns that a rule parts, of which another names a piece or a window.
    [GeneratedRegex($@"(?<=(?:x|×|by)\s{{0,3}}\d[^\n]{{0,60}})(?:\s*\||\s+-(?=\s+(?:window|aperture|opening)\b))\s*(?=[a-z][a-z ]{{0,30}}:?\s*(?>{OwnFigures.Number})(?>{OwnFigures.Unit})\s*(?:x|×|by)\s*\d)", RegexOptions.IgnoreCase)]
    private static partial Regex NextColumn();

    // What is in a piece: with a circle of so much.
    [GeneratedRegex(@"(?:\bwith|\bw/)(?:\s+an?)?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex Within();

    // A card's name may be that of its format, which is no figure.
    [GeneratedRegex(@"(?<!\w)(?:[abc]\d|#\d+)(?!\w)", RegexOptions.IgnoreCase)]
    internal static partial Regex FormatName();

    [GeneratedRegex(@"\bw/|\b(?:make|need|cut)\s+(?:one|two|three|four|five|six|eight)\b|\b(one|two|three|four|five|six|eight|both)\b(?=\s+[a-z])|(?<=[:,]\s*|\band\s+|^\W*)(one|two|three|four|five|six|eight)\W*$|\b(start|begin|using|cut|pieces?|piece of|a|an|the|of|and|(?<!\bgift\s+)card|cardstock|pcs?|stock|at|to|from|is|for|each|measures?|measuring|that|which|qty|same|exactly|i|we)\b|(?<!\w)\d+(?!\w)|(?<!\w)(?:[x×]\s*\d{1,2}|\d{1,2}\s*[x×])(?!\w)|[^\p{L}0-9 '&-]", RegexOptions.IgnoreCase)]
    private static partial Regex Small();
}

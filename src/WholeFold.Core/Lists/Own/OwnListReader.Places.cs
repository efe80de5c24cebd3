using System.Text.RegularExpressions;

namespace WholeFold.Core.Lists.Own;

/// <summary>What places look like: where scores lie on a piece, where windows are in it and where it goes.</summary>
public static partial class OwnListReader
{
    private static Regex WindowWord => field ??= new Regex(@"(?<!\b(?:bay|bow)[\s-])\b(?:windows?|apertures?|openings?|holes?|cut ?outs?)\b", RegexOptions.IgnoreCase);

    // Whoever cuts a square out of a piece has an opening.
    private static Regex CutA => field ??= new Regex(@"^\W*(?:then\s+)?(?:die[\s-]*)?cut\s+(?:an?|one)\W*$", RegexOptions.IgnoreCase);

    private static Regex OutOf => field ??= new Regex(@"^\W*(?:(?:circle|square|rectangle|oval|shape)\s+)?(?:in|into|out\s+of|from|through)\s+(?:the|its|both|your)\s+(?!cent(?:re|er)\b|middle\b)", RegexOptions.IgnoreCase);

    // Where one more opening is, that is named by that alone: window in the box 3 x 5, in the layer 2 x 4.
    private static Regex InAnother => field ??= new Regex(@"^\W*(?:and\s+)?(?:in|into|out\s+of|from|through)\s+(?:the|its|each)\s+[a-z ]+$", RegexOptions.IgnoreCase);

    // Behind its size.
    private static Regex IsOpening => field ??= new Regex(@"^[\W\d]*(?:opening|window|aperture|hole)\b", RegexOptions.IgnoreCase);

    // What goes through a piece is no paper on it.
    private static Regex Through => field ??= new Regex(@"\bthrough\s+(?:both|all|the|it|front|back|base|cover|card)\b|\bout\s+of\s+it\b|\bcut\s+(?:out\s+)?(?:from|out\s+of|into)\s+(?:the\s+|its\s+)?(?:both|front|cover|layer|flap|door)\b", RegexOptions.IgnoreCase);

    // Where a piece is scored may stand before what says so: both ends scored at 2, sides and bottom scored at 1/2.
    private const string ScoredAt = $@"\s+(?:is\s+|are\s+)?(?:scored|creased|folded(?:\s+in)?)\s+(?:in\s+)?(?:at\s+)?(?<figure>{Figure}(?:\s+and\s+{Figure})?)(?!\s*(?:x|×|by|from)\b)";

    private static Regex EndsScored => field ??= new Regex($@"\b(?<where>(?:both|each|all|opposite)\s+(?:four\s+|4\s+)?(?:(?:short|long)\s+)?(?:sides?|ends?|edges?)){ScoredAt}", RegexOptions.IgnoreCase);

    private static Regex ThreeSidesScored => field ??= new Regex($@"\b(?:left,?\s+(?:and\s+)?right|(?:(?:both|the)\s+)?sides),?\s+and\s+(?:the\s+)?(?<foot>bottom|top|foot|head){ScoredAt}", RegexOptions.IgnoreCase);

    // What is folded up at both ends, where nobody says that it is scored: 1/2 tabs at each end.
    private static Regex TabsAtEnds => field ??= new Regex($@"(?:(?<![\d/])(?<figure>{Figure})[\s-]+(?:walls?|flaps?|tabs?)|(?:walls?|flaps?|tabs?)\s+of\s+(?<figure>{Figure}))\s+(?<ends>{OwnScores.BothEnds}|(?:on\s+(?:the\s+)?)?left\s+(?:and|&)\s+right|(?:on\s+)?(?:three|3|(?:all\s+)?(?:four|4)|all)\s+sides|all\s+(?:a)?round)", RegexOptions.IgnoreCase);

    // So wide each, where both are named: doors 4 3/16 each.
    private static Regex DoorsOfEach => field ??= new Regex($@"\b(?:doors|flaps|walls|wings|tabs|gates)\s+(?:of\s+)?(?<figure>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))\s+each\b(?!\s*(?:x|×|by)\b)", RegexOptions.IgnoreCase);

    // A square that is told before its name: square tile 3 1/4.
    private static Regex SquareFirst => field ??= new Regex($@"\bsquare\s+(?<name>tile|panel|piece|mat|layer|frame|window|die|pocket|base|box|lid|tag|top|bottom|insert|opening|aperture|topper|block|liner|spinner|label)s?\s*[:=]?\s*(?:of\s+)?(?<figure>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))(?!\s*(?:x|×|by)\s*\d)", RegexOptions.IgnoreCase);

    // As large as the window before it.
    private static Regex SameWindow => field ??= new Regex(@"[\s,;.(-]{0,6}\b(?:with\s+)?(?:the\s+)?same\s+(?<name>window|aperture|opening)\b\)?", RegexOptions.IgnoreCase);

    // A window that is cut with a die, which has one figure: window die 3 5/8.
    private static Regex WindowDie => field ??= new Regex($@"\b(?<name>window|aperture|opening)\s+die\s*:?\s*(?:of\s+)?(?<figure>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))(?!\s*(?:x|×|by|sq)\b)", RegexOptions.IgnoreCase);

    // Half a fold is a fold in half.
    private static Regex HalfFold => field ??= new Regex(@"(?<![\d/]\s?)1/2[\s-]fold(?:ed)?\s*(?=$|[,;.)])", RegexOptions.IgnoreCase);

    // Figures along a side that stands before them by its letter or its word: w: 3/4, 5, 5 3/4.
    private static Regex AlongASide => field ??= new Regex($@"^\W*(?:(?<first>w|width)|h|height)\s*[:=]\s*(?<scores>{Figure}[\s,;/&|]+{Figures})$", RegexOptions.IgnoreCase);

    // How a score runs, before the word and its figures: lengthwise score 43.
    private static Regex AdverbFirst => field ??= new Regex(@"\b(?:(?<across>crosswise|widthwise|widthways)|lengthwise|lengthways)\s+(?:scor|fold|creas)(?:e|es|ed|s|ing)?(?:\s+lines?)?\s*(?:at|on|[:@=])?\s*(?=\d)", RegexOptions.IgnoreCase);

    // Behind its size a piece has walls, at both ends: 9 x 5 1/2; 1 in walls.
    private static Regex WallsOnly => field ??= new Regex($@"(?<=\d[\w""]{{0,6}}\s{{0,4}}[,;]\s{{0,4}})(?:(?:both|each|all)\s+)?(?:(?:with|has|have)\s+)?(?<figure>{Figure})[\s-]+(?:walls|tabs|flaps)\W*$", RegexOptions.IgnoreCase);

    // A pocket along the foot: fold the bottom up 2, fold up 2 along the bottom, bottom folded up by 2.
    private static Regex FoldedUp => field ??= new Regex($@"\b(?:fold|turn)(?:s|ed)?\s+(?:(?:up|down|over|in)\s+)?(?:the\s+)?(?<end>bottom|top)(?:\s+(?:edge|end|side|flap))?\s*(?:(?:up|down|over|in)\s+)?(?:(?:by|at)\s+)?(?<figure>{Figure})|\bfold(?:s|ed)?\s+(?:up|down|over)\s+(?:(?:by|at)\s+)?(?<figure>{Figure})\s+(?:up\s+|in\s+)?(?:from|along|at|on)\s+(?:the\s+)?(?<end>bottom|top)\b(?:\s+(?:edge|end|side))?|\b(?<end>bottom|top)(?:\s+(?:edge|end|side|flap))?\s+folded\s+(?:up|down|over)\s+(?:by\s+)?(?<figure>{Figure})", RegexOptions.IgnoreCase);

    // Which side, before figures: on the short side 1 and 4.
    private static Regex OnASide => field ??= new Regex(@"^\W*(?:and\s+)?(?:(?:on|along|across)\s+(?:the|its)\s+)?(?:(?:long|short|other)(?:er)?\s+(?:side|edge|way)|[\d/ .,-]+(?:inch|in|""|cm|mm)?\s+(?:side|edge))\b", RegexOptions.IgnoreCase);

    // Which side lies along the top of the board, before what is scored: with the long side along the top, score at.
    private static Regex SideOnTop => field ??= new Regex($@"\bwith\s+the\s+(?<side>long|short|(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))(?:er)?\s*(?:side|edge)?\s+(?:along|at|on|against)\s+the\s+top\b[^,;.\d]{{0,30}},?\s*(?<word>(?:scor|fold|creas)[a-z]*)(?:\s+(?:it\s+)?at\b)?", RegexOptions.IgnoreCase);

    // A window that is told by what stays round it: window 1/2 in from all edges, window leaves 1/2 all round.
    private static Regex FramedWindow => field ??= new Regex($@"[\s,;.(-]{{0,6}}\b(?:with\s+)?(?:an?\s+|the\s+)?(?<name>window|aperture|opening)\b[^,;.\d]{{0,30}}?(?<frame>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))\s*(?:frame\s+)?(?:in\s+)?(?:from\s+(?:the\s+|all\s+|each\s+|every\s+)*(?:edges?|folds?|sides?|scores?)(?:\s+all\s+(?:a)?round)?|all\s+(?:the\s+way\s+)?(?:a)?round(?:\s+it)?|on\s+(?:all|each|every)\s+(?:four\s+)?sides?|frame(?:\s+all\s+(?:a)?round)?)(?![^;]*(?:x|×|by)\s*\d)\)?", RegexOptions.IgnoreCase);

    private const string Where = @"^\W*(?:for|on|onto|behind|inside|outside)\b";

    // Where a piece goes, behind its size and before the next one: for the wide door, ….
    private static Regex WhereItGoes => field ??= new Regex($@"{Where}(?:[^,;.\d]*[,;]\s*(?:and\s+)?|[^,;.\d]*?\band\s+)", RegexOptions.IgnoreCase);

    // And nothing else.
    private static Regex OnlyWhereItGoes => field ??= new Regex($@"{Where}[^;\d]*$", RegexOptions.IgnoreCase);

    // So many scores, and how far apart.
    private static Regex SoFarApart => field ??= new Regex($@"\b(?<n>two|three|four|five|six|seven|eight|\d{{1,2}})\s+(?:scores|creases|folds|(?:score|fold)\s+lines)\s+(?<step>(?>{OwnFigures.Number})(?>{OwnFigures.Unit}))\s+apart\b(?!\s*\()", RegexOptions.IgnoreCase);

    private static Regex Plural => field ??= new Regex(@"^(?:scores|creases|folds)", RegexOptions.IgnoreCase);

    // How many scores follow, and no pieces.
    private static Regex SoManyScores => field ??= new Regex(@"[\s,;:-]{1,6}(?:two|three|four|five|six|seven|eight|\d{1,2})\s*$", RegexOptions.IgnoreCase);
}

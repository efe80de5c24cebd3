using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>One way of writing for what people write in many: fractions, figures in words, corrections, scores with a line each.</summary>
public static partial class OwnListReader
{
    private static readonly Dictionary<char, string> Fractions = new()
    {
        ['½'] = "1/2", ['¼'] = "1/4", ['¾'] = "3/4", ['⅛'] = "1/8", ['⅜'] = "3/8", ['⅝'] = "5/8", ['⅞'] = "7/8", ['⅓'] = "1/3", ['⅔'] = "2/3", ['⅙'] = "1/6",
    };

    /// <summary>One way of writing for what can be written in several.</summary>
    private static string Plain(string line, bool keepTabs = false)
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
                '\t' when keepTabs => "\t",
                '·' => ", ",
                '\t' or ' ' => " ",
                _ => c.ToString(),
            });
        }

        var figures = SeveralOf.Replace(WholeAndPart.Replace(WordedFigure.Replace(WordedInches.Replace(plain.ToString(), m => $"{InFigures(m)} inch"), InFigures), "$1 "), "");
        figures = WholeAndWorded.Replace(figures, m => $"{m.Groups["whole"].Value} {InFigures(m)}");
        figures = NameBetween.Replace(figures, "${name} ${wide} ${long}");
        figures = PartedFigures.Replace(figures, ", ");

        figures = LongStroke.Replace(figures, "-");
        figures = StrokedRun.Replace(figures, m => m.Value.Replace("-", ", ", StringComparison.Ordinal));

        // A slash between three figures or more parts them, and makes no fraction; nor does one between figures that are none.
        figures = MaybeFraction.Replace(figures, m => IsFraction(m) ? m.Value : m.Value.Replace("/", " / ", StringComparison.Ordinal));
        var parted = SlashedRun.Replace(figures, m => m.Value.Replace("/", " / ", StringComparison.Ordinal));
        parted = OwnScores.Repeated(parted);
        parted = TabsAtEnds.Replace(parted, "score ${figure} ${ends}");
        parted = NotScored.Replace(parted, "");
        parted = ThreeSidesScored.Replace(EndsScored.Replace(parted, "score ${figure} from ${where}"), "score ${figure} from both sides and the ${foot}");
        parted = DoorsOfEach.Replace(parted, "score ${figure} from each end");
        parted = HalfFold.Replace(parted, "folded in half");
        parted = WindowDie.Replace(parted, "${name} ${figure} square");
        parted = SquareFirst.Replace(parted, "${name} ${figure} square");
        parted = SoFarApart.Replace(parted, "score every ${step}, ${n} times");
        parted = WallsOnly.Replace(parted, "score ${figure} from each end");
        parted = Halving.Replace(parted, "folded in half");
        parted = CornerToCorner.Replace(parted, "diagonals");
        parted = CountAtEnd.Replace(parted, m => OwnScores.Word.IsMatch(m.Groups["said"].Value) ? $"{m.Groups["said"].Value} ({m.Groups["n"].Value})" : m.Value);
        var folds = LetteredWays.Replace(parted, m => $"score {LetteredWay.Replace(m.Value, w => w.Value is "m" or "M" ? "mountain" : "valley")}");
        folds = WordedWays.Replace(folds, m => OwnScores.Word.IsMatch(folds[..m.Index]) ? m.Value : $"score {m.Value}");
        return folds.Trim().TrimStart('-', '*', '•').Trim();
    }

    private static readonly int[] Denominators = [2, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 32, 64];

    private static bool IsFraction(Match m)
    {
        var (part, of) = (int.Parse(m.Groups["n"].Value, CultureInfo.InvariantCulture), int.Parse(m.Groups["of"].Value, CultureInfo.InvariantCulture));
        return part < of && Denominators.Contains(of);
    }

    private static readonly string[] Whole = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve", "thirteen", "fourteen"];

    /// <summary>A side in words: eight and a half.</summary>
    internal static string InFigures(Match m)
    {
        var part = Regex.Replace(m.Groups["part"].Value.ToLowerInvariant(), @"[\s-]+", " ").TrimEnd('s') switch
        {
            "half" => " 1/2", "quarter" => " 1/4", "eighth" => " 1/8", "sixteenth" => " 1/16", "three sixteenth" => " 3/16", "three quarter" => " 3/4", "three eighth" => " 3/8", "five eighth" => " 5/8", "seven eighth" => " 7/8", _ => "",
        };
        var whole = m.Groups["n"].Value.Equals("an", StringComparison.OrdinalIgnoreCase) ? 1 : Array.IndexOf(Whole, m.Groups["n"].Value.ToLowerInvariant()) + 1;
        return whole > 0 ? $"{whole}{part}" : part.TrimStart();
    }

    /// <summary>Scores that have a numbered line each, in the first of their lines.</summary>
    private static string[] InOneLine(string[] lines)
    {
        var joined = lines.ToArray();
        for (var i = 0; i < lines.Length; i++)
        {
            var run = lines.Skip(i).Select(l => NumberedScore.Match(Plain(l))).TakeWhile(m => m.Success).ToList();
            run = run.Count > 0 ? run : [.. lines.Skip(i).Select(l => OnlyFigure.Match(Plain(l))).TakeWhile(m => m.Success)];
            if (run.Count > 1)
            {
                joined[i] = $"score at {string.Join(", ", run.Select(m => m.Groups["score"].Value))}";
                Array.Fill(joined, "", i + 1, run.Count - 1);
                i += run.Count - 1;
            }
        }

        return joined;
    }

    /// <summary>A line for each of several heights that one names.</summary>
    private static IEnumerable<string> EachHeight(string line) => SeveralHeights.Match(line) is not { Success: true } all ? [line]
        : OwnFigures.NumberForm.Matches(all.Groups["heights"].Value).Select(h => $"{OwnFigures.WithoutCounts(all.Groups["name"].Value)} {all.Groups["w"].Value} x {h.Value}{all.Groups["between"].Value}").Take(MostPieces);

    /// <summary>A line as its maker means it: what was corrected, and what is said the other way about.</summary>
    private static string AsMeant(string part, DisplayUnit unit)
    {
        if (Corrected.Match(part) is { Success: true } corrected && OwnFigures.Sizes(part[..corrected.Index], unit) is [var wrong, ..]
            && OwnFigures.Sizes(part[(corrected.Index + corrected.Length)..], unit).Count > 0)
        {
            part = part[..wrong.At] + part[(corrected.Index + corrected.Length)..];
        }

        part = AlongASide.Replace(part, m => $"score along the {(m.Groups["first"].Success ? "width" : "height")} {m.Groups["scores"].Value}");
        part = SideOnTop.Replace(part, "${word} along the ${side} side at");
        part = FoldedUp.Replace(part, "score ${figure} from the ${end} ");
        part = AdverbFirst.Replace(part, m => $"score along the {(m.Groups["across"].Success ? "long" : "short")} side ");

        // Whoever corrects figures means those that stand behind.
        part = FigureCorrected.Replace(ScoresCorrected.Replace(part, "$1"), "");
        return MiddleFold.Replace(part, m => m.Groups["figure"].Success ? "score " : "score in half");
    }
}

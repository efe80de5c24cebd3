using System.Diagnostics;
using System.Text.Json;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;

namespace WholeFold.Bench;

/// <summary>How well lists of one's own are understood: those that are kept apart from those that the weights were set on.</summary>
internal static class Own
{
    /// <summary>What lists are tried in, by their system.</summary>
    private static readonly string[] Inches = ["6x6", "5x7"], Metric = ["sq-144", "a5"];

    private sealed record Listed(OwnList List, DisplayUnit Unit, string? Construction, bool Kept);

    /// <summary>What is as near as this is the same figure.</summary>
    private static readonly Length Near = Length.Mm(1.2m);

    private const int MostCorrections = 6;

    /// <param name="files">The tests' lists.</param>
    public static void Run(IEnumerable<string> files, TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        var recogniser = new Recogniser(reader);
        recogniser.Warm();
        foreach (var file in files)
        {
            var all = JsonDocument.Parse(File.ReadAllText(file)).RootElement.EnumerateArray().Select(l =>
            {
                var unit = UnitReader.Read(l.GetProperty("unit").GetString()!, "unit");
                return new Listed(OwnListReader.Read(l.GetProperty("list").GetString()!, unit), unit, l.GetProperty("construction").GetString(), l.GetProperty("kept").GetBoolean());
            }).ToList();
            foreach (var kept in all.GroupBy(l => l.Kept))
            {
                output.WriteLine($"{Path.GetFileName(file)}, {(kept.Key ? "kept" : "tuned on")}");
                Recognised(recogniser, [.. kept], output);
                ByRules(reader, recogniser, [.. kept], output);
                Spoilt(reader, recogniser, [.. kept], output);
            }
        }
    }

    private static void Recognised(Recogniser recogniser, IReadOnlyList<Listed> lists, TextWriter output)
    {
        var (right, falsely, missing, missed, other) = (0, 0, 0, 0, 0);
        foreach (var listed in lists)
        {
            var found = recogniser.Find(listed.List);
            right += found is [{ Sure: true } best, ..] && best.Family.Id == listed.Construction ? 1 : 0;
            falsely += found is [{ Sure: true } taken, ..] && taken.Family.Id != listed.Construction ? 1 : 0;
            foreach (var gone in listed.Construction is null ? [] : listed.List.Cards.Where(c => listed.List.Cards.Count(d => d.Scores.Count > 0) > (c.Scores.Count > 0 ? 1 : 0)))
            {
                var without = recogniser.Find(listed.List with { Pieces = [.. listed.List.Pieces.Where(p => p != gone)] });
                missing++;
                missed += without is [var likely, ..] && likely.Family.Id == listed.Construction ? 0 : 1;
                other += without is [{ Sure: true } it, ..] && it.Family.Id != listed.Construction ? 1 : 0;
            }
        }

        output.WriteLine($"  recognised {right} of {lists.Count(l => l.Construction is not null)}, falsely {falsely} of {lists.Count}; a line missing: {missing - missed} of {missing}, sure of another {other}");
    }

    /// <summary>With the library hidden, in two other formats, against what the construction makes of each figure; and after how many corrections all are right.</summary>
    private static void ByRules(DesignReader reader, Recogniser recogniser, IReadOnlyList<Listed> lists, TextWriter output)
    {
        var (figures, first, three, corrections, most, guessed) = (0, 0, 0, 0, 0, 0);
        var sure = new (int All, int Right)[10];
        foreach (var listed in lists.Where(l => l.Construction is not null))
        {
            if (recogniser.Find(listed.List) is not [{ Sure: true, Differs.Count: 0 } best, ..] || best.Family.Id != listed.Construction
                || RuleGuess.Of(listed.List, Inventory.Shipped.Formats) is not { } guess)
            {
                continue;
            }

            var truths = (listed.Unit == DisplayUnit.Inch ? Inches : Metric)
                .Select(id => (Format: Inventory.Shipped.Formats.First(f => f.Id == id),
                Figures: OwnDesign.Of(listed.List, reader, recogniser, id).Figures.Where(f => f.Now is not null && f.Next.Count == 0).GroupBy(f => f.Key)
                .ToDictionary(g => g.Key, g => g.First().Now!.Value))).ToList();

            // A square card may open the other way: its maker is asked, and says so.
            static IEnumerable<RuleGuess> Ways(RuleGuess guess) => guess.Upwards is null ? [guess] : [guess, guess.Corrected([new(RuleGuess.Opens, 1)])];
            int Right(RuleGuess way) => Judge(way, truths).Count(j => j.First);
            var chosen = Ways(guess).MaxBy(Right)!;
            foreach (var judged in Judge(chosen, truths))
            {
                var bin = Math.Min(9, (int)(judged.Sure * 10));
                (figures, first, three) = (figures + 1, first + (judged.First ? 1 : 0), three + (judged.Three ? 1 : 0));
                sure[bin] = (sure[bin].All + 1, sure[bin].Right + (judged.First ? 1 : 0));
            }

            // One after the other, as somebody corrects what looks wrong.
            guessed++;
            var asked = chosen == guess ? 0 : 1;
            var said = new List<KeyValuePair<string, int>>();

            // Which side a piece is scored along is asked, and its maker knows.
            var sides = from piece in listed.List.Pieces.Where(p => p.IsSideInDoubt)
                from way in Ways(RuleGuess.Of(listed.List.Turned([piece.SideKey]), Inventory.Shipped.Formats)!)
                .Select((w, i) => new { Guess = w, Asked = i + 1 }) select way;
            if (sides.MaxBy(w => Right(w.Guess)) is { } scored && Right(scored.Guess) > Right(chosen))
            {
                (asked, chosen) = (scored.Asked, scored.Guess);
            }

            // A wrong size is what one sees first.
            var resized = guess.OtherSizes.Select(o => guess.Corrected([RuleGuess.Sized(o)])).Where(r => Right(r) > Right(chosen) + 2).MaxBy(Right);
            if (resized is not null)
            {
                (asked, chosen) = (1, resized);
            }

            for (var now = chosen; asked < MostCorrections; asked++)
            {
                if (Judge(now, truths).FirstOrDefault(j => !j.First) is not { } wrong)
                {
                    break;
                }

                var figure = now.Figures.First(f => RuleGuess.KeyOf(f) == wrong.Key);
                var which = Enumerable.Range(1, figure.Next.Count)
                    .FirstOrDefault(n => truths.All(t => !t.Figures.ContainsKey(wrong.Key)
                    || Is(now, figure, figure.Next[n - 1].Rule, t.Format, t.Figures[wrong.Key])));
                if (which == 0)
                {
                    asked++;
                    break;
                }

                said.Add(new(wrong.Key, which));
                now = chosen.Corrected(said);
            }

            corrections += asked;
            most = Math.Max(most, asked);
        }

        output.WriteLine($"  by rules alone {first} of {figures} figures ({100.0 * first / figures:0} %), {three} among the first three ({100.0 * three / figures:0} %); {(double)corrections / guessed:0.0} corrections a list, at most {most}; sure and right: {string.Join(", ", sure.Select((s, i) => (s, i)).Where(s => s.s.All > 0).Select(s => $"{s.i / 10.0:0.0} {100 * s.s.Right / s.s.All}%"))}");
    }

    private sealed record Judged(string Key, double Sure, bool First, bool Three);

    private static IEnumerable<Judged> Judge(RuleGuess guess, IReadOnlyList<(Format Format, Dictionary<string, Length> Figures)> truths) =>
        from truth in truths
        from figure in guess.Figures
        where truth.Figures.ContainsKey(RuleGuess.KeyOf(figure))
        let should = truth.Figures[RuleGuess.KeyOf(figure)]
        let isFirst = Is(guess, figure, figure.Rule, truth.Format, should)
        select new Judged(RuleGuess.KeyOf(figure), figure.Sure, isFirst, isFirst || figure.Next.Any(n => Is(guess, figure, n.Rule, truth.Format, should)));

    private static bool Is(RuleGuess guess, GuessedFigure figure, FigureRule rule, Format format, Length should)
    {
        var lies = format.Width == format.Height || guess.Width == guess.Height || guess.Width > guess.Height == format.Width > format.Height;
        var (width, height) = lies ? (format.Width, format.Height) : (format.Height, format.Width);
        return (rule.In(figure.Value, width - guess.Width, height - guess.Height) - should).Abs() <= Near;
    }

    /// <summary>One figure of a list changed by a usual slip: whether it is noticed, where, and what is said to be right.</summary>
    private static void Spoilt(DesignReader reader, Recogniser recogniser, IReadOnlyList<Listed> lists, TextWriter output)
    {
        var (falsely, spoilt, noticed, located, mended, clock) = (0, 0, 0, 0, 0, Stopwatch.StartNew());
        foreach (var listed in lists.Where(l => l.List.Cards.Any()))
        {
            falsely += OwnDesign.Of(listed.List, reader, recogniser).Contradictions.Count > 0 ? 1 : 0;
            foreach (var (list, line, was) in Slips.Of(listed.List, 3))
            {
                spoilt++;
                if (OwnDesign.Of(list, reader, recogniser).Contradictions is not [var found, ..])
                {
                    continue;
                }

                noticed++;
                located += found.Line == line ? 1 : 0;
                mended += found.Line == line && found.Likely is [var likely, ..] && (likely.Value - was).Abs() <= Near ? 1 : 0;
            }
        }

        output.WriteLine($"  spoilt {spoilt}: noticed {100 * noticed / spoilt} %, located {100 * located / spoilt} %, mended {100 * mended / spoilt} %; flagged {falsely} of {lists.Count} right lists; {clock.ElapsedMilliseconds / (spoilt + lists.Count)} ms each");
    }
}

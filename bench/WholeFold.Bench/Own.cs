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
    private sealed record Listed(string Text, DisplayUnit Unit, string? Construction, bool Kept);

    /// <param name="files">The tests' lists.</param>
    public static void Run(IEnumerable<string> files, TextWriter output)
    {
        var reader = new DesignReader(ConstructionLibrary.Catalogue, Inventory.Shipped);
        var recogniser = new Recogniser(reader);
        foreach (var file in files)
        {
            var all = JsonDocument.Parse(File.ReadAllText(file)).RootElement.EnumerateArray().Select(l => new Listed(l.GetProperty("list").GetString()!, UnitReader.Read(l.GetProperty("unit").GetString()!, "unit"), l.GetProperty("construction").GetString(), l.GetProperty("kept").GetBoolean())).ToList();
            foreach (var kept in all.GroupBy(l => l.Kept))
            {
                Report(reader, recogniser, $"{Path.GetFileName(file)}, {(kept.Key ? "kept" : "tuned on")}", [.. kept], output);
            }
        }
    }

    private static void Report(DesignReader reader, Recogniser recogniser, string name, IReadOnlyList<Listed> lists, TextWriter output)
    {
        var (right, falsely, missing, missed, other) = (0, 0, 0, 0, 0);
        var (figures, first, three) = (0, 0, 0);
        var sure = new (int All, int Right)[10];
        foreach (var listed in lists)
        {
            var list = OwnListReader.Read(listed.Text, listed.Unit);
            var found = recogniser.Find(list);
            var isRight = found is [{ Sure: true } best, ..] && best.Family.Id == listed.Construction;
            right += isRight ? 1 : 0;
            falsely += found is [{ Sure: true } taken, ..] && taken.Family.Id != listed.Construction ? 1 : 0;
            if (listed.Construction is null)
            {
                continue;
            }

            foreach (var gone in list.Cards.Where(c => list.Cards.Count(d => d.Scores.Count > 0) > (c.Scores.Count > 0 ? 1 : 0)))
            {
                var without = recogniser.Find(list with { Pieces = [.. list.Pieces.Where(p => p != gone)] });
                missing++;
                missed += without is [var likely, ..] && likely.Family.Id == listed.Construction ? 0 : 1;
                other += without is [{ Sure: true } it, ..] && it.Family.Id != listed.Construction ? 1 : 0;
            }

            if (!isRight || found[0].Differs.Count > 0 || RuleGuess.Of(list, Inventory.Shipped.Formats) is not { } guess)
            {
                continue;
            }

            // With the library hidden, in two other formats, against what the construction makes of each figure.
            foreach (var id in listed.Unit == DisplayUnit.Inch ? new[] { "6x6", "5x7" } : ["sq-144", "a5"])
            {
                var format = Inventory.Shipped.Formats.First(f => f.Id == id);
                var lies = format.Width == format.Height || guess.Width > guess.Height == format.Width > format.Height;
                var (width, height) = lies ? (format.Width, format.Height) : (format.Height, format.Width);
                var truth = OwnDesign.Of(listed.Text, listed.Unit, reader, recogniser, id).Figures.Where(f => f.Now is not null).GroupBy(f => f.Key).ToDictionary(g => g.Key, g => g.First().Now!.Value);
                foreach (var figure in guess.Figures.Where(f => truth.ContainsKey(RuleGuess.KeyOf(f))))
                {
                    bool Is(FigureRule rule) => (rule.In(figure.Value, width - guess.Width, height - guess.Height) - truth[RuleGuess.KeyOf(figure)]).Abs() <= Length.Mm(1.2m);
                    var (is1, bin) = (Is(figure.Rule), Math.Min(9, (int)(figure.Sure * 10)));
                    figures++;
                    first += is1 ? 1 : 0;
                    three += is1 || figure.Next.Any(n => Is(n.Rule)) ? 1 : 0;
                    sure[bin] = (sure[bin].All + 1, sure[bin].Right + (is1 ? 1 : 0));
                }
            }
        }

        output.WriteLine($"{name}: {right} of {lists.Count(l => l.Construction is not null)} recognised, {falsely} falsely; a line missing: {missing - missed} of {missing}, {other} sure of another");
        output.WriteLine($"  by rules alone {first} of {figures} figures, {three} among the first three; sure and right: {string.Join(", ", sure.Select((s, i) => (s, i)).Where(s => s.s.All > 0).Select(s => $"{s.i / 10.0:0.0} {100 * s.s.Right / s.s.All}%"))}");
    }
}

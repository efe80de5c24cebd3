using System.Globalization;
using System.IO.Compression;
using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Bench;

/// <summary>
/// Keeps the whole answer to many designs, so that a change of the inside can be held against what came out before it.
/// A corpus is a file of designs, one JSON a line; an answer is the result, the figure sheet, or why there is none.
/// </summary>
internal static class Baseline
{
    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    public static void Keep(string corpus, string file)
    {
        using var output = new StreamWriter(new GZipStream(File.Create(file), CompressionLevel.Optimal));
        var answers = File.ReadLines(corpus).AsParallel().AsOrdered().Select(line => $"{line}\t{Answer(line)}");
        foreach (var answer in answers)
        {
            output.WriteLine(answer);
        }
    }

    /// <summary>Names what differs, by place in the answer, with how often and one example of each.</summary>
    public static void Compare(string before, string after, TextWriter output)
    {
        var differences = new SortedDictionary<string, (int Count, string Example)>(StringComparer.Ordinal);
        var (all, changed) = (0, 0);
        foreach (var (was, now) in Lines(before).Zip(Lines(after)))
        {
            all++;
            if (was == now)
            {
                continue;
            }

            changed++;
            var (design, old) = Split(was);
            foreach (var (place, text) in Differences("", JsonDocument.Parse(old).RootElement, JsonDocument.Parse(Split(now).Answer).RootElement))
            {
                var had = differences.GetValueOrDefault(place, (0, $"{text}  in {design}"));
                differences[place] = (had.Item1 + 1, had.Item2);
            }
        }

        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{all} designs, {changed} with another answer"));
        foreach (var (place, (count, example)) in differences)
        {
            output.WriteLine($"{count,6} {place}: {example[..Math.Min(example.Length, 420)]}");
        }
    }

    private static IEnumerable<string> Lines(string file)
    {
        using var reader = new StreamReader(new GZipStream(File.OpenRead(file), CompressionMode.Decompress));
        while (reader.ReadLine() is { } line)
        {
            yield return line;
        }
    }

    private static (string Design, string Answer) Split(string line) => line.Split('\t') is [var design, var answer] ? (design, answer) : (line, "null");

    private static string Answer(string line)
    {
        try
        {
            var spec = DesignFile.Read(line, "design");
            var read = Reader.Read(spec);
            if (Card.Try(read.Design, read.Target) is not { } card)
            {
                return Text(new { conflicts = Sizer.ConflictsOf(read.Design, read.Target)
                    .Select(c => new { c.Id, Text = c.Text.Write(read.Design.ToolsFor(read.Target).System == UnitSystem.Imperial ? DisplayUnit.Inch
                    : DisplayUnit.Millimetre) }), remedies = Remedies.Of(spec, Reader).Select(r => r.Text.Write(read.Unit)) });
            }

            return Text(new { result = SizedJson.Document(card, read.Unit), sheet = Sheet(card) });
        }
        catch (InputProblemException e)
        {
            return Text(new { e.Code, e.Field, e.Reason, e.Accepted });
        }
    }

    private static object Sheet(Card card)
    {
        try
        {
            return SheetJson.Of(FigureSheet.Of(card));
        }
        catch (KeyNotFoundException)
        {
            return "fails";
        }
    }

    private static string Text(object answer) => JsonSerializer.Serialize(answer, StrictJson.OnOneLine);

    private static IEnumerable<(string Place, string Text)> Differences(string place, JsonElement was, JsonElement now)
    {
        if (was.ValueKind == JsonValueKind.Object && now.ValueKind == JsonValueKind.Object)
        {
            var (old, current) = (was.EnumerateObject().ToDictionary(p => p.Name, p => p.Value), now.EnumerateObject().ToDictionary(p => p.Name, p => p.Value));
            foreach (var name in old.Keys.Union(current.Keys))
            {
                var general = place is "/result/reasons" or "/result/said" or "/result/safe" or "/sheet/inches/figures" or "/sheet/centimetres/figures" ? "*" : name;
                if (!old.TryGetValue(name, out var a))
                {
                    yield return ($"{place}/{general}", $"new: {name} {current[name].GetRawText()}");
                }
                else if (!current.TryGetValue(name, out var b))
                {
                    yield return ($"{place}/{general}", $"gone: {name} {a.GetRawText()}");
                }
                else
                {
                    foreach (var difference in Differences($"{place}/{general}", a, b))
                    {
                        yield return difference;
                    }
                }
            }
        }
        else if (was.ValueKind == JsonValueKind.Array && now.ValueKind == JsonValueKind.Array && was.GetArrayLength() == now.GetArrayLength())
        {
            foreach (var difference in was.EnumerateArray().Zip(now.EnumerateArray()).SelectMany(p => Differences($"{place}[]", p.First, p.Second)))
            {
                yield return difference;
            }
        }
        else if (was.GetRawText() != now.GetRawText())
        {
            yield return (place, $"{was.GetRawText()} → {now.GetRawText()}");
        }
    }
}

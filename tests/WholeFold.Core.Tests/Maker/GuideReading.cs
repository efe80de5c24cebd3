using System.Globalization;
using System.Text.RegularExpressions;

namespace WholeFold.Core.Tests.Maker;

/// <summary>How places, borders, names and figures are read in a sentence.</summary>
internal sealed partial class GuideMaker
{
    private MadeBorder Border(string told)
    {
        var (from, centred) = (new Dictionary<string, double>(), new HashSet<string>());
        foreach (var part in told.Replace("about ", "", StringComparison.Ordinal).Split(", "))
        {
            if (Said(part, $"(?<a>{N}) from every edge") is { } every || part == "flush all round")
            {
                var distance = part == "flush all round" ? 0 : Figure(Said(part, $"(?<a>{N}) from every edge")!["a"]);
                from = new[] { "left", "right", "top", "bottom" }.ToDictionary(e => e, _ => distance);
            }
            else if (part is "centred" or "centred from side to side" or "centred from top to bottom")
            {
                centred.UnionWith(part == "centred" ? ["side", "top"] : [part.Split(' ')[2]]);
            }
            else if (part != "with an even border")
            {
                var one = Said(part, $"(?:(?<a>{N}) from|flush with) the (?<edge>left|right|top|bottom)") ?? throw new NotEnoughException($"which border: “{told}”");
                Because.Holds(from.TryAdd(one["edge"], one["a"].Length > 0 ? Figure(one["a"]) : 0), $"twice from one edge: “{told}”");
            }
        }

        Because.Holds(told == "with an even border" || ((centred.Contains("side") || from.Keys.Any(e => e is "left" or "right"))
            && (centred.Contains("top") || from.Keys.Any(e => e is "top" or "bottom"))), $"no place: “{told}”");
        return new MadeBorder("", null, null, from, centred, 1, told);
    }

    private (string Edge, double Distance)[] Place(string place)
    {
        var found = place.Split(", ").SelectMany(p => Both(p) ?? [Said(p, $"(?<d>{N}) (?<past>from|past) (?<edge>(?:the|its) .+)") is { } at ? (at["edge"], at["past"] == "past" ? -Figure(at["d"]) : Figure(at["d"]))
            : Said(p, "flush with (?<edge>(?:the|its) .+)") is { } flush ? (flush["edge"], 0d) : throw new NotEnoughException($"where is that: “{p}”")]).ToArray();
        Because.Holds(found.Length is >= 1 and <= 4 && found.Select(f => f.Item1).Distinct().Count() == found.Length, $"no place: “{place}”");
        return found;
    }

    /// <summary>As far from either of two edges that are across from each other.</summary>
    private (string Edge, double Distance)[]? Both(string place) =>
        Said(place, $"centred with (?<d>{N}) (?<way>on either side|above and below)") is { } at ? Across(at["way"], Figure(at["d"]))
        : Said(place, $"(?<d>{N}) past (?<way>both sides|the top and the bottom)") is { } past ? Across(past["way"], -Figure(past["d"]))
        : Said(place, "flush (?<way>on both sides|at the top and the bottom)") is { } flush ? Across(flush["way"], 0) : null;

    private static (string Edge, double Distance)[] Across(string way, double distance) => way.EndsWith("side", StringComparison.Ordinal)
        || way.EndsWith("sides", StringComparison.Ordinal) ? [("a left side", distance), ("a right side", distance)] : [("a top side", distance), ("a bottom side", distance)];

    private MadePaper? Paper(string stock, double w, double h) =>
        _made.Papers.FirstOrDefault(p => p.Stock == stock && Near(p.Width, w) && Near(p.Height, h));

    private MadeSheet Sheet(string what)
    {
        var called = what.StartsWith("both ", StringComparison.Ordinal) ? what[5..] : Said(what, "all \\w+ (?<what>.+)") is { } all ? all["what"] : Counted(what).Called;
        return _made.Sheets.FirstOrDefault(s => s.Called == called) ?? throw new NotEnoughException($"nothing is called {called}");
    }

    private (int Count, string Called) Counted(string name)
    {
        var words = name.Split(' ', 2);
        return words[0] == "the" ? (1, words[1]) : _counts.TryGetValue(words[0], out var n) && words.Length > 1 ? (n, words[1]) : (1, name);
    }

    private int Number(string word) => _counts.TryGetValue(word, out var n) ? n
        : int.TryParse(word, CultureInfo.InvariantCulture, out n) ? n : throw new NotEnoughException($"how many is {word}");

    private static List<string> List(string text) => [.. text.Split(", ").SelectMany((p, i) => p.Split(" and "))];

    private static bool Near(double a, double b) => Math.Abs(a - b) < 0.5;

    /// <summary>A figure whose unit stands behind its fellow: "28.6 × 30 mm".</summary>
    private double Figure(string text, string fellow) =>
        Figure(char.IsAsciiLetter(text[^1]) || !char.IsAsciiLetter(fellow[^1]) ? text : $"{text} {fellow.Split(' ').First(w => w is "in" or "cm" or "mm")}");

    /// <summary>In millimetres.</summary>
    private double Figure(string text)
    {
        var words = text.Split(' ');
        var (value, metric) = (0d, (double?)null);
        foreach (var word in words)
        {
            if (word.Contains('/', StringComparison.Ordinal))
            {
                var parts = word.Split('/');
                value += double.Parse(parts[0], CultureInfo.InvariantCulture) / double.Parse(parts[1], CultureInfo.InvariantCulture);
            }
            else if (double.TryParse(word, CultureInfo.InvariantCulture, out var whole))
            {
                value += whole;
            }
            else if (word is "cm" or "mm")
            {
                metric = word == "cm" ? 10 : 1;
            }
        }

        return value * (metric ?? _unit);
    }

    private static Dictionary<string, string>? Said(string sentence, string pattern)
    {
        var match = Regex.Match(sentence, $"^(?:{pattern})$");
        return match.Success ? match.Groups.Keys.ToDictionary(k => k, k => match.Groups[k].Value) : null;
    }

    [GeneratedRegex(@"(?:, | and )(?=the |\w+ \d)")]
    private static partial Regex OnEach();

    [GeneratedRegex(@"\.(?: |$)(?!\d+ mm)")]
    private static partial Regex SentenceEnd();

    [GeneratedRegex(@"(?<=^|[.] )(?<what>[A-Z][^.:]*?) (?:goes|comes down) on (?<on>[^:.]+): (?<place>(?:[^.]|\.\d)+)\.")]
    private static partial Regex BondTold();
}

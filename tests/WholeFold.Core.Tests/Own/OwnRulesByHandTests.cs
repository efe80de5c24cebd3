using System.Globalization;
using System.Text.Json;
using System.Text.RegularExpressions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>
/// Cards of no construction, with what each of their figures would become in a larger one by whoever made them: what nobody could work out
/// from the library. <c>rules</c> has a line a piece, a figure a word: <c>2W</c> twice the width, <c>W/2</c>, <c>0</c> as it is, <c>sH</c> its
/// share of the height, <c>W+W/2</c> both together; where makers differ, either. Those of <c>makers.json</c> were written in three turns, each when those before it had been looked at.
/// </summary>
public partial class OwnRulesByHandTests
{
    private static readonly Length Near = Length.Mm(1.2m), Wider = Length.Mm(20), Higher = Length.Mm(14);

    private static IEnumerable<JsonElement> Lists(string file) =>
        JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Own", file))).RootElement.EnumerateArray()
        .Where(l => l.TryGetProperty("rules", out _));

    [GeneratedRegex(@"^(?<share>s?)(?<times>\d*)(?<side>[WH]?)(?:/(?<parts>\d+))?$")]
    private static partial Regex Rule();

    private static Length Becomes(string rule, Length value, Length width, Length height) => rule.Split('+').Aggregate(value, (sum, part) => sum + Change(part, value, width, height));

    private static Length Change(string rule, Length value, Length width, Length height)
    {
        var read = Rule().Match(rule);
        var (side, change) = read.Groups["side"].Value == "W" ? (width, Wider) : (height, Higher);
        int Of(string group) => int.Parse(read.Groups[group].Value is "" ? "1" : read.Groups[group].Value, CultureInfo.InvariantCulture);
        return read.Groups["side"].Length == 0 ? Length.Zero : new Length(read.Groups["share"].Length > 0 ? change.Units * value.Units / side.Units : change.Units * Of("times") / Of("parts"));
    }

    [Theory]
    [InlineData("written.json", null, 0.9)]
    [InlineData("makers.json", "first", 0.84)]
    [InlineData("makers.json", "second", 0.75)]
    [InlineData("makers.json", "third", 0.75)]
    public void Of_cards_of_no_construction_most_figures_become_what_their_makers_would_make_of_them(string file, string? written, double share)
    {
        var (all, wrong) = (0, new List<string>());
        foreach (var listed in Lists(file).Where(l => written is null || l.GetProperty("written").GetString() == written))
        {
            var list = OwnListReader.Read(listed.GetProperty("list").GetString()!, UnitReader.Read(listed.GetProperty("unit").GetString()!, "unit"));
            var home = FormatReader.Read(listed.GetProperty("home").GetString()!, Inventory.Shipped.Formats, out _)!;
            var guess = RuleGuess.Of(list, Inventory.Shipped.Formats)!;

            // A square card may open the other way: its maker is asked, and says so.
            var judged = (guess.Upwards is null ? [guess] : new[] { guess, guess.Corrected([new(RuleGuess.Opens, 1)]) }).Select(way => Judge(listed, list, home, way)).MinBy(j => j.Wrong.Count);
            all += judged.All;
            wrong.AddRange(judged.Wrong);
        }

        Assert.True(wrong.Count <= (1 - share) * all, $"{wrong.Count} of {all}:\n{string.Join("\n", wrong)}");
    }

    private static (int All, List<string> Wrong) Judge(JsonElement listed, OwnList list, Format home, RuleGuess guess)
    {
        bool Is(Length width, Length height) => (guess.Width - width).Abs() <= Near && (guess.Height - height).Abs() <= Near;
        var (all, wrong, same, turned) = (0, new List<string>(), Is(home.Width, home.Height), Is(home.Height, home.Width));
        foreach (var (piece, rules) in list.Pieces.Where(p => p.Kind != OwnKind.Finished).Zip(listed.GetProperty("rules").EnumerateArray().Select(r => r.GetString()!.Split(' '))))
        {
            var names = new[] { "width", "height" }.Concat(Enumerable.Range(1, rules.Length - 2).Select(n => $"score {n}"));
            foreach (var (name, rule) in names.Zip(rules))
            {
                all++;
                var figure = guess.Figures.SingleOrDefault(f => f.Piece.Line == piece.Line && f.Piece.Name == piece.Name && f.Figure == name);
                Assert.True(figure is not null, $"{listed.GetProperty("name").GetString()}: {piece.Name} has no {name}");
                var now = same || !turned ? figure.Rule.In(figure.Value, Wider, Higher) : figure.Rule.In(figure.Value, Higher, Wider);
                if (!(same || turned) || !rule.Split('|').Any(r => (Becomes(r, figure.Value, home.Width, home.Height) - now).Abs() <= Near))
                {
                    wrong.Add($"{listed.GetProperty("name").GetString()} ({guess.Width} × {guess.Height}), {piece.Name}, {name} at {figure.Value}: {figure.Rule.Words.Write(DisplayUnit.Inch)}, and not {rule}");
                }
            }
        }

        return (all, wrong);
    }
}

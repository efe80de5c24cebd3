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
/// share of the height; where makers differ, either.
/// </summary>
public partial class OwnRulesByHandTests
{
    private static readonly Length Near = Length.Mm(1.2m), Wider = Length.Mm(20), Higher = Length.Mm(14);

    private static readonly IReadOnlyList<JsonElement> Lists = [.. JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Own", "written.json"))).RootElement.EnumerateArray().Where(l => l.TryGetProperty("rules", out _))];

    [GeneratedRegex(@"^(?<share>s?)(?<times>\d*)(?<side>[WH]?)(?:/(?<parts>\d+))?$")]
    private static partial Regex Rule();

    private static Length Becomes(string rule, Length value, Length width, Length height)
    {
        var read = Rule().Match(rule);
        var (side, change) = read.Groups["side"].Value == "W" ? (width, Wider) : (height, Higher);
        return read.Groups["side"].Length == 0 ? value
            : read.Groups["share"].Length > 0 ? value + new Length(change.Units * value.Units / side.Units)
            : value + new Length(change.Units * int.Parse(read.Groups["times"].Value is "" ? "1" : read.Groups["times"].Value, CultureInfo.InvariantCulture) / int.Parse(read.Groups["parts"].Value is "" ? "1" : read.Groups["parts"].Value, CultureInfo.InvariantCulture));
    }

    [Fact]
    public void Of_cards_of_no_construction_nine_figures_in_ten_become_what_their_makers_would_make_of_them()
    {
        var (all, wrong) = (0, new List<string>());
        foreach (var listed in Lists)
        {
            var list = OwnListReader.Read(listed.GetProperty("list").GetString()!, UnitReader.Read(listed.GetProperty("unit").GetString()!, "unit"));
            var home = FormatReader.Read(listed.GetProperty("home").GetString()!, Inventory.Shipped.Formats, out _)!;
            var guess = RuleGuess.Of(list, Inventory.Shipped.Formats)!;
            var (same, turned) = ((guess.Width - home.Width).Abs() <= Near && (guess.Height - home.Height).Abs() <= Near, (guess.Width - home.Height).Abs() <= Near && (guess.Height - home.Width).Abs() <= Near);
            foreach (var (piece, rules) in list.Pieces.Zip(listed.GetProperty("rules").EnumerateArray().Select(r => r.GetString()!.Split(' '))))
            {
                var names = new[] { "width", "height" }.Concat(Enumerable.Range(1, rules.Length - 2).Select(n => $"score {n}"));
                foreach (var (name, rule) in names.Zip(rules))
                {
                    all++;
                    var figure = guess.Figures.Single(f => f.Piece.Line == piece.Line && f.Piece.Name == piece.Name && f.Figure == name);
                    var now = same || !turned ? figure.Rule.In(figure.Value, Wider, Higher) : figure.Rule.In(figure.Value, Higher, Wider);
                    if (!(same || turned) || !rule.Split('|').Any(r => (Becomes(r, figure.Value, home.Width, home.Height) - now).Abs() <= Near))
                    {
                        wrong.Add($"{listed.GetProperty("name").GetString()} ({guess.Width} × {guess.Height}), {piece.Name}, {name} at {figure.Value}: {figure.Rule.Words.Write(DisplayUnit.Inch)}, and not {rule}");
                    }
                }
            }
        }

        Assert.True(wrong.Count <= 0.1 * all, $"{wrong.Count} of {all}:\n{string.Join("\n", wrong)}");
    }
}

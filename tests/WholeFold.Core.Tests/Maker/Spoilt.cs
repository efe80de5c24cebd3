using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace WholeFold.Core.Tests.Maker;

/// <summary>A good hand-out with one thing wrong in it.</summary>
internal static partial class Spoilt
{
    private static readonly (string Kind, string One, string Other)[] Swapped =
    [
        ("edge", "left", "right"), ("edge", "top", "bottom"), ("way", "valley", "mountain"), ("way", "valleys", "mountains"), ("side", "inside", "outside"),
    ];

    public static IEnumerable<(string Kind, byte[] Guide, string How)> Of(byte[] guide)
    {
        var steps = Steps(JsonNode.Parse(guide)!).Count;
        for (var i = 0; i < steps; i++)
        {
            var step = Steps(JsonNode.Parse(guide)!)[i]!;
            var say = step["say"]!.GetValue<string>();
            var phase = step["phase"]!.GetValue<string>();
            if (phase == "finish" || say.StartsWith("Leave it", StringComparison.Ordinal))
            {
                continue;
            }

            // Of folding and bonding what the program says is read: the places; the rest is the construction's own telling.
            var from = phase is "fold" or "bond" ? Told().Match(say) is { Success: true } told ? told.Index : say.Length : 0;
            var to = phase is "fold" or "bond" ? Told().Matches(say) is { Count: > 0 } all ? all[^1].Index + all[^1].Length : 0 : say.Length;
            // What is marked is told again where it is put, so a mark left out is no card less.
            if (phase is not ("fold" or "bond") && !say.StartsWith("Mark ", StringComparison.Ordinal))
            {
                yield return ("step", With(guide, i, null), say);
            }

            foreach (Match figure in Figure().Matches(say).Where(m => m.Index >= from && m.Index < to))
            {
                yield return ("figure", With(guide, i, Put(say, figure, $"{int.Parse(figure.Groups["n"].Value, null) + 2}{figure.Groups["rest"].Value}")), $"{figure.Value} in {say}");
                yield return ("no figure", With(guide, i, Put(say, figure, "")), $"no {figure.Value} in {say}");
            }

            foreach (var (kind, one, other) in Swapped)
            {
                foreach (Match word in Regex.Matches(say, $@"\b(?:{one}|{other})\b").Where(m => m.Index >= from && m.Index < to))
                {
                    yield return (kind, With(guide, i, Put(say, word, word.Value == one ? other : one)), $"{word.Value} at {word.Index} in {say}");
                }
            }
        }
    }

    private static string Put(string say, Match at, string what) => say[..at.Index] + what + say[(at.Index + at.Length)..];

    private static JsonArray Steps(JsonNode guide) => guide["steps"]!.AsArray();

    private static byte[] With(byte[] guide, int step, string? say)
    {
        var root = JsonNode.Parse(guide)!;
        if (say is null)
        {
            Steps(root).RemoveAt(step);
        }
        else
        {
            Steps(root)[step]!["say"] = say;
        }

        return Encoding.UTF8.GetBytes(root.ToJsonString());
    }

    /// <summary>Whole figures and fractions that a length is written with; not those in a name.</summary>
    [GeneratedRegex(@"(?<![\w/ ]\d*|\w )(?<n>\d+)(?<rest>/\d+)?(?= |,|\.|;|$)|(?<=(?:at|by|to|from|×|,|:|and|than|fold|with|least|most|stop) )(?<n>\d+)(?<rest>/\d+)?(?= |,|\.|;|$)")]
    private static partial Regex Figure();

    [GeneratedRegex(@" (?:goes|comes down) on [^:.]+: (?:[^.]|\.\d)+\.")]
    private static partial Regex Told();
}

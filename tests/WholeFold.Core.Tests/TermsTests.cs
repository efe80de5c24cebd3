using System.Text.RegularExpressions;
using Xunit;

namespace WholeFold.Core.Tests;

/// <summary>One term for one thing, everywhere a person reads.</summary>
public partial class TermsTests
{
    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "WholeFold.slnx")))
        {
            at = at.Parent!;
        }

        return at.FullName;
    }

    [Fact]
    public void No_text_that_a_person_reads_uses_another_word_for_a_thing_that_has_one()
    {
        var avoided = File.ReadAllLines(Path.Combine(Root(), "docs", "terms.txt")).Where(l => l.Contains(':', StringComparison.Ordinal) && !l.StartsWith('#'))
            .SelectMany(l => l.Split(':', 2)[1].Split(',', StringSplitOptions.TrimEntries).Select(word => (Term: l.Split(':', 2)[0], Word: word))).ToList();
        Assert.True(avoided.Count > 15);
        var wrong = new List<string>();
        foreach (var file in new[] { ("src", "*.cs"), (Path.Combine("web", "src"), "*.tsx") }.SelectMany(p => Directory.EnumerateFiles(Path.Combine(Root(), p.Item1), p.Item2, SearchOption.AllDirectories)))
        {
            if (file.Contains("/obj/", StringComparison.Ordinal) || file.Contains(".test.", StringComparison.Ordinal)
                || file.Contains("/node_modules/", StringComparison.Ordinal) || file.Contains("/Migrations/", StringComparison.Ordinal))
            {
                continue;
            }

            // Only what is said: texts in quotes, and what stands between tags. Comments and names are for who works on it; patterns read what others say.
            var text = string.Join('\n', File.ReadAllLines(file)
                .Where(l => !l.TrimStart().StartsWith("//", StringComparison.Ordinal) && !l.TrimStart().StartsWith('*')
                && !l.Contains("new Regex(", StringComparison.Ordinal)));
            var said = Quoted().Matches(text).Select(m => m.Groups[1].Value)
                .Concat(file.EndsWith(".tsx", StringComparison.Ordinal) ? Between().Matches(text).Select(m => m.Groups[1].Value) : [])
                .Where(t => t.Contains(' ', StringComparison.Ordinal));
            wrong.AddRange(from one in said from a in avoided where Regex.IsMatch(one, $@"\b{Regex.Escape(a.Word)}\b", RegexOptions.IgnoreCase) select $"{Path.GetFileName(file)}: “{one.Trim()}” says “{a.Word}” for {a.Term}");
        }

        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    [GeneratedRegex("\"([^\"\\n]{3,})\"")]
    private static partial Regex Quoted();

    [GeneratedRegex(">([^<>{}]{3,})<")]
    private static partial Regex Between();
}

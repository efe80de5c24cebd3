using System.Text.RegularExpressions;
using Xunit;

namespace WholeFold.Core.Tests;

/// <summary>How long lines are. Texts do not count: a sentence is read better whole.</summary>
public partial class LayoutTests
{
    /// <summary>No line is longer than the one; lines over the other may only become fewer, file by file.</summary>
    private const int Longest = 200, Long = 140;

    private static string Root { get; } = FindRoot();

    private static string Kept => Path.Combine(Root, "tests", "long-lines.txt");

    private static string FindRoot()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "WholeFold.slnx")))
        {
            at = at.Parent!;
        }

        return at.FullName;
    }

    private static IEnumerable<(string Name, int Number, int Length)> Lines() =>
        from folder in new[] { "src", "tests", "bench", "web/src" }
        from file in Directory.EnumerateFiles(Path.Combine(Root, folder), "*", SearchOption.AllDirectories)
        where Path.GetExtension(file) is ".cs" or ".ts" or ".tsx" or ".mjs" or ".css"
        let name = Path.GetRelativePath(Root, file).Replace('\\', '/')
        where !name.Split('/').Any(part => part is "bin" or "obj" or "node_modules" or "Migrations" or "wwwroot") && !name.EndsWith("schema.d.ts", StringComparison.Ordinal)
        from line in File.ReadLines(file).Select((text, i) => (Number: i + 1, Text().Replace(text, "").Length))
        select (name, line.Number, line.Length);

    private static SortedDictionary<string, int> Counted() =>
        new(Lines().Where(l => l.Length > Long).GroupBy(l => l.Name).ToDictionary(g => g.Key, g => g.Count()), StringComparer.Ordinal);

    [Fact]
    public void No_line_is_longer_than_two_hundred_signs() =>
        Assert.Empty(Lines().Where(l => l.Length > Longest).Select(l => $"{l.Name}:{l.Number} has {l.Length}"));

    /// <summary>The count that is kept is the one there is: where it fell, the file is made anew (<c>WHOLEFOLD_KEEP=1 ./wholefold test core LayoutTests</c>).</summary>
    [Fact]
    public void Lines_over_a_hundred_and_forty_only_become_fewer()
    {
        var now = Counted();
        var kept = File.Exists(Kept) ? File.ReadAllLines(Kept).Select(l => l.Split('\t')).ToDictionary(l => l[1], l => int.Parse(l[0], System.Globalization.CultureInfo.InvariantCulture)) : [];
        if (Environment.GetEnvironmentVariable("WHOLEFOLD_KEEP") is { Length: > 0 })
        {
            Assert.All(now, n => Assert.True(kept.Count == 0 || n.Value <= kept.GetValueOrDefault(n.Key), $"{n.Key} has {n.Value} long lines and had {kept.GetValueOrDefault(n.Key)}: break them first"));
            File.WriteAllLines(Kept, now.Select(n => $"{n.Value}\t{n.Key}"));
            return;
        }

        Assert.Empty(now.Where(n => n.Value > kept.GetValueOrDefault(n.Key)).Select(n => $"{n.Key} has {n.Value} lines over {Long} signs, texts apart, and may have {kept.GetValueOrDefault(n.Key)}"));
        Assert.Empty(kept.Where(k => now.GetValueOrDefault(k.Key) < k.Value).Select(k => $"{k.Key} has fewer long lines now ({now.GetValueOrDefault(k.Key)}, kept are {k.Value}): keep the new count"));
    }

    [GeneratedRegex("""
        "([^"\\]|\\.)*"|'([^'\\]|\\.)*'|`[^`]*`
        """, RegexOptions.IgnorePatternWhitespace)]
    private static partial Regex Text();
}

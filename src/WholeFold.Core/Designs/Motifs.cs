using System.Reflection;

namespace WholeFold.Core.Designs;

/// <summary>The drawings that ship: outlines of our own, each one closed line, to be cut by die or by hand.</summary>
public static class Motifs
{
    private const string Prefix = "motif.";

    private static readonly Dictionary<string, Motif> All = ReadAll();

    public sealed record Motif(string Name, IReadOnlyList<(double X, double Y)> Corners, double Wide);

    public static IReadOnlyList<string> Names { get; } = [.. All.Keys.Order(StringComparer.Ordinal)];

    public static Motif? Of(string name) => All.GetValueOrDefault(name);

    private static Dictionary<string, Motif> ReadAll()
    {
        var assembly = Assembly.GetExecutingAssembly();
        return assembly.GetManifestResourceNames().Where(n => n.StartsWith(Prefix, StringComparison.Ordinal)).ToDictionary(n => n[Prefix.Length..], n =>
        {
            using var reader = new StreamReader(assembly.GetManifestResourceStream(n)!);
            var (corners, wide) = SvgOutline.Read(reader.ReadToEnd(), n);
            return new Motif(n[Prefix.Length..], corners, wide);
        });
    }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Tooling;

/// <summary>The preset tool sets.</summary>
public static class ToolSets
{
    private static readonly Comb Eighths = new(Length.In(1, 8), Length.In(1, 8));
    private static readonly Comb FiveMillimetres = new(Length.Mm(5), Length.Mm(5));

    /// <summary>The finest marks of a ruler that a person can score by.</summary>
    public static Pair Ruler { get; } = Pair.Of(1, 32, 0.5m);

    public static IReadOnlyList<string> Ids { get; } = ["imperial-eighths", "metric-5mm", "both", "ruler", "machine"];

    /// <summary>The tools a format is made with unless said otherwise.</summary>
    public static string DefaultFor(UnitSystem system) => system == UnitSystem.Imperial ? "imperial-eighths" : "metric-5mm";

    /// <summary>A preset as it works on a format of the given system; null where there is none of that id.</summary>
    public static ToolSet? Resolve(string id, UnitSystem formatSystem) => id switch
    {
        "imperial-eighths" => new ToolSet
        {
            Id = id,
            Name = "Board in eighths, 12 in",
            System = UnitSystem.Imperial,
            Combs = [Eighths],
            BoardEnd = Length.In(12),
            CutMarks = [Length.In(1, 16)],
            LongestCut = Length.In(12),
            RulerMarks = [Ruler.Imperial],
        },
        "metric-5mm" => new ToolSet
        {
            Id = id,
            Name = "Board in 5 mm, 30 cm",
            System = UnitSystem.Metric,
            Combs = [FiveMillimetres],
            BoardEnd = Length.Mm(300),
            CutMarks = [Length.Mm(1)],
            LongestCut = Length.Mm(305),
            RulerMarks = [Ruler.Metric],
        },
        "both" => new ToolSet
        {
            Id = id,
            Name = "Both boards",
            System = formatSystem,
            Combs = [Eighths, FiveMillimetres],
            BoardEnd = Length.In(12),
            CutMarks = [Length.In(1, 16), Length.Mm(1)],
            LongestCut = Length.In(12),
            RulerMarks = [Ruler.Imperial, Ruler.Metric],
        },
        "ruler" => new ToolSet
        {
            Id = id,
            Name = "Ruler and stylus",
            System = formatSystem,
            CutMarks = [Pair.Of(1, 16, 1).In(formatSystem)],
            RulerMarks = [Ruler.In(formatSystem)],
        },
        "machine" => new ToolSet
        {
            Id = id,
            Name = "Cutting machine",
            System = formatSystem,
            CutMarks = [new Length(1)],
            RulerMarks = [new Length(1)],
            Exact = true,
        },
        _ => null,
    };
}

namespace WholeFold.Core.Tests.Maker;

/// <summary>What came out of following the words, in millimetres from a sheet's left and bottom edge as it first lies.</summary>
internal sealed class MadeCard
{
    public List<MadeSheet> Sheets { get; } = [];

    public List<MadePaper> Papers { get; } = [];

    public List<MadeThing> Things { get; } = [];

    /// <summary>Parts that were bonded: what, on what, and by which edges.</summary>
    public List<MadeBond> Bonds { get; } = [];
}

internal sealed record MadeSheet(string Called, int Count, string Stock, double Width, double Height)
{
    /// <summary>What is cut with it for a shaped top.</summary>
    public double More { get; set; }

    public List<MadeLine> Scores { get; } = [];

    public List<MadeLine> Cuts { get; } = [];

    public List<string> Panels { get; set; } = [];

    public bool Upwards { get; set; }

    /// <summary>Where a panel begins and ends along the sheet; the whole of a sheet that has only itself.</summary>
    public (double From, double To) Extent(string panel)
    {
        var at = Scores.Where(s => s.IsAcross(Upwards)).Select(s => Upwards ? s.FromY : s.FromX).Distinct().Order().ToList();
        var index = Panels.IndexOf(panel);
        Because.Holds(index >= 0 && at.Count >= Panels.Count - 1, $"{Called} has no panel {panel}");
        return (index == 0 ? 0 : at[index - 1], index == Panels.Count - 1 ? Upwards ? Height : Width : at[index]);
    }
}

/// <param name="Valley">Of a score; null of a cut.</param>
internal sealed record MadeLine(double FromX, double FromY, double ToX, double ToY, bool? Valley)
{
    public bool IsAcross(bool upwards) => upwards ? FromY == ToY : FromX == ToX;
}

/// <summary>Papers of one stock and size: cut, and then each put somewhere.</summary>
internal sealed record MadePaper(string Stock, double Width, double Height, int Cut)
{
    public List<MadeBorder> On { get; } = [];
}

/// <summary>Where one paper went; no figures where its border is even and its shape its panel's own.</summary>
/// <param name="For">What it is for, where several of its kind lie there.</param>
/// <param name="From">How far it lies from edges, as the face is read.</param>
/// <param name="Centred">"side" and "top", where it lies in the middle.</param>
/// <param name="Said">In these words.</param>
internal sealed record MadeBorder(string Face, string? For, string? Over, IReadOnlyDictionary<string, double> From,
    IReadOnlySet<string> Centred,
    int Times, string Said)
{
    /// <summary>Whether it lies so: the borders at the left, right, top and bottom, in millimetres.</summary>
    public bool Is(double[] sides, double hair)
    {
        string[] edges = ["left", "right", "top", "bottom"];
        var slack = Said.Contains("about ", StringComparison.Ordinal) ? 2 * hair : hair;
        return From.All(f => Math.Abs(f.Value - sides[Array.IndexOf(edges, f.Key)]) < slack)
            && (!Centred.Contains("side") || Math.Abs(sides[0] - sides[1]) < hair)
                && (!Centred.Contains("top") || Math.Abs(sides[2] - sides[3]) < hair);
    }
}

/// <summary>Something put, stamped or cut in a place.</summary>
/// <param name="Paper">The stock that it is on; null of the card itself.</param>
internal sealed record MadeThing(string Name, double Width, double Height, string Face, string? Paper, string? For,
    (string Edge, double Distance)[] From);

internal sealed record MadeBond(string Part, string On, (string Edge, double Distance, bool ByFold)[] From);

/// <summary>Why the words were not enough.</summary>
internal sealed class NotEnoughException(string why) : Exception(why);

internal static class Because
{
    public static void Holds(bool what, string otherwise)
    {
        if (!what)
        {
            throw new NotEnoughException(otherwise);
        }
    }
}

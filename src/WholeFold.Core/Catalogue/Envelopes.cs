using WholeFold.Core.Measure;

namespace WholeFold.Core.Catalogue;

/// <summary>An envelope by its inside, nominal.</summary>
public sealed record Envelope(string Id, string Name, Length Width, Length Height, UnitSystem System);

/// <summary>Envelopes sold by name, and the choice of one for a closed card.</summary>
public static class Envelopes
{
    /// <summary>Least looseness beside the card's thickness.</summary>
    private static readonly Pair Loose = Pair.Of(1, 16, 1.5m);

    /// <summary>The most that does not rattle. ISO envelopes are roomier by design: C6 round A6 leaves 9 and 14 mm, C5 round
    /// A5 14 and 19, and these are the pairs everybody uses.</summary>
    private static readonly Pair Rattles = Pair.Of(1, 2, 20m);

    public static IReadOnlyList<Envelope> All { get; } =
    [
        Inch("env-a1", "A1 US", (29, 8), (41, 8)),
        Inch("env-a2", "A2 US", (35, 8), (23, 4)),
        Inch("env-a6", "A6 US", (19, 4), (13, 2)),
        Inch("env-a7", "A7 US", (21, 4), (29, 4)),
        Inch("env-10", "No. 10", (33, 8), (19, 2)),
        Inch("env-slimline", "Slimline", (31, 8), (71, 8)),
        Inch("env-sq-5", "Square 5¼", (21, 4), (21, 4)),
        Inch("env-sq-6", "Square 6¼", (25, 4), (25, 4)),
        Inch("env-sq-6-half", "Square 6½", (13, 2), (13, 2)),
        Metric("env-c7", "C7", 81, 114),
        Metric("env-c6", "C6", 114, 162),
        Metric("env-c5", "C5", 162, 229),
        Metric("env-dl", "DL", 110, 220),
        Metric("env-sq-130", "Square 130", 130, 130),
        Metric("env-sq-140", "Square 140", 140, 140),
        Metric("env-sq-155", "Square 155", 155, 155),
        Metric("env-sq-160", "Square 160", 160, 160),
    ];

    /// <summary>
    /// The envelope of smallest area that is loose enough in both directions and rattles in neither, of the format's
    /// own system first; null where one has to be made.
    /// </summary>
    public static Envelope? For(Length width, Length height, Length thickness, UnitSystem system) =>
        All.Where(e => Fits(e, width, height, thickness) || Fits(e, height, width, thickness))
            .OrderBy(e => e.System == system ? 0 : 1)
            .ThenBy(e => e.Width.Units * e.Height.Units)
            .FirstOrDefault();

    private static bool Fits(Envelope envelope, Length width, Length height, Length thickness)
    {
        var least = Loose.In(envelope.System) + thickness;
        var most = Rattles.In(envelope.System);
        bool Direction(Length inside, Length card) => inside - card >= least && inside - card <= most;
        return Direction(envelope.Width, width) && Direction(envelope.Height, height);
    }

    private static Envelope Inch(string id, string name, (long N, long D) width, (long N, long D) height) =>
        new(id, name, Length.In(width.N, width.D), Length.In(height.N, height.D), UnitSystem.Imperial);

    private static Envelope Metric(string id, string name, decimal width, decimal height) =>
        new(id, name, Length.Mm(width), Length.Mm(height), UnitSystem.Metric);
}

using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>An envelope by its inside, nominal.</summary>
public sealed record Envelope(string Id, string Name, Length Width, Length Height, UnitSystem System) : IThing
{
    /// <summary>Least looseness beside the card's thickness.</summary>
    private static readonly Pair Loose = Pair.Of(1, 16, 1.5m);

    /// <summary>The most that does not rattle. ISO envelopes are roomier by design: C6 round A6 leaves 9 and 14 mm, C5 round
    /// A5 14 and 19, and these are the pairs everybody uses.</summary>
    private static readonly Pair Rattles = Pair.Of(1, 2, 20m);

    /// <summary>Whether a closed card goes in, either way round, loose enough in both directions and rattling in neither.</summary>
    public bool Takes(Length width, Length height, Length thickness) => Fits(width, height, thickness) || Fits(height, width, thickness);

    private bool Fits(Length width, Length height, Length thickness)
    {
        var least = Loose.For(System) + thickness;
        var most = Rattles.For(System);
        bool Direction(Length inside, Length card) => inside - card >= least && inside - card <= most;
        return Direction(Width, width) && Direction(Height, height);
    }
}

using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>An envelope by its inside, nominal.</summary>
public sealed record Envelope(string Id, string Name, Length Width, Length Height, UnitSystem System) : IThing
{
    /// <summary>What is left beside what the card needs, so that it slides in.</summary>
    private static readonly Pair Loose = Pair.Of(1, 16, 1.5m);

    /// <summary>The most that does not rattle. ISO envelopes are roomier by design: C6 round A6 leaves 9 and 14 mm, C5 round
    /// A5 14 and 19, and these are the pairs everybody uses.</summary>
    private static readonly Pair Rattles = Pair.Of(1, 2, 20m);

    /// <summary>How a closed card goes in, whichever way round is better; null where it does not, or rattles.</summary>
    /// <param name="need">What its thickness takes in each direction beside its size.</param>
    public EnvelopeGrade? GradeFor(Length width, Length height, (Length Across, Length Along) need)
    {
        var (one, other) = (Graded(width, height, need), Graded(height, width, (need.Along, need.Across)));
        return one is null || other < one ? other : one;
    }

    private EnvelopeGrade? Graded(Length width, Length height, (Length Across, Length Along) need)
    {
        var (across, along) = (Width - width, Height - height);
        var spare = Length.Min(across - need.Across, along - need.Along);
        return spare < Length.Zero || Length.Max(across, along) > Rattles.For(System) ? null : spare >= Loose.For(System) ? EnvelopeGrade.Easy : EnvelopeGrade.Snug;
    }
}

/// <summary>How a card goes into an envelope.</summary>
public enum EnvelopeGrade
{
    /// <summary>With room to slide it in.</summary>
    Easy,

    /// <summary>It goes in and fills it: people post such cards every day.</summary>
    Snug,
}

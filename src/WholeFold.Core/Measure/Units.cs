namespace WholeFold.Core.Measure;

/// <summary>The system a tool, a format or a paired rule ("1/16 in / 1.5 mm") belongs to.</summary>
public enum UnitSystem
{
    Imperial,
    Metric,
}

/// <summary>The unit a person reads and types.</summary>
public enum DisplayUnit
{
    Inch,
    Centimetre,
    Millimetre,
}

/// <summary>A rule's figure as the two systems state it. They are two figures, not one converted: 1/16 in and 1.5 mm.</summary>
public readonly record struct Pair(Length Imperial, Length Metric)
{
    public Length For(UnitSystem system) => system == UnitSystem.Imperial ? Imperial : Metric;

    /// <summary>A pair from inches as a fraction and millimetres.</summary>
    public static Pair Of(long inchNumerator, long inchDenominator, decimal millimetres) =>
        new(Length.In(inchNumerator, inchDenominator), Length.Mm(millimetres));
}

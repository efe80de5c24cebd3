using System.Numerics;

namespace WholeFold.Core.Measure;

/// <summary>
/// A length as a whole number of 1/320 mm.
/// </summary>
/// <remarks>
/// In this unit 1/64 in is exactly 127 and 0.05 mm is exactly 16, so every mark on an imperial or a metric tool is
/// exact, sums never drift, and an integer search takes it as it is. Values that do not lie on it (a third of a
/// format) are rounded once, to the nearest unit, where they enter. Range: about ±2.9 × 10¹³ km; no operation checks
/// for overflow because nothing at a card table comes near it.
/// </remarks>
public readonly record struct Length(long Units) : IComparable<Length>,
    IAdditionOperators<Length, Length, Length>, ISubtractionOperators<Length, Length, Length>,
    IUnaryNegationOperators<Length, Length>, IComparisonOperators<Length, Length, bool>
{
    /// <summary>Units in one millimetre.</summary>
    public const long PerMillimetre = 320;

    /// <summary>Units in one inch (25.4 mm).</summary>
    public const long PerInch = 8128;

    public static Length Zero => default;

    /// <summary>The length in millimetres; exact, since a unit has six decimals.</summary>
    public decimal Millimetres => Units / (decimal)PerMillimetre;

    /// <summary>The length in inches, to the precision of <see cref="decimal"/>.</summary>
    public decimal Inches => Units / (decimal)PerInch;

    /// <summary>A length from inches written as a fraction; exact for every denominator up to 64 that divides 64.</summary>
    public static Length In(long numerator, long denominator = 1) => new(new Rational(numerator * PerInch, denominator).Nearest());

    /// <summary>A length from millimetres, rounded to the nearest unit.</summary>
    public static Length Mm(decimal millimetres) => new((long)Math.Round(millimetres * PerMillimetre, MidpointRounding.AwayFromZero));

    /// <summary>The largest multiple of <paramref name="mark"/> that is not above this length.</summary>
    public Length Down(Length mark) => new(Units - Mod(Units, mark.Units));

    /// <summary>The smallest multiple of <paramref name="mark"/> that is not below this length.</summary>
    public Length Up(Length mark) => new(Units + Mod(-Units, mark.Units));

    /// <summary>The multiple of <paramref name="mark"/> nearest to this length; half way goes down, as a hidden edge may be scant.</summary>
    public Length Nearest(Length mark)
    {
        var down = Down(mark);
        return 2 * (Units - down.Units) > mark.Units ? new Length(down.Units + mark.Units) : down;
    }

    /// <summary>Whether this length is a whole number of marks.</summary>
    public bool IsOn(Length mark) => Mod(Units, mark.Units) == 0;

    public Length Abs() => new(Math.Abs(Units));

    public int CompareTo(Length other) => Units.CompareTo(other.Units);

    public static Length Min(Length a, Length b) => a <= b ? a : b;

    public static Length Max(Length a, Length b) => a >= b ? a : b;

    public static Length operator +(Length left, Length right) => new(left.Units + right.Units);

    public static Length operator -(Length left, Length right) => new(left.Units - right.Units);

    public static Length operator -(Length value) => new(-value.Units);

    public static Length operator *(long factor, Length value) => new(factor * value.Units);

    public static bool operator <(Length left, Length right) => left.Units < right.Units;

    public static bool operator >(Length left, Length right) => left.Units > right.Units;

    public static bool operator <=(Length left, Length right) => left.Units <= right.Units;

    public static bool operator >=(Length left, Length right) => left.Units >= right.Units;

    /// <summary>As a caliper is spoken of, to the hundredth of a millimetre: <c>0.34 mm</c>.</summary>
    public string Hundredths => $"{Math.Round(Millimetres, 2, MidpointRounding.AwayFromZero).ToString("0.##", System.Globalization.CultureInfo.InvariantCulture)} mm";

    public override string ToString() => $"{Millimetres.ToString("0.######", System.Globalization.CultureInfo.InvariantCulture)} mm";

    private static long Mod(long value, long modulus) => ((value % modulus) + modulus) % modulus;
}

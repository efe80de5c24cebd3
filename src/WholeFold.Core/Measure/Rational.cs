namespace WholeFold.Core.Measure;

/// <summary>An exact fraction, kept reduced and with a positive denominator: the ratios of a rule (½, ⅕, 0.18) and the
/// values that come of them before they are rounded to a <see cref="Length"/>.</summary>
public readonly struct Rational : IEquatable<Rational>, IComparable<Rational>
{
    private readonly long _denominatorLessOne;

    /// <exception cref="DivideByZeroException">The denominator is zero.</exception>
    public Rational(long numerator, long denominator = 1)
    {
        if (denominator == 0)
        {
            throw new DivideByZeroException("A ratio needs a denominator other than zero.");
        }

        var divisor = Gcd(Math.Abs(numerator), Math.Abs(denominator));
        if (denominator < 0)
        {
            divisor = -divisor;
        }

        Numerator = numerator / divisor;
        _denominatorLessOne = (denominator / divisor) - 1;
    }

    public long Numerator { get; }

    /// <summary>Always at least 1; stored less one so that <c>default</c> is zero and not undefined.</summary>
    public long Denominator => _denominatorLessOne + 1;

    public static Rational Zero => default;

    public static Rational One => new(1);

    public bool IsZero => Numerator == 0;

    public bool IsWhole => Denominator == 1;

    /// <summary>A ratio from a decimal of at most six places, such as 0.18.</summary>
    public static Rational Of(decimal value) => new((long)Math.Round(value * 1_000_000m), 1_000_000);

    public static implicit operator Rational(long value) => new(value);

    public static Rational operator +(Rational a, Rational b) =>
        a.Denominator == b.Denominator
            ? new(a.Numerator + b.Numerator, a.Denominator)
            : new((a.Numerator * b.Denominator) + (b.Numerator * a.Denominator), a.Denominator * b.Denominator);

    public static Rational operator -(Rational a, Rational b) => a + -b;

    public static Rational operator -(Rational a) => new(-a.Numerator, a.Denominator);

    public static Rational operator *(Rational a, Rational b) => new(a.Numerator * b.Numerator, a.Denominator * b.Denominator);

    public static Rational operator /(Rational a, Rational b) => new(a.Numerator * b.Denominator, a.Denominator * b.Numerator);

    public static bool operator <(Rational a, Rational b) => a.CompareTo(b) < 0;

    public static bool operator >(Rational a, Rational b) => a.CompareTo(b) > 0;

    public static bool operator <=(Rational a, Rational b) => a.CompareTo(b) <= 0;

    public static bool operator >=(Rational a, Rational b) => a.CompareTo(b) >= 0;

    public static bool operator ==(Rational a, Rational b) => a.Equals(b);

    public static bool operator !=(Rational a, Rational b) => !a.Equals(b);

    /// <summary>The nearest whole number; half way goes up, so that the result never depends on the sign of a difference.</summary>
    public long Nearest() => FloorDivide((2 * Numerator) + Denominator, 2 * Denominator);

    /// <summary>The largest whole number not above this value.</summary>
    public long Floor() => FloorDivide(Numerator, Denominator);

    /// <summary>The smallest whole number not below this value.</summary>
    public long Ceiling() => -FloorDivide(-Numerator, Denominator);

    public int CompareTo(Rational other) => (Numerator * other.Denominator).CompareTo(other.Numerator * Denominator);

    public bool Equals(Rational other) => Numerator == other.Numerator && Denominator == other.Denominator;

    public override bool Equals(object? obj) => obj is Rational other && Equals(other);

    public override int GetHashCode() => HashCode.Combine(Numerator, Denominator);

    public override string ToString() => IsWhole ? $"{Numerator}" : $"{Numerator}/{Denominator}";

    internal static long Gcd(long a, long b)
    {
        while (b != 0)
        {
            (a, b) = (b, a % b);
        }

        return a == 0 ? 1 : a;
    }

    internal static long Lcm(long a, long b) => a / Gcd(a, b) * b;

    internal static long FloorDivide(long a, long b)
    {
        var quotient = a / b;
        return a % b != 0 && (a < 0) != (b < 0) ? quotient - 1 : quotient;
    }
}

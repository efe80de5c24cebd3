using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>All whole numbers that leave <paramref name="Rest"/> when divided by <paramref name="Step"/>.</summary>
internal readonly record struct Progression(long Rest, long Step)
{
    /// <summary>The x with a·x + b ≡ 0 (mod m); null where there is none.</summary>
    public static Progression? Solve(long a, long b, long m)
    {
        a = Mod(a, m);
        b = Mod(-b, m);
        var g = Rational.Gcd(a, m);
        if (a == 0)
        {
            return b == 0 ? new Progression(0, 1) : null;
        }

        if (b % g != 0)
        {
            return null;
        }

        var step = m / g;
        return new Progression(MulMod(b / g, Inverse(a / g, step), step), step);
    }

    /// <summary>The numbers in both progressions (the Chinese remainder theorem); null where there are none.</summary>
    public Progression? And(Progression other)
    {
        if (other.Step == 1)
        {
            return this;
        }

        if (Step == 1)
        {
            return other;
        }

        // this.Rest + k·Step ≡ other.Rest (mod other.Step)
        return Solve(Step, Rest - other.Rest, other.Step) is { } k
            ? new Progression(Rest + (k.Rest * Step), Rational.Lcm(Step, other.Step)).Reduced()
            : null;
    }

    /// <summary>The largest member not above <paramref name="value"/>.</summary>
    public long AtOrBelow(long value) => value - Mod(value - Rest, Step);

    private Progression Reduced() => new(Mod(Rest, Step), Step);

    private static long Mod(long value, long modulus) => ((value % modulus) + modulus) % modulus;

    private static long MulMod(long a, long b, long m) => (long)((Int128)a * b % m);

    private static long Inverse(long a, long m)
    {
        if (m == 1)
        {
            return 0;
        }

        long x = 1, y = 0, n = m;
        while (a > 1)
        {
            var q = a / n;
            (a, n) = (n, a % n);
            (x, y) = (y, x - (q * y));
        }

        return Mod(x, m);
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>
/// All whole vectors that satisfy some congruences, such as "half the door and the wing together lie on an eighth".
/// </summary>
/// <remarks>
/// Kept as one member and a lower triangular basis: the first coordinate takes every value of a progression, the next every
/// value of one that depends on the first, and so on. Every value of a progression has members of the lattice behind it, so a
/// search that goes through them coordinate by coordinate never meets a dead end but for the bounds.
/// </remarks>
internal sealed class Lattice
{
    private readonly int _n;
    private readonly long[] _member;
    private readonly long[] _basis;

    private Lattice(int n, long[] member, long[] basis) => (_n, _member, _basis) = (n, member, basis);

    /// <summary>All whole vectors.</summary>
    public static Lattice All(int n)
    {
        var basis = new long[n * n];
        for (var i = 0; i < n; i++)
        {
            basis[(i * n) + i] = 1;
        }

        return new Lattice(n, new long[n], basis);
    }

    /// <summary>Those members with a·x + b ≡ 0 (mod m); null where there is none.</summary>
    public Lattice? With(ReadOnlySpan<long> a, long b, long m)
    {
        // In terms of the basis: α·z + β ≡ 0 (mod m).
        Span<long> alpha = stackalloc long[_n];
        var beta = (Int128)b;
        for (var i = 0; i < _n; i++)
        {
            beta += (Int128)a[i] * _member[i];
            for (var j = 0; j <= i; j++)
            {
                alpha[j] = (long)((alpha[j] + ((Int128)a[i] * _basis[(i * _n) + j])) % m);
            }
        }

        var rest = (long)(beta % m);

        // tail[k] = gcd(α_k, …, α_n-1, m): what coordinates from k on can make of the sum.
        Span<long> tail = stackalloc long[_n + 1];
        tail[_n] = m;
        for (var k = _n - 1; k >= 0; k--)
        {
            tail[k] = Rational.Gcd(Math.Abs(alpha[k]), tail[k + 1]);
        }

        if (rest % tail[0] != 0)
        {
            return null;
        }

        if (tail[0] == m)
        {
            return this;
        }

        var basis = new long[_n * _n];
        Span<long> z = stackalloc long[_n];
        for (var i = 0; i < _n; i++)
        {
            z.Clear();
            z[i] = tail[i + 1] / tail[i];
            Complete(alpha, tail, z, i + 1, 0, m);
            Into(z, basis, i);
        }

        z.Clear();
        Complete(alpha, tail, z, 0, rest, m);
        var member = (long[])_member.Clone();
        for (var i = 0; i < _n; i++)
        {
            for (var j = 0; j <= i; j++)
            {
                member[i] += _basis[(i * _n) + j] * z[j];
            }
        }

        return new Lattice(_n, member, basis).Reduced();
    }

    /// <summary>The values that one coordinate takes, whatever the others are.</summary>
    public Progression Alone(int i)
    {
        var step = _basis[(i * _n) + i];
        for (var j = 0; j < i; j++)
        {
            step = Rational.Gcd(Math.Abs(_basis[(i * _n) + j]), step);
        }

        return new Progression(_member[i], step);
    }

    /// <summary>The values that coordinate <paramref name="i"/> takes once those before it are given.</summary>
    /// <param name="x">The coordinates before it.</param>
    /// <param name="z">Filled with how often each basis vector is in them, up to the one before it.</param>
    public Progression Given(int i, ReadOnlySpan<long> x, Span<long> z)
    {
        if (i > 0)
        {
            z[i - 1] = (x[i - 1] - Sum(i - 1, z)) / _basis[((i - 1) * _n) + i - 1];
        }

        return new Progression(Sum(i, z), _basis[(i * _n) + i]);
    }

    private long Sum(int i, ReadOnlySpan<long> z)
    {
        var sum = _member[i];
        for (var j = 0; j < i; j++)
        {
            sum += _basis[(i * _n) + j] * z[j];
        }

        return sum;
    }

    /// <summary>Fills in the coordinates from <paramref name="from"/> on so that α·z + rest ≡ 0.</summary>
    private void Complete(ReadOnlySpan<long> alpha, ReadOnlySpan<long> tail, Span<long> z, int from, long rest, long m)
    {
        var sum = (Int128)rest;
        for (var j = 0; j < from; j++)
        {
            sum += (Int128)alpha[j] * z[j];
        }

        for (var k = from; k < _n; k++)
        {
            z[k] = Progression.Solve(alpha[k], (long)(sum % tail[k + 1]), tail[k + 1])!.Value.Rest;
            sum = (sum + ((Int128)alpha[k] * z[k])) % m;
        }
    }

    /// <summary>Writes the vector of which z says how often each basis vector is in it.</summary>
    private void Into(ReadOnlySpan<long> z, long[] basis, int column)
    {
        for (var i = column; i < _n; i++)
        {
            var sum = 0L;
            for (var j = column; j <= i; j++)
            {
                sum += _basis[(i * _n) + j] * z[j];
            }

            basis[(i * _n) + column] = sum;
        }
    }

    /// <summary>Keeps the figures small: below the diagonal nothing is as large as the diagonal.</summary>
    private Lattice Reduced()
    {
        for (var i = 0; i < _n; i++)
        {
            var step = _basis[(i * _n) + i];
            for (var j = -1; j < i; j++)
            {
                var at = j < 0 ? _member[i] : _basis[(i * _n) + j];
                var times = Rational.FloorDivide(at, step);
                for (var k = i; k < _n && times != 0; k++)
                {
                    if (j < 0)
                    {
                        _member[k] -= times * _basis[(k * _n) + i];
                    }
                    else
                    {
                        _basis[(k * _n) + j] -= times * _basis[(k * _n) + i];
                    }
                }
            }
        }

        return this;
    }
}

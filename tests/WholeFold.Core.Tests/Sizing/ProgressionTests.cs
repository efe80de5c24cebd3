using FsCheck.Xunit;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

public class ProgressionTests
{
    [Property(MaxTest = 300)]
    public bool Solve_gives_exactly_the_numbers_that_satisfy_it(sbyte a, sbyte b, byte m)
    {
        var modulus = (m % 60) + 1;
        var solved = Progression.Solve(a, b, modulus);
        return Enumerable.Range(-130, 260).All(x =>
            (Mod((a * x) + b, modulus) == 0) == (solved is { } s && Mod(x - s.Rest, s.Step) == 0));
    }

    [Property(MaxTest = 300)]
    public bool And_gives_exactly_the_numbers_in_both(byte r1, byte s1, byte r2, byte s2)
    {
        var first = new Progression(r1 % ((s1 % 30) + 1), (s1 % 30) + 1);
        var second = new Progression(r2 % ((s2 % 30) + 1), (s2 % 30) + 1);
        var both = first.And(second);
        bool In(Progression p, int x) => Mod(x - p.Rest, p.Step) == 0;
        return Enumerable.Range(-900, 1800).All(x => (In(first, x) && In(second, x)) == (both is { } b && In(b, x)));
    }

    [Property(MaxTest = 300)]
    public bool A_ratio_rounds_to_the_nearest_and_keeps_its_value(int numerator, short denominator)
    {
        if (denominator == 0)
        {
            return true;
        }

        var ratio = new Rational(numerator, denominator);
        return ratio.Denominator > 0
            && (decimal)ratio.Numerator / ratio.Denominator == (decimal)numerator / denominator
            && Math.Abs(ratio.Nearest() - ((decimal)numerator / denominator)) <= 0.5m
            && ratio.Floor() <= ratio.Nearest() && ratio.Nearest() <= ratio.Ceiling()
            && ratio + -ratio == Rational.Zero
            && ratio * new Rational(3) / new Rational(3) == ratio;
    }

    [Fact]
    public void A_ratio_without_a_denominator_is_refused() => Assert.Throws<DivideByZeroException>(() => new Rational(1, 0));

    private static long Mod(long value, long modulus) => ((value % modulus) + modulus) % modulus;
}

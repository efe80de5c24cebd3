using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>What is left for each unknown: by the bounds, and by what the marks demand of it whatever the others are.</summary>
internal sealed partial class Search
{
    /// <summary>
    /// Draws in each unknown's range by what the bounds allow at the others' best, again and again until nothing moves.
    /// </summary>
    /// <returns>False where a range comes out empty: nothing can satisfy the bounds.</returns>
    private bool Narrow(IReadOnlyList<Bound> bounds)
    {
        for (var moved = true; moved;)
        {
            moved = false;
            foreach (var bound in bounds)
            {
                var form = bound.Form;
                for (var i = 0; i < form.A.Length; i++)
                {
                    if (form.A[i] == 0)
                    {
                        continue;
                    }

                    var rest = form.B;
                    for (var j = 0; j < form.A.Length; j++)
                    {
                        rest += j == i ? 0 : form.A[j] * (form.A[j] > 0 ? _high[j] : _low[j]);
                    }

                    var (low, high) = (_low[i], _high[i]);
                    Tighten(form.A[i], rest, ref _low[i], ref _high[i]);
                    if (_low[i] > _high[i])
                    {
                        return false;
                    }

                    moved |= low != _low[i] || high != _high[i];
                }
            }
        }

        return true;
    }

    /// <summary>
    /// Works out what the marks demand of each unknown whatever the others are: a door on 32nds and a back on 32nds make their
    /// sum one too. Without this, values that fit nothing would be found out only at the far end of the search.
    /// </summary>
    /// <returns>False where nothing is left for one of them.</returns>
    private bool Settle()
    {
        var single = Conditions().Where(c => c.Alternatives.Count == 1).Select(c => c.Alternatives[0]).ToList();
        for (var moved = true; moved;)
        {
            moved = false;
            foreach (var (form, offset, step) in single)
            {
                for (var i = 0; i < form.A.Length; i++)
                {
                    if (form.A[i] == 0)
                    {
                        continue;
                    }

                    var modulus = form.D * step;
                    var rest = form.B - (form.D * offset);
                    for (var j = 0; j < form.A.Length; j++)
                    {
                        if (j != i && form.A[j] != 0)
                        {
                            modulus = Rational.Gcd(Math.Abs(form.A[j]) * _own[j].Step, modulus);
                            rest += form.A[j] * _own[j].Rest;
                        }
                    }

                    if (Progression.Solve(form.A[i], rest, modulus) is not { } demanded || _own[i].And(demanded) is not { } both)
                    {
                        return false;
                    }

                    moved |= both != _own[i];
                    _own[i] = both;
                }
            }
        }

        return true;
    }

    /// <summary>Gives an unknown its value and draws in the ranges of those that are left.</summary>
    /// <returns>The ranges as they were, to go back to; null where nothing is left for one of them.</returns>
    private (long[] Low, long[] High)? NarrowedBy(int unknown, long value, Component component, int left)
    {
        var before = ((long[])_low.Clone(), (long[])_high.Clone());
        if (left < 2)
        {
            return before;
        }

        (_low[unknown], _high[unknown]) = (value, value);
        if (Narrow(component.Bounds))
        {
            return before;
        }

        before.Item1.CopyTo(_low, 0);
        before.Item2.CopyTo(_high, 0);
        return null;
    }

    /// <summary>The range in which a·x + rest ≥ 0.</summary>
    private static void Tighten(long a, long rest, ref long low, ref long high)
    {
        if (a > 0)
        {
            low = Math.Max(low, -Rational.FloorDivide(rest, a));
        }
        else
        {
            high = Math.Min(high, Rational.FloorDivide(rest, -a));
        }
    }
}

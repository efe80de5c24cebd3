using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>What is left for each unknown: by the bounds, and by what the marks demand of it whatever the others are.</summary>
internal sealed partial class Search
{
    private const int MostPasses = 30;

    /// <summary>
    /// Draws in each unknown's range by what the bounds allow at the others' best, again and again until nothing moves, or
    /// for so long that the bounds are better asked all together.
    /// </summary>
    /// <returns>False where a range comes out empty: nothing can satisfy the bounds.</returns>
    private bool Narrow(IReadOnlyList<Bound> bounds)
    {
        var moved = true;
        for (var pass = 0; moved; pass++)
        {
            Spend();
            if (pass == MostPasses)
            {
                return MayHold(bounds);
            }

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

    /// <summary>The sizes that the finished card can have, in order of what they lose; the values are left in place.</summary>
    /// <param name="found">Whether the first of them, which loses least, was enough.</param>
    private IEnumerable<long> Sizes(int[] sides, IReadOnlyList<Bound> bounds, Func<bool> found)
    {
        if (sides.Length == 0)
        {
            yield return 0;
            yield break;
        }

        // Nearly always the first will do. Only then is it worth finding out which sizes have a chance at all, one by one.
        var marks = sides.Select(side => OnMarks(_problem.Unknowns[side], _low[side], _high[side])).ToArray();
        long Lost(long[] sizes) => sides.Select((side, i) => _problem.Unknowns[side].High - sizes[i]).Sum();
        var first = marks.Select(m => m.FirstOrDefault(long.MinValue)).ToArray();
        if (first.Contains(long.MinValue))
        {
            yield break;
        }

        Put(sides, first);
        yield return Lost(first);
        if (found() || !MayHold(bounds))
        {
            yield break;
        }

        var left = marks.Select((m, i) => Possible(sides[i], [.. m], bounds)).ToArray();
        var next = new PriorityQueue<int[], (long Lost, int First)>();
        void Offer(int[] at)
        {
            if (at.Select((a, i) => a < left[i].Length).All(inside => inside))
            {
                next.Enqueue(at, (Lost([.. at.Select((a, i) => left[i][a])]), at[0]));
            }
        }

        Offer(new int[sides.Length]);
        while (next.TryDequeue(out var at, out var key))
        {
            Spend();
            long[] sizes = [.. at.Select((a, i) => left[i][a])];
            Put(sides, sizes);
            if (!sizes.SequenceEqual(first) && HasChance(sides, bounds))
            {
                yield return key.Lost;
            }

            // Each pair is come to in one way only: up the last side from anywhere, up the first from the other's start.
            Offer([.. at[..^1], at[^1] + 1]);
            if (sides.Length == 2 && at[1] == 0)
            {
                Offer([at[0] + 1, 0]);
            }
        }
    }

    /// <summary>Those of a side's sizes that the bounds leave a chance. Bounds are linear, so there is no gap between them.</summary>
    private long[] Possible(int side, IReadOnlyList<long> sizes, IReadOnlyList<Bound> bounds)
    {
        bool HasNone(long size)
        {
            _values[side] = size;
            return !HasChance([side], bounds);
        }

        return [.. sizes.SkipWhile(HasNone).TakeWhile(size => !HasNone(size))];
    }

    private void Put(int[] sides, long[] sizes)
    {
        for (var i = 0; i < sides.Length; i++)
        {
            _values[sides[i]] = sizes[i];
        }
    }

    /// <summary>Whether the bounds leave anything with some unknowns at their values, whatever the others are.</summary>
    private bool HasChance(ReadOnlySpan<int> unknowns, IReadOnlyList<Bound> bounds)
    {
        var (low, high) = ((long[])_low.Clone(), (long[])_high.Clone());
        foreach (var unknown in unknowns)
        {
            (_low[unknown], _high[unknown]) = (_values[unknown], _values[unknown]);
        }

        var chance = Narrow(bounds) && MayHold(bounds);
        low.CopyTo(_low, 0);
        high.CopyTo(_high, 0);
        return chance;
    }

    /// <summary>Draws an unknown's range in to what all bounds together leave of it. They are linear, so that is one stretch.</summary>
    /// <returns>False where they leave nothing.</returns>
    private bool Within(int unknown, IReadOnlyList<Bound> bounds, ref long low, ref long high)
    {
        var (oldLow, oldHigh) = (_low[unknown], _high[unknown]);
        bool Holds(long from, long to)
        {
            (_low[unknown], _high[unknown]) = (from, to);
            return MayHold(bounds);
        }

        var any = Holds(low, high);
        if (any)
        {
            var (first, last) = (low, high);
            for (var to = high; first < to;)
            {
                var middle = first + ((to - first) / 2);
                (first, to) = Holds(low, middle) ? (first, middle) : (middle + 1, to);
            }

            for (var from = first; from < last;)
            {
                var middle = from + ((last - from + 1) / 2);
                (from, last) = Holds(middle, high) ? (middle, last) : (from, middle - 1);
            }

            (low, high) = (first, last);
        }

        (_low[unknown], _high[unknown]) = (oldLow, oldHigh);
        return any;
    }

    /// <summary>The values of a side that lie on one of its marks, the largest first.</summary>
    private static IEnumerable<long> OnMarks(Unknown side, long low, long high)
    {
        long? last = null;
        for (var at = high; at >= low;)
        {
            var next = side.Grid.Max(mark => new Progression(0, mark).AtOrBelow(at));
            if (next < low)
            {
                yield break;
            }

            if (next != last)
            {
                yield return next;
            }

            (last, at) = (next, next - 1);
        }
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

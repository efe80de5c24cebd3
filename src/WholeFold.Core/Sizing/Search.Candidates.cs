using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>The values worth trying for one unknown, given those before it.</summary>
internal sealed partial class Search
{
    /// <summary>The values an unknown can take given those before it, nearest to its ideal first, the lower of two as near.</summary>
    private IEnumerable<long> Candidates(Level level)
    {
        var unknown = _problem.Unknowns[level.Unknown];
        var (low, high) = (_low[level.Unknown], _high[level.Unknown]);
        foreach (var bound in level.Bounds)
        {
            // Those not decided yet count at their best.
            var rest = bound.Form.B;
            for (var i = 0; i < bound.Form.A.Length; i++)
            {
                var a = bound.Form.A[i];
                rest += i == level.Unknown || a == 0 ? 0 : a * (level.Later[i] ? a > 0 ? _high[i] : _low[i] : _values[i]);
            }

            Tighten(bound.Form.A[level.Unknown], rest, ref low, ref high);
        }

        if (low > high)
        {
            yield break;
        }

        var progressions = Allowed(level);
        var below = new long[progressions.Count];
        var above = new long[progressions.Count];
        var start = Math.Clamp(unknown.Ideal.Floor(), low - 1, high);
        for (var i = 0; i < progressions.Count; i++)
        {
            below[i] = progressions[i].AtOrBelow(start);
            above[i] = below[i] + progressions[i].Step;
        }

        long? last = null;
        while (true)
        {
            var pick = -1;
            var pickBelow = false;
            var distance = long.MaxValue;
            for (var i = 0; i < progressions.Count; i++)
            {
                if (below[i] >= low && Away(unknown, below[i]) is var d && d < distance)
                {
                    (pick, pickBelow, distance) = (i, true, d);
                }

                if (above[i] <= high && Away(unknown, above[i]) is var e && (e < distance || (e == distance && !pickBelow && above[i] < above[pick])))
                {
                    (pick, pickBelow, distance) = (i, false, e);
                }
            }

            if (pick < 0)
            {
                yield break;
            }

            var value = pickBelow ? below[pick] : above[pick];
            if (pickBelow)
            {
                below[pick] -= progressions[pick].Step;
            }
            else
            {
                above[pick] += progressions[pick].Step;
            }

            if (value != last)
            {
                last = value;
                yield return value;
            }
        }
    }

    private static long Away(Unknown unknown, long value) => Math.Abs((value * unknown.Ideal.Denominator) - unknown.Ideal.Numerator);

    private List<Progression> Allowed(Level level)
    {
        var allowed = new List<Progression> { _own[level.Unknown] };
        _values[level.Unknown] = 0;
        foreach (var condition in level.Conditions.Concat(level.Asked.Where(a => !_mayBeOff[a.Index]).Select(a => a.Condition)))
        {
            var options = new List<Progression>();
            foreach (var (form, rest, step) in condition.Alternatives)
            {
                var modulus = form.D * step;
                for (var i = 0; i < form.A.Length; i++)
                {
                    if (level.Later[i] && form.A[i] != 0)
                    {
                        modulus = Rational.Gcd(Math.Abs(form.A[i]) * _own[i].Step, modulus);
                    }
                }

                if (Progression.Solve(form.A[level.Unknown], NumeratorBefore(form, level) - (form.D * rest), modulus) is { } solved && !options.Contains(solved))
                {
                    options.Add(solved);
                }
            }

            if (options.Any(o => o.Step == 1))
            {
                continue;
            }

            var joined = new HashSet<Progression>();
            foreach (var a in allowed)
            {
                foreach (var b in options)
                {
                    if (a.And(b) is { } both)
                    {
                        joined.Add(both);
                    }
                }
            }

            if (joined.Count > MostProgressions)
            {
                // Too many mixtures of two systems' marks to list: this one is tested value by value instead.
                continue;
            }

            allowed = [.. joined.Where(p => !joined.Any(q => q != p && p.Step % q.Step == 0 && p.Step != q.Step && (p.Rest - q.Rest) % q.Step == 0)).OrderBy(p => p.Step).ThenBy(p => p.Rest)];
            if (allowed.Count == 0)
            {
                return allowed;
            }
        }

        return allowed;
    }

    /// <summary>The numerator from what is already decided; unknowns not yet decided count with what is known of their rest.</summary>
    private long NumeratorBefore(Form form, Level level)
    {
        var sum = form.B;
        for (var i = 0; i < form.A.Length; i++)
        {
            if (i != level.Unknown)
            {
                sum += form.A[i] * (level.Later[i] ? _own[i].Rest : _values[i]);
            }
        }

        return sum;
    }
}

using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>How far parameters go from their ideals, and what the bounds leave of that.</summary>
internal sealed partial class Search
{
    private sealed partial class Part
    {
        /// <summary>
        /// Draws in each unknown's range to its band; or, one after the other and those set by hand first, to what the bounds
        /// leave nearest to it.
        /// </summary>
        /// <returns>False where nothing is left.</returns>
        private bool Draw()
        {
            foreach (var i in _free.OrderByDescending(i => _problem.Unknowns[i].Strain))
            {
                var unknown = _problem.Unknowns[i];
                if (unknown.Band is not { } band)
                {
                    continue;
                }

                var (low, high) = (_search._low[i], _search._high[i]);
                var (from, to) = (Math.Max(low, (unknown.Ideal - band).Ceiling()), Math.Min(high, (unknown.Ideal + band).Floor()));
                if (_reach == Reach.Comfortable)
                {
                    (_search._low[i], _search._high[i]) = (from, to);
                    continue;
                }

                (_search._low[i], _search._high[i]) = (from, to);
                if (from <= to && _search.MayHold(_component.Bounds))
                {
                    continue;
                }

                (_search._low[i], _search._high[i]) = (low, high);
                if (!_search.Within(i, _component.Bounds, ref low, ref high))
                {
                    return false;
                }

                var nearest = Math.Clamp(unknown.Ideal.Nearest(), low, high);
                (_search._low[i], _search._high[i]) = (Math.Max(low, nearest - Slack), Math.Min(high, nearest + Slack));
            }

            return _search.Narrow(_component.Bounds);
        }

        /// <summary>How much room marks need beside the nearest that the bounds leave.</summary>
        private long Slack => _problem.Tools.Exact ? 64 : Math.Max(2 * _problem.Tools.CutMarks.Max(m => m.Units), _problem.Tools.GrooveRows.Select(r => r.Step.Units / 2).DefaultIfEmpty(0).Max());

        /// <summary>How far parameters may be from their ideals.</summary>
        private enum Reach
        {
            /// <summary>Each within its band, which nearly always does.</summary>
            Comfortable,

            /// <summary>Within its band, or where the bounds leave nothing of that next to what they leave.</summary>
            Near,

            Anywhere,
        }

        /// <summary>
        /// Whether the bounds, all together, leave anything that would not be dearer than the best: a relaxation to numbers that need
        /// not be whole, which bounds the distance from below where each unknown by itself could be at its ideal and all at once cannot.
        /// </summary>
        private bool MayBeAsNear(Cost chosen)
        {
            if (_best is not { Discomfort: 0 } best || !TooDear(chosen with { Distance = long.MaxValue / 4 }))
            {
                return true;
            }

            var limit = TooDear(chosen with { Distance = best.Distance }) ? best.Distance - 1 : best.Distance;
            if (limit < 0 || TooDear(chosen with { Distance = 0 }))
            {
                return false;
            }

            return MayBe(limit, unknown => (_search.CostOf(unknown, 1).Distance * _problem.Unknowns[unknown].Ideal.Denominator, 0));
        }

        private (long Weight, long From) PastComfort(int unknown) => _problem.Unknowns[unknown] is { Band: { } band } its ? (its.Strain, band) : (0, 0);

        /// <summary>
        /// On a machine, whose marks are finer than anybody cuts: whether the bounds leave anything that is more comfortable than the
        /// best by a tenth of a millimetre. On a board it is found out mark by mark.
        /// </summary>
        private bool MayBeMoreComfortable()
        {
            var best = _best!.Value;
            var (low, high) = ((long[])_search._low.Clone(), (long[])_search._high.Clone());
            _lows[0].CopyTo(_search._low, 0);
            _highs[0].CopyTo(_search._high, 0);
            foreach (var side in _problem.Order.Priority == Priority.Board ? [] : _sides)
            {
                (_search._low[side], _search._high[side]) = (_search._values[side], _search._values[side]);
            }

            var most = _problem.Unknowns.Where(u => u.Strain <= best.Discomfort).Select(u => u.Strain).DefaultIfEmpty(1).Max();
            var limit = best.Discomfort - (Tenth * most);
            var may = limit > 0 && MayBe(limit, PastComfort);
            low.CopyTo(_search._low, 0);
            high.CopyTo(_search._high, 0);
            return may;
        }

        /// <summary>Whether the bounds, taken over numbers that need not be whole, leave anything of which the unknowns are away from their ideals at most so much, weighed.</summary>
        /// <param name="weigh">What a unit away costs, and from where on it does.</param>
        private bool MayBe(long limit, Func<int, (long Weight, long From)> weigh)
        {
            var (n, counted) = (_problem.Unknowns.Length, _free.Where(u => weigh(u).Weight > 0).ToArray());
            long[] Wider(long[] a) => [.. a, .. new long[counted.Length]];
            var bounds = _component.Bounds.Select(b => b with { Form = new Form(Wider(b.Form.A), b.Form.B, b.Form.D) }).ToList();
            var (low, high) = (Wider(_search._low), Wider(_search._high));
            var sum = new long[n + counted.Length];
            for (var i = 0; i < counted.Length; i++)
            {
                // Beside each unknown that counts, how far it is from its ideal: at least what it lies above it, and below it.
                var ideal = _problem.Unknowns[counted[i]].Ideal;
                var (weight, from) = weigh(counted[i]);
                sum[n + i] = -weight;
                high[n + i] = (limit / weight) + 1;
                foreach (var sign in new[] { 1, -1 })
                {
                    var away = new long[n + counted.Length];
                    (away[counted[i]], away[n + i]) = (-sign * ideal.Denominator, ideal.Denominator);
                    bounds.Add(new Bound("away", new Form(away, (sign * ideal.Numerator) + (from * ideal.Denominator), ideal.Denominator)));
                }
            }

            bounds.Add(new Bound("away", new Form(sum, limit, Math.Max(1, sum.Select(Math.Abs).DefaultIfEmpty(1).Max()))));
            _search.Spend(4 * Feasibility.Effort);
            return Feasibility.MayHold(bounds, low, high);
        }
    }
}

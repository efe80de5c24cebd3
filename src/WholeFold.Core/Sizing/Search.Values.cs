using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>Every figure is on a mark: the best values among those.</summary>
internal sealed partial class Search
{
    private sealed partial class Part
    {
        private static long Away(Unknown unknown, long value) => Math.Abs((value * unknown.Ideal.Denominator) - unknown.Ideal.Numerator);

        private static long? Nearest(Progression values, Unknown unknown, long low, long high)
        {
            var below = values.AtOrBelow(Math.Clamp(unknown.Ideal.Floor(), low - 1, high));
            var above = below + values.Step;
            long? away = below >= low ? Away(unknown, below) : null;
            return above > high ? away : away is { } a ? Math.Min(a, Away(unknown, above)) : Away(unknown, above);
        }

        /// <summary>Every figure is on a mark: the best values among those.</summary>
        private void Settle(Lattice lattice, Cost chosen) => Value(0, lattice, chosen, default);

        private void Value(int i, Lattice lattice, Cost chosen, Cost away)
        {
            if (i == _free.Length)
            {
                Found(away);
                return;
            }

            // What those after this one cost at least, by what is left of each.
            var rest = default(Cost);
            for (var j = i + 1; j < _free.Length; j++)
            {
                if (Nearest(lattice.Alone(j), _problem.Unknowns[_free[j]], _search._low[_free[j]], _search._high[_free[j]]) is not { } least)
                {
                    return;
                }

                rest += _search.CostOf(_free[j], least);
            }

            var index = _free[i];
            var unknown = _problem.Unknowns[index];
            var values = lattice.Given(i, _x, _z);
            var (low, high) = (_search._low[index], _search._high[index]);
            var below = values.AtOrBelow(Math.Clamp(unknown.Ideal.Floor(), low - 1, high));
            var above = below + values.Step;
            var failed = 0;
            for (var tried = 0; below >= low || above <= high; tried++)
            {
                _search.Spend();
                if (tried == Patience && _best is null && !_search.MayHold(_component.Bounds))
                {
                    return;
                }

                if (failed == Patience && (high - low) / values.Step > Many)
                {
                    // The bounds left nothing of the nearest: rather than one by one, go on from where they leave anything at all.
                    failed++;
                    if (!_search.Within(index, _component.Bounds, ref low, ref high))
                    {
                        return;
                    }

                    below = Math.Min(below, values.AtOrBelow(high));
                    above = Math.Max(above, values.AtOrBelow(low - 1) + values.Step);
                }

                if (_problem.Tools.Exact && tried >= Patience && long.IsPow2(tried) && !MayBeAsNear(chosen))
                {
                    return;
                }

                var takeBelow = above > high || (below >= low && Away(unknown, below) <= Away(unknown, above));
                var value = takeBelow ? below : above;
                (below, above) = takeBelow ? (below - values.Step, above) : (below, above + values.Step);
                var here = away + _search.CostOf(index, Away(unknown, value));
                if (TooDear(chosen + here + rest))
                {
                    // Values come in order of distance, so none that follows can be cheaper.
                    return;
                }

                _x[i] = value;
                _search._values[index] = value;
                var decided = chosen + FinenessDecided(i);
                if (TooDear(decided + here + rest))
                {
                    continue;
                }

                _search._low.CopyTo(_lows[i + 1], 0);
                _search._high.CopyTo(_highs[i + 1], 0);
                (_search._low[index], _search._high[index]) = (value, value);
                var patient = tried < Patience || _best is not null;
                if (_search.Narrow(_component.Bounds) && (patient || _search.MayHold(_component.Bounds)))
                {
                    Value(i + 1, lattice, decided, here);
                }
                else
                {
                    failed++;
                }

                _lows[i + 1].CopyTo(_search._low, 0);
                _highs[i + 1].CopyTo(_search._high, 0);
            }
        }

        /// <summary>How fine a mark the free cuts are on that nothing is open of any more.</summary>
        private Cost FinenessDecided(int i)
        {
            var cost = default(Cost);
            foreach (var cut in _decided[i])
            {
                cost += new Cost { Fineness = _problem.Tools.FinenessOf(new Length(cut.At.Value(_search._values))) };
            }

            return cost;
        }

        private void Found(Cost away)
        {
            _search.Spend(EffortOfPlan);
            var cost = _given + away + _search.CostOf(_component);
            if (cost.OffGroove > 0 && _search.MustBeOnStops)
            {
                return;
            }

            var compared = _best is { } best ? cost.Compare(best, _problem.Order) : -1;
            if (compared < 0 || (compared == 0 && IsNearer()))
            {
                _best = cost;
                _goodEnough = _problem.Tools.Exact && cost.Discomfort > 0 && !MayBeMoreComfortable();
                Array.Copy(_search._values, _bestValues, _bestValues.Length);
            }
        }

        /// <summary>Of two that cost the same: unknown by unknown, the nearer and then the lower one.</summary>
        private bool IsNearer()
        {
            foreach (var u in _component.Unknowns)
            {
                var (now, best) = (Away(_problem.Unknowns[u], _search._values[u]), Away(_problem.Unknowns[u], _bestValues[u]));
                if (now != best || _search._values[u] != _bestValues[u])
                {
                    return now < best || (now == best && _search._values[u] < _bestValues[u]);
                }
            }

            return false;
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>
/// The exact search over tool marks.
/// </summary>
/// <remarks>
/// Unknowns fall into independent components (x and y chains rarely share any). In one, the finished sizes are taken in order
/// of what they lose. Then each figure is put on one of the kinds of marks that can hold it, a groove as it lies or turned
/// round before a ruler's mark: every such choice is one congruence, and all of them together a <see cref="Lattice"/>. What
/// the lattice leaves of each unknown bounds the distance from the ideals from below, so that most choices are given up at
/// once. In what is left values are tried nearest first. The result is the optimum of the whole ordered cost; equal ones go
/// to the one nearest to its ideal and then lowest, unknown by unknown: the same every time.
/// </remarks>
internal sealed partial class Search
{
    /// <summary>What all the searches of one sizing may cost together: some tenths of a second. Nearly all take a hundredth of it.</summary>
    internal const long Budget = 250_000;

    /// <summary>The most scores that one piece can have.</summary>
    internal const int MostScores = 32;

    private readonly Problem _problem;
    private readonly long[] _values;
    private readonly long[] _low;
    private readonly long[] _high;
    private long _left;

    private Search(Problem problem)
    {
        _problem = problem;
        _values = new long[problem.Unknowns.Length];
        _left = problem.Effort;
        _low = [.. problem.Unknowns.Select(u => u.Low)];
        _high = [.. problem.Unknowns.Select(u => u.High)];
    }

    /// <summary>The best values with their cost, or null where nothing satisfies the hard requirements.</summary>
    /// <exception cref="UndecidedException">The effort was used up before anything was found.</exception>
    public static Solution? Solve(Problem problem)
    {
        var search = new Search(problem);
        if (!search.Narrow(problem.Bounds))
        {
            return null;
        }

        var (total, gap) = (default(Cost), (Gap?)null);
        foreach (var component in search.Components())
        {
            // For the ends of one unknown's range, what is independent of it does not matter.
            if (problem.OnlyUnknown is { } only && !component.Unknowns.Contains(only))
            {
                continue;
            }

            var part = new Part(search, component);
            if (part.Solve() is not { } cost)
            {
                return null;
            }

            total += cost;
            gap = Gap.Of(gap, part.Gap);
        }

        return new Solution(search._values, total, gap, problem.Effort - search._left);
    }

    /// <summary>Counts what is looked into. The budget is in these and not in time, so that every machine finds the same.</summary>
    private void Spend(int effort = 1)
    {
        _left -= effort;
        if (_left < 0)
        {
            throw new UndecidedException();
        }

        _problem.Cancel.ThrowIfCancellationRequested();
    }

    /// <summary>Whether all bounds together leave anything.</summary>
    private bool MayHold(IReadOnlyList<Bound> bounds)
    {
        Spend(Feasibility.Effort);
        return Feasibility.MayHold(bounds, _low, _high);
    }

    /// <summary>The search of one component.</summary>
    private sealed class Part
    {
        /// <summary>After so many values with nothing found, the bounds are asked all together before one more is looked into.</summary>
        private const int Patience = 8;

        /// <summary>What planning the settings costs, beside a value that is tried.</summary>
        private const int EffortOfPlan = 10;

        private readonly Search _search;
        private readonly Problem _problem;
        private readonly Component _component;
        private readonly int[] _sides;
        private readonly int[] _free;
        private readonly Choice[] _choices;
        private readonly long[] _x;
        private readonly long[] _z;
        private readonly long[][] _lows;
        private readonly long[][] _highs;
        private readonly long[] _bestValues;
        private Cost? _best;
        private Cost _given;
        private long _mostOff;

        public Part(Search search, Component component)
        {
            (_search, _problem, _component) = (search, search._problem, component);
            _sides = [.. component.Unknowns.Where(u => search.IsSizeFirst(u))];
            _free = [.. component.Unknowns.Where(u => u == _problem.OnlyUnknown), .. component.Unknowns.Where(u => !_sides.Contains(u) && u != _problem.OnlyUnknown)];
            _choices = [.. search.Choices(component).OrderBy(c => c.Options.Count > 1)];
            (_x, _z) = (new long[_free.Length], new long[_free.Length]);
            _lows = [.. Enumerable.Range(0, _free.Length + 1).Select(_ => new long[_problem.Unknowns.Length])];
            _highs = [.. Enumerable.Range(0, _free.Length + 1).Select(_ => new long[_problem.Unknowns.Length])];
            _bestValues = new long[_problem.Unknowns.Length];
        }

        /// <summary>How much better there may be something, where the effort was used up with something found.</summary>
        public Gap? Gap { get; private set; }

        public Cost? Solve()
        {
            try
            {
                Look();
            }
            catch (UndecidedException) when (_best is not null)
            {
                // All that would lose less size, or leave fewer scores off a groove, has been gone through by then.
                Gap = new Gap(Math.Max(0, _best.Value.Shortfall - _given.Shortfall), Math.Max(0, _best.Value.OffGroove - _mostOff));
            }

            if (_best is null)
            {
                return null;
            }

            foreach (var u in _component.Unknowns)
            {
                _search._values[u] = _bestValues[u];
            }

            return _best;
        }

        private void Look()
        {
            if (_component.Bounds.Any(b => b.Form.B < 0 && b.Form.A.All(a => a == 0)))
            {
                return;
            }

            // Iterative deepening over the scores off a groove: none first, then one, and so on, inside or outside the loss of size.
            var most = _problem.Order.Priority == Priority.Proportions ? 0 : _choices.Sum(c => c.Options.Max(o => o.Cost.OffGroove));
            var outer = _problem.Order.Priority == Priority.Board ? most : 0;
            for (var off = _problem.AnyWillDo ? outer : 0; off <= outer; off++)
            {
                if (_best is { } found && (found.OffGroove < off || _problem.AnyWillDo))
                {
                    break;
                }

                bool IsEnough() => _best is { } b && (_problem.AnyWillDo || _problem.Order.Priority != Priority.Board || b.OffGroove <= off);
                foreach (var shortfall in _search.Sizes(_sides, _component.Bounds, IsEnough))
                {
                    _given = new Cost(shortfall, 0, 0, 0, 0, 0);
                    if (_best is { } b && (_problem.AnyWillDo || b.Shortfall < shortfall) && IsEnough())
                    {
                        break;
                    }

                    _mostOff = _problem.AnyWillDo ? most : off;
                    WithSizes(outer > 0 || most == 0 ? off : most);
                }
            }
        }

        /// <summary>The finished sizes are given: tries with ever more scores off a groove.</summary>
        private void WithSizes(long most)
        {
            _search.Spend();
            _search._low.CopyTo(_lows[0], 0);
            _search._high.CopyTo(_highs[0], 0);
            foreach (var side in _sides)
            {
                (_search._low[side], _search._high[side]) = (_search._values[side], _search._values[side]);
            }

            if (_search.Narrow(_component.Bounds))
            {
                for (; _mostOff <= most; _mostOff++)
                {
                    if (_best is { } b && b.Shortfall <= _given.Shortfall && b.OffGroove < _mostOff && _problem.Order.Priority != Priority.Proportions)
                    {
                        break;
                    }

                    Choose(0, Lattice.All(_free.Length), default);
                }
            }

            _lows[0].CopyTo(_search._low, 0);
            _highs[0].CopyTo(_search._high, 0);
        }

        private void Choose(int index, Lattice lattice, Cost chosen)
        {
            _search.Spend();
            if (Hopeless(lattice, chosen))
            {
                return;
            }

            if (index == _choices.Length)
            {
                Settle(lattice, chosen);
                return;
            }

            var options = _choices[index].Options;
            foreach (var option in options)
            {
                // What all members do already, at no cost, makes every other option a part of this one.
                if ((option.Cost == default || _problem.AnyWillDo) && ReferenceEquals(Narrower(lattice, option), lattice))
                {
                    Choose(index + 1, lattice, chosen);
                    return;
                }
            }

            foreach (var option in options)
            {
                var cost = chosen + option.Cost;
                if (cost.OffGroove <= _mostOff && Narrower(lattice, option) is { } narrower)
                {
                    Choose(index + 1, narrower, cost);
                }
            }
        }

        /// <summary>The members with a figure on the option's marks; the same lattice where all are.</summary>
        private Lattice? Narrower(Lattice lattice, Option option)
        {
            if (option.Form is not { } form)
            {
                return lattice;
            }

            var b = form.B - (form.D * option.Offset);
            foreach (var side in _sides)
            {
                b += form.A[side] * _search._values[side];
            }

            Span<long> a = stackalloc long[_free.Length];
            for (var i = 0; i < _free.Length; i++)
            {
                a[i] = form.A[_free[i]];
            }

            return lattice.With(a, b, form.D * option.Step);
        }

        /// <summary>Whether what the lattice leaves of each unknown is nothing, or already dearer than the best.</summary>
        private bool Hopeless(Lattice lattice, Cost chosen)
        {
            var distance = 0L;
            for (var i = 0; i < _free.Length; i++)
            {
                var unknown = _problem.Unknowns[_free[i]];
                if (Nearest(lattice.Alone(i), unknown, _search._low[_free[i]], _search._high[_free[i]]) is not { } away)
                {
                    return true;
                }

                distance += CostOf(_free[i], away);
            }

            return TooDear(chosen with { Distance = distance });
        }

        private bool TooDear(Cost cost)
        {
            if (_best is not { } best)
            {
                return false;
            }

            // Equal ones are looked at too, since they may take fewer turns; of one unknown's range only the first counts, and
            // where nothing is turned or set the first is the nearest, too.
            var compared = (cost + _given).Compare(best, _problem.Order);
            return _problem.AnyWillDo || compared > 0 || (compared == 0 && (_problem.OnlyUnknown is not null || _problem.Tools.Exact));
        }

        /// <summary>
        /// Whether the bounds, all together, leave anything that would not be dearer than the best: a relaxation to numbers that need
        /// not be whole, which bounds the distance from below where each unknown by itself could be at its ideal and all at once cannot.
        /// </summary>
        private bool MayBeAsNear(Cost chosen)
        {
            if (_best is not { } best || !TooDear(chosen with { Distance = long.MaxValue / 4 }))
            {
                return true;
            }

            var limit = TooDear(chosen with { Distance = best.Distance }) ? best.Distance - 1 : best.Distance;
            if (limit < 0 || TooDear(chosen with { Distance = 0 }))
            {
                return false;
            }

            // Beside each unknown that counts, how far it is from its ideal: at least what it lies above it, and below it.
            var (n, counted) = (_problem.Unknowns.Length, _free.Where(u => CostOf(u, 1) > 0).ToArray());
            long[] Wider(long[] a) => [.. a, .. new long[counted.Length]];
            var bounds = _component.Bounds.Select(b => b with { Form = new Form(Wider(b.Form.A), b.Form.B, b.Form.D) }).ToList();
            var (low, high) = (Wider(_search._low), Wider(_search._high));
            var sum = new long[n + counted.Length];
            for (var i = 0; i < counted.Length; i++)
            {
                var ideal = _problem.Unknowns[counted[i]].Ideal;
                var weight = CostOf(counted[i], 1) * ideal.Denominator;
                sum[n + i] = -weight;
                high[n + i] = (limit / weight) + 1;
                foreach (var sign in new[] { 1, -1 })
                {
                    var away = new long[n + counted.Length];
                    (away[counted[i]], away[n + i]) = (-sign * ideal.Denominator, ideal.Denominator);
                    bounds.Add(new Bound("distance", new Form(away, sign * ideal.Numerator, ideal.Denominator)));
                }
            }

            bounds.Add(new Bound("distance", new Form(sum, limit, Math.Max(1, sum.Select(Math.Abs).DefaultIfEmpty(1).Max()))));
            _search.Spend(4 * Feasibility.Effort);
            return Feasibility.MayHold(bounds, low, high);
        }

        private long CostOf(int unknown, long away) => _problem.OnlyUnknown is { } only && only != unknown ? 0 : _problem.Unknowns[unknown].Weight * away;

        private static long Away(Unknown unknown, long value) => Math.Abs((value * unknown.Ideal.Denominator) - unknown.Ideal.Numerator);

        private static long? Nearest(Progression values, Unknown unknown, long low, long high)
        {
            var below = values.AtOrBelow(Math.Clamp(unknown.Ideal.Floor(), low - 1, high));
            var above = below + values.Step;
            long? away = below >= low ? Away(unknown, below) : null;
            return above > high ? away : away is { } a ? Math.Min(a, Away(unknown, above)) : Away(unknown, above);
        }

        /// <summary>Every figure is on a mark: the best values among those.</summary>
        private void Settle(Lattice lattice, Cost chosen) => Value(0, lattice, chosen, 0);

        private void Value(int i, Lattice lattice, Cost chosen, long distance)
        {
            if (i == _free.Length)
            {
                Found(distance);
                return;
            }

            // What those after this one cost at least, by what is left of each.
            var rest = 0L;
            for (var j = i + 1; j < _free.Length; j++)
            {
                if (Nearest(lattice.Alone(j), _problem.Unknowns[_free[j]], _search._low[_free[j]], _search._high[_free[j]]) is not { } away)
                {
                    return;
                }

                rest += CostOf(_free[j], away);
            }

            var index = _free[i];
            var unknown = _problem.Unknowns[index];
            var values = lattice.Given(i, _x, _z);
            var (low, high) = (_search._low[index], _search._high[index]);
            var below = values.AtOrBelow(Math.Clamp(unknown.Ideal.Floor(), low - 1, high));
            var above = below + values.Step;
            for (var tried = 0; below >= low || above <= high; tried++)
            {
                _search.Spend();
                if (tried == Patience && _best is null && !_search.MayHold(_component.Bounds))
                {
                    return;
                }

                if (_problem.Tools.Exact && tried >= Patience && long.IsPow2(tried) && !MayBeAsNear(chosen))
                {
                    return;
                }

                var takeBelow = above > high || (below >= low && Away(unknown, below) <= Away(unknown, above));
                var value = takeBelow ? below : above;
                (below, above) = takeBelow ? (below - values.Step, above) : (below, above + values.Step);
                var here = distance + CostOf(index, Away(unknown, value));
                if (TooDear(chosen with { Distance = here + rest }))
                {
                    // Values come in order of distance, so none that follows can be cheaper.
                    return;
                }

                _x[i] = value;
                _search._values[index] = value;
                _search._low.CopyTo(_lows[i + 1], 0);
                _search._high.CopyTo(_highs[i + 1], 0);
                (_search._low[index], _search._high[index]) = (value, value);
                var patient = tried < Patience || _best is not null;
                if (_search.Narrow(_component.Bounds) && (patient || _search.MayHold(_component.Bounds)))
                {
                    Value(i + 1, lattice, chosen, here);
                }

                _lows[i + 1].CopyTo(_search._low, 0);
                _highs[i + 1].CopyTo(_search._high, 0);
            }
        }

        private void Found(long distance)
        {
            _search.Spend(EffortOfPlan);
            var cost = _given + _search.CostOf(_component) with { Distance = distance };
            if (cost.OffGroove > 0 && _search.MustBeOnStops)
            {
                return;
            }

            var compared = _best is { } best ? cost.Compare(best, _problem.Order) : -1;
            if (compared < 0 || (compared == 0 && IsNearer()))
            {
                _best = cost;
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

/// <summary>What a search found.</summary>
/// <param name="Gap">Null where it is proven the least.</param>
/// <param name="Effort">What it cost to find.</param>
internal sealed record Solution(long[] Values, Cost Cost, Gap? Gap, long Effort);

/// <summary>How much better than the best found there may be something that was not come to, at the most.</summary>
/// <param name="Size">Of what is lost of the finished size, in units.</param>
/// <param name="OffGroove">Of the scores off a groove.</param>
public sealed record Gap(long Size, long OffGroove)
{
    internal static Gap? Of(Gap? one, Gap? other) => one is null ? other : other is null ? one : new Gap(one.Size + other.Size, one.OffGroove + other.OffGroove);
}

/// <summary>The search used up the effort it was given without finding out whether there is a solution.</summary>
internal sealed class UndecidedException : Exception;

/// <summary>The last resort: figures rounded to the marks one by one, positions rather than panels, so that errors do not add up.</summary>
internal static class Marks
{
    public static (Length At, Length Width) Rounded(ToolSet tools, Length at, Length width)
    {
        var cut = tools.CutDown(width);
        if (tools.OnStop(at) || tools.OnStop(cut - at))
        {
            return (at, cut);
        }

        return (tools.RulerMarks.Count == 0 ? at : tools.RulerNearest(at), cut);
    }
}

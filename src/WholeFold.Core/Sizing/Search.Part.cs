using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>What is looked into, and in which order, within one component.</summary>
internal sealed partial class Search
{
    /// <summary>The search of one component.</summary>
    private sealed partial class Part
    {
        /// <summary>After so many values with nothing found, the bounds are asked all together before one more is looked into.</summary>
        private const int Patience = 8;

        /// <summary>Fewer values than this are looked into one by one before it is worked out which of them the bounds leave.</summary>
        private const int Many = 64;

        /// <summary>A tenth of a millimetre, in units.</summary>
        private const long Tenth = 32;

        /// <summary>What planning the settings costs, beside a value that is tried.</summary>
        private const int EffortOfPlan = 10;

        /// <summary>What putting a figure on marks costs.</summary>
        private const int EffortOfMarks = 4;

        private readonly Search _search;
        private readonly Problem _problem;
        private readonly Component _component;
        private readonly int[] _sides;
        private readonly int[] _free;
        private readonly Choice[] _choices;
        private readonly long[] _x;
        private readonly long[] _z;
        private readonly CutForm[][] _decided;
        private readonly long[][] _lows;
        private readonly long[][] _highs;
        private readonly long[] _bestValues;
        private Cost? _best;
        private Cost _given;
        private long _mostOff;
        private bool _goodEnough;
        private Reach _reach = Reach.Anywhere;

        public Part(Search search, Component component)
        {
            (_search, _problem, _component) = (search, search._problem, component);
            _sides = [.. component.Unknowns.Where(u => search.IsSizeFirst(u))];
            var rest = component.Unknowns.Where(u => !_sides.Contains(u) && u != _problem.OnlyUnknown);
            _free = [.. component.Unknowns.Where(u => u == _problem.OnlyUnknown), .. _problem.OnlyUnknown is null && !_problem.AnyWillDo ? DearestFirst(rest) : rest];
            _decided = [.. _free.Select((_, i) => component.Cuts.Where(c => search.IsFree(c) && Last(c.At) == i).ToArray())];
            _choices = [.. search.Choices(component).OrderBy(c => c.Options.Count > 1)];
            (_x, _z) = (new long[_free.Length], new long[_free.Length]);
            _lows = [.. Enumerable.Range(0, _free.Length + 1).Select(_ => new long[_problem.Unknowns.Length])];
            _highs = [.. Enumerable.Range(0, _free.Length + 1).Select(_ => new long[_problem.Unknowns.Length])];
            _bestValues = new long[_problem.Unknowns.Length];
        }

        /// <summary>In which order values are taken: what costs most first, so that most of the rest is given up at once. What a person set comes
        /// before all that nobody did, and what only cuts hang on, which are free to go to a coarse mark, before what scores hang on.</summary>
        private IEnumerable<int> DearestFirst(IEnumerable<int> unknowns) => unknowns.OrderByDescending(u => _problem.Unknowns[u].Strain).ThenByDescending(u => _problem.Unknowns[u].CutsOnly);

        /// <summary>The last of the unknowns, in the order in which they are taken, that a figure hangs on.</summary>
        private int Last(Form form) => Array.FindLastIndex(_free, u => form.A[u] != 0);

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

            // Where the bounds leave nothing at all, no mark does.
            if (_component.Unknowns.Count > 1 && !_search.MayHold(_component.Bounds))
            {
                return;
            }

            // Within comfort first, which nearly always does; past it only where nothing can be set within.
            if (_problem.Order.Priority == Priority.Board && !_problem.AnyWillDo)
            {
                foreach (var reach in Reaches)
                {
                    _reach = reach;
                    LookThrough();
                    if (_best is { Discomfort: 0 } || _goodEnough)
                    {
                        return;
                    }
                }

                return;
            }

            LookThrough();
        }

        /// <summary>How far parameters may be from their ideals: what is tried, in that order.</summary>
        private Reach[] Reaches => _problem.AnyWillDo || _problem.Unknowns.All(u => u.Band is null) ? [Reach.Anywhere] : [Reach.Comfortable, Reach.Near, Reach.Anywhere];

        private void LookThrough()
        {
            // Iterative deepening over the scores off a groove: none first, then one, and so on, inside or outside the loss of size.
            var most = _problem.Order.Priority == Priority.Proportions ? 0 : _choices.Sum(c => c.Options.Max(o => o.Cost.OffGroove));
            var eager = _problem.Order.Priority == Priority.Board && (_reach != Reach.Anywhere || Reaches.Length == 1);
            var outer = eager ? most : 0;
            for (var off = _problem.AnyWillDo ? outer : 0; off <= outer; off++)
            {
                if (_best is { } found && (found.OffGroove < off || _problem.AnyWillDo))
                {
                    break;
                }

                bool IsEnough() => _best is { } b && (_problem.AnyWillDo || _problem.Order.Priority != Priority.Board || (eager && b.OffGroove <= off));
                foreach (var shortfall in _search.Sizes(_sides, _component.Bounds, IsEnough))
                {
                    _given = new Cost { Shortfall = shortfall };
                    if (_best is { } b && (_problem.AnyWillDo || b.Shortfall < shortfall) && IsEnough())
                    {
                        break;
                    }

                    _mostOff = _problem.AnyWillDo ? most : off;
                    if (_problem.Order.Priority == Priority.Board || _problem.AnyWillDo)
                    {
                        WithSizes(outer > 0 || most == 0 ? off : most);
                        continue;
                    }

                    foreach (var reach in Reaches)
                    {
                        if (_best is { } good && (good.Discomfort == 0 || _goodEnough) && good.Shortfall <= shortfall)
                        {
                            break;
                        }

                        (_reach, _mostOff) = (reach, off);
                        WithSizes(most);
                    }
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

            // Past comfort that is what is kept least, whatever lies off a groove. Where something is known already, what is left
            // is only looked into for a while: better figures than the nearest that the bounds leave are rare.
            var pastComfort = Reaches.Length > 1 && _reach != Reach.Comfortable;
            var spared = pastComfort && _best is not null ? _search._left / 4 * 3 : 0;
            _search._left -= spared;
            try
            {
                if (_search.Narrow(_component.Bounds) && (_free.Length < 2 || _search.MayHold(_component.Bounds)) && (_reach == Reach.Anywhere || Draw()))
                {
                    _mostOff = pastComfort ? most : _mostOff;
                    for (; _mostOff <= most; _mostOff++)
                    {
                        if (!pastComfort && _best is { Discomfort: 0 } b && b.Shortfall <= _given.Shortfall && b.OffGroove < _mostOff && _problem.Order.Priority != Priority.Proportions)
                        {
                            break;
                        }

                        Choose(0, Lattice.All(_free.Length), default);
                    }
                }
            }
            finally
            {
                _search._left += spared;
            }

            _lows[0].CopyTo(_search._low, 0);
            _highs[0].CopyTo(_search._high, 0);
        }

        private void Choose(int index, Lattice lattice, Cost chosen)
        {
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

            // This is what most of the time goes into, so each counts, whether anything is left or not.
            _search.Spend(EffortOfMarks);
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
            for (var i = 0; i < _free.Length; i++)
            {
                var unknown = _problem.Unknowns[_free[i]];
                if (Nearest(lattice.Alone(i), unknown, _search._low[_free[i]], _search._high[_free[i]]) is not { } away)
                {
                    return true;
                }

                chosen += _search.CostOf(_free[i], away);
            }

            return TooDear(chosen);
        }

        private bool TooDear(Cost cost)
        {
            if (_best is not { } best)
            {
                return false;
            }

            if (_goodEnough && best.Shortfall <= _given.Shortfall)
            {
                return true;
            }

            // Equal ones are looked at too, since they may take fewer turns; of one unknown's range only the first counts, and
            // where nothing is turned or set the first is the nearest, too.
            var compared = (cost + _given).Compare(best, _problem.Order);
            return _problem.AnyWillDo || compared > 0 || (compared == 0 && (_problem.OnlyUnknown is not null || _problem.Tools.Exact));
        }
    }
}

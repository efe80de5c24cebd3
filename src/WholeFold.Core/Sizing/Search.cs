using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>
/// The exact search over tool marks.
/// </summary>
/// <remarks>
/// Unknowns fall into independent components (x and y chains rarely share any). Within one, values are tried in order of
/// their distance from the ideal, so that the first solution is nearly always the best and its cost prunes the rest.
/// What the marks demand of one unknown, given those before it, is a congruence: "the door, (W − c)/2, lies on a
/// 32nd" says c ≡ W modulo a 16th. Congruences are joined by the Chinese remainder theorem, so that only values that
/// can be set are ever tried. The result is the optimum of the whole ordered cost; equal ones go to the first found,
/// which is the one nearest and then lowest, unknown by unknown: the same every time.
/// </remarks>
internal sealed partial class Search
{
    private const int MostProgressions = 64;

    /// <summary>The most scores that one piece can have.</summary>
    internal const int MostScores = 32;

    private readonly Problem _problem;
    private readonly long[] _values;
    private readonly long[] _low;
    private readonly Progression[] _own;
    private bool[] _mayBeOff = [];
    private long _effort;
    private readonly long[] _high;

    private Search(Problem problem)
    {
        _problem = problem;
        _values = new long[problem.Unknowns.Length];
        _effort = problem.Effort;
        _low = [.. problem.Unknowns.Select(u => u.Low)];
        _high = [.. problem.Unknowns.Select(u => u.High)];
        _own = [.. problem.Unknowns.Select(_ => new Progression(0, 1))];
    }

    /// <summary>The best values with their cost, or null where nothing satisfies the hard requirements.</summary>
    public static (long[] Values, Cost Cost)? Solve(Problem problem)
    {
        var search = new Search(problem);
        if (!search.Narrow(problem.Bounds) || !search.Settle())
        {
            return null;
        }

        var total = default(Cost);
        foreach (var component in search.Components())
        {
            // For the ends of one unknown's range, what is independent of it does not matter.
            if (problem.OnlyUnknown is { } only && !component.Unknowns.Contains(only))
            {
                continue;
            }

            if (search.SolveComponent(component) is not { } cost)
            {
                return null;
            }

            total += cost;
        }

        return (search._values, total);
    }

    private sealed record Component(List<int> Unknowns, List<Bound> Bounds, List<Condition> Conditions, List<List<ScoreForm>> Strips, List<CutForm> Cuts);

    /// <summary>Any of these must hold: form ≡ rest (mod step), the value whole.</summary>
    private sealed record Condition(IReadOnlyList<(Form Form, long Offset, long Step)> Alternatives);

    /// <summary>One unknown of the order in which a component is searched, with what becomes decidable once it has a value.</summary>
    private sealed class Level
    {
        public required int Unknown { get; init; }

        public required bool[] Later { get; init; }

        public List<Bound> Bounds { get; } = [];

        public List<Condition> Conditions { get; } = [];

        public List<ScoreForm> Scores { get; } = [];

        public List<CutForm> Cuts { get; } = [];

        /// <summary>Grooves that may be asked for: which of them, and whether it is decided with this unknown.</summary>
        public List<(int Index, Condition Condition, bool IsLast)> Asked { get; } = [];

        /// <summary>Conditions with alternatives that this unknown is the last of.</summary>
        public List<Condition> Settled { get; } = [];
    }

    private Cost? SolveComponent(Component component)
    {
        var order = Order(component);
        var n = _problem.Unknowns.Length;
        var levels = new Level[order.Count];
        for (var i = 0; i < order.Count; i++)
        {
            var later = new bool[n];
            foreach (var u in order.Skip(i + 1))
            {
                later[u] = true;
            }

            levels[i] = new Level { Unknown = order[i], Later = later };
        }

        int LastLevel(Form f)
        {
            for (var i = levels.Length - 1; i >= 0; i--)
            {
                if (f.A[levels[i].Unknown] != 0)
                {
                    return i;
                }
            }

            return -1;
        }

        var fixedCost = default(Cost);
        foreach (var bound in component.Bounds)
        {
            foreach (var level in levels.Where(l => bound.Form.A[l.Unknown] != 0))
            {
                level.Bounds.Add(bound);
            }

            if (LastLevel(bound.Form) < 0 && bound.Form.B < 0)
            {
                return null;
            }
        }

        foreach (var condition in component.Conditions)
        {
            var last = condition.Alternatives.Max(a => LastLevel(a.Form));
            if (last < 0 && !Holds(condition))
            {
                return null;
            }

            // What a congruence demands of an earlier unknown follows from its gcd with the later ratios.
            for (var i = 0; i <= last; i++)
            {
                if (condition.Alternatives.Any(a => a.Form.A[levels[i].Unknown] != 0))
                {
                    levels[i].Conditions.Add(condition);
                }
            }

            if (last >= 0 && condition.Alternatives.Count > 1)
            {
                levels[last].Settled.Add(condition);
            }
        }

        foreach (var score in component.Strips.SelectMany(s => s))
        {
            var at = Math.Max(LastLevel(score.At), LastLevel(score.Width));
            if (at >= 0)
            {
                levels[at].Scores.Add(score);
            }
            else
            {
                fixedCost += Off(score);
            }
        }

        foreach (var cut in component.Cuts)
        {
            if (LastLevel(cut.At) is var at and >= 0)
            {
                levels[at].Cuts.Add(cut);
            }
            else
            {
                fixedCost += Fine(cut);
            }
        }

        // Scores are asked onto grooves all at once, then all but the fewest: each set that may be off is one search, with
        // everything else as a congruence, so that hopeless branches are never entered. Not where distance comes first.
        var sides = levels.TakeWhile(l => _problem.Unknowns[l.Unknown].IsSide).Count();
        var deepenAt = !_problem.OnMarks || (_problem.Tools.Stops.Count == 0 && !CountsSixteenths) || _problem.OnlyUnknown is not null ? -1
            : _problem.Priority switch { Priority.Board => 0, Priority.Format => sides, _ => -1 };
        var asked = deepenAt < 0 ? [] : Asked(component, levels, LastLevel, deepenAt);
        _mayBeOff = new bool[asked.Count];
        var sets = Enumerable.Range(0, 1 << asked.Count)
            .Select(m => (Mask: m, Cost: asked.Where((_, i) => (m & (1 << i)) != 0).Aggregate(default(Cost), (sum, a) => sum + a.IfNot)))
            .OrderBy(t => t.Cost.OffGroove).ThenBy(t => t.Cost.Sixteenths).ThenBy(t => t.Mask).ToList();

        Cost? best = null;
        var bestValues = new long[n];
        void Descend(int depth, Cost cost)
        {
            if (depth != deepenAt)
            {
                Try(depth, cost);
                return;
            }

            foreach (var (mask, ifNot) in sets)
            {
                // Every one of this set is off, or a smaller set would have found it.
                if (best is { } b && (cost + ifNot).Compare(b, _problem.Order) >= 0)
                {
                    return;
                }

                for (var i = 0; i < _mayBeOff.Length; i++)
                {
                    _mayBeOff[i] = (mask & (1 << i)) != 0;
                }

                Try(depth, cost);
            }
        }

        void Try(int depth, Cost cost)
        {
            if (depth == levels.Length)
            {
                var whole = cost + SettingsOf(component.Strips);
                if (best is not { } b || whole.Compare(b, _problem.Order) < 0)
                {
                    best = whole;
                    Array.Copy(_values, bestValues, n);
                }

                return;
            }

            var level = levels[depth];
            var unknown = _problem.Unknowns[level.Unknown];
            var counts = _problem.OnlyUnknown is null || _problem.OnlyUnknown == level.Unknown;
            foreach (var value in Candidates(level))
            {
                if (_effort-- == 0)
                {
                    throw new UndecidedException();
                }

                _values[level.Unknown] = value;
                if (!level.Settled.All(Holds) || !level.Asked.All(a => _mayBeOff[a.Index] || !a.IsLast || Holds(a.Condition)))
                {
                    continue;
                }

                var away = Math.Abs((value * unknown.Ideal.Denominator) - unknown.Ideal.Numerator);
                var here = !counts ? cost
                    : unknown.IsSide ? cost with { Shortfall = cost.Shortfall + (away / unknown.Ideal.Denominator) }
                    : cost with { Distance = cost.Distance + (unknown.Weight * away) };
                if (best is { } b && here.Compare(b, _problem.Order) >= 0)
                {
                    // Values come in order of distance, so none that follows can be cheaper either.
                    return;
                }

                if (_problem.OnlyUnknown is null)
                {
                    foreach (var score in level.Scores)
                    {
                        here += Off(score);
                    }

                    foreach (var cut in level.Cuts)
                    {
                        here += Fine(cut);
                    }

                    if (best is { } b2 && here.Compare(b2, _problem.Order) >= 0)
                    {
                        continue;
                    }
                }

                if (NarrowedBy(level.Unknown, value, component, levels.Length - depth) is { } before)
                {
                    Descend(depth + 1, here);
                    before.Low.CopyTo(_low, 0);
                    before.High.CopyTo(_high, 0);
                }
            }
        }

        Descend(0, fixedCost);
        if (best is null)
        {
            return null;
        }

        foreach (var u in component.Unknowns)
        {
            _values[u] = bestValues[u];
        }

        return best;
    }

    /// <summary>W and H first, as they have few values; then whichever unknown settles most conditions by itself.</summary>
    private List<int> Order(Component component)
    {
        var left = component.Unknowns.ToList();
        var order = new List<int>();
        if (_problem.OnlyUnknown is { } only && left.Remove(only))
        {
            order.Add(only);
        }

        foreach (var side in left.Where(u => _problem.Unknowns[u].IsSide).ToList())
        {
            order.Add(side);
            left.Remove(side);
        }

        var forms = component.Conditions.SelectMany(c => c.Alternatives.Select(a => a.Form)).Distinct().ToList();
        while (left.Count > 0)
        {
            var next = left.MaxBy(u => forms.Count(f => f.A[u] != 0 && left.All(v => v == u || f.A[v] == 0)));
            order.Add(next);
            left.Remove(next);
        }

        return order;
    }

    private bool Holds(Condition condition) => condition.Alternatives.Any(a => (a.Form.Numerator(_values) - (a.Form.D * a.Offset)) % (a.Form.D * a.Step) == 0);

}

/// <summary>The search used up the effort it was given without finding out whether there is a solution.</summary>
internal sealed class UndecidedException : Exception;

/// <summary>The last resort: figures rounded to the marks one by one, positions rather than panels, so that errors do not add up.</summary>
internal static class Marks
{
    public static (Length At, Length Width) Rounded(ToolSet tools, Length at, Length width)
    {
        var cut = tools.CutDown(width);
        if (tools.OnGroove(at) || tools.OnGroove(cut - at))
        {
            return (at, cut);
        }

        return (tools.RulerMarks.Count == 0 ? at : tools.RulerNearest(at), cut);
    }
}

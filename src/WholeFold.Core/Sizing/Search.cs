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
internal sealed class Search
{
    private const int MostProgressions = 64;

    private readonly Problem _problem;
    private readonly long[] _values;
    private readonly long[] _low;
    private long _effort;
    private readonly long[] _high;

    private Search(Problem problem)
    {
        _problem = problem;
        _values = new long[problem.Unknowns.Length];
        _effort = problem.Effort;
        _low = [.. problem.Unknowns.Select(u => u.Low)];
        _high = [.. problem.Unknowns.Select(u => u.High)];
    }

    /// <summary>The best values with their cost, or null where nothing satisfies the hard requirements.</summary>
    public static (long[] Values, Cost Cost)? Solve(Problem problem)
    {
        var search = new Search(problem);
        if (!search.Narrow())
        {
            return null;
        }

        var total = default(Cost);
        foreach (var component in search.Components())
        {
            if (search.SolveComponent(component) is not { } cost)
            {
                return null;
            }

            total += cost;
        }

        return (search._values, total);
    }

    /// <summary>
    /// Draws in each unknown's range by what the bounds allow at the others' best, again and again until nothing moves.
    /// </summary>
    /// <returns>False where a range comes out empty: nothing can satisfy the bounds.</returns>
    private bool Narrow()
    {
        for (var moved = true; moved;)
        {
            moved = false;
            foreach (var form in _problem.Bounds.Select(b => b.Form))
            {
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

    private sealed record Component(List<int> Unknowns, List<Bound> Bounds, List<Condition> Conditions, List<List<ScoreForm>> Strips);

    /// <summary>Any of these must hold: form ≡ rest (mod step), the value whole.</summary>
    private sealed record Condition(IReadOnlyList<(Form Form, long Offset, long Step)> Alternatives);

    private List<Component> Components()
    {
        var n = _problem.Unknowns.Length;
        var parent = Enumerable.Range(0, n + 1).ToArray();
        int Root(int i) => parent[i] == i ? i : parent[i] = Root(parent[i]);
        int First(Form f)
        {
            var i = Array.FindIndex(f.A, a => a != 0);
            return i < 0 ? n : i;
        }

        void Join(Form f)
        {
            var first = First(f);
            for (var i = 0; i < n; i++)
            {
                if (f.A[i] != 0)
                {
                    parent[Root(i)] = Root(first);
                }
            }
        }

        void JoinTwo(Form f, Form g)
        {
            Join(f);
            Join(g);
            if (First(f) < n && First(g) < n)
            {
                parent[Root(First(f))] = Root(First(g));
            }
        }

        var conditions = Conditions().ToList();
        foreach (var bound in _problem.Bounds)
        {
            Join(bound.Form);
        }

        foreach (var alternatives in conditions.Select(c => c.Alternatives))
        {
            foreach (var (form, _, _) in alternatives)
            {
                JoinTwo(alternatives[0].Form, form);
            }
        }

        // Scores of one strip share the board's settings, so they belong together.
        var strips = _problem.Scores.GroupBy(s => s.Strip).Select(g => g.ToList()).ToList();
        foreach (var strip in strips)
        {
            foreach (var score in strip)
            {
                JoinTwo(strip[0].At, score.At);
                JoinTwo(score.At, score.Width);
            }
        }

        // A strip may be constant but for one form; find the root of whichever part has an unknown.
        int RootOf(IEnumerable<Form> forms) => forms.Select(First).Where(i => i < n).Select(Root).FirstOrDefault(n);
        var groups = new SortedDictionary<int, Component>();
        Component Of(int root)
        {
            if (!groups.TryGetValue(root, out var component))
            {
                groups[root] = component = new Component([], [], [], []);
            }

            return component;
        }

        for (var i = 0; i < n; i++)
        {
            Of(Root(i)).Unknowns.Add(i);
        }

        foreach (var bound in _problem.Bounds)
        {
            Of(RootOf([bound.Form])).Bounds.Add(bound);
        }

        foreach (var condition in conditions)
        {
            Of(RootOf(condition.Alternatives.Select(a => a.Form))).Conditions.Add(condition);
        }

        foreach (var strip in strips)
        {
            Of(RootOf(strip.SelectMany(s => new[] { s.At, s.Width }))).Strips.Add(strip);
        }

        return [.. groups.Values];
    }

    private IEnumerable<Condition> Conditions()
    {
        var tools = _problem.Tools;
        var n = _problem.Unknowns.Length;
        for (var i = 0; i < n; i++)
        {
            var one = new long[n];
            one[i] = 1;
            var form = new Form(one, 0, 1);
            yield return new Condition([.. _problem.Unknowns[i].Grid.Select(g => (form, 0L, g))]);
        }

        if (!_problem.OnMarks)
        {
            yield break;
        }

        if (_problem.CutsOnMarks)
        {
            foreach (var cut in _problem.Cuts)
            {
                yield return new Condition([.. tools.CutMarks.Select(m => (cut.At, 0L, m.Units))]);
            }
        }

        if (_problem.ScoresOnMarks)
        {
            // Where every groove and every cut lies on the ruler's marks, a groove is only a nicer mark, turned or not.
            bool OnOneRuler(long step) => tools.RulerMarks.Count == 1 && step % tools.RulerMarks[0].Units == 0;
            var rulerIsAll = tools.Combs.All(c => OnOneRuler(c.Step.Units) && OnOneRuler(c.First.Units)) && tools.CutMarks.All(m => OnOneRuler(m.Units)) && _problem.CutsOnMarks;
            foreach (var score in _problem.Scores)
            {
                var alternatives = tools.RulerMarks.Select(m => (score.At, 0L, m.Units)).ToList();
                if (!rulerIsAll || alternatives.Count == 0)
                {
                    var turned = Subtract(score.Width, score.At);
                    foreach (var comb in tools.Combs)
                    {
                        alternatives.Add((score.At, comb.First.Units, comb.Step.Units));
                        alternatives.Add((turned, comb.First.Units, comb.Step.Units));
                    }
                }

                yield return new Condition(alternatives);
            }
        }
    }

    private static Form Subtract(Form f, Form g)
    {
        var d = Rational.Lcm(f.D, g.D);
        var (p, q) = (d / f.D, d / g.D);
        return new Form([.. f.A.Zip(g.A, (a, b) => (a * p) - (b * q))], (f.B * p) - (g.B * q), d);
    }

    /// <summary>One unknown of the order in which a component is searched, with what becomes decidable once it has a value.</summary>
    private sealed class Level
    {
        public required int Unknown { get; init; }

        public required bool[] Later { get; init; }

        public List<Bound> Bounds { get; } = [];

        public List<Condition> Conditions { get; } = [];

        public List<ScoreForm> Scores { get; } = [];

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

        Cost? best = null;
        var bestValues = new long[n];
        void Descend(int depth, Cost cost)
        {
            if (depth == levels.Length)
            {
                var whole = cost + SettingsOf(component.Strips);
                if (best is not { } b || whole.Compare(b, _problem.Priority) < 0)
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
                if (!level.Settled.All(Holds))
                {
                    continue;
                }

                var away = Math.Abs((value * unknown.Ideal.Denominator) - unknown.Ideal.Numerator);
                var here = !counts ? cost
                    : unknown.IsSide ? cost with { Shortfall = cost.Shortfall + (away / unknown.Ideal.Denominator) }
                    : cost with { Distance = cost.Distance + (unknown.Weight * away) };
                if (best is { } b && here.Compare(b, _problem.Priority) >= 0)
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

                    if (best is { } b2 && here.Compare(b2, _problem.Priority) >= 0)
                    {
                        continue;
                    }
                }

                Descend(depth + 1, here);
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

    private Cost Off(ScoreForm score)
    {
        if (!_problem.Tools.HasBoard || _problem.OnlyUnknown is not null)
        {
            return default;
        }

        var (at, width) = Placed(score);
        return _problem.Tools.OnGroove(at) || _problem.Tools.OnGroove(width - at) ? default : new Cost(0, 1, 0, 0, 0);
    }

    private (Length At, Length Width) Placed(ScoreForm score)
    {
        var at = new Length(score.At.Value(_values));
        var width = new Length(score.Width.Value(_values));
        return _problem.OnMarks ? (at, width) : Marks.Rounded(_problem.Tools, at, width);
    }

    private Cost SettingsOf(List<List<ScoreForm>> strips)
    {
        var cost = default(Cost);
        if (_problem.OnlyUnknown is not null)
        {
            return cost;
        }

        foreach (var strip in strips)
        {
            var settings = new HashSet<Length>();
            var turned = false;
            foreach (var score in strip)
            {
                var (at, width) = Placed(score);
                var setting = Setting.ForScore(_problem.Tools, at, width);
                settings.Add(setting.At);
                turned |= setting.How == SetBy.Turned;
            }

            cost += new Cost(0, 0, 0, turned ? 1 : 0, settings.Count);
        }

        return cost;
    }

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
        var allowed = new List<Progression> { new(0, 1) };
        _values[level.Unknown] = 0;
        foreach (var condition in level.Conditions)
        {
            var options = new List<Progression>();
            foreach (var (form, rest, step) in condition.Alternatives)
            {
                var modulus = form.D * step;
                for (var i = 0; i < form.A.Length; i++)
                {
                    if (level.Later[i] && form.A[i] != 0)
                    {
                        modulus = Rational.Gcd(Math.Abs(form.A[i]), modulus);
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

    /// <summary>The numerator from what is already decided; unknowns not yet decided count as nothing.</summary>
    private long NumeratorBefore(Form form, Level level)
    {
        var sum = form.B;
        for (var i = 0; i < form.A.Length; i++)
        {
            if (i != level.Unknown && !level.Later[i])
            {
                sum += form.A[i] * _values[i];
            }
        }

        return sum;
    }
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

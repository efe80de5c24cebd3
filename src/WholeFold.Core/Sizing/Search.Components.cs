using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>Parts of the problem that do not depend on each other, and the congruences that the marks come to.</summary>
internal sealed partial class Search
{
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
                groups[root] = component = new Component([], [], [], [], []);
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

        foreach (var cut in CountsSixteenths ? _problem.Cuts : [])
        {
            Of(RootOf([cut.At])).Cuts.Add(cut);
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
            var rulerIsAll = tools.Stops.All(c => OnOneRuler(c.Step.Units) && OnOneRuler(c.First.Units)) && tools.CutMarks.All(m => OnOneRuler(m.Units)) && _problem.CutsOnMarks;
            foreach (var score in _problem.Scores)
            {
                var alternatives = tools.RulerMarks.Select(m => (score.At, 0L, m.Units)).ToList();
                if (!rulerIsAll || alternatives.Count == 0)
                {
                    var turned = Subtract(score.Width, score.At);
                    foreach (var comb in tools.Stops)
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

    /// <summary>
    /// What can be asked for beyond what must be: scores on grooves, figures on plain marks. Those that stand or fall
    /// together are one: equal ones of several pieces, and a pair of scores that mirror each other, since the piece may be
    /// turned round.
    /// </summary>
    private List<(Condition Condition, Cost IfNot)> Asked(Component component, Level[] levels, Func<Form, int> lastLevel, int deepenAt)
    {
        var asked = new List<(Condition Condition, Cost IfNot, string Key)>();
        void Ask(string key, Cost ifNot, IReadOnlyList<(Form, long, long)> alternatives)
        {
            var known = asked.FindIndex(a => a.Key == key);
            if (known >= 0)
            {
                asked[known] = asked[known] with { IfNot = asked[known].IfNot + ifNot };
                return;
            }

            var condition = new Condition(alternatives);
            var last = condition.Alternatives.Max(a => lastLevel(a.Form));
            for (var i = deepenAt; i <= last; i++)
            {
                if (condition.Alternatives.Any(a => a.Form.A[levels[i].Unknown] != 0))
                {
                    levels[i].Asked.Add((asked.Count, condition, i == last));
                }
            }

            asked.Add((condition, ifNot, key));
        }

        var tools = _problem.Tools;
        foreach (var score in component.Strips.SelectMany(s => s).Where(s => tools.Stops.Count > 0 && Math.Max(lastLevel(s.At), lastLevel(s.Width)) >= deepenAt))
        {
            var turned = Subtract(score.Width, score.At);
            var key = string.Join('|', new[] { Text(score.At), Text(turned) }.Order(StringComparer.Ordinal));
            Ask(key, new Cost(0, 1, 0, 0, 0, 0), [.. tools.Stops.SelectMany(c => new[] { (score.At, c.First.Units, c.Step.Units), (turned, c.First.Units, c.Step.Units) })]);
        }

        foreach (var cut in component.Cuts.Where(c => lastLevel(c.At) >= deepenAt))
        {
            Ask($"cut {Text(cut.At)}", new Cost(0, 0, 1, 0, 0, 0), [.. tools.PlainMarks.Select(m => (cut.At, 0L, m.Units))]);
        }

        return [.. asked.Select(a => (a.Condition, a.IfNot))];

        static string Text(Form f)
        {
            var divisor = f.A.Append(f.B).Append(f.D).Aggregate(0L, (g, v) => g == 0 ? Math.Abs(v) : v == 0 ? g : Rational.Gcd(g, Math.Abs(v)));
            return string.Join(',', f.A.Append(f.B).Append(f.D).Select(v => v / Math.Max(1, divisor)));
        }
    }
}

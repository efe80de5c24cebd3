using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
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

        foreach (var bound in _problem.Bounds)
        {
            Join(bound.Form);
        }

        foreach (var cut in _problem.Cuts.Where(_ => _problem is { OnMarks: true, CutsOnMarks: true } || CountsFineMarks))
        {
            Join(cut.At);
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

        foreach (var strip in strips)
        {
            Of(RootOf(strip.SelectMany(s => new[] { s.At, s.Width }))).Strips.Add(strip);
        }

        foreach (var cut in _problem.Cuts)
        {
            Of(RootOf([cut.At])).Cuts.Add(cut);
        }

        return [.. groups.Values];
    }

    /// <summary>
    /// Everything that must be put on a mark, each with the kinds of marks that can hold it, the better ones first. Equal
    /// figures of several pieces are one choice, and so is a pair of scores that mirror each other.
    /// </summary>
    private List<Choice> Choices(Component component)
    {
        var choices = new Dictionary<string, Choice>();
        void Add(string key, IEnumerable<Option> options)
        {
            if (choices.TryGetValue(key, out var known))
            {
                choices[key] = new Choice([.. known.Options.Zip(options, (a, b) => a with { Cost = a.Cost + b.Cost })]);
            }
            else
            {
                choices[key] = new Choice([.. options]);
            }
        }

        var tools = _problem.Tools;
        var byDistance = _problem.OnlyUnknown is not null || _problem.Order.Priority == Priority.Proportions;
        // Where every groove and every cut lies on the ruler's marks, a groove is only a nicer mark, turned or not.
        bool OnOneRuler(long step) => tools.RulerMarks.Count == 1 && step % tools.RulerMarks[0].Units == 0;
        var rulerIsAll = tools.Stops.All(c => OnOneRuler(c.Step.Units) && OnOneRuler(c.First.Units)) && tools.CutMarks.All(m => OnOneRuler(m.Units)) && _problem.CutsOnMarks;
        foreach (var score in _problem.OnMarks ? component.Strips.SelectMany(s => s) : [])
        {
            var turned = Subtract(score.Width, score.At);
            var key = rulerIsAll ? string.Join('|', new[] { Text(score.At), Text(turned) }.Order(StringComparer.Ordinal)) : $"{Text(score.At)}|{Text(turned)}";
            var stops = tools.Stops.SelectMany(c => new[] { new Option(score.At, c.First.Units, c.Step.Units, default), new Option(turned, c.First.Units, c.Step.Units, default) }).ToList();
            var marks = _problem.ScoresOnMarks ? tools.RulerMarks.Select(m => new Option(score.At, 0, m.Units, default)).ToList() : [new Option(null, 0, 1, default)];
            if (!byDistance)
            {
                // With no ruler a score off a groove cannot be set at all.
                Add($"score {key}", [.. stops, .. marks.Select(m => m with { Cost = new Cost { OffGroove = tools.Stops.Count > 0 ? 1 : 0 } })]);
            }
            else if (_problem.ScoresOnMarks)
            {
                Add($"score {key}", rulerIsAll && marks.Count > 0 ? marks : [.. marks, .. stops]);
            }
        }

        foreach (var cut in _problem.OnMarks ? component.Cuts : [])
        {
            IEnumerable<Length> own = cut.Inner ? [tools.OwnCutMark] : tools.CutMarks;
            var marks = _problem.CutsOnMarks ? own.Select(m => new Option(cut.At, 0, m.Units, default)).ToList() : [new Option(null, 0, 1, default)];
            if (CountsFineMarks && !byDistance)
            {
                // Plain marks first; how coarse a mark a free cut is on shows as its values are taken.
                var plain = tools.PlainMarks.Where(m => !cut.Inner || m.IsOn(tools.OwnCutMark)).Select(m => new Option(cut.At, 0, m.Units, default));
                Add($"{(cut.Inner ? "line" : "cut")} {Text(cut.At)}", [.. plain, .. marks.Select(m => m with { Cost = new Cost { Sixteenths = 1 } })]);
            }
            else if (_problem.CutsOnMarks)
            {
                Add($"{(cut.Inner ? "line" : "cut")} {Text(cut.At)}", marks);
            }
        }

        foreach (var i in component.Unknowns.Where(i => !IsSizeFirst(i)))
        {
            var one = new long[_problem.Unknowns.Length];
            one[i] = 1;
            var form = new Form(one, 0, 1);
            Add($"grid {i}", _problem.Unknowns[i].Grid.Select(g => new Option(form, 0, g, default)));
        }

        return [.. choices.Values];

        static string Text(Form f)
        {
            var divisor = f.A.Append(f.B).Append(f.D).Aggregate(0L, (g, v) => g == 0 ? Math.Abs(v) : v == 0 ? g : Rational.Gcd(g, Math.Abs(v)));
            return string.Join(',', f.A.Append(f.B).Append(f.D).Select(v => v / Math.Max(1, divisor)));
        }
    }

    /// <summary>A finished size is taken first, before anything else is chosen, unless only one unknown's range is asked for.</summary>
    private bool IsSizeFirst(int unknown) => _problem.Unknowns[unknown].IsSide && _problem.OnlyUnknown is null;

    private sealed record Component(List<int> Unknowns, List<Bound> Bounds, List<List<ScoreForm>> Strips, List<CutForm> Cuts);

    /// <summary>A figure to put on a mark.</summary>
    private sealed record Choice(IReadOnlyList<Option> Options);

    /// <summary>One kind of marks: form ≡ offset (mod step), the value whole; none asks nothing.</summary>
    /// <param name="Cost">What it costs to be content with these.</param>
    private sealed record Option(Form? Form, long Offset, long Step, Cost Cost);

    private static Form Subtract(Form f, Form g)
    {
        var d = Rational.Lcm(f.D, g.D);
        var (p, q) = (d / f.D, d / g.D);
        return new Form([.. f.A.Zip(g.A, (a, b) => (a * p) - (b * q))], (f.B * p) - (g.B * q), d);
    }
}

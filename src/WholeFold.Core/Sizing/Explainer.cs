using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Says how each figure came about: the rule with its values, what each move to a mark did, how it is set.</summary>
internal sealed class Explainer(Construction construction, Target target, ToolSet tools, Poser poser, IReadOnlyDictionary<string, Rational> values)
{
    private readonly Dictionary<string, Parameter> _parameters = construction.Parameters.ToDictionary(p => p.Id);

    /// <summary>The exact value of an expression at what the search settled on.</summary>
    public Rational Value(Affine expression) => expression.Evaluate(tools.System, name => name[0] == '@' ? poser.Known(name) : values[name]);

    public IReadOnlyList<Reason> Explain(Affine expression, string rule, Length result, Setting? setting)
    {
        var exact = poser.At(expression);
        var at = new Length(exact.Nearest());
        var reasons = new List<Reason> { new(Words.Of($"{Capital(rule)}: {Formula(expression, at)}."), at, at) };
        foreach (var name in expression.Terms.Keys.Where(n => poser.Origins.ContainsKey(n) && !poser.Ideals[n].IsZero))
        {
            reasons.Add(new Reason(Words.Of($"{poser.Origins[name]}."), at, at));
        }

        void Step(Words why, Rational change)
        {
            if (change.IsZero)
            {
                return;
            }

            exact += change;
            var next = new Length(exact.Nearest());
            reasons.Add(new Reason(why, at, next));
            at = next;
        }

        foreach (var (name, side, format) in new[] { (Affine.WidthName, "wide", target.Width), (Affine.HeightName, "high", target.Height) })
        {
            if (expression.Terms.TryGetValue(name, out var ratio))
            {
                var settled = values[name];
                Step(Words.Of($"The finished card is {new Length(settled.Nearest())} {side}, {new Length(format.Units - settled.Nearest())} under its format, {Why(format)}."), ratio * (settled - format.Units));
            }
        }

        foreach (var (name, ratio) in expression.Terms)
        {
            if (_parameters.TryGetValue(name, out var parameter))
            {
                var ideal = poser.Ideals[name];
                var moved = values[name] - ideal;
                Step(Words.Of($"{Capital(parameter.Name)} goes from {new Length(ideal.Nearest())} to {new Length(values[name].Nearest())}, {MovedBecause()}."), ratio * moved);
            }
        }

        if (at != result)
        {
            reasons.Add(new Reason(Words.Of($"Put on the nearest mark, since these panels have no mark in common."), at, result));
        }

        if (setting is { How: SetBy.Ruler } or { How: SetBy.Turned })
        {
            reasons.Add(new Reason(Words.Of($"No groove is there as it lies: {SettingWords(setting)}."), result, result));
        }

        return reasons;
    }

    private string MovedBecause() => tools.Exact ? "so that every figure is a whole one" : tools.HasBoard ? "the nearest that your board and trimmer can set" : "the nearest that your ruler can set";

    private string Why(Length format) =>
        tools.OnCutMark(format) ? "which the board asked for" : "the nearest mark of your trimmer that is not above it";

    private static Words SettingWords(Setting setting) => setting switch
    {
        { How: SetBy.Turned } => Words.Of($"turn the piece round and set {setting.At}"),
        { Groove: { } groove, Offset: { } offset } => Words.Of($"{offset.Abs()} {(offset.Units < 0 ? "inside" : "past")} the {groove} one"),
        _ => Words.Of($"by ruler"),
    };

    /// <summary>The rule with its figures: "half of the width 5, less the relief 1/16".</summary>
    private Words Formula(Affine expression, Length result)
    {
        // A figure that is one length as it stands needs no sum.
        if (expression.Terms.Count == 1 && expression.Terms.First().Value == Rational.One && expression.ConstantIn(tools.System).IsZero)
        {
            return Words.Of($"{result}");
        }

        var words = new Words();
        var first = true;
        void Term(Rational ratio, FormattableString text)
        {
            var share = Share(ratio.Numerator < 0 ? -ratio : ratio);
            var less = ratio.Numerator < 0 ? (first ? "less " : ", less ") : first ? "" : ", and ";
            words.Add($"{less}{share}").Add(text);
            first = false;
        }

        foreach (var (name, ratio) in expression.Terms.OrderBy(t => t.Key is Affine.WidthName or Affine.HeightName ? 0 : 1).ThenBy(t => t.Value.Numerator < 0 ? 1 : 0))
        {
            var value = name switch { Affine.WidthName => target.Width, Affine.HeightName => target.Height, _ when name[0] == '@' => new Length(poser.Known(name).Nearest()), _ => new Length(poser.Ideals[name].Nearest()) };
            if (value == Length.Zero)
            {
                continue;
            }

            var called = name switch { Affine.WidthName => "the width", Affine.HeightName => "the height", _ => _parameters.TryGetValue(name, out var p) ? $"the {p.Name}" : construction.Allowances[name].Name };
            Term(ratio, $"{called} {value}");
        }

        var constant = expression.ConstantIn(tools.System);
        if (!constant.IsZero)
        {
            Term(constant.Numerator < 0 ? -Rational.One : Rational.One, $"{new Length(Math.Abs(constant.Nearest()))}");
        }

        return first ? Words.Of($"nothing") : words;
    }

    private static string Share(Rational ratio) => (ratio.Numerator, ratio.Denominator) switch
    {
        (1, 1) => "",
        (2, 1) => "twice ",
        (1, 2) => "half of ",
        (1, 3) => "a third of ",
        (1, 4) => "a quarter of ",
        (3, 2) => "one and a half times ",
        var (n, d) when d <= 12 => d == 1 ? $"{n} times " : $"{n}/{d} of ",
        var (n, d) => $"{((decimal)n / d).ToString("0.###", System.Globalization.CultureInfo.InvariantCulture)} of ",
    };

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}

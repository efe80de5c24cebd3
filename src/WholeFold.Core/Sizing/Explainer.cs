using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Says how each figure came about: the rule with its values, what each move to a mark did, how it is set.</summary>
internal sealed class Explainer(Construction construction, ToolSet tools, ProblemBuilder builder, IReadOnlyDictionary<Symbol, Rational> values)
{
    private readonly Dictionary<Symbol, Parameter> _parameters = construction.Parameters.ToDictionary(p => Symbol.Parameter(p.Id));

    /// <summary>The exact value of an expression at what the search settled on.</summary>
    public Rational Value(Affine expression) => expression.Evaluate(tools.System, symbol => symbol.Kind == SymbolKind.Allowance ? builder.Known(symbol) : values[symbol]);

    /// <summary>A figure that is there already.</summary>
    public bool IsGiven(Affine expression) => builder.IsGiven(expression);

    public Blank? Blank => builder.Blank;

    /// <summary>An edge or the spine of the blank, as it measures.</summary>
    public Measured AsMeasured(FigureRef id, Length value)
    {
        var lies = tools.Exact || tools.OnCutMark(value) ? Words.Of($"As the blank measures.") : Words.Of($"As the blank measures; everything else is reckoned from the marks below it.");
        return new Measured(id, value, new Setting.AsGiven(value), new(() => [new Reason(lies, value, value)], () => Words.Of($"{value}: as the blank measures")));
    }

    /// <inheritdoc cref="ProblemBuilder.IsEdgeThere"/>
    public bool IsEdgeThere(Piece piece, Affine edge) => builder.IsEdgeThere(piece, edge);

    /// <inheritdoc cref="ProblemBuilder.IsSpineThere"/>
    public bool IsSpineThere(Piece piece, int crease) => builder.IsSpineThere(piece, crease);

    /// <summary>How a figure came about, for when somebody asks.</summary>
    public Explanation For(Affine expression, string rule, Length result, Setting setting) =>
        new(() => Explain(expression, rule, result, setting), () => Say(expression, rule, result, setting));

    private IReadOnlyList<Reason> Explain(Affine expression, string rule, Length result, Setting? setting)
    {
        var exact = builder.At(expression);
        var at = new Length(exact.Nearest());
        var reasons = new List<Reason> { new(Words.Of($"{Capital(rule)}: {Formula(expression, at)}."), at, at) };
        foreach (var name in expression.Terms.Keys.Where(s => builder.Origins.ContainsKey(s.Id) && !builder.Ideals[s.Id].IsZero))
        {
            reasons.Add(new Reason(Words.Of($"{builder.Origins[name.Id]}."), at, at));
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

        foreach (var (name, side, format) in new[] { (Symbol.Width, "wide", builder.Target.Width), (Symbol.Height, "high", builder.Target.Height) })
        {
            if (expression.Terms.TryGetValue(name, out var ratio))
            {
                var settled = values[name];
                if (builder.Named is { } named)
                {
                    Step(Words.Of($"The closed card is {new Length(settled.Nearest())} {side}, so that the {named.Called} is {(name == Symbol.Width ? named.Wide : named.High)}."), ratio * (settled - format.Units));
                    continue;
                }

                Step(Words.Of($"The finished card is {new Length(settled.Nearest())} {side}, {new Length(format.Units - settled.Nearest())} under its format, {Why(format)}."), ratio * (settled - format.Units));
            }
        }

        foreach (var (name, ratio) in expression.Terms)
        {
            if (_parameters.TryGetValue(name, out var parameter))
            {
                var ideal = builder.Ideals[name.Id];
                var moved = values[name] - ideal;
                Step(Words.Of($"{Capital(parameter.Name)} goes from {new Length(ideal.Nearest())} to {new Length(values[name].Nearest())}; {MovedBecause(parameter)}."), ratio * moved);
            }
        }

        if (at != result)
        {
            reasons.Add(new Reason(Words.Of($"Put on the nearest mark, since these panels have no mark in common."), at, result));
        }

        if (setting is { How: not SetBy.Direct and not SetBy.Machine })
        {
            reasons.Add(new Reason(Words.Of($"How it is set: {setting.Spoken}."), result, result));
        }

        return reasons;
    }

    /// <summary>
    /// What a parameter was moved for: its scores' groove where one of them is on one now, else only a mark that its ruler or trimmer
    /// has. Which is nearest is not said, since a groove further off is preferred to a mark.
    /// </summary>
    public Words MovedBecause(Parameter parameter)
    {
        if (tools.Exact)
        {
            return Words.Of($"so that every figure is a whole one");
        }

        var scores = ScoresOf(parameter);
        var on = scores.Count(s => s.OnGroove);
        var value = Settled(Symbol.Parameter(parameter.Id));
        return on == 0 ? scores.Count == 0 ? Words.Of($"{value:u} is on a mark of your trimmer") : Words.Of($"{value:u} can be set with your ruler")
            : on == scores.Count ? on == 1 ? Words.Of($"with {value:u} its score is on a groove") : Words.Of($"with {value:u} its scores are on grooves")
            : Words.Of($"with {value:u} {on} of its scores are on grooves");
    }

    /// <summary>The scores that hang on a parameter, and whether each is on a groove, the piece turned round or not.</summary>
    private List<(Affine At, bool OnGroove)> ScoresOf(Parameter parameter)
    {
        var symbol = Symbol.Parameter(parameter.Id);
        Length At(Affine figure) => new(Value(figure).Nearest());
        return [.. construction.Pieces.SelectMany(p => Enumerable.Range(0, p.Creases.Count).Select(i => (At: p.Position(i), p.Along))
                .Concat(p.Lines.Where(p.RunsAcross).Select(l => (At: p.Axis == Axis.X ? l.From.Y : l.From.X, Along: p.Across))))
            .Where(s => s.At.Terms.ContainsKey(symbol)).Select(s =>
                (s.At, tools.OnStop(At(s.At)) || tools.OnStop(At(s.Along) - At(s.At))))];
    }

    /// <summary>What a figure from home moves within at most, where scores of it are off a groove.</summary>
    public Length? HeldWithin(Parameter parameter) => tools is { HasBoard: true, Exact: false }
        && builder.FromHome.ContainsKey(parameter.Id)
        && ScoresOf(parameter).Any(s => !s.OnGroove) ? new Length(builder.Band(builder.Ideals[parameter.Id])) : null;

    private string Why(Length format) =>
        tools.OnCutMark(format) ? "which the board asked for" : "the nearest mark of your trimmer that is not above it";

    /// <summary>
    /// The figure as a colleague explains it: "2 7/16 = half of the width 5, less the relief 1/16 so that the doors do not
    /// touch; between grooves, so just inside 2 1/2". Its sum is of what was settled on, so it adds up as it is read.
    /// </summary>
    private Words Say(Affine expression, string rule, Length result, Setting setting)
    {
        var said = Words.Of($"{result}");
        var terms = expression.Terms.Where(t => Settled(t.Key) != Length.Zero).ToList();
        if (terms.Count == 0)
        {
            said.Add($": {rule}");
        }
        else if (terms.Count == 1 && terms[0].Value == Rational.One && expression.ConstantIn(tools.System).IsZero)
        {
            said.Add($": {Called(terms[0].Key)}{Aside(terms[0].Key)}");
        }
        else
        {
            said.Add($" = {Sum(expression, Settled, Aside)}");
        }

        var exact = Value(expression);
        if (exact != result.Units)
        {
            said.Add($", put on the nearest mark");
        }

        return said.Add($"; {setting.Spoken}");
    }

    /// <summary>What is said beside a term: what it is for, or what moved it.</summary>
    private Words Aside(Symbol name)
    {
        if (name.Kind == SymbolKind.Size)
        {
            if (builder.Named is { } named)
            {
                return Words.Of($", so that the {named.Called} is {(name == Symbol.Width ? named.Wide : named.High)}");
            }

            var format = name == Symbol.Width ? builder.Target.Width : builder.Target.Height;
            var settled = new Length(values[name].Nearest());
            return settled == format ? Words.Of($"") : Words.Of($" ({format - settled} under its format, {Why(format)})");
        }

        if (!_parameters.TryGetValue(name, out var parameter))
        {
            return Words.Of($", since {construction.Allowances[name].Because}");
        }

        var so = parameter.So is { } text ? $" so that {text}" : "";
        var ideal = builder.Ideals[name.Id];
        return builder.Locked.Contains(name.Id) ? Words.Of($"{so} (locked)")
            : builder.Asked.TryGetValue(name.Id, out var asked) && asked == Settled(name) ? Words.Of($"{so} (as you set it)")
            : builder.FromHome.TryGetValue(name.Id, out var home) ? Words.Of($"{so} ({home.Said(new Length(ideal.Nearest()))})")
            : tools.LooksLike(Settled(name), new Length(ideal.Nearest())) ? Words.Of($"{so}")
            : Words.Of($"{so} (its rule gives {new Length(ideal.Nearest())})");
    }

    private Length Settled(Symbol symbol) => new((symbol.Kind == SymbolKind.Allowance ? builder.Known(symbol) : values[symbol]).Nearest());

    private string Called(Symbol symbol) => symbol.Kind switch
    {
        SymbolKind.Size => symbol == Symbol.Width ? "the width" : "the height",
        SymbolKind.Parameter => $"the {_parameters[symbol].Name}",
        _ => construction.Allowances[symbol].Name,
    };

    /// <summary>The rule with its figures: "half of the width 5, less the relief 1/16".</summary>
    private Words Formula(Affine expression, Length result)
    {
        // A figure that is one length as it stands needs no sum.
        if (expression.Terms.Count == 1 && expression.Terms.First().Value == Rational.One && expression.ConstantIn(tools.System).IsZero)
        {
            return Words.Of($"{result}");
        }

        return Sum(
            expression,
            symbol => symbol.Kind switch
            {
                SymbolKind.Size => symbol == Symbol.Width ? builder.Target.Width : builder.Target.Height,
                SymbolKind.Allowance => new Length(builder.Known(symbol).Nearest()),
                _ => new Length(builder.Ideals[symbol.Id].Nearest()),
            },
            _ => Words.Of($""));
    }

    private Words Sum(Affine expression, Func<Symbol, Length> valueOf, Func<Symbol, Words> aside)
    {
        var words = new Words();
        var first = true;
        void Term(Rational ratio, FormattableString text)
        {
            var share = Share(ratio.Numerator < 0 ? -ratio : ratio);
            var less = ratio.Numerator < 0 ? (first ? "less " : ", less ") : first ? "" : ", and ";
            words.Add($"{less}{share}").Add(text);
            first = false;
        }

        foreach (var (name, ratio) in expression.Terms.OrderBy(t => t.Key.Kind == SymbolKind.Size ? 0 : 1).ThenBy(t => t.Value.Numerator < 0 ? 1 : 0))
        {
            var value = valueOf(name);
            if (value != Length.Zero)
            {
                Term(ratio, $"{Called(name)} {value}{aside(name)}");
            }
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

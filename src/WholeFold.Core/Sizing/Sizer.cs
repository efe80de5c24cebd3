using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>Sizes a design for a format: a pure function, the same for the command line, the interface and the wall.</summary>
public static class Sizer
{
    /// <summary>How far the finished card may stay below its format.</summary>
    internal static Pair Slack(Relaxation relaxation) => relaxation == Relaxation.SmallerCard ? Pair.Of(1, 8, 3m) : Pair.Of(1, 16, 1.5m);

    /// <summary>All figures of the design in the target format.</summary>
    /// <exception cref="InputProblemException">A pin is outside its parameter's limits, or names none.</exception>
    /// <exception cref="NoFiguresException">Nothing satisfies the pins, the limits and the marks together.</exception>
    public static Figures Size(Design design, Target target, CancellationToken cancel = default) =>
        TrySize(design, target, cancel) ?? throw new NoFiguresException(ConflictsOf(design, target, cancel));

    /// <summary>Of a case that has no figures: a smallest set of requirements that cannot hold together, or that it was given up.</summary>
    public static IReadOnlyList<Conflict> ConflictsOf(Design design, Target target, CancellationToken cancel = default) => Conflicts.Explain(BuilderFor(design, target, carried: false, cancel), design.ToolsFor(target));

    /// <summary>Looks only whether every figure set by hand names a parameter and lies within its limits.</summary>
    /// <exception cref="InputProblemException">One does not.</exception>
    public static void Examine(Design design, Target target) => BuilderFor(design, target, carried: true, CancellationToken.None);

    /// <summary>The same, but null where there are no figures: for places that try many things.</summary>
    /// <exception cref="InputProblemException">A pin is outside its parameter's limits, or names none.</exception>
    public static Figures? TrySize(Design design, Target target, CancellationToken cancel = default)
    {
        // What was pinned at home stays hard where it can be set here; otherwise it is only wished for.
        var (left, givenUp) = (Search.Budget, false);
        Figures? Found(ProblemBuilder builder, Relaxation relaxation)
        {
            // Of what is left one half each time, so that what comes after a search that was given up still has its share.
            var given = left / 2;
            try
            {
                return Solved(design, target, builder, relaxation, given) is { } sized ? givenUp ? sized with { Gap = Gap.Of(sized.Gap, new Gap(0, 0)) } : sized : null;
            }
            catch (UndecidedException)
            {
                (left, givenUp) = (left - given, true);
                return null;
            }
        }

        foreach (var carried in new[] { true, false })
        {
            var builder = BuilderFor(design, target, carried, cancel);
            foreach (var relaxation in new[] { Relaxation.None, Relaxation.SmallerCard })
            {
                if (Found(builder, relaxation) is { } sized)
                {
                    return design.Prefer.WholeSheet ? WholeSheet.Use(sized, carried, cancel) ?? sized : sized;
                }
            }

            if (builder.Carried.Count == 0)
            {
                break;
            }
        }

        // Where nothing can be set even with every parameter free, figures are rounded. A pin alone is no reason to.
        var last = BuilderFor(design, target, carried: false, cancel);
        var free = last.Pins.Keys.Select(p => $"pin:{p}").ToHashSet();
        if (design.ToolsFor(target).RulerMarks.Count == 0 || (last.Pins.Count > 0 && !new[] { Relaxation.None, Relaxation.SmallerCard }.All(m => IsHopeless(last.Build(m, free)))))
        {
            return null;
        }

        return Found(last, Relaxation.RoundedFigures);
    }

    /// <summary>Proven to have no figures at all.</summary>
    private static bool IsHopeless(Problem problem)
    {
        try
        {
            return Search.Solve(problem with { AnyWillDo = true, Effort = Search.Budget / 8 }) is null;
        }
        catch (UndecidedException)
        {
            return false;
        }
    }

    /// <summary>The settable value of a parameter that is nearest to the one wished for, everything else as it is; null where there is none.</summary>
    public static Length? Nearest(Design design, Target target, string parameter, Length wished, CancellationToken cancel = default)
    {
        var builder = BuilderFor(design, target, carried: false, cancel);
        foreach (var relaxation in new[] { Relaxation.None, Relaxation.SmallerCard })
        {
            var problem = builder.Build(relaxation, only: parameter, onlyIdeal: wished.Units);
            try
            {
                if (Search.Solve(problem) is { } solution)
                {
                    return new Length(solution.Values[problem.OnlyUnknown!.Value]);
                }
            }
            catch (UndecidedException)
            {
                // Where it is not soon known, there is no value to offer.
                return null;
            }
        }

        return null;
    }

    internal static Figures? Solved(Design design, Target target, ProblemBuilder builder, Relaxation relaxation, long effort = Search.Budget / 8)
    {
        var problem = builder.Build(relaxation) with { Effort = effort };
        return Search.Solve(problem) is { } solution ? Assemble(design, target, builder, problem, solution, relaxation) : null;
    }

    /// <summary>The values of one parameter that can be set, the other pins kept.</summary>
    public static FeasibleRange? RangeOf(Design design, Target target, string parameter, Relaxation relaxation, CancellationToken cancel = default) =>
        FeasibleRange.Of(BuilderFor(design, target, carried: false, cancel), design.ToolsFor(target), parameter, relaxation);

    /// <param name="carried">Whether a fixed parameter set at home is hard in another format, or only wished for.</param>
    internal static ProblemBuilder BuilderFor(Design design, Target target, bool carried, CancellationToken cancel, (string Parameter, Wish Wish)? wish = null, (string Piece, Length Length)? led = null)
    {
        var construction = design.Construction;
        var tools = design.ToolsFor(target);
        var pins = new Dictionary<string, Length>();
        var wishes = new Dictionary<string, Wish>();
        var fromHome = new HashSet<string>();
        var atHome = target.Key == design.Home.Key;
        ProblemBuilder? bare = null, bareHome = null;
        foreach (var (name, value) in design.Pins)
        {
            var parameter = ParameterOf(construction, name);
            if (atHome || (parameter.OnConversion == OnConversion.Fixed && carried))
            {
                pins[name] = value;
                if (!atHome)
                {
                    fromHome.Add(name);
                }

                continue;
            }

            if (parameter.OnConversion == OnConversion.Fixed)
            {
                wishes[name] = Wish.FromHome(value.Units, scaled: false);
                continue;
            }

            // A proportional parameter keeps its relation to the ideal, so what was set by hand is a wish here, not a pin.
            bare ??= new ProblemBuilder(construction, target, tools, design.Papers, design.Priority, design.Prefer, new Dictionary<string, Length>(), new Dictionary<string, Wish>());
            bareHome ??= new ProblemBuilder(construction, design.Home, tools, design.Papers, design.Priority, design.Prefer, new Dictionary<string, Length>(), new Dictionary<string, Wish>());
            var here = bare.At(parameter.Ideal);
            var home = bareHome.At(parameter.Ideal);
            wishes[name] = Wish.FromHome(home.IsZero ? value.Units : new Rational((here / home * value.Units).Nearest()), scaled: !home.IsZero);
        }

        foreach (var (name, value) in design.Adjustments.GetValueOrDefault(target.Key) ?? new Dictionary<string, Length>())
        {
            ParameterOf(construction, name);
            pins[name] = value;
            wishes.Remove(name);
            fromHome.Remove(name);
        }

        if (wish is var (wished, rest))
        {
            wishes[wished] = rest;
        }

        var builder = new ProblemBuilder(construction, target, tools, design.Papers, design.Priority, design.Prefer, pins, wishes) { Carried = fromHome, Led = led, Cancel = cancel };
        foreach (var (name, value) in pins)
        {
            var parameter = ParameterOf(construction, name);
            // A limit that hangs on another parameter is a conflict between the two, not a mistake in one.
            var (min, max) = builder.LimitsOf(parameter);
            if ((value < min || value > max) && !(value == Length.Zero && parameter.ZeroByHand is not null) && !fromHome.Contains(name))
            {
                throw OutsideLimits(builder, tools, parameter, value, min, max);
            }
        }

        return builder;
    }

    private static InputProblemException OutsideLimits(ProblemBuilder builder, ToolSet tools, Parameter parameter, Length value, Length min, Length max)
    {
        var unit = tools.System == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Millimetre;
        var because = value < min ? parameter.Min.Where(l => l.OnFormatOnly).MaxBy(l => builder.At(l.Value))! : parameter.Max.Where(l => l.OnFormatOnly).MinBy(l => builder.At(l.Value))!;

        // The range is told in marks that lie inside it, so that what is read here is also accepted.
        var mark = Pair.Of(1, 32, 0.5m).For(tools.System);
        var (from, to) = (min.Up(mark), max.Down(mark));
        var example = $"{parameter.Id}={LengthWriter.Write(from, unit).Replace(' ', '-')}{LengthWriter.Symbol(unit)}";
        return new InputProblemException("parameter.limit", parameter.Id, $"{LengthWriter.WithUnit(value, unit)} is outside its limits here: {because.Because}", $"{LengthWriter.Write(from, unit)} to {LengthWriter.WithUnit(to, unit)}, for example {example}");
    }

    private static Parameter ParameterOf(Construction construction, string name) =>
        construction.Parameters.FirstOrDefault(p => p.Id == name)
        ?? throw new InputProblemException("parameter.unknown", name, $"{construction.Id} has no parameter “{name}”", construction.WhatCanBeSet);

    private static Figures Assemble(Design design, Target target, ProblemBuilder builder, Problem problem, Solution solution, Relaxation relaxation)
    {
        var construction = design.Construction;
        var tools = problem.Tools;
        var values = construction.Parameters.ToDictionary(p => Symbol.Parameter(p.Id), p => new Rational(builder.Ideals[p.Id].Nearest()));
        for (var i = 0; i < solution.Values.Length; i++)
        {
            values[problem.Unknowns[i].Symbol] = solution.Values[i];
        }

        var explainer = new Explainer(construction, target, tools, builder, values);
        var sizer = new PieceSizer(explainer, tools, design.Prefer, relaxation);
        return new Figures
        {
            Design = design,
            Construction = construction,
            Target = target,
            Tools = tools,
            Relaxation = relaxation,
            Cost = solution.Cost,
            Gap = solution.Gap,
            Effort = solution.Effort,
            Width = new Length(values[Symbol.Width].Nearest()),
            Height = new Length(values[Symbol.Height].Nearest()),
            Parameters = [.. construction.Parameters.Select(p => new SizedParameter(p, new Length(values[Symbol.Parameter(p.Id)].Nearest()), new Length(builder.Ideals[p.Id].Nearest()), builder.Pins.ContainsKey(p.Id)))],
            Pieces = [.. construction.Pieces.Select(p => sizer.Size(p, whole: builder.Led is var (led, _) && led == p.Id))],
            Evaluator = explainer.Value,
            ExactIdeal = symbol => symbol.Kind == SymbolKind.Allowance ? builder.Known(symbol) : builder.Ideals[symbol.Id],
        };
    }
}

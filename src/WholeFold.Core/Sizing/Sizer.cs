using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
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
    /// <exception cref="NoFiguresException">Nothing satisfies the locks, the limits and the marks together.</exception>
    public static Figures Size(Design design, Target target, CancellationToken cancel = default) =>
        TrySize(design, target, cancel) ?? throw new NoFiguresException(ConflictsOf(design, target, cancel));

    /// <summary>Of a case that has no figures: a smallest set of requirements that cannot hold together, or that it was given up.</summary>
    public static IReadOnlyList<Conflict> ConflictsOf(Design design, Target target, CancellationToken cancel = default) =>
        Conflicts.Explain(BuilderFor(design, target, firm: false, cancel), design.ToolsFor(target));

    /// <summary>The same, but null where there are no figures: for places that try many things.</summary>
    public static Figures? TrySize(Design design, Target target, CancellationToken cancel = default)
    {
        // What was set on these tools is exactly that where they can set it with all the rest; otherwise the nearest to it.
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

        var firm = BuilderFor(design, target, firm: true, cancel);
        var softly = firm.Pins.Count > firm.Locked.Count ? BuilderFor(design, target, firm: false, cancel) : firm;
        foreach (var builder in softly == firm ? [firm] : new[] { firm, softly })
        {
            foreach (var relaxation in new[] { Relaxation.None, Relaxation.SmallerCard })
            {
                if (Found(builder, relaxation) is { } sized)
                {
                    sized = design.Sheets.Count > 0 && !design.Prefer.NotEased ? SheetEase.Use(sized, builder == firm, cancel) : sized;
                    return design.Prefer.WholeSheet ? WholeSheet.Use(sized, builder == firm, cancel) ?? sized : sized;
                }
            }
        }

        // Where nothing can be set even with every parameter free, figures are rounded: positions, so that errors do not add up.
        return design.ToolsFor(target).RulerMarks.Count == 0 ? null : Found(softly, Relaxation.RoundedFigures);
    }

    /// <summary>The settable value of a parameter that is nearest to the one wished for, everything else as it is; null where there is none.</summary>
    public static Length? Nearest(Design design, Target target, string parameter, Length wished, CancellationToken cancel = default)
    {
        var builder = BuilderFor(design, target, firm: false, cancel);
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
        FeasibleRange.Of(BuilderFor(design, target, firm: false, cancel), design.ToolsFor(target), parameter, relaxation);

    /// <param name="firm">Whether what was set by hand on the tools in use is exactly that; otherwise the nearest to it will do.</param>
    internal static ProblemBuilder BuilderFor(Design design, Target target, bool firm, CancellationToken cancel, (string Parameter, Wish Wish)? wish = null,
        (string Piece, Length Length)? led = null, IReadOnlyList<SheetRoom>? rooms = null)
    {
        var construction = design.Construction;
        var tools = design.ToolsFor(target);
        var pins = new Dictionary<string, Length>(design.Locks);
        var wishes = new Dictionary<string, Wish>();
        var asked = new Dictionary<string, Length>();
        var blank = design.BlankFor(target);
        var named = blank is null ? NamedAt(design, target, tools) : null;
        var closed = blank is null ? named?.Closed ?? target : new Target(target.Format with { Width = blank.Width, Height = blank.Height }, false);
        foreach (var (name, hand) in design.SetFor(target).Where(s => !design.Locks.ContainsKey(s.Key)))
        {
            asked[name] = hand.Value;
            if (IsWrittenDown(design, target, tools, name, hand))
            {
                // Left to the search it comes to the very same, with all that hangs on it.
            }
            // Nothing is on every tool, and what may be nothing though its limits forbid it is that where a person says so.
            else if ((hand.Value == Length.Zero && construction.Parameters.First(p => p.Id == name).ZeroByHand is not null)
                || (firm && hand.Tools == tools.Id))
            {
                pins[name] = hand.Value;
            }
            else
            {
                wishes[name] = Wish.Here(hand.Value);
            }
        }

        var fromHome = Elsewhere.Of(design, target).Where(s => !asked.ContainsKey(s.Key)).ToDictionary();
        foreach (var (name, set) in fromHome)
        {
            if (set.Home == Length.Zero && construction.Parameters.First(p => p.Id == name).ZeroByHand is not null)
            {
                (pins[name], asked[name]) = (set.Home, set.Home);
            }
            else
            {
                wishes[name] = Wish.Elsewhere(set);
            }
        }

        if (wish is var (wished, rest))
        {
            wishes[wished] = rest;
        }

        return new ProblemBuilder(construction, closed, tools, design.Papers, design.Priority, design.Prefer, pins,
            wishes) { Locked = design.Locks.Keys.ToHashSet(), Asked = asked, FromHome = fromHome, Named = named?.Plate, Led = led, Rooms = rooms ?? [], Blank = blank,
            Cancel = cancel };
    }

    /// <summary>The design with some figures done, everything else wished as it is.</summary>
    internal static ProblemBuilder BuilderAround(Design design, Target target, IReadOnlyDictionary<string, Length> now,
        IReadOnlyList<Done> done, CancellationToken cancel) =>
        new(design.Construction, target, design.ToolsFor(target), design.Papers, design.Priority, design.Prefer, design.Locks,
            now.ToDictionary(p => p.Key, p => new Wish(p.Value.Units, Words.Of($"as it is"))))
        {
            Locked = design.Locks.Keys.ToHashSet(),
            Done = done,
            Cancel = cancel,
        };

    /// <summary>Set at home, on these tools, to what the card has anyway.</summary>
    private static bool IsWrittenDown(Design design, Target target, ToolSet tools, string name, HandFigure hand) =>
        !design.AsWritten && design.IsHome(target) && hand.Tools == tools.Id && design.Adjustments.GetValueOrDefault(target.Key)?.ContainsKey(name) != true
        && !Elsewhere.Counting(design).ContainsKey(name);

    /// <summary>Where a format names what is shown: the plate, and the closed card that has it at its ideals.</summary>
    private static (Target Closed, NamedPlate Plate)? NamedAt(Design design, Target target, ToolSet tools)
    {
        var construction = design.Construction;
        if (!design.NamedByShown || construction.NamedShown is not { } shown)
        {
            return null;
        }

        var piece = construction.Pieces.First(p => p.Id == shown.Piece.Piece);
        var panel = piece.Panels.First(p => p.Id == shown.Plate);
        var (width, height) = piece.Axis == Axis.X ? (panel.Extent, piece.Across) : (piece.Across, panel.Extent);
        var (wide, high) = (tools.Exact ? target.Width : tools.CutDown(target.Width), tools.Exact ? target.Height : tools.CutDown(target.Height));

        // What the plate lacks is added to the card, again and again: each time what is left is a part of it.
        var (w, h) = (wide, high);
        for (var i = 0; i < MostRounds; i++)
        {
            var at = new ProblemBuilder(construction, Closed(w, h), tools, design.Papers, design.Priority, design.Prefer, new Dictionary<string, Length>(), new Dictionary<string, Wish>());
            var (lacksWide, lacksHigh) = (wide.Units - at.At(width).Nearest(), high.Units - at.At(height).Nearest());
            if ((lacksWide, lacksHigh) == (0, 0))
            {
                break;
            }

            (w, h) = (new Length(w.Units + lacksWide), new Length(h.Units + lacksHigh));
        }

        return (Closed(w, h), new NamedPlate(panel.Name, width, height, wide, high));

        Target Closed(Length across, Length along) => new(target.Format with { Width = across, Height = along }, false);
    }

    private const int MostRounds = 60;

    private static Figures Assemble(Design design, Target target, ProblemBuilder builder, Problem problem, Solution solution, Relaxation relaxation)
    {
        var construction = design.Construction;
        var tools = problem.Tools;
        var values = construction.Parameters.ToDictionary(p => Symbol.Parameter(p.Id), p => new Rational(builder.Ideals[p.Id].Nearest()));
        for (var i = 0; i < solution.Values.Length; i++)
        {
            values[problem.Unknowns[i].Symbol] = solution.Values[i];
        }

        var explainer = new Explainer(construction, tools, builder, values);
        SizedParameter Sized(Parameter parameter)
        {
            var (exact, isSet) = (values[Symbol.Parameter(parameter.Id)], builder.Asked.TryGetValue(parameter.Id, out var asked));
            var hold = builder.Locked.Contains(parameter.Id) ? Hold.Locked : isSet ? Hold.Set : builder.FromHome.ContainsKey(parameter.Id) ? Hold.FromHome : Hold.Free;
            var limit = hold switch
            {
                Hold.Locked => ProblemBuilder.Past(parameter, exact, explainer.Value),
                Hold.Set when asked.Units != exact => ProblemBuilder.Past(parameter, asked.Units, explainer.Value),
                _ => null,
            };
            return new SizedParameter(parameter, new Length(exact.Nearest()), new Length(builder.Ideals[parameter.Id].Nearest()), hold) 
            {
                Asked = isSet ? asked : null,
                FromHome = builder.FromHome.GetValueOrDefault(parameter.Id),
                Past = limit,
                Within = explainer.HeldWithin(parameter),
                Moved = () => explainer.MovedBecause(parameter),
            };
        }

        var sizer = new PieceSizer(explainer, tools, design.Prefer, relaxation);
        return new Figures
        {
            Design = design,
            Construction = construction,
            Target = builder.Blank is not null ? builder.Target : builder.Named is null ? target
                : new Target(target.Format with { Width = new Length(values[Symbol.Width].Nearest()),
                Height = new Length(values[Symbol.Height].Nearest()) }, false),
            Named = target,
            Blank = builder.Blank,
            Tools = tools,
            Relaxation = relaxation,
            Cost = solution.Cost,
            Gap = solution.Gap,
            Effort = solution.Effort,
            Width = new Length(values[Symbol.Width].Nearest()),
            Height = new Length(values[Symbol.Height].Nearest()),
            Parameters = [.. construction.Parameters.Select(Sized)],
            Pieces = [.. construction.Pieces.Select(p => sizer.Size(p, whole: builder.Led is var (led, _) && led == p.Id))],
            Evaluator = explainer.Value,
            ExactIdeal = symbol => symbol.Kind == SymbolKind.Allowance ? builder.Known(symbol) : builder.Ideals[symbol.Id],
        };
    }
}

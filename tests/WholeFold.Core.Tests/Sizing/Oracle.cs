using Google.OrTools.Sat;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>
/// An independent judge of the search: the same question posed to a general constraint solver, straight from the
/// construction, by code that shares nothing with the program's own. It is asked for anything better than what was
/// found; "infeasible" proves that there is none.
/// </summary>
internal sealed partial class Oracle
{
    private readonly CpModel _model = new();
    private readonly Construction _construction;
    private readonly (Target At, IReadOnlyDictionary<string, Length> Set)? _home;
    private Target _target;
    private readonly ToolSet _tools;
    private readonly Stock _stock;
    private readonly long _fine;
    private readonly Dictionary<string, IntVar> _fineVars = [];
    private readonly Dictionary<string, Rational> _ideals = [];
    private readonly Dictionary<string, long> _sides = [];
    private readonly LinearExpr[] _cost;
    private readonly CostOrder _order;
    private readonly bool _noSixteenths;
    private readonly List<LinearExpr> _sixteenths = [];

    /// <param name="home">Where figures were set, and which: elsewhere they give the ideals.</param>
    /// <param name="done">What is cut or scored by now, as it measures: the card may be twice as much smaller for it.</param>
    public Oracle(Construction construction, Target target, ToolSet tools, Stock stock, CostOrder order, bool noSixteenths,
        (Target At, IReadOnlyDictionary<string, Length> Set)? home = null, IReadOnlyList<Done>? done = null)
    {
        var set = home?.Set ?? new Dictionary<string, Length>();
        (_construction, _target, _tools, _stock, _order, _noSixteenths) = (construction, target, tools, stock, order, noSixteenths);
        _home = home;

        // Parameters count in half marks of the ruler, W and H in marks of the trimmer.
        _fine = tools.RulerMarks[0].Units / 2;
        var cut = tools.CutMarks[0].Units;
        var slack = (tools.System == UnitSystem.Imperial ? 508 : 480) * (done is null ? 1 : 2);
        var shortfall = new List<LinearExpr>();
        foreach (var (name, side) in new[] { ("W", target.Width.Units), ("H", target.Height.Units) })
        {
            if (construction.GoesRound)
            {
                // For the card as it is, on a mark or not.
                _sides[name] = side;
                continue;
            }

            var marks = _model.NewIntVar(CeilDiv(side - slack, cut), side / cut, name);
            _fineVars[name] = marks;
            shortfall.Add(LinearExpr.Constant(side) - (marks * cut));
        }

        foreach (var parameter in construction.Parameters)
        {
            var ideal = Exact(parameter.Ideal);
            if (set.TryGetValue(parameter.Id, out var value))
            {
                ideal = parameter.OnConversion == OnConversion.Proportional && IdealAtHome(parameter) is { IsZero: false } there
                    ? (ideal * value.Units / there).Nearest() : value.Units;
            }

            ideal = Clamped(parameter, ideal);
            _ideals[parameter.Id] = ideal;
            _fineVars[parameter.Id] = parameter.Held && !set.ContainsKey(parameter.Id) ? _model.NewConstant(ideal.Nearest() / _fine) : _model.NewIntVar(0, 243_840 / _fine, parameter.Id);
        }

        foreach (var parameter in construction.Parameters)
        {
            foreach (var limit in parameter.Min)
            {
                // Lower limits on the format alone hold at the format, though the card may end a mark smaller.
                AtLeastZero(Affine.Name(parameter.Id) - limit.Value);
                if (limit.Value.Terms.Keys.All(n => n.Kind != SymbolKind.Parameter))
                {
                    AtLeastZero(Affine.Name(parameter.Id) - Affine.Constant(new Length(Exact(limit.Value).Ceiling())));
                }
            }

            foreach (var limit in parameter.Max)
            {
                AtLeastZero(limit.Value - Affine.Name(parameter.Id));
            }
        }

        foreach (var requirement in construction.Requirements)
        {
            AtLeastZero(requirement.AtLeastZero);
        }

        foreach (var (at, real) in done ?? [])
        {
            AtLeastZero(at - Affine.Constant(real));
            AtLeastZero(Affine.Constant(real) - at);
        }

        var led = construction.Pieces.SelectMany(p => p.Panels.SkipLast(1).Select(q => q.Extent).Concat(p.Lines.SelectMany(l => new[] { l.From.X, l.From.Y })))
            .SelectMany(at => at.Terms.Keys).Select(s => s.Id).ToHashSet();
        bool Moves(Parameter p) => !p.Held || set.ContainsKey(p.Id);
        bool IsFree(Affine cut) => cut.Terms.Keys.Where(s => s.Kind == SymbolKind.Parameter && construction.Parameters.Any(p => p.Id == s.Id && Moves(p))).ToList() is { Count: > 0 } moves
            && moves.All(s => !led.Contains(s.Id));
        var fineness = new List<LinearExpr>();
        var off = new List<LinearExpr>();
        var turns = new List<LinearExpr>();
        var settings = new List<LinearExpr>();
        foreach (var piece in construction.Pieces)
        {
            foreach (var panel in piece.Panels)
            {
                AtLeastZero(panel.Extent - panel.Min.Value);
            }

            var width = OnMarks(piece.Panels.Aggregate(Affine.Zero, (sum, p) => sum + p.Extent), cut);
            var across = OnMarks(piece.Across, cut);
            var pencilled = piece.Openings.SelectMany(o => new[] { o.Within.FromX, o.Within.ToX, o.Within.FromY, o.Within.ToY }.Concat(o.Outline?.SelectMany(c => new[] { c.X, c.Y }) ?? []))
                .Concat(piece.AllCreases.SelectMany(c => c.Stretches).SelectMany(s => new[] { s.From, s.To }))
                .Concat(piece.Lines.Where(l => !(l.From.X - l.To.X).IsZero && !(l.From.Y - l.To.Y).IsZero).SelectMany(l => new[] { l.From.X, l.From.Y, l.To.X, l.To.Y }));
            foreach (var line in pencilled.Where(l => !l.IsZero).DistinctBy(l => l.ToString()))
            {
                var edge = OnMarks(line, cut);
                if (IsFree(line))
                {
                    fineness.Add(Fineness(edge));
                }

                if (noSixteenths)
                {
                    _sixteenths.Add(1 - Plain(edge));
                }
            }

            fineness.AddRange(new[] { (Cut: piece.Panels.Aggregate(Affine.Zero, (sum, p) => sum + p.Extent), At: width),
                (Cut: piece.Across, At: across) }.Where(c => IsFree(c.Cut)).Select(c => Fineness(c.At)));
            if (noSixteenths)
            {
                _sixteenths.Add(1 - Plain(width));
                _sixteenths.Add(1 - Plain(across));
            }

            var positions = piece.Panels.SkipLast(1).Aggregate(new List<Affine>(), (all, p) => [.. all, (all.Count > 0 ? all[^1] : Affine.Zero) + p.Extent]);
            BoardCosts(positions, width, off, turns, settings);
            var crossing = piece.Lines.Where(l => ((piece.Axis == Axis.X ? l.From.Y - l.To.Y : l.From.X - l.To.X)).IsZero);
            BoardCosts([.. crossing.Select(l => piece.Axis == Axis.X ? l.From.Y : l.From.X)], across, off, turns, settings);
        }

        var distance = new List<LinearExpr>();
        var discomfort = new List<LinearExpr>();
        foreach (var parameter in construction.Parameters.Where(Moves))
        {
            var ideal = _ideals[parameter.Id];
            var band = Math.Max((ideal * new Rational(15, 100)).Nearest(), tools.GrooveRows[0].Step.Units / 2);
            var weight = Math.Max(1, 10_000_000 / (band * ideal.Denominator));
            var away = _model.NewIntVar(0, 1_000_000_000_000, "");
            _model.AddAbsEquality(away, (_fineVars[parameter.Id] * (_fine * ideal.Denominator)) - ideal.Numerator);
            distance.Add(away * weight);

            // What no score hangs on may go a sixteenth, or a millimetre, to a coarser mark; everything else as far as is comfortable.
            var free = !led.Contains(parameter.Id);
            var past = _model.NewIntVar(0, 1_000_000_000_000, "");
            _model.AddMaxEquality(past, [LinearExpr.Constant(0), away - ((free ? tools.System == UnitSystem.Imperial ? 508 : 320 : band) * ideal.Denominator)]);
            var beyond = _model.NewIntVar(0, 1_000_000_000_000, "");
            _model.AddDivisionEquality(beyond, past + (ideal.Denominator - 1), LinearExpr.Constant(ideal.Denominator));
            discomfort.Add(beyond);
        }

        var (s, o, d) = (LinearExpr.Sum(shortfall), LinearExpr.Sum(off), LinearExpr.Sum(distance));
        var f = _sixteenths.Count > 0 ? LinearExpr.Sum(_sixteenths) : LinearExpr.Constant(0);
        var (c, g) = (LinearExpr.Sum(discomfort), LinearExpr.Sum(fineness));
        LinearExpr[] first = order.Priority switch { Priority.Board => [c, o, s, f, g, d], Priority.Proportions => [s, c, d, o, f], _ => [s, c, o, f, g, d] };
        LinearExpr[] last = [LinearExpr.Sum(turns), LinearExpr.Sum(settings)];
        _cost = [.. first, .. order.StopsFirst ? last.Reverse() : last];
    }

    /// <summary>The rule's ideal at home, with everything else as it was set there.</summary>
    private Rational IdealAtHome(Parameter parameter)
    {
        var (here, ideals) = (_target, _ideals.ToDictionary());
        var (at, set) = _home!.Value;
        _target = at;
        foreach (var each in _construction.Parameters.TakeWhile(p => p != parameter))
        {
            _ideals[each.Id] = set.TryGetValue(each.Id, out var value) ? value.Units : Clamped(each, Exact(each.Ideal));
        }

        var found = Exact(parameter.Ideal);
        _target = here;
        foreach (var (id, ideal) in ideals)
        {
            _ideals[id] = ideal;
        }

        return found;
    }

    private Rational Clamped(Parameter parameter, Rational ideal)
    {
        foreach (var least in parameter.Min.Select(l => Exact(l.Value)))
        {
            ideal = ideal < least ? least : ideal;
        }

        foreach (var most in parameter.Max.Select(l => Exact(l.Value)))
        {
            ideal = ideal > most ? most : ideal;
        }

        return ideal;
    }

    /// <summary>A cost's entries in the order in which they count.</summary>
    public static long[] Ordered(Cost c, CostOrder order)
    {
        long[] first = order.Priority switch
        {
            Priority.Board => [c.Discomfort, c.OffGroove, c.Shortfall, c.Sixteenths, c.Fineness, c.Distance],
            Priority.Proportions => [c.Shortfall, c.Discomfort, c.Distance, c.OffGroove, c.Sixteenths],
            _ => [c.Shortfall, c.Discomfort, c.OffGroove, c.Sixteenths, c.Fineness, c.Distance],
        };
        return order.StopsFirst ? [.. first, c.Settings, c.Turns] : [.. first, c.Turns, c.Settings];
    }

    /// <summary>Whether anything at all satisfies the hard rules, or, given a cost, anything cheaper does.</summary>
    public bool HasBetterThan(Cost? found)
    {
        if (found is { } c)
        {
            var ordered = Ordered(c, _order);
            var lower = new List<BoolVar>();
            for (var i = 0; i < ordered.Length; i++)
            {
                var here = _model.NewBoolVar("");
                for (var j = 0; j < i; j++)
                {
                    _model.Add(_cost[j] == ordered[j]).OnlyEnforceIf(here);
                }

                _model.Add(_cost[i] <= ordered[i] - 1).OnlyEnforceIf(here);
                lower.Add(here);
            }

            _model.AddBoolOr(lower);
        }

        return Solve() is CpSolverStatus.Optimal or CpSolverStatus.Feasible;
    }

    /// <summary>The solver's own figure for the cost of given values, to compare with the program's.</summary>
    public long[]? CostOf(IReadOnlyDictionary<string, long> values, out CpSolverStatus status)
    {
        foreach (var (name, units) in values)
        {
            var step = name is "W" or "H" ? _tools.CutMarks[0].Units : _fine;
            if (_sides.TryGetValue(name, out var side))
            {
                status = CpSolverStatus.Infeasible;
                if (side != units)
                {
                    return null;
                }

                continue;
            }

            if (units % step != 0)
            {
                status = CpSolverStatus.Infeasible;
                return null;
            }

            _model.Add(_fineVars[name] == units / step);
        }

        var solver = new CpSolver { StringParameters = "num_workers:1" };
        status = solver.Solve(_model);
        return status is CpSolverStatus.Optimal or CpSolverStatus.Feasible ? [.. _cost.Select(solver.Value)] : null;
    }

    private CpSolverStatus Solve()
    {
        var solver = new CpSolver { StringParameters = "num_workers:1,max_time_in_seconds:20" };
        var status = solver.Solve(_model);
        return status is CpSolverStatus.Unknown or CpSolverStatus.ModelInvalid ? throw new InvalidOperationException($"the judge could not decide: {status}") : status;
    }

    private void BoardCosts(List<Affine> positions, LinearExpr width, List<LinearExpr> off, List<LinearExpr> turns, List<LinearExpr> settings)
    {
        var mark = _tools.RulerMarks[0].Units;
        var step = _tools.GrooveRows[0].Step.Units;
        var turned = new List<BoolVar>();
        var places = new List<LinearExpr>();
        foreach (var position in positions)
        {
            var at = OnMarks(position, mark);
            var direct = OnGroove(at, step);
            var other = OnGroove(width - at, step);
            var isOff = _model.NewBoolVar("");
            _model.AddBoolAnd([direct.Not(), other.Not()]).OnlyEnforceIf(isOff);
            _model.AddBoolOr([direct, other]).OnlyEnforceIf(isOff.Not());

            // Read from the far end: a groove is there and none is here; or none is, and only the far end lies on the board.
            var onlyFarOnBoard = And(isOff, AtMost(at, _tools.BoardEnd.Units).Not(), AtMost(width - at, _tools.BoardEnd.Units));
            var onlyFarGroove = And(direct.Not(), other);
            var isTurned = _model.NewBoolVar("");
            _model.AddMaxEquality(isTurned, [onlyFarOnBoard, onlyFarGroove]);
            off.Add(isOff);
            turned.Add(isTurned);
            places.Add(at);
            if (_noSixteenths)
            {
                // By an edge folded to a line, twice the figure need only be plain, and lie on the piece.
                var folds = And(Plain(2 * at), AtMost((2 * at) - width, 0));
                var foldsFar = And(Plain(2 * (width - at)), AtMost(width - (2 * at), 0));
                _sixteenths.Add(And(isOff, Plain(at).Not(), folds.Not(), foldsFar.Not()));
            }
        }

        if (places.Count == 0)
        {
            return;
        }

        var any = _model.NewBoolVar("");
        _model.AddMaxEquality(any, turned);

        // The piece is turned where it must be; by one who likes one stop, wherever two scores mirror each other.
        var mirror = _model.NewBoolVar("");
        var turns1 = _model.NewBoolVar("");
        var pairs = new List<BoolVar>();
        for (var i = 0; i < places.Count; i++)
        {
            var same = new List<BoolVar>();
            for (var j = 0; j < i; j++)
            {
                var equal = EqualTo(places[i] - places[j]);
                var mirrored = EqualTo(places[i] + places[j] - width);
                var apart = And(mirrored, equal.Not());
                pairs.Add(apart);
                var oneStop = _model.NewBoolVar("");
                _model.AddBoolAnd([mirrored, _order.StopsFirst ? _model.TrueLiteral() : any]).OnlyEnforceIf(oneStop);
                _model.AddBoolOr([mirrored.Not(), _order.StopsFirst ? _model.FalseLiteral() : any.Not()]).OnlyEnforceIf(oneStop.Not());
                same.Add(equal);
                same.Add(oneStop);
            }

            var isNew = _model.NewBoolVar("");
            if (same.Count == 0)
            {
                _model.Add(isNew == 1);
            }
            else
            {
                _model.AddBoolOr(same).OnlyEnforceIf(isNew.Not());
                _model.AddBoolAnd(same.Select(l => l.Not())).OnlyEnforceIf(isNew);
            }

            settings.Add(isNew);
        }

        if (pairs.Count == 0)
        {
            _model.Add(mirror == 0);
        }
        else
        {
            _model.AddMaxEquality(mirror, pairs);
        }

        _model.AddMaxEquality(turns1, _order.StopsFirst ? [any, mirror] : [any]);
        turns.Add(turns1);
    }
}

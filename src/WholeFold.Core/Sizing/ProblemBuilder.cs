using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>An ideal that is not the construction's own, and where it comes from.</summary>
/// <param name="Value">How long it would be; or how many times its rule, where <paramref name="OfRule"/>.</param>
/// <param name="ByHand">A person set it for this very format: nothing that nobody set makes it give way.</param>
internal readonly record struct Wish(Rational Value, Words Because, bool ByHand = false, bool OfRule = false)
{
    /// <summary>What was set for this format, on other tools than these.</summary>
    public static Wish Here(Length value) => new(value.Units, Words.Of($"as you set it"), ByHand: true);

    /// <summary>What was set at home, in another format: its size there, or how many times its rule it was.</summary>
    public static Wish Elsewhere(Elsewhere set) => set.OfRule is { } times
        ? new(times, Words.Of($"{set.Home:u} at {set.Format}, in proportion"), OfRule: true)
        : new(set.Home.Units, Words.Of($"as at {set.Format}"));
}

/// <summary>What a sheet has for a piece, along its chain and across it.</summary>
public sealed record SheetRoom(string Piece, Length Along, Length Across);

/// <summary>A plate that a format names, and the size that it is to have.</summary>
internal sealed record NamedPlate(string Called, Affine Width, Affine Height, Length Wide, Length High);

/// <summary>Poses a construction for one target as a <see cref="Problem"/>: resolves ideals, pins, limits and allowances.</summary>
internal sealed class ProblemBuilder
{
    private static readonly Length Farthest = Length.In(30);

    /// <summary>How far a figure set by hand goes to reach a groove, a free cut to reach a coarser mark, and what is comfortable where there is no board.</summary>
    private static readonly Pair ToGroove = Pair.Of(1, 32, 1m);
    private static readonly Pair ToCoarser = Pair.Of(1, 16, 1m);
    private static readonly Pair WithoutBoard = Pair.Of(1, 16, 1.5m);

    /// <summary>What is set by hand counts for so much more than everything else past its comfort together.</summary>
    private const long HandStrain = 1_000_000;

    private readonly Construction _construction;
    private readonly Target _target;
    private readonly ToolSet _tools;
    private readonly Papers _papers;
    private readonly Priority _priority;
    private readonly Preferences _prefer;
    private readonly IReadOnlyDictionary<string, Wish> _wishes;

    /// <param name="papers">What its allowances are worked out from.</param>
    /// <param name="pins">Values that are hard.</param>
    /// <param name="wishes">Ideals that replace the construction's own, such as what a person set in another format, scaled to this one.</param>
    public ProblemBuilder(Construction construction, Target target, ToolSet tools, Papers papers, Priority priority, Preferences prefer,
        IReadOnlyDictionary<string, Length> pins, IReadOnlyDictionary<string, Wish> wishes)
    {
        (_construction, _target, _tools, _papers, _priority, _prefer, _wishes) = (construction, target, tools, papers, priority, prefer, wishes);
        Pins = pins;
        Ideals = ResolveIdeals();
    }

    public IReadOnlyDictionary<string, Length> Pins { get; }

    /// <summary>The closed card that is aimed at.</summary>
    public Target Target => _target;

    /// <summary>Which of the pins are locks: given physically, or to be kept exactly, in every format.</summary>
    public IReadOnlySet<string> Locked { get; init; } = new HashSet<string>();

    /// <summary>What a person set, by parameter, as it stands in this format: before limits and marks.</summary>
    public IReadOnlyDictionary<string, Length> Asked { get; init; } = new Dictionary<string, Length>();

    /// <summary>A piece that is to be as long as a side of its sheet.</summary>
    public (string Piece, Length Length)? Led { get; init; }

    /// <summary>How large pieces may be at most, so that they come out of their sheets: along the chain and across it.</summary>
    public IReadOnlyList<SheetRoom> Rooms { get; init; } = [];

    /// <summary>Figures that are there already, as they measure.</summary>
    public IReadOnlyList<Done> Done { get; init; } = [];

    /// <summary>A bought blank that is one of the pieces: what is there is not cut.</summary>
    public Blank? Blank { get; init; }

    /// <summary>What was set at home and is the ideal here, where it is treated like any ideal.</summary>
    public IReadOnlyDictionary<string, Elsewhere> FromHome { get; init; } = new Dictionary<string, Elsewhere>();

    /// <summary>Where a format names what is shown: the plate, and how large it is to be. The closed card follows from it.</summary>
    public NamedPlate? Named { get; init; }

    /// <summary>Whoever waits for the answer may stop waiting.</summary>
    public CancellationToken Cancel { get; init; }

    /// <summary>Each parameter's ideal at the format, within its limits; a pinned one's is its pin.</summary>
    public IReadOnlyDictionary<string, Rational> Ideals { get; }

    /// <summary>Where each parameter's ideal comes from, in words.</summary>
    public Dictionary<string, Words> Origins { get; } = [];

    /// <summary>A mountain is scored from its own side where that is preferred.</summary>
    internal static bool ScoredFromBehind(Crease crease, Preferences prefer) => prefer.MountainsFromBehind && crease.Fold == Fold.Mountain;

    public string NameOf(string parameter) => _construction.Parameters.First(p => p.Id == parameter).Name;

    /// <summary>The exact value of an expression at the format and the ideals.</summary>
    public Rational At(Affine expression) => expression.Evaluate(_tools.System, ValueAtIdeal);

    /// <summary>The value of an allowance, from the stock of the piece that it is for.</summary>
    /// <exception cref="KeyNotFoundException">The construction names no such allowance.</exception>
    public Rational Known(Symbol allowance) => _construction.Allowances[allowance].Value(_papers, _tools).Units;

    /// <summary>
    /// The problem. <paramref name="without"/> names groups of requirements to leave out, which is how an impossible case
    /// is explained; <paramref name="only"/> makes one parameter's distance from <paramref name="onlyIdeal"/> all that counts.
    /// </summary>
    public Problem Build(Relaxation relaxation, IReadOnlySet<string>? without = null, string? only = null, Rational? onlyIdeal = null)
    {
        bool Without(string group) => without?.Contains(group) == true;
        var slack = Sizer.Slack(relaxation).For(_tools.System).Units;
        var pinned = Pins.Where(p => p.Key != only && !Without($"pin:{p.Key}")).ToDictionary(p => p.Key, p => p.Value);
        var held = _construction.Parameters.Where(p => p.Held && p.Id != only && !Pins.ContainsKey(p.Id) && !_wishes.ContainsKey(p.Id)).ToDictionary(p => p.Id, p => Ideals[p.Id]);
        var known = pinned.ToDictionary(p => Symbol.Parameter(p.Key), p => new Rational(p.Value.Units));
        foreach (var (name, ideal) in held)
        {
            known[Symbol.Parameter(name)] = ideal.Nearest();
        }

        foreach (var allowance in _construction.Allowances.Keys)
        {
            known[allowance] = Known(allowance);
        }

        var leads = _construction.Pieces.SelectMany(p => Enumerable.Range(0, p.Creases.Count).Select(p.Position).Concat(p.Lines.SelectMany(l => new[] { l.From.X, l.From.Y })))
            .SelectMany(at => at.Terms.Keys).ToHashSet();
        var grid = _tools.Exact ? [1L] : _tools.RulerMarks.DefaultIfEmpty(_tools.CutMarks[0]).Select(m => m.Units / 2).ToArray();
        var unknowns = new List<Unknown>
        {
            Side(Symbol.Width, _target.Width, slack),
            Side(Symbol.Height, _target.Height, slack),
        };
        foreach (var parameter in _construction.Parameters.Where(p => !known.ContainsKey(Symbol.Parameter(p.Id))))
        {
            var ideal = parameter.Id == only ? onlyIdeal!.Value : Ideals[parameter.Id];
            var band = Band(Ideals[parameter.Id]);
            var byHand = _wishes.TryGetValue(parameter.Id, out var wish) && wish.ByHand;
            var cutsOnly = !byHand && !_tools.Exact && !leads.Contains(Symbol.Parameter(parameter.Id));
            unknowns.Add(new Unknown
            {
                Symbol = Symbol.Parameter(parameter.Id),
                IsSide = false,
                Low = 0,
                High = Farthest.Units,
                Ideal = ideal,
                Weight = Math.Max(1, Problem.BandCost / (band * ideal.Denominator)),
                Grid = grid,
                Band = only is not null ? null : byHand ? ToGroove.For(_tools.System).Units : cutsOnly ? ToCoarser.For(_tools.System).Units : band,
                Strain = byHand ? HandStrain : 1,
                CutsOnly = cutsOnly,
            });
        }

        var index = unknowns.Select((u, i) => (u.Symbol, i)).ToDictionary(p => p.Symbol, p => p.i);
        Form FormOf(Affine expression) => Problem.FormOf(expression, _tools.System, index, known);
        return new Problem
        {
            Tools = _tools,
            Cancel = Cancel,
            Unknowns = [.. unknowns],
            Bounds = [.. Requirements().Where(b => !Without(b.Id)).Select(b => new Bound(b.Id, FormOf(b.AtLeastZero)))],
            Cuts = [.. _construction.Pieces.SelectMany(p => MarkedOut(p).Select(at => (At: at, Inner: true))
                .Concat(new[] { p.Along, p.Across }.Where(at => !IsEdgeThere(p, at)).Select(at => (At: at, Inner: false))))
                .Where(c => !IsGiven(c.At) && !IsDone(c.At)).Select(c => new CutForm(FormOf(c.At), c.Inner))],
            Scores = [.. _construction.Pieces.SelectMany((p, strip) => p.Creases.Select((crease, i) => (crease, i)).Where(c => !IsSpineThere(p, c.i) && !IsDone(p.Position(c.i)))
                .Select(c => new ScoreForm(strip, FormOf(p.Position(c.i)), FormOf(p.Along), ScoredFromBehind(c.crease, _prefer)))
                .Concat(p.Lines.Where(p.RunsAcross)
                    .Select(l => new ScoreForm(_construction.Pieces.Count + strip, FormOf(p.Axis == Axis.X ? l.From.Y : l.From.X), FormOf(p.Across),
                    ScoredFromBehind(l.Crease, _prefer)))))],
            // Where there is no board, nothing can be put before the format for its sake.
            Priority = _priority == Priority.Board && _tools.Stops.Count == 0 ? Priority.Format : _priority,
            Prefer = _prefer,
            OnMarks = relaxation != Relaxation.RoundedFigures,
            ScoresOnMarks = !Without("marks:scores"),
            CutsOnMarks = !Without("marks:cuts"),
            OnlyUnknown = only is null ? null : index[Symbol.Parameter(only)],
        };
    }

    /// <summary>A figure that is there already: it hangs on nothing but what is locked, on a mark or not.</summary>
    public bool IsGiven(Affine figure) => Locked.Count > 0 && figure.Terms.Count > 0 && figure.Terms.Keys.All(s => s.Kind == SymbolKind.Parameter && Locked.Contains(s.Id));

    /// <summary>A figure that is cut or scored by now: no mark is looked for any more.</summary>
    private bool IsDone(Affine figure) => Done.Any(d => (d.At - figure).IsZero);

    /// <summary>An edge of the blank that is not cut: the piece is as large as the blank.</summary>
    public bool IsEdgeThere(Piece piece, Affine edge) => Blank?.Piece == piece.Id
        && At(edge) == (edge == piece.Across ? At(Designs.Blank.SidesOf(piece).Across) : 2 * At(Designs.Blank.SidesOf(piece).Half));

    /// <summary>The spine of the blank, which nobody scores.</summary>
    public bool IsSpineThere(Piece piece, int crease) => Blank?.Piece == piece.Id && Blank.Spine == crease;

    /// <summary>How far a parameter may be from its ideal and nobody minds: 15 %, or half a groove of the board.</summary>
    public long Band(Rational ideal)
    {
        var own = _tools.GrooveRows.Where(r => Pair.Of(1, 8, 1m).For(_tools.System) is var mark && r.Step.IsOn(mark)).Concat(_tools.GrooveRows).FirstOrDefault();
        var groove = _tools.HasBoard ? own.Step.Units / 2 : WithoutBoard.For(_tools.System).Units;
        return Math.Max((ideal * new Rational(15, 100)).Nearest(), groove);
    }

    /// <summary>The limits of a parameter that hold here: of a locked one only those that the stock asks for.</summary>
    private IEnumerable<Limit> Holding(Parameter parameter, IReadOnlyList<Limit> limits) =>
        Locked.Contains(parameter.Id) ? limits.Where(l => l.Value.Terms.Keys.Any(s => s.Kind == SymbolKind.Allowance)) : limits;

    /// <summary>The limit that a value is past; null where it is past none.</summary>
    /// <param name="at">The exact value of an expression at the figures.</param>
    public static Limit? Past(Parameter parameter, Rational value, Func<Affine, Rational> at) =>
        parameter.Min.FirstOrDefault(l => at(l.Value) > value) ?? parameter.Max.FirstOrDefault(l => at(l.Value) < value);

    /// <summary>What is marked out inside a piece with a pencil: the lines of openings, where scores begin and end, the ticks of slanting ones.</summary>
    internal static IEnumerable<Affine> MarkedOut(Piece piece) =>
        piece.Openings.SelectMany(o => o.Edges.Select(e => e.At).Concat(o.Outline is { } outline ? outline.SelectMany(c => new[] { c.X, c.Y }) : []))
            .Concat(piece.AllCreases.SelectMany(c => c.Stretches.SelectMany(s => new[] { s.From, s.To })))
            .Concat(piece.Lines.Where(l => l.IsSlanting).SelectMany(l => new[] { l.From.X, l.From.Y, l.To.X, l.To.Y }))
            .Where(at => !at.IsZero).DistinctBy(at => at.ToString());

    /// <summary>Every hard requirement as "at least zero", with the words that explain it.</summary>
    public IEnumerable<Requirement> Requirements()
    {
        foreach (var parameter in _construction.Parameters)
        {
            var zeroByHand = parameter.ZeroByHand is not null && Pins.TryGetValue(parameter.Id, out var pin) && pin == Length.Zero;
            var value = Affine.Name(parameter.Id);
            for (var i = 0; i < parameter.Min.Count && !zeroByHand; i++)
            {
                // A lower limit that hangs on the format alone is taken at the format: a card that ends a mark smaller does
                // not make less do. Upper limits follow the card as it ends, or something would stand out of it.
                var limit = parameter.Min[i];
                if (!Holding(parameter, parameter.Min).Contains(limit))
                {
                    continue;
                }

                var least = limit.OnFormatOnly ? Affine.Constant(new Length(At(limit.Value).Ceiling())) : limit.Value;
                yield return new Requirement($"limit:{parameter.Id}.min{i}", value - least, limit.Because);
            }

            for (var i = 0; i < parameter.Max.Count; i++)
            {
                if (!Holding(parameter, parameter.Max).Contains(parameter.Max[i]))
                {
                    continue;
                }

                yield return new Requirement($"limit:{parameter.Id}.max{i}", parameter.Max[i].Value - value, parameter.Max[i].Because);
            }
        }

        foreach (var piece in _construction.Pieces)
        {
            foreach (var panel in piece.Panels)
            {
                yield return new Requirement($"panel:{piece.Id}.{panel.Id}", panel.Extent - panel.Min.Value, panel.Min.Because);
            }
        }

        foreach (var requirement in _construction.Requirements)
        {
            yield return requirement;
        }

        // A piece of nothing is no piece, whatever was locked.
        foreach (var piece in _construction.Pieces)
        {
            yield return new Requirement($"piece:{piece.Id}", piece.Across - Construction.SmallestTab, $"{piece.Name.ToLowerInvariant()} would be too small to handle");
        }

        if (Named is { } named)
        {
            foreach (var (side, at, size) in new[] { ("width", named.Width, named.Wide), ("height", named.Height, named.High) })
            {
                yield return new Requirement($"named:{side}.least", at - Affine.Constant(size), "what is shown has the size of the format");
                yield return new Requirement($"named:{side}.most", Affine.Constant(size) - at, "what is shown has the size of the format");
            }
        }

        foreach (var (done, i) in Done.Select((d, i) => (d, i)))
        {
            yield return new Requirement($"done:{i}.least", done.At - Affine.Constant(done.Real), "what is done is done");
            yield return new Requirement($"done:{i}.most", Affine.Constant(done.Real) - done.At, "what is done is done");
        }

        foreach (var room in Rooms)
        {
            var piece = _construction.Pieces.First(p => p.Id == room.Piece);
            yield return new Requirement($"sheet:{piece.Id}.along", Affine.Constant(room.Along) - piece.Along, "it must come out of its sheet");
            yield return new Requirement($"sheet:{piece.Id}.across", Affine.Constant(room.Across) - piece.Across, "it must come out of its sheet");
        }

        if (Blank is { } blank)
        {
            var piece = _construction.Pieces.First(p => p.Id == blank.Piece);
            var (half, spine) = (Designs.Blank.SidesOf(piece).Half, piece.Position(blank.Spine));
            yield return new Requirement("blank:before", half - spine, "each half must come out of the blank");
            yield return new Requirement("blank:after", half - piece.Along + spine, "each half must come out of the blank");
        }

        if (Led is var (led, length))
        {
            var rest = _construction.Pieces.First(p => p.Id == led).Along - Affine.Constant(length);
            yield return new Requirement($"sheet:{led}.least", rest, "the sheet is used whole");
            yield return new Requirement($"sheet:{led}.most", rest * -1, "the sheet is used whole");
        }
    }

    /// <summary>What goes round a card is for that card as it is: it may be no smaller, and the card is not cut here.</summary>
    private Unknown Side(Symbol name, Length format, long slack) => Named is not null ? Followed(name, format) : new()
    {
        Symbol = name,
        IsSide = true,
        Low = _construction.GoesRound ? format.Units : format.Units - slack,
        High = format.Units,
        Ideal = format.Units,
        Weight = 1,
        Grid = _construction.GoesRound ? [1] : [.. _tools.CutMarks.Select(m => m.Units)],
    };

    /// <summary>A side of the closed card that follows from what is shown.</summary>
    private Unknown Followed(Symbol name, Length at) => new()
    {
        Symbol = name,
        IsSide = false,
        Low = 0,
        High = Farthest.Units,
        Ideal = at.Units,
        Weight = 1,
        Grid = [.. _tools.CutMarks.Select(m => m.Units)],
    };

    private Rational ValueAtIdeal(Symbol symbol) => ValueOf(symbol, Ideals);

    private Rational ValueOf(Symbol symbol, IReadOnlyDictionary<string, Rational> ideals) => symbol.Kind switch
    {
        SymbolKind.Size => symbol == Symbol.Width ? _target.Width.Units : _target.Height.Units,
        SymbolKind.Allowance => Known(symbol),
        _ => ideals[symbol.Id],
    };

    private Dictionary<string, Rational> ResolveIdeals()
    {
        var ideals = new Dictionary<string, Rational>();
        Rational Value(Symbol symbol) => ValueOf(symbol, ideals);
        foreach (var parameter in _construction.Parameters)
        {
            if (Pins.TryGetValue(parameter.Id, out var pin))
            {
                ideals[parameter.Id] = pin.Units;
                Origins[parameter.Id] = Words.Of($"{Capital(parameter.Name)} {pin}, as you set it");
                continue;
            }

            var wished = _wishes.TryGetValue(parameter.Id, out var wish);
            var ideal = wished && !wish.OfRule ? wish.Value : parameter.Ideal.Evaluate(_tools.System, Value);
            ideal = wish.OfRule ? (ideal * wish.Value).Nearest() : ideal;
            var origin = wished
                ? Words.Of($"{Capital(parameter.Name)} {Near(ideal)}: {wish.Because}")
                : Words.Of($"{Capital(parameter.Name)} {Near(ideal)}: {parameter.Rule}");
            foreach (var (limit, isMin) in parameter.Min.Select(l => (l, true)).Concat(parameter.Max.Select(l => (l, false))))
            {
                // What others would have to give for what was set by hand is for the search to find out.
                if (wish.ByHand && !limit.OnFormatOnly)
                {
                    continue;
                }

                var bound = limit.Value.Evaluate(_tools.System, Value);
                if (isMin ? ideal < bound : ideal > bound)
                {
                    ideal = bound;
                    origin.Add($"; but {(isMin ? "at least" : "at most")} {Near(bound)}, since {limit.Because}");
                }
            }

            ideals[parameter.Id] = ideal;
            Origins[parameter.Id] = origin;
        }

        return ideals;
    }

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    private static Length Near(Rational units) => new(units.Nearest());
}

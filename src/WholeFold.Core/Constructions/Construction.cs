using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions;

/// <summary>What a parameter does when the design goes into another format.</summary>
public enum OnConversion
{
    /// <summary>It grows and shrinks with the format.</summary>
    Proportional,

    /// <summary>It needs what it needs at any size: a glue tab, a gap.</summary>
    Fixed,
}

/// <summary>A limit of a parameter or of a panel, with the words that explain it.</summary>
public sealed record Limit(Affine Value, string Because)
{
    /// <summary>True where no parameter is in it, only the format and allowances.</summary>
    public bool OnFormatOnly { get; } = Value.Terms.Keys.All(s => s.Kind != SymbolKind.Parameter);
}

/// <summary>A length that a construction leaves open.</summary>
/// <param name="Held">
/// True where the ideal is not a size but the absence of one ("no pad"): the board never moves it, only a person does.
/// </param>
/// <param name="Least">What less of it gives, for the end of a slider; <paramref name="Most"/> what more.</param>
/// <param name="ZeroByHand">
/// Where a person may set 0 though the limits forbid it (doors that touch): the caution that goes with it; otherwise null.
/// </param>
/// <param name="So">What it is there for, after "so that": "the doors do not touch"; null where that says itself.</param>
/// <param name="Absorbs">The piece of which this panel can take what is left of a sheet's length, where a person prefers that; otherwise null.</param>
public sealed record Parameter(
    string Id,
    string Name,
    string Meaning,
    Affine Ideal,
    IReadOnlyList<Limit> Min,
    IReadOnlyList<Limit> Max,
    OnConversion OnConversion,
    bool Held,
    string Rule,
    string Least,
    string Most,
    string? ZeroByHand,
    string? So,
    string? Absorbs);

/// <summary>The face of a panel that lies up on the score board (the card's inside, unless its entry says otherwise), and the other.</summary>
public enum Face
{
    Up,
    Down,
}

public enum Fold
{
    Valley,
    Mountain,
}

public enum Axis
{
    X,
    Y,
}

/// <summary>A panel of a piece, by its place in the piece's chain.</summary>
/// <param name="Extent">Its size along the chain.</param>
/// <param name="Min">The least it may be, by its role.</param>
public sealed record Panel(string Id, string Name, Affine Extent, Limit Min)
{
    /// <summary>A tab: it is bonded and hidden, so it may end a mark short, and never reaches past its crease.</summary>
    public bool IsTab { get; init; }
}

/// <summary>What a piece does, as far as it matters which way it is cut if in doubt.</summary>
public enum PartFunction
{
    /// <summary>Nothing that the closed card does not say by itself.</summary>
    None,

    /// <summary>It slides, or passes through a slit.</summary>
    Slides,

    /// <summary>It turns in an opening.</summary>
    Turns,

    /// <summary>It goes inside another piece, or inside a tube.</summary>
    GoesInside,

    /// <summary>A neighbour hides where it ends.</summary>
    IsHidden,

    /// <summary>It covers what must not be seen.</summary>
    Covers,

    /// <summary>Its like is cut with it, and they meet or stand side by side.</summary>
    CutAlike,

    /// <summary>Its two ends meet, as doors do.</summary>
    Meets,
}

/// <summary>A crease between two neighbours of a chain.</summary>
/// <param name="Working">It moves whenever the card is opened; otherwise it is glued and never moves again.</param>
/// <param name="Shown">Fold angle in degrees in the pose looked at; valley positive.</param>
/// <param name="Closed">Fold angle in the envelope: 0 or ±180.</param>
public sealed record Crease(Fold Fold, bool Working, int Shown, int Closed, string Rule)
{
    /// <summary>Where along its line it is scored; empty where it runs right through.</summary>
    public IReadOnlyList<Stretch> Stretches { get; init; } = [];
}

/// <summary>A cut inside a sheet: a window, a slit where the region has no width, or what else its kind says.</summary>
/// <param name="Panel">The panel that it is cut in; for a slit along a crease, the one before it.</param>
/// <param name="Within">Its four lines.</param>
/// <param name="Rule">How it lies, in the trade's words.</param>
/// <param name="StaysOn">Of a flap, the edge at which it stays on.</param>
/// <param name="Outline">The corners of a shape that is no rectangle, within its four lines; null where it is one.</param>
public sealed record Opening(string Id, string Name, string Panel, Rectangle Within, string Rule, CutKind Kind, Edge? StaysOn = null, IReadOnlyList<Spot>? Outline = null)
{
    /// <summary>Cut inside the sheet with a blade, not from its edge.</summary>
    public bool IsKnifeWork => Kind is CutKind.Window or CutKind.Slit or CutKind.Flap;

    /// <summary>Its outline, corner by corner.</summary>
    public IReadOnlyList<Spot> Corners => Outline ?? Within.Corners;

    /// <summary>Its four edges, each a distance from the piece's left or lower edge.</summary>
    public IEnumerable<(Edge Edge, string Name, Affine At)> Edges => [(Edge.Left, "left edge", Within.FromX), (Edge.Right, "right edge", Within.ToX), (Edge.Foot, "lower edge", Within.FromY), (Edge.Head, "upper edge", Within.ToY)];
}

/// <summary>A piece of card: a chain of panels along one axis, with a crease between each two.</summary>
/// <param name="Across">The piece's size along the creases.</param>
/// <param name="Quantity">How many are cut alike.</param>
public sealed record Piece(
    string Id,
    string Name,
    Axis Axis,
    IReadOnlyList<Panel> Panels,
    IReadOnlyList<Crease> Creases,
    Affine Across,
    string SizeRule,
    string AcrossRule,
    int Quantity = 1)
{
    /// <summary>What its length along the chain is there for, and what its size along the creases.</summary>
    public (PartFunction Along, PartFunction Across) Functions { get; init; }

    /// <summary>Id of the stock that it is cut from unless a design says otherwise; null is the design's card.</summary>
    public string? UsualStock { get; init; }

    /// <summary>A die cuts it out, and no trimmer.</summary>
    public bool ByDie { get; init; }

    /// <summary>It is counted from its head: what lies at the lower edge of the board is the card's head, and its foot is the upper one.</summary>
    public bool FromHead { get; init; }

    /// <summary>What is cut out of it, or into it.</summary>
    public IReadOnlyList<Opening> Openings { get; init; } = [];

    /// <summary>The creases that are not between two panels of the chain.</summary>
    public IReadOnlyList<CreaseLine> Lines { get; init; } = [];

    /// <summary>Where plates meet that are already held otherwise.</summary>
    public IReadOnlyList<Ring> Rings { get; init; } = [];

    /// <summary>Its plates, where the panels of the chain are not all there is to it.</summary>
    public IReadOnlyList<Plate>? OwnPlates { get; init; }

    /// <summary>All its creases, the chain's first.</summary>
    public IEnumerable<Crease> AllCreases => Creases.Concat(Lines.Select(l => l.Crease));

    /// <summary>Whether a further crease is read along the chain as the chain's own are.</summary>
    public bool RunsAcross(CreaseLine line) => Axis == Axis.X ? line.IsLevel : line.IsUpright;

    /// <summary>The single pieces, as bonds join them.</summary>
    public IReadOnlyList<PieceRef> Copies { get; } = Quantity == 1 ? [new PieceRef(Id)] : [.. Enumerable.Range(1, Quantity).Select(n => new PieceRef(Id, n))];

    /// <summary>Its panels, from one end of the chain to the other; a copy with others is as long as those.</summary>
    public IReadOnlyList<Panel> Panels
    {
        get;
        init
        {
            field = value;
            Along = Length(value);
        }
    } = Panels;

    /// <summary>The whole sheet along the chain.</summary>
    public Affine Along { get; private init; } = Length(Panels);

    private static Affine Length(IReadOnlyList<Panel> panels) => panels.Aggregate(Affine.Zero, (sum, p) => sum + p.Extent);

    /// <summary>Where crease <paramref name="index"/> lies, from the start of the chain.</summary>
    public Affine Position(int index) => Panels.Take(index + 1).Aggregate(Affine.Zero, (sum, p) => sum + p.Extent);
}

/// <summary>One side of a bond: a region on a face of a plate.</summary>
public sealed record BondSide(FaceRef On, Region Region)
{
    public PlateRef Plate => On.Plate;

    public PieceRef Piece => On.Plate.Piece;
}

/// <summary>
/// Two regions glued face to face. Corner for corner the one lies on the other, so a region given with its corners exchanged
/// is a mirrored one.
/// </summary>
/// <param name="Raised">How thick the foam between them is, where one is raised over the other; otherwise it is taped.</param>
/// <param name="Play">How far the two may be apart because one is cut a hair less to go inside another; otherwise they meet exactly.</param>
/// <param name="IsLoose">Not glued: where a piece that slides or hangs lies when the card is closed.</param>
/// <param name="TakenOff">Of a loose one, that it is taken away before the card is opened.</param>
/// <param name="AtLeast">The regions are the least that holds: adhesive may go as far as the two plates lie on each other.</param>
public sealed record Bond(string Id, BondSide A, BondSide B, string LinedUp, Pair? Raised = null, bool IsLoose = false, Affine? Play = null, bool TakenOff = false, bool AtLeast = false)
{
    public IEnumerable<BondSide> Sides => [A, B];
}

/// <summary>Where decoration goes: one layer for each panel and face named.</summary>
/// <param name="Levels">How many lie on each other at the most usual: a mat, and a paper on it.</param>
/// <param name="BothFaces">Whether the other face of each panel carries one too.</param>
/// <param name="Free">By panel, the part that is free, where something is bonded over the rest; the whole panel where it is not named.</param>
/// <param name="Reveal">A border of the construction's own, where the design's reveal does not apply.</param>
/// <param name="ToWriteOn">It is there for the message.</param>
public sealed record LayerRole(string Id, string Name, string Piece, IReadOnlyList<string> Panels, Face Face, int Levels, bool BothFaces, IReadOnlyDictionary<string, Rectangle> Free, Affine? Reveal = null, bool ToWriteOn = false)
{
    /// <summary>What is added to the id of a role on both faces to name the other one.</summary>
    public const string OtherFace = "-back";
}

/// <summary>A requirement that binds several parameters.</summary>
public sealed record Requirement(string Id, Affine AtLeastZero, string Because);

/// <summary>Two things of which one can only have more at the cost of the other, and the parameter that decides between them.</summary>
/// <param name="Parameter">Id of the parameter that is moved.</param>
public sealed record Tradeoff(string Parameter, string OneName, Affine One, string OtherName, Affine Other);

/// <summary>
/// How a card is cut, scored, folded and bonded, for one set of its choices. Everything downstream (sizing, folding,
/// drawing) reads this value and never asks which construction it is.
/// </summary>
public sealed record Construction
{
    public required string Id { get; init; }

    public required IReadOnlyList<Parameter> Parameters { get; init; }

    public required IReadOnlyList<Piece> Pieces { get; init; }

    public required IReadOnlyList<Bond> Bonds { get; init; }

    public required IReadOnlyList<LayerRole> Layers { get; init; }

    public required IReadOnlyList<Requirement> Requirements { get; init; }

    public required IReadOnlyList<Tradeoff> Tradeoffs { get; init; }

    /// <summary>The allowances it names in its expressions, by their symbols.</summary>
    public required IReadOnlyDictionary<Symbol, Allowance> Allowances { get; init; }

    /// <summary>The states of a card that has more than closed and shown; the closed one is the first and is not listed.</summary>
    public IReadOnlyList<CardState> States { get; init; } = [];

    public Effect Does { get; init; }

    /// <summary>How it is put together, step by step.</summary>
    public IReadOnlyList<AssemblyStep> Steps { get; init; } = [];

    public IReadOnlyList<Trouble> Troubles { get; init; } = [];

    /// <summary>What to watch for, before anything is cut.</summary>
    public IReadOnlyList<string> Watch { get; init; } = [];

    /// <summary>What leans on what when it is shown, so that its angles follow from its sizes.</summary>
    public IReadOnlyList<Contact> Contacts { get; init; } = [];

    /// <summary>Where things go that no bond says.</summary>
    public IReadOnlyList<Placement> Places { get; init; } = [];

    /// <summary>The card is counted from its head, and so is turned round to be looked at.</summary>
    public bool FromHead => Pieces[0].FromHead;

    /// <summary>The pieces that are taken away before the card is opened, and what is bonded to them.</summary>
    public IReadOnlySet<PieceRef> TakenOff
    {
        get
        {
            var gone = Bonds.Where(b => b.TakenOff).Select(b => b.B.Piece).ToHashSet();
            while (Bonds.FirstOrDefault(b => !b.IsLoose && gone.Contains(b.A.Piece) != gone.Contains(b.B.Piece)) is { } bond)
            {
                gone.UnionWith([bond.A.Piece, bond.B.Piece]);
            }

            return gone;
        }
    }

    /// <summary>What one looks at; null where it is the largest plate of the first piece, standing on its foot.</summary>
    public LookedAt? LookedAt { get; init; }

    /// <summary>The plate that some people name a standing card by; null where that is as large as the closed card.</summary>
    public PlateRef? NamedShown { get; init; }

    /// <summary>Of what goes round a card, the parameter that says how thick the card is; null of a card.</summary>
    public string? RoundOneAsThickAs { get; init; }

    /// <summary>It goes round a card, so no envelope is looked for to put it in.</summary>
    public bool GoesRound => RoundOneAsThickAs is not null;

    /// <summary>Its sheet is cut with the card's sides slanting at 45° to its edges.</summary>
    public bool Slanting { get; init; }

    /// <summary>Whether closed it may be larger than its format: by its school, or because it goes round a card of that format.</summary>
    public bool MayGrow => GrowsBecause is not null || GoesRound;

    /// <summary>Said when the choices let the finished card grow beyond its format; null where it must not.</summary>
    public string? GrowsBecause { get; init; }

    /// <summary>Why these choices do not go together; null where they do.</summary>
    public string? Refused { get; init; }

    /// <summary>The value of each choice this was built for.</summary>
    public required IReadOnlyDictionary<string, string> Choices { get; init; }

    /// <summary>Its parameters and choices, as they are told to who asked for another.</summary>
    public string WhatCanBeSet => Parameters.Count + Choices.Count == 0 ? "nothing: all its figures follow from the format" : string.Join(", ", Parameters.Select(p => p.Id).Concat(Choices.Keys));

    /// <summary>The smallest panel, ⅜ in or 10 mm, and the smallest tab, ¼ in or 6 mm.</summary>
    public static Pair SmallestPanel { get; } = Pair.Of(3, 8, 10m);

    public static Pair SmallestTab { get; } = Pair.Of(1, 4, 6m);

    /// <summary>A window that one can still see through.</summary>
    public static Pair SmallestWindow { get; } = Pair.Of(3, 4, 20m);
}

/// <summary>Something chosen from a few: a school, or how many of a kind.</summary>
public sealed record Choice(string Id, string Name, string Meaning, IReadOnlyList<string> Options, string Default);

/// <summary>A construction with all its choices; <see cref="For"/> gives the value for one set of them.</summary>
public sealed class ConstructionFamily
{
    private readonly Dictionary<string, Construction> _built = [];
    private readonly Action<ConstructionBuilder>? _build;
    private readonly Lock _gate = new();

    /// <summary>One of the library: built from its file.</summary>
    public ConstructionFamily(string id, string name, string opens, IReadOnlyList<Choice> choices, Action<ConstructionBuilder> build)
    {
        (Id, Name, Opens, Choices, _build) = (id, name, opens, choices, build);
    }

    /// <summary>One that was read: the value for each set of options, by <see cref="KeyOf"/>.</summary>
    internal ConstructionFamily(string id, string name, string opens, IReadOnlyList<Choice> choices, Dictionary<string, Construction> variants)
    {
        (Id, Name, Opens, Choices, _built) = (id, name, opens, choices, variants);
    }

    public string Id { get; }

    public string Name { get; }

    /// <summary>What it does when it is opened, in a few words.</summary>
    public string Opens { get; }

    public IReadOnlyList<Choice> Choices { get; }

    /// <summary>The construction for the given choices, each at its default where it is not given.</summary>
    /// <exception cref="ArgumentException">A choice is unknown or its value is not an option; callers validate first.</exception>
    public Construction For(IReadOnlyDictionary<string, string>? chosen = null)
    {
        var values = Choices.ToDictionary(c => c.Id, c => chosen?.GetValueOrDefault(c.Id) ?? c.Default);
        foreach (var choice in Choices)
        {
            if (!choice.Options.Contains(values[choice.Id]))
            {
                throw new ArgumentException($"{choice.Id} can be {string.Join(", ", choice.Options)}, not {values[choice.Id]}.", nameof(chosen));
            }
        }

        lock (_gate)
        {
            var key = KeyOf(values);
            if (!_built.TryGetValue(key, out var construction))
            {
                var builder = new ConstructionBuilder(Id, values);
                _build!(builder);
                construction = _built[key] = builder.Build();
            }

            return construction;
        }
    }

    /// <summary>Every set of options.</summary>
    public static IEnumerable<Dictionary<string, string>> Combinations(IReadOnlyList<Choice> choices) =>
        choices.Aggregate<Choice, IEnumerable<Dictionary<string, string>>>([[]], (all, choice) => all.SelectMany(c => choice.Options.Select(o => new Dictionary<string, string>(c) { [choice.Id] = o })));

    internal static string KeyOf(IReadOnlyDictionary<string, string> choices) => string.Join('|', choices.OrderBy(v => v.Key, StringComparer.Ordinal).Select(v => $"{v.Key}={v.Value}"));
}

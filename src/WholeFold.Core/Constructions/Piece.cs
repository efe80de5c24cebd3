using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions;

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

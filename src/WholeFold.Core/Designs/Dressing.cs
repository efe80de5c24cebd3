using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Designs;

/// <summary>The nine places of a face, as one reads it.</summary>
public enum Anchor
{
    HeadLeft,
    Head,
    HeadRight,
    Left,
    Centre,
    Right,
    FootLeft,
    Foot,
    FootRight,
}

/// <summary>An edge of a face as one reads it.</summary>
public enum ReadEdge
{
    Left,
    Right,
    Head,
    Foot,
}

/// <summary>A distance from an edge of the face, or from the like edge of a window before.</summary>
/// <param name="Window">The window that it is counted from; null for the face's own edge.</param>
public sealed record FromEdgeOf(ReadEdge Edge, Length Distance, string? Window = null);

/// <summary>Where a thing sits.</summary>
public sealed record Placed(Anchor Anchor, IReadOnlyList<FromEdgeOf> From, string Pose)
{
    public static Placed Middle { get; } = new(Anchor.Centre, [], "flat");

    public bool IsAtLeft => Anchor is Anchor.HeadLeft or Anchor.Left or Anchor.FootLeft;

    public bool IsAtRight => Anchor is Anchor.HeadRight or Anchor.Right or Anchor.FootRight;

    public bool IsAtHead => Anchor is Anchor.HeadLeft or Anchor.Head or Anchor.HeadRight;

    public bool IsAtFoot => Anchor is Anchor.FootLeft or Anchor.Foot or Anchor.FootRight;
}

/// <summary>Whether a layer ends at what is bonded on its face, or goes on first and runs under it.</summary>
public enum Under
{
    Free,
    First,
}

public sealed record WornLayer(string Role, int Level, Stock? Stock, bool Worn, Length? RevealX, Length? RevealY, Under? Under, bool ToWriteOn);

public enum OutlineShape
{
    Rectangle,
    Circle,
    Ellipse,
    Polygon,
}

/// <summary>What a knife's window does in another format.</summary>
public enum WindowRule
{
    /// <summary>It grows and shrinks with its face.</summary>
    Scale,

    /// <summary>It keeps its size.</summary>
    Fixed,

    /// <summary>It keeps its margins.</summary>
    Margins,
}

/// <param name="Through">The levels that it goes through, 0 for the card; null for all.</param>
/// <param name="Around">The window before it that it is cut round, with the same middle.</param>
public sealed record Window(string Id, string Role, Die? Die, OutlineShape Shape, Length Width, Length Height, IReadOnlyList<int>? Through, Placed Place,
    WindowRule Rule, string? Family, string? Around = null)
{
    /// <summary>Whether the die is passed twice for a longer opening.</summary>
    public bool Twice => Die is { } die && (Width > die.Width || Height > die.Height);

    /// <summary>As one says it: the second of those without a name of their own is window 2.</summary>
    public string Called => Id.StartsWith("window", StringComparison.Ordinal) ? $"Window{Id["window".Length..].Replace('-', ' ')}" : $"Window {Id.Replace('-', ' ')}";
}

/// <summary>How an element came to be.</summary>
public enum Made
{
    Stamped,
    Printed,
    DieCut,
    BuiltUp,

    /// <summary>Stamped, strewn with powder and melted with a heat tool.</summary>
    HeatEmbossed,

    /// <summary>A small light with a button cell behind it.</summary>
    Lit,
}

/// <summary>What carries an element.</summary>
public enum HeldBy
{
    Face,

    /// <summary>It hangs in a window and turns.</summary>
    Thread,

    /// <summary>A clear strip.</summary>
    Strip,

    /// <summary>It is on what slides.</summary>
    Slide,

    /// <summary>It is what a lock catches under.</summary>
    Lock,

    /// <summary>A pair of small magnets holds it shut.</summary>
    Magnet,
}

/// <param name="Corners">Of a polygon, in shares of its size from its lower left.</param>
public sealed record Element(string Id, string Name, string Role, OutlineShape Shape, IReadOnlyList<(double X, double Y)> Corners, Length Width, Length Height,
    Length Stands, bool IsFixed, Placed Place, string? BondedOn, Made Made, Stock Stock, HeldBy Held, string? Motif, bool OverEdge = false)
{
    public bool IsRaised => Stands > Length.Zero;

    /// <summary>Stamped or printed on the card itself: it needs no adhesive, and goes across any crease.</summary>
    public bool IsInk => Made is Made.Stamped or Made.Printed or Made.HeatEmbossed && !IsRaised;
}

public enum ContourShape
{
    Roofs,
    Hills,
    Waves,
    Drawn,
}

/// <param name="Profile">Its line from left to right, both in shares: how far along, how high.</param>
public sealed record Contour(string Id, string Role, ContourShape Shape, Length Height, IReadOnlyList<(double Along, double High)> Profile);

public enum SoftKind
{
    Ribbon,
    Twine,
    Thread,
    Tape,
    Foam,
}

public enum SoftRule
{
    Run,
    Wrap,
    Bow,
    Knot,
}

public sealed record SoftGood(string Id, string Role, SoftKind Kind, SoftRule Rule, Length Width, int Passes);

/// <summary>What is put on a card.</summary>
public sealed record Dressing(IReadOnlyList<WornLayer> Layers, IReadOnlyList<Window> Windows, IReadOnlyList<Element> Elements, IReadOnlyList<Contour> Contours, IReadOnlyList<SoftGood> Soft)
{
    public static Dressing None { get; } = new([], [], [], [], []);

    public bool IsBare => ReferenceEquals(this, None);
}

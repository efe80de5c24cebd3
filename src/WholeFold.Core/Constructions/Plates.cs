using WholeFold.Core.Constructions.Allowances;

namespace WholeFold.Core.Constructions;

/// <summary>The part of a crease that is scored, where it does not run right through: from and to, along the crease.</summary>
public sealed record Stretch(Affine From, Affine To);

/// <summary>
/// A crease that is none of the chain's: it runs across the chain, or slants at 45°. Slanting ones run from edge to edge at
/// ticks, and are joined by a ruler.
/// </summary>
/// <param name="Between">What lies on either side of it, in the trade's words.</param>
public sealed record CreaseLine(Spot From, Spot To, Crease Crease, string Between)
{
    /// <summary>Both ends at one height.</summary>
    public bool IsLevel { get; } = (From.Y - To.Y).IsZero;

    public bool IsUpright { get; } = (From.X - To.X).IsZero;

    public bool IsSlanting => !IsLevel && !IsUpright;
}

/// <summary>A part of a sheet that stays flat between its creases. Where a piece is a plain chain, its panels are its plates.</summary>
/// <param name="Corners">Its outline, corner by corner; it may have arms and windows round which it bends, never a hole.</param>
/// <param name="HangsOn">The plate that it is folded from; null where it lies still, or is cut off from the rest of its piece.</param>
/// <param name="By">The crease between the two: first the chain's creases are counted, then the others.</param>
public sealed record Plate(string Id, string Name, IReadOnlyList<Spot> Corners, string? HangsOn = null, int By = -1);

/// <summary>A crease at which two plates meet that are already held otherwise: round a point several creases make a ring.</summary>
public sealed record Ring(string One, string Other, int By);

/// <summary>Where a point of one plate rests against a point of another once the card is shown, and not before.</summary>
/// <param name="How">What one sees there.</param>
public sealed record Contact(PlateRef A, Spot AtA, PlateRef B, Spot AtB, string How);

/// <summary>Where something goes that no bond says: the catch of a hook, which depends on how far the card is opened.</summary>
/// <param name="What">What is placed.</param>
/// <param name="From">The edge or crease that it is measured from, in the trade's words.</param>
/// <param name="Pose">How the card lies while it is measured: flat, closed or shown.</param>
/// <param name="Vanishes">What becomes of its mark.</param>
public sealed record Placement(string Id, string What, string From, Affine Distance, string Pose, string Vanishes);

/// <summary>Which way a card opens for a reader: like a page, its spine at the left; or up, its spine at the top.</summary>
public enum Opens
{
    Sideways,
    Upwards,
}

/// <summary>From where a card is looked at, closed and shown: the plate whose upper face is towards one, and which way is up on
/// it.</summary>
/// <param name="Spine">The edge of the plate on the spine's side, or on that of the fold that opens first; null of a card that is read
/// one way only.</param>
public sealed record LookedAt(PlateRef Plate, Axis Up, Edge? Spine = null)
{
    /// <summary>Which way it opens unless a design says otherwise.</summary>
    /// <param name="fromHead">Whether its piece is counted from the card's head.</param>
    public Opens Usual(bool fromHead) => Spine == UpEdge(fromHead) ? Opens.Upwards : Opens.Sideways;

    /// <summary>The edge of the plate that is uppermost for a reader.</summary>
    public Edge UpFor(Opens? opens, bool fromHead) => Spine is not { } spine || opens is null ? UpEdge(fromHead)
        : opens == Opens.Upwards ? spine : Clockwise(spine);

    private Edge UpEdge(bool fromHead) => (Up, fromHead) switch
    {
        (Axis.X, false) => Edge.Right,
        (Axis.X, true) => Edge.Left,
        (_, false) => Edge.Head,
        _ => Edge.Foot,
    };

    /// <summary>With the spine at the left hand, what lies a quarter turn on is uppermost.</summary>
    private static Edge Clockwise(Edge edge) => edge switch { Edge.Left => Edge.Head, Edge.Head => Edge.Right, Edge.Right => Edge.Foot,
        _ => Edge.Left };
}

/// <summary>What a cut inside a sheet makes.</summary>
public enum CutKind
{
    /// <summary>A hole.</summary>
    Window,

    /// <summary>A line.</summary>
    Slit,

    /// <summary>Something taken off a corner or an edge.</summary>
    Notch,

    /// <summary>Cut on three sides, and left on at the fourth.</summary>
    Flap,

    /// <summary>Right across, so that there are two of it afterwards.</summary>
    Divide,

    /// <summary>A line in from an edge, as far as a score.</summary>
    Snip,
}

/// <summary>Fold angles of one state of a card that has several, by piece and crease; creases not named are as when closed.</summary>
/// <param name="How">What one does to bring it there from the state before.</param>
public sealed record CardState(string Id, string Name, string How, IReadOnlyDictionary<CreaseRef, int> Angles);

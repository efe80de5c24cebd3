using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>A thing where it lies on one face.</summary>
/// <param name="Region">What of the face is free.</param>
/// <param name="Read">Its box as one reads the face, from the lower left of that region.</param>
/// <param name="Outline">In the flat piece.</param>
public sealed record OnFace(RoleFace Face, FreePart Region, Box Read, IReadOnlyList<Point> Outline)
{
    internal Reading Reading => Reading.Of(Face, Region);

    public Box Box { get; } = Box.Round(Outline);

    /// <summary>How far it was moved in so that it stays on its face in a smaller format.</summary>
    public Length MovedIn { get; init; }

    /// <summary>How far it is from each edge of what is free, as one reads it; less than nothing where it reaches past.</summary>
    public (Length Left, Length Right, Length Head, Length Foot) Margins => (Read.Left, Reading.Width - Read.Right, Reading.Height - Read.Top, Read.Bottom);

    /// <summary>How far it reaches past the edge of what is free, at the most.</summary>
    public Length Past => Length.Max(Length.Zero, -Length.Min(Length.Min(Margins.Left, Margins.Right), Length.Min(Margins.Head, Margins.Foot)));
}

/// <summary>Why a window has the size it has.</summary>
public enum WindowFound
{
    /// <summary>As it was chosen.</summary>
    AsChosen,

    /// <summary>The die nearest to what its face asks for.</summary>
    NearestDie,

    /// <summary>By its rule, from the size at home.</summary>
    ByRule,

    /// <summary>No die that is there leaves margins enough; the nearest is shown.</summary>
    NoneFits,
}

/// <param name="Wished">What its face asks for in this format, before a die was taken.</param>
/// <param name="Shift">Of one cut by passing a die twice, how far the second pass is moved.</param>
/// <param name="Home">Its size at home.</param>
public sealed record SizedWindow(Window Window, IReadOnlyList<OnFace> On, Die? Die, Measured Width, Measured Height, (Length Width, Length Height) Wished,
    Length? Shift, WindowFound Found, (Length Width, Length Height) Home)
{
    /// <summary>Whether it is cut through a level: 0 the card, 1 its first layer.</summary>
    public bool GoesThrough(int level) => Window.Through?.Contains(level) ?? true;

    public int Quantity => On.Sum(o => o.Face.Copies.Count);

    public IEnumerable<Measured> Sides => [Width, Height];

    /// <summary>The least margin of it anywhere.</summary>
    public Length LeastMargin => On.Select(o => Length.Min(Length.Min(o.Margins.Left, o.Margins.Right), Length.Min(o.Margins.Head, o.Margins.Foot))).Min();
}

/// <summary>A free edge cut to a shape: how much higher the piece is cut, and the part that stands above the height of the rule.</summary>
/// <param name="IsFree">Whether the edge is one: above a crease there is nothing to cut to a shape.</param>
public sealed record SizedContour(Contour Contour, IReadOnlyList<OnFace> On, bool IsFree);

/// <param name="TooLarge">By how much it is too large for its face; nothing where it goes.</param>
/// <param name="WouldTake">Roles whose faces would take it.</param>
/// <param name="Home">Its size at home.</param>
public sealed record SizedElement(Element Element, IReadOnlyList<OnFace> On, Measured Width, Measured Height, Length TooLarge, IReadOnlyList<Role> WouldTake, (Length Width, Length Height) Home)
{
    public int Quantity => On.Sum(o => o.Face.Copies.Count);

    public IEnumerable<Measured> Sides => [Width, Height];
}

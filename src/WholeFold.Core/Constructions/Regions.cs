using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions;

/// <summary>A point of a flat piece, counted from its left and its lower edge.</summary>
public sealed record Spot(Affine X, Affine Y);

/// <summary>A part of a flat piece, corner by corner. Corner for corner it lies on the region that it is bonded to.</summary>
public abstract record Region
{
    private protected Region()
    {
    }

    public abstract IReadOnlyList<Spot> Corners { get; }

    /// <summary>The points that say how it lies: two opposite corners of a rectangle, all of another shape.</summary>
    public abstract IReadOnlyList<Spot> Anchors { get; }

    /// <summary>A shape by its corners.</summary>
    public static Region Of(params Spot[] corners) => new Polygon(corners);
}

/// <summary>A rectangle; given with its corners exchanged it is a mirrored one.</summary>
public sealed record Rectangle(Affine FromX, Affine FromY, Affine ToX, Affine ToY) : Region
{
    public override IReadOnlyList<Spot> Corners => [new(FromX, FromY), new(ToX, FromY), new(ToX, ToY), new(FromX, ToY)];

    public override IReadOnlyList<Spot> Anchors => [new(FromX, FromY), new(ToX, ToY)];
}

/// <summary>Any other shape without holes.</summary>
public sealed record Polygon(IReadOnlyList<Spot> Outline) : Region
{
    public override IReadOnlyList<Spot> Corners => Outline;

    public override IReadOnlyList<Spot> Anchors => Outline;
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>A layer where it lies on one face.</summary>
/// <param name="Region">What of the face it is the cover of, in the flat piece.</param>
/// <param name="Outline">Its line, in the flat piece.</param>
/// <param name="Holes">What windows take out of it.</param>
public sealed record LaidLayer(RoleFace On, FreePart Region, IReadOnlyList<Point> Outline, IReadOnlyList<IReadOnlyList<Point>> Holes)
{
    public Box Box { get; } = Box.Round(Outline);
}

/// <summary>Layers of one size: a mat or a paper on each of some equal faces.</summary>
/// <param name="Level">1 lies on the card, 2 on the first.</param>
/// <param name="IsRectangle">Whether it is cut with four straight cuts; else its line is drawn on and cut by hand.</param>
public sealed record SizedLayer(string Id, Role Role, IReadOnlyList<LaidLayer> On, int Level, Stock Stock, Measured Width, Measured Height, bool IsRectangle, bool ToWriteOn)
{
    public IReadOnlyList<string> Panels { get; } = [.. On.Select(o => o.On.Plate)];

    public int Quantity => On.Sum(o => o.On.Copies.Count);

    public Face Face => Role.Face;

    public string Piece => Role.Piece;

    /// <summary>Where it lies on a panel, in the flat piece.</summary>
    public Box BoxOn(string panel) => On.First(o => o.On.Plate == panel).Box;

    public IEnumerable<Measured> Sides => [Width, Height];

    /// <summary>What lies on the plates because of it, each as thick as it is with what holds it.</summary>
    public IEnumerable<Body> Bodies(Adhesive adhesive)
    {
        foreach (var laid in On)
        {
            var (thick, weighs) = (Stock.Caliper + adhesive.Thickness, Stock.Weighs + Weight.Grammage(adhesive));
            yield return new Body(Piece, laid.On.Plate, Face, laid.Outline, thick, weighs, laid.On.Copies, Tint: Stock.Colour);
            foreach (var hole in laid.Holes)
            {
                yield return new Body(Piece, laid.On.Plate, Face, hole, -thick, -weighs, laid.On.Copies, IsHole: true);
            }
        }
    }

    /// <summary>How a layer that is no rectangle is cut; null of one that is.</summary>
    public Words? HowToCut => IsRectangle ? null : Words.Of($"cut {Width.Value} × {Height.Value}, then along the line of its panel, {On[0].Outline.Count} corners drawn on from the panel itself");

    /// <summary>A layer may always be scant: until its border is twice what it should be nobody would call it wrong.</summary>
    public SafeSide SafeFor(Measured side)
    {
        var (laid, isWidth) = (On[0], side == Width);
        var border = isWidth ? laid.Region.Box.Width - laid.Box.Width : laid.Region.Box.Height - laid.Box.Height;
        return new SafeSide(SafeDirection.Scant, Words.Of($"scant only shows more of the border"), Quantity > 1 ? [$"all {Quantity}"] : [])
        {
            Most = Length.Max(SafeSide.Unseen, border),
        };
    }
}

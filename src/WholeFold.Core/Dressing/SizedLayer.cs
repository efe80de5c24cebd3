using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>Layers of one size: a mat or a paper on each of some equal panels.</summary>
/// <param name="Level">1 lies on the card, 2 on the first.</param>
/// <param name="Free">By panel, the region that the layer lies in the middle of, in the flat piece.</param>
public sealed record SizedLayer(string Id, LayerRole Role, IReadOnlyList<string> Panels, int Level, Stock Stock, Measured Width, Measured Height, int Quantity, IReadOnlyDictionary<string, Box> Free)
{
    /// <summary>Where the layer lies on a panel, in the flat piece: in the middle of what is free.</summary>
    public Box BoxOn(string panel)
    {
        var free = Free[panel];
        var left = free.Left + new Length((free.Width - Width.Value).Units / 2);
        var bottom = free.Bottom + new Length((free.Height - Height.Value).Units / 2);
        return new Box(left, bottom, left + Width.Value, bottom + Height.Value);
    }

    public IEnumerable<Measured> Sides => [Width, Height];

    /// <summary>What lies on the plates because of it, each as thick as it is with what holds it.</summary>
    public IEnumerable<Body> Bodies(Adhesive adhesive)
    {
        foreach (var panel in Panels)
        {
            foreach (var face in Role.BothFaces ? new[] { Face.Up, Face.Down } : [Role.Face])
            {
                yield return new Body(Role.Piece, panel, face, BoxOn(panel).Corners, Stock.Caliper + adhesive.Thickness, Stock.Weighs + Weight.Grammage(adhesive));
            }
        }
    }

    /// <summary>A layer may always be scant.</summary>
    public SafeSide Safe => new(SafeDirection.Scant, Words.Of($"scant only shows more of the border"), Quantity > 1 ? [$"all {Quantity}"] : []);
}

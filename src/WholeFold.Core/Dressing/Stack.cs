using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>What lies over a spot of a face in the closed card, ply by ply.</summary>
public sealed class Stack
{
    private readonly Lazy<Sight> _closed;

    public Stack(Figures figures) => _closed = new(() => new Sight(figures, Motion.JustAjar(figures)));

    /// <summary>The plates straight off a spot of a face, the nearest first.</summary>
    public IReadOnlyList<PlateRef> Over(FaceRef face, double x, double y) => _closed.Value.Frames.ContainsKey(face.Plate) ? [.. _closed.Value.Over(face, x, y).Select(m => m.Plate)] : [];

    /// <summary>Whether the face of a plate looks towards a spot of another face from over it.</summary>
    internal Face FacingOf(PlateRef plate, FaceRef face)
    {
        var (own, other) = (_closed.Value.Frames[face.Plate].Ez, _closed.Value.Frames[plate].Ez);
        return own.Dot(other) > 0 == (face.Face == Face.Up) ? Face.Down : Face.Up;
    }
}

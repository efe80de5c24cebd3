using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Paper;

/// <summary>What holds a layer. Each adds its thickness once.</summary>
/// <param name="Wet">Whether it can be nudged, and must set.</param>
public sealed record Adhesive(string Id, string Name, Length Thickness, bool Wet) : IThing
{
    /// <summary>Whether structural bonds are made with it unless said otherwise.</summary>
    public bool Bonds { get; init; }
}

using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Paper;

/// <summary>What holds a layer. Each adds its thickness once.</summary>
/// <param name="Wet">Whether it can be nudged, and must set.</param>
public sealed record Adhesive(string Id, string Name, Length Thickness, bool Wet) : IThing
{
    /// <summary>How long it must be left before what it holds is folded or opened, in seconds; nothing where it holds at once.</summary>
    public int Sets { get; init; }

    /// <summary>Whether it gives off what one should not breathe: the room is aired.</summary>
    public bool Solvent { get; init; }

    /// <summary>Whether structural bonds are made with it unless said otherwise.</summary>
    public bool Bonds { get; init; }
}

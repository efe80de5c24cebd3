using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

public enum DieShape
{
    Rectangle,
    Circle,
    Oval,
}

/// <summary>A die: a size that exists and cannot be scaled.</summary>
/// <param name="Family">The set that it nests in; null where it stands alone.</param>
/// <param name="Width">Of the opening that it cuts; <paramref name="Outer"/> is how much further its rim reaches on each side.</param>
public sealed record Die(string Id, string Name, string? Family, DieShape Shape, Length Width, Length Height, Length Outer) : IThing
{
    /// <summary>Whether it is there, or only known of: one that is to be bought or borrowed.</summary>
    public bool IsOwned { get; init; } = true;
}

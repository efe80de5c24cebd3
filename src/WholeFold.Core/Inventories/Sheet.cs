using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>A sheet as it is sold.</summary>
public sealed record Sheet(string Id, string Name, Length Width, Length Height, UnitSystem System) : IThing
{
    /// <summary>Whether a piece comes out of it whole, as it stands or turned.</summary>
    public bool Holds(Length width, Length height) => (width <= Width && height <= Height) || (width <= Height && height <= Width);
}

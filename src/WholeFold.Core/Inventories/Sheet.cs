using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>A sheet as it is sold.</summary>
/// <param name="Usual">It is reckoned with where nobody said which sheets are there.</param>
public sealed record Sheet(string Id, string Name, Length Width, Length Height, UnitSystem System, bool Usual = true) : IThing
{
    /// <summary>Whether a piece comes out of it whole, as it stands or turned.</summary>
    public bool Holds(Length width, Length height) => (width <= Width && height <= Height) || (width <= Height && height <= Width);
}

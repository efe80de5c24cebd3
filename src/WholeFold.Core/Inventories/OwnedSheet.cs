using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>Sheets of one stock and size in the stock book: how many there are, and as what they are bought.</summary>
/// <param name="Stock">By its id.</param>
/// <param name="IsOffcut">Left over from a plan: it costs nothing, and cannot be bought.</param>
public sealed record OwnedSheet(string Id, string Name, string Stock, Length Width, Length Height, UnitSystem System, int Count,
    bool IsOffcut = false) : IThing
{
    /// <summary>How many come in a pack; 1 where they are sold singly.</summary>
    public int Pack { get; init; } = 1;

    /// <summary>What a pack costs, in any currency; null where nobody has said.</summary>
    public decimal? Price { get; init; }

    /// <summary>What one costs.</summary>
    public decimal? Each => Price / Pack;

    /// <summary>How many packs are bought for so many that are missing.</summary>
    public int PacksFor(int missing) => (missing + Pack - 1) / Pack;
}

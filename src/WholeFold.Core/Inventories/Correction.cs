using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Inventories;

/// <summary>What making a card has taught about one allowance: so much more of it, or less, with one stock or with all.</summary>
/// <param name="Stock">Id of the stock; null for every stock that has no correction of its own.</param>
/// <param name="By">Added to the allowance before it goes up to a mark; negative where less does.</param>
public sealed record Correction(string Id, string Name, AllowanceKind Kind, string? Stock, Length By) : IThing;

using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>What a carrier takes at one price, kept by the person who posts: the carrier's own table stands.</summary>
/// <param name="Longest">Of the longer side; <paramref name="Shortest"/> the least of the shorter one.</param>
/// <param name="Squarest">Below this ratio of the sides it costs more; null where the carrier does not mind.</param>
public sealed record Carrier(string Id, string Name, Length Longest, Length Widest, Length Shortest, Length Thickest, int Grams, decimal? Squarest) : IThing;

namespace WholeFold.Core.Paper;

/// <summary>
/// How much room a weight of paper takes, in cm³/g. Caliper (mm) = grammage (g/m²) × bulk / 1000. Values are those a paper
/// merchant's tables centre on; a measured caliper always wins over them.
/// </summary>
public static class Bulk
{
    /// <summary>Uncoated card, what most packs are; the bulk that is meant where none is named.</summary>
    public const decimal Uncoated = 1.25m;

    /// <summary>Embossing raises a card's caliper by this factor.</summary>
    public const decimal Embossing = 1.6m;

    /// <summary>By the word that names the finish.</summary>
    public static IReadOnlyDictionary<string, decimal> ByFinish { get; } = new Dictionary<string, decimal>
    {
        ["coated"] = 0.9m,
        ["smooth"] = 1.15m,
        ["uncoated"] = Uncoated,
        ["felt"] = 1.5m,
        ["cotton"] = 1.5m,
    };

    /// <summary>Grams per square metre of one US pound, by the basis size the pound is reckoned in.</summary>
    public static IReadOnlyDictionary<string, decimal> GramsPerPound { get; } = new Dictionary<string, decimal>
    {
        ["cover"] = 2.708m,
        ["text"] = 1.480m,
        ["index"] = 1.808m,
        ["bristol"] = 2.197m,
    };
}

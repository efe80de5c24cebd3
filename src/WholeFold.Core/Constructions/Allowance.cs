using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions;

/// <summary>The allowances that depend on the stock. A construction names the one it needs; it never computes one.</summary>
public static class Allowance
{
    private const string DoorsName = "@doors";

    /// <summary>Doors that meet stand off by at least 2t each, or their edges rub as the two plies close.</summary>
    public static Affine Doors { get; } = Affine.Name(DoorsName);

    /// <summary>The value of an allowance for a stock.</summary>
    /// <exception cref="KeyNotFoundException">The name is no allowance.</exception>
    public static Length Value(string name, Stock stock) => name switch
    {
        DoorsName => 2 * stock.Caliper,
        _ => throw new KeyNotFoundException($"{name} is no allowance."),
    };
}

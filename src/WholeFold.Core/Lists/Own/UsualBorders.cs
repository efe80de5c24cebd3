using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>What people leave free of a panel on each side of a paper.</summary>
internal static class UsualBorders
{
    /// <summary>The commonest first.</summary>
    public static IReadOnlyList<Pair> All { get; } = [Pair.Of(1, 8, 3m), Pair.Of(1, 4, 6m), Pair.Of(1, 16, 1.5m), Pair.Of(3, 16, 5m), Pair.Of(3, 8, 10m)];
}

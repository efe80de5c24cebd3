using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Inventories;

/// <summary>A tool set as it is owned: one that has marks in both systems works in the format's.</summary>
/// <param name="Imperial">What can be set on a format in inches; <paramref name="Metric"/> on a metric one.</param>
public sealed record ToolKit(string Id, string Name, ToolSet Imperial, ToolSet Metric) : IThing
{
    /// <summary>The system of its marks; null where it follows the format's.</summary>
    public UnitSystem? System => Imperial.System == Metric.System ? Imperial.System : null;

    /// <summary>What can be set on a format of the given system.</summary>
    public ToolSet For(UnitSystem format) => format == UnitSystem.Imperial ? Imperial : Metric;
}

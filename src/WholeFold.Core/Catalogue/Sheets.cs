using WholeFold.Core.Measure;

namespace WholeFold.Core.Catalogue;

/// <summary>A sheet as it is sold.</summary>
public sealed record Sheet(string Id, string Name, Length Width, Length Height, UnitSystem System);

/// <summary>The sheets most people have. The first of a system is its everyday one; a piece that does not come out of
/// it "wants a larger sheet".</summary>
public static class Sheets
{
    public static IReadOnlyList<Sheet> All { get; } =
    [
        new("letter", "Letter", Length.In(17, 2), Length.In(11), UnitSystem.Imperial),
        new("12x12", "12 × 12 in", Length.In(12), Length.In(12), UnitSystem.Imperial),
        new("a4", "A4", Length.Mm(210), Length.Mm(297), UnitSystem.Metric),
    ];

    public static Sheet Everyday(UnitSystem system) => All.First(s => s.System == system);

    /// <summary>The smallest sheet, the everyday one first, that a piece comes out of whole; null where none does.</summary>
    public static Sheet? For(Length width, Length height, UnitSystem system) =>
        All.Where(s => Holds(s, width, height))
            .OrderBy(s => s.System == system ? 0 : 1)
            .ThenBy(s => s.Width.Units * s.Height.Units)
            .FirstOrDefault();

    public static bool Holds(Sheet sheet, Length width, Length height) =>
        (width <= sheet.Width && height <= sheet.Height) || (width <= sheet.Height && height <= sheet.Width);
}

using WholeFold.Core.Input;

namespace WholeFold.Core.Measure;

/// <summary>Reads the name of a unit.</summary>
public static class UnitReader
{
    /// <exception cref="InputProblemException">It is none of in, cm and mm.</exception>
    public static DisplayUnit Read(string text, string field) => text switch
    {
        "in" => DisplayUnit.Inch,
        "cm" => DisplayUnit.Centimetre,
        "mm" => DisplayUnit.Millimetre,
        _ => throw new InputProblemException("units.unknown", field, $"“{text}” is not a unit", "in, cm or mm"),
    };

    /// <summary>The unit people of a system read in.</summary>
    public static DisplayUnit UnitOf(this UnitSystem system) => system == UnitSystem.Imperial ? DisplayUnit.Inch : DisplayUnit.Centimetre;

    public static UnitSystem SystemOf(this DisplayUnit unit) => unit == DisplayUnit.Inch ? UnitSystem.Imperial : UnitSystem.Metric;
}

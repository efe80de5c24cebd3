using System.Globalization;

namespace WholeFold.Core.Measure;

/// <summary>Writes lengths as a person reads them off a rule.</summary>
/// <remarks>
/// Inches go to 32nds, the finest mark of a paper-crafter's rule, reduced (<c>2 7/16</c>); centimetres to one decimal, or
/// to the half millimetre where the figure lies exactly on it (<c>6.15</c>), millimetres to the half. Off the mark, the
/// nearest mark is named with the trade's own words: <em>scant</em>, a little less, <em>full</em>, a little more. Each
/// text is made from the exact value, never from the other system's rounding.
/// </remarks>
public static class LengthWriter
{
    private static readonly Length ThirtySecond = Length.In(1, 32);
    private static readonly Length HalfMillimetre = new(Length.PerMillimetre / 2);
    private static readonly Length Millimetre = new(Length.PerMillimetre);

    /// <summary>The figure without its unit: <c>4 1/8 full</c>, <c>10.5</c>, <c>105</c>.</summary>
    public static string Write(Length value, DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => Marked(value, ThirtySecond, Fraction),
        DisplayUnit.Centimetre => Marked(value, value.IsOn(HalfMillimetre) ? HalfMillimetre : Millimetre, v => Decimal(v.Millimetres / 10)),
        _ => Marked(value, HalfMillimetre, v => Decimal(v.Millimetres)),
    };

    /// <summary>The figure with its unit, for running text: <c>2 7/16 in</c>, <c>6.2 cm scant</c>.</summary>
    public static string WithUnit(Length value, DisplayUnit unit)
    {
        var text = Write(value, unit);
        var word = text.IndexOf(" scant", StringComparison.Ordinal) is var s and >= 0 ? s : text.IndexOf(" full", StringComparison.Ordinal);
        return word < 0 ? $"{text} {Symbol(unit)}" : text.Insert(word, $" {Symbol(unit)}");
    }

    public static string Symbol(DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => "in",
        DisplayUnit.Centimetre => "cm",
        _ => "mm",
    };

    /// <summary>How far the exact value is from the mark that <see cref="Write"/> names; negative where it is scant.</summary>
    public static Length OffMark(Length value, DisplayUnit unit)
    {
        var mark = unit switch
        {
            DisplayUnit.Inch => ThirtySecond,
            DisplayUnit.Centimetre when !value.IsOn(HalfMillimetre) => Millimetre,
            _ => HalfMillimetre,
        };
        return value - value.Nearest(mark);
    }

    private static string Marked(Length value, Length mark, Func<Length, string> write)
    {
        var nearest = value.Nearest(mark);
        var text = write(nearest);
        return nearest == value ? text : value < nearest ? $"{text} scant" : $"{text} full";
    }

    private static string Fraction(Length value)
    {
        var sign = value.Units < 0 ? "-" : "";
        var inches = new Rational(Math.Abs(value.Units), Length.PerInch);
        var whole = inches.Floor();
        var rest = inches - whole;
        return rest.IsZero ? $"{sign}{whole}" : whole == 0 ? $"{sign}{rest}" : $"{sign}{whole} {rest}";
    }

    private static string Decimal(decimal value) => value.ToString("0.##", CultureInfo.InvariantCulture);
}

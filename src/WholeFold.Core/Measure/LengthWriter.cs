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

    /// <summary>The figure in its parts.</summary>
    public static FigureText Parts(Length value, DisplayUnit unit, bool withUnit = false)
    {
        var mark = MarkOf(value, unit);
        var nearest = value.Nearest(mark);
        var word = nearest == value ? null : value < nearest ? "scant" : "full";
        var symbol = withUnit ? Symbol(unit) : null;
        if (unit != DisplayUnit.Inch)
        {
            var number = unit == DisplayUnit.Centimetre ? nearest.Millimetres / 10 : nearest.Millimetres;
            return new FigureText(number.ToString("0.##", CultureInfo.InvariantCulture), null, null, symbol, word);
        }

        var negative = nearest.Units < 0;
        var inches = new Rational(Math.Abs(nearest.Units), Length.PerInch);
        var whole = inches.Floor();
        var rest = inches - whole;
        return rest.IsZero
            ? new FigureText($"{(negative ? "-" : "")}{whole}", null, null, symbol, word)
            : new FigureText(whole == 0 ? "" : $"{(negative ? "-" : "")}{whole}", (int)(negative && whole == 0 ? -rest.Numerator : rest.Numerator), (int)rest.Denominator, symbol, word);
    }

    /// <summary>
    /// A figure where it stands beside another system's: on a ruler's mark as any figure; off every mark it is the size of a thing that is
    /// there, written as a plain equivalent and marked as one: <c>(82.6 mm)</c>, <c>(3 5/32 in scant)</c>.
    /// </summary>
    public static FigureText Beside(Length value, DisplayUnit unit, bool withUnit = false)
    {
        if (value.IsOn(unit == DisplayUnit.Inch ? ThirtySecond : HalfMillimetre))
        {
            return Parts(value, unit, withUnit);
        }

        return unit == DisplayUnit.Inch ? Parts(value, unit, withUnit: true) with { Aside = true }
            : new FigureText(Math.Round(value.Millimetres, 1, MidpointRounding.AwayFromZero).ToString("0.0",
                CultureInfo.InvariantCulture), Unit: Symbol(DisplayUnit.Millimetre), Aside: true);
    }

    /// <summary>The figure without its unit: <c>4 1/8 full</c>, <c>10.5</c>, <c>105</c>.</summary>
    public static string Write(Length value, DisplayUnit unit) => Parts(value, unit).Text;

    /// <summary>The figure with its unit, for running text: <c>2 7/16 in</c>, <c>6.2 cm scant</c>.</summary>
    public static string WithUnit(Length value, DisplayUnit unit) => Parts(value, unit, withUnit: true).Text;

    /// <summary>The length itself, in the unit in which it is a plain figure: what is written down to be read again.</summary>
    public static string Exact(Length value) =>
        value.IsOn(Length.In(1, 64)) && !value.IsOn(HalfMillimetre) ? $"{ExactInches(value)} in" : $"{value.Millimetres.ToString("0.######", CultureInfo.InvariantCulture)} mm";

    private static string ExactInches(Length value)
    {
        var inches = new Rational(Math.Abs(value.Units), Length.PerInch);
        var rest = inches - inches.Floor();
        return $"{(value.Units < 0 ? "-" : "")}{(rest.IsZero ? $"{inches.Floor()}" : inches.Floor() == 0 ? $"{rest.Numerator}/{rest.Denominator}" : $"{inches.Floor()} {rest.Numerator}/{rest.Denominator}")}";
    }

    public static string Symbol(DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => "in",
        DisplayUnit.Centimetre => "cm",
        _ => "mm",
    };

    /// <summary>How far the exact value is from the mark that <see cref="Write"/> names; negative where it is scant.</summary>
    public static Length OffMark(Length value, DisplayUnit unit) => value - value.Nearest(MarkOf(value, unit));

    private static Length MarkOf(Length value, DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => ThirtySecond,
        DisplayUnit.Centimetre when !value.IsOn(HalfMillimetre) => Millimetre,
        _ => HalfMillimetre,
    };
}

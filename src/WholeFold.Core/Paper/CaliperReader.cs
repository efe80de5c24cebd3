using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Paper;

/// <summary>A caliper with how it was come by: measured, or worked out from a weight.</summary>
/// <param name="Grammage">g/m², where a weight was given.</param>
public sealed record ReadCaliper(Length Caliper, bool Measured, int? Grammage);

/// <summary>
/// Reads a caliper as people know it: measured (<c>0.33mm</c>, <c>13pt</c>), as a stack (<c>3.4mm/10</c>: ten pieces are
/// 3.4 mm high), or from a weight (<c>300gsm smooth</c>, <c>110lb cover</c>).
/// </summary>
public static partial class CaliperReader
{
    public const string Accepted = "a thickness of 0.05 to 1 mm such as 0.33mm or 13pt, the height of a stack such as 3.4mm/10, or a weight such as 300gsm smooth or 110lb cover";

    /// <returns>False with the reason where the text is none of these, or comes out thinner or thicker than any card.</returns>
    public static bool TryRead(string text, out ReadCaliper caliper, out string? reason)
    {
        caliper = new ReadCaliper(Length.Zero, false, null);
        if (!Read(text.Trim(), out caliper, out reason))
        {
            return false;
        }

        if (caliper.Caliper < Stocks.Thinnest || caliper.Caliper > Stocks.Thickest)
        {
            reason = $"“{text.Trim()}” comes to {caliper.Caliper.Millimetres.ToString("0.###", CultureInfo.InvariantCulture)} mm, which is no card";
            return false;
        }

        return true;
    }

    private static bool Read(string text, out ReadCaliper caliper, out string? reason)
    {
        reason = null;
        if (Weight().Match(text) is { Success: true } weight)
        {
            var finish = weight.Groups["finish"].Success ? weight.Groups["finish"].Value.ToLowerInvariant() : "uncoated";
            var number = Number(weight.Groups["n"].Value);
            var grammage = weight.Groups["basis"].Success ? number * Bulk.GramsPerPound[weight.Groups["basis"].Value.ToLowerInvariant()] : number;
            caliper = new ReadCaliper(Length.Mm(grammage * Bulk.ByFinish[finish] / 1000m), false, (int)Math.Round(grammage));
            return true;
        }

        if (Points().Match(text) is { Success: true } points)
        {
            // A point is a thousandth of an inch.
            caliper = new ReadCaliper(Length.Mm(Number(points.Groups["n"].Value) * 0.0254m), true, null);
            return true;
        }

        var pieces = 1;
        var height = text;
        if (Stack().Match(text) is { Success: true } stack)
        {
            pieces = int.Parse(stack.Groups["pieces"].Value, CultureInfo.InvariantCulture);
            height = stack.Groups["height"].Value;
        }

        if (!LengthReader.TryRead(height, DisplayUnit.Millimetre, out var length, out var problem))
        {
            caliper = new ReadCaliper(Length.Zero, false, null);
            reason = problem!.Reason;
            return false;
        }

        caliper = new ReadCaliper(new Length(new Rational(length.Units, pieces).Nearest()), true, null);
        return true;
    }

    private static decimal Number(string text) => decimal.Parse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(?<n>\d{1,4}(?:[.,]\d{1,2})?)\s*(?:(?:gsm|g/m2|g/m²)|(?:lb|lbs|#)\s*(?<basis>cover|text|index|bristol))(?:\s+(?<finish>coated|smooth|uncoated|felt|cotton))?$", RegexOptions.IgnoreCase)]
    private static partial Regex Weight();

    [GeneratedRegex(@"^(?<n>\d{1,3}(?:[.,]\d{1,2})?)\s*(?:pt|points?)$", RegexOptions.IgnoreCase)]
    private static partial Regex Points();

    [GeneratedRegex(@"^(?<height>.*(?:mm|cm|in|""))\s*/\s*(?<pieces>[1-9]\d?)$", RegexOptions.IgnoreCase)]
    private static partial Regex Stack();
}

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
public static class CaliperReader
{
    public const string Accepted = "a thickness of 0.05 to 1 mm such as 0.33mm or 13pt, the height of a stack such as 3.4mm/10, or a weight such as 300gsm smooth or 110lb cover";

    private const int LongestText = 60;

    private static readonly string[] Units = ["mm", "cm", "in", "\""];

    // Each part is bounded and so is the text, so that there is little to go back over.
    private const RegexOptions Plain = RegexOptions.IgnoreCase | RegexOptions.CultureInvariant;

    private static readonly Regex Weight = new("^(?<n>[0-9]{1,4}(?:[.,][0-9]{1,2})?)\\s*(?:(?:gsm|g/m2|g/m²)|(?:lb|lbs|#)\\s*(?<basis>cover|text|index|bristol))(?:\\s+(?<finish>coated|smooth|uncoated|felt|cotton))?$", Plain);

    private static readonly Regex Points = new("^(?<n>[0-9]{1,3}(?:[.,][0-9]{1,2})?)\\s*(?:pt|points?)$", Plain);

    /// <returns>False with the reason where the text is none of these, or comes out thinner or thicker than any card.</returns>
    public static bool TryRead(string text, out ReadCaliper caliper, out string? reason)
    {
        caliper = new ReadCaliper(Length.Zero, false, null);
        if (text.Length > LongestText)
        {
            reason = $"“{text[..LongestText]}…” is too long for a caliper";
            return false;
        }

        if (!Read(text.Trim(), out caliper, out reason))
        {
            return false;
        }

        if (caliper.Caliper < Stock.Thinnest || caliper.Caliper > Stock.Thickest)
        {
            reason = $"“{text.Trim()}” comes to {caliper.Caliper.Millimetres.ToString("0.###", CultureInfo.InvariantCulture)} mm, which is no card";
            return false;
        }

        return true;
    }

    private static bool Read(string text, out ReadCaliper caliper, out string? reason)
    {
        reason = null;
        if (Weight.Match(text) is { Success: true } weight)
        {
            var finish = weight.Groups["finish"].Success ? weight.Groups["finish"].Value.ToLowerInvariant() : "uncoated";
            var number = Number(weight.Groups["n"].Value);
            var grammage = weight.Groups["basis"].Success ? number * Bulk.GramsPerPound[weight.Groups["basis"].Value.ToLowerInvariant()] : number;
            caliper = new ReadCaliper(Length.Mm(grammage * Bulk.ByFinish[finish] / 1000m), false, (int)Math.Round(grammage));
            return true;
        }

        if (Points.Match(text) is { Success: true } points)
        {
            // A point is a thousandth of an inch.
            caliper = new ReadCaliper(Length.Mm(Number(points.Groups["n"].Value) * 0.0254m), true, null);
            return true;
        }

        var pieces = 1;
        var height = text;
        if (Stack(text) is var (stack, count))
        {
            (height, pieces) = (stack, count);
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

    /// <summary>"3.4 mm / 10" in the height and how many pieces are that high; null where it is no stack.</summary>
    private static (string Height, int Pieces)? Stack(string text)
    {
        var line = text.LastIndexOf('/');
        if (line < 0)
        {
            return null;
        }

        var (height, pieces) = (text[..line].TrimEnd(), text[(line + 1)..].Trim());
        var named = Units.Any(u => height.EndsWith(u, StringComparison.OrdinalIgnoreCase));
        return named && pieces.Length is 1 or 2 && pieces[0] != '0' && pieces.All(char.IsAsciiDigit) ? (height, int.Parse(pieces, CultureInfo.InvariantCulture)) : null;
    }

    private static decimal Number(string text) => decimal.Parse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture);
}

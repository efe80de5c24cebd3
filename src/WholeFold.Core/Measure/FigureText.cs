using System.Globalization;
using System.Text.Json.Serialization;

namespace WholeFold.Core.Measure;

/// <summary>
/// A figure as a person reads it, in its parts: a whole number, a fraction, a unit, and a word where it lies off the mark.
/// Whoever shows it sets a true fraction from them and takes no text apart.
/// </summary>
/// <param name="Whole">The whole number, a decimal, or words such as "a hair"; empty where there is only a fraction.</param>
/// <param name="Unit">in, cm or mm, where it is said.</param>
/// <param name="Word">scant, a little less than the mark that is named; full, a little more; otherwise null.</param>
/// <param name="Aside">Whether it stands in brackets: the size of a thing that is there, in the other system, and no figure to set.</param>
public sealed record FigureText(string Whole, int? Numerator = null, int? Denominator = null, string? Unit = null, string? Word = null,
    bool? Aside = null)
{
    /// <summary>The same in one line: <c>2 7/16 in scant</c>.</summary>
    [JsonIgnore]
    public string Text => Aside == true ? $"({Plain})" : Plain;

    private string Plain => string.Join(' ', new[] { Whole, Numerator is null ? "" : string.Create(CultureInfo.InvariantCulture, $"{Numerator}/{Denominator}"), Unit ?? "", Word ?? "" }.Where(p => p.Length > 0));

    public override string ToString() => Text;
}

/// <summary>A part of a sentence: words, or a figure in it.</summary>
public sealed record SentencePart(string? Text = null, FigureText? Figure = null);

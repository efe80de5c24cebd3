using System.Globalization;
using System.Text.RegularExpressions;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Constructions.Written;

/// <summary>A sum as one types it: “width / 2 − 1/8 in”, “height − 2 × tab”, with parameters by their names.</summary>
public static partial class SumText
{
    private const int Longest = 200;

    private const long Greatest = 1_000_000;

    public const string Accepted = "a sum such as width / 2 - 1/8 in, height - 2 x tab, or 3 mm; it may name the width, the height, a parameter and lengths with their unit";

    private static Regex Term => field ??= new Regex(@"\G\s*(?<sign>[+\-−]?)\s*(?:(?<factor>\d+(?:\.\d+)?(?:/\d+)?)\s*(?:x|×|\*|of\s+the\s+|of\s+)?\s*)?(?<name>[a-z][a-z0-9 ,’'-]*?)\s*(?:/\s*(?<divisor>\d+(?:\.\d+)?))?\s*(?=[+\-−]\s|[+−]|$)", RegexOptions.IgnoreCase);

    private static Regex Constant => field ??= new Regex(@"\G\s*(?<sign>[+\-−]?)\s*(?<length>(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:\.\d+)?)\s*(?:in|cm|mm|""))(?:\s+or\s+(?<other>(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:\.\d+)?)\s*(?:in|cm|mm|"")))?\s*(?=[+\-−]|$)", RegexOptions.IgnoreCase);

    /// <param name="names">What symbols are called: the parameters and allowances that may be named, by their symbol.</param>
    /// <exception cref="InputProblemException">It is no such sum.</exception>
    public static WrittenSum Read(string text, IReadOnlyDictionary<string, string> names, string field)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(names);
        InputProblemException Problem(string reason) => new("sum.unreadable", field, reason, Accepted);
        if (text.Length > Longest || text.Trim().Length == 0)
        {
            throw Problem(text.Length > Longest ? "it is far too long" : "there is nothing in it");
        }

        var sum = Affine.Zero;
        for (var at = 0; at < text.Length;)
        {
            if (Constant.Match(text, at) is { Success: true, Length: > 0 } c)
            {
                Rational Units(string said) => LengthReader.TryRead(said, DisplayUnit.Inch, out var length, out var wrong) ? new Rational(length.Units) : throw Problem(wrong!.Reason);
                var sign = c.Groups["sign"].Value is "-" or "−" ? -1 : 1;
                var (first, other) = (Units(c.Groups["length"].Value), c.Groups["other"].Success ? Units(c.Groups["other"].Value) : (Rational?)null);
                var isMetric = c.Groups["length"].Value.EndsWith('m');
                var (imperial, metric) = isMetric ? (other ?? first, first) : (first, other ?? first);
                sum += Affine.Sum([], imperial * sign, metric * sign);
                at += c.Length;
            }
            else if (Term.Match(text, at) is { Success: true, Length: > 0 } t)
            {
                var name = t.Groups["name"].Value.Trim();
                var symbol = name.ToUpperInvariant() is "W" or "WIDTH" or "THE WIDTH" ? "W" : name.ToUpperInvariant() is "H" or "HEIGHT" or "THE HEIGHT" ? "H"
                    : names.FirstOrDefault(n => string.Equals(n.Value, name, StringComparison.OrdinalIgnoreCase) || string.Equals(n.Key, name, StringComparison.OrdinalIgnoreCase)).Key
                    ?? throw Problem($"“{(name.Length > 40 ? name[..40] : name)}” is not known here; it can be {string.Join(", ", names.Values.Prepend("height").Prepend("width").Take(12))}");
                var ratio = Bounded((t.Groups["factor"].Success ? Number(t.Groups["factor"].Value) : Rational.One) * (t.Groups["sign"].Value is "-" or "−" ? -1 : 1));
                ratio = t.Groups["divisor"].Success ? Number(t.Groups["divisor"].Value) is { IsZero: false } d ? Bounded(ratio / Bounded(d)) : throw Problem("it divides by nothing") : ratio;
                sum += Affine.Of(Symbol.Parse(symbol)) * ratio;
                foreach (var term in sum.Terms.Values)
                {
                    Bounded(term);
                }

                at += t.Length;
            }
            else
            {
                throw Problem($"from “{text[at..Math.Min(text.Length, at + 20)]}” on it is not understood");
            }
        }

        return ConstructionWriter.Write(sum);

        // Finer than this no figure of a card is, and sums of such numbers never run over.
        Rational Bounded(Rational ratio) => Math.Abs(ratio.Numerator) <= Greatest && ratio.Denominator <= Greatest ? ratio : throw Problem("its numbers are too large or too fine to be worked with");

        Rational Number(string said)
        {
            var parts = said.Split('/');
            return parts[0].Length < 9 && decimal.TryParse(parts[0], NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n)
                && (parts.Length == 1 || (parts[1].Length < 6 && int.TryParse(parts[1], NumberStyles.None, CultureInfo.InvariantCulture, out var d) && d > 0))
                ? Rational.Of(n) / new Rational(parts.Length == 1 ? 1 : int.Parse(parts[1], CultureInfo.InvariantCulture)) : throw Problem($"“{said}” is no number that can be worked with");
        }
    }

    /// <summary>As one would type it.</summary>
    public static string Write(WrittenSum sum, IReadOnlyDictionary<string, string> names, DisplayUnit unit)
    {
        ArgumentNullException.ThrowIfNull(sum);
        ArgumentNullException.ThrowIfNull(names);
        var (text, value) = (new System.Text.StringBuilder(), ConstructionReader.ValueOf(sum));
        foreach (var (symbol, ratio) in value.Terms)
        {
            var name = symbol.Id switch { "W" => "width", "H" => "height", _ => names.GetValueOrDefault(symbol.Id, symbol.Id) };
            var (top, bottom) = (Math.Abs(ratio.Numerator), ratio.Denominator);

            // A part is said as a fraction, anything finer as a decimal.
            Join(ratio < Rational.Zero, bottom > 16 && 1_000_000 % bottom == 0 ? string.Create(CultureInfo.InvariantCulture, $"{(decimal)top / bottom:0.######} x {name}") : $"{(top == 1 ? "" : $"{top} x ")}{name}{(bottom > 1 ? $" / {bottom}" : "")}");
        }

        var (inches, mm) = (new Length(value.Imperial.Nearest()), new Length(value.Metric.Nearest()));
        if (inches != Length.Zero || mm != Length.Zero)
        {
            var (first, other) = unit == DisplayUnit.Inch ? (LengthWriter.Exact(inches.Abs()), $"{mm.Abs().Millimetres:0.###} mm") : ($"{mm.Abs().Millimetres:0.###} mm", LengthWriter.Exact(inches.Abs()));
            Join((unit == DisplayUnit.Inch ? inches : mm) < Length.Zero, inches == mm ? first : $"{first} or {other}");
        }

        return text.Length == 0 ? "0 in" : text.ToString();

        void Join(bool minus, string what) => text.Append(text.Length == 0 ? minus ? "- " : "" : minus ? " - " : " + ").Append(what);
    }
}

using System.Globalization;

namespace WholeFold.Core.Measure;

/// <summary>
/// A sentence with lengths in it, written in whatever unit the reader uses. <c>{length}</c> writes the bare figure,
/// <c>{length:u}</c> the figure with its unit.
/// </summary>
public sealed class Words
{
    private readonly List<FormattableString> _parts = [];

    public static Words Of(FormattableString text) => new Words().Add(text);

    public Words Add(FormattableString text)
    {
        ArgumentNullException.ThrowIfNull(text);
        _parts.Add(text);
        return this;
    }

    /// <summary>Several, with something between each two.</summary>
    public static Words Join(string between, IEnumerable<Words> all)
    {
        ArgumentNullException.ThrowIfNull(all);
        var joined = new Words();
        foreach (var (words, i) in all.Select((w, i) => (w, i)))
        {
            joined.Add($"{(i == 0 ? "" : between)}{words}");
        }

        return joined;
    }

    /// <summary>Several as they are said: "a, b and c".</summary>
    public static Words List(IEnumerable<Words> all)
    {
        Words[] words = [.. all];
        return words.Length < 2 ? Join("", words) : Of($"{Join(", ", words[..^1])} and {words[^1]}");
    }

    public string Write(DisplayUnit unit) => string.Concat(Parts(unit).Select(p => p.Text ?? p.Figure!.Text));

    /// <summary>The sentence in its parts, each stretch of words and each figure by itself.</summary>
    public IReadOnlyList<SentencePart> Parts(DisplayUnit unit) => Parts((length, withUnit) => Spoken(length, unit, withUnit));

    /// <summary>The same with each figure written as one says: the length, and whether its unit is with it.</summary>
    public IReadOnlyList<SentencePart> Parts(Func<Length, bool, FigureText> figure)
    {
        var parts = new List<SentencePart>();
        Write(parts, figure);
        return parts;
    }

    private void Write(List<SentencePart> into, Func<Length, bool, FigureText> figure)
    {
        void Text(string text)
        {
            if (text.Length == 0)
            {
                return;
            }

            if (into.Count > 0 && into[^1].Text is { } before)
            {
                into[^1] = new SentencePart(before + text);
            }
            else
            {
                into.Add(new SentencePart(text));
            }
        }

        foreach (var part in _parts)
        {
            foreach (var (literal, index, format) in Pieces(part.Format))
            {
                Text(literal);
                switch (index is { } i ? part.GetArgument(i) : null)
                {
                    case Length length:
                        into.Add(new SentencePart(Figure: figure(length, format == "u")));
                        break;
                    case Words words:
                        words.Write(into, figure);
                        break;
                    case null:
                        break;
                    case var other:
                        Text(string.Format(CultureInfo.InvariantCulture, format.Length == 0 ? "{0}" : $"{{0:{format}}}", other));
                        break;
                }
            }
        }
    }

    /// <summary>Nobody says "0 full": what is less than half a mark is a hair.</summary>
    private static FigureText Spoken(Length length, DisplayUnit unit, bool withUnit) =>
        length != Length.Zero && LengthWriter.OffMark(length, unit) == length ? new FigureText("a hair") : LengthWriter.Parts(length, unit, withUnit);

    /// <summary>What the compiler makes of an interpolated text: stretches of it, each with the hole that follows.</summary>
    private static IEnumerable<(string Literal, int? Index, string Format)> Pieces(string format)
    {
        var literal = new System.Text.StringBuilder();
        for (var i = 0; i < format.Length; i++)
        {
            if (format[i] is '{' or '}' && i + 1 < format.Length && format[i + 1] == format[i])
            {
                literal.Append(format[i++]);
            }
            else if (format[i] == '{')
            {
                var end = format.IndexOf('}', i);
                var hole = format[(i + 1)..end].Split(':', 2);
                yield return (literal.ToString(), int.Parse(hole[0], CultureInfo.InvariantCulture), hole.Length > 1 ? hole[1] : "");
                literal.Clear();
                i = end;
            }
            else
            {
                literal.Append(format[i]);
            }
        }

        yield return (literal.ToString(), null, "");
    }
}

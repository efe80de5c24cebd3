using System.Globalization;
using WholeFold.Core.Input;

namespace WholeFold.Core.Measure;

/// <summary>Where and why a written length could not be read.</summary>
/// <param name="Position">Zero-based place in the text that was given.</param>
/// <param name="Reason">What is wrong there, as a sentence.</param>
/// <param name="Example">What would be accepted.</param>
public sealed record ReadProblem(int Position, string Reason, string Example);

/// <summary>Reads lengths as people write them: <c>5 1/2</c>, <c>5½</c>, <c>5-1/2</c>, <c>5.5"</c>, <c>14 cm</c>, <c>140mm</c>.</summary>
/// <remarks>
/// A bare number is in the unit the caller names. Decimal commas are read as points; in a list, items are separated by
/// a new line, a semicolon, or a comma followed by a space. What cannot be read is refused with the place; nothing is
/// guessed. Lengths run from 0 to 100 in (2540 mm): anything beyond is a slip of the pen, not a card. Each character is
/// looked at once, so that no text keeps the reader busy.
/// </remarks>
public static class LengthReader
{
    private const string Vulgar = "½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞";
    private static readonly (int N, int D)[] VulgarValues =
        [(1, 2), (1, 3), (2, 3), (1, 4), (3, 4), (1, 5), (2, 5), (3, 5), (4, 5), (1, 6), (5, 6), (1, 8), (3, 8), (5, 8), (7, 8)];

    private static readonly (string Text, DisplayUnit Unit)[] Units =
        [("inches", DisplayUnit.Inch), ("inch", DisplayUnit.Inch), ("in", DisplayUnit.Inch), ("\"", DisplayUnit.Inch), ("″", DisplayUnit.Inch), ("cm", DisplayUnit.Centimetre), ("mm", DisplayUnit.Millimetre)];

    private static readonly Length Longest = Length.In(100);

    /// <summary>Nobody writes a length in more characters.</summary>
    private const int LongestText = 40;

    /// <summary>The most figures that one list is read with.</summary>
    public const int MostInList = 200;

    public static string Example(DisplayUnit unit) => unit switch
    {
        DisplayUnit.Inch => "5 1/2, 5½, 5.5 in or 140 mm",
        DisplayUnit.Centimetre => "14, 14.5 cm or 5 1/2 in",
        _ => "140, 140 mm or 5 1/2 in",
    };

    /// <summary>Reads a length that must be there.</summary>
    /// <param name="field">Where it stands.</param>
    /// <param name="accepted">What would be accepted; the usual examples where null.</param>
    /// <exception cref="InputProblemException">It cannot be read.</exception>
    public static Length Read(string text, DisplayUnit bare, string field, string? accepted) =>
        TryRead(text, bare, out var value, out var problem)
            ? value
            : throw new InputProblemException("length.unreadable", field, $"{problem!.Reason} (at character {problem.Position + 1} of “{Cut(text)}”)", accepted ?? problem.Example);

    public static bool TryRead(string? text, DisplayUnit bare, out Length value, out ReadProblem? problem)
    {
        value = default;
        problem = null;
        if (string.IsNullOrWhiteSpace(text))
        {
            problem = new ReadProblem(0, "there is no figure here", Example(bare));
            return false;
        }

        if (text.Length > LongestText)
        {
            problem = new ReadProblem(LongestText, $"“{Cut(text)}” is too long for a length", Example(bare));
            return false;
        }

        var scanner = new Scanner(text);
        if (scanner.Number() is not { } number)
        {
            problem = scanner.Fault ?? NoLength(text, bare);
            problem = problem with { Example = Example(bare) };
            return false;
        }

        var unit = scanner.Unit() ?? bare;
        if (!scanner.AtEnd())
        {
            problem = NoLength(text, bare);
            return false;
        }

        var perUnit = unit switch
        {
            DisplayUnit.Inch => new Rational(Length.PerInch),
            DisplayUnit.Centimetre => new Rational(10 * Length.PerMillimetre),
            _ => new Rational(Length.PerMillimetre),
        };
        value = new Length((number * perUnit).Nearest());
        if (value > Longest)
        {
            problem = new ReadProblem(0, $"“{text.Trim()}” is more than 100 inches", Example(bare));
            value = default;
            return false;
        }

        return true;
    }

    /// <summary>Reads a list of lengths; the problem's position is in the whole text.</summary>
    public static bool TryReadList(string? text, DisplayUnit bare, out IReadOnlyList<Length> values, out ReadProblem? problem)
    {
        var read = new List<Length>();
        values = read;
        problem = null;
        foreach (var (at, item) in Items(text ?? ""))
        {
            if (string.IsNullOrWhiteSpace(item))
            {
                continue;
            }

            if (read.Count == MostInList)
            {
                problem = new ReadProblem(at, $"there are more than {MostInList} figures in one line", Example(bare));
                return false;
            }

            if (!TryRead(item, bare, out var value, out problem))
            {
                problem = problem! with { Position = problem.Position + at };
                return false;
            }

            read.Add(value);
        }

        if (read.Count == 0)
        {
            problem = new ReadProblem(0, "there is no figure here", Example(bare));
            return false;
        }

        return true;
    }

    private static IEnumerable<(int At, string Item)> Items(string text)
    {
        var from = 0;
        for (var i = 0; i <= text.Length; i++)
        {
            var ends = i == text.Length || text[i] is '\n' or ';' || (text[i] == ',' && i + 1 < text.Length && char.IsWhiteSpace(text[i + 1]));
            if (ends)
            {
                yield return (from, text[from..i]);
                from = i + 1;
            }
        }
    }

    private static string Cut(string text) => text.Length <= LongestText ? text : text[..LongestText] + "…";

    private static ReadProblem NoLength(string text, DisplayUnit bare)
    {
        // What begins like a figure is passed over; what is no part of one is named.
        var good = 0;
        while (good < text.Length && (char.IsWhiteSpace(text[good]) || char.IsAsciiDigit(text[good]) || text[good] is '.' or ',' or '/' or '⁄' or '-'
            || Vulgar.Contains(text[good], StringComparison.Ordinal)))
        {
            good++;
        }

        while (good < text.Length && char.IsWhiteSpace(text[good]))
        {
            good++;
        }

        var at = good >= text.Length ? 0 : good;
        return new ReadProblem(at, $"“{text[at..].Trim()}” is not a length", Example(bare));
    }

    /// <summary>Walks over a text once, from its beginning to its end.</summary>
    private ref struct Scanner(string text)
    {
        private int _at;

        /// <summary>What is wrong with a number that was understood.</summary>
        public ReadProblem? Fault { get; private set; }

        public Rational? Number()
        {
            Space();
            var whole = Digits(5);
            if (Here is '.' or ',')
            {
                _at++;
                var fraction = Digits(6);
                return fraction is null ? null : Rational.Of(decimal.Parse($"{whole ?? "0"}.{fraction}", NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture));
            }

            if (whole is null)
            {
                return VulgarHere();
            }

            if (Here is '/' or '⁄')
            {
                return whole.Length <= 3 ? Fraction(whole, _at - whole.Length, whole: null) : null;
            }

            var value = new Rational(long.Parse(whole, CultureInfo.InvariantCulture));
            var after = _at;
            var spaced = Space();
            if (VulgarHere() is { } vulgar)
            {
                return value + vulgar;
            }

            if (Here == '-')
            {
                _at++;
                Space();
                spaced = true;
            }

            var place = _at;
            if (spaced && Digits(3) is { } top && Here is '/' or '⁄')
            {
                return Fraction(text[place.._at], place, value);
            }

            _at = after;
            return value;
        }

        public DisplayUnit? Unit()
        {
            Space();
            DisplayUnit? unit = null;
            foreach (var (name, which) in Units)
            {
                if (text.AsSpan(_at).StartsWith(name, StringComparison.OrdinalIgnoreCase))
                {
                    _at += name.Length;
                    unit = which;
                    break;
                }
            }

            if (Here == '.')
            {
                _at++;
            }

            return unit;
        }

        public bool AtEnd()
        {
            Space();
            return _at == text.Length;
        }

        private readonly char Here => _at < text.Length ? text[_at] : '\0';

        /// <summary>Past the line of a fraction, of which what stands above it has been read.</summary>
        private Rational? Fraction(string top, int place, Rational? whole)
        {
            var line = text[_at++];
            if (Digits(3) is not { } bottom)
            {
                return null;
            }

            var (n, d) = (long.Parse(top, CultureInfo.InvariantCulture), long.Parse(bottom, CultureInfo.InvariantCulture));
            if (d == 0)
            {
                Fault = new ReadProblem(place, "a fraction cannot have 0 below the line", "");
                return null;
            }

            if (whole is not null && n >= d)
            {
                Fault = new ReadProblem(place, $"“{top}{line}{bottom}” after a whole number must be less than one", "");
                return null;
            }

            return (whole ?? Rational.Zero) + new Rational(n, d);
        }

        private Rational? VulgarHere()
        {
            if (Here == '\0' || Vulgar.IndexOf(Here, StringComparison.Ordinal) is not (>= 0 and var index))
            {
                return null;
            }

            _at++;
            return new Rational(VulgarValues[index].N, VulgarValues[index].D);
        }

        /// <summary>At most so many digits; null where there is none, or where there are more.</summary>
        private string? Digits(int most)
        {
            var from = _at;
            while (_at < text.Length && char.IsAsciiDigit(text[_at]))
            {
                _at++;
            }

            return _at == from || _at - from > most ? null : text[from.._at];
        }

        private bool Space()
        {
            var from = _at;
            while (_at < text.Length && char.IsWhiteSpace(text[_at]))
            {
                _at++;
            }

            return _at > from;
        }
    }
}

using System.Globalization;
using WholeFold.Core.Input;

namespace WholeFold.Core.Designs;

/// <summary>Reads the path of an SVG.</summary>
internal static class SvgPath
{
    /// <summary>A curve is cut along so many straight pieces.</summary>
    private const int Pieces = 8;

    public static double Parse(string text, Func<string, InputProblemException> problem) =>
        double.TryParse(text.Trim().Replace("px", "", StringComparison.Ordinal), NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value : throw problem($"“{(text.Length > 20 ? text[..20] : text)}” is no number");

    public static List<double> Numbers(string text, Func<string, InputProblemException> problem) =>
        [.. text.Split([' ', ',', '\n', '\r', '\t'], StringSplitOptions.RemoveEmptyEntries).Select(t => Parse(t, problem))];

    /// <summary>Every line of a path, curves cut into straight pieces; reading ends at the most corners.</summary>
    public static IReadOnlyList<(List<(double X, double Y)> Line, bool Closed)> Lines(string d, int most, Func<string, InputProblemException> problem)
    {
        var lines = new List<(List<(double X, double Y)> Line, bool Closed)>();
        var line = new List<(double X, double Y)>();
        var at = 0;
        (double X, double Y) here = (0, 0), control = (0, 0);
        var command = ' ';
        while (true)
        {
            while (at < d.Length && (char.IsWhiteSpace(d[at]) || d[at] == ','))
            {
                at++;
            }

            if (at >= d.Length || lines.Sum(l => l.Line.Count) + line.Count > most)
            {
                End(false);
                return lines;
            }

            if (char.IsAsciiLetter(d[at]))
            {
                command = d[at++];
                if (command is 'Z' or 'z' or 'M' or 'm')
                {
                    // After a closed line one is where it began.
                    here = command is 'Z' or 'z' && line.Count > 0 ? line[0] : here;
                    End(command is 'Z' or 'z');
                }

                continue;
            }

            var relative = char.IsAsciiLetterLower(command);
            (double X, double Y) To(double x, double y) => relative ? (here.X + x, here.Y + y) : (x, y);
            switch (char.ToUpperInvariant(command))
            {
                case 'M' or 'L':
                    here = To(Next(), Next());
                    line.Add(here);
                    command = command switch { 'M' => 'L', 'm' => 'l', _ => command };
                    break;
                case 'H':
                    var x = Next();
                    here = (relative ? here.X + x : x, here.Y);
                    line.Add(here);
                    break;
                case 'V':
                    var y = Next();
                    here = (here.X, relative ? here.Y + y : y);
                    line.Add(here);
                    break;
                case 'C':
                    var (one, two, end) = (To(Next(), Next()), To(Next(), Next()), To(Next(), Next()));
                    Curve(here, one, two, end);
                    (control, here) = (two, end);
                    break;
                case 'S':
                    var (late, stop) = (To(Next(), Next()), To(Next(), Next()));
                    Curve(here, ((2 * here.X) - control.X, (2 * here.Y) - control.Y), late, stop);
                    (control, here) = (late, stop);
                    break;
                case 'Q':
                    var (mid, last) = (To(Next(), Next()), To(Next(), Next()));
                    Curve(here, Between(here, mid), Between(last, mid), last);
                    here = last;
                    break;
                default:
                    throw problem($"its path has “{command}” in it, and M, L, H, V, C, S, Q and Z are read");
            }
        }

        void End(bool closed)
        {
            if (line.Count > 0)
            {
                lines.Add((line, closed));
                line = [];
            }
        }

        static (double X, double Y) Between((double X, double Y) a, (double X, double Y) b) => (a.X + (2 * (b.X - a.X) / 3), a.Y + (2 * (b.Y - a.Y) / 3));

        void Curve((double X, double Y) a, (double X, double Y) b, (double X, double Y) c, (double X, double Y) e)
        {
            for (var i = 1; i <= Pieces; i++)
            {
                var (t, u) = (i / (double)Pieces, 1 - (i / (double)Pieces));
                double On(double p, double q, double r, double s) => (u * u * u * p) + (3 * u * u * t * q) + (3 * u * t * t * r) + (t * t * t * s);
                line.Add((On(a.X, b.X, c.X, e.X), On(a.Y, b.Y, c.Y, e.Y)));
            }
        }

        double Next()
        {
            while (at < d.Length && (char.IsWhiteSpace(d[at]) || d[at] == ','))
            {
                at++;
            }

            var start = at;
            if (at < d.Length && d[at] is '-' or '+')
            {
                at++;
            }

            var dot = false;
            while (at < d.Length && (char.IsAsciiDigit(d[at]) || (d[at] == '.' && !dot) || (d[at] is 'e' or 'E') || (d[at] is '-' or '+' && d[at - 1] is 'e' or 'E')))
            {
                dot |= d[at] == '.';
                at++;
            }

            return at == start ? throw problem("its path ends in the middle of a line") : Parse(d[start..at], problem);
        }
    }
}

using System.Globalization;
using System.Xml;
using WholeFold.Core.Input;

namespace WholeFold.Core.Designs;

/// <summary>
/// Reads the outline of a drawing: the first path, polygon, rectangle, circle or ellipse of an SVG. A drawing is data: one that
/// carries scripts, styles, links or entities is refused, and nothing in it is ever followed.
/// </summary>
public static class SvgOutline
{
    /// <summary>The longest drawing that is read, in characters.</summary>
    public const int Longest = 60_000;

    /// <summary>The most corners an outline may have, curves counted as the straight pieces that they are cut in.</summary>
    public const int MostCorners = 400;

    public const string Accepted = "an SVG with one closed shape in it (path, polygon, rect, circle or ellipse), of at most 60,000 characters, without scripts or links";

    /// <returns>Its corners in shares of its size, from its lower left, and how wide it is for its height.</returns>
    /// <exception cref="InputProblemException">It is no such drawing.</exception>
    public static (IReadOnlyList<(double X, double Y)> Corners, double Wide) Read(string svg, string field)
    {
        ArgumentNullException.ThrowIfNull(svg);
        InputProblemException Problem(string reason) => new("svg.unreadable", field, reason, Accepted);
        if (svg.Length > Longest)
        {
            throw Problem($"the drawing has {svg.Length} characters");
        }

        var corners = new List<(double X, double Y)>();
        try
        {
            using var reader = XmlReader.Create(new StringReader(svg), new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = Longest });
            while (reader.Read())
            {
                if (reader.NodeType == XmlNodeType.ProcessingInstruction)
                {
                    throw Problem("it carries an instruction for a program");
                }

                if (reader.NodeType != XmlNodeType.Element)
                {
                    continue;
                }

                if (reader.LocalName is "script" or "style" or "foreignObject" or "image" or "use" or "a" or "animate" or "set" or "iframe")
                {
                    throw Problem($"it carries “{reader.LocalName}”, which is not read");
                }

                var name = reader.LocalName;
                var attributes = new Dictionary<string, string>();
                while (reader.MoveToNextAttribute())
                {
                    if (reader.LocalName.StartsWith("on", StringComparison.OrdinalIgnoreCase) || reader.LocalName is "href" or "transform")
                    {
                        throw Problem($"it carries “{reader.LocalName}”, which is not read");
                    }

                    attributes[reader.LocalName] = reader.Value;
                }

                if (corners.Count == 0)
                {
                    corners.AddRange(Shape(name, attributes, Problem));
                }
            }
        }
        catch (XmlException e)
        {
            throw Problem($"line {e.LineNumber}: it is not a drawing that can be read");
        }

        if (corners.Count < 3)
        {
            throw Problem("there is no closed shape in it");
        }

        return (Shares(corners, field, Accepted, turned: true, out var wide), wide);
    }

    /// <summary>Corners in whatever measure, in shares of the box round them.</summary>
    /// <param name="turned">Whether they are counted downwards, as on a screen.</param>
    /// <exception cref="InputProblemException">They make no outline, or one that crosses itself.</exception>
    public static IReadOnlyList<(double X, double Y)> Shares(IReadOnlyList<(double X, double Y)> corners, string field, string accepted, bool turned, out double wide)
    {
        ArgumentNullException.ThrowIfNull(corners);
        InputProblemException Problem(string reason) => new("outline.unreadable", field, reason, accepted);
        if (corners.Count is < 3 or > MostCorners)
        {
            throw Problem(corners.Count < 3 ? $"an outline of {corners.Count} corners closes nothing" : $"it has {corners.Count} corners, and at most {MostCorners} are read");
        }

        if (corners.Any(c => !double.IsFinite(c.X) || !double.IsFinite(c.Y) || Math.Abs(c.X) > 1e6 || Math.Abs(c.Y) > 1e6))
        {
            throw Problem("a corner of it is no number that can be used");
        }

        var (left, right, low, high) = (corners.Min(c => c.X), corners.Max(c => c.X), corners.Min(c => c.Y), corners.Max(c => c.Y));
        if (right - left <= 1e-9 || high - low <= 1e-9)
        {
            throw Problem("it is a line, and nothing is inside it");
        }

        var shares = corners.Select(c => (X: (c.X - left) / (right - left), Y: turned ? (high - c.Y) / (high - low) : (c.Y - low) / (high - low))).ToList();
        if (Crosses(shares))
        {
            throw Problem("its line crosses itself");
        }

        wide = (right - left) / (high - low);
        return shares;
    }

    private static bool Crosses(List<(double X, double Y)> line)
    {
        double Turn((double X, double Y) a, (double X, double Y) b, (double X, double Y) c) => ((b.X - a.X) * (c.Y - a.Y)) - ((b.Y - a.Y) * (c.X - a.X));
        for (var i = 0; i < line.Count; i++)
        {
            var (a, b) = (line[i], line[(i + 1) % line.Count]);
            for (var j = i + 2; j < line.Count; j++)
            {
                if (i == 0 && j == line.Count - 1)
                {
                    continue;
                }

                var (c, d) = (line[j], line[(j + 1) % line.Count]);
                if (Turn(a, b, c) * Turn(a, b, d) < -1e-18 && Turn(c, d, a) * Turn(c, d, b) < -1e-18)
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static IEnumerable<(double X, double Y)> Shape(string name, Dictionary<string, string> attributes, Func<string, InputProblemException> problem)
    {
        double Number(string of, double otherwise = 0) => attributes.TryGetValue(of, out var text) ? SvgPath.Parse(text, problem) : otherwise;
        switch (name)
        {
            case "polygon":
                var points = SvgPath.Numbers(attributes.GetValueOrDefault("points") ?? "", problem);
                return [.. Enumerable.Range(0, points.Count / 2).Select(i => (points[2 * i], points[(2 * i) + 1]))];
            case "rect":
                var (x, y, wide, high) = (Number("x"), Number("y"), Number("width"), Number("height"));
                return [(x, y), (x + wide, y), (x + wide, y + high), (x, y + high)];
            case "circle" or "ellipse":
                var (rx, ry) = name == "circle" ? (Number("r"), Number("r")) : (Number("rx"), Number("ry"));
                return [.. Round(48).Select(p => (Number("cx") + (rx * p.X), Number("cy") + (ry * p.Y)))];
            case "path":
                // The first line of it that has something inside.
                var lines = SvgPath.Lines(attributes.GetValueOrDefault("d") ?? "", MostCorners, problem);
                return lines.FirstOrDefault(l => l.Line.Count > 2).Line ?? [];
            default:
                return [];
        }
    }

    /// <summary>Points round a circle of radius 1.</summary>
    public static IEnumerable<(double X, double Y)> Round(int count) => Enumerable.Range(0, count).Select(i => (Math.Cos(2 * Math.PI * i / count), Math.Sin(2 * Math.PI * i / count)));

}

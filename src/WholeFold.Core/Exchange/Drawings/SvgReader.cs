using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using WholeFold.Core.Designs;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>
/// Straight lines of an SVG in its true size, by class, by the name of the group they stand in, or by their dashes; moved, turned and scaled as it
/// says. Entities, links and scripts are refused.
/// </summary>
internal static partial class SvgReader
{
    private const int Deepest = 64;

    private sealed record Group(string? Name, AffineTransformation Placed, bool Hidden);

    public static Drawn Read(string text, string field)
    {
        var (lines, left) = (new List<DrawnLine>(), new HashSet<string>());
        var groups = new Stack<Group>();
        groups.Push(new Group(null, new AffineTransformation(), false));
        var (scale, high) = (25.4 / 96, 0d);
        Input.InputProblemException Problem(string reason) => DrawingFile.Problem(field, reason);
        try
        {
            using var reader = XmlReader.Create(new StringReader(text),
                new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = DrawingFile.Longest });
            while (reader.Read())
            {
                if (reader.NodeType == XmlNodeType.EndElement)
                {
                    groups.Pop();
                    continue;
                }

                if (reader.NodeType != XmlNodeType.Element)
                {
                    continue;
                }

                var (name, empty) = (reader.LocalName, reader.IsEmptyElement);
                if (name is "script" or "foreignObject" or "iframe" or "animate" or "set")
                {
                    throw Problem($"it carries “{name}”, which is not read");
                }

                if (groups.Count > Deepest)
                {
                    throw Problem($"it is nested more than {Deepest} deep");
                }

                var its = new Dictionary<string, string>();
                while (reader.MoveToNextAttribute())
                {
                    its[reader.LocalName] = reader.LocalName.StartsWith("on", StringComparison.OrdinalIgnoreCase) ? throw Problem($"it carries “{reader.LocalName}”, which is not read") : reader.Value;
                }

                if (name == "svg" && groups.Count == 1)
                {
                    (scale, high) = Size(its, Problem);
                }

                // What stands inside is placed first, then what it stands in.
                var placed = Placed(its.GetValueOrDefault("transform"), Problem).Compose(groups.Peek().Placed);
                var group = groups.Peek() with { Name = its.GetValueOrDefault("class") ?? its.GetValueOrDefault("label") ?? its.GetValueOrDefault("id")
                    ?? groups.Peek().Name, Placed = placed, Hidden = groups.Peek().Hidden || name is "defs" or "clipPath" or "mask" or "pattern" or "symbol" };
                if (!group.Hidden && !DrawingFile.IsRemark(group.Name))
                {
                    Draw(name, its, group);
                }

                if (!empty)
                {
                    groups.Push(group);
                }
            }
        }
        catch (XmlException e)
        {
            throw Problem(e.Message.Contains("DTD", StringComparison.Ordinal) ? "it carries definitions of its own (entities), which are not read" : $"line {e.LineNumber} of it is not a drawing that can be read");
        }

        return new Drawn(lines, [.. left]);

        void Draw(string name, Dictionary<string, string> its, Group group)
        {
            double N(string of) => its.TryGetValue(of, out var value) ? SvgPath.Parse(value.Replace("mm", "", StringComparison.Ordinal), Problem) : 0;
            List<(double X, double Y)> Points() => SvgPath.Numbers(its.GetValueOrDefault("points") ?? "", Problem) is var p
                ? [.. Enumerable.Range(0, p.Count / 2).Select(i => (p[2 * i], p[(2 * i) + 1]))] : [];
            IEnumerable<(List<(double X, double Y)> Line, bool Closed)> drawn = name switch
            {
                "line" => [([(N("x1"), N("y1")), (N("x2"), N("y2"))], false)],
                "rect" when N("rx") == 0 => [([(N("x"), N("y")), (N("x") + N("width"), N("y")), (N("x") + N("width"), N("y") + N("height")), (N("x"), N("y") + N("height"))], true)],
                "polyline" => [(Points(), false)],
                "polygon" => [(Points(), true)],
                "path" => Straight(its.GetValueOrDefault("d") ?? ""),
                "rect" or "circle" or "ellipse" => Left("curves"),
                "text" => Left("words"),
                "image" => Left("pictures"),
                "use" => Left("what is drawn by reference"),
                _ => [],
            };

            // A fill alone is paper shown, and no line.
            if (its.GetValueOrDefault("stroke") is "none" && DrawingFile.Named(group.Name) is null)
            {
                return;
            }

            var dashed = (its.GetValueOrDefault("stroke-dasharray") ?? Style(its.GetValueOrDefault("style"), "stroke-dasharray")) is { Length: > 0 } and not "none";
            var stroke = DrawingFile.Named(group.Name) ?? (dashed ? Stroke.Score : Stroke.Cut);
            foreach (var (line, closed) in drawn)
            {
                for (var i = 0; i + 1 < line.Count + (closed ? 1 : 0); i++)
                {
                    var (a, b) = (At(group, line[i]), At(group, line[(i + 1) % line.Count]));
                    DrawingFile.Add(lines, a.X * scale, high - (a.Y * scale), b.X * scale, high - (b.Y * scale), stroke, field);
                }
            }
        }

        IEnumerable<(List<(double X, double Y)> Line, bool Closed)> Left(string what)
        {
            left.Add(what);
            return [];
        }

        IEnumerable<(List<(double X, double Y)> Line, bool Closed)> Straight(string d)
        {
            if (d.Any(c => char.ToUpperInvariant(c) is 'C' or 'S' or 'Q' or 'T' or 'A'))
            {
                return Left("curves");
            }

            return SvgPath.Lines(d, 2 * DrawingFile.MostLines, Problem);
        }
    }

    private static string? Style(string? style, string property) => style?.Split(';').Select(p => p.Split(':')).FirstOrDefault(p => p.Length == 2 && p[0].Trim() == property)?[1].Trim();

    /// <summary>How many millimetres one of its units is, and how high it is in millimetres.</summary>
    private static (double Scale, double High) Size(Dictionary<string, string> its, Func<string, Input.InputProblemException> problem)
    {
        var box = its.TryGetValue("viewBox", out var written) ? SvgPath.Numbers(written, problem) : null;
        var (wide, high) = (Length(its.GetValueOrDefault("width"), problem), Length(its.GetValueOrDefault("height"), problem));
        if (box is not { Count: 4 } || box[2] <= 0 || box[3] <= 0)
        {
            return (25.4 / 96, high ?? 0);
        }

        var scale = wide is { } w ? w / box[2] : high is { } h ? h / box[3] : 25.4 / 96;
        return (scale, (box[1] + box[3]) * scale);
    }

    private static double? Length(string? text, Func<string, Input.InputProblemException> problem)
    {
        if (text is null || text.EndsWith('%'))
        {
            return null;
        }

        var unit = new string([.. text.Trim().SkipWhile(c => char.IsAsciiDigit(c) || c is '.' or '-' or '+' or 'e')]);
        var by = unit switch { "" or "px" => 25.4 / 96, "mm" => 1, "cm" => 10, "in" => 25.4, "pt" => 25.4 / 72, "pc" => 25.4 / 6, _ => throw problem($"its size is in “{(unit.Length > 10 ? unit[..10] : unit)}”, and mm, cm, in, pt, pc or px are read") };
        return double.TryParse(text.Trim()[..^unit.Length], NumberStyles.Float, CultureInfo.InvariantCulture, out var n) && double.IsFinite(n) && n > 0 ? n * by : throw problem("its size is no number");
    }

    private static Coordinate At(Group group, (double X, double Y) place) => group.Placed.Transform(new Coordinate(place.X, place.Y), new Coordinate());

    private static Regex PlacedForm => field ??= new Regex(@"\G[\s,]*(?<how>translate|scale|rotate|matrix|skewX|skewY)\s*\((?<by>[^()]{0,200})\)[\s,]*", RegexOptions.CultureInvariant);

    /// <summary>How a group lies in the one that it stands in: what is written last is done first.</summary>
    private static AffineTransformation Placed(string? transform, Func<string, Input.InputProblemException> problem)
    {
        var placed = new AffineTransformation();
        if (transform is not { Length: > 0 })
        {
            return placed;
        }

        var end = 0;
        foreach (Match part in PlacedForm.Matches(transform))
        {
            end = part.Index + part.Length;
            const double Degree = Math.PI / 180;
            placed = placed.ComposeBefore((part.Groups["how"].Value, SvgPath.Numbers(part.Groups["by"].Value, problem)) switch
            {
                ("translate", [var x]) => AffineTransformation.TranslationInstance(x, 0),
                ("translate", [var x, var y]) => AffineTransformation.TranslationInstance(x, y),
                ("scale", [var by]) => AffineTransformation.ScaleInstance(by, by),
                ("scale", [var x, var y]) => AffineTransformation.ScaleInstance(x, y),
                ("rotate", [var by]) => AffineTransformation.RotationInstance(by * Degree),
                ("rotate", [var by, var x, var y]) => AffineTransformation.RotationInstance(by * Degree, x, y),
                ("matrix", [var a, var b, var c, var d, var e, var f]) => new AffineTransformation(a, c, e, b, d, f),
                ("skewX", [var by]) => AffineTransformation.ShearInstance(Math.Tan(by * Degree), 0),
                ("skewY", [var by]) => AffineTransformation.ShearInstance(0, Math.Tan(by * Degree)),
                _ => throw Unreadable(),
            });
        }

        return end == transform.Length ? placed : throw Unreadable();
        Input.InputProblemException Unreadable() => problem($"it is placed by “{(transform.Length > 40 ? transform[..40] : transform)}”, and moves, turns, scales, skews and matrices are read");
    }
}

using System.Globalization;
using System.Xml;
using WholeFold.Core.Designs;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>
/// Straight lines of an SVG in its true size, by class, by the name of the group they stand in, or by their dashes. Entities, links,
/// scripts and transformations other than moves are refused.
/// </summary>
internal static class SvgReader
{
    private const int Deepest = 64;

    private sealed record Group(string? Name, double Dx, double Dy, bool Hidden);

    public static Drawn Read(string text, string field)
    {
        var (lines, left) = (new List<DrawnLine>(), new HashSet<string>());
        var groups = new Stack<Group>();
        groups.Push(new Group(null, 0, 0, false));
        var (scale, high) = (25.4 / 96, 0d);
        Input.InputProblemException Problem(string reason) => DrawingFile.Problem(field, reason);
        try
        {
            using var reader = XmlReader.Create(new StringReader(text), new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = DrawingFile.Longest });
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

                var (dx, dy) = Moved(its.GetValueOrDefault("transform"), Problem);
                var group = groups.Peek() with { Name = its.GetValueOrDefault("class") ?? its.GetValueOrDefault("label") ?? its.GetValueOrDefault("id") ?? groups.Peek().Name, Dx = groups.Peek().Dx + dx, Dy = groups.Peek().Dy + dy, Hidden = groups.Peek().Hidden || name is "defs" or "clipPath" or "mask" or "pattern" or "symbol" };
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
            List<(double X, double Y)> Points() => SvgPath.Numbers(its.GetValueOrDefault("points") ?? "", Problem) is var p ? [.. Enumerable.Range(0, p.Count / 2).Select(i => (p[2 * i], p[(2 * i) + 1]))] : [];
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
                    var (a, b) = (line[i], line[(i + 1) % line.Count]);
                    DrawingFile.Add(lines, (a.X + group.Dx) * scale, high - ((a.Y + group.Dy) * scale), (b.X + group.Dx) * scale, high - ((b.Y + group.Dy) * scale), stroke, field);
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

    private static (double X, double Y) Moved(string? transform, Func<string, Input.InputProblemException> problem)
    {
        if (transform is not { Length: > 0 })
        {
            return (0, 0);
        }

        var inside = transform.Trim();
        return inside.StartsWith("translate(", StringComparison.Ordinal) && inside.EndsWith(')') && SvgPath.Numbers(inside["translate(".Length..^1], problem) is [var x, .. var rest] ? (x, rest is [var y, ..] ? y : 0)
            : throw problem("part of it is turned or scaled, and only moves are read; flatten it first");
    }
}

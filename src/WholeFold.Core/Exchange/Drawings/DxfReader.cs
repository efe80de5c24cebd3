using System.Globalization;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>Lines and polylines of a DXF, by the names of their layers. Blocks are not followed, curves are left out and said.</summary>
internal static class DxfReader
{
    private const int LongestLine = 2_000;

    public static Drawn Read(string text, string field)
    {
        var (lines, left) = (new List<DrawnLine>(), new HashSet<string>());
        var pairs = Pairs(text, field).GetEnumerator();
        var (scale, section, variable) = (1d, "", "");
        var entity = new Entity("", null, [], false, false, false);
        var polyline = (Entity?)null;
        while (pairs.MoveNext())
        {
            var (code, value) = pairs.Current;
            if (code == 0)
            {
                Close();
                entity = new Entity(value, null, [], false, false, false);
                continue;
            }

            if (entity.Kind == "SECTION" && code == 2)
            {
                section = value;
            }
            else if (section == "HEADER" && code == 9)
            {
                variable = value;
            }
            else if (section == "HEADER" && variable == "$INSUNITS" && code == 70)
            {
                scale = value.Trim() switch { "0" or "4" => 1, "1" => 25.4, "5" => 10, "6" => 1000, "2" => 304.8, _ => throw DrawingFile.Problem(field, $"its unit is number {value.Trim()}, and millimetres, centimetres, metres, inches or feet are read") };
            }
            else if (section == "ENTITIES")
            {
                Take(code, value);
            }
        }

        Close();
        return new Drawn([.. lines.Select(l => l with { X1 = l.X1 * scale, Y1 = l.Y1 * scale, X2 = l.X2 * scale, Y2 = l.Y2 * scale })], [.. left]);

        void Take(int code, string value)
        {
            double Number() => double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var n) && double.IsFinite(n) ? n : throw DrawingFile.Problem(field, $"“{(value.Length > 20 ? value[..20] : value)}” in it is no number");
            switch (code)
            {
                case 8:
                    entity = entity with { Layer = value.Trim() };
                    break;
                case 10 or 11:
                    entity.Places.Add((Number(), 0));
                    break;
                case 20 or 21 when entity.Places.Count > 0:
                    entity.Places[^1] = (entity.Places[^1].X, Number());
                    break;
                case 42:
                    entity = entity with { Bulges = entity.Bulges || Number() != 0 };
                    break;
                case 70 when entity.Kind is "POLYLINE" or "LWPOLYLINE":
                    entity = entity with { Closed = ((int)Number() & 1) == 1 };
                    break;
            }
        }

        void Close()
        {
            switch (entity.Kind)
            {
                case "POLYLINE":
                    polyline = entity with { Places = [] };
                    break;
                case "VERTEX" when polyline is not null:
                    polyline.Places.AddRange(entity.Places.Take(1));
                    polyline = polyline with { Bulges = polyline.Bulges || entity.Bulges };
                    break;
                case "SEQEND" when polyline is not null:
                    Draw(polyline);
                    polyline = null;
                    break;
                case "LINE" or "LWPOLYLINE":
                    Draw(entity);
                    break;
                case "ARC" or "CIRCLE" or "ELLIPSE" or "SPLINE":
                    left.Add("curves");
                    break;
                case "INSERT":
                    left.Add("blocks, which are not followed");
                    break;
                case "TEXT" or "MTEXT" or "DIMENSION":
                    left.Add("words");
                    break;
            }

            entity = new Entity("", null, [], false, false, false);
        }

        void Draw(Entity drawn)
        {
            if (DrawingFile.IsRemark(drawn.Layer))
            {
                return;
            }

            if (drawn.Bulges)
            {
                left.Add("curves");
            }

            var stroke = DrawingFile.Named(drawn.Layer) ?? Stroke.Cut;
            for (var i = 0; i + 1 < drawn.Places.Count + (drawn.Closed ? 1 : 0); i++)
            {
                var (a, b) = (drawn.Places[i], drawn.Places[(i + 1) % drawn.Places.Count]);
                DrawingFile.Add(lines, a.X, a.Y, b.X, b.Y, stroke, field);
            }
        }
    }

    private sealed record Entity(string Kind, string? Layer, List<(double X, double Y)> Places, bool Closed, bool Bulges, bool IsRemark);

    /// <summary>Codes and values, two lines each.</summary>
    private static IEnumerable<(int Code, string Value)> Pairs(string text, string field)
    {
        using var reader = new StringReader(text);
        for (var number = 1; reader.ReadLine() is { } first; number += 2)
        {
            if (first.Trim().Length == 0 && reader.Peek() < 0)
            {
                yield break;
            }

            if (!int.TryParse(first.Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var code) || reader.ReadLine() is not { } value || value.Length > LongestLine)
            {
                throw DrawingFile.Problem(field, $"line {number} of it is no code, or its value is missing or too long");
            }

            yield return (code, value);
        }
    }
}

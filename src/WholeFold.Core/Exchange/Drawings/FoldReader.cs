using System.Text.Json;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>Crease patterns of FOLD files: the flat frames, their edges by assignment. Poses (frames that inherit, folded forms) are no patterns of their own.</summary>
internal static class FoldReader
{
    private const int Deepest = 32, MostFrames = 200, Apart = 50;

    public static Drawn Read(string text, string field)
    {
        JsonDocument json;
        try
        {
            json = JsonDocument.Parse(text, new JsonDocumentOptions { MaxDepth = Deepest });
        }
        catch (JsonException e)
        {
            throw DrawingFile.Problem(field, $"line {(e.LineNumber ?? 0) + 1} of it is no JSON that can be read{(e.Message.Contains("depth", StringComparison.Ordinal) ? $": it is nested more than {Deepest} deep" : "")}");
        }

        using (json)
        {
            var (lines, left) = (new List<DrawnLine>(), new List<string>());
            var frames = new List<JsonElement> { json.RootElement };
            if (json.RootElement.TryGetProperty("file_frames", out var more) && more.ValueKind == JsonValueKind.Array)
            {
                frames.AddRange(more.EnumerateArray().Where(f => f.ValueKind == JsonValueKind.Object));
            }

            if (frames.Count > MostFrames)
            {
                throw DrawingFile.Problem(field, $"it has {frames.Count} frames, and at most {MostFrames} are read");
            }

            var scale = Scale(frames, field);
            foreach (var (frame, i) in frames.Select((f, i) => (f, i)))
            {
                if (!frame.TryGetProperty("vertices_coords", out var places) || !frame.TryGetProperty("edges_vertices", out var edges) || IsPose(frame))
                {
                    if (i > 0)
                    {
                        left.Add("poses: the angles of a fold are worked out anew");
                    }

                    continue;
                }

                // Each pattern has places of its own: they are laid side by side.
                var sheet = new List<DrawnLine>();
                Pattern(frame, places, edges, scale, sheet, i == 0 ? field : $"{field}, frame {i}");
                var aside = lines.Count == 0 || sheet.Count == 0 ? 0 : lines.Max(l => Math.Max(l.X1, l.X2)) + Apart - sheet.Min(l => Math.Min(l.X1, l.X2));
                foreach (var line in sheet)
                {
                    DrawingFile.Add(lines, line.X1 + aside, line.Y1, line.X2 + aside, line.Y2, line.Stroke, field);
                }
            }

            if (json.RootElement.TryGetProperty("faceOrders", out _) || json.RootElement.TryGetProperty("edgeOrders", out _))
            {
                left.Add("the order of layers");
            }

            return new Drawn(lines, [.. left.Distinct()]);
        }
    }

    private static bool IsPose(JsonElement frame) =>
        (frame.TryGetProperty("frame_inherit", out var inherits) && inherits.ValueKind == JsonValueKind.True)
        || (frame.TryGetProperty("frame_classes", out var classes) && classes.ValueKind == JsonValueKind.Array && classes.EnumerateArray().Any(c => c.ValueKind == JsonValueKind.String && c.GetString() == "foldedForm"));

    /// <summary>Millimetres by its unit; one without a unit is taken to be in millimetres.</summary>
    private static double Scale(List<JsonElement> frames, string field)
    {
        var unit = frames.Select(f => f.TryGetProperty("frame_unit", out var u) && u.ValueKind == JsonValueKind.String ? u.GetString() : null).FirstOrDefault(u => u is not null);
        return unit switch
        {
            null or "unit" or "mm" => 1,
            "cm" => 10,
            "in" => 25.4,
            "m" => 1000,
            "pt" => 25.4 / 72,
            _ => throw DrawingFile.Problem(field, $"its unit is “{(unit.Length > 20 ? unit[..20] : unit)}”, and mm, cm, m, in or pt are read"),
        };
    }

    private static void Pattern(JsonElement frame, JsonElement places, JsonElement edges, double scale, List<DrawnLine> lines, string field)
    {
        var at = new List<(double X, double Y)>();
        foreach (var place in places.ValueKind == JsonValueKind.Array ? places.EnumerateArray() : throw DrawingFile.Problem(field, "its places are no list"))
        {
            if (at.Count > 2 * DrawingFile.MostLines || place.ValueKind != JsonValueKind.Array || place.GetArrayLength() is < 2 or > 3 || !place.EnumerateArray()
                .All(n => n.ValueKind == JsonValueKind.Number && n.TryGetDouble(out var d) && double.IsFinite(d)))
            {
                throw DrawingFile.Problem(field, at.Count > 2 * DrawingFile.MostLines ? "it has too many places" : $"place {at.Count} is no pair of numbers");
            }

            if (place.GetArrayLength() == 3 && Math.Abs(place[2].GetDouble()) * scale > 0.01)
            {
                throw DrawingFile.Problem(field, "it does not lie flat; a crease pattern is read, and no folded form");
            }

            at.Add((place[0].GetDouble() * scale, place[1].GetDouble() * scale));
        }

        List<string?> assigned = frame.TryGetProperty("edges_assignment", out var assignments) && assignments.ValueKind == JsonValueKind.Array
            ? [.. assignments.EnumerateArray().Select(a => a.ValueKind == JsonValueKind.String ? a.GetString() : null)] : [];
        var number = 0;
        foreach (var edge in edges.ValueKind == JsonValueKind.Array ? edges.EnumerateArray() : throw DrawingFile.Problem(field, "its edges are no list"))
        {
            if (edge.ValueKind != JsonValueKind.Array || edge.GetArrayLength() != 2 || !edge[0].TryGetInt32(out var from) || !edge[1].TryGetInt32(out var to)
                || from < 0 || to < 0 || from >= at.Count || to >= at.Count)
            {
                throw DrawingFile.Problem(field, $"edge {number} does not run between two of its {at.Count} places");
            }

            // Joins that only hold faces together, and what is flat, are no lines of the card.
            var stroke = (number < assigned.Count ? assigned[number] : "B") switch { "B" or "C" => Stroke.Cut, "V" => Stroke.Valley, "M" => Stroke.Mountain, "U" => Stroke.Score, _ => (Stroke?)null };
            number++;
            if (stroke is { } known)
            {
                DrawingFile.Add(lines, at[from].X, at[from].Y, at[to].X, at[to].Y, known, field);
            }
        }
    }
}

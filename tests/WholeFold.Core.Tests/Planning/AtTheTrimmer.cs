using System.Text.Json;

namespace WholeFold.Core.Tests.Planning;

/// <summary>
/// Cuts a written plan again, knowing nothing but that a cut goes from edge to edge of one part. It reads the plan as anybody
/// would who got the file.
/// </summary>
internal static class AtTheTrimmer
{
    private sealed record Part(long X, long Y, long Width, long Height);

    /// <returns>What is wrong with the plan; nothing where it can be cut as it says.</returns>
    public static IEnumerable<string> Wrong(string json, IReadOnlyDictionary<string, (long Width, long Height, int Count)> wanted)
    {
        using var plan = JsonDocument.Parse(json);
        var made = wanted.Keys.ToDictionary(k => k, _ => 0);
        foreach (var sheet in plan.RootElement.GetProperty("sheets").EnumerateArray())
        {
            var parts = new Dictionary<string, Part> { [""] = new(0, 0, Units(sheet, "width"), Units(sheet, "height")) };
            foreach (var (cut, n) in sheet.GetProperty("cuts").EnumerateArray().Select((c, i) => (c, i + 1)))
            {
                var path = string.Join('.', cut.GetProperty("of").EnumerateArray().Select(o => o.GetInt32()));
                if (cut.GetProperty("n").GetInt32() != n || !parts.Remove(path, out var part))
                {
                    yield return $"cut {n} is of a part that is not there: {path}";
                    yield break;
                }

                var (at, x) = (Units(cut, "at"), cut.GetProperty("axis").GetString() == "x");
                if (at <= 0 || at >= (x ? part.Width : part.Height))
                {
                    yield return $"cut {n} misses its part";
                }

                var key = path.Length == 0 ? "" : path + ".";
                parts[key + "0"] = x ? part with { Width = at } : part with { Height = at };
                parts[key + "1"] = x ? part with { X = part.X + at, Width = part.Width - at }
                    : part with { Y = part.Y + at, Height = part.Height - at };
            }

            var left = parts.Values.ToList();
            foreach (var piece in sheet.GetProperty("parts").EnumerateArray())
            {
                var (id, lies) = (piece.GetProperty("piece").GetString()!, Box(piece));
                var (width, height) = piece.GetProperty("turned").GetBoolean() ? (lies.Height, lies.Width) : (lies.Width, lies.Height);
                if (!left.Remove(lies))
                {
                    yield return $"{id} is not cut out where it lies";
                }

                if ((wanted[id].Width, wanted[id].Height) != (width, height))
                {
                    yield return $"{id} is cut to another size";
                }

                made[id] += sheet.GetProperty("count").GetInt32();
            }

            foreach (var rest in sheet.GetProperty("left").EnumerateArray().Where(r => !left.Remove(Box(r))))
            {
                yield return $"what is said to be left is not: {Box(rest)}";
            }

            if (left.Count > 0)
            {
                yield return $"{left.Count} parts that are neither a piece nor left over";
            }
        }

        foreach (var (id, piece) in wanted.Where(w => made[w.Key] != w.Value.Count))
        {
            yield return $"{made[id]} of {id} and not {piece.Count}";
        }
    }

    private static Part Box(JsonElement at) => new(Units(at, "x"), Units(at, "y"), Units(at, "width"), Units(at, "height"));

    private static long Units(JsonElement of, string name) => of.GetProperty(name).GetProperty("units").GetInt64();
}

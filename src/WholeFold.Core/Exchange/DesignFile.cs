using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Exchange;

/// <summary>
/// A design as a file or a stored state: of any version that was ever written, brought up to the newest on reading.
/// </summary>
public static class DesignFile
{
    public static readonly string Accepted = string.Create(CultureInfo.InvariantCulture, $"a design such as {{\"wholeFold\": {DesignSpec.Newest}, \"construction\": \"{ConstructionLibrary.All[0].Id}\", \"format\": \"5x7\"}}");

    /// <summary>By the version they start from, what brings a state to the next one.</summary>
    private static readonly Dictionary<int, Action<JsonObject>> Upgrades = new()
    {
        // Figures set by hand were plain texts only; they still may be. There were no locks.
        [1] = _ => { },
    };

    /// <param name="place">Where it comes from.</param>
    /// <exception cref="InputProblemException">It is no JSON, has an unknown member, or is of a version that is not known.</exception>
    public static DesignSpec Read(string json, string place) =>
        Read(StrictJson.Read<JsonElement>(json, place, "design.unreadable", Accepted), place);

    /// <inheritdoc cref="Read(string, string)"/>
    public static DesignSpec Read(JsonElement json, string place)
    {
        if (json.ValueKind != JsonValueKind.Object)
        {
            throw new InputProblemException("design.unreadable", place, "it must be an object", Accepted);
        }

        var version = DesignSpec.Newest;
        if (json.TryGetProperty("wholeFold", out var written) && !(written.ValueKind == JsonValueKind.Number && written.TryGetInt32(out version)))
        {
            throw new InputProblemException("design.version", place, "its version is not a number", Accepted);
        }

        if (version != DesignSpec.Newest)
        {
            json = Upgraded(json, version, place);
        }

        return StrictJson.Read<DesignSpec>(json, place, "design.unreadable", Accepted);
    }

    public static string Write(DesignSpec design) => JsonSerializer.Serialize(design, StrictJson.Options);

    /// <summary>On one line, as it is stored.</summary>
    public static string State(DesignSpec design) => JsonSerializer.Serialize(design, StrictJson.OnOneLine);

    /// <summary>One text for all designs that come to the same figures in one format: without the name, and whichever way its maps are ordered.</summary>
    public static string Canonical(DesignSpec design)
    {
        ArgumentNullException.ThrowIfNull(design);
        static IReadOnlyDictionary<string, T> Sorted<T>(IReadOnlyDictionary<string, T> map) => new SortedDictionary<string, T>(map.ToDictionary(m => m.Key, m => m.Value), StringComparer.Ordinal);
        return State(design with
        {
            Name = "",
            Target = null,
            TargetTurn = false,
            BothSystems = false,
            PieceStocks = Sorted(design.PieceStocks),
            Set = Sorted(design.Set),
            Lock = Sorted(design.Lock),
            Adjustments = Sorted(design.Adjustments.ToDictionary(a => a.Key, a => Sorted(a.Value))),
            Prefer = [.. design.Prefer.Order(StringComparer.Ordinal)],
        });
    }

    private static JsonElement Upgraded(JsonElement json, int version, string place)
    {
        var state = JsonObject.Create(json)!;
        for (; version < DesignSpec.Newest; version++)
        {
            if (!Upgrades.TryGetValue(version, out var upgrade))
            {
                throw Unknown(version, place);
            }

            upgrade(state);
        }

        if (version > DesignSpec.Newest)
        {
            throw Unknown(version, place);
        }

        state["wholeFold"] = DesignSpec.Newest;
        return JsonSerializer.SerializeToElement(state);
    }

    private static InputProblemException Unknown(int version, string place) =>
        new("design.version", place, version > DesignSpec.Newest ? $"it was written by a newer Whole Fold (version {version}, and this one knows up to {DesignSpec.Newest})" : $"it is of version {version}", Accepted);
}

using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;

namespace WholeFold.Core.Exchange;

/// <summary>The JSON schemas of what is exchanged, made from the types themselves.</summary>
public static class Schemas
{
    private static readonly Dictionary<string, (string Title, Func<JsonNode> Make)> All = new()
    {
        ["design"] = ("A Whole Fold design", () => Export(typeof(DesignSpec))),
        ["construction"] = ("A Whole Fold construction", () => Export(typeof(WrittenFamily))),
        ["inventory"] = ("Things to hand, by kind", Inventory),
    };

    public static IReadOnlyList<string> Names { get; } = [.. All.Keys];

    /// <exception cref="InputProblemException">There is no such schema.</exception>
    public static string Of(string name)
    {
        if (!All.TryGetValue(name, out var schema))
        {
            throw new InputProblemException("schema.unknown", "what", $"there is no schema of “{name}”", string.Join(", ", Names));
        }

        var exported = schema.Make();
        var written = new JsonObject { ["$schema"] = "https://json-schema.org/draft/2020-12/schema", ["title"] = schema.Title };
        foreach (var (key, value) in exported.AsObject())
        {
            written[key] = value?.DeepClone();
        }

        return written.ToJsonString(StrictJson.Options);
    }

    private static JsonNode Inventory() => new JsonObject
    {
        ["type"] = "object",
        ["properties"] = new JsonObject(Inventories.Inventory.Kinds.Select(k => KeyValuePair.Create(k.Id, (JsonNode?)new JsonObject { ["type"] = "array", ["description"] = k.Meaning, ["items"] = Export(k.Written) }))),
        ["additionalProperties"] = false,
    };

    private static JsonNode Export(Type type) => StrictJson.Options.GetJsonSchemaAsNode(type, new JsonSchemaExporterOptions
    {
        TreatNullObliviousAsNonNullable = true,
        TransformSchemaNode = (context, node) => context.TypeInfo.Type == typeof(WrittenFigure)
            ? new JsonObject { ["anyOf"] = new JsonArray(new JsonObject { ["type"] = "string" },
                new JsonObject { ["type"] = "object", ["properties"] =
                new JsonObject { ["value"] = new JsonObject { ["type"] = "string" }, ["tools"] = new JsonObject { ["type"] = "string" } }, ["required"] = new JsonArray("value"), ["additionalProperties"] = false }) }
            : context.TypeInfo.Type == typeof(WrittenLength) ? new JsonObject { ["anyOf"] = new JsonArray(new JsonObject { ["type"] = "string" }, new JsonObject { ["type"] = "number" }, new JsonObject { ["type"] = "object" }) }
            : node,
    });
}

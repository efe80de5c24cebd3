using System.ComponentModel.DataAnnotations;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Inventories;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Designs;

/// <summary>
/// A design as it is written down: in a file, in the store, on the wire. It holds what was chosen, as people write it,
/// and never a figure that was worked out.
/// </summary>
public sealed record DesignSpec
{
    /// <summary>The version of this form that is written.</summary>
    public const int Newest = 2;

    /// <summary>The version of this form.</summary>
    public int WholeFold { get; init; } = Newest;

    public string Name { get; init; } = "";

    /// <summary>Id of a construction.</summary>
    public string Construction { get; init; } = "";

    /// <summary>The construction itself, where it is one of the design's own and none of the library's.</summary>
    public WrittenFamily? Made { get; init; }

    /// <summary>The home format: an id, or a size with its unit.</summary>
    public string Format { get; init; } = "";

    public bool Turn { get; init; }

    /// <summary>The format it is being converted to; null is the home format.</summary>
    public string? Target { get; init; }

    public bool TargetTurn { get; init; }

    /// <summary>A tool set's id; null follows the system of the format.</summary>
    public string? Tools { get; init; }

    /// <summary>A guest's tools, by the tool set's id: what is shown and handed out beside the design's own figures is the same card on
    /// these; null for the usual board of the other system.</summary>
    public string? Guest { get; init; }

    /// <summary>The unit of bare numbers and of texts: in, cm or mm; null follows the system of the home format.</summary>
    public string? Units { get; init; }

    /// <summary>Whether the other system is shown beside.</summary>
    public bool BothSystems { get; init; }

    public string Stock { get; init; } = "card-270";

    /// <summary>The card's caliper, measured or from its weight; it wins over the stock's usual one.</summary>
    public string? Caliper { get; init; }

    /// <summary>How the grain runs in the sheet: long, short, or null where it is not known.</summary>
    public string? Grain { get; init; }

    /// <summary>What papers are cut from.</summary>
    public string LayerStock { get; init; } = "paper-120";

    /// <summary>What a mat is cut from, where a paper lies on one.</summary>
    public string MatStock { get; init; } = "card-216";

    /// <summary>Pieces that are cut from another stock than the design's own.</summary>
    public IReadOnlyDictionary<string, string> PieceStocks { get; init; } = new Dictionary<string, string>();

    /// <summary>What layers are bonded with.</summary>
    public string Adhesive { get; init; } = "glue";

    /// <summary>A reveal school's id, or a width with its unit.</summary>
    public string Reveal { get; init; } = "standard";

    /// <summary>format, board or proportions.</summary>
    public string Priority { get; init; } = "format";

    /// <summary>assemble: papers go on the card once it is together; decorate: they go on while it is flat.</summary>
    public string Order { get; init; } = "assemble";

    /// <summary>Which way it opens for a reader: sideways, its spine at the left, or upwards, its spine at the top; as its
    /// construction usually does where it is not said.</summary>
    public Opens? Opens { get; init; }

    /// <summary>What a format names: closed, the card put away; or shown, the plate that one sees of it when it stands.</summary>
    public string NamedBy { get; init; } = "closed";

    /// <summary>How figures are liked best: no-sixteenths, one-stop, mountains-from-behind, with-ruler, whole-sheet, not-eased.</summary>
    public IReadOnlyList<string> Prefer { get; init; } = [];

    /// <summary>A bought blank that it begins with at home, already cut and folded: its size as measured, closed. Null for none.</summary>
    [MaxLength(60)]
    public string? Blank { get; init; }

    /// <summary>Ids of the sheets that are there; none for all that are usual. A piece that just misses one of them is eased to it.</summary>
    public IReadOnlyList<string> Sheets { get; init; } = [];

    /// <summary>Things of one's own that the design needs, by kind, so that its file stands alone.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<JsonObject>>? Own { get; init; }

    /// <summary>Parameters and choices set by hand in the home format.</summary>
    public IReadOnlyDictionary<string, WrittenFigure> Set { get; init; } = new Dictionary<string, WrittenFigure>();

    /// <summary>Parameters that are hard in every format and system: what is physically given, or is to be kept exactly.</summary>
    public IReadOnlyDictionary<string, string> Lock { get; init; } = new Dictionary<string, string>();

    /// <summary>What is put on it; null where nothing is but the papers that its construction usually wears.</summary>
    public DressingSpec? Dressing { get; init; }

    /// <summary>Parameters set by hand for one other format only.</summary>
    public IReadOnlyDictionary<string, IReadOnlyDictionary<string, WrittenFigure>> Adjustments { get; init; } = new Dictionary<string, IReadOnlyDictionary<string, WrittenFigure>>();
}

/// <summary>
/// A figure set by hand: what was written, and the tools it was set with. Written as a plain text where the tools are the
/// design's own.
/// </summary>
/// <param name="Tools">The id of the tool set; null is the design's.</param>
[JsonConverter(typeof(WrittenFigureConverter))]
public sealed record WrittenFigure([property: MaxLength(60)] string Value, [property: MaxLength(60)] string? Tools = null)
{
    public static implicit operator WrittenFigure(string value) => new(value);

    public override string ToString() => Value;
}

internal sealed class WrittenFigureConverter : JsonConverter<WrittenFigure>
{
    public override WrittenFigure Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        if (reader.TokenType == JsonTokenType.String)
        {
            return new WrittenFigure(reader.GetString()!);
        }

        using var json = JsonDocument.ParseValue(ref reader);
        var members = json.RootElement.ValueKind == JsonValueKind.Object ? json.RootElement.EnumerateObject().ToDictionary(m => m.Name, m => m.Value) : [];
        return members.Remove("value", out var value) && value.ValueKind == JsonValueKind.String && (!members.Remove("tools", out var tools) || tools.ValueKind == JsonValueKind.String) && members.Count == 0
            ? new WrittenFigure(value.GetString()!, tools.ValueKind == JsonValueKind.String ? tools.GetString() : null)
            : throw new JsonException("a figure is a text, or a value and the tools it was set with");
    }

    public override void Write(Utf8JsonWriter writer, WrittenFigure value, JsonSerializerOptions options)
    {
        if (value.Tools is null)
        {
            writer.WriteStringValue(value.Value);
            return;
        }

        writer.WriteStartObject();
        writer.WriteString("value", value.Value);
        writer.WriteString("tools", value.Tools);
        writer.WriteEndObject();
    }
}

using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Designs;

/// <summary>What is put on a card, as it is written down: papers, windows, elements, contours, and what is measured off a roll.</summary>
/// <remarks>
/// A role is one of the construction's (<c>front</c>, <c>doors</c>) or a single face by its plate and side (<c>base.back.up</c>):
/// what is said of a role holds on all its faces, what is said of a face wins over it.
/// </remarks>
public sealed record DressingSpec
{
    public IReadOnlyList<LayerSpec> Layers { get; init; } = [];

    public IReadOnlyList<WindowSpec> Windows { get; init; } = [];

    public IReadOnlyList<ElementSpec> Elements { get; init; } = [];

    public IReadOnlyList<ContourSpec> Contours { get; init; } = [];

    public IReadOnlyList<SoftSpec> Soft { get; init; } = [];

    /// <summary>The same without the list that holds nothing, so that a bare design is written as one.</summary>
    [JsonIgnore]
    public bool IsBare => Layers.Count + Windows.Count + Elements.Count + Contours.Count + Soft.Count == 0;
}

/// <summary>A length as it is written: a text with or without its unit, a number in the design's unit, or an exact length as results have it.</summary>
[JsonConverter(typeof(WrittenLengthConverter))]
public sealed record WrittenLength(string Text)
{
    public static implicit operator WrittenLength(string text) => new(text);

    /// <summary>A length written so that it means the same in every design.</summary>
    public static WrittenLength Of(Length length) => new(LengthWriter.Exact(length));

    public override string ToString() => Text;
}

internal sealed class WrittenLengthConverter : JsonConverter<WrittenLength>
{
    public override WrittenLength Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        using var json = JsonDocument.ParseValue(ref reader);
        var root = json.RootElement;
        return root.ValueKind switch
        {
            JsonValueKind.String => new WrittenLength(root.GetString()!),
            JsonValueKind.Number when root.TryGetDecimal(out var number) => new WrittenLength(number.ToString(CultureInfo.InvariantCulture)),
            JsonValueKind.Object when root.TryGetProperty("units", out var units) && units.ValueKind == JsonValueKind.Number && units.TryGetInt64(out var whole)
                && Math.Abs(whole) < 1_000_000_000 => WrittenLength.Of(new Length(whole)),
            JsonValueKind.Object when root.TryGetProperty("mm", out var mm) && mm.ValueKind == JsonValueKind.Number && mm.TryGetDecimal(out var metric) => new WrittenLength($"{metric.ToString(CultureInfo.InvariantCulture)} mm"),
            _ => throw new JsonException("a length is a text such as “1 1/8 in”, a number in the design's unit, or an object with “units” or “mm”"),
        };
    }

    public override void Write(Utf8JsonWriter writer, WrittenLength value, JsonSerializerOptions options) => writer.WriteStringValue(value.Text);
}

/// <summary>Whether and how a role is covered.</summary>
/// <param name="Level">1 lies on the card, 2 on the first.</param>
/// <param name="Stock">What it is cut from; the design's paper, or its mat under a paper, where it is not said.</param>
/// <param name="Worn">False leaves the role bare from this level on.</param>
/// <param name="Under">free: it ends at what is bonded on its face; first: it goes on first and runs under it.</param>
/// <param name="Write">Whether it is there to be written on.</param>
public sealed record LayerSpec([property: MaxLength(80)] string Role, int Level = 1, [property: MaxLength(60)] string? Stock = null, bool Worn = true,
    RevealSpec? Reveal = null, [property: MaxLength(10)] string? Under = null, bool Write = false);

/// <summary>The border of a layer, beside it and above and below it; the design's own where it is not said.</summary>
public sealed record RevealSpec(WrittenLength? X = null, WrittenLength? Y = null);

/// <summary>Where a thing sits on a face.</summary>
/// <param name="Anchor">head-left, head, head-right, left, centre, right, foot-left, foot or foot-right, as one reads the face.</param>
/// <param name="From">Its distances from named edges, where it does not lie in the middle.</param>
/// <param name="Pose">How the card lies while it is measured: flat, closed or shown.</param>
public sealed record PlaceSpec([property: MaxLength(20)] string Anchor = "centre", IReadOnlyList<FromSpec>? From = null, [property: MaxLength(20)] string? Pose = null);

/// <param name="Edge">left, right, head or foot of the face as one reads it, or <c>window:ID</c> for the window before it.</param>
/// <param name="Distance">How far the thing's nearer side is from it; less than nothing where it reaches past.</param>
public sealed record FromSpec([property: MaxLength(60)] string Edge, WrittenLength Distance);

/// <summary>A window that is cut into a face.</summary>
/// <param name="Die">The die that cuts it; null where a knife does.</param>
/// <param name="Size">Of one cut by knife: wide and high. With a die, the length to reach by passing it twice.</param>
/// <param name="Shape">rectangle, circle or ellipse, of one cut by knife.</param>
/// <param name="Through">0 for the card, 1 for its first layer and so on; all of them where it is not said.</param>
/// <param name="Rule">What it does in another format: scale, fixed or margins.</param>
/// <param name="Family">Where no die of its own set fits, another set of dies that may be taken.</param>
/// <param name="Around">A window before it that it is cut round, with the same middle; without a die or a size of its own it is the next larger die of that one's set.</param>
public sealed record WindowSpec([property: MaxLength(40)] string Id, [property: MaxLength(80)] string Role, [property: MaxLength(60)] string? Die = null,
    IReadOnlyList<WrittenLength>? Size = null, [property: MaxLength(20)] string Shape = "rectangle", IReadOnlyList<int>? Through = null, PlaceSpec? Place = null,
    [property: MaxLength(20)] string Rule = "scale", [property: MaxLength(60)] string? Family = null, [property: MaxLength(40)] string? Around = null);

/// <summary>Something that is put on a face: stamped, printed, cut by die, built up.</summary>
/// <param name="Shape">rectangle, circle, ellipse or polygon.</param>
/// <param name="Size">Wide and high, as one reads its face.</param>
/// <param name="Height">How far it stands off the face: the foam under it and itself; nothing where it is flat.</param>
/// <param name="Fixed">It keeps its size in every format; else it scales with its face.</param>
/// <param name="BondedOn">The plate or face that it is held by alone, where it lies over more than one.</param>
/// <param name="Made">stamped, printed, heat-embossed, die-cut, built-up or lit (with a button cell).</param>
/// <param name="Held">face, thread, strip, slide, lock or magnet: what it is carried by.</param>
/// <param name="Outline">Of a polygon, its corners in shares of its size from its lower left: [[0, 0], [1, 0], [0.5, 1]].</param>
/// <param name="Svg">Or a drawing that the outline is read from.</param>
/// <param name="Motif">The drawing that is shown in it.</param>
/// <param name="OverEdge">It is meant to stand over the card's edge.</param>
public sealed record ElementSpec([property: MaxLength(40)] string Id, [property: MaxLength(80)] string Role, [property: MaxLength(60)] string? Name = null,
    [property: MaxLength(20)] string Shape = "rectangle", IReadOnlyList<WrittenLength>? Size = null, WrittenLength? Height = null, bool Fixed = true,
    PlaceSpec? Place = null, [property: MaxLength(80)] string? BondedOn = null, [property: MaxLength(20)] string Made = "die-cut",
    [property: MaxLength(60)] string? Stock = null, [property: MaxLength(20)] string Held = "face", IReadOnlyList<IReadOnlyList<double>>? Outline = null,
    [property: MaxLength(SvgOutline.Longest)] string? Svg = null, [property: MaxLength(40)] string? Motif = null,
    bool OverEdge = false);

/// <summary>A free edge that is cut to a shape.</summary>
/// <param name="Shape">roofs, hills, waves, or a drawing's.</param>
/// <param name="Height">How far it rises above the height that the rule asks for.</param>
public sealed record ContourSpec([property: MaxLength(40)] string Id, [property: MaxLength(80)] string Role, [property: MaxLength(20)] string Shape = "hills",
    WrittenLength? Height = null, [property: MaxLength(SvgOutline.Longest)] string? Svg = null);

/// <summary>What is measured off a roll.</summary>
/// <param name="Kind">ribbon, twine, thread, tape or foam.</param>
/// <param name="Rule">run (along the face), wrap (round the piece), bow or knot.</param>
/// <param name="Width">How wide it is.</param>
public sealed record SoftSpec([property: MaxLength(40)] string Id, [property: MaxLength(80)] string Role, [property: MaxLength(20)] string Kind = "ribbon",
    [property: MaxLength(20)] string Rule = "wrap", WrittenLength? Width = null, int Passes = 1);

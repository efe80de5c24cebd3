using System.Collections.Concurrent;
using System.ComponentModel.DataAnnotations;
using System.Reflection;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace WholeFold.Core.Input;

/// <summary>Of a text: it may have line breaks and tabs in it, as a measure list has.</summary>
[AttributeUsage(AttributeTargets.Property | AttributeTargets.Parameter)]
public sealed class ManyLinesAttribute : Attribute;

/// <summary>
/// The one gate through which JSON comes in: files, requests, stored states. What is missing, unknown, null where something
/// must be, too long or of another type is refused in plain words, with its place and what would be accepted; no sentence of
/// the runtime's reaches a person.
/// </summary>
/// <remarks>
/// The shape is read off the type itself: nullable annotations, <c>required</c> members, <see cref="MaxLengthAttribute"/> on
/// texts. Bounded in depth, in the length of texts and in the number of things in a list, before anything is built.
/// </remarks>
public static class StrictJson
{
    /// <summary>Deeper than anything that is written down here, and shallow enough for any stack.</summary>
    public const int Deepest = 32;

    /// <summary>The longest text where its member does not say otherwise, and the most things in one list or map.</summary>
    public const int LongestText = 400, MostItems = 4096;

    /// <summary>How everything is written and read: camel case, no nulls, readable signs.</summary>
    public static JsonSerializerOptions Options { get; } = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        NumberHandling = JsonNumberHandling.Strict,
        MaxDepth = Deepest,
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        RespectNullableAnnotations = true,
        AllowOutOfOrderMetadataProperties = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
        TypeInfoResolver = new DefaultJsonTypeInfoResolver(),
    };

    /// <summary>The same on one line, for what is stored.</summary>
    public static JsonSerializerOptions OnOneLine { get; } = new(Options) { WriteIndented = false };

    private static readonly ConcurrentDictionary<(Type, string), Bound> Bounds = new();

    private static readonly Bound OneLine = new(LongestText, Lines: false);

    /// <summary>How long a text may be, and whether it may have more than one line.</summary>
    private readonly record struct Bound(int Longest, bool Lines);

    /// <summary>Reads a text.</summary>
    /// <param name="place">Where it comes from: an option, a file, or nothing for the body of a request.</param>
    /// <param name="code">The code of whatever is wrong with it.</param>
    /// <param name="accepted">What would be accepted, with an example.</param>
    /// <exception cref="InputProblemException">It is no JSON, or not of the shape that was expected.</exception>
    public static T Read<T>(string json, string place, string code, string accepted)
    {
        try
        {
            using var document = JsonDocument.Parse(json, new JsonDocumentOptions { MaxDepth = Deepest });
            return Read<T>(document.RootElement, place, code, accepted);
        }
        catch (JsonException e)
        {
            var line = e.LineNumber is { } l && json.Contains('\n', StringComparison.Ordinal) ? $"line {l + 1}: " : "";
            var reason = json.AsSpan().Trim().IsEmpty ? "it is empty" : $"{line}this is not JSON that can be read{(e.BytePositionInLine is { } at ? $", from character {at + 1} on" : "")}";
            throw new InputProblemException(code, Named(place), reason, accepted);
        }
    }

    /// <inheritdoc cref="Read{T}(string, string, string, string)"/>
    public static T Read<T>(JsonElement json, string place, string code, string accepted)
    {
        new Gate(code, accepted).Check(json, Options.GetTypeInfo(typeof(T)), place, OneLine);
        try
        {
            return json.Deserialize<T>(Options)!;
        }
        catch (Exception e) when (e is JsonException or NotSupportedException or InvalidOperationException)
        {
            throw new InputProblemException(code, Named(place), "it is not of the shape that was expected", accepted);
        }
    }

    /// <summary>What comes from nowhere else is the body of a request.</summary>
    private static string Named(string place) => place.Length == 0 ? "body" : place;

    private sealed class Gate(string code, string accepted)
    {
        public void Check(JsonElement json, JsonTypeInfo type, string place, Bound bound)
        {
            var plain = Nullable.GetUnderlyingType(type.Type) ?? type.Type;
            if (plain == typeof(JsonElement) || typeof(JsonNode).IsAssignableFrom(plain))
            {
                Any(json, place);
                return;
            }

            if (json.ValueKind == JsonValueKind.Null)
            {
                throw Problem(place, "there is nothing here");
            }

            switch (type.Kind)
            {
                case JsonTypeInfoKind.Object:
                    Object(json, Told(json, type, place), place);
                    break;
                case JsonTypeInfoKind.Enumerable:
                    Expect(json, JsonValueKind.Array, place, "a list");
                    var index = 0;
                    foreach (var item in json.EnumerateArray())
                    {
                        Few(++index, place);
                        Inner(item, type, $"{place}[{index - 1}]", bound);
                    }

                    break;
                case JsonTypeInfoKind.Dictionary:
                    Expect(json, JsonValueKind.Object, place, "names with their values");
                    var names = new HashSet<string>(StringComparer.Ordinal);
                    foreach (var member in json.EnumerateObject())
                    {
                        Few(names.Count, place);
                        var name = Name(member, place);
                        if (!names.Add(name))
                        {
                            throw Problem(Join(place, name), "it stands here twice");
                        }

                        Inner(member.Value, type, Join(place, name), bound);
                    }

                    break;
                default:
                    Value(json, plain, place, bound);
                    break;
            }
        }

        private void Inner(JsonElement json, JsonTypeInfo type, string place, Bound bound)
        {
            // What a list may hold is not said by its type where it holds references; nothing here ever holds nulls.
            var element = type.ElementType!;
            if (json.ValueKind == JsonValueKind.Null && Nullable.GetUnderlyingType(element) is not null)
            {
                return;
            }

            Check(json, Options.GetTypeInfo(element), place, bound);
        }

        /// <summary>Of several forms, the one that the JSON says it is.</summary>
        private JsonTypeInfo Told(JsonElement json, JsonTypeInfo type, string place)
        {
            if (type.PolymorphismOptions is not { } forms)
            {
                return type;
            }

            Expect(json, JsonValueKind.Object, place, "an object");
            var names = string.Join(", ", forms.DerivedTypes.Select(d => d.TypeDiscriminator));
            if (!json.TryGetProperty(forms.TypeDiscriminatorPropertyName, out var told) || told.ValueKind != JsonValueKind.String)
            {
                throw Problem(Join(place, forms.TypeDiscriminatorPropertyName), $"it does not say what it is; {names} are known");
            }

            var form = forms.DerivedTypes.FirstOrDefault(d => told.ValueEquals(d.TypeDiscriminator as string)).DerivedType
                ?? throw Problem(Join(place, forms.TypeDiscriminatorPropertyName), $"“{Short(Said(told, place))}” is not known; {names} are");
            return Options.GetTypeInfo(form);
        }

        private void Object(JsonElement json, JsonTypeInfo type, string place)
        {
            Expect(json, JsonValueKind.Object, place, "an object");
            var seen = new HashSet<JsonPropertyInfo>();
            var form = (string?)null;
            for (var above = type.Type.BaseType; form is null && above is not null && above != typeof(object) && above != typeof(ValueType); above = above.BaseType)
            {
                form = Options.GetTypeInfo(above).PolymorphismOptions?.TypeDiscriminatorPropertyName;
            }

            foreach (var member in json.EnumerateObject())
            {
                var name = Name(member, place);
                if (name == form)
                {
                    continue;
                }

                var property = type.Properties.FirstOrDefault(p => p.Name == name && (p.Set is not null || p.AssociatedParameter is not null))
                    ?? throw Problem(Join(place, name), $"“{Short(name)}” is not known here; {string.Join(", ", type.Properties.Select(p => p.Name))} are");
                if (!seen.Add(property))
                {
                    throw Problem(Join(place, name), "it stands here twice");
                }

                if (member.Value.ValueKind == JsonValueKind.Null)
                {
                    if (!MayBeNull(property))
                    {
                        throw Problem(Join(place, name), "there is nothing here");
                    }

                    continue;
                }

                Check(member.Value, Options.GetTypeInfo(property.PropertyType), Join(place, name), Bounds.GetOrAdd((type.Type, property.Name), _ => BoundOf(property)));
            }

            if (type.Properties.FirstOrDefault(p => IsRequired(p) && !seen.Contains(p)) is { } missing)
            {
                throw Problem(Join(place, missing.Name), "it is missing");
            }
        }

        /// <summary>Without a default, a member of a record's constructor must be there, unless it may be null.</summary>
        private static bool IsRequired(JsonPropertyInfo property) =>
            property.IsRequired || (property.AssociatedParameter is { HasDefaultValue: false } parameter && !parameter.IsNullable && Nullable.GetUnderlyingType(property.PropertyType) is null);

        private static bool MayBeNull(JsonPropertyInfo property) =>
            Nullable.GetUnderlyingType(property.PropertyType) is not null || (!property.PropertyType.IsValueType && (property.AssociatedParameter?.IsNullable ?? property.IsSetNullable));

        private static Bound BoundOf(JsonPropertyInfo property) => new(Told<MaxLengthAttribute>(property)?.Length ?? LongestText, Told<ManyLinesAttribute>(property) is not null);

        private static T? Told<T>(JsonPropertyInfo property) where T : Attribute =>
            property.AttributeProvider?.GetCustomAttributes(typeof(T), true).FirstOrDefault() as T
            ?? property.AssociatedParameter?.AttributeProvider?.GetCustomAttributes(typeof(T), true).FirstOrDefault() as T;

        private void Value(JsonElement json, Type type, string place, Bound bound)
        {
            if (type == typeof(string) || type.IsEnum)
            {
                Expect(json, JsonValueKind.String, place, "a text");
                Text(json, place, bound);
                if (type.IsEnum && Enum.GetNames(type).Select(JsonNamingPolicy.CamelCase.ConvertName).ToList() is var names && !names.Contains(json.GetString()!))
                {
                    throw Problem(place, $"“{Short(json.GetString()!)}” is not known here; {string.Join(", ", names)} are");
                }
            }
            else if (type == typeof(bool))
            {
                if (json.ValueKind is not (JsonValueKind.True or JsonValueKind.False))
                {
                    throw Problem(place, "it must be true or false");
                }
            }
            else if (!type.IsPrimitive && type != typeof(decimal))
            {
                Own(json, type, place);
            }
            else
            {
                Expect(json, JsonValueKind.Number, place, "a number");
                if ((type == typeof(int) && !json.TryGetInt32(out _)) || (type == typeof(long) && !json.TryGetInt64(out _))
                    || (type == typeof(double) && !(json.TryGetDouble(out var d) && double.IsFinite(d))))
                {
                    throw Problem(place, "it is not a number that can be used here");
                }
            }
        }

        /// <summary>What has a form of its own says itself what is wrong with it.</summary>
        private void Own(JsonElement json, Type type, string place)
        {
            Any(json, place);
            try
            {
                json.Deserialize(type, Options);
            }
            catch (JsonException e)
            {
                throw Problem(place, e.Message.Split(" Path:")[0].TrimEnd('.'));
            }
        }

        /// <summary>What is read by somebody else later is bounded all the same.</summary>
        private void Any(JsonElement json, string place)
        {
            switch (json.ValueKind)
            {
                case JsonValueKind.String:
                    Text(json, place, OneLine);
                    break;
                case JsonValueKind.Array:
                    Few(json.GetArrayLength(), place);
                    foreach (var item in json.EnumerateArray())
                    {
                        Any(item, place);
                    }

                    break;
                case JsonValueKind.Object:
                    foreach (var member in json.EnumerateObject())
                    {
                        Any(member.Value, Join(place, Name(member, place)));
                    }

                    break;
            }
        }

        /// <summary>What it says. A sign of which only a half is there is in no text, and no reader further on expects it.</summary>
        private string Said(JsonElement json, string place)
        {
            try
            {
                return json.GetString()!;
            }
            catch (InvalidOperationException)
            {
                throw Problem(place, "there is half a sign in it");
            }
        }

        private void Text(JsonElement json, string place, Bound bound)
        {
            var text = Said(json, place);
            if (text.Length > bound.Longest)
            {
                throw Problem(place, $"it has {text.Length} characters, and at most {bound.Longest} are read");
            }

            // Where its member does not say that it may have many, a text is one line: it stands in lists, on labels and in files by lines.
            if (!bound.Lines && text.AsSpan().IndexOfAny('\n', '\r', '\t') is >= 0 and var at)
            {
                throw Problem(place, $"there is a {(text[at] == '\t' ? "tab" : "line break")} in it{(at == 0 ? "" : $", after “{Short(text[..at])}”")}");
            }

            if (text.Any(c => char.IsControl(c) && c is not ('\n' or '\r' or '\t')))
            {
                throw Problem(place, "there are control marks in it");
            }
        }

        private string Name(JsonProperty member, string place)
        {
            string name;
            try
            {
                name = member.Name;
            }
            catch (InvalidOperationException)
            {
                throw Problem(place, "there is half a sign in a name");
            }

            return name.Length is 0 or > 80 || name.Any(char.IsControl)
                ? throw Problem(place, $"“{Short(new string([.. name.Where(c => !char.IsControl(c))]))}” cannot be a name")
                : name;
        }

        private void Few(int count, string place)
        {
            if (count > MostItems)
            {
                throw Problem(place, $"there are more than {MostItems} things in it");
            }
        }

        private void Expect(JsonElement json, JsonValueKind kind, string place, string what)
        {
            if (json.ValueKind != kind)
            {
                throw Problem(place, $"it must be {what}");
            }
        }

        private InputProblemException Problem(string place, string reason) => new(code, Named(place), reason, accepted);

        private static string Join(string place, string name) => place.Length == 0 ? Short(name) : $"{place}.{Short(name)}";

        private static string Short(string text) => text.Length <= 40 ? text : text[..40] + "…";
    }
}

using System.Collections.Concurrent;
using System.ComponentModel.DataAnnotations;
using System.Reflection;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;

namespace WholeFold.Core.Input;

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

    private static readonly ConcurrentDictionary<(Type, string), int> Longest = new();

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
        new Gate(code, accepted).Check(json, Options.GetTypeInfo(typeof(T)), place, LongestText);
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
        public void Check(JsonElement json, JsonTypeInfo type, string place, int longest)
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
                        Inner(item, type, $"{place}[{index - 1}]", longest);
                    }

                    break;
                case JsonTypeInfoKind.Dictionary:
                    Expect(json, JsonValueKind.Object, place, "names with their values");
                    var names = new HashSet<string>(StringComparer.Ordinal);
                    foreach (var member in json.EnumerateObject())
                    {
                        Few(names.Count, place);
                        Name(member.Name, place);
                        if (!names.Add(member.Name))
                        {
                            throw Problem(Join(place, member.Name), "it stands here twice");
                        }

                        Inner(member.Value, type, Join(place, member.Name), longest);
                    }

                    break;
                default:
                    Value(json, plain, place, longest);
                    break;
            }
        }

        private void Inner(JsonElement json, JsonTypeInfo type, string place, int longest)
        {
            // What a list may hold is not said by its type where it holds references; nothing here ever holds nulls.
            var element = type.ElementType!;
            if (json.ValueKind == JsonValueKind.Null && Nullable.GetUnderlyingType(element) is not null)
            {
                return;
            }

            Check(json, Options.GetTypeInfo(element), place, longest);
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
                ?? throw Problem(Join(place, forms.TypeDiscriminatorPropertyName), $"“{Short(told.GetString()!)}” is not known; {names} are");
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
                Name(member.Name, place);
                if (member.Name == form)
                {
                    continue;
                }

                var property = type.Properties.FirstOrDefault(p => p.Name == member.Name && (p.Set is not null || p.AssociatedParameter is not null))
                    ?? throw Problem(Join(place, member.Name), $"“{Short(member.Name)}” is not known here; {string.Join(", ", type.Properties.Select(p => p.Name))} are");
                if (!seen.Add(property))
                {
                    throw Problem(Join(place, member.Name), "it stands here twice");
                }

                if (member.Value.ValueKind == JsonValueKind.Null)
                {
                    if (!MayBeNull(property))
                    {
                        throw Problem(Join(place, member.Name), "there is nothing here");
                    }

                    continue;
                }

                Check(member.Value, Options.GetTypeInfo(property.PropertyType), Join(place, member.Name), LongestOf(type.Type, property));
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

        private static int LongestOf(Type type, JsonPropertyInfo property) => Longest.GetOrAdd((type, property.Name), _ =>
            (property.AttributeProvider?.GetCustomAttributes(typeof(MaxLengthAttribute), true).FirstOrDefault() as MaxLengthAttribute
                ?? property.AssociatedParameter?.AttributeProvider?.GetCustomAttributes(typeof(MaxLengthAttribute), true).FirstOrDefault() as MaxLengthAttribute)?.Length ?? LongestText);

        private void Value(JsonElement json, Type type, string place, int longest)
        {
            if (type == typeof(string) || type.IsEnum)
            {
                Expect(json, JsonValueKind.String, place, "a text");
                Text(json.GetString()!, place, longest);
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
                if ((type == typeof(int) && !json.TryGetInt32(out _)) || (type == typeof(long) && !json.TryGetInt64(out _)) || (type == typeof(double) && !(json.TryGetDouble(out var d) && double.IsFinite(d))))
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
                    Text(json.GetString()!, place, LongestText);
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
                        Name(member.Name, place);
                        Any(member.Value, Join(place, member.Name));
                    }

                    break;
            }
        }

        private void Text(string text, string place, int longest)
        {
            if (text.Length > longest)
            {
                throw Problem(place, $"it has {text.Length} characters, and at most {longest} are read");
            }

            if (text.Any(c => char.IsControl(c) && c is not ('\n' or '\r' or '\t')))
            {
                throw Problem(place, "there are control marks in it");
            }
        }

        private void Name(string name, string place)
        {
            if (name.Length is 0 or > 80 || name.Any(char.IsControl))
            {
                throw Problem(place, $"“{Short(new string([.. name.Where(c => !char.IsControl(c))]))}” cannot be a name");
            }
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

using System.Text.Json;
using System.Text.Json.Nodes;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>How one member of a thing is asked for in a form.</summary>
/// <param name="Type">text, length, number, yes or one of some options.</param>
/// <param name="Example">What may be written there.</param>
/// <param name="Optional">Whether it may be left out.</param>
/// <param name="Of">It names one of this kind, which is chosen from those there are.</param>
public sealed record KindField(string Id, string Name, string Type, string Example, bool Optional = false,
    IReadOnlyList<string>? Options = null,
    string? Of = null);

/// <summary>
/// A kind of things to hand: how one is written down, read, described and asked for. Store, API, command line and drawer go
/// through this alone, so a new kind is one file here, its line in <see cref="Inventory.Kinds"/> and the file of what ships.
/// </summary>
public abstract class Kind
{
    /// <summary>Its name in files and addresses: <c>stocks</c>.</summary>
    public abstract string Id { get; }

    /// <summary>Its heading: "Stocks".</summary>
    public abstract string Name { get; }

    /// <summary>One of them: "stock".</summary>
    public abstract string One { get; }

    /// <summary>What it is for, in a line.</summary>
    public abstract string Meaning { get; }

    public abstract IReadOnlyList<KindField> Fields { get; }

    public abstract Type Type { get; }

    /// <summary>The type that it is written down as.</summary>
    public abstract Type Written { get; }

    /// <summary>Reads one as it is written down.</summary>
    /// <exception cref="InputProblemException">Something is missing, unknown or out of range.</exception>
    public abstract IThing Read(JsonElement written, string place);

    /// <summary>Whether a card's figures may be other ones with it; how many sheets there are changes none.</summary>
    public virtual bool ChangesFigures => true;

    /// <summary>What becomes of one that is put away; null where it is only not offered, and goes on as it is where it is used.</summary>
    public virtual IThing? WhenAway(IThing thing) => null;

    /// <summary>One in a few words, in its own system.</summary>
    public abstract string Describe(IThing thing);

    private const int LongestName = 60;

    /// <summary>An id of a thing of one's own.</summary>
    protected static string IdOf(string id, string place) =>
        id.Length is > 0 and <= 40 && id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c is '-' or '.') ? id
            : throw new InputProblemException("own.id", $"{place}.id", id.Length == 0 ? "it has no id" : $"“{id}” cannot be an id", "small letters, digits and hyphens, such as window-board");

    protected static string NameOf(string name, string place, string example) => name.Trim() is { Length: > 0 and <= LongestName } trimmed && !trimmed.Any(char.IsControl) ? trimmed
        : throw new InputProblemException("own.name", $"{place}.name", name.Trim().Length == 0 ? "it has no name" : name.Any(char.IsControl) ? "there are control marks in it" : $"the name has {name.Trim().Length} characters", $"1 to {LongestName} characters, such as “{example}”");

    protected static T OneOf<T>(string text, string code, string place) where T : struct, Enum =>
        Enum.GetNames<T>().FirstOrDefault(n => n.Equals(text, StringComparison.OrdinalIgnoreCase)) is { } name ? Enum.Parse<T>(name)
            : throw new InputProblemException(code, place, $"“{text}” is not understood", string.Join(", ", OptionsOf<T>()));

    protected static IReadOnlyList<string> OptionsOf<T>() where T : struct, Enum => [.. Enum.GetNames<T>().Select(n => JsonNamingPolicy.CamelCase.ConvertName(n))];
}

/// <summary>A kind with the type of its things, and the form they are written down in.</summary>
public abstract class Kind<TThing, TWritten> : Kind where TThing : class, IThing
{
    public sealed override Type Type => typeof(TThing);

    public sealed override Type Written => typeof(TWritten);

    /// <summary>One as it may be written down.</summary>
    protected abstract string Example { get; }

    public sealed override IThing Read(JsonElement written, string place) => Read(StrictJson.Read<TWritten>(written, place, "own.unreadable", $"a {One} such as {Example}"), place);

    public sealed override string Describe(IThing thing) => Describe((TThing)thing);

    protected abstract TThing Read(TWritten written, string place);

    protected abstract string Describe(TThing thing);
}

/// <summary>Things as they are written down, by kind: in a file of one's own, in a design that carries what it needs.</summary>
public static class WrittenThings
{
    public const string Accepted = """things by kind, such as {"stocks": [{"id": "moss", "name": "Moss 250", "caliper": "250 gsm"}]}""";

    /// <exception cref="InputProblemException">It is no JSON, or no list of things by kind.</exception>
    public static IReadOnlyDictionary<string, IReadOnlyList<JsonObject>> Parse(string json, string place) =>
        StrictJson.Read<Dictionary<string, IReadOnlyList<JsonObject>>>(json, place, "own.unreadable", Accepted);
}

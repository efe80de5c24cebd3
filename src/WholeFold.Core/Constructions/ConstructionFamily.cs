namespace WholeFold.Core.Constructions;

/// <summary>Something chosen from a few: a school, or how many of a kind.</summary>
public sealed record Choice(string Id, string Name, string Meaning, IReadOnlyList<string> Options, string Default);

/// <summary>A construction with all its choices; <see cref="For"/> gives the value for one set of them.</summary>
public sealed class ConstructionFamily
{
    private readonly Dictionary<string, Construction> _built = [];
    private readonly Action<ConstructionBuilder>? _build;
    private readonly Lock _gate = new();

    /// <summary>One of the library: built from its file.</summary>
    public ConstructionFamily(string id, string name, string opens, IReadOnlyList<Choice> choices, Action<ConstructionBuilder> build)
    {
        (Id, Name, Opens, Choices, _build) = (id, name, opens, choices, build);
    }

    /// <summary>One that was read: the value for each set of options, by <see cref="KeyOf"/>.</summary>
    internal ConstructionFamily(string id, string name, string opens, IReadOnlyList<Choice> choices, Dictionary<string, Construction> variants)
    {
        (Id, Name, Opens, Choices, _built) = (id, name, opens, choices, variants);
    }

    public string Id { get; }

    public string Name { get; }

    /// <summary>What it does when it is opened, in a few words.</summary>
    public string Opens { get; }

    public IReadOnlyList<Choice> Choices { get; }

    /// <summary>The construction for the given choices, each at its default where it is not given.</summary>
    /// <exception cref="ArgumentException">A choice is unknown or its value is not an option; callers validate first.</exception>
    public Construction For(IReadOnlyDictionary<string, string>? chosen = null)
    {
        var values = Choices.ToDictionary(c => c.Id, c => chosen?.GetValueOrDefault(c.Id) ?? c.Default);
        foreach (var choice in Choices)
        {
            if (!choice.Options.Contains(values[choice.Id]))
            {
                throw new ArgumentException($"{choice.Id} can be {string.Join(", ", choice.Options)}, not {values[choice.Id]}.", nameof(chosen));
            }
        }

        lock (_gate)
        {
            var key = KeyOf(values);
            if (!_built.TryGetValue(key, out var construction))
            {
                var builder = new ConstructionBuilder(Id, values);
                _build!(builder);
                construction = _built[key] = builder.Build();
            }

            return construction;
        }
    }

    /// <summary>Every set of options.</summary>
    public static IEnumerable<Dictionary<string, string>> Combinations(IReadOnlyList<Choice> choices) =>
        choices.Aggregate<Choice, IEnumerable<Dictionary<string, string>>>([[]],
            (all, choice) => all.SelectMany(c => choice.Options.Select(o => new Dictionary<string, string>(c) { [choice.Id] = o })));

    internal static string KeyOf(IReadOnlyDictionary<string, string> choices) => string.Join('|', choices.OrderBy(v => v.Key, StringComparer.Ordinal).Select(v => $"{v.Key}={v.Value}"));
}

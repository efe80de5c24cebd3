namespace WholeFold.Core.Constructions;

/// <summary>The constructions there are: the library's, and others beside it. It is handed to whoever reads designs.</summary>
public sealed class Catalogue(IReadOnlyList<ConstructionFamily> all)
{
    private readonly Dictionary<string, ConstructionFamily> _byId = all.ToDictionary(f => f.Id, StringComparer.Ordinal);

    /// <summary>In the order of the shelf.</summary>
    public IReadOnlyList<ConstructionFamily> All { get; } = all;

    public ConstructionFamily? Find(string id) => _byId.GetValueOrDefault(id);
}

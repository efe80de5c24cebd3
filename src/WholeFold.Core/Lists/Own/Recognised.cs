using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>A piece of a list and the piece of a construction that it is.</summary>
/// <param name="Mirrored">Whether the list counts its scores from the other end.</param>
/// <param name="Turned">Of one without scores, whether its sides are named the other way about.</param>
public sealed record MatchedPiece(OwnPiece Listed, Piece Piece, bool Mirrored, bool Turned);

/// <summary>A window of a list and the construction's opening that it is.</summary>
/// <param name="Turned">Whether the list names its sides the other way about.</param>
public sealed record MatchedWindow(OwnPiece Listed, Piece Piece, Opening Opening, bool Turned)
{
    public Affine Along => Opening.Within.ToX - Opening.Within.FromX;

    public Affine Across => Opening.Within.ToY - Opening.Within.FromY;

    public Length ListedAlong => Turned ? Listed.Second : Listed.First;

    public Length ListedAcross => Turned ? Listed.First : Listed.Second;

    public string AlongFigure => Turned ? "height" : "width";

    public string AcrossFigure => Turned ? "width" : "height";
}

/// <summary>A figure of a list that is not what the construction asks for.</summary>
public sealed record Differing(int Line, string Figure, Length Is, Length Would);

/// <summary>A construction that explains a list.</summary>
/// <param name="Parameters">What it takes each parameter to be.</param>
/// <param name="Missing">Pieces of the construction that the list does not name.</param>
/// <param name="Score">How well it explains the list: figures explained, less what had to be assumed.</param>
/// <param name="Sure">Whether nothing is left over, no limit broken, and no other comes near.</param>
public sealed record Recognised(
    ConstructionFamily Family,
    IReadOnlyDictionary<string, string> Choices,
    Length Width,
    Length Height,
    IReadOnlyDictionary<string, Length> Parameters,
    IReadOnlyList<MatchedPiece> Pieces,
    IReadOnlyList<Differing> Differs,
    IReadOnlyList<string> Missing,
    double Score,
    bool Sure)
{
    /// <summary>Its windows that say how wide frames are.</summary>
    public IReadOnlyList<MatchedWindow> Windows { get; init; } = [];

    /// <summary>What it is, as one says it: a tier scene, an envelope, pillar tiers.</summary>
    public string Called
    {
        get
        {
            // What says only how it moves is called a card.
            var name = Family.Name.ToLowerInvariant();
            name = name.EndsWith("ing", StringComparison.Ordinal) ? $"{name} card" : name;
            return name.EndsWith('s') ? name : "aeiou".Contains(name[0], StringComparison.Ordinal) ? $"an {name}" : $"a {name}";
        }
    }

    /// <summary>As a design to go on with: its parameters as they were read, its finished size in the list's own system.</summary>
    public DesignSpec Design(string name, UnitSystem system)
    {
        var set = Choices.ToDictionary(c => c.Key, c => new WrittenFigure(c.Value));
        foreach (var (id, value) in Parameters)
        {
            set[id] = new WrittenFigure(LengthWriter.Exact(value));
        }

        return new DesignSpec { Name = name, Construction = Family.Id, Format = FormatReader.Write(Width, Height, system), Set = set };
    }
}

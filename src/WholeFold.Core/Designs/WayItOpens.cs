using WholeFold.Core.Constructions;
using WholeFold.Core.Input;

namespace WholeFold.Core.Designs;

/// <summary>Which way a card opens for a reader, as it is written.</summary>
internal static class WayItOpens
{
    private const string Accepted = "sideways (its spine at the left) or upwards (its spine at the top)";

    public static string? Name(Opens? opens) => opens switch { Opens.Sideways => "sideways", Opens.Upwards => "upwards", _ => null };

    /// <exception cref="InputProblemException">It is no way to open.</exception>
    public static Opens? Read(string? written) => written?.ToLowerInvariant() switch
    {
        null => null,
        "sideways" => Opens.Sideways,
        "upwards" => Opens.Upwards,
        _ => throw new InputProblemException("opens.unknown", "opens", $"“{written}” is no way to open a card", Accepted),
    };

    /// <summary>As a construction takes it: null where that is its usual way.</summary>
    /// <exception cref="InputProblemException">It is read one way only, and that is another.</exception>
    public static Opens? Of(ConstructionFamily family, Construction construction, Opens? asked)
    {
        if (asked is not { } way || way == Usual(construction))
        {
            return null;
        }

        return construction.LookedAt?.Spine is not null ? way
            : throw new InputProblemException("opens.one-way", "opens", $"{family.Name} is read one way only",
                $"{Name(Usual(construction))}, or nothing: it has a foot that it stands on or a frame with a foot of its own");
    }

    /// <summary>The way that it opens unless somebody says otherwise; of what is read one way only, by its main creases.</summary>
    public static Opens Usual(Construction construction) => construction.LookedAt is { Spine: not null } at
        ? at.Usual(construction.Pieces.First(p => p.Id == at.Plate.Piece.Piece).FromHead)
        : construction.Pieces[0].Axis == Axis.X ? Opens.Sideways : Opens.Upwards;
}

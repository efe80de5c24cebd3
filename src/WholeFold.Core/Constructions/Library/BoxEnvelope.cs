using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>An envelope with a gusset on all sides, for a card with raised parts.</summary>
internal static class BoxEnvelope
{
    public static ConstructionFamily Family { get; } = new("box-envelope", "Box envelope",
        "goes round a raised card, with sides as high as it is thick", [], c =>
    {
        var (width, height) = Envelope.Around(c);
        c.GoesRound("thick", slanting: false);
        var deep = Affine.Name("thick") + Pair.Of(1, 16, 1.5m);
        var gusset = c.Length("gusset", "gusset", "how high the sides stand", deep, "as thick as the card, and 1/16 in, or 1.5 mm",
            [(deep, "the card would bulge")], [(deep + Pair.Of(1, 16, 1.5m), "it would rattle")], OnConversion.Fixed, least: "snug",
            most: "looser");
        Envelope.Flaps(c, width, height, gusset);
    });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A folded card; turned, the top-folding one. The front may be short, so that an inside edge shows.</summary>
internal static class PlainFold
{
    public static ConstructionFamily Family { get; } = new("plain-fold", "Plain fold", "opens like a book", [], c =>
    {
        var frontShort = c.Length("frontShort", "front short by", "how much of the inside shows beside the front", Zero, "the front is as wide as the card", [(Zero, "the front cannot be longer than the card")], [(W / 2, "half the front at the most")], OnConversion.Fixed, held: true, least: "full front", most: "more of the inside shows", so: "the inside shows beside it");
        c.Piece("base", "Base", Axis.X, H, "the front and the back", "the card's height", [Panel("front", "front", W - frontShort), Panel("back", "back", W)], [Valley(90, "the card's width, less what the front is short by")]);
        c.Layer("front", "front", "base", ["front"], Face.Down, levels: 2);
        c.Layer("inside", "inside, for the message", "base", ["back"], Face.Up);
    });
}

using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A folded card; turned, the top-folding one. The front may be short, so that an inside edge shows.</summary>
internal static class PlainFold
{
    public static ConstructionFamily Family { get; } = new("plain-fold", "Plain fold", "opens like a book",
        [new Choice("liner", "liner", "whether a folded sheet to write on lies in the fold", ["none", "folded"], "none")], c =>
    {
        var frontShort = c.Length("frontShort", "front short by", "how much of the inside shows beside the front", Zero,
            "the front is as wide as the card", [(Zero, "the front cannot be longer than the card")],
            [(W / 2, "half the front at the most")], OnConversion.Fixed, held: true, least: "full front", most: "more of the inside shows",
            so: "the inside shows beside it");
        var basePiece = c.Piece("base", "Base", Axis.X, H, "the front and the back", "the card's height",
            [Panel("front", "front", W - frontShort), Panel("back", "back", W)],
            [Valley(90, "the card's width, less what the front is short by")]);
        c.Layer("front", "front", basePiece, ["front"], Face.Down, levels: 2);
        if (c.Chosen("liner") == "folded")
        {
            // Nested in the fold, the liner pushes out at the fore-edge by the creep; trimmed by it, its border is the same all round.
            var border = c.Length("border", "border", "how much of the card shows round the liner", Pair.Of(1, 8, 3m), "⅛ in, or 3 mm",
                [(Pair.Of(1, 16, 1.5m), "the liner must not show when the card is shut")],
                [(Pair.Of(1, 2, 12m), "a smaller liner leaves nothing to write on")], OnConversion.Fixed, least: "larger liner",
                most: "more card shows", so: "the liner does not show");
            var leaf = W - frontShort - border - c.Allow(new Creep(1));
            var linerPiece = c.Piece("liner", "Liner", Axis.X, H - (2 * border), "two leaves, each the front less border and creep",
                "the card's height, less both borders", [Panel("left", "left leaf", leaf), Panel("right", "right leaf", leaf)],
                [Valley(90, "a leaf: the front, less the border and what creep pushes out")]);
            var strip = Construction.SmallestTab;
            var linerBond = c.Bond("liner", basePiece["back"].Up(new Rectangle(W - frontShort, border, W - frontShort + strip, H - border)),
                linerPiece["right"].Down(new Rectangle(leaf, Zero, leaf + strip, H - (2 * border))),
                "fold into fold, the same border at head and foot; a narrow strip of adhesive beside the fold only");
            c.Press("Fold the liner, lay it into the card's fold and hold it by a narrow strip beside the fold.", Pressed.Closed,
                "its fold lies in the card's, with the same border at top, bottom and fore-edge", linerBond);
        }

        c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, write: true);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.Opens);
        c.Step("Fold at the score and burnish it, both ways.");
        c.Trouble("the front stands out past the back", "the score lies a hair off the middle",
            "trim the longer side with the card closed, a hair at a time");
        c.Watch("Turned, it opens upwards: check which way your image stands before you score.");
    });
}

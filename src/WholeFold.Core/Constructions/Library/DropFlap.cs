using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A cover with a half flap, and a folded liner that carries the message. The liner opens first, then the flap drops.</summary>
internal static class DropFlap
{
    public static ConstructionFamily Family { get; } = new("drop-flap", "Drop flap", "the liner lifts, then a flap drops towards you", [],
        c =>
    {
        var inset = c.Length("inset", "inset", "how far the liner stays inside the cover on each side", Pair.Of(1, 4, 6m),
            "the border of cover that shows round the liner", [(Pair.Of(1, 16, 1.5m), "the liner must not touch the edge")],
            [(Pair.Of(1, 1, 25m), "more than that leaves no liner")], OnConversion.Fixed, least: "wider liner", most: "more cover shows",
            so: "a border of the cover shows");
        var flap = c.Length("flap", "flap", "height of the flap", H / 2, "half the card's height",
            [(H / 4, "a lower flap hides nothing"), ((2 * inset) + Pair.Of(3, 8, 10m),
            "its layer needs ⅜ in, or 10 mm, between the insets")], [(0.75m * H, "a higher flap pushes against the liner's fold")],
            least: "lower flap", most: "higher flap");
        var l = H - (2 * inset);
        var width = W - (2 * inset);

        // A fold of thin paper does not close over the flap and its layer: the front is longer by what it loses going round.
        var round = c.Allow(new WrappedStack(new Contents(Measure.Length.Zero, 1, "cover"), "liner"));
        c.Require("round", inset - round, "the liner's front must not reach past the cover");
        var coverPiece = c.Piece("cover", "Cover", Axis.Y, W, "the card's height and the flap", "the card's width",
            [Panel("back", "back", H), Panel("flap", "flap", flap)], [Valley(60, "the card's height: the flap's crease is at the bottom")]).FromHead();
        var linerPiece = c.Piece("liner", "Liner", Axis.Y, width, "twice the height less the insets", "the card's width, less both insets",
            [Panel("front", "liner front", l + round), Panel("back", "liner back", l)],
            [Valley(20, "the card's height, less both insets: the liner's crease is at the top")]).Is(PartFunction.GoesInside).FromHead();
        var linerBond = c.Bond("liner", coverPiece["back"].Up(new Rectangle(inset, inset, W - inset, H - inset)),
            linerPiece["back"].Down(new Rectangle(Zero, l + round, width, (2 * l) + round)),
            "the same border on all four sides, the liner's crease at the top");
        c.Trade("flap", "flap", flap, "front that shows", H - flap);
        c.Layer("flap", "flap", coverPiece, ["flap"], Face.Down, reveal: inset);
        c.Layer("front", "liner front", linerPiece, ["front"], Face.Down, levels: 2);
        c.Layer("message", "inside, for the message", linerPiece, ["back"], Face.Up, write: true);

        c.OpensFrom(coverPiece["back"], Edge.Foot);
        c.Does(Effect.Opens);
        c.Step("Fold the flap up and burnish; fold the liner in half and burnish.");
        c.Press("Tape the liner's back into the cover, its fold at the top, away from the flap's.", Pressed.Flat,
            "the border is the same on all four sides", linerBond);
        c.Step("Fold the flap up over the liner's back half, then close the liner's front over it.").Titled("close it");
        c.Trouble("the liner's front does not lie flat", "the flap and its paper are too thick for one fold",
            "thinner card for the flap's paper, or no mat under it");
        c.Trouble("the flap catches as it drops", "the liner's fold is at the same end as the flap's",
            "take the liner out and turn it round");
        c.Watch("The two folds are at opposite ends, or the flap would have to pass through the liner.");
    });
}

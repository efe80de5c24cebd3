using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A trough between two fins at the spine, in which a clear strip stands; what is to pop up stands on the strip.</summary>
internal static class TroughPopUp
{
    public static ConstructionFamily Family { get; } = new("trough-pop-up", "Trough pop-up",
        "elements stand up on a clear strip at the spine", [], c =>
    {
        var d = c.Length("trough", "trough", "depth of the trough, which is the height of its two fins", Pair.Of(1, 2, 12m),
            "½ in, or 12 mm: what a strip needs to stand", [(Construction.SmallestPanel, "a shallower trough does not hold a strip")],
            [(W / 4, "a deeper one takes the inside")], OnConversion.Fixed, least: "flatter spine", most: "surer stand");
        var a = c.Length("strip", "strip", "how far the clear strip stands out of the valley", 0.6m * W, "0.6 of the card's width",
            [(d + Pair.Of(3, 8, 10m), "it must stand out of the trough")],
            [(W - Pair.Of(1, 8, 3m), "a longer one sticks out of the closed card")], least: "lower", most: "higher");
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width and both fins, each folded double", "the card's height",
            [Panel("front", "front", W), Panel("fin1", "outer left fin", d), Panel("fin2", "inner left fin", d),
            Panel("fin3", "inner right fin", d), Panel("fin4", "outer right fin", d), Panel("back", "back", W)], [
            Valley(90, "the card's width"),
            Mountain(-180, "then the trough's depth: the top of the left fin, bonded shut", working: false),
            Valley(180, "the depth again: the valley at the spine"),
            Mountain(-180, "the depth again: the top of the right fin, bonded shut", working: false),
            Valley(90, "the depth again; the back is what is left"),
        ]);
        var stripPiece = c.Piece("strip", "Clear strip", Axis.X, H, "how far it stands out of the valley", "the card's height",
            [Panel("strip", "strip", a)], []).From("acetate").Is(PartFunction.IsHidden, PartFunction.None);
        var leftFinBond = c.Bond("left-fin", basePiece["fin1"].Down(new Rectangle(W, Zero, W + d, H)),
            basePiece["fin2"].Down(new Rectangle(W + (2 * d), Zero, W + d, H)),
            "fold the left groove shut, its two outer faces on each other");
        var rightFinBond = c.Bond("right-fin", basePiece["fin3"].Down(new Rectangle(W + (2 * d), Zero, W + (3 * d), H)),
            basePiece["fin4"].Down(new Rectangle(W + (4 * d), Zero, W + (3 * d), H)), "fold the right groove shut, its two outer faces on each other");
        var stripBond = c.Bond("strip", basePiece["fin2"].Up(new Rectangle(W + (2 * d), Zero, W + d, H)),
            stripPiece["strip"].Up(new Rectangle(Zero, Zero, d, H)), "the strip's foot right down in the valley");
        c.Trade("trough", "trough", d, "inside", W - d);
        c.Layer("front", "front", basePiece, ["front"], Face.Down, levels: 2);
        c.Layer("inside-front", "inside the front", basePiece, ["front"], Face.Up, levels: 2);
        c.Layer("inside", "inside the back, for the message", basePiece, ["back"], Face.Up, levels: 2, write: true);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.PopsUp);
        c.Step("Fold all five scores and burnish, the middle ones hard.");
        c.Press("Glue one of the grooves that open to the outside shut.", Pressed.Closed, "a fin stands inside, its two faces level", leftFinBond);
        c.Press("Tape the clear strip to that fin, with the elements on it or to stand on it later.", Pressed.Flat,
            "its foot lies right down in the valley", stripBond);
        c.Press("Glue the other groove shut and close the card on it.", Pressed.Closed,
            "two fins stand inside, level, with the strip between them at the spine", rightFinBond);
        c.Trouble("the card gapes", "six plies and a strip at the spine", "lighter card, or leave it under a weight overnight");
        c.Trouble("an element looks out of the closed card", "it is taller than the card is wide",
            "cut it down, or stand it nearer to the spine");
        c.Watch("What stands on the strip is shorter than the card is wide.");
        c.Watch("Wet glue does not dry under acetate: use tape.");
    });
}

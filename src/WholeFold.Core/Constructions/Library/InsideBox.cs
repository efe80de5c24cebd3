using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A box with a window inside the card; it stands up as the card is opened to a right angle.</summary>
internal static class InsideBox
{
    public static ConstructionFamily Family { get; } = new("inside-box", "Box inside", "a box with a window stands up inside the card", [],
        c =>
    {
        Box(c, Construction.SmallestPanel, "a shallower box shows no depth");
        c.Layer("front", "front", c.The("card"), ["front"], Face.Down, levels: 2);
        c.Layer("inside", "inside the front, for the message", c.The("card"), ["front"], Face.Up,
            free: new Rectangle(Zero, Zero, W - Name("depth"), H), write: true);
        c.Layer("scene", "scene in the box", c.The("box"), ["base"], Face.Up, scene: true);
        c.Step("Fold the card and the box, and burnish both ways.");
        Assembled(c);
    });

    /// <summary>How the box is bonded in, whatever stands in it.</summary>
    internal static void Assembled(ConstructionBuilder c)
    {
        c.LooksAt(c.The("card")["back"]);
        c.Does(Effect.PopsUp);
        c.Press("Bond the box's last panel to the inside of the short back, its free edge at the spine.", Pressed.Flat,
            "its edge lies in the spine's fold, top and bottom level", c.Bonded("back"));
        c.Press("Put adhesive on the box's tab, close the card on it and press.", Pressed.Closed,
            "opened, the tab's edge lies in the spine and the box stands square at a right angle", c.Bonded("front"));
        c.Trouble("the card does not close", "the back is not short enough for the box's wall", "trim the back by what is too much");
        c.Trouble("the box pulls skew", "the tab was glued with the card open",
            "ease it off and let it find its place by closing the card");
        c.Watch("At a right angle the box is square; opened flat it lies flat again the other way.");
    }

    /// <summary>The card and the box in it; what else stands in the box is the caller's.</summary>
    /// <param name="shallowest">The least depth, and why.</param>
    internal static (Affine Depth, Affine Margin, Affine Foot) Box(ConstructionBuilder c, Pair shallowest, string because, Pair? usual = null)
    {
        var d = c.Length("depth", "depth", "how deep the box is, which is also how much shorter the back is", usual ?? Pair.Of(1, 2, 12m),
            usual is null ? "½ in, or 12 mm" : "¼ in, or 6 mm, for each layer and behind the last one", [(shallowest, because)], [(W / 4, "a deeper one leaves no window")], OnConversion.Fixed,
            least: "wider window", most: "deeper box");
        var margin = c.Length("windowMargin", "window margin", "width of the frame round the window", Pair.Of(1, 2, 12m), "½ in, or 12 mm",
            [(Pair.Of(1, 2, 12m), "a narrower frame buckles")], [(W / 4, "a wider one leaves no window")], OnConversion.Fixed,
            least: "wider window", most: "stronger frame");
        var foot = c.Length("footMargin", "foot of the frame", "height of the frame below the window, where a line of text goes", margin,
            "as the rest of the frame", [(margin, "the foot is no narrower than the rest")], [(H / 2, "a higher one leaves no window")],
            OnConversion.Fixed, least: "wider window", most: "room for a line");
        var w = W - d;
        var cardPiece = c.Piece("card", "Card", Axis.X, H, "twice the card's width, less the depth", "the card's height",
            [Panel("front", "front", W), Panel("back", "back", w)], [Valley(90, "the card's width: the spine")]);
        var boxPiece = c.Piece("box", "Box", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("tab", "wall on the front", d), Panel("window", "window panel", w), Panel("wall", "wall at the fore-edge", d),
            Panel("base", "panel on the back", w)], [
            Valley(90, "the depth", closed: 0),
            Valley(90, "the card's width"),
            Valley(90, "the width and the depth", closed: 0),
        ]);
        // The box lies turned round in the card, so what is its foot there is the other end of the flat piece.
        boxPiece.Opening("window", "window", "window", new Rectangle(d + margin, margin, W - margin, H - foot),
            "the frame's width in from the panel's edges");

        // The box is listed from its front wall, so it lies turned round in the card: its corners are given so.
        var backBond = c.Bond("back", cardPiece["back"].Up(new Rectangle(W, Zero, (2 * W) - d, H)),
            boxPiece["base"].Down(new Rectangle(2 * W, H, W + d, Zero)), "its free edge into the spine, head and foot level");
        var frontBond = c.Bond("front", cardPiece["front"].Up(new Rectangle(W, Zero, W - d, H)),
            boxPiece["tab"].Down(new Rectangle(Zero, H, d, Zero)), "its free edge into the spine");
        c.Require("window-width", w - (2 * margin) - Construction.SmallestWindow, "the window would be too narrow to see through");
        c.Require("window-height", H - foot - margin - Construction.SmallestWindow, "the window would be too low to see through");
        c.Trade("depth", "depth", d, "window", w - (2 * margin));
        return (d, margin, foot);
    }
}

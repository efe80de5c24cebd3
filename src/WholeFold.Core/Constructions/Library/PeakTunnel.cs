using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A tunnel inside a plain fold, which rises to a peak with a window as the card is opened.</summary>
internal static class PeakTunnel
{
    public static ConstructionFamily Family { get; } = new("peak-tunnel", "Peak tunnel", "a tunnel with a window rises to a peak inside",
        [new Choice("spinner", "spinner", "whether a piece spins on a thread along the peak", ["none", "onThePeak"], "none")], c =>
    {
        var e = c.Length("inset", "inset", "how far the tunnel, and the peak when the card is closed, stays from the fore-edge", 0.2m * W,
            "0.2 of the card's width", [(Construction.SmallestPanel, "the peak would show at the fore-edge")],
            [((W / 2) - Construction.SmallestPanel, "the tunnel would reach over the spine")], least: "wider reach",
            most: "room for a spinner");
        var margin = c.Length("windowMargin", "window margin", "how far the window stays from the tunnel's creases and from head and foot",
            Pair.Of(3, 4, 20m), "¾ in, or 20 mm", [(Pair.Of(1, 2, 12m), "a narrower frame buckles")],
            [(W / 3, "a wider one leaves no window")], OnConversion.Fixed, least: "wider window", most: "stronger frame");
        var half = W / 2;
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("front", "front", W), Panel("back", "back", W)], [Valley(90, "the card's width: the spine")]);
        var tunnelPiece = c.Piece("tunnel", "Tunnel", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("foot-front", "foot on the front", half), Panel("slope-front", "front slope", half),
            Panel("slope-back", "back slope", half), Panel("foot-back", "foot on the back", half)], [
            Valley(90, "half the card's width"),
            Mountain(-90, "the card's width: the peak"),
            Valley(90, "one and a half times the card's width"),
        ]);
        tunnelPiece.Opening("window", "window", "slope-front", new Rectangle(half + margin, margin, W + half - margin, H - margin),
            "the frame's width in from both creases, across the peak");
        var frontBond = c.Bond("front", basePiece["front"].Up(new Rectangle(e, Zero, e + half, H)),
            tunnelPiece["foot-front"].Down(new Rectangle(Zero, Zero, half, H)),
            "its free edge the inset in from the fore-edge, head and foot level");
        var backBond = c.Bond("back", basePiece["back"].Up(new Rectangle((2 * W) - e, Zero, W + half - e, H)),
            tunnelPiece["foot-back"].Down(new Rectangle(2 * W, Zero, W + half, H)), "the same inset in from the other fore-edge");
        c.Require("window-width", W - (2 * margin) - Construction.SmallestWindow, "the window would be too narrow to see through");
        c.Require("window-height", H - (2 * margin) - Construction.SmallestWindow, "the window would be too low to see through");
        if (c.Chosen("spinner") == "onThePeak")
        {
            // Closed, the peak lies the inset from the fore-edge, and half of the spinner beyond it.
            Affine room = Pair.Of(1, 16, 1.5m);
            var wide = c.Length("spinnerWidth", "spinner width", "width of the spinner, where it is even on both sides of its thread",
                1.2m * e, "0.6 of the inset on either side", [(Construction.SmallestPanel, "a narrower one is lost in the window")],
                [(2 * (e - room), "closed, it would stick out"), (W - (2 * margin) - (2 * room), "it must pass the window on both sides")],
                OnConversion.Fixed, least: "freer turn", most: "more to see");
            var tall = c.Length("spinnerHeight", "spinner height", "height of the spinner", 1.2m * e, "as high as it is wide",
                [(Construction.SmallestPanel, "a lower one is lost in the window")],
                [(H - (2 * margin) - (2 * room), "it must pass the window above and below")], OnConversion.Fixed, least: "lower",
                most: "higher");
            var spinnerPiece = c.Piece("spinner", "Spinner half", Axis.X, tall, "the spinner's width", "the spinner's height",
                [Panel("spinner", "spinner half", wide)], [], quantity: 2).Is(PartFunction.Turns);
            c.Lies("thread", tunnelPiece["slope-front"].Up(new Rectangle(W - (wide / 2), (H - tall) / 2, W + (wide / 2), (H + tall) / 2)),
                spinnerPiece.Copy(1)["spinner"].Up(new Rectangle(Zero, Zero, wide, tall)),
                "on a thread along the peak, in the middle of the window");
            var halvesBond = c.Bond("halves", spinnerPiece.Copy(1)["spinner"].Down(new Rectangle(Zero, Zero, wide, tall)),
                spinnerPiece.Copy(2)["spinner"].Down(new Rectangle(wide, Zero, Zero, tall)),
                "mirror images, back to back round the thread");
            c.Press("Press the spinner's halves on each other round the thread, and tape the thread along the peak, tight.", Pressed.Flat,
                "the halves cover each other and turn freely in the window", halvesBond);
        }

        c.Trade("inset", "room for a spinner", e, "reach", W - e);
        c.Layer("front", "front", basePiece, ["front"], Face.Down, levels: 2);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.PopsUp);
        c.Step("Fold the tunnel in a valley, a mountain and a valley, and burnish both ways.");
        c.Press("Bond one outer panel of the tunnel to the inside of the front.", Pressed.Flat,
            "its edge lies the inset from the fore-edge, top and bottom level", frontBond);
        c.Press("Put adhesive on the other panel, close the card on it and press.", Pressed.Closed,
            "opened, its edge lies the same inset from the other fore-edge", backBond);
        c.Trouble("the peak sticks out of the closed card", "the inset is smaller than what hangs on the peak",
            "a larger inset, or a smaller spinner");
        c.Watch("What spins on the peak's axis must be no wider on either side than the inset.");
    });
}

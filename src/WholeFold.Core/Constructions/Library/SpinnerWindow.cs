using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A plain fold with a window in which a piece spins on a taut thread.</summary>
internal static class SpinnerWindow
{
    public static ConstructionFamily Family { get; } = new("spinner-window", "Spinner window",
        "a piece spins in a window as the card leaves its envelope", [], c =>
    {
        // At each height the spinner needs the larger of its half-widths on both sides of the thread, and a hair.
        var sweepBoth = Pair.Of(1, 8, 3m);
        var width = c.Length("windowWidth", "window width", "width of the window", 0.6m * W, "0.6 of the card's width",
            [(Construction.SmallestWindow, "a narrower window shows nothing")],
            [(W - Pair.Of(1, 1, 24m), "the frame needs ½ in, or 12 mm, on either side")], least: "stronger frame", most: "wider window");
        var height = c.Length("windowHeight", "window height", "height of the window", 0.6m * W,
            "0.6 of the card's width, so that it is square", [(Construction.SmallestWindow, "a lower window shows nothing")],
            [(H - Pair.Of(1, 1, 24m), "the frame needs ½ in, or 12 mm, above and below")], least: "stronger frame", most: "higher window");
        var spinner = c.Length("spinnerWidth", "spinner width",
            "width of the spinner at its widest, where it is even on both sides of the thread", 0.4m * W,
            "0.4 of the card's width; a stamped or die-cut one has the size it has",
            [(Construction.SmallestPanel, "a narrower one is lost in the window")],
            [(width - sweepBoth, "wider, it would strike the window as it turns")], OnConversion.Fixed, least: "more air",
            most: "fills the window", so: "it turns freely");
        var tall = c.Length("spinnerHeight", "spinner height", "height of the spinner", 0.4m * W, "as high as it is wide",
            [(Construction.SmallestPanel, "a lower one is lost in the window")],
            [(height - sweepBoth, "higher, it would touch above or below")], OnConversion.Fixed, least: "more thread shows",
            most: "fills the window");
        var border = c.Length("frontBorder", "front border",
            "how much of the card shows round the front layer that hides the thread's ends", Pair.Of(1, 8, 3m), "⅛ in, or 3 mm",
            [(Pair.Of(1, 16, 1.5m), "the layer must not reach the edge")],
            [(Pair.Of(3, 8, 10m), "a wider border lets the thread's ends show")], OnConversion.Fixed, least: "wider layer",
            most: "more card shows", so: "a border of the card shows");
        var (left, low) = ((W - width) / 2, (H - height) / 2);
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("front", "front", W), Panel("back", "back", W)], [Valley(90, "the card's width: the spine")]);
        basePiece.Opening("window", "window", "front", new Rectangle(left, low, W - left, H - low), "in the middle of the front");
        var frontLayerPiece = c.Piece("frontLayer", "Front layer", Axis.X, H - (2 * border), "the card's width, less both borders",
            "the card's height, less both borders", [Panel("front", "front layer", W - (2 * border))], []);
        frontLayerPiece.Opening("window", "window", "front", new Rectangle(left - border, low - border, W - left - border,
            H - low - border), "the same window; cut both together before they are bonded");
        var spinnerPiece = c.Piece("spinner", "Spinner half", Axis.X, tall, "the spinner's width", "the spinner's height",
            [Panel("spinner", "spinner half", spinner)], [], quantity: 2).Is(PartFunction.Turns);
        var w = W - (2 * border);
        var frontBond = c.Bond("front", basePiece["front"].Down(new Rectangle(border, border, W - border, H - border)),
            frontLayerPiece["front"].Down(new Rectangle(w, Zero, Zero, H - (2 * border))),
            "the windows level, the thread taut between and its ends cut; then the layer over them");
        c.Lies("thread", basePiece["front"].Up(new Rectangle((W - spinner) / 2, (H - tall) / 2, (W + spinner) / 2, (H + tall) / 2)),
            spinnerPiece.Copy(1)["spinner"].Up(new Rectangle(Zero, Zero, spinner, tall)),
            "on the thread, which runs along the spine's way through the middle of the window");
        var halvesBond = c.Bond("halves", spinnerPiece.Copy(1)["spinner"].Down(new Rectangle(Zero, Zero, spinner, tall)),
            spinnerPiece.Copy(2)["spinner"].Down(new Rectangle(spinner, Zero, Zero, tall)), "mirror images, back to back round the thread");
        c.Trade("windowWidth", "window", width, "frame", left);
        c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, write: true);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.Turns);
        c.Press("Lay the thread between the two spinner halves and press them on each other, back to back.", Pressed.Flat,
            "the halves cover each other all round and the thread runs through their middle", halvesBond);
        c.Step("Tape the thread tight above and below the window, parallel to the spine, and cut the ends short.").Titled("tape the thread");
        c.Press("Put the front layer over it, so that it hides the thread's ends.", Pressed.Flat,
            "the two windows are level and nothing of the thread shows outside them", frontBond);
        c.Step("Wind the spinner up before the card goes into its envelope: it spins as the card is taken out.").Titled("wind the spinner up");
        c.Trouble("the spinner rubs on the window", "one half is wider than the other, or the thread is not in the middle",
            "trim the wider half, or a larger window");
        c.Trouble("it does not spin", "the thread is slack", "lift the front layer, pull the thread and tape it again");
        c.Watch("Cut the window through the card and its front layer together, before anything is glued.");
        c.Watch("A spinner needs its larger half-width on both sides of the thread.");
    });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A front in three that stands up as a bay when its edge is slid under a raised strip at the fore-edge.</summary>
internal static class BayWindowStop
{
    public static ConstructionFamily Family { get; } = new("bay-window-stop", "Bay window, stopped",
        "the front stands up as a bay against a raised strip", [], c =>
    {
        var smallest = Pair.Of(3, 16, 5m);
        var k = c.Length("strip", "middle strip", "width of the bay's middle, on which a panel floats", Pair.Of(1, 4, 6m),
            "¼ in, or 6 mm: what a panel is bonded to", [(smallest, "a narrower strip holds nothing")],
            [(W / 3, "a wider one hardly stands")], OnConversion.Fixed, least: "pointed bay", most: "flat bay");
        var lip = c.Length("lip", "lip", "how far the front's edge slides under the stop", Pair.Of(1, 4, 6m),
            "¼ in, or 6 mm: enough to catch", [(smallest, "a shorter lip lets the edge slip out")],
            [(Pair.Of(1, 2, 12m), "a longer one leaves no room for foam")], OnConversion.Fixed, least: "hidden", most: "surer catch",
            so: "the front's edge catches under the stop");
        var stop = c.Length("stop", "stop", "width of the raised strip along the fore-edge", 0.2m * W, "0.2 of the card's width",
            [(lip + Pair.Of(3, 8, 10m), "the foam under it needs ⅜ in, or 10 mm")], [(W / 2, "a wider stop hides the inside")],
            least: "flatter bay", most: "deeper bay");
        var a = (W - k) / 2;
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("left", "bay left", a), Panel("middle", "bay middle", k, smallest), Panel("right", "bay right", a),
            Panel("back", "back", W)], [
            Valley(33, "half of the width less the strip", closed: 0),
            Valley(33, "then the strip", closed: 0),
            Valley(147, "the card's width: the spine"),
        ]);
        var stopPiece = c.Piece("stop", "Stop", Axis.X, H, "the stop's width", "the card's height", [Panel("stop", "stop", stop)], []).Is(PartFunction.IsHidden, PartFunction.None);
        var stopBond = c.Bond("stop", basePiece["back"].Up(new Rectangle((2 * W) - stop + lip, Zero, 2 * W, H)),
            stopPiece["stop"].Down(new Rectangle(lip, Zero, stop, H)),
            "edges level at the fore-edge; the foam stays back from the inner edge by the lip", raised: Pair.Of(1, 25, 1m));
        c.Contacts(basePiece["left"].At(At(Zero, Zero)), basePiece["back"].At(At((2 * W) - stop + lip, Zero)),
            "the front's edge lies under the stop, against its foam");
        c.Trade("stop", "bay depth", stop - lip, "inside", W - stop);
        c.Layer("sides", "bay sides", basePiece, ["left", "right"], Face.Down);
        c.Layer("stop", "stop", stopPiece, ["stop"], Face.Up);
        c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, free: new Rectangle(W, Zero, (2 * W) - stop, H), write: true);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.Opens);
        c.Step("Fold the bay's scores and burnish both ways.");
        c.Press("Set the stop on foam along the inside fore-edge, the foam kept back from its inner edge.", Pressed.Flat,
            "edges are level at the fore-edge and a finger-nail goes under the inner one", stopBond);
        c.Step("Slide the front's edge under the stop.").Titled("close it under the stop");
        c.Trouble("the edge slips out", "the foam reaches too near the stop's inner edge", "cut the foam back to leave the lip free");
        c.Watch("A panel on the middle strip floats over both sides: glue it to the strip only.");
    });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>Doors folded double, whose wings meet over a centre strip and are held down by the topper on it.</summary>
internal static class WingedLockGatefold
{
    public static ConstructionFamily Family { get; } = new("winged-lock-gatefold", "Winged lock gatefold",
        "wings spring free from under the topper, the centre stands forward",
        [new Choice("topper", "topper", "whether the topper that holds the wings down is reckoned with, on its foam", ["none", "onFoam"], "none")], c =>
    {
        var onFoam = c.Chosen("topper") == "onFoam";
        var centre = c.Length("centre", "centre", "width of the strip in the middle that the wings lock over", W / 6,
            "a sixth of the card's width", [(Pair.Of(3, 4, 20m), "a narrower strip does not hold the topper")],
            [(W / 3, "a wider strip leaves no doors")], least: "wider doors", most: "surer lock");
        var pad = c.Length("pad", "pad", "width of the foam under the topper, which the wings must clear", onFoam ? centre / 2 : Zero, onFoam ? "half of the centre" : "no foam under the topper",
            [(Zero, "a pad cannot be less than nothing")],
            [(centre - Pair.Of(1, 2, 12m), "the wings need something to lie on beside the pad")], OnConversion.Fixed, held: !onFoam,
            least: "no foam", most: "wider foam", so: "the wings clear the foam");
        var p = (W - centre) / 2;
        var w = (centre - pad) / 2;
        Panel Wing(string id, string name) => new(id, name, w,
            new Limit(Construction.SmallestTab, $"the {name} would be too narrow to catch"));
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width, less the pad", "the card's height",
            [Wing("wing-left", "left wing"), Panel("door-left", "left door", p), Panel("inner-left", "left inner", p),
            Panel("centre", "centre", centre), Panel("inner-right", "right inner", p), Panel("door-right", "right door", p),
            Wing("wing-right", "right wing")], [
            Mountain(-60, "the wing: half of what the centre leaves beside the pad", closed: 0),
            Valley(120, "the wing and the door"),
            Mountain(-60, "the wing, the door and the inner panel", closed: 0),
            Mountain(-60, "then the centre", closed: 0),
            Valley(120, "then the right inner panel"),
            Mountain(-60, "then the right door; what is left is the right wing", closed: 0),
        ]).Is(PartFunction.Slides, PartFunction.None);
        if (onFoam)
        {
            // It carries on over the wings on either side of its foam, and so holds them down.
            var topper = c.Length("topperWidth", "topper's width", "width of the topper on the centre strip", 0.4m * W, "0.4 of the card's width",
                [(pad + Pair.Of(1, 2, 12m), "it must reach ¼ in, or 6 mm, over either wing")], [(W, "a wider one stands out of the card")],
                least: "more wings show", most: "surer hold", so: "it holds the wings down");
            var topperPiece = c.Piece("topper", "Topper", Axis.X, topper, "the topper's width", "as high as it is wide", [Panel("topper", "topper", topper)], []);
            c.Require("topper-height", H - topper, "the topper must stay inside the card");
            var (left, foot) = (w + (2 * p) + ((centre - pad) / 2), (H - topper) / 2);
            var topperBond = c.Bond("topper", basePiece["centre"].Up(new Rectangle(left, foot, left + pad, foot + topper)),
                topperPiece["topper"].Down(new Rectangle((topper - pad) / 2, Zero, (topper + pad) / 2, topper)),
                "in the middle of the centre strip, on foam no wider than the pad; no adhesive on the wings", raised: Pair.Of(1, 16, 1.5m));
            c.Layer("topper", "topper", topperPiece, ["topper"], Face.Up);
            c.Press("Put the topper on its foam in the middle of the centre strip, the wings under it on either side.", Pressed.Closed,
                "the wings slide out from under it and back", topperBond);
        }

        c.Trade("centre", "lock", centre, "door", p);
        c.Layer("doors", "doors and inner panels", basePiece, ["door-left", "inner-left", "inner-right", "door-right"], Face.Up,
            bothFaces: true);
        c.Layer("wings", "wings", basePiece, ["wing-left", "wing-right"], Face.Down);
        c.Layer("centre", "centre strip", basePiece, ["centre"], Face.Up, bothFaces: true);

        c.OpensFrom(basePiece["centre"], Edge.Left);
        c.Does(Effect.Opens);
        c.Step("Fold each wing and door pair on itself and burnish, from the outside inwards.");
        c.Step("Close it: doors on the inner panels, wings meeting over the centre strip.").Titled("close it");
        if (!onFoam)
        {
            c.Step("Put a topper on the centre strip: nothing else holds the wings down.").Titled("put a topper on")
                .OnlyIf(StepCase.Bare, "centre");
        }

        c.Trouble("the wings tent over the centre", "they meet, or stand against the foam", "trim half of what is too much off each wing");
        c.Trouble("the topper does not hold the wings", "it is no wider than the centre strip", "a wider topper, or a lower pad");
        c.Watch("Only the centre strip carries the topper: no adhesive on the wings.");
    });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A back with a step standing before it. Closed, the step slides up by its rise.</summary>
internal static class FrontStep
{
    public static ConstructionFamily Family { get; } = new("front-step", "Front step", "stands with a step before its back", [], c =>
    {
        var rise = c.Length("rise", "rise", "how far the step stands before the back", H / 5, "a fifth of the card's height",
            [(Construction.SmallestPanel, "a narrower step does not stand")], [(H / 3, "a deeper one pushes out of the closed card")],
            least: "shallower", most: "deeper");
        var step = c.Length("step", "step", "height of the step's front", 0.37m * H, "0.37 of the card's height",
            [(Pair.Of(3, 4, 20m), "a lower step shows nothing")],
            [(H - rise, "closed, the step and its rise must not be higher than the card")], least: "lower", most: "higher");
        var tab = c.Length("tab", "tab", "height of the tab that goes down inside the step", Pair.Of(1, 2, 12m),
            "½ in, or 12 mm: what a tab needs", [(Pair.Of(1, 2, 12m), "a narrower tab does not hold the step square")],
            [(step, "a longer tab would stand on the bottom crease")], OnConversion.Fixed, least: "less card", most: "surer bond",
            absorbs: "base");
        var foot = H + (2 * rise) + step;
        var basePiece = c.Piece("base", "Base", Axis.Y, W, "the back, the step with both its rises, and the tab", "the card's width",
            [Panel("back", "back", H), Panel("floor", "floor", rise), Panel("front", "step front", step), Panel("top", "step top", rise),
            Tab("tab", "tab", tab)], [
            Valley(90, "the card's height: the bottom crease"),
            Valley(90, "the back and the floor", closed: 0),
            Valley(90, "then the step's front"),
            Valley(90, "then the step's top; the tab is what is left", closed: 0),
        ]);
        var tabBond = c.Bond("tab", basePiece["back"].Up(new Rectangle(Zero, H - step, W, H - step + tab)),
            basePiece["tab"].Down(new Rectangle(Zero, foot, W, foot + tab)),
            "the tab's crease as far above the bottom crease as the step is high");
        c.Layer("front", "step front, on the other face of the sheet", basePiece, ["front"], Face.Down);
        c.Layer("back", "back above the step", basePiece, ["back"], Face.Up, free: new Rectangle(Zero, Zero, W, H - step));

        c.Does(Effect.Stands);
        c.Step("Fold all four valleys and burnish both ways.");
        c.Press("Bring the tab down inside the step and bond it to the back.", Pressed.Flat,
            "the tab's crease lies a step above the bottom crease, sides level", tabBond);
        c.Step("Push the step up to close it, never down: it would hang out below.");
        c.Trouble("the step leans forward", "the tab's crease is lower than the step",
            "lift the tab and set its crease at the step's height");
        c.Watch("The step's layer goes on the other face of the sheet than the back's: the usual mistake.");
    });
}

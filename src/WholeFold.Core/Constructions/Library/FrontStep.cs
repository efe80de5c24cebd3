using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A back with a step standing before it. Closed, the step slides up by its rise.</summary>
internal static class FrontStep
{
    public static ConstructionFamily Family { get; } = new("front-step", "Front step", "stands with a step before its back",
        [new Choice("boxes", "boxes", "1: one step before the back; 2: a second box stands on it, by the same rule", ["1", "2"], "1")], c =>
    {
        var second = c.Count("boxes") == 2;
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
        ]).FromHead();
        var tabBond = c.Bond("tab", basePiece["back"].Up(new Rectangle(Zero, H - step, W, H - step + tab)),
            basePiece["tab"].Down(new Rectangle(Zero, foot, W, foot + tab)),
            "the tab's crease as far above the bottom crease as the step is high");
        c.Layer("front", "step front, on the other face of the sheet", basePiece, ["front"], Face.Down);
        var (top, above) = (H - step, second ? SecondBox(c, basePiece, rise, step) : []);
        c.Layer("back", second ? "back above the second box" : "back above the step", basePiece, ["back"], Face.Up,
            free: new Rectangle(Zero, Zero, W, second ? top - Affine.Name("upperStep") : top));

        c.Does(Effect.Stands);
        c.Step("Fold all four valleys and burnish both ways.");
        c.Press("Bring the tab down inside the step and bond it to the back.", Pressed.Flat,
            "the tab's fold lies a step above the bottom fold, sides level", tabBond);
        if (second)
        {
            c.Step("Fold the second box's four valleys and burnish both ways.").Titled("fold the second box");
            c.Press("Bond the second box's lower tab to the back, just above the first box.", Pressed.Flat,
                "its fold lies on the fold of the first box's tab, sides level", above[0]);
            c.Press("Bring its upper tab down inside it and bond it to the back.", Pressed.Closed,
                "both boxes stand square and slide up together", above[1]);
        }

        c.Step("Push the step up to close it, never down: it would hang out below.").Titled("try how it closes");
        c.Trouble("the step leans forward", "the tab's fold is lower than the step",
            "lift the tab and set its fold at the step's height");
        c.Watch("The step's paper goes on the other face of the sheet than the back's: the usual mistake.");
    });

    /// <summary>
    /// A second box that stands on the first and is as deep: it begins at the crease of the first one's tab, so that closed
    /// it slides up behind the first one's front.
    /// </summary>
    /// <returns>The bonds of its lower and its upper tab.</returns>
    private static BondHandle[] SecondBox(ConstructionBuilder c, PieceHandle basePiece, Affine rise, Affine step)
    {
        Affine tab = Pair.Of(1, 2, 12m);
        var upperStep = c.Length("upperStep", "second step", "height of the second box's front", 0.37m * H, "0.37 of the card's height",
            [(2 * tab, "the two tabs inside it would lie on each other")],
            [(H - step - rise, "closed, both boxes and the rise must not be higher than the card")], least: "lower", most: "higher");
        var (foot, end) = (H - step, tab + (2 * rise) + upperStep);
        var box = c.Piece("upper", "Second box", Axis.Y, W, "both tabs, both rises and the step", "the card's width",
            [Tab("lowerTab", "lower tab", tab), Panel("floor", "second floor", rise), Panel("front", "second step front", upperStep),
            Panel("top", "second step top", rise), Tab("tab", "upper tab", tab)], [
            Valley(90, "the tab"),
            Valley(90, "the tab and the floor", closed: 0),
            Valley(90, "then the step's front"),
            Valley(90, "then the step's top; the upper tab is what is left", closed: 0),
        ]).FromHead();
        c.Layer("upper-front", "second step front, on the other face of the sheet", box, ["front"], Face.Down);
        return
        [
            c.Bond("upper-foot", basePiece["back"].Up(new Rectangle(Zero, foot - tab, W, foot)), box["lowerTab"].Down(new Rectangle(Zero, Zero, W, tab)),
                "its crease on the crease of the first box's tab"),
            c.Bond("upper-tab", basePiece["back"].Up(new Rectangle(Zero, foot - upperStep, W, foot - upperStep + tab)),
                box["tab"].Down(new Rectangle(Zero, end, W, end + tab)), "its crease as far above the first box as the second step is high"),
        ];
    }
}

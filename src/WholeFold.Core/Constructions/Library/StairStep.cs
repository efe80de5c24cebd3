using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A step before a back, and a facade before both. Closed, the front slides down by the rise.</summary>
internal static class StairStep
{
    public static ConstructionFamily Family { get; } = new("stair-step", "Stair step", "stands with a facade before a step before its back",
        [new Choice("facadeTab", "facade's tab", "up: above its crease, where it is seen; hidden: below it, tucked under the roof", ["up", "hidden"], "up")], c =>
    {
        var hidden = c.Chosen("facadeTab") == "hidden";
        var rise = c.Length("rise", "rise", "how far the step stands before the back", 0.18m * H, "0.18 of the card's height",
            [(Construction.SmallestPanel, "a narrower step does not stand")], [(H / 3, "a deeper one leaves no back")], least: "shallower",
            most: "deeper");
        var step = c.Length("step", "step", "height of the step's front", 0.27m * H, "0.27 of the card's height",
            [(Construction.SmallestPanel, "a lower step shows nothing")], [(H / 2, "a higher step hides behind the facade")],
            least: "lower", most: "higher");
        var tab = c.Length("tab", "tab", "height of both tabs", Pair.Of(3, 8, 10m), "⅜ in, or 10 mm: what a tab needs",
            [(Construction.SmallestTab, "a narrower tab does not hold")], [(step, "a longer tab would stand on the bottom crease")],
            OnConversion.Fixed, least: "less card", most: "surer bond");
        var back = H - rise;
        var facade = c.Length("facade", "facade", "height of the facade's front", 0.64m * H, "0.64 of the card's height",
            hidden ? [(step + Pair.Of(3, 8, 10m), "a lower facade hides behind the step"), (step + tab, "its tab must lie above the step's")]
                : [(step + Pair.Of(3, 8, 10m), "a lower facade hides behind the step")],
            [(hidden ? back : back - tab, "its tab must find the back")],
            least: "lower facade", most: "higher facade");
        var width = c.Length("facadeWidth", "facade width", "width of the facade", 0.7m * W, "0.7 of the card's width",
            [(W / 4, "a narrower facade wobbles")], [(W, "a wider one stands out of the card")], least: "narrower", most: "wider");
        var offset = c.Length("facadeOffset", "facade's place", "how far the facade stands from the card's left edge", (W - width) / 2,
            "in the middle", [(Zero, "it must stand on the step")], [(W - width, "it must not stand out of the card")],
            least: "further left", most: "further right");
        var bottom = tab + (2 * rise) + step;
        var basePiece = c.Piece("base", "Base", Axis.Y, W, "the tab, the step with both its rises, and the back", "the card's width",
            [Tab("tab", "tab", tab), Panel("top", "step top", rise), Panel("front", "step front", step), Panel("floor", "floor", rise),
            Panel("back", "back", back)], [
            Valley(90, "the tab"),
            Valley(90, "the tab and the step's top", closed: 0),
            Valley(90, "then the step's front"),
            Valley(90, "then the floor; the back is what is left", closed: 0),
        ]);
        var facadePiece = c.Piece("facade", "Facade", Axis.Y, width, "its tab, the rise and its front", "the facade's width",
            [Tab("tab", "facade tab", tab), Panel("roof", "roof", rise), Panel("front", "facade front", facade)],
            hidden ? [Mountain(-90, "the tab"), Mountain(-90, "the tab and the rise", closed: 0)]
                : [Valley(90, "the tab", closed: 0), Mountain(-90, "the tab and the rise", closed: 0)]).FromHead();
        var stepBond = c.Bond("step", basePiece["back"].Up(new Rectangle(Zero, bottom + step - tab, W, bottom + step)),
            basePiece["tab"].Down(new Rectangle(Zero, Zero, W, tab)),
            "the tab's crease as far above the bottom crease as the step is high");

        // The facade is listed from its top and so lies upside down beside the base: its corners are given turned round.
        var (left, right) = (offset, offset + width);
        var facadeTabBond = c.Bond("facade-tab", hidden
            ? basePiece["back"].Up(new Rectangle(left, bottom + facade - tab, right, bottom + facade))
            : basePiece["back"].Up(new Rectangle(left, bottom + facade, right, bottom + facade + tab)),
            hidden ? facadePiece["tab"].Up(new Rectangle(width, Zero, Zero, tab)) : facadePiece["tab"].Down(new Rectangle(width, tab, Zero, Zero)),
            "the crease as far above the bottom crease as the facade is high, in the middle");
        var lower = tab + rise + facade;
        var facadeFootBond = c.Bond("facade-foot", basePiece["front"].Down(new Rectangle(left, bottom - rise, right, bottom - rise - tab)),
            facadePiece["front"].Down(new Rectangle(width, lower, Zero, lower - tab)), "the lower edges level");
        c.Layer("facade", "facade front", facadePiece, ["front"], Face.Up);
        c.Layer("step", "step front, on the other face of the sheet", basePiece, ["front"], Face.Down);
        c.Layer("back", "back above the facade", basePiece, ["back"], Face.Up, free: new Rectangle(Zero, bottom + facade + (hidden ? Zero : tab), W, bottom + back));

        c.NamedShown(basePiece["back"]);
        c.Does(Effect.Stands);
        c.Step("Fold the base's valleys, and the facade's valley and mountain, and burnish both ways.");
        c.Press("Bring the base's tab down inside the step and bond it to the back.", Pressed.Flat,
            "its fold lies a step above the bottom fold, sides level", stepBond);
        c.Press("Bond the facade's foot to the front of the first step and its tab to the back.", Pressed.Closed,
            "the facade's lower edge is level with the step's, its fold as high above the bottom fold as it is tall", facadeTabBond,
            facadeFootBond);
        c.Step("Slide it down to close it and up to stand it.").Titled("try how it closes");
        c.Trouble("the facade bows when it stands", "its tab is too high or too low",
            "lift the tab and set its fold by the facade's height from the bottom fold");
        c.Watch("A hidden tab goes below its fold: score it as a mountain then.");
    });
}

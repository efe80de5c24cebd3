using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A box inside the card with layers one behind the other, their windows smaller and smaller.</summary>
internal static class InsideTunnel
{
    public static ConstructionFamily Family { get; } = new(
        "inside-tunnel",
        "Tunnel inside",
        "windows one behind the other open as a tunnel inside the card",
        [new Choice("layers", "layers", "how many layers stand in the box", ["1", "2", "3"], "1")],
        c =>
        {
            var n = c.Count("layers");
            var (d, margin, foot) = InsideBox.Box(c, n switch { 1 => Pair.Of(1, 4, 6m), 2 => Pair.Of(3, 8, 9m), _ => Pair.Of(1, 2, 12m) },
                "each layer needs ⅛ in, or 3 mm, and so does what is left behind it",
                n switch { 1 => null, 2 => Pair.Of(3, 4, 18m), _ => Pair.Of(1, 1, 24m) });
            var step = c.Length("windowStep", "window step", "how much narrower each window is on every side than the one before it",
                Pair.Of(1, 4, 6m), "¼ in, or 6 mm: from one nested die to the next but one",
                [(Pair.Of(1, 8, 3m), "a smaller step does not show")], [(W / 8, "a larger one leaves no window")], OnConversion.Fixed,
                least: "wider windows", most: "more layer shows");
            var hair = c.Allow(new NestedPanel());
            var plies = c.Allow(new BoxDepth(n));
            var (share, shallow) = (d / (n + 1), Pair.Of(1, 8, 3m));
            var f = c.Length("tab", "tab", "width of the tabs that the layers hang on", share, n == 1 ? "half the depth" : "its share of the depth",
                [(shallow, "a narrower tab does not hold")], [(share, "a wider one leaves no room for the tabs behind it")],
                least: "hidden", most: "surer bond");
            var (w, h) = (W - d - hair, H - hair);
            c.Require("plies", d - (n * f) - plies, "the layers' own plies must fit behind them");
            var tabs = new List<BondHandle>();
            for (var k = 1; k <= n; k++)
            {
                var (id, name) = ($"layer{k}", n == 1 ? "Layer" : $"Layer {k}");
                var inset = margin + (k * step);
                var layerPiece = c.Piece(id, name, Axis.X, h, "the window panel, a hair less, and both tabs",
                    "the card's height, a hair less", [Panel("tab-left", "left tab", f, shallow) with { IsTab = true }, Panel("face", "layer", w),
                    Panel("tab-right", "right tab", f, shallow) with { IsTab = true }], [Valley(90, "the tab"),
                    Valley(90, "the tab and the layer", closed: 0)]).Is(PartFunction.GoesInside);
                layerPiece.Opening("window", "window", "face", new Rectangle(f + inset, foot + (k * step), f + w - inset, h - inset),
                    "a step narrower on every side than the window before it");

                // Like the box it hangs in, a layer is listed from the other end. Between the walls it has the hair for play.
                Rectangle Wall(Affine from, Affine to) => new(from, hair / 2, to, H - (hair / 2));
                tabs.Add(c.Bond($"{id}-left", c.The("box")["tab"].Up(Wall(d - ((k - 1) * f), d - (k * f))),
                    layerPiece["tab-left"].Down(new Rectangle(Zero, h, f, Zero)), k == 1
                    ? "the tab's edge against the crease beside the window" : $"the tab's edge against layer {k - 1}'s crease"));
                tabs.Add(c.Bond($"{id}-right", c.The("box")["wall"].Up(Wall(W + ((k - 1) * f), W + (k * f))),
                    layerPiece["tab-right"].Down(new Rectangle((2 * f) + w, h, f + w, Zero)), "the same on the right", play: hair));
                c.Require($"{id}-width", w - (2 * inset) - Construction.SmallestWindow,
                    "the last window would be too narrow to see through");
                c.Require($"{id}-height", h - foot - (k * step) - inset - Construction.SmallestWindow, "the last window would be too low to see through");
            }

            c.Layer("front", "front", c.The("card"), ["front"], Face.Down, levels: 2);
            c.Layer("scene", "scene behind the layers", c.The("box"), ["base"], Face.Up, scene: true);
            c.Step("Fold the card, the box and the layers, and burnish both ways.");
            c.Press("Bond the layers' tabs inside the box, the one behind the window first, tabs pointing to the window.", Pressed.Closed,
                "each tab touches the fold or the tab before it, and the windows are concentric", tabs);
            InsideBox.Assembled(c);
            c.Watch("Each layer is a hair less than the box in both directions: cut it scant.");
        });
}

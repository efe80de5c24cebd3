using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A front with a window before a back, joined by walls; middles stand between them. Closed, the front slides sideways by the
/// depth.</summary>
internal static class ShadowBox
{
    public static ConstructionFamily Family { get; } = new(
        "shadow-box",
        "Shadow box",
        "stands as a box with a scene behind a window",
        [new Choice("middles", "middles", "how many middles stand between the front and the back", ["0", "1", "2"], "0"),
            new Choice("middlesOn", "middles stand on", "wall: the front's walls; backTab: the back's tabs, in a shallow box with one middle",
                ["wall", "backTab"], "wall")],
        c =>
        {
            var n = c.Count("middles");
            var shallow = c.Chosen("middlesOn") == "backTab";
            if (shallow && n != 1)
            {
                c.Refuse("only one middle can stand on the back's tabs: take middles 1, or stand them on the wall");
            }

            var least = shallow ? Pair.Of(1, 2, 12m) : n switch { 0 => Pair.Of(1, 2, 12m), 1 => Pair.Of(3, 4, 18m), _ => Pair.Of(1, 1, 24m) };
            var depth = c.Length("depth", "depth", "how deep the box is, which is also how far it slides to close", least, n == 0 || shallow
                ? "½ in, or 12 mm" : $"½ in, or 12 mm, and ¼ in, or 6 mm, for each middle",
                [(least, n == 0 ? "a shallower box shows no depth" : "each middle needs ¼ in, or 6 mm")],
                [(W / 4, "a deeper one leaves no window")], OnConversion.Fixed, least: "wider window", most: "deeper box");
            var tab = c.Length("backTab", "back tab", "width of the tabs that join the back to the walls", n == 0 || shallow ? depth / 2
                : Construction.SmallestTab, n == 0 || shallow ? "half the depth" : "¼ in, or 6 mm: what a tab needs",
                [(Construction.SmallestTab, "a narrower tab does not hold")], [(depth / 2, "a wider one shows in the box")],
                OnConversion.Fixed, least: "hidden", most: "surer bond");
            var margin = c.Length("windowMargin", "window margin", "width of the frame round the window", Pair.Of(1, 2, 12m),
                "½ in, or 12 mm", [(Pair.Of(1, 4, 6m), "a narrower frame buckles")], [(W / 4, "a wider one leaves no window")],
                OnConversion.Fixed, least: "wider window", most: "stronger frame");
            var foot = c.Length("footMargin", "foot of the frame", "height of the frame below the window, where a sentiment goes", margin,
                "as the rest of the frame", [(margin, "the foot is no narrower than the rest")], [(H / 2, "a higher one leaves no window")],
                OnConversion.Fixed, least: "wider window", most: "room for a sentiment");
            var m = W - depth;
            var high = n == 0 ? H : c.Length("middleHeight", n == 1 ? "middle height" : "height of the middles",
                "height of what stands in the box, counted from the foot", 0.4m * H, "0.4 of the card's height",
                [(Pair.Of(3, 4, 20m), "a lower one does not show")], [(H, "a higher one stands out of the closed card")],
                least: "more of the scene", most: "more before the scene");
            var frontPiece = c.Piece("front", "Front", Axis.X, H, "the card's width and the depth once more", "the card's height",
                [Panel("wall-left", "left wall", depth), Panel("face", "front", m), Panel("wall-right", "right wall", depth)],
                [Mountain(-90, "the depth", closed: 0), Mountain(-90, "the depth and the front; the right wall is what is left")]);
            frontPiece.Opening("window", "window", "face", new Rectangle(depth + margin, foot, W - margin, H - margin),
                "the frame's width in from the front's edges");
            var backPiece = c.Piece("back", "Back", Axis.X, H, "the front's width and both tabs", "the card's height",
                [Tab("tab-left", "left tab", tab), Panel("back", "back", m), Tab("tab-right", "right tab", tab)],
                [Valley(90, "the tab"), Valley(90, "the tab and the back", closed: 0)]);
            Rectangle Strip(Affine from, Affine to) => new(from, Zero, to, H);
            Rectangle Low(Affine from, Affine to) => new(from, Zero, to, high);
            var backLeft = c.Bond("back-left", frontPiece["wall-left"].Down(Strip(Zero, tab)), backPiece["tab-left"].Down(Strip(tab, Zero)),
                "the back's crease level with the wall's edge");
            var backRight = c.Bond("back-right", frontPiece["wall-right"].Down(Strip(W + depth, W + depth - tab)),
                backPiece["tab-right"].Down(Strip(tab + m, (2 * tab) + m)), "the same on the right");
            var f = shallow ? tab : (depth - tab) / (n + 1);
            var tabs = new List<BondHandle>();
            if (shallow)
            {
                // On the back's tabs the middle hangs inside the back, so it is a hair less.
                var hair = c.Allow(new NestedPanel());
                var middlePiece = c.Piece("middle1", "Middle", Axis.X, high, "the front's width, a hair less, and both tabs", "the middle's height",
                    [Tab("tab-left", "left tab", f), Panel("face", "middle", m - hair), Tab("tab-right", "right tab", f)],
                    [Mountain(-90, "the back's tab", closed: 0), Mountain(-90, "the tab and the middle")]);
                tabs.Add(c.Bond("middle1-left", backPiece["tab-left"].Up(Low(Zero, tab)), middlePiece["tab-left"].Up(Low(f, Zero)),
                    "the tab's edge into the back's crease"));
                tabs.Add(c.Bond("middle1-right", backPiece["tab-right"].Up(Low(tab + m, (2 * tab) + m)),
                    middlePiece["tab-right"].Up(Low((2 * f) + m - hair, f + m - hair)), "the same on the right", play: hair));
            }

            for (var k = 1; k <= n && !shallow; k++)
            {
                var (id, name) = ($"middle{k}", n == 1 ? "Middle" : $"Middle {k}");
                var middlePiece = c.Piece(id, name, Axis.X, high, "the front's width and both tabs", "the middle's height",
                    [Tab("tab-left", "left tab", f), Panel("face", "middle", m), Tab("tab-right", "right tab", f)],
                    [Mountain(-90, n == 1 ? "half of the depth that is free" : "its share of the depth that is free", closed: 0),
                    Mountain(-90, "the tab and the middle")]);
                tabs.Add(c.Bond($"{id}-left", frontPiece["wall-left"].Down(Low(tab + ((k - 1) * f), tab + (k * f))),
                    middlePiece["tab-left"].Up(Low(Zero, f)), k == 1 ? "the tab's edge against the edge of the back's tab"
                    : "the tab's edge against the crease of the middle behind it"));
                tabs.Add(c.Bond($"{id}-right",
                    frontPiece["wall-right"].Down(Low(W + depth - tab - ((k - 1) * f), W + depth - tab - (k * f))),
                    middlePiece["tab-right"].Up(Low((2 * f) + m, f + m)), "the same on the right"));
            }

            // Within the limits of its margins the window is never smaller than this.
            c.Require("window-width", m - (2 * margin) - Construction.SmallestWindow, "the window would be too narrow to see through");
            c.Require("window-height", H - foot - margin - Construction.SmallestWindow, "the window would be too low to see through");
            c.NamedShown(frontPiece["face"]);
            c.Trade("depth", "depth", depth, "window", m - (2 * margin));
            c.Layer("back", "scene on the back", backPiece, ["back"], Face.Up, scene: true);

            c.Does(Effect.Stands);
            c.Step("Fold the front's walls back and the back's tabs forward, and burnish both ways.");
            if (shallow)
            {
                c.Press("Bond the middle's tabs on the back's tabs.", Pressed.Closed, "each tab's edge lies in the back's fold, bottoms level", tabs);
            }
            else if (n > 0)
            {
                c.Press("With the front face down, bond the middles into its walls, the one nearest the window first.", Pressed.Closed,
                    "each tab lies its step from the wall's edge, bottoms level", [.. Enumerable.Reverse(tabs)]);
            }

            c.Press(shallow ? "Stood on its side, tack the front's walls on the back's tabs; press it flat one way, then the other."
                : "Bond the back's tabs to the outer edges of the walls last: press it flat one way, then the other.", Pressed.Closed,
                "edges and feet are level on both sides", backLeft, backRight);

            c.Step("Stand it up, look through the window, and fold it flat again.").Titled("stand it up");
            c.Trouble("it stands skew", "one tab sits deeper than the other", "lift that tab and set it by the wall's edge");
            c.Trouble("tabs show beside the window", "more depth than the margin hides", "less depth, or a smaller window");
            c.Watch("Decorate the back and the middles before they go in.");
        });
}

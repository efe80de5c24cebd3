using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A back with two folded legs, and a bridge across them that stands off it. Closed, the front slides by a leg's width.</summary>
internal static class Bridge
{
    public static ConstructionFamily Family { get; } = new("bridge", "Bridge", "stands with a bridge in front of its back", [], c =>
    {
        var back = c.Length("back", "back", "width of the back between the legs", 0.55m * W, "0.55 of the card's width",
            [(0.375m * W, "a narrower back leaves no room behind the bridge")],
            [(W - Pair.Of(3, 4, 20m), "the legs need ⅜ in, or 10 mm, each")], least: "deeper", most: "wider back");
        var bridge = c.Length("bridge", "bridge", "height of the bridge", 0.35m * H, "0.35 of the card's height",
            [(Construction.SmallestPanel, "a lower bridge does not hold the legs")], [(H, "a higher bridge stands out of the closed card")],
            least: "lower", most: "higher");
        var s = (W - back) / 2;
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width, less the back", "the card's height",
            [Panel("outer-left", "left outer leg", s), Panel("inner-left", "left inner leg", s), Panel("back", "back", back),
            Panel("inner-right", "right inner leg", s), Panel("outer-right", "right outer leg", s)], [
            Mountain(-90, "a leg: half of what the back leaves of the width"),
            Valley(90, "both parts of the left leg"),
            Valley(90, "then the back", closed: 0),
            Mountain(-90, "then the right inner leg; the outer one is what is left", closed: 0),
        ]);
        var bridgePiece = c.Piece("bridge", "Bridge", Axis.X, bridge, "the card's width", "the height of the bridge",
            [Panel("bridge", "bridge", W)], []);
        Rectangle On(Affine from, Affine to) => new(from, Zero, to, bridge);
        var leftBond = c.Bond("left", basePiece["outer-left"].Up(On(Zero, s)), bridgePiece["bridge"].Down(On(Zero, s)),
            "flush with the outer edge and the foot");
        var rightBond = c.Bond("right", basePiece["outer-right"].Up(On((3 * s) + back, (4 * s) + back)),
            bridgePiece["bridge"].Down(On(W - s, W)), "the same on the right");
        c.Trade("back", "back", back, "depth", s);
        c.Layer("back", "back", basePiece, ["back"], Face.Up);
        c.Layer("message", "behind the back, for the message", basePiece, ["back"], Face.Down, write: true);
        c.Layer("legs", "inner legs", basePiece, ["inner-left", "inner-right"], Face.Up, bothFaces: true);
        c.Layer("outer-legs", "outer legs, above the bridge", basePiece, ["outer-left", "outer-right"], Face.Up, frees: [
            new Rectangle(Zero, bridge, s, H), new Rectangle((3 * s) + back, bridge, (4 * s) + back, H)]);
        c.Layer("outer-legs-behind", "outer legs, behind", basePiece, ["outer-left", "outer-right"], Face.Down);
        c.Layer("bridge", "bridge", bridgePiece, ["bridge"], Face.Up);

        c.Does(Effect.Stands);
        c.Step("Fold the four scores, mountain, valley, valley, mountain, and burnish both ways.");
        c.Press("Bond the bridge to both outer panels with the base folded flat.", Pressed.Closed,
            "the bridge's ends are level with the outer panels' edges and its bottom edge with theirs", leftBond, rightBond);
        c.Step("Open and close it a few times: the front slides sideways by the depth.").Titled("open and close it");
        c.Trouble("it leans when it stands", "the bridge is not square to the folds", "lift one end and set it again with the base flat");
        c.Trouble("it sticks out of the envelope when flat", "the front was slid the wrong way", "push it the other way");
        c.Watch("Nothing on the bridge may be higher than the card, nor reach past its ends.");
    });
}

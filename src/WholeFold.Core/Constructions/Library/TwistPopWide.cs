using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>An insert with arms and a column, and a strip of four squares that the column turns as the card is opened.</summary>
internal static class TwistPopWide
{
    public static ConstructionFamily Family { get; } = new("twist-pop-wide", "Wide twist pop",
        "side panels fold out and a strip turns in the middle", [], c =>
    {
        var reach = c.Length("reach", "reach", "from the middle to the column's ends", H, "the card's height",
            [(Pair.Of(2, 1, 50m), "a shorter column does not carry the strip")],
            [(0.85m * W, "closed, the column lies along the width and the strip beyond it")], least: "shorter column",
            most: "longer column");
        var k = c.Length("square", "square", "side of the strip's four squares", W / 2, "half the card's width",
            [(Pair.Of(1, 1, 25m), "smaller squares do not turn"), (4 * reach / 7,
            "open flat, the strip must still reach from one end of the column to the other")],
            [(2 * reach / 3, "larger ones meet across the middle"), (4 * (W - reach), "closed, the strip must end inside the card"),
            (H, "the strip must stay inside the closed card")], least: "smaller strip", most: "larger strip");
        var arm = c.Length("arm", "arm", "height of the side panels", H - Pair.Of(1, 4, 6m),
            "the card's height less a border above and below", [(Pair.Of(1, 1, 25m), "lower arms do not hold the insert")],
            [(1.5m * reach, "higher arms fold past the column's ends"), (H, "they must stay inside the card")], least: "more card shows",
            most: "higher panels");
        var column = c.Length("column", "column", "width of the column that carries the strip", 0.24m * ((2 * W) - Pair.Of(1, 2, 12m)),
            "0.24 of the insert's width", [(Pair.Of(1, 2, 12m), "a narrower column tears")],
            [(0.9m * reach, "a wider one does not fold in"), (arm, "the diagonals must leave the insert at the arms"),
            (k, "the strip covers its corners, where it is bonded")], least: "more card shows", most: "stiffer column");
        var (cx, cy, half, a) = (W - Pair.Of(1, 4, 6m), reach, arm / 2, reach - (0.75m * k));
        var (low, high, west, east) = (cy - half, cy + half, cx - (column / 2), cx + (column / 2));
        c.Require("diagonals", cx - half, "the diagonals must end on the arms' edges");
        var cardPiece = c.Piece("card", "Card", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("front", "front", W), Panel("back", "back", W)], [Valley(0, "the card's width")]);
        var insertPiece = c.Piece("insert", "Insert", Axis.X, 2 * reach, "twice the card's width, less ½ in, or 12 mm", "twice the reach",
            [Panel("left", "left half", cx), Panel("right", "right half", cx)], [Mountain(0, "the middle, on the spine")]);
        insertPiece.Line(At(cx - half, low), At(cx + half, high), Valley(0, "through the middle at 45°, out to the arms' edges"),
            "arms | column");
        insertPiece.Line(At(cx - half, high), At(cx + half, low), Valley(0, "through the middle at 45°, the other way"), "arms | column");
        foreach (var (id, name, region) in new[]
        {
            ("foot-left", "lower left corner", new Rectangle(Zero, Zero, west, low)),
            ("foot-right", "lower right corner", new Rectangle(east, Zero, 2 * cx, low)),
            ("head-left", "upper left corner", new Rectangle(Zero, high, west, 2 * cy)),
            ("head-right", "upper right corner", new Rectangle(east, high, 2 * cx, 2 * cy)),
        })
        {
            insertPiece.Opening(id, name, "left", region, "what is left of the corner beside the column", CutKind.Notch);
        }

        var mid = At(cx, cy);
        insertPiece.Plates([
            new("left", "left arm", [At(Zero, low), At(cx - half, low), mid, At(cx - half, high), At(Zero, high)]),
            new("low-left", "column's foot, left half", [At(cx, Zero), mid, At(cx - half, low), At(west, low), At(west, Zero)], "left", 1),
            new("high-left", "column's head, left half", [At(cx, 2 * cy), At(west, 2 * cy), At(west, high), At(cx - half, high), mid],
                "left", 2),
            new("low-right", "column's foot, right half", [At(cx, Zero), At(east, Zero), At(east, low), At(cx + half, low), mid],
                "low-left", 0),
            new("high-right", "column's head, right half", [At(cx, 2 * cy), mid, At(cx + half, high), At(east, high), At(east, 2 * cy)],
                "high-left", 0),
            new("right", "right arm", [At(2 * cx, low), At(2 * cx, high), At(cx + half, high), mid, At(cx + half, low)], "low-right", 2),
        ], new Ring("high-right", "right", 1));

        // It lies the long way down the column, the first square at the head; closed, all four lie on each other.
        var twistPiece = c.Piece("twist", "Twist", Axis.X, k, "four squares", "a square",
            [Panel("one", "first square", k), Panel("two", "second square", k), Panel("three", "third square", k),
            Panel("four", "fourth square", k)], [Valley(37, "a square"), Mountain(-75, "two squares"), Valley(37, "three squares")]);
        var (x, y, patch) = (W - cx, (H / 2) - cy, k / 4);
        Region Arm(Affine dx, Affine dy, bool leftOne) => leftOne
            ? Region.Of(At(dx, low + dy), At(cx - half + dx, low + dy), At(cx + dx, cy + dy), At(cx - half + dx, high + dy),
                At(dx, high + dy))
            : Region.Of(At((2 * cx) + dx, low + dy), At(cx + half + dx, low + dy), At(cx + dx, cy + dy), At(cx + half + dx, high + dy),
                At((2 * cx) + dx, high + dy));
        var frontBond = c.Bond("front", cardPiece["front"].Up(Arm(x, y, true)), insertPiece["left"].Down(Arm(Zero, Zero, true)),
            "its middle on the spine and in the middle of the card's height; adhesive only between the diagonals");
        var backBond = c.Bond("back", cardPiece["back"].Up(Arm(x, y, false)), insertPiece["right"].Down(Arm(Zero, Zero, false)),
            "close the card on it: it finds its place");

        // Turned by a right angle, so each patch is told corner by corner. The strip's head stands a quarter of a square outside the
        // column's.
        var (edge, head) = ((k - column) / 2, 2 * cy);
        var firstBond = c.Bond("first",
            insertPiece["high-left"].Up(Region.Of(At(west, head - patch), At(west + patch, head - patch), At(west + patch, head),
            At(west, head))), twistPiece["one"].Down(Region.Of(At(2 * patch, edge), At(2 * patch, edge + patch), At(patch, edge + patch),
            At(patch, edge))), "the crease exactly ¾ of a square from the column's end, the strip in its middle; bond only the outer corner", atLeast: true);
        var fourthBond = c.Bond("fourth",
            insertPiece["low-right"].Up(Region.Of(At(east, Zero), At(east - patch, Zero), At(east - patch, patch), At(east, patch))),
            twistPiece["four"].Down(Region.Of(At((4 * k) - patch, k - edge), At((4 * k) - patch, k - edge - patch),
            At((4 * k) - (2 * patch), k - edge - patch), At((4 * k) - (2 * patch), k - edge))),
            "bond the other outer corner and close the card: it finds its place", atLeast: true);
        c.Layer("squares", "squares", twistPiece, ["one", "two", "three", "four"], Face.Up);
        c.Layer("front", "front", cardPiece, ["front"], Face.Down, levels: 2);
        c.Trade("square", "squares", k, "reach left beyond them", reach - k);

        c.OpensFrom(cardPiece["back"], Edge.Left);
        c.Does(Effect.PopsUp);
        c.Step("Fold the diagonals as valleys and the middle as a mountain, and burnish both ways.");
        c.Press("Glue one arm into the card, only between the diagonals.", Pressed.Flat,
            "the insert's middle lies on the spine and in the middle of the height", frontBond);
        c.Press("Glue the other arm and close the card on it.", Pressed.Closed,
            "opened, the insert lies flat and the diagonals meet on the spine", backBond);
        c.Press("Glue the strip's first square to the column's head, by its outer corner.", Pressed.Flat,
            "the strip's fold lies on its mark, the strip in the middle of the column", firstBond);
        c.Press("Put adhesive on the other outer corner and close the card: the strip finds its place.", Pressed.Closed,
            "opened, the strip stands evenly in the middle", fourthBond);
        c.Trouble("the strip tears loose", "the first square was glued past the column's middle", "glue its outer corner, and nothing beyond the middle score");
        c.Trouble("the arms have folds in them", "glued beyond the diagonals", "ease them off: beyond the diagonals they swing with the column");
        c.Watch("Half-way the strip bends as paper does: use a card that is supple.");
    });
}

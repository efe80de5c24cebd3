using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A carrier folded on its diagonals pulls a concertina of four panels open as the card is opened.</summary>
internal static class TwistPop
{
    public static ConstructionFamily Family { get; } = new("twist-pop", "Twist pop",
        "a concertina twists open and stands forward, then lies in a row", 
        [new Choice("order", "put together",
            "carrier: the carrier into the card first; concertina: the concertina into the loose carrier first, which is easier to line up",
            ["carrier", "concertina"], "carrier")], c =>
    {
        var p = c.Length("panel", "panel", "width of each of the concertina's four panels", (W / 2) - Pair.Of(1, 4, 6m),
            "half of what is left of the card's width less ½ in, or 12 mm",
            [((W / 2) - Pair.Of(1, 1, 25m), "narrower panels leave the card bare")], [(W / 2, "wider ones stand out of the card")],
            least: "more card shows", most: "wider panels");
        var q = c.Length("carrierWidth", "carrier's width", "height of the carrier, along the spine", 0.58m * W, "0.58 of the card's width",
            [(Pair.Of(1, 1, 25m), "a lower carrier does not turn the panels")],
            [(H - Pair.Of(1, 4, 6m), "the panels overhang it and must stay inside the card")], least: "shorter panels",
            most: "taller panels");
        var z = c.Length("grip", "grip", "how deep the outer panels are bonded into the carrier's walls", 0.2m * W,
            "0.2 of the card's width", [(Pair.Of(3, 8, 10m), "less does not hold a panel")],
            [(p, "it cannot be deeper than a panel"), (W - p, "the walls must end inside the card")], least: "less to bond",
            most: "surer hold");
        var e = p + z - (q / 2);
        var (h, centre) = (q + Pair.Of(1, 4, 6m), p + z);
        c.Require("wall", e - z, "the walls must be at least as high as the grip is deep");
        c.Require("inside", H - h, "the panels must stay inside the card");
        var cardPiece = c.Piece("card", "Card", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("front", "front", W), Panel("back", "back", W)], [Valley(60, "the card's width")]);
        var carrierPiece = c.Piece("carrier", "Carrier", Axis.X, q, "twice a panel and twice the grip", "the carrier's width",
            [Panel("left", "left half", centre), Panel("right", "right half", centre)], [Mountain(-60, "the middle, on the spine")]);
        carrierPiece.Line(At(Zero, q / 2), At(2 * centre, q / 2), Valley(0, "half the carrier's width: it helps shaping and stays flat",
            closed: 0), "lower half | upper half");
        carrierPiece.Line(At(e, Zero), At(e + q, q), Valley(78,
            "through the middle at 45°, ending as far from the end as the walls are high"), "walls | middle");
        carrierPiece.Line(At(e, q), At(e + q, Zero), Valley(78, "through the middle at 45°, the other way"), "walls | middle");
        var (mid, left, right) = (At(centre, q / 2), e, e + q);
        carrierPiece.Plates([
            new("left", "left wall and triangle", [At(Zero, Zero), At(left, Zero), mid, At(left, q), At(Zero, q)]),
            new("low-left", "lower left corner", [At(left, Zero), At(centre, Zero), mid], "left", 2),
            new("high-left", "upper left corner", [mid, At(centre, q), At(left, q)], "left", 3),
            new("low-right", "lower right corner", [At(centre, Zero), At(right, Zero), mid], "low-left", 0),
            new("high-right", "upper right corner", [mid, At(right, q), At(centre, q)], "high-left", 0),
            new("right", "right wall and triangle", [At(right, Zero), At(2 * centre, Zero), At(2 * centre, q), At(right, q), mid],
                "low-right", 3),
        ], new Ring("high-right", "right", 2));
        var concertinaPiece = c.Piece("concertina", "Concertina", Axis.X, h, "four panels", "the carrier's width and ¼ in, or 6 mm",
            [Panel("one", "first panel", p), Panel("two", "second panel", p), Panel("three", "third panel", p),
            Panel("four", "fourth panel", p)], [Valley(60, "a panel"), Mountain(-60, "two panels"), Valley(60, "three panels")]);

        // The carrier lies in the middle of the card's height, its middle on the spine; only its two triangles are glued.
        var (x, y, over) = (W - centre, (H - q) / 2, (h - q) / 2);
        Region Triangle(Affine dx, Affine dy, bool leftOne) => leftOne
            ? Region.Of(At(left + dx, dy), At(centre + dx, (q / 2) + dy), At(left + dx, q + dy))
            : Region.Of(At(right + dx, dy), At(centre + dx, (q / 2) + dy), At(right + dx, q + dy));
        var frontBond = c.Bond("front", cardPiece["front"].Up(Triangle(x, y, true)), carrierPiece["left"].Down(Triangle(Zero, Zero, true)),
            "the triangle's tip on the spine, in the middle of the card's height; adhesive right into its corners and none outside");
        var backBond = c.Bond("back", cardPiece["back"].Up(Triangle(x, y, false)), carrierPiece["right"].Down(Triangle(Zero, Zero, false)),
            "close the card on it: it finds its place");
        var firstBond = c.Bond("first", carrierPiece["left"].Up(new Rectangle(Zero, Zero, z, q)),
            concertinaPiece["one"].Down(new Rectangle(p - z, over, p, over + q)),
            "the end of the wall a grip before the panel's crease, overhanging equally above and below");
        var fourthBond = c.Bond("fourth", carrierPiece["right"].Up(new Rectangle((2 * centre) - z, Zero, 2 * centre, q)),
            concertinaPiece["four"].Down(new Rectangle(3 * p, over, (3 * p) + z, over + q)), "the other end, the same");
        c.Layer("panels", "panels", concertinaPiece, ["one", "two", "three", "four"], Face.Up);
        c.Layer("front", "front", cardPiece, ["front"], Face.Down, levels: 2);
        c.Layer("inside", "inside left and right", cardPiece, ["front", "back"], Face.Up);
        c.Layer("message", "behind, for the message", cardPiece, ["back"], Face.Down, write: true);
        c.Trade("carrierWidth", "height of the panels", h, "card above and below", H - h);

        c.OpensFrom(cardPiece["back"], Edge.Left);
        c.Does(Effect.PopsUp);
        c.Step("Shape the carrier: fold and burnish its diagonals as valleys, its middle as a mountain, and run a nail along the lengthwise score.");
        c.Step("Fold the concertina, valley, mountain, valley, and burnish both ways.").Titled("fold the concertina");
        void Carrier()
        {
            c.Press("Fold the carrier and bond one of its triangles into the card.", Pressed.Closed,
                "the tip lies on the spine in the middle of the height", frontBond);
            c.Press("Glue the other triangle and close the card on it.", Pressed.Closed, "opened, both tips meet on the spine", backBond);
        }

        if (c.Chosen("order") == "carrier")
        {
            Carrier();
        }
        else
        {
            c.Step("Draw a line across the carrier the grip in from either end.").Titled("draw the grip's lines");
        }

        c.Press("Glue the concertina's first panel into the left wall and its last into the right one.", Pressed.Closed,
            "its fold lies the grip inside the wall's end, and it overhangs the wall equally above and below", firstBond, fourthBond);
        if (c.Chosen("order") != "carrier")
        {
            Carrier();
        }

        c.Trouble("the panels jam half-way", "glue outside the triangles' corners",
            "ease it off; adhesive right into the corners and none outside");
        c.Trouble("the concertina hangs askew", "its two ends are not at one height", "lift one end and set it by the carrier's edges");
        c.Watch("Nothing raised on the two middle panels' folds.");
    });
}

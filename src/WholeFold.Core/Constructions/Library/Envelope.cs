using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>An envelope for a card, from a square sheet laid slanting or from a rectangle with four flaps.</summary>
internal static class Envelope
{
    public static ConstructionFamily Family { get; } = new(
        "envelope",
        "Envelope",
        "goes round a card",
        [new Choice("school", "sheet", "a square laid slanting, with four corners folded in, or a rectangle with four flaps",
            ["square", "rectangle"], "square")],
        c =>
        {
            var (width, height) = Around(c);
            c.GoesRound("thick", slanting: c.Chosen("school") == "square");
            if (c.Chosen("school") == "square")
            {
                Square(c, width, height);
            }
            else
            {
                Flaps(c, width, height, null);
            }
        });

    /// <summary>How large it must be inside for the card that goes in.</summary>
    public static (Affine Width, Affine Height) Around(ConstructionBuilder c)
    {
        var thick = c.Length("thick", "thick card", "how thick the card is that goes in", Zero,
            "a flat card, which the room round it holds", [(Zero, "a card is not thinner than nothing")],
            [(Pair.Of(1, 1, 25m), "thicker ones go into a carton")], OnConversion.Fixed, held: true, least: "flat card",
            most: "raised card", so: "the card goes in");
        var room = Pair.Of(1, 8, 3m) + thick;
        return (W + room, H + room);
    }

    /// <summary>Four rectangular flaps round the face, with a gusset at each side for a raised card.</summary>
    public static void Flaps(ConstructionBuilder c, Affine least, Affine leastHigh, Affine? gusset)
    {
        var overlap = Overlap(c);
        var width = Inside(c, "faceWidth", "face's width", least);
        var height = Inside(c, "faceHeight", "face's height", leastHigh);
        var side = c.Length("sideFlap", "side flaps", "width of the flaps at the sides", Pair.Of(3, 4, 20m),
            "¾ in, or 20 mm, which holds the lower flap", [(Pair.Of(1, 2, 12m), "narrower ones do not hold")],
            [(0.45m * W, "wider ones meet in the middle")], OnConversion.Fixed, held: gusset is not null, least: "smaller sheet",
            most: "surer hold");
        var foot = c.Length("lowerFlap", "lower flap", "height of the flap that is bonded to the side flaps", 0.6m * H,
            "0.6 of the card's height", [(0.4m * H, "a lower one does not hold the card")],
            [(0.9m * H, "a higher one leaves no upper flap")], least: "upper flap longer", most: "lower flap longer");
        var head = height + overlap - foot;
        var g = gusset ?? Zero;
        var (left, right, low, high) = (side + g, side + g + width, foot + g, foot + g + height);
        Panel[] Gusset(string id, string name) => gusset is null ? []
            : [new Panel(id, name, g, new Limit(Pair.Of(1, 16, 1.5m), $"{name} would be no wider than a fold"))];

        // Round a raised card the sides stand up, one crease at either edge of them.
        var up = gusset is null ? 180 : 90;
        Crease[] Fold(string outer, string inner) => gusset is null ? [Valley(up, inner, closed: up, working: false)]
            : [Valley(up, outer, closed: up, working: false), Valley(up, inner, closed: up, working: false)];
        var envelopePiece = c.Piece("envelope", gusset is null ? "Envelope" : "Box envelope", Axis.X, foot + g + height + g + head,
            "the face and a flap on either side", "the face, the lower flap and the upper flap",
            [Panel("left", "left flap", side), .. Gusset("left-gusset", "left gusset"), Panel("face", "face", width),
                .. Gusset("right-gusset", "right gusset"), Panel("right", "right flap", side)],
            [.. Fold("the side flap", gusset is null ? "the side flap" : "the side flap and the gusset"),
                .. Fold("the far side of the face", gusset is null ? "the face's width further" : "the gusset further")
                .Take(gusset is null ? 1 : 2)]);
        if (gusset is not null)
        {
            envelopePiece.Line(At(left, foot), At(right, foot), Valley(up, "the lower flap", closed: up, working: false),
                "lower flap | lower gusset");
        }

        envelopePiece.Line(At(left, low), At(right, low), Valley(up, gusset is null ? "the lower flap" : "the lower flap and its gusset",
            closed: up, working: false), gusset is null ? "lower flap | face" : "lower gusset | face");
        envelopePiece.Line(At(left, high), At(right, high), Valley(45, "the face's height further", closed: up), gusset is null
            ? "face | upper flap" : "face | upper gusset");
        if (gusset is not null)
        {
            envelopePiece.Line(At(left, high + g), At(right, high + g), Valley(0, "the gusset further", closed: up),
                "upper gusset | upper flap");
        }

        var (all, top) = ((2 * side) + (2 * g) + width, high + g + head);
        envelopePiece.Opening("foot-left", "lower left corner", "face", new Rectangle(Zero, Zero, left, low), "beside the flaps",
            CutKind.Notch);
        envelopePiece.Opening("foot-right", "lower right corner", "face", new Rectangle(right, Zero, all, low), "beside the flaps",
            CutKind.Notch);
        envelopePiece.Opening("head-left", "upper left corner", "face", new Rectangle(Zero, high, left, top), "beside the flaps",
            CutKind.Notch);
        envelopePiece.Opening("head-right", "upper right corner", "face", new Rectangle(right, high, all, top), "beside the flaps",
            CutKind.Notch);
        envelopePiece.Plates(gusset is null
            ?
            [
                RectangularPlate("face", "face", left, low, right, high),
                RectangularPlate("left", "left flap", Zero, low, left, high, "face", 0),
                RectangularPlate("right", "right flap", right, low, all, high, "face", 1),
                RectangularPlate("lower", "lower flap", left, Zero, right, low, "face", 2),
                RectangularPlate("upper", "upper flap", left, high, right, top, "face", 3),
            ]
            :
            [
                RectangularPlate("face", "face", left, low, right, high),
                RectangularPlate("left-gusset", "left gusset", side, low, left, high, "face", 1),
                RectangularPlate("left", "left flap", Zero, low, side, high, "left-gusset", 0),
                RectangularPlate("right-gusset", "right gusset", right, low, right + g, high, "face", 2),
                RectangularPlate("right", "right flap", right + g, low, all, high, "right-gusset", 3),
                RectangularPlate("lower-gusset", "lower gusset", left, foot, right, low, "face", 5),
                RectangularPlate("lower", "lower flap", left, Zero, right, foot, "lower-gusset", 4),
                RectangularPlate("upper-gusset", "upper gusset", left, high, right, high + g, "face", 6),
                RectangularPlate("upper", "upper flap", left, high + g, right, top, "upper-gusset", 7),
            ]);
        var leftSeamBond = c.Bond("left-seam", envelopePiece["lower"].Up(new Rectangle(left, Zero, left + side, foot)),
            envelopePiece["left"].Down(new Rectangle(side, low + foot, Zero, low)),
            "the lower flap's edge level with the fold; a thin line of glue, so that the card does not stick");
        var rightSeamBond = c.Bond("right-seam", envelopePiece["lower"].Up(new Rectangle(right, Zero, right - side, foot)),
            envelopePiece["right"].Down(new Rectangle(right + g, low + foot, all, low)), "the other edge, the same");
        c.Layer("liner", "liner", envelopePiece, ["face"], Face.Up);
        Assembled(c);
        c.Step(gusset is null ? "Fold the side flaps in, then the lower flap over them."
            : "Fold the gussets up and the side flaps in over them, then the lower gusset and its flap.");
        c.Press("Run a thin line of glue along the side flaps and press the lower flap on them.", gusset is null ? Pressed.Flat
            : Pressed.Held, gusset is null ? "the lower flap's edges are level with the folds" : "the corners stand square round the card",
            leftSeamBond, rightSeamBond);
        c.Step("Put the card in and close the upper flap.").Titled("put the card in");
    }

    private static void Assembled(ConstructionBuilder c)
    {
        c.Does(Effect.Holds);
        c.Step("Fold and burnish every score.");
        c.Trouble("the card sticks inside", "glue that came out of the seam",
            "a thinner line, and a slip of waxed paper inside while it dries");
        c.Trouble("the card does not go in", "card or paper thicker than reckoned", "say how thick the closed card is, and size it again");
        c.Watch("Try the card in it before the seams are glued.");
    }

    private static Affine Overlap(ConstructionBuilder c) =>
        c.Length("overlap", "overlap", "how far the lower and the upper flap lie over each other", Pair.Of(3, 4, 20m),
            "¾ in, or 20 mm, which holds", [(Pair.Of(1, 2, 12m), "less does not hold")], [(Pair.Of(3, 2, 40m), "more is waste")],
            OnConversion.Fixed, held: true, least: "smaller sheet", most: "surer hold", so: "the flaps hold");

    private static Affine Inside(ConstructionBuilder c, string id, string name, Affine least) =>
        c.Length(id, name, $"the {name}, inside", least, "the card, ⅛ in, or 3 mm, and as much as it is thick",
            [(least, "the card would not go in")], [(least + Pair.Of(1, 16, 1.5m), "it would rattle")], OnConversion.Fixed, least: "snug",
            most: "looser");

    /// <summary>
    /// A square sheet with its corners folded in along lines at 45° to its edges. Round the face they make a right angle at four
    /// points, each half an overlap inside an edge; a small triangle is taken out there.
    /// </summary>
    private static void Square(ConstructionBuilder c, Affine width, Affine height)
    {
        var overlap = Overlap(c);
        // 1/√2 to six places: over a metre that is off by less than a tenth of a unit.
        var slant = Rational.Of(0.7071067812m);
        var (w, h, inset) = (width * slant, height * slant, overlap / 2);
        var first = c.Length("first", "first score",
            "where the first line meets the edge, from the corner: opposite it the face has a corner", w + inset,
            "the face's width by 0.707, and half the overlap", [(w + inset, "the card would not go in")],
            [((w + inset) * Rational.Of(1.1m), "it would rattle")], least: "snug", most: "looser");
        var s = c.Length("side", "side of the sheet", "side of the square sheet", w + h + overlap,
            "the face's width and height by 0.707, and the overlap", [(first + h + inset, "the card would not go in")],
            [((w + h + overlap) * Rational.Of(1.1m), "it would rattle")], least: "snug", most: "looser");
        var (m, f) = (inset, first);
        c.Require("tip", height - ((f + m) * slant), "so slim a card has flaps whose tips pass beyond the face: take the rectangle");
        c.Require("tip-other", width - ((s - f + m) * slant), "so slim a card has flaps whose tips pass beyond the face: take the rectangle");
        c.Require("flaps", f - (s / 4), "so slim a card leaves its long flaps too far apart: take the rectangle");
        c.Require("flaps-other", (3 * s / 4) - f, "so slim a card leaves its long flaps too far apart: take the rectangle");
        var envelopePiece = c.Piece("envelope", "Envelope", Axis.X, s, "the square's side", "the square's side, the same",
            [Panel("sheet", "sheet", s)], []);
        envelopePiece.Line(At(f + m, Zero), At(Zero, f + m), Valley(180, "half an overlap past the first score", working: false),
            "face | first flap");
        envelopePiece.Line(At(f - m, Zero), At(s, s - f + m), Valley(180, "half an overlap before the first score", working: false),
            "face | second flap");
        envelopePiece.Line(At(s, s - f - m), At(s - f - m, s), Valley(45, "opposite the first"), "face | third flap");
        envelopePiece.Line(At(s - f + m, s), At(Zero, f - m), Valley(180, "opposite the second", working: false), "face | fourth flap");
        foreach (var (id, name, box, tip, ends) in new[]
        {
            ("notch1", "notch at the foot", new Rectangle(f - m, Zero, f + m, m), At(f, m), (At(f - m, Zero), At(f + m, Zero))),
            ("notch2", "notch at the right", new Rectangle(s - m, s - f - m, s, s - f + m), At(s - m, s - f),
                (At(s, s - f - m), At(s, s - f + m))),
            ("notch3", "notch at the head", new Rectangle(s - f - m, s - m, s - f + m, s), At(s - f, s - m),
                (At(s - f + m, s), At(s - f - m, s))),
            ("notch4", "notch at the left", new Rectangle(Zero, f - m, m, f + m), At(m, f), (At(Zero, f + m), At(Zero, f - m))),
        })
        {
            envelopePiece.Opening(id, name, "face", box, "half an overlap deep, at the face's corner", CutKind.Notch,
                outline: [ends.Item1, ends.Item2, tip]);
        }

        Spot foot = At(f, m), right = At(s - m, s - f), head = At(s - f, s - m), left = At(m, f);
        envelopePiece.Plates([
            new("face", "face", [foot, right, head, left]),
            new("first", "first flap", [At(Zero, Zero), At(f - m, Zero), foot, left, At(Zero, f - m)], "face", 0),
            new("second", "second flap", [At(f + m, Zero), At(s, Zero), At(s, s - f - m), right, foot], "face", 1),
            new("third", "third flap", [At(s, s), At(s - f + m, s), head, right, At(s, s - f + m)], "face", 2),
            new("fourth", "fourth flap", [At(Zero, s), At(Zero, f + m), left, head, At(s - f - m, s)], "face", 3),
        ]);

        // Folded, the first and the second flap lie over each other along a band an overlap wide, upright on the sheet.
        var high = s / 4;
        var seamBond = c.Bond("seam", envelopePiece["first"].Up(Folded(f + m, (f - m, 2 * m), (f + m, high + m))),
            envelopePiece["second"].Down(Across(f - m, (f - m, 2 * m), (f + m, high + m))),
            "the second and the fourth flap first, then the first one over them; a thin line of glue along the seam");
        var otherSeamBond = c.Bond("other-seam", envelopePiece["first"].Up(Folded(f + m, (2 * m, f - m), (high + m, f + m))),
            envelopePiece["fourth"].Down(Across(m - f, (2 * m, f - m), (high + m, f + m))), "the other seam, the same");
        Assembled(c);
        c.Press("Fold the second and the fourth flap in, run a thin line of glue along both seams, and press the first flap on them.",
            Pressed.Flat, "the notches close to a point at the face's corners", seamBond, otherSeamBond);
        c.Step("Put the card in and close the third flap.").Titled("put the card in");
    }

    /// <summary>Where a rectangle over the face lies on a flap that is folded over a line with x + y constant; corner by corner.</summary>
    private static Region Folded(Affine line, (Affine X, Affine Y) from, (Affine X, Affine Y) to) =>
        Region.Of(At(line - from.Y, line - from.X), At(line - from.Y, line - to.X), At(line - to.Y, line - to.X),
            At(line - to.Y, line - from.X));

    /// <summary>The same for a flap that is folded over a line with x − y constant.</summary>
    private static Region Across(Affine line, (Affine X, Affine Y) from, (Affine X, Affine Y) to) =>
        Region.Of(At(line + from.Y, from.X - line), At(line + from.Y, to.X - line), At(line + to.Y, to.X - line),
            At(line + to.Y, from.X - line));
}

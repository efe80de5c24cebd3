using WholeFold.Core.Tooling;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>Two sheets cut in two and bonded at the corners only, so that the card turns itself inside out for ever.</summary>
internal static class NeverEnding
{
    public static ConstructionFamily Family { get; } = new("never-ending", "Never-ending", "turns over and over, a new face each time", [],
        c =>
    {
        var (w, h) = (W / 4, H / 4);
        var quarter = Construction.SmallestPanel;

        // Lying down: the bottom's creases go with their lower faces together, the top's with their upper ones.
        var topPiece = c.Piece("top", "Top", Axis.Y, W, "the card's height", "the card's width",
            [Panel("foot", "lower quarter", h, quarter), Panel("middle", "middle", 2 * h), Panel("head", "upper quarter", h, quarter)], [
            Valley(0, "a quarter of the card's height", closed: 0), Valley(0, "three quarters of the card's height", closed: 0),
        ]);
        topPiece.Is(PartFunction.CutAlike);
        topPiece.Opening("halves", "cut in two", "middle", new Rectangle(2 * w, Zero, 2 * w, H), "half the card's width", CutKind.Divide);
        topPiece.Plates([.. new[] { ("left", Zero, 2 * w), ("right", 2 * w, W) }.SelectMany(half => new[]
        {
            RectangularPlate($"{half.Item1}-foot", $"lower quarter of the {half.Item1} half", half.Item2, Zero, half.Item3, h),
            RectangularPlate($"{half.Item1}-middle", $"middle of the {half.Item1} half", half.Item2, h, half.Item3, 3 * h, $"{half.Item1}-foot",
                0),
            RectangularPlate($"{half.Item1}-head", $"upper quarter of the {half.Item1} half", half.Item2, 3 * h, half.Item3, H,
                $"{half.Item1}-middle", 1),
        })]);
        var bottomPiece = c.Piece("bottom", "Bottom", Axis.X, H, "the card's width", "the card's height",
            [Panel("left", "left quarter", w, quarter), Panel("middle", "middle", 2 * w), Panel("right", "right quarter", w, quarter)], [
            Mountain(0, "a quarter of the card's width", closed: 0), Mountain(0, "three quarters of the card's width", closed: 0),
        ]);
        bottomPiece.Is(PartFunction.CutAlike);
        bottomPiece.Opening("halves", "cut in two", "middle", new Rectangle(Zero, 2 * h, W, 2 * h), "half the card's height",
            CutKind.Divide);
        bottomPiece.Plates([.. new[] { ("lower", Zero, 2 * h), ("upper", 2 * h, H) }.SelectMany(half => new[]
        {
            RectangularPlate($"{half.Item1}-left", $"left quarter of the {half.Item1} half", Zero, half.Item2, w, half.Item3),
            RectangularPlate($"{half.Item1}-middle", $"middle of the {half.Item1} half", w, half.Item2, 3 * w, half.Item3, $"{half.Item1}-left",
                0),
            RectangularPlate($"{half.Item1}-right", $"right quarter of the {half.Item1} half", 3 * w, half.Item2, W, half.Item3,
                $"{half.Item1}-middle", 1),
        })]);
        var corners = new List<BondHandle>();
        foreach (var (side, x) in new[] { ("left", Zero), ("right", 3 * w) })
        {
            foreach (var (end, half, y) in new[] { ("foot", "lower", Zero), ("head", "upper", 3 * h) })
            {
                var corner = new Rectangle(x, y, x + w, y + h);
                corners.Add(c.Bond($"{half}-{side}", bottomPiece[$"{half}-{side}"].Up(corner), topPiece[$"{side}-{end}"].Down(corner),
                    "corner on corner, nothing beyond it; strong glue, and the cuts crossing each other"));
            }
        }

        c.State("first", "first turn", "fold the sides back until the middle opens upwards", (bottomPiece.Crease(0), -180),
            (bottomPiece.Crease(1), -180));
        c.State("cross", "cross", "fold the upper and the lower end together as well: a cross without corners",
            (bottomPiece.Crease(0), -180), (bottomPiece.Crease(1), -180), (topPiece.Crease(0), 180), (topPiece.Crease(1), 180));
        c.State("last", "last turn", "let the sides come forward again; the ends stay folded", (topPiece.Crease(0), 180),
            (topPiece.Crease(1), 180));

        // What is glued stays bare: of an inner end panel only the half beside the glue shows.
        c.Layer("front", "front and inside, halves", topPiece, ["left-middle", "right-middle"], Face.Up, bothFaces: true);
        c.Layer("back", "back and inside, halves", bottomPiece, ["lower-middle", "upper-middle"], Face.Down, bothFaces: true);
        c.Layer("front-end", "front, upper and lower ends", topPiece, ["left-foot", "right-foot", "left-head", "right-head"], Face.Up);
        c.Layer("back-end", "back, left and right ends", bottomPiece, ["lower-left", "lower-right", "upper-left", "upper-right"],
            Face.Down);
        c.Layer("inner-end", "inside, beside the glue", topPiece, ["left-foot", "right-foot", "left-head", "right-head"], Face.Down,
            frees: [new(w, Zero, 2 * w, h), new(2 * w, Zero, 3 * w, h), new(w, 3 * h, 2 * w, H), new(2 * w, 3 * h, 3 * w, H)]);
        c.Layer("inner-side", "inside, above and below the glue", bottomPiece, ["lower-left", "lower-right", "upper-left", "upper-right"],
            Face.Up, frees: [new(Zero, h, w, 2 * h), new(3 * w, h, W, 2 * h), new(Zero, 2 * h, w, 3 * h), new(3 * w, 2 * h, W, 3 * h)]);

        c.Does(Effect.Turns);
        c.Step("Burnish every fold both ways.");
        c.Press("Lay the bottom's halves side by side, adhesive at the four corners only, and lay the top's halves on it, cuts crossing.",
            Pressed.Flat, "corners and edges are level all round, the two cuts cross in the middle", corners);
        c.Step("Let it dry under a weight, then turn it through all its states, gently the first time.").Titled("turn it through its states");
        c.Step("Glue the papers on in each state as it comes round.").Titled("papers, state by state").OnlyIf(StepCase.Papered);
        c.Trouble("it does not turn", "glue beyond a corner", "ease it open with a palette knife");
        c.Trouble("a corner comes off after a while", "a glue that is too weak", "strong glue, the whole corner to its edge");
        c.Watch("Each fold works one way only, the outer faces together.");
    });
}

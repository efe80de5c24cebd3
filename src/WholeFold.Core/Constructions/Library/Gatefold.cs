using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>Two doors that meet in the middle, each a little short so that they do not touch.</summary>
internal static class Gatefold
{
    public static ConstructionFamily Family { get; } = new(
        "gatefold",
        "Gatefold",
        "two doors open from the middle",
        [new Choice("backKeeps", "the back keeps",
            "format: the sheet is trimmed and the finished card keeps its format; sheet: the sheet stays whole and the back grows",
            ["format", "sheet"], "format")],
        c =>
        {
            var keepsSheet = c.Chosen("backKeeps") == "sheet";
            var doors = c.Allow(new Doors());
            var relief = c.Length("relief", "relief", "how far each door stops short of the middle", Pair.Of(1, 16, 1.5m),
                "a gap that one does not see and that keeps the doors apart",
                [(doors, new Doors().Because), (Pair.Of(1, 32, 1m), "the least that a door needs")],
                [(Pair.Of(3, 32, 2.5m), "more is a gap that one sees")], OnConversion.Fixed, least: "doors closer", most: "doors freer",
                zeroByHand: "The doors touch: their edges rub, and thick card will not lie flat.", so: "the doors do not touch");
            var door = (W / 2) - relief;
            var back = keepsSheet ? W + (2 * relief) : W;
            var basePiece = c.Piece("base", "Base", Axis.X, H, keepsSheet ? "twice the card's width, kept whole"
                : "twice the card's width, less both reliefs", "the card's height",
                [Panel("left", "left door", door), Panel("back", "back", back), Panel("right", "right door", door)],
                [Valley(90, "half the card's width, less the relief, so that the doors do not touch"),
                Valley(90, "the left door and the back")]).Is(PartFunction.Meets, PartFunction.None);
            c.Layer("door", "doors", basePiece, ["left", "right"], Face.Down);
            c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, write: true);
            if (keepsSheet)
            {
                c.Grows("the sheet is kept whole, so the back takes both reliefs and the finished card is wider by them");
            }

            c.OpensFrom(basePiece["back"], Edge.Left);
            c.Does(Effect.Opens);
            Gates.OneLine(c, door + (back / 2));
            c.Step("Fold both doors in and burnish, each by itself.");
            c.Step("Close both and look along the middle: the gap is even from end to end.").Titled("look along the gap");
            c.Trouble("the doors touch or overlap", "no relief, or the card is thicker than reckoned",
                "trim a hair off one door's edge with the card open");
            c.Trouble("the gap is wider at one end", "a score that does not run square",
                "burnish the score again along a ruler; else cut anew");
            c.Watch("Layers on the doors must not reach over the gap.");
        });
}

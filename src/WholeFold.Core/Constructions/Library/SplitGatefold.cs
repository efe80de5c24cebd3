using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>Two doors of unequal width; one may carry decoration that overhangs the other.</summary>
internal static class SplitGatefold
{
    public static ConstructionFamily Family { get; } = new("split-gatefold", "Split gatefold",
        "two unequal doors open from where they meet",
        [new Choice("backKeeps", "the back keeps",
            "format: the sheet is trimmed and the finished card keeps its format; sheet: the sheet stays whole and the back grows",
            ["format", "sheet"], "format")], c =>
    {
        var keepsSheet = c.Chosen("backKeeps") == "sheet";
        var doors = c.Allow(new Doors());
        var relief = c.Length("relief", "relief", "the whole gap between the two doors", Pair.Of(1, 16, 1.5m),
            "a gap that one does not see and that keeps the doors apart", [(doors, new Doors().Because)],
            [(Pair.Of(3, 32, 2.5m), "more is a gap that one sees")], OnConversion.Fixed, least: "doors closer", most: "doors freer",
            zeroByHand: "The doors touch: their edges rub, and thick card will not lie flat.", so: "the doors do not touch");
        var left = c.Length("left", "left door", "width of the left door, the larger one unless it is made smaller", 0.62m * W,
            "0.62 of the card's width", [(W / 4, "a narrower door hardly covers")], [(0.75m * W, "a wider one leaves no second door")],
            least: "narrower left", most: "wider left");
        var basePiece = c.Piece("base", "Base", Axis.X, H, keepsSheet ? "twice the card's width, kept whole" : "twice the card's width, less the gap", "the card's height",
            [Panel("left", "left door", left), Panel("back", "back", keepsSheet ? W + relief : W), Panel("right", "right door", W - left - relief)],
            [Valley(90, "the left door"), Valley(90, "the left door and the back")]).Is(PartFunction.Meets, PartFunction.None);
        c.Trade("left", "left door", left, "right door", W - left - relief);
        c.Layer("left", "left door", basePiece, ["left"], Face.Down);
        c.Layer("right", "right door", basePiece, ["right"], Face.Down);
        c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, write: true);

        if (keepsSheet)
        {
            c.Grows("the sheet is kept whole, so the back takes the gap and the finished card is wider by it");
        }

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.Opens);
        Gates.OneLine(c, (2 * left) + (keepsSheet ? relief : relief / 2));
        c.Step("Fold both doors in and burnish, the narrow one first.");
        c.Trouble("the doors touch", "no relief, or a paper that reaches over the gap", "trim the paper, or a hair off the wider door");
        c.Watch("What overhangs a door belongs to one door only, or the card is glued shut.");
    });
}

using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A gatefold held shut by a tile with two pockets on its back, into which the doors slide.</summary>
internal static class SleeveGatefold
{
    public static ConstructionFamily Family { get; } = new(
        "sleeve-gatefold",
        "Sleeve gatefold",
        "a tile slides off and two doors open",
        [new Choice("die", "tile's die", "what the tile is cut with", ["square", "round"], "square")],
        c =>
        {
            var round = c.Chosen("die") == "round";
            var doors = c.Allow(new Doors());
            var relief = c.Length("relief", "relief", "how far each door stops short of the middle", Pair.Of(1, 16, 1.5m), "a gap that one does not see and that keeps the doors apart", [(doors, new Doors().Because), (Pair.Of(1, 32, 1m), "the least that a door needs")], [(Pair.Of(3, 32, 2.5m), "more is a gap that one sees")], OnConversion.Fixed, least: "doors closer", most: "doors freer", so: "the doors do not touch");
            var tile = c.Length("tile", "tile", "width and height of the tile, by its die", 0.75m * W, "0.75 of the card's width", [(W / 3, "a smaller tile does not hold the doors")], [(W, "a wider tile stands out of the card"), (H - Pair.Of(1, 4, 6m), "a border must show above and below")], OnConversion.Fixed, least: "more doors show", most: "surer hold");
            var pocket = c.Length("pocket", "pocket", "width and height of each pocket before it is folded in half", round ? (0.7m * tile) - Pair.Of(1, 8, 3m) : tile - Pair.Of(1, 4, 6m), round ? "0.7 of the tile, less ⅛ in, or 3 mm: a square that lies inside the round" : "the tile, less ¼ in, or 6 mm", [(Pair.Of(1, 1, 25m), "a narrower pocket does not hold a door")], [(round ? 0.7m * tile : tile - Pair.Of(1, 8, 3m), "a wider one shows beside the tile"), (W - (2 * relief) - Pair.Of(1, 8, 3m), "half of it must be narrower than a door")], OnConversion.Fixed, least: "hidden", most: "surer hold");
            var bow = c.Allow(new Sleeve(new Contents(Measure.Length.Zero, 1, "base")));
            c.Require("pocket-clears", (2 * relief) - bow, "a pocket bows round the door and its layer, and both folds lie in the gap");
            var door = (W / 2) - relief;
            var half = pocket / 2;
            c.Piece("base", "Base", Axis.X, H, "twice the card's width, less both reliefs", "the card's height", [Panel("left", "left door", door), Panel("back", "back", W), Panel("right", "right door", door)], [Valley(90, "half the card's width, less the relief, so that the doors do not touch"), Valley(90, "the left door and the back")]);
            c.Piece("tile", "Tile", Axis.X, tile, "the tile's width", "the tile's height, the same", [Panel("tile", "tile", tile)], []);
            c.Piece("pocket", "Pocket", Axis.X, pocket, "the pocket's width", "the pocket's height, the same", [Panel("front", "half on the tile", half), Panel("inner", "half behind the door", half)], [Valley(180, "half the pocket, hard; the fold lies on the tile's middle line", working: false)], quantity: 2);

            // The folds butt on the tile's middle line, so that the pockets open outwards.
            var (middle, low, high) = (tile / 2, (tile - pocket) / 2, (tile + pocket) / 2);
            c.Bond("left-pocket", "tile", "tile", Face.Down, new Region(middle, low, middle - half, high), "pocket:1", "front", Face.Down, new Region(half, pocket, Zero, Zero), "the fold on the tile's middle line, opening to the left");
            c.Bond("right-pocket", "tile", "tile", Face.Down, new Region(middle, low, middle + half, high), "pocket:2", "front", Face.Down, new Region(half, Zero, Zero, pocket), "the folds butting, this one opening to the right");
            c.Lies("sleeve", "base", "back", Face.Down, new Region(door + ((W - tile) / 2), (H - tile) / 2, door + ((W + tile) / 2), (H + tile) / 2), "tile", "tile", Face.Down, new Region(tile, Zero, Zero, tile), "slid on from the side, in the middle of the closed doors", takenOff: true);
            c.Trade("tile", "tile", tile, "doors that show", H - tile);
            c.Layer("door", "doors", "base", ["left", "right"], Face.Down);
            c.Layer("inside", "inside, for the message", "base", ["back"], Face.Up);
            c.Layer("tile", "tile", "tile", ["tile"], Face.Up);

            c.Does(Effect.Opens);
            c.Step("Fold the doors in and burnish; fold both pockets in half and burnish hard.");
            c.Press("Tape one half of each pocket to the tile's back, the folds butting on its middle line.", Pressed.Flat, "the folds touch along the tile's middle line and the pockets open outwards", "left-pocket", "right-pocket");
            c.Step("Slide one closed door into each pocket, the tile in the middle.");
            c.Trouble("the tile does not slide on", "tape shows at the pocket's mouth, or the door's layer is too thick", "keep the tape away from the open edge; a thinner layer");
            c.Trouble("the tile hangs askew", "the pockets are not at one height", "lift one pocket and set it again by the other");
            c.Watch("Layers on the doors go into the pockets with them: keep raised parts off where the tile slides.");
        });
}

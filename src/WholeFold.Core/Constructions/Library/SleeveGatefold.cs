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
        [new Choice("backKeeps", "the back keeps",
            "format: the sheet is trimmed and the finished card keeps its format; sheet: the sheet stays whole and the back grows",
            ["format", "sheet"], "format"), new Choice("die", "tile's die", "what the tile is cut with", ["square", "round", "oval"], "square"),
            new Choice("behind", "tile behind", "whether a second tile hides the pockets from behind", ["none", "tile"], "none")],
        c =>
        {
            var (oval, round) = (c.Chosen("die") == "oval", c.Chosen("die") != "square");
            var doors = c.Allow(new Doors());
            var relief = c.Length("relief", "relief", "how far each door stops short of the middle", Pair.Of(1, 16, 1.5m),
                "a gap that one does not see and that keeps the doors apart",
                [(doors, new Doors().Because), (Pair.Of(1, 32, 1m), "the least that a door needs")],
                [(Pair.Of(3, 32, 2.5m), "more is a gap that one sees")], OnConversion.Fixed, least: "doors closer", most: "doors freer",
                so: "the doors do not touch");
            var tile = c.Length("tile", "tile", oval ? "width of the tile, by its die" : "width and height of the tile, by its die",
                0.75m * W, "0.75 of the card's width", [(W / 3, "a smaller tile does not hold the doors")],
                [(W, "a wider tile stands out of the card"), (H - Pair.Of(1, 4, 6m), "a border must show above and below")],
                OnConversion.Fixed, least: "more doors show", most: "surer hold");
            var pocket = c.Length("pocket", "pocket", oval ? "width of each pocket before it is folded in half"
                : "width and height of each pocket before it is folded in half", round ? (0.7m * tile) - Pair.Of(1, 8, 3m)
                : tile - Pair.Of(1, 4, 6m), round ? "0.7 of the tile, less ⅛ in, or 3 mm: it lies inside the round"
                : "the tile, less ¼ in, or 6 mm", [(Pair.Of(1, 1, 25m), "a narrower pocket does not hold a door")],
                [(round ? 0.7m * tile : tile - Pair.Of(1, 8, 3m), "a wider one shows beside the tile"),
                (W - (2 * relief) - Pair.Of(1, 8, 3m), "half of it must be narrower than a door")], OnConversion.Fixed, least: "hidden",
                most: "surer hold");
            var bow = c.Allow(new Sleeve(new Contents(Measure.Length.Zero, 1, "base")));
            c.Require("pocket-clears", (2 * relief) - bow, "a pocket bows round the door and its layer, and both folds lie in the gap");
            var keepsSheet = c.Chosen("backKeeps") == "sheet";
            var (door, back) = ((W / 2) - relief, keepsSheet ? W + (2 * relief) : W);
            var half = pocket / 2;
            var (high, tall) = (tile, pocket);
            if (oval)
            {
                high = c.Length("tileHeight", "tile's height", "height of the oval, by its die", 0.75m * H, "0.75 of the card's height",
                    [(H / 3, "a lower tile does not hold the doors")], [(H - Pair.Of(1, 4, 6m), "a border must show above and below")],
                    OnConversion.Fixed, least: "more doors show", most: "surer hold");
                tall = c.Length("pocketHeight", "pocket's height", "height of each pocket", (0.7m * high) - Pair.Of(1, 8, 3m),
                    "0.7 of the tile's height, less ⅛ in, or 3 mm: with as much of the width it lies inside the oval",
                    [(Pair.Of(1, 1, 25m), "a lower pocket does not hold a door")], [(0.7m * high, "a higher one shows beside the tile")],
                    OnConversion.Fixed, least: "hidden", most: "surer hold");
            }

            var basePiece = c.Piece("base", "Base", Axis.X, H, keepsSheet ? "twice the card's width, kept whole"
                : "twice the card's width, less both reliefs", "the card's height",
                [Panel("left", "left door", door), Panel("back", "back", back), Panel("right", "right door", door)],
                [Valley(90, "half the card's width, less the relief, so that the doors do not touch"),
                Valley(90, "the left door and the back")]).Is(PartFunction.Meets, PartFunction.None);
            var tilePiece = c.Piece("tile", "Tile", Axis.X, high, "the tile's width", oval ? "the tile's height"
                : "the tile's height, the same", [Panel("tile", "tile", tile)], []).Is(PartFunction.Covers).ByDie();
            var pocketPiece = c.Piece("pocket", "Pocket", Axis.X, tall, "the pocket's width", oval ? "the pocket's height"
                : "the pocket's height, the same", [Panel("front", "half on the tile", half), Panel("inner", "half behind the door", half)],
                [Valley(180, "half the pocket, hard; the fold lies on the tile's middle line", working: false)], quantity: 2)
                .Is(PartFunction.IsHidden);

            // The folds butt on the tile's middle line, so that the pockets open outwards.
            var (middle, low, up) = (tile / 2, (high - tall) / 2, (high + tall) / 2);
            var leftPocketBond = c.Bond("left-pocket", tilePiece["tile"].Down(new Rectangle(middle, low, middle - half, up)),
                pocketPiece.Copy(1)["front"].Down(new Rectangle(half, tall, Zero, Zero)),
                "the fold on the tile's middle line, opening to the left");
            var rightPocketBond = c.Bond("right-pocket", tilePiece["tile"].Down(new Rectangle(middle, low, middle + half, up)),
                pocketPiece.Copy(2)["front"].Down(new Rectangle(half, Zero, Zero, tall)),
                "the folds butting, this one opening to the right");
            c.Lies("sleeve", basePiece["back"].Down(new Rectangle(door + ((back - tile) / 2), (H - high) / 2, door + ((back + tile) / 2),
                (H + high) / 2)), tilePiece["tile"].Down(new Rectangle(tile, Zero, Zero, high)),
                "slid on from the side, in the middle of the closed doors", takenOff: true);
            c.Trade("tile", "tile", tile, "doors that show", H - high);
            c.Layer("door", "doors", basePiece, ["left", "right"], Face.Down);
            c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, write: true);
            c.Layer("tile", "tile", tilePiece, ["tile"], Face.Up);

            if (keepsSheet)
            {
                c.Grows("the sheet is kept whole, so the back takes both reliefs and the finished card is wider by them");
            }

            c.OpensFrom(basePiece["back"], Edge.Left);
            c.Does(Effect.Opens);
            Gates.OneLine(c, door + (back / 2));
            c.Step("Fold the doors in and burnish; fold both pockets in half and burnish hard.");
            c.Press("Tape one half of each pocket to the tile's back, the folds butting on its middle line.", Pressed.Flat,
                "the folds touch along the tile's middle line and the pockets open outwards", leftPocketBond, rightPocketBond);
            if (c.Chosen("behind") == "tile")
            {
                // Between the doors and the back, its face away from one; the pockets lie between the two tiles.
                var backTilePiece = c.Piece("backTile", "Tile behind", Axis.X, high, "the tile's width", "the tile's height",
                    [Panel("tile", "tile behind", tile)], []).ByDie();
                var leftBehindBond = c.Bond("left-behind", pocketPiece.Copy(1)["inner"].Down(new Rectangle(half, tall, pocket, Zero)),
                    backTilePiece["tile"].Down(new Rectangle(middle, low, middle + half, up)), "level with the tile in front");
                var rightBehindBond = c.Bond("right-behind", pocketPiece.Copy(2)["inner"].Down(new Rectangle(half, Zero, pocket, tall)),
                    backTilePiece["tile"].Down(new Rectangle(middle, low, middle - half, up)), "level with the tile in front");
                c.Press("Tape the second tile over the pockets' other halves.", Pressed.Flat, "the two tiles cover each other all round",
                    leftBehindBond, rightBehindBond);
            }

            c.Step("Slide one closed door into each pocket, the tile in the middle.").Titled("slide the tile on");
            c.Trouble("the tile does not slide on", "tape shows at the pocket's mouth, or the door's paper is too thick",
                "keep the tape away from the open edge; a thinner paper");
            c.Trouble("the tile hangs askew", "the pockets are not at one height", "lift one pocket and set it again by the other");
            c.Watch("Layers on the doors go into the pockets with them: keep raised parts off where the tile slides.");
        });
}

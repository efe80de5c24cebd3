using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>Rows of square tubes one before the other, a face across each pair; all shear flat together.</summary>
internal static class PillarTiers
{
    public static ConstructionFamily Family { get; } = new(
        "pillar-tiers",
        "Pillar tiers",
        "stands as steps of faces on square pillars",
        [
            new Choice("rows", "rows", "how many rows of pillars stand before the back", ["1", "2", "3", "4"], "3"),
            new Choice("flatten", "goes flat",
                "every row the other way, which needs less room, or all one way, which is easier to stand up", ["alternate", "oneWay"],
                "alternate"),
        ],
        c =>
        {
            var n = c.Count("rows");
            var alternate = c.Chosen("flatten") == "alternate";
            var s = c.Length("side", "side", "side of the square pillars", alternate ? W / 6 : W / (5 + n), alternate
                ? "a sixth of the card's width" : $"one of {5 + n} parts of the card's width, since every row slides the same way",
                [(Construction.SmallestPanel, "a narrower pillar does not stand")],
                [(W / (alternate ? 4 : 3 + n), "wider pillars meet in the middle")], least: "wider faces", most: "deeper steps",
                so: "the pillars stand");
            var w0 = alternate ? W - s : W - (n * s);
            var step = c.Length("step", "step", "how much lower each row is than the one behind it", 0.26m * H, "0.26 of the card's height",
                [(Zero, "a row cannot be higher than the one behind it")], [(H / n, "the first row would have no height left")],
                least: "even rows", most: "steeper steps");
            var last = H - ((n - 1) * step);
            var front = c.Length("frontFace", "front face", "height of the face on the first row", last - (step / 2),
                "half a step lower than its pillars", [(Construction.SmallestPanel, "a lower face shows nothing")],
                [(last, "a higher one stands above its pillars")], least: "lower", most: "higher");
            var shave = c.Allow(new Tube());
            var backPiece = c.Piece("back", "Back", Axis.X, H, alternate ? "the card's width less one side, which the pillars slide by"
                : $"the card's width less the {n} sides by which the rows slide", "the card's height", [Panel("back", "back", w0)], []);
            c.Layer("back", "back, between the pillars", backPiece, ["back"], Face.Up, free: new Rectangle(s, Zero, w0 - s, H));
            var behind = backPiece["back"];
            var (tubes, pillars, faces) = (new List<BondHandle>(), new List<BondHandle>(), new List<BondHandle>());
            for (var i = 1; i <= n; i++)
            {
                var height = H - ((i - 1) * step);
                var face = i == n ? front : H - (i * step);
                var (pillar, name) = ($"pillar{i}", n == 1 ? "Pillar" : $"Pillar {i}");
                var pushedRight = !alternate || i % 2 == 1;
                var (odd, even) = pushedRight ? (-180, 0) : (0, -180);
                var pillarPiece = c.Piece(pillar, name, Axis.X, height, "four sides and the flap that goes inside", i == 1
                    ? "the card's height" : "a step lower than the row behind it",
                    [Panel("behind", "panel behind", s), Panel("left", "left side", s), Panel("front", "pillar front", s),
                    Panel("right", "right side", s), Tab("flap", "flap", s - shave)], [
                    Mountain(-90, "a side", closed: odd), Mountain(-90, "two sides", closed: even),
                        Mountain(-90, "three sides", closed: odd), Mountain(-90,
                        "four sides; the flap is what is left, a hair less than a side", closed: even),
                ], quantity: 2).Is(PartFunction.GoesInside, PartFunction.None);
                var facePiece = c.Piece($"face{i}", n == 1 ? "Face" : $"Face {i}", Axis.X, face, "the back's width", i == n
                    ? "the front face's height" : "as high as the next row's pillars", [Panel("face", "face", w0)], []).Is(PartFunction.IsHidden, PartFunction.None);
                foreach (var copy in new[] { 1, 2 })
                {
                    var (own, id, at) = (pillarPiece.Copy(copy), $"{pillar}:{copy}", copy == 1 ? Zero : w0 - s);
                    var side = copy == 1 ? "left" : "right";
                    tubes.Add(c.Bond($"{id}-tube", own["behind"].Down(new Rectangle(Zero, Zero, s - shave, height)),
                        own["flap"].Up(new Rectangle(4 * s, Zero, (5 * s) - shave, height)),
                        "the flap's crease into the first edge, inside the tube"));
                    pillars.Add(c.Bond($"{id}-behind", behind.Up(new Rectangle(at + s, Zero, at, height)),
                        own["behind"].Up(new Rectangle(Zero, Zero, s, height)), $"{side} edges level, feet level"));
                    faces.Add(c.Bond($"{id}-face", facePiece["face"].Down(new Rectangle(at, Zero, at + s, face)),
                        own["front"].Up(new Rectangle(2 * s, Zero, 3 * s, face)), $"{side} edges level, feet level"));
                }

                c.Layer($"pillar{i}", $"pillar fronts{(n == 1 ? "" : $", row {i}")}", pillarPiece, ["front"], Face.Up);
                c.Layer($"face{i}", i == n ? $"face{(n == 1 ? "" : $", row {i}")}" : $"face, row {i}, between the next pillars", facePiece, ["face"],
                    Face.Up, free: i == n ? null : new Rectangle(s, Zero, w0 - s, face));
                behind = facePiece["face"];
            }

            c.NamedShown(backPiece["back"]);
            c.Trade("side", "depth of a step", s, "faces", w0);

            c.Does(Effect.Stands);
            c.Press("Close each pillar: its flap goes inside, against the first edge.", Pressed.Closed,
                "the pillar folds flat both ways and its corners stay square", tubes);
            for (var i = 1; i <= n; i++)
            {
                var row = n == 1 ? "" : $" of row {i}";
                c.Press($"Bond the two pillars{row} on the {(i == 1 ? "back" : $"face of row {i - 1}")}, both pushed flat the same way.", Pressed.Closed,
                    "outer edges and feet are level", [.. pillars.Skip(2 * (i - 1)).Take(2)]);
                c.Press($"Put the paper on the pillars{row}, and lay the face over both while they lie flat.", Pressed.Closed,
                    "the face's ends are level with the pillars' outer edges, bottoms level", [.. faces.Skip(2 * (i - 1)).Take(2)]);
            }

            c.Step("Stand it up, and lay it flat again the way it goes.").Titled("stand it up");
            c.Trouble("a pillar is skewed when it stands", "its flap was not shaved, or not pushed into the edge",
                "open the seam, shave the flap by a hair and close it again");
            c.Trouble("the white core shows at a pillar's edge", "card that is coloured on one side",
                "card that is coloured through, or ink along the edge");
            c.Watch("Seams go on the hidden side, against the panel behind.");
        });
}

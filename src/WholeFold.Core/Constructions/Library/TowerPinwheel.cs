using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A square tower with four fins that all turn the same way; it lies flat by shearing.</summary>
internal static class TowerPinwheel
{
    public static ConstructionFamily Family { get; } = new("tower-pinwheel", "Tower pinwheel", "stands as a tower with four fins", [], c =>
    {
        var f = W / 2;
        var s = c.Length("side", "side", "width of the tower's sides", 0.18m * W, "0.18 of the card's width",
            [(Construction.SmallestPanel, "a narrower tower does not stand")],
            [(f - Construction.SmallestPanel, "the fins must stand out by ⅜ in, or 10 mm")], least: "slimmer tower", most: "shorter fins");
        var stripPiece = c.Piece("strip", "Strip", Axis.X, H, "the four sides and the first fin",
            "the card's height, cut alike on all four", [Panel("side1", "side 1", s), Panel("side2", "side 2", s),
            Panel("side3", "side 3", s), Panel("side4", "side 4", s), Panel("fin", "fin", f)],
            [Mountain(-90, "a side", closed: 0), Mountain(-90, "two sides"), Mountain(-90, "three sides", closed: 0),
            Mountain(-90, "four sides; the fin is what is left")]).Is(PartFunction.None, PartFunction.CutAlike);
        var finPiece = c.Piece("fin", "Fin", Axis.X, H, "half the card's width", "the card's height, cut alike on all four",
            [Panel("fin", "fin", f)], [], quantity: 3).Is(PartFunction.None, PartFunction.CutAlike);
        Rectangle On(Affine from, Affine to) => new(from, Zero, to, H);
        var tubeBond = c.Bond("tube", stripPiece["side1"].Up(On(Zero, s)), stripPiece["fin"].Down(On(4 * s, 5 * s)),
            "the first side's edge into the fin's crease");
        var fins = new List<BondHandle>();
        for (var i = 1; i <= 3; i++)
        {
            fins.Add(c.Bond($"fin{i}", stripPiece[$"side{i + 1}"].Up(On(i * s, (i + 1) * s)), finPiece.Copy(i)["fin"].Down(On(Zero, s)),
                $"the fin's edge against the crease before side {i + 1}, feet level"));
        }

        c.NamedShown(finPiece["fin"]);
        c.Trade("side", "tower", s, "fins", f - s);
        c.Layer("outer", "outer face of the strip's fin", stripPiece, ["fin"], Face.Up);
        c.Layer("outer-fins", "outer faces of the fins", finPiece, ["fin"], Face.Up);
        c.Layer("inner", "inner face of the strip's fin", stripPiece, ["fin"], Face.Down, free: new Rectangle(5 * s, Zero, (4 * s) + f, H));
        c.Layer("inner-fins", "inner faces of the fins", finPiece, ["fin"], Face.Down, free: new Rectangle(s, Zero, f, H));

        c.Does(Effect.Stands);
        c.Step("Fold the strip's scores and burnish both ways.");
        c.Press("Bond each further fin with its edge against a fold, covering a side, all turning the same way, while the strip lies flat.",
            Pressed.Flat, "every fin covers a side from fold to fold, bottoms level", fins);
        c.Press("Close the tube: the first side on the start of the fin.", Pressed.Closed,
            "the edge lies in the fold, the tube folds flat both ways, and four fins stand out alike when it is open", tubeBond);
        c.Trouble("it stands on three fins", "the four are not equally high", "trim all four on the trimmer at one setting");
        c.Watch("Cut the strip and the fins to one height at one setting.");
    });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A front in three that bows out as a bay, held by a hook along its edge.</summary>
internal static class BayWindowHook
{
    public static ConstructionFamily Family { get; } = new("bay-window-hook", "Bay window, hooked",
        "the front bows out and hooks itself behind an element",
        [new Choice("angle", "angle", "how far the bay bows out, in degrees; it changes no figure", ["30", "45", "60"], "45")], c =>
    {
        var angle = c.Count("angle");
        var smallest = Pair.Of(3, 16, 5m);
        var hook = c.Length("hook", "hook", "width of the hook along the fore-edge", Pair.Of(1, 4, 6m), "¼ in, or 6 mm: enough to catch",
            [(smallest, "a narrower hook slips off")], [(Pair.Of(3, 8, 10m), "a wider one shows")], OnConversion.Fixed, least: "hidden",
            most: "surer catch", so: "it catches under what overhangs");
        var glue = c.Length("glue", "glue strip", "width of the strip that is bonded beside the spine", Pair.Of(1, 4, 6m),
            "¼ in, or 6 mm: what a strip of tape needs", [(smallest, "a narrower strip springs open")],
            [(Pair.Of(1, 2, 12m), "a wider one takes from the bay")], OnConversion.Fixed, least: "wider bay", most: "surer bond",
            so: "the bay holds");
        var b = c.Length("centre", "centre", "width of the bay's middle", 0.36m * W, "0.36 of the card's width",
            [(W / 4, "a narrower middle makes a point and no bay")], [(W / 2, "a wider one hardly bows")], least: "deeper bay",
            most: "wider middle");
        var a = (W - b - hook - glue) / 2;
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("hook", "hook", hook, smallest), Panel("left", "bay left", a), Panel("middle", "bay middle", b),
            Panel("right", "bay right", a), Panel("glue", "glue strip", glue, smallest), Panel("back", "back", W)], [
            Mountain(-angle, "the hook", closed: 0),
            Valley(angle, "the hook and the bay's left", closed: 0),
            Valley(angle, "then its middle", closed: 0),
            Mountain(-angle, "then its right", closed: 0),
            Valley(180, "the card's width: the spine, which is bonded and never moves again", working: false),
        ]);
        var glueBond = c.Bond("glue", basePiece["glue"].Up(new Rectangle(W - glue, Zero, W, H)),
            basePiece["back"].Up(new Rectangle(W + glue, Zero, W, H)), "fold the spine hard and press the strip down beside it");
        // Bowed out by the angle the bay is narrower, so the hook's tip comes nearer to the spine; what catches it stands there.
        var cosine = angle switch { 30 => Rational.Of(0.866m), 60 => Rational.Of(0.5m), _ => Rational.Of(0.7071m) };
        var tip = glue + (2 * cosine * a) + b + hook;
        c.Place("hook-tip", "the hook's tip", "the spine", tip, "shown", "nothing is drawn: what catches it covers the place");
        c.Place("catch", "the edge of the catch's bonded part that is nearer to the spine", "the spine", tip, "shown", "covered by the catch");
        c.Place("catch-width", "the catch's bonded part, at its widest", "the fore-edge", W - tip, "shown", "covered by the catch");
        c.Place("catch-reach", "the catch's free part, at its least, towards the spine from its bonded part", "the hook's tip", hook + Pair.Of(1, 16, 1.5m), "shown",
            "nothing is drawn");
        c.Trade("centre", "middle", b, "bay depth", a);
        c.Layer("sides", "bay sides", basePiece, ["left", "right"], Face.Down);
        c.Layer("middle", "bay middle", basePiece, ["middle"], Face.Down);
        c.Layer("inside", "inside, for the message", basePiece, ["back"], Face.Up, free: new Rectangle(W + glue, Zero, 2 * W, H), write: true);

        c.OpensFrom(basePiece["back"], Edge.Left);
        c.Does(Effect.Opens);
        c.Step("Fold the bay's scores and burnish both ways; burnish the hook's only lightly.");
        c.Press("Bond the glue strip on the back beside the spine.", Pressed.Closed, "the fold lies along the spine, top and bottom level",
            glueBond);
        c.Step("Burnish the edges of the bay again, now that the strip holds them.").Titled("burnish the bay again");
        c.Step("Bow the bay out, bond the catch where the hook comes to lie, its free part without adhesive, and catch the hook under it.", "hook-tip", "catch",
            "catch-width", "catch-reach").Titled("set the catch");
        c.Trouble("the hook slips out", "the element's free half is too short",
            "let it reach the hook's width and a sixteenth towards the spine");
        c.Trouble("the bay springs open", "the strip beside the spine is loose", "press it down again along the spine, with stronger tape");
        c.Watch("Elements may cross the two folds of the bay's middle, glued on one side; never those beside the hook and the glue strip.");
    });
}

using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A card that a slide pulls up into a box to stand on; its foot is held between the box's two flaps.</summary>
internal static class SliderStand
{
    public static ConstructionFamily Family { get; } = new("slider-stand", "Slider stand",
        "a slide pulls the card up onto a box that it stands on",
        [new Choice("cover", "cover", "whether a folded cover goes round the slide", ["none", "folded"], "none")], c =>
    {
        var covered = c.Chosen("cover") == "folded";
        var q = c.Length("box", "box", "height of the box that it stands on", 0.18m * W, "0.18 of the card's width",
            [(Pair.Of(1, 2, 12m), "a lower box falls over")], [(W / 3, "a higher one leaves no slide")], least: "taller slide",
            most: "higher box");
        var f = c.Length("flap", "flap", "height of the flaps that hold the slide's foot, and of its grip", 0.18m * W,
            "0.18 of the card's width", [(Pair.Of(1, 2, 12m), "a lower flap does not hold the slide upright")],
            [(q, "higher flaps do not stand inside the box")], least: "lower grip", most: "surer hold");
        var light = c.Allow(new LightCard("base"));
        var edge = c.Length("edge", "edge", "how far the slit stays from either end", light + Pair.Of(1, 4, 6m),
            "¼ in, or 6 mm; ⅜ in, or 10 mm, in card under 200 g/m²", [(Pair.Of(3, 16, 5m), "a narrower edge tears")],
            [(H / 4, "a wider one leaves a narrow slide")], OnConversion.Fixed, least: "wider slide", most: "stronger edge",
            so: "the ends of the slit do not tear");
        var ease = c.Allow(new Slit(Measure.Length.In(1, 32)));
        var p = (W - f - q) / 2;
        var basePiece = c.Piece("base", "Base", Axis.X, H, "twice the card's width", "the card's height",
            [Panel("flap1", "first flap", f), Panel("floor1", "first floor", p), Panel("box1", "first box side", q),
            Panel("top1", "first top", p), Panel("top2", "second top", p), Panel("box2", "second box side", q),
            Panel("floor2", "second floor", p), Panel("flap2", "second flap", f)], [
            Valley(90, "the flap"),
            Valley(90, "the flap and the floor", closed: 0),
            Valley(90, "then the box", closed: 0),
            Valley(0, "the card's width: the middle, where the slit is"),
            Valley(90, "then the top again", closed: 0),
            Valley(90, "then the box again", closed: 0),
            Valley(90, "then the floor; the second flap is what is left"),
        ]);
        // The cover is its front, its back and the glue strip between them; with the slide in it too thick for a plain knife cut.
        var gap = c.Allow(new SlitWidth(covered ? new Contents(Measure.Length.Zero, 0, "slide", "cover", "cover", "cover")
            : new Contents(Measure.Length.Zero, 0, "slide")));
        basePiece.Opening("slit", "slit", "top1", new Rectangle(W, edge, W + gap, H - edge),
            "along the middle crease, short of either end by the edge, and as wide as what goes through is thick", CutKind.Slit);
        var slit = H - (2 * edge) - ease;
        var bow = covered ? c.Allow(new Sleeve(new Contents(Measure.Length.Zero, 0, "slide"))) : Zero;
        var through = covered ? slit - bow - c.Allow(new Walls("cover")) : slit;
        var wide = c.Length("slideWidth", "slide's width", "width of the slide, which may be anything up to what the slit lets through", through,
            covered ? "the slit's length, less the clearance at either end and the cover" : "the slit's length, less the clearance at either end",
            [(Construction.SmallestPanel, "a narrower slide does not hold the card up")],
            [(through, covered ? "with its cover a wider one binds in the slit" : "a wider one binds in the slit")], least: "narrower",
            most: "wider", so: "it passes the slit");
        var slidePiece = c.Piece("slide", "Slide", Axis.X, wide, "the card's width", "the slide's width",
            [Panel("slide", "slide", W)], []).Is(PartFunction.None, PartFunction.Slides);
        Rectangle Foot(Affine from, Affine to) => new(from, (H - wide) / 2, to, (H + wide) / 2);
        var foot1Bond = c.Bond("foot1", basePiece["flap1"].Down(Foot(f, Zero)),
            slidePiece["slide"].Down(new Rectangle(Zero, Zero, f, wide)),
            "through the slit first; then the foot level with the flap's crease, in the middle of it");
        var foot2Bond = c.Bond("foot2", basePiece["flap2"].Down(Foot((2 * W) - f, 2 * W)),
            slidePiece["slide"].Up(new Rectangle(Zero, Zero, f, wide)), "the other flap on the other face, folds level");
        c.LooksAt(slidePiece["slide"], Axis.X);
        c.Trade("box", "box", q, "slide", p);
        c.Layer("front", "front, above the box", basePiece, ["top1"], Face.Down);
        c.Layer("box", "box sides", basePiece, ["box1", "box2"], Face.Down);

        c.Does(Effect.Stands);
        if (covered)
        {
            var (inside, backOnSlide) = Cover(c, slidePiece, f, wide, bow);
            c.Press("Lay the slide on the middle panel of the cover and bond it there.", Pressed.Flat,
                "its top is level with the cover's, and the same gap is left along both folds", backOnSlide);
            c.Press("Fold the glue strip over, then the other panel on it, round the slide.", Pressed.Closed,
                "the cover lies flat, its edge along the fold, and does not grip the slide", inside);
        }

        c.Step("Fold every score one way and burnish both ways; push the slide through the slit.");
        c.Press("Bond the slide's foot between the outer faces of the two flaps.", Pressed.Closed,
            "the foot and both folds are level, and the slide stands in the middle of the slit", foot1Bond, foot2Bond);
        c.Step("Pull the slide up and stand the card on its box.").Titled("pull the slide up");
        c.Trouble("the slide binds", "it touches the ends of the slit", "trim a hair off one side of the slide");
        c.Trouble("the box leans", "one flap is glued higher than the other", "ease it off and set both folds level");
        c.Watch("What is on the slide must be flat where it passes the slit.");
    });

    /// <summary>A folded cover round the slide, level with its head: a strip of two panels that is closed by a glue strip.</summary>
    /// <param name="bow">What it is wider inside than the slide, since it bows round it.</param>
    /// <returns>The bond that closes it, and the one that holds the slide in it.</returns>
    private static (BondHandle Closes, BondHandle Holds) Cover(ConstructionBuilder c, PieceHandle slide, Affine flap, Affine wide, Affine bow)
    {
        Affine glue = Pair.Of(3, 8, 10m);
        var high = c.Length("coverHeight", "cover's height", "height of the cover, from the slide's head down", W - flap,
            "all of the slide that stands above the flaps", [(Pair.Of(1, 1, 25m), "a lower cover slips off its line")],
            [(W - flap, "a higher one would lie between the flaps")], least: "more slide shows", most: "covers more", so: "the flaps hold the slide itself");
        var panel = wide + bow;
        var cover = c.Piece("cover", "Cover", Axis.Y, high, "both panels and the glue strip", "the cover's height",
            [Tab("glue", "glue strip", glue), Panel("back", "back of the cover", panel), Panel("front", "front of the cover", panel)],
            [Valley(180, "the glue strip", working: false), Valley(180, "the glue strip and the slide with its ease", working: false)]);
        var edge = glue + (bow / 2);
        var holds = c.Bond("cover-slide", slide["slide"].Down(new Rectangle(W - high, Zero, W, wide)),
            cover["back"].Up(new Rectangle(Zero, edge, high, edge + wide)), "the heads level, the slide in the middle between the creases");
        var closes = c.Bond("cover-closes", cover["glue"].Down(new Rectangle(Zero, Zero, high, glue)),
            cover["front"].Up(new Rectangle(Zero, 2 * panel, high, (2 * panel) + glue)), "the front's edge along the crease of the glue strip");
        return (closes, holds);
    }
}

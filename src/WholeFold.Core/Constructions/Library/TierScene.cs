using System.Globalization;
using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A back with two walls, and tiers across them that shear flat: closed, the front slides sideways by the depth.</summary>
internal static class TierScene
{
    public static ConstructionFamily Family { get; } = new(
        "tier-scene",
        "Tier scene",
        "stands as a stage with tiers one behind the other",
        [new Choice("tiers", "tiers", "how many tiers stand between the walls", ["1", "2", "3"], "2")],
        c =>
        {
            var n = c.Count("tiers");
            var depth = c.Length("depth", "depth", "how deep the scene is, which is also how far it slides to close", 0.18m * W,
                "0.18 of the card's width",
                [(n * Affine.Constant(Pair.Of(1, 2, 12m)), "each tier needs ½ in, or 12 mm, to stand clear of the next")],
                [(W / 2, "more would leave a back narrower than its walls")], least: "wider scene", most: "deeper scene");
            var middle = W - depth;
            var f = depth / n;
            var basePiece = c.Piece("base", "Base", Axis.X, H, "the card's width and the depth once more", "the card's height",
                [Panel("wall-left", "left wall", depth), Panel("back", "back", middle), Panel("wall-right", "right wall", depth)],
                [Valley(90, "the depth"), Valley(90, "the depth and the back; the right wall is what is left", closed: 0)]);
            var (lefts, rights) = (new List<BondHandle>(), new List<BondHandle>());
            for (var i = 1; i <= n; i++)
            {
                var share = n == 1 ? new Rational(3, 5) : Rational.Of(0.6m) + (new Rational(22, 100) * new Rational(i - 1, n - 1));
                var percent = ((decimal)share.Numerator / share.Denominator).ToString("0.##", CultureInfo.InvariantCulture);
                var tier = $"tier{i}";
                var name = n == 1 ? "Tier" : $"Tier {i}";
                var height = c.Length($"{tier}Height", $"{name.ToLowerInvariant()} height",
                    $"height of {(n == 1 ? "the tier" : $"tier {i}, counted from the front")}", share * H,
                    $"{percent} of the card's height, each tier a little higher than the one before it",
                    [(Construction.SmallestPanel, "a lower tier does not show")], [(H, "a higher tier stands out of the closed card")],
                    least: "lower", most: "higher");
                var tierPiece = c.Piece(tier, name, Axis.X, height, "the card's width and one bay more, since both tabs are a bay wide",
                    $"the height of {(n == 1 ? "the tier" : $"tier {i}")}",
                    [Tab("tab-left", "left tab", f), Panel("face", "face", middle), Tab("tab-right", "right tab", f)],
                    [Mountain(-90, n == 1 ? "the depth" : $"the depth shared by {n} tiers", closed: 0),
                    Mountain(-90, "the left tab and the face")]);
                c.Layer(tier, $"{name.ToLowerInvariant()} face", tierPiece, ["face"], Face.Up);

                // Counted from the rear: the tier's crease stands k bays out from the wall's own crease, its tab points back.
                var k = n - i + 1;
                Rectangle Strip(Affine from, Affine to) => new(from, Zero, to, height);
                lefts.Insert(0, c.Bond($"{tier}-left", basePiece["wall-left"].Up(Strip(depth - ((k - 1) * f), depth - (k * f))),
                    tierPiece["tab-left"].Up(Strip(Zero, f)), k == 1 ? "tab's edge into the left crease, flush at the foot"
                    : $"tab's edge against tier {i + 1}'s crease, flush at the foot"));
                rights.Insert(0, c.Bond($"{tier}-right",
                    basePiece["wall-right"].Up(Strip(depth + middle + (k * f), depth + middle + ((k - 1) * f))),
                    tierPiece["tab-right"].Up(Strip(f + middle, (2 * f) + middle)), "the same on the right"));
            }

            c.NamedShown(basePiece["back"]);
            c.Trade("depth", "depth", depth, "scene", middle);
            c.Layer("back", "back", basePiece, ["back"], Face.Up, scene: true);
            c.Layer("message", "behind the back, for the message", basePiece, ["back"], Face.Down, write: true);

            c.Does(Effect.Stands);
            c.Step("Fold the base and the tiers and burnish both ways.");
            c.Press("Bond the tiers' left tabs to the left wall, the rear one first, the base lying flat.", Pressed.Flat,
                "the rear tier's tab lies in the wall's fold, the next tab touches the one before, bottoms level", lefts);
            c.Press("Put adhesive on the right tabs and lay the base shut on them.", Pressed.Closed,
                "opened, every tier stands square to the walls", rights);
            c.Step("Fold it flat sideways, press, and open it again.").Titled("fold it flat");
            c.Trouble("it does not fold flat", "glue beyond a tab, or a tab over the fold",
                "ease it off with a palette knife and set it by the fold");
            c.Trouble("a tier bulges when it stands", "its two tabs are not at one distance",
                "set the loose side again with the base flat");
            c.Watch("Figures taller than a tier are glued below its top edge, and never to what is behind.");
        });
}

using WholeFold.Core.Measure;
using static WholeFold.Core.Constructions.Affine;
using static WholeFold.Core.Constructions.ConstructionBuilder;

namespace WholeFold.Core.Constructions.Library;

/// <summary>A zigzag of one sheet with panels that hang in it by their middle strips and swing through as it opens.</summary>
internal static class DoubleSwing
{
    public static ConstructionFamily Family { get; } = new(
        "double-swing",
        "Double swing",
        "opens as a zigzag frame with panels that swing through it",
        [
            new Choice("swings", "swings", "how many panels swing", ["1", "2"], "2"),
            new Choice("folding", "folding",
                "which way the strips zigzag: each panel before the last, the middle one standing before the others, or behind them",
                ["steps", "forward", "back"], "steps"),
        ],
        c =>
        {
            var two = c.Chosen("swings") == "2";
            var u = c.Length("strip", "strip", "width of the strips that carry the swings, and of the outer posts", W / (two ? 5 : 3), two
                ? "a fifth of the card's width, as all posts are" : "a third of the card's width, as both posts are",
                [(Construction.SmallestPanel, "a narrower strip tears")],
                [two ? ((W - Construction.SmallestPanel) / 4, "wider ones leave no post between the swings")
                : (W / 3, "a wider swing stands out of the card")], least: "narrower swings", most: "wider swings");
            var rail = c.Length("rail", "rail", "height of the rails above and below what swings", H / 6, "a sixth of the card's height",
                [(Pair.Of(1, 2, 12m), "a lower rail bends when it swings")], [(H / 4, "higher rails leave little to swing")],
                least: "more swings", most: "stiffer frame", so: "the frame stands");

            // By which way each strip zigzags: with one strip a card can only step forward or back.
            int[] signs = (c.Chosen("folding"), two) switch
            {
                ("forward", true) => [1, -1, -1, 1],
                ("back", true) => [-1, 1, 1, -1],
                ("back", false) => [-1, 1],
                (_, true) => [1, -1, 1, -1],
                _ => [1, -1],
            };
            string[] rules = two ? ["two strips", "three strips", "the card's width and a strip", "the card's width and two strips"]
                : ["two strips", "three strips"];
            var onRails = new[] { new Stretch(Zero, rail), new Stretch(H - rail, H) };
            var creases = signs.Select((sign, i) =>
            {
                var rule = $"{rules[i]}, on the rails only";
                return (sign > 0 ? Valley(90, rule) : Mountain(-90, rule)) with { Stretches = onRails };
            }).ToArray();
            Panel[] panels = [Panel("left", "left frame", 2 * u), Panel("strip1", "strip", u), .. two
                ? [Panel("middle", "middle frame", W - (2 * u)), Panel("strip2", "second strip", u)] : Array.Empty<Panel>(),
                Panel("right", "right frame", two ? 2 * u : W - u)];
            var basePiece = c.Piece("base", "Base", Axis.X, H, two ? "the card's width and four strips" : "the card's width and two strips",
                "the card's height", panels, creases);

            // Each swing is cut free on both sides of its strip, and stays on it in the middle.
            var (low, high) = (rail, H - rail);
            Affine[] starts = two ? [u, W] : [u];
            var end = W + ((two ? 4 : 2) * u);
            for (var i = 0; i < starts.Length; i++)
            {
                var (from, name) = (starts[i], two ? i == 0 ? "first swing" : "second swing" : "swing");
                basePiece.Opening($"swing{i + 1}-left", name, $"strip{i + 1}",
                    new Rectangle(from, low, from + u, high), "along both rails and down its edge", CutKind.Flap, staysOn: Edge.Right);
                basePiece.Opening($"swing{i + 1}-right", name, $"strip{i + 1}",
                    new Rectangle(from + (2 * u), low, from + (3 * u), high), "along both rails and down its edge", CutKind.Flap,
                    staysOn: Edge.Left);
            }

            // A frame keeps what the swings beside it leave; a strip carries its swing.
            Plate Frame(string id, string name, Affine left, Affine innerLeft, Affine innerRight, Affine right, string? on, int by) =>
                new(id, name,
                [At(left, Zero), At(right, Zero), At(right, low), At(innerRight, low), At(innerRight, high), At(right, high), At(right, H),
                    At(left, H), At(left, high), At(innerLeft, high), At(innerLeft, low), At(left, low)], on, by);
            var plates = two
                ? new[]
                {
                    Frame("left", "left frame", Zero, Zero, u, 2 * u, null, -1),
                    Frame("strip1", "strip with its swing", 2 * u, u, 4 * u, 3 * u, "left", 0),
                    Frame("middle", "middle frame", 3 * u, 4 * u, W, W + u, "strip1", 1),
                    Frame("strip2", "second strip with its swing", W + u, W, W + (3 * u), W + (2 * u), "middle", 2),
                    Frame("right", "right frame", W + (2 * u), W + (3 * u), end, end, "strip2", 3),
                }
                :
                [
                    Frame("left", "left frame", Zero, Zero, u, 2 * u, null, -1),
                    Frame("strip1", "strip with its swing", 2 * u, u, 4 * u, 3 * u, "left", 0),
                    Frame("right", "right frame", 3 * u, 4 * u, end, end, "strip1", 1),
                ];
            basePiece.Plates(plates);
            string[] swings = two ? ["strip1", "strip2"] : ["strip1"];
            Rectangle Swing(int i) => new(starts[i], low, starts[i] + (3 * u), high);
            c.Layer("swing", "swings", basePiece, swings, Face.Up, frees: [.. swings.Select((_, i) => Swing(i))]);
            c.Layer("swing-back", "swings, behind", basePiece, swings, Face.Down, frees: [.. swings.Select((_, i) => Swing(i))]);
            string[] posts = two ? ["left", "middle", "right"] : ["left", "right"];
            c.Layer("post", "posts", basePiece, posts, Face.Up,
                frees: [.. posts.Select((_, i) => new Rectangle(i == 0 ? Zero : starts[i - 1] + (3 * u), low, i < starts.Length ? starts[i]
                : end, high))]);
            c.Layer("post-back", "posts, behind", basePiece, posts, Face.Down,
                frees: [.. posts.Select((_, i) => new Rectangle(i == 0 ? Zero : starts[i - 1] + (3 * u), low, i < starts.Length ? starts[i]
                : end, high))]);
            Rectangle Rail(int i, bool upper)
            {
                var (from, to) = (i == 0 ? Zero : i == 1 ? 3 * u : W + (2 * u), i == posts.Length - 1 ? end : i == 0 ? 2 * u : W + u);
                return upper ? new Rectangle(from, high, to, H) : new Rectangle(from, Zero, to, low);
            }

            c.Layer("rail-upper", "upper rail", basePiece, posts, Face.Up, frees: [.. posts.Select((_, i) => Rail(i, upper: true))]);
            c.Layer("rail-lower", "lower rail", basePiece, posts, Face.Up, frees: [.. posts.Select((_, i) => Rail(i, upper: false))]);
            c.Layer("rail-upper-back", "upper rail, behind", basePiece, posts, Face.Down, frees: [.. posts.Select((_, i) => Rail(i, upper: true))]);
            c.Layer("rail-lower-back", "lower rail, behind", basePiece, posts, Face.Down, frees: [.. posts.Select((_, i) => Rail(i, upper: false))]);
            c.Trade("rail", "rails", rail, "height of what swings", H - (2 * rail));

            c.Does(Effect.Turns);
            c.Step("Fold the rails as a zigzag and burnish, the swings kept flat in the middle.");
            c.Step("Keep it open until its papers are on, front and back.").Titled("keep it open").OnlyIf(StepCase.Papered);
            c.Trouble("a swing catches its frame", "a cut that stops short of its corner", "finish the corner with the point of the knife");
            c.Trouble("a swing has a fold in it", "a score that runs on into it", "burnish it flat from behind; score on the rails only");
            c.Watch("A paper on a swing must stay inside it, or it catches.");
        });
}

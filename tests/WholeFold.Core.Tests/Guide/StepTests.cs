using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Guide;

/// <summary>Laws of the order of work, over all constructions, formats, boards and thin and heavy card.</summary>
public class StepTests
{
    private const int Every = 45, Whole = 9;

    [Theory]
    [InlineData("imperial-eighths", "0.34mm")]
    [InlineData("metric-5mm", "0.34mm")]
    [InlineData("machine", "0.8mm")]
    [InlineData("both", "0.6mm")]
    public void The_laws_of_the_order_of_work_hold_for_every_bare_card(string tools, string caliper)
    {
        var made = 0;
        foreach (var (spec, i) in Support.Grid(tools, caliper).Select((s, i) => (s, i)).Stride(Every, Whole))
        {
            if (Support.Try(spec with { Order = i % 2 == 0 ? "assemble" : "decorate", Adhesive = i % 3 == 0 ? "tape" : "glue" }) is { } card)
            {
                made++;
                Assert.True(BondOrder.Of(card.Figures) is not null, $"{spec.Named()} cannot be put together");
                Laws(card, Steps.Of(card, 1 + (i % 3 * 5)), spec.Named());
            }
        }

        Assert.True(made > Day.AtLeast(20, Every / Whole));
    }

    [Fact]
    public void The_laws_of_the_order_of_work_hold_for_every_dressed_card_in_both_schools()
    {
        foreach (var spec in Sound)
        {
            foreach (var order in new[] { "assemble", "decorate" })
            {
                var card = Support.Size(spec with { Order = order });
                Laws(card, Steps.Of(card), $"{spec.Construction} {spec.Format}, {order}");
            }
        }
    }

    private static readonly IReadOnlyList<DesignSpec> Sound =
        [.. JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Checks", "sound.json"))).RootElement.EnumerateArray()
        .Select(d => DesignFile.Read(d, "sound.json"))];

    private static void Laws(Card card, IReadOnlyList<Step> steps, string name)
    {
        void Hold(bool holds, string law) => Assert.True(holds, $"{name}: {law}\n{string.Join('\n', steps.Select(s => $"{s.Phase} {s.Id}: {s.Say.Write(DisplayUnit.Inch)}"))}");
        int At(Func<Step, bool> first) => steps.Select((s, i) => (s, i)).FirstOrDefault(s => first(s.s), (null!, int.MaxValue)).Item2;
        int Last(Func<Step, bool> last) => steps.Select((s, i) => (s, i)).LastOrDefault(s => last(s.s), (null!, -1)).Item2;
        Hold(steps.Select(s => s.Id).Distinct().Count() == steps.Count, "each step has its own name");

        // Every bond once, every score set once, every piece cut once, every paper cut once and laid once, every thing put on once.
        Assert.Equal(card.Construction.Bonds.Where(b => !b.IsLoose).Select(b => b.Id).Order(), steps.SelectMany(s => s.Bonds).Order());
        Assert.Equal(card.Pieces.SelectMany(p => p.AllScores).Select(s => s.Figure.Id.ToString()).Order(), steps.Where(s => s.Phase == Phase.Score).SelectMany(s => s.Figures).Order());
        Assert.Equal(card.Pieces.SelectMany(p => new[] { p.Width, p.Height }).Concat(card.Layers.SelectMany(l => l.Sides)).Select(f => f.Id.ToString()).Order(),
            steps.Where(s => s.Phase == Phase.Cut).SelectMany(s => s.Figures).Order());
        Assert.Equal(card.Layers.Select(l => $"layer-{l.Id}").Order(), steps.Where(s => s.Id.StartsWith("layer-", StringComparison.Ordinal)).Select(s => s.Id).Order());
        Assert.Equal(card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e => $"elements.{e.Element.Id}")
            .Concat(card.Dressed.Windows.Select(w => $"windows.{w.Window.Id}")).Order(), steps.Where(s => s.Phase > Phase.Cut).SelectMany(s => s.Things)
            .Where(t => t.StartsWith('e') || t.StartsWith('w')).Order());
        Hold(card.Pieces.All(p => steps.Any(s => s.Phase is Phase.Fold or Phase.Bond && s.Pieces.Contains(p.Piece.Id))), "no piece is cut and left over");

        // Nothing is folded before it is scored; no window, slit or stamp once its panel is bonded; phases never go back, but for a wait.
        Hold(Last(s => s.Phase == Phase.Score) < At(s => s.Flexes), "nothing is folded before it is scored");
        Hold(Last(s => s.Phase == Phase.Flat) < At(s => s.Bonds.Count > 0 || s.Phase is Phase.Fold or Phase.Bond), "nothing is cut or stamped once something is bonded");
        Hold(Last(s => s.Phase == Phase.Cut) < At(s => s.Phase != Phase.Cut), "all is cut first");
        Hold(steps.Where(s => s.Phase == Phase.Raise).All(s => Last(b => b.Bonds.Count > 0) < steps.ToList().IndexOf(s)), "what is raised goes on after the last bond");

        // The longest piece first.
        var cut = steps.Where(s => s.Id.StartsWith("cut-", StringComparison.Ordinal) && s.Pieces.Count > 0 && s.Tool != "as it is there")
            .Select(s => card.Pieces.First(p => p.Piece.Id == s.Pieces[0])).Where(p => p.Piece.Id != card.Figures.Blank?.Piece)
            .Select(p => Length.Max(p.Width.Value, p.Height.Value)).ToList();
        Assert.Equal(cut.OrderDescending(), cut);

        // A tick is made before the part is put there, and gone at the end; none is gone before it is there.
        foreach (var mark in steps.SelectMany(s => s.Marks).Distinct())
        {
            var (made, used, gone) = (At(s => s.Marks.Contains(mark)), At(s => s.Figures.Contains(mark) && !s.Marks.Contains(mark)), Last(s => s.Gone.Contains(mark)));
            Hold(made <= used, $"{mark} is marked before it is needed");
            Hold(gone > made, $"{mark} is gone at the end");
        }

        // What was glued has set before anything is folded or opened.
        var unset = 0;
        foreach (var step in steps)
        {
            if (step.Id.StartsWith("wait-", StringComparison.Ordinal))
            {
                Hold(step.Holds >= unset, $"{step.Id} is long enough");
                unset = 0;
            }

            Hold(!step.Flexes || unset == 0, $"glue sets before {step.Id}");
            unset = step.Flexes && step.Holds == 0 ? 0 : Math.Max(unset, step.Id.StartsWith("wait-", StringComparison.Ordinal) ? 0 : step.Holds);
        }

        // Where a blade is in the hand there is a caution, each caution has words, and a step says when it may be left.
        Assert.All(steps.Where(s => s.Tool.Contains("knife", StringComparison.Ordinal) || s.Tool is "trimmer" or "scissors" || s.Tool.StartsWith("die ", StringComparison.Ordinal)), s => Assert.NotEmpty(s.Cautions));
        Assert.All(steps.SelectMany(s => s.Cautions), c => Assert.True(Steps.Cautions.ContainsKey(c)));
        Assert.All(steps, s => Assert.True(s.Title.Split(' ').Length is > 0 and <= 5 && s.Title.Length > 0
            && (s.Say.Write(DisplayUnit.Inch) + s.Why?.Write(DisplayUnit.Inch) + s.LookFor?.Write(DisplayUnit.Inch)) is var said
            && !said.Contains("  ", StringComparison.Ordinal) && !said.Contains("..", StringComparison.Ordinal), $"{name}: {s.Id} {s.Title}"));
    }

    [Fact]
    public void A_step_carries_its_figures()
    {
        var card = Support.Size(Support.Spec("front-step", "a2-us"));
        var bond = Assert.Single(Steps.Of(card), s => s.Bonds.Contains("tab"));
        var say = bond.Say.Write(DisplayUnit.Inch);

        // The tab's crease, not its edge: the step is 2 1/16 high.
        Assert.Contains("its fold 2 1/16 in from the score between back and floor", say, StringComparison.Ordinal);
        Assert.Contains("Fold the scores between back and floor and between step front and step top; leave the scores", say, StringComparison.Ordinal);
        Assert.Equal(("closed", "closing"), (bond.Pose, bond.Reach));
    }

    [Fact]
    public void Corners_snipped_alike_are_one_step_with_a_count_and_an_edge_that_stays_on_is_none()
    {
        var snip = Assert.Single(Steps.Of(Support.Size(Support.Spec("twist-pop-wide", "5x7") with { Turn = true })), s => s.Tool == "scissors");
        Assert.Contains("off each corner of the insert.", snip.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var swing = Support.Size(Support.Spec("double-swing", "5x5"));
        Assert.DoesNotContain(swing.All, f => f.Id.ToString() is "base.swing1-left.right" or "base.swing1-right.left" or "base.swing2-left.right" or "base.swing2-right.left");
        Assert.Equal(4, swing.Piece("base").CutLines.Single(l => l.Edge == "lower edge").Figures.Count);
    }

    /// <summary>The distances that a place gives lead back to the bond's own region.</summary>
    [Fact]
    public void A_place_is_where_the_bond_is()
    {
        foreach (var (family, choices) in Support.Variants())
        {
            if (Support.Try(new DesignSpec { Construction = family.Id, Format = "5x7", Tools = "machine", Set = Support.Written(choices) }) is not { } card)
            {
                continue;
            }

            foreach (var bond in card.Construction.Bonds.Where(b => !b.IsLoose && card.Closed.Frames.ContainsKey(b.A.Plate)
                && card.Closed.Frames.ContainsKey(b.B.Plate)))
            {
                var place = Places.Of(card.Figures, bond);
                var (own, part) = (card.Figures.PlateOf(bond.A.Plate), card.Figures.PlateOf(bond.B.Plate));
                var (box, lies) = (own.Box, LaidBack(card, bond, own, part));
                var (x, y) = ((double)place.From[0].Distance.Units, (double)place.From[1].Distance.Units);
                Assert.True(new[] { lies.Left, lies.Right }.Any(l => Math.Abs(l - (box.Left.Units + x)) < Slack
                    || Math.Abs(box.Right.Units - x - l) < Slack),
                    $"{family.Id} {string.Join(' ', choices)} {bond.Id}: {place.Said.Write(DisplayUnit.Millimetre)}, {lies.Left / 320} {lies.Right / 320} {lies.Bottom / 320} {lies.Top / 320} on {box}");
                Assert.True(new[] { lies.Bottom, lies.Top }.Any(l => Math.Abs(l - (box.Bottom.Units + y)) < Slack
                    || Math.Abs(box.Top.Units - y - l) < Slack),
                    $"{family.Id} {string.Join(' ', choices)} {bond.Id}: {place.Said.Write(DisplayUnit.Millimetre)}, {lies.Left / 320} {lies.Right / 320} {lies.Bottom / 320} {lies.Top / 320} on {box}");
                Assert.All(place.From, f => Assert.True(f.Edge.Length > 0));
            }
        }
    }

    /// <summary>What is shaved off so that a part goes in lies within a sixteenth of an inch when the card is closed.</summary>
    internal const double Slack = 508;

    /// <summary>Where the part lies on the other in the closed card, told in the flat one: both are looked at closed, and the one
    /// turned back.</summary>
    internal static (double Left, double Right, double Bottom, double Top) LaidBack(Card card, Bond bond, SizedPlate own, SizedPlate part)
    {
        var (box, closed) = (own.Box, card.Closed.Place(bond.A.Plate, own.Box.Corners).Select(p =>
            ((double)p.X.Units, (double)p.Y.Units)).ToList());
        var ((ox, oy), (ax, ay), (bx, by)) = (closed[0], (closed[1].Item1 - closed[0].Item1, closed[1].Item2 - closed[0].Item2),
            (closed[3].Item1 - closed[0].Item1, closed[3].Item2 - closed[0].Item2));
        var back = card.Closed.Place(bond.B.Plate, part.Corners).Select(p =>
        {
            var (x, y) = (p.X.Units - ox, p.Y.Units - oy);
            return (X: box.Left.Units + (((x * ax) + (y * ay)) / Math.Sqrt((ax * ax) + (ay * ay))),
                Y: box.Bottom.Units + (((x * bx) + (y * by)) / Math.Sqrt((bx * bx) + (by * by))));
        }).ToList();
        return (back.Min(p => p.X), back.Max(p => p.X), back.Min(p => p.Y), back.Max(p => p.Y));
    }

    [Theory]
    [InlineData("30", "0.866")]
    [InlineData("45", "0.7071")]
    [InlineData("60", "0.5")]
    public void What_catches_a_hook_is_placed_by_the_angle(string angle, string cosine)
    {
        var card = Support.Size(Support.Spec("bay-window-hook", "5x7", $"angle={angle}") with { Tools = "machine" });
        decimal Of(string id) => card.Figures.Parameters.Single(p => p.Parameter.Id == id).Value.Millimetres;
        var (hook, glue, centre) = (Of("hook"), Of("glue"), Of("centre"));
        var side = (127m - hook - glue - centre) / 2;
        var tip = glue + (2 * side * decimal.Parse(cosine, System.Globalization.CultureInfo.InvariantCulture)) + centre + hook;
        Assert.Equal((double)tip, (double)Places.Of(card.Figures).Single(p => p.Id == "hook-tip").From[0].Distance.Millimetres, 1);
    }

    [Fact]
    public void A_tab_under_a_quarter_inch_is_a_caution_and_the_usual_one_is_not()
    {
        bool Narrow(string depth) => Support.Size(Support.Spec("inside-tunnel", "6x6", "layers=1", $"depth={depth}")).Checks.Any(c => c.Id == "tab-narrow");
        Assert.Equal((true, true, false), (Narrow("1/4"), Narrow("7/16"), Narrow("1/2")));
        foreach (var (family, choices) in Support.Variants())
        {
            Assert.True(Support.Try(new DesignSpec { Construction = family.Id, Format = "6x6", Set = Support.Written(choices) })?.Checks.Any(c => c.Id == "tab-narrow") != true, family.Id);
        }
    }

    [Fact]
    public void The_json_names_every_bond_in_the_order_of_making()
    {
        var card = Support.Size(Support.Spec("shadow-box", "5x7", "middles=1"));
        var json = SizedJson.Document(card, DisplayUnit.Inch);
        Assert.Equal(["middle1-right", "middle1-left", "back-left", "back-right"], json.Bonds.Select(b => b.Id));
        Assert.All(json.Bonds, b => Assert.True(b.Area.All(a => a.Units > 0) && b.RunLength.Units >= b.Area.Max(a => a.Units)));
        Assert.Contains(json.Steps, s => s.Bonds.Count > 0 && s.Reach is not null);
    }
}

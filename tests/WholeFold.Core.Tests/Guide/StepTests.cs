using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
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
    /// <summary>All of them take two minutes; each run looks at these.</summary>
    private const int Every = 9;

    [Theory]
    [InlineData("imperial-eighths", "0.34mm")]
    [InlineData("metric-5mm", "0.34mm")]
    [InlineData("machine", "0.8mm")]
    [InlineData("both", "0.6mm")]
    public void Everything_is_cut_scored_and_bonded_once_and_in_an_order_that_can_be_made(string tools, string caliper)
    {
        var made = 0;
        foreach (var spec in Support.Grid(tools, caliper).Where((_, i) => i % Every == 0))
        {
            if (Support.Try(spec) is not { } card)
            {
                continue;
            }

            made++;
            Assert.True(BondOrder.Of(card.Figures) is not null, $"{spec.Named()} cannot be put together");
            var steps = Steps.Of(card);
            Assert.Equal(steps.Count, steps.Select(s => s.Id).Distinct().Count());

            // Every bond once, every score once, every piece cut and every layer laid.
            Assert.Equal(card.Construction.Bonds.Where(b => !b.IsLoose).Select(b => b.Id).Order(), steps.SelectMany(s => s.Bonds).Order());
            Assert.Equal(card.Pieces.SelectMany(p => p.AllScores).Select(s => s.Figure.Id.ToString()).Order(), steps.Where(s => s.Id.StartsWith("score-", StringComparison.Ordinal)).SelectMany(s => s.Figures).Order());
            Assert.Equal(card.Pieces.Select(p => $"cut-{p.Piece.Id}").Order(), steps.Where(s => s.Id.StartsWith("cut-", StringComparison.Ordinal)).Select(s => s.Id).Order());
            Assert.Equal(card.Layers.Select(l => $"layer-{l.Id}").Order(), steps.Where(s => s.Id.StartsWith("layer-", StringComparison.Ordinal)).Select(s => s.Id).Order());

            // Cut, score, cut inside, fold and bond, layers, breaking in: never the other way about.
            var kinds = steps.Select(s => Array.FindIndex(["cut-", "score-", "open-", "make-", "layer-", "lead", "break-in", "put-away"], k => s.Id.StartsWith(k, StringComparison.Ordinal))).ToList();
            Assert.DoesNotContain(-1, kinds);
            Assert.Equal(kinds.Order(), kinds);

            // Where a blade is in the hand there is a caution, and each caution has words.
            Assert.All(steps.Where(s => s.Tool.Contains("knife", StringComparison.Ordinal) || s.Tool == "trimmer"), s => Assert.NotEmpty(s.Cautions));
            Assert.All(steps.SelectMany(s => s.Cautions), c => Assert.True(Steps.Cautions.ContainsKey(c)));
        }

        Assert.True(made > 20);
    }

    [Fact]
    public void A_step_carries_its_figures()
    {
        var card = Support.Size(Support.Spec("front-step", "a2-us"));
        var bond = Assert.Single(Steps.Of(card), s => s.Bonds.Contains("tab"));
        var say = bond.Say.Write(DisplayUnit.Inch);

        // The tab's crease, not its edge: the step is 2 1/16 high.
        Assert.Contains("its crease 2 1/16 from the crease between back and floor", say, StringComparison.Ordinal);
        Assert.Contains("Fold the creases between back and floor and between step front and step top; leave the creases", say, StringComparison.Ordinal);
        Assert.Equal(("closed", "closing"), (bond.Pose, bond.Reach));
    }

    [Fact]
    public void Corners_snipped_alike_are_one_step_with_a_count_and_an_edge_that_stays_on_is_none()
    {
        var snip = Assert.Single(Steps.Of(Support.Size(Support.Spec("twist-pop-wide", "5x7") with { Turn = true })), s => s.Tool == "scissors");
        Assert.Contains("off each corner of the insert, four times", snip.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
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

            foreach (var bond in card.Construction.Bonds)
            {
                var place = Places.Of(card.Figures, bond);
                var box = card.Figures.PlateOf(bond.A.Plate).Box;
                var corners = bond.A.Region.Corners.Select(card.Figures.ValueOf).ToList();
                var (x, y) = (place.From[0].Distance, place.From[1].Distance);
                Assert.Contains(corners, c => c.X == box.Left + x || c.X == box.Right - x);
                Assert.Contains(corners, c => c.Y == box.Bottom + y || c.Y == box.Top - y);
                Assert.All(place.From, f => Assert.True(f.Distance >= Length.Zero && f.Edge.Length > 0));
            }
        }
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

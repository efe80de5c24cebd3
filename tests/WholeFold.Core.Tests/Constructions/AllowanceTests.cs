using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>Each allowance against its derivation, worked by hand for 0.4 mm card.</summary>
public class AllowanceTests
{
    private static readonly Stock Heavy = Inventory.Shipped.Stocks[2] with { Caliper = Length.Mm(0.4m) };
    private static readonly ToolSet Machine = Inventory.Shipped.Find<ToolKit>("machine")!.For(UnitSystem.Metric);
    private static readonly ToolSet Metric = Inventory.Shipped.Find<ToolKit>("metric-5mm")!.For(UnitSystem.Metric);
    private static readonly ToolSet Imperial = Inventory.Shipped.Find<ToolKit>("imperial-eighths")!.For(UnitSystem.Imperial);

    public static TheoryData<Allowance, double, double, string> Worked => new()
    {
        { new Doors(), 0.8, 0.8, "2t, no cut of its own" },
        { new Tube(), 1.05, 2, "2t + 0.25, up to the millimetre" },
        { new NestedPanel(), 1.05, 2, "2t + 0.25, up to the millimetre" },
        { new Creep(1), 0.63, 1, "π/2 · t for one ply" },
        { new Creep(3), 1.885, 2, "three plies" },
        { new Creep(1, Creep.Hard), 0.8, 1, "a hard crease" },
        { new Creep(1, 5m), 0.8, 1, "no crease is harder than that" },
        { new BoxDepth(2), 1.2, 2, "two layers and the end wall" },
        { new BoxDepth(2, Length.Mm(1)), 2.2, 3, "with a millimetre on them" },
        { new Sleeve(new Contents(Length.Mm(1.5m))), 3.5, 4, "2 · (1.5 + 0.25)" },
        { new Slit(Length.Mm(1)), 2, 2, "a clearance at either end" },
        { new SlitWidth(new Contents(Length.Mm(1.2m))), 1.2, 2, "as wide as that is thick" },
        { new Walls(), 0.8, 1, "2t, a ply at either end" },
        { new WrappedStack(new Contents(Length.Mm(1.2m))), 0, 0, "3t still closes over one crease" },
        { new WrappedStack(new Contents(Length.Mm(2))), 2.4, 3, "T + t" },
    };

    [Theory]
    [MemberData(nameof(Worked))]
    public void Is_what_its_derivation_gives_and_goes_up_to_the_mark(Allowance allowance, double exact, double onTheMark, string why)
    {
        Assert.InRange((double)allowance.Value(Support.PapersOf(Heavy), Machine).Millimetres, exact - 0.004, exact + 0.004);
        Assert.Equal((decimal)onTheMark, allowance.Value(Support.PapersOf(Heavy), Metric).Millimetres);
        Assert.NotEmpty(why);
        Assert.NotEmpty(allowance.Name);
        Assert.NotEmpty(allowance.Because);
        var sixteenths = allowance.Value(Support.PapersOf(Heavy), Imperial);
        Assert.True(sixteenths >= allowance.Value(Support.PapersOf(Heavy), Machine) && (!allowance.UpToTheMark || sixteenths.IsOn(Length.In(1, 16))));
    }

    [Fact]
    public void None_shrinks_as_card_gets_thicker()
    {
        foreach (var allowance in Worked.Select(row => row.Data.Item1))
        {
            var last = Length.Zero;
            for (var t = 0.1m; t <= 0.8m; t += 0.05m)
            {
                var now = allowance.Value(Support.PapersOf(Heavy with { Caliper = Length.Mm(t) }), Machine);
                Assert.True(now >= last || allowance is WrappedStack, $"{allowance} at {t}");
                last = now;
            }
        }
    }

    [Fact]
    public void A_thick_slide_needs_a_slit_as_wide_as_itself()
    {
        Assert.Equal(Length.Zero, new SlitWidth(new Contents(Length.Mm(0.4m))).Value(Support.PapersOf(Heavy), Machine));
        Assert.Equal(Length.Mm(0.6m), new SlitWidth(new Contents(Length.Mm(0.6m))).Value(Support.PapersOf(Heavy), Machine));
    }

    private const string Nested = "inside-tunnel: layer1.height layer1.scores[1] layer1.width layer1.window.foot layer1.window.head layer1.window.left layer1.window.right layer2.height layer2.scores[1] layer2.width layer2.window.foot layer2.window.head layer2.window.left layer2.window.right layer3.height layer3.scores[1] layer3.width layer3.window.foot layer3.window.head layer3.window.left layer3.window.right; ";

    private const string Creeping = "; plain-fold: liner.scores[0] liner.width; shadow-box: middle1.scores[1] middle1.width";

    private const string Sliding = "; slider-stand: base.slit.right cover.height cover.scores[1] slide.height";

    /// <summary>On a machine, from 0.2 to 0.6 mm, exactly these figures follow the card; doors stand off 1/16 in, which is enough up to 0.79 mm, the
    /// flap inside a pillar is shaved by 2t, a liner in a fold is trimmed by its creep, a layer in a box is less by it in
    /// both directions, and what slides in a cover through a slit gives way to both.</summary>
    [Theory]
    [InlineData("0.6mm", Nested + "pillar-tiers: pillar1.width pillar2.width pillar3.width pillar4.width" + Creeping + Sliding)]
    [InlineData("0.9mm", "gatefold: base.scores[0] base.scores[1] base.width layers.door.width; " + Nested + "pillar-tiers: pillar1.width pillar2.width pillar3.width pillar4.width" + Creeping + "; sleeve-gatefold: base.scores[0] base.scores[1] base.width layers.door.width" + Sliding + "; split-gatefold: base.scores[1] base.width layers.right.width")]
    public void Thick_card_changes_the_right_figures_and_no_others(string thick, string expected)
    {
        var changed = new SortedSet<string>(StringComparer.Ordinal);
        foreach (var (thin, heavy) in Support.Grid("machine", "0.2mm").Zip(Support.Grid("machine", thick)))
        {
            // Where a format is so small that something has to give way, what gives may be another thing in heavier card.
            if (Support.Try(thin) is not { } a || Support.Try(heavy) is not { } b || new[] { a, b }.Any(card => card.Figures.Eased.Any()))
            {
                continue;
            }

            // A slit that is a line in thin card has two sides in thick card.
            Assert.All(b.All.Select(f => f.Id).Except(a.All.Select(f => f.Id)), id => Assert.Equal("base.slit.right", id.ToString()));
            foreach (var (was, now) in a.All.Join(b.All, f => f.Id, f => f.Id, (was, now) => (was, now)))
            {
                if (was.Value != now.Value)
                {
                    changed.Add($"{thin.Construction}: {now.Id}");
                }
            }
        }

        var listed = changed.GroupBy(c => c.Split(": ")[0]).Select(g => $"{g.Key}: {string.Join(' ', g.Select(c => c.Split(": ")[1]))}");
        Assert.Equal(expected, string.Join("; ", listed).Replace(" layers.inside.width", "", StringComparison.Ordinal));
    }

    [Fact]
    public void The_reasons_of_a_figure_name_the_allowance_that_made_it()
    {
        var read = Support.Reader.Read(Support.Spec("gatefold", "5x7") with { Caliper = "0.9mm", Tools = "machine" });
        var score = Card.Of(read.Design, read.Target).Pieces[0].Scores[0].Figure;
        Assert.Contains(score.Reasons, r => r.Why.Write(DisplayUnit.Millimetre).Contains("doors nearer than twice", StringComparison.Ordinal));
    }

    [Fact]
    public void A_nested_liner_is_trimmed_by_its_creep()
    {
        // 127 mm, less the border 3.175 and π/2 · 0.34 = 0.534.
        var liner = Support.Size(Support.Spec("plain-fold", "5x5", "liner=folded") with { Tools = "machine" }).Piece("liner");
        Assert.InRange((double)liner.Scores[0].Figure.Value.Millimetres, 123.28, 123.295);
        Assert.Equal(2 * liner.Scores[0].Figure.Value, liner.Width.Value);
        Assert.Contains(liner.Scores[0].Figure.Reasons, r => r.Why.Write(DisplayUnit.Inch).Contains("creep", StringComparison.Ordinal));
    }

    [Fact]
    public void A_thin_liners_fold_goes_round_the_flap_and_its_layer()
    {
        var spec = Support.Spec("drop-flap", "a2-us") with { Tools = "machine" };
        var thick = Support.Size(spec).Piece("liner");
        Assert.Equal(thick.Panels[0].Extent, thick.Panels[1].Extent);

        // 0.34 + 0.15 is more than three times 0.15: the front is longer by 0.49 + 0.15.
        var thin = Support.Size(spec with { PieceStocks = new Dictionary<string, string> { ["liner"] = "paper-120" } }).Piece("liner");
        Assert.InRange((double)(thin.Panels[0].Extent - thin.Panels[1].Extent).Millimetres, 0.63, 0.66);
    }

    [Fact]
    public void A_sleeves_pockets_clear_the_doors_with_their_layers()
    {
        // 2 · (0.34 + 0.15 + 0.25) goes into twice 1/16; with foam of 2 mm it goes into no gap there is.
        Assert.NotNull(Support.Try(Support.Spec("sleeve-gatefold", "5x7")));
        var read = Support.Reader.Read(Support.Spec("sleeve-gatefold", "5x7") with { Adhesive = "foam-2" });
        Assert.Contains(Attempt.Of(read.Design, read.Target).Conflicts, c => c.Text.Write(DisplayUnit.Inch).Contains("bows round the door", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("card-270", "imperial-eighths", "1/4in")]
    [InlineData("paper-120", "imperial-eighths", "3/8in")]
    [InlineData("paper-120", "metric-5mm", "10mm")]
    public void A_slit_stays_further_from_the_edge_of_light_card(string stock, string tools, string edge) =>
        Assert.Equal(LengthReader.TryRead(edge, DisplayUnit.Inch, out var length, out _) ? length : default,
            Support.Size(Support.Spec("slider-stand", "6x4in") with { Stock = stock, Tools = tools }).Parameters.Single(p => p.Parameter.Id == "edge").Value);
}

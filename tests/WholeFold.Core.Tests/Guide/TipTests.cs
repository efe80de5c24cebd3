using System.Text.Json.Nodes;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Tests.Maker;
using Xunit;

namespace WholeFold.Core.Tests.Guide;

/// <summary>What hands know is said at the step where it holds, once.</summary>
public class TipTests
{
    private static readonly DesignReader Reader = new(ConstructionLibrary.Catalogue, Inventory.Shipped);

    private static Card Size(DesignSpec spec)
    {
        var read = Reader.Read(spec);
        return Card.Of(read.Design, read.Target, TestContext.Current.CancellationToken);
    }

    private static DesignSpec With(DesignSpec spec, params string[] tips) => spec with
    {
        Own = new Dictionary<string, IReadOnlyList<JsonObject>> { ["tips"] = [.. tips.Select(t => JsonNode.Parse(t)!.AsObject())] },
    };

    [Fact]
    public void Each_that_ships_is_said_on_some_card_once_and_never_two_at_a_step()
    {
        var said = new HashSet<string>();
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "6x6" };
            var worn = Worn.On(spec, Size(spec));
            foreach (var design in new[] { worn, worn with { LayerStock = "foil-card" }, worn with { Tools = "machine" } })
            {
                if (Support.Try(design) is not { } card)
                {
                    continue;
                }

                var steps = Steps.Of(card, cards: 2);
                var tips = steps.Where(s => s.Tip is not null).Select(s => s.Tip!).ToList();
                Assert.Equal(tips.Count, tips.Distinct().Count());
                said.UnionWith(tips);
            }
        }

        var window = Size(new DesignSpec
        {
            Construction = "plain-fold", Format = "5x7", Dressing = new DressingSpec { Windows = [new WindowSpec("eye", "front", Die: "pane-2")] },
        });
        said.UnionWith(Steps.Of(window).Select(s => s.Tip).OfType<string>());
        var wet = Size(With(new DesignSpec { Construction = "tier-scene", Format = "5x7", Turn = true }) with
        {
            Own = new Dictionary<string, IReadOnlyList<JsonObject>>
            {
                ["adhesives"] = [JsonNode.Parse("""{"id": "tape", "name": "tacky glue", "thickness": "0", "wet": true, "bonds": true}""")!.AsObject()],
            },
        });
        said.UnionWith(Steps.Of(wet).Select(s => s.Tip).OfType<string>());
        Assert.Equal([], Inventory.Shipped.All<Tip>().Where(t => !said.Contains(t.Text)).Select(t => t.Id));
    }

    /// <summary>Where its condition does not hold it is not said: told from the step alone.</summary>
    [Fact]
    public void None_is_said_where_it_does_not_hold()
    {
        string Of(string id) => Inventory.Shipped.Find<Tip>(id)!.Text;
        var plain = Steps.Of(Size(new DesignSpec { Construction = "plain-fold", Format = "5x7" }));
        Assert.DoesNotContain(plain, s => s.Tip == Of("close-scores") || s.Tip == Of("equal-ends") || s.Tip == Of("lay-flat") || s.Tip == Of("one-step"));
        Assert.Equal("make-1", Assert.Single(plain, s => s.Tip == Of("outside-in")).Id);

        // Whatever is left out before it, the first of a construction's own steps is the one that folds.
        var cards = ConstructionLibrary.All.Select(f => Size(new DesignSpec { Construction = f.Id, Format = "6x6" }));
        Assert.All(cards.Where(c => c.Construction.Steps[0].Bonds.Count == 0), c => Assert.Contains(Steps.Of(c), s =>
            s.Phase == Phase.Fold && s.Work.Act == Act.MakeUp));

        // The gatefold's two scores lie as far from either end; a stop and a turn do for both.
        var gate = Steps.Of(Size(new DesignSpec { Construction = "gatefold", Format = "5x7" }));
        Assert.Equal("score-base-1", Assert.Single(gate, s => s.Tip == Of("equal-ends")).Id);
        var split = Steps.Of(Size(new DesignSpec { Construction = "split-gatefold", Format = "5x7" }));
        Assert.DoesNotContain(split, s => s.Tip == Of("equal-ends"));
    }

    [Fact]
    public void One_of_ones_own_is_said_first_and_one_that_ships_can_be_switched_off()
    {
        var spec = new DesignSpec { Construction = "gatefold", Format = "5x7" };
        var own = Steps.Of(Size(With(spec, """{"id": "mine", "name": "My bone", "text": "Use the teflon bone here.", "at": "score"}""")));
        Assert.Equal("Use the teflon bone here.", own.Single(s => s.Id == "score-base-1").Tip);
        var off = Steps.Of(Size(With(spec, """{"id": "equal-ends", "name": "Equal ends", "text": "Not for me.", "at": "score", "if": "equalEnds", "off": true}""")));
        Assert.Null(off.Single(s => s.Id == "score-base-1").Tip);
    }

    [Theory]
    [InlineData("""{"id": "a", "name": "A", "text": " ", "at": "score"}""", "text")]
    [InlineData("""{"id": "a", "name": "A", "text": "One\nTwo", "at": "score"}""", "text")]
    [InlineData("""{"id": "a", "name": "A", "text": "One", "at": "supper"}""", "at")]
    [InlineData("""{"id": "a", "name": "A", "text": "One", "at": "score", "if": "rain"}""", "if")]
    public void What_is_no_tip_is_refused_with_its_place(string tip, string member) => Assert.EndsWith($"tips[0].{member}",
        Assert.Throws<InputProblemException>(() => Size(With(new DesignSpec { Construction = "plain-fold", Format = "5x7" },
            tip))).Field, StringComparison.Ordinal);
}

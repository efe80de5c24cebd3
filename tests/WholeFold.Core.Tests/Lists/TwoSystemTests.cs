using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Inventories;
using WholeFold.Core.Inventories.Kinds;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Lists;

/// <summary>The second system is the same card on a guest's tools: every figure of it can be set there, and what has a size of its own
/// keeps it.</summary>
public class TwoSystemTests
{
    private static readonly DressingSpec Worn = new()
    {
        Windows = [new WindowSpec("eye", "front", Size: ["1 1/16 in", "27 mm"]), new WindowSpec("ring", "inside", Die: "ring-2")],
        Elements = [new ElementSpec("moon", "front", Size: ["7/8 in", "19 mm"], Place: new PlaceSpec("foot", [new FromSpec("foot", "11 mm"), new FromSpec("left", "5/16 in")]))],
    };

    public static TheoryData<string, string?> Guests => new()
    {
        { "imperial-eighths", null }, { "metric-5mm", null }, { "imperial-eighths", "both" }, { "metric-5mm", "ruler" }, { "machine", null }, { "both", "metric-5mm" },
    };

    [Theory]
    [MemberData(nameof(Guests))]
    public void Everything_that_is_set_lies_on_a_mark_of_the_tools_that_are_named(string tools, string? guest)
    {
        var (seen, scores, papers) = (0, 0, 0);
        foreach (var plain in Support.Grid(tools).Stride(19, whole: 5))
        {
            var spec = plain with { Guest = guest, Dressing = plain.Construction is "plain-fold" or "easel" ? Worn : null };
            if (Support.Try(spec) is not { Second: { } second } own)
            {
                continue;
            }

            var theirs = second.Figures.Tools;
            Assert.NotEqual(own.Figures.Tools.System, theirs.System);
            Assert.Same(own, second.Second);
            seen++;
            if (theirs.Exact)
            {
                continue;
            }

            foreach (var piece in second.Pieces)
            {
                Assert.All(new[] { piece.Width, piece.Height }, side =>
                    Assert.True(side.Setting.How == SetBy.Given || theirs.CutMarks.Any(side.Value.IsOn), $"{spec.Named()}: {side.Id} {side.Value}"));
                var finest = theirs.System == UnitSystem.Imperial ? Length.In(1, 32) : Length.Mm(0.5m);
                Assert.All(piece.AllScores.Select(s => s.Figure.Setting).OfType<Setting.TickToTick>(), t =>
                    Assert.True(new[] { t.At, t.Ticks.FromX, t.Ticks.FromY, t.Ticks.ToX, t.Ticks.ToY }.All(l => l.IsOn(finest)), $"{spec.Named()}: {t}"));
                foreach (var score in piece.AllScores.Where(s => s.Axis is not null && s.Figure.Setting.How != SetBy.Given))
                {
                    scores++;
                    var at = score.Figure.Setting.At;
                    var groove = theirs.GrooveRows.Any(r => at >= r.First && (at - r.First).IsOn(r.Step));
                    Assert.True(groove || score.Figure.Setting.How is not (SetBy.Direct or SetBy.Turned or SetBy.Mirrored), $"{spec.Named()}: {score.Figure.Id} is told to be on a groove at {at}");
                    Assert.True(groove || theirs.RulerMarks.Any(at.IsOn)
                        || (score.Figure.Setting.How == SetBy.Fold && theirs.CutMarks.Any(at.IsOn))
                        || (score.Figure.Setting.How == SetBy.Trimmer && theirs.CutMarks.Any(at.IsOn)), $"{spec.Named()}: {score.Figure.Id} at {at} by {score.Figure.Setting.How}");
                }
            }

            Assert.Equal(own.Layers.Select(l => l.Id).Order(), second.Layers.Select(l => l.Id).Order());
            foreach (var layer in second.Layers)
            {
                papers++;
                var first = own.Layers.Single(l => l.Id == layer.Id);
                Assert.All(layer.Sides, side => Assert.True(theirs.CutMarks.Any(side.Value.IsOn), $"{spec.Named()}: {side.Id} {side.Value}"));
                Assert.All(layer.On.Where(_ => layer.IsRectangle), on =>
                    Assert.True(Box.Round([.. on.Box.Corners, .. on.Region.Outline]) == Box.Round(on.Region.Outline), $"{spec.Named()}: {layer.Id} stands over its panel"));

                // Never further from the other column than its own panel is, and one mark.
                var mark = theirs.CutMarks.Max();
                var moved = layer.On.Max(on => first.On.Where(o => o.On.Id == on.On.Id).Max(o =>
                    Length.Max((o.Region.Box.Width - on.Region.Box.Width).Abs(), (o.Region.Box.Height - on.Region.Box.Height).Abs())));
                Assert.All(layer.Sides.Zip(first.Sides), s =>
                    Assert.True((s.First.Value - s.Second.Value).Abs() <= moved + mark + Length.Mm(0.5m), $"{spec.Named()}: {layer.Id} {s.First.Value} for {s.Second.Value}, its panel {moved}"));
            }

            Assert.All(second.Dressed.Windows.Where(w => w.Die is null).SelectMany(w => w.Sides), side =>
                Assert.True(theirs.CutMarks.Any(side.Value.IsOn), $"{side.Id} {side.Value}"));
            Assert.All(second.Dressed.Windows.Zip(own.Dressed.Windows).Where(w => w.First.Die is not null), w =>
                Assert.Equal(w.Second.Sides.Select(s => s.Value), w.First.Sides.Select(s => s.Value)));
            Assert.All(second.Dressed.Elements.Zip(own.Dressed.Elements), e =>
                Assert.Equal(e.Second.Sides.Select(s => s.Value), e.First.Sides.Select(s => s.Value)));
            Assert.All(DressedPlaces.Of(second).SelectMany(p => p.From), from =>
                Assert.True(from.Distance.IsOn(theirs.System == UnitSystem.Imperial ? Length.In(1, 32) : Length.Mm(0.5m)), $"{spec.Named()}: {from.Edge} {from.Distance}"));
        }

        Assert.True(seen > 20 && (guest == "machine" || (scores > 40 && papers > 40)), $"{seen} cards, {scores} scores, {papers} papers");
    }

    /// <summary>The panel of 14.1 cm bears a paper of 13.5: its border is what is left, on any board.</summary>
    [Fact]
    public void A_paper_keeps_its_size_to_the_mark_and_the_border_is_what_is_left()
    {
        var card = Support.Size(Support.Spec("plain-fold", "14.1 × 14.1 cm") with { Tools = "metric-5mm" });
        var front = card.Layers.First(l => l.Role.Id == "front");
        Assert.Equal((Length.Mm(135), Length.Mm(135)), (front.Width.Value, front.Height.Value));
        var theirs = card.Second!.Layers.First(l => l.Id == front.Id);
        Assert.Equal((Support.In("5 5/16"), Support.In("5 5/16")), (theirs.Width.Value, theirs.Height.Value));
    }

    [Fact]
    public void What_has_a_size_of_its_own_stands_beside_as_an_equivalent_and_is_marked_as_one()
    {
        var card = Support.Size(Support.Spec("plain-fold", "5x7") with { Dressing = Worn with { Windows = [] } });
        var sheet = FigureSheet.Of(card);
        string Cm(string id) => sheet.Centimetres!.Figures.Single(f => f.Key.ToString() == id).Value.Text;
        Assert.Equal("(22.2 mm)", Cm("elements.moon.width"));
        Assert.Equal("1.9", Cm("elements.moon.height"));
        Assert.Contains(sheet.Notes(card), n => n.Write(DisplayUnit.Inch).StartsWith("In brackets", StringComparison.Ordinal));
    }

    /// <summary>A die is 3 1/4 in on any board: what is held by it does not move, and is not taken for a mark.</summary>
    [Fact]
    public void What_is_locked_does_not_move()
    {
        var card = Support.Size(Support.Spec("twist-pop", "6x6") with { Lock = new Dictionary<string, string> { ["panel"] = "3 1/4 in" } });
        Assert.Equal(Support.In("3 1/4"), card.Second!.Figures.Parameters.Single(p => p.Parameter.Id == "panel").Value);
    }

    [Fact]
    public void A_guest_of_the_same_system_has_it_on_her_own_tools_alone()
    {
        var fine = Support.Own(tools: [new ToolSpec { Id = "quarter", Name = "Quarters", Groove = "1/4", BoardLength = "12", TrimmerMark = "1/8", RulerMark = "1/16" }]);
        var handed = Support.Size(Support.Spec("gatefold", "a2-us") with { Guest = "quarter", Own = fine }).Handed;
        Assert.Equal(("quarter", (Card?)null), (handed.Figures.Tools.Id, handed.Second));
        Assert.Null(FigureSheet.Of(handed).Centimetres);
        Assert.All(handed.Pieces.SelectMany(p => new[] { p.Width, p.Height }), side => Assert.True(side.Value.IsOn(Length.In(1, 8))));
    }

    /// <summary>Each screen's big figure is the sheet's own in both systems, or a position read from the piece's other end.</summary>
    [Fact]
    public void The_big_figure_of_a_screen_is_the_pair_of_the_sheet()
    {
        var pairs = 0;
        foreach (var (family, _) in Support.Variants().DistinctBy(v => v.Family.Id))
        {
            if (Support.Try(new DesignSpec { Construction = family.Id, Format = "5x7" }) is not { Second: { } second } card)
            {
                continue;
            }

            foreach (var screen in Screens.Of(card, Steps.Of(card)).Where(s => s.Shows is BigFigure.Lengths or BigFigure.Stop))
            {
                var ids = screen.Shows is BigFigure.Lengths lengths ? lengths.Ids : [((BigFigure.Stop)screen.Shows!).Id];
                var told = screen.Shows!.On(second)!.Parts(DisplayUnit.Centimetre).Where(p => p.Figure is not null).Select(p =>
                    p.Figure!.Text).ToList();
                Assert.Equal(ids.Count, told.Count);
                foreach (var (id, text) in ids.Zip(told))
                {
                    pairs++;
                    var figure = second.Figure(id)!;
                    var piece = second.Pieces.FirstOrDefault(p => p.AllScores.Any(s => s.Figure.Id == id));
                    Assert.Contains(text, new[] { figure.Value, piece is null ? figure.Value : piece.Width.Value - figure.Value,
                        piece is null ? figure.Value : piece.Height.Value - figure.Value }
                        .Select(v => LengthWriter.Write(v, DisplayUnit.Centimetre)));
                }
            }
        }

        Assert.True(pairs > 100, $"{pairs} pairs");
    }
}

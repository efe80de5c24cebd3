using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>Ways out of what was found: each was tried, and the least change comes first.</summary>
public class WaysTests
{
    private const int Every = 40;

    private static DesignSpec Case(string construction, string format, bool turn = false, params string[] set) =>
        Support.Spec(construction, format, set) with { Turn = turn };

    /// <summary>Cards for which "no remedy" was the answer once.</summary>
    [Theory]
    [InlineData("front-step", "5x7", false, "sheet-too-small", "5 × 7, laid on its side")]
    [InlineData("slider-stand", "5x7", true, "sheet-too-small", "5 × 7, stood upright")]
    [InlineData("twist-pop-wide", "5x7", true, "sheet-too-small", "5 × 7, stood upright")]
    [InlineData("drop-flap", "5x7", false, "sheet-too-small", "5 × 7, laid on its side")]
    [InlineData("split-gatefold", "a6-us", true, "sheet-too-small", "A6 US, stood upright")]
    public void What_turning_mends_is_found(string construction, string format, bool turn, string check, string first)
    {
        var found = Ways.Of(Case(construction, format, turn), Support.Reader, check);
        Assert.Contains(first, found.Ways.Select(w => w.Text.Write(DisplayUnit.Inch)));
    }

    /// <summary>A gatefold that keeps its sheet grows past its format: a smaller relief or its back's own size mends that.</summary>
    [Fact]
    public void A_card_that_grows_past_its_format_is_mended_by_what_it_keeps()
    {
        var found = Ways.Of(Case("gatefold", "5x7", false, "backKeeps=sheet"), Support.Reader, "closed-over-format");
        Assert.Contains(found.Ways, w => w.Edits is [Choose { Choice: "backKeeps", Option: "format" }]);
    }

    /// <summary>Over everything that has an error or a caution: what is offered takes it away, brings nothing as grave, and is no more
    /// than it need be.</summary>
    [Fact]
    public void Every_way_that_is_offered_mends_what_it_is_for()
    {
        var (looked, offered, mended) = (0, 0, 0);
        foreach (var spec in Support.Grid("imperial-eighths").Concat(Support.Grid("metric-5mm", "0.6mm")).Stride(Every))
        {
            if (Support.Try(spec) is not { } card)
            {
                continue;
            }

            var there = card.Checks.Select(c => (c.Id, c.Severity)).ToHashSet();
            foreach (var check in card.Checks.Where(c => c.Severity != Severity.Note).DistinctBy(c => c.Id).Take(2))
            {
                looked++;
                var found = Ways.Of(spec, Support.Reader, check.Id);
                mended += found.Ways.Count > 0 ? 1 : 0;
                foreach (var way in found.Ways)
                {
                    offered++;
                    var after = Support.Size(DesignEdit.Apply(way.Edits, spec, Support.Reader));
                    Assert.DoesNotContain(after.Checks, c => c.Id == check.Id);
                    Assert.All(after.Checks.Where(c => c.Severity == Severity.Error
                        || (c.Severity == check.Severity && c.Severity != Severity.Note)), c =>
                            Assert.True(there.Contains((c.Id, c.Severity)), $"{spec.Named()}: {way.Text.Write(DisplayUnit.Inch)} brings {c.Id}"));
                    Assert.Equal(found.Ways[0].Edits.Count, way.Edits.Count);
                }

                Assert.True(found.Ways.Count > 0 || found.NoneWords.Length > 0);
                Assert.True(found.Tried <= 180, $"{found.Tried} tried");
            }
        }

        Assert.True(looked >= Day.AtLeast(400, Every) && mended > looked / 4 && offered >= mended, $"{looked} looked at, {mended} mended by {offered}");
    }

    /// <summary>Of one figure the nearest value that mends it is offered: the next nearer one that can be set does not.</summary>
    [Fact]
    public void A_figure_is_moved_no_further_than_it_need_be()
    {
        var spec = Case("front-step", "5x7");
        var way = Assert.Single(Ways.Of(spec, Support.Reader, "sheet-too-small").Ways, w => w.Edits is [SetFigure { Parameter: "rise" }]);
        var (design, target, _) = Support.Reader.Read(spec);
        var now = Card.Of(design, target).Figures.Parameters.Single(p => p.Parameter.Id == "rise").Value;
        var value = Support.In(((SetFigure)way.Edits[0]).Value);
        var stops = Core.Sizing.Sizer.RangeOf(design, target, "rise", Core.Sizing.Relaxation.None)!.Stops;
        var nearer = stops.Where(s => value < now ? s > value && s < now : s < value && s > now).OrderBy(s => (s - value).Abs()).First();
        Assert.Contains(Support.Size(new SetFigure("rise", LengthWriter.Exact(nearer)).Apply(spec, Support.Reader)).Checks, c => c.Id == "sheet-too-small");
    }

    /// <summary>Without figures it is looked for among what could be given up, and where nothing is found that is said with what was
    /// tried.</summary>
    [Fact]
    public void Without_figures_and_without_a_way_it_is_said_what_was_tried()
    {
        var stuck = Case("winged-lock-gatefold", "3x3") with { Tools = "metric-5mm", Lock = new Dictionary<string, string> { ["centre"] = "70 mm" } };
        var none = Ways.Of(stuck, Support.Reader);
        Assert.True(none.Ways.Count > 0 || none.NoneWords.StartsWith("None of these mends it:", StringComparison.Ordinal), none.NoneWords);
        Assert.True(none.Tried > 0);
    }
}

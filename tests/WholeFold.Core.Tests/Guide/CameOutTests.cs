using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Guide;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Guide;

/// <summary>What came out counts: a wrong cut is locked, and what is not yet cut is sized round it, or it is said that it cannot be saved.</summary>
public class CameOutTests
{
    private static readonly HashSet<string> Nothing = [];

    private static Outcome Of(DesignSpec spec, string figure, string real, params string[] done) => CameOut.Of(spec, Reader, figure, In(real), done.ToHashSet());

    [Fact]
    public void A_base_cut_short_becomes_a_card_with_a_shorter_front_or_a_smaller_one_and_what_follows_follows()
    {
        var spec = Spec("plain-fold", "5x7");
        var saved = Of(spec, "base.width", "9 7/8");
        Assert.Equal(Rescue.SizedAgain, saved.Rescue);
        var card = Size(DesignEdit.Apply(saved.Edits, spec, Reader));
        Assert.Equal((In("9 7/8"), In("4 7/8"), In("5")), (card.Piece("base").Width.Value, card.Scores("base").Single(), card.Size.Width));
        Assert.Contains(saved.Changes, c => c.Id.ToString() == "base.scores[0]" && c.Was == In("5") && c.Now == In("4 7/8"));
        Assert.Contains("what is done stays as it is", saved.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);

        // Cut too low, nothing but a lower card is left.
        var lower = Of(spec, "base.height", "6 7/8");
        Assert.IsType<ConvertTo>(Assert.Single(lower.Edits));
        Assert.Equal(In("6 7/8"), Size(DesignEdit.Apply(lower.Edits, spec, Reader)).Size.Height);
    }

    [Fact]
    public void Once_all_is_cut_nothing_can_be_sized_round_it_and_it_says_what_the_wrong_piece_is_good_for()
    {
        var spec = Spec("shadow-box", "5x7", "middles=1");
        var card = Size(spec);
        var lost = Of(spec, "front.height", "6 1/2", [.. card.Pieces.Where(p => p.Piece.Id != "middle1").SelectMany(p => new[] { p.Width.Id.ToString(), p.Height.Id.ToString() })]);
        Assert.Equal(Rescue.Lost, lost.Rescue);
        Assert.Empty(lost.Edits);
        Assert.Contains("Cut that piece again", lost.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var early = Of(spec, "front.height", "6 1/2");
        Assert.Equal(Rescue.SizedAgain, early.Rescue);
    }

    [Fact]
    public void What_is_too_large_is_cut_again_and_what_is_right_is_left()
    {
        var spec = Spec("plain-fold", "5x7");
        Assert.Equal((Rescue.CutAgain, Rescue.Leave), (Of(spec, "base.width", "10 1/8").Rescue, Of(spec, "base.width", "10").Rescue));
        Assert.Contains("1/8 too large", Of(spec, "base.width", "10 1/8").Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    [Fact]
    public void What_may_be_scant_is_left_with_the_reason_and_no_more_than_that()
    {
        var spec = Spec("plain-fold", "5x7");
        var left = Of(spec, "layers.inside.width", "4 11/16");
        Assert.Equal(Rescue.Leave, left.Rescue);
        Assert.Contains("scant only shows more of the border", left.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        Assert.NotEqual(Rescue.Leave, Of(spec, "layers.inside.width", "4").Rescue);
    }

    [Fact]
    public void A_paper_cut_short_is_left_until_its_border_is_twice_what_it_was_and_its_like_is_cut_to_match()
    {
        var spec = Spec("gatefold", "5x7") with { Reveal = "1/4" };
        var doors = Size(spec).Layers.First(l => l.Quantity > 1);
        var left = Of(spec, doors.Width.Id.ToString(), LengthWriter.Exact(doors.Width.Value - In("3/8")));
        Assert.Equal(Rescue.Leave, left.Rescue);
        Assert.Contains("Cut the others to match.", left.Say.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        Assert.NotEqual(Rescue.Leave, Of(spec, doors.Width.Id.ToString(), LengthWriter.Exact(doors.Width.Value - In("5/8"))).Rescue);
    }

    [Fact]
    public void A_mat_cut_short_would_leave_its_paper_too_little_so_it_is_not_left_and_the_paper_is()
    {
        var spec = Spec("plain-fold", "5x7") with { Reveal = "1/4" };
        var front = Size(spec).Layers.Where(l => l.Role.Id == "front").OrderBy(l => l.Level).ToList();
        Rescue Short(Length planned, string figure) => Of(spec, figure, LengthWriter.Exact(planned - In("3/8"))).Rescue;
        Assert.Equal([1, 2], front.Select(l => l.Level));
        Assert.NotEqual(Rescue.Leave, Short(front[0].Width.Value, front[0].Width.Id.ToString()));
        Assert.Equal(Rescue.Leave, Short(front[1].Width.Value, front[1].Width.Id.ToString()));
    }

    /// <summary>A score that is counted from the short end would land beside its place.</summary>
    [Fact]
    public void Left_short_at_its_end_it_says_what_becomes_of_scores_that_are_counted_from_there()
    {
        var (from, other) = (0, 0);
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "5x7" };
            foreach (var piece in Try(spec)?.Pieces ?? [])
            {
                var outcome = CameOut.Of(spec, Reader, piece.Along.Id.ToString(), piece.Along.Value - In("1/16"), Nothing);
                if (outcome.Rescue == Rescue.Leave && outcome.Edits.Count == 0)
                {
                    var turned = piece.Scores.Any(s => s.Figure.Setting.At != s.Figure.Value);
                    Assert.Equal(turned, outcome.Say.Write(DisplayUnit.Inch).Contains("set them 1/16 less", StringComparison.Ordinal));
                    (from, other) = turned ? (from + 1, other) : (from, other + 1);
                }
            }
        }

        Assert.True(from > 0 && other > 0, $"{from} {other}");
    }

    /// <summary>A tab still holds at a quarter of an inch, whatever it was meant to be.</summary>
    [Fact]
    public void A_tab_at_the_end_of_a_piece_takes_what_was_cut_short_until_it_would_no_longer_hold()
    {
        var tried = 0;
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "6x6" };
            foreach (var piece in (Try(spec)?.Pieces ?? []).Where(p => p.Panels[^1].Panel.IsTab))
            {
                var spare = piece.Panels[^1].Extent - In("1/4");
                if (spare > In("1/8") && piece.Piece.Functions.Along == PartFunction.None)
                {
                    var id = piece.Along.Id.ToString();
                    Assert.Equal(Rescue.Leave, CameOut.Of(spec, Reader, id, piece.Along.Value - spare, Nothing).Rescue);
                    Assert.NotEqual(Rescue.Leave, CameOut.Of(spec, Reader, id, piece.Along.Value - spare - In("1/16"), Nothing).Rescue);
                    tried++;
                }
            }
        }

        Assert.True(tried >= 3, $"{tried}");
    }

    /// <summary>Whatever is offered does what it says: the figure is what it has become, and nothing that is done has moved.</summary>
    [Fact]
    public void Over_all_constructions_what_is_done_stays_done()
    {
        var found = new Dictionary<Rescue, int>();
        foreach (var family in ConstructionLibrary.All)
        {
            var spec = new DesignSpec { Construction = family.Id, Format = "6x6" };
            if (Try(spec) is not { } card)
            {
                continue;
            }

            var done = new HashSet<string>();
            foreach (var piece in card.Pieces)
            {
                var outcome = CameOut.Of(spec, Reader, piece.Width.Id.ToString(), piece.Width.Value - In("1/8"), done);
                found[outcome.Rescue] = found.GetValueOrDefault(outcome.Rescue) + 1;
                if (outcome.Rescue == Rescue.SizedAgain)
                {
                    var again = Size(DesignEdit.Apply(outcome.Edits, spec, Reader)).All.ToDictionary(f => f.Id.ToString(), f => f.Value);
                    Assert.Equal(piece.Width.Value - In("1/8"), again[piece.Width.Id.ToString()]);
                    Assert.All(done, id => Assert.Equal(card.All.Single(f => f.Id.ToString() == id).Value, again[id]));
                    Assert.All(outcome.Changes, c => Assert.Equal(c.Now, again[c.Id.ToString()]));
                }
                else
                {
                    Assert.Empty(outcome.Edits);
                }

                done.Add(piece.Width.Id.ToString());
                done.Add(piece.Height.Id.ToString());
            }
        }

        Assert.True(found.GetValueOrDefault(Rescue.SizedAgain) >= 15 && found.GetValueOrDefault(Rescue.Lost) > 0, string.Join(", ", found));
    }

    [Theory]
    [InlineData("base.width", "0", "real")]
    [InlineData("base.width", "40", "real")]
    [InlineData("sun.width", "4", "figure")]
    public void What_cannot_be_is_refused(string figure, string real, string field) =>
        Assert.Equal(field, Assert.Throws<InputProblemException>(() => Of(Spec("plain-fold", "5x7"), figure, real)).Field);

    /// <summary>What was called lost once: a smaller card, several figures together, a part that another one hides.</summary>
    [Theory]
    [InlineData("tier-scene", "5x7", "base.scores[0]", "+1/16", "base.width")]
    [InlineData("tier-scene", "5x7", "tier1.width", "-1/8", "base.width")]
    [InlineData("bridge", "5x7", "bridge.width", "-1/8")]
    [InlineData("bridge", "5x7", "base.width", "-1/8")]
    [InlineData("split-gatefold", "5x7", "base.scores[0]", "+1/8", "base.width")]
    [InlineData("pillar-tiers", "5x7", "face1.width", "-1/8")]
    [InlineData("winged-lock-gatefold", "5x7", "base.width", "-1/8")]
    [InlineData("front-step", "a2-us", "base.scores[1]", "+1/16", "base.height", "base.scores[0]")]
    public void What_can_be_saved_is_saved(string construction, string format, string figure, string by, params string[] done)
    {
        var spec = Spec(construction, format);
        var planned = Size(spec).All.Single(f => f.Id.ToString() == figure).Value;
        var real = by[0] == '+' ? planned + In(by[1..]) : planned - In(by[1..]);
        var outcome = CameOut.Of(spec, Reader, figure, real, done.ToHashSet());
        Assert.True(outcome.Rescue is Rescue.Leave or Rescue.SizedAgain, $"{outcome.Rescue}: {outcome.Say.Write(DisplayUnit.Inch)}");
        if (outcome.Rescue == Rescue.SizedAgain)
        {
            var card = Size(DesignEdit.Apply(outcome.Edits, spec, Reader));
            Assert.Equal(real, card.All.Single(f => f.Id.ToString() == figure).Value);
            Assert.All(done, id => Assert.Equal(Size(spec).All.Single(f => f.Id.ToString() == id).Value,
                card.All.Single(f => f.Id.ToString() == id).Value));
        }
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What is advised: changes that mend a case, points of a curve, other priorities, what a change did.</summary>
public class AdviceTests
{
    private const int Every = 3;

    private static readonly string[] Boards = ["imperial-eighths", "metric-5mm", "ruler"];

    [Fact]
    public void A_remedy_makes_it_possible_and_no_smaller_set_of_changes_does()
    {
        var random = new Random(7);
        var variants = Support.Variants().ToList();
        var (stuck, sizes) = (0, new HashSet<int>());
        for (var run = 0; run < 4000 && stuck < 25; run++)
        {
            var (family, choices) = variants[random.Next(variants.Count)];
            var free = new DesignSpec { Construction = family.Id, Format = "5x7", Tools = Boards[random.Next(Boards.Length)], Set = Support.Written(choices) };
            var parameters = Support.Reader.Read(free).Design.Construction.Parameters;
            var pins = parameters.Where(_ => random.Next(3) > 0)
                .ToDictionary(p => p.Id, _ => Length.In(random.Next(4, 60), 16).Millimetres.ToString(System.Globalization.CultureInfo.InvariantCulture) + "mm");
            var spec = free with { Lock = pins };
            if (pins.Count == 0 || IsPossible(spec, []) != false)
            {
                continue;
            }

            stuck++;
            var remedies = Remedies.Of(spec, Support.Reader);
            var all = Remedies.EditsFor(spec, Support.Reader).ToList();
            var size = remedies.Count == 0 ? 4 : remedies[0].Edits.Count;
            sizes.Add(remedies.Count == 0 ? 0 : size);
            foreach (var remedy in remedies)
            {
                Assert.Equal(size, remedy.Edits.Count);
                Assert.True(IsPossible(spec, remedy.Edits));
            }

            // By brute force: every smaller set, and every set of this size that is not among the remedies, mends nothing.
            var named = remedies.Select(r => string.Join('|', r.Edits)).ToHashSet();
            foreach (var set in Enumerable.Range(1, size).SelectMany(n => Subsets(all, n)).Where(s => !named.Contains(string.Join('|', s))))
            {
                Assert.NotEqual(true, IsPossible(spec, set));
            }
        }

        Assert.True(stuck == 25 && sizes.Count > 1, $"{stuck} stuck, remedies of {string.Join(", ", sizes)}");
    }

    /// <summary>Null where a pin is outside its own limits, which is refused before anything is sized.</summary>
    private static bool? IsPossible(DesignSpec spec, IEnumerable<DesignEdit> edits)
    {
        try
        {
            var read = Support.Reader.Read(DesignEdit.Apply(edits, spec, Support.Reader));
            return Sizer.TrySize(read.Design, read.Target) is not null;
        }
        catch (InputProblemException)
        {
            return null;
        }
    }

    private static IEnumerable<List<DesignEdit>> Subsets(List<DesignEdit> from, int size) => size == 0
        ? [[]]
        : from.SelectMany((c, i) => Subsets(from[(i + 1)..], size - 1).Select(rest => (List<DesignEdit>)[c, .. rest]));

    [Fact]
    public void Every_point_of_a_curve_is_a_real_sizing_and_none_is_worse_than_another_in_everything()
    {
        var curves = 0;
        foreach (var (family, choices) in Support.Variants().Stride(Every))
        {
            foreach (var format in new[] { "5x7", "a6-iso" })
            {
                var read = Support.Reader.Read(new DesignSpec { Construction = family.Id, Format = format, Set = Support.Written(choices) });
                if (Attempt.Of(read.Design, read.Target).Card is not { } sized)
                {
                    continue;
                }

                foreach (var curve in Curve.Of(sized.Figures))
                {
                    curves++;
                    Assert.True(curve.Points.Count > 1);
                    foreach (var point in curve.Points)
                    {
                        var there = Card.Of(read.Design.Adjusted(read.Target, curve.Tradeoff.Parameter, point.Parameter), read.Target);
                        Assert.Equal((point.One, point.Other, point.OffGroove), (there.Figures.ValueOf(curve.Tradeoff.One), there.Figures.ValueOf(curve.Tradeoff.Other), there.Figures.Cost.OffGroove));
                        Assert.DoesNotContain(curve.Points, q => q != point && q.One >= point.One && q.Other >= point.Other && q.OffGroove <= point.OffGroove && q.Under <= point.Under);
                    }
                }
            }
        }

        Assert.True(curves > Day.AtLeast(8, Every), $"only {curves} curves");
    }

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void No_priority_gives_what_another_beats_in_everything(string tools)
    {
        var differing = 0;
        foreach (var spec in Support.Grid(tools).Stride(9))
        {
            var all = new[] { "format", "board", "proportions" }.Select(p => Support.Reader.Read(spec with { Priority = p })).Select(r => Attempt.Of(r.Design, r.Target).Card).ToList();
            if (all.Any(s => s is not { Relaxation: Relaxation.None }))
            {
                continue;
            }

            differing += all.Select(s => string.Join(',', s!.All.Select(f => f.Value))).Distinct().Count() > 1 ? 1 : 0;
            var costs = all.Select(s => s!.Cost).ToList();
            Assert.DoesNotContain(costs, a => costs.Any(b => b.Shortfall <= a.Shortfall && b.OffGroove <= a.OffGroove && b.Distance < a.Distance
                && (b.Shortfall < a.Shortfall || b.OffGroove < a.OffGroove)));
        }

        Assert.True(differing > 3, $"only {differing} cases differ");
    }

    [Fact]
    public void What_other_tools_or_card_change_is_told_figure_by_figure_with_a_reason()
    {
        foreach (var (change, some) in new (Func<DesignSpec, DesignSpec> Change, bool Some)[] { (s => s with { Tools = "metric-5mm" }, true), (s => s with { Caliper = "0.8mm", Tools = "machine" }, true), (s => s, false) })
        {
            foreach (var (family, choices) in Support.Variants())
            {
                var spec = new DesignSpec { Construction = family.Id, Format = "a6-us", Set = Support.Written(choices) };
                if (Sized(spec) is not { } before || Sized(change(spec)) is not { } after)
                {
                    continue;
                }

                var changes = Comparison.Of(before.All, after.All);
                var was = before.All.ToDictionary(f => f.Id);
                var differing = after.All.Where(f => !was.TryGetValue(f.Id, out var old) || old.Value != f.Value || old.Setting != f.Setting).Select(f => f.Id);
                Assert.Equal(differing.Select(f => f.ToString()).Order(), changes.Where(c => c.Now is not null).Select(c => c.Id.ToString()).Order());
                Assert.All(changes, c => Assert.NotEmpty(c.Why.Write(DisplayUnit.Inch)));
                Assert.True(some || changes.Count == 0);
            }
        }
    }

    private static Card? Sized(DesignSpec spec)
    {
        var read = Support.Reader.Read(spec);
        return Attempt.Of(read.Design, read.Target).Card;
    }

    [Theory]
    [InlineData("gatefold", "5x7", "base.scores[0]", "2 7/16 = half of the width 5, less the relief 1/16 so that the doors do not touch; between grooves, so just inside 2 1/2")]
    [InlineData("plain-fold", "5x7", "base.scores[0]", "5: the width; on a groove")]
    [InlineData("front-step", "a2-us", "base.scores[3]", "9 13/16 = the height 5 1/2, and twice the rise 1 1/8 (its rule gives 1 3/32 full), and the step 2 1/16 (its rule gives 2 1/32 full); turn the piece round, 1/2 is on a groove")]
    public void A_figure_is_said_as_a_colleague_would(string construction, string format, string figure, string said) =>
        Assert.Equal(said, Support.Size(Support.Spec(construction, format)).All.Single(f => f.Id.ToString() == figure).Said.Write(DisplayUnit.Inch));
}

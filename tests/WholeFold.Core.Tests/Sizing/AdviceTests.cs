using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What is advised: changes that mend a case, points of a curve, other priorities, what a change did.</summary>
public class AdviceTests
{
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
            var free = new DesignSpec { Construction = family.Id, Format = "5x7", Tools = Boards[random.Next(Boards.Length)], Set = choices };
            var parameters = DesignReader.Read(free).Design.Construction.Parameters;
            var pins = parameters.Where(_ => random.Next(3) > 0).ToDictionary(p => p.Id, _ => Length.In(random.Next(4, 60), 16).Millimetres.ToString(System.Globalization.CultureInfo.InvariantCulture) + "mm");
            var read = DesignReader.Read(free with { Set = choices.Concat(pins).ToDictionary() });
            if (pins.Count == 0 || IsPossible(read.Design, read.Target) != false)
            {
                continue;
            }

            stuck++;
            var remedies = Remedies.Of(read.Design, read.Target);
            var all = Remedies.ChangesFor(read.Design, read.Target).ToList();
            var size = remedies.Count == 0 ? 4 : remedies[0].Changes.Count;
            sizes.Add(remedies.Count == 0 ? 0 : size);
            foreach (var remedy in remedies)
            {
                Assert.Equal(size, remedy.Changes.Count);
                Assert.True(IsPossible(remedy.Changes.Aggregate(read.Design, (d, c) => c.Apply(d, read.Target)), read.Target));
            }

            // By brute force: every smaller set, and every set of this size that is not among the remedies, mends nothing.
            var named = remedies.Select(r => string.Join('|', r.Changes.Select(c => $"{c.Kind} {c.Name} {c.Option}"))).ToHashSet();
            foreach (var set in Enumerable.Range(1, size).SelectMany(n => Subsets(all, n)).Where(s => !named.Contains(string.Join('|', s.Select(c => $"{c.Kind} {c.Name} {c.Option}")))))
            {
                Assert.NotEqual(true, IsPossible(set.Aggregate(read.Design, (d, c) => c.Apply(d, read.Target)), read.Target));
            }
        }

        Assert.True(stuck == 25 && sizes.Count > 1, $"{stuck} stuck, remedies of {string.Join(", ", sizes)}");
    }

    /// <summary>Null where a pin is outside its own limits, which is refused before anything is sized.</summary>
    private static bool? IsPossible(Design design, Target target)
    {
        try
        {
            return Sizer.TrySize(design, target) is not null;
        }
        catch (InputProblemException)
        {
            return null;
        }
    }

    private static IEnumerable<List<Change>> Subsets(List<Change> from, int size) => size == 0
        ? [[]]
        : from.SelectMany((c, i) => Subsets(from[(i + 1)..], size - 1).Select(rest => (List<Change>)[c, .. rest]));

    [Fact]
    public void Every_point_of_a_curve_is_a_real_sizing_and_none_is_worse_than_another_in_everything()
    {
        var curves = 0;
        foreach (var (family, choices) in Support.Variants())
        {
            foreach (var format in new[] { "5x7", "a6-iso" })
            {
                var read = DesignReader.Read(new DesignSpec { Construction = family.Id, Format = format, Set = choices });
                if (Attempt.Of(read.Design, read.Target).Sized is not { } sized)
                {
                    continue;
                }

                foreach (var curve in Curve.Of(sized))
                {
                    curves++;
                    Assert.True(curve.Points.Count > 1);
                    foreach (var point in curve.Points)
                    {
                        var there = Sizer.Size(read.Design with { Pins = new Dictionary<string, Length>(read.Design.Pins) { [curve.Tradeoff.Parameter] = point.Parameter } }, read.Target);
                        Assert.Equal((point.One, point.Other, point.OffGroove), (there.ValueOf(curve.Tradeoff.One), there.ValueOf(curve.Tradeoff.Other), there.Cost.OffGroove));
                        Assert.DoesNotContain(curve.Points, q => q != point && q.One >= point.One && q.Other >= point.Other && q.OffGroove <= point.OffGroove && q.Under <= point.Under);
                    }
                }
            }
        }

        Assert.True(curves > 8, $"only {curves} curves");
    }

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void No_priority_gives_what_another_beats_in_everything(string tools)
    {
        var differing = 0;
        foreach (var spec in Support.Grid(tools).Where((_, i) => i % 9 == 0))
        {
            var all = new[] { "format", "board", "proportions" }.Select(p => DesignReader.Read(spec with { Priority = p })).Select(r => Attempt.Of(r.Design, r.Target).Sized).ToList();
            if (all.Any(s => s is not { Means: Means.Usual }))
            {
                continue;
            }

            differing += all.Select(s => string.Join(',', s!.Figures.Select(f => f.Value))).Distinct().Count() > 1 ? 1 : 0;
            Assert.DoesNotContain(all, a => all.Any(b => b!.Cost.Shortfall <= a!.Cost.Shortfall && b.Cost.OffGroove <= a.Cost.OffGroove && b.Cost.Distance < a.Cost.Distance && (b.Cost.Shortfall < a.Cost.Shortfall || b.Cost.OffGroove < a.Cost.OffGroove)));
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
                var spec = new DesignSpec { Construction = family.Id, Format = "a6-us", Set = choices };
                if (Sized(spec) is not { } before || Sized(change(spec)) is not { } after)
                {
                    continue;
                }

                var changes = Comparison.Of(before, after);
                var was = before.Figures.ToDictionary(f => f.Id);
                var differing = after.Figures.Where(f => !was.TryGetValue(f.Id, out var old) || old.Value != f.Value || old.Setting != f.Setting).Select(f => f.Id);
                Assert.Equal(differing.Order(), changes.Where(c => c.Now is not null).Select(c => c.Id).Order());
                Assert.All(changes, c => Assert.NotEmpty(c.Why.In(DisplayUnit.Inch)));
                Assert.True(some || changes.Count == 0);
            }
        }
    }

    private static SizedDesign? Sized(DesignSpec spec)
    {
        var read = DesignReader.Read(spec);
        return Attempt.Of(read.Design, read.Target).Sized;
    }

    [Theory]
    [InlineData("gatefold", "5x7", "base.scores[0]", "2 7/16 = half of the width 5, less the relief 1/16 so that the doors do not touch; between grooves, so just inside 2 1/2")]
    [InlineData("plain-fold", "5x7", "base.scores[0]", "5: the width; on a groove")]
    [InlineData("front-step", "a2-us", "base.scores[3]", "9 13/16 = the height 5 1/2, and twice the rise 1 1/8 (1 3/32 full by its rule, the nearest that your board and trimmer can set), and the step 2 1/16 (2 1/32 full by its rule, the nearest that your board and trimmer can set); turn the piece round, 1/2 is on a groove")]
    public void A_figure_is_said_as_a_colleague_would(string construction, string format, string figure, string said) =>
        Assert.Equal(said, Support.Size(Support.Spec(construction, format)).Figures.Single(f => f.Id == figure).Said.In(DisplayUnit.Inch));
}

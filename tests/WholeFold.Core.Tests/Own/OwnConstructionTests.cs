using WholeFold.Core.Constructions;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;

namespace WholeFold.Core.Tests.Own;

/// <summary>A list that no construction explains becomes a construction of its own: sized, folded, dressed, converted and kept like any other.</summary>
public class OwnConstructionTests
{
    private const int Every = 12;

    private static IEnumerable<(string Name, OwnList List, DesignSpec Spec)> All()
    {
        foreach (var (name, unit, text) in OwnListTests.Texts)
        {
            var list = OwnListReader.Read(text, unit);
            if (list.Cards.Any() && RuleGuess.Of(list, Inventory.Shipped.Formats) is { } rules)
            {
                yield return (name, list, OwnConstruction.Design(list, rules, name));
            }
        }
    }

    /// <summary>Cut at home, every piece is as the list has it, to the thickness of a line.</summary>
    [Fact]
    public void At_home_each_figure_is_the_one_in_the_list()
    {
        var (sized, wrong) = (0, new List<string>());
        foreach (var (name, list, spec) in All().Stride(Every))
        {
            var read = Support.Reader.Read(spec with { Tools = "machine" });
            if (Attempt.Of(read.Design, read.Target) is not { Card: { } card } attempt)
            {
                wrong.Add($"{name}: no figures, {Attempt.Of(read.Design, read.Target).Problem?.Write(DisplayUnit.Inch)}");
                continue;
            }

            sized++;
            foreach (var (piece, listed) in card.Pieces.Zip(list.Cards.OrderByDescending(c => c.Scores.Count > 0).ThenByDescending(c => (double)c.First.Units * c.Second.Units)))
            {
                var off = new[] { piece.Along.Value - listed.Along, piece.Across.Value - listed.Across }.Concat(piece.Scores.Zip(listed.Scores, (s, l) => s.Figure.Value - l)).Max(d => d.Abs());
                if (off > Length.Mm(0.9m))
                {
                    wrong.Add($"{name}: {listed.Name} is {off.Millimetres} mm off");
                }
            }

            Assert.DoesNotContain(card.Closed.Misses, m => m.Bond is not null && card.Construction.Bonds.First(b => b.Id == m.Bond) is { IsLoose: false });
        }

        Assert.True(wrong.Count <= Day.AtMost(0.04, sized) && sized > Day.AtLeast(100, Every), $"{sized} sized; {string.Join("\n", wrong)}");
    }

    [Fact]
    public void It_goes_through_all_that_a_library_construction_goes_through()
    {
        var made = 0;
        foreach (var (name, _, spec) in All().Stride(6 * Every, whole: 6))
        {
            var file = DesignFile.Read(DesignFile.Write(spec), name);
            Assert.Equal(DesignFile.State(spec), DesignFile.State(file));
            foreach (var format in Inventory.Shipped.Formats.Where(f => f.Id is "6x6" or "a5"))
            {
                var read = Support.Reader.Read(file);
                if (Attempt.Of(read.Design, new Target(format, false)).Card is not { } card)
                {
                    continue;
                }

                made++;
                Assert.NotNull(card.Checks);
                Assert.All(card.Figures.All, f => Assert.True(f.Value > Length.Zero));
                Assert.NotEmpty(Motion.Of(card.Figures).Frames);
                Assert.NotEmpty(Core.Guide.Steps.Of(card));
                Assert.NotEmpty(card.Dressed.Roles.All);
            }
        }

        Assert.True(made > Day.AtLeast(25, Every), $"{made}");
    }

    [Fact]
    public void Folds_close_to_the_card_in_the_plainest_way()
    {
        static IReadOnlyList<int> Of(string panels, int width, string? said = null) => FoldGuess.Closed(
            [.. panels.Split(' ').Select(p => Length.In(int.Parse(p, System.Globalization.CultureInfo.InvariantCulture), 4))], Length.In(width, 4), Length.Mm(1),
            [.. (said ?? new string('?', panels.Count(c => c == ' '))).Select(c => c switch { 'v' => Fold.Valley, 'm' => Fold.Mountain, _ => (Fold?)null })]);
        Assert.Equal([180], Of("20 20", 20));
        Assert.Equal([180, 180], Of("10 20 10", 20));
        Assert.Equal([180, -180], Of("11 11 22", 22));
        Assert.Equal([180, -180], Of("20 20 20", 20));
        Assert.Equal([180, 0], Of("4 16 4", 20));

        // What its maker says of a crease holds, and the others go by it.
        Assert.Equal([180, 180], Of("20 20 20", 20, "vv"));
        Assert.Equal([-180, 180], Of("20 20 20", 20, "m?"));
        Assert.Equal([0, -180], Of("4 16 4", 20, "?m"));
        Assert.Empty(Of("20", 20));
    }

    [Fact]
    public void What_an_engine_could_not_work_with_is_refused_with_its_place()
    {
        var spec = All().First(a => a.Spec.Made!.Variants[0].Pieces.Count > 1).Spec;
        InputProblemException Refused(Func<WrittenFamily, WrittenFamily> change, string? construction = null) =>
            Assert.Throws<InputProblemException>(() => Support.Reader.Read(spec with { Made = change(spec.Made!), Construction = construction
            ?? spec.Construction }));
        Assert.Equal("made.id", Refused(m => m with { Id = "bridge" }, "bridge").Field);
        Assert.Contains("brings along", Refused(m => m with { Id = "other" }).Reason, StringComparison.Ordinal);
        Assert.Contains("nothing holds", Refused(m => m with { Variants = [m.Variants[0] with { Bonds = [] }] }).Reason, StringComparison.Ordinal);
        Assert.Contains("is not known here", Refused(m =>
            m with { Variants = [m.Variants[0] with { Pieces =
            [m.Variants[0].Pieces[0] with { Across = new WrittenSum(new Dictionary<string, string> { ["nothing"] = "1" }) },
            .. m.Variants[0].Pieces.Skip(1)] }] }).Reason, StringComparison.Ordinal);
    }
}

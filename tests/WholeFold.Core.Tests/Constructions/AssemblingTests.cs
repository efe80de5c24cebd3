using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Constructions;

/// <summary>How each construction is put together, as data that later screens read.</summary>
public class AssemblingTests
{
    [Fact]
    public void Every_bond_of_every_variant_is_made_in_one_step_with_its_pose_and_how_one_knows_it_is_right()
    {
        foreach (var (family, choices) in Variants())
        {
            var construction = family.For(choices);
            var made = construction.Steps.SelectMany(s => s.Bonds).ToList();
            Assert.Equal(construction.Bonds.Where(b => !b.IsLoose).Select(b => b.Id).Order(), made.Order());
            Assert.NotEmpty(construction.Steps);
            Assert.All(construction.Steps, s => Assert.Equal(s.Bonds.Count > 0, s is { Pressed: not null, RightWhen.Length: > 10 }));
            Assert.All(construction.Steps, s => Assert.EndsWith(".", s.Text, StringComparison.Ordinal));
            Assert.All(construction.Bonds, b => Assert.NotEmpty(b.LinedUp));
        }
    }

    [Fact]
    public void What_is_cut_inside_a_sheet_by_hand_carries_its_caution_at_the_step_or_as_a_check()
    {
        foreach (var (family, choices) in Variants())
        {
            if (Try(new DesignSpec { Construction = family.Id, Format = "5x7", Set = Written(choices), Tools = "imperial-eighths" }) is { } sized && sized.Pieces.Any(p => p.Openings.Any(o => o.Opening.IsKnifeWork)))
            {
                Assert.Contains(sized.Checks, c => c.Id == "knife-work" && c.Text.Write(Core.Measure.DisplayUnit.Inch).Contains("away from the hand", StringComparison.Ordinal));
            }
        }
    }

    /// <summary>All pieces are joined by bonds; what is slid on or hangs on a thread is the exception, and these are all.</summary>
    [Fact]
    public void Only_what_slides_or_spins_is_not_bonded_to_the_card()
    {
        var loose = new SortedSet<string>(StringComparer.Ordinal);
        foreach (var (family, choices) in Variants())
        {
            var construction = family.For(choices);
            var held = new HashSet<PieceRef> { construction.Pieces[0].Copies[0] };
            while (construction.Bonds.FirstOrDefault(b => !b.IsLoose && held.Contains(b.A.Piece) != held.Contains(b.B.Piece)) is { } bond)
            {
                held.UnionWith([bond.A.Piece, bond.B.Piece]);
            }

            loose.UnionWith(construction.Pieces.SelectMany(p => p.Copies.Where(c => !held.Contains(c)).Select(_ => $"{family.Id}: {p.Id}")));
        }

        Assert.Equal(["peak-tunnel: spinner", "sleeve-gatefold: backTile", "sleeve-gatefold: pocket", "sleeve-gatefold: tile", "spinner-window: spinner"], loose);
    }

    [Fact]
    public void Every_allowance_is_named_by_a_construction_that_needs_it()
    {
        var named = Variants().SelectMany(v => v.Family.For(v.Choices).Allowances.Values).Select(a => a.GetType()).ToHashSet();
        var all = typeof(Core.Constructions.Allowances.Allowance).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Core.Constructions.Allowances.Allowance)));
        Assert.Empty(all.Where(t => !named.Contains(t)).Select(t => t.Name));
    }

    [Fact]
    public void A_press_of_a_bond_that_is_not_there_is_refused()
    {
        var builder = new ConstructionBuilder("none", new Dictionary<string, string>());
        Assert.Throws<InvalidOperationException>(() => builder.Bonded("tube"));
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>The search against a general constraint solver, over the whole ordered cost.</summary>
public class OracleTests
{
    private const int Every = 8;

    private static readonly int RandomCases = Day.Whole ? 1000 : 200;

    [Fact]
    public void The_search_finds_the_optimum_of_random_chains()
    {
        var random = new Random(Day.Whole ? 5080 : Day.Seed);
        var solved = 0;
        for (var i = 0; i < RandomCases; i++)
        {
            var construction = RandomChains.Make(random);
            var (target, tools) = RandomChains.Case(random);
            var priority = (Priority)random.Next(3);
            solved += Judge(construction, target, tools, priority, Liking(i), $"random case {i}") ? 1 : 0;
        }

        // Both kinds must be well represented, or agreement would mean little.
        Assert.InRange(solved, RandomCases / 4, RandomCases * 9 / 10);
    }

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    public void The_search_finds_the_optimum_of_the_library(string toolsId)
    {
        foreach (var (spec, i) in Support.Grid(toolsId).Select((s, i) => (s, i)).Where(p => p.i % 2 == 0).Stride(Every))
        {
            var read = Support.Reader.Read(spec);
            Judge(read.Design.Construction, read.Target, Inventory.Shipped.Find<ToolKit>(toolsId)!.For(read.Target.Format.System), (Priority)(i / 2 % 3), Liking(i), spec.Named());
        }
    }

    [Fact]
    public void A_dearer_answer_would_be_noticed()
    {
        var read = Support.Reader.Read(Support.Spec("winged-lock-gatefold", "5x7"));
        var cost = Card.Of(read.Design, read.Target).Cost;
        bool Noticed(Cost dearer) => new Oracle(read.Design.Construction, read.Target,
            Inventory.Shipped.Find<ToolKit>("imperial-eighths")!.For(UnitSystem.Imperial), read.Design.Stock, new CostOrder(Priority.Format),
            noSixteenths: false).HasBetterThan(dearer);
        Assert.False(Noticed(cost));
        Assert.True(Noticed(cost with { Settings = cost.Settings + 1 }));
        Assert.True(Noticed(cost with { Distance = cost.Distance + 1 }));
        Assert.True(Noticed(cost with { OffGroove = cost.OffGroove + 1, Distance = 0 }));
    }

    private static bool Judge(Construction construction, Target target, ToolSet tools, Priority priority, Preferences prefer, string name)
    {
        var stock = Inventory.Shipped.Find<Stock>("card-270")!;
        var builder = new ProblemBuilder(construction, target, tools, Support.PapersOf(stock), priority, prefer, new Dictionary<string, Length>(), new Dictionary<string, Wish>());
        var problem = builder.Build(Relaxation.None) with { Effort = long.MaxValue };
        var found = Search.Solve(problem);
        Oracle Judged() => new(construction, target, tools, stock, new CostOrder(priority, prefer.OneStop), prefer.AvoidFineMarks);
        if (found is not { } solution)
        {
            Assert.False(Judged().HasBetterThan(null), $"{name}: the judge found a solution where the search found none");
            return false;
        }

        var values = problem.Unknowns.Select((u, i) => (u.Symbol, solution.Values[i])).ToDictionary(p => p.Symbol.Id, p => p.Item2);
        var cost = Judged().CostOf(values, out var status);
        Assert.True(cost is not null, $"{name}: the judge says that the search's values break a rule ({status})");
        var own = Oracle.Ordered(solution.Cost, new CostOrder(priority, prefer.OneStop));
        Assert.True(cost!.SequenceEqual(own), $"{name}: the judge costs it {string.Join(", ", cost!)}, the search {string.Join(", ", own)}");
        Assert.False(Judged().HasBetterThan(solution.Cost), $"{name}: the judge found something better than {solution.Cost}");
        return true;
    }

    /// <summary>What is liked, in turn: nothing, no sixteenths, one stop, both.</summary>
    private static Preferences Liking(int i) => new(AvoidFineMarks: i % 8 is 3 or 5, OneStop: i % 8 is 2 or 5);
}

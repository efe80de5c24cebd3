using System.Text.Json;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Planning;
using Xunit;

namespace WholeFold.Core.Tests.Planning;

/// <summary>Plans are cut again by code that knows only a trimmer, and their bounds are worked out again piece by piece.</summary>
public class PlannerTests
{
    private const int Jobs = 8;

    public static TheoryData<bool, int, int> Made()
    {
        var data = new TheoryData<bool, int, int>();
        for (var i = 0; i < Jobs; i++)
        {
            data.Add(i % 2 == 0, (Day.Seed * 100) + i, i % 4 == 3 ? 2 : 1);
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Made))]
    public void Every_plan_can_be_cut_as_it_is_written_and_gives_just_what_is_wanted(bool real, int seed, int sorts)
    {
        var job = real ? JobMaker.Realistic(seed, sorts) : JobMaker.Hard(seed, sorts);
        var json = Written(job);
        Assert.Empty(AtTheTrimmer.Wrong(json, Of(job)));
        Assert.Equal(json, Written(job));
    }

    [Fact]
    public void An_offcut_is_one_where_no_number_is_said_and_enough_of_them_is_a_plan_too()
    {
        var offcut = new SheetKind("left", "Left over", Length.In(6), Length.In(11), IsOffcut: true);
        var wanted = new Wanted("a", "a", Length.In(5), Length.In(5), 3);
        var plan = Planner.Plan(new StockJob("card", [Letter(), offcut], [wanted]));
        Assert.Equal(1, plan.Sheets.Where(s => s.Sheet.IsOffcut).Sum(s => s.Count));
        var only = Planner.Plan(new StockJob("card", [offcut with { Count = 5 }], [wanted]));
        Assert.Equal((2, 2, true), (only.SheetCount, only.Bound, only.Proven));
    }

    /// <summary>No part is cut larger than what comes out of it: such a part would be cut twice.</summary>
    [Fact]
    public void What_is_left_over_lies_at_the_outside()
    {
        var plan = Planner.Plan(new StockJob("card", [Letter()],
            [new("a", "a", Length.In(3), Length.In(4), 2), new("b", "b", Length.In(2), Length.In(7, 2), 2)]));
        var sheet = Assert.Single(plan.Sheets);
        Assert.True(sheet.Cuts.Count <= 8, $"{sheet.Cuts.Count} cuts for four pieces");
    }

    /// <summary>A plan that is spoilt is noticed: else the cutting proves nothing.</summary>
    [Theory]
    [InlineData("\"axis\":\"x\"", "\"axis\":\"y\"")]
    [InlineData("\"turned\":false", "\"turned\":true")]
    [InlineData("\"count\":1,", "\"count\":2,")]
    [InlineData("\"of\":[0]", "\"of\":[1]")]
    public void A_spoilt_plan_is_noticed(string good, string spoilt)
    {
        var job = new StockJob("card", [Letter()],
            [new("a", "a", Length.In(5), Length.In(3), 3), new("b", "b", Length.In(2), Length.In(7, 2), 5)]);
        var json = Written(job);
        var at = json.IndexOf(good, StringComparison.Ordinal);
        Assert.True(at >= 0, json);
        Assert.NotEmpty(AtTheTrimmer.Wrong(json[..at] + spoilt + json[(at + good.Length)..], Of(job)));
    }

    /// <summary>Small jobs are decided apart by trying every way: a bound may never lie above what is possible.</summary>
    [Fact]
    public void A_bound_is_never_above_what_trying_everything_finds()
    {
        var found = 0;
        for (var seed = Day.Seed; seed < Day.Seed + 30; seed++)
        {
            var random = new Random(seed);
            var sheet = new SheetKind("s", "s", Length.Mm(random.Next(6, 10)), Length.Mm(random.Next(6, 10)));
            var pieces = Enumerable.Range(0, 3)
                .Select(i => new Wanted($"p{i}", $"p{i}",
                    Length.Mm(random.Next(2, 6)), Length.Mm(random.Next(2, 6)), random.Next(1, 4))).ToList();
            var plan = Planner.Plan(new StockJob("card", [sheet], pieces));
            var least = ByTryingAll.Sheets(sheet, pieces);
            Assert.True(plan.Bound <= least && least <= plan.SheetCount, $"seed {seed}: {plan.Bound} ≤ {least} ≤ {plan.SheetCount}");
            Assert.True(!plan.Proven || plan.SheetCount == least, $"seed {seed}: proven {plan.SheetCount}, possible {least}");
            found += plan.Proven ? 1 : 0;
        }

        Assert.True(found >= 27, $"{found} of 30 proven");
    }

    /// <summary>Of so many sheets it is told in how many ways they are cut at least: never more than trying all of them finds.</summary>
    [Fact]
    public void The_fewest_patterns_are_never_above_what_trying_everything_finds()
    {
        var (proven, several, tried) = (0, 0, 0);
        for (var seed = Day.Seed; seed < Day.Seed + 30; seed++)
        {
            var random = new Random(seed);
            var sheet = new SheetKind("s", "s", Length.Mm(random.Next(6, 10)), Length.Mm(random.Next(6, 10)));
            var pieces = Enumerable.Range(0, 3).Select(i => new Wanted($"p{i}", $"p{i}", Length.Mm(random.Next(2, 5)),
                Length.Mm(random.Next(3, 6)), random.Next(2, 9))).ToList();
            if (pieces.DistinctBy(p => (Length.Min(p.Width, p.Height), Length.Max(p.Width, p.Height))).Count() < pieces.Count)
            {
                // Pieces of one size are one kind to a plan, and several to this trying.
                continue;
            }

            tried++;
            var plan = Planner.Plan(new StockJob("card", [sheet], pieces));
            var fewest = ByTryingAll.Patterns(sheet, pieces, plan.SheetCount);
            Assert.True(plan.LeastPatterns <= fewest && fewest <= plan.Patterns,
                $"seed {seed}: {plan.LeastPatterns} ≤ {fewest} ≤ {plan.Patterns}");
            proven += plan.Patterns == plan.LeastPatterns ? 1 : 0;
            several += plan.LeastPatterns > 1 ? 1 : 0;
        }

        Assert.True(10 * proven >= 6 * tried && several >= 5, $"{proven} of {tried} proven, {several} with more than one");
    }

    /// <summary>The certificate: with these worths no sheet holds more than it says. Worked out again over all lengths, not over a
    /// grid.</summary>
    [Fact]
    public void What_a_bound_says_a_sheet_holds_at_most_is_so()
    {
        for (var seed = Day.Seed; seed < Day.Seed + 10; seed++)
        {
            var random = new Random(seed);
            var (width, height) = (random.Next(20, 40), random.Next(20, 40));
            var pieces = Enumerable.Range(0, 4)
                .Select(i => new Wanted($"p{i}", $"p{i}",
                    Length.Mm(random.Next(4, 19)), Length.Mm(random.Next(4, 19)), random.Next(1, 9))).ToList();
            var problem = Problem.Of(new StockJob("card", [new SheetKind("s", "s", Length.Mm(width), Length.Mm(height))], pieces));
            var bound = new Search(problem, null, TestContext.Current.CancellationToken).Run().Bound;
            Assert.Equal(ByTryingAll.Most(width, height,
                [.. problem.Kinds.Select((k, i) => ((int)(k.Width / 320), (int)(k.Height / 320), (long)bound.Worths[i]))]), bound.Most[0]);
        }
    }

    [Fact]
    public void What_has_a_way_up_is_not_turned_and_the_grain_is_kept()
    {
        var sheet = Letter() with { HasWayUp = true, Grain = Axis.Y };
        var plan = Planner.Plan(new StockJob("card", [sheet],
        [
            new("up", "up", Length.In(5), Length.In(3), 7) { HasWayUp = true },
            new("grain", "grain", Length.In(4), Length.In(2), 9) { Grain = Axis.X },
        ]));
        Assert.All(plan.Sheets.SelectMany(s => s.Parts), p => Assert.Equal(p.Piece.Id == "grain", p.Turned));
    }

    [Fact]
    public void No_cut_is_longer_than_the_trimmer_where_it_can_be_so()
    {
        var sheet = new SheetKind("roll", "Long sheet", Length.In(12), Length.In(24));
        var longest = Length.In(12);
        var plan = Planner.Plan(new StockJob("card", [sheet], [new("a", "a", Length.In(5), Length.In(7), 9),
            new("b", "b", Length.In(3), Length.In(3), 20)], longest));
        Assert.All(plan.Sheets.SelectMany(s => s.Cuts), c => Assert.True((c.Axis == Axis.X ? c.Size.Height : c.Size.Width) <= longest));
    }

    [Fact]
    public void Offcuts_are_used_before_anything_is_bought_and_no_more_than_there_are()
    {
        var offcut = new SheetKind("left", "Left over", Length.In(6), Length.In(11), 2, IsOffcut: true);
        var plan = Planner.Plan(new StockJob("card", [Letter(), offcut],
            [new("a", "a", Length.In(11, 2), Length.In(17, 4), 6)]));
        Assert.True(plan.Proven);
        Assert.Equal(2, plan.Sheets.Where(s => s.Sheet.IsOffcut).Sum(s => s.Count));
        Assert.Equal(1, plan.Sheets.Where(s => !s.Sheet.IsOffcut).Sum(s => s.Count));
    }

    [Fact]
    public void A_job_that_nothing_is_large_enough_for_says_which_piece_and_one_that_is_short_says_so()
    {
        var large = Assert.Throws<NoPlanException>(() => Planner.Plan(new StockJob("card", [Letter()],
            [new("a", "the base", Length.In(9), Length.In(9), 1)])));
        Assert.Contains("the base is 9 × 9", large.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
        var few = Letter() with { Count = 2 };
        var low = Assert.Throws<NoPlanException>(() => Planner.Plan(new StockJob("card", [few],
            [new("a", "a", Length.In(8), Length.In(8), 3)])));
        Assert.Contains("not enough", low.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
    }

    private static SheetKind Letter() => new("letter", "Letter", Length.In(17, 2), Length.In(11));

    private static string Written(StockJob job) => JsonSerializer.Serialize(PlanJson.Of([Planner.Plan(job)]),
        JsonSerializerOptions.Web);

    private static Dictionary<string, (long, long, int)> Of(StockJob job) =>
        job.Pieces.ToDictionary(p => p.Id, p => (p.Width.Units, p.Height.Units, p.Count));
}

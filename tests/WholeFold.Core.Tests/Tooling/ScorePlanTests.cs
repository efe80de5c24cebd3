using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;
using static WholeFold.Core.Tests.Support;

namespace WholeFold.Core.Tests.Tooling;

/// <summary>How scores are set and in which order, by hand and over all constructions.</summary>
public class ScorePlanTests
{
    private static readonly ToolSet Board = Inventory.Shipped.Find<ToolKit>("imperial-eighths")!.For(UnitSystem.Imperial);

    private static ScorePlan Plan(Preferences prefer, string width, params string[] scores) => Plan(Board, prefer, width, scores);

    private static ScorePlan Plan(ToolSet tools, Preferences prefer, string width, params string[] scores) =>
        ScorePlan.Of(tools, prefer, In(width), [.. scores.Select(s => new ScoreAt(In(s.TrimEnd('m')), s.EndsWith('m')))]);

    [Fact]
    public void What_lies_on_a_groove_as_it_lies_comes_first_and_the_piece_is_turned_once()
    {
        var plan = Plan(Preferences.None, "9 13/16", "9 5/16", "1", "8 3/16", "4");
        Assert.Equal([(Lay.AsItLies, "1,3"), (Lay.TurnedRound, "0,2")], plan.Passes.Select(p => (p.Lay, string.Join(',', p.Scores))));
        Assert.Equal((1, 4), (plan.Turns, plan.Stops));
        Assert.Equal([In("1/2"), In("1 5/8")], plan.Passes[1].Scores.Select(i => plan.Settings[i].At));
    }

    [Fact]
    public void Twins_are_set_from_one_stop_where_it_is_liked_or_the_piece_is_turned_anyway()
    {
        Assert.Equal((0, 2), (Plan(Preferences.None, "10", "2 1/2", "7 1/2").Turns, Plan(Preferences.None, "10", "2 1/2", "7 1/2").Stops));
        var one = Plan(new Preferences(OneStop: true), "10", "2 1/2", "7 1/2");
        Assert.Equal((1, 1), (one.Turns, one.Stops));
        Assert.Equal([In("2 1/2"), In("2 1/2")], one.Settings.Select(s => s.At));
        var anyway = Plan(Preferences.None, "9 13/16", "2", "7 13/16", "9 5/16");
        Assert.Equal((1, 2), (anyway.Turns, anyway.Stops));
    }

    [Fact]
    public void Mountains_from_behind_are_read_from_the_other_end_the_piece_turned_over()
    {
        var plan = Plan(new Preferences(MountainsFromBehind: true), "10", "2", "3m");
        Assert.Equal([(SetBy.Direct, Lay.AsItLies, In("2")), (SetBy.Mirrored, Lay.TurnedOver, In("7"))], plan.Settings.Select(s => (s.How, s.Lay, s.At)));
        var heels = Plan(new Preferences(MountainsFromBehind: true), "9 15/16", "3m");
        Assert.Equal((Lay.HeadOverHeels, In("3")), (heels.Settings[0].Lay, heels.Settings[0].At));
    }

    [Theory]
    [InlineData("2 7/16", "1/16 inside 2 1/2", "between grooves, so just inside 2 1/2")]
    [InlineData("2 13/32", "1/32 past 2 3/8", "between grooves, so just past 2 3/8")]
    public void Between_grooves_is_measured_from_the_nearest(string at, string text, string spoken)
    {
        var setting = Plan(Preferences.None, "5 1/64", at).Settings[0];
        Assert.Equal((SetBy.Between, text, spoken), (setting.How, setting.Write(DisplayUnit.Inch), setting.Spoken.Write(DisplayUnit.Inch)));
    }

    [Fact]
    public void Where_sixteenths_are_not_liked_an_edge_is_folded_to_a_plain_line()
    {
        var plan = Plan(new Preferences(AvoidFineMarks: true), "8 7/32", "3 1/16");
        Assert.Equal((SetBy.Fold, In("6 1/8"), "fold the near edge to a line 6 1/8 from it"), (plan.Settings[0].How, plan.Settings[0].At, plan.Settings[0].Write(DisplayUnit.Inch)));
        Assert.Equal(SetBy.Between, Plan(Preferences.None, "8 7/32", "3 1/16").Settings[0].How);
    }

    [Fact]
    public void A_trimmer_that_scores_holds_its_own_marks_and_a_long_cut_wants_the_knife()
    {
        var trimmer = Board with { TrimmerScores = true, LongestCut = In("9") };
        var setting = Plan(trimmer, Preferences.None, "8 3/32", "3 1/16").Settings[0];
        Assert.Equal((SetBy.Trimmer, "scoring blade, 3 1/16"), (setting.How, setting.Write(DisplayUnit.Inch)));
        Assert.Equal(SetBy.Knife, Setting.ForCut(trimmer, In("5"), In("10")).How);
        Assert.Equal(SetBy.Direct, Setting.ForCut(trimmer, In("5"), In("9")).How);
    }

    [Fact]
    public void A_score_beyond_the_board_is_read_from_the_other_end()
    {
        var plan = Plan(Preferences.None, "14 1/32", "13 1/32");
        Assert.Equal((SetBy.Turned, In("1")), (plan.Settings[0].How, plan.Settings[0].At));
    }

    [Fact]
    public void Every_way_that_is_told_leads_to_the_score()
    {
        var random = new Random(11);
        var hows = new HashSet<SetBy>();
        foreach (var tools in new[] { Board, Board with { TrimmerScores = true }, Inventory.Shipped.Find<ToolKit>("both")!.For(UnitSystem.Metric),
            Inventory.Shipped.Find<ToolKit>("ruler")!.For(UnitSystem.Metric) })
        {
            for (var run = 0; run < 300; run++)
            {
                var width = Length.In(random.Next(64, 400), 32);
                var at = Length.In(random.Next(1, (int)(width.Units / 254)), 32);
                foreach (var way in ScorePlan.Ways(tools, at, width))
                {
                    hows.Add(way.How);
                    var read = way.Lay is Lay.TurnedRound or Lay.TurnedOver ? width - at : at;
                    var reached = way switch
                    {
                        Setting.FromGroove between => between.Groove + between.Offset,
                        Setting.FoldedTo fold => new Length((fold.FarEdge ? (2 * width.Units) - way.At.Units : way.At.Units) / 2),
                        _ => way.At,
                    };
                    Assert.Equal(read, reached);
                    Assert.True(way is not Setting.FromGroove from || tools.OnGroove(from.Groove), $"{way} is from no groove");
                }
            }
        }

        Assert.Superset(new HashSet<SetBy> { SetBy.Direct, SetBy.Turned, SetBy.Mirrored, SetBy.Between, SetBy.Trimmer, SetBy.Fold, SetBy.Ruler }, hows);
    }

    [Fact]
    public void Preferences_are_kept_in_every_construction_and_cost_nothing_that_comes_before_them()
    {
        var (fewer, one, behind) = (0, 0, 0);
        foreach (var spec in Grid("imperial-eighths").Stride(5))
        {
            if (Try(spec) is not { Relaxation: Relaxation.None } usual || Try(spec with { Prefer = ["no-sixteenths"] }) is not { } plain
                || Try(spec with { Prefer = ["one-stop"] }) is not { } stop || Try(spec with { Prefer = ["mountains-from-behind"] }) is not { } turned)
            {
                continue;
            }

            Assert.Equal((usual.Cost.Shortfall, usual.Cost.OffGroove), (plain.Cost.Shortfall, plain.Cost.OffGroove));
            Assert.True(Fine(plain) <= Fine(usual), spec.Named());
            fewer += Fine(plain) < Fine(usual) ? 1 : 0;
            Assert.True(stop.Pieces.Sum(p => p.Plan.Stops + p.AcrossPlan.Stops) <= usual.Pieces.Sum(p => p.Plan.Stops + p.AcrossPlan.Stops), spec.Named());
            one += stop.Pieces.Sum(p => p.Plan.Stops + p.AcrossPlan.Stops) < usual.Pieces.Sum(p => p.Plan.Stops + p.AcrossPlan.Stops) ? 1 : 0;
            Assert.All(turned.Pieces.SelectMany(p => p.AllScores.Where(s => s.Axis is not null)),
                s => Assert.Equal(s.Crease.Fold == Core.Constructions.Fold.Mountain, s.Figure.Setting.Lay is Lay.TurnedOver or Lay.HeadOverHeels));
            behind += turned.Pieces.SelectMany(p => p.Scores).Count(s => s.Figure.Setting.How == SetBy.Mirrored);
        }

        Assert.True(fewer > 5 && one > 5 && behind > 5, $"{fewer}, {one}, {behind}");
    }

    [Fact]
    public void The_whole_sheet_is_used_where_a_panel_can_take_the_rest()
    {
        var spec = Spec("front-step", "a2-us");
        var (cut, whole) = (Size(spec), Size(spec with { Prefer = ["whole-sheet"] }));
        Assert.Equal((In("10 5/16"), In("11")), (cut.Piece("base").Height.Value, whole.Piece("base").Height.Value));
        Assert.Equal((SetBy.Sheet, SetBy.Direct, SetBy.Direct), (whole.Piece("base").Height.Setting.How, whole.Piece("base").Width.Setting.How, cut.Piece("base").Height.Setting.How));
        Assert.Contains(whole.Piece("base").Height.Reasons, r => r.Why.Write(DisplayUnit.Inch).Contains("what is left of the sheet's 11", StringComparison.Ordinal));
        Assert.Equal(Size(Spec("front-step", "5x7")).All.Select(f => f.Value), Size(Spec("front-step", "5x7") with { Prefer = ["whole-sheet"] }).All.Select(f => f.Value));
        Assert.Equal(In("1/2"), Size(spec with { Prefer = ["whole-sheet"], Set = new Dictionary<string, WrittenFigure> { ["tab"] = "1/2" } }).Parameters.Single(p => p.Parameter.Id == "tab").Value);
    }

    private static long Fine(Card sized) => sized.Figures.Cost.Sixteenths > 0 || sized.Design.Prefer.AvoidFineMarks
        ? sized.Figures.Cost.Sixteenths
        : sized.Pieces.Sum(p => ProblemBuilder.MarkedOut(p.Piece).Append(p.Piece.Along).Append(p.Piece.Across)
            .Count(at => !sized.Figures.Tools.IsPlain(sized.Figures.ValueOf(at)))
            + p.AllScores.Count(s => s.Figure.Setting.How is SetBy.Between && !sized.Figures.Tools.IsPlain(s.Figure.Value)));
}

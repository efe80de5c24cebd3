using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;
using Xunit;

namespace WholeFold.Core.Tests.Sizing;

/// <summary>What a person set, and what is locked, on every board.</summary>
public class SetAndLockTests
{
    private const int Every = 4;

    private static readonly string[] Boards = ["imperial-eighths", "metric-5mm", "both", "ruler", "machine"];

    /// <summary>Every construction, every parameter set at a value that its own board can set, sized on every other.</summary>
    [Theory]
    [InlineData("imperial-eighths", "5x7")]
    [InlineData("metric-5mm", "a6-iso")]
    public void What_was_set_on_one_board_is_the_nearest_on_every_other(string own, string format)
    {
        var (looked, moved) = (0, 0);
        foreach (var (family, choices) in Support.Variants().Stride(Every))
        {
            var home = new DesignSpec { Construction = family.Id, Format = format, Tools = own, Set = Support.Written(choices) };
            if (Support.Try(home) is not { Relaxation: Relaxation.None } free)
            {
                continue;
            }

            foreach (var parameter in free.Figures.Parameters)
            {
                // As far from its ideal as its own board allows, on one side or the other.
                var range = Sizer.RangeOf(free.Design, free.Target, parameter.Parameter.Id, Relaxation.None);
                if (range is null)
                {
                    continue;
                }

                var value = (looked & 1) == 0 ? range.Stops[range.Stops.Count / 3] : range.Stops[range.Stops.Count * 2 / 3];
                foreach (var board in Boards)
                {
                    looked++;
                    var design = free.Design with { Tools = board, Sets = new Dictionary<string, HandFigure> { [parameter.Parameter.Id] = new(value, own) } };
                    var sized = Attempt.Of(design, free.Target).Card;
                    var name = $"{home.Named()}: {parameter.Parameter.Id} set to {value} on {own}, sized on {board}";
                    Assert.True(sized is not null, $"{name}: no figures");
                    var here = sized.Figures.Parameters.Single(p => p.Parameter.Id == parameter.Parameter.Id);
                    if (board == own)
                    {
                        Assert.True(here.Value == value, $"{name}: {here.Value}");
                    }

                    moved += here.Value == value ? 0 : 1;
                    Assert.True(NearestThatCanBeSet(sized, here, value), $"{name}: {here.Value} is not the nearest");
                    Assert.Equal(here.Value != value, sized.Checks.Any(c => c.Id == "figure-set-by-hand"));
                }
            }
        }

        Assert.True(looked > Day.AtLeast(500, Every) && moved > Day.AtLeast(100, Every), $"{looked} looked at, {moved} moved");
    }

    /// <summary>Tried out mark by mark with everything else as it came out: none nearer has its cuts and scores on marks and keeps the limits.</summary>
    private static bool NearestThatCanBeSet(Card sized, SizedParameter parameter, Length asked)
    {
        var tools = sized.Figures.Tools;
        var grid = tools.Exact ? 16 : tools.RulerMarks.Min(m => m.Units) / 2;
        var groove = tools.System == UnitSystem.Imperial ? 254 : 320;
        var away = (parameter.Value - asked).Abs().Units - (tools.Exact ? 16 : groove);
        for (var units = (asked.Units - away) / grid * grid; units < asked.Units + away; units += grid)
        {
            if (Math.Abs(units - asked.Units) < away && CanBeSet(sized, parameter.Parameter, units))
            {
                return false;
            }
        }

        return true;
    }

    private static bool CanBeSet(Card sized, Parameter parameter, long units)
    {
        var (construction, tools) = (sized.Construction, sized.Figures.Tools);
        var papers = sized.Design.Papers;
        Rational At(Affine figure) => figure.Evaluate(tools.System, symbol => symbol.Kind switch
        {
            SymbolKind.Size => symbol == Symbol.Width ? sized.Figures.Width.Units : sized.Figures.Height.Units,
            SymbolKind.Allowance => construction.Allowances[symbol].Value(papers, tools).Units,
            _ => symbol.Id == parameter.Id ? units : sized.Figures.Parameters.Single(p => p.Parameter.Id == symbol.Id).Value.Units,
        });
        bool On(Affine figure, IEnumerable<Length> marks) => At(figure) is { Denominator: 1 } at && marks.Any(m => at.Numerator % m.Units == 0);
        return construction.Parameters.All(p => p.Min.All(l => At(Affine.Name(p.Id) - l.Value) >= Rational.Zero) && p.Max.All(l => At(l.Value - Affine.Name(p.Id)) >= Rational.Zero))
            && construction.Requirements.All(r => At(r.AtLeastZero) >= Rational.Zero)
            && construction.Pieces.All(p => p.Panels.All(q => At(q.Extent - q.Min.Value) >= Rational.Zero)
                && (tools.Exact || (On(p.Along, tools.CutMarks) && On(p.Across, tools.CutMarks)
                && ProblemBuilder.MarkedOut(p).All(l => On(l, [tools.OwnCutMark]))
                && Enumerable.Range(0, p.Creases.Count).All(i => On(p.Position(i), tools.RulerMarks))
                && p.Lines.Where(p.RunsAcross).All(l => On(p.Axis == Axis.X ? l.From.Y : l.From.X, tools.RulerMarks)))));
    }

    /// <summary>Whatever was set by hand, with any tools, card and format: where there are figures without it there are figures with it.</summary>
    [Fact]
    public void A_figure_set_by_hand_is_never_why_there_are_none()
    {
        var (random, none, looked) = (new RandomDesigns(7), 0, 0);
        for (var i = 0; i < 700; i++)
        {
            var spec = random.Next();
            try
            {
                var read = Support.Reader.Read(spec);
                looked++;
                if (Sizer.TrySize(read.Design, read.Target) is null)
                {
                    none++;
                    var free = read.Design with { Sets = new Dictionary<string, HandFigure>(), Adjustments = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>>() };
                    Assert.True(Sizer.TrySize(free, read.Target) is null, $"{spec.Named()} to {spec.Target}");
                }
            }
            catch (Core.Input.InputProblemException)
            {
                // Choices that do not go together, or a parameter that another choice has not.
            }
        }

        Assert.True(none > 10 && looked > 500, $"{none} of {looked}");
    }

    [Fact]
    public void A_figure_past_its_limits_is_no_reason_to_refuse()
    {
        foreach (var (construction, format, parameter, value) in new[] { ("winged-lock-gatefold", "5x7", "centre", "2in"), ("gatefold", "5x7", "relief", "1/4in"), ("tier-scene", "5x7", "depth", "4in"), ("plain-fold", "5x7", "frontShort", "3in") })
        {
            var sized = Support.Size(Support.Spec(construction, format, $"{parameter}={value}"));
            var said = Assert.Single(sized.Checks, c => c.Id == "figure-set-by-hand");
            Assert.Contains(", since ", said.Text.Write(DisplayUnit.Inch), StringComparison.Ordinal);
            Assert.True(sized.Figures.Parameters.Single(p => p.Parameter.Id == parameter).Value < Support.In(value));
        }
    }

    [Fact]
    public void One_figure_is_not_let_go_because_another_one_had_to_be()
    {
        // Both can be set alone; together the wings would be too narrow to catch.
        var sized = Support.Size(Support.Spec("winged-lock-gatefold", "5x5", "centre=3/4", "pad=5/8"));
        Length Of(string id) => sized.Figures.Parameters.Single(p => p.Parameter.Id == id).Value;
        var off = (Of("centre") - Support.In("3/4")).Abs() + (Of("pad") - Support.In("5/8")).Abs();
        Assert.True(off <= Support.In("1/2"), $"centre {Of("centre")}, pad {Of("pad")}");
    }

    [Theory]
    [InlineData("imperial-eighths")]
    [InlineData("metric-5mm")]
    [InlineData("ruler")]
    [InlineData("machine")]
    public void A_lock_is_kept_to_the_unit_in_every_format_and_system(string board)
    {
        foreach (var format in new[] { "5x7", "6x6", "a5", "sq-144" })
        {
            var sized = Support.Size(new DesignSpec { Construction = "sleeve-gatefold", Format = format, Tools = board, Lock = new Dictionary<string, string> { ["tile"] = "3 1/4 in" } });
            Assert.Equal(Length.In(13, 4), sized.Figures.Parameters.Single(p => p.Parameter.Id == "tile").Value);
            Assert.Equal(Length.In(13, 4), sized.Piece("tile").Width.Value);
            Assert.True(sized.Piece("tile").Width.Setting is Setting.CutOut == !sized.Figures.Tools.Exact, "a die cuts it, and no trimmer");

            // What no die cuts out and no mark has is there as it is.
            var slide = Support.Size(new DesignSpec { Construction = "slider-stand", Format = format, Tools = board, Lock = new Dictionary<string, string> { ["slideWidth"] = "2 9/32 in" } });
            var height = slide.Piece("slide").Height;
            Assert.Equal(Length.In(73, 32), height.Value);
            Assert.True(slide.Figures.Tools.OnCutMark(height.Value) || slide.Figures.Tools.Exact ? height.Setting is not Setting.AsGiven : height.Setting is Setting.AsGiven);
        }
    }

    [Fact]
    public void A_lock_may_go_past_a_limit_but_not_past_what_the_stock_needs()
    {
        DesignSpec With(string relief, string caliper) => new() { Construction = "gatefold", Format = "5x7", Caliper = caliper, Lock = new Dictionary<string, string> { ["relief"] = relief } };
        var wide = Support.Size(With("1/4 in", "0.34mm"));
        Assert.Equal(Support.In("1/4"), wide.Figures.Parameters[0].Value);
        Assert.Contains(wide.Checks, c => c is { Id: "locked-past-limit", Severity: Severity.Caution });
        Assert.Throws<NoFiguresException>(() => Support.Size(With("1/32 in", "0.8mm")));
    }

    [Fact]
    public void Only_what_no_lock_and_no_limit_holds_back_leaves_its_comfort()
    {
        foreach (var tools in new[] { "imperial-eighths", "metric-5mm", "both" })
        {
            var past = new List<string>();
            foreach (var spec in Support.Grid(tools).Where((_, i) => i % 3 == 0))
            {
                if (Support.Try(spec) is not { Relaxation: Relaxation.None } sized)
                {
                    continue;
                }

                var half = sized.Figures.Tools.System == UnitSystem.Imperial ? Length.In(1, 16) : Length.Mm(2.5m);
                foreach (var p in sized.Figures.Parameters)
                {
                    var band = Length.Max(new Length(p.Ideal.Units * 15 / 100), half) + new Length(1);
                    if ((p.Value - p.Ideal).Abs() <= band)
                    {
                        continue;
                    }

                    // Only where nothing within the band could be set at all: each value there is refused as a lock.
                    var grid = sized.Figures.Tools.RulerMarks.Min(m => m.Units) / 2;
                    var within = Enumerable.Range((int)((p.Ideal - band).Units / grid) + 1, (int)(2 * band.Units / grid)).Select(n => new Length(n * grid))
                        .Where(v => Sizer.TrySize(sized.Design with { Locks = new Dictionary<string, Length> { [p.Parameter.Id] = v } },
                            sized.Target) is { Relaxation: Relaxation.None } other && other.Cost.Discomfort < sized.Cost.Discomfort
                            && other.Width >= sized.Figures.Width && other.Height >= sized.Figures.Height && ProblemBuilder.Past(p.Parameter, v.Units, a => other.ValueOf(a).Units) is null);
                    if (within.Any())
                    {
                        past.Add($"{spec.Named()}: {p.Parameter.Id} {p.Value} of {p.Ideal}");
                    }
                }
            }

            Assert.True(past.Count == 0, string.Join('\n', past.Take(10)));
        }
    }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Tooling;

/// <summary>How a figure is set.</summary>
public enum SetBy
{
    /// <summary>On a groove, or on the trimmer's mark, as the piece lies.</summary>
    Direct,

    /// <summary>On a groove with the piece turned round: position = width − x.</summary>
    Turned,

    /// <summary>On a groove with the piece turned over, so that a mountain is scored from its own side.</summary>
    Mirrored,

    /// <summary>Between grooves, measured from the nearest with ruler and stylus.</summary>
    Between,

    /// <summary>With the trimmer's scoring blade, on its own mark.</summary>
    Trimmer,

    /// <summary>An edge folded to a light line leaves the crease at half: no fine mark is needed.</summary>
    Fold,

    /// <summary>With ruler and stylus, where there is no board.</summary>
    Ruler,

    /// <summary>With a ruler laid from one tick to another: the way for what slants.</summary>
    Ticks,

    /// <summary>A cut inside a sheet, begun at one figure and stopped at another; the corners are finished with a knife.</summary>
    StartStop,

    /// <summary>A notch, snipped from the edge inwards along a pencil line.</summary>
    Scissors,

    /// <summary>A cut along a groove of the board, with a knife, from both ends inwards.</summary>
    InGroove,

    /// <summary>Not cut at all: the sheet's own side.</summary>
    Sheet,

    /// <summary>With a die: one laid against a score of the piece, or the one that cuts it out.</summary>
    Die,

    /// <summary>With knife and metal rule, where the trimmer does not reach.</summary>
    Knife,

    /// <summary>Not cut at all: a die, a bought blank or a piece that is there has this size.</summary>
    Given,

    /// <summary>By a machine, to the unit.</summary>
    Machine,
}

/// <summary>How a piece lies on the board. Turned round it keeps its face; turned over, like a page, it shows the other.</summary>
public enum Lay
{
    AsItLies,
    TurnedRound,

    /// <summary>Turned over like a page: read from the other end, the other face up.</summary>
    TurnedOver,

    /// <summary>Turned over, head to foot: read from its own end, the other face up.</summary>
    HeadOverHeels,
}

/// <summary>Two ticks that a ruler joins, each by its distance from the piece's left edge and from its foot.</summary>
public sealed record TickPair(Length FromX, Length FromY, Length ToX, Length ToY);

/// <summary>How one figure is set: one of the cases below, each with what it needs and nothing else.</summary>
/// <param name="At">The position to set: for a turned score the figure read off the board; for a folded one the line that the edge goes to.</param>
/// <param name="Lay">How the piece lies meanwhile.</param>
public abstract record Setting(Length At, Lay Lay = Lay.AsItLies)
{
    public abstract SetBy How { get; }

    /// <summary>The setting in few words: <c>groove</c>, <c>turned, 2 3/8</c>, <c>1/16 inside 2 1/2</c>.</summary>
    public abstract Words Text { get; }

    /// <summary>The same as a colleague says it, after the figure: "between grooves, so just inside 2 1/2".</summary>
    public Words Spoken => Words.Of($"{Lay switch { Lay.TurnedRound => "turn the piece round, ", Lay.TurnedOver => "turn the piece over, ", Lay.HeadOverHeels => "turn the piece over, head to foot, ", _ => "" }}{Where}");

    /// <summary>Where stop, stylus or knife go, as it is said aloud.</summary>
    protected abstract Words Where { get; }

    /// <summary>How the piece lies, before what is set.</summary>
    protected string Lies => Lay switch { Lay.TurnedRound => "turned, ", Lay.TurnedOver => "turned over, ", Lay.HeadOverHeels => "over head to foot, ", _ => "" };

    public string Write(DisplayUnit unit) => Text.Write(unit);

    /// <summary>Scored on a groove of the board.</summary>
    public sealed record OnGroove(Length At, Lay Lay) : Setting(At, Lay)
    {
        public override SetBy How => Lay switch { Lay.AsItLies => SetBy.Direct, Lay.TurnedRound => SetBy.Turned, _ => SetBy.Mirrored };

        public override Words Text => Lay == Lay.AsItLies ? Words.Of($"groove") : Words.Of($"{Lies}{At}");

        protected override Words Where => Lay == Lay.AsItLies ? Words.Of($"on a groove") : Words.Of($"{At} is on a groove");
    }

    /// <summary>Cut on the trimmer's mark.</summary>
    public sealed record OnTrimmer(Length At) : Setting(At)
    {
        public override SetBy How => SetBy.Direct;

        public override Words Text => Words.Of($"trimmer");

        protected override Words Where => Words.Of($"on the trimmer's mark");
    }

    /// <summary>Between grooves, measured from the nearest.</summary>
    public sealed record FromGroove(Length At, Length Groove, Lay Lay) : Setting(At, Lay)
    {
        /// <summary>Negative where short of the groove.</summary>
        public Length Offset => At - Groove;

        public override SetBy How => SetBy.Between;

        public override Words Text => Words.Of($"{Lies}{Offset.Abs()} {Side} {Groove}");

        // "Just" is a sixteenth or a millimetre at the most; more is said as a figure.
        protected override Words Where => Words.Of($"between grooves, so {(Offset.Abs() <= Length.In(1, 16) ? Words.Of($"just") : Words.Of($"{Offset.Abs()}"))} {Side} {Groove}");

        private string Side => Offset.Units < 0 ? "inside" : "past";
    }

    /// <summary>With the trimmer's scoring blade.</summary>
    public sealed record ByBlade(Length At, Lay Lay) : Setting(At, Lay)
    {
        public override SetBy How => SetBy.Trimmer;

        public override Words Text => Words.Of($"{Lies}scoring blade, {At}");

        protected override Words Where => Words.Of($"with the trimmer's scoring blade at {At}");
    }

    /// <summary>An edge folded to a light line.</summary>
    /// <param name="FarEdge">Whether the line is measured from the other edge, which is folded to it.</param>
    public sealed record FoldedTo(Length At, bool FarEdge, Lay Lay) : Setting(At, Lay)
    {
        public override SetBy How => SetBy.Fold;

        public override Words Text => Words.Of($"{Lies}fold {Edge} edge to a line {At} from it");

        protected override Words Where => Words.Of($"fold {Edge} edge to a light line {At} from it, which needs no smaller mark");

        private string Edge => FarEdge ? "the far" : "the near";
    }

    /// <summary>With ruler and stylus, where there is no board.</summary>
    public sealed record ByRuler(Length At, Lay Lay) : Setting(At, Lay)
    {
        public override SetBy How => SetBy.Ruler;

        public override Words Text => Lay == Lay.AsItLies ? Words.Of($"by ruler") : Words.Of($"{Lies}{At} by ruler");

        protected override Words Where => Lay == Lay.AsItLies ? Words.Of($"by ruler and stylus") : Words.Of($"{At} by ruler and stylus");
    }

    /// <summary>With a ruler laid from tick to tick, for what slants.</summary>
    public sealed record TickToTick(Length At, TickPair Ticks) : Setting(At)
    {
        public override SetBy How => SetBy.Ticks;

        public override Words Text => Words.Of($"ticks at {Ticks.FromX} by {Ticks.FromY} and {Ticks.ToX} by {Ticks.ToY}");

        protected override Words Where => Words.Of($"a tick {Ticks.FromX} from the left and {Ticks.FromY} from the foot, another {Ticks.ToX} and {Ticks.ToY}, and the ruler from tick to tick");
    }

    /// <summary>A line inside a sheet or in from its edge, cut from one figure to another.</summary>
    /// <param name="With">What with: start and stop, in a groove, or scissors.</param>
    public sealed record Stretch(Length At, SetBy With, Length From, Length To) : Setting(At)
    {
        public override SetBy How => With;

        public override Words Text => With switch
        {
            SetBy.Scissors => Words.Of($"scissors, {From} to {To}"),
            SetBy.InGroove => Words.Of($"in the groove, {From} to {To}"),
            _ => Words.Of($"from {From} to {To}"),
        };

        protected override Words Where => With switch
        {
            SetBy.Scissors => Words.Of($"with scissors along a pencil line from {From} to {To}"),
            SetBy.InGroove => Words.Of($"with a knife in the groove, from {From} and from {To} inwards"),
            _ => Words.Of($"start at {From} and stop at {To}, the corners finished with a knife"),
        };
    }

    /// <summary>With a die whose edge is laid against a score of the piece.</summary>
    public sealed record ByDie(Length At, Length Score) : Setting(At)
    {
        /// <summary>Of the die's edge from the score, negative where short of it.</summary>
        public Length Offset => At - Score;

        public override SetBy How => SetBy.Die;

        public override Words Text => Words.Of($"die, its edge {(Offset == Length.Zero ? Words.Of($"on") : Words.Of($"{Offset.Abs()} {(Offset.Units < 0 ? "before" : "past")}"))} the score at {Score}");

        protected override Words Where => Text;
    }

    /// <summary>With knife and metal rule, where the trimmer does not reach.</summary>
    public sealed record ByKnife(Length At) : Setting(At)
    {
        public override SetBy How => SetBy.Knife;

        public override Words Text => Words.Of($"knife and metal rule");

        protected override Words Where => Words.Of($"longer than the trimmer cuts, so with knife and metal rule");
    }

    /// <summary>The sheet's own side, which is not cut at all.</summary>
    public sealed record WholeSide(Length At) : Setting(At)
    {
        public override SetBy How => SetBy.Sheet;

        public override Words Text => Words.Of($"the whole sheet");

        protected override Words Where => Words.Of($"the sheet's own side, which need not be cut");
    }

    /// <summary>Cut out by a die of that size.</summary>
    public sealed record CutOut(Length At) : Setting(At)
    {
        public override SetBy How => SetBy.Die;

        public override Words Text => Words.Of($"by its die");

        protected override Words Where => Words.Of($"cut out by its die");
    }

    /// <summary>As it is there already: the size of a die, of a bought blank, of a piece cut before.</summary>
    public sealed record AsGiven(Length At) : Setting(At)
    {
        public override SetBy How => SetBy.Given;

        public override Words Text => Words.Of($"as it is given");

        protected override Words Where => Words.Of($"as it is given, by a die or a piece that is there");
    }

    /// <summary>By a machine, to the unit.</summary>
    public sealed record ByMachine(Length At, Lay Lay = Lay.AsItLies) : Setting(At, Lay)
    {
        public override SetBy How => SetBy.Machine;

        public override Words Text => Words.Of($"by machine");

        protected override Words Where => Words.Of($"by machine");
    }

    /// <summary>The setting of a score that slants from one point of the piece to another: ticked where a ruler has marks.</summary>
    public static Setting ForSlant(ToolSet tools, Length fromX, Length fromY, Length toX, Length toY)
    {
        ArgumentNullException.ThrowIfNull(tools);
        return tools.Exact ? new ByMachine(fromX)
            : new TickToTick(tools.Ticked(fromX), new TickPair(tools.Ticked(fromX), tools.Ticked(fromY), tools.Ticked(toX),
                tools.Ticked(toY)));
    }

    /// <summary>The setting of a line that is cut inside a sheet.</summary>
    /// <param name="from">Where the knife begins, along the line.</param>
    /// <param name="alongTheBoard">Whether the line runs as the grooves do, so that one of them can guide the knife.</param>
    public static Setting ForInnerCut(ToolSet tools, Length at, Length from, Length to, bool alongTheBoard) =>
        tools.Exact ? new ByMachine(at) : new Stretch(at, alongTheBoard && tools.OnGroove(at) ? SetBy.InGroove : SetBy.StartStop, from, to);

    /// <summary>The setting of one line of a notch, which begins at the piece's own edge.</summary>
    public static Setting ForNotch(ToolSet tools, Length at, Length from, Length to) => tools.Exact ? new ByMachine(at) : new Stretch(at, SetBy.Scissors, from, to);

    /// <summary>The setting of a cut.</summary>
    /// <param name="line">How long the line is that is cut.</param>
    public static Setting ForCut(ToolSet tools, Length at, Length line) =>
        tools.Exact ? new ByMachine(at) : line > tools.LongestCut ? new ByKnife(at) : new OnTrimmer(at);

    /// <summary>How else a line inside a sheet can be cut: beside a groove as well as in it, and by a die against the nearest score.</summary>
    /// <param name="scores">The scores that run as the line does; none where it runs across them.</param>
    public static IEnumerable<Setting> OtherInnerCuts(ToolSet tools, Setting chosen, IReadOnlyList<Length> scores)
    {
        ArgumentNullException.ThrowIfNull(tools);
        ArgumentNullException.ThrowIfNull(chosen);
        if (chosen is Stretch { With: SetBy.InGroove } inGroove)
        {
            yield return inGroove with { With = SetBy.StartStop };
        }

        if (!tools.Exact && scores.Count > 0)
        {
            yield return new ByDie(chosen.At, scores.MinBy(s => (s - chosen.At).Abs()));
        }
    }

    /// <summary>The setting of a score that is read at <paramref name="reading"/> as the piece lies; null where it cannot be set so.</summary>
    /// <param name="width">The piece's length along the board.</param>
    /// <param name="noFine">Whether small marks are avoided by folding to a line.</param>
    public static Setting? ForScore(ToolSet tools, Length reading, Length width, Lay lay, bool noFine)
    {
        if (tools.Exact)
        {
            return new ByMachine(reading, lay);
        }

        if (tools.OnGroove(reading))
        {
            return new OnGroove(reading, lay);
        }

        if (tools.OnStop(reading))
        {
            return new ByBlade(reading, lay);
        }

        if (noFine && !tools.IsPlain(reading))
        {
            foreach (var farEdge in new[] { false, true })
            {
                var line = 2 * (farEdge ? width - reading : reading);
                if (line <= width && tools.IsPlain(line))
                {
                    return new FoldedTo(line, farEdge, lay);
                }
            }
        }

        if (tools.RulerMarks.Count == 0)
        {
            return null;
        }

        return tools.NearestGroove(reading) is { } groove ? new FromGroove(reading, groove, lay) : new ByRuler(reading, lay);
    }
}

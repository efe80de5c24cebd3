using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
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

    /// <summary>With a die, laid against a score of the piece.</summary>
    Die,

    /// <summary>With knife and metal rule, where the trimmer does not reach.</summary>
    Knife,

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

    /// <summary>Turned over head over heels: read from its own end, the other face up.</summary>
    HeadOverHeels,
}

/// <summary>Two ticks that a ruler joins, each by its distance from the piece's left edge and from its foot.</summary>
public sealed record TickPair(Length FromX, Length FromY, Length ToX, Length ToY);

/// <summary>How one figure is set: where the stop or the stylus goes, how the piece lies, from which groove it is measured.</summary>
/// <param name="At">The position to set: for a turned score the figure read off the board; for a folded one the line that the edge goes to.</param>
/// <param name="Groove">The groove to measure from, where it is set between grooves.</param>
/// <param name="Offset">From that groove, negative where short of it.</param>
/// <param name="FarEdge">For a folded one, that the line is measured from the other edge, which is folded to it.</param>
/// <param name="OfCut">True for a cut, which is set on the trimmer and not on the board.</param>
/// <param name="From">Where a cut inside a sheet begins along its line; <paramref name="To"/> where it ends.</param>
/// <param name="Ticks">Of a slanting score, the two ticks that the ruler joins, each from the piece's left edge and from its foot.</param>
public sealed record Setting(SetBy How, Length At, Length? Groove = null, Length? Offset = null, Lay Lay = Lay.AsItLies, bool FarEdge = false, bool OfCut = false, Length From = default, Length To = default, TickPair? Ticks = null)
{
    /// <summary>The setting of a score that slants from one point of the piece to another.</summary>
    public static Setting ForSlant(ToolSet tools, Length fromX, Length fromY, Length toX, Length toY) =>
        tools.Exact ? new Setting(SetBy.Machine, fromX) : new Setting(SetBy.Ticks, fromX, Ticks: new TickPair(fromX, fromY, toX, toY));

    /// <summary>The setting of a line that is cut inside a sheet.</summary>
    /// <param name="from">Where the knife begins, along the line.</param>
    /// <param name="alongTheBoard">Whether the line runs as the grooves do, so that one of them can guide the knife.</param>
    public static Setting ForInnerCut(ToolSet tools, Length at, Length from, Length to, bool alongTheBoard) => new(
        tools.Exact ? SetBy.Machine : alongTheBoard && tools.OnGroove(at) ? SetBy.InGroove : SetBy.StartStop, at, OfCut: true, From: from, To: to);

    /// <summary>The setting of one line of a notch, which begins at the piece's own edge.</summary>
    public static Setting ForNotch(ToolSet tools, Length at, Length from, Length to) => new(tools.Exact ? SetBy.Machine : SetBy.Scissors, at, OfCut: true, From: from, To: to);

    /// <summary>The setting of a cut.</summary>
    /// <param name="line">How long the line is that is cut.</param>
    public static Setting ForCut(ToolSet tools, Length at, Length line) =>
        new(tools.Exact ? SetBy.Machine : line > tools.LongestCut ? SetBy.Knife : SetBy.Direct, at, OfCut: true);

    /// <summary>How else a line inside a sheet can be cut: beside a groove as well as in it, and by a die against the nearest score.</summary>
    /// <param name="scores">The scores that run as the line does; none where it runs across them.</param>
    public static IEnumerable<Setting> OtherInnerCuts(ToolSet tools, Setting chosen, IReadOnlyList<Length> scores)
    {
        ArgumentNullException.ThrowIfNull(tools);
        ArgumentNullException.ThrowIfNull(chosen);
        if (chosen.How == SetBy.InGroove)
        {
            yield return chosen with { How = SetBy.StartStop };
        }

        if (!tools.Exact && scores.Count > 0)
        {
            var score = scores.MinBy(s => (s - chosen.At).Abs());
            yield return chosen with { How = SetBy.Die, Groove = score, Offset = chosen.At - score };
        }
    }

    /// <summary>The setting of a score that is read at <paramref name="reading"/> as the piece lies; null where it cannot be set so.</summary>
    /// <param name="width">The piece's length along the board.</param>
    /// <param name="noFine">Whether small marks are avoided by folding to a line.</param>
    public static Setting? ForScore(ToolSet tools, Length reading, Length width, Lay lay, bool noFine)
    {
        if (tools.Exact)
        {
            return new Setting(SetBy.Machine, reading, Lay: lay);
        }

        if (tools.OnGroove(reading))
        {
            return new Setting(lay switch { Lay.AsItLies => SetBy.Direct, Lay.TurnedRound => SetBy.Turned, _ => SetBy.Mirrored }, reading, Lay: lay);
        }

        if (tools.OnStop(reading))
        {
            return new Setting(SetBy.Trimmer, reading, Lay: lay);
        }

        if (noFine && !tools.IsPlain(reading))
        {
            foreach (var farEdge in new[] { false, true })
            {
                var line = 2 * (farEdge ? width - reading : reading);
                if (line <= width && tools.IsPlain(line))
                {
                    return new Setting(SetBy.Fold, line, Lay: lay, FarEdge: farEdge);
                }
            }
        }

        if (tools.RulerMarks.Count == 0)
        {
            return null;
        }

        return tools.NearestGroove(reading) is { } groove
            ? new Setting(SetBy.Between, reading, groove, reading - groove, lay)
            : new Setting(SetBy.Ruler, reading, Lay: lay);
    }

    /// <summary>The setting in few words: <c>groove</c>, <c>turned, 2 3/8</c>, <c>1/16 inside 2 1/2</c>.</summary>
    public string In(DisplayUnit unit) => Text.In(unit);

    public Words Text
    {
        get
        {
            var lies = Lay switch { Lay.TurnedRound => "turned, ", Lay.TurnedOver => "turned over, ", Lay.HeadOverHeels => "head over heels, ", _ => "" };
            return How switch
            {
                SetBy.Machine => Words.Of($"by machine"),
                SetBy.Sheet => Words.Of($"the whole sheet"),
                SetBy.Die => Words.Of($"die, its edge {(Offset!.Value == Length.Zero ? Words.Of($"on") : Words.Of($"{Offset.Value.Abs()} {(Offset.Value.Units < 0 ? "before" : "past")}"))} the score at {Groove!.Value}"),
                SetBy.Knife => Words.Of($"knife and metal rule"),
                SetBy.StartStop => Words.Of($"from {From} to {To}"),
                SetBy.Scissors => Words.Of($"scissors, {From} to {To}"),
                SetBy.InGroove => Words.Of($"in the groove, {From} to {To}"),
                SetBy.Direct => OfCut ? Words.Of($"trimmer") : Words.Of($"groove"),
                SetBy.Turned or SetBy.Mirrored => Words.Of($"{lies}{At}"),
                SetBy.Trimmer => Words.Of($"{lies}scoring blade, {At}"),
                SetBy.Ticks => Words.Of($"ticks at {Ticks!.FromX} by {Ticks.FromY} and {Ticks.ToX} by {Ticks.ToY}"),
                SetBy.Fold => Words.Of($"{lies}fold {(FarEdge ? "the far" : "the near")} edge to a line {At} from it"),
                SetBy.Between => Words.Of($"{lies}{Offset!.Value.Abs()} {(Offset.Value.Units < 0 ? "inside" : "past")} {Groove!.Value}"),
                _ => lies.Length == 0 ? Words.Of($"by ruler") : Words.Of($"{lies}{At} by ruler"),
            };
        }
    }

    /// <summary>The same as a colleague says it, after the figure: "between grooves, so just inside 2 1/2".</summary>
    public Words Spoken
    {
        get
        {
            var lies = Lay switch { Lay.TurnedRound => "turn the piece round, ", Lay.TurnedOver => "turn the piece over, ", Lay.HeadOverHeels => "turn the piece over head over heels, ", _ => "" };
            var where = How switch
            {
                SetBy.Direct => OfCut ? Words.Of($"on the trimmer's mark") : Words.Of($"on a groove"),
                SetBy.Turned or SetBy.Mirrored => Words.Of($"{At} is on a groove"),
                SetBy.Between => Words.Of($"between grooves, so {(Near(Offset!.Value) ? Words.Of($"just") : Words.Of($"{Offset.Value.Abs()}"))} {(Offset.Value.Units < 0 ? "inside" : "past")} {Groove!.Value}"),
                SetBy.Trimmer => Words.Of($"with the trimmer's scoring blade at {At}"),
                SetBy.Ticks => Words.Of($"a tick {Ticks!.FromX} from the left and {Ticks.FromY} from the foot, another {Ticks.ToX} and {Ticks.ToY}, and the ruler from tick to tick"),
                SetBy.Fold => Words.Of($"fold {(FarEdge ? "the far" : "the near")} edge to a light line {At} from it, which needs no smaller mark"),
                SetBy.Sheet => Words.Of($"the sheet's own side, which need not be cut"),
                SetBy.StartStop => Words.Of($"start at {From} and stop at {To}, the corners finished with a knife"),
                SetBy.Scissors => Words.Of($"with scissors along a pencil line from {From} to {To}"),
                SetBy.InGroove => Words.Of($"with a knife in the groove, from {From} and from {To} inwards"),
                SetBy.Knife => Words.Of($"longer than the trimmer cuts, so with knife and metal rule"),
                SetBy.Machine => Words.Of($"by machine"),
                _ => Words.Of($"{(lies.Length == 0 ? "" : $"{At} ")}by ruler and stylus"),
            };
            return Words.Of($"{lies}{where}");
        }
    }

    /// <summary>"Just" is a sixteenth or a millimetre at the most; more is said as a figure.</summary>
    private static bool Near(Length offset) => offset.Abs() <= Length.In(1, 16);
}

using System.ComponentModel.DataAnnotations;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.App.Features.Bench;

/// <summary>A length as the interface shows it: exact units to draw by, and the figures to read.</summary>
/// <param name="Units">In 1/320 mm.</param>
/// <param name="Text">In the reader's unit.</param>
/// <param name="Exact">A text that reads back to exactly this length.</param>
public sealed record Figure(long Units, FigureText Text, string Exact);

/// <summary>A tick of the drawn rule.</summary>
/// <param name="Comb">0 for the rule's first edge, 1 for the second system's.</param>
/// <param name="Size">whole, half or groove.</param>
public sealed record Tick(long At, int Comb, string Size, string Label);

/// <param name="End">How far the board reaches.</param>
public sealed record Rule(string Name, bool HasGrooves, long End, IReadOnlyList<Tick> Ticks);

/// <summary>A point of a drawing, in units from its lower left corner.</summary>
public sealed record Spot(long X, long Y);

/// <summary>A line of a drawing.</summary>
public sealed record LineView(Spot From, Spot To);

/// <summary>A rectangle of a drawing.</summary>
public sealed record BoxView(long X, long Y, long Width, long Height);

public sealed record LayerView(string Id, string Plate, IReadOnlyList<Spot> Outline, IReadOnlyList<SentencePart> Size);

/// <param name="NameIn">Where there is room for its name.</param>
/// <param name="LayerSize">The size of the lowest layer on it; null where it is bare.</param>
public sealed record PlateView(string Id, string Name, BoxView NameIn, IReadOnlyList<SentencePart>? LayerSize);

/// <summary>A score with its flag.</summary>
public sealed record ScoreView
{
    public required string FigureId { get; init; }

    /// <summary>Where it lies.</summary>
    public required Figure At { get; init; }

    /// <summary>upright where the rule below the piece reads it, level where it runs along the rule, slanting otherwise.</summary>
    public required ScoreRun Runs { get; init; }

    public required Fold Direction { get; init; }

    /// <summary>Whether it moves whenever the card is opened; else it is glued and never moves again.</summary>
    public required bool Working { get; init; }

    public required SetBy How { get; init; }

    /// <summary>asItLies, turnedRound, turnedOver or headOverHeels.</summary>
    public required Lay Lay { get; init; }

    /// <summary>What the flag says: the figure to set.</summary>
    public required FigureText Label { get; init; }

    public required IReadOnlyList<SentencePart> Words { get; init; }

    public required string Between { get; init; }

    /// <summary>What is scored of its line.</summary>
    public required IReadOnlyList<LineView> Parts { get; init; }
}

/// <summary>A score in the order of setting.</summary>
public sealed record PassScore(string FigureId, IReadOnlyList<SentencePart> Text);

/// <summary>Scores that are set one after the other with the piece lying one way.</summary>
/// <param name="Words">How it lies, such as "turn it round".</param>
public sealed record PassView(Lay Lay, string Words, IReadOnlyList<PassScore> Scores);

/// <summary>A region that is glued.</summary>
public sealed record GlueView(string Id, IReadOnlyList<Spot> Outline, string LinedUp);

/// <summary>What is cut inside a piece.</summary>
/// <param name="Kind">window, slit, notch, flap or divide.</param>
/// <param name="Line">From corner to corner, all round where it is closed.</param>
public sealed record CutView(string Id, string Name, CutKind Kind, IReadOnlyList<Spot> Line, bool Closed, IReadOnlyList<SentencePart> Size);

/// <summary>A piece as shapes in true size, its chain along the rule.</summary>
public sealed record PieceView
{
    public required string Id { get; init; }

    /// <summary>With how many are cut, where that is more than one.</summary>
    public required string Name { get; init; }

    public required Figure Width { get; init; }

    public required Figure Height { get; init; }

    public required IReadOnlyList<PlateView> Plates { get; init; }

    public required IReadOnlyList<LayerView> Layers { get; init; }

    public required IReadOnlyList<ScoreView> Scores { get; init; }

    public required IReadOnlyList<PassView> Order { get; init; }

    public required IReadOnlyList<CutView> Cuts { get; init; }

    public required IReadOnlyList<GlueView> Glue { get; init; }
}

/// <summary>One figure of the list.</summary>
public sealed record LedgerRow
{
    public required string FigureId { get; init; }

    public required string Label { get; init; }

    public required string Detail { get; init; }

    /// <summary>v or m for a score, × n for a layer, otherwise nothing.</summary>
    public required string Mark { get; init; }

    /// <summary>In the home format, or before the change that is looked at, where it has this figure.</summary>
    public required Figure? Was { get; init; }

    public required Figure Now { get; init; }

    /// <summary>Where both systems are shown, the same figure on the guest's tools; null where those have none.</summary>
    public required FigureText? Also { get; init; }

    public required bool Changed { get; init; }

    public required IReadOnlyList<SentencePart> Setting { get; init; }

    public required SetBy How { get; init; }

    /// <summary>Why it is not what it was, where a change is looked at.</summary>
    public required IReadOnlyList<SentencePart>? Because { get; init; }
}

public sealed record LedgerSection(string Id, string Title, string Detail, IReadOnlyList<LedgerRow> Rows);

/// <summary>What a change of tools, card or preference did to the figures.</summary>
/// <param name="Gone">Figures that there were and are not any more.</param>
public sealed record ComparedView(string Text, IReadOnlyList<string> Gone);

public sealed record ChoiceView(string Id, string Name, string Meaning, string Value, IReadOnlyList<string> Options);

public sealed record PreferenceView(string Id, string Name, bool On);

public sealed record CheckView(string Id, Severity Severity, IReadOnlyList<SentencePart> Text, FixView? Fix);

/// <summary>What takes a finding away, in words and as an edit.</summary>
public sealed record FixView(IReadOnlyList<SentencePart> Text, DesignEdit Edit);

/// <summary>A parameter as it stands. What else can be set is asked for by itself.</summary>
public sealed record ParameterView
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Meaning { get; init; }

    public required Figure Value { get; init; }

    public required Figure Ideal { get; init; }

    /// <summary>free, set or locked.</summary>
    public required Hold Hold { get; init; }

    /// <summary>What less of it gives, for the end of a slider; <see cref="Most"/> what more.</summary>
    public required string Least { get; init; }

    public required string Most { get; init; }
}

/// <summary>A plate as it lies in the closed card, from the card's lower left corner.</summary>
public sealed record ClosedPanel(string Id, IReadOnlyList<Spot> Corners);

/// <summary>A paper, a window or an element that one sees on the closed card.</summary>
/// <param name="Colour">Of its stock; nothing where that has none.</param>
public sealed record WornShape(IReadOnlyList<Spot> Corners, string Colour, bool Hole);

/// <summary>The card in its envelope.</summary>
public sealed record ClosedView
{
    public required Figure Width { get; init; }

    public required Figure Height { get; init; }

    public required IReadOnlyList<ClosedPanel> Panels { get; init; }

    /// <summary>What it wears outside, papers first; nothing of a card that is not dressed.</summary>
    public required IReadOnlyList<WornShape> Worn { get; init; }

    /// <summary>Its size, its thickness and where it goes, as one sentence.</summary>
    public required IReadOnlyList<SentencePart> Text { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required string Thickness { get; init; }

    public required string Weight { get; init; }

    /// <summary>As it stands round the card; null where one has to be made, or where the card goes round another.</summary>
    public required BoxView? Envelope { get; init; }

    /// <summary>Where it goes, in few words.</summary>
    public required string EnvelopeName { get; init; }

    /// <summary>The same with the envelope's size.</summary>
    public required IReadOnlyList<SentencePart> EnvelopeText { get; init; }
}

/// <summary>Why there are no figures for this format.</summary>
public sealed record StuckView(IReadOnlyList<SentencePart> Text, IReadOnlyList<IReadOnlyList<SentencePart>> Conflicts);

/// <summary>The format that the design is being made in.</summary>
public sealed record TargetView
{
    public required string Key { get; init; }

    public required string Format { get; init; }

    public required bool Turn { get; init; }

    public required string Name { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required bool AtHome { get; init; }
}

/// <summary>The figures of a design in its target format: what changes with every tick of a slider.</summary>
public sealed record BenchView
{
    public required string Construction { get; init; }

    public required string Opens { get; init; }

    public required IReadOnlyList<SentencePart> Home { get; init; }

    public required TargetView Target { get; init; }

    /// <summary>The id of the tools in use.</summary>
    public required string ToolsId { get; init; }

    public required string Tools { get; init; }

    public required string Stock { get; init; }

    public required string Unit { get; init; }

    public required Rule Rule { get; init; }

    public required IReadOnlyList<PieceView> Pieces { get; init; }

    public required IReadOnlyList<LedgerSection> Ledger { get; init; }

    public required IReadOnlyList<ParameterView> Parameters { get; init; }

    public required IReadOnlyList<ChoiceView> Choices { get; init; }

    /// <summary>Which way it opens for a reader; null of a card that is read one way only.</summary>
    public required Opens? Opening { get; init; }

    public required IReadOnlyList<PreferenceView> Preferences { get; init; }

    public required IReadOnlyList<CheckView> Checks { get; init; }

    public required ComparedView? Compared { get; init; }

    public required IReadOnlyList<SentencePart> Summary { get; init; }

    public required VerdictKind Verdict { get; init; }

    public required ClosedView? Closed { get; init; }

    public required StuckView? Stuck { get; init; }
}

/// <summary>The design in one of the formats, at a glance.</summary>
public sealed record StripFormat
{
    public required string Key { get; init; }

    public required string Format { get; init; }

    public required bool Turn { get; init; }

    public required string Name { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required long Width { get; init; }

    public required long Height { get; init; }

    public required bool Home { get; init; }

    public required bool Target { get; init; }

    public required VerdictKind Verdict { get; init; }

    public required IReadOnlyList<SentencePart> VerdictText { get; init; }

    public required string? Envelope { get; init; }
}

/// <summary>What a parameter can be set to, everything else free to follow.</summary>
/// <param name="Stops">Only these can be set. Without stops it moves freely between its ends.</param>
public sealed record RangeView(string Parameter, Figure Min, Figure Max, IReadOnlyList<Figure> Stops);

/// <summary>What another priority would give.</summary>
public sealed record AlternativeView(Priority Priority, string Name, IReadOnlyList<SentencePart> Gives, bool Current, bool Same);

/// <param name="Side">scant, full, exact or either: which way it may miss.</param>
public sealed record SafeView(string FigureId, SafeDirection Side, IReadOnlyList<SentencePart> Text);

public sealed record ReasonView(IReadOnlyList<SentencePart> Why, FigureText From, FigureText To, bool Moves);

/// <summary>How one figure came about.</summary>
/// <param name="Said">As a colleague explains it, in one sentence.</param>
/// <param name="Ways">How else it could be set.</param>
public sealed record ExplainedView(string FigureId, IReadOnlyList<SentencePart> Said, IReadOnlyList<ReasonView> Reasons, IReadOnlyList<IReadOnlyList<SentencePart>> Ways);

/// <summary>Edits with which it goes, and what the card comes to with them.</summary>
public sealed record WayView(IReadOnlyList<SentencePart> Text, IReadOnlyList<SentencePart> Costs, IReadOnlyList<DesignEdit> Edits);

/// <summary>What was found for a finding, or, where nothing was, what was tried.</summary>
/// <param name="None">Null where something was found.</param>
public sealed record WaysView(IReadOnlyList<WayView> Ways, string? None);

/// <summary>What makes the size at hand the home of the design, the card as it is.</summary>
public sealed record HomeView(IReadOnlyList<DesignEdit> Edits);

/// <param name="Check">The id of the finding that is to go; every error where it is not said.</param>
public sealed record WaysRequest : DeskRequest
{
    [MaxLength(60)]
    public string? Check { get; init; }
}

/// <summary>One point of a trade-off: a real sizing. <c>x</c> and <c>y</c> are 0 to 1 over the curve.</summary>
public sealed record CurvePointView
{
    public required Figure Value { get; init; }

    public required FigureText One { get; init; }

    public required FigureText Other { get; init; }

    public required double X { get; init; }

    public required double Y { get; init; }

    public required IReadOnlyList<SentencePart> Costs { get; init; }

    /// <summary>Whether it costs anything at all.</summary>
    public required bool Costly { get; init; }

    public required bool Current { get; init; }
}

/// <summary>How much of one thing costs how much of another, and the parameter that decides.</summary>
public sealed record CurveView(string Parameter, string ParameterName, string OneName, string OtherName, IReadOnlyList<CurvePointView> Points);

/// <summary>A design as it stands or with edits that are only tried out: nothing is stored.</summary>
public record DeskRequest
{
    public required DesignSpec Design { get; init; }

    /// <summary>Done to it before it is looked at, in that order.</summary>
    public IReadOnlyList<DesignEdit> Edits { get; init; } = [];
}

public sealed record BenchRequest : DeskRequest
{
    /// <summary>What it was before a change of tools, card or preference, where that is to be shown.</summary>
    public DeskRequest? Before { get; init; }
}

public sealed record ExplainRequest : DeskRequest
{
    /// <summary>Which figure.</summary>
    public required string FigureId { get; init; }
}

using WholeFold.Core.Exchange;

namespace WholeFold.App.Features.Bench;

/// <summary>A length as the interface shows it: exact units to draw by, and the texts to read.</summary>
/// <param name="Units">In 1/320 mm.</param>
/// <param name="Text">In the reader's unit.</param>
/// <param name="Also">In the other system.</param>
/// <param name="Exact">A text that reads back to exactly this length.</param>
public sealed record Figure(long Units, string Text, string Also, string Exact);

/// <summary>A tick of the drawn rule.</summary>
/// <param name="Comb">0 for the rule's first edge, 1 for the second system's.</param>
/// <param name="Size">whole, half or groove.</param>
public sealed record Tick(long At, int Comb, string Size, string Label);

/// <param name="End">How far the board reaches.</param>
public sealed record Rule(string Name, bool HasGrooves, long End, IReadOnlyList<Tick> Ticks);

public sealed record LayerView(string Id, string Text, long X, long Y, long Width, long Height);

public sealed record PanelView(string Id, string Name, long X, long Y, long Width, long Height, IReadOnlyList<LayerView> Layers);

/// <summary>A point of a drawing, in units from its lower left corner.</summary>
public sealed record Spot(long X, long Y);

/// <summary>A line of a drawing.</summary>
public sealed record LineView(Spot From, Spot To);

/// <summary>A score with its flag. <c>at</c> is where it lies, <c>set</c> how it is set.</summary>
/// <param name="Runs">upright where the rule below the piece reads it, level where it runs along the rule, slanting otherwise.</param>
/// <param name="Label">What the flag says: the figure to set.</param>
/// <param name="Lay">asItLies, turnedRound, turnedOver or headOverHeels.</param>
/// <param name="Parts">What is scored of its line.</param>
public sealed record ScoreView(string FigureId, Figure At, string Runs, string Direction, string Kind, string How, string Lay, string Label, string Words, string Between, IReadOnlyList<LineView> Parts);

/// <summary>Scores that are set one after the other with the piece lying one way.</summary>
/// <param name="Words">How it lies, such as "turn it round".</param>
public sealed record PassView(string Lay, string Words, IReadOnlyList<PassScore> Scores);

public sealed record PassScore(string FigureId, string Text);

/// <summary>A region that is glued, by its corners in the piece's own coordinates.</summary>
public sealed record GlueView(string Id, IReadOnlyList<Spot> Corners, string LinedUp);

/// <summary>What is cut inside a piece, in its own coordinates.</summary>
/// <param name="Kind">window, slit, notch, flap or divide.</param>
/// <param name="Corners">What is cut from corner to corner: all round where it <c>isClosed</c>.</param>
public sealed record OpeningView(string Id, string Name, string Kind, IReadOnlyList<Spot> Corners, bool IsClosed, string Text);

public sealed record PieceView(
    string Id,
    string Name,
    string Axis,
    Figure Width,
    Figure Height,
    IReadOnlyList<PanelView> Panels,
    IReadOnlyList<ScoreView> Scores,
    IReadOnlyList<PassView> Order,
    IReadOnlyList<OpeningView> Openings,
    IReadOnlyList<GlueView> Glue);

public sealed record ReasonView(string Why, string From, string To, bool Moves);

/// <param name="Side">scant, full, exact or either: which way it may miss.</param>
public sealed record SafeView(string Side, string Text);

/// <param name="Was">In the home format, or before the change that is looked at, where it has this figure.</param>
/// <param name="Said">The figure as a colleague explains it, in one sentence.</param>
/// <param name="Because">Why it is not what it was, where a change is looked at.</param>
/// <param name="Ways">How else it could be set.</param>
/// <param name="Mark">v or m for a score, × n for a layer, otherwise nothing.</param>
public sealed record LedgerRow(string FigureId, string Label, string Detail, string Mark, Figure? Was, Figure Now, bool Changed, string Setting, string How, string Said, SafeView Safe, string? Because, IReadOnlyList<string> Ways, IReadOnlyList<ReasonView> Reasons);

public sealed record LedgerSection(string Id, string Title, string Detail, IReadOnlyList<LedgerRow> Rows);

public sealed record StripFormat(string Key, string Format, bool Turn, string Name, string System, string Size, long Width, long Height, bool Home, bool Target, string Verdict, string VerdictText, string? Envelope);

/// <summary>A parameter as a slider: only its stops can be set. Without stops it moves freely between its ends.</summary>
public sealed record ParameterView(string Id, string Name, string Meaning, Figure Value, Figure Ideal, bool Pinned, Figure? Min, Figure? Max, IReadOnlyList<Figure> Stops, string Least, string Most);

public sealed record ChoiceView(string Id, string Name, string Meaning, string Value, IReadOnlyList<string> Options);

public sealed record CheckView(string Id, string Severity, string Text);

/// <summary>What another priority would give.</summary>
public sealed record AlternativeView(string Priority, string Name, string Gives, bool Current, bool Same);

/// <summary>A panel as it lies in the closed card, from the card's lower left corner.</summary>
public sealed record ClosedPanel(string Id, IReadOnlyList<Spot> Corners);

/// <summary>A state of a card that has more than closed and shown, drawn from above.</summary>
/// <param name="How">What one does to bring it there.</param>
public sealed record StateView(string Id, string Name, string How, long Width, long Height, IReadOnlyList<ClosedPanel> Panels);

/// <summary>A spot of the closed card and how thick it is there, from 0 to 1 of the greatest.</summary>
public sealed record ThickView(IReadOnlyList<Spot> Corners, double Share);

/// <summary>How thick the closed card is, spot by spot.</summary>
public sealed record ThicknessView(string Greatest, string Mean, Spot ThickestAt, IReadOnlyList<ThickView> Spots);

public sealed record ClosedView(Figure Width, Figure Height, IReadOnlyList<ClosedPanel> Panels, string Text, string Thickness, string Weight, string? EnvelopeName, long? EnvelopeWidth, long? EnvelopeHeight, string EnvelopeText);

/// <summary>Why there are no figures for this format.</summary>
/// <param name="Remedies">The smallest sets of changes with which it goes.</param>
public sealed record StuckView(string Text, IReadOnlyList<ConflictView> Conflicts, IReadOnlyList<RemedyView> Remedies);

/// <param name="State">The design with it done.</param>
public sealed record RemedyView(string Text, DesignSpec State);

public sealed record PreferenceView(string Id, string Name, bool On);

/// <summary>What a change of tools, card or preference did to the figures.</summary>
/// <param name="Gone">Figures that there were and are not any more.</param>
public sealed record ComparedView(string Text, IReadOnlyList<string> Gone);

/// <summary>One point of a trade-off: a real sizing. <c>x</c> and <c>y</c> are 0 to 1 over the curve.</summary>
public sealed record CurvePointView(Figure Value, string One, string Other, double X, double Y, string Costs, bool Current);

/// <summary>How much of one thing costs how much of another, and the parameter that decides.</summary>
public sealed record CurveView(string Parameter, string ParameterName, string OneName, string OtherName, IReadOnlyList<CurvePointView> Points);

/// <param name="In">As it is read in inches; null where inches have no figures.</param>
public sealed record SheetRow(string FigureId, string Label, string Detail, string? In, string? Cm, string SetIn, string SetCm);

public sealed record SheetSection(string Title, string Detail, IReadOnlyList<SheetRow> Rows);

/// <summary>Every figure in both systems, for the wall beside the board.</summary>
/// <param name="Notes">Where a column had to be sized for itself, or could not be; and the checks.</param>
public sealed record SheetView(string Name, string Construction, string Size, string Tools, string Stock, string Closed, IReadOnlyList<SheetSection> Sections, IReadOnlyList<string> Notes);

public sealed record ConflictView(string Text);

/// <summary>Everything the bench shows for one design and one target, worked out.</summary>
public sealed record BenchView(
    string ConstructionName,
    string Opens,
    string Home,
    bool AtHome,
    string TargetKey,
    string Target,
    string TargetSize,
    string TargetSystem,
    string Tools,
    string Stock,
    string Unit,
    Rule Rule,
    IReadOnlyList<PieceView> Pieces,
    IReadOnlyList<LedgerSection> Ledger,
    IReadOnlyList<StripFormat> Strip,
    IReadOnlyList<ParameterView> Parameters,
    IReadOnlyList<ChoiceView> Choices,
    IReadOnlyList<AlternativeView> Alternatives,
    IReadOnlyList<PreferenceView> Preferences,
    IReadOnlyList<CheckView> Checks,
    ComparedView? Compared,
    string Summary,
    string VerdictKind,
    ClosedView? Closed,
    StuckView? Stuck);

/// <param name="Sheets">How many of which sheets do.</param>
/// <param name="Changed">Which parameters had to move from their ideals by more than a mark, and how far.</param>
public sealed record WallCard(StripFormat Format, ClosedView? Closed, string Sheets, string Tools, IReadOnlyList<string> Changed, string? Problem);

/// <summary>One design in all formats at once, closed.</summary>
public sealed record WallView(string Name, string Construction, string Home, string Stock, string Unit, IReadOnlyList<WallCard> Cards);

/// <summary>A design that is not saved yet: the bench asks for its figures while a slider moves.</summary>
/// <param name="Before">What it was before a change of tools, card or preference, where that is to be shown.</param>
public sealed record BenchRequest(DesignSpec Design, DesignSpec? Before = null);

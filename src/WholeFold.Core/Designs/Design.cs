using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Designs;

/// <summary>Whether papers go on before a card is put together, or after.</summary>
public enum MakingOrder
{
    /// <summary>Papers keep the right place and way up on cards whose faces are hard to foresee.</summary>
    AssembleFirst,

    /// <summary>Papers go on while everything is flat.</summary>
    DecorateFirst,
}

/// <summary>What is given up first when not everything can be had.</summary>
public enum Priority
{
    /// <summary>The finished size is kept; then as many scores on grooves as can be; then the proportions.</summary>
    Format,

    /// <summary>Scores on grooves first, even if the card ends a mark under its format.</summary>
    Board,

    /// <summary>Finished size and proportions first; scores where they fall.</summary>
    Proportions,
}

/// <summary>A format as it is used: upright, or turned on its side.</summary>
public readonly record struct Target(Format Format, bool Turn)
{
    public Length Width => Turn ? Format.Height : Format.Width;

    public Length Height => Turn ? Format.Width : Format.Height;

    /// <summary>On its side: wider than high.</summary>
    public bool Lies => Width > Height;

    /// <summary>A format lying as the home does: a design on its side stays on its side, until it is turned.</summary>
    public static Target Beside(Target home, Format format, bool turned)
    {
        ArgumentNullException.ThrowIfNull(format);
        var (upright, onItsSide) = (new Target(format, false), new Target(format, true));
        return format.Width == format.Height ? new Target(format, turned) : upright.Lies == (home.Lies != turned) ? upright : onItsSide;
    }

    /// <summary>One text for the format and its turning, under which a design keeps what was adjusted for it.</summary>
    public string Key => Turn ? $"{Format.Id}:turned" : Format.Id;
}

/// <summary>A figure that a person set, and the id of the tools it was set with: on those it is exactly that, on others the nearest.</summary>
public readonly record struct HandFigure(Length Value, string Tools);

/// <summary>A card that was bought cut and folded: how large it is closed, as measured, and which piece of the construction it becomes.</summary>
/// <remarks>Everything else is reckoned from it as from a format; where it lies on no mark, from the marks below it, and what is left over stays at its fore-edges.</remarks>
/// <param name="Piece">The id of that piece.</param>
/// <param name="Spine">Which of its creases is there already.</param>
public sealed record Blank(Length Width, Length Height, string Piece, int Spine)
{
    public const string Accepted = "its size closed, with the unit, such as 4 15/16 x 6 7/8 in or 125x175mm";

    /// <summary>The piece that a blank can become, and which crease of it is the blank's spine: on one side of that lies a whole half. Null where there is none.</summary>
    public static (string Piece, int Spine)? In(Construction construction)
    {
        ArgumentNullException.ThrowIfNull(construction);
        foreach (var piece in construction.Pieces.Where(p => p.Quantity == 1))
        {
            var (side, across) = SidesOf(piece);
            for (var i = 0; i < piece.Creases.Count && (piece.Across - across).IsZero; i++)
            {
                if ((piece.Position(i) - side).IsZero || (piece.Along - piece.Position(i) - side).IsZero)
                {
                    return (piece.Id, i);
                }
            }
        }

        return null;
    }

    /// <summary>How long a half of the blank is along a piece's chain, and how broad.</summary>
    public static (Affine Half, Affine Across) SidesOf(Piece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        var (width, height) = (Affine.Of(Symbol.Width), Affine.Of(Symbol.Height));
        return piece.Axis == Axis.X ? (width, height) : (height, width);
    }
}

/// <summary>The visible border of a layer: its width per side, and whether a paper lies on a mat.</summary>
public sealed record Reveal(string Id, string Name, Pair Width, bool Framed = false)
{
    public static Reveal Standard => All[1];

    /// <summary>The schools that have a name.</summary>
    public static IReadOnlyList<Reveal> All { get; } =
    [
        new("thin", "thin", Pair.Of(1, 16, 1.5m)),
        new("standard", "standard", Pair.Of(1, 8, 3m)),
        new("framed", "framed", Pair.Of(1, 8, 3m), Framed: true),
        new("wide", "wide", Pair.Of(1, 4, 6m)),
        new("flush", "flush", Pair.Of(0, 1, 0m)),
    ];

    public static Reveal? ById(string id) => All.FirstOrDefault(r => r.Id == id);

    public static Reveal Custom(Length width) => new("custom", "custom", new Pair(width, width));
}

/// <summary>
/// A card design: what was chosen, never what was worked out. Figures come of it anew each time.
/// </summary>
public sealed record Design
{
    public required ConstructionFamily Family { get; init; }

    /// <summary>The format it was designed in.</summary>
    public required Target Home { get; init; }

    /// <summary>What is to hand while it is made.</summary>
    public required Inventory Inventory { get; init; }

    /// <summary>The id of a tool set; null follows the system of whatever format it is sized for.</summary>
    public string? Tools { get; init; }

    /// <summary>The id of a guest's tool set; null for the usual board of the other system.</summary>
    public string? Guest { get; init; }

    /// <summary>The system that tools with marks in both work in; null for that of whatever format it is sized for.</summary>
    internal UnitSystem? ToolsWorkIn { get; init; }

    public required Stock Stock { get; init; }

    /// <summary>What papers are cut from.</summary>
    public required Stock LayerStock { get; init; }

    /// <summary>What a mat is cut from, where a paper lies on one.</summary>
    public required Stock MatStock { get; init; }

    /// <summary>Pieces that are cut from another card than the design's own.</summary>
    public IReadOnlyDictionary<string, Stock> PieceStocks { get; init; } = new Dictionary<string, Stock>();

    /// <summary>What the layers are stuck with.</summary>
    public required Adhesive Adhesive { get; init; }

    /// <summary>How the grain runs in the sheet that the card is cut from.</summary>
    public Grain Grain { get; init; }

    public Reveal Reveal { get; init; } = Reveal.Standard;

    public Priority Priority { get; init; }

    /// <summary>Whether papers go on before it is put together, or after.</summary>
    public MakingOrder Order { get; init; }

    /// <summary>What is put on it beside the papers that its construction usually wears.</summary>
    public Dressing Dressing { get; init; } = Dressing.None;

    /// <summary>Which way it opens for a reader; null as its construction usually does.</summary>
    public Opens? Opens { get; init; }

    /// <summary>Whether it can be read both ways.</summary>
    public bool OpensBothWays => Construction.LookedAt?.Spine is not null;

    /// <summary>Which way it opens.</summary>
    public Opens WayItOpens => Opens ?? Designs.WayItOpens.Usual(Construction);

    /// <summary>A size across and along the main creases as a reader holds it: her width first.</summary>
    public (Length Width, Length Height) AsRead(Length width, Length height) => ReadsAcross ? (height, width) : (width, height);

    /// <inheritdoc cref="AsRead(Length, Length)"/>
    public Words SizeAsRead(Length width, Length height) => AsRead(width, height) is var (wide, high) ? Words.Of($"{wide} × {high:u}") : Words.Of($"");

    private bool ReadsAcross => Construction is var construction && construction.LookedAt is { } at
        && at.UpFor(Opens, construction.Pieces.First(p => p.Id == at.Plate.Piece.Piece).FromHead) is Edge.Left or Edge.Right;

    /// <summary>Whether a format is the size of the plate that the card shows, where its construction has one, and not of the card put away.</summary>
    public bool NamedByShown { get; init; }

    /// <summary>How its maker likes to set figures.</summary>
    public Preferences Prefer { get; init; } = Preferences.None;

    /// <summary>The bought blank that it begins with at home; null where its card is cut from a sheet.</summary>
    public Blank? Blank { get; init; }

    /// <summary>The blank that it begins with in a format; null in every other than its home.</summary>
    public Blank? BlankFor(Target target) => IsHome(target) ? Blank : null;

    /// <summary>The sheets that are there; none where nobody said, and all the usual ones count.</summary>
    public IReadOnlyList<Sheet> Sheets { get; init; } = [];

    /// <summary>The smallest sheet there is, those of the system first, that a piece comes out of whole; null where none does.</summary>
    public Sheet? SheetFor(Length width, Length height, UnitSystem system) =>
        (Sheets.Count > 0 ? Sheets : Inventory.Sheets.Where(s => s.Usual)).Where(s => s.Holds(width, height)).OrderBy(s => s.System == system ? 0 : 1)
            .ThenBy(s => s.Width.Units * s.Height.Units).FirstOrDefault();

    /// <summary>The sheet that is taken without a thought: the first that is there, or else the everyday one of the system.</summary>
    public Sheet EverydaySheet(UnitSystem system) => Sheets.Count > 0 ? Sheets[0] : Inventory.EverydaySheet(system);

    public IReadOnlyDictionary<string, string> Choices { get; init; } = new Dictionary<string, string>();

    /// <summary>Parameters set by hand in the home format: exactly that there, and in every other format the ideal, a fixed one by its
    /// size and a proportional one by its ratio.</summary>
    public IReadOnlyDictionary<string, HandFigure> Sets { get; init; } = new Dictionary<string, HandFigure>();

    /// <summary>Parameters that are hard in every format and system: what is physically given, or is to be kept exactly.</summary>
    public IReadOnlyDictionary<string, Length> Locks { get; init; } = new Dictionary<string, Length>();

    /// <summary>Parameters set by hand for one format only, by <see cref="Target.Key"/>.</summary>
    public IReadOnlyDictionary<string, IReadOnlyDictionary<string, HandFigure>> Adjustments { get; init; } = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>>();

    public Construction Construction => ReadAcross.Of(Family.For(Choices), Opens);

    /// <summary>What its allowances are worked out from.</summary>
    internal Papers Papers => new(StockOf, LayerStock.Caliper + Adhesive.Thickness, Inventory.CorrectionOf);

    /// <summary>The stock of a piece; the design's own card for null.</summary>
    public Stock StockOf(string? piece) => piece is not null && PieceStocks.TryGetValue(piece, out var own) ? own
        : Construction.Pieces.FirstOrDefault(p => p.Id == piece)?.UsualStock is { } usual && Inventory.Find<Stock>(usual) is { } its ? its : Stock;

    /// <summary>The tools that it is made with in a format.</summary>
    public ToolSet ToolsFor(Target target)
    {
        var kit = Tools is { } id ? Inventory.Find<ToolKit>(id)! : Inventory.DefaultToolsFor(target.Format.System);
        var tools = kit.For(ToolsWorkIn ?? target.Format.System);
        return Prefer.WithRuler && tools.RulerMarks.Count == 0 ? tools with { RulerMarks = [ToolSet.FinestRuler.For(tools.System)] } : tools;
    }

    /// <summary>Whether what was set is taken as it stands, and not looked at for whether the card has it anyway.</summary>
    internal bool AsWritten { get; init; }

    public bool IsHome(Target target) => target.Key == Home.Key;

    /// <summary>What was set by hand for this very format; locks apart.</summary>
    public IReadOnlyDictionary<string, HandFigure> SetFor(Target target)
    {
        var sets = IsHome(target) ? new Dictionary<string, HandFigure>(Sets) : [];
        foreach (var (name, value) in Adjustments.GetValueOrDefault(target.Key) ?? new Dictionary<string, HandFigure>())
        {
            sets[name] = value;
        }

        return sets;
    }

    /// <summary>The same with a parameter set by hand for one format, on the tools that it is made with there.</summary>
    public Design Adjusted(Target target, string parameter, Length value)
    {
        var here = new Dictionary<string, HandFigure>(Adjustments.GetValueOrDefault(target.Key) ?? new Dictionary<string, HandFigure>()) { [parameter] = new(value, ToolsFor(target).Id) };
        return this with { Adjustments = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>>(Adjustments) { [target.Key] = here } };
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>One step from a rule's exact figure to the one that is set.</summary>
public sealed record Reason(Words Why, Length From, Length To);

/// <summary>How a figure came about, put into words once somebody asks.</summary>
public sealed class Explanation(Func<IReadOnlyList<Reason>> reasons, Func<Words> said)
{
    private readonly Lazy<IReadOnlyList<Reason>> _reasons = new(reasons);
    private readonly Lazy<Words> _said = new(said);

    /// <summary>The first starts at the rule's ideal, each goes on where the one before it ended, and the last ends at the value.</summary>
    public IReadOnlyList<Reason> Reasons => _reasons.Value;

    /// <summary>The figure as a colleague explains it, in one sentence.</summary>
    public Words Said => _said.Value;
}

/// <summary>A figure to set: how long, how it is set, and how it came about.</summary>
public sealed record Measured(FigureRef Id, Length Value, Setting Setting, Explanation Explanation)
{
    /// <inheritdoc cref="Explanation.Reasons"/>
    public IReadOnlyList<Reason> Reasons => Explanation.Reasons;

    /// <inheritdoc cref="Explanation.Said"/>
    public Words Said => Explanation.Said;

    /// <summary>What the rule gives before anything was moved to a mark.</summary>
    public Length Ideal => Reasons[0].From;
}

/// <summary>How far a parameter was given into the search's hands.</summary>
public enum Hold
{
    /// <summary>It follows its rule.</summary>
    Free,

    /// <summary>A person set it at home, and here that gives its ideal.</summary>
    FromHome,

    /// <summary>A person set it for this format: exactly that on the tools it was set with, the nearest on others.</summary>
    Set,

    /// <summary>It is physically given, or is to be kept exactly: hard everywhere.</summary>
    Locked,
}

/// <summary>A parameter's value, what it would ideally be, and whether a person set it.</summary>
public sealed record SizedParameter(Parameter Parameter, Length Value, Length Ideal, Hold Hold)
{
    /// <summary>What a person set for this format; null where nobody did.</summary>
    public Length? Asked { get; init; }

    /// <summary>What a person set at home, of which this is the ideal.</summary>
    internal Elsewhere? FromHome { get; init; }

    /// <summary>What it moves within, where for that alone scores of it are off a groove; null where none is.</summary>
    public Length? Within { get; init; }

    /// <summary>Why it is not at what was asked for, where it is not.</summary>
    public required Func<Words> Moved { get; init; }

    /// <summary>The limit that a lock is past, or that what was set would be past.</summary>
    public Limit? Past { get; init; }

    public bool ByHand => Hold != Hold.Free;

    /// <summary>Why it is what it is, in a line of its own.</summary>
    public Words Said(ToolSet tools)
    {
        ArgumentNullException.ThrowIfNull(tools);
        var near = tools.LooksLike(Value, Ideal);
        return Hold switch
        {
            Hold.Locked => Words.Of($"locked"),
            Hold.Set when Asked is { } asked && asked != Value => Words.Of($"you set {asked:u}; {Moved()}"),
            Hold.Set => Words.Of($"as you set it"),
            Hold.FromHome when Within is { } band => FromHome!.Said(Ideal).Add($"; no groove holds its scores within {band:u} of that"),
            Hold.FromHome => near ? FromHome!.Said(Ideal) : FromHome!.Said(Ideal).Add($"; {Moved()}"),
            _ when near => Words.Of($"{Parameter.Rule}"),
            _ => Words.Of($"its rule gives {Ideal:u} ({Parameter.Rule}); {Moved()}"),
        };
    }
}

/// <summary>How hard it was to find settable figures.</summary>
public enum Relaxation
{
    /// <summary>On the marks, at the format or at most 1/16 in (1.5 mm) below it.</summary>
    None,

    /// <summary>On the marks, but up to ⅛ in (3 mm) below the format.</summary>
    SmallerCard,

    /// <summary>No common mark: each figure rounded to its nearest.</summary>
    RoundedFigures,
}

/// <summary>A design's figures for one format: what is cut and scored, and nothing that follows from it.</summary>
public sealed record Figures
{
    public required Design Design { get; init; }

    public required Construction Construction { get; init; }

    /// <summary>The closed card that was asked for.</summary>
    public required Target Target { get; init; }

    /// <summary>The format as it was named: that of the closed card, or of what is shown of it.</summary>
    public required Target Named { get; init; }

    /// <summary>The bought blank that it begins with; null where all of it is cut.</summary>
    public Blank? Blank { get; init; }

    public required ToolSet Tools { get; init; }

    public required Relaxation Relaxation { get; init; }

    public required Cost Cost { get; init; }

    /// <summary>Null where these are proven to be the best; else how much better there may be some, at the most.</summary>
    public Gap? Gap { get; init; }

    /// <summary>The pieces that just missed the sheets that are there, and what was eased for them; none where none did.</summary>
    public IReadOnlyList<EasedPiece> EasedPieces { get; init; } = [];

    /// <summary>How much the search looked into: the measure of its budget.</summary>
    public long Effort { get; init; }

    /// <summary>The finished width and height that the search settled on.</summary>
    public required Length Width { get; init; }

    public required Length Height { get; init; }

    public required IReadOnlyList<SizedParameter> Parameters { get; init; }

    public required IReadOnlyList<SizedPiece> Pieces { get; init; }

    /// <summary>The exact value of an expression of the construction, at what the search settled on.</summary>
    internal Func<Affine, Rational> Evaluator { get; init; } = _ => Rational.Zero;

    /// <summary>A parameter's ideal before it is rounded to a unit.</summary>
    internal Func<Symbol, Rational> ExactIdeal { get; init; } = _ => Rational.Zero;

    /// <summary>An expression of the construction at the figures of this result.</summary>
    public Length ValueOf(Affine expression) => new(Evaluator(expression).Nearest());

    public Point ValueOf(Spot spot) => new(ValueOf(spot.X), ValueOf(spot.Y));

    /// <summary>A parameter counts as eased once it is further from its ideal than a trimmer's mark; less than that is only
    /// the ideal put on a rule.</summary>
    private static readonly Pair Noticeable = Pair.Of(1, 16, 1m);

    /// <summary>The parameters that the tools or the format moved so far that a person sees it.</summary>
    public IEnumerable<SizedParameter> Eased => Parameters.Where(p => !p.ByHand && (p.Value - p.Ideal).Abs() > Noticeable.For(Tools.System));

    /// <summary>Every figure of the pieces, in the order in which it is read out.</summary>
    public IEnumerable<Measured> All =>
        Pieces.SelectMany(p => new[] { p.Width, p.Height }.Concat(p.AllScores.Select(s => s.Figure)).Concat(p.MarkedLines.Select(l => l.Figure)));

    public SizedPiece PieceOf(PieceRef copy) => Pieces.First(p => p.Piece.Id == copy.Piece);

    public SizedPlate PlateOf(PlateRef plate) => PieceOf(plate.Piece).Plate(plate.Plate);
}

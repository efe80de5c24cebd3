using WholeFold.Core.Catalogue;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>One step from a rule's exact figure to the one that is set.</summary>
public sealed record Reason(Words Why, Length From, Length To);

/// <summary>A figure to set: how long, how it is set, and how it came about. The first reason starts at the rule's ideal,
/// each goes on where the one before it ended, and the last ends at the value.</summary>
/// <param name="Said">The figure as a colleague explains it, in one sentence.</param>
public sealed record Measured(string Id, Length Value, Setting Setting, IReadOnlyList<Reason> Reasons, Words Said)
{
    /// <summary>What the rule gives before anything was moved to a mark.</summary>
    public Length Ideal => Reasons[0].From;
}

/// <summary>Layers of one size: a mat or a paper on each of some equal panels.</summary>
/// <param name="Level">1 lies on the card, 2 on the first.</param>
/// <param name="Free">By panel, the region that the layer lies in the middle of, in the flat piece.</param>
public sealed record SizedLayer(string Id, LayerRole Role, IReadOnlyList<string> Panels, int Level, Stock Stock, Measured Width, Measured Height, int Quantity, IReadOnlyDictionary<string, Box> Free)
{
    /// <summary>Where the layer lies on a panel, in the flat piece: in the middle of what is free.</summary>
    public Box BoxOn(string panel)
    {
        var free = Free[panel];
        var left = free.Left + new Length((free.Width - Width.Value).Units / 2);
        var bottom = free.Bottom + new Length((free.Height - Height.Value).Units / 2);
        return new Box(left, bottom, left + Width.Value, bottom + Height.Value);
    }
}

/// <summary>A parameter's value, what it would ideally be, and whether a person set it.</summary>
public sealed record SizedParameter(Parameter Parameter, Length Value, Length Ideal, bool Pinned);

public enum Severity
{
    Note,
    Caution,
    Error,
}

/// <summary>Something found, with its figures.</summary>
public sealed record Check(string Id, Severity Severity, Words Text, IReadOnlyDictionary<string, Length> Figures)
{
    /// <summary>What it makes of the design at a glance; null where it does not change that.</summary>
    public Verdict? AtAGlance { get; init; }
}

/// <summary>How hard it was to find settable figures.</summary>
public enum Means
{
    /// <summary>On the marks, at the format or at most 1/16 in (1.5 mm) below it.</summary>
    Usual,

    /// <summary>On the marks, but up to ⅛ in (3 mm) below the format.</summary>
    Smaller,

    /// <summary>No common mark: each figure rounded to its nearest.</summary>
    Rounded,
}

/// <summary>A design with all its figures for one format.</summary>
public sealed record SizedDesign
{
    public required Design Design { get; init; }

    public required Construction Construction { get; init; }

    public required Target Target { get; init; }

    public required ToolSet Tools { get; init; }

    public required Means Means { get; init; }

    public required Cost Cost { get; init; }

    /// <summary>The finished width and height that the search settled on.</summary>
    public required Length Width { get; init; }

    public required Length Height { get; init; }

    public required IReadOnlyList<SizedParameter> Parameters { get; init; }

    public required IReadOnlyList<SizedPiece> Pieces { get; init; }

    public required IReadOnlyList<SizedLayer> Layers { get; init; }

    /// <summary>The card in its envelope, computed from panels, folds and bonds.</summary>
    public required ClosedPose Closed { get; init; }

    /// <summary>The other states of a card that has several, each lying flat.</summary>
    public IEnumerable<(CardState State, ClosedPose Pose)> States => Construction.States.Select(s => (s, ClosedPose.Of(Construction, Pieces, Evaluator, s)));

    public Length ClosedWidth => Closed.Width;

    public Length ClosedHeight => Closed.Height;

    /// <summary>Over each spot of the closed card, how much lies there.</summary>
    public required ThicknessMap Thickness { get; init; }

    public Length ClosedThickness => Thickness.Greatest;

    public required Envelope? Envelope { get; init; }

    public required IReadOnlyList<Check> Checks { get; init; }

    /// <summary>The values that the search settled on, by name.</summary>
    internal Func<Affine, Rational> Evaluator { get; init; } = _ => Rational.Zero;

    /// <summary>A parameter's ideal before it is rounded to a unit.</summary>
    internal Func<string, Rational> ExactIdeal { get; init; } = _ => Rational.Zero;

    /// <summary>An expression of the construction at the figures of this result.</summary>
    public Length ValueOf(Affine expression) => new(Evaluator(expression).Nearest());

    /// <summary>A parameter counts as eased once it is further from its ideal than a trimmer's mark; less than that is only
    /// the ideal put on a rule.</summary>
    private static readonly Pair Noticeable = Pair.Of(1, 16, 1m);

    /// <summary>The parameters that the tools or the format moved so far that a person sees it.</summary>
    public IEnumerable<SizedParameter> Eased => Parameters.Where(p => !p.Pinned && (p.Value - p.Ideal).Abs() > Noticeable.In(Tools.System));

    /// <summary>Every figure of the result, in the order in which it is read out.</summary>
    public IEnumerable<Measured> Figures =>
        Pieces.SelectMany(p => new[] { p.Width, p.Height }.Concat(p.AllScores.Select(s => s.Figure)).Concat(p.MarkedLines.Select(l => l.Figure)))
            .Concat(Layers.SelectMany(l => new[] { l.Width, l.Height }));
}

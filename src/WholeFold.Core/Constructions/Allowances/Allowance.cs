using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// A length that the thickness of the card asks for. A construction names the allowance it needs and never computes one;
/// its value is known before the search begins, from the stock of the piece it is for.
/// </summary>
/// <param name="Piece">Whose stock counts; null is the design's own card.</param>
public abstract record Allowance(string? Piece = null)
{
    /// <summary>A hand's clearance: what a piece needs beside another to slide without force.</summary>
    protected static readonly Length Hand = Length.Mm(0.25m);

    /// <summary>What a correction of it is kept by.</summary>
    public abstract AllowanceKind Kind { get; }

    /// <summary>What it is called in a reason.</summary>
    public abstract string Name { get; }

    /// <summary>Why it is needed, in a few words.</summary>
    public abstract string Because { get; }

    /// <summary>Whether it is taken off a cut, and so goes up to the trimmer's next mark.</summary>
    public virtual bool UpToTheMark => true;

    /// <summary>What the thickness asks for, before any mark.</summary>
    /// <param name="caliper">t, one ply of the piece.</param>
    public abstract Length Exact(Length caliper);

    /// <summary>The same where it depends on what lies in it too.</summary>
    protected virtual Length Exact(Papers papers) => Exact(papers.Of(Piece).Caliper);

    /// <summary>The allowance as it is used.</summary>
    public Length Value(Papers papers, ToolSet tools)
    {
        ArgumentNullException.ThrowIfNull(papers);
        ArgumentNullException.ThrowIfNull(tools);

        // What making cards has taught comes on top, and never takes more than there is.
        var exact = Length.Max(Length.Zero, Exact(papers) + papers.CorrectionOf(Kind, papers.Of(Piece)));
        // Where the trimmer has both systems, on a mark of the format's own, or nothing else of the piece would lie on one.
        return UpToTheMark ? exact.Up(tools.OwnCutMark) : exact;
    }

    /// <summary>k · t for a crease factor that is a decimal, rounded up to the unit, since an allowance may not be short.</summary>
    protected static Length Times(decimal factor, Length length) => new((long)Math.Ceiling(factor * length.Units));
}

using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Constructions.Allowances;

/// <summary>
/// A fold that closes over a stack: the spine of two creases it needs, T + t, once the stack is over 3t.
/// </summary>
/// <remarks>
/// A single crease closes over a stack of thickness T up to about 3t, the give of its own two plies and the crease. Above that
/// the fore-edge falls short by about T, and the card gapes. Two creases T + t apart stand the covers off by the stack and
/// half a ply at either side.
/// </remarks>
/// <param name="Stack">What the fold closes over; T is its thickness.</param>
/// <param name="Piece">Whose fold it is; t is its caliper.</param>
public sealed record WrappedStack(Contents Stack, string? Piece = null) : Allowance(Piece)
{
    public override AllowanceKind Kind => AllowanceKind.WrappedStack;

    public override string Name => "the spine";

    public override string Because => "a single crease does not close over so much";

    /// <summary>The spine's width; nothing where a single crease will do.</summary>
    public override Length Exact(Length caliper) => Over(Stack.Other, caliper);

    protected override Length Exact(Papers papers) => Over(Stack.Thickness(papers), papers.Of(Piece).Caliper);

    private static Length Over(Length stack, Length caliper) => stack <= 3 * caliper ? Length.Zero : stack + caliper;
}

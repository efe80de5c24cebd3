using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>
/// The closed card as it is packed: with all that stands over its edge, counted once. What goes round it, what is checked, listed and
/// handed out all ask here.
/// </summary>
/// <param name="Width">Across the main creases; the envelope may take it either way about.</param>
/// <param name="Need">What its thickness takes of an envelope beside its size, across and along.</param>
public sealed record Packing(Length Width, Length Height, (Length Across, Length Along) Need, Length Thickest, Envelope? Envelope,
    EnvelopeGrade? Grade)
{
    /// <summary>What an envelope of one's own is larger than the card, beside its thickness.</summary>
    private static readonly Pair Room = Pair.Of(1, 8, 3m);

    /// <summary>From this thickness on an envelope wants sides of its own.</summary>
    public static readonly Length WantsSides = Length.Mm(4);

    /// <summary>How high its sides are, more than the card is thick.</summary>
    private static readonly Pair Gusset = Pair.Of(1, 16, 1.5m);

    public bool IsThick => Thickest >= WantsSides;

    /// <summary>Whether nothing goes round it: it goes round a card itself.</summary>
    public bool GoesRound { get; private init; }

    /// <summary>The inside of the flat envelope that one would make for it, as its reader holds it.</summary>
    public required (Length Width, Length Height) Make { get; init; }

    /// <summary>The inside of the box envelope that one would make for it, and how high its sides are.</summary>
    public required (Length Width, Length Height, Length Sides) Box { get; init; }

    public static Packing Of(Figures figures, Box packed, ClosedPose pose, ThicknessMap thickness)
    {
        ArgumentNullException.ThrowIfNull(figures);
        var (width, height) = figures.Blank is { } blank ? (Length.Max(packed.Width, blank.Width),
            Length.Max(packed.Height, blank.Height)) : (packed.Width, packed.Height);
        var need = Girth.Of(thickness, pose, packed);
        var (design, tools) = (figures.Design, figures.Tools);
        var into = figures.Construction.GoesRound ? null : design.Inventory.EnvelopeFor(width, height, need, figures.Target.Format.System);
        var (wide, high) = design.AsRead(width, height);
        var (room, thick) = (Room.For(figures.Target.Format.System), thickness.Greatest);
        return new Packing(width, height, need, thick, into?.Envelope, into?.Grade)
        {
            GoesRound = figures.Construction.GoesRound,
            Make = (tools.CutUp(wide + room + thick), tools.CutUp(high + room + thick)),
            Box = (tools.CutUp(wide + room), tools.CutUp(high + room), tools.CutUp(thick + Gusset.For(figures.Target.Format.System))),
        };
    }

    /// <summary>What it goes into, as it is said everywhere: "A7 envelope, 5 1/4 × 7 1/4 in, snugly".</summary>
    public Words Said => GoesRound ? Words.Of($"goes round the card")
        : Envelope is { } e ? Words.Of($"{e.Name} envelope, {e.Width} × {e.Height:u}{(Grade == EnvelopeGrade.Snug ? ", snugly" : "")}")
        : IsThick ? Words.Of($"a box envelope to make, {Box.Width} × {Box.Height} × {Box.Sides:u} inside")
        : Words.Of($"an envelope to make, {Make.Width} × {Make.Height:u} inside");
}

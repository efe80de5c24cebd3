using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

public enum Severity
{
    Note,
    Caution,
    Error,
}

/// <summary>How a design takes to a format, at a glance.</summary>
public enum VerdictKind
{
    /// <summary>Every figure is what the rule asks for, on marks that can be set.</summary>
    AsDrawn,

    /// <summary>It goes, with something given up for the tools or the format.</summary>
    Eased,

    /// <summary>It goes, from a larger sheet than the everyday one.</summary>
    LargerSheet,

    /// <summary>It does not go.</summary>
    Stuck,
}

/// <summary>A verdict in one short line.</summary>
public sealed record Verdict(VerdictKind Kind, Words Text);

/// <summary>Something found, with its figures.</summary>
public sealed record Check(string Id, Severity Severity, Words Text, IReadOnlyDictionary<string, Length> Figures)
{
    /// <summary>What it makes of the design at a glance; null where it does not change that.</summary>
    public Verdict? AtAGlance { get; init; }

    /// <summary>What can be done about it at once; null where there is nothing.</summary>
    public Fix? Fix { get; init; }

    /// <summary>Where it is, so that the drawing can show it; null where it is of the whole card.</summary>
    public FoundAt? At { get; init; }
}

/// <summary>A place on a face that a finding is about.</summary>
/// <param name="Box">In the flat piece.</param>
public sealed record FoundAt(string Piece, string Plate, Face Face, Box Box)
{
    public static FoundAt Of(OnFace on)
    {
        ArgumentNullException.ThrowIfNull(on);
        return new FoundAt(on.Face.Piece, on.Face.Plate, on.Face.Face, on.Box);
    }
}

/// <summary>One change of the design that takes a finding away, and what it is called.</summary>
public sealed record Fix(DesignEdit Edit, Words Words);

/// <summary>A card as a check looks at it: its figures, and what follows from them once it is asked for.</summary>
public interface ICard
{
    Figures Figures { get; }

    IReadOnlyList<SizedLayer> Layers { get; }

    /// <summary>What it wears.</summary>
    Dressed Dressed { get; }

    /// <summary>Closed, with all that stands out of it.</summary>
    Box Packed { get; }

    /// <summary>The envelope that it would go into with nothing standing out of it; null where there is none.</summary>
    Envelope? BareEnvelope { get; }

    /// <summary>What raised things are in the way of.</summary>
    IReadOnlyList<Struck> Struck { get; }

    /// <summary>How it stands on a table; null of a card that does not.</summary>
    Standing? Standing { get; }

    /// <summary>What of its plates passes through a slit.</summary>
    IReadOnlyList<(PlateRef Plate, IReadOnlyList<Point> Outline)> SlidePaths { get; }

    /// <summary>Closed and just opened, what lies over and under a spot of a face.</summary>
    Stack Stack { get; }

    /// <summary>What it weighs, in grams.</summary>
    double Grams { get; }

    /// <summary>In its envelope, computed from panels, folds and bonds.</summary>
    ClosedPose Closed { get; }

    /// <summary>Over each spot of the closed card, how much lies there.</summary>
    ThicknessMap Thickness { get; }

    /// <summary>The one that it goes into; null where one has to be made.</summary>
    Envelope? Envelope { get; }

    /// <summary>How it goes in; null where it goes into none.</summary>
    EnvelopeGrade? EnvelopeGrade { get; }

    /// <summary>As it is packed, and into what.</summary>
    Packing Packing { get; }
}

/// <summary>What checks ask of an element beyond what is said of it.</summary>
internal static class Held
{
    /// <summary>
    /// Whether it is what a lock catches under: said so, or raised on the one part that it is bonded on where, shut, something that
    /// slides lies over that part.
    /// </summary>
    public static bool HoldsALock(this SizedElement element, ICard card) => element.Element.Held == HeldBy.Lock
        || (element.Element is { Held: HeldBy.Face, IsRaised: true, BondedOn: not null } && element.On.Count > 0 && element.On[0] is var on && on.Face.Open.Box is var box
            && card.Stack.Over(new FaceRef(on.Face.Ref, on.Face.Face), (box.Left.Units + (box.Width.Units / 4d)), (on.Box.Bottom + on.Box.Top).Units / 2d)
                .Any(p => card.Figures.PieceOf(p.Piece).Piece.Functions.Along == PartFunction.Slides));
}

/// <summary>What is looked for in a card, one file a check.</summary>
internal interface ICheck
{
    IEnumerable<Check> Find(ICard card);
}

namespace WholeFold.Core.Constructions;

/// <summary>What a card does when it is opened, which is what people look for one by.</summary>
public enum Effect
{
    /// <summary>Doors, flaps, a book.</summary>
    Opens,

    /// <summary>It stands on a table in layers or steps.</summary>
    Stands,

    /// <summary>Something rises out of it.</summary>
    PopsUp,

    /// <summary>Something spins, swings or turns inside out.</summary>
    Turns,

    /// <summary>It holds a card.</summary>
    Holds,
}

/// <summary>How the card lies while a bond is pressed.</summary>
public enum Pressed
{
    /// <summary>Open and flat on the table.</summary>
    Flat,

    /// <summary>As it goes into its envelope.</summary>
    Closed,

    /// <summary>Neither: as the step says.</summary>
    Held,
}

/// <summary>A step of putting a card together, once everything is cut, scored and burnished.</summary>
/// <param name="Bonds">The bonds that are made in it, by id; none where something is only folded or laid.</param>
/// <param name="Pressed">How the card lies meanwhile; null where nothing is bonded.</param>
/// <param name="RightWhen">How one knows that it is right; null where nothing is bonded.</param>
/// <param name="Places">The placements whose figures it needs, by id.</param>
/// <param name="Title">What it is called, in five words at most.</param>
/// <param name="Case">What must be so for it to be a step at all; always where it is null.</param>
public sealed record AssemblyStep(string Text, IReadOnlyList<string> Bonds, Pressed? Pressed, string? RightWhen, IReadOnlyList<string>? Places = null,
    string? Title = null, StepOnlyIf? Case = null);

/// <param name="Role">The papers' and elements' place that is meant, where it is one.</param>
public sealed record StepOnlyIf(StepCase Case, string? Role = null);

/// <summary>When a step is one.</summary>
public enum StepCase
{
    /// <summary>Nothing is put on a place that needs something.</summary>
    Bare,

    /// <summary>The card wears papers.</summary>
    Papered,

    /// <summary>There is no score board to hand.</summary>
    NoBoard,
}

/// <summary>Something one sees that is wrong, why, and what to do.</summary>
public sealed record Trouble(string Sign, string Cause, string Remedy);

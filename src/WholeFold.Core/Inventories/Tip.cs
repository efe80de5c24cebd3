using WholeFold.Core.Input;

namespace WholeFold.Core.Inventories;

/// <summary>The kind of step that a tip is for.</summary>
public enum TipAt
{
    Cut,
    Score,

    /// <summary>A window, a slit or a corner.</summary>
    Window,
    Fold,
    Bond,
    Paper,
    Stamp,
    Raise,
    Finish,
}

/// <summary>What must be so for a tip to hold.</summary>
public enum TipIf
{
    Always,
    SeveralCards,

    /// <summary>Two scores lie closer than half an inch.</summary>
    CloseScores,

    /// <summary>Two scores lie as far from either end.</summary>
    EqualEnds,
    Die,
    Knife,
    WetGlue,
    Tape,

    /// <summary>What is stuck is foil, mirror card or a clear sheet.</summary>
    SealedStock,

    /// <summary>What is stuck has a corner that is no square one.</summary>
    Triangle,

    /// <summary>The card is closed on the adhesive.</summary>
    Closing,
    SeveralPapers,
    Stands,
    Slides,
    Turns,
}

/// <summary>What hands know: said where it holds, once, never as a rule.</summary>
/// <param name="Name">What it is about.</param>
/// <param name="IsOff">Whether it is not said.</param>
public sealed record Tip(string Id, string Name, string Text, TipAt At, TipIf If, bool IsOff) : IThing;

namespace WholeFold.Core.Inventories;

/// <summary>What hands do in a step: what its time is told by.</summary>
public enum Act
{
    CutPiece,

    /// <summary>Equal papers at one stop of the trimmer.</summary>
    CutPaper,

    /// <summary>A bought blank is taken, or trimmed to size.</summary>
    TakeBlank,
    Score,

    /// <summary>A slit, a window or a corner, by knife or die.</summary>
    Open,

    /// <summary>An edge along a drawn line.</summary>
    Contour,
    CutSoft,
    Mark,

    /// <summary>A part is made up for itself, before it goes on.</summary>
    MakeUp,
    Paper,
    Element,
    Bond,

    /// <summary>A fold is tried, or the order of folds shown.</summary>
    TryOut,
    RubOut,
    BreakIn,
    PutAway,

    /// <summary>Nothing is done: what is wet sets.</summary>
    Wait,
}

/// <summary>The work of a step: what is done, and how often over all the cards.</summary>
public readonly record struct Work(Act Act, int Times);

/// <summary>How long one of each act takes, in seconds. What ships are estimates of an unhurried table.</summary>
public sealed class Pace(IReadOnlyDictionary<Act, int> seconds)
{
    /// <summary>What ships.</summary>
    public static Pace Estimated { get; } = new(new Dictionary<Act, int>
    {
        [Act.CutPiece] = 20,
        [Act.CutPaper] = 15,
        [Act.TakeBlank] = 20,
        [Act.Score] = 10,
        [Act.Open] = 60,
        [Act.Contour] = 120,
        [Act.CutSoft] = 40,
        [Act.Mark] = 15,
        [Act.MakeUp] = 30,
        [Act.Paper] = 20,
        [Act.Element] = 40,
        [Act.Bond] = 30,
        [Act.TryOut] = 20,
        [Act.RubOut] = 15,
        [Act.BreakIn] = 20,
        [Act.PutAway] = 10,
        [Act.Wait] = 0,
    });

    /// <summary>Seconds for all of a step's work.</summary>
    public int Of(Work work) => seconds[work.Act] * work.Times;
}

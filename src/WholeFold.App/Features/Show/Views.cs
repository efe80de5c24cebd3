using WholeFold.App.Features.Bench;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Show;

/// <summary>A design to show, and for how many.</summary>
public record ShowRequest : DeskRequest
{
    public int Cards { get; init; } = 1;
}

/// <summary>Something of a picture.</summary>
/// <param name="Kind">edge, valley, mountain, cut, tick, layer, thing, inside or outside.</param>
/// <param name="Lines">Each line's corners, x and y by turns, in tenths of a millimetre.</param>
/// <param name="New">Whether the step brings it.</param>
/// <param name="Light">0 to 1.</param>
public sealed record DrawnMark(StepMarkKind Kind, IReadOnlyList<IReadOnlyList<int>> Lines, bool Closed, bool New, string? Tint,
    double Light);

/// <summary>What one has in hand after a step, in tenths of a millimetre from its upper left corner.</summary>
public sealed record DrawnStep(string Name, int Width, int Height, IReadOnlyList<DrawnMark> Marks);

/// <summary>A figure of a screen that may come out otherwise.</summary>
public sealed record ShownFigure(string Id, string Name, FigureText Text);

/// <summary>One thing to do at a time.</summary>
public sealed record ScreenView
{
    public required string Id { get; init; }

    /// <summary>Its step, counted from 0; a step that sets several figures has a screen for each.</summary>
    public required int Step { get; init; }

    public required Phase Phase { get; init; }

    public required string Title { get; init; }

    /// <summary>The figure that is read from the back of the room; none where there is no figure.</summary>
    public required IReadOnlyList<SentencePart> Big { get; init; }

    /// <summary>The same in the other system.</summary>
    public required IReadOnlyList<SentencePart> BigOther { get; init; }

    public required IReadOnlyList<SentencePart> Say { get; init; }

    public required IReadOnlyList<SentencePart>? Why { get; init; }

    public required IReadOnlyList<SentencePart>? LookFor { get; init; }

    /// <summary>What hands know about it, on the first screen of its step.</summary>
    public required string? Tip { get; init; }

    public required string Tool { get; init; }

    public required int Seconds { get; init; }

    /// <summary>How long it is left alone afterwards, in seconds.</summary>
    public required int Holds { get; init; }

    public required string? HoldsFor { get; init; }

    /// <summary>Whether there is nothing to do but to wait.</summary>
    public required bool Waits { get; init; }

    public required IReadOnlyList<string> Cautions { get; init; }

    public required IReadOnlyList<DrawnStep> Drawings { get; init; }

    /// <summary>Lengths of it that are cut or scored now, and so may come out otherwise.</summary>
    public required IReadOnlyList<ShownFigure> Figures { get; init; }
}

/// <summary>A design step by step, for a room.</summary>
/// <param name="Minutes">What it takes, all steps and all waiting together.</param>
/// <param name="Ready">What is laid ready before one begins.</param>
public sealed record ShowView(string Name, string Construction, IReadOnlyList<SentencePart> Size, string Unit, string Other, int Steps, int Minutes,
    IReadOnlyList<string> Ready, IReadOnlyList<ScreenView> Screens);

/// <summary>A figure that came out otherwise.</summary>
/// <param name="Figure">Its id.</param>
/// <param name="Real">What it has become, as one writes it.</param>
/// <param name="Done">The ids of figures that are cut or scored by now.</param>
public sealed record CameOutRequest : DeskRequest
{
    public required string Figure { get; init; }

    public required string Real { get; init; }

    public IReadOnlyList<string> Done { get; init; } = [];
}

public sealed record ChangedView(string Name, FigureText Was, FigureText Now);

/// <param name="Kind">cutAgain, leave, sizedAgain or lost.</param>
/// <param name="Edits">What makes the design so.</param>
public sealed record OutcomeView(Rescue Kind, IReadOnlyList<SentencePart> Say, IReadOnlyList<DesignEdit> Edits, IReadOnlyList<ChangedView> Changes);

using System.ComponentModel.DataAnnotations;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Cut;

/// <summary>So many cards of a design, from what the stock book has.</summary>
/// <param name="Id">Under which id the design is kept; its plans are kept with it.</param>
/// <param name="GoOn">Whether what was stopped is looked at further.</param>
/// <param name="Stop">Whether the best so far is enough.</param>
public record CutRequest : DeskRequest
{
    [MaxLength(40)]
    public required string Id { get; init; }

    public required int Cards { get; init; }

    public bool GoOn { get; init; }

    public bool Stop { get; init; }
}

/// <summary>How a design's cards are cut.</summary>
public sealed record CutPlanView
{
    public required string Name { get; init; }

    public required string Construction { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required int Cards { get; init; }

    public required string Unit { get; init; }

    /// <summary>Whether a better plan is still looked for.</summary>
    public required bool Running { get; init; }

    /// <summary>Whether somebody stopped the search.</summary>
    public required bool Stopped { get; init; }

    /// <summary>"12 cards from 22 sheets".</summary>
    public required string Title { get; init; }

    /// <summary>What no plan can better, and how many settings it takes.</summary>
    public required IReadOnlyList<string> Said { get; init; }

    public required IReadOnlyList<CutStockView> Stocks { get; init; }

    public required IReadOnlyList<BookView> Book { get; init; }

    public required IReadOnlyList<string> Cautions { get; init; }
}

/// <param name="State">planned, looking, stopped or none.</param>
public sealed record CutStockView(string Id, string Name, string Colour, string State, int SheetCount, string Proof,
    IReadOnlyList<SentencePart>? Problem, IReadOnlyList<CutSheetView> Sheets);

/// <summary>Sheets that are cut alike, drawn once.</summary>
/// <param name="WayUp">Whether its pattern has a way up.</param>
public sealed record CutSheetView(string Heading, IReadOnlyList<SentencePart> Detail, long Width, long Height, bool WayUp,
    IReadOnlyList<CutPartView> Parts,
    IReadOnlyList<CutLeftView> Left, IReadOnlyList<CutLineView> Lines, IReadOnlyList<CutStepView> Steps,
        IReadOnlyList<SentencePart> Pieces, string? Note);

/// <param name="Name">Nothing where pieces of its size are for several places.</param>
/// <param name="Box">Where it lies, from the sheet's lower left corner.</param>
public sealed record CutPartView(string Name, IReadOnlyList<SentencePart> Size, BoxView Box);

/// <param name="Keep">Whether it is worth keeping.</param>
public sealed record CutLeftView(IReadOnlyList<SentencePart> Size, BoxView Box, bool Keep);

/// <param name="Step">Which step makes it.</param>
/// <param name="First">Whether it is the first that the step makes.</param>
public sealed record CutLineView(int Step, bool First, LineView Line);

/// <param name="At">What the trimmer is set to.</param>
public sealed record CutStepView(int Step, IReadOnlyList<SentencePart> Text, IReadOnlyList<SentencePart> Lies, FigureText At, bool ByHand);

/// <summary>A line of the stock book, against the plan.</summary>
/// <param name="Entry">Its id in the book; null where the book knows nothing of it.</param>
/// <param name="Left">What is left when it is taken.</param>
/// <param name="Buy">"buy 1 pack, 5.40".</param>
public sealed record BookView(string? Entry, string Stock, string Name, IReadOnlyList<SentencePart> Size, int Takes, int? Has,
    int Left, int Short, string? Buy);

/// <param name="Text">What is short.</param>
/// <param name="CanMake">How many cards can be cut from what is there.</param>
public sealed record ShortView(string Text, int CanMake, IReadOnlyList<ShortWay> Ways);

/// <summary>Something that would make it go.</summary>
public sealed record ShortWay(string Text, DesignEdit? Edit, int? Cards);

/// <summary>What offcuts of some sizes are good for.</summary>
public sealed record GoodForView(IReadOnlyList<GoodForLine> Lines);

/// <param name="Stock">Left over from it.</param>
/// <param name="Text">"2 door papers of Market lanterns".</param>
public sealed record GoodForLine(string Stock, IReadOnlyList<SentencePart> Size, int Count, string? Text);

/// <summary>What was taken from the stock book.</summary>
/// <param name="Plan">The plan as it was kept: what is cut now, whatever the book says next.</param>
public sealed record TakingView(long Id, string At, string For, bool Undone, long? Plan = null);

public sealed record TakingsView(IReadOnlyList<TakingView> Takings);

public sealed record TakingRequest(long Id, bool Undone);

/// <summary>A plan from before.</summary>
/// <param name="Changed">What has changed since it was made.</param>
public sealed record KeptPlanView(long Id, string At, string Title, IReadOnlyList<string> Changed);

public sealed record KeptPlansView(IReadOnlyList<KeptPlanView> Plans);


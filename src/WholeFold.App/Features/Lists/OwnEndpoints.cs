using System.ComponentModel.DataAnnotations;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange.Drawings;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;
using WholeFold.Store;

namespace WholeFold.App.Features.Lists;

/// <summary>What its maker says of a figure's rule: which of the next best that were shown it is, counted from 1; of the key <c>opens</c>, that a
/// square card opens the other way; of the key of another size, that the finished card is of that; of a piece’s side, that its scores are read along
/// the other one.</summary>
public sealed record RuleSaid([property: MaxLength(120)] string Key, int Which);

/// <summary>A list of one's own, as it is typed.</summary>
/// <param name="Units">Of bare numbers where the list names none: in, cm or mm.</param>
/// <param name="Format">A format to see it in.</param>
/// <param name="Rules">What its maker says of rules, one after the other.</param>
public sealed record OwnRequest([property: MaxLength(20_000), ManyLines] string List, [property: MaxLength(5)] string Units = "in",
    [property: MaxLength(60)] string? Format = null, [property: MaxLength(200)] IReadOnlyList<RuleSaid>? Rules = null);

/// <summary>A piece as it was read, to be drawn: its sides and scores in units.</summary>
/// <param name="Mountains">Of its scores those that are said to fold away from one.</param>
public sealed record OwnPieceView(int Line, string Name, OwnKind Kind, int Quantity, long Width, long Height, IReadOnlyList<long> Scores,
    IReadOnlyList<long> Mountains, IReadOnlyList<long> Cross, bool AlongWidth, string Size);

/// <param name="Sure">How sure the rule is, in hundredths.</param>
/// <param name="Key">What a correction names it by; <paramref name="Next"/> the next best rules.</param>
/// <param name="Now">In the format that is looked at; null where that is the same.</param>
public sealed record OwnFigureView(int Line, string Name, string Figure, FigureText Value, FigureText? Now, IReadOnlyList<SentencePart> Rule, int Sure, string Key,
    IReadOnlyList<IReadOnlyList<SentencePart>> Next);

/// <param name="InPart">Whether what else stands in the line was understood.</param>
public sealed record OwnLeftView(int Line, string Text, string Would, bool InPart);

/// <summary>A figure that belongs to no side and no score of a piece: it is kept, and nothing is worked out by it.</summary>
public sealed record OwnNotedView(int Line, string Name, FigureText Value);

/// <summary>An answer to a question that one key gives.</summary>
/// <param name="Key">What a correction names it by.</param>
public sealed record OwnAnswerView(string Key, string Text);

/// <summary>What has come of a list so far.</summary>
/// <param name="Says">In one sentence: what it is.</param>
/// <param name="Design">What taking it begins; null where nothing was read.</param>
/// <param name="Aside">What of the list is no part of that design.</param>
/// <param name="Answers">Of the questions those that are answered for the card or a whole piece: another finished size, the other way to open, the other side to score along.</param>
/// <param name="IsKnown">Whether that is a construction of the library, and not one of its own.</param>
public sealed record OwnView(IReadOnlyList<SentencePart> Says, IReadOnlyList<OwnPieceView> Pieces, IReadOnlyList<OwnFigureView> Figures,
    IReadOnlyList<IReadOnlyList<SentencePart>> Questions, IReadOnlyList<IReadOnlyList<SentencePart>> Contradictions, IReadOnlyList<OwnLeftView> Left,
    IReadOnlyList<OwnNotedView> Noted, DesignSpec? Design, IReadOnlyList<IReadOnlyList<SentencePart>> Aside, IReadOnlyList<OwnAnswerView> Answers,
    bool IsKnown);

/// <summary>A drawing as its file says it.</summary>
/// <param name="Units">What its list is to be written in: in, cm or mm.</param>
public sealed record DrawingRequest([property: MaxLength(DrawingFile.Longest), ManyLines] string Text, [property: MaxLength(5)] string Units = "mm");

public sealed record DrawingView(string List, IReadOnlyList<string> LeftOut);

/// <summary>Holds lists against the library; made once, since it looks through every variant of every construction.</summary>
public sealed class OwnLists(Catalogue catalogue)
{
    private readonly Lazy<Recogniser> _recogniser = new(() => new Recogniser(new DesignReader(catalogue, Core.Inventories.Inventory.Shipped)));

    public Recogniser Recogniser => _recogniser.Value;
}

internal static class OwnEndpoints
{
    public static void MapOwn(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/own", async (Body<OwnRequest> body, Studio studio, OwnLists lists, CancellationToken cancel) => View(body.Value, await studio.Reader(cancel), lists, cancel))
            .Describes<OwnView>("own", "A measure list in its maker's own words: which construction it is, or which rules its figures follow.");
        app.MapPost("/api/own/drawing", (Body<DrawingRequest> body) => FromDrawing(body.Value))
            .Describes<DrawingView>("ownDrawing", "A drawing that another program made (FOLD, SVG or DXF) as a measure list, and what of it could not be carried over.");
    }

    private static DrawingView FromDrawing(DrawingRequest request)
    {
        var (list, left) = DrawnList.Of(DrawingFile.Read(request.Text, "text"), UnitReader.Read(request.Units, "units"), "text");
        return new DrawingView(list, left);
    }

    private static OwnView View(OwnRequest request, DesignReader reader, OwnLists lists, CancellationToken cancel)
    {
        if (request.List.Length == 0)
        {
            // Somebody has opened the page: by the time a line is typed the library lies ready.
            _ = Task.Run(lists.Recogniser.Warm, CancellationToken.None);
        }

        var own = OwnDesign.Of(request.List, UnitReader.Read(request.Units, "units"), reader, lists.Recogniser, request.Format is { Length: > 0 } format ? format
            : null, request.Rules?.Select(r => KeyValuePair.Create(r.Key, r.Which)), cancel);
        var unit = own.List.Cards.FirstOrDefault()?.Unit ?? UnitReader.Read(request.Units, "units");
        var taken = own.Take(reader);
        return new OwnView(
            Says(own).Parts(unit),
            [.. own.List.Pieces.Select(p => new OwnPieceView(p.Line, p.Name, p.Kind, p.Quantity, p.First.Units, p.Second.Units,
                [.. p.Scores.Select(s => s.Units)], [.. p.Scores.Where(at => p.Folds.GetValueOrDefault(at) == Fold.Mountain).Select(at => at.Units)],
                [.. p.Cross.Select(s => s.Units)], p.AlongFirst, $"{LengthWriter.Write(p.First, p.Unit)} × {LengthWriter.Write(p.Second, p.Unit)}"))],
            [.. own.Figures.Select(f => new OwnFigureView(f.Line, f.Called, f.Figure, LengthWriter.Parts(f.Value, unit), f.Now is { } now && (now - f.Value)
                .Abs() > Length.Mm(0.4m) ? LengthWriter.Parts(now, unit) : null, f.Rule.Parts(unit), (int)Math.Round(f.Sure * 100), f.Key,
                [.. f.Next.Take(2).Select(n => n.Rule.Parts(unit))]))],
            [.. own.Questions.Select(q => q.Ask.Parts(unit))], [.. own.Contradictions.Select(c => c.Text.Parts(unit))],
            [.. own.List.Left.Select(l => new OwnLeftView(l.Line, l.Text, l.Would, l.InPart))],
            [.. own.List.Named.Select(n => new OwnNotedView(n.Line, n.Name, LengthWriter.Parts(n.Value, unit)))],
            taken?.Design, [.. (taken?.Says ?? []).Select(a => a.Parts(unit))], [.. Answers(own, unit)], own.Recognised is not null);
    }

    private static IEnumerable<OwnAnswerView> Answers(OwnDesign own, DisplayUnit unit)
    {
        foreach (var piece in own.EitherSide)
        {
            yield return new OwnAnswerView(piece.SideKey, Words.Of($"the {piece.Name} is scored along its {piece.Across:u} side").Write(unit));
        }

        foreach (var size in own.Rules?.OtherSizes ?? [])
        {
            yield return new OwnAnswerView(RuleGuess.Sized(size).Key, Words.Of($"it is {size.Width} × {size.Height:u}").Write(unit));
        }

        if (own.Rules?.Upwards is { } upwards)
        {
            yield return new OwnAnswerView(RuleGuess.Opens, $"it opens {(upwards ? "sideways" : "upwards")}");
        }
    }

    private static Words Says(OwnDesign own) => own.Recognised is { } r
        ? Words.Of($"This is {r.Called}, {r.Width} × {r.Height:u}{(r.Differs.Count == 0 ? "" : r.Differs.Count == 1 ? Words.Of($"; one figure differs: {r.Differs[0].Figure} of line {r.Differs[0].Line}") : Words.Of($"; {r.Differs.Count} figures differ"))}.")
        : own.Rules is { } rules ? Words.Of($"{(own.Closest is [var near, ..] && near.Score > 0 ? $"It comes near to {near.Called}, but not surely. " : "")}Its figures are taken to be for a card of {rules.Width} × {rules.Height:u}.")
        : Words.Of($"Type a piece a line, such as: base 10 x 5, score at 2 1/2 and 7 1/2.");
}

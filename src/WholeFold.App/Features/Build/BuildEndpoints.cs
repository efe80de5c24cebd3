using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Build;

/// <param name="Rule">As one types it; <paramref name="Now"/> what it is at home.</param>
/// <param name="Window">The border of the window that is cut in it, and <paramref name="WindowNow"/> what that is at home; null for none.</param>
public sealed record BuildPanelView(string Id, string Name, string Rule, FigureText Now, long Extent, string? Window, FigureText? WindowNow);

/// <summary>What is cut out of a piece, as a box from its lower left corner.</summary>
public sealed record BuildOpeningView(long Left, long Foot, long Width, long Height);

/// <summary>What is scored of a crease that is none of its chain’s, from point to point from the lower left corner of its piece.</summary>
public sealed record BuildScoredView(long FromX, long FromY, long ToX, long ToY);

/// <summary>A crease that is none of its chain’s.</summary>
/// <param name="Number">Behind those of the chain.</param>
/// <param name="At">From the lower or the left edge; null where it slants.</param>
public sealed record BuildLineView(int Number, string Name, FigureText? At, IReadOnlyList<BuildScoredView> Scored, string Fold, int Closed, int Shown);

/// <param name="At">Where it is scored at home, from the start of the chain.</param>
/// <param name="Closed">0, 90 or 180 in the envelope; <paramref name="Shown"/> as one looks at it.</param>
public sealed record BuildCreaseView(int Number, string Name, FigureText At, long Place, string Fold, int Closed, int Shown);

/// <param name="CanMove">Whether its panels can be made wider and its creases moved here: not where creases slant.</param>
/// <param name="CanChange">Whether panels can be scored in two, joined, and windows cut in them: not where creases cross its chain.</param>
public sealed record BuildPieceView(string Id, string Name, int Quantity, bool Upright, string Across, FigureText AcrossNow, long Along, long Broad,
    IReadOnlyList<BuildPanelView> Panels, IReadOnlyList<BuildCreaseView> Creases, IReadOnlyList<BuildLineView> Lines, IReadOnlyList<BuildOpeningView> Openings,
    bool CanMove, bool CanChange);

public sealed record BuildParameterView(string Id, string Name, string Rule, FigureText Now);

public sealed record BuildBondView(string Id, string Words, bool Loose);

/// <summary>A bond that could be: the edit that makes it.</summary>
public sealed record BuildProposalView(string Words, DesignEdit Edit);

/// <summary>How a card of one's own is made, and whether it closes.</summary>
/// <param name="IsOwn">Whether it can be changed: a construction of the library is copied first.</param>
/// <param name="Mark">By how much a key moves a crease.</param>
/// <param name="Closes">Whether the closed card meets and stays within its format, in <paramref name="Says"/>.</param>
public sealed record BuildView(string Name, string Construction, bool IsOwn, long Mark, bool Closes, IReadOnlyList<SentencePart> Says,
    IReadOnlyList<BuildPieceView> Pieces, IReadOnlyList<BuildParameterView> Parameters, IReadOnlyList<BuildBondView> Bonds,
    IReadOnlyList<BuildProposalView> Proposals);

internal static class BuildEndpoints
{
    public static void MapBuild(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/build", async (Body<DeskRequest> body, Studio studio, CancellationToken cancel) =>
        {
            var reader = await studio.Reader(cancel);
            return View(DesignEdit.Apply(body.Value.Edits, body.Value.Design, reader), reader, cancel);
        }).Describes<BuildView>("build", "How a design's card is made: its pieces by panels and creases, its parameters and bonds, whether it closes, and bonds it could have.");

    private static BuildView View(DesignSpec spec, DesignReader reader, CancellationToken cancel)
    {
        // What is built is looked at where it is at home.
        spec = spec with { Target = null, TargetTurn = false };
        var read = reader.Read(spec);
        var card = Card.Of(read.Design, read.Target, cancel);
        var written = spec.Made?.Variants[0] ?? ConstructionWriter.Write(read.Design.Family).Variants.First(v =>
            v.Choices.All(c => read.Design.Construction.Choices.GetValueOrDefault(c.Key) == c.Value));
        var names = BuildEdit.NamesIn(written);
        string Rule(WrittenSum sum) => SumText.Write(sum, names, read.Unit);
        static string Way(Fold fold) => fold == Fold.Mountain ? "mountain" : "valley";
        FigureText Figure(Length length) => LengthWriter.Parts(length, read.Unit);
        var pieces = card.Pieces.Zip(written.Pieces, (piece, w) => new BuildPieceView(
            w.Id, w.Name, w.Quantity, w.Axis == Axis.Y, Rule(w.Across), Figure(piece.Across.Value), piece.Along.Value.Units, piece.Across.Value.Units,
            [.. w.Panels.Select((p, i) => new BuildPanelView(p.Id, p.Name, Rule(p.Extent), Figure(piece.Panels[i].Extent), piece.Panels[i].Extent.Units,
                WindowIn(w, p) is { } window ? Rule(BorderOf(w, window)) : null, WindowIn(w, p) is { } cut
                && piece.Openings.FirstOrDefault(o => o.Opening.Id == cut.Id) is { } sized
                ? Figure((w.Axis == Axis.X ? sized.Foot : sized.Left).Value) : null))],
            [.. w.Creases.Select((c, i) => new BuildCreaseView(i, piece.Scores[i].Place, Figure(piece.Scores[i].Figure.Value), piece.Scores[i].Figure.Value.Units,
                Way(c.Fold), Math.Abs(c.Closed), Math.Abs(c.Shown)))],
            [.. piece.Lines.Select((l, i) => new BuildLineView(w.Creases.Count + i, l.Place, l.Axis is null ? null : Figure(l.Figure.Value),
                [.. l.Parts.Select(p => new BuildScoredView(p.From.X.Units, p.From.Y.Units, p.To.X.Units, p.To.Y.Units))], Way(l.Crease.Fold),
                Math.Abs(l.Crease.Closed), Math.Abs(l.Crease.Shown)))],
            [.. piece.Openings.Where(o => o.Opening.Outline is null)
                .Select(o => new BuildOpeningView(o.Left.Value.Units, o.Foot.Value.Units, (o.Right.Value - o.Left.Value).Units,
                (o.Head.Value - o.Foot.Value).Units))],
            BuildEdit.IsStraight(w), w.Plates is null && w.Lines.Count == 0)).ToList();
        var misses = card.Closed.Misses.Select(m => m.Bond).OfType<string>().ToList();
        var (wide, high) = (card.Closed.Width, card.Closed.Height);
        var within = wide <= card.Figures.Width + Near && high <= card.Figures.Height + Near;
        var says = misses.Count > 0 ? Words.Of($"Closed, {(misses.Count == 1 ? "a bond does" : $"{misses.Count} bonds do")} not meet: {written.Bonds.First(b => b.Id == misses[0]).LinedUp}.")
            : !within ? Words.Of($"Closed it is {wide} × {high:u}, and its format {card.Figures.Width} × {card.Figures.Height:u}: it stands out.")
            : Words.Of($"It closes to {wide} × {high:u}.");
        return new BuildView(
            spec.Name, read.Design.Family.Name, spec.Made is not null, MoveCrease.Mark(read.Unit.SystemOf()).Units, misses.Count == 0 && within, says.Parts(read.Unit), pieces,
            [.. written.Parameters.Select(p => new BuildParameterView(p.Id, p.Name, Rule(p.Ideal), Figure(card.Figures.Parameters.First(q => q.Parameter.Id == p.Id).Value)))],
            [.. written.Bonds.Select(b => new BuildBondView(b.Id, $"{NameOf(written, b.B.Piece)} on {(b.A.Piece == b.B.Piece ? "itself" : $"the {NameOf(written, b.A.Piece)}")}: {b.LinedUp}", b.Loose))],
            spec.Made is null ? [] : [.. BondProposals.For(spec, reader, cancel).Select(e => new BuildProposalView($"{NameOf(written, e.Bond!.B.Piece)}: {e.Bond.LinedUp}", e))]);
    }

    private static WrittenOpening? WindowIn(WrittenPiece piece, WrittenPanel panel) => piece.Openings.FirstOrDefault(o => o.Id == BuildWindow.IdIn(panel.Id));

    /// <summary>The same on all sides, so as it is at the side that no panel lies before.</summary>
    private static WrittenSum BorderOf(WrittenPiece piece, WrittenOpening window) => piece.Axis == Axis.X ? window.Within.From.Y : window.Within.From.X;

    private static readonly Length Near = Length.Mm(1);

    private static string NameOf(WrittenConstruction construction, string piece) => construction.Pieces.First(p => p.Id == piece.Split(':')[0]).Name.ToLowerInvariant();
}

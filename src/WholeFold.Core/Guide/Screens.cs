using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Guide;

/// <summary>One thing to do at a time, as it is shown to a room: a step that sets several figures has one of these for each.</summary>
/// <param name="Id">Of its step, and of its part where that has several: <c>score-base-1.2</c>.</param>
/// <param name="Step">Its step, by its place among all.</param>
/// <param name="Part">Which figure of the step it is about; null where it is about all of it.</param>
/// <param name="Big">The figure that is read from the back of the room; null where there is none.</param>
/// <param name="Figures">The lengths in it, by id.</param>
/// <param name="Shows">What the big figure is of.</param>
public sealed record Screen(string Id, int Step, int? Part, string Title, Words? Big, Words Say, Words? Why,
    IReadOnlyList<string> Figures, BigFigure? Shows = null);

/// <summary>What the big figure of a screen is of, so that it can be told of the same card on other tools too.</summary>
public abstract record BigFigure
{
    /// <summary>Null where that card has no such figure.</summary>
    public abstract Words? On(Card card);

    /// <summary>Lengths by their ids: one, or width and height.</summary>
    public sealed record Lengths(params IReadOnlyList<FigureRef> Ids) : BigFigure
    {
        public override Words? On(Card card) => Ids.Select(card.Figure).ToList() is var figures && figures.Contains(null) ? null
            : Words.Join(" × ", figures.Select(f => Words.Of($"{f!.Value}")));
    }

    /// <summary>Where a score is set: turned round it is read from the other end.</summary>
    public sealed record Stop(FigureRef Id) : BigFigure
    {
        public override Words? On(Card card) => card.Figure(Id) is { } score ? Words.Of($"{score.Setting.At}") : null;
    }

    /// <summary>Both ends of a score that slants: the ruler is laid from tick to tick.</summary>
    public sealed record Ticks(FigureRef Id) : BigFigure
    {
        public override Words? On(Card card) => card.Pieces.SelectMany(p => p.AllScores).FirstOrDefault(s =>
            s.Figure.Id == Id) is not { } score ? null
            : score.Figure.Setting is Setting.TickToTick { Ticks: var t } ? Words.Of($"{t.FromX} by {t.FromY} to {t.ToX} by {t.ToY}")
            : Words.Of($"{score.From.X} by {score.From.Y} to {score.To.X} by {score.To.Y}");
    }

    /// <summary>The distances that a mark is made by.</summary>
    public sealed record Mark(string Place) : BigFigure
    {
        public override Words? On(Card card) =>
            DressedPlaces.Of(card).Concat(Places.Of(card.Figures)).FirstOrDefault(p => p.Id == Place)?.From.Where(f =>
                f.Distance != Length.Zero).ToList() is { Count: > 0 } from
                ? Words.Join(" · ", from.Select(f => Words.Of($"{f.Distance.Abs()}"))) : null;
    }
}

/// <summary>The steps of a card one figure at a time.</summary>
public static class Screens
{
    public static IReadOnlyList<Screen> Of(Card card, IReadOnlyList<Step> steps)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(steps);
        return [.. steps.SelectMany((step, i) => Of(card, step, i))];
    }

    private static IEnumerable<Screen> Of(Card card, Step step, int at)
    {
        var figures = card.All.ToDictionary(f => f.Id.ToString());
        var lengths = step.Figures.Where(figures.ContainsKey).ToList();
        if (step.Phase == Phase.Score)
        {
            var piece = card.Pieces.First(p => p.Piece.Id == step.Pieces[0]);
            var scores = step.Figures.Select(id => piece.AllScores.First(s => s.Figure.Id.ToString() == id)).ToList();
            foreach (var (score, i) in scores.Select((s, i) => (s, i)))
            {
                var fold = score.Crease.Fold == Fold.Valley ? "Valley" : "Mountain";
                BigFigure big = score.Axis is null ? new BigFigure.Ticks(score.Figure.Id) : new BigFigure.Stop(score.Figure.Id);
                yield return Shown(card, $"{step.Id}.{i + 1}", at, i, $"{step.Title}{(step.Lay is { } lay ? $", {lay}" : "")}", big,
                    Words.Of($"{fold}, {score.Figure.Setting.Text}{From(piece, score)}{(score.Only is { } only ? Words.Of($", {only}") : Words.Of($""))}. Between {score.Between.Replace(" | ", " and ", StringComparison.Ordinal)}."), score.Figure.Said, [score.Figure.Id.ToString()]);
            }

            yield break;
        }

        // Width and height are said together; what is gathered of several sizes is shown size by size.
        var pairs = Pairs(lengths).ToList();
        if (pairs.Count > 1 && step.Phase == Phase.Cut && step.Things.Count > 0)
        {
            foreach (var (pair, i) in pairs.Select((p, i) => (p, i)))
            {
                var layer = card.Layers.First(l => l.Width.Id.ToString() == pair[0]);
                yield return Shown(card, $"{step.Id}.{i + 1}", at, i, step.Title, Both(pair), Words.Of($"{Spoken.First(Saying.Count(layer.Quantity))} for {Spoken.The(layer.Role.Name)}, from {layer.Stock.Name}{(layer.HowToCut is { } how ? Words.Of($": {how}") : Words.Of($""))}."), layer.Width.Said, pair);
            }

            yield break;
        }

        if (step.Phase == Phase.Flat && lengths.Count > 1 && pairs.Count == 0)
        {
            var piece = card.Pieces.First(p => p.Piece.Id == step.Pieces[0]);
            foreach (var (line, i) in piece.CutLines.Where(l => l.Figures.Any(f => lengths.Contains(f.Id.ToString()))).Select((l, i) => (l, i)))
            {
                yield return Shown(card, $"{step.Id}.{i + 1}", at, i, step.Title, new BigFigure.Lengths(line.First.Id),
                    RunsInside(piece, line) ? FlatWords.Cut(piece, line) : step.Say, line.First.Said, [.. line.Figures.Select(f => f.Id.ToString())]);
            }

            yield break;
        }

        yield return Shown(card, step.Id, at, null, step.Title, pairs.Count > 0 ? Both(pairs[0]) : step.Marks.Count > 0 ? new BigFigure.Mark(step.Marks[0])
            : lengths.Count == 1 ? new BigFigure.Lengths(figures[lengths[0]].Id) : null, step.Say, step.Why, lengths);

        BigFigure Both(IReadOnlyList<string> ids) => new BigFigure.Lengths(figures[ids[0]].Id, figures[ids[1]].Id);
    }

    /// <summary>Whether it is a cut from somewhere to somewhere; corners and snips are told by their own sentence.</summary>
    private static bool RunsInside(SizedPiece piece, EqualCuts line) => piece.MarkedLines.Any(m =>
        m.Figure.Id == line.First.Id && m.Opening.Opening.Kind is not (CutKind.Notch or CutKind.Snip or CutKind.Divide) && m.Opening.Opening.Outline is null);

    /// <summary>The edge that a score is set from.</summary>
    private static string From(SizedPiece piece, SizedScore score) => score.Axis is null || score.Figure.Setting is Setting.FoldedTo ? ""
        : piece.Passes.FirstOrDefault(p => p.Scores.Select(piece.Score).Any(s => s.Figure.Id == score.Figure.Id)) is { } pass
            ? pass.Lay is Lay.AsItLies ? $", from {FlatWords.EdgeOf(pass)}" : $", from its own{FlatWords.EdgeOf(pass)[3..]}" : "";

    private static Screen Shown(Card card, string id, int step, int? part, string title, BigFigure? shows, Words say, Words? why, IReadOnlyList<string> figures) =>
        new(id, step, part, title, shows?.On(card), say, why, figures, shows);

    private static IEnumerable<IReadOnlyList<string>> Pairs(IReadOnlyList<string> ids)
    {
        for (var i = 0; i + 1 < ids.Count; i++)
        {
            if (ids[i].EndsWith(".width", StringComparison.Ordinal) && ids[i + 1].EndsWith(".height", StringComparison.Ordinal))
            {
                yield return [ids[i], ids[i + 1]];
            }
        }
    }
}

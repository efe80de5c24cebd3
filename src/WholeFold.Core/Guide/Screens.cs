using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>One thing to do at a time, as it is shown to a room: a step that sets several figures has one of these for each.</summary>
/// <param name="Id">Of its step, and of its part where that has several: <c>score-base-1.2</c>.</param>
/// <param name="Step">Its step, by its place among all.</param>
/// <param name="Part">Which figure of the step it is about; null where it is about all of it.</param>
/// <param name="Big">The figure that is read from the back of the room; null where there is none.</param>
/// <param name="Figures">The lengths in it, by id.</param>
public sealed record Screen(string Id, int Step, int? Part, string Title, Words? Big, Words Say, Words? Why, IReadOnlyList<string> Figures);

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
                yield return new Screen($"{step.Id}.{i + 1}", at, i, $"{step.Title}{(step.Lay is { } lay ? $", {lay}" : "")}", score.Axis is null ? Words.Of($"{score.Figure.Value}") : Words.Of($"{score.Figure.Setting.At}"),
                    Words.Of($"{fold}, {score.Figure.Setting.Text}{(score.Only is { } only ? Words.Of($", {only}") : Words.Of($""))}. Between {score.Between.Replace(" | ", " and ", StringComparison.Ordinal)}."), score.Figure.Said, [score.Figure.Id.ToString()]);
            }

            yield break;
        }

        // Width and height are said together; what is gathered of several sizes is shown size by size.
        var pairs = Pairs(lengths, figures).ToList();
        if (pairs.Count > 1 && step.Phase == Phase.Cut && step.Things.Count > 0)
        {
            foreach (var (pair, i) in pairs.Select((p, i) => (p, i)))
            {
                var layer = card.Layers.First(l => l.Width.Id.ToString() == pair.Ids[0]);
                yield return new Screen($"{step.Id}.{i + 1}", at, i, step.Title, pair.Big, Words.Of($"{Spoken.First(Saying.Count(layer.Quantity))} for {layer.Role.Name}, from {layer.Stock.Name}{(layer.HowToCut is { } how ? Words.Of($": {how}") : Words.Of($""))}."), layer.Width.Said, pair.Ids);
            }

            yield break;
        }

        if (step.Phase == Phase.Flat && lengths.Count > 1 && pairs.Count == 0)
        {
            var piece = card.Pieces.First(p => p.Piece.Id == step.Pieces[0]);
            foreach (var (line, i) in piece.CutLines.Where(l => l.Figures.Any(f => lengths.Contains(f.Id.ToString()))).Select((l, i) => (l, i)))
            {
                yield return new Screen($"{step.Id}.{i + 1}", at, i, step.Title, Words.Of($"{line.First.Value}"), Words.Of($"{Spoken.First(line.Edge)} of the {line.Name}, {line.First.Setting.Text}."), line.First.Said, [.. line.Figures.Select(f => f.Id.ToString())]);
            }

            yield break;
        }

        var places = step.Marks.Count > 0 ? Marked(card, step) : [];
        yield return new Screen(step.Id, at, null, step.Title, pairs.Count > 0 ? pairs[0].Big : places.Count > 0 ? Words.Join(" · ", places) : lengths.Count == 1
            ? Words.Of($"{figures[lengths[0]].Value}") : null, step.Say, step.Why, lengths);
    }

    /// <summary>The distances that a tick is made by; where several things are ticked, of the first.</summary>
    private static List<Words> Marked(Card card, Step step)
    {
        var all = DressedPlaces.Of(card).Concat(Places.Of(card.Figures));
        return all.FirstOrDefault(p => p.Id == step.Marks[0]) is { } place ? [.. place.From.Where(f => f.Distance != Length.Zero).Select(f => Words.Of($"{f.Distance.Abs()}"))] : [];
    }

    private static IEnumerable<(Words Big, IReadOnlyList<string> Ids)> Pairs(IReadOnlyList<string> ids, IReadOnlyDictionary<string, Measured> figures)
    {
        for (var i = 0; i + 1 < ids.Count; i++)
        {
            if (ids[i].EndsWith(".width", StringComparison.Ordinal) && ids[i + 1].EndsWith(".height", StringComparison.Ordinal))
            {
                yield return (Words.Of($"{figures[ids[i]].Value} × {figures[ids[i + 1]].Value}"), [ids[i], ids[i + 1]]);
            }
        }
    }
}

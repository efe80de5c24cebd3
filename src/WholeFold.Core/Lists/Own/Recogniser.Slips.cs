using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>Slips in a list that its construction takes as it is, since the figure is free there.</summary>
public sealed partial class Recogniser
{
    // By trial on lists with one figure spoilt, and on right ones: tests/…/Own, bench own.
    private const double Plainer = 2, NoWorse = -0.05;

    /// <summary>
    /// The figure that by a usual slip leaves a card of a size without a name, where nothing else in the list speaks for that size; or that breaks
    /// a chain of equals, where with that whole more would be as it usually is. A round size may be meant: only a small slip is one there.
    /// </summary>
    internal IReadOnlyList<ListFinding> Slips(Recognised found, OwnList list, CancellationToken cancel)
    {
        var system = list.Cards.First().Unit.SystemOf();
        var variants = _variants.Value[system].Where(v => v.Family == found.Family && v.Choices.All(c => found.Choices[c.Key] == c.Value)).ToList();
        if (Again(variants, found, list, null, null) is not { } now)
        {
            return [];
        }

        Format? Named(Recognised card) => reader.Inventory.Formats.FirstOrDefault(f => f.System == system && f.IsAbout(card.Width, card.Height, Equations.NearFor(system)));
        var named = Named(now) is not null;
        var (round, small) = (FinishedSize.IsRound(now.Width, system) && FinishedSize.IsRound(now.Height, system), PieceFigure.UsualSlips[1].For(system));
        var better = new List<(PieceFigure Figure, Length Right, double Weight, Format? Size)>();
        foreach (var figure in list.Cards.Where(c => found.Pieces.Any(m => Is(m.Listed, c))).SelectMany(PieceFigure.Of))
        {
            foreach (var right in PieceFigure.UsualSlips.Select(s => s.For(system)).SelectMany(by => new[] { figure.Value + by, figure.Value - by }))
            {
                cancel.ThrowIfCancellationRequested();
                if (figure.With(right) is not { } changed)
                {
                    continue;
                }

                var plainer = Contradictions.Untidiness(figure.Piece) - Contradictions.Untidiness(changed) >= Plainer;
                if ((plainer || !named) && Again(variants, found, list, figure.Piece, changed) is { Sure: true } again)
                {
                    var gain = again.Score - now.Score;
                    if (plainer && gain >= Plainer)
                    {
                        better.Add((figure, right, gain, null));
                    }
                    else if (!named && (!round || (right - figure.Value).Abs() <= small) && gain >= NoWorse && Named(again) is { } size)
                    {
                        better.Add((figure, right, gain, size));
                    }
                }
            }
        }

        return better.OrderByDescending(b => b.Weight).ThenBy(b => (b.Right - b.Figure.Value).Abs()).Take(1).Select(b => new ListFinding("rule", b.Figure.Piece.Line, b.Figure.Score,
            b.Size is null ? Words.Of($"{Spoken.First(b.Figure.Figure)} of the {b.Figure.Piece.Name} at {b.Figure.Value} does not go with the other figures; {b.Right} would.")
                : Words.Of($"{Spoken.First(b.Figure.Figure)} of the {b.Figure.Piece.Name} at {b.Figure.Value} makes a card of {now.Width} × {now.Height}; with {b.Right} it would be {b.Size.Name}."),
            [new LikelyFigure(b.Right, Words.Of($"{b.Right:u} instead of {b.Figure.Value}"))])).ToList();
    }

    private static bool Is(OwnPiece listed, OwnPiece card) => listed.Line == card.Line && listed.Name == card.Name;

    /// <summary>The same card by the same pieces, with one of them changed.</summary>
    private Recognised? Again(IReadOnlyList<Variant> variants, Recognised found, OwnList list, OwnPiece? was, OwnPiece? now)
    {
        var changed = was is null ? list : list with { Pieces = [.. list.Pieces.Select(p => ReferenceEquals(p, was) ? now! : p)] };
        Recognised? best = null;
        foreach (var variant in variants)
        {
            var pairs = found.Pieces.Where(m => m.Listed.Scores.Count > 0)
                .Select(m => (Matched: m, Card: changed.Cards.First(c => Is(m.Listed, c))))
                    .Select(m => (m.Matched, Card: m.Matched.Listed.Quantity == m.Card.Quantity ? m.Card
                    : m.Card with { Quantity = m.Matched.Listed.Quantity }))
                .Select(m => Matches(variant, m.Card, list)
                    .FirstOrDefault(x => x.Piece.Id == m.Matched.Piece.Id && x.Piece.Creases.Count == m.Matched.Piece.Creases.Count
                    && x.Mirrored == m.Matched.Mirrored && x.Listed.AlongFirst == m.Matched.Listed.AlongFirst)).ToList();
            if (pairs.All(p => p is not null) && Judge(variant, new Way([.. pairs.Select(p => p!)], []), changed) is { } judged && (best is null || judged.Score > best.Score))
            {
                best = judged;
            }
        }

        return best;
    }
}

using WholeFold.Core.Cards;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Papers that keep their border one way and not the other. Where several are off by as much, it is what they lie on that is off.
/// </summary>
internal static class PaperSlips
{
    private static readonly Length Near = Length.Mm(0.8m), Least = Length.Mm(1.2m), ShortBy = Length.In(1, 2);

    /// <summary>A strip keeps no border on its ends: what is short by more than <see cref="ShortBy"/> is a slip only where that is a small part of it.</summary>
    private const int OfIt = 3;

    /// <summary>A paper that is no wider may have another border one way.</summary>
    private static readonly Length Narrow = Length.Mm(64);

    /// <summary>A wider border than the commonest is no habit that one breaks.</summary>
    private const int Commonest = 4;

    /// <summary>Somewhere a paper may lie.</summary>
    private sealed record Place(string Name, OwnPiece? On, Length Along, Length Across);

    private sealed record Slip(OwnPiece Paper, bool First, Length Is, Length Would, Place On, bool Along);

    /// <param name="home">The finished size as it was read.</param>
    /// <param name="card">What the list is, where a construction explains it: papers lie on its panels as they are sized.</param>
    /// <param name="others">Pieces without a score that are no part of it, and may lie on it.</param>
    public static IReadOnlyList<ListFinding> Find(OwnList list, (Length Width, Length Height) home, Card? card, IReadOnlyList<OwnPiece> others, IReadOnlyList<Format> formats)
    {
        var system = list.Cards.First().Unit.SystemOf();
        var papers = list.Papers.Concat(others).Where(p => !Recogniser.IsExtra(p.Name)).ToList();
        var places = list.Cards.Except(others).SelectMany(c =>
            c.Panels.Select((p, i) => new Place(c.Panels.Count == 1 ? c.Name : $"{c.Name}’s panel {i + 1}", c, p, FlapRows.Of(c)?.Body ?? c.Across))
            .Append(new Place(c.Name, c, c.Along, c.Across)))
            .Concat(card is null ? [] : card.Pieces.SelectMany(p => p.Panels.Select(q => new Place(q.Panel.Name, null, q.Extent, p.Across.Value))))
            .Concat(papers.Select(p => new Place(p.Name, p, p.First, p.Second))).ToList();
        var borders = UsualBorders.All.Take(Commonest).Select(u => u.For(system)).ToList();

        // The border that papers of this list keep, and those that people keep.
        var kept = papers.SelectMany(p => places.Where(on => on.On != p).Select(on => Even(on, p)).OfType<Length>().Where(b => borders.Any(u => Is(u, b))))
            .GroupBy(b => borders.First(u => Is(u, b))).OrderByDescending(g => g.Count()).Select(g => g.Key).ToList();
        var (slips, far) = (new List<List<Slip>>(), new List<Slip>());
        foreach (var paper in papers.Where(p => !places.Any(on => on.On != p && Fits(on, p, card is not null, borders))))
        {
            var found = places.Where(on => on.On != paper && on.On?.Kind != OwnKind.Paper)
                .SelectMany(on => (kept.Count > 0 ? kept : borders.Take(2)).SelectMany(b => Off(paper, card is not null, on, b))).ToList();

            var over = !places.Any(on => on.On != paper && Goes(on, paper));
            List<Slip> Within(bool far) => [.. found.Where(s => (s.Would - s.Is).Abs() is var off && off > Least && off <= PieceFigure.FurthestSlip
                && off <= new Length(s.Would.Units / 2) && (far || off <= ShortBy || off <= new Length(s.Would.Units / OfIt))).OrderBy(s => (s.Would - s.Is).Abs())
                .DistinctBy(s => (s.First, s.Would))];
            far.AddRange(Within(true));
            found = Within(over);
            if (found.Count > 0)
            {
                slips.Add(found);
            }
        }

        if (slips.Count == 0 && far.Count == 0)
        {
            return [];
        }

        // Several off by as much along or across one piece: that is what is off.
        var together = slips.SelectMany(s => s.Where(x => x.On.On is { Kind: OwnKind.Piece } && !x.Along))
            .GroupBy(s => (s.On.On!.Line, s.On.On.Name, Off: s.Is - s.Would)).Select(g => g.DistinctBy(s => s.Paper).ToList()).OrderByDescending(g => g.Count)
            .FirstOrDefault(g => g.Count > 1);
        // So is one alone, where the card has no size that has a name, and with that right it would.
        bool Named(Length w, Length h) => formats.Any(f => f.IsAbout(w, h, Near));
        var alone = Named(home.Width, home.Height) ? null : far.FirstOrDefault(s => s.On.On is { Kind: OwnKind.Piece, Scores.Count: > 0 } on && !s.Along && s.On.Across + (s.Is - s.Would) is var other
            && (((on.Across - home.Height).Abs() <= Near && Named(home.Width, other)) || ((on.Across - home.Width).Abs() <= Near && Named(other, home.Height))));
        if ((together ?? (alone is null ? null : [alone])) is [var one, ..] all)
        {
            var right = one.On.Across + (one.Is - one.Would);
            return [new ListFinding("rule", one.On.On!.Line, null, Words.Of($"{(all.Count == 1 ? $"The {one.Paper.Name} does not go" : $"{all.Count} papers do not go")} with the {one.On.On.Name} at {one.On.Across}; with {right} {(all.Count == 1 ? "it" : "they")} would."), [new LikelyFigure(right, Words.Of($"{right:u} instead of {one.On.Across}"))])];
        }

        return [.. slips.Select(s => s[0] is var slip
            ? new ListFinding("rule",
            slip.Paper.Line, null, Words.Of($"{(slip.First ? "Width" : "Height")} of the {slip.Paper.Name} at {slip.Is} leaves another border than the other way; {slip.Would} would leave the same."), [.. s.Take(3).Select(x => new LikelyFigure(x.Would, Words.Of($"{x.Would:u} instead of {x.Is}, on the {x.On.Name}")))]) : null!)];
    }

    private static bool Goes(Place on, OwnPiece paper) => (paper.First <= on.Along + Near && paper.Second <= on.Across + Near) || (paper.Second <= on.Along + Near && paper.First <= on.Across + Near);

    /// <summary>Half as wide a border the other way, or twice, is what some people want of a narrow paper, or none at all; what is no paper, of no construction, keeps none.</summary>
    private static bool IsWanted(OwnPiece paper, bool isCard, Length both, Length border) =>
        ((paper.Kind == OwnKind.Piece && !isCard) || Length.Min(paper.First, paper.Second) <= Narrow)
        && (Is(both, border) || Is(both, 4 * border) || both.Abs() <= new Length(Near.Units / 2));

    private static bool Is(Length a, Length b) => (a - b).Abs() <= new Length(Near.Units / 2);

    /// <summary>Whether a paper leaves borders that people leave: as wide both ways, or half as wide one way.</summary>
    private static bool Fits(Place on, OwnPiece paper, bool isCard, List<Length> borders) =>
        new[] { (paper.First, paper.Second), (paper.Second, paper.First) }.Select(s => (X: on.Along - s.Item1, Y: on.Across - s.Item2))
        .Any(b => borders.Any(u => new[] { 2 * u, 4 * u }.Any(x => (b.X - x).Abs() <= Near
            && ((b.Y - x).Abs() <= Near || IsWanted(paper, isCard, b.Y, new Length(x.Units / 2))))))
            || (on.On?.Kind != OwnKind.Paper && Even(on, paper) is { } border && border <= new Length(Near.Units / 2));

    /// <summary>The border that a paper leaves on each side, where it is the same both ways.</summary>
    private static Length? Even(Place on, OwnPiece paper)
    {
        foreach (var (a, b) in new[] { (paper.First, paper.Second), (paper.Second, paper.First) })
        {
            var (x, y) = (on.Along - a, on.Across - b);
            if (x >= Length.Zero && (x - y).Abs() <= Near)
            {
                return new Length((x.Units + y.Units) / 4);
            }
        }

        return null;
    }

    /// <summary>A paper that leaves a border one way, with what it would be the other.</summary>
    private static IEnumerable<Slip> Off(OwnPiece paper, bool isCard, Place on, Length border)
    {
        foreach (var turned in new[] { false, true })
        {
            var (along, across) = turned ? (paper.Second, paper.First) : (paper.First, paper.Second);
            var (wouldAlong, wouldAcross) = (on.Along - (2 * border), on.Across - (2 * border));
            if ((along - wouldAlong).Abs() <= Near && !IsWanted(paper, isCard, on.Across - across, border))
            {
                yield return new Slip(paper, turned, across, wouldAcross, on, false);
            }

            if ((across - wouldAcross).Abs() <= Near && !IsWanted(paper, isCard, on.Along - along, border))
            {
                yield return new Slip(paper, !turned, along, wouldAlong, on, true);
            }
        }
    }
}

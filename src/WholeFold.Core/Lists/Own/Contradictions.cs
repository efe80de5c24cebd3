using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Finds the figure of a list that contradicts the others: another one in its place, and all of them together would be far likelier.
/// </summary>
/// <remarks>
/// Where a panel is as wide as the others, a score as far from one end as its partner from the other, or a side as long as what it lies on,
/// fewer lengths are at work. What each length costs by itself is what makes a figure that is nearly such a one suspicious; a figure that is
/// free of all others cannot be caught.
/// </remarks>
internal sealed class Contradictions(OwnList list, IReadOnlyList<Format> formats)
{
    // By trial on lists with one figure spoilt, and on right ones: tests/…/Own, bench own.
    private const double EachLength = 4, Flagged = 5.0, FarOff = 0.5, OddSlip = 2;

    private const int Beam = 6, MostSizes = 2, MostLikely = 3, MostChanges = 240;

    /// <summary>So many changes times lengths times lengths are tried: of a list far longer than a card's none.</summary>
    private const int Work = 120_000;

    /// <summary>Nearer than this is the same figure, further than that is another design.</summary>
    private static readonly Length Least = Length.Mm(1.2m), Furthest = Length.In(21, 20);

    private readonly UnitSystem _system = list.Cards.First().Unit.SystemOf();

    /// <summary>A figure of a piece in words, and the piece with another in its place; null where that cannot be.</summary>
    private sealed record Place(OwnPiece Piece, string Figure, int? Score, Length Value, Func<Length, OwnPiece?> With, IReadOnlyList<Length> Instead);

    public IReadOnlyList<ListFinding> Find(CancellationToken cancel)
    {
        var lengths = list.Pieces.Sum(p => p.Scores.Count + p.Cross.Count + 2);
        var tried = Math.Min(MostChanges, Work / (lengths * lengths));
        if (tried == 0)
        {
            return [];
        }

        var now = Likely(list);
        var better = new List<(Place Place, Length Instead, double Gain)>();
        foreach (var (place, instead) in Places().SelectMany(p => p.Instead.Select(i => (p, i))).Take(tried))
        {
            cancel.ThrowIfCancellationRequested();
            if (place.With(instead) is { } piece)
            {
                var off = (double)(instead - place.Value).Abs().Units / Length.PerInch;
                var gain = Likely(list with { Pieces = [.. list.Pieces.Select(p => ReferenceEquals(p, place.Piece) ? piece : p)] }) - now - (FarOff * off) - (Slips().Any(s => ((instead - place.Value).Abs() - s).Abs() <= Least) ? 0 : OddSlip);
                if (gain >= Flagged)
                {
                    better.Add((place, instead, gain));
                }
            }
        }

        if (better.Count == 0)
        {
            return [];
        }

        var ranked = better.OrderByDescending(b => b.Gain).ToList();
        var (worst, right, _) = ranked[0];
        return
        [
            new ListFinding("rule", worst.Piece.Line, worst.Score, Words.Of($"{Constructions.Spoken.First(worst.Figure)} of the {worst.Piece.Name} at {worst.Value} does not go with the other figures; {right} would."),
                [.. ranked.Take(MostLikely).Select(b => new LikelyFigure(b.Instead, Words.Of($"{b.Place.Figure} of the {b.Place.Piece.Name}: {b.Instead:u} instead of {b.Place.Value}")))]),
        ];
    }

    /// <summary>How likely all figures are together, each length of its own at its price.</summary>
    private double Likely(OwnList of) => FinishedSize.Candidates(of, formats, _system).Take(MostSizes).Select(s => (s.Likely, Rules: new JointRules(of, s.Width, s.Height))).Max(s => s.Likely + s.Rules.Best(Beam) - (EachLength * s.Rules.Lengths));

    private IEnumerable<Place> Places()
    {
        foreach (var piece in list.Pieces.Where(p => p.Kind != OwnKind.Finished))
        {
            var others = list.Pieces.Where(p => p != piece).SelectMany(p => new[] { p.First, p.Second }.Concat(p.Panels)).ToList();
            var sizes = others.SelectMany(o => Offs().SelectMany(b => new[] { o - b, o + b }).Append(o).Append(2 * o).Append(new Length(o.Units / 2))).ToList();
            yield return Of(piece, piece.AlongFirst ? "width" : "height", null, piece.Along, at => at > (piece.Scores.Count == 0 ? Length.Zero : piece.Scores[^1]) ? Sized(piece, at, piece.Across) : null,
                piece.Scores.Count == 0 ? [.. sizes, piece.Across] : [.. sizes, .. piece.Panels.Select(p => piece.Scores[^1] + p), .. piece.Scores.Select(s => piece.Scores[^1] + s)]);
            yield return Of(piece, piece.AlongFirst ? "height" : "width", null, piece.Across, at => piece.Cross.Count == 0 || at > piece.Cross[^1] ? Sized(piece, piece.Along, at) : null, [.. sizes, piece.Along, .. piece.Panels]);
            for (var i = 0; i < piece.Scores.Count; i++)
            {
                var (n, before, after) = (i, i == 0 ? Length.Zero : piece.Scores[i - 1], i + 1 < piece.Scores.Count ? piece.Scores[i + 1] : piece.Along);
                var alike = list.Cards.Where(c => c != piece && c.Scores.Count == piece.Scores.Count).Select(c => c.Scores[n]);
                yield return Of(piece, $"score {i + 1}", i + 1, piece.Scores[i], at => at > before && at < after ? piece with { Scores = [.. piece.Scores.Select((s, j) => j == n ? at : s)] } : null,
                    [.. piece.Panels.Concat(others).SelectMany(p => new[] { before + p, after - p }), new Length((before.Units + after.Units) / 2), .. piece.Scores.Select(s => piece.Along - s), .. alike, new Length(piece.Along.Units / 2)]);
            }
        }
    }

    /// <summary>By how much one slips along a ruler: a mark or a few, half an inch, an inch; 3 to 20 mm.</summary>
    private IEnumerable<Length> Slips() => new[] { Pair.Of(1, 8, 3m), Pair.Of(1, 4, 5m), Pair.Of(1, 2, 10m), Pair.Of(1, 1, 20m) }.Select(p => p.For(_system));

    /// <summary>What papers are smaller by than what they lie on.</summary>
    private IEnumerable<Length> Offs() => new[] { Pair.Of(1, 8, 3m), Pair.Of(1, 4, 6m), Pair.Of(1, 2, 12m) }.Select(p => p.For(_system));

    private static OwnPiece Sized(OwnPiece piece, Length along, Length across) => piece with { First = piece.AlongFirst ? along : across, Second = piece.AlongFirst ? across : along };

    private static Place Of(OwnPiece piece, string figure, int? score, Length value, Func<Length, OwnPiece?> with, IReadOnlyList<Length> instead) =>
        new(piece, figure, score, value, with, [.. instead.Where(i => i > Length.Zero && (i - value).Abs() > Least && (i - value).Abs() <= Furthest).Distinct()]);
}

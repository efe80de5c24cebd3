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
/// <param name="isExplained">Whether a construction explains a list, for sure and without a figure that differs.</param>
internal sealed class Contradictions(OwnList list, IReadOnlyList<Format> formats, Func<OwnList, bool> isExplained)
{
    // By trial on lists with one figure spoilt, and on right ones: tests/…/Own, bench own.
    private const double EachLength = 2, Tidier = 3, Mirrored = 1, Even = 4, Explained = 6, FarOff = 0.5, OddSlip = 2, Flagged = 9, OverPapers = 10;

    private const int Beam = 6, MostSizes = 2, MostLikely = 3, MostChanges = 240;

    /// <summary>So many changes are held against the library, of a list with so many scored pieces fewer: each takes longer.</summary>
    private const int MostExplained = 8, Explaining = 20;

    /// <summary>So many changes times lengths times lengths are tried: of a list far longer than a card's none.</summary>
    private const int Work = 120_000;

    /// <summary>Nearer than this is the same figure.</summary>
    private static readonly Length Least = Length.Mm(1.2m);

    private readonly UnitSystem _system = list.Cards.First().Unit.SystemOf();

    /// <param name="papers">What is said of papers: that holds where nothing speaks clearly for another figure.</param>
    public IReadOnlyList<ListFinding> Find(IReadOnlyList<ListFinding> papers, CancellationToken cancel)
    {
        var lengths = list.Pieces.Sum(p => p.Scores.Count + p.Cross.Count + 2);
        var tried = Math.Min(MostChanges, Work / (lengths * lengths));
        if (tried == 0)
        {
            return papers;
        }

        var now = Likely(list);
        var changes = new List<(PieceFigure Figure, Length Instead, OwnList List, double Gain)>();
        foreach (var (figure, instead) in Places().SelectMany(p => p.Instead.Select(i => (p.Figure, i))).Take(tried))
        {
            cancel.ThrowIfCancellationRequested();
            if (figure.With(instead) is { } piece)
            {
                var changed = list with { Pieces = [.. list.Pieces.Select(p => ReferenceEquals(p, figure.Piece) ? piece : p)] };
                changes.Add((figure, instead, changed, Likely(changed) - now + Speaks(figure, instead, piece)));
            }
        }

        // Whether with that a construction explains all is looked into where it would tell.
        var explained = Math.Min(MostExplained, Explaining / Math.Max(1, list.Cards.Where(c => c.Scores.Count > 0).Sum(c => Math.Min(c.Quantity, 2))));
        var better = changes.OrderByDescending(c => c.Gain)
            .Select((c, i) => (c.Figure, c.Instead, Gain: c.Gain + (i < explained && c.Gain + Explained >= Flagged && isExplained(c.List) ? Explained : 0)))
            .Where(c => c.Gain >= Flagged).OrderByDescending(c => c.Gain).ToList();
        if (better.Count == 0 || (papers.Count > 0 && better[0].Gain < OverPapers))
        {
            return papers;
        }

        var (worst, right, _) = better[0];
        return
        [
            new ListFinding("rule", worst.Piece.Line, worst.Score, Words.Of($"{Constructions.Spoken.First(worst.Figure)} of the {worst.Piece.Name} at {worst.Value} does not go with the other figures; {right} would."),
                [.. better.Take(MostLikely).Select(b => new LikelyFigure(b.Instead, Words.Of($"{b.Figure.Figure} of the {b.Figure.Piece.Name}: {b.Instead:u} instead of {b.Figure.Value}")))]),
        ];
    }

    /// <summary>What beside the figures' own likelihood speaks for a change: a plainer chain, a usual slip, a small one.</summary>
    private double Speaks(PieceFigure figure, Length instead, OwnPiece changed)
    {
        var (off, tidier) = ((instead - figure.Value).Abs(), Untidiness(figure.Piece) - Untidiness(changed));
        var chain = tidier <= 0 ? 0 : (IsMirrored(changed) ? Mirrored : 0) + (figure.Score is not null && IsEven(changed) ? Even : 0);
        return (Tidier * tidier) + chain - (FarOff * RulePriors.Inches(off)) - (PieceFigure.UsualSlips.Any(s => (off - s.For(_system)).Abs() <= Least) ? 0 : OddSlip);
    }

    /// <summary>How plain a chain is: see <see cref="ListChecker.Untidiness(IReadOnlyList{Length}, Length)"/>.</summary>
    public static int Untidiness(OwnPiece piece) => ListChecker.Untidiness(piece.Panels, Least);

    /// <summary>All its panels are equal, or grow by as much each: a single score that is not so is off. The last panel by itself may be what was left over.</summary>
    private static bool IsEven(OwnPiece piece) => piece.Panels.Count >= ListChecker.Growing && Untidiness(piece) == 1;

    private static bool IsMirrored(OwnPiece piece) => piece.Panels.Zip(piece.Panels.Reverse()).All(p => (p.First - p.Second).Abs() <= Least);

    /// <summary>How likely all figures are together, each length of its own at its price.</summary>
    private double Likely(OwnList of) => FinishedSize.Candidates(of, formats, _system).Take(MostSizes)
        .Select(s => (s.Likely, Rules: new JointRules(of, s.Width, s.Height))).Max(s => s.Likely + s.Rules.Best(Beam) - (EachLength * s.Rules.Lengths));

    /// <summary>Every figure with what it could be instead: what goes with others.</summary>
    private IEnumerable<(PieceFigure Figure, IReadOnlyList<Length> Instead)> Places()
    {
        foreach (var piece in list.Pieces.Where(p => p.Kind != OwnKind.Finished))
        {
            var others = list.Pieces.Where(p => p != piece).SelectMany(p => new[] { p.First, p.Second }.Concat(p.Panels)).ToList();
            var sizes = others.SelectMany(o => Offs().SelectMany(b => new[] { o - b, o + b }).Append(o).Append(2 * o).Append(new Length(o.Units / 2))).ToList();
            foreach (var figure in PieceFigure.Of(piece))
            {
                IEnumerable<Length> instead = figure.Score is { } score ? AtScore(piece, score - 1, others)
                    : !figure.IsAlong ? [.. sizes, piece.Along, .. piece.Panels]
                    : piece.Scores.Count == 0 ? [.. sizes, piece.Across]
                    : [.. sizes, .. piece.Panels.Select(p => piece.Scores[^1] + p), .. piece.Scores.Select(s => piece.Scores[^1] + s)];
                yield return (figure, [.. instead.Where(i => i > Length.Zero && (i - figure.Value).Abs() > Least && (i - figure.Value).Abs() <= PieceFigure.FurthestSlip).Distinct()]);
            }
        }
    }

    private List<Length> AtScore(OwnPiece piece, int i, List<Length> others)
    {
        var (before, after) = (i == 0 ? Length.Zero : piece.Scores[i - 1], i + 1 < piece.Scores.Count ? piece.Scores[i + 1] : piece.Along);
        var alike = list.Cards.Where(c => c != piece && c.Scores.Count == piece.Scores.Count).Select(c => c.Scores[i]);
        return [.. piece.Panels.Concat(others).SelectMany(p => new[] { before + p, after - p }), new Length((before.Units + after.Units) / 2),
            .. piece.Scores.Select(s => piece.Along - s), .. alike, new Length(piece.Along.Units / 2)];
    }

    /// <summary>What papers are smaller by than what they lie on.</summary>
    private IEnumerable<Length> Offs() => new[] { Pair.Of(1, 8, 3m), Pair.Of(1, 4, 6m), Pair.Of(1, 2, 12m) }.Select(p => p.For(_system));
}

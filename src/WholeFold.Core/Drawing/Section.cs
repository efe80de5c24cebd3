using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>A ply of the closed card where it is cut through.</summary>
/// <param name="Row">Counted from the table up: an order, and no measure.</param>
public sealed record Ply(PlateRef Plate, string Name, Length From, Length To, int Row);

/// <summary>A crease that joins two plies at their ends.</summary>
public sealed record FoldedEdge(Length At, int Low, int High);

/// <summary>Where two plies are stuck on each other.</summary>
public sealed record Stuck(Length From, Length To, int Low, int High);

/// <summary>
/// The closed card cut through at its thickest, along the chain of its first piece, so that one sees the order in which its
/// plies lie: like looking at its foot with a glass.
/// </summary>
/// <param name="AcrossX">Whether it is cut from left to right; else from the foot up.</param>
public sealed record Section(bool AcrossX, Length Width, int Rows, IReadOnlyList<Ply> Plies, IReadOnlyList<FoldedEdge> Folds, IReadOnlyList<Stuck> Stuck)
{
    /// <summary>Null where it does not lie flat, or where the order of its plies goes round in a circle.</summary>
    public static Section? Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        var (figures, pose) = (card.Figures, card.Closed);
        if (pose.Deep > Length.Zero)
        {
            return null;
        }

        var across = figures.Pieces[0].Piece.Axis == Axis.X;
        var cut = across ? card.Thickness.ThickestAt.Y : card.Thickness.ThickestAt.X;
        var start = across ? pose.Footprint.Left : pose.Footprint.Bottom;
        IEnumerable<(Length From, Length To)> Through(IReadOnlyList<Point> outline) =>
            Crossings([.. outline.Select(p => across ? p : new Point(p.Y, p.X))], cut).Select(c => (c.From - start, c.To - start));

        Dictionary<PlateRef, int>? Levels(IReadOnlyList<(PlateRef Lower, PlateRef Upper)> known) =>
            PlyOrder.Levels(figures, pose.Frames, figures.Construction.Bonds, (piece, crease) => piece.Score(crease).Crease.Closed, known);

        var known = new List<(PlateRef Lower, PlateRef Upper)>();
        if (Levels(known) is not { } levels)
        {
            return null;
        }

        // Where the cut goes through a crease; nowhere where that is slit open, so that something slides through it.
        Length? Crease(PlateRef plate, SizedScore score)
        {
            Point[] ends = [.. pose.Place(plate, [score.From, score.To]).Select(p => across ? p : new Point(p.Y, p.X))];
            if (ends[0].Y == ends[1].Y || Length.Min(ends[0].Y, ends[1].Y) > cut || Length.Max(ends[0].Y, ends[1].Y) < cut)
            {
                return null;
            }

            var share = (double)(cut - ends[0].Y).Units / (ends[1].Y - ends[0].Y).Units;
            var at = ends[0].X + new Length((long)Math.Round(share * (ends[1].X - ends[0].X).Units));
            return IsOpen(figures, pose, plate, across ? (at, cut) : (cut, at)) ? null : at - start;
        }

        for (var round = 0; ; round++)
        {
            var plies = Plied(figures, pose, levels, Through);
            var folds = FoldsOf(figures, plies, Crease).ToList();
            var hit = folds.SelectMany(f => plies.Where(p => p.Row > f.Low && p.Row < f.High && p.From.Units + 1 < f.At.Units && f.At.Units + 1 < p.To.Units)
                .Select(p => (Fold: f, p.Plate))).FirstOrDefault();
            if (hit.Plate == default || round == MostRounds)
            {
                var section = new Section(across, across ? pose.Width : pose.Height, plies.Select(p => p.Row + 1).Append(0).Max(), plies, folds, [.. Bonded(pose, figures, plies, Through)]);
                return LiesOnItsFace(figures, pose) ? section.Over() : section;
            }

            // Where nothing says whether a ply lies over a fold or under it, it does not lie through it: over, or else under.
            PlateRef At(int row) => plies.First(p => p.Row == row && ((p.From - hit.Fold.At).Abs().Units <= 1 || (p.To - hit.Fold.At).Abs().Units <= 1)).Plate;
            var over = known.Append((At(hit.Fold.High), hit.Plate)).ToList();
            var under = known.Append((hit.Plate, At(hit.Fold.Low))).ToList();
            (known, levels) = Levels(over) is { } above ? (over, above) : Levels(under) is { } below ? (under, below) : (known, levels);
        }
    }

    private const int MostRounds = 12;

    /// <summary>Whether the last of the largest plates of the first piece, which is the card's back, lies with its inside down: then the card is turned over.</summary>
    private static bool LiesOnItsFace(Figures figures, ClosedPose pose)
    {
        var piece = figures.Pieces[0];
        var back = piece.Plates.OrderBy(p => p.Box.Width.Units * p.Box.Height.Units).Last();
        return pose.Frames[new PlateRef(piece.Piece.Copies[0], back.Id)].Ez.Z < 0;
    }

    /// <summary>The same turned over.</summary>
    private Section Over() => this with
    {
        Plies = [.. Plies.Select(p => p with { Row = Rows - 1 - p.Row })],
        Folds = [.. Folds.Select(f => f with { Low = Rows - 1 - f.High, High = Rows - 1 - f.Low })],
        Stuck = [.. Stuck.Select(s => s with { Low = Rows - 1 - s.High, High = Rows - 1 - s.Low })],
    };

    private static List<Ply> Plied(Figures figures, ClosedPose pose, Dictionary<PlateRef, int> levels, Func<IReadOnlyList<Point>, IEnumerable<(Length From, Length To)>> through)
    {
        List<Ply> plies = [.. pose.Panels.OrderBy(p => levels[p.Plate])
            .SelectMany(panel => through(panel.Corners).Select(c => new Ply(panel.Plate, figures.PlateOf(panel.Plate).Name, c.From, c.To, 0)))];
        bool IsFlat(Ply one, Ply other)
        {
            var piece = figures.PieceOf(one.Plate.Piece);
            return piece.Plate(one.Plate.Plate) is { HangsOn: { } on, By: var by } && other.Plate == new PlateRef(one.Plate.Piece, on) && piece.Score(by).Crease.Closed == 0;
        }

        // Each above all that it lies over, even where nothing says which of two is the upper one; what goes on flat stays in its row.
        var moved = true;
        for (var round = 0; moved && round <= plies.Count; round++)
        {
            moved = false;
            for (var i = 0; i < plies.Count; i++)
            {
                for (var k = 0; k < i; k++)
                {
                    var (upper, lower) = (plies[i], plies[k]);
                    var row = upper.Row;
                    if (upper.From < lower.To && upper.To > lower.From)
                    {
                        row = Math.Max(row, lower.Row + 1);
                    }
                    else if (IsFlat(upper, lower) || IsFlat(lower, upper))
                    {
                        row = Math.Max(row, lower.Row);
                        if (lower.Row < row)
                        {
                            (plies[k], moved) = (lower with { Row = row }, true);
                        }
                    }

                    if (row != upper.Row)
                    {
                        (plies[i], moved) = (upper with { Row = row }, true);
                    }
                }
            }
        }

        return plies;
    }

    /// <summary>Whether a window or a slit opens a plate at a spot of the closed card: what slides through it lies through no fold.</summary>
    private static bool IsOpen(Figures figures, ClosedPose pose, PlateRef plate, (Length X, Length Y) at)
    {
        var flat = pose.Frames[plate].Inverse.Apply(new Vec(at.X.Units, at.Y.Units, 0) * (pose.FromHead ? -1 : 1));
        return figures.PieceOf(plate.Piece).Openings.Where(o => o.Opening.Kind is CutKind.Slit or CutKind.Window).Select(o => o.Box)
            .Any(b => b.Left.Units - 1 <= flat.X && flat.X <= b.Right.Units + 1 && b.Bottom.Units - 1 <= flat.Y && flat.Y <= b.Top.Units + 1);
    }

    private static IEnumerable<FoldedEdge> FoldsOf(Figures figures, List<Ply> plies, Func<PlateRef, SizedScore, Length?> place)
    {
        foreach (var ply in plies)
        {
            var piece = figures.PieceOf(ply.Plate.Piece);
            if (piece.Plate(ply.Plate.Plate) is { HangsOn: { } on, By: var by } && piece.Score(by) is { Crease.Closed: not 0 } score && place(ply.Plate, score) is { } at)
            {
                foreach (var other in plies.Where(p => p.Plate == new PlateRef(ply.Plate.Piece, on) && Ends(p, at) && Ends(ply, at)))
                {
                    yield return new FoldedEdge(at, Math.Min(ply.Row, other.Row), Math.Max(ply.Row, other.Row));
                }
            }
        }

        static bool Ends(Ply ply, Length at) => (ply.From - at).Abs().Units <= 1 || (ply.To - at).Abs().Units <= 1;
    }

    private static IEnumerable<Stuck> Bonded(ClosedPose pose, Figures figures, List<Ply> plies, Func<IReadOnlyList<Point>, IEnumerable<(Length From, Length To)>> through)
    {
        foreach (var bond in figures.Construction.Bonds.Where(b => !b.IsLoose))
        {
            foreach (var (from, to) in through(pose.Place(bond.A.Plate, bond.A.Region.Corners.Select(figures.ValueOf))))
            {
                var rows = plies.Where(p => (p.Plate == bond.A.Plate || p.Plate == bond.B.Plate) && p.From < to && p.To > from).Select(p => p.Row).Order().ToList();
                if (rows.Count > 1)
                {
                    yield return new Stuck(from, to, rows[0], rows[^1]);
                }
            }
        }
    }

    /// <summary>Where a line at one height runs inside an outline.</summary>
    private static IEnumerable<(Length From, Length To)> Crossings(IReadOnlyList<Point> outline, Length height)
    {
        var at = new List<double>();
        for (var i = 0; i < outline.Count; i++)
        {
            var (a, b) = (outline[i], outline[(i + 1) % outline.Count]);
            if (a.Y > height != b.Y > height)
            {
                at.Add(a.X.Units + ((double)(height - a.Y).Units / (b.Y - a.Y).Units * (b.X - a.X).Units));
            }
        }

        at.Sort();
        return Enumerable.Range(0, at.Count / 2).Select(i => (new Length((long)Math.Round(at[2 * i])), new Length((long)Math.Round(at[(2 * i) + 1])))).Where(c => c.Item1 < c.Item2);
    }
}

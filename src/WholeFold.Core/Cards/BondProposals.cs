using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Written;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>
/// Bonds that a card of one's own could have: where the edges of a panel and of a panel of another piece match, glued flush at one side
/// or the other. Each is tried, and only those are proposed with which the closed card meets and stays within its format.
/// </summary>
public static class BondProposals
{
    private const int Most = 8, MostTried = 400;

    private static readonly Length Near = Length.Mm(1);

    /// <summary>The proposals, as edits; none of a construction of the library.</summary>
    public static IReadOnlyList<BuildBond> For(DesignSpec spec, DesignReader reader, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(spec);
        ArgumentNullException.ThrowIfNull(reader);
        if (spec.Made is null)
        {
            return [];
        }

        var read = reader.Read(spec);
        if (Attempt.Of(read.Design, read.Target, cancel).Card is not { } card)
        {
            return [];
        }

        var (found, tried) = (new List<BuildBond>(), 0);
        foreach (var (edit, _) in Candidates(card).OrderBy(c => c.Misfit))
        {
            cancel.ThrowIfCancellationRequested();
            if (found.Count >= Most || tried++ >= MostTried)
            {
                break;
            }

            if (!found.Any(f => f.Id == edit.Id) && Closes(edit, spec, reader))
            {
                found.Add(edit);
            }
        }

        return found;
    }

    private static bool Closes(BuildBond edit, DesignSpec spec, DesignReader reader)
    {
        try
        {
            var read = reader.Read(edit.Apply(spec, reader));
            if (Sizer.TrySize(read.Design, read.Target) is not { } figures)
            {
                return false;
            }

            var closed = ClosedPose.Of(figures);
            return closed.Misses.Count == 0 && closed.Width <= figures.Width + Near && closed.Height <= figures.Height + Near;
        }
        catch (InputProblemException)
        {
            return false;
        }
    }

    /// <summary>Panels whose edges match: as long across, and the one no wider than the other.</summary>
    private static IEnumerable<(BuildBond Edit, double Misfit)> Candidates(Card card)
    {
        var glued = card.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => new[] { b.A.Plate, b.B.Plate }).ToHashSet();
        foreach (var own in card.Pieces.Skip(1).Where(p => p.Piece.OwnPlates is null))
        {
            foreach (var host in card.Pieces.Where(p => p != own && p.Piece.OwnPlates is null && p.Piece.Axis == own.Piece.Axis)
                .Where(h => (h.Across.Value - own.Across.Value).Abs() <= Near || own.Across.Value <= h.Across.Value))
            {
                foreach (var (panel, i) in own.Piece.Panels.Select((p, i) => (p, i)).Where(p => p.i == 0 || p.i == own.Piece.Panels.Count - 1)
                    .Where(p => !glued.Contains(new PlateRef(own.Piece.Copies[0], p.p.Id))))
                {
                    foreach (var (on, j) in host.Piece.Panels.Select((p, j) => (p, j)).Where(p => host.Panels[p.j].Extent >= own.Panels[i].Extent - Near))
                    {
                        foreach (var edit in Ways(own.Piece, i, host.Piece, j))
                        {
                            var misfit = (double)(host.Panels[j].Extent - own.Panels[i].Extent).Abs().Units + Math.Abs((host.Across.Value - own.Across.Value).Units);
                            yield return (edit, misfit);
                        }
                    }
                }
            }
        }
    }

    private static IEnumerable<BuildBond> Ways(Piece own, int panel, Piece host, int on)
    {
        var (start, extent) = (panel == 0 ? Affine.Zero : own.Position(panel - 1), own.Panels[panel].Extent);
        var (from, room) = (on == 0 ? Affine.Zero : host.Position(on - 1), host.Panels[on].Extent);
        Rectangle Of(Piece piece, Affine low, Affine high, Affine across) => piece.Axis == Axis.X ? new(low, Affine.Zero, high, across) : new(Affine.Zero, low, across, high);
        for (var way = 0; way < 8; way++)
        {
            var (atStart, mirrored, up) = ((way & 1) == 0, (way & 2) != 0, (way & 4) == 0);
            var (low, high) = atStart ? (from, from + extent) : (from + room - extent, from + room);
            var a = mirrored ? Of(host, high, low, own.Across) : Of(host, low, high, own.Across);
            var words = $"panel “{own.Panels[panel].Name}” to the {host.Name.ToLowerInvariant()}’s “{host.Panels[on].Name}”, flush {(atStart ? "at its start" : "at its end")} and at the foot{(up ? "" : ", from behind")}";
            yield return new BuildBond($"{own.Id}-{own.Panels[panel].Id}", new WrittenBond(
                $"{own.Id}-{own.Panels[panel].Id}", new WrittenSide(host.Copies[0].ToString(), host.Panels[on].Id, Face.Up, new WrittenRegion(ConstructionWriter.Write(a))),
                new WrittenSide(own.Copies[0].ToString(), own.Panels[panel].Id, up ? Face.Up : Face.Down,
                    new WrittenRegion(ConstructionWriter.Write(Of(own, start, start + extent, own.Across)))), words));
        }
    }
}

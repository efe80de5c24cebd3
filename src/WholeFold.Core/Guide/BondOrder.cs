using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>A bond in the order of making, and how it is pressed.</summary>
/// <param name="Folded">The creases that are folded over while the card is closed on it; <paramref name="Left"/> those that are left flat.</param>
public sealed record OrderedBond(Bond Bond, LaidBy Laid, IReadOnlyList<string> Folded, IReadOnlyList<string> Left);

/// <summary>The order in which a card's bonds can be made so that a hand reaches every one of them.</summary>
public static class BondOrder
{
    /// <summary>The bonds in an order in which each can be reached, as near as can be to that of the construction's own steps; null where there is none.</summary>
    public static IReadOnlyList<OrderedBond>? Of(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        var construction = figures.Construction;
        var left = construction.Bonds.Where(b => !b.IsLoose).ToDictionary(b => b.Id);
        var units = new List<Bond[]>();
        foreach (var step in construction.Steps.Where(s => s.Bonds.Count > 0))
        {
            units.Add([.. step.Bonds.Where(left.ContainsKey).Select(id => left[id])]);
            foreach (var id in step.Bonds)
            {
                left.Remove(id);
            }
        }

        units.AddRange(left.Values.Select(b => new[] { b }));
        var made = new List<(Bond Bond, LaidBy Laid)>();
        return Next(figures, [.. units.Where(u => u.Length > 0)], made, []) ? [.. made.Select(m => Told(figures, m.Bond, m.Laid))] : null;
    }

    /// <summary>How the bonds of one step are pressed, one after the other or all at once; null where no hand reaches them.</summary>
    public static IReadOnlyList<LaidBy>? Ways(Figures figures, IReadOnlyList<Bond> before, IReadOnlyList<Bond> step)
    {
        ArgumentNullException.ThrowIfNull(step);
        var (made, ways) = (before.ToList(), new List<LaidBy>());
        foreach (var bond in step)
        {
            if (new PartlyMade(figures, made).WayTo(bond) is not { } laid)
            {
                return step.Count > 1 && new PartlyMade(figures, before).AtOnce(step) ? [.. step.Select(_ => LaidBy.FoldedFlat)] : null;
            }

            ways.Add(laid);
            made.Add(bond);
        }

        return ways;
    }

    private static bool Next(Figures figures, List<Bond[]> left, List<(Bond Bond, LaidBy Laid)> made, HashSet<string> dead)
    {
        if (left.Count == 0)
        {
            return true;
        }

        var key = string.Join('|', left.Select(u => u[0].Id));
        if (!dead.Contains(key))
        {
            foreach (var unit in left)
            {
                if (Ways(figures, [.. made.Select(m => m.Bond)], unit) is not { } ways)
                {
                    continue;
                }

                made.AddRange(unit.Zip(ways));
                if (Next(figures, [.. left.Where(u => u != unit)], made, dead))
                {
                    return true;
                }

                made.RemoveRange(made.Count - unit.Length, unit.Length);
            }

            dead.Add(key);
        }

        return false;
    }

    /// <summary>Of the pieces that a bond joins, the creases that are folded over when the card is closed, and those that are not.</summary>
    private static OrderedBond Told(Figures figures, Bond bond, LaidBy laid)
    {
        var pieces = figures.Pieces.Where(p => p.Piece.Id == bond.A.Piece.Piece || p.Piece.Id == bond.B.Piece.Piece).ToList();
        var creases = pieces.SelectMany(p => p.AllScores.Select(s => (Name: s.Place, s.Crease.Closed))).ToList();
        return new OrderedBond(bond, laid, [.. creases.Where(c => c.Closed != 0).Select(c => c.Name).Distinct()], [.. creases.Where(c => c.Closed == 0).Select(c => c.Name).Distinct()]);
    }
}

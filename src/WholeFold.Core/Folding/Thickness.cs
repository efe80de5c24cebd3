using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>The closed card's thickness: over each spot, the caliper of every ply, layer and strip of tape that lies there.</summary>
internal static class Thickness
{
    public static Length Greatest(Construction construction, ClosedPose pose, IReadOnlyList<SizedPiece> pieces, IReadOnlyList<SizedLayer> layers, Design design)
    {
        var plies = new List<(Box Box, Length Caliper)>();
        foreach (var (id, piece) in pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))))
        {
            foreach (var panel in piece.Panels)
            {
                var key = ClosedPose.Key(id, panel.Panel.Id);
                var flat = ClosedPose.FlatBox(piece, panel);
                plies.Add((ClosedPose.BoxOf(pose.Placements[key], flat), design.StockOf(piece.Piece.Id).Caliper));
                foreach (var layer in layers.Where(l => l.Role.Piece == piece.Piece.Id && l.Panels.Contains(panel.Panel.Id)))
                {
                    // Once for each face they are cut for.
                    var box = layer.BoxOn(panel.Panel.Id);
                    for (var face = 0; face < (layer.Role.BothFaces ? 2 : 1); face++)
                    {
                        plies.Add((ClosedPose.BoxOf(pose.Placements[key], box), layer.Stock.Caliper + design.Adhesive.Thickness));
                    }
                }
            }
        }

        foreach (var bond in construction.Bonds.Where(b => !b.Loose))
        {
            var (x, y, width, height) = pose.BondRegions[bond.Id];
            plies.Add((new Box(x, y, x + width, y + height), bond.Raised?.Metric ?? Adhesive.Tape.Thickness));
        }

        // The sum only changes at edges, and is greatest just inside some left and some bottom edge.
        var greatest = Length.Zero;
        foreach (var x in plies.Select(p => p.Box.Left).Distinct())
        {
            var here = plies.Where(p => p.Box.Left <= x && x < p.Box.Right).ToList();
            foreach (var y in here.Select(p => p.Box.Bottom).Distinct())
            {
                var sum = here.Where(p => p.Box.Bottom <= y && y < p.Box.Top).Aggregate(Length.Zero, (total, p) => total + p.Caliper);
                greatest = Length.Max(greatest, sum);
            }
        }

        return greatest;
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>Which plate lies above which where a part lies flat: a valley folds over the face that is up, and a bond lies on its face.</summary>
internal static class PlyOrder
{
    /// <summary>How many plies lie below each plate at least; null where that goes round in a circle.</summary>
    /// <param name="frames">Where each plate lies, all of them flat.</param>
    /// <param name="angle">The fold angle of a crease, by piece and place: 0 or ±180.</param>
    /// <param name="known">What else is known of which lies above which.</param>
    public static Dictionary<PlateRef, int>? Levels(Figures figures, IReadOnlyDictionary<PlateRef, RigidTransform> frames, IReadOnlyList<Bond> made,
        Func<SizedPiece, int, int> angle, IReadOnlyList<(PlateRef Lower, PlateRef Upper)>? known = null)
    {
        var over = new List<(PlateRef Lower, PlateRef Upper)>(known ?? []);
        var level = new List<(PlateRef, PlateRef)>();
        void Lies(PlateRef on, PlateRef other, bool onItsUp)
        {
            var above = frames[on].Ez.Z > 0 == onItsUp;
            over.Add(above ? (on, other) : (other, on));
        }

        foreach (var (plate, _) in frames)
        {
            var piece = figures.PieceOf(plate.Piece);
            if (piece.Plate(plate.Plate) is { HangsOn: { } hangs, By: var by })
            {
                var (parent, folded) = (new PlateRef(plate.Piece, hangs), angle(piece, by));
                if (folded == 0)
                {
                    level.Add((parent, plate));
                }
                else
                {
                    Lies(parent, plate, folded > 0);
                }
            }
        }

        foreach (var bond in made.Where(b => frames.ContainsKey(b.A.Plate) && frames.ContainsKey(b.B.Plate)))
        {
            Lies(bond.A.Plate, bond.B.Plate, bond.A.On.Face == Face.Up);
        }

        var levels = frames.Keys.ToDictionary(k => k, _ => 0);
        for (var round = 0; round <= frames.Count + 1; round++)
        {
            var moved = false;
            foreach (var (lower, upper) in over)
            {
                if (levels[upper] < levels[lower] + 1)
                {
                    (levels[upper], moved) = (levels[lower] + 1, true);
                }
            }

            foreach (var (one, other) in level)
            {
                var top = Math.Max(levels[one], levels[other]);
                moved |= levels[one] != top || levels[other] != top;
                (levels[one], levels[other]) = (top, top);
            }

            if (!moved)
            {
                return levels;
            }
        }

        return null;
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A panel as it lies in the closed card.</summary>
/// <param name="Corners">Its outline, seen from above; a line where it stands upright.</param>
/// <param name="FaceUp">True where the face that was up on the board lies up in the closed card.</param>
public sealed record PlacedPanel(PlateRef Plate, IReadOnlyList<Point> Corners, bool FaceUp)
{
    /// <summary>The rectangle that it lies in.</summary>
    public Box Box { get; } = Box.Round(Corners);
}

/// <summary>A bond whose two regions do not lie on each other when the card is closed, or a ring of creases that does not close.</summary>
/// <param name="Bond">The bond; null for a ring.</param>
/// <param name="By">How far apart their corners are at the worst.</param>
public sealed record BondMiss(string? Bond, Length By, bool WrongFace);

/// <summary>
/// The card in its envelope, or in another state that lies flat: folded at the creases that are folded over, exact in whole
/// units. Pieces are laid in by their bonds; every further bond, and every ring of creases, is a test.
/// </summary>
/// <param name="Deep">How far it stands up where panels are folded up and not over, as round a box; zero where it lies flat.</param>
public sealed record ClosedPose(IReadOnlyList<PlacedPanel> Panels, IReadOnlyList<BondMiss> Misses, Length Deep)
{
    public Box Footprint { get; } = Box.Round([.. Panels.SelectMany(p => p.Corners)]);

    public Length Width => Footprint.Width;

    public Length Height => Footprint.Height;

    internal IReadOnlyDictionary<PlateRef, RigidTransform> Frames { get; init; } = new Dictionary<PlateRef, RigidTransform>();

    /// <summary>Whether the card's sides slant on its sheet, so that everything is turned by 45° to be looked at.</summary>
    internal bool Slanting { get; init; }

    /// <summary>Whether it is counted from the card's head, and so is turned round.</summary>
    internal bool FromHead { get; init; }

    /// <summary>What doubles lose on a third of a unit, and far below one.</summary>
    private const double Nothing = 1e-3;

    /// <summary>What is a hair less hangs in the middle of its hair, on half a unit at either end.</summary>
    private const double InTheMiddle = 1.5;

    /// <summary>The card closed, or in another state.</summary>
    public static ClosedPose Of(Figures figures, CardState? state = null) => Of(figures.Construction, figures.Pieces, figures.Evaluator, Linkage.For(figures), state);

    /// <summary>Folds the pieces flat and joins them by their bonds.</summary>
    /// <param name="value">Evaluates a bond's region at the sized figures.</param>
    /// <param name="state">Another state than the closed one.</param>
    internal static ClosedPose Of(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, CardState? state = null) =>
        Of(construction, pieces, value, new Linkage(construction, pieces, value, construction.Bonds, null), state);

    private static ClosedPose Of(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, Linkage linkage, CardState? state)
    {
        var folds = pieces.ToDictionary(p => p.Piece.Id);
        var assembly = linkage.At(crease => state is not null && state.Angles.TryGetValue(crease, out var angle) ? angle : folds[crease.Piece].Score(crease.Index).Crease.Closed);
        var misses = new List<BondMiss>();
        foreach (var joint in assembly.Joints)
        {
            var play = joint.Bond?.Play is { } p ? value(p).Ceiling() : 0;
            if (joint.Bond is not { IsLoose: true } && (joint.Apart > play + (play > 0 ? InTheMiddle : Nothing) || joint.WrongFace))
            {
                misses.Add(new BondMiss(joint.Bond?.Id, new Length((long)Math.Ceiling(joint.Apart - Nothing)), joint.WrongFace));
            }
        }

        var placed = new List<PlacedPanel>();
        double low = 0, high = 0;
        foreach (var (id, piece) in pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))))
        {
            foreach (var plate in piece.Plates)
            {
                var frame = assembly.Frames[new PlateRef(id, plate.Id)];
                foreach (var corner in plate.Corners)
                {
                    var z = frame.Apply(corner.X.Units, corner.Y.Units).Z;
                    (low, high) = (Math.Min(low, z), Math.Max(high, z));
                }

                placed.Add(new PlacedPanel(new PlateRef(id, plate.Id), [.. plate.Corners.Select(c => Seen(frame, c, construction.Slanting, construction.FromHead))], frame.Ez.Z > 0));
            }
        }

        return new ClosedPose(placed, misses, new Length((long)Math.Round(high - low))) { Frames = assembly.Frames, Slanting = construction.Slanting, FromHead = construction.FromHead };
    }

    /// <summary>Where points of a flat piece lie in this pose, seen from above.</summary>
    public IReadOnlyList<Point> Place(PlateRef plate, IEnumerable<Point> points)
    {
        var frame = Frames[plate];
        return [.. points.Select(p => Seen(frame, p, Slanting, FromHead))];
    }

    private static Point Seen(RigidTransform frame, Point flat, bool slanting, bool fromHead)
    {
        var at = frame.Apply(flat.X.Units, flat.Y.Units);
        var (x, y) = slanting ? ((at.X - at.Y) / Math.Sqrt(2), (at.X + at.Y) / Math.Sqrt(2)) : (at.X, at.Y);
        var turn = fromHead ? -1 : 1;
        return new Point(new Length((long)Math.Round(turn * x)), new Length((long)Math.Round(turn * y)));
    }
}

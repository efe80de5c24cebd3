using NetTopologySuite.Geometries;
using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>How the parts lie while a bond is pressed.</summary>
public enum LaidBy
{
    /// <summary>Both parts lie flat on the table, nothing folded but what is glued shut already.</summary>
    Flat,

    /// <summary>At least one part lies folded flat, as it goes into the envelope.</summary>
    FoldedFlat,

    /// <summary>The card is closed on the adhesive, so that the part finds its own place.</summary>
    Closed,

    /// <summary>It stands up as it is folded, and a hand goes in through an opening that is left.</summary>
    Opening,
}

/// <summary>
/// A card of which some bonds are made: in which poses each part of it can lie flat, what is covered in them, and so whether
/// the next bond can be reached by a hand.
/// </summary>
/// <remarks>
/// A part lies flat where every crease is flat or folded over, every bond made so far meets and every ring closes. Which ply lies
/// above which follows from the folds (a valley folds over the face that is up) and from the bonds. A region is reached where
/// nothing of its own part lies over it but what can be folded away: what hangs on it by a crease that no ring of bonds holds yet.
/// Nothing of this is declared: it is worked out from the angles and the bonds.
/// </remarks>
internal sealed class PartlyMade(Figures figures, IReadOnlyList<Bond> made)
{
    /// <summary>Of a region, what may be covered by a neighbour that only just meets it.</summary>
    private const double Sliver = 0.02;

    private readonly Dictionary<PlateRef, IReadOnlyList<FlatPose>> _poses = [];
    private readonly Lazy<Dictionary<PlateRef, int>> _stiff = new(() => StiffParts(figures, made));

    /// <summary>One flat pose of a part: where its plates lie, and which lies above which.</summary>
    private sealed record FlatPose(LaidBy As, IReadOnlyDictionary<PlateRef, RigidTransform> Frames, IReadOnlyDictionary<PlateRef, int>? Levels);

    /// <summary>How a bond can be pressed next; null where no hand reaches it.</summary>
    public LaidBy? WayTo(Bond bond)
    {
        var (a, b) = (Poses(bond.A.Plate), Poses(bond.B.Plate));
        var together = a.Count > 0 && a[0].Frames.ContainsKey(bond.B.Plate);
        if (!together)
        {
            foreach (var laid in new[] { LaidBy.Flat, LaidBy.FoldedFlat })
            {
                if (a.Any(p => p.As <= laid && IsOpen(bond.A, p)) && b.Any(p => p.As <= laid && IsOpen(bond.B, p)))
                {
                    return laid;
                }
            }

            return null;
        }

        // A ring closes with this bond: the adhesive goes on where a face is open, and folding the card brings the other to it.
        return a.Any(p => IsOpen(bond.A, p)) || b.Any(p => IsOpen(bond.B, p)) ? a.All(p => p.As != LaidBy.Opening) ? LaidBy.Closed : LaidBy.Opening : null;
    }

    /// <summary>What a hand goes in by, and how far it reaches.</summary>
    private static readonly Length HandWide = Length.Mm(25), HandHigh = Length.Mm(20), HandReaches = Length.Mm(75);

    /// <summary>Of a part that stands up: whether something on it still opens like a lid, wide enough for a hand and near enough to what is pressed.</summary>
    private bool LetsAHandIn(PlateRef own, IReadOnlyList<Measure.Point> corners, FlatPose pose)
    {
        var pressed = corners.Select(c => pose.Frames[own].Apply(c.X.Units, c.Y.Units)).ToList();
        return pose.Frames.Any(other => _stiff.Value[other.Key] != _stiff.Value[own]
            && figures.PlateOf(other.Key) is var lid && Length.Max(lid.Box.Width, lid.Box.Height) >= HandWide && Length.Min(lid.Box.Width, lid.Box.Height) >= HandHigh
            && lid.Corners.Select(c => other.Value.Apply(c.X.Units, c.Y.Units)).Min(c => pressed.Min(at => (c - at).Length)) <= HandReaches.Units);
    }

    /// <summary>
    /// Whether several bonds can be pressed at once, as a face is laid on both its pillars: all between the same two parts, both
    /// folded flat as when the card is closed, and none of them covered.
    /// </summary>
    public bool AtOnce(IReadOnlyList<Bond> bonds)
    {
        FlatPose? Closed(BondSide side) => Poses(side.Plate).FirstOrDefault(p => p.As == LaidBy.FoldedFlat && p.Levels is not null);
        var (a, b) = (Closed(bonds[0].A), Closed(bonds[0].B));
        return a is not null && b is not null && !a.Frames.ContainsKey(bonds[0].B.Plate)
            && bonds.All(bond => (a.Frames.ContainsKey(bond.A.Plate) && b.Frames.ContainsKey(bond.B.Plate) && IsOpen(bond.A, a) && IsOpen(bond.B, b))
                || (a.Frames.ContainsKey(bond.B.Plate) && b.Frames.ContainsKey(bond.A.Plate) && IsOpen(bond.B, a) && IsOpen(bond.A, b)));
    }

    private IReadOnlyList<FlatPose> Poses(PlateRef from) => _poses.TryGetValue(from, out var known) ? known : _poses[from] =
    [
        .. new (LaidBy As, Func<SizedPiece, int, int> Angle)[]
        {
            (LaidBy.Flat, (_, _) => 0),
            (LaidBy.Flat, (piece, crease) => piece.Score(crease).Crease is { Working: false } set ? set.Closed : 0),
            (LaidBy.FoldedFlat, (piece, crease) => piece.Score(crease).Crease.Closed),
            (LaidBy.FoldedFlat, OtherWay),
            (LaidBy.FoldedFlat, (piece, crease) => IsHeldOver(piece.Piece.Id) ? piece.Score(crease).Crease.Closed : 0),
        }.Select(mode => PoseOf(from, mode.As, mode.Angle)).OfType<FlatPose>(),
    ];

    /// <summary>Pressed flat the other way, as everything can that shears: what lies flat in the envelope is folded over, and the other way about.</summary>
    private static int OtherWay(SizedPiece piece, int crease) => piece.Score(crease).Crease is var its && its.Closed != 0 ? 0 : its.Fold == Fold.Valley ? 180 : -180;

    /// <summary>A piece that is bonded to itself, so that some of its creases are folded over by now.</summary>
    private bool IsHeldOver(string piece) => made.Any(b => b.A.Piece.Piece == piece && b.B.Piece == b.A.Piece);

    private FlatPose? PoseOf(PlateRef from, LaidBy laid, Func<SizedPiece, int, int> angle)
    {
        var assembly = Assembly.Partly(figures, (piece, crease) => angle(piece, crease), made, from);
        var mark = figures.Tools.CutMarks.Max().Units + figures.Tools.RulerMarks.Select(m => m.Units).DefaultIfEmpty(0).Max();
        bool Meets(Joint joint) => !joint.WrongFace && joint.Apart <= mark + (joint.Bond?.Play is { } play ? (double)figures.Evaluator(play).Ceiling() : 0);
        var flat = assembly.Frames.Values.All(f => Math.Abs(Math.Abs(f.Ez.Z) - 1) < 1e-6);
        return !assembly.Joints.All(Meets) ? null
            : flat ? new FlatPose(laid, assembly.Frames, PlyOrder.Levels(figures, assembly.Frames, made, angle))
            : laid == LaidBy.FoldedFlat ? new FlatPose(LaidBy.Opening, assembly.Frames, null) : null;
    }

    /// <summary>Whether a hand can put something on a region of a face in some pose of the card as far as it is made.</summary>
    public bool Reaches(FaceRef face, IReadOnlyList<Measure.Point> corners) => Poses(face.Plate).Any(p => IsOpen(face, corners, p));

    private bool IsOpen(BondSide side, FlatPose pose) => IsOpen(side.On, [.. side.Region.Corners.Select(figures.ValueOf)], pose);

    /// <summary>Whether nothing of its own part lies over a region, on the face that is to be bonded.</summary>
    private bool IsOpen(FaceRef face, IReadOnlyList<Measure.Point> corners, FlatPose pose)
    {
        var own = face.Plate;
        if (pose.Levels is not { } levels)
        {
            return pose.As == LaidBy.Opening ? LetsAHandIn(own, corners, pose) : pose.Frames.Count == 1;
        }

        var frame = pose.Frames[own];
        var up = face.Face == Face.Up == frame.Ez.Z > 0;
        var region = Shape(corners, frame);
        var stiff = _stiff.Value;
        return pose.Frames.All(other => other.Key == own
            || stiff[other.Key] != stiff[own]
            || (up ? levels[other.Key] < levels[own] : levels[other.Key] > levels[own])
            || Shape(figures.PlateOf(other.Key).Corners, other.Value).Intersection(region).Area <= Sliver * region.Area);
    }

    /// <summary>
    /// Plates that cannot be folded away from each other: those in one ring of creases and bonds. A crease that is in none can
    /// be opened, and what hangs on it with it. By Tarjan's bridges, bonds counting as one and the same place.
    /// </summary>
    private static Dictionary<PlateRef, int> StiffParts(Figures figures, IReadOnlyList<Bond> made)
    {
        var plates = figures.Pieces.SelectMany(p => p.Piece.Copies.SelectMany(c => p.Plates.Select(q => new PlateRef(c, q.Id)))).ToList();
        var place = plates.ToDictionary(p => p, p => p);
        PlateRef Root(PlateRef p) => place[p] == p ? p : place[p] = Root(place[p]);
        foreach (var bond in made)
        {
            place[Root(bond.A.Plate)] = Root(bond.B.Plate);
        }

        var creases = figures.Pieces.SelectMany(p => p.Piece.Copies.SelectMany(c => p.Plates.Where(q => q.HangsOn is not null).Select(q => (new PlateRef(c, q.HangsOn!), new PlateRef(c, q.Id)))
            .Concat(p.Piece.Rings.Select(r => (new PlateRef(c, r.One), new PlateRef(c, r.Other)))))).Select(e => (From: Root(e.Item1), To: Root(e.Item2))).ToList();
        var (seen, low, part, next, parts) = (new Dictionary<PlateRef, int>(), new Dictionary<PlateRef, int>(), new Dictionary<PlateRef, int>(), 0, 0);
        var open = new Stack<PlateRef>();
        void Visit(PlateRef at, int by)
        {
            seen[at] = low[at] = next++;
            open.Push(at);
            for (var i = 0; i < creases.Count; i++)
            {
                if (i == by || (creases[i].From != at && creases[i].To != at))
                {
                    continue;
                }

                var other = creases[i].From == at ? creases[i].To : creases[i].From;
                if (!seen.TryGetValue(other, out var before))
                {
                    Visit(other, i);
                    low[at] = Math.Min(low[at], low[other]);
                }
                else if (!part.ContainsKey(other))
                {
                    low[at] = Math.Min(low[at], before);
                }
            }

            if (low[at] == seen[at])
            {
                PlateRef member;
                do
                {
                    member = open.Pop();
                    part[member] = parts;
                }
                while (member != at);
                parts++;
            }
        }

        foreach (var root in plates.Select(Root).Distinct().Where(r => !seen.ContainsKey(r)).ToList())
        {
            if (!seen.ContainsKey(root))
            {
                Visit(root, -1);
            }
        }

        return plates.ToDictionary(p => p, p => part[Root(p)]);
    }

    private static Geometry Shape(IEnumerable<Measure.Point> corners, RigidTransform frame) =>
        Plane.Shape(corners.Select(c => frame.Apply(c.X.Units, c.Y.Units)).Select(v => (Math.Round(v.X), Math.Round(v.Y))));
}

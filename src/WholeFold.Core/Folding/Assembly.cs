using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A place where two plates must meet that the frames do not hold together by themselves.</summary>
/// <param name="Bond">The bond, or null for a crease in a ring.</param>
/// <param name="One">Its points as the one plate holds them, in space; <paramref name="Other"/> as the other does.</param>
/// <param name="WrongFace">Whether the faces that lie on each other are not those that should.</param>
internal sealed record Joint(Bond? Bond, IReadOnlyList<Vec> One, IReadOnlyList<Vec> Other, bool WrongFace)
{
    public double Apart => One.Zip(Other, (a, b) => (a - b).Greatest).Max();
}

/// <summary>
/// A card folded by given angles: plates hang on each other by their creases, pieces on pieces by their bonds. What meets
/// beyond that is a joint, and says whether the angles go together.
/// </summary>
/// <param name="Frames">Where each plate of each piece lies.</param>
internal sealed record Assembly(IReadOnlyDictionary<PlateRef, RigidTransform> Frames, IReadOnlyList<Joint> Joints)
{
    /// <param name="value">Evaluates a bond's region at the sized figures.</param>
    /// <param name="angle">The fold angle of a crease, by piece and place; valley positive.</param>
    /// <param name="lift">How far a piece stands off the one that it is laid on, so that a drawing tells them apart; 0 to measure.</param>
    public static Assembly Of(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, Func<SizedPiece, int, double> angle, double lift = 0) =>
        Of(construction, pieces, value, angle, lift, construction.Bonds, null);

    /// <summary>What of a card hangs together with one of its plates by the bonds that are made so far.</summary>
    public static Assembly Partly(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, Func<SizedPiece, int, double> angle, IReadOnlyList<Bond> made, PlateRef from) =>
        Of(construction, pieces, value, angle, 0, made, from);

    private static Assembly Of(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, Func<SizedPiece, int, double> angle, double lift, IReadOnlyList<Bond> bonds, PlateRef? from)
    {
        // Each part of a piece (there are several where it is cut in two) within itself, its first plate lying still.
        var within = new Dictionary<PlateRef, (PlateRef Part, RigidTransform RigidTransform)>();
        var flat = new Dictionary<PlateRef, SizedPlate>();
        var copies = pieces.SelectMany(p => p.Piece.Copies.Select(id => (Id: id, Piece: p))).ToList();
        foreach (var (id, piece) in copies)
        {
            foreach (var plate in piece.Plates)
            {
                var key = new PlateRef(id, plate.Id);
                flat[key] = plate;
                within[key] = plate.HangsOn is { } on && within[new PlateRef(id, on)] is var (part, frame)
                    ? (part, frame.Compose(Folded(piece, plate, plate.By, angle(piece, plate.By))))
                    : (key, RigidTransform.Still);
            }
        }

        var parts = new Dictionary<PlateRef, RigidTransform> { [from is { } first ? within[first].Part : within.First().Value.Part] = RigidTransform.Still };
        var joints = new List<Joint>();
        var left = bonds.ToList();
        while (left.Count > 0)
        {
            var index = left.FindIndex(b => parts.ContainsKey(within[b.A.Plate].Part) || parts.ContainsKey(within[b.B.Plate].Part));
            if (index < 0 && from is not null)
            {
                break;
            }

            if (index < 0)
            {
                throw new InvalidOperationException($"{construction.Id}: {left[0].Id} joins pieces that nothing holds.");
            }

            var bond = left[index];
            left.RemoveAt(index);
            var (a, b) = (within[bond.A.Plate], within[bond.B.Plate]);
            var (onA, onB) = (Exact(bond.A.Region.Anchors, value), Exact(bond.B.Region.Anchors, value));
            if (!parts.TryGetValue(a.Part, out var partA))
            {
                parts[a.Part] = partA = parts[b.Part].Compose(b.RigidTransform).Compose(Lifted(RigidTransform.Laid(onA, onB), bond.B.On.Face, lift)).Compose(a.RigidTransform.Inverse);
            }

            if (!parts.TryGetValue(b.Part, out var partB))
            {
                parts[b.Part] = partB = partA.Compose(a.RigidTransform).Compose(Lifted(RigidTransform.Laid(onB, onA), bond.A.On.Face, lift)).Compose(b.RigidTransform.Inverse);
            }

            var (frameA, frameB) = (partA.Compose(a.RigidTransform), partB.Compose(b.RigidTransform));

            // Glued face to face: what one calls up, the other calls down, unless each shows the other its like.
            var facing = frameA.Ez.Dot(frameB.Ez) * (bond.A.On.Face == bond.B.On.Face ? -1 : 1);
            joints.Add(new Joint(bond, [.. Exact(bond.A.Region.Corners, value).Select(frameA.Apply)], [.. Exact(bond.B.Region.Corners, value).Select(frameB.Apply)], facing < 0));
        }

        foreach (var (key, (part, _)) in from is null ? within : [])
        {
            if (!parts.ContainsKey(part))
            {
                throw new InvalidOperationException($"{construction.Id}: nothing holds {key}.");
            }
        }

        var frames = within.Where(p => parts.ContainsKey(p.Value.Part)).ToDictionary(p => p.Key, p => parts[p.Value.Part].Compose(p.Value.RigidTransform));
        foreach (var (id, piece) in copies)
        {
            foreach (var ring in piece.Piece.Rings.Where(r => frames.ContainsKey(new PlateRef(id, r.One)) && frames.ContainsKey(new PlateRef(id, r.Other))))
            {
                // Across the crease the other plate, folded by its angle, must be where it already is.
                var onward = frames[new PlateRef(id, ring.One)].Compose(Folded(piece, flat[new PlateRef(id, ring.Other)], ring.By, angle(piece, ring.By)));
                var corners = flat[new PlateRef(id, ring.Other)].Corners.Select(c => new Vec(c.X.Units, c.Y.Units, 0)).ToList();
                joints.Add(new Joint(null, [.. corners.Select(onward.Apply)], [.. corners.Select(frames[new PlateRef(id, ring.Other)].Apply)], false));
            }
        }

        return new Assembly(frames, joints);
    }

    /// <summary>The turn about a crease that brings a plate from the flat sheet up to its fold angle.</summary>
    private static RigidTransform Folded(SizedPiece piece, SizedPlate plate, int crease, double degrees)
    {
        if (degrees == 0)
        {
            return RigidTransform.Still;
        }

        var score = piece.Score(crease);
        var at = new Vec(score.From.X.Units, score.From.Y.Units, 0);
        var along = new Vec(score.To.X.Units, score.To.Y.Units, 0) - at;

        // A valley lifts the plate, so it is turned about the crease with the plate on its left hand.
        var middle = plate.Corners.Aggregate(default(Vec), (sum, c) => sum + new Vec(c.X.Units, c.Y.Units, 0)) * (1d / plate.Corners.Count);
        return RigidTransform.Turned(at, along.Cross(middle - at).Z < 0 ? along * -1 : along, degrees);
    }

    private static RigidTransform Lifted(RigidTransform frame, Face face, double lift) => frame with { Move = frame.Move + new Vec(0, 0, face == Face.Up ? lift : -lift) };

    /// <summary>Not rounded: a quarter of a square need not be a whole unit for two regions to meet.</summary>
    private static List<Vec> Exact(IReadOnlyList<Spot> spots, Func<Affine, Rational> value)
    {
        static double Exact(Rational r) => (double)r.Numerator / r.Denominator;
        return [.. spots.Select(spot => new Vec(Exact(value(spot.X)), Exact(value(spot.Y)), 0))];
    }
}

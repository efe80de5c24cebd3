using System.Runtime.CompilerServices;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>
/// How the plates of a sized card hang together, whatever its angles: which plate hangs on which by which crease, in which order
/// bonds bring pieces to pieces, and where each region lies on its plate. All that does not change while a card moves is worked
/// out once, so that a pose costs no more than its turns.
/// </summary>
internal sealed class Linkage
{
    private static readonly ConditionalWeakTable<Figures, Linkage> Known = [];

    private readonly List<CreaseRef> _creases = [];
    private readonly Dictionary<CreaseRef, int> _placeOfCrease = [];
    private readonly List<PlateRef> _plates = [];
    private readonly Dictionary<PlateRef, int> _placeOfPlate = [];
    private readonly List<Hanging> _hanging = [];
    private readonly List<Meeting> _meetings = [];
    private readonly List<Closing> _rings = [];
    private readonly int _still;

    /// <summary>A plate within its part: the first of a part hangs on nothing and lies still.</summary>
    private readonly record struct Hanging(int Part, int On, Hinge By);

    /// <summary>The line that a plate is turned about, its plate on the left hand, and whose angle that is.</summary>
    private readonly record struct Hinge(int Crease, Vec At, Vec Along);

    /// <summary>A bond: which of its parts it brings to the other, if any, and its region as each plate holds it.</summary>
    private sealed record Meeting(Bond Bond, int A, int B, bool BringsA, bool BringsB, RigidTransform Laid, Vec[] OnA, Vec[] OnB);

    /// <summary>A crease in a ring: across it the other plate must be where it already is.</summary>
    private sealed record Closing(int One, int Other, Hinge By, Vec[] Corners);

    /// <param name="value">Evaluates a bond's region at the sized figures.</param>
    /// <param name="bonds">Those that are made.</param>
    /// <param name="from">The plate whose part lies still, and beyond whose bonds nothing is looked at; null for the whole card.</param>
    /// <exception cref="InvalidOperationException">Of a whole card: some piece is held by nothing.</exception>
    public Linkage(Construction construction, IReadOnlyList<SizedPiece> pieces, Func<Affine, Rational> value, IReadOnlyList<Bond> bonds, PlateRef? from)
    {
        // Each part of a piece (there are several where it is cut in two) within itself, its first plate lying still.
        var copies = pieces.SelectMany(p => p.Piece.Copies.Select(id => (Id: id, Piece: p))).ToList();
        foreach (var (id, piece) in copies)
        {
            foreach (var plate in piece.Plates)
            {
                var place = _plates.Count;
                _placeOfPlate[new PlateRef(id, plate.Id)] = place;
                _plates.Add(new PlateRef(id, plate.Id));
                _hanging.Add(plate.HangsOn is { } on && _placeOfPlate[new PlateRef(id, on)] is var above
                    ? new Hanging(_hanging[above].Part, above, HingeOf(piece, plate, plate.By)) : new Hanging(place, -1, default));
            }
        }

        _still = from is { } first ? _hanging[_placeOfPlate[first]].Part : 0;
        var held = new HashSet<int> { _still };
        var left = bonds.ToList();
        while (left.Count > 0)
        {
            var index = left.FindIndex(b => held.Contains(PartOf(b.A.Plate)) || held.Contains(PartOf(b.B.Plate)));
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
            var (onA, onB) = (Exact(bond.A.Region.Anchors, value), Exact(bond.B.Region.Anchors, value));
            var bringsA = held.Add(PartOf(bond.A.Plate));
            var bringsB = held.Add(PartOf(bond.B.Plate));
            var laid = bringsA ? RigidTransform.Laid(onA, onB) : bringsB ? RigidTransform.Laid(onB, onA) : RigidTransform.Still;
            _meetings.Add(new Meeting(bond, _placeOfPlate[bond.A.Plate], _placeOfPlate[bond.B.Plate], bringsA, bringsB, laid, Exact(bond.A.Region.Corners, value),
                Exact(bond.B.Region.Corners, value)));
        }

        if (from is null && _hanging.FindIndex(h => !held.Contains(h.Part)) is >= 0 and var loose)
        {
            throw new InvalidOperationException($"{construction.Id}: nothing holds {_plates[loose]}.");
        }

        Held = [.. _hanging.Select(h => held.Contains(h.Part))];
        foreach (var (id, piece) in copies)
        {
            foreach (var ring in piece.Piece.Rings)
            {
                var (one, other) = (_placeOfPlate[new PlateRef(id, ring.One)], _placeOfPlate[new PlateRef(id, ring.Other)]);
                if (Held[one] && Held[other])
                {
                    var plate = piece.Plate(ring.Other);
                    _rings.Add(new Closing(one, other, HingeOf(piece, plate, ring.By), [.. plate.Corners.Select(c => new Vec(c.X.Units, c.Y.Units, 0))]));
                }
            }
        }
    }

    /// <summary>The whole card; worked out once for each of its results.</summary>
    public static Linkage For(Figures figures) => Known.GetValue(figures, f => new Linkage(f.Construction, f.Pieces, f.Evaluator, f.Construction.Bonds, null));

    /// <summary>The creases whose angles count, in the order in which <see cref="Frames"/> takes them.</summary>
    public IReadOnlyList<CreaseRef> Creases => _creases;

    private bool[] Held { get; }

    public int PlaceOf(PlateRef plate) => _placeOfPlate[plate];

    public Assembly At(Func<CreaseRef, double> angle, double lift = 0)
    {
        double[] angles = [.. _creases.Select(angle)];
        var frames = Frames(angles, lift);
        var places = new Dictionary<PlateRef, RigidTransform>(_plates.Count);
        for (var i = 0; i < frames.Length; i++)
        {
            if (Held[i])
            {
                places[_plates[i]] = frames[i];
            }
        }

        return new Assembly(places, Joints(frames, angles));
    }

    /// <summary>Where each plate lies; what nothing holds lies where it will.</summary>
    /// <param name="angles">By the order of <see cref="Creases"/>, in degrees; valley positive.</param>
    public RigidTransform[] Frames(IReadOnlyList<double> angles, double lift = 0)
    {
        var within = new RigidTransform[_plates.Count];
        for (var i = 0; i < within.Length; i++)
        {
            within[i] = _hanging[i].On < 0 ? RigidTransform.Still : within[_hanging[i].On].Compose(Folded(_hanging[i].By, angles));
        }

        var parts = new RigidTransform[_plates.Count];
        parts[_still] = RigidTransform.Still;
        foreach (var m in _meetings)
        {
            var (a, b) = (_hanging[m.A].Part, _hanging[m.B].Part);
            if (m.BringsA)
            {
                parts[a] = parts[b].Compose(within[m.B]).Compose(Lifted(m.Laid, m.Bond.B.On.Face, lift)).Compose(within[m.A].Inverse);
            }

            if (m.BringsB)
            {
                parts[b] = parts[a].Compose(within[m.A]).Compose(Lifted(m.Laid, m.Bond.A.On.Face, lift)).Compose(within[m.B].Inverse);
            }
        }

        for (var i = 0; i < within.Length; i++)
        {
            within[i] = parts[_hanging[i].Part].Compose(within[i]);
        }

        return within;
    }

    /// <summary>What must meet beyond what the frames hold together by themselves.</summary>
    public IReadOnlyList<Joint> Joints(RigidTransform[] frames, IReadOnlyList<double> angles)
    {
        var joints = new List<Joint>(_meetings.Count + _rings.Count);
        foreach (var m in _meetings)
        {
            // Glued face to face: what one calls up, the other calls down, unless each shows the other its like.
            var facing = frames[m.A].Ez.Dot(frames[m.B].Ez) * (m.Bond.A.On.Face == m.Bond.B.On.Face ? -1 : 1);
            joints.Add(new Joint(m.Bond, Array.ConvertAll(m.OnA, frames[m.A].Apply), Array.ConvertAll(m.OnB, frames[m.B].Apply), facing < 0));
        }

        foreach (var ring in _rings)
        {
            // Across the crease the other plate, folded by its angle, must be where it already is.
            var onward = frames[ring.One].Compose(Folded(ring.By, angles));
            joints.Add(new Joint(null, Array.ConvertAll(ring.Corners, onward.Apply), Array.ConvertAll(ring.Corners, frames[ring.Other].Apply), false));
        }

        return joints;
    }

    private int PartOf(PlateRef plate) => _hanging[_placeOfPlate[plate]].Part;

    private Hinge HingeOf(SizedPiece piece, SizedPlate plate, int crease)
    {
        var key = new CreaseRef(piece.Piece.Id, crease);
        if (!_placeOfCrease.TryGetValue(key, out var place))
        {
            _placeOfCrease[key] = place = _creases.Count;
            _creases.Add(key);
        }

        // A valley lifts the plate, so it is turned about the crease with the plate on its left hand.
        var score = piece.Score(crease);
        var at = new Vec(score.From.X.Units, score.From.Y.Units, 0);
        var along = new Vec(score.To.X.Units, score.To.Y.Units, 0) - at;
        var middle = plate.Corners.Aggregate(default(Vec), (sum, c) => sum + new Vec(c.X.Units, c.Y.Units, 0)) * (1d / plate.Corners.Count);
        return new Hinge(place, at, along.Cross(middle - at).Z < 0 ? along * -1 : along);
    }

    /// <summary>The turn about a crease that brings a plate from the flat sheet up to its fold angle.</summary>
    private static RigidTransform Folded(Hinge by, IReadOnlyList<double> angles) => angles[by.Crease] == 0 ? RigidTransform.Still : RigidTransform.Turned(by.At, by.Along, angles[by.Crease]);

    private static RigidTransform Lifted(RigidTransform frame, Face face, double lift) => frame with { Move = frame.Move + new Vec(0, 0, face == Face.Up ? lift : -lift) };

    /// <summary>Not rounded: a quarter of a square need not be a whole unit for two regions to meet.</summary>
    private static Vec[] Exact(IReadOnlyList<Spot> spots, Func<Affine, Rational> value)
    {
        static double Exact(Rational r) => (double)r.Numerator / r.Denominator;
        return [.. spots.Select(spot => new Vec(Exact(value(spot.X)), Exact(value(spot.Y)), 0))];
    }
}

using System.Runtime.CompilerServices;
using MathNet.Numerics.LinearAlgebra;
using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A card on the way from closed to shown.</summary>
/// <param name="Share">0 where it is closed, 1 where it is shown.</param>
/// <param name="Angles">The fold angle of each crease that moves, by piece and place.</param>
/// <param name="Apart">How far bonds, beyond their play, and rings are from being shut, at the worst; far less than any mark.</param>
public sealed record MotionFrame(double Share, IReadOnlyDictionary<CreaseRef, double> Angles, Length Apart)
{
    /// <summary>What one calls the card here: closed, shown, or one of its states; null on the way.</summary>
    public string? Name { get; init; }
}

/// <summary>
/// How a card opens. Each frame begins from angles that go evenly from closed to shown, and is brought to the nearest angles
/// at which every bond stays shut and every ring of creases closes (Gauss and Newton's method, the smallest step that does).
/// </summary>
/// <param name="Moves">
/// Whether rigid panels can go all the way. Where they cannot (paper bends on the way) there are two frames only, and nothing is
/// pretended between them.
/// </param>
/// <param name="Leads">The creases that open first, where all of them opened evenly would send the card through itself; none otherwise.</param>
public sealed record Motion(IReadOnlyList<MotionFrame> Frames, bool Moves, IReadOnlyList<CreaseRef> Leads)
{
    /// <summary>Bonds count as shut below this: a tenth of the finest mark a person sees.</summary>
    private static readonly Length Shut = Length.Mm(0.05m);

    /// <summary>From one frame to the next a crease may turn this far, in degrees; more is a leap to another way of folding.</summary>
    private const double Leap = 60;

    /// <summary>In one step of the search, in degrees: what is further off is not to be trusted.</summary>
    private const double LongestStep = 15;

    /// <summary>A way to turn that moves the card less than this, beside the way that moves it most, is left alone.</summary>
    private const double LeastTurn = 1e-3;

    /// <summary>A round of the search that mends less than this share has nothing left to find.</summary>
    private const double LeastGain = 1e-3;

    public MotionFrame Closed => Frames[0];

    public MotionFrame Shown => Frames[^1];

    /// <param name="frames">How many pictures there are on the way, closed and shown with them; a card with states has some from each to the next.</param>
    public static Motion Of(Figures sized, int frames = 13)
    {
        ArgumentNullException.ThrowIfNull(sized);
        var solver = new Solver(sized);
        var closed = solver.At(0, solver.ClosedAngles, exact: true)! with { Name = "closed" };
        var shown = (solver.At(1, solver.ShownAngles, exact: false) ?? solver.At(1, solver.ShownAngles, exact: true)!) with { Name = "shown" };

        // A card that has states goes through all of them, and is closed again.
        var stops = sized.Construction.States.Select(s => (s.Name, Angles: (IReadOnlyDictionary<CreaseRef, double>)solver.In(s))).ToList();
        var steps = stops.Count == 0 ? frames - 1 : StepsToAState;
        stops.Add(stops.Count == 0 ? ("shown", shown.Angles) : ("closed again", closed.Angles));
        if (Way(solver, closed, stops, steps, []) is not { } evenly)
        {
            return new Motion([closed, shown], false, []);
        }

        // Where nothing but its folds holds a card, a hand may open some of them before the others.
        if (solver.IsFree && Passes(sized, evenly))
        {
            foreach (var leads in solver.Leads)
            {
                if (Way(solver, closed, stops, steps, leads) is { } led && !Passes(sized, led))
                {
                    return new Motion(led, true, leads);
                }
            }
        }

        return new Motion(evenly, true, []);
    }

    /// <summary>
    /// The poses that one looks at: closed and just beginning to open (so that what lies on what is told apart), half open, each
    /// state of a card that has several, and shown. Where rigid panels cannot go there the angles are taken as they are.
    /// </summary>
    public static IReadOnlyList<MotionFrame> LookedAt(Figures sized) => [LooksOf(sized).Closed.Value, LooksOf(sized).Opening.Value, .. LooksOf(sized).States.Value, LooksOf(sized).Shown.Value];

    /// <summary>The first of them: just ajar.</summary>
    public static MotionFrame JustAjar(Figures sized) => LooksOf(sized).Closed.Value;

    /// <summary>The last of them.</summary>
    public static MotionFrame OnTheTable(Figures sized) => LooksOf(sized).Shown.Value;

    /// <summary>Each is solved once for a card, when somebody first looks.</summary>
    private sealed record Looks(Lazy<MotionFrame> Closed, Lazy<MotionFrame> Opening, Lazy<IReadOnlyList<MotionFrame>> States, Lazy<MotionFrame> Shown);

    private static readonly ConditionalWeakTable<Figures, Looks> Looked = [];

    private static Looks LooksOf(Figures sized)
    {
        ArgumentNullException.ThrowIfNull(sized);
        return Looked.GetValue(sized, figures =>
        {
            var solver = new Solver(figures);
            MotionFrame Between(double share, string name)
            {
                var guess = solver.ClosedAngles.ToDictionary(a => a.Key, a => a.Value + (share * (solver.ShownAngles[a.Key] - a.Value)));
                return (solver.At(share, guess, exact: false) ?? solver.At(share, guess, exact: true)!) with { Name = name };
            }

            return new Looks(
                new(() => Between(Ajar, "closed")), new(() => Between(0.5, "opening")),
                new(() => [.. figures.Construction.States.Select(s => solver.At(1, solver.In(s), exact: true)! with { Name = s.Name })]), new(() => Between(1, "shown")));
        });
    }

    /// <summary>So far it is opened where it counts as closed.</summary>
    private const double Ajar = 0.03;

    /// <summary>The creases that must open first, where nothing but its folds holds the card and it would pass through itself otherwise; none elsewhere.</summary>
    public static IReadOnlyList<CreaseRef> LeadsOf(Figures sized) => new Solver(sized).IsFree ? Of(sized).Leads : [];

    private static bool Passes(Figures sized, List<MotionFrame> way) => way.Any(frame => Collisions.In(sized, frame) is not null);

    /// <summary>From stop to stop; null where rigid panels cannot go there.</summary>
    /// <param name="leads">What has opened before the rest begins.</param>
    private static List<MotionFrame>? Way(Solver solver, MotionFrame closed, List<(string Name, IReadOnlyDictionary<CreaseRef, double> Angles)> stops, int steps, IReadOnlyList<CreaseRef> leads)
    {
        var way = new List<MotionFrame> { closed };
        foreach (var (name, angles) in stops)
        {
            var from = way[^1].Angles;
            for (var step = 1; step <= steps; step++)
            {
                var part = step / (double)steps;
                double Of(CreaseRef crease) => leads.Count == 0 ? part : leads.Contains(crease) ? Math.Min(1, 2 * part) : Math.Max(0, (2 * part) - 1);
                var guess = from.Keys.ToDictionary(k => k, k => from[k] + (Of(k) * (angles[k] - from[k])));
                if (solver.At((double)way.Count / (steps * stops.Count), guess, exact: false) is not { } frame || IsLeap(way[^1], frame))
                {
                    return null;
                }

                way.Add(step == steps ? frame with { Name = name } : frame);
            }
        }

        return way;
    }

    private const int StepsToAState = 6;

    private static bool IsLeap(MotionFrame one, MotionFrame next) => one.Angles.Any(a => Math.Abs(next.Angles[a.Key] - a.Value) > Leap);

    private sealed class Solver
    {
        private readonly Figures _sized;
        private readonly Linkage _linkage;
        private readonly List<CreaseRef> _moving;
        private readonly int[] _turned;
        private readonly (int A, Vec AtA, int B, Vec AtB)[] _contacts;
        private readonly Dictionary<Bond, double> _plays;
        private readonly double _allowed;

        public Solver(Figures sized)
        {
            _sized = sized;
            _linkage = Linkage.For(sized);
            var creases = sized.Pieces.SelectMany(p => p.AllScores.Select((s, i) => (Key: new CreaseRef(p.Piece.Id, i), s.Crease))).ToList();
            var turned = sized.Construction.States.SelectMany(s => s.Angles.Keys).ToHashSet();
            _moving = [.. creases.Where(c => c.Crease.Closed != c.Crease.Shown || turned.Contains(c.Key)).Select(c => c.Key)];
            ClosedAngles = creases.ToDictionary(c => c.Key, c => (double)c.Crease.Closed);
            ShownAngles = creases.ToDictionary(c => c.Key, c => (double)c.Crease.Shown);

            // What the search turns and looks at, by its place in the linkage.
            var place = _linkage.Creases.Select((c, i) => (c, i)).ToDictionary(c => c.c, c => c.i);
            _turned = [.. _moving.Where(place.ContainsKey).Select(m => place[m])];
            Vec Spotted(Spot at) => new(sized.ValueOf(at.X).Units, sized.ValueOf(at.Y).Units, 0);
            _contacts = [.. sized.Construction.Contacts.Select(r => (_linkage.PlaceOf(r.A), Spotted(r.AtA), _linkage.PlaceOf(r.B), Spotted(r.AtB)))];
            _plays = sized.Construction.Bonds.Where(b => b.Play is not null).ToDictionary(b => b, b => (double)sized.ValueOf(b.Play!).Units);

            // Figures that were rounded one by one are a mark off.
            _allowed = (Shut + (sized.Relaxation == Relaxation.RoundedFigures ? 2 * sized.Tools.CutMarks.Max() : Length.Zero)).Units;
        }

        /// <summary>Held by nothing but its folds, so that each of them can be opened by itself.</summary>
        public bool IsFree => _sized.Construction.Bonds.All(b => b.IsLoose) && _sized.Pieces.All(p => p.Piece.Rings.Count == 0);

        /// <summary>What may lead: the creases at one end of the card, half of them first.</summary>
        public IEnumerable<IReadOnlyList<CreaseRef>> Leads => Enumerable.Range(1, Math.Max(0, _moving.Count - 1)).OrderBy(n => Math.Abs((2 * n) - _moving.Count))
            .SelectMany(n => new IReadOnlyList<CreaseRef>[] { [.. _moving.Take(n)], [.. _moving.TakeLast(n)] });

        public Dictionary<CreaseRef, double> ClosedAngles { get; }

        public Dictionary<CreaseRef, double> ShownAngles { get; }

        /// <summary>The angles of a state; creases that it does not name are as when closed.</summary>
        public Dictionary<CreaseRef, double> In(CardState state) => ClosedAngles.ToDictionary(a => a.Key, a => state.Angles.TryGetValue(a.Key, out var angle) ? angle : a.Value);

        /// <summary>The frame nearest to a guess; null where none near it shuts.</summary>
        /// <param name="exact">Whether the guess is taken as it is.</param>
        public MotionFrame? At(double share, Dictionary<CreaseRef, double> guess, bool exact)
        {
            double[] angles = [.. _linkage.Creases.Select(c => guess[c])];
            var resting = share >= 1;
            var off = Off(angles, resting);
            for (var round = 0; round < 20 && !exact && off.AbsoluteMaximum() > _allowed && _turned.Length > 0; round++)
            {
                var slope = Matrix<double>.Build.Dense(off.Count, _turned.Length);
                for (var i = 0; i < _turned.Length; i++)
                {
                    const double Step = 1e-4;
                    var was = angles[_turned[i]];
                    angles[_turned[i]] = was + Step;
                    slope.SetColumn(i, (Off(angles, resting) - off) / Step);
                    angles[_turned[i]] = was;
                }

                // Where the full step would be worse than none, half of it, and so on.
                var step = SmallestStep(slope, off);
                double[] from = [.. _turned.Select(t => angles[t])];
                var (before, part) = (off.L2Norm(), Math.Min(1, LongestStep / Math.Max(1e-9, step.AbsoluteMaximum())));
                for (var halved = 0; halved < 8; halved++, part /= 2)
                {
                    for (var i = 0; i < _turned.Length; i++)
                    {
                        angles[_turned[i]] = from[i] - (part * step[i]);
                    }

                    off = Off(angles, resting);
                    if (off.L2Norm() < before)
                    {
                        break;
                    }
                }

                // Nothing near it is better: it is as near as it comes.
                if (off.L2Norm() > before * (1 - LeastGain))
                {
                    break;
                }
            }

            var apart = off.Count == 0 ? 0 : off.AbsoluteMaximum();
            if (!exact && apart > _allowed)
            {
                return null;
            }

            var found = new Dictionary<CreaseRef, double>(guess);
            foreach (var turned in _turned)
            {
                found[_linkage.Creases[turned]] = angles[turned];
            }

            return new MotionFrame(share, found, new Length((long)Math.Ceiling(apart - 1e-3)));
        }

        /// <summary>Of all steps that mend what is off the smallest; ways in which the card hardly moves at all are left alone.</summary>
        private static Vector<double> SmallestStep(Matrix<double> slope, Vector<double> off)
        {
            // The singular values of the slope by way of its square, which is far smaller: there are many more points than creases.
            var square = slope.TransposeThisAndMultiply(slope).Evd(Symmetricity.Symmetric);
            var (values, ways, pull) = (square.EigenValues.Real(), square.EigenVectors, slope.TransposeThisAndMultiply(off));
            var least = values.Maximum() * LeastTurn * LeastTurn;
            var step = Vector<double>.Build.Dense(slope.ColumnCount);
            for (var i = 0; i < values.Count; i++)
            {
                if (values[i] > least)
                {
                    var way = ways.Column(i);
                    step += way * (way.DotProduct(pull) / values[i]);
                }
            }

            return step;
        }

        /// <summary>How far each point of each joint is from where it should be, and, once it is shown, what rests on something from there.</summary>
        private Vector<double> Off(double[] angles, bool resting)
        {
            var frames = _linkage.Frames(angles);
            var off = new List<double>();
            void Add(Vec v)
            {
                off.Add(v.X);
                off.Add(v.Y);
                off.Add(v.Z);
            }

            foreach (var joint in _linkage.Joints(frames, angles).Where(j => j.Bond is not { IsLoose: true }))
            {
                // What is cut a hair less to go inside another cannot meet exactly: as far as its own play it may be off.
                var free = joint.Bond is { Play: not null } bond ? _plays[bond] : 0;
                double Beyond(double part) => part - Math.Clamp(part, -free, free);
                for (var i = 0; i < joint.One.Count; i++)
                {
                    var apart = joint.One[i] - joint.Other[i];
                    Add(new Vec(Beyond(apart.X), Beyond(apart.Y), Beyond(apart.Z)));
                }
            }

            foreach (var (a, atA, b, atB) in resting ? _contacts : [])
            {
                Add(frames[a].Apply(atA) - frames[b].Apply(atB));
            }

            return Vector<double>.Build.Dense(off.Count == 0 ? [0] : [.. off]);
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>A shape of a picture, already seen from where one stands: x to the right, y up, in units.</summary>
/// <param name="Holes">What is cut out of it.</param>
/// <param name="Light">How much light falls on it, 0 to 1.</param>
/// <param name="Inside">True where the face that was up on the board is seen.</param>
/// <param name="IsLayer">Decoration on a panel, not the panel.</param>
/// <param name="Tint">The colour of what it is made of; null where nobody has said.</param>
/// <param name="Id">Of an element, which one.</param>
public sealed record Shape(PlateRef Plate, IReadOnlyList<(double X, double Y)> Corners, IReadOnlyList<IReadOnlyList<(double X, double Y)>> Holes, double Light,
    bool Inside, bool IsLayer, string? Tint = null, string? Id = null);

/// <summary>The folded card seen a little from above and from one side, what is behind first.</summary>
public sealed record Picture(IReadOnlyList<Shape> Shapes)
{
    /// <summary>A third of a right angle from the side, a quarter of one from above: so one looks at a card on a table.</summary>
    public static From OnTheTable { get; } = new(28, 22);

    /// <summary>From where a card is looked at, in degrees.</summary>
    /// <param name="Aside">From straight before it round to the right.</param>
    /// <param name="Above">From the height of the table up.</param>
    public readonly record struct From(double Aside, double Above);

    /// <summary>What lies on another piece stands this far off it, so that it is not hidden in it.</summary>
    private static readonly Length Lift = Length.Mm(0.4m);

    /// <summary>Nearer than this to a plane a corner counts as in it.</summary>
    private const double InPlane = 16;

    private static readonly Vec Lamp = new(-0.35, 0.6, 0.72);

    private sealed record Seen(IReadOnlyList<Vec> Corners, Vec Normal, IReadOnlyList<Shape> Shapes)
    {
        /// <summary>Which plate it is, the one that it is folded from, and whether over the face of that which is up on the board.</summary>
        public (PlateRef Id, PlateRef? From, bool OverUp) Folded { get; init; }

        public double Depth { get; } = Corners.Average(c => c.Z);

        private (double Left, double Right, double Low, double High) Box { get; } = (Corners.Min(c => c.X), Corners.Max(c => c.X), Corners.Min(c => c.Y), Corners.Max(c => c.Y));

        public bool Meets(Seen other) => Box.Left < other.Box.Right && other.Box.Left < Box.Right && Box.Low < other.Box.High && other.Box.Low < Box.High;

        /// <summary>1 where the other lies wholly before this one's plane, −1 where behind it, 0 where it lies across or the plane is seen edge on.</summary>
        public int SideOf(Seen other)
        {
            if (Math.Abs(Normal.Z) < 1e-6)
            {
                return 0;
            }

            var (before, behind) = (false, false);
            foreach (var corner in other.Corners)
            {
                var off = Normal.Dot(corner - Corners[0]) * Math.Sign(Normal.Z);
                before |= off > InPlane;
                behind |= off < -InPlane;
            }

            return before == behind ? 0 : before ? 1 : -1;
        }

        /// <summary>Folded flat over the plate that it hangs on, 1 where it lies before that, −1 where behind it; 0 where it is not.</summary>
        public int SideOn(Seen other) => Folded.From != other.Folded.Id || Normal.Dot(other.Normal) >= 0 ? 0 : Folded.OverUp == (other.Normal.Z >= 0) ? 1 : -1;
    }

    public static Picture Of(Figures sized, IReadOnlyList<Body> bodies, MotionFrame frame, From? from = null)
    {
        ArgumentNullException.ThrowIfNull(sized);
        ArgumentNullException.ThrowIfNull(frame);
        var construction = sized.Construction;
        var assembly = Assembly.Of(sized, frame, Lift.Units);
        var view = ReadFrom.Of(sized);
        var toTable = Eye(view.Up, construction.Slanting, from ?? OnTheTable).Compose(assembly.Frames[view.Plate].Inverse);
        var gone = frame.Share > 0 ? construction.TakenOff : new HashSet<PieceRef>();
        var seen = new List<Seen>();
        foreach (var (id, piece) in sized.Pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))).Where(p => !gone.Contains(p.id)))
        {
            seen.AddRange(piece.Plates.Select(plate => See(bodies, piece, plate, id, toTable.Compose(assembly.Frames[new PlateRef(id, plate.Id)]))));
        }

        return new Picture([.. BackToFront(seen).SelectMany(s => s.Shapes)]);
    }

    /// <summary>A plate with the layers on the face that is seen.</summary>
    private static Seen See(IReadOnlyList<Body> bodies, SizedPiece piece, SizedPlate plate, PieceRef id, RigidTransform at)
    {
        var inside = at.Ez.Z >= 0;
        var light = Math.Round(Math.Abs(at.Ez.Dot(Lamp)) / Lamp.Length, 2);
        var holes = piece.HolesIn(plate).ToList();
        IReadOnlyList<(double, double)> Outline(IEnumerable<Point> corners) => [.. corners.Select(c => at.Apply(c.X.Units, c.Y.Units)).Select(c => (c.X, c.Y))];
        IEnumerable<IReadOnlyList<Point>> Cut(bool layer) => holes.Concat(bodies.Where(b => b.IsHole && (layer || b.OfCard) && b.Plate == plate.Id && b.Copies.Contains(id)).Select(b => b.Outline));
        Shape Draw(IEnumerable<Point> corners, bool layer, string? tint = null, string? element = null) =>
            new(new PlateRef(id, plate.Id), Outline(corners), [.. Cut(layer).Select(Outline)], light, inside, layer, tint, element);
        var layers = bodies.Where(b => !b.IsHole && b.Copies.Contains(id) && b.Plate == plate.Id && (b.Face == Face.Up) == inside).Select(b => Draw(b.Outline, true, b.Tint, b.Id));
        return new Seen([.. plate.Corners.Select(c => at.Apply(c.X.Units, c.Y.Units))], at.Ez, [Draw(plate.Corners, false), .. layers])
        {
            Folded = (new PlateRef(id, plate.Id), plate.HangsOn is { } on ? new PlateRef(id, on) : null, plate.By >= 0 && piece.Score(plate.By).Crease.Fold == Fold.Valley),
        };
    }

    /// <summary>
    /// What is behind is drawn first. Of two that cover each other, one lies wholly on one side of the other's plane, or they
    /// are taken by their middles; where three cover each other in a ring, the farthest is drawn first.
    /// </summary>
    private static IEnumerable<Seen> BackToFront(List<Seen> seen)
    {
        var before = seen.ToDictionary(s => s, _ => new HashSet<Seen>(ReferenceEqualityComparer.Instance), (IEqualityComparer<Seen>)ReferenceEqualityComparer.Instance);
        for (var i = 0; i < seen.Count; i++)
        {
            for (var j = 0; j < i; j++)
            {
                var (a, b) = (seen[i], seen[j]);
                if (a.Meets(b))
                {
                    var side = a.SideOf(b);
                    side = side != 0 ? side : -b.SideOf(a);
                    side = side != 0 ? side : b.SideOn(a) - a.SideOn(b);
                    side = side != 0 ? side : b.Depth.CompareTo(a.Depth);
                    _ = side > 0 ? before[b].Add(a) : before[a].Add(b);
                }
            }
        }

        var left = seen.OrderBy(s => s.Depth).ToList();
        while (left.Count > 0)
        {
            var next = left.FirstOrDefault(s => before[s].Count == 0) ?? left[0];
            left.Remove(next);
            foreach (var waiting in before.Values)
            {
                waiting.Remove(next);
            }

            yield return next;
        }
    }

    /// <summary>Turned and tilted as one looks at it: across, up, and towards the eye.</summary>
    private static RigidTransform Eye(Edge up, bool slanting, From from)
    {
        var (aside, above) = (from.Aside * Math.PI / 180, from.Above * Math.PI / 180);
        var across = new Vec(Math.Cos(aside), Math.Sin(aside) * Math.Sin(above), -Math.Sin(aside) * Math.Cos(above));
        var high = new Vec(0, Math.Cos(above), Math.Sin(above));
        var towards = new Vec(Math.Sin(aside), -Math.Cos(aside) * Math.Sin(above), Math.Cos(aside) * Math.Cos(above));
        var eye = new RigidTransform(across, high, towards, default);
        var turn = slanting ? 45 : up switch { Edge.Right => 90, Edge.Foot => 180, Edge.Left => -90, _ => 0 };
        return turn == 0 ? eye : eye.Compose(RigidTransform.Turned(default, new Vec(0, 0, 1), turn));
    }
}

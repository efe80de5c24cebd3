using System.Runtime.CompilerServices;
using NetTopologySuite.Geometries;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Point = WholeFold.Core.Measure.Point;
using Polygon = NetTopologySuite.Geometries.Polygon;

namespace WholeFold.Core.Dressing;

/// <summary>When a face is seen, and which way is up on it then.</summary>
/// <param name="Pose">closed, opening, shown, or the name of a state.</param>
/// <param name="Head">The side of the flat piece that is uppermost in it.</param>
/// <param name="FromBehind">Whether one goes round the card to see it.</param>
public sealed record Seen(string Pose, Edge Head, bool FromBehind);

/// <summary>A face that a reader sees in some pose.</summary>
/// <param name="Copies">Which of the pieces cut alike have it so; a face of all of them counts once.</param>
/// <param name="Id">As it stands in files: <c>base.back.up</c>.</param>
/// <param name="Free">What of it is neither cut away nor bonded on, part by part; holes are windows.</param>
public sealed record SeenFace(string Id, string Panel, string Piece, string Plate, Face Face, IReadOnlyList<PieceRef> Copies, IReadOnlyList<FreePart> Free, IReadOnlyList<Seen> Poses)
{
    /// <summary>Which side of its panel it is, where that has to be said: outside, inside or back.</summary>
    public string? Side { get; init; }

    /// <summary>What it is called where it stands alone: "left door, inside".</summary>
    public string Name => Side is null ? Panel : $"{Panel}, {Side}";

    public Seen? In(string pose) => Poses.FirstOrDefault(p => p.Pose == pose);

    /// <summary>The pose in which it is read: the first of closed, shown, a further state and opening in which it is seen from the front;
    /// what is only ever seen from behind is read as the closed card is, turned like a page.</summary>
    public Seen Read => Faces.Read(Poses)!;

    /// <summary>The largest of its free parts.</summary>
    public FreePart Main => Free.MaxBy(f => f.Area)!;
}

/// <summary>A part of a face that nothing lies on.</summary>
/// <param name="IsRectangle">Whether it fills its box.</param>
public sealed record FreePart(IReadOnlyList<Point> Outline, IReadOnlyList<IReadOnlyList<Point>> Holes, bool IsRectangle)
{
    public Box Box { get; } = Box.Round(Outline);

    internal double Area { get; } = Math.Abs(Measure.Outline.TwiceArea(Outline)) / 2;

    internal static FreePart Of(Polygon shape) => new(Plane.Corners(shape.ExteriorRing), [.. shape.InteriorRings.Select(Plane.Corners)], shape.NumInteriorRings == 0 && Plane.IsRectangle(shape));

    internal Geometry Shape => Holes.Aggregate(Plane.Shape(Outline), (shape, hole) => shape.Difference(Plane.Shape(hole)));
}

/// <summary>Every face that a reader sees in any pose, worked out from bonds and poses.</summary>
public static class Faces
{
    /// <summary>The least that can be covered: under it a part of a face is a hem.</summary>
    internal static readonly Pair Least = Pair.Of(3, 16, 5m);

    /// <summary>A face is looked for at so many spots across and along.</summary>
    private const int Spots = 4;

    /// <summary>Its identity as it stands in files.</summary>
    public static string IdOf(string piece, string plate, Face face) => $"{piece}.{plate}.{(face == Face.Up ? "up" : "down")}";

    public static IReadOnlyList<SeenFace> Of(Figures figures)
    {
        ArgumentNullException.ThrowIfNull(figures);
        var seen = WhenSeen(figures);
        var faces = new List<SeenFace>();
        foreach (var (piece, plate, side, alike) in Parts(figures, seen.ContainsKey))
        {
            var here = alike.Select(f => (f.Copies, Seen: Pick(f, side, plate.Id))).Where(f => f.Seen.Parts.Count > 0).ToList();
            foreach (var (copies, (parts, poses)) in here)
            {
                var id = IdOf(here.Count == 1 ? piece.Piece.Id : copies[0].ToString(), plate.Id, side);
                faces.Add(new SeenFace(id, PanelName(figures, piece, plate), piece.Piece.Id, plate.Id, side, copies, parts, poses));
            }
        }

        // Of a plate that is seen from both sides the one that is not outermost alone is told by where one stands.
        return [.. faces.Select(f => f with { Side = SideOf(f, faces.FirstOrDefault(o => o.Piece == f.Piece && o.Plate == f.Plate && o.Face != f.Face)) })];

        (IReadOnlyList<FreePart> Parts, IReadOnlyList<Seen> Poses) Pick((IReadOnlyList<PieceRef> Copies, IReadOnlyList<Polygon> Free) face, Face side, string plate)
        {
            if (!seen.TryGetValue(new FaceRef(new PlateRef(face.Copies[0], plate), side), out var known))
            {
                return ([], []);
            }

            // Another size of the same card has the same parts, unless one of them has shrunk to nothing.
            var same = known.Parts.Count == face.Free.Count;
            var parts = face.Free.Where((_, i) => !same || known.Parts[i]).Select(FreePart.Of).ToList();
            return (parts, known.Poses);
        }
    }

    /// <summary>The side of the flat piece that is uppermost as one reads a face; of one that nobody sees, as the piece lies.</summary>
    internal static Edge HeadOf(Figures figures, FaceRef face) => WhenSeen(figures).TryGetValue(face, out var known) && Read(known.Poses) is { } read ? read.Head
        : figures.PieceOf(face.Plate.Piece).Piece.FromHead ? Edge.Foot : Edge.Head;

    /// <summary>Of each face, in which poses it is seen, and which of its free parts are.</summary>
    private sealed record Known(IReadOnlyList<bool> Parts, IReadOnlyList<Seen> Poses);

    /// <summary>By which way it opens, the construction's own first.</summary>
    private static readonly ConditionalWeakTable<Construction, IReadOnlyDictionary<FaceRef, Known>?[]> Cache = [];

    /// <inheritdoc cref="SeenFace.Read"/>
    internal static Seen? Read(IReadOnlyList<Seen> poses)
    {
        var front = poses.Where(p => !p.FromBehind).ToList();
        Seen? In(string pose) => front.FirstOrDefault(p => p.Pose == pose);
        return In("closed") ?? In("shown") ?? front.FirstOrDefault(p => p.Pose != "opening") ?? front.FirstOrDefault()
            ?? poses.FirstOrDefault(p => p.Pose == "closed") ?? (poses.Count > 0 ? poses[^1] : null);
    }

    /// <summary>
    /// Which faces are seen belongs to a construction and not to a size: it is looked for once, on a card as its rules give it,
    /// cut to the unit.
    /// </summary>
    private static IReadOnlyDictionary<FaceRef, Known> WhenSeen(Figures figures)
    {
        var all = Cache.GetValue(figures.Construction, _ => new IReadOnlyDictionary<FaceRef, Known>?[3]);
        var opens = figures.Design.Opens is { } way ? 1 + (int)way : 0;
        if (all[opens] is { } known)
        {
            return known;
        }

        var usual = Usual(figures);
        known = LookAt(usual ?? figures);
        if (usual is not null)
        {
            all[opens] = known;
        }

        return known;
    }

    /// <summary>The card at an everyday size, as its rules give it; null where it goes into none of those.</summary>
    private static Figures? Usual(Figures figures)
    {
        var shipped = Inventory.Shipped;
        var exact = shipped.Tools.FirstOrDefault(t => t.For(UnitSystem.Imperial).Exact);
        var plain = new Design { Family = figures.Design.Family, Home = figures.Design.Home, Inventory = shipped, Stock = shipped.Stocks[2],
            LayerStock = shipped.Stocks[0], MatStock = shipped.Stocks[1], Adhesive = figures.Design.Adhesive, Choices = figures.Construction.Choices.ToDictionary(),
            Tools = exact?.Id, Opens = figures.Design.Opens };
        return shipped.Formats.OrderBy(f => f.Id == EverydayFormat ? 0 : 1).SelectMany(f => new[] { new Target(f, false), new Target(f, true) })
            .Select(t => Sizer.TrySize(plain with { Home = t }, t)).FirstOrDefault(f => f is not null && ReferenceEquals(f.Construction, figures.Construction));
    }

    private const string EverydayFormat = "5x7";

    private static Dictionary<FaceRef, Known> LookAt(Figures figures)
    {
        var view = View.Of(figures);
        var poses = Motion.LookedAt(figures).Select(f => (Name: f.Name!, Sight: new Sight(figures, f))).ToList();
        var known = new Dictionary<FaceRef, Known>();
        foreach (var (_, plate, side, alike) in Parts(figures, _ => true))
        {
            foreach (var (copies, free) in alike)
            {
                var face = new FaceRef(new PlateRef(copies[0], plate.Id), side);
                var seen = free.Select(part => SpotsOn(part))
                    .Select(spots => poses.Where(p => p.Sight.Sees(face, spots, Math.Max(1, spots.Count / 5))).Select(p => view.Of(p.Name, face, p.Sight.Frames))
                    .ToList()).ToList();
                if (seen.Any(s => s.Count > 0))
                {
                    var at = new Known([.. seen.Select(s => s.Count > 0)], [.. poses.Select(p => seen.SelectMany(s => s).FirstOrDefault(s => s.Pose == p.Name)).OfType<Seen>()]);
                    foreach (var copy in copies)
                    {
                        known[face with { Plate = face.Plate with { Piece = copy } }] = at;
                    }
                }
            }
        }

        return known;
    }

    /// <summary>Every face of every plate with what is free of it; of pieces cut alike, those that are bonded alike together.</summary>
    private static IEnumerable<(SizedPiece Piece, SizedPlate Plate, Face Face, IReadOnlyList<(IReadOnlyList<PieceRef> Copies, IReadOnlyList<Polygon> Free)> Alike)> Parts(Figures figures,
        Func<FaceRef, bool> wanted)
    {
        var bonded = figures.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => b.Sides).ToLookup(s => s.On, s => (IReadOnlyList<Point>)[.. s.Region.Corners.Select(figures.ValueOf)]);
        foreach (var piece in figures.Pieces)
        {
            foreach (var plate in piece.Plates)
            {
                foreach (var side in new[] { Face.Up, Face.Down })
                {
                    var alike = piece.Piece.Copies.Where(copy => wanted(new FaceRef(new PlateRef(copy, plate.Id), side)))
                        .GroupBy(copy => string.Join('|', bonded[new FaceRef(new PlateRef(copy, plate.Id), side)].Select(r => string.Join(' ', Box.Round(r).Corners))
                        .Order(StringComparer.Ordinal)))
                        .Select(g => ((IReadOnlyList<PieceRef>)[.. g], Free(figures, piece, plate, bonded[new FaceRef(new PlateRef(g.First(), plate.Id), side)]))).ToList();
                    yield return (piece, plate, side, alike);
                }
            }
        }
    }

    /// <summary>A plate less its openings, and less what is bonded on this face of it.</summary>
    private static IReadOnlyList<Polygon> Free(Figures figures, SizedPiece piece, SizedPlate plate, IEnumerable<IReadOnlyList<Point>> bonded)
    {
        var narrow = Least.For(figures.Tools.System).Units;
        var off = piece.HolesIn(plate).Concat(bonded).ToList();
        if (Strips(plate.Corners, off) is { } strips)
        {
            return [.. strips.Where(b => Length.Min(b.Width, b.Height).Units >= narrow).OrderBy(b => b.Left).ThenBy(b => b.Bottom).Select(b => (Polygon)Plane.Shape(b.Corners))];
        }

        var shape = Plane.Shape(plate.Corners);
        foreach (var hole in off.Select(Plane.Shape))
        {
            shape = shape.Difference(hole);
        }

        var parts = Plane.Parts(shape).OrderBy(p => p.EnvelopeInternal.MinX).ThenBy(p => p.EnvelopeInternal.MinY).ToList();
        if (parts.All(Plane.IsRectangle))
        {
            return [.. parts.Where(p => Math.Min(p.EnvelopeInternal.Width, p.EnvelopeInternal.Height) >= narrow)];
        }

        // What is narrower than a hem is none, and what hangs on by a hem only is a part of its own.
        var least = narrow / 2d;
        if (parts.All(p => IsPlain(p, narrow)))
        {
            return parts;
        }

        var open = Plane.Offset(shape, -least);
        return [.. Plane.Parts(open).Select(p => Plane.Offset(p, least).Intersection(shape)).SelectMany(Plane.Parts)];
    }

    /// <summary>Bulging everywhere and nowhere narrow, so that no hem hangs on it.</summary>
    private static bool IsPlain(Polygon part, double narrow)
    {
        var corners = part.ExteriorRing.Coordinates;
        return part.NumInteriorRings == 0 && part.Area / corners.Zip(corners.Skip(1), (a, b) => a.Distance(b)).Max() >= narrow && part.ConvexHull().Area - part.Area <= part.Length;
    }

    /// <summary>Most plates are rectangles with strips across them taken off; then no geometry of polygons is needed. Null where it is.</summary>
    private static List<Box>? Strips(IReadOnlyList<Point> plate, IEnumerable<IReadOnlyList<Point>> off)
    {
        if (!Outline.IsRectangle(plate))
        {
            return null;
        }

        List<Box> left = [Box.Round(plate)];
        foreach (var hole in off)
        {
            var cut = Box.Round(hole);
            var next = new List<Box>();
            foreach (var part in left)
            {
                var (l, r, b, t) = (Length.Max(part.Left, cut.Left), Length.Min(part.Right, cut.Right), Length.Max(part.Bottom, cut.Bottom), Length.Min(part.Top, cut.Top));
                if (l >= r || b >= t)
                {
                    next.Add(part);
                }
                else if (!Outline.IsRectangle(hole))
                {
                    return null;
                }
                else if (l == part.Left && r == part.Right)
                {
                    next.AddRange(new[] { part with { Top = b }, part with { Bottom = t } }.Where(p => p.Height > Length.Zero));
                }
                else if (b == part.Bottom && t == part.Top)
                {
                    next.AddRange(new[] { part with { Right = l }, part with { Left = r } }.Where(p => p.Width > Length.Zero));
                }
                else
                {
                    return null;
                }
            }

            left = next;
        }

        return left;
    }

    private static List<(double X, double Y)> SpotsOn(Polygon part)
    {
        var box = part.EnvelopeInternal;
        var spots = new List<(double, double)>();
        var prepared = new NetTopologySuite.Algorithm.Locate.IndexedPointInAreaLocator(part);
        for (var i = 0; i < Spots; i++)
        {
            for (var j = 0; j < Spots; j++)
            {
                var (x, y) = (box.MinX + (box.Width * ((2 * i) + 1) / (2 * Spots)), box.MinY + (box.Height * ((2 * j) + 1) / (2 * Spots)));
                if (prepared.Locate(new Coordinate(x, y)) == Location.Interior)
                {
                    spots.Add((x, y));
                }
            }
        }

        return spots.Count > 0 ? spots : [(part.InteriorPoint.X, part.InteriorPoint.Y)];
    }

    /// <summary>What one calls it: by the construction's own name for its role, else by its plate and where one sees it.</summary>
    internal static string PanelName(Figures figures, SizedPiece piece, SizedPlate plate)
    {
        return figures.Pieces.Count(p => p.Plates.Any(q => q.Name == plate.Name)) > 1 
            ? Spoken.The(plate.Name, piece.Piece.Name).Replace("the ", "", StringComparison.Ordinal) : plate.Name;
    }

    private static string? SideOf(SeenFace face, SeenFace? other)
    {
        static bool Closed(SeenFace? f) => f?.In("closed") is not null;
        return Closed(face) && !Closed(other) ? "outside" : other is null ? null
            : Closed(other) && !Closed(face) && face.Read.FromBehind == other.Read.FromBehind ? "inside"
            : face.Read.FromBehind != other.Read.FromBehind ? (face.Read.FromBehind ? face.Panel.EndsWith("back", StringComparison.Ordinal) ? "outside" : "back" : null) : face.Face == Face.Up ? "inside" : "outside";
    }

    /// <summary>From where one looks at a card, and which way is up.</summary>
    private sealed record View(PlateRef Plate, Vec Up)
    {
        public static View Of(Figures figures)
        {
            var at = ReadFrom.Of(figures);
            return new View(at.Plate, new Vec(at.Way.X, at.Way.Y, 0));
        }

        public Seen Of(string pose, FaceRef face, IReadOnlyDictionary<PlateRef, RigidTransform> frames)
        {
            // One stands before the plate that is looked at; on what lies flat before one, up is away from one.
            var looked = frames[Plate];
            var (up, towards) = ((looked.Ex * Up.X) + (looked.Ey * Up.Y), looked.Ez);
            var at = frames[face.Plate];
            var normal = face.Face == Face.Up ? at.Ez : at.Ez * -1;
            var lies = Math.Abs(normal.Dot(up)) > 0.8;
            var wanted = lies ? towards * -1 : up;
            var (x, y) = (at.Ex.Dot(wanted), at.Ey.Dot(wanted));
            var head = Math.Abs(y) >= Math.Abs(x) ? (y >= 0 ? Edge.Head : Edge.Foot) : x >= 0 ? Edge.Right : Edge.Left;
            return new Seen(pose, head, normal.Dot(towards) < -0.3);
        }
    }
}

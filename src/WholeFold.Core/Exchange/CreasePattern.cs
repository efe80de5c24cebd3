using System.Text.Encodings.Web;
using System.Text.Json;
using NetTopologySuite.Geometries;
using NetTopologySuite.Noding;
using NetTopologySuite.Noding.Snap;
using NetTopologySuite.Operation.Polygonize;
using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Drawing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Polygon = NetTopologySuite.Geometries.Polygon;

namespace WholeFold.Core.Exchange;

/// <summary>
/// A card as a FOLD file (version 1.2): each piece is a crease pattern with its faces, and below it stands the fold angle of each
/// of its edges in every pose one looks at. Millimetres, valley positive, seen from the side on which a valley closes.
/// </summary>
/// <remarks>Adhesive, layers, thickness and what stands on the card have no place in the format and are left out.</remarks>
public static class CreasePattern
{
    /// <summary>What is nearer than this is one place; far finer than any tool.</summary>
    private static readonly Length Near = Length.Mm(0.01m);

    private static readonly GeometryFactory Factory = new();

    /// <summary>Quotation marks and fractions stay as they are.</summary>
    private static readonly JsonSerializerOptions Plain = new() { Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    public static byte[] Write(Card card, string title)
    {
        ArgumentNullException.ThrowIfNull(card);
        var poses = Motion.LookedAt(card.Figures);
        var frames = new List<Dictionary<string, object?>>();
        foreach (var piece in card.Pieces)
        {
            var sheet = new Sheet(card, piece);
            var parent = frames.Count;
            frames.Add(sheet.Pattern());
            frames.AddRange(poses.Where(_ => sheet.Folds).Select(p => sheet.In(p, parent)));
        }

        var file = new Dictionary<string, object?> { ["file_spec"] = 1.2, ["file_creator"] = "Whole Fold", ["file_title"] = title, ["file_classes"] = new[] { "multiModel" } };
        foreach (var (key, value) in frames[0])
        {
            file[key] = value;
        }

        file["file_frames"] = frames.Skip(1);
        return JsonSerializer.SerializeToUtf8Bytes(file, Plain);
    }

    /// <param name="Crease">Which of the piece's creases it lies on; null of what does not fold.</param>
    private sealed record Rim(int From, int To, string Assignment, int? Crease);

    /// <summary>A piece as places, what runs between them, and what they go round.</summary>
    private sealed class Sheet
    {
        private readonly SizedPiece _piece;

        private readonly List<Coordinate> _places = [];

        private readonly Dictionary<Coordinate, int> _number = [];

        private readonly List<Rim> _edges = [];

        private readonly List<int[]> _faces = [];

        public Sheet(Card card, SizedPiece piece)
        {
            _piece = piece;
            var drawing = PieceDrawing.Of(card, piece);
            var plates = drawing.Plates.Select(p => Ring(p.Outline)).ToList();
            var windows = card.Dressed.CutThrough(piece.Piece.Id).Select(o => Ring(o.Outline)).ToList();
            var cuts = drawing.Cuts.Select(c => c.Closed ? Ring(c.Line) : Line(c.Line)).Concat(windows).ToList();
            var gone = drawing.Cuts.Where(c => c.Closed).Select(c => Plane.Shape(c.Line)).Concat(windows.Select(w => (Geometry)Factory.CreatePolygon(w.Coordinates))).ToList();
            var scores = drawing.Scores.Select((s, i) => (Crease: i, s.Score.Crease.Fold, Lines: s.Parts.Select(p => Line([p.From, p.To])).ToList())).ToList();
            var (net, faces, joins) = Net([.. plates, .. cuts, .. scores.SelectMany(s => s.Lines)]);
            var kept = faces.Where(f => plates.Any(p => Factory.CreatePolygon(p.Coordinates).Covers(f.InteriorPoint)) && !gone.Any(o => o.Covers(f.InteriorPoint))).ToList();

            var beside = new Dictionary<(Coordinate, Coordinate), int>();
            foreach (var face in kept)
            {
                var round = face.Shell.Coordinates;
                round = NetTopologySuite.Algorithm.Orientation.IsCCW(round) ? round : [.. round.Reverse()];
                _faces.Add([.. round.SkipLast(1).Select(Number)]);
                foreach (var (a, b) in round.Zip(round.Skip(1)))
                {
                    beside[Key(a, b)] = beside.GetValueOrDefault(Key(a, b)) + 1;
                }
            }

            foreach (var (a, b) in net)
            {
                var middle = Factory.CreatePoint(new Coordinate((a.X + b.X) / 2, (a.Y + b.Y) / 2));
                bool On(Geometry line) => line.Distance(middle) <= Near.Units;
                var faced = beside.GetValueOrDefault(Key(a, b));

                // A slit that ends in a face divides nothing and is cut none the less; what lies beside no face is not there.
                if (faced == 0 && !(cuts.Any(On) && kept.Any(f => f.Covers(middle))))
                {
                    continue;
                }

                var score = faced == 2 ? scores.FirstOrDefault(s => s.Lines.Any(On)) : default;
                _edges.Add(score.Lines is not null
                    ? new Rim(Number(a), Number(b), score.Fold == Fold.Valley ? "V" : "M", score.Crease)
                    : new Rim(Number(a), Number(b), faced == 1 ? "B" : faced == 0 || cuts.Any(On) ? "C" : joins.Any(On) ? "J" : "F", null));
            }
        }

        public bool Folds => _edges.Any(e => e.Crease is not null);

        private string Name => $"{_piece.Piece.Name}{(_piece.Piece.Quantity > 1 ? $", cut {_piece.Piece.Quantity}" : "")}";

        public Dictionary<string, object?> Pattern() => new()
        {
            ["frame_title"] = Name,
            ["frame_classes"] = new[] { "creasePattern" },
            ["frame_attributes"] = new[] { "2D" },
            ["frame_unit"] = "mm",
            ["vertices_coords"] = _places.Select(p => new[] { Mm(p.X), Mm(p.Y) }),
            ["edges_vertices"] = _edges.Select(e => new[] { e.From, e.To }),
            ["edges_assignment"] = _edges.Select(e => e.Assignment),
            ["faces_vertices"] = _faces,
        };

        /// <summary>The angles of a pose over the pattern; a crease that folds to the other side there says so.</summary>
        public Dictionary<string, object?> In(MotionFrame pose, int parent)
        {
            var angles = _edges.Select(e => e.Crease is { } c && pose.Angles.TryGetValue(new CreaseRef(_piece.Piece.Id, c), out var angle) ? Math.Round(Math.Clamp(angle, -180, 180), 3) : 0).ToList();
            return new()
            {
                ["frame_title"] = $"{Name}, {pose.Name}",
                ["frame_parent"] = parent,
                ["frame_inherit"] = true,
                ["edges_assignment"] = _edges.Zip(angles, (e, a) => e.Crease is null || a == 0 ? e.Assignment : a > 0 ? "V" : "M"),
                ["edges_foldAngle"] = angles,
            };
        }

        /// <summary>
        /// All lines cut where they meet, and what they go round. A face has no hole in this format, so each hole is joined to what
        /// is left and what is right of it; from hole to hole every one is then held to the rim on both sides, and none is left.
        /// </summary>
        private static (List<(Coordinate A, Coordinate B)> Net, List<Polygon> Faces, List<LineString> Joins) Net(List<LineString> lines)
        {
            var (net, faces) = Noded(lines);

            // A slit that ends in a face holds nothing: a join goes on to the next thing that goes all round.
            var rings = faces.SelectMany(f => f.Holes.Prepend(f.Shell)).SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1))).ToList();
            var joins = faces.SelectMany(f => f.Holes).SelectMany(h =>
            {
                var (left, right) = (h.Coordinates.MinBy(c => c.X)!, h.Coordinates.MaxBy(c => c.X)!);
                var (before, after) = (Hits(rings, left.Y).Where(x => x < left.X - Near.Units).Max(), Hits(rings, right.Y).Where(x => x > right.X + Near.Units).Min());
                return new[] { Factory.CreateLineString([left, new Coordinate(before, left.Y)]), Factory.CreateLineString([right, new Coordinate(after, right.Y)]) };
            }).ToList();
            if (joins.Count > 0)
            {
                (net, faces) = Noded([.. lines, .. joins]);
            }

            return (net, faces, joins);
        }

        private static (List<(Coordinate A, Coordinate B)> Net, List<Polygon> Faces) Noded(List<LineString> lines)
        {
            var noder = new SnappingNoder(Near.Units / 4.0);
            noder.ComputeNodes([.. lines.Select(l => new NodedSegmentString(l.Coordinates, null))]);
            var net = noder.GetNodedSubstrings().SelectMany(l => l.Coordinates.Zip(l.Coordinates.Skip(1))).Select(l => Key(l.First, l.Second)).Where(l => !l.Item1.Equals(l.Item2)).Distinct().ToList();
            var polygonizer = new Polygonizer();
            polygonizer.Add([.. net.Select(l => (Geometry)Factory.CreateLineString([l.Item1, l.Item2]))]);
            return (net, [.. polygonizer.GetPolygons().Cast<Polygon>()]);
        }

        /// <summary>Where a level line meets the others.</summary>
        private static IEnumerable<double> Hits(List<(Coordinate A, Coordinate B)> net, double y) => net
            .Where(l => Math.Min(l.A.Y, l.B.Y) <= y && y <= Math.Max(l.A.Y, l.B.Y))
            .SelectMany(l => l.A.Y == l.B.Y ? [l.A.X, l.B.X] : new[] { l.A.X + ((y - l.A.Y) / (l.B.Y - l.A.Y) * (l.B.X - l.A.X)) });

        private int Number(Coordinate place)
        {
            if (!_number.TryGetValue(place, out var number))
            {
                _number[place] = number = _places.Count;
                _places.Add(place);
            }

            return number;
        }

        private static (Coordinate, Coordinate) Key(Coordinate a, Coordinate b) => a.CompareTo(b) <= 0 ? (a, b) : (b, a);

        private static LineString Line(IEnumerable<Measure.Point> points) => Factory.CreateLineString([.. points.Select(p => new Coordinate(p.X.Units, p.Y.Units))]);

        private static LineString Ring(IReadOnlyList<Measure.Point> points) => Line([.. points, points[0]]);

        private static double Mm(double units) => Math.Round(units / Length.PerMillimetre, 4);
    }
}

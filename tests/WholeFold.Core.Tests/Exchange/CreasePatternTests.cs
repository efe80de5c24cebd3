using System.Numerics;
using System.Text.Json;
using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Tests.Checks;
using Xunit;

namespace WholeFold.Core.Tests.Exchange;

/// <summary>Cards as FOLD files: read back and folded by nothing but what stands in them.</summary>
public class CreasePatternTests
{
    private sealed record Pattern(string Title, Vector3[] Places, int[][] Edges, string[] Assigned, int[][] Faces, Dictionary<string, double[]> Poses)
    {
        public double AreaOf(int[] face) => face.Zip([.. face.Skip(1), face[0]]).Sum(e => ((double)Places[e.First].X * Places[e.Second].Y) - ((double)Places[e.Second].X * Places[e.First].Y)) / 2;

        public double Long(int edge) => Vector3.Distance(Places[Edges[edge][0]], Places[Edges[edge][1]]);
    }

    private static T Part<T>(JsonElement frame, string name) => frame.GetProperty(name).Deserialize<T>()!;

    private static List<Pattern> Read(Card card)
    {
        var root = JsonDocument.Parse(CreasePattern.Write(card, "Kite \"½\"")).RootElement;
        Assert.Equal((1.2, "Kite \"½\""), (root.GetProperty("file_spec").GetDouble(), root.GetProperty("file_title").GetString()));
        var patterns = new Dictionary<int, Pattern>();
        foreach (var (i, frame) in root.GetProperty("file_frames").EnumerateArray().Prepend(root).Index())
        {
            var title = frame.GetProperty("frame_title").GetString()!;
            if (frame.TryGetProperty("frame_parent", out var parent))
            {
                patterns[parent.GetInt32()].Poses.Add(title, Part<double[]>(frame, "edges_foldAngle"));
                continue;
            }

            Assert.Equal("mm", frame.GetProperty("frame_unit").GetString());
            patterns[i] = new(title, [.. Part<float[][]>(frame, "vertices_coords").Select(p => new Vector3(p[0], p[1], 0))], Part<int[][]>(frame, "edges_vertices"), Part<string[]>(frame, "edges_assignment"), Part<int[][]>(frame, "faces_vertices"), []);
        }

        return [.. patterns.Values];
    }

    private static IEnumerable<Card> All(string format) => Support.Variants()
        .Select(v => Support.Try(new DesignSpec { Construction = v.Family.Id, Format = format, Set = Support.Written(v.Choices) })).OfType<Card>();

    [Theory]
    [InlineData("5x7")]
    [InlineData("a6-iso")]
    public void The_faces_are_the_card_and_the_creases_are_what_is_scored(string format)
    {
        foreach (var card in All(format))
        {
            foreach (var (pattern, piece) in Read(card).Zip(card.Pieces))
            {
                var name = $"{card.Design.Family.Id}: {pattern.Title}";
                Assert.Equal(pattern.Places.Length, pattern.Places.Distinct().Count());
                Assert.Equal(pattern.Edges.Length, pattern.Edges.Select(e => (e.Min(), e.Max())).Distinct().Count());
                Assert.All(pattern.Faces, f => Assert.True(pattern.AreaOf(f) > 0, $"{name}: a face goes round the wrong way"));
                var drawing = PieceDrawing.Of(card, piece);
                if (drawing.Cuts.Count == 0)
                {
                    static double Area(IReadOnlyList<Point> ring) =>
                        Math.Abs(ring.Zip([.. ring.Skip(1), ring[0]]).Sum(e =>
                        (double)((e.First.X.Millimetres * e.Second.Y.Millimetres) - (e.Second.X.Millimetres * e.First.Y.Millimetres)))) / 2;
                    Assert.Equal(drawing.Plates.Sum(p => Area(p.Outline)), pattern.Faces.Sum(pattern.AreaOf), 0.5);

                    // What is scored and folds in no pose divides a plate into faces that stay level.
                    var level = Enumerable.Range(0, pattern.Edges.Length).Count(e => pattern.Assigned[e] is "V" or "M" && pattern.Poses.Values.All(p => p[e] == 0));
                    Assert.True(drawing.Plates.Count == pattern.Faces.Length - level, $"{name}: {drawing.Plates.Count} plates, {pattern.Faces.Length} faces");
                    var scored = drawing.Scores.SelectMany(s => s.Parts)
                        .Sum(p => Math.Sqrt(Math.Pow((double)(p.To.X - p.From.X).Millimetres, 2) + Math.Pow((double)(p.To.Y - p.From.Y).Millimetres, 2)));
                    Assert.Equal(scored, Enumerable.Range(0, pattern.Edges.Length).Where(e => pattern.Assigned[e] is "V" or "M").Sum(pattern.Long), 0.1);
                    Assert.True(pattern.Places.Length - pattern.Edges.Length + pattern.Faces.Length == 1, $"{name}: something is loose");
                }
            }
        }
    }

    [Fact]
    public void Folded_by_the_angles_in_the_file_no_piece_tears()
    {
        var folded = 0;
        foreach (var card in All("5x7").Concat(KnownMistakes.Sound.Select(Support.Try).OfType<Card>()))
        {
            var frames = Motion.LookedAt(card.Figures);
            foreach (var pattern in Read(card))
            {
                foreach (var ((title, angles), frame) in pattern.Poses.Zip(frames))
                {
                    Assert.EndsWith($", {frame.Name}", title, StringComparison.Ordinal);
                    Assert.All(angles, a => Assert.InRange(a, -180, 180));
                    var tear = Tear(pattern, angles);
                    Assert.True(tear <= (2 * (double)frame.Apart.Millimetres) + 0.1, $"{card.Design.Family.Id}: {title} tears by {tear} mm");
                    folded += angles.Count(a => a != 0);
                }
            }
        }

        Assert.True(folded > 500, $"{folded} creases were folded");
    }

    [Fact]
    public void A_window_is_joined_to_its_face_and_drops_out()
    {
        static Pattern Base(params WindowSpec[] windows) => Read(Support.Size(Support.Spec("plain-fold", "5x5") with { Dressing = new DressingSpec { Windows = windows } }))[0];
        var (with, without) = (Base(new WindowSpec("eye", "front", Size: ["2 in", "2 in"])), Base());
        Assert.Equal(2, with.Assigned.Count(a => a == "J"));
        Assert.DoesNotContain("J", without.Assigned);
        Assert.Equal(50.8 * 50.8, without.Faces.Sum(without.AreaOf) - with.Faces.Sum(with.AreaOf), 0.5);
        Assert.Equal(0, Tear(with, with.Poses.Values.First()), 0.01);
    }

    [Fact]
    public void Windows_side_by_side_one_over_the_other_and_round_ones_leave_faces_without_holes()
    {
        WindowSpec Eye(string id, string anchor, string? die = null) => die is null
            ? new WindowSpec(id, "front", Size: ["1 in", "1 in"], Place: new PlaceSpec(anchor)) : new WindowSpec(id, "front", Die: die, Place: new PlaceSpec(anchor));
        foreach (var (windows, gone) in new (WindowSpec[], double)[]
        {
            ([Eye("a", "left"), Eye("b", "right")], 2 * 25.4 * 25.4),
            ([Eye("a", "head"), Eye("b", "centre"), Eye("c", "foot")], 3 * 25.4 * 25.4),
            ([Eye("a", "head-left"), Eye("b", "foot-right"), Eye("c", "centre")], 3 * 25.4 * 25.4),
        })
        {
            var card = Support.Size(Support.Spec("plain-fold", "5x5") with { Dressing = new DressingSpec { Windows = windows } });
            var pattern = Read(card)[0];
            Assert.Equal(127 * 127 * 2, gone + pattern.Faces.Sum(pattern.AreaOf),
                0.5 + Math.Abs((127 * 127 * 2) - (double)(card.Pieces[0].Width.Value.Millimetres * card.Pieces[0].Height.Value.Millimetres)));

            // Every edge of a face is an edge of the file, and each runs one way on one side and the other way on the other.
            var known = pattern.Edges.Select(e => (e.Min(), e.Max())).ToHashSet();
            var run = pattern.Faces.SelectMany(f => f.Zip([.. f.Skip(1), f[0]])).ToList();
            Assert.All(run, e => Assert.Contains((Math.Min(e.First, e.Second), Math.Max(e.First, e.Second)), known));
            Assert.Equal(run.Count, run.Distinct().Count());
            Assert.True(pattern.Assigned.Count(a => a == "J") >= 2);
            Assert.All(pattern.Poses.Values, p => Assert.Equal(0, Tear(pattern, p), 0.01));
        }

        // A ring is as round as it is drawn: what drops out has nearly a circle's area.
        var round = Support.Size(Support.Spec("plain-fold", "5x5") with { Dressing = new DressingSpec { Windows = [Eye("a", "centre", "ring-1")] } });
        var (with, wide) = (Read(round)[0], (double)round.Dressed.Windows[0].Width.Value.Millimetres);
        Assert.Equal(Math.PI * wide * wide / 4, (double)(round.Pieces[0].Width.Value.Millimetres * round.Pieces[0].Height.Value.Millimetres) - with.Faces.Sum(with.AreaOf), 0.02 * wide * wide);
    }

    [Fact]
    public void Every_pose_has_an_angle_for_each_edge_with_the_sign_of_its_fold_and_nothing_else_folds()
    {
        foreach (var card in All("6x6"))
        {
            var frames = JsonDocument.Parse(CreasePattern.Write(card, "Kite")).RootElement is var root ? root.GetProperty("file_frames").EnumerateArray().Prepend(root).ToList() : [];
            var patterns = frames.Where(f => !f.TryGetProperty("frame_parent", out _)).ToList();
            Assert.Equal(card.Pieces.Select(p => p.Piece.Name), patterns.Select(p => p.GetProperty("frame_title").GetString()!.Split(", cut ")[0]));
            foreach (var pose in frames.Where(f => f.TryGetProperty("frame_parent", out _)))
            {
                var parent = frames[pose.GetProperty("frame_parent").GetInt32()];
                var (angles, assigned) = (Part<double[]>(pose, "edges_foldAngle"), Part<string[]>(pose, "edges_assignment"));
                Assert.Equal(Part<int[][]>(parent, "edges_vertices").Length, angles.Length);
                Assert.Equal(angles.Length, assigned.Length);
                Assert.All(angles.Zip(assigned), e => Assert.True(e.Second switch { "V" => e.First >= 0, "M" => e.First <= 0, _ => e.First == 0 }, $"{card.Design.Family.Id}: {e}"));
                Assert.Equal(Part<string[]>(parent, "edges_assignment").Select(a => a is "V" or "M"), assigned.Select(a => a is "V" or "M"));
            }
        }
    }

    /// <summary>The faces folded one after the other from the first; how far an edge then is from itself on the face beyond it.</summary>
    private static double Tear(Pattern pattern, double[] angles)
    {
        var edge = pattern.Edges.Select((e, i) => (Key: (e.Min(), e.Max()), i)).ToDictionary(e => e.Key, e => e.i);
        var beside = new Dictionary<int, List<(int Face, int From, int To)>>();
        foreach (var (face, f) in pattern.Faces.Select((v, f) => (v, f)))
        {
            foreach (var (a, b) in face.Zip([.. face.Skip(1), face[0]]))
            {
                var e = edge[(Math.Min(a, b), Math.Max(a, b))];
                if (pattern.Assigned[e] is not ("B" or "C"))
                {
                    (beside.TryGetValue(e, out var both) ? both : beside[e] = []).Add((f, a, b));
                }
            }
        }

        Assert.All(beside.Values, b => Assert.Equal(2, b.Count));
        var laid = new Dictionary<int, Matrix4x4>();
        var tear = 0.0;
        for (var start = 0; start < pattern.Faces.Length; start++)
        {
            if (!laid.TryAdd(start, Matrix4x4.Identity))
            {
                continue;
            }

            var next = new Queue<int>([start]);
            while (next.TryDequeue(out var f))
            {
                foreach (var (e, both) in beside.Where(b => b.Value.Any(s => s.Face == f)))
                {
                    var (here, there) = both[0].Face == f ? (both[0], both[1]) : (both[1], both[0]);
                    var (a, b) = (pattern.Places[here.From], pattern.Places[here.To]);

                    // What lies to the right of an edge comes up in a valley.
                    var turn = Matrix4x4.CreateTranslation(-a) * Matrix4x4.CreateFromAxisAngle(Vector3.Normalize(b - a),
                        (float)(-angles[e] * Math.PI / 180)) * Matrix4x4.CreateTranslation(a) * laid[f];
                    if (laid.TryAdd(there.Face, turn))
                    {
                        next.Enqueue(there.Face);
                    }

                    tear = Math.Max(tear, new[] { a, b }.Max(p => Vector3.Distance(Vector3.Transform(p, laid[f]), Vector3.Transform(p, laid[there.Face]))));
                }
            }
        }

        return tear;
    }
}

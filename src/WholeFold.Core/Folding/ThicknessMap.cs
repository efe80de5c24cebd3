using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Folding;

/// <summary>A spot of the closed card between two upright lines: its lower and upper edge at the left and at the right one, and how much lies there.</summary>
public readonly record struct Spread(double Left, double Right, double LowLeft, double LowRight, double HighLeft, double HighRight, Length Thick)
{
    /// <summary>In square units.</summary>
    public double Area => (Right - Left) * ((HighLeft - LowLeft) + (HighRight - LowRight)) / 2;

    public Point Middle => new(new Length((long)((Left + Right) / 2)), new Length((long)((LowLeft + LowRight + HighLeft + HighRight) / 4)));
}

/// <summary>
/// The closed card's thickness: over each spot of its footprint, the caliper of every ply, layer and strip of adhesive that
/// lies there. Spots where nothing lies are not listed.
/// </summary>
public sealed record ThicknessMap(IReadOnlyList<Spread> Spreads, Length Greatest, Point ThickestAt)
{
    /// <summary>The greatest of what lies on each other, without what stands up beside it.</summary>
    public Length GreatestFlat => Spreads.Select(s => s.Thick).DefaultIfEmpty(Greatest).Max();

    /// <summary>Thickness times area, over all of it, in cubic units.</summary>
    public double Volume => Spreads.Sum(s => s.Area * s.Thick.Units);

    /// <summary>Over what is covered.</summary>
    public Length Mean => Spreads.Sum(s => s.Area) is > 0 and var area ? new Length((long)Math.Round(Volume / area)) : Length.Zero;

    public static ThicknessMap Of(Figures figures, ClosedPose pose, IReadOnlyList<Body> bodies)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(pose);
        var map = Cut([.. Plies(figures, pose, bodies)]);

        // What is folded up and not over stands as high as it is, with nothing in it to measure.
        return pose.Deep == Length.Zero ? map : map with { Greatest = map.Greatest + pose.Deep };
    }

    /// <summary>Everything that lies in the closed card, by its outline seen from above and its caliper.</summary>
    private static IEnumerable<(IReadOnlyList<Point> Corners, Length Caliper)> Plies(Figures figures, ClosedPose pose, IReadOnlyList<Body> bodies)
    {
        foreach (var (id, piece) in figures.Pieces.SelectMany(p => p.Piece.Copies.Select(id => (id, p))))
        {
            var caliper = figures.Design.StockOf(piece.Piece.Id).Caliper;
            foreach (var plate in piece.Plates)
            {
                yield return (pose.Place(new PlateRef(id, plate.Id), plate.Corners), caliper);
                foreach (var hole in piece.HolesIn(plate))
                {
                    yield return (pose.Place(new PlateRef(id, plate.Id), hole), -caliper);
                }
            }

            foreach (var body in bodies.Where(b => b.Copies.Contains(id)))
            {
                yield return (pose.Place(new PlateRef(id, body.Plate), body.Outline), body.Thickness);
            }
        }

        foreach (var bond in figures.Construction.Bonds.Where(b => !b.IsLoose))
        {
            yield return (pose.Place(bond.A.Plate, bond.A.Region.Corners.Select(figures.ValueOf)), bond.Raised?.Metric ?? figures.Design.Inventory.BondTape.Thickness);
        }
    }

    private readonly record struct Edge(double X1, double Y1, double X2, double Y2, long Caliper, int Up)
    {
        public double At(double x) => Y1 + ((Y2 - Y1) * (x - X1) / (X2 - X1));
    }

    /// <summary>
    /// Cuts the footprint at every corner and crossing into upright strips. Within a strip no two edges cross, so from the foot
    /// up each edge begins or ends what lies above it.
    /// </summary>
    private static ThicknessMap Cut(IReadOnlyList<(IReadOnlyList<Point> Corners, Length Caliper)> plies)
    {
        var edges = new List<Edge>();
        var lines = new SortedSet<double>();
        foreach (var (corners, caliper) in plies)
        {
            var turn = Math.Sign(Outline.TwiceArea(corners));
            for (var i = 0; i < corners.Count; i++)
            {
                var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
                lines.Add(a.X.Units);
                if (a.X != b.X && turn != 0)
                {
                    // Walked round counter-clockwise, the sheet lies above an edge that goes right.
                    var right = b.X > a.X;
                    var (from, to) = right ? (a, b) : (b, a);
                    edges.Add(new Edge(from.X.Units, from.Y.Units, to.X.Units, to.Y.Units, caliper.Units, right == turn > 0 ? 1 : -1));
                }
            }
        }

        var slanting = edges.Where(e => e.Y1 != e.Y2).ToList();
        foreach (var one in slanting)
        {
            foreach (var other in edges)
            {
                var (from, to) = (Math.Max(one.X1, other.X1), Math.Min(one.X2, other.X2));
                var (before, after) = (one.At(from) - other.At(from), one.At(to) - other.At(to));
                if (from < to && before * after < 0)
                {
                    lines.Add(from + ((to - from) * before / (before - after)));
                }
            }
        }

        return Strips([.. edges.OrderBy(e => e.X1)], [.. lines]);
    }

    private static ThicknessMap Strips(Edge[] edges, double[] lines)
    {
        var spreads = new List<Spread>();
        var (greatest, thickest) = (0L, default(Spread));
        var here = new List<Edge>();
        var next = 0;
        for (var i = 0; i + 1 < lines.Length; i++)
        {
            var (left, right) = (lines[i], lines[i + 1]);
            here.RemoveAll(e => e.X2 <= left);
            for (; next < edges.Length && edges[next].X1 <= left; next++)
            {
                if (edges[next].X2 > left)
                {
                    here.Add(edges[next]);
                }
            }

            var middle = (left + right) / 2;
            here.Sort((a, b) => a.At(middle).CompareTo(b.At(middle)));
            var thick = 0L;
            for (var n = 0; n + 1 < here.Count; n++)
            {
                thick += here[n].Up * here[n].Caliper;
                if (thick != 0 && here[n + 1].At(middle) > here[n].At(middle))
                {
                    var spread = new Spread(left, right, here[n].At(left), here[n].At(right), here[n + 1].At(left), here[n + 1].At(right), new Length(thick));
                    spreads.Add(spread);
                    if (thick > greatest)
                    {
                        (greatest, thickest) = (thick, spread);
                    }
                }
            }
        }

        return new ThicknessMap(spreads, new Length(greatest), thickest.Middle);
    }
}

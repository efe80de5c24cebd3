using NetTopologySuite.Geometries;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using Point = WholeFold.Core.Measure.Point;
using Polygon = NetTopologySuite.Geometries.Polygon;

namespace WholeFold.Core.Dressing;

/// <summary>Why nothing, or nothing raised, goes somewhere.</summary>
public enum KeepOutKind
{
    /// <summary>A crease that works: what is raised or bonded on both sides stops it.</summary>
    WorkingCrease,

    /// <summary>Something is bonded on here.</summary>
    Bonded,

    /// <summary>There is no card here to hold adhesive: it would hold what comes to lie against it.</summary>
    Adhesive,

    /// <summary>Closed, what is here would stand out of the card.</summary>
    OutOfFootprint,

    /// <summary>Something slides past here.</summary>
    SlidePath,

    /// <summary>Something turns here.</summary>
    SpinnerPath,

    /// <summary>Here one writes.</summary>
    Writing,
}

/// <summary>A part of a face where something may not be, and why.</summary>
/// <param name="Outline">In the flat piece.</param>
public sealed record KeepOut(KeepOutKind Kind, IReadOnlyList<Point> Outline, string Why);

/// <summary>Works out the keep-outs of every face from creases, bonds, windows, the closed card and what slides.</summary>
internal sealed class KeepOuts(Figures figures, Dressed dressed, ClosedPose closed)
{
    /// <summary>How far what is raised or bonded stays back from a crease that works.</summary>
    private static readonly Pair Back = Pair.Of(1, 16, 1.5m);

    /// <summary>How far round a face what stands out is hatched.</summary>
    private static readonly Length Round = Length.Mm(20);

    private readonly Lazy<IReadOnlyList<(PlateRef Plate, IReadOnlyList<Point> Outline)>> _paths = new(() => SlidePaths.Of(figures));

    public IReadOnlyList<(PlateRef Plate, IReadOnlyList<Point> Outline)> Paths => _paths.Value;

    public IEnumerable<KeepOut> On(RoleFace face)
    {
        var piece = figures.Pieces.First(p => p.Piece.Id == face.Piece);
        var plate = piece.Plate(face.Plate);
        var shape = Plane.Shape(plate.Corners);
        var back = Back.For(figures.Tools.System).Units;
        foreach (var score in piece.AllScores.Where(s => s.Crease.Working && s.Crease.Closed != s.Crease.Shown))
        {
            var strip = Plane.Union(score.Parts.Select(p => Plane.Strip(p.From, p.To, back))).Intersection(shape);
            foreach (var part in Plane.Parts(strip).Where(p => p.Area > back * back))
            {
                yield return new KeepOut(KeepOutKind.WorkingCrease, Plane.Corners(part.ExteriorRing), $"the crease {score.Place} works: nothing raised, and nothing bonded on both sides of it");
            }
        }

        foreach (var bond in figures.Construction.Bonds.Where(b => !b.IsLoose))
        {
            foreach (var side in bond.Sides.Where(s => s.On.Face == face.Face && s.Plate == face.Ref))
            {
                var other = ReferenceEquals(side, bond.A) ? bond.B : bond.A;
                yield return new KeepOut(KeepOutKind.Bonded, [.. side.Region.Corners.Select(figures.ValueOf)], $"{Spoken.The(figures.PlateOf(other.Plate).Name, figures.PieceOf(other.Piece).Piece.Name)} is bonded here");
            }
        }

        foreach (var hole in piece.HolesIn(plate).Concat(HolesOf(face)))
        {
            yield return new KeepOut(KeepOutKind.Adhesive, hole, "the window: adhesive here would hold what comes to lie behind it");
        }

        foreach (var (at, outline) in Paths.Where(p => p.Plate == face.Ref))
        {
            yield return new KeepOut(KeepOutKind.SlidePath, outline, "it slides through a slit here: only what is flat goes through");
        }

        foreach (var lies in figures.Construction.Bonds.Where(b => b.IsLoose && figures.PieceOf(b.B.Piece).Piece.Functions.Along == PartFunction.Turns && b.A.Plate == face.Ref))
        {
            var sweep = Plane.Offset(Plane.Shape(lies.A.Region.Corners.Select(figures.ValueOf)), back);
            yield return new KeepOut(KeepOutKind.SpinnerPath, Plane.Corners(((Polygon)sweep).ExteriorRing), $"{Spoken.The(figures.PieceOf(lies.B.Piece).Piece.Name)} turns here");
        }

        foreach (var write in dressed.Layers.Where(l => l.ToWriteOn).SelectMany(l => l.On.Where(o => o.On.Id == face.Id)))
        {
            yield return new KeepOut(KeepOutKind.Writing, write.Outline, "here one writes");
        }

        foreach (var part in Outside(face, shape))
        {
            yield return new KeepOut(KeepOutKind.OutOfFootprint, part, "closed, this would stand out of the card");
        }
    }

    /// <summary>What windows of the dressing take out of a plate.</summary>
    private IEnumerable<IReadOnlyList<Point>> HolesOf(RoleFace face) =>
        dressed.CutThrough(face.Piece, face.Plate).Select(o => o.Outline);

    /// <summary>Round the face, what lies outside the closed card once its plate is where it lies closed.</summary>
    private IEnumerable<IReadOnlyList<Point>> Outside(RoleFace face, Geometry plate)
    {
        if (!closed.Frames.TryGetValue(face.Ref, out var at) || closed.Deep > Length.Zero)
        {
            yield break;
        }

        if (closed.Slanting)
        {
            yield break;
        }

        // Seen from above the footprint may be turned round; brought back it lies as the plate does.
        var (inverse, turn) = (at.Inverse, closed.FromHead ? -1 : 1);
        var here = Plane.Shape(closed.Footprint.Corners.Select(c => inverse.Apply(turn * c.X.Units, turn * c.Y.Units)).Select(v => (v.X, v.Y)));
        var around = Plane.Offset(plate.Envelope, Round.Units);
        foreach (var part in Plane.Parts(around.Difference(here)).Where(p => p.Area > Round.Units))
        {
            yield return Plane.Corners(part.ExteriorRing);
        }
    }
}

/// <summary>What of a piece passes through a slit between closed and shown.</summary>
internal static class SlidePaths
{
    /// <summary>Moved by less than this nothing slides.</summary>
    private static readonly Length Slides = Length.Mm(2);

    public static IReadOnlyList<(PlateRef Plate, IReadOnlyList<Point> Outline)> Of(Figures figures)
    {
        var slits = figures.Pieces.SelectMany(p => p.Openings.Where(o => o.Opening.Kind == CutKind.Slit).Select(o => (Piece: p, Slit: o))).ToList();
        if (slits.Count == 0)
        {
            return [];
        }

        var shown = Motion.OnTheTable(figures);
        var frames = new[] { ClosedPose.Of(figures).Frames, Assembly.Of(figures, shown).Frames };
        var paths = new List<(PlateRef, IReadOnlyList<Point>)>();
        foreach (var (piece, slit) in slits)
        {
            var (cut, at) = (new PlateRef(piece.Piece.Copies[0], slit.Opening.Panel), slit.Box);
            foreach (var other in figures.Pieces.Where(p => p.Piece.Id != piece.Piece.Id))
            {
                foreach (var plate in other.Plates)
                {
                    // Where the middle of the slit is on the plate, from pose to pose.
                    var on = new PlateRef(other.Piece.Copies[0], plate.Id);
                    var spots = frames.Select(f => f[on].Inverse.Apply(f[cut].Apply((at.Left.Units + at.Right.Units) / 2d, (at.Bottom.Units + at.Top.Units) / 2d))).ToList();
                    var (dx, dy) = (spots.Max(s => s.X) - spots.Min(s => s.X), spots.Max(s => s.Y) - spots.Min(s => s.Y));
                    var box = plate.Box;
                    if (spots.Any(s => Math.Abs(s.Z) > Slides.Units || s.X < box.Left.Units - 1 || s.X > box.Right.Units + 1 || s.Y < box.Bottom.Units - 1
                        || s.Y > box.Top.Units + 1) || Math.Max(dx, dy) < Slides.Units)
                    {
                        continue;
                    }

                    static Length At(double v) => new((long)Math.Round(v));
                    paths.Add((on, (dx > dy ? new Box(At(spots.Min(s => s.X)), box.Bottom, At(spots.Max(s => s.X)), box.Top)
                        : new Box(box.Left, At(spots.Min(s => s.Y)), box.Right, At(spots.Max(s => s.Y)))).Corners));
                }
            }
        }

        return paths;
    }
}

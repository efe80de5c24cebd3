using System.Globalization;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Polygonize;
using WholeFold.Core.Measure;
using Length = WholeFold.Core.Measure.Length;

namespace WholeFold.Core.Exchange.Drawings;

/// <summary>
/// A drawing as a measure list: what its outlines go round are pieces, what lies inside is a window, lines across are scores. From there on it
/// is read like any list that somebody typed.
/// </summary>
public static class DrawnList
{
    private const double Near = 0.3;

    /// <summary>Sides that differ by less, in millimetres, are not told apart by their figures.</summary>
    private const double SquareWithin = 1.6;

    private const int MostPieces = 40, MostScores = 30;

    /// <summary>The list, a piece a line, and what could not be carried over.</summary>
    /// <exception cref="Input.InputProblemException">No outline in it goes round anything.</exception>
    public static (string List, IReadOnlyList<string> LeftOut) Of(Drawn drawn, DisplayUnit unit, string field)
    {
        ArgumentNullException.ThrowIfNull(drawn);
        var left = drawn.LeftOut.ToList();
        var outlines = Outlines(drawn.Lines.Where(l => l.Stroke == Stroke.Cut));
        var pieces = outlines.Where(o => !outlines.Any(p => p != o && Holds(p, o))).OrderByDescending(o => o.EnvelopeInternal.Area).ToList();
        if (pieces.Count == 0)
        {
            throw DrawingFile.Problem(field, "none of its cuts goes round a piece; an outline must be closed");
        }

        if (pieces.Count > MostPieces)
        {
            left.Add($"{pieces.Count - MostPieces} of its {pieces.Count} pieces");
        }

        if (pieces.Any(p => p.EnvelopeInternal.Area - p.Area > Near * p.Length))
        {
            left.Add("what an outline is beside the rectangle round it");
        }

        var list = new List<string>();
        var alike = pieces.Take(MostPieces).Select(p => Piece(p, drawn.Lines, outlines.Where(o => o != p && Holds(p, o)), unit, left)).GroupBy(p => p).ToList();
        foreach (var (piece, i) in alike.Select((p, i) => (p, i)))
        {
            var (size, scores, windows) = piece.Key;
            list.Add($"piece {i + 1} {size}{(piece.Count() > 1 ? $" ({piece.Count()})" : "")}{(scores.Length > 0 ? $", {scores}" : "")}");
            list.AddRange(windows.Length == 0 ? [] : windows.Split(';').Select(w => $"window {w}"));
        }

        return (string.Join('\n', list), [.. left.Distinct()]);
    }

    /// <summary>The boxes of what drops out of the pieces.</summary>
    internal static IReadOnlyList<(double Width, double Height)> Windows(Drawn drawn)
    {
        var outlines = Outlines(drawn.Lines.Where(l => l.Stroke == Stroke.Cut));
        return [.. outlines.Where(o => outlines.Any(p => p != o && Holds(p, o))).Select(o => (o.EnvelopeInternal.Width, o.EnvelopeInternal.Height))];
    }

    private static bool Holds(Polygon outer, Polygon inner) => outer.EnvelopeInternal.Area > inner.EnvelopeInternal.Area
        && outer.EnvelopeInternal.Contains(inner.EnvelopeInternal.Centre) && outer.EnvelopeInternal.Covers(inner.EnvelopeInternal);

    /// <summary>What closed lines go round: shells of what their lines, noded, enclose.</summary>
    private static List<Polygon> Outlines(IEnumerable<DrawnLine> cuts)
    {
        var factory = new GeometryFactory(new PrecisionModel(1 / 0.02));
        Coordinate At(double x, double y) => new(Math.Round(x / 0.02) * 0.02, Math.Round(y / 0.02) * 0.02);
        var lines = cuts.Select(l => (A: At(l.X1, l.Y1), B: At(l.X2, l.Y2))).Where(l => !l.A.Equals2D(l.B)).Select(l => (Geometry)factory.CreateLineString([l.A, l.B])).ToArray();
        if (lines.Length == 0)
        {
            return [];
        }

        var polygonizer = new Polygonizer();
        polygonizer.Add(factory.CreateMultiLineString([.. lines.Cast<LineString>()]).Union());

        // Several faces side by side are one piece with cuts in it: what hangs together is joined again.
        var shells = polygonizer.GetPolygons().OfType<Polygon>().Select(p => (Geometry)factory.CreatePolygon((LinearRing)p.ExteriorRing)).ToList();
        var whole = shells.Count == 0 ? [] : new List<Geometry> { NetTopologySuite.Operation.Union.UnaryUnionOp.Union(shells) };
        var parts = whole.SelectMany(g => Enumerable.Range(0, g.NumGeometries).Select(g.GetGeometryN)).OfType<Polygon>().Select(p => factory.CreatePolygon((LinearRing)p.ExteriorRing)).ToList();
        var windows = shells.OfType<Polygon>().Where(s => parts.Any(p => p.EnvelopeInternal.Area > s.EnvelopeInternal.Area * 1.02 && IsInside(p, s))).ToList();
        return [.. parts, .. windows];
    }

    /// <summary>Well inside, touching no edge of it: a window, and no part that was cut apart.</summary>
    private static bool IsInside(Polygon outer, Polygon inner)
    {
        var (o, i) = (outer.EnvelopeInternal, inner.EnvelopeInternal);
        return i.MinX > o.MinX + Near && i.MaxX < o.MaxX - Near && i.MinY > o.MinY + Near && i.MaxY < o.MaxY - Near;
    }

    private static (string Size, string Scores, string Windows) Piece(Polygon piece, IReadOnlyList<DrawnLine> lines, IEnumerable<Polygon> windows, DisplayUnit unit, List<string> left)
    {
        var box = piece.EnvelopeInternal;
        string Figure(double mm) => LengthWriter.Write(Length.Mm((decimal)Math.Round(mm, 3)), unit).Replace(" scant", "", StringComparison.Ordinal).Replace(" full", "", StringComparison.Ordinal);
        string Exact(double mm) => unit == DisplayUnit.Inch ? (mm / 25.4).ToString("0.####", CultureInfo.InvariantCulture) : unit == DisplayUnit.Centimetre
            ? (mm / 10).ToString("0.###", CultureInfo.InvariantCulture) : mm.ToString("0.##", CultureInfo.InvariantCulture);
        var named = unit switch { DisplayUnit.Inch => "in", DisplayUnit.Centimetre => "cm", _ => "mm" };

        // A figure that lies on a mark is written as one says it; another as exactly as it was drawn.
        string Said(double mm) => LengthReader.TryRead(Figure(mm), unit, out var read, out _) && Math.Abs((double)read.Millimetres - mm) < 0.06 ? Figure(mm) : Exact(mm);
        var inside = lines.Where(l => l.Stroke != Stroke.Cut && l.X1 + l.X2 > 2 * box.MinX && l.X1 + l.X2 < 2 * box.MaxX && l.Y1 + l.Y2 > 2 * box.MinY && l.Y1 + l.Y2 < 2 * box.MaxY).ToList();
        var upright = Distinct(inside.Where(l => Math.Abs(l.X1 - l.X2) < Near && Math.Abs(l.Y1 - l.Y2) > Near).Select(l => (((l.X1 + l.X2) / 2) - box.MinX, l.Stroke)));
        var level = Distinct(inside.Where(l => Math.Abs(l.Y1 - l.Y2) < Near && Math.Abs(l.X1 - l.X2) > Near).Select(l => (((l.Y1 + l.Y2) / 2) - box.MinY, l.Stroke)));
        if (inside.Any(l => Math.Abs(l.X1 - l.X2) >= Near && Math.Abs(l.Y1 - l.Y2) >= Near))
        {
            left.Add("scores that run slantwise");
        }

        // Which way they fold stands before those that fold so; what a list cannot say of scores that run the other way is said here.
        string Fold(IGrouping<Stroke, (double At, Stroke Stroke)> alike) => $"{alike.Key switch { Stroke.Valley => "valley ", Stroke.Mountain => "mountain ", _ => "" }}at {string.Join(", ", alike.Select(a => Said(a.At)))}";

        // The sides of a square are told apart by which of them is named first.
        var isSquare = Math.Abs(box.Width - box.Height) < SquareWithin;
        string Across(List<(double At, Stroke Stroke)> at, double side, string which) => at.Count == 0 ? "" : $"along the {(isSquare ? which : $"{Said(side)} {named}")} side {string.Join(", ", at.Take(MostScores).GroupBy(a => a.Stroke).OrderByDescending(g => g.Key).Select(Fold))}";
        if (upright.Count > 0 && level.Count > 0 && (upright.Count >= level.Count ? level : upright).Any(l => l.Stroke != Stroke.Score))
        {
            left.Add("which way scores fold that cross a piece's other ones");
        }

        var (along, cross) = (Across(upright, box.Width, "first"), Across(level, box.Height, "second"));
        (along, cross) = upright.Count >= level.Count ? (along, cross) : (cross, along);
        var scores = along.Length == 0 ? "" : $"score {along}{(cross.Length > 0 ? $" and {cross}" : "")}";
        return ($"{Said(box.Width)} x {Said(box.Height)} {named}", scores, string.Join(';', windows.Select(w => $"{Said(w.EnvelopeInternal.Width)} x {Said(w.EnvelopeInternal.Height)} {named}").Order(StringComparer.Ordinal)));
    }

    /// <summary>Where scores are, each once; one that folds both ways along its line folds no one way.</summary>
    private static List<(double At, Stroke Stroke)> Distinct(IEnumerable<(double At, Stroke Stroke)> lines)
    {
        var all = new List<(double At, Stroke Stroke)>();
        foreach (var (at, stroke) in lines.OrderBy(l => l.At))
        {
            if (all.Count == 0 || at - all[^1].At > Near)
            {
                all.Add((at, stroke));
            }
            else if (all[^1].Stroke != stroke)
            {
                all[^1] = (all[^1].At, Stroke.Score);
            }
        }

        return all;
    }
}

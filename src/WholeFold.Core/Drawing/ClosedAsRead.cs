using WholeFold.Core.Constructions;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>The closed card as a reader holds it: seen from the front, its head uppermost, counted from its lower left corner.</summary>
public sealed class ClosedAsRead
{
    private readonly (int X, int Y) _right, _up;
    private readonly Length _left, _foot;

    public ClosedAsRead(Figures figures, ClosedPose pose)
    {
        ArgumentNullException.ThrowIfNull(pose);
        (_right, _up) = ((1, 0), (0, 1));
        var read = ReadFrom.Of(figures);
        if (!pose.Slanting && pose.Panels.FirstOrDefault(p => p.Plate == read.Plate) is { } plate)
        {
            var (x, y) = read.Way;
            var ends = pose.Place(read.Plate, [new Point(Length.Zero, Length.Zero), new Point(new Length(x * 1000), new Length(y * 1000))]);
            _up = (Math.Sign(ends[1].X.Units - ends[0].X.Units), Math.Sign(ends[1].Y.Units - ends[0].Y.Units));
            _right = plate.FaceUp ? (_up.Y, -_up.X) : (-_up.Y, _up.X);
        }

        var corners = pose.Footprint.Corners.Select(c => (X: Along(c, _right), Y: Along(c, _up))).ToList();
        (_left, _foot) = (corners.Min(c => c.X), corners.Min(c => c.Y));
        (Width, Height) = (corners.Max(c => c.X) - _left, corners.Max(c => c.Y) - _foot);
    }

    public Length Width { get; }

    public Length Height { get; }

    /// <summary>A point of the closed pose.</summary>
    /// <param name="behind">As one sees it with the card turned like a page.</param>
    public Point Read(Point at, bool behind = false)
    {
        var x = Along(at, _right) - _left;
        return new Point(behind ? Width - x : x, Along(at, _up) - _foot);
    }

    private static Length Along(Point at, (int X, int Y) way) => (way.X * at.X) + (way.Y * at.Y);
}

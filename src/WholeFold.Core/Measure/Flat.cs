namespace WholeFold.Core.Measure;

/// <summary>A point of a flat piece.</summary>
public readonly record struct Point(Length X, Length Y);

/// <summary>A rectangle in the plane, in units.</summary>
public readonly record struct Box(Length Left, Length Bottom, Length Right, Length Top)
{
    public Length Width => Right - Left;

    public Length Height => Top - Bottom;

    /// <summary>Its corners, counter-clockwise from the lower left.</summary>
    public IReadOnlyList<Point> Corners => [new(Left, Bottom), new(Right, Bottom), new(Right, Top), new(Left, Top)];

    public bool Meets(Box other) => Left < other.Right && other.Left < Right && Bottom < other.Top && other.Bottom < Top;

    public bool Covers(Box other) => Left <= other.Left && Bottom <= other.Bottom && Right >= other.Right && Top >= other.Top;

    /// <summary>The smallest one round some points.</summary>
    public static Box Round(IReadOnlyList<Point> points)
    {
        var (left, bottom) = points[0];
        var (right, top) = points[0];
        foreach (var (x, y) in points)
        {
            (left, bottom, right, top) = (Length.Min(left, x), Length.Min(bottom, y), Length.Max(right, x), Length.Max(top, y));
        }

        return new Box(left, bottom, right, top);
    }
}

/// <summary>The line round something flat, corner by corner.</summary>
internal static class Outline
{
    /// <summary>Twice the area in square units, positive where the corners go round counter-clockwise.</summary>
    public static double TwiceArea(IReadOnlyList<Point> corners)
    {
        var sum = 0d;
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
            sum += ((double)a.X.Units * b.Y.Units) - ((double)b.X.Units * a.Y.Units);
        }

        return sum;
    }

    /// <summary>Whether corners are the four of the box round them, whichever comes first.</summary>
    public static bool IsRectangle(IReadOnlyList<Point> corners)
    {
        var box = Box.Round(corners);
        return corners.Count == 4 && corners.Distinct().Count() == 4 && corners.All(c => (c.X == box.Left || c.X == box.Right) && (c.Y == box.Bottom || c.Y == box.Top));
    }
}

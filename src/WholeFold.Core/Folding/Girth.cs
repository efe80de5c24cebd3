using WholeFold.Core.Measure;

namespace WholeFold.Core.Folding;

/// <summary>
/// What a thick card takes of flat paper more than its width, to go round it: half the perimeter of the convex hull of its
/// cross-section, less its width. An even thickness takes itself; a bump in the middle takes far less than its height, since
/// paper slopes up to it.
/// </summary>
public static class Girth
{
    /// <summary>The most that any section takes, across the card and along it.</summary>
    public static (Length Across, Length Along) Of(ThicknessMap map, ClosedPose pose)
    {
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(pose);
        var heights = map.Spreads.SelectMany(s => new[] { s.LowLeft, s.LowRight, s.HighLeft, s.HighRight }).Distinct().Order().ToList();
        var across = heights.Zip(heights.Skip(1), (a, b) => (a + b) / 2).Select(y => HalfRound(Level(map, y), pose.Width.Units)).DefaultIfEmpty(0).Max();
        var along = map.Spreads.Select(s => (s.Left + s.Right) / 2).Distinct().Select(x => HalfRound(Upright(map, x), pose.Height.Units)).DefaultIfEmpty(0).Max();

        // What stands up and is not folded over is as thick everywhere, for all that an envelope knows.
        Length Need(double need) => new Length((long)Math.Ceiling(need)) + pose.Deep;
        return (Need(across), Need(along));
    }

    /// <summary>What lies along a line from left to right: from, to, how thick.</summary>
    private static IEnumerable<(double From, double To, double Thick)> Level(ThicknessMap map, double y)
    {
        foreach (var s in map.Spreads)
        {
            // Within a spread both edges are straight, so what of it lies at this height is one stretch.
            var (from, to) = (s.Left, s.Right);
            Clip(s.LowLeft - y, s.LowRight - y, ref from, ref to);
            Clip(y - s.HighLeft, y - s.HighRight, ref from, ref to);
            if (to > from)
            {
                yield return (from, to, s.Thick.Units);
            }

            // Keeps what of the stretch has the line's value at most nothing.
            void Clip(double atLeft, double atRight, ref double low, ref double high)
            {
                if (atLeft > 0 && atRight > 0)
                {
                    high = low;
                }
                else if (atLeft > 0 || atRight > 0)
                {
                    var at = s.Left + ((s.Right - s.Left) * atLeft / (atLeft - atRight));
                    (low, high) = atLeft > 0 ? (Math.Max(low, at), high) : (low, Math.Min(high, at));
                }
            }
        }
    }

    private static IEnumerable<(double From, double To, double Thick)> Upright(ThicknessMap map, double x)
    {
        foreach (var s in map.Spreads.Where(s => s.Left <= x && x <= s.Right && s.Right > s.Left))
        {
            var share = (x - s.Left) / (s.Right - s.Left);
            yield return (s.LowLeft + ((s.LowRight - s.LowLeft) * share), s.HighLeft + ((s.HighRight - s.HighLeft) * share), s.Thick.Units);
        }
    }

    private static double HalfRound(IEnumerable<(double From, double To, double Thick)> section, double width)
    {
        var points = section.SelectMany(s => new (double X, double Y)[] { (s.From, 0), (s.From, s.Thick), (s.To, s.Thick), (s.To, 0) }).OrderBy(p => p.X).ThenBy(p => p.Y).ToList();
        if (points.Count == 0)
        {
            return 0;
        }

        // The upper side of the hull, from left to right; the lower one is the table.
        var hull = new List<(double X, double Y)> { (points[0].X, 0) };
        foreach (var p in points.Append((points[^1].X, 0)))
        {
            while (hull.Count > 1 && ((hull[^1].X - hull[^2].X) * (p.Item2 - hull[^2].Y)) - ((hull[^1].Y - hull[^2].Y) * (p.Item1 - hull[^2].X)) >= 0)
            {
                hull.RemoveAt(hull.Count - 1);
            }

            hull.Add(p);
        }

        var round = hull.Zip(hull.Skip(1), (a, b) => Math.Sqrt(((b.X - a.X) * (b.X - a.X)) + ((b.Y - a.Y) * (b.Y - a.Y)))).Sum() + (points[^1].X - points[0].X);
        return Math.Max(0, (round / 2) - width);
    }
}

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
        Spread[] spreads = [.. map.Spreads];
        var heights = map.Spreads.SelectMany(s => new[] { s.LowLeft, s.LowRight, s.HighLeft, s.HighRight }).Distinct().Order().ToList();
        var across = heights.Zip(heights.Skip(1)).Where(b => b.Second - b.First >= Fine).Select(b => HalfRound(Level(spreads, (b.First + b.Second) / 2).OrderBy(s => s.From), pose.Width.Units)).DefaultIfEmpty(0).Max();
        var along = map.Spreads.GroupBy(s => (s.Left, s.Right)).Select(strip => HalfRound(Upright(strip), pose.Height.Units)).DefaultIfEmpty(0).Max();

        // What stands up and is not folded over is as thick everywhere, for all that an envelope knows.
        Length Need(double need) => new Length((long)Math.Ceiling(need)) + pose.Deep;
        return (Need(across), Need(along));
    }

    /// <summary>Nothing in a card is narrower than this that a sheet of paper would feel: a fifth of a millimetre, in units.</summary>
    private const double Fine = 64;

    /// <summary>What lies along a line from left to right: from, to, how thick. Where edges slant, one strip has several in no order.</summary>
    private static IEnumerable<(double From, double To, double Thick)> Level(Spread[] spreads, double y)
    {
        foreach (var s in spreads)
        {
            if (Math.Min(s.LowLeft, s.LowRight) > y || Math.Max(s.HighLeft, s.HighRight) < y)
            {
                continue;
            }

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

    /// <summary>Along the middle of a strip from the foot up, as the map has it.</summary>
    private static IEnumerable<(double From, double To, double Thick)> Upright(IEnumerable<Spread> strip) =>
        strip.Select(s => ((s.LowLeft + s.LowRight) / 2, (s.HighLeft + s.HighRight) / 2, (double)s.Thick.Units));

    /// <param name="section">What lies along the line, in order.</param>
    private static double HalfRound(IEnumerable<(double From, double To, double Thick)> section, double width)
    {
        // The upper side of the hull; the lower one is the table.
        var hull = new List<(double X, double Y)>();
        void Over(double x, double y)
        {
            while (hull.Count > 1 && ((hull[^1].X - hull[^2].X) * (y - hull[^2].Y)) - ((hull[^1].Y - hull[^2].Y) * (x - hull[^2].X)) >= 0)
            {
                hull.RemoveAt(hull.Count - 1);
            }

            hull.Add((x, y));
        }

        var last = 0d;
        foreach (var (from, to, thick) in section)
        {
            if (hull.Count == 0)
            {
                hull.Add((from, 0));
            }

            Over(from, thick);
            Over(to, thick);
            last = Math.Max(last, to);
        }

        if (hull.Count == 0)
        {
            return 0;
        }

        Over(last, 0);
        var round = last - hull[0].X;
        for (var i = 1; i < hull.Count; i++)
        {
            round += Math.Sqrt(((hull[i].X - hull[i - 1].X) * (hull[i].X - hull[i - 1].X)) + ((hull[i].Y - hull[i - 1].Y) * (hull[i].Y - hull[i - 1].Y)));
        }

        return Math.Max(0, (round / 2) - width);
    }
}

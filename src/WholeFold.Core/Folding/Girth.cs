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
    /// <param name="packed">How large it is with what stands over its edge: that is its width, and no need beside it.</param>
    public static (Length Across, Length Along) Of(ThicknessMap map, ClosedPose pose, Box packed)
    {
        ArgumentNullException.ThrowIfNull(map);
        ArgumentNullException.ThrowIfNull(pose);
        var across = Sections(map.Spreads).Select(section => HalfRound(section, packed.Width.Units)).DefaultIfEmpty(0).Max();
        var along = map.Spreads.GroupBy(s => (s.Left, s.Right)).Select(strip => HalfRound(Upright(strip), packed.Height.Units)).DefaultIfEmpty(0).Max();

        // What stands up and is not folded over is as thick everywhere, for all that an envelope knows.
        Length Need(double need) => new Length((long)Math.Ceiling(need)) + pose.Deep;
        return (Need(across), Need(along));
    }

    /// <summary>Lines nearer to each other than this a sheet of paper could not tell apart: a millimetre, in units.</summary>
    private const double Fine = 320;

    /// <summary>What lies along each line from left to right, from the foot up: from, to, how thick. Between two lines where something begins or ends, one stands for all.</summary>
    private static IEnumerable<IReadOnlyList<(double From, double To, double Thick)>> Sections(IReadOnlyList<Spread> spreads)
    {
        var heights = spreads.SelectMany(s => new[] { s.LowLeft, s.LowRight, s.HighLeft, s.HighRight }).Distinct().Order().ToList();
        var low = spreads.Select(s => Math.Min(s.LowLeft, s.LowRight)).ToArray();
        var high = spreads.Select(s => Math.Max(s.HighLeft, s.HighRight)).ToArray();
        var byFoot = Enumerable.Range(0, spreads.Count).OrderBy(i => low[i]).ToArray();

        // Those that reach the line, kept in the map's order, which is from left to right strip by strip.
        var (here, next, section) = (new List<int>(), 0, new List<(double From, double To, double Thick)>());
        for (int last = 0, h = 1; h < heights.Count; h++)
        {
            if (heights[h] - heights[last] < Fine)
            {
                continue;
            }

            var y = (heights[h - 1] + heights[h]) / 2;
            last = h;
            for (; next < byFoot.Length && low[byFoot[next]] <= y; next++)
            {
                here.Insert(~here.BinarySearch(byFoot[next]), byFoot[next]);
            }

            here.RemoveAll(i => high[i] < y);
            section.Clear();
            var inOrder = true;
            foreach (var i in here)
            {
                if (Level(spreads[i], y) is { } stretch)
                {
                    inOrder &= section.Count == 0 || section[^1].From <= stretch.From;
                    section.Add(stretch);
                }
            }

            if (!inOrder)
            {
                section.Sort((a, b) => a.From.CompareTo(b.From));
            }

            yield return section;
        }
    }

    /// <summary>What of a spread lies at a height. Both its edges are straight, so it is one stretch; where they slant, one strip has several in no order.</summary>
    private static (double From, double To, double Thick)? Level(Spread s, double y)
    {
        var (from, to) = (s.Left, s.Right);
        Clip(s.LowLeft - y, s.LowRight - y, ref from, ref to);
        Clip(y - s.HighLeft, y - s.HighRight, ref from, ref to);
        return to > from ? (from, to, s.Thick.Units) : null;

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

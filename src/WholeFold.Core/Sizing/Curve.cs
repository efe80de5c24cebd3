using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>One choice between two things that are traded off: a real sizing with the parameter set to this value.</summary>
/// <param name="Current">Whether it is what the design has now.</param>
public sealed record CurvePoint(Length Parameter, Length One, Length Other, long OffGroove, Length Under, bool Current);

/// <summary>All that can be had of one thing against another, none of it worse than another point in everything.</summary>
public sealed record Curve(Tradeoff Tradeoff, IReadOnlyList<CurvePoint> Points)
{
    /// <summary>More points than a person can tell apart on a curve a hand wide are no help.</summary>
    private const int MostPoints = 24;

    /// <summary>The trade-offs of a sized design.</summary>
    public static IReadOnlyList<Curve> Of(Figures sized, CancellationToken cancel = default)
    {
        ArgumentNullException.ThrowIfNull(sized);
        return [.. sized.Construction.Tradeoffs.Select(t => Of(sized, t, cancel)).Where(c => c.Points.Count > 1)];
    }

    private static Curve Of(Figures sized, Tradeoff tradeoff, CancellationToken cancel)
    {
        var current = sized.Parameters.First(p => p.Parameter.Id == tradeoff.Parameter).Value;
        var range = Sizer.RangeOf(sized.Design, sized.Target, tradeoff.Parameter, sized.Relaxation, cancel);
        var points = new List<CurvePoint>();
        foreach (var stop in Spread(range?.Stops ?? [], current))
        {
            if (At(sized, tradeoff.Parameter, stop, cancel) is { } there)
            {
                points.Add(new CurvePoint(stop, there.ValueOf(tradeoff.One), there.ValueOf(tradeoff.Other), there.Cost.OffGroove,
                    Length.Max(sized.Target.Width - there.Width, sized.Target.Height - there.Height), stop == current));
            }
        }

        return new Curve(tradeoff, [.. points.Where(p => !points.Any(q => Beats(q, p))).OrderBy(p => p.One).ThenBy(p => p.Other)]);
    }

    /// <summary>At least as good in everything and better in something.</summary>
    private static bool Beats(CurvePoint a, CurvePoint b) =>
        a.One >= b.One && a.Other >= b.Other && a.OffGroove <= b.OffGroove && a.Under <= b.Under
        && (a.One > b.One || a.Other > b.Other || a.OffGroove < b.OffGroove || a.Under < b.Under);

    private static Figures? At(Figures sized, string parameter, Length value, CancellationToken cancel)
    {
        // The end of a range may lie beyond a limit taken at the format, where the card ends a mark under it.
        var there = Sizer.TrySize(sized.Design.Adjusted(sized.Target, parameter, value), sized.Target, cancel);
        return there?.Parameters.First(p => p.Parameter.Id == parameter).Value == value ? there : null;
    }

    private static IEnumerable<Length> Spread(IReadOnlyList<Length> stops, Length current)
    {
        if (stops.Count <= MostPoints)
        {
            return stops;
        }

        // Evenly spread, with both ends and what there is now among them.
        var picked = Enumerable.Range(0, MostPoints).Select(i => stops[(int)((long)i * (stops.Count - 1) / (MostPoints - 1))]);
        return picked.Append(current).Distinct().Order();
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Lists.Own;

/// <summary>
/// Which way a chain of panels is folded, where nobody says: so that closed it is as wide as the card, and in the plainest way:
/// folded over rather than left flat, valleys rather than mountains.
/// </summary>
internal static class FoldGuess
{
    private const int MostTried = 8;

    private const double OffSize = 1, Flat = 2, Mountain = 0.4, Change = 0.2, Tight = 1;

    /// <summary>More than that where its maker says which way it folds.</summary>
    private const double SaidFlat = 1;

    /// <summary>The closed angle of each crease: 180, −180 or 0.</summary>
    /// <param name="near">Nearer than this is the same width.</param>
    /// <param name="said">Of each crease which way it folds, where its maker says so.</param>
    public static IReadOnlyList<int> Closed(IReadOnlyList<Length> panels, Length width, Length near, IReadOnlyList<Fold?> said)
    {
        var count = panels.Count - 1;
        if (count <= 0)
        {
            return [];
        }

        if (count > MostTried)
        {
            return [.. Enumerable.Range(0, count).Select(i => said[i] is { } way ? Over(way) : i % 2 == 0 ? 180 : -180)];
        }

        var (best, least) = (new int[count], double.MaxValue);
        var angles = new int[count];
        Try(0);
        return best;

        void Try(int at)
        {
            if (at == count)
            {
                var cost = Cost();
                if (cost < least)
                {
                    (best, least) = ([.. angles], cost);
                }

                return;
            }

            foreach (var angle in said[at] is { } way ? [Over(way), 0] : new[] { 180, -180, 0 })
            {
                angles[at] = angle;
                Try(at + 1);
            }
        }

        static int Over(Fold way) => way == Fold.Valley ? 180 : -180;

        // Rolled up, a panel goes inside the next, which must be the wider one.
        int Rolled() => Enumerable.Range(1, Math.Max(0, count - 1)).Count(i => angles[i] != 0 && angles[i] == angles[i - 1] && panels[i - 1] > panels[i] - near);

        double Cost()
        {
            var (at, low, high, way) = (0L, 0L, 0L, 1);
            for (var i = 0; i < panels.Count; i++)
            {
                at += way * panels[i].Units;
                (low, high) = (Math.Min(low, at), Math.Max(high, at));
                way = i < count && angles[i] != 0 ? -way : way;
            }

            var off = Math.Max(0, Math.Abs(high - low - width.Units) - near.Units) / (double)Length.PerMillimetre;
            var changes = angles.Zip(angles.Skip(1)).Count(a => a.First != a.Second);
            return (OffSize * off) + (Flat * angles.Count(a => a == 0)) + (SaidFlat * angles.Where((a, i) => a == 0 && said[i] is not null).Count())
                + (Mountain * angles.Count(a => a < 0)) + (Change * changes) + (Tight * Rolled());
        }
    }
}

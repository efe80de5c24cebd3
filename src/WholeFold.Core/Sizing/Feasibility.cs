using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>Whether any real numbers at all satisfy some bounds, by the simplex method's first phase.</summary>
/// <remarks>
/// Asked where drawing in ranges step by step does not come to an end: two bounds that contradict each other ("the tab is at
/// most the step, the step less than the tab") would push each other up by a unit at a time. Worked in floating point; only
/// a contradiction of more than a ten thousandth of a unit, far above what that can be off by, counts as one, so nothing
/// possible is given up.
/// </remarks>
internal static class Feasibility
{
    private const double Zero = 1e-9, Contradiction = 1e-4;
    private const int MostPivots = 400;

    /// <summary>What asking costs, beside a value that is tried.</summary>
    public const int Effort = 10;

    public static bool MayHold(IReadOnlyList<Bound> bounds, long[] low, long[] high)
    {
        // x = low + y with y ≥ 0; each bound, divided by its denominator, as −a·y ≤ b + a·low; each upper end as y ≤ high − low.
        var n = low.Length;
        var rows = bounds.Where(bound => bound.Form.A.Any(a => a != 0)).Select(bound => bound.Form).ToList();
        var m = rows.Count + n;
        var table = new double[m + 1, n + 2];
        for (var i = 0; i < rows.Count; i++)
        {
            var (form, scale) = (rows[i], (double)rows[i].D);
            table[i, n + 1] = form.B / scale;
            for (var j = 0; j < n; j++)
            {
                table[i, j] = -form.A[j] / scale;
                table[i, n + 1] += form.A[j] / scale * low[j];
            }
        }

        for (var j = 0; j < n; j++)
        {
            table[rows.Count + j, j] = 1;
            table[rows.Count + j, n + 1] = high[j] - low[j];
        }

        // One more unknown, taken from every row, is how much must be given way; the least of it is sought.
        var worst = 0;
        for (var i = 0; i < m; i++)
        {
            table[i, n] = -1;
            worst = table[i, n + 1] < table[worst, n + 1] ? i : worst;
        }

        if (table[worst, n + 1] >= 0)
        {
            return true;
        }

        table[m, n] = 1;
        var basic = Enumerable.Range(n + 1, m).ToArray();
        var free = Enumerable.Range(0, n + 1).ToArray();
        Pivot(table, worst, n, basic, free);
        for (var pivots = 0; pivots < MostPivots; pivots++)
        {
            // Bland's rule: the lowest of those that help, so that it cannot go round in circles.
            var column = -1;
            for (var j = 0; j <= n; j++)
            {
                column = table[m, j] < -Zero && (column < 0 || free[j] < free[column]) ? j : column;
            }

            if (column < 0)
            {
                break;
            }

            var row = -1;
            for (var i = 0; i < m; i++)
            {
                if (table[i, column] > Zero && (row < 0 || table[i, n + 1] / table[i, column] < (table[row, n + 1] / table[row, column]) - Zero))
                {
                    row = i;
                }
            }

            if (row < 0)
            {
                return true;
            }

            Pivot(table, row, column, basic, free);
        }

        return -table[m, n + 1] <= Contradiction;
    }

    private static void Pivot(double[,] table, int row, int column, int[] basic, int[] free)
    {
        var (m, n) = (table.GetLength(0), table.GetLength(1));
        var pivot = table[row, column];
        for (var j = 0; j < n; j++)
        {
            table[row, j] /= j == column ? 1 : pivot;
        }

        table[row, column] = 1 / pivot;
        for (var i = 0; i < m; i++)
        {
            var times = table[i, column];
            if (i == row || times == 0)
            {
                continue;
            }

            for (var j = 0; j < n; j++)
            {
                table[i, j] = j == column ? -times / pivot : table[i, j] - (times * table[row, j]);
            }
        }

        (basic[row], free[column]) = (free[column], basic[row]);
    }
}

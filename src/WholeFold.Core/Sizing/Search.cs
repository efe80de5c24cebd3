using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>
/// The exact search over tool marks.
/// </summary>
/// <remarks>
/// Unknowns fall into independent components (x and y chains rarely share any). In one, the finished sizes are taken in order
/// of what they lose. Then each figure is put on one of the kinds of marks that can hold it, a groove as it lies or turned
/// round before a ruler's mark: every such choice is one congruence, and all of them together a <see cref="Lattice"/>. What
/// the lattice leaves of each unknown bounds the distance from the ideals from below, so that most choices are given up at
/// once. In what is left values are tried nearest first. The result is the optimum of the whole ordered cost; equal ones go
/// to the one nearest to its ideal and then lowest, unknown by unknown: the same every time.
/// </remarks>
internal sealed partial class Search
{
    /// <summary>What all the searches of one sizing may cost together: some tenths of a second. Nearly all take a hundredth of it.</summary>
    internal const long Budget = 600_000;

    /// <summary>The most scores that one piece can have.</summary>
    internal const int MostScores = 32;

    private readonly Problem _problem;
    private readonly long[] _values;
    private readonly long[] _low;
    private readonly long[] _high;
    private long _left;

    private Search(Problem problem)
    {
        _problem = problem;
        _values = new long[problem.Unknowns.Length];
        _left = problem.Effort;
        _low = [.. problem.Unknowns.Select(u => u.Low)];
        _high = [.. problem.Unknowns.Select(u => u.High)];
    }

    /// <summary>The best values with their cost, or null where nothing satisfies the hard requirements.</summary>
    /// <exception cref="UndecidedException">The effort was used up before anything was found.</exception>
    public static Solution? Solve(Problem problem)
    {
        var search = new Search(problem);
        if (!search.Narrow(problem.Bounds))
        {
            return null;
        }

        var (total, gap) = (default(Cost), (Gap?)null);
        foreach (var component in search.Components())
        {
            // For the ends of one unknown's range, what is independent of it does not matter.
            if (problem.OnlyUnknown is { } only && !component.Unknowns.Contains(only))
            {
                continue;
            }

            var part = new Part(search, component);
            if (part.Solve() is not { } cost)
            {
                return null;
            }

            total += cost;
            gap = Gap.Of(gap, part.Gap);
        }

        return new Solution(search._values, total, gap, problem.Effort - search._left);
    }

    /// <summary>Counts what is looked into. The budget is in these and not in time, so that every machine finds the same.</summary>
    private void Spend(int effort = 1)
    {
        _left -= effort;
        if (_left < 0)
        {
            throw new UndecidedException();
        }

        _problem.Cancel.ThrowIfCancellationRequested();
    }

    /// <summary>Whether all bounds together leave anything.</summary>
    private bool MayHold(IReadOnlyList<Bound> bounds)
    {
        Spend(Feasibility.Effort);
        return Feasibility.MayHold(bounds, _low, _high);
    }
}

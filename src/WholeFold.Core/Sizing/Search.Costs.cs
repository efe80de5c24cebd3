using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>What a solution costs beside its distance from the ideals.</summary>
internal sealed partial class Search
{
    private Cost Off(ScoreForm score)
    {
        var tools = _problem.Tools;
        if (tools.Stops.Count == 0 && !CountsFineMarks)
        {
            return default;
        }

        var (at, width) = Placed(score);
        if (tools.OnStop(at) || tools.OnStop(width - at))
        {
            return default;
        }

        // An edge folded to a line needs the line's figure only.
        var fine = CountsFineMarks && !tools.IsPlain(at) && !FoldsToLine(at, width) && !FoldsToLine(width - at, width);
        return new Cost { OffGroove = tools.Stops.Count > 0 ? 1 : 0, Sixteenths = fine ? 1 : 0 };
    }

    private bool CountsFineMarks => _problem is { Prefer.AvoidFineMarks: true, Tools.Exact: false };

    private bool FoldsToLine(Length at, Length width) => 2 * at <= width && _problem.Tools.IsPlain(2 * at);

    /// <summary>A cut finer than eighths, where a person would rather have none; and how fine a mark a free one is on.</summary>
    private Cost Fine(CutForm cut) => new()
    {
        Sixteenths = CountsFineMarks && !_problem.Tools.IsPlain(new Length(cut.At.Value(_values))) ? 1 : 0,
        Fineness = IsFree(cut) ? _problem.Tools.FinenessOf(new Length(cut.At.Value(_values))) : 0,
    };

    /// <summary>A cut that no score leads. A machine has no marks, and whoever keeps the proportions keeps them here too.</summary>
    private bool IsFree(CutForm cut)
    {
        if (_problem is { OnMarks: false } or { Tools.Exact: true } or { Priority: Priority.Proportions } || _problem.OnlyUnknown is not null)
        {
            return false;
        }

        var free = false;
        for (var i = 0; i < cut.At.A.Length; i++)
        {
            if (cut.At.A[i] != 0 && _problem.Unknowns[i] is { IsSide: false } unknown)
            {
                if (!unknown.CutsOnly)
                {
                    return false;
                }

                free = true;
            }
        }

        return free;
    }

    /// <summary>What an unknown costs that is so far from its ideal, <paramref name="away"/> in units times the ideal's denominator.</summary>
    private Cost CostOf(int unknown, long away)
    {
        if (_problem.OnlyUnknown is { } only)
        {
            return new Cost { Distance = only == unknown ? _problem.Unknowns[unknown].Weight * away : 0 };
        }

        var (its, past) = (_problem.Unknowns[unknown], 0L);
        if (its.Band is { } band)
        {
            past = Math.Max(0, Rational.FloorDivide(away + its.Ideal.Denominator - 1, its.Ideal.Denominator) - band);
        }

        return new Cost { Discomfort = past * its.Strain, Distance = its.Weight * away };
    }

    private (Length At, Length Width) Placed(ScoreForm score)
    {
        var at = new Length(score.At.Value(_values));
        var width = new Length(score.Width.Value(_values));
        return _problem.OnMarks ? (at, width) : Marks.Rounded(_problem.Tools, at, width);
    }

    /// <summary>Where there is no ruler, what no stop holds cannot be set at all.</summary>
    private bool MustBeOnStops => _problem is { OnMarks: true, ScoresOnMarks: true, Tools.RulerMarks.Count: 0 };

    /// <summary>What a component costs at the values it has, but for the distance.</summary>
    private Cost CostOf(Component component)
    {
        var cost = default(Cost);
        if (_problem.OnlyUnknown is not null && !MustBeOnStops)
        {
            return cost;
        }

        foreach (var score in component.Strips.SelectMany(s => s))
        {
            cost += Off(score);
        }

        if (_problem.OnlyUnknown is not null)
        {
            return cost;
        }

        foreach (var cut in component.Cuts)
        {
            cost += Fine(cut);
        }

        return cost + SettingsOf(component.Strips);
    }

    private Cost SettingsOf(List<List<ScoreForm>> strips)
    {
        var cost = default(Cost);
        if (_problem.Tools.Exact)
        {
            // A machine does not care how often it is set.
            return cost;
        }

        Span<ScoreAt> scores = stackalloc ScoreAt[MostScores];
        foreach (var strip in strips)
        {
            var width = Length.Zero;
            for (var i = 0; i < strip.Count; i++)
            {
                (var at, width) = Placed(strip[i]);
                scores[i] = new ScoreAt(at, strip[i].FromBehind);
            }

            var (turns, stops) = ScorePlan.CountOf(_problem.Tools, _problem.Prefer, width, scores[..strip.Count]);
            cost += new Cost { Turns = turns, Settings = stops };
        }

        return cost;
    }
}

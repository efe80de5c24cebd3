using WholeFold.Core.Measure;

namespace WholeFold.Core.Tooling;

/// <summary>A score to be set: where it is, and whether it is scored from the other side of the piece.</summary>
public readonly record struct ScoreAt(Length At, bool FromBehind);

/// <summary>Scores set with the piece lying one way, in the order of their stops.</summary>
public sealed record Pass(Lay Lay, IReadOnlyList<int> Scores);

/// <summary>
/// How all the scores of a piece are set, and in which order: everything that can be set as it lies first, then the piece
/// is turned once and the rest follows.
/// </summary>
/// <param name="Settings">By score, how it is set.</param>
/// <param name="Turns">How often the piece is laid another way.</param>
/// <param name="Stops">How many different figures are set.</param>
public sealed record ScorePlan(IReadOnlyList<Setting> Settings, IReadOnlyList<Pass> Passes, int Turns, int Stops)
{
    /// <exception cref="InvalidOperationException">A score is on no mark at all; sizing never leaves one there.</exception>
    public static ScorePlan Of(ToolSet tools, Preferences prefer, Length width, IReadOnlyList<ScoreAt> scores)
    {
        ArgumentNullException.ThrowIfNull(scores);
        var far = new bool[scores.Count];
        Choose(tools, prefer, width, [.. scores], far);
        var lays = scores.Select((s, i) => LayOf(s.FromBehind, far[i])).ToArray();
        var settings = scores.Select((s, i) => Setting.ForScore(tools, Reading(s, far[i], width), width, lays[i], prefer.AvoidFineMarks)
            ?? throw new InvalidOperationException($"A score at {s.At} is on no mark of {tools.Name}.")).ToList();
        var passes = Enum.GetValues<Lay>()
            .Select(lay => new Pass(lay, [.. Enumerable.Range(0, scores.Count).Where(i => lays[i] == lay).OrderBy(i => settings[i].At)]))
            .Where(p => p.Scores.Count > 0)
            .ToList();
        var (turns, stops) = Count([.. scores], far, width);
        return new ScorePlan(settings, passes, turns, stops);
    }

    /// <summary>The same with one more score among them, which is there already and is in no pass.</summary>
    internal ScorePlan With(int index, Setting there) => this with
    {
        Settings = [.. Settings.Take(index), there, .. Settings.Skip(index)],
        Passes = [.. Passes.Select(p => p with { Scores = [.. p.Scores.Select(s => s >= index ? s + 1 : s)] })],
    };

    /// <summary>Every other way in which a score can be set on these tools, each lying of the piece once.</summary>
    public static IEnumerable<Setting> Ways(ToolSet tools, Length at, Length width)
    {
        ArgumentNullException.ThrowIfNull(tools);
        foreach (var lay in Enum.GetValues<Lay>())
        {
            var reading = lay is Lay.TurnedRound or Lay.TurnedOver ? width - at : at;
            foreach (var noFine in new[] { false, true })
            {
                if (Setting.ForScore(tools, reading, width, lay, noFine) is { } way && (!noFine || way is Setting.FoldedTo))
                {
                    yield return way;
                }
            }
        }
    }

    /// <summary>What the plan costs, without making it; the search asks this for every candidate.</summary>
    internal static (int Turns, int Stops) CountOf(ToolSet tools, Preferences prefer, Length width, ReadOnlySpan<ScoreAt> scores)
    {
        Span<bool> far = stackalloc bool[scores.Length];
        Choose(tools, prefer, width, scores, far);
        return Count(scores, far, width);
    }

    private static (int Turns, int Stops) Count(ReadOnlySpan<ScoreAt> scores, ReadOnlySpan<bool> far, Length width)
    {
        Span<bool> used = stackalloc bool[4];
        var stops = 0;
        for (var i = 0; i < scores.Length; i++)
        {
            used[(int)LayOf(scores[i].FromBehind, far[i])] = true;
            var reading = Reading(scores[i], far[i], width);
            var isNew = true;
            for (var j = 0; j < i; j++)
            {
                isNew &= Reading(scores[j], far[j], width) != reading;
            }

            stops += isNew ? 1 : 0;
        }

        return ((used[1] ? 1 : 0) + (used[2] ? 1 : 0) + (used[3] ? 1 : 0), stops);
    }

    /// <summary>
    /// Says of each score whether it is read from the far end. As it lies, where that does for all of a side and nobody asks
    /// for one stop; else, as the piece is turned anyway, two scores that mirror each other are set from one stop.
    /// </summary>
    private static void Choose(ToolSet tools, Preferences prefer, Length width, ReadOnlySpan<ScoreAt> scores, Span<bool> far)
    {
        foreach (var behind in new[] { false, true })
        {
            var mustTurn = false;
            for (var i = 0; i < scores.Length; i++)
            {
                mustTurn |= scores[i].FromBehind == behind && OnlyFar(tools, scores[i], width);
            }

            for (var i = 0; i < scores.Length; i++)
            {
                if (scores[i].FromBehind != behind)
                {
                    continue;
                }

                far[i] = OnlyFar(tools, scores[i], width);
                if (!far[i] && (mustTurn || prefer.OneStop) && Reading(scores[i], true, width) is var other && other < Reading(scores[i], false, width)
                    && Twin(scores, behind, other, width) is { } twin)
                {
                    far[i] = tools.OnStop(other) || !tools.OnStop(Reading(scores[twin], true, width));
                }
            }
        }
    }

    /// <summary>A stop holds it from the far end only, or, where no stop does, only the far end lies on the board.</summary>
    private static bool OnlyFar(ToolSet tools, ScoreAt score, Length width)
    {
        var (near, far) = (Reading(score, false, width), Reading(score, true, width));
        return !tools.OnStop(near) && (tools.OnStop(far) || (tools.HasBoard && near > tools.BoardEnd && far <= tools.BoardEnd));
    }

    /// <summary>The score of the same side whose near reading is the given one.</summary>
    private static int? Twin(ReadOnlySpan<ScoreAt> scores, bool behind, Length reading, Length width)
    {
        for (var i = 0; i < scores.Length; i++)
        {
            if (scores[i].FromBehind == behind && Reading(scores[i], false, width) == reading)
            {
                return i;
            }
        }

        return null;
    }

    /// <summary>What is read on the board: from its own end, or from the other one.</summary>
    private static Length Reading(ScoreAt score, bool far, Length width) => score.FromBehind != far ? width - score.At : score.At;

    private static Lay LayOf(bool behind, bool far) => (behind, far) switch
    {
        (false, false) => Lay.AsItLies,
        (false, true) => Lay.TurnedRound,
        (true, false) => Lay.TurnedOver,
        _ => Lay.HeadOverHeels,
    };
}

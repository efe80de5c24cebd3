using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>What a solution costs beside its distance from the ideals.</summary>
internal sealed partial class Search
{
    private Cost Off(ScoreForm score)
    {
        if (!_problem.Tools.HasBoard || _problem.OnlyUnknown is not null)
        {
            return default;
        }

        var (at, width) = Placed(score);
        return _problem.Tools.OnGroove(at) || _problem.Tools.OnGroove(width - at) ? default : new Cost(0, 1, 0, 0, 0);
    }

    private (Length At, Length Width) Placed(ScoreForm score)
    {
        var at = new Length(score.At.Value(_values));
        var width = new Length(score.Width.Value(_values));
        return _problem.OnMarks ? (at, width) : Marks.Rounded(_problem.Tools, at, width);
    }

    private Cost SettingsOf(List<List<ScoreForm>> strips)
    {
        var cost = default(Cost);
        if (_problem.OnlyUnknown is not null)
        {
            return cost;
        }

        foreach (var strip in strips)
        {
            var settings = new HashSet<Length>();
            var turned = false;
            foreach (var score in strip)
            {
                var (at, width) = Placed(score);
                var setting = Setting.ForScore(_problem.Tools, at, width);
                settings.Add(setting.At);
                turned |= setting.How == SetBy.Turned;
            }

            cost += new Cost(0, 0, 0, turned ? 1 : 0, settings.Count);
        }

        return cost;
    }
}

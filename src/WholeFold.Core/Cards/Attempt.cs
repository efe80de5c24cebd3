using WholeFold.Core.Checks;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>One design sized for a format, or why it cannot be.</summary>
public sealed record Attempt(Target Target, Card? Card, Words? Problem, IReadOnlyList<Conflict> Conflicts)
{
    /// <summary>Sizes without throwing, for places that show many formats at once.</summary>
    public static Attempt Of(Design design, Target target, CancellationToken cancel = default)
    {
        try
        {
            return new Attempt(target, Card.Of(design, target, cancel), null, []);
        }
        catch (NoFiguresException e)
        {
            return new Attempt(target, null, e.Text, e.Conflicts);
        }
        catch (InputProblemException e)
        {
            return new Attempt(target, null, Words.Of($"{e.Field}: {e.Reason}. It can be {e.Accepted}."), [new Conflict($"pin:{e.Field}", Words.Of($"{e.Reason}"))]);
        }
    }

    public Verdict Verdict => Card?.Verdict ?? new Verdict(VerdictKind.Stuck, Words.Of($"no: {(Conflicts.Count > 0 ? Conflicts[0].Text : Words.Of($"no figures"))}"));
}

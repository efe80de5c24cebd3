using WholeFold.Core.Cards;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Guide;

/// <summary>The order of work as plain lines, under what it is part of: enough to make the card with.</summary>
public static class GuideText
{
    /// <summary>What steps are part of.</summary>
    public static string Heading(Phase phase) => phase switch
    {
        Phase.Cut => "Cut",
        Phase.Score => "Score",
        Phase.Flat => "While it is flat",
        Phase.DecorateFlat => "Papers before it is folded",
        Phase.Fold => "Fold",
        Phase.Bond => "Put it together",
        Phase.Decorate => "Papers",
        Phase.Raise => "Raised things",
        _ => "Finish",
    };

    /// <summary>Steps numbered throughout; a caution stands in full where its tool is first used.</summary>
    public static IEnumerable<string> Of(Card card, IReadOnlyList<Step> steps, DisplayUnit unit)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(steps);
        var cautioned = new HashSet<string>();
        foreach (var (step, i) in steps.Select((s, i) => (s, i)))
        {
            if (i == 0 || Heading(step.Phase) != Heading(steps[i - 1].Phase))
            {
                yield return "";
                yield return Heading(step.Phase);
            }

            yield return $"{i + 1}. {string.Concat(card.Read(step.Say, unit).Select(p => p.Text ?? p.Figure!.Text))}";
            foreach (var care in Steps.Care(step, cautioned))
            {
                yield return $"   {care}";
            }
        }
    }
}

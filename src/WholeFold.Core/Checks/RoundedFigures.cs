using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Says that no common mark was found and each figure was put on its nearest.</summary>
internal sealed class RoundedFigures : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Figures.Relaxation == Relaxation.RoundedFigures)
        {
            yield return new Check("figures-rounded", Severity.Caution, Words.Of($"These panels have no mark in common on your tools. Each score is on the mark nearest to it, so equal panels may differ by one."), new Dictionary<string, Length>()) { AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"rounded, panels uneven")) };
        }
    }
}

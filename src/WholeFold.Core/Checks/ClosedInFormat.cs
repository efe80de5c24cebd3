using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>The closed card must not be larger than its format, unless the chosen school lets it grow, which is then said.</summary>
internal sealed class ClosedInFormat : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var over = Length.Max(card.Closed.Width - card.Figures.Target.Width, card.Closed.Height - card.Figures.Target.Height);

        // What goes round a card is always larger than it: that is no finding.
        if (over <= Length.Zero || card.Figures.Construction.GoesRound)
        {
            yield break;
        }

        var figures = new Dictionary<string, Length> { ["width"] = card.Closed.Width, ["height"] = card.Closed.Height, ["over"] = over };
        yield return card.Figures.Construction.GrowsBecause is { } because
            ? new Check("closed-over-format", Severity.Caution, Words.Of($"The finished card is {card.Closed.Width} × {card.Closed.Height}, {over} over its format: {because}."), figures) { AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"grows past its format")) }
            : new Check("closed-over-format", Severity.Error, Words.Of($"Closed, the card is {card.Closed.Width} × {card.Closed.Height}, {over} over its format."), figures);
    }
}

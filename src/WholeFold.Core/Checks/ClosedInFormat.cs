using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>The closed card must not be larger than its format, unless the chosen school lets it grow, which is then said.</summary>
internal sealed class ClosedInFormat : ICheck
{
    public IEnumerable<Check> Find(SizedDesign sized)
    {
        var over = Length.Max(sized.ClosedWidth - sized.Target.Width, sized.ClosedHeight - sized.Target.Height);

        // What goes round a card is always larger than it: that is no finding.
        if (over <= Length.Zero || sized.Construction.GoesRound)
        {
            yield break;
        }

        var figures = new Dictionary<string, Length> { ["width"] = sized.ClosedWidth, ["height"] = sized.ClosedHeight, ["over"] = over };
        yield return sized.Construction.GrowsBecause is { } because
            ? new Check("closed-over-format", Severity.Caution, Words.Of($"The finished card is {sized.ClosedWidth} × {sized.ClosedHeight}, {over} over its format: {because}."), figures) { AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"grows past its format")) }
            : new Check("closed-over-format", Severity.Error, Words.Of($"Closed, the card is {sized.ClosedWidth} × {sized.ClosedHeight}, {over} over its format."), figures);
    }
}

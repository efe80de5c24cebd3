using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Where no envelope sold fits the closed card, says the inside that one to make should have.</summary>
internal sealed class EnvelopeFits : ICheck
{
    private static readonly Pair Room = Pair.Of(1, 8, 3m);

    public IEnumerable<Check> Find(SizedDesign sized)
    {
        if (sized.Envelope is null && !sized.Construction.GoesRound)
        {
            var room = Room.In(sized.Target.Format.System) + sized.ClosedThickness;
            var (width, height) = (sized.Tools.CutUp(sized.ClosedWidth + room), sized.Tools.CutUp(sized.ClosedHeight + room));
            yield return new Check("envelope-to-make", Severity.Note, Words.Of($"No envelope sold by name fits. Make one, {width} × {height} inside."), new Dictionary<string, Length> { ["width"] = width, ["height"] = height });
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Checks;

/// <summary>What goes round a card is as large as the card and its room, and no flap of it reaches past its face.</summary>
internal sealed class RoundACard : ICheck
{
    /// <summary>What is left round the card, and what more of it nobody minds.</summary>
    private static readonly Pair Room = Pair.Of(1, 8, 3m), Easy = Pair.Of(1, 16, 1.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        var figures = card.Figures;
        if (figures.Construction.RoundOneAsThickAs is not { } thickAs)
        {
            yield break;
        }

        // The face is what everything else hangs on.
        var face = card.Closed.Panels.First(p => figures.PlateOf(p.Plate).HangsOn is null).Box;
        var past = new[] { face.Left - card.Closed.Footprint.Left, card.Closed.Footprint.Right - face.Right, face.Bottom - card.Closed.Footprint.Bottom, card.Closed.Footprint.Top - face.Top }.Max();
        if (past > figures.Tools.OwnCutMark)
        {
            yield return new Check("sticks-out-when-closed", Severity.Error, Words.Of($"Closed, a flap reaches {past} past the face."), new Dictionary<string, Length> { ["past"] = past });
        }

        var room = Room.For(figures.Tools.System) + figures.Parameters.First(p => p.Parameter.Id == thickAs).Value;
        var loose = Length.Max(card.Closed.Width - figures.Target.Width, card.Closed.Height - figures.Target.Height) - room;
        if (past <= figures.Tools.OwnCutMark && loose > Easy.For(figures.Tools.System) + figures.Tools.OwnCutMark)
        {
            yield return new Check("rattles", Severity.Caution, Words.Of($"It is {loose} larger than the card and the {room} of room round it: the card slides about in it."), new Dictionary<string, Length> { ["loose"] = loose, ["room"] = room });
        }
    }
}

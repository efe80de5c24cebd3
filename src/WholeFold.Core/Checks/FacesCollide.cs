using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A raised element that is in the way of a panel as the card opens, or once it is shown.</summary>
internal sealed class FacesCollide : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var struck in card.Struck)
        {
            var with = Spoken.The(card.Figures.PlateOf(struck.With).Name, card.Figures.PieceOf(struck.With.Piece).Piece.Name);
            var into = struck.Into is { } other ? Words.Of($"{other.Element.Name}, which stands {other.Element.Stands.Hundredths} off {with},") : Words.Of($"{with}");
            yield return new Check(
                "faces-collide-on-the-way", Severity.Error,
                Words.Of($"{struck.Element.Element.Name} stands {struck.Element.Element.Stands} off {struck.On.Face.Name} and runs {struck.Deep} into {into} {(struck.Pose == "shown" ? "once the card is shown" : "on the way")}."),
                new Dictionary<string, Length> { ["stands"] = struck.Element.Element.Stands, ["deep"] = struck.Deep })
            {
                At = FoundAt.Of(struck.On),
                Fix = new Fix(new PutOn(struck.Element.Element.Id, DressingWriter.Write(struck.Element.Element) with { Height = null }), Words.Of($"put it on flat")),
            };
        }
    }
}

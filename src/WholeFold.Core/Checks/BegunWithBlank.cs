using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Says what of the card is a bought blank, and so is there already.</summary>
internal sealed class BegunWithBlank : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Figures.Blank is { } blank)
        {
            var piece = card.Figures.Pieces.First(p => p.Piece.Id == blank.Piece);
            yield return new Check("begun-with-blank", Severity.Note, Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} is a bought blank, {blank.Width} × {blank.Height} closed: its edges and its spine are as they are, and everything else follows them."), new Dictionary<string, Length> { ["width"] = blank.Width, ["height"] = blank.Height });
        }
    }
}

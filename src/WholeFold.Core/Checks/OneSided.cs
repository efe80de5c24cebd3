using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A card that is white on one side shows it on every face that nothing covers.</summary>
internal sealed class OneSided : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var piece in card.Figures.Pieces.Where(p => card.Figures.Design.StockOf(p.Piece.Id).Sides == PrintedSides.One))
        {
            // The coloured side is the card's outside, which lies down on the board; what is up stays white.
            var bare = piece.Plates.Where(plate => !Covered(card, piece, plate.Id)).Select(p => p.Name).ToList();
            if (bare.Count > 0)
            {
                var faces = bare.Count == 1 ? bare[0] : $"{string.Join(", ", bare.SkipLast(1))} and {bare[^1]}";
                yield return new Check("white-side-shows", Severity.Note, Words.Of($"{card.Figures.Design.StockOf(piece.Piece.Id).Name} is white on one side: it shows on {faces} of {Spoken.The(piece.Piece.Name)}. Cover it, or take a card that is alike on both."), new Dictionary<string, Length>());
            }
        }
    }

    private static bool Covered(ICard card, SizedPiece piece, string panel) =>
        card.Layers.Any(l => l.Piece == piece.Piece.Id && l.Panels.Contains(panel) && l.Face == Face.Up)
        || card.Figures.Construction.Bonds.Where(b => !b.IsLoose).SelectMany(b => b.Sides).Any(s => s.Piece.Piece == piece.Piece.Id && s.Plate.Plate == panel && s.On.Face == Face.Up);
}

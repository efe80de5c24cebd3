using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A card that is white on one side shows it on every face that nothing covers.</summary>
internal sealed class OneSided : ICheck
{
    public IEnumerable<Check> Find(SizedDesign sized)
    {
        foreach (var piece in sized.Pieces.Where(p => sized.Design.StockOf(p.Piece.Id).Sides == Sides.One))
        {
            // The coloured side is the card's outside, which lies down on the board; what is up stays white.
            var bare = piece.Plates.Where(plate => !Covered(sized, piece, plate.Id)).Select(p => p.Name).ToList();
            if (bare.Count > 0)
            {
                var faces = bare.Count == 1 ? bare[0] : $"{string.Join(", ", bare.SkipLast(1))} and {bare[^1]}";
                yield return new Check("white-side-shows", Severity.Note, Words.Of($"{sized.Design.StockOf(piece.Piece.Id).Name} is white on one side: it shows on {faces} of {piece.Piece.Name}. Cover it, or take a card that is alike on both."), new Dictionary<string, Length>());
            }
        }
    }

    private static bool Covered(SizedDesign sized, SizedPiece piece, string panel) =>
        sized.Layers.Any(l => l.Role.Piece == piece.Piece.Id && l.Panels.Contains(panel) && (l.Role.BothFaces || l.Role.Face == Face.Up))
        || sized.Construction.Bonds.Where(b => !b.Loose).Any(b => (piece.Piece.Copies.Contains(b.PieceA) && b.PanelA == panel && b.FaceA == Face.Up) || (piece.Piece.Copies.Contains(b.PieceB) && b.PanelB == panel && b.FaceB == Face.Up));
}

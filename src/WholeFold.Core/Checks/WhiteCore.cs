using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Checks;

/// <summary>A tube of card that is white on one side shows its white core at its ends.</summary>
internal sealed class WhiteCore : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var figures = card.Figures;

        // A piece that is bonded to itself, flap to first side, is a tube.
        var tube = figures.Pieces.FirstOrDefault(p => figures.Design.StockOf(p.Piece.Id).Sides == PrintedSides.One && p.Panels.Count >= 4
            && figures.Construction.Bonds.Any(b => !b.IsLoose && b.A.Piece == b.B.Piece && b.A.Piece.Piece == p.Piece.Id && b.A.Plate != b.B.Plate));
        if (tube is not null)
        {
            yield return new Check("white-core-shows-inside-a-tube", Severity.Caution, Words.Of($"{figures.Design.StockOf(tube.Piece.Id).Name} is white on one side, and {Spoken.The(tube.Piece.Name)} is a tube: its white inside shows at the ends. Use card that is alike on both sides."), new Dictionary<string, Length>())
            {
                At = new FoundAt(tube.Piece.Id, tube.Plates[0].Id, Face.Up, tube.Plates[0].Box),
            };
        }
    }
}

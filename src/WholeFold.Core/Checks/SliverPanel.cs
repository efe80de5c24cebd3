using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A panel that a lock has made a sliver: under what its role asks for it folds badly and tears.</summary>
internal sealed class SliverPanel : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var figures = card.Figures;
        var slivers = figures.Pieces.SelectMany(p => p.Panels.Select(q => (Piece: p, Panel: q, Least: figures.ValueOf(q.Panel.Min.Value)))).Where(s => !s.Panel.Panel.IsTab && s.Panel.Extent < s.Least).ToList();
        if (slivers.Count > 0)
        {
            var (piece, panel, least) = slivers.MinBy(s => s.Panel.Extent);
            yield return new Check(
                "sliver-panel", Severity.Caution, Words.Of($"{Spoken.First(Spoken.The(panel.Panel.Name, piece.Piece.Name))} is {panel.Extent}, under {least}: it folds badly and tears."),
                slivers.ToDictionary(s => $"{s.Piece.Piece.Id}.{s.Panel.Panel.Id}", s => s.Panel.Extent)) { At = new FoundAt(piece.Piece.Id, piece.Plates[0].Id, Face.Up, piece.Plates[0].Box) };
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A tab that is narrower than a tab usually is: its construction allows it, and a strong adhesive holds it.</summary>
internal sealed class TabNarrow : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var least = Construction.SmallestTab.For(card.Figures.Tools.System);
        var narrow = card.Figures.Pieces.SelectMany(p => p.Panels.Where(q => q.Panel.IsTab && q.Extent < least).Select(q => (Piece: p.Piece, Panel: q))).ToList();
        if (narrow.Count > 0)
        {
            var (piece, panel) = narrow.MinBy(n => n.Panel.Extent);
            yield return new Check(
                "tab-narrow", Severity.Caution,
                Words.Of($"{(narrow.Count == 1 ? $"{Spoken.First(Spoken.The(panel.Panel.Name, piece.Name))} is" : $"{narrow.Count} tabs are narrow, {Spoken.The(panel.Panel.Name, piece.Name)}")} {panel.Extent:u} wide: under {least:u} a tab holds only with strong tape."),
                narrow.ToDictionary(n => $"{n.Piece.Id}.{n.Panel.Panel.Id}", n => n.Panel.Extent));
        }
    }
}

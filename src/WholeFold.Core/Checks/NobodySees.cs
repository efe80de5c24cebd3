using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Something that is put on a face which nobody sees in any pose.</summary>
internal sealed class NobodySees : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var dressing = card.Figures.Design.Dressing;
        var things = dressing.Elements.Select(e => (What: $"{e.Name} is", e.Role)).Concat(dressing.Windows.Select(w => (What: $"The window {w.Id} is", w.Role)))
            .Concat(dressing.Layers.Where(l => l.Worn && l.Level == 1).Select(l => (What: "A paper is", l.Role)));
        foreach (var (what, role) in things.Where(t => card.Dressed.Roles.Of(t.Role).Count == 0))
        {
            var (piece, plate) = role.Split('.') is [var p, var q, ..] ? (card.Figures.Pieces.First(x => x.Piece.Id == p.Split(':')[0]), q) : (card.Figures.Pieces[0], "");
            var name = piece.Plates.FirstOrDefault(x => x.Id == plate)?.Name ?? piece.Piece.Name;
            yield return new Check("nobody-sees-it", Severity.Caution, Words.Of($"{what} put on {Constructions.Spoken.The(name, piece.Piece.Name)} where nobody sees it in any pose; it is left off."), new Dictionary<string, Length>());
        }
    }
}

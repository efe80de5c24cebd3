using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Says which piece was eased to a sheet that is there, what gave way for it, and how to have it as it was.</summary>
internal sealed class EasedToSheet : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var eased in card.Figures.EasedPieces)
        {
            var piece = card.Figures.Pieces.First(p => p.Piece.Id == eased.Piece.Id);
            var moved = Words.List(eased.Moved.Select(m => Words.Of($"the {m.Parameter.Name} from {m.Was} to {card.Figures.Parameters.First(p => p.Parameter == m.Parameter).Value}")));
            yield return new Check(
                "eased-to-sheet", Severity.Note,
                Words.Of($"{Spoken.First(Spoken.The(eased.Piece.Name))} was {eased.Width} × {eased.Height} and is now {piece.Width.Value} × {piece.Height.Value}, so that it comes out of {eased.Sheet.Name}: {moved}."),
                new Dictionary<string, Length> { ["width"] = piece.Width.Value, ["height"] = piece.Height.Value, ["widthBefore"] = eased.Width, ["heightBefore"] = eased.Height })
            {
                Fix = new Fix(new Prefer("not-eased"), Words.Of($"leave it as it was")),
                AtAGlance = new Verdict(VerdictKind.Eased, Words.Of($"eased to {eased.Sheet.Name}")),
            };
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Checks;

/// <summary>A cut line that the trimmer does not reach, or a score that lies beyond the board from either end.</summary>
internal sealed class LongerThanTools : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var piece in card.Figures.Pieces)
        {
            if (new[] { piece.Along, piece.Across }.Any(f => f.Setting is Setting.ByKnife))
            {
                var longest = Length.Max(piece.Along.Value, piece.Across.Value);
                yield return new Check("longer-than-trimmer", Severity.Note, Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))} is {longest} long and the trimmer cuts {card.Figures.Tools.LongestCut!.Value}: cut it with knife and metal rule, away from the hand, on a mat, the blade capped afterwards."), new Dictionary<string, Length> { ["longest"] = longest });
            }

            var beyond = piece.Scores.Where(s => card.Figures.Tools.HasBoard && s.Figure.Setting is Setting.FromGroove { At: var at }
                && at > card.Figures.Tools.BoardEnd).Select(s => s.Figure).ToList();
            if (beyond.Count > 0)
            {
                yield return new Check("longer-than-board", Severity.Caution, Words.Of($"{Spoken.First(Spoken.The(piece.Piece.Name))}: the score at {beyond[0].Value} lies beyond the board from either end; set it with ruler and stylus off the board."), beyond.ToDictionary(f => f.Id.ToString(), f => f.Value));
            }
        }
    }
}

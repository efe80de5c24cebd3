using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Checks;

/// <summary>Scores that no groove holds, turned or not: they are set with the ruler.</summary>
internal sealed class ScoresOffGroove : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var off = card.Figures.Pieces.SelectMany(p => p.AllScores).Where(s => s.Figure.Setting is Setting.FromGroove or Setting.FoldedTo).Select(s => s.Figure).ToList();
        if (off.Count > 0 && card.Figures.Tools.HasBoard)
        {
            yield return new Check(
                "score-off-groove",
                Severity.Note,
                off.Count == 1 ? Words.Of($"One score lies between grooves, at {off[0].Value}: {off[0].Setting.Text}.") : Words.Of($"{off.Count} scores lie between grooves, the first at {off[0].Value}: {off[0].Setting.Text}."),
                off.ToDictionary(f => f.Id.ToString(), f => f.Value))
            {
                AtAGlance = new Verdict(VerdictKind.Eased, off.Count == 1 ? Words.Of($"1 score by ruler") : Words.Of($"{off.Count} scores by ruler")),
            };
        }
    }
}

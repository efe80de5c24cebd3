using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Checks;

/// <summary>Whatever is cut inside a sheet is cut with a blade in the hand: the usual cautions.</summary>
internal sealed class KnifeWork : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        var cut = card.Figures.Pieces.SelectMany(p => p.Openings.Where(o => o.Opening.IsKnifeWork && o.Left.Setting.How != SetBy.Machine).Select(o => $"{Spoken.The(o.Opening.Name)} of {Spoken.The(p.Piece.Name)}")).Distinct().ToList();
        if (cut.Count > 0)
        {
            var names = cut.Count == 1 ? cut[0] : $"{string.Join(", ", cut.SkipLast(1))} and {cut[^1]}";
            yield return new Check("knife-work", Severity.Note, Words.Of($"Cut {names} before anything is folded, on a mat against a metal rule, away from the hand that holds it; stop short of the corners and finish them with the point. Cap the blade afterwards."), new Dictionary<string, Length>());
        }
    }
}

using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Checks;

/// <summary>Whatever is cut inside a sheet is cut with a blade in the hand: the usual cautions.</summary>
internal sealed class KnifeWork : ICheck
{
    public IEnumerable<Check> Find(SizedDesign sized)
    {
        foreach (var piece in sized.Pieces.Where(p => p.Openings.Any(o => o.Left.Setting.How != SetBy.Machine)))
        {
            var names = string.Join(" and ", piece.Openings.Select(o => $"the {o.Opening.Name}"));
            yield return new Check("knife-work", Severity.Caution, Words.Of($"{piece.Piece.Name}: cut {names} before it is folded, on a mat against a metal rule, away from the hand that holds it; stop short of the corners and finish them with the point. Cap the blade afterwards."), new Dictionary<string, Length>());
        }
    }
}

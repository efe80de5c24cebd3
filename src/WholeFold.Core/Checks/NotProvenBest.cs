using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>Says that the search ended before it was known that no better figures can be set, and how much better there may be some.</summary>
internal sealed class NotProvenBest : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Figures.Gap is not { } gap)
        {
            yield break;
        }

        // Nothing can come nearer than to its ideal.
        var off = card.Figures.Parameters.Where(p => !p.ByHand).Select(p => (p.Value - p.Ideal).Abs()).DefaultIfEmpty(Length.Zero).Max();
        var better = new List<Words>();
        if (gap.Size > 0)
        {
            better.Add(Words.Of($"a card up to {new Length(gap.Size):u} larger"));
        }

        if (gap.OffGroove > 0)
        {
            better.Add(Words.Of($"up to {gap.OffGroove} fewer {(gap.OffGroove == 1 ? "score" : "scores")} by ruler"));
        }

        if (better.Count == 0)
        {
            better.Add(off > Length.Zero ? Words.Of($"figures up to {off:u} nearer to what is ideal") : Words.Of($"the same figures set in fewer turns"));
        }

        yield return new Check(
            "not-proven-best", Severity.Note,
            Words.Of($"These figures can be set, but are not proven the best: there are very many ways, and {Words.Join(" and ", better)} may be among those not tried."),
            new Dictionary<string, Length> { ["nearer"] = off });
    }
}

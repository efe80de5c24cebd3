using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A gap that a person closed on purpose, though the rule asks for one.</summary>
internal sealed class ZeroByHand : ICheck
{
    public IEnumerable<Check> Find(ICard card) =>
        from parameter in card.Figures.Parameters
        where parameter.ByHand && parameter.Value == Length.Zero && parameter.Parameter.ZeroByHand is not null
        select new Check("no-gap", Severity.Caution, Words.Of($"{parameter.Parameter.ZeroByHand}"), new Dictionary<string, Length> { [parameter.Parameter.Id] = Length.Zero })
        {
            Fix = new Fix(new FreeFigure(parameter.Parameter.Id), Words.Of($"give it its gap again")),
        };
}

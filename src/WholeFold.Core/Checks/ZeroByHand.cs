using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A gap that a person closed on purpose, though the rule asks for one.</summary>
internal sealed class ZeroByHand : ICheck
{
    public IEnumerable<Check> Find(SizedDesign sized) =>
        from parameter in sized.Parameters
        where parameter.Pinned && parameter.Value == Length.Zero && parameter.Parameter.ZeroByHand is not null
        select new Check("no-gap", Severity.Caution, Words.Of($"{parameter.Parameter.ZeroByHand}"), new Dictionary<string, Length> { [parameter.Parameter.Id] = Length.Zero });
}

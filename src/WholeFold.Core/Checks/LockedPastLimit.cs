using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A figure that is locked past a limit of its rule: it is kept, and what that does is said.</summary>
internal sealed class LockedPastLimit : ICheck
{
    public IEnumerable<Check> Find(ICard card) =>
        from parameter in card.Figures.Parameters
        where parameter is { Hold: Hold.Locked, Past: not null } && !(parameter.Value == Length.Zero && parameter.Parameter.ZeroByHand is not null)
        select new Check("locked-past-limit", Severity.Caution, Words.Of($"The {parameter.Parameter.Name} is locked at {parameter.Value:u}, past what its rule allows: {parameter.Past!.Because}."), new Dictionary<string, Length> { [parameter.Parameter.Id] = parameter.Value })
        {
            Fix = new Fix(new FreeFigure(parameter.Parameter.Id, FreeFigure.Lock), Words.Of($"let it go")),
        };
}

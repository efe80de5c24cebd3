using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Checks;

/// <summary>A figure set by hand that is another one here: these tools cannot set it, or a limit is in the way.</summary>
internal sealed class SetByHand : ICheck
{
    /// <summary>Less than this is only the figure put on the nearest mark.</summary>
    private static readonly Pair Noticeable = Pair.Of(1, 16, 1m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var parameter in card.Figures.Parameters)
        {
            if (parameter is not { Hold: Hold.Set, Asked: { } asked } || asked == parameter.Value)
            {
                continue;
            }

            var off = (parameter.Value - asked).Abs();
            var side = parameter.Value < asked ? "less" : "more";
            var text = parameter.Past is { } limit
                ? Words.Of($"The {parameter.Parameter.Name} was set to {asked:u}, and is {parameter.Value:u} here, since {limit.Because}.")
                : Words.Of($"The {parameter.Parameter.Name} was set to {asked:u}; here it is {parameter.Value:u}, {off:u} {side}: {parameter.Moved()}.");
            yield return new Check("figure-set-by-hand", Severity.Note, text, new Dictionary<string, Length> { ["asked"] = asked, [parameter.Parameter.Id] = parameter.Value, ["off"] = off })
            {
                AtAGlance = off > Noticeable.For(card.Figures.Tools.System) ? new Verdict(VerdictKind.Eased, Words.Of($"{parameter.Parameter.Name} eased to {parameter.Value}")) : null,
            };
        }
    }
}

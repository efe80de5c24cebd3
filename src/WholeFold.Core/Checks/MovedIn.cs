using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>In a smaller format a thing that keeps its distance from an edge may have to come nearer to it, so that it stays on its face.</summary>
internal sealed class MovedIn : ICheck
{
    /// <summary>So little nobody notices.</summary>
    private static readonly Length Noticed = Length.Mm(0.5m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements)
        {
            if (element.On.FirstOrDefault(o => o.MovedIn > Noticed) is { } on)
            {
                yield return new Check("moved-in", Severity.Note, Words.Of($"{element.Element.Name} is {on.MovedIn} nearer to the edge of {on.Face.Name} than at home, so that it stays on it."), new Dictionary<string, Length> { ["by"] = on.MovedIn }) { At = FoundAt.Of(on) };
            }
        }
    }
}

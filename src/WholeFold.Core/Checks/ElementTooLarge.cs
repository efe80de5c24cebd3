using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>An element that is larger than what is free of its face: by how much, and which face would take it.</summary>
internal sealed class ElementTooLarge : ICheck
{
    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => e.TooLarge > Length.Zero))
        {
            var takes = element.WouldTake.Count > 0 ? element.WouldTake[0] : null;
            yield return new Check(
                "element-too-large-for-its-face", Severity.Error,
                Words.Of($"{element.Element.Name} is {element.TooLarge} larger than {element.On[0].Face.Name}{(takes is null ? Words.Of($"; no face of this card would take it") : Words.Of($"; {takes.Name} would take it"))}."),
                new Dictionary<string, Length> { ["over"] = element.TooLarge, ["width"] = element.Width.Value, ["height"] = element.Height.Value })
            {
                At = FoundAt.Of(element.On[0]),
                AtAGlance = new Verdict(VerdictKind.Stuck, Words.Of($"{element.Element.Name} is too large")),
                Fix = takes is null ? null : new Fix(new PutOn(element.Element.Id, DressingWriter.Write(element.Element) with { Role = takes.Id }), Words.Of($"put it on {takes.Name}")),
            };
        }
    }
}

using WholeFold.Core.Designs;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Only a free edge is cut to a shape: above a crease there is another panel.</summary>
internal sealed class ContourOnCrease : ICheck
{
    public IEnumerable<Check> Find(ICard card) => card.Dressed.Contours.Where(c => !c.IsFree).Select(c => new Check(
        "contour-on-a-crease", Severity.Error, Words.Of($"The head of {c.On[0].Face.Name} is a crease and no free edge: nothing can be cut to a shape there."), new Dictionary<string, Length>())
    {
        At = FoundAt.Of(c.On[0]),
        Fix = new Fix(new Shape(c.Contour.Id, null), Words.Of($"leave it straight")),
    });
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>A scene that stands behind something as high as itself, so that nothing of it is seen once the card stands.</summary>
internal sealed class SceneHidden : ICheck
{
    private const int Across = 5, Up = 8;

    public IEnumerable<Check> Find(ICard card)
    {
        if (!card.Figures.Construction.Layers.Any(l => l.IsScene))
        {
            yield break;
        }

        var roles = card.Figures.Design.Dressing.IsBare ? Roles.Named(card.Figures) : card.Dressed.Roles;
        var sight = new Sight(card.Figures, Motion.OnTheTable(card.Figures),
            plate => card.Dressed.CutThrough(plate.Piece.Piece, plate.Plate).Where(o =>
                o.Face.Copies.Contains(plate.Piece)).Select(o => o.Outline));
        foreach (var face in roles.All.Where(r => r.Own?.IsScene == true).SelectMany(r => r.Faces).Where(f =>
            sight.Frames.ContainsKey(f.Ref)))
        {
            var box = face.Open.Box;
            if (!sight.AreSeen(new FaceRef(face.Ref, face.Face), SightLines.Spots(box, Across, Up)).Any(seen => seen))
            {
                yield return new Check("scene-hidden", Severity.Note,
                    Words.Of($"Nothing of {Spoken.The(face.Name)} is seen when the card stands: what is before it hides it all. Make that lower, or give it a window."),
                    new Dictionary<string, Length> { ["high"] = box.Height });
            }
        }
    }
}

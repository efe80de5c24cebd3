using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>Somewhere on a card there has to be room for a few words.</summary>
internal sealed class PlaceToWrite : ICheck
{
    /// <summary>A line or two of handwriting takes this much each way.</summary>
    private static readonly Length Room = Length.Mm(22);

    public IEnumerable<Check> Find(ICard card)
    {
        if (card.Figures.Design.Dressing.IsBare || !card.Dressed.Roles.All.Any(r => r.ToWriteOn))
        {
            yield break;
        }

        var faces = card.Dressed.Roles.All.Where(r => r.ToWriteOn).SelectMany(r => r.Faces)
            .Concat(card.Layers.Where(l => l.ToWriteOn).SelectMany(l => l.On.Select(o => o.On))).DistinctBy(f => f.Id).ToList();
        foreach (var face in faces)
        {
            var taken = card.Dressed.Elements.SelectMany(e => e.On).Concat(card.Dressed.Windows.SelectMany(w => w.On))
                .Where(o => o.Face.Id == face.Id || (o.Face.Plate == face.Plate && o.Face.Piece == face.Piece && o.Face.Face == face.Face)).ToList();

            // On a narrow face it is as much as there is.
            var least = Math.Min(Room.Units, Math.Min(face.Open.Box.Width.Units, face.Open.Box.Height.Units) * 0.8);
            if (IsFreeBeside(face.Open, taken, least) || IsFreeBetween(face.Open, taken, least))
            {
                yield break;
            }
        }

        yield return new Check("no-place-left-to-write", Severity.Caution, Words.Of($"No place is left to write: {(faces.Count == 1 ? $"{faces[0].Name} is" : "all panels for the message are")} covered by what is on {(faces.Count == 1 ? "it" : "them")}."), new Dictionary<string, Length>())
        {
            At = new FoundAt(faces[0].Piece, faces[0].Plate, faces[0].Face, faces[0].Open.Box),
        };
    }

    /// <summary>Whether there is room above, below or beside all that is there: most faces need no closer look.</summary>
    private static bool IsFreeBeside(FreePart open, IReadOnlyList<OnFace> taken, double least)
    {
        if (!open.IsRectangle || taken.Count == 0)
        {
            return open.IsRectangle;
        }

        var (box, round) = (open.Box, taken.Select(t => t.Box)
            .Aggregate((a, b) => new Box(Length.Min(a.Left, b.Left), Length.Min(a.Bottom, b.Bottom), Length.Max(a.Right, b.Right), Length.Max(a.Top, b.Top))));
        return new[] { round.Left - box.Left, box.Right - round.Right, round.Bottom - box.Bottom, box.Top - round.Top }.Any(room => room.Units > least);
    }

    /// <summary>Taken off all round, something is left only where the room is wide enough.</summary>
    private static bool IsFreeBetween(FreePart open, IReadOnlyList<OnFace> taken, double least) =>
        !Plane.Offset(taken.Aggregate(open.Shape, (free, t) => free.Difference(Plane.Shape(t.Outline))), -least / 2).IsEmpty;
}

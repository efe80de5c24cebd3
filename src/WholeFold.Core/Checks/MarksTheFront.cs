using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Checks;

/// <summary>A raised element that lies, shut, behind one ply of card: pressed in the post, it marks the front.</summary>
internal sealed class MarksTheFront : ICheck
{
    /// <summary>What is lower than this does not show through.</summary>
    private static readonly Length Marks = Length.Mm(0.75m);

    public IEnumerable<Check> Find(ICard card)
    {
        foreach (var element in card.Dressed.Elements.Where(e => e.Element.Stands >= Marks && e.Element.Held is HeldBy.Face or HeldBy.Magnet))
        {
            foreach (var on in element.On)
            {
                var face = new FaceRef(on.Face.Ref, on.Face.Face);
                var other = face with { Face = Opposite(face.Face) };
                var (x, y) = Middle(on);
                var (over, under) = (card.Stack.Over(face, x, y), card.Stack.Over(other, x, y));

                // Outermost it lies on the card, not behind it. Under it, its own ply marks; over it, the one that closes on it.
                if (over.Count == 0)
                {
                    continue;
                }

                var thin = over.Count == 1 && IsBare(card, over[0]) ? over[0] : under.Count == 0 && IsBare(card, face.Plate) ? face.Plate : (PlateRef?)null;
                if (thin is { } plate)
                {
                    // A mat goes where it is seen: on the front itself, else on the face that presses.
                    var sides = new[] { plate == face.Plate ? other.Face : Opposite(card.Stack.FacingOf(plate, face)), plate == face.Plate ? face.Face : card.Stack.FacingOf(plate, face) };
                    var mat = sides.Select(s => Faces.IdOf(plate.Piece.Piece, plate.Plate, s)).FirstOrDefault(id => card.Dressed.Roles.Of(id).Count > 0);
                    yield return new Check(
                        "raised-element-behind-a-single-ply-marks-the-front", Severity.Caution,
                        Words.Of($"{element.Element.Name} stands {element.Element.Stands} high behind one ply, {Spoken.The(card.Figures.PlateOf(plate).Name, card.Figures.PieceOf(plate.Piece).Piece.Name)}: in the post it would press through and mark it."),
                        new Dictionary<string, Length> { ["stands"] = element.Element.Stands })
                    {
                        At = FoundAt.Of(on),
                        Fix = mat is null ? null : new Fix(new Wear(mat, 1, new LayerSpec(mat, Stock: card.Figures.Design.MatStock.Id)), Words.Of($"cover that panel with a mat")),
                    };
                    break;
                }
            }
        }
    }

    private static Face Opposite(Face face) => face == Face.Up ? Face.Down : Face.Up;

    private static (double X, double Y) Middle(OnFace on)
    {
        var point = Plane.Shape(on.Outline).InteriorPoint;
        return (point.X, point.Y);
    }

    /// <summary>Whether no paper lies on either face of a plate.</summary>
    private static bool IsBare(ICard card, PlateRef plate) => !card.Layers.Any(l => l.On.Any(o => o.On.Plate == plate.Plate && o.On.Piece == plate.Piece.Piece));
}

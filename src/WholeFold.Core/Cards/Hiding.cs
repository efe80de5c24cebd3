using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Folding;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Cards;

/// <summary>
/// Just high enough to hide that: the smallest change of one parameter with which nothing of an element is seen straight on once the
/// card is shown.
/// </summary>
public static class Hiding
{
    /// <summary>The edit that sets it; null where it is hidden already, or where no one parameter hides it.</summary>
    public static SetFigure? Of(Card card, string element)
    {
        ArgumentNullException.ThrowIfNull(card);
        if (Seen(card, element) is null or 0)
        {
            return null;
        }

        var mark = card.Figures.Tools.OwnCutMark;
        var ways = new List<(SetFigure Edit, Length By)>();
        foreach (var parameter in card.Figures.Parameters.Where(p => p.Hold != Hold.Locked))
        {
            var most = parameter.Parameter.Max.Select(l => card.Figures.ValueOf(l.Value)).DefaultIfEmpty(parameter.Value).Min().Down(mark);
            if (!Hides(most))
            {
                continue;
            }

            // What hides it at one height hides it at any above, so the least is found by halving.
            var (low, high) = (parameter.Value, most);
            while (high - low > mark)
            {
                var middle = new Length((low + high).Units / 2).Down(mark);
                (low, high) = middle <= low ? (low, low + mark) : Hides(middle) ? (low, middle) : (middle, high);
            }

            ways.Add((new SetFigure(parameter.Parameter.Id, LengthWriter.Exact(high)), high - parameter.Value));

            bool Hides(Length value) => value > parameter.Value && Card.Try(card.Design.Adjusted(card.Target, parameter.Parameter.Id, value), card.Target) is { } tried && Seen(tried, element) == 0;
        }

        return ways.OrderBy(w => w.By).Select(w => w.Edit).FirstOrDefault();
    }

    /// <summary>At how many of its spots it is seen; null where it is on no face.</summary>
    private static int? Seen(Card card, string element)
    {
        if (card.Dressed.Elements.FirstOrDefault(e => e.Element.Id == element) is not { On: [var on, ..] })
        {
            return null;
        }

        var sight = new Sight(card.Figures, Motion.OnTheTable(card.Figures));
        var face = new FaceRef(on.Face.Ref, on.Face.Face);

        // Its uppermost line counts too, or a sliver would look over the edge.
        var box = on.Box;
        var rim = new[] { box.Left.Units, (box.Left + box.Right).Units / 2, box.Right.Units }.SelectMany(x => new[] { ((double)x, box.Bottom.Units + 4d), (x, box.Top.Units - 4d) });
        return sight.Frames.ContainsKey(face.Plate) ? sight.AreSeen(face, Sweeps.SpotsIn(on.Outline).Concat(rim)).Count(seen => seen) : null;
    }
}

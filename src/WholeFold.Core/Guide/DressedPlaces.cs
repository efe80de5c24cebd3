using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Guide;

/// <summary>Where windows and elements go, by their distances from two named edges of the face as one reads it.</summary>
public static class DressedPlaces
{
    /// <summary>One distance across and one up and down: from the edge that it was placed by, else the nearer one, the left and the foot where both are alike.</summary>
    public static IReadOnlyList<(ReadEdge Edge, Length Distance)> Distances(Placed place, OnFace on)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(on);
        var (left, right, head, foot) = on.Margins;
        var across = place.From.FirstOrDefault(f => f.Edge is ReadEdge.Left or ReadEdge.Right && f.Window is null)?.Edge
            ?? (place.IsAtRight || (!place.IsAtLeft && right < left) ? ReadEdge.Right : ReadEdge.Left);
        var upDown = place.From.FirstOrDefault(f => f.Edge is ReadEdge.Head or ReadEdge.Foot && f.Window is null)?.Edge
            ?? (place.IsAtHead || (!place.IsAtFoot && head < foot) ? ReadEdge.Head : ReadEdge.Foot);
        return [(across, across == ReadEdge.Left ? left : right), (upDown, upDown == ReadEdge.Head ? head : foot)];
    }

    public static IReadOnlyList<Place> Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        return
        [
            .. card.Dressed.Windows.Select(w => Of(card.Figures, $"windows.{w.Window.Id}", w.Window.Called, w.Window.Place, w.On[0],
                Ground.Bare(card.Figures, w.On[0]), "cut away with it")),
            .. card.Dressed.Elements.Where(e => e.On.Count > 0).Select(e => Of(card.Figures, $"elements.{e.Element.Id}", Spoken.First(e.Element.Name),
                e.Element.Place, e.On[0], Ground.Of(card, e.On[0]), e.Element.IsInk ? RubbedOut : $"covered by {e.Element.Name}")),
        ];
    }

    /// <summary>What becomes of the marks of what is stamped or printed: nothing lies on them afterwards.</summary>
    private const string RubbedOut = "rubbed out";

    private static Place Of(Figures figures, string id, string what, Placed place, OnFace on, Ground ground, string vanishes) =>
        new(id, what, ground.Said(isOn: vanishes != RubbedOut), [.. Distances(place, on, ground).Select(d =>
            new FromEdge(ground.Edge(figures, d.Edge), figures.Tools.Ticked(d.Distance))
            {
                Both = ground.IsCentred(d.Edge, on), UpDown = d.Edge is ReadEdge.Head or ReadEdge.Foot,
            })], place.Pose, "two light ticks", vanishes);

    /// <summary>On what it is measured on: the edge that it was placed by where that can be seen by then, else the nearer that can.</summary>
    private static IEnumerable<(ReadEdge Edge, Length Distance)> Distances(Placed place, OnFace on, Ground ground)
    {
        var (left, right, head, foot) = ground.Margins(on);
        Length To(ReadEdge edge) => edge switch { ReadEdge.Left => left, ReadEdge.Right => right, ReadEdge.Head => head, _ => foot };
        foreach (var (wished, _) in Distances(place, on))
        {
            var other = wished switch { ReadEdge.Left => ReadEdge.Right, ReadEdge.Right => ReadEdge.Left, ReadEdge.Head => ReadEdge.Foot, _ => ReadEdge.Head };
            var edge = !ground.IsSeen(wished) && ground.IsSeen(other) ? other : wished;
            yield return (edge, To(edge));
        }
    }

    /// <summary>The same place some marks further, as it is written down: its distances from the edges that it is told by, a mark more or less.</summary>
    public static PlaceSpec Nudged(Placed place, OnFace on, int across, int up, Length mark)
    {
        ArgumentNullException.ThrowIfNull(place);
        var from = Distances(place, on).Where(d => d.Edge is ReadEdge.Left or ReadEdge.Right ? across != 0
            || place.From.Any(f => f.Edge is ReadEdge.Left or ReadEdge.Right) : up != 0 || place.From.Any(f => f.Edge is ReadEdge.Head or ReadEdge.Foot))
            .Select(d => (d.Edge, Distance: d.Edge switch { ReadEdge.Left => d.Distance + (across * mark), ReadEdge.Right => d.Distance - (across * mark),
                ReadEdge.Foot => d.Distance + (up * mark), _ => d.Distance - (up * mark) }));
        return new PlaceSpec(DressingWriter.Name(place.Anchor), [.. from.Select(f => new FromSpec(DressingWriter.Name(f.Edge), WrittenLength.Of(f.Distance)))], place.Pose);
    }

    /// <summary>An edge as it is said: the score that is there, or the edge as one reads the face.</summary>
    public static string Named(Figures figures, OnFace on, ReadEdge edge)
    {
        ArgumentNullException.ThrowIfNull(figures);
        ArgumentNullException.ThrowIfNull(on);
        return Ground.Edge(figures, on.Face, on.Reading, edge);
    }
}

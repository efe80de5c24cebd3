using WholeFold.Core.Cards;
using WholeFold.Core.Constructions;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Drawing;

/// <summary>A layer as one reads its face.</summary>
public sealed record ReadLayer(SizedLayer Layer, IReadOnlyList<Point> Outline, IReadOnlyList<IReadOnlyList<Point>> Holes, Edge Head);

/// <summary>Where something may not be.</summary>
public sealed record WornKeepOut(KeepOut KeepOut, IReadOnlyList<Point> Outline);

/// <summary>A distance that says where a thing is, drawn from an edge to it.</summary>
public sealed record WornDistance(string Edge, Length Distance, Point From, Point To);

/// <summary>A window or an element as one reads its face.</summary>
public sealed record WornThing(string Id, bool IsWindow, OnFace On, IReadOnlyList<Point> Outline, Box Box, IReadOnlyList<WornDistance> Distances);

/// <summary>A face with all that it wears.</summary>
/// <param name="Outline">What is free of it.</param>
public sealed record WornFace(Role Role, RoleFace Face, IReadOnlyList<Point> Outline, Box Box, IReadOnlyList<ReadLayer> Layers, IReadOnlyList<WornKeepOut> KeepOuts, IReadOnlyList<WornThing> Things);

/// <summary>A crease, as one reads the side of the piece.</summary>
/// <param name="Valley">Whether it closes towards the reader.</param>
public sealed record WornCrease(Point From, Point To, bool Valley, bool Working);

/// <summary>
/// One side of a flat piece as a reader has it before her: its head uppermost, its left on the left hand. What lies on it is drawn
/// where it lies, in true size, counted from its lower left corner.
/// </summary>
public sealed record DressedSheet(SizedPiece Piece, Face Face, Length Width, Length Height, IReadOnlyList<IReadOnlyList<Point>> Plates,
    IReadOnlyList<WornCrease> Creases, IReadOnlyList<WornFace> Faces)
{
    private Reading Reading { get; init; }

    /// <summary>As it stands in addresses: <c>base.up</c>.</summary>
    public string Id => $"{Piece.Piece.Id}.{(Face == Face.Up ? "up" : "down")}";

    /// <summary>A rectangle of the flat piece as it is drawn here.</summary>
    public Box Read(Box flat) => Reading.Read(flat);

    /// <summary>Every side of every piece on which a face is seen.</summary>
    public static IReadOnlyList<DressedSheet> Of(Card card)
    {
        ArgumentNullException.ThrowIfNull(card);
        return [.. card.Dressed.Roles.All.SelectMany(r => r.Faces.Select(f => (Role: r, Face: f))).GroupBy(f => (f.Face.Piece, f.Face.Face)).Select(side => Of(card, [.. side]))];
    }

    private static DressedSheet Of(Card card, IReadOnlyList<(Role Role, RoleFace Face)> faces)
    {
        var piece = card.Pieces.First(p => p.Piece.Id == faces[0].Face.Piece);
        var largest = faces.MaxBy(f => f.Face.Whole.Area);

        // It lies as most of it is read; what one only sees by turning the card does not decide where something else is looked at.
        var front = faces.Where(f => f.Face.Seen.Any(s => !s.FromBehind)).ToList();
        var head = (front.Count > 0 ? front : faces).GroupBy(f => f.Face.Head).MaxBy(g => g.Sum(f => f.Face.Whole.Area))!.Key;
        var reading = new Reading(new Box(Length.Zero, Length.Zero, piece.Width.Value, piece.Height.Value), head, largest.Face.Face);
        Point Read(Point p) => reading.Read(p) is var (across, up) ? new Point(across, up) : p;
        IReadOnlyList<Point> Line(IEnumerable<Point> points) => [.. points.Select(Read)];

        // The same place on a plate can have several roles, as posts and rails have; each is drawn by itself.
        var worn = faces.Select(f => new WornFace(
            f.Role, f.Face, Line(f.Face.Usual.Outline), reading.Read(f.Face.Usual.Box),
            [.. card.Layers.Where(l => l.Role.Id == f.Role.Id)
                .SelectMany(l => l.On.Where(o => o.On.Id == f.Face.Id)
                .Select(o => new ReadLayer(l, Line(o.Outline), [.. o.Holes.Select(h => Line(h))], f.Face.Head)))],
            [.. card.KeepOutsOn(f.Face).Select(k => new WornKeepOut(k, Line(k.Outline)))],
            [
                .. card.Dressed.Windows.SelectMany(w => w.On.Where(o => o.Face.Id == f.Face.Id).Select(o => Thing(w.Window.Id, true, w.Window.Place, o))),
                .. card.Dressed.Elements.SelectMany(e => e.On.Where(o => o.Face.Id == f.Face.Id).Select(o => Thing(e.Element.Id, false, e.Element.Place, o))),
            ])).ToList();
        return new DressedSheet(
            piece, largest.Face.Face, reading.Width, reading.Height,
                [.. piece.Plates.Select(p => Line(p.Corners)), .. card.Dressed.Contours.SelectMany(c => c.On).Where(o => o.Face.Piece == piece.Piece.Id)
                .Select(o => Line(o.Outline))],
            [.. piece.AllScores.SelectMany(s => s.Parts.Select(p =>
                new WornCrease(Read(p.From), Read(p.To), (s.Crease.Fold == Fold.Valley) == (largest.Face.Face == Face.Up), s.Crease.Working)))],
                worn) { Reading = reading };

        WornThing Thing(string id, bool isWindow, Designs.Placed place, OnFace on) =>
            new(id, isWindow, on, Line(on.Outline), reading.Read(on.Box),
            [.. Guide.DressedPlaces.Distances(place, on).Select(d => Distance(d.Edge, d.Distance, on))]);

        WornDistance Distance(Designs.ReadEdge edge, Length distance, OnFace on)
        {
            var own = on.Reading;
            var (midX, midY) = (new Length((on.Read.Left + on.Read.Right).Units / 2), new Length((on.Read.Bottom + on.Read.Top).Units / 2));
            var (from, to) = edge switch
            {
                Designs.ReadEdge.Left => (own.Lay(Length.Zero, midY), own.Lay(on.Read.Left, midY)),
                Designs.ReadEdge.Right => (own.Lay(own.Width, midY), own.Lay(on.Read.Right, midY)),
                Designs.ReadEdge.Head => (own.Lay(midX, own.Height), own.Lay(midX, on.Read.Top)),
                _ => (own.Lay(midX, Length.Zero), own.Lay(midX, on.Read.Bottom)),
            };
            return new WornDistance(Guide.DressedPlaces.Named(card.Figures, on, edge), distance, Read(from), Read(to));
        }
    }

    /// <summary>
    /// Where a thing that was let go of with its middle at a point comes to lie: on the face under it, at the nearest of the nine
    /// places, its distances on marks that the trimmer has. Null where no face is there.
    /// </summary>
    public (RoleFace Face, Designs.Anchor Anchor, IReadOnlyList<(Designs.ReadEdge Edge, Length Distance)> From)? Drop(Point middle, Length width, Length height, Length mark)
    {
        var flat = Reading.Lay(middle.X, middle.Y);
        var face = Faces.Where(f => Inside(f.Face.Open.Box, flat)).MinBy(f => f.Face.Open.Area)?.Face;
        if (face is null)
        {
            return null;
        }

        var own = Dressing.Reading.Of(face, face.Open);
        var (across, up) = own.Read(flat);
        var (left, foot) = (across - new Length(width.Units / 2), up - new Length(height.Units / 2));
        var (right, head) = (own.Width - left - width, own.Height - foot - height);

        // Within a mark or two of the middle it is meant to be there.
        var (isMiddle, isCentre) = ((left - right).Abs() <= 4 * mark, (foot - head).Abs() <= 4 * mark);
        var from = new List<(Designs.ReadEdge, Length)>();
        if (!isMiddle)
        {
            from.Add(left <= right ? (Designs.ReadEdge.Left, left.Nearest(mark)) : (Designs.ReadEdge.Right, right.Nearest(mark)));
        }

        if (!isCentre)
        {
            from.Add(foot <= head ? (Designs.ReadEdge.Foot, foot.Nearest(mark)) : (Designs.ReadEdge.Head, head.Nearest(mark)));
        }

        var row = isCentre ? 1 : foot <= head ? 2 : 0;
        var column = isMiddle ? 1 : left <= right ? 0 : 2;
        return (face, (Designs.Anchor)((3 * row) + column), from);
    }

    private static bool Inside(Box box, Point at) => at.X >= box.Left && at.X <= box.Right && at.Y >= box.Bottom && at.Y <= box.Top;
}

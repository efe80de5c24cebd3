using WholeFold.Core.Cards;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Guide;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange;

/// <summary>What a card wears, as it is exchanged.</summary>
internal static class DressedJson
{
    public static IReadOnlyList<LengthJson> Box(Box box) => [LengthJson.Of(box.Left), LengthJson.Of(box.Bottom), LengthJson.Of(box.Right), LengthJson.Of(box.Top)];

    private static IReadOnlyList<LengthJson> Size(Length width, Length height) => [LengthJson.Of(width), LengthJson.Of(height)];

    private static IReadOnlyList<IReadOnlyList<LengthJson>> Corners(IReadOnlyList<Point> outline, Box from) => [.. outline.Select(p => Size(p.X - from.Left, p.Y - from.Bottom))];

    public static LayerJson Layer(Card card, SizedLayer l, DisplayUnit unit)
    {
        var drops = card.Dressed.Windows.Where(w => w.GoesThrough(l.Level)
            && l.On.Any(o => o.Holes.Count > 0 && w.On.Any(f => f.Face.Plate == o.On.Plate && f.Face.Piece == o.On.Piece)))
            .Select(w => Size(w.Width.Value, w.Height.Value)).ToList();
        return new LayerJson(
            l.Id, l.Panels, SizedJson.Name(l.Face), l.Level, l.Stock.Id, LengthJson.Of(l.Width.Value), LengthJson.Of(l.Height.Value), l.Quantity, l.Role.Id,
            l.On.DistinctBy(o => o.On.Plate).ToDictionary(o => o.On.Plate, o => SizedJson.Name(o.On.Head)),
            l.IsRectangle ? null : Corners(l.On[0].Outline, l.On[0].Box), l.HowToCut?.Write(unit), l.ToWriteOn ? true : null, drops.Count == 0 ? null : drops);
    }

    public static IReadOnlyList<FaceJson> Faces(Card card) =>
        [.. card.Dressed.Roles.All.SelectMany(r =>
            r.Faces.Select(f => new FaceJson(f.Id, r.Id, f.Name, f.Copies.Count, [[.. f.Open.Outline.SelectMany(p => Size(p.X, p.Y))]],
            [.. f.Seen.Select(s => new PoseJson(s.Pose, SizedJson.Name(s.Head), s.FromBehind))])))];

    public static WindowJson Window(SizedWindow w)
    {
        var (left, right, head, foot) = w.On[0].Margins;
        return new WindowJson(
            w.Window.Id, w.Window.Role, w.Die?.Id, DressingWriter.Name(w.Window.Shape), Size(w.Width.Value, w.Height.Value), w.Window.Through, Placed(w.Window.Place, w.On[0]),
            new Dictionary<string, LengthJson> { ["left"] = LengthJson.Of(left), ["right"] = LengthJson.Of(right), ["head"] = LengthJson.Of(head), ["foot"] = LengthJson.Of(foot) },
            Size(w.Wished.Width, w.Wished.Height), w.Shift is { } shift ? LengthJson.Of(shift) : null, SizedJson.Name(w.Found), Size(w.Home.Width, w.Home.Height),
                Size(w.Width.Value, w.Height.Value), w.Quantity, [.. w.On.Select(On)]);
    }

    public static ElementJson Element(SizedElement e)
    {
        var element = e.Element;
        return new ElementJson(
            element.Id, element.Name, element.Role, DressingWriter.Name(element.Shape), Size(e.Width.Value, e.Height.Value), LengthJson.Of(element.Stands), element.IsFixed,
            e.On.Count == 0 ? new PlacedJson(DressingWriter.Name(element.Place.Anchor), [], element.Place.Pose) : Placed(element.Place, e.On[0]), element.BondedOn,
                DressingWriter.Name(element.Made), element.Stock.Id, DressingWriter.Name(element.Held),
            e.On.Count > 0 && e.TooLarge == Length.Zero, e.TooLarge > Length.Zero ? LengthJson.Of(e.TooLarge) : null, e.TooLarge > Length.Zero
                ? [.. e.WouldTake.Select(r => r.Id)] : null, Size(e.Home.Width, e.Home.Height), e.Quantity, [.. e.On.Select(On)],
            element.Shape == OutlineShape.Polygon && e.On.Count > 0 ? Corners(e.On[0].Outline, e.On[0].Box) : null);
    }

    public static ContourJson Contour(SizedContour c) =>
        new(c.Contour.Id, c.Contour.Role, DressingWriter.Name(c.Contour.Shape), LengthJson.Of(c.Contour.Height),
        [.. c.On[0].Outline.Select(p => Size(p.X, p.Y))]);

    private static OnJson On(OnFace on) => new(on.Face.Piece, on.Face.Plate, SizedJson.Name(on.Face.Face), Box(on.Box));

    private static PlacedJson Placed(Placed place, OnFace on) =>
        new(DressingWriter.Name(place.Anchor), [.. DressedPlaces.Distances(place, on)
        .Select(d => new EdgeJson(DressingWriter.Name(d.Edge), LengthJson.Of(d.Distance)))], place.Pose);
}

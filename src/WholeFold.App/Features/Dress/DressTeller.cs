using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Folding;
using WholeFold.Core.Cards;
using WholeFold.Core.Checks;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Drawing;
using WholeFold.Core.Dressing;
using WholeFold.Core.Exchange;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using Spot = WholeFold.App.Features.Bench.Spot;

namespace WholeFold.App.Features.Dress;

/// <summary>Puts what a card wears into the reader's words and unit. It works out no figure of its own.</summary>
internal sealed class DressTeller(Desk desk, Card card)
{
    /// <summary>A card that nobody has given a colour.</summary>
    private readonly Teller _tell = new(desk.Unit);
    private readonly IReadOnlyList<DressedSheet> _sheets = DressedSheet.Of(card);

    public DressView View()
    {
        var grave = card.Checks.Count(c => c.Severity > Severity.Note);
        return new DressView
        {
            Name = desk.Spec.Name,
            Construction = desk.Design.Family.Name,
            Size = _tell.Say(_tell.NameAndSize(desk.Design, desk.Target)),
            AtHome = desk.Target.Key == desk.Design.Home.Key,
            Unit = _tell.Symbol,
            Poses = Poses(),
            Sides = [.. _sheets.Select(Side)],
            Looks = PosesView.Of(card, new Motion(Motion.LookedAt(card.Figures), true, []), Picture.OnTheTable),
            Rows = [.. Layers(), .. Windows(), .. Contours(), .. Elements(), .. Soft()],
            Roles = [.. card.Dressed.Roles.All.Select(r =>
                new RoleView(r.Id, r.Name, card.Layers.Where(l => l.Role.Id == r.Id).Select(l => l.Level).DefaultIfEmpty(0).Max(),
                [.. r.Faces.Select(f => f.Id)]))],
            Papers = [.. desk.Design.Inventory.Stocks.Select(s => new PaperView(s.Id, s.Name, Teller.ColourOf(s), s.Pattern,
                s.Directional))],
            Dies = [.. desk.Design.Inventory.All<Die>().Select(d => new DieView(d.Id, d.Name, _tell.Text(d.Width) is var w && d.Shape == DieShape.Circle ? $"round, {LengthWriter.WithUnit(d.Width, desk.Unit)}" : $"{LengthWriter.Write(d.Width, desk.Unit)} × {LengthWriter.WithUnit(d.Height, desk.Unit)}", d.IsOwned))],
            Motifs = Motifs.Names,
            Dressing = desk.Spec.Dressing ?? new DressingSpec(),
            Found = [.. card.Checks.Where(c => c.Severity > Severity.Note).Select(Found)],
            Summary = _tell.Say(grave == 0 ? Words.Of($"All holds.") : Words.Of($"{(grave == 1 ? "One thing" : $"{grave} things")} to settle.")),
        };
    }

    /// <summary>A mark of the trimmer; of a machine a half millimetre or a sixteenth.</summary>
    private Length Mark => card.Figures.Tools.Exact ? Pair.Of(1, 16, 0.5m).For(card.Figures.Tools.System) : card.Figures.Tools.OwnCutMark;

    /// <summary>A thing that can be moved: where it lies, how it is placed, and the edit that places it otherwise.</summary>
    private sealed record Movable(Placed Place, IReadOnlyList<OnFace> On, Length Width, Length Height, string Role, Func<string, PlaceSpec, DesignEdit> Put);

    private Movable Of(string id, bool window)
    {
        var dressing = desk.Spec.Dressing ?? new DressingSpec();
        if (!window)
        {
            var (element, spec) = (Known(id), dressing.Elements.First(e => e.Id == id));
            return new Movable(element.Element.Place, element.On, element.Width.Value, element.Height.Value, spec.Role,
                (role, place) => new PutOn(id, spec with { Role = role, Place = place with { Pose = spec.Place?.Pose } }));
        }

        var cut = card.Dressed.Windows.FirstOrDefault(w => w.Window.Id == id)
            ?? throw new Core.Input.InputProblemException("dress.window", "element", $"there is no window “{id}” in this card", card.Dressed.Windows.Count == 0
            ? "a window that is in it" : string.Join(", ", card.Dressed.Windows.Select(w => w.Window.Id)));
        var written = dressing.Windows.First(w => w.Id == id);
        return new Movable(cut.Window.Place, cut.On, cut.Width.Value, cut.Height.Value, written.Role,
            (role, place) => new CutWindow(id, written with { Role = role, Around = null, Place = place with { Pose = written.Place?.Pose } }));
    }

    public DropView Drop(DropRequest request)
    {
        var thing = Of(request.Element, request.Window);
        var sheet = _sheets.FirstOrDefault(s => s.Id == request.Side) ?? throw new Core.Input.InputProblemException("dress.side", "side", $"“{request.Side}” is no side of a piece", string.Join(", ", _sheets.Select(s => s.Id)));
        return sheet.Drop(new Point(new Length(request.X), new Length(request.Y)), thing.Width, thing.Height, Mark) is not { } at ? new DropView(null)

            // A thing that is moved on its own role stays on all its faces; elsewhere it goes on the one face.
            : new DropView(thing.Put(thing.On.Any(o => o.Face.Id == at.Face.Id) ? thing.Role : at.Face.Id,
                new PlaceSpec(DressingWriter.Name(at.Anchor), at.From.Count == 0 ? null
                : [.. at.From.Select(f => new FromSpec(DressingWriter.Name(f.Edge), WrittenLength.Of(f.Distance)))])));
    }

    public DropView Nudge(NudgeRequest request)
    {
        var thing = Of(request.Element, request.Window);
        return thing.On.Count == 0 ? new DropView(null) : new DropView(thing.Put(thing.Role, Core.Guide.DressedPlaces.Nudged(thing.Place, thing.On[0], request.Across, request.Up, Mark)));
    }

    public DropView Hide(HideRequest request)
    {
        _ = Known(request.Element);
        return new DropView(Hiding.Of(card, request.Element));
    }

    private SizedElement Known(string id) => card.Dressed.Elements.FirstOrDefault(e => e.Element.Id == id)
        ?? throw new Core.Input.InputProblemException("dress.element", "element", $"there is no “{id}” on this card", card.Dressed.Elements.Count == 0 ? "an element that is on it" : string.Join(", ", card.Dressed.Elements.Select(e => e.Element.Id)));

    /// <summary>The poses that one looks at, in order, and the back; one that shows no further face is left out.</summary>
    private List<DressPose> Poses()
    {
        var frames = Motion.LookedAt(card.Figures);
        var poses = new List<DressPose>();
        foreach (var (frame, i) in frames.Select((f, i) => (f, i)))
        {
            var count = AllFaces.Count(f => PosesOf(f).Contains(frame.Name!));
            if (count > 0 && (frame.Name != "opening" || AllFaces.Any(f => PosesOf(f) is ["opening", ..] && !PosesOf(f).Contains("shown"))))
            {
                poses.Add(new DressPose(frame.Name!, frame.Name!, count, i));
            }
        }

        var back = AllFaces.Count(f => PosesOf(f).Contains("back"));
        return back == 0 ? poses : [.. poses, new DressPose("back", "from behind", back, frames.Count - 1)];
    }

    private IEnumerable<RoleFace> AllFaces => card.Dressed.Roles.All.SelectMany(r => r.Faces).DistinctBy(f => f.Id);

    /// <summary>A face is looked at in a pose in which it is turned to one, and shut from either side; from behind where only that shows it.</summary>
    private static List<string> PosesOf(RoleFace face)
    {
        var poses = face.Seen.Where(s => !s.FromBehind || s.Pose == "closed").Select(s => s.Pose).ToList();
        return face.Seen.Count == 0 ? ["shown"] : poses.Count == 0 ? ["back"] : face.Seen.Any(s => s is { FromBehind: true, Pose: "shown" }) ? [.. poses, "back"] : poses;
    }

    private SideView Side(DressedSheet sheet)
    {
        var stock = desk.Design.StockOf(sheet.Piece.Piece.Id);
        var side = _sheets.Count(s => s.Piece.Piece.Id == sheet.Piece.Piece.Id) == 1 ? "" : sheet.Faces.All(f => PosesOf(f.Face).Contains("back")) ? ", from behind" : sheet.Face == Face.Up ? ", inner side" : ", outer side";
        return new SideView(
            sheet.Id, $"{sheet.Piece.Piece.Name}{side}", Teller.ColourOf(stock), sheet.Width.Units, sheet.Height.Units,
                [.. sheet.Plates.Select(Line)],
            [.. sheet.Creases.Select(c => new CreaseView(At(c.From), At(c.To), c.Valley, c.Working))], [.. sheet.Faces.Select(f => FaceOf(sheet, f))]);
    }

    private FaceView FaceOf(DressedSheet sheet, WornFace face)
    {
        var seen = card.SightLines.FirstOrDefault(l => l.Face.Id == face.Face.Id && l.Pose == "shown");
        return new FaceView(
            face.Face.Id, face.Role.Id, face.Role.Faces.Count == 1 ? face.Role.Name : face.Face.Name, PosesOf(face.Face), Line(face.Outline), BoxOf(face.Box),
            [.. face.Layers.OrderBy(l => l.Layer.Level)
                .Select(l => new WornLayerView(l.Layer.Id, l.Layer.Level, l.Layer.Stock.Id, Teller.ColourOf(l.Layer.Stock),
                l.Layer.Stock.Pattern, Line(l.Outline), [.. l.Holes.Select(Line)]))],
            [.. face.KeepOuts.Select(k => new KeepOutView(k.KeepOut.Kind, Line(k.Outline), k.KeepOut.Why))],
            [.. face.Things.Select(Thing)],
            seen is null ? null : (int)Math.Round(seen.Share * 100), seen is null ? [] : [.. seen.Hidden.Select(h => BoxOf(sheet.Read(h)))]);
    }

    private PutView Thing(WornThing thing)
    {
        var element = thing.IsWindow ? null : card.Dressed.Elements.First(e => e.Element.Id == thing.Id).Element;
        return new PutView(
            thing.Id, thing.IsWindow, element?.Name ?? $"window {thing.Id}", element is null ? null : element.IsInk ? null
                : Teller.ColourOf(element.Stock),
                element?.IsRaised ?? false, element?.IsInk ?? false, Line(thing.Outline), BoxOf(thing.Box),
            [.. thing.Distances.Select(d => new DistanceView(d.Edge, _tell.Text(d.Distance.Abs()), At(d.From), At(d.To)))]);
    }

    private FoundView Found(Check check)
    {
        var sheet = check.At is { } at ? _sheets.FirstOrDefault(s => s.Piece.Piece.Id == at.Piece && s.Face == at.Face) : null;
        return new FoundView(_tell.Check(check), sheet?.Id, sheet is null ? null : BoxOf(sheet.Read(check.At!.Box)));
    }

    private IEnumerable<DressRow> Layers() => card.Layers.Select(l => new DressRow(
        DressRowKind.Layer, l.Id, l.Stock.Name, $"{l.Role.Name}{(l.Level > 1 ? ", on the first" : "")}{(l.ToWriteOn ? ", to write on" : "")}", _tell.Say(Words.Of($"{l.Width.Value} × {l.Height.Value}")), l.Quantity, null,
        _tell.Say(l.HowToCut is { } how ? Words.Of($"{l.Width.Said}. To cut it: {how}.") : Words.Of($"{l.Width.Said}.")),
            Teller.ColourOf(l.Stock), l.Stock.Pattern, [.. l.On.Select(o => o.On.Id)], l.Role.Id, l.Level));

    private IEnumerable<DressRow> Windows() => card.Dressed.Windows.Select(w => new DressRow(
        DressRowKind.Window, w.Window.Id, w.Window.Called,
            $"{w.On[0].Face.Name}, {(w.Die is { } die ? $"{die.Name}{(die.IsOwned ? "" : ", not there")}" : "by knife")}{(w.Shift is null ? "" : ", passed twice")}", _tell.Say(Words.Of($"{w.Width.Value} × {w.Height.Value}")), w.Quantity,
        Was(w.Home, (w.Width.Value, w.Height.Value)), _tell.Say(w.Width.Said), null, null, [.. w.On.Select(o => o.Face.Id)], w.Window.Role, 0));

    private IEnumerable<DressRow> Contours() => card.Dressed.Contours.Select(c => new DressRow(
        DressRowKind.Contour, c.Contour.Id, Spoken.First(c.Contour.Shape == ContourShape.Drawn ? "contour"
            : DressingWriter.Name(c.Contour.Shape)), $"head of {c.On[0].Face.Name}", _tell.Say(Words.Of($"{c.Contour.Height} higher")), c.On.Sum(o => o.Face.Copies.Count), null,
        _tell.Say(Words.Of($"The piece is cut {c.Contour.Height} higher there, and its head cut along the line.")), null, null, [.. c.On.Select(o => o.Face.Id)], c.Contour.Role, 0));

    private IEnumerable<DressRow> Elements() => card.Dressed.Elements.Select(e => new DressRow(
        DressRowKind.Element, e.Element.Id, Spoken.First(e.Element.Name), $"{(e.On.Count == 0 ? "where nobody sees it" : e.On[0].Face.Name)} · {How(e.Element)}", _tell.Say(Words.Of($"{e.Width.Value} × {e.Height.Value}")), e.Quantity,
        Was(e.Home, (e.Width.Value, e.Height.Value)),
        _tell.Say(e.TooLarge > Length.Zero
            ? Words.Of($"{e.TooLarge} too large for its face here.{(e.WouldTake.Count > 0 ? $" It would go on {e.WouldTake[0].Name}." : "")}") : e.Width.Said),
            e.Element.IsInk ? null : e.Element.Stock.Colour, null, [.. e.On.Select(o => o.Face.Id)], e.Element.Role, 0));

    private IEnumerable<DressRow> Soft() => SoftGoods.Of(card.Figures, card.Dressed).Select(g => new DressRow(
        DressRowKind.Soft, g.Good.Id, Spoken.First(DressingWriter.Name(g.Good.Kind)), $"{card.Dressed.Roles.RoleOf(g.Good.Role)?.Name ?? g.Good.Role.Split('.')[^2]} · {DressingWriter.Name(g.Good.Rule)}", _tell.Say(Words.Of($"{g.Length}")), 1, null, _tell.Say(Words.Of($"{Spoken.First(g.Hidden)}.")), null, null, [], g.Good.Role, 0));

    private static string How(Element element) => element.IsInk ? DressingWriter.Name(element.Made) : element.Held switch
    {
        HeldBy.Thread => "on a thread",
        HeldBy.Strip => "on a clear strip",
        HeldBy.Slide => "on the slide",
        _ => element.IsRaised ? $"raised {element.Stands.Hundredths}{(element.Held == HeldBy.Lock ? ", holds the lock" : "")}" : "flat",
    };

    private IReadOnlyList<SentencePart>? Was((Length Width, Length Height) home, (Length Width, Length Height) now) => home == now ? null : _tell.Say(Words.Of($"{home.Width} × {home.Height}"));

    private static Spot At(Point p) => new(p.X.Units, p.Y.Units);

    private static IReadOnlyList<Spot> Line(IReadOnlyList<Point> points) => [.. points.Select(At)];

    private static BoxView BoxOf(Box box) => new(box.Left.Units, box.Bottom.Units, box.Width.Units, box.Height.Units);
}

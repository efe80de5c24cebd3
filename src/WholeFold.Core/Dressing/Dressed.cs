using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Dressing;

/// <summary>What a card wears in one format: every layer, window and element, where it lies and how large it is.</summary>
public sealed class Dressed
{
    /// <summary>What a window leaves to creases and edges, at the least.</summary>
    public static Pair WindowMargin { get; } = Pair.Of(3, 8, 10m);

    /// <summary>How far from an edge an element lies that is put there without a figure.</summary>
    private static readonly Pair BesideEdge = Pair.Of(1, 8, 3m);

    /// <summary>What is stamped is drawn in this.</summary>
    private const string Ink = "#1f2a3344";

    private readonly Figures _figures;
    private readonly Dressed? _like;
    private readonly bool _isHome;
    private readonly Lazy<Roles> _roles;
    private readonly Lazy<Roles> _rolesAtHome;
    private readonly Lazy<IReadOnlyList<SizedWindow>> _windows;
    private readonly Lazy<IReadOnlyList<SizedElement>> _elements;
    private readonly Lazy<IReadOnlyList<SizedContour>> _contours;
    private readonly Lazy<IReadOnlyList<SizedLayer>> _layers;
    private readonly Lazy<IReadOnlyList<Body>> _bodies;

    /// <param name="like">The same card on its owner's tools, whose papers and windows are wished for here.</param>
    public Dressed(Figures figures, Dressed? like = null)
    {
        ArgumentNullException.ThrowIfNull(figures);
        _like = like;
        (_figures, _isHome) = (figures, figures.Named.Key == figures.Design.Home.Key);
        _roles = new(() => Roles.Of(figures));
        _rolesAtHome = new(() => _isHome ? Roles : AtHome.Of(figures.Design).Roles ?? Roles);
        _windows = new(FindWindows);
        _elements = new(FindElements);
        _contours = new(() => [.. figures.Design.Dressing.Contours.Select(FindContour).Where(c => c.On.Count > 0)]);
        _layers = new(() => new LayerSizer(figures, figures.Design.Dressing.IsBare ? Roles.Named(figures) : Roles, Windows, Contours,
            like?.Layers).Size());
        _bodies = new(() => [.. Layers.SelectMany(l => l.Bodies(figures.Design.Adhesive)), .. Elements.SelectMany(BodiesOf), .. Windows.Where(w => w.GoesThrough(0))
            .SelectMany(CutOf), .. Contours.SelectMany(BodiesOf)]);
    }

    public Design Design => _figures.Design;

    public Roles Roles => _roles.Value;

    public IReadOnlyList<SizedLayer> Layers => _layers.Value;

    public IReadOnlyList<SizedWindow> Windows => _windows.Value;

    /// <summary>Where windows go through the card itself, on a piece or on one plate of it.</summary>
    public IEnumerable<OnFace> CutThrough(string piece, string? plate = null) =>
        Windows.Where(w => w.GoesThrough(0)).SelectMany(w => w.On).Where(o => o.Face.Piece == piece && (plate is null || o.Face.Plate == plate));

    public IReadOnlyList<SizedElement> Elements => _elements.Value;

    public IReadOnlyList<SizedContour> Contours => _contours.Value;

    /// <summary>All that lies on plates.</summary>
    public IReadOnlyList<Body> Bodies => _bodies.Value;

    /// <summary>An element that no face of the card at home would take is a slip of the pen, and refused.</summary>
    /// <exception cref="InputProblemException">There is one.</exception>
    public void RefuseWhatIsTooLarge()
    {
        var faces = Design.Dressing.Elements.Count == 0 ? [] : _rolesAtHome.Value.All.SelectMany(r => r.Faces).Select(f => Reading.Of(f, f.Open)).ToList();
        foreach (var (element, i) in Design.Dressing.Elements.Select((e, i) => (e, i)).Where(e => !HangsOver(e.e)))
        {
            if (faces.All(f => f.Width < element.Width || f.Height < element.Height))
            {
                var unit = Design.Home.Format.System.UnitOf();
                var largest = faces.MaxBy(f => (double)f.Width.Units * f.Height.Units);
                throw new InputProblemException(
                    "element.large", $"dressing.elements[{i}].size", $"{element.Name}, {LengthWriter.Write(element.Width, unit)} × {LengthWriter.WithUnit(element.Height, unit)}, is larger than any face of this card",
                    $"up to {LengthWriter.Write(largest.Width, unit)} × {LengthWriter.WithUnit(largest.Height, unit)}, its largest face; or name in bondedOn the part that it is held by, where it hangs over");
            }
        }
    }

    /// <summary>Held by a part of it, so that the rest may hang over.</summary>
    private static bool HangsOver(Element element) => element.BondedOn is not null || element.Held is HeldBy.Strip or HeldBy.Lock;

    private List<SizedWindow> FindWindows()
    {
        var windows = new List<SizedWindow>();
        foreach (var window in Design.Dressing.Windows)
        {
            var faces = Roles.Of(window.Role);
            if (faces.Count > 0)
            {
                windows.Add(_like?.Windows.FirstOrDefault(w => w.Window.Id == window.Id) is { } same
                    ? WindowSizer.Like(_figures, same, faces, windows)
                    : WindowSizer.Size(_figures, window, faces, _rolesAtHome.Value.Of(window.Role) is { Count: > 0 } home ? home[0] : null, windows));
            }
        }

        return windows;
    }

    private List<SizedElement> FindElements()
    {
        var elements = new List<SizedElement>();
        foreach (var element in Design.Dressing.Elements)
        {
            var faces = Roles.Of(element.Role);
            var (width, height) = (element.Width, element.Height);
            if (_like?.Elements.FirstOrDefault(e => e.Element.Id == element.Id) is { } same)
            {
                (width, height) = element is { IsFixed: true } ? (width, height) : (_figures.Tools.CutNearest(same.Width.Value), _figures.Tools.CutNearest(same.Height.Value));
            }
            else if (!element.IsFixed && faces.Count > 0 && _rolesAtHome.Value.Of(element.Role) is { Count: > 0 } home)
            {
                var (now, was) = (Reading.Of(faces[0], faces[0].Open), Reading.Of(home[0], home[0].Open));
                var by = Math.Min((double)now.Width.Units / was.Width.Units, (double)now.Height.Units / was.Height.Units);
                (width, height) = (Scaled(width, by), Scaled(height, by));
            }

            var beside = BesideEdge.For(_figures.Tools.System);
            
            // Placed on its face at home, it stays on it in every format; what hangs over there, or did at home, is left as it is.
            var stays = !_isHome && !HangsOver(element) && element.Place.From.All(f => f.Distance >= Length.Zero);
            var on = faces.Select(f => Lay(f, element, width, height, beside, stays)).ToList();
            var room = on.Count == 0 ? Length.Zero : on.Max(o => Length.Max(width - o.Reading.Width, height - o.Reading.Height));
            var large = HangsOver(element) ? Length.Zero : Length.Max(Length.Zero, room);
            elements.Add(new SizedElement(element, on, Side(element, width, isWidth: true), Side(element, height, isWidth: false), large, large > Length.Zero
                ? [.. Roles.All.Where(r => r.Faces.All(f => Reading.Of(f, f.Open) is var read && read.Width >= width && read.Height >= height))] : [],
                (element.Width, element.Height)));
        }

        return elements;
    }

    private static Measured Side(Element element, Length value, bool isWidth)
    {
        var home = isWidth ? element.Width : element.Height;
        var why = element.IsFixed ? Words.Of($"It is {value} {(isWidth ? "wide" : "high")} and keeps its size in every format.") : Words.Of($"{home} at home; it grows and shrinks with its face.");
        return new Measured(new FigureRef.Worn(element.Id, IsWindow: false, isWidth), value, new Setting.AsGiven(value), new Explanation(() => [new Reason(why, home, value)], () => why));
    }

    private OnFace Lay(RoleFace face, Element element, Length width, Length height, Length beside, bool stays)
    {
        var reading = Reading.Of(face, face.Open);
        Box? WindowOn(string id) => Windows.FirstOrDefault(w => w.Window.Id == id)?.On.FirstOrDefault(o => o.Face.Id == face.Id)?.Read;
        var asked = reading.Put(element.Place, width, height, beside, WindowOn);
        var read = stays && !element.OverEdge ? reading.Put(element.Place, width, height, beside, WindowOn, Length.Zero) : asked;
        return new OnFace(face, face.Open, read, reading.Outline(element.Shape, element.Corners, read)) { MovedIn = Length.Max((asked.Left - read.Left).Abs(), (asked.Bottom - read.Bottom).Abs()) };
    }

    private Length Scaled(Length length, double by) => _figures.Tools.CutDown(new Length((long)(length.Units * by)));

    /// <summary>Along the head of a face as one reads it, from side to side.</summary>
    private SizedContour FindContour(Contour contour)
    {
        var on = Roles.Of(contour.Role).Select(face =>
        {
            var reading = Reading.Of(face, face.Whole);
            var line = contour.Profile.Select(p => (X: new Length((long)(p.Along * reading.Width.Units)), Y: reading.Height + new Length((long)(p.High * contour.Height.Units))));
            var box = new Box(Length.Zero, reading.Height, reading.Width, reading.Height + contour.Height);
            return new OnFace(face, face.Whole, box, [reading.Lay(Length.Zero, reading.Height), .. line.Select(p => reading.Lay(p.X, p.Y)), reading.Lay(reading.Width, reading.Height)]);
        }).ToList();
        return new SizedContour(contour, on, on.All(o => IsEdge(o)));
    }

    /// <summary>Whether no crease runs along the head of a face.</summary>
    private bool IsEdge(OnFace on)
    {
        var reading = on.Reading;
        var (from, to) = (reading.Lay(Length.Zero, reading.Height), reading.Lay(reading.Width, reading.Height));
        return !_figures.Pieces.First(p => p.Piece.Id == on.Face.Piece).AllScores.Any(s => s.Axis == Axis.X ? from.X == to.X && from.X == s.Figure.Value
            : s.Axis == Axis.Y && from.Y == to.Y && from.Y == s.Figure.Value);
    }

    /// <summary>It is of the card itself, so it is drawn on both faces and lies there once.</summary>
    private IEnumerable<Body> BodiesOf(SizedContour contour) => contour.On.SelectMany(o =>
    {
        var stock = Design.StockOf(o.Face.Piece);
        Body Part(Face face, Length thick, double weighs) => new(o.Face.Piece, o.Face.Plate, face, o.Outline, thick, weighs, o.Face.Copies, Tint: stock.Colour);
        return new[] { Part(Face.Up, stock.Caliper, stock.Weighs), Part(Face.Down, Length.Zero, 0) };
    });

    /// <summary>What a window takes out of the card.</summary>
    private IEnumerable<Body> CutOf(SizedWindow window) =>
        window.On.Select(o => new Body(o.Face.Piece, o.Face.Plate, o.Face.Face, o.Outline, -Design.StockOf(o.Face.Piece).Caliper,
        -Design.StockOf(o.Face.Piece).Weighs, o.Face.Copies, IsHole: true, OfCard: true));

    /// <summary>An element is as thick as it is with what holds it: foam where it is raised, else its own stock; print has no thickness.</summary>
    private IEnumerable<Body> BodiesOf(SizedElement element)
    {
        var flat = element.Element.IsInk;
        var thick = flat ? Length.Zero : Length.Max(element.Element.Stands, element.Element.Stock.Caliper + Design.Adhesive.Thickness);
        var weighs = flat ? 0 : element.Element.Stock.Weighs + (element.Element.IsRaised ? Weight.FoamOf(element.Element.Stands) : Weight.Grammage(Design.Adhesive));
        return element.On.Select(o => new Body(o.Face.Piece, o.Face.Plate, o.Face.Face, o.Outline, thick, weighs, o.Face.Copies, Id: element.Element.Id,
            Tint: element.Element.IsInk ? Ink : element.Element.Stock.Colour));
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;
using WholeFold.Core.Sizing;

namespace WholeFold.Core.Dressing;

/// <summary>What a card wears in one format: every layer, window and element, where it lies and how large it is.</summary>
public sealed class Dressed
{
    /// <summary>What a window leaves to creases and edges, at the least.</summary>
    public static Pair WindowMargin { get; } = Pair.Of(3, 8, 10m);

    /// <summary>How far from an edge an element lies that is put there without a figure.</summary>
    private static readonly Pair BesideEdge = Pair.Of(1, 8, 3m);

    private readonly Figures _figures;
    private readonly Figures? _home;
    private readonly Lazy<Roles> _roles;
    private readonly Lazy<Roles> _rolesAtHome;
    private readonly Lazy<IReadOnlyList<SizedWindow>> _windows;
    private readonly Lazy<IReadOnlyList<SizedElement>> _elements;
    private readonly Lazy<IReadOnlyList<SizedLayer>> _layers;
    private readonly Lazy<IReadOnlyList<Body>> _bodies;

    /// <param name="home">The same design at home, which says what was chosen; null where this is it, or where home has no figures.</param>
    public Dressed(Figures figures, Figures? home)
    {
        ArgumentNullException.ThrowIfNull(figures);
        (_figures, _home) = (figures, home);
        _roles = new(() => Roles.Of(figures));
        _rolesAtHome = new(() => home is null ? Roles : Roles.Of(home));
        _windows = new(FindWindows);
        _elements = new(FindElements);
        _layers = new(() => new LayerSizer(figures, figures.Design.Dressing.IsBare && !_roles.IsValueCreated ? Roles.Named(figures) : Roles, Windows).Size());
        _bodies = new(() => [.. Layers.SelectMany(l => l.Bodies(figures.Design.Adhesive)), .. Elements.SelectMany(BodiesOf)]);
    }

    public Design Design => _figures.Design;

    public Roles Roles => _roles.Value;

    public IReadOnlyList<SizedLayer> Layers => _layers.Value;

    public IReadOnlyList<SizedWindow> Windows => _windows.Value;

    public IReadOnlyList<SizedElement> Elements => _elements.Value;

    /// <summary>All that lies on plates.</summary>
    public IReadOnlyList<Body> Bodies => _bodies.Value;

    private List<SizedWindow> FindWindows()
    {
        var windows = new List<SizedWindow>();
        foreach (var window in Design.Dressing.Windows)
        {
            var faces = Roles.Of(window.Role);
            if (faces.Count > 0)
            {
                windows.Add(WindowSizer.Size(_figures, window, faces, _rolesAtHome.Value.Of(window.Role) is { Count: > 0 } home ? home[0] : null, windows));
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
            if (!element.IsFixed && faces.Count > 0 && _rolesAtHome.Value.Of(element.Role) is { Count: > 0 } home)
            {
                var (now, was) = (Reading.Of(faces[0], faces[0].Open), Reading.Of(home[0], home[0].Open));
                var by = Math.Min((double)now.Width.Units / was.Width.Units, (double)now.Height.Units / was.Height.Units);
                (width, height) = (Scaled(width, by), Scaled(height, by));
            }

            var beside = BesideEdge.For(_figures.Tools.System);
            var on = faces.Select(f => Lay(f, element.Place, width, height, beside, element.Shape, element.Corners)).ToList();
            var hangsOver = element.BondedOn is not null || element.Held is HeldBy.Strip or HeldBy.Lock;
            var room = on.Count == 0 ? Length.Zero : on.Max(o => Length.Max(width - o.Reading.Width, height - o.Reading.Height));
            var large = hangsOver ? Length.Zero : Length.Max(Length.Zero, room);
            elements.Add(new SizedElement(element, on, width, height, large, large > Length.Zero ? [.. Roles.All.Where(r => r.Faces.All(f => Reading.Of(f, f.Open) is var read && read.Width >= width && read.Height >= height))] : [], (element.Width, element.Height)));
        }

        return elements;
    }

    private OnFace Lay(RoleFace face, Placed place, Length width, Length height, Length beside, OutlineShape shape, IReadOnlyList<(double X, double Y)> corners)
    {
        var reading = Reading.Of(face, face.Open);
        var read = reading.Put(place, width, height, beside, id => Windows.FirstOrDefault(w => w.Window.Id == id)?.On.FirstOrDefault(o => o.Face.Id == face.Id)?.Read);
        return new OnFace(face, face.Open, read, reading.Outline(shape, corners, read));
    }

    private Length Scaled(Length length, double by) => _figures.Tools.CutDown(new Length((long)(length.Units * by)));

    /// <summary>An element is as thick as it is with what holds it: foam where it is raised, else its own stock; print has no thickness.</summary>
    private IEnumerable<Body> BodiesOf(SizedElement element)
    {
        var flat = element.Element.Made is Made.Stamped or Made.Printed && !element.Element.IsRaised;
        var thick = flat ? Length.Zero : Length.Max(element.Element.Stands, element.Element.Stock.Caliper + Design.Adhesive.Thickness);
        var weighs = flat ? 0 : element.Element.Stock.Weighs + (element.Element.IsRaised ? Weight.FoamOf(element.Element.Stands) : Weight.Grammage(Design.Adhesive));
        return element.On.Select(o => new Body(o.Face.Piece, o.Face.Plate, o.Face.Face, o.Outline, thick, weighs, o.Face.Copies, Id: element.Element.Id));
    }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Designs;

/// <summary>Things of a dressing as they are written down: what a fix changes one of them to.</summary>
public static class DressingWriter
{
    public static ElementSpec Write(Element element)
    {
        ArgumentNullException.ThrowIfNull(element);
        return new ElementSpec(
            element.Id, element.Role, element.Name, Name(element.Shape), [WrittenLength.Of(element.Width), WrittenLength.Of(element.Height)], element.IsRaised
                ? WrittenLength.Of(element.Stands) : null, element.IsFixed,
            Write(element.Place), element.BondedOn, Name(element.Made), element.Stock.Id, Name(element.Held),
            element.Corners.Count == 0 || element.Motif is not null ? null : [.. element.Corners.Select(c => (IReadOnlyList<double>)[c.X, c.Y])], null, element.Motif, element.OverEdge);
    }

    public static WindowSpec Write(Window window)
    {
        ArgumentNullException.ThrowIfNull(window);
        return new WindowSpec(window.Id, window.Role, window.Die?.Id, window.Die is null || window.Twice
            ? [WrittenLength.Of(window.Width), WrittenLength.Of(window.Height)] : null, Name(window.Shape), window.Through, window.Around is null
            ? Write(window.Place) : null, Name(window.Rule), window.Family, window.Around);
    }

    private static PlaceSpec Write(Placed place) =>
        new(Name(place.Anchor), place.From.Count == 0 ? null
        : [.. place.From.Select(f => new FromSpec(f.Window is null ? Name(f.Edge) : $"window:{f.Window}.{Name(f.Edge)}", WrittenLength.Of(f.Distance)))], place.Pose);

    /// <summary>A name as it is written in files: <c>head-left</c>.</summary>
    public static string Name<T>(T value) where T : struct, Enum => string.Concat(value.ToString().Select((c, i) => char.IsUpper(c) && i > 0 ? $"-{char.ToLowerInvariant(c)}" : $"{char.ToLowerInvariant(c)}"));
}

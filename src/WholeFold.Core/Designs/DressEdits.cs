using System.Text.Json.Serialization;
using WholeFold.Core.Constructions;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.Core.Designs;

/// <summary>Changes one thing that a card wears: puts it there, changes it, or takes it off where there is none.</summary>
public abstract record DressEdit : DesignEdit
{
    private protected static DressingSpec Of(DesignSpec design)
    {
        ArgumentNullException.ThrowIfNull(design);
        return design.Dressing ?? new DressingSpec();
    }

    private protected static DesignSpec With(DesignSpec design, DressingSpec dressing) => design with { Dressing = dressing.IsBare ? null : dressing };

    /// <summary>A list with one thing put in the place of its like, at the end where it is new, or taken out.</summary>
    private protected static IReadOnlyList<T> Put<T>(IReadOnlyList<T> list, Func<T, bool> isIt, T? thing) where T : class =>
        thing is null ? [.. list.Where(t => !isIt(t))] : list.Any(isIt) ? [.. list.Select(t => isIt(t) ? thing : t)] : [.. list, thing];

    /// <summary>Taking out and putting back would change the order in which things lie: then the whole is put back.</summary>
    private protected static DesignEdit Back<T>(DesignSpec before, IReadOnlyList<T> list, Func<T, bool> isIt, DesignEdit again) where T : class =>
        again is DressEdit && (list.Count == 0 || !list.Any(isIt) || isIt(list[^1])) ? again : new Replace(before);

    /// <summary>A role as it is called.</summary>
    private protected static string RoleName(DesignSpec design, DesignReader reader, string role)
    {
        ArgumentNullException.ThrowIfNull(design);
        ArgumentNullException.ThrowIfNull(reader);
        var construction = reader.Find(design)?.For(reader.ChoicesOf(design));
        if (construction?.Layers.FirstOrDefault(l => l.Id == role || l.Id + LayerRole.OtherFace == role) is { } named)
        {
            return named.Id == role ? named.Name : $"{named.Name}, other face";
        }

        return role.Split('.') is [var piece, var plate, ..] && construction?.Pieces.FirstOrDefault(p => p.Id == piece.Split(':')[0]) is { } known
            ? known.OwnPlates?.FirstOrDefault(p => p.Id == plate)?.Name ?? known.Panels.FirstOrDefault(p => p.Id == plate)?.Name ?? role : role;
    }
}

/// <summary>How a role is covered, on one level; as its construction usually has it where nothing is said.</summary>
/// <param name="Layer">Null takes back what was said of it.</param>
public sealed record Wear(string Role, int Level, LayerSpec? Layer) : DressEdit
{
    private bool IsIt(LayerSpec layer) => layer.Role == Role && layer.Level == Level;

    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        With(design, Of(design) with { Layers = Put(Of(design).Layers, IsIt, Layer is null ? null : Layer with { Role = Role, Level = Level }) });

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(reader);
        var name = RoleName(before, reader, Role);
        return Layer is null ? Words.Of($"{name} as usual") : !Layer.Worn ? Words.Of($"{name} bare") : Layer.Stock is { } stock ? Words.Of($"{name} in {reader.Inventory.With(before.Own).Find<Stock>(stock)?.Name ?? stock}") : Words.Of($"{name} covered");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => Back(before, Of(before).Layers, IsIt, new Wear(Role, Level, Of(before).Layers.FirstOrDefault(IsIt)));
}

/// <summary>Cuts a window, changes one, or leaves one out.</summary>
public sealed record CutWindow(string Id, WindowSpec? Window) : DressEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        With(design, Of(design) with { Windows = Put(Of(design).Windows, w => w.Id == Id, Window is null ? null : Window with { Id = Id }) });

    public override Words Describe(DesignSpec before, DesignReader reader) => Window is null ? Words.Of($"no window {Id}") : Of(before).Windows.Any(w => w.Id == Id) ? Words.Of($"window {Id} changed") : Words.Of($"window in {RoleName(before, reader, Window.Role)}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) =>
        Back(before, Of(before).Windows, w => w.Id == Id, new CutWindow(Id, Of(before).Windows.FirstOrDefault(w => w.Id == Id)));
}

/// <summary>Puts an element on a face, changes one, or takes one off.</summary>
public sealed record PutOn(string Id, ElementSpec? Element) : DressEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        With(design, Of(design) with { Elements = Put(Of(design).Elements, e => e.Id == Id, Element is null ? null : Element with { Id = Id }) });

    public override Words Describe(DesignSpec before, DesignReader reader)
    {
        var was = Of(before).Elements.FirstOrDefault(e => e.Id == Id);
        var name = Element?.Name ?? was?.Name ?? Id.Replace('-', ' ');
        return Element is null ? Words.Of($"{name} taken off") : was is null ? Words.Of($"{name} on {RoleName(before, reader, Element.Role)}") : was.Role != Element.Role ? Words.Of($"{name} moved to {RoleName(before, reader, Element.Role)}") : Words.Of($"{name} changed");
    }

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) =>
        Back(before, Of(before).Elements, e => e.Id == Id, new PutOn(Id, Of(before).Elements.FirstOrDefault(e => e.Id == Id)));
}

/// <summary>Cuts a free edge to a shape, or straight again.</summary>
public sealed record Shape(string Id, ContourSpec? Contour) : DressEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        With(design, Of(design) with { Contours = Put(Of(design).Contours, c => c.Id == Id, Contour is null ? null : Contour with { Id = Id }) });

    public override Words Describe(DesignSpec before, DesignReader reader) => Contour is null ? Words.Of($"{Id} straight again") : Words.Of($"{Contour.Shape} on {RoleName(before, reader, Contour.Role)}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) =>
        Back(before, Of(before).Contours, c => c.Id == Id, new Shape(Id, Of(before).Contours.FirstOrDefault(c => c.Id == Id)));
}

/// <summary>Ribbon, twine, thread, tape: puts it round, or takes it off.</summary>
public sealed record Tie(string Id, SoftSpec? Soft) : DressEdit
{
    public override DesignSpec Apply(DesignSpec design, DesignReader reader) =>
        With(design, Of(design) with { Soft = Put(Of(design).Soft, s => s.Id == Id, Soft is null ? null : Soft with { Id = Id }) });

    public override Words Describe(DesignSpec before, DesignReader reader) => Soft is null ? Words.Of($"no {Id}") : Words.Of($"{Soft.Kind} on {RoleName(before, reader, Soft.Role)}");

    public override DesignEdit Inverse(DesignSpec before, DesignReader reader) => Back(before, Of(before).Soft, s => s.Id == Id, new Tie(Id, Of(before).Soft.FirstOrDefault(s => s.Id == Id)));
}

using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Folding;
using WholeFold.Core.Designs;
using WholeFold.Core.Dressing;
using WholeFold.Core.Measure;
using WholeFold.Core.Paper;

namespace WholeFold.App.Features.Dress;

/// <summary>A paper on a face.</summary>
/// <param name="Colour">How it is drawn, and <paramref name="Pattern"/> what is printed on it.</param>
public sealed record WornLayerView(string Id, int Level, string StockId, string Colour, Pattern Pattern, IReadOnlyList<Spot> Outline, IReadOnlyList<IReadOnlyList<Spot>> Holes);

/// <param name="Kind">workingCrease, bonded, adhesive, outOfFootprint, slidePath, spinnerPath or writing.</param>
public sealed record KeepOutView(KeepOutKind Kind, IReadOnlyList<Spot> Outline, string Why);

/// <summary>A distance drawn from an edge to a thing.</summary>
public sealed record DistanceView(string Edge, FigureText Distance, Spot From, Spot To);

/// <summary>A window or an element where it lies.</summary>
/// <param name="Colour">Of an element, how it is drawn.</param>
public sealed record PutView(string Id, bool Window, string Name, string? Colour, bool Raised, bool Ink, IReadOnlyList<Spot> Outline, BoxView Box, IReadOnlyList<DistanceView> Distances);

/// <summary>A face as one reads it.</summary>
/// <param name="Poses">closed, opening, shown or back: in which of them it is looked at.</param>
/// <param name="Seen">How much of it is seen straight on once the card is shown, in hundredths; <paramref name="Hidden"/> where something stands before it.</param>
public sealed record FaceView(string Id, string Role, string Name, IReadOnlyList<string> Poses, IReadOnlyList<Spot> Outline, BoxView Box,
    IReadOnlyList<WornLayerView> Layers, IReadOnlyList<KeepOutView> KeepOuts, IReadOnlyList<PutView> Things, int? Seen, IReadOnlyList<BoxView> Hidden);

/// <param name="Valley">Whether it closes towards the reader.</param>
public sealed record CreaseView(Spot From, Spot To, bool Valley, bool Working);

/// <summary>One side of a flat piece as a reader has it before her.</summary>
public sealed record SideView(string Id, string Name, string Colour, long Width, long Height, IReadOnlyList<IReadOnlyList<Spot>> Plates,
    IReadOnlyList<CreaseView> Creases, IReadOnlyList<FaceView> Faces);

/// <param name="Faces">How many faces one sees in it.</param>
public sealed record DressPose(string Id, string Name, int Faces, int Frame);

/// <summary>What a line of the list is about.</summary>
public enum DressRowKind
{
    Layer,
    Window,
    Contour,
    Element,
    Soft,
}

/// <summary>A line of the list, in the order in which the card is made.</summary>
/// <param name="Was">Its size at home, where that is another one.</param>
/// <param name="Why">How its size came about.</param>
/// <param name="Faces">The ids of the faces that it is on.</param>
public sealed record DressRow(DressRowKind Kind, string Id, string Name, string Detail, IReadOnlyList<SentencePart> Size, int Count, IReadOnlyList<SentencePart>? Was,
    IReadOnlyList<SentencePart> Why, string? Colour, Pattern? Pattern, IReadOnlyList<string> Faces, string Role, int Level);

/// <summary>A role or face that can be dressed.</summary>
/// <param name="Levels">How many papers it wears now.</param>
public sealed record RoleView(string Id, string Name, int Levels, IReadOnlyList<string> Faces);

/// <summary>A paper to take, with how it is drawn.</summary>
public sealed record PaperView(string Id, string Name, string Colour, Pattern Pattern, bool WayUp);

public sealed record DieView(string Id, string Name, string Detail, bool Owned);

/// <summary>A finding and where it lights up.</summary>
public sealed record FoundView(CheckView Check, string? Side, BoxView? Box);

/// <summary>What a card wears, face by face and as a list.</summary>
public sealed record DressView
{
    public required string Name { get; init; }

    public required string Construction { get; init; }

    public required IReadOnlyList<SentencePart> Size { get; init; }

    public required bool AtHome { get; init; }

    public required string Unit { get; init; }

    public required IReadOnlyList<DressPose> Poses { get; init; }

    public required IReadOnlyList<SideView> Sides { get; init; }

    /// <summary>As it looks: closed, half open and shown.</summary>
    public required PosesView Looks { get; init; }

    public required IReadOnlyList<DressRow> Rows { get; init; }

    public required IReadOnlyList<RoleView> Roles { get; init; }

    public required IReadOnlyList<PaperView> Papers { get; init; }

    public required IReadOnlyList<DieView> Dies { get; init; }

    public required IReadOnlyList<string> Motifs { get; init; }

    /// <summary>As it is written down, so that a form can begin from it.</summary>
    public required DressingSpec Dressing { get; init; }

    public required IReadOnlyList<FoundView> Found { get; init; }

    /// <summary>What stands at the foot: what is to be settled, or that all holds.</summary>
    public required IReadOnlyList<SentencePart> Summary { get; init; }
}

/// <summary>Where a thing was let go of.</summary>
/// <param name="Side">The side of a piece.</param>
/// <param name="X">The middle of the thing, in units from the lower left corner of that side.</param>
public sealed record DropRequest : DeskRequest
{
    /// <summary>What is moved: an element, or a window where <see cref="Window"/> says so, by its id.</summary>
    public required string Element { get; init; }

    public bool Window { get; init; }

    public required string Side { get; init; }

    public required long X { get; init; }

    public required long Y { get; init; }
}

/// <summary>The edit that puts it there; null where no face is.</summary>
public sealed record DropView(DesignEdit? Edit);

/// <summary>An element to be hidden once the card is shown.</summary>
public sealed record HideRequest : DeskRequest
{
    public required string Element { get; init; }
}

/// <summary>A thing to be moved by marks of the trimmer.</summary>
/// <param name="Across">To the right as one reads the face; <paramref name="Up"/> towards its head.</param>
public sealed record NudgeRequest : DeskRequest
{
    /// <summary>What is moved: an element, or a window where <see cref="Window"/> says so, by its id.</summary>
    public required string Element { get; init; }

    public bool Window { get; init; }

    public required int Across { get; init; }

    public required int Up { get; init; }
}

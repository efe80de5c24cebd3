using System.Globalization;
using WholeFold.Core.Constructions.Allowances;
using WholeFold.Core.Inventories;

namespace WholeFold.Core.Constructions;

/// <summary>One of the pieces that are cut: the only one of its kind, or one of several cut alike, counted from 1.</summary>
/// <param name="Copy">Which of several; 0 where there is only one.</param>
public readonly record struct PieceRef(string Piece, int Copy = 0)
{
    /// <summary>As it stands in files: <c>base</c>, <c>fin:2</c>.</summary>
    public override string ToString() => Copy == 0 ? Piece : string.Create(CultureInfo.InvariantCulture, $"{Piece}:{Copy}");
}

/// <summary>A plate of a piece.</summary>
public readonly record struct PlateRef(PieceRef Piece, string Plate)
{
    /// <summary>As it stands in files: <c>base.back</c>.</summary>
    public override string ToString() => $"{Piece}.{Plate}";
}

/// <summary>One face of a plate.</summary>
public readonly record struct FaceRef(PlateRef Plate, Face Face);

/// <summary>A crease of a piece, by its place: first the chain's creases are counted, then the others.</summary>
public readonly record struct CreaseRef(string Piece, int Index)
{
    /// <summary>As it stands in files: <c>base.scores[1]</c>.</summary>
    public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Piece}.scores[{Index}]");
}

/// <summary>An edge of a rectangle, as the piece lies.</summary>
public enum Edge
{
    Left,
    Right,
    Foot,
    Head,
}

/// <summary>A figure of a result: what is cut, scored or marked out.</summary>
public abstract record FigureRef
{
    private FigureRef()
    {
    }

    /// <summary>As it stands in files; stable.</summary>
    public abstract override string ToString();

    /// <summary>A piece's width or height.</summary>
    public sealed record Side(string Piece, bool IsWidth) : FigureRef
    {
        public override string ToString() => $"{Piece}.{(IsWidth ? "width" : "height")}";
    }

    /// <summary>Where a crease is scored.</summary>
    public sealed record Score(CreaseRef Crease) : FigureRef
    {
        public override string ToString() => Crease.ToString();
    }

    /// <summary>A line of a cut inside a sheet.</summary>
    public sealed record Line(string Piece, string Opening, Edge Edge) : FigureRef
    {
        public override string ToString() => $"{Piece}.{Opening}.{Edge switch { Edge.Left => "left", Edge.Right => "right", Edge.Foot => "foot", _ => "head" }}";
    }

    /// <summary>A layer's width or height.</summary>
    public sealed record Layer(string Id, bool IsWidth) : FigureRef
    {
        public override string ToString() => $"layers.{Id}.{(IsWidth ? "width" : "height")}";
    }

    /// <summary>The width or height of a window or of an element.</summary>
    public sealed record Worn(string Id, bool IsWindow, bool IsWidth) : FigureRef
    {
        public override string ToString() => $"{(IsWindow ? "windows" : "elements")}.{Id}.{(IsWidth ? "width" : "height")}";
    }
}

/// <summary>What a symbol stands for. Their order is that of the terms of a sum as it is told.</summary>
public enum SymbolKind
{
    /// <summary>What the thickness of the card asks for; known before the search begins.</summary>
    Allowance,

    /// <summary>The finished card's width or height.</summary>
    Size,

    /// <summary>A length that the construction leaves open.</summary>
    Parameter,
}

/// <summary>A length that has a name: the finished width or height, a parameter, an allowance.</summary>
public readonly record struct Symbol(SymbolKind Kind, string Id)
{
    public static Symbol Width { get; } = new(SymbolKind.Size, "W");

    public static Symbol Height { get; } = new(SymbolKind.Size, "H");

    public static Symbol Parameter(string id) => new(SymbolKind.Parameter, id);

    public static Symbol Allowance(int number) => new(SymbolKind.Allowance, string.Create(CultureInfo.InvariantCulture, $"@{number}"));

    /// <summary>Reads a symbol as it stands in files: W, H, <c>@1</c> or the id of a parameter.</summary>
    public static Symbol Parse(string text) => text switch
    {
        "W" => Width,
        "H" => Height,
        ['@', ..] => new(SymbolKind.Allowance, text),
        _ => Parameter(text),
    };

    /// <summary>The order in which the terms of a sum are kept.</summary>
    internal static IComparer<Symbol> Order { get; } = Comparer<Symbol>.Create((a, b) => a.Kind != b.Kind ? a.Kind.CompareTo(b.Kind) : string.CompareOrdinal(a.Id, b.Id));

    public override string ToString() => Id;
}

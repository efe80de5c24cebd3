using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Planning;

/// <summary>A kind of sheet that is to hand or can be bought.</summary>
/// <param name="IsOffcut">Left from before: it costs nothing, and there are only so many; one where no number is said.</param>
public sealed record SheetKind(string Id, string Name, Length Width, Length Height, int? Count = null, bool IsOffcut = false)
{
    /// <summary>How many there are; null where any number can be had.</summary>
    public int? Count { get; init; } = Count ?? (IsOffcut ? 1 : null);

    /// <summary>What one costs, in any currency; used where every kind of a job that is no offcut has one, else the area counts.</summary>
    public decimal? Price { get; init; }

    /// <summary>Along which side the grain runs; null where nobody knows.</summary>
    public Axis? Grain { get; init; }

    /// <summary>Whether it has a way up, so that a piece with one may not be turned.</summary>
    public bool HasWayUp { get; init; }
}

/// <summary>A piece that is wanted so many times.</summary>
public sealed record Wanted(string Id, string Name, Length Width, Length Height, int Count)
{
    /// <summary>Along which of its sides the grain should run; null where it does not matter.</summary>
    public Axis? Grain { get; init; }

    /// <summary>Whether it has a way up.</summary>
    public bool HasWayUp { get; init; }

    /// <summary>Whether it may lie on a sheet as it is seen.</summary>
    internal bool Straight(SheetKind sheet) => Grain is null || sheet.Grain is null || Grain == sheet.Grain;

    /// <summary>Whether it may lie on a sheet turned by a quarter.</summary>
    internal bool Turned(SheetKind sheet) =>
        !(HasWayUp && sheet.HasWayUp) && (Grain is null || sheet.Grain is null || Grain != sheet.Grain);
}

/// <summary>All that is to be cut from one stock.</summary>
/// <param name="LongestCut">What the trimmer cuts in one go; null where any sheet goes through.</param>
public sealed record StockJob(string Stock, IReadOnlyList<SheetKind> Sheets, IReadOnlyList<Wanted> Pieces, Length? LongestCut = null)
{
    /// <summary>The narrowest part that the trimmer holds.</summary>
    public Length Hold { get; init; } = Length.In(1, 2);

    /// <summary>How many sheets the trimmer cuts in one go.</summary>
    public int AtOnce { get; init; } = 1;
}

/// <summary>A job that no plan can be made for, and why.</summary>
public sealed class NoPlanException(Words why) : Exception("These sheets are not enough, or none takes a piece.")
{
    public Words Text { get; } = why;
}

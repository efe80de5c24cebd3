using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Inventories;

/// <summary>A finished size: the card, closed and flat.</summary>
/// <remarks>Names are ambiguous between systems (A6 is two sizes), so a format always shows its size and its system.</remarks>
public sealed record Format(string Id, string Name, Length Width, Length Height, UnitSystem System) : IThing
{
    /// <summary>The least and the greatest side of a format: 2 in and 12 in.</summary>
    public static readonly Length Least = Length.In(2), Greatest = Length.In(12);

    /// <summary>Whether a card may have such a side.</summary>
    public static bool Takes(Length side) => side >= Least && side <= Greatest;

    /// <summary>Whether it is so large, either way about, as near as that.</summary>
    public bool IsAbout(Length width, Length height, Length near) => ((Width - width).Abs() <= near && (Height - height).Abs() <= near)
        || ((Width - height).Abs() <= near && (Height - width).Abs() <= near);

    /// <summary>The same format lying on its side: W and H change places.</summary>
    public Format Turned() => this with { Width = Height, Height = Width };
}

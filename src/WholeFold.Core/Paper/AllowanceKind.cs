namespace WholeFold.Core.Paper;

/// <summary>What a length is allowed for because card is thick. Corrections are kept by it, so the names are stable.</summary>
public enum AllowanceKind
{
    /// <summary>The panel inside a square tube is shorter.</summary>
    Tube,

    /// <summary>Doors that meet keep apart.</summary>
    Doors,

    /// <summary>A panel that goes into another is a hair less.</summary>
    Nested,

    /// <summary>Plies nested in a fold push out.</summary>
    Creep,

    /// <summary>A fold closes over a stack.</summary>
    WrappedStack,

    /// <summary>Layers take their share of a box's depth.</summary>
    BoxDepth,

    /// <summary>A sleeve bows round what is in it.</summary>
    Sleeve,

    /// <summary>A slide needs room in its slit.</summary>
    Slit,

    /// <summary>A slit is as wide as what slides through it is thick.</summary>
    SlitWidth,

    /// <summary>What is folded round a thing is larger outside than inside.</summary>
    Walls,

    /// <summary>Light card tears at a narrow edge.</summary>
    LightCard,
}

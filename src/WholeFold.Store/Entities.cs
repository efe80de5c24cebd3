using WholeFold.Core.Inventories;

namespace WholeFold.Store;

/// <summary>A design in the drawer. Its state is the history entry at <see cref="HeadId"/>.</summary>
public sealed class DesignRow
{
    public required string Id { get; set; }

    public required string Name { get; set; }

    public DateTimeOffset CreatedAt { get; set; }

    public DateTimeOffset ChangedAt { get; set; }

    public long? HeadId { get; set; }

    /// <summary>Goes up with every write; a write that names an older one is refused.</summary>
    public int Version { get; set; }

    public List<HistoryRow> History { get; set; } = [];
}

/// <summary>One gesture: what the design was after it. Entries form a tree; editing after undo grows another branch.</summary>
public sealed class HistoryRow
{
    public long Id { get; set; }

    public required string DesignId { get; set; }

    public long? ParentId { get; set; }

    /// <summary>Where redo goes from here: the branch that was left last.</summary>
    public long? RedoId { get; set; }

    /// <summary>What was done, for the undo button: "centre to 3/4".</summary>
    public required string Gesture { get; set; }

    /// <summary>The design as written down (<c>DesignSpec</c>): parameters, never figures.</summary>
    public required string State { get; set; }

    /// <summary>The edits that made it of the entry before it, as they are written down; null at the beginning, and of what is older than them.</summary>
    public string? Edits { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>Something the studio has, of any kind: kept to hand on the bench or put away.</summary>
public sealed class DrawerRow
{
    public required string Kind { get; set; }

    public required string Id { get; set; }

    public bool ToHand { get; set; }

    /// <summary>What it is, as it is written down, where it is the studio's own; null for what everybody has.</summary>
    public string? Own { get; set; }

    public int Position { get; set; }
}

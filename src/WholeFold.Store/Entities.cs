using WholeFold.Core.Inventories;

namespace WholeFold.Store;

/// <summary>A design in the drawer. It stands at the history entry <see cref="HeadId"/>.</summary>
public sealed class DesignRow
{
    public required string Id { get; set; }

    public required string Name { get; set; }

    public DateTimeOffset CreatedAt { get; set; }

    public DateTimeOffset ChangedAt { get; set; }

    public long? HeadId { get; set; }

    /// <summary>Goes up with every write; a write that names an older one is refused.</summary>
    public int Version { get; set; }

    /// <summary>The design as it stands, as it is written down (<c>DesignSpec</c>): what was chosen, never figures.</summary>
    public string? State { get; set; }

    /// <summary>What the list shows of it, so that listing works nothing out; null where that has to be made anew.</summary>
    public string? Card { get; set; }

    /// <summary>The build of the program and the studio's things that <see cref="Card"/> was made with.</summary>
    public string? CardFor { get; set; }

    public List<HistoryRow> History { get; set; } = [];
}

/// <summary>One gesture: what was done to the design. Entries form a tree; editing after undo grows another branch.</summary>
public sealed class HistoryRow
{
    public long Id { get; set; }

    public required string DesignId { get; set; }

    public long? ParentId { get; set; }

    /// <summary>Where redo goes from here: the branch that was left last.</summary>
    public long? RedoId { get; set; }

    /// <summary>What was done, for the undo button: "centre to 3/4".</summary>
    public required string Gesture { get; set; }

    /// <summary>The whole design after it, as it is written down; empty where the edits since the last whole one lead to it.</summary>
    public string State { get; set; } = "";

    /// <summary>The edits that made it of the entry before it, as they are written down; null at the beginning, and of what is older than them.</summary>
    public string? Edits { get; set; }

    /// <summary>How many gestures lie before it.</summary>
    public int Depth { get; set; }

    /// <summary>What whoever did it calls it, so that it cannot be done twice; null where it has no name.</summary>
    public string? Mark { get; set; }

    /// <summary>The build of the program that wrote it; null of what is older than that.</summary>
    public string? Program { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A design is made with a thing, or was: undo may lead back to it.</summary>
public sealed class UseRow
{
    public required string DesignId { get; set; }

    public required string Kind { get; set; }

    public required string ThingId { get; set; }
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

/// <summary>A cut plan that was worked out for a design, with what it was made from.</summary>
public sealed class PlanRow
{
    public long Id { get; set; }

    public required string DesignId { get; set; }

    /// <summary>The same for the same plan of the same things.</summary>
    public required string Key { get; set; }

    public DateTimeOffset At { get; set; }

    /// <summary>What it was made from, each by its name, as JSON: what has changed since is told by these.</summary>
    public required string From { get; set; }

    /// <summary>What was shown, as JSON.</summary>
    public required string Shown { get; set; }
}

/// <summary>Sheets that were taken from the stock book, and offcuts that came into it: one gesture, which can be undone.</summary>
public sealed class TakingRow
{
    public long Id { get; set; }

    public DateTimeOffset At { get; set; }

    /// <summary>For what: "12 × Comet supper".</summary>
    public required string For { get; set; }

    /// <summary>Each entry of the book and by how much it changed, as JSON.</summary>
    public required string Changes { get; set; }

    public bool Undone { get; set; }
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>One of the things that cannot hold together.</summary>
/// <param name="Id">Where it comes from: <c>pin:centre</c>, <c>limit:depth.max</c>, <c>panel:base.door</c>, <c>marks:scores</c>.</param>
public sealed record Conflict(string Id, Words Text);

/// <summary>No figures can satisfy what was asked; the conflicts cannot all hold, and would if any one of them were dropped.</summary>
public sealed class NoFiguresException(IReadOnlyList<Conflict> conflicts) : Exception("Some of what was asked cannot hold together.")
{
    public IReadOnlyList<Conflict> Conflicts { get; } = conflicts;

    /// <summary>What cannot hold together, as one sentence.</summary>
    public Words Text { get; } = Words.Of($"These cannot hold together: {Words.Join("; ", conflicts.Select(c => c.Text))}.");
}

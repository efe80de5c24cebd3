namespace WholeFold.Core.Sizing;

/// <summary>Something given was not understood or is outside what is accepted.</summary>
/// <param name="code">Stable, for programs: <c>format.unknown</c>, <c>parameter.limit</c> …</param>
/// <param name="field">The place: the option or field that holds it.</param>
/// <param name="reason">What is wrong, as a sentence.</param>
/// <param name="accepted">What would be accepted, with an example.</param>
public sealed class InputProblemException(string code, string field, string reason, string accepted) : Exception($"{field}: {reason}. Accepted: {accepted}.")
{
    public string Code { get; } = code;

    public string Field { get; } = field;

    public string Reason { get; } = reason;

    public string Accepted { get; } = accepted;
}

/// <summary>One of the things that cannot hold together.</summary>
/// <param name="Id">Where it comes from: <c>pin:centre</c>, <c>limit:depth.max</c>, <c>panel:base.door</c>, <c>marks:scores</c>.</param>
public sealed record Conflict(string Id, string Text);

/// <summary>No figures can satisfy what was asked; the conflicts cannot all hold, and would if any one of them were dropped.</summary>
public sealed class NoFiguresException(IReadOnlyList<Conflict> conflicts) : Exception("These cannot hold together: " + string.Join("; ", conflicts.Select(c => c.Text)) + ".")
{
    public IReadOnlyList<Conflict> Conflicts { get; } = conflicts;
}

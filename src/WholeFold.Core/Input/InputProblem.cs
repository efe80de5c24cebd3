namespace WholeFold.Core.Input;

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

using WholeFold.Core.Input;

namespace WholeFold.Core.Exchange.Machines;

/// <summary>What goes wrong between the studio and a machine, played by a stand-in.</summary>
public enum Fault
{
    None,

    /// <summary>Nothing comes back.</summary>
    NoAnswer,

    /// <summary>What comes back is in another unit than was agreed.</summary>
    WrongUnit,

    /// <summary>What comes back ends in the middle.</summary>
    HalfAMessage,
}

/// <summary>A machine did not do as it was asked. Nothing of the design is changed by it, and it can be asked again.</summary>
public static class MachineProblem
{
    public static InputProblemException Of(string field, string reason, string accepted) => new("machine.failed", field, reason, accepted);
}

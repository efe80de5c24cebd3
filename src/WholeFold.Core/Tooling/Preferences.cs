namespace WholeFold.Core.Tooling;

/// <summary>How a person likes to set figures, where there is more than one way.</summary>
/// <param name="AvoidFineMarks">Rather eighths (whole millimetres) than anything finer: parameters give way for it, within their limits.</param>
/// <param name="OneStop">Equal figures at both ends from a single stop, the piece turned between: few settings before few turns.</param>
/// <param name="MountainsFromBehind">Mountains are scored from their own side, the piece turned over.</param>
/// <param name="WholeSheet">The sheet's whole length is used where a panel can take up what is left: one cut fewer.</param>
/// <param name="NotEased">Figures stay as they are where a piece just misses the sheets that are there.</param>
/// <param name="WithRuler">Scores between grooves are set with a ruler, though the tool set has none of its own.</param>
public sealed record Preferences(bool AvoidFineMarks = false, bool OneStop = false, bool MountainsFromBehind = false, bool WholeSheet = false, bool WithRuler = false, bool NotEased = false)
{
    public static Preferences None { get; } = new();

    /// <summary>The names under which they are written down and called, and what each does.</summary>
    public static IReadOnlyList<(string Id, string Name, string Does, Func<Preferences, bool> Has, Func<Preferences, Preferences> With)> All { get; } =
    [
        ("no-sixteenths", "no sixteenths", "no sixteenths", p => p.AvoidFineMarks, p => p with { AvoidFineMarks = true }),
        ("one-stop", "one stop, then turn", "one stop, then turn", p => p.OneStop, p => p with { OneStop = true }),
        ("mountains-from-behind", "mountains from behind", "mountains from behind", p => p.MountainsFromBehind, p => p with { MountainsFromBehind = true }),
        ("with-ruler", "ruler between grooves", "set scores between grooves with a ruler", p => p.WithRuler, p => p with { WithRuler = true }),
        ("whole-sheet", "use the whole sheet", "use the whole sheet", p => p.WholeSheet, p => p with { WholeSheet = true }),
        ("not-eased", "not eased to the sheet", "leave the figures as they are for the sheets", p => p.NotEased, p => p with { NotEased = true }),
    ];
}

using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>How a design takes to a format, at a glance.</summary>
public enum VerdictKind
{
    /// <summary>Every figure is what the rule asks for, on marks that can be set.</summary>
    AsDrawn,

    /// <summary>It goes, with something given up for the tools or the format.</summary>
    Eased,

    /// <summary>It goes, from a larger sheet than the everyday one.</summary>
    LargerSheet,

    /// <summary>It does not go.</summary>
    Stuck,
}

/// <summary>A verdict in one short line.</summary>
public sealed record Verdict(VerdictKind Kind, Words Text);

/// <summary>One design sized for a format, or why it cannot be.</summary>
public sealed record Attempt(Target Target, SizedDesign? Sized, string? Problem, IReadOnlyList<Conflict> Conflicts)
{
    /// <summary>Sizes without throwing, for places that show many formats at once.</summary>
    public static Attempt Of(Design design, Target target)
    {
        try
        {
            return new Attempt(target, Sizer.Size(design, target), null, []);
        }
        catch (NoFiguresException e)
        {
            return new Attempt(target, null, e.Message, e.Conflicts);
        }
        catch (InputProblemException e)
        {
            return new Attempt(target, null, $"{e.Field}: {e.Reason}. It can be {e.Accepted}.", [new Conflict($"pin:{e.Field}", e.Reason)]);
        }
    }

    public Verdict Verdict => Verdicts.Of(this);
}

/// <summary>Judges an attempt. The gravest thing gets the line; the rest is in the checks.</summary>
public static class Verdicts
{
    /// <summary>A parameter counts as eased once it is further from its ideal than a trimmer's mark; less than that is only
    /// the ideal put on a rule.</summary>
    private static readonly Pair Noticeable = Pair.Of(1, 16, 1m);

    public static Verdict Of(Attempt attempt)
    {
        if (attempt.Sized is not { } sized)
        {
            var first = attempt.Conflicts.Count > 0 ? attempt.Conflicts[0].Text : "no figures";
            return new Verdict(VerdictKind.Stuck, Words.Of($"no: {first}"));
        }

        if (sized.Checks.FirstOrDefault(c => c.Severity == Severity.Error) is { } error)
        {
            return new Verdict(VerdictKind.Stuck, error.Id == "sheet-too-small" ? Words.Of($"no sheet of {Length.Max(error.Figures["width"], error.Figures["height"])}") : error.Text);
        }

        var moved = sized.Parameters.Where(p => !p.Pinned && (p.Value - p.Ideal).Abs() > Noticeable.In(sized.Tools.System)).ToList();
        if (sized.Checks.Any(c => c.Id == "larger-sheet"))
        {
            return new Verdict(VerdictKind.LargerSheet, Words.Of($"wants a larger sheet"));
        }

        var under = Length.Max(sized.Target.Width - sized.Width, sized.Target.Height - sized.Height);
        var off = sized.Checks.FirstOrDefault(c => c.Id == "score-off-groove")?.Figures.Count ?? 0;
        return sized switch
        {
            { Means: Means.Rounded } => new Verdict(VerdictKind.Eased, Words.Of($"rounded, panels uneven")),
            _ when sized.Checks.Any(c => c.Id == "closed-over-format") => new Verdict(VerdictKind.Eased, Words.Of($"grows past its format")),
            _ when under > Length.Zero => new Verdict(VerdictKind.Eased, Words.Of($"{under} under")),
            _ when off > 0 => new Verdict(VerdictKind.Eased, off == 1 ? Words.Of($"1 score by ruler") : Words.Of($"{off} scores by ruler")),
            _ when moved.Count > 0 => new Verdict(VerdictKind.Eased, Words.Of($"{moved[0].Parameter.Name} eased to {moved[0].Value}")),
            _ => new Verdict(VerdictKind.AsDrawn, Words.Of($"goes as drawn")),
        };
    }
}

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
    public static Verdict Of(Attempt attempt)
    {
        if (attempt.Sized is not { } sized)
        {
            var first = attempt.Conflicts.Count > 0 ? attempt.Conflicts[0].Text : "no figures";
            return new Verdict(VerdictKind.Stuck, Words.Of($"no: {first}"));
        }

        if (sized.Checks.FirstOrDefault(c => c.Severity == Severity.Error) is { } error)
        {
            return new Verdict(VerdictKind.Stuck, error.AtAGlance?.Text ?? error.Text);
        }

        var found = sized.Checks.Select(c => c.AtAGlance).OfType<Verdict>().MaxBy(v => v.Kind);
        return found
            ?? (sized.Eased.FirstOrDefault() is { } eased ? new Verdict(VerdictKind.Eased, Words.Of($"{eased.Parameter.Name} eased to {eased.Value}"))
            : new Verdict(VerdictKind.AsDrawn, Words.Of($"goes as drawn")));
    }
}

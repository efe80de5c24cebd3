using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;
using WholeFold.Core.Tooling;

namespace WholeFold.Core.Sizing;

/// <summary>A figure that is not what it was, and why.</summary>
public sealed record FigureChange(FigureRef Id, Length? Was, Length? Now, Words Why);

/// <summary>What differs between two results of one design: after other tools, another card, another preference.</summary>
public static class Comparison
{
    /// <summary>The figures that differ, in the order in which they are read out.</summary>
    public static IReadOnlyList<FigureChange> Of(IEnumerable<Measured> before, IEnumerable<Measured> after)
    {
        var was = before.ToDictionary(f => f.Id);
        var changes = new List<FigureChange>();
        foreach (var figure in after)
        {
            if (!was.Remove(figure.Id, out var old))
            {
                changes.Add(new FigureChange(figure.Id, null, figure.Value, Words.Of($"new here")));
            }
            else if (old.Value != figure.Value || old.Setting != figure.Setting)
            {
                changes.Add(new FigureChange(figure.Id, old.Value, figure.Value, Why(old, figure)));
            }
        }

        changes.AddRange(was.Values.Select(gone => new FigureChange(gone.Id, gone.Value, null, Words.Of($"not needed here"))));
        return changes;
    }

    /// <summary>The step that the new result takes and the old one did not; else how it is set now.</summary>
    private static Words Why(Measured old, Measured now)
    {
        static string Key(Reason reason) => $"{reason.Why.Write(DisplayUnit.Millimetre)}|{reason.To - reason.From}";
        var known = old.Reasons.Select(Key).ToHashSet();
        var added = now.Reasons.Where(r => !known.Contains(Key(r))).ToList();
        var step = added.FirstOrDefault(r => r.From != r.To) ?? (old.Value == now.Value ? null : added.FirstOrDefault());
        if (step is not null)
        {
            return step.Why;
        }

        if (old.Value == now.Value)
        {
            return Words.Of($"set otherwise: {now.Setting.Spoken}");
        }

        // Nothing new is done; something that was done before is not.
        var kept = now.Reasons.Select(Key).ToHashSet();
        var dropped = old.Reasons.FirstOrDefault(r => !kept.Contains(Key(r)) && r.From != r.To);
        return dropped is null ? now.Said : Words.Of($"no longer so: {dropped.Why}");
    }
}

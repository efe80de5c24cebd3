using WholeFold.Core.Constructions;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

public enum ChangeKind
{
    /// <summary>A parameter set by hand goes back to its rule.</summary>
    Free,

    /// <summary>Another option of a choice.</summary>
    Choose,

    /// <summary>A ruler between the grooves, where the tool set has none.</summary>
    Ruler,
}

/// <summary>One thing given up so that a case becomes possible.</summary>
/// <param name="Name">The parameter or the choice.</param>
/// <param name="Option">What is chosen instead.</param>
public sealed record Change(ChangeKind Kind, string Name, string? Option, Words Text)
{
    /// <summary>The design with it done.</summary>
    public Design Apply(Design design, Target target) => Kind switch
    {
        ChangeKind.Free => design with
        {
            Pins = Without(design.Pins),
            Adjustments = design.Adjustments.ToDictionary(a => a.Key, a => a.Key == target.Key ? Without(a.Value) : a.Value),
        },
        ChangeKind.Choose => design with { Choices = new Dictionary<string, string>(design.Choices) { [Name] = Option! } },
        _ => design with { Prefer = design.Prefer with { WithRuler = true } },
    };

    private Dictionary<string, Length> Without(IReadOnlyDictionary<string, Length> pins) => pins.Where(p => p.Key != Name).ToDictionary(p => p.Key, p => p.Value);
}

/// <summary>A smallest set of changes with which figures exist, and what they come to.</summary>
public sealed record Remedy(IReadOnlyList<Change> Changes, Words Text);

/// <summary>
/// What would make an impossible case possible: all the smallest sets of changes, each tried by sizing the design with it.
/// Pins can be let go, a choice made otherwise, a ruler allowed between the grooves.
/// </summary>
public static class Remedies
{
    /// <summary>Larger sets than this are no advice any more.</summary>
    private const int Most = 4;

    public static IReadOnlyList<Remedy> Of(Design design, Target target)
    {
        ArgumentNullException.ThrowIfNull(design);
        var changes = ChangesFor(design, target).ToList();
        for (var size = 1; size <= Math.Min(Most, changes.Count); size++)
        {
            var found = new List<Remedy>();
            foreach (var set in Combinations(changes, size).Where(Compatible))
            {
                if (SizedWith(design, target, set) is { } sized)
                {
                    found.Add(new Remedy(set, Describe(set, sized)));
                }
            }

            if (found.Count > 0)
            {
                return found;
            }
        }

        return [];
    }

    /// <summary>All that could be given up in a design as it is made in a format.</summary>
    internal static IEnumerable<Change> ChangesFor(Design design, Target target)
    {
        var here = design.Adjustments.GetValueOrDefault(target.Key) ?? new Dictionary<string, Length>();
        foreach (var parameter in design.Construction.Parameters)
        {
            if (here.TryGetValue(parameter.Id, out var value) || design.Pins.TryGetValue(parameter.Id, out value))
            {
                yield return new Change(ChangeKind.Free, parameter.Id, null, Words.Of($"let the {parameter.Name} go, set to {value} by hand"));
            }
        }

        foreach (var choice in design.Family.Choices)
        {
            var chosen = design.Construction.Choices[choice.Id];
            foreach (var option in choice.Options.Where(o => o != chosen))
            {
                yield return new Change(ChangeKind.Choose, choice.Id, option, Words.Of($"{choice.Name}: {option} instead of {chosen}"));
            }
        }

        if (Sizer.ToolsFor(design, target).RulerMarks.Count == 0)
        {
            yield return new Change(ChangeKind.Ruler, "ruler", null, Words.Of($"set scores between grooves with a ruler"));
        }
    }

    /// <summary>One choice has one answer at a time.</summary>
    private static bool Compatible(IReadOnlyList<Change> set) => set.Where(c => c.Kind == ChangeKind.Choose).GroupBy(c => c.Name).All(g => g.Count() == 1);

    internal static SizedDesign? SizedWith(Design design, Target target, IEnumerable<Change> set)
    {
        try
        {
            return Sizer.TrySize(set.Aggregate(design, (d, c) => c.Apply(d, target)), target);
        }
        catch (InputProblemException)
        {
            // A parameter that another choice does not have, or a limit that moved with it.
            return null;
        }
    }

    /// <summary>What it comes to: a freed parameter names the value that it gets.</summary>
    private static Words Describe(IReadOnlyList<Change> set, SizedDesign sized)
    {
        var words = new Words();
        for (var i = 0; i < set.Count; i++)
        {
            words.Add($"{(i == 0 ? "" : ", and ")}{set[i].Text}");
            if (set[i].Kind == ChangeKind.Free && sized.Parameters.FirstOrDefault(p => p.Parameter.Id == set[i].Name) is { } freed)
            {
                words.Add($"; it becomes {freed.Value}");
            }
        }

        return words;
    }

    internal static IEnumerable<IReadOnlyList<Change>> Combinations(IReadOnlyList<Change> from, int size, int start = 0)
    {
        if (size == 0)
        {
            yield return [];
            yield break;
        }

        for (var i = start; i <= from.Count - size; i++)
        {
            foreach (var rest in Combinations(from, size - 1, i + 1))
            {
                yield return [from[i], .. rest];
            }
        }
    }
}

using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>A smallest set of edits with which figures exist, and what they come to.</summary>
public sealed record Remedy(IReadOnlyList<DesignEdit> Edits, Words Text);

/// <summary>
/// What would make an impossible case possible: all the smallest sets of edits, each tried by sizing the design with it.
/// What is set by hand can be let go, a choice made otherwise, a ruler allowed between the grooves.
/// </summary>
public static class Remedies
{
    /// <summary>Larger sets than this are no advice any more.</summary>
    private const int Most = 4;

    public static IReadOnlyList<Remedy> Of(DesignSpec design, DesignReader reader, CancellationToken cancel = default)
    {
        var edits = EditsFor(design, reader).ToList();
        for (var size = 1; size <= Math.Min(Most, edits.Count); size++)
        {
            var found = new List<Remedy>();
            foreach (var set in Combinations(edits, size).Where(Compatible))
            {
                if (SizedWith(design, reader, set, cancel) is { } sized)
                {
                    found.Add(new Remedy(set, Describe(set, design, reader, sized)));
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
    internal static IEnumerable<DesignEdit> EditsFor(DesignSpec design, DesignReader reader)
    {
        ArgumentNullException.ThrowIfNull(reader);
        var (read, target, _) = reader.Read(design);
        foreach (var parameter in read.Construction.Parameters.Where(p => read.Locks.ContainsKey(p.Id)))
        {
            yield return new FreeFigure(parameter.Id);
        }

        foreach (var choice in read.Family.Choices)
        {
            foreach (var option in choice.Options.Where(o => o != read.Construction.Choices[choice.Id]))
            {
                yield return new Choose(choice.Id, option);
            }
        }

        if (read.ToolsFor(target).RulerMarks.Count == 0)
        {
            yield return new Prefer("with-ruler");
        }
    }

    /// <summary>One choice has one answer at a time.</summary>
    private static bool Compatible(IReadOnlyList<DesignEdit> set) => set.OfType<Choose>().GroupBy(c => c.Choice).All(g => g.Count() == 1);

    internal static Figures? SizedWith(DesignSpec design, DesignReader reader, IEnumerable<DesignEdit> set, CancellationToken cancel = default)
    {
        try
        {
            var (edited, target, _) = reader.Read(DesignEdit.Apply(set, design, reader));
            return Sizer.TrySize(edited, target, cancel);
        }
        catch (InputProblemException)
        {
            // A parameter that another choice does not have, or a limit that moved with it.
            return null;
        }
    }

    /// <summary>What it comes to: a freed parameter names the value that it gets.</summary>
    internal static Words Describe(IReadOnlyList<DesignEdit> set, DesignSpec design, DesignReader reader, Figures sized)
    {
        var words = new Words();
        for (var i = 0; i < set.Count; i++)
        {
            words.Add($"{(i == 0 ? "" : ", and ")}{set[i].Describe(design, reader)}");
            if (set[i] is FreeFigure free && sized.Parameters.FirstOrDefault(p => p.Parameter.Id == free.Parameter) is { } freed)
            {
                words.Add($"; it becomes {freed.Value}");
            }
        }

        return words;
    }

    internal static IEnumerable<IReadOnlyList<T>> Combinations<T>(IReadOnlyList<T> from, int size, int start = 0)
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

using WholeFold.Core.Sizing;

namespace WholeFold.Core.Exchange;

/// <summary>Does a remedy's changes to a design as it is written down.</summary>
public static class SpecChange
{
    public static DesignSpec Apply(this Remedy remedy, DesignSpec spec, Target target)
    {
        ArgumentNullException.ThrowIfNull(remedy);
        return remedy.Changes.Aggregate(spec, (s, change) => change.Kind switch
        {
            ChangeKind.Free => s with
            {
                Set = Without(s.Set, change.Name),
                Adjustments = s.Adjustments.ToDictionary(a => a.Key, a => a.Key == target.Key ? Without(a.Value, change.Name) : a.Value),
            },
            ChangeKind.Choose => s with { Set = new Dictionary<string, string>(s.Set) { [change.Name] = change.Option! } },
            _ => s with { Prefer = [.. s.Prefer, "with-ruler"] },
        });
    }

    private static Dictionary<string, string> Without(IReadOnlyDictionary<string, string> set, string name) => set.Where(p => p.Key != name).ToDictionary(p => p.Key, p => p.Value);
}

using System.Runtime.CompilerServices;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Inventories;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Sizing;

/// <summary>A figure that was set at home, as it counts in every other format: it gives the ideal there.</summary>
/// <param name="Home">What was set there.</param>
/// <param name="Format">The home, as it is called.</param>
/// <param name="OfRule">How many times its rule's ideal it is there; null where it keeps its size.</param>
internal sealed record Elsewhere(Length Home, string Format, Rational? OfRule)
{
    private static readonly IReadOnlyDictionary<string, Elsewhere> Nothing = new Dictionary<string, Elsewhere>();

    /// <summary>Worked out once a design: the wall asks for every format of it.</summary>
    private static readonly ConditionalWeakTable<Design, IReadOnlyDictionary<string, Elsewhere>> Known = [];

    /// <summary>What was set at home, as it counts in a format; at home it stands as it was set.</summary>
    public static IReadOnlyDictionary<string, Elsewhere> Of(Design design, Target target) =>
        design.IsHome(target) ? Nothing : Counting(design);

    /// <summary>
    /// What was set at home and is not what the card has there anyway, on the tools that it was set with. What it has anyway was
    /// only written down: nothing follows from it.
    /// </summary>
    public static IReadOnlyDictionary<string, Elsewhere> Counting(Design design) =>
        design.Sets.Count == 0 ? Nothing : Known.GetValue(design, Find);

    private static Dictionary<string, Elsewhere> Find(Design design)
    {
        var all = design.Sets.Where(s => !design.Locks.ContainsKey(s.Key)).ToDictionary();
        var counts = NotAnyway(design, all, []).Count == 0 ? [] : all.ToDictionary();

        // One after the other, since each may be why another one is as it is, until no more is what it would be anyway.
        while (counts.FirstOrDefault(s => NotAnyway(design, [s], counts.Where(c => c.Key != s.Key)).Count == 0) is { Key: { } name })
        {
            counts.Remove(name);
        }

        // All together they must still come to what was set.
        foreach (var (name, hand) in NotAnyway(design, all.Where(s => !counts.ContainsKey(s.Key)), counts.ToList()))
        {
            counts[name] = hand;
        }

        return counts.ToDictionary(s => s.Key,
            s => new Elsewhere(s.Value.Value, design.Home.Format.Name,
                TimesItsRule(With(design, counts.Where(c => c.Key != s.Key), s.Value.Tools), s.Key, s.Value.Value)));
    }

    /// <summary>Which of some figures the card does not have at home with only others set, each on the tools that it was set
    /// with.</summary>
    private static List<KeyValuePair<string, HandFigure>> NotAnyway(Design design, IEnumerable<KeyValuePair<string, HandFigure>> some,
        IEnumerable<KeyValuePair<string, HandFigure>> set) =>
        [.. some.GroupBy(s => s.Value.Tools).SelectMany(alike =>
        {
            var card = Sizer.TrySize(With(design, set, alike.Key), design.Home);
            return alike.Where(s => card?.Parameters.First(p => p.Parameter.Id == s.Key).Value != s.Value.Value);
        })];

    private static Design With(Design design, IEnumerable<KeyValuePair<string, HandFigure>> sets, string tools) => design with
    {
        Tools = design.Inventory.Find<ToolKit>(tools)?.Id ?? design.Tools,
        Sets = sets.ToDictionary(),
        Adjustments = new Dictionary<string, IReadOnlyDictionary<string, HandFigure>>(),
        AsWritten = true,
    };

    /// <summary>Where it comes from, and what it is in proportion.</summary>
    /// <param name="here">What it is the ideal of in this format.</param>
    public Words Said(Length here) => OfRule is null ? Words.Of($"{Home:u} at {Format}") : Words.Of($"{Home:u} at {Format}, in proportion {here:u}");

    /// <summary>A proportional figure keeps its ratio to its rule's ideal, as that is with everything else that was set.</summary>
    private static Rational? TimesItsRule(Design without, string name, Length value)
    {
        var parameter = without.Construction.Parameters.First(p => p.Id == name);
        if (parameter.OnConversion != OnConversion.Proportional)
        {
            return null;
        }

        var ideal = Sizer.BuilderFor(without, without.Home, firm: true, CancellationToken.None).At(parameter.Ideal);
        return ideal.IsZero ? null : value.Units / ideal;
    }
}

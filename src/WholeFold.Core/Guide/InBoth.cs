using WholeFold.Core.Cards;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Guide;

/// <summary>
/// The steps for who reads in either system: behind a figure, or a row of figures that share a unit, stands the same on the other
/// system's tools. What is said otherwise there, or done otherwise, follows as a sentence of its own.
/// </summary>
public static class InBoth
{
    /// <summary>What is done at each step; of what is done otherwise in the other system, at the first step of its kind.</summary>
    /// <param name="second">The same card in the other system; null where there is none.</param>
    public static IReadOnlyList<(Step Step, IReadOnlyList<SentencePart> Say)> Of(Card card, IReadOnlyList<Step> steps,
        DisplayUnit unit, Card? second, int cards)
    {
        ArgumentNullException.ThrowIfNull(card);
        ArgumentNullException.ThrowIfNull(steps);
        var other = unit == DisplayUnit.Inch ? DisplayUnit.Centimetre : DisplayUnit.Inch;
        var beside = second is null ? [] : Steps.Of(second, cards, card).GroupBy(KindOf).ToDictionary(g => g.Key, g => g.ToList());
        var told = new HashSet<string>();
        var said = new List<(Step, IReadOnlyList<SentencePart>)>();
        foreach (var step in steps)
        {
            var kind = KindOf(step);
            var alike = steps.Where(s => KindOf(s) == kind).ToList();
            if (second is null || !beside.TryGetValue(kind, out var there))
            {
                said.Add((step, PartsOf(card, step.Say, unit)));
                continue;
            }

            var match = there.Count == alike.Count ? there[alike.IndexOf(step)] : null;
            if (match is not null && Paired(PartsOf(card, step.Say, unit), PartsOf(second, match.Say, other)) is { } both)
            {
                said.Add((step, both));
            }
            else
            {
                // Where there are more passes in one system than in the other, those of the other are told with the first.
                IEnumerable<Step> others = match is not null ? [match] : told.Add(kind) ? there : [];
                IEnumerable<SentencePart> own = match is null ? [In(unit), .. PartsOf(card, step.Say, unit)]
                    : PartsOf(card, step.Say, unit);
                said.Add((step, [.. own, .. others.SelectMany(o => PartsOf(second, o.Say, other).Prepend(In(other, " ")))]));
            }
        }

        return said;
    }

    private static SentencePart In(DisplayUnit unit, string before = "") => new($"{before}In {(unit == DisplayUnit.Inch ? "inches" : "centimetres")}: ");

    /// <summary>The passes over one piece belong together: on another board there are more of them, or fewer.</summary>
    private static string KindOf(Step step) => step.Phase == Phase.Score && step.Id.LastIndexOf('-') is > 0 and var at ? step.Id[..at]
        : step.Id;

    private static IReadOnlyList<SentencePart> PartsOf(Card card, Words say, DisplayUnit unit) =>
        say.Parts((length, withUnit) => card.Read(length, unit, withUnit));

    /// <summary>Null where the two do not say the same.</summary>
    private static List<SentencePart>? Paired(IReadOnlyList<SentencePart> own, IReadOnlyList<SentencePart> beside)
    {
        if (own.Count != beside.Count || own.Zip(beside).Any(p => p.First.Text != p.Second.Text))
        {
            return null;
        }

        var (both, after) = (new List<SentencePart>(), 0);
        for (var i = 0; i < own.Count; i++)
        {
            both.Add(own[i]);
            if (own[i].Figure is { Unit: not null })
            {
                both.AddRange(Beside(own, beside, after, i));
                after = i + 1;
            }
        }

        return both;
    }

    /// <summary>A row of figures as it is in the other system: a pair of two cards, or in brackets the size of a thing that is
    /// there.</summary>
    /// <param name="after">Where the row can begin at the earliest.</param>
    private static IEnumerable<SentencePart> Beside(IReadOnlyList<SentencePart> own, IReadOnlyList<SentencePart> beside, int after, int to)
    {
        // The words between the figures come with them only where they join them: "2 and 5", "1 × 3", not a new clause.
        var begin = to;
        while (begin - 2 >= after && own[begin - 1].Text is { Length: <= LongestJoint } && own[begin - 2].Figure is not null)
        {
            begin -= 2;
        }

        var row = beside.Skip(begin).Take(to - begin + 1).ToList();
        var aside = row.All(p => p.Figure is null or { Aside: true });
        yield return new SentencePart(aside ? " (" : " · ");
        foreach (var (part, i) in row.Select((p, i) => (p, i)))
        {
            yield return part.Figure is { } figure
                ? new SentencePart(Figure: figure with { Aside = null, Unit = i == row.Count - 1 ? figure.Unit : null }) : part;
        }

        if (aside)
        {
            yield return new SentencePart(")");
        }
    }

    /// <summary>" and from " is the longest that joins two figures.</summary>
    private const int LongestJoint = 10;
}

using System.Globalization;
using System.Text;
using WholeFold.Core.Constructions;
using WholeFold.Core.Designs;
using WholeFold.Core.Exchange;
using WholeFold.Core.Measure;

namespace WholeFold.App.Cli;

/// <summary>An affine rule as it is exchanged: ratios by name, and the constant of either system.</summary>
internal sealed record RuleEntry(string Text, IReadOnlyDictionary<string, string> Ratios, LengthJson Imperial, LengthJson Metric)
{
    /// <summary>The rule with each allowance under the name a person knows it by.</summary>
    public static RuleEntry Of(Affine rule, Construction construction) => new(
        construction.Allowances.Aggregate(rule.ToString(), (text, a) => text.Replace(a.Key.Id, a.Value.Name, StringComparison.Ordinal)),
        rule.Terms.ToDictionary(t => construction.Allowances.TryGetValue(t.Key, out var allowance) ? allowance.Name : t.Key.Id, t => t.Value.ToString()),
        LengthJson.Of(new Length(rule.Imperial.Nearest())),
        LengthJson.Of(new Length(rule.Metric.Nearest())));

    /// <summary>"1/6·W", "1/16 in / 1.5 mm", "0".</summary>
    public string Short()
    {
        var parts = Ratios.Select(r => r.Value == "1" ? r.Key : $"{r.Value}·{r.Key}").ToList();
        if (Imperial.Units != 0 || Metric.Units != 0 || parts.Count == 0)
        {
            parts.Add(Imperial.Units == 0 && Metric.Units == 0 ? "0" : $"{Imperial.In} in / {Metric.Mm.ToString("0.##", CultureInfo.InvariantCulture)} mm");
        }

        return string.Join(" + ", parts);
    }
}

internal sealed record ParameterEntry(string Id, string Meaning, RuleEntry Ideal, IReadOnlyList<RuleEntry> Min, IReadOnlyList<RuleEntry> Max, string OnConversion);

internal sealed record ChoiceEntry(string Id, string Meaning, IReadOnlyList<string> Options, string Default);

/// <param name="LinedUp">What is lined up with what, for each bond made in it.</param>
internal sealed record StepEntry(string Text, IReadOnlyList<string> Bonds, IReadOnlyList<string> LinedUp, string? Pressed, string? RightWhen);

internal sealed record ConstructionEntry(string Id, string Name, string Opens, string Does, IReadOnlyList<ChoiceEntry> Choices,
    IReadOnlyList<ParameterEntry> Parameters, IReadOnlyList<StepEntry> Steps, IReadOnlyList<Trouble> Troubles, IReadOnlyList<string> Watch)
{
    public static ConstructionEntry Of(ConstructionFamily family) => new(
        family.Id,
        family.Name,
        family.Opens,
        SizedJson.Name(family.For().Does),
        [.. family.Choices.Select(c => new ChoiceEntry(c.Id, c.Meaning, c.Options, c.Default))],
        [.. family.For().Parameters.Select(p => new ParameterEntry(p.Id, p.Meaning, RuleEntry.Of(p.Ideal, family.For()),
            [.. p.Min.Select(l => RuleEntry.Of(l.Value, family.For()))], [.. p.Max.Select(l => RuleEntry.Of(l.Value, family.For()))], p.OnConversion.ToString()
            .ToLowerInvariant()))],
        [.. family.For().Steps.Select(s => new StepEntry(s.Text, s.Bonds, [.. s.Bonds.Select(id => family.For().Bonds.First(b => b.Id == id).LinedUp)],
            s.Pressed is { } pressed ? SizedJson.Name(pressed) : null, s.RightWhen))],
        family.For().Troubles,
        family.For().Watch);

    public string Text()
    {
        var text = new StringBuilder().AppendLine(CultureInfo.InvariantCulture, $"{Id}: {Opens}");
        foreach (var choice in Choices)
        {
            text.AppendLine(CultureInfo.InvariantCulture, $"    {choice.Id,-14} {string.Join(" | ", choice.Options)} ({choice.Default}): {choice.Meaning}");
        }

        foreach (var p in Parameters)
        {
            text.AppendLine(CultureInfo.InvariantCulture, $"    {p.Id,-14} {p.Ideal.Short()} (from {string.Join(" and ", p.Min.Select(r => r.Short()))} to {string.Join(" and ", p.Max.Select(r => r.Short()))}): {p.Meaning}");
        }

        return text.ToString();
    }
}

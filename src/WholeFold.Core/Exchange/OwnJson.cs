using System.Text.Json;
using System.Text.Json.Serialization;
using WholeFold.Core.Input;
using WholeFold.Core.Lists.Own;
using WholeFold.Core.Measure;

namespace WholeFold.Core.Exchange;

public sealed record OwnDiffersJson(int Line, string Figure, LengthJson Is, LengthJson Would);

public sealed record OwnRecognisedJson(string Construction, string Name, IReadOnlyDictionary<string, string> Choices,
    IReadOnlyDictionary<string, LengthJson> Parameters, LengthJson Width, LengthJson Height, IReadOnlyList<OwnDiffersJson> Differs, IReadOnlyList<string> Missing,
    double Score);

public sealed record OwnNextJson(string Rule, double Sure);

public sealed record OwnRuleJson(int Line, string Name, string Figure, string Rule, double Sure, IReadOnlyList<OwnNextJson> Next);

public sealed record OwnQuestionJson(int Line, string Figure, string Ask);

public sealed record OwnLikelyJson(LengthJson Value, string Because);

public sealed record OwnContradictionJson(int Line, string Text, IReadOnlyList<OwnLikelyJson> Likely);

public sealed record OwnLeftJson(int Line, string Text, string Would, bool InPart);

public sealed record OwnNotedJson(int Line, string Name, LengthJson Value);

/// <summary>A list of one's own as it was understood: the contract of <c>wholefold own --json</c>.</summary>
/// <param name="Closest">The best explanations by the library, sure or not.</param>
/// <param name="Figures">By line and figure (<c>2.score 1</c>), in the format that was asked for, or as they are.</param>
/// <param name="Noted">Figures that are no side and no score of a piece: kept, and nothing is worked out by them.</param>
/// <param name="Left">Lines that were not understood, or not wholly.</param>
/// <param name="LeftOut">What of a drawing could not be carried over; none of a list.</param>
public sealed record OwnJson([property: JsonIgnore(Condition = JsonIgnoreCondition.Never)] OwnRecognisedJson? Recognised, IReadOnlyList<OwnRecognisedJson> Closest,
    IReadOnlyList<OwnRuleJson> Rules, IReadOnlyList<OwnQuestionJson> Questions, IReadOnlyList<OwnContradictionJson> Contradictions,
    IReadOnlyDictionary<string, LengthJson> Figures, IReadOnlyList<OwnNotedJson> Noted, IReadOnlyList<OwnLeftJson> Left, IReadOnlyList<string> LeftOut)
{
    public static OwnJson Of(OwnDesign own, DisplayUnit unit, IReadOnlyList<string>? leftOut = null)
    {
        ArgumentNullException.ThrowIfNull(own);
        static OwnRecognisedJson One(Recognised r) => new(
            r.Family.Id, r.Family.Name, r.Choices, r.Parameters.ToDictionary(p => p.Key, p => LengthJson.Of(p.Value)), LengthJson.Of(r.Width), LengthJson.Of(r.Height),
            [.. r.Differs.Select(d => new OwnDiffersJson(d.Line, d.Figure, LengthJson.Of(d.Is), LengthJson.Of(d.Would)))], r.Missing, Math.Round(r.Score, 2));
        var figures = new Dictionary<string, LengthJson>();
        foreach (var figure in own.Figures.Where(f => f.Now is not null))
        {
            // Two pieces of one line are told apart by their names.
            var id = figures.ContainsKey(figure.Id) ? $"{figure.Line}.{figure.Called}.{figure.Figure}" : figure.Id;
            figures.TryAdd(id, LengthJson.Of(figure.Now!.Value));
        }

        return new OwnJson(
            own.Recognised is null ? null : One(own.Recognised), [.. own.Closest.Take(3).Select(One)],
            [.. own.Figures.Select(f => new OwnRuleJson(f.Line, f.Name, f.Figure, f.Rule.Write(unit), Math.Round(f.Sure, 3),
                [.. f.Next.Select(n => new OwnNextJson(n.Rule.Write(unit), Math.Round(n.Sure, 3)))]))],
            [.. own.Questions.Select(q => new OwnQuestionJson(q.Line, q.Figure, q.Ask.Write(unit)))],
            [.. own.Contradictions.Select(c => new OwnContradictionJson(c.Line, c.Text.Write(unit), [.. c.Likely.Select(l => new OwnLikelyJson(LengthJson.Of(l.Value), l.Because.Write(unit)))]))],
            figures, [.. own.List.Named.Select(n => new OwnNotedJson(n.Line, n.Name, LengthJson.Of(n.Value)))],
                [.. own.List.Left.Select(l => new OwnLeftJson(l.Line, l.Text, l.Would, l.InPart))], leftOut ?? []);
    }

    public static string Write(OwnDesign own, DisplayUnit unit, IReadOnlyList<string>? leftOut = null) => JsonSerializer.Serialize(Of(own, unit, leftOut), StrictJson.Options);
}

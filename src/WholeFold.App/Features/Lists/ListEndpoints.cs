using System.ComponentModel.DataAnnotations;
using WholeFold.App.Features.Bench;
using WholeFold.Core.Checks;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Lists;
using WholeFold.Core.Measure;

namespace WholeFold.App.Features.Lists;

/// <summary>A measure list as it was typed.</summary>
public sealed record ListRequest
{
    [MaxLength(MeasureList.LongestText), ManyLines]
    public required string Text { get; init; }

    /// <summary>The unit of bare numbers: in, cm or mm.</summary>
    public string Units { get; init; } = "in";
}

public sealed record LikelyView(IReadOnlyList<SentencePart> Value, IReadOnlyList<SentencePart> Because);

/// <param name="Place">Which figure of the line, counted from 1; null for the line as a whole.</param>
public sealed record FindingView(string Id, int Line, int? Place, IReadOnlyList<SentencePart> Text, IReadOnlyList<LikelyView> Likely);

internal static class ListEndpoints
{
    public static void MapLists(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/check-list", (Body<ListRequest> body) => Check(body.Value))
            .Describes<List<FindingView>>("checkList", "What contradicts itself in a measure list that was typed in.");

    private static List<FindingView> Check(ListRequest request)
    {
        var unit = UnitReader.Read(request.Units, "units");
        return [.. ListChecker.Check(MeasureList.Read(request.Text, unit))
            .Select(f => new FindingView(f.Id, f.Line, f.Place, f.Text.Parts(unit),
            [.. f.Likely.Select(l => new LikelyView(Words.Of($"{l.Value:u}").Parts(unit), l.Because.Parts(unit)))]))];
    }
}

using WholeFold.Core.Lists;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;

namespace WholeFold.App.Features.Lists;

/// <param name="Units">The unit of bare numbers: in, cm or mm.</param>
public sealed record ListRequest(string Text, string Units);

public sealed record LikelyView(string Value, string Because);

/// <param name="Place">Which figure of the line, counted from 1; null for the line as a whole.</param>
public sealed record FindingView(string Id, int Line, int? Place, string Text, IReadOnlyList<LikelyView> Likely);

internal static class ListEndpoints
{
    public static void MapLists(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/check-list", (ListRequest request) => Check(request.Text, request.Units))
            .WithName("checkList")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .WithSummary("What contradicts itself in a measure list that was typed in.");

    /// <exception cref="InputProblemException">The list or its unit is not understood.</exception>
    public static List<FindingView> Check(string text, string units)
    {
        var unit = units switch
        {
            "in" => DisplayUnit.Inch,
            "cm" => DisplayUnit.Centimetre,
            "mm" => DisplayUnit.Millimetre,
            _ => throw new InputProblemException("units.unknown", "units", $"“{units}” is not a unit", "in, cm or mm"),
        };
        return [.. ListChecker.Check(MeasureList.Read(text, unit)).Select(f => new FindingView(f.Id, f.Line, f.Place, f.Text.In(unit), [.. f.Likely.Select(l => new LikelyView(LengthWriter.WithUnit(l.Value, unit), l.Because.In(unit)))]))];
    }
}

using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Features;

/// <summary>Turns what can go wrong into problem documents with a stable code, the place, and what would be accepted.</summary>
internal sealed class ProblemHandler : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        if (Problem(exception) is not { } problem)
        {
            return false;
        }

        await problem.ExecuteAsync(httpContext);
        return true;
    }

    private static ProblemHttpResult? Problem(Exception exception) => exception switch
    {
        InputProblemException e => TypedResults.Problem(
            statusCode: StatusCodes.Status400BadRequest,
            title: "This was not understood",
            detail: $"{e.Reason}. Accepted: {e.Accepted}.",
            extensions: new Dictionary<string, object?> { ["code"] = e.Code, ["field"] = e.Field, ["accepted"] = e.Accepted }),
        NoFiguresException e => TypedResults.Problem(
            statusCode: StatusCodes.Status422UnprocessableEntity,
            title: "No figures can satisfy this",
            detail: e.Message,
            extensions: new Dictionary<string, object?> { ["code"] = "figures.none", ["conflicts"] = e.Conflicts }),
        StaleWriteException e => TypedResults.Problem(
            statusCode: StatusCodes.Status409Conflict,
            title: "Changed elsewhere",
            detail: $"“{e.Current.State.Name}” was changed in another window meanwhile; this change was not stored.",
            extensions: new Dictionary<string, object?> { ["code"] = "design.stale", ["current"] = DesignEndpoints.View(e.Current) }),
        BadHttpRequestException e => TypedResults.Problem(
            statusCode: e.StatusCode,
            title: "This was not understood",
            detail: e.InnerException is System.Text.Json.JsonException json ? $"The request is not the JSON that was expected: {json.Message}" : e.Message,
            extensions: new Dictionary<string, object?> { ["code"] = "request.unreadable", ["accepted"] = "JSON as described at /openapi/v1.json" }),
        _ => null,
    };
}

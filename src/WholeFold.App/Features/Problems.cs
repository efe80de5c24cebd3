using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Features;

/// <summary>Turns what can go wrong into problem documents with a stable code, the place, and what would be accepted.</summary>
internal sealed class ProblemHandler : IExceptionHandler
{
    /// <summary>Nobody waits for this answer any more.</summary>
    private const int ClientGone = 499;

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        if (exception is OperationCanceledException && httpContext.RequestAborted.IsCancellationRequested)
        {
            httpContext.Response.StatusCode = ClientGone;
            return true;
        }

        if (Problem(exception) is not { } problem)
        {
            return false;
        }

        await problem.ExecuteAsync(httpContext);
        return true;
    }

    public static ProblemHttpResult Of(int status, string title, string detail, string code) =>
        TypedResults.Problem(statusCode: status, title: title, detail: detail, extensions: new Dictionary<string, object?> { ["code"] = code });

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
            detail: e.Text.Write(DisplayUnit.Inch),
            extensions: new Dictionary<string, object?> { ["code"] = "figures.none", ["conflicts"] = e.Conflicts.Select(c => new { c.Id, Text = c.Text.Write(DisplayUnit.Inch) }) }),
        StaleWriteException e => TypedResults.Problem(
            statusCode: StatusCodes.Status409Conflict,
            title: "Changed elsewhere",
            detail: $"“{e.Current.Name}” was changed in another window meanwhile; this change was not stored.",
            extensions: new Dictionary<string, object?> { ["code"] = "design.stale", ["current"] = DesignEndpoints.View(e.Current) }),
        BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => Of(413, "Too much at once", "A request has at most a megabyte.", "request.size"),
        BadHttpRequestException e => TypedResults.Problem(
            statusCode: e.StatusCode,
            title: "This was not understood",
            detail: "The request cannot be read. Accepted: what /openapi/v1.json describes.",
            extensions: new Dictionary<string, object?> { ["code"] = "request.unreadable", ["field"] = "body", ["accepted"] = "what /openapi/v1.json describes" }),
        _ => null,
    };
}

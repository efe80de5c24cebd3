using System.Data.Common;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Metadata;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Designs;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Core.Sizing;
using WholeFold.Store;

namespace WholeFold.App.Features;

/// <summary>Turns what can go wrong into problem documents with a stable code, the place, and what would be accepted.</summary>
internal sealed partial class ProblemHandler(ILogger<ProblemHandler> log) : IExceptionHandler
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

        var problem = Problem(exception);
        if (problem is null)
        {
            // A data file that cannot be read is no one design's fault.
            if (exception is DbException or IOException
                || httpContext.GetEndpoint()?.Metadata.GetMetadata<IAcceptsMetadata>()?.RequestType?.IsAssignableTo(typeof(DeskRequest)) != true)
            {
                return false;
            }

            // It is of this one design, and stays with it.
            DesignBroke(httpContext.Request.Path, exception);
            problem = Of(StatusCodes.Status422UnprocessableEntity, "This card could not be worked out", "Undo the last change, or save its file and begin again from it. No other design has to do with it.", "card.broken");
        }

        await problem.ExecuteAsync(httpContext);
        return true;
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "A design could not be worked out for {Path}")]
    private partial void DesignBroke(string path, Exception exception);

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
        StudioGoneException => Of(StatusCodes.Status503ServiceUnavailable, "Nothing can be stored", exception.Message, "studio.gone"),
        _ => null,
    };
}

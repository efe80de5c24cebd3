using System.Reflection;
using System.Text.Json;
using Microsoft.AspNetCore.Http.Metadata;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;

namespace WholeFold.App.Features;

#pragma warning disable CA1000 // The framework looks for these two on the parameter's own type.

/// <summary>The body of a request, read through the one gate: whatever is wrong with it is told with place and example.</summary>
public sealed class Body<T> : IEndpointParameterMetadataProvider
{
    private static readonly string[] Json = ["application/json"];

    private Body(T value) => Value = value;

    public T Value { get; }

    public static async ValueTask<Body<T>?> BindAsync(HttpContext context, ParameterInfo parameter)
    {
        ArgumentNullException.ThrowIfNull(context);
        using var reader = new StreamReader(context.Request.Body);
        var text = await reader.ReadToEndAsync(context.RequestAborted);
        return new Body<T>(StrictJson.Read<T>(text, "", "request.unreadable", ExampleOf(typeof(T))));
    }

    public static void PopulateMetadata(ParameterInfo parameter, EndpointBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        builder.Metadata.Add(new AcceptsMetadata(Json, typeof(T)));
    }

    /// <summary>What a body may look like: the names that are known in it.</summary>
    private static string ExampleOf(Type type) =>
        $"an object with {string.Join(", ", StrictJson.Options.GetTypeInfo(type).Properties.Select(p => p.Name))}, as /openapi/v1.json describes it";
}

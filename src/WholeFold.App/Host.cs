using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.AspNetCore.HostFiltering;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.AspNetCore.Routing.Template;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Caching.Memory;
using Microsoft.OpenApi;
using NetEscapades.AspNetCore.SecurityHeaders;
using Serilog;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Build;
using WholeFold.App.Features.Cut;
using WholeFold.App.Features.Designs;
using WholeFold.App.Features.Dress;
using WholeFold.App.Features.Folding;
using WholeFold.App.Features.HandOuts;
using WholeFold.App.Features.Inventory;
using WholeFold.App.Features.Lists;
using WholeFold.App.Features.Sheet;
using WholeFold.App.Features.Shelf;
using WholeFold.App.Features.Show;
using WholeFold.App.Features.StandIns;
using WholeFold.App.Features.Wall;
using WholeFold.App.Features;
using WholeFold.Core.Constructions;
using WholeFold.Core.Constructions.Library;
using WholeFold.Core.Designs;
using WholeFold.Core.Folding;
using WholeFold.Core.Input;
using WholeFold.Core.Measure;
using WholeFold.Store;

namespace WholeFold.App;

/// <summary>The web host: the interface's files and its API, on loopback only.</summary>
public static class WebHost
{
    private const long LargestRequest = 1024 * 1024;

    /// <summary>Builds the host. Data are prepared by a hosted service, so building alone touches no file.</summary>
    /// <param name="args">Configuration such as <c>--Studio:Folder=PATH</c>, <c>--Studio:Demo=true</c>, <c>--urls=…</c>.</param>
    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = args, ContentRootPath = AppContext.BaseDirectory });
        builder.Services.AddSerilog(log => log.MinimumLevel.Warning().MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host",
            Serilog.Events.LogEventLevel.Fatal + 1).WriteTo.Console(standardErrorFromLevel: Serilog.Events.LogEventLevel.Verbose,
            formatProvider: System.Globalization.CultureInfo.InvariantCulture));
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = LargestRequest;
        });
        builder.Services.AddOpenApi(o =>
        {
            o.AddDocumentTransformer((document, _, _) =>
            {
                document.Info.Title = "Whole Fold";
                document.Info.Version = "1";
                document.Servers = [];
                return Task.CompletedTask;
            });
            o.AddSchemaTransformer((schema, context, _) =>
            {
                // A figure has a form of its own: a plain text, or what was written with the tools it was set with.
                if (context.JsonTypeInfo.Type == typeof(WrittenFigure))
                {
                    schema.AnyOf = [new OpenApiSchema { Type = JsonSchemaType.String },
                        new OpenApiSchema { Type = JsonSchemaType.Object, Properties =
                        new Dictionary<string, IOpenApiSchema> { ["value"] = new OpenApiSchema { Type = JsonSchemaType.String },
                        ["tools"] = new OpenApiSchema { Type = JsonSchemaType.String } }, Required = new HashSet<string> { "value" } }];
                }

                // A length is written as a text; a number and an exact length are read as well.
                if (context.JsonTypeInfo.Type == typeof(WrittenLength))
                {
                    schema.Type = JsonSchemaType.String;
                }

                return Task.CompletedTask;
            });
        });

        // Answers are written as files are; what comes in goes through the gate (Body), never through these.
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.NumberHandling = StrictJson.Options.NumberHandling;
            o.SerializerOptions.MaxDepth = StrictJson.Deepest * 2;
            o.SerializerOptions.RespectNullableAnnotations = true;
            o.SerializerOptions.Encoder = StrictJson.Options.Encoder;
            foreach (var converter in StrictJson.Options.Converters)
            {
                o.SerializerOptions.Converters.Add(converter);
            }
        });
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<ProblemHandler>();
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.Configure<HostFilteringOptions>(o => (o.AllowedHosts, o.IncludeFailureMessage) = (["localhost", "127.0.0.1", "[::1]"], false));
        builder.Services.AddHostFiltering(_ => { });
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddMemoryCache(o => o.SizeLimit = 600);
        builder.Services.AddSingleton(ConstructionLibrary.Catalogue);
        builder.Services.AddSingleton<SizedCards>();
        builder.Services.AddSingleton<FilledShelf>();
        builder.Services.AddSingleton<OwnLists>();
        builder.Services.AddSingleton<CutRuns>();
        builder.Services.AddDbContext<WholeFoldContext>((services, options) => options.UseSqlite(StudioFile.ConnectionString(StudioFolder(services.GetRequiredService<IConfiguration>()))));
        builder.Services.AddScoped<DesignStore>();
        builder.Services.AddSingleton<ThingsRead>();
        builder.Services.AddScoped<Things>();
        builder.Services.AddScoped<StockBook>();
        builder.Services.AddScoped<PlanStore>();
        builder.Services.AddScoped<Studio>();
        if (!DescribesItself)
        {
            builder.Services.AddSingleton<StudioPreparation>();
            builder.Services.AddHostedService(s => s.GetRequiredService<StudioPreparation>());
        }

        var app = builder.Build();
        app.UseExceptionHandler();
        app.UseHostFiltering();
        app.UseStatusCodePages(Tell);
        app.UseSecurityHeaders(Headers);
        app.Use(Guard);
        app.MapOpenApi();
        app.MapBench();
        app.MapWall();
        app.MapFolding();
        app.MapDress();
        app.MapCut();
        app.MapSheet();
        app.MapShow();
        app.MapHandOuts();
        app.MapShelf();
        app.MapDesigns();
        app.MapInventory();
        app.MapLists();
        app.MapOwn();
        app.MapBuild();
        app.MapStandIns();
        app.Map("/api/{**rest}", NothingHere).ExcludeFromDescription();
        MapInterface(app);
        return app;
    }

    /// <summary>True while the build's own tool starts this only to write the API's description: no data are touched then.</summary>
    private static bool DescribesItself => System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    internal static string StudioFolder(IConfiguration configuration) =>
        configuration["Studio:Folder"] ?? throw new InvalidOperationException("Studio:Folder says where the data lie; give --data FOLDER.");

    /// <summary>Serves the published interface; its page gets a fresh nonce each time, for the content policy.</summary>
    private static void MapInterface(WebApplication app)
    {
        var page = Path.Combine(AppContext.BaseDirectory, "wwwroot", "index.html");
        if (!File.Exists(page))
        {
            return;
        }

        app.MapStaticAssets(Path.Combine(AppContext.BaseDirectory, "wholefold.staticwebassets.endpoints.json"));
        var html = File.ReadAllText(page);
        app.MapFallback((HttpContext context) => TypedResults.Content(html.Replace("__NONCE__", context.GetNonce(), StringComparison.Ordinal), "text/html; charset=utf-8"));
    }

    /// <summary>No part of the API has this address, or none that is asked for like this.</summary>
    private static IResult NothingHere(HttpContext context, IEnumerable<EndpointDataSource> sources)
    {
        var methods = sources.SelectMany(s => s.Endpoints).OfType<RouteEndpoint>()
            .Where(e => e.RoutePattern.RawText is { } raw && raw.StartsWith("/api/", StringComparison.Ordinal) && !raw.Contains("**", StringComparison.Ordinal)
                && Matches(e.RoutePattern, context.Request.Path))
            .SelectMany(e => e.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? [])
            .Distinct().Order(StringComparer.Ordinal).ToList();
        if (methods.Count == 0)
        {
            return ProblemHandler.Of(StatusCodes.Status404NotFound, "Nothing here", "No part of the API has this address.", "route.missing");
        }

        if (methods.Contains(context.Request.Method))
        {
            // The address and the method are right, so it was passed over for what it carries.
            return ProblemHandler.Of(StatusCodes.Status415UnsupportedMediaType, "Not in this form", "This takes JSON: send it as application/json.", "request.type");
        }

        context.Response.Headers.Allow = string.Join(", ", methods);
        return ProblemHandler.Of(StatusCodes.Status405MethodNotAllowed, "Not like this", $"This address takes {string.Join(" and ", methods)}.", "route.method");
    }

    private static bool Matches(RoutePattern pattern, PathString path) =>
        new TemplateMatcher(TemplateParser.Parse(pattern.RawText!.TrimStart('/').TrimEnd('/')), []).TryMatch(path.Value!.TrimEnd('/') is { Length: > 0 } trimmed ? trimmed : "/", []);

    /// <summary>What the framework refuses by itself is told in words as well.</summary>
    private static Task Tell(Microsoft.AspNetCore.Diagnostics.StatusCodeContext refused)
    {
        var status = refused.HttpContext.Response.StatusCode;
        var problem = status == StatusCodes.Status400BadRequest
            ? ProblemHandler.Of(status, "Not for this address", "Whole Fold answers on localhost only.", "host.refused")
            : ProblemHandler.Of(status, "This did not go through", "The studio could not answer that.", "refused");
        return problem.ExecuteAsync(refused.HttpContext);
    }

    private static readonly HeaderPolicyCollection Headers = new HeaderPolicyCollection()
        .AddContentTypeOptionsNoSniff()
        .AddReferrerPolicyNoReferrer()
        .AddCrossOriginOpenerPolicy(p => p.SameOrigin())
        .AddContentSecurityPolicy(csp =>
        {
            csp.AddDefaultSrc().Self();
            csp.AddScriptSrc().Self().WithNonce();
            csp.AddStyleSrc().Self().WithNonce();
            csp.AddCustomDirective("style-src-attr", "'unsafe-inline'");
            csp.AddImgSrc().Self().Data();
            csp.AddObjectSrc().None();
            csp.AddBaseUri().None();
            csp.AddFrameAncestors().None();
            csp.AddFormAction().Self();
        });

    /// <summary>Another site's page may not use the studio; what needs data waits for them.</summary>
    private static async Task Guard(HttpContext context, RequestDelegate next)
    {
        var origin = context.Request.Headers.Origin.ToString();
        if (origin.Length > 0 && !(Uri.TryCreate(origin, UriKind.Absolute, out var from) && from.Authority == context.Request.Host.Value))
        {
            await ProblemHandler.Of(StatusCodes.Status403Forbidden, "Not from this page", "Another site's page may not use Whole Fold.", "origin.refused").ExecuteAsync(context);
            return;
        }

        if (context.Request.Path.StartsWithSegments("/api"))
        {
            context.Response.Headers.CacheControl = "no-store";
            await context.RequestServices.GetRequiredService<StudioPreparation>().Ready;
        }

        await next(context);
    }
}

/// <summary>
/// Makes the data file ready, and fills a demo studio where one is asked for. The page is served meanwhile; whatever
/// needs data waits for <see cref="Ready"/>.
/// </summary>
internal sealed class StudioPreparation(IServiceScopeFactory scopes, IConfiguration configuration) : IHostedService
{
    /// <summary>Ends when the data can be used, and fails where they cannot.</summary>
    public Task Ready { get; private set; } = Task.CompletedTask;

    public Task StartAsync(CancellationToken cancellationToken)
    {
        Ready = Task.Run(() => Prepare(CancellationToken.None), CancellationToken.None);
        return Task.CompletedTask;
    }

    public Task StopAsync(CancellationToken cancellationToken) => Ready.WaitAsync(cancellationToken)
        .ContinueWith(_ => { }, CancellationToken.None, TaskContinuationOptions.None, TaskScheduler.Default);

    private async Task Prepare(CancellationToken cancel)
    {
        await using var scope = scopes.CreateAsyncScope();
        var context = scope.ServiceProvider.GetRequiredService<WholeFoldContext>();
        await StudioFile.Prepare(context, WebHost.StudioFolder(configuration), cancel);
        if (configuration.GetValue<bool>("Studio:Demo"))
        {
            await DemoStudio.Fill(context, scope.ServiceProvider.GetRequiredService<TimeProvider>(), cancel);
        }
    }
}

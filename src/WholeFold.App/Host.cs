using System.Net;
using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.EntityFrameworkCore;
using Serilog;
using WholeFold.App.Features;
using WholeFold.App.Features.Bench;
using WholeFold.App.Features.Catalogue;
using WholeFold.App.Features.Designs;
using WholeFold.App.Features.Drawer;
using WholeFold.App.Features.Lists;
using WholeFold.App.Features.Shelf;
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
        builder.Services.AddSerilog(log => log.MinimumLevel.Warning().WriteTo.Console(standardErrorFromLevel: Serilog.Events.LogEventLevel.Verbose, formatProvider: System.Globalization.CultureInfo.InvariantCulture));
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.AddServerHeader = false;
            k.Limits.MaxRequestBodySize = LargestRequest;
        });
        builder.Services.AddOpenApi(o => o.AddDocumentTransformer((document, _, _) =>
        {
            document.Info.Title = "Whole Fold";
            document.Info.Version = "1";
            document.Servers = [];
            return Task.CompletedTask;
        }));
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            o.SerializerOptions.MaxDepth = 32;
            o.SerializerOptions.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
            o.SerializerOptions.RespectNullableAnnotations = true;
        });
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<ProblemHandler>();
        builder.Services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddDbContext<WholeFoldContext>((services, options) => options.UseSqlite(StudioFile.ConnectionString(StudioFolder(services.GetRequiredService<IConfiguration>()))));
        builder.Services.AddScoped<DesignStore>();
        builder.Services.AddScoped<OwnThings>();
        if (!DescribesItself)
        {
            builder.Services.AddSingleton<StudioPreparation>();
            builder.Services.AddHostedService(s => s.GetRequiredService<StudioPreparation>());
        }

        var app = builder.Build();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.Use(Guard);
        app.MapOpenApi();
        app.MapBench();
        app.MapShelf();
        app.MapCatalogue();
        app.MapDesigns();
        app.MapDrawer();
        app.MapLists();
        app.Map("/api/{**rest}", () => TypedResults.Problem(statusCode: 404, title: "Nothing here", detail: "No part of the API has this address.", extensions: new Dictionary<string, object?> { ["code"] = "route.missing" })).ExcludeFromDescription();
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
        app.MapFallback((HttpContext context) => TypedResults.Content(html.Replace("__NONCE__", (string)context.Items["nonce"]!, StringComparison.Ordinal), "text/html; charset=utf-8"));
    }

    /// <summary>Answers only this machine's own browser: host and origin are checked, and a strict content policy is sent.</summary>
    private static async Task Guard(HttpContext context, RequestDelegate next)
    {
        if (!IsLoopback(context.Request.Host.Host))
        {
            await TypedResults.Problem(statusCode: StatusCodes.Status403Forbidden, title: "Not for this address", detail: "Whole Fold answers on localhost only.", extensions: new Dictionary<string, object?> { ["code"] = "host.refused" }).ExecuteAsync(context);
            return;
        }

        var origin = context.Request.Headers.Origin.ToString();
        if (origin.Length > 0 && !(Uri.TryCreate(origin, UriKind.Absolute, out var from) && from.Authority == context.Request.Host.Value))
        {
            await TypedResults.Problem(statusCode: StatusCodes.Status403Forbidden, title: "Not from this page", detail: "Another site's page may not use Whole Fold.", extensions: new Dictionary<string, object?> { ["code"] = "origin.refused" }).ExecuteAsync(context);
            return;
        }

        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(18));
        context.Items["nonce"] = nonce;
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = $"default-src 'self'; script-src 'self' 'nonce-{nonce}'; style-src 'self' 'nonce-{nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' data:; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        if (context.Request.Path.StartsWithSegments("/api"))
        {
            headers.CacheControl = "no-store";
            await context.RequestServices.GetRequiredService<StudioPreparation>().Ready;
        }

        await next(context);
    }

    private static bool IsLoopback(string host) => host == "localhost" || (IPAddress.TryParse(host.Trim('[', ']'), out var address) && IPAddress.IsLoopback(address));
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

    public Task StopAsync(CancellationToken cancellationToken) => Ready.WaitAsync(cancellationToken).ContinueWith(_ => { }, CancellationToken.None, TaskContinuationOptions.None, TaskScheduler.Default);

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

using System.Net;
using System.Reflection;
using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Routing.Constraints;
using Microsoft.Extensions.FileProviders;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Samples.Pellwyn;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>The composition root: what the server is made of.</summary>
public static partial class SandbarServer
{
    /// <summary>Largest body of a request, bytes. The largest honest one is an override sheet.</summary>
    public const long LargestBody = 4 * 1024 * 1024;

    /// <summary>
    /// As many threads as there are answers at a time, at the least. Readings are computed where they are asked for and wait for each other there: on two cores the runtime begins with
    /// two threads and adds one or two a second, and an edit would wait for that.
    /// </summary>
    private const int LeastThreads = 32;

    public static WebApplication Create(ServerOptions options)
    {
        ThreadPool.GetMinThreads(out var workers, out var completions);
        ThreadPool.SetMinThreads(Math.Max(workers, LeastThreads), completions);
        var builder = WebApplication.CreateSlimBuilder(new WebApplicationOptions { EnvironmentName = Environments.Production });
        builder.Logging.SetMinimumLevel(LogLevel.Warning);
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.AddServerHeader = false;
            kestrel.Limits.MaxRequestBodySize = LargestBody;
            kestrel.Listen(IPAddress.Loopback, options.Port);
        });
        builder.Services.ConfigureHttpJsonOptions(json => SiteJson.Configure(json.SerializerOptions));
        builder.Services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = true);
        builder.Services.Configure<RouteOptions>(routes => routes.SetParameterPolicy<RegexInlineRouteConstraint>("regex"));
        builder.Services.AddValidation();
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<RequestProblems>();
        builder.Services.AddOpenApi(OpenApiShape.Configure);
        builder.Services.AddSignalR(hub => hub.MaximumReceiveMessageSize = LargestBody).AddJsonProtocol(json => SiteJson.Configure(json.PayloadSerializerOptions));
        builder.Services.AddSingleton(options);
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(_ => new SiteStore(options.Store));
        builder.Services.AddSingleton<OpenSites>();
        builder.Services.AddSingleton<ReadFonts>();
        builder.Services.AddSingleton<Measures>();

        var app = builder.Build();
        app.Use(Guard.Headers);
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.Use(Guard.SameOrigin);
        app.MapOpenApi();
        var api = app.MapGroup("/api");
        SiteEndpoints.Map(api);
        SiteListEndpoints.Map(api);
        EditEndpoints.Map(api);
        ColorEndpoints.Map(api);
        PairEndpoints.Map(api);
        TypeEndpoints.Map(api);
        EdgeEndpoints.Map(api);
        BlockEndpoints.Map(api);
        WritingEndpoints.Map(api);
        PictureEndpoints.Map(api);
        ClipEndpoints.Map(api);
        SnapshotEndpoints.Map(api);
        ReleaseEndpoints.Map(api);
        StageEndpoints.Map(app);
        app.MapHub<LiveHub>(LiveHub.Address);
        MapClient(app, options.Client);
        return app;
    }

    /// <summary>Prepares the store and serves until stopped.</summary>
    public static async Task RunAsync(WebApplication app)
    {
        // The build asks a program for its API without running it: nothing is to be written then.
        if (Assembly.GetEntryAssembly()?.GetName().Name != "GetDocument.Insider")
        {
            await PrepareAsync(app);
            ReadAhead(app);
        }
        await app.RunAsync();
    }

    /// <summary>Once the server runs, reads what will be asked for first while nobody waits for it: the site that was edited last, as its window opens it, and the shelf.</summary>
    public static void ReadAhead(WebApplication app) => app.Lifetime.ApplicationStarted.Register(() => _ = Task.Run(async () =>
    {
        // What cannot be read is told to whoever asks for it.
        var sites = await app.Services.GetRequiredService<SiteStore>().ListEditedAsync(app.Lifetime.ApplicationStopping);
        var slug = sites.MaxBy(s => s.Edited).Site?.Slug;
        if (slug is not null && await app.Services.GetRequiredService<OpenSites>().FindAsync(slug, app.Lifetime.ApplicationStopping) is { } head)
            _ = OpenedSite.Of(head, window: "", head.Stored.Version);
        _ = BundledFamilyView.All.Value;
    }));

    /// <summary>Brings the store up to date and puts the demo site into an empty one.</summary>
    public static async Task PrepareAsync(WebApplication app)
    {
        var store = app.Services.GetRequiredService<SiteStore>();
        await store.MigrateAsync();
        if ((await store.SlugsAsync()).Count == 0) await store.AddAsync(PellwynSample.Create(), app.Services.GetRequiredService<TimeProvider>().GetUtcNow());
    }

    private static void MapClient(WebApplication app, string folder)
    {
        var path = Path.GetFullPath(folder);
        if (!Directory.Exists(path)) return;
        var files = new PhysicalFileProvider(path);
        app.UseDefaultFiles(new DefaultFilesOptions { FileProvider = files });
        app.UseStaticFiles(new StaticFileOptions
        {
            FileProvider = files,
            // Built files carry a fingerprint in their name.
            OnPrepareResponse = context => context.Context.Response.Headers.CacheControl =
                context.Context.Request.Path.StartsWithSegments("/app") ? "public, max-age=31536000, immutable" : "no-cache",
        });
        app.MapFallbackToFile("{*path:regex(^(?!api/|stage/|assets/).*$):nonfile}", "index.html", new StaticFileOptions
        {
            FileProvider = files,
            OnPrepareResponse = context => context.Context.Response.Headers.CacheControl = "no-cache",
        });
    }

    /// <summary>Turns requests that cannot be read into problem details a designer understands.</summary>
    private sealed partial class RequestProblems(IProblemDetailsService problems, ILogger<RequestProblems> log) : IExceptionHandler
    {
        public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
        {
            var (status, detail) = exception switch
            {
                BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } =>
                    (StatusCodes.Status413PayloadTooLarge, $"This is larger than {LargestBody / 1024 / 1024} MB and was not taken. Nothing was changed."),
                BadHttpRequestException { InnerException: JsonException json } =>
                    (StatusCodes.Status400BadRequest, $"The request cannot be read{(json.Path is { Length: > 1 } path ? $" at {path[1..].Replace('.', '/')}" : "")}. Nothing was changed."),
                BadHttpRequestException bad => (bad.StatusCode, "The request cannot be read. Nothing was changed."),
                OperationCanceledException when httpContext.RequestAborted.IsCancellationRequested => (StatusCodes.Status499ClientClosedRequest, "Cancelled."),
                NewerFormatException => (StatusCodes.Status503ServiceUnavailable, "A newer Sandbar wrote this site: go on with that one. It stays as it is."),
                InvalidDataException => (StatusCodes.Status500InternalServerError, "What is stored of this site cannot be read any more, nor any state before it. It stays as it is; open a site file of it instead."),
                _ when StoreTrouble.Of(exception) is { } trouble => (StatusCodes.Status503ServiceUnavailable, $"{trouble} Nothing was changed."),
                _ => (StatusCodes.Status500InternalServerError, "Something went wrong here, and nothing was changed. Reload the page; if it happens again, tell us what you did."),
            };
            // What is handled here is logged by nobody else.
            if (status >= StatusCodes.Status500InternalServerError) LogFailure(exception, httpContext.Request.Method, httpContext.Request.Path);
            httpContext.Response.StatusCode = status;
            return await problems.TryWriteAsync(new()
            {
                HttpContext = httpContext,
                Exception = exception,
                ProblemDetails = { Status = status, Detail = detail },
            });
        }

        [LoggerMessage(LogLevel.Error, "{Method} {Path} failed.")]
        private partial void LogFailure(Exception exception, string method, string path);
    }
}

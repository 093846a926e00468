using Microsoft.Extensions.Primitives;

namespace Sandbar.Server;

/// <summary>What every answer carries, and which requests are let in.</summary>
internal static class Guard
{
    // antd and the CSS editor insert style elements while running.
    private const string AppPolicy =
        "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; media-src 'self'; frame-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    /// <summary>What the stage shows may ask for nothing outside and run nothing, whatever an override says.</summary>
    public const string StagePolicy =
        "default-src 'none'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; media-src 'self'; form-action 'none'; base-uri 'none'; frame-ancestors 'self'; sandbox allow-same-origin";

    /// <summary>A file of the shelf opened on its own.</summary>
    public const string AssetPolicy = "default-src 'none'; style-src 'unsafe-inline'; sandbox";

    private static readonly string[] LoopbackHosts = ["127.0.0.1", "localhost", "[::1]"];

    /// <summary>Headers are set when the answer starts, so that errors carry them too.</summary>
    public static Task Headers(HttpContext context, RequestDelegate next)
    {
        context.Response.OnStarting(() =>
        {
            var headers = context.Response.Headers;
            if (StringValues.IsNullOrEmpty(headers.ContentSecurityPolicy)) headers.ContentSecurityPolicy = AppPolicy;
            headers.XContentTypeOptions = "nosniff";
            headers["Referrer-Policy"] = "no-referrer";
            headers["Cross-Origin-Resource-Policy"] = "same-origin";
            return Task.CompletedTask;
        });
        return next(context);
    }

    /// <summary>
    /// Refuses hosts that are not this machine (a foreign name pointed here), and changes asked for or sockets opened by pages of other sites.
    /// </summary>
    public static Task SameOrigin(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        var origin = request.Headers.Origin.ToString();
        var allowed = LoopbackHosts.Contains(request.Host.Host, StringComparer.OrdinalIgnoreCase)
            && (origin.Length == 0 || origin.Equals($"{request.Scheme}://{request.Host}", StringComparison.OrdinalIgnoreCase)
                || (HttpMethods.IsGet(request.Method) && !request.Path.StartsWithSegments(LiveHub.Address)));
        if (allowed) return next(context);
        context.Response.StatusCode = StatusCodes.Status403Forbidden;
        return Task.CompletedTask;
    }
}

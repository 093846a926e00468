using System.IO.Compression;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.FileProviders;
using Microsoft.Extensions.Logging;

namespace Sandbar.Browser.Tests;

/// <summary>An unpacked release behind a plain web server, as any host would serve it.</summary>
internal sealed class Released : IAsyncDisposable
{
    private readonly WebApplication app;

    private Released(WebApplication app, string folder) => (this.app, Folder) = (app, folder);

    public string Folder { get; }

    public Uri Address => new(app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()!.Addresses.First());

    /// <param name="fontsAfter">How long fonts take longer than anything else.</param>
    public static async Task<Released> UnpackAsync(byte[] zip, TimeSpan fontsAfter = default)
    {
        var folder = Directory.CreateTempSubdirectory("sandbar-release-").FullName;
        using (var archive = new ZipArchive(new MemoryStream(zip))) archive.ExtractToDirectory(folder);
        var builder = WebApplication.CreateSlimBuilder();
        builder.Logging.ClearProviders();
        var app = builder.Build();
        app.Urls.Add("http://127.0.0.1:0");
        app.Use(async (context, next) =>
        {
            if (fontsAfter > TimeSpan.Zero && context.Request.Path.Value!.EndsWith(".woff2", StringComparison.Ordinal))
            {
                // On every page anew.
                context.Response.Headers.CacheControl = "no-store";
                await Task.Delay(fontsAfter, context.RequestAborted);
            }
            await next(context);
        });
        app.UseStaticFiles(new StaticFileOptions { FileProvider = new PhysicalFileProvider(folder) });
        await app.StartAsync();
        return new(app, folder);
    }

    public async ValueTask DisposeAsync()
    {
        await app.DisposeAsync();
        Directory.Delete(Folder, recursive: true);
    }
}

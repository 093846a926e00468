using System.IO.Compression;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Interchange;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>Taking a site away.</summary>
internal static class ReleaseEndpoints
{
    // A fixed date, so that the same site gives the same bytes.
    private static readonly DateTimeOffset FileDate = new(2000, 1, 1, 0, 0, 0, TimeSpan.Zero);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites/{slug}/release/site.css", async Task<Results<FileContentHttpResult, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.File(Encoding.UTF8.GetBytes(SiteRelease.StyleSheet(head.Stored.Site)), "text/css; charset=utf-8", SiteRelease.StyleSheetPath)
                : SiteEndpoints.Missing(slug)).ExcludeFromDescription();

        api.MapGet("/sites/{slug}/release/pages.zip", async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
            string slug, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            return await ZipAsync(slug, SiteRelease.Files(head.Stored.Site), store, cancel);
        }).ExcludeFromDescription();

        api.MapGet("/sites/{slug}/release/site-file.zip", async Task<Results<FileContentHttpResult, ProblemHttpResult>> (
            string slug, OpenSites sites, SiteStore store, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = head.Stored.Site;
            var assets = site.Shelf.Select(item => new ReleaseFile(SiteFile.AssetPath(slug, item), null, item.Hash)).DistinctBy(f => f.Path);
            return await ZipAsync($"{slug}-site", assets.Prepend(new(slug + SiteFile.Extension, SiteFile.Write(site), null)), store, cancel);
        }).ExcludeFromDescription();
    }

    /// <summary>Files in one zip, the same bytes for the same files.</summary>
    public static async Task<Results<FileContentHttpResult, ProblemHttpResult>> ZipAsync(
        string name, IEnumerable<ReleaseFile> files, SiteStore store, CancellationToken cancel)
    {
        using var bytes = new MemoryStream();
        using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var file in files)
            {
                var content = file.Text is { } text ? Encoding.UTF8.GetBytes(text) : await store.AssetAsync(file.Hash!, cancel) is { } asset ? file.Bytes(asset.Bytes) : null;
                if (content is null) return TypedResults.Problem($"The file {file.Path} is missing from the shelf.", statusCode: StatusCodes.Status500InternalServerError);
                var entry = zip.CreateEntry(file.Path);
                entry.LastWriteTime = FileDate;
                await using var stream = await entry.OpenAsync(cancel);
                await stream.WriteAsync(content, cancel);
            }
        }
        return TypedResults.File(bytes.ToArray(), "application/zip", $"{name}.zip");
    }
}

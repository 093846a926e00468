using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>The live pages, and the files they show.</summary>
internal static class StageEndpoints
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/stage/{slug}/{page}", async Task<Results<ContentHttpResult, ProblemHttpResult>> (
            string slug, string page, OpenSites sites, HttpResponse response, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = head.Stored.Site;
            if (site.Pages.Find(page) is not { } found) return TypedResults.Problem("This page is no longer there.", statusCode: StatusCodes.Status404NotFound);
            response.Headers.ContentSecurityPolicy = Guard.StagePolicy;
            response.Headers.CacheControl = "no-store";
            return TypedResults.Content(PageWriter.Write(site, found, Stage(site, SheetView.Of(head.Stored.Version, head.Sheet))), "text/html; charset=utf-8");
        }).ExcludeFromDescription();

        app.MapGet("/assets/{hash}", async Task<Results<FileContentHttpResult, NotFound>> (string hash, SiteStore store, HttpResponse response, CancellationToken cancel) =>
        {
            if (await store.AssetAsync(hash, cancel) is not { } asset) return TypedResults.NotFound();
            response.Headers.ContentSecurityPolicy = Guard.AssetPolicy;
            response.Headers.CacheControl = "public, max-age=31536000, immutable";
            return TypedResults.File(asset.Bytes, asset.MediaType);
        }).ExcludeFromDescription();
    }

    /// <summary>Where the stage finds a file of the shelf.</summary>
    public static string AssetAddress(ShelfItem item) => $"/assets/{item.Hash}";

    private static Surroundings Stage(Site site, SheetView sheet) => new(
        page => $"/stage/{site.Slug}/{page.Id}",
        AssetAddress,
        $"    <style id=\"sheet\" data-version=\"{sheet.Version}\">\n{Inline(sheet.Generated)}</style>\n    <style id=\"overrides\">\n{Inline(sheet.Overrides)}</style>\n",
        MarkBlocks: true);

    /// <summary>CSS inside a style element must not close it: the slash is escaped, which changes nothing where it can stand.</summary>
    private static string Inline(string css) => css.Replace("</", "<\\/", StringComparison.Ordinal);
}

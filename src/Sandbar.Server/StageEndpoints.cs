using Microsoft.AspNetCore.Http.HttpResults;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Rendering;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>The live pages, and the files they show.</summary>
internal static class StageEndpoints
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/stage/{slug}/{page}", async Task<Results<ContentHttpResult, ProblemHttpResult>> (
            string slug, string page, string? before, OpenSites sites, HttpResponse response, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            var site = before is null ? head.Stored.Site : await sites.EarlierAsync(head, before, cancel) ?? head.Stored.Site;
            var found = site.Pages.Find(page);
            if (found is null && page != Specimen.PageId) return TypedResults.Problem("This page is no longer there.", statusCode: StatusCodes.Status404NotFound);
            response.Headers.ContentSecurityPolicy = Guard.StagePolicy;
            response.Headers.CacheControl = "no-store";
            var around = Around(site) with { Head = Sheets(head, found is null ? PageChanges.SpecimenMark(site) : PageChanges.Mark(site, found)) };
            return TypedResults.Content(found is null ? Specimen.Write(site, around) : PageWriter.Write(site, found, around), "text/html; charset=utf-8");
        }).ExcludeFromDescription();

        // Where sheets look for pictures, seen from the pages: the file may be another one the next moment.
        app.MapGet("/stage/{slug}/pictures/{file}", async Task<Results<FileContentHttpResult, NotFound>> (string slug, string file, OpenSites sites, SiteStore store, HttpResponse response, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head || head.Stored.Site.Shelf.FirstOrDefault(i => i.File == $"pictures/{file}") is not { } item) return TypedResults.NotFound();
            if (await store.AssetAsync(item.Hash, cancel) is not { } asset) return TypedResults.NotFound();
            response.Headers.ContentSecurityPolicy = Guard.AssetPolicy;
            response.Headers.CacheControl = "no-cache";
            return TypedResults.File(asset.Bytes, asset.MediaType, entityTag: new($"\"{item.Hash}\""));
        }).ExcludeFromDescription();

        app.MapGet("/assets/{hash}", async Task<Results<FileContentHttpResult, NotFound>> (string hash, SiteStore store, HttpResponse response, CancellationToken cancel) =>
        {
            // A family that no site has taken yet can be looked at too.
            if ((await store.AssetAsync(hash, cancel) ?? BundledFamilies.Asset(hash)) is not { } asset) return TypedResults.NotFound();
            response.Headers.ContentSecurityPolicy = Guard.AssetPolicy;
            response.Headers.CacheControl = "public, max-age=31536000, immutable";
            // Clips are read in pieces.
            return TypedResults.File(asset.Bytes, asset.MediaType, enableRangeProcessing: true);
        }).ExcludeFromDescription();
    }

    /// <summary>Where the stage finds a file of the shelf.</summary>
    public static string AssetAddress(ShelfItem item) => $"/assets/{item.Hash}";

    /// <summary>Where the pages on stage find each other and their files.</summary>
    public static Surroundings Around(Site site) => new((page, _) => $"/stage/{site.Slug}/{page.Id}", AssetAddress, Head: "", MarkBlocks: true) { ShowEmpty = true, StandsIn = true };

    /// <summary>How the stage shows what holds nothing yet. In no layer: a page's own rules do not hide it.</summary>
    private const string Empty = """
            <style>
              [data-empty]:not([contenteditable], :has([contenteditable])) { opacity: 0.55; }
              .nothing-yet, .picture-missing { display: grid; place-items: center; min-block-size: 4rem; margin: 0; border: 1px dashed currentcolor; opacity: 0.55; font: 500 14px/1.4 system-ui, sans-serif; }
              .picture-missing { min-block-size: 12rem; }
              /* Where no script runs, browsers show their own. */
              .fill video::-webkit-media-controls { display: none !important; }
              [data-drop] { outline: 3px dashed #0b5d63; outline-offset: -3px; }
              [contenteditable] { outline: 2px solid #0b5d63; outline-offset: 4px; cursor: text; }
              :is(td, th)[contenteditable] { outline-offset: 1px; }
              :is(td, th)[contenteditable]:not(:focus) { outline: none; }
              [data-hint]:empty::before, [data-hint] li:only-child:empty::before { content: attr(data-hint); opacity: 0.55; }
            </style>

        """;

    private static string Sheets(Head head, string mark) =>
        Empty +
        $"    <style id=\"sheet\" data-page=\"{mark}\" data-version=\"{head.Stored.Version}\">\n{StyleSheetText.Generated(head.Sheet, SheetUse.Stage, AssetAddress)}</style>\n"
        + $"    <style id=\"overrides\">\n{OverrideText.Of(head.Sheet.Overrides).Readable(SheetUse.Stage)}</style>\n";
}

using System.ComponentModel.DataAnnotations;
using System.IO.Compression;
using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Core.Interchange;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Core.Starting;
using Sandbar.Store;

namespace Sandbar.Server;

public sealed record SiteSummary(string Slug, string Name);

/// <summary>A site in the list of all.</summary>
/// <param name="Edited">When it was edited last, or made where it never was.</param>
public sealed record ListedSite(string Slug, string Name, DateTimeOffset Edited);

/// <summary>A site that was put away.</summary>
public sealed record AwaySite(string Slug, string Name, DateTimeOffset Since);

/// <summary>What a site is known by at sight.</summary>
/// <param name="Page">Id of its first page; null where it has none.</param>
/// <param name="Colors">Its colours, as hex.</param>
public sealed record SiteFront(string? Page, IReadOnlyList<string> Colors);

public sealed record DuplicateRequest([property: MaxLength(60)] string Name);

/// <summary>The sites as things: listed, duplicated, put away and brought back, opened from a file.</summary>
internal static class SiteListEndpoints
{
    /// <summary>Largest zip that is opened, bytes; and the most it may hold when unpacked.</summary>
    private const long LargestZip = 32 * 1024 * 1024, LargestUnpacked = 96 * 1024 * 1024;

    /// <summary>Largest site file within it, bytes: read, it takes many times as much.</summary>
    private const long LargestSiteFile = 16 * 1024 * 1024;

    /// <summary>Bytes in memory after which an import clears up behind it.</summary>
    private const long MuchMemory = 256 * 1024 * 1024;

    private const int MostEntries = 1000;

    private static readonly SemaphoreSlim Reading = new(1, 1);

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites", async (SiteStore store, CancellationToken cancel) =>
            (await store.ListEditedAsync(cancel)).Select(s => new ListedSite(s.Site.Slug, s.Site.Name, s.Edited)).ToList()).WithName("listSites");

        api.MapGet("/away", async (SiteStore store, CancellationToken cancel) =>
            (await store.AwayAsync(cancel)).Select(s => new AwaySite(s.Slug, s.Name, s.Deleted!.Value)).ToList()).WithName("listSitesAway");

        api.MapGet("/sites/{slug}/front", async Task<Results<Ok<SiteFront>, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.FindAsync(slug, cancel) is { } head
                ? TypedResults.Ok(new SiteFront(head.Stored.Site.Pages.FirstOrDefault()?.Id, [.. head.View.Colors.Select(c => c.Hex)]))
                : SiteEndpoints.Missing(slug)).WithName("siteFront");

        api.MapPost("/sites/new", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (NewSiteWishes wishes, OpenSites sites, CancellationToken cancel) =>
        {
            var (site, problems) = NewSite.Create(wishes, Names.Slug(wishes.Name));
            return site is null ? EditEndpoints.Refused(problems) : await AddAsync(site.Site, site.Assets, sites, cancel);
        }).WithName("newSite").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/copies", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (
            string slug, DuplicateRequest request, OpenSites sites, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            return await AddAsync(head.Stored.Site with { Name = request.Name }, [], sites, cancel);
        }).WithName("duplicateSite").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapDelete("/sites/{slug}", async Task<Results<NoContent, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.PutAwayAsync(slug, cancel) ? TypedResults.NoContent() : SiteEndpoints.Missing(slug)).WithName("deleteSite");

        api.MapPost("/sites/{slug}/restored", async Task<Results<NoContent, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.BringBackAsync(slug, cancel) switch
            {
                { Problem: { } problem } => EditEndpoints.Refused([problem]),
                { Found: true } => TypedResults.NoContent(),
                _ => SiteEndpoints.Missing(slug),
            }).WithName("restoreSite").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (HttpRequest request, [MaxLength(60)] string? name, OpenSites sites, CancellationToken cancel) =>
        {
            // One at a time: what one unpacks to is bounded, and so is what all do.
            await Reading.WaitAsync(cancel);
            try
            {
                using var bytes = new MemoryStream();
                await request.Body.CopyToAsync(bytes, cancel);
                var (site, assets) = Read(bytes);
                return await AddAsync(name is null ? site : site with { Name = name }, assets, sites, cancel);
            }
            catch (Exception broken) when (broken is FormatException or InvalidDataException)
            {
                var said = broken is FormatException ? broken.Message : "This is not a zip that can be read.";
                return TypedResults.Problem($"{said} Nothing was opened.", statusCode: StatusCodes.Status400BadRequest, title: "The site file cannot be opened");
            }
            finally
            {
                // What a large one took is given back, which otherwise waits for the next who needs as much.
                if (GC.GetTotalMemory(forceFullCollection: false) > MuchMemory) GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
                Reading.Release();
            }
        }).WithName("openSiteFile").Accepts<byte[]>("application/zip").ProducesProblem(StatusCodes.Status400BadRequest)
            .WithMetadata(new RequestSizeLimitAttribute(LargestZip));
    }

    private static async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> AddAsync(Site site, IReadOnlyList<Asset> assets, OpenSites sites, CancellationToken cancel) =>
        await sites.AddAsync(site, assets, cancel) switch
        {
            { Site: { } added } => TypedResults.Ok(new SiteSummary(added.Slug, added.Name)),
            { Problem: var problem } => EditEndpoints.Refused([problem!]),
        };

    /// <summary>A zip with one site file and its assets. Only what the site names is read, and only if it is what the site names.</summary>
    private static (Site Site, IReadOnlyList<Asset> Assets) Read(Stream bytes)
    {
        using var zip = new ZipArchive(bytes, ZipArchiveMode.Read);
        if (zip.Entries.Count > MostEntries) throw new FormatException($"The zip holds more than {MostEntries} files.");
        var files = zip.Entries.Where(e => e.FullName.EndsWith(SiteFile.Extension, StringComparison.OrdinalIgnoreCase)).ToList();
        if (files.Count != 1) throw new FormatException(files.Count == 0 ? $"There is no {SiteFile.Extension} file in this zip." : "There is more than one site in this zip.");
        var left = LargestUnpacked;
        var leftForSite = LargestSiteFile;
        var site = SiteFile.Read(System.Text.Encoding.UTF8.GetString(Unpack(files[0], ref leftForSite)));
        var name = files[0].FullName[..^SiteFile.Extension.Length];
        var assets = new List<Asset>();
        foreach (var item in site.Shelf.DistinctBy(i => i.Hash))
        {
            var entry = zip.GetEntry(SiteFile.AssetPath(name, item)) ?? throw new FormatException($"{item.Name} is missing: {SiteFile.AssetPath(name, item)} is not in the zip.");
            var content = Unpack(entry, ref left);
            if (Convert.ToHexStringLower(SHA256.HashData(content)) != item.Hash) throw new FormatException($"{item.Name} is not the file the site was saved with: its bytes have changed.");
            if (!FileSignature.Fits(item.MediaType, content)) throw new FormatException($"{item.Name} is not what its name says: {item.File} is of another kind.");
            if (item.IsClip) ClipFile.Read(content);
            var kept = item.MediaType == "image/svg+xml" ? SvgText.Cleaned(content) : content;
            var hash = Convert.ToHexStringLower(SHA256.HashData(kept));
            if (hash != item.Hash) site = site with { Shelf = site.Shelf.Each(i => i.Hash == item.Hash ? i with { Hash = hash } : i) };
            assets.Add(new(hash, item.MediaType, kept));
        }
        var (measured, checkedAssets) = OwnFont.Checked(site, assets);
        Shown(measured);
        return (measured, checkedAssets);
    }

    /// <summary>What is taken has been shown once: stylesheet, every page, the specimen page and all that windows ask for.</summary>
    private static void Shown(Site site)
    {
        try
        {
            _ = SiteView.Of(new(new(site, 0, []), StyleSheetRenderer.Render(site)));
            _ = SiteRelease.Files(site).Sum(f => f.Text?.Length ?? 0);
            _ = Specimen.Write(site, StageEndpoints.Around(site));
            _ = ContrastPairs.Of(site, CancellationToken.None);
        }
        catch (Exception broken) when (broken is not OperationCanceledException)
        {
            throw new FormatException("The site file cannot be shown here: something in it does not fit together.", broken);
        }
    }

    private static byte[] Unpack(ZipArchiveEntry entry, ref long left)
    {
        using var stream = entry.Open();
        using var content = new MemoryStream();
        var buffer = new byte[81920];
        int read;
        while ((read = stream.Read(buffer)) > 0)
        {
            // Counted as it comes: what the zip says of its sizes is not to be trusted.
            if ((left -= read) < 0) throw new FormatException($"Unpacked, this is larger than can be opened: a site file has at most {LargestSiteFile / 1024 / 1024} MB, all files together {LargestUnpacked / 1024 / 1024} MB.");
            content.Write(buffer, 0, read);
        }
        return content.ToArray();
    }
}

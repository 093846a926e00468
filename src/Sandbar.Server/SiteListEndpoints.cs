using System.ComponentModel.DataAnnotations;
using System.IO.Compression;
using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;
using Sandbar.Core.Starting;
using Sandbar.Store;

namespace Sandbar.Server;

public sealed record SiteSummary(string Slug, string Name);

public sealed record DuplicateRequest([property: MaxLength(60)] string Name);

/// <summary>The sites as things: listed, duplicated, put away and brought back, opened from a file.</summary>
internal static class SiteListEndpoints
{
    /// <summary>Largest zip that is opened, bytes; and the most it may hold when unpacked.</summary>
    private const long LargestZip = 32 * 1024 * 1024, LargestUnpacked = 96 * 1024 * 1024;

    private const int MostEntries = 1000;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/sites", async (SiteStore store, CancellationToken cancel) =>
            (await store.ListAsync(cancel)).Select(s => new SiteSummary(s.Slug, s.Name)).ToList()).WithName("listSites");

        api.MapPost("/sites/new", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (NewSiteWishes wishes, SiteStore store, TimeProvider clock, CancellationToken cancel) =>
        {
            var (site, problems) = NewSite.Create(wishes, Names.Slug(wishes.Name));
            return site is null ? EditEndpoints.Refused(problems) : await AddAsync(site.Site, site.Assets, store, clock, cancel);
        }).WithName("newSite").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapPost("/sites/{slug}/copies", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (
            string slug, DuplicateRequest request, OpenSites sites, SiteStore store, TimeProvider clock, CancellationToken cancel) =>
        {
            if (await sites.FindAsync(slug, cancel) is not { } head) return SiteEndpoints.Missing(slug);
            return await AddAsync(head.Stored.Site with { Name = request.Name.Trim() }, [], store, clock, cancel);
        }).WithName("duplicateSite").ProducesProblem(StatusCodes.Status400BadRequest);

        api.MapDelete("/sites/{slug}", async Task<Results<NoContent, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.PutAwayAsync(slug, away: true, cancel) ? TypedResults.NoContent() : SiteEndpoints.Missing(slug)).WithName("deleteSite");

        api.MapPost("/sites/{slug}/restored", async Task<Results<NoContent, ProblemHttpResult>> (string slug, OpenSites sites, CancellationToken cancel) =>
            await sites.PutAwayAsync(slug, away: false, cancel) ? TypedResults.NoContent() : SiteEndpoints.Missing(slug)).WithName("restoreSite");

        api.MapPost("/sites", async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> (HttpRequest request, SiteStore store, TimeProvider clock, CancellationToken cancel) =>
        {
            try
            {
                using var bytes = new MemoryStream();
                await request.Body.CopyToAsync(bytes, cancel);
                var (site, assets) = Read(bytes);
                return await AddAsync(site, assets, store, clock, cancel);
            }
            catch (Exception broken) when (broken is FormatException or InvalidDataException)
            {
                var said = broken is FormatException ? broken.Message : "This is not a zip that can be read.";
                return TypedResults.Problem($"{said} Nothing was opened.", statusCode: StatusCodes.Status400BadRequest, title: "The site file cannot be opened");
            }
        }).WithName("openSiteFile").Accepts<byte[]>("application/zip").ProducesProblem(StatusCodes.Status400BadRequest)
            .WithMetadata(new RequestSizeLimitAttribute(LargestZip));
    }

    private static async Task<Results<Ok<SiteSummary>, ProblemHttpResult>> AddAsync(
        Site site, IReadOnlyList<Asset> assets, SiteStore store, TimeProvider clock, CancellationToken cancel)
    {
        if (Names.Check(site.Name, (await store.ListAsync(cancel)).Select(s => s.Name)) is { } problem) return EditEndpoints.Refused([problem]);
        var added = site with { Slug = Names.FreeSlug(site.Name, await store.SlugsAsync(cancel)) };
        await store.AddAsync(new(added, assets), clock.GetUtcNow(), cancel);
        return TypedResults.Ok(new SiteSummary(added.Slug, added.Name));
    }

    /// <summary>A zip with one site file and its assets. Only what the site names is read, and only if it is what the site names.</summary>
    private static (Site Site, IReadOnlyList<Asset> Assets) Read(Stream bytes)
    {
        using var zip = new ZipArchive(bytes, ZipArchiveMode.Read);
        if (zip.Entries.Count > MostEntries) throw new FormatException($"The zip holds more than {MostEntries} files.");
        var files = zip.Entries.Where(e => e.FullName.EndsWith(SiteFile.Extension, StringComparison.OrdinalIgnoreCase)).ToList();
        if (files.Count != 1) throw new FormatException(files.Count == 0 ? $"There is no {SiteFile.Extension} file in this zip." : "There is more than one site in this zip.");
        var left = LargestUnpacked;
        var site = SiteFile.Read(System.Text.Encoding.UTF8.GetString(Unpack(files[0], ref left)));
        var name = files[0].FullName[..^SiteFile.Extension.Length];
        var assets = new List<Asset>();
        foreach (var item in site.Shelf.DistinctBy(i => i.Hash))
        {
            var entry = zip.GetEntry(SiteFile.AssetPath(name, item)) ?? throw new FormatException($"{item.Name} is missing: {SiteFile.AssetPath(name, item)} is not in the zip.");
            var content = Unpack(entry, ref left);
            if (Convert.ToHexStringLower(SHA256.HashData(content)) != item.Hash) throw new FormatException($"{item.Name} is not the file the site was saved with: its bytes have changed.");
            assets.Add(new(item.Hash, item.MediaType, content));
        }
        return (site, assets);
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
            if ((left -= read) < 0) throw new FormatException($"Unpacked, this is larger than {LargestUnpacked / 1024 / 1024} MB.");
            content.Write(buffer, 0, read);
        }
        return content.ToArray();
    }
}

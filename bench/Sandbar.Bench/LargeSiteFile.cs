using System.IO.Compression;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Interchange;

namespace Sandbar.Bench;

/// <summary>A large test site as a zip that the application opens, to look at every view with much in it.</summary>
internal static class LargeSiteFile
{
    public static async Task WriteAsync(SiteWithAssets large, string path)
    {
        var (site, assets) = large;
        await using var file = File.Create(path);
        using var zip = new ZipArchive(file, ZipArchiveMode.Create);
        await AddAsync(zip, site.Slug + SiteFile.Extension, Encoding.UTF8.GetBytes(SiteFile.Write(site)));
        foreach (var item in site.Shelf.DistinctBy(i => i.Hash)) await AddAsync(zip, SiteFile.AssetPath(site.Slug, item), assets.First(a => a.Hash == item.Hash).Bytes);
    }

    private static async Task AddAsync(ZipArchive zip, string path, byte[] bytes)
    {
        await using var stream = await zip.CreateEntry(path).OpenAsync();
        await stream.WriteAsync(bytes);
    }
}

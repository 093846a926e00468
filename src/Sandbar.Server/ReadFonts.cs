using System.Collections.Concurrent;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Type;
using Sandbar.Fonts;
using Sandbar.Store;
using FontFile = Sandbar.Fonts.FontFile;

namespace Sandbar.Server;

/// <summary>Fonts that were read, by the hash of their bytes: those asked for last are kept.</summary>
public sealed class ReadFonts(SiteStore store)
{
    private const int Most = 64;

    private readonly ConcurrentDictionary<string, (TextMeasure? Font, long Asked)> fonts = new(StringComparer.Ordinal);
    private long asked;

    /// <summary>The fonts of a site's shelf, read where they were not; null for one that cannot be.</summary>
    public async Task<Func<ShelfItem, TextMeasure?>> OfAsync(Site site, CancellationToken cancel)
    {
        var here = new Dictionary<string, TextMeasure?>(StringComparer.Ordinal);
        foreach (var item in site.Shelf.Where(i => i.MediaType == FamilyKind.FontType).DistinctBy(i => i.Hash)) here[item.Hash] = await ReadAsync(item.Hash, cancel);
        return item => here.GetValueOrDefault(item.Hash);
    }

    private async Task<TextMeasure?> ReadAsync(string hash, CancellationToken cancel)
    {
        var now = Interlocked.Increment(ref asked);
        if (fonts.TryGetValue(hash, out var known))
        {
            fonts[hash] = (known.Font, now);
            return known.Font;
        }
        var bytes = (BundledFamilies.Asset(hash) ?? await store.AssetAsync(hash, cancel))?.Bytes;
        var font = bytes is null ? null : Read(bytes);
        // What somebody still measures with is let go by the garbage collector, not here.
        foreach (var (oldest, _) in fonts.OrderBy(f => f.Value.Asked).Take(Math.Max(0, fonts.Count - Most + 1))) fonts.TryRemove(oldest, out _);
        fonts[hash] = (font, now);
        return font;
    }

    private static TextMeasure? Read(byte[] bytes)
    {
        try
        {
            return new(FontFile.Read(bytes));
        }
        catch (FormatException)
        {
            return null;
        }
    }
}

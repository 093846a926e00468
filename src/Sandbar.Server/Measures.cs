using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Pictures;
using Sandbar.Core.Rendering;
using Sandbar.Core.Reviewing;
using Sandbar.Store;

namespace Sandbar.Server;

/// <summary>
/// What windows of the stage measured on the pages of open sites: kept by page and width, as long as the page and the sheet are the same to the letter. Only in memory: a window measures anew what
/// is missing.
/// </summary>
internal sealed class Measures(SiteStore store)
{
    private const int MostSites = 24;

    /// <summary>Of all pictures that are kept decoded: four bytes each.</summary>
    private const long MostPixels = 100_000_000;

    private readonly ConcurrentDictionary<string, ConcurrentDictionary<(string Page, int Width), Kept>> sites = new(StringComparer.Ordinal);
    private readonly ConcurrentDictionary<string, DecodedPicture?> pictures = new(StringComparer.Ordinal);
    private readonly ConditionalWeakTable<StyleSheet, string> sheets = [];

    /// <summary>What is known of a site as it is now.</summary>
    public SiteMeasures Of(Head head)
    {
        var site = head.Stored.Site;
        if (!sites.TryGetValue(site.Slug, out var kept)) return new([]);
        var sheet = MarkOf(head);
        return new([.. kept.Where(k => k.Value.Sheet == sheet && site.Pages.Find(k.Key.Page) is { } page && k.Value.Page == PageChanges.Mark(site, page)).Select(k => k.Value)]);
    }

    /// <summary>Takes down what was measured, and reckons how the texts read.</summary>
    /// <returns>How many texts lie over fills, each state and scheme by itself.</returns>
    public async Task<int> TakeAsync(Head head, MeasuredTexts measured, CancellationToken cancel)
    {
        var site = head.Stored.Site;
        if (site.Pages.Find(measured.Page) is not { } page || !Viewports.All.Contains((measured.Width, measured.Height))) return 0;
        var texts = TextContrasts.Of(site, measured, await PicturesAsync(site, [page.Id], cancel), cancel);
        if (sites.Count >= MostSites && !sites.ContainsKey(site.Slug)) sites.Clear();
        sites.GetOrAdd(site.Slug, _ => new())[(page.Id, measured.Width)] = new(MarkOf(head), PageChanges.Mark(site, page), measured, texts);
        return texts.Length;
    }

    /// <summary>The pictures of the backgrounds on some pages, decoded; null for one that cannot be.</summary>
    public async Task<Func<ShelfItem, DecodedPicture?>> PicturesAsync(Site site, IEnumerable<string> pages, CancellationToken cancel)
    {
        var here = new Dictionary<string, DecodedPicture?>(StringComparer.Ordinal);
        foreach (var item in TextContrasts.PicturesBehind(site, pages))
        {
            if (!pictures.TryGetValue(item.Hash, out var picture))
            {
                picture = await store.AssetAsync(item.Hash, cancel) is { } asset ? Decoded(asset.Bytes) : null;
                // What somebody still paints with is let go by the garbage collector, not here.
                if (pictures.Values.Append(picture).Sum(p => p is null ? 0L : (long)p.Width * p.Height) > MostPixels) pictures.Clear();
                pictures[item.Hash] = picture;
            }
            here[item.Hash] = picture;
        }
        return item => here.GetValueOrDefault(item.Hash);
    }

    private static DecodedPicture? Decoded(byte[] bytes)
    {
        try
        {
            return DecodedPicture.Of(bytes);
        }
        catch (FormatException)
        {
            return null;
        }
    }

    private string MarkOf(Head head) => sheets.GetValue(head.Sheet, sheet => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(StyleSheetText.Release(sheet, item => item.Hash)))));

    internal sealed record Kept(string Sheet, string Page, MeasuredTexts Measured, ImmutableArray<TextContrast> Texts);
}

/// <summary>What is known of how the texts of a site read over fills.</summary>
internal sealed class SiteMeasures(ImmutableArray<Measures.Kept> kept)
{
    /// <summary>The pages that were measured.</summary>
    public IReadOnlyList<MeasuredTexts> Pages { get; } = [.. kept.Select(k => k.Measured)];

    /// <summary>The texts of which it cannot be told, each block of a page once.</summary>
    public IEnumerable<TextContrast> Untold => kept.SelectMany(k => k.Texts).Where(t => t.Why.Length > 0).DistinctBy(t => (t.Place.Page, t.Place.Block, t.Look));

    /// <summary>The pairs with what was measured among them.</summary>
    public ImmutableArray<ContrastPair> Among(ImmutableArray<ContrastPair> pairs) => MeasuredPairs.Of(pairs, kept.SelectMany(k => k.Texts), Knows);

    /// <summary>Whether it is known of a block of a page how its texts read, at every width.</summary>
    public bool Knows(string page, string block) => !Missing(page).Any() && !kept.Any(k => k.Texts.Any(t => t.Why.Length > 0 && t.Place.Page == page && t.Place.Block == block));

    /// <summary>The windows a page was not measured in.</summary>
    public IEnumerable<(int Width, int Height)> Missing(string page) => Viewports.All.Where(v => !kept.Any(k => k.Measured.Page == page && k.Measured.Width == v.Width));
}

using System.Collections.Immutable;
using System.Runtime.CompilerServices;

namespace Sandbar.Core.Design;

/// <summary>Finding and replacing blocks, wherever they stand.</summary>
public static class Blocks
{
    // What is found in a site or a block is kept for as long as it stays as it is.
    private static readonly ConditionalWeakTable<Site, Block[]> DifferentOnSite = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Different = [];

    private static readonly ConditionalWeakTable<Block, (string Part, int Count)[]> PartCounts = [];

    /// <summary>Every block of the site: the frame's, then page by page, outer before inner.</summary>
    public static IEnumerable<Block> All(Site site) => Outermost(site).SelectMany(WithInner);

    /// <summary>The blocks that a page shows, the frame's among them.</summary>
    public static IEnumerable<Block> Of(Site site, Page page) => page.Sections.Prepend(site.Frame.Header).Append(site.Frame.Footer).SelectMany(WithInner);

    /// <summary>The frame's blocks and every page's sections.</summary>
    public static IEnumerable<Block> Outermost(Site site) => new[] { site.Frame.Header, site.Frame.Footer }.Concat(site.Pages.SelectMany(p => p.Sections));

    /// <summary>A block and all that is inside.</summary>
    public static IEnumerable<Block> WithInner(Block block) => block.Blocks.SelectMany(WithInner).Prepend(block);

    /// <summary>The blocks that differ from their looks. Pages that do not change cost next to nothing.</summary>
    public static IEnumerable<Block> WithOwnValues(Site site) =>
        DifferentOnSite.GetValue(site, s => [.. Outermost(s).SelectMany(b => Different.GetValue(b, d => [.. WithInner(d).Where(i => i.Own.Count > 0)]))]);

    /// <summary>How many blocks there are of each part, and on how many pages, by the part's id.</summary>
    public static IReadOnlyDictionary<string, (int Blocks, int Pages)> CountByPart(Site site)
    {
        var counts = new Dictionary<string, (int Blocks, int Pages)>(StringComparer.Ordinal);
        var frame = new[] { site.Frame.Header, site.Frame.Footer };
        foreach (var (part, count) in frame.SelectMany(Parts)) counts[part] = (counts.GetValueOrDefault(part).Blocks + count, site.Pages.Length);
        var inFrame = counts.Keys.ToHashSet(StringComparer.Ordinal);
        var onPage = new HashSet<string>(StringComparer.Ordinal);
        foreach (var page in site.Pages)
        {
            onPage.Clear();
            foreach (var (part, count) in page.Sections.SelectMany(Parts))
            {
                var (blocks, pages) = counts.GetValueOrDefault(part);
                counts[part] = (blocks + count, onPage.Add(part) && !inFrame.Contains(part) ? pages + 1 : pages);
            }
        }
        return counts;
    }

    private static (string Part, int Count)[] Parts(Block block) =>
        PartCounts.GetValue(block, b => [.. WithInner(b).GroupBy(i => i.Part, StringComparer.Ordinal).Select(g => (g.Key, g.Count()))]);

    public static Block? Find(Site site, string id) => All(site).FirstOrDefault(b => b.Id == id);

    /// <summary>The site with the block of the same id replaced. What is elsewhere keeps its identity.</summary>
    public static Site Put(Site site, Block block)
    {
        var frame = new Frame(In(site.Frame.Header, block), In(site.Frame.Footer, block));
        if (!ReferenceEquals(frame.Header, site.Frame.Header) || !ReferenceEquals(frame.Footer, site.Frame.Footer)) return site with { Frame = frame };
        foreach (var page in site.Pages)
        {
            var sections = In(page.Sections, block);
            if (sections != page.Sections) return site with { Pages = site.Pages.Put(page with { Sections = sections }) };
        }
        return site;
    }

    private static Block In(Block outer, Block block)
    {
        if (outer.Id == block.Id) return block;
        var inner = In(outer.Blocks, block);
        return inner == outer.Blocks ? outer : outer with { Blocks = inner };
    }

    private static ImmutableArray<Block> In(ImmutableArray<Block> list, Block block)
    {
        for (var i = 0; i < list.Length; i++)
        {
            var changed = In(list[i], block);
            if (!ReferenceEquals(changed, list[i])) return list.SetItem(i, changed);
        }
        return list;
    }
}

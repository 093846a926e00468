using System.Collections.Immutable;
using System.Runtime.CompilerServices;

namespace Sandbar.Core.Design;

/// <summary>Finding and replacing blocks, wherever they stand.</summary>
public static class Blocks
{
    // What is found in a site or a block is kept for as long as it stays as it is.
    private static readonly ConditionalWeakTable<Site, Block[]> DifferentOnSite = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Inner = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Different = [];

    private static readonly ConditionalWeakTable<Site, HashSet<string>> HiddenOnSite = [];

    private static readonly ConditionalWeakTable<Block, string[]> Hidden = [];

    private static readonly ConditionalWeakTable<Block, (string Part, int Count)[]> PartCounts = [];

    private static readonly ConditionalWeakTable<Block, (string Look, int Count)[]> LookCounts = [];

    /// <summary>Every block of the site: the frame's, then page by page, outer before inner.</summary>
    public static IEnumerable<Block> All(Site site) => Outermost(site).SelectMany(WithInner);

    /// <summary>What was set aside: kept, and shown nowhere.</summary>
    public static IEnumerable<Block> SetAside(Site site) => site.Aside.Blocks.Select(a => a.Block).Concat(site.Aside.Pages.SelectMany(p => p.Sections)).SelectMany(WithInner);

    /// <summary>The frame's blocks and every page's sections.</summary>
    public static IEnumerable<Block> Outermost(Site site) => OfFrame(site).Concat(site.Pages.SelectMany(p => p.Sections));

    /// <summary>What a page shows, from top to bottom: the header, its sections, the footer.</summary>
    public static IEnumerable<Block> OnPage(Site site, Page page) => page.Sections.Prepend(site.Frame.Header).Append(site.Frame.Footer);

    /// <summary>A block and all that is inside, outer before inner.</summary>
    public static IEnumerable<Block> WithInner(Block block) => block.Blocks.IsEmpty ? [block] : Inner.GetValue(block, Flat);

    private static Block[] Flat(Block outermost)
    {
        var all = new List<Block>();
        Add(outermost);
        return [.. all];

        void Add(Block block)
        {
            all.Add(block);
            foreach (var inner in block.Blocks) Add(inner);
        }
    }

    /// <summary>The blocks that differ from their looks. Pages that do not change cost next to nothing.</summary>
    public static IEnumerable<Block> WithOwnValues(Site site) =>
        DifferentOnSite.GetValue(site, s => [.. Outermost(s).SelectMany(b => Different.GetValue(b, d => [.. WithInner(d).Where(i => i.Own.Count > 0)]))]);

    /// <summary>Whether a block or one in it differs from its look.</summary>
    public static bool HaveOwnValues(Block block) => Different.GetValue(block, d => [.. WithInner(d).Where(i => i.Own.Count > 0)]).Length > 0;

    /// <summary>How many blocks wear each look, by the look's id.</summary>
    public static IReadOnlyDictionary<string, int> CountByLook(Site site)
    {
        var counts = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var (look, count) in Outermost(site).SelectMany(b => LookCounts.GetValue(b, c => [.. WithInner(c).GroupBy(i => i.Look, StringComparer.Ordinal).Select(g => (g.Key, g.Count()))])))
            counts[look] = counts.GetValueOrDefault(look) + count;
        return counts;
    }

    /// <summary>At which widths some block of the site is hidden: words of <see cref="Breaks.Names"/>.</summary>
    public static IReadOnlySet<string> HiddenAt(Site site) =>
        HiddenOnSite.GetValue(site, s => [.. Outermost(s).SelectMany(b => Hidden.GetValue(b, h => [.. WithInner(h).Where(i => i.HiddenAt.Length > 0).SelectMany(i => i.HiddenAt.Split(' ')).Distinct()]))]);

    /// <summary>How many blocks there are of each part, and on how many pages, by the part's id.</summary>
    public static IReadOnlyDictionary<string, (int Blocks, int Pages)> CountByPart(Site site)
    {
        var counts = new Dictionary<string, (int Blocks, int Pages)>(StringComparer.Ordinal);
        foreach (var (part, count) in OfFrame(site).SelectMany(Parts)) counts[part] = (counts.GetValueOrDefault(part).Blocks + count, site.Pages.Length);
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

    public static Block? Find(Site site, string id) => All(site).FirstOrDefault(b => b.Id == id);

    /// <summary>The site with the block of the same id replaced. What is elsewhere keeps its identity.</summary>
    public static Site Put(Site site, Block block) => Map(site, outermost => In(outermost, block));

    /// <summary>The site with each outermost block changed, those set aside too. What does not change keeps its identity.</summary>
    public static Site Map(Site site, Func<Block, Block> change)
    {
        var frame = new Frame(change(site.Frame.Header), change(site.Frame.Footer));
        if (!ReferenceEquals(frame.Header, site.Frame.Header) || !ReferenceEquals(frame.Footer, site.Frame.Footer)) site = site with { Frame = frame };
        foreach (var page in site.Pages)
        {
            var sections = page.Sections.Each(change);
            if (sections != page.Sections) site = site with { Pages = site.Pages.Put(page with { Sections = sections }) };
        }
        var aside = new Aside(
            site.Aside.Blocks.Each(a => change(a.Block) is var block && ReferenceEquals(block, a.Block) ? a : a with { Block = block }),
            site.Aside.Pages.Each(p => p.Sections.Each(change) is var sections && sections == p.Sections ? p : p with { Sections = sections }));
        return aside == site.Aside ? site : site with { Aside = aside };
    }

    /// <summary>A list with each item changed; the same list where none is.</summary>
    public static ImmutableArray<T> Each<T>(this ImmutableArray<T> list, Func<T, T> change)
        where T : class
    {
        for (var i = 0; i < list.Length; i++)
        {
            var changed = change(list[i]);
            if (!ReferenceEquals(changed, list[i])) list = list.SetItem(i, changed);
        }
        return list;
    }

    private static Block[] OfFrame(Site site) => [site.Frame.Header, site.Frame.Footer];

    private static (string Part, int Count)[] Parts(Block block) =>
        PartCounts.GetValue(block, b => [.. WithInner(b).GroupBy(i => i.Part, StringComparer.Ordinal).Select(g => (g.Key, g.Count()))]);

    private static Block In(Block outer, Block block)
    {
        if (outer.Id == block.Id) return block;
        var inner = outer.Blocks.Each(b => In(b, block));
        return inner == outer.Blocks ? outer : outer with { Blocks = inner };
    }
}

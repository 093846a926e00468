using System.Collections.Immutable;
using System.Runtime.CompilerServices;

namespace Sandbar.Core.Design;

/// <summary>Finding and replacing blocks, wherever they stand.</summary>
public static class Blocks
{
    // What is found in a site or a block is kept for as long as it stays as it is.
    private static readonly ConditionalWeakTable<Site, Block[]> DifferentOnSite = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Inner = [];

    private static readonly ConditionalWeakTable<Page, Dictionary<string, Block>> ById = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Different = [];

    private static readonly ConditionalWeakTable<Block, Block[]> Carrying = [];

    private static readonly ConditionalWeakTable<Site, HashSet<string>> HiddenOnSite = [];

    private static readonly ConditionalWeakTable<Block, string[]> Hidden = [];

    private static readonly ConditionalWeakTable<Page, Counts> OfPage = [];

    private static readonly ConditionalWeakTable<Block, Counts> OfOutermost = [];

    /// <summary>Every block of the site: the frame's, then page by page, outer before inner.</summary>
    public static IEnumerable<Block> All(Site site) => Outermost(site).SelectMany(WithInner);

    /// <summary>How many blocks there are in the frame and on the pages.</summary>
    public static int Count(Site site) => OfFrame(site).Concat(site.Pages.Select(CountsOf)).Sum(c => c.All);

    /// <summary>What was set aside: kept, and shown nowhere.</summary>
    public static IEnumerable<Block> SetAside(Site site) => site.Aside.Blocks.Select(a => a.Block).Concat(site.Aside.Pages.SelectMany(p => p.Sections)).SelectMany(WithInner);

    /// <summary>The frame's blocks and every page's sections.</summary>
    public static IEnumerable<Block> Outermost(Site site) => site.Pages.SelectMany(p => p.Sections).Prepend(site.Frame.Footer).Prepend(site.Frame.Header);

    private static Block[] Frame(Site site) => [site.Frame.Header, site.Frame.Footer];

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
        DifferentOnSite.GetValue(site, s => [.. Outermost(s).SelectMany(WithOwnValues)]);

    /// <summary>Those of a block and of what is inside it that differ from their looks.</summary>
    public static Block[] WithOwnValues(Block block) => Different.GetValue(block, d => [.. WithInner(d).Where(i => i.Own.Count > 0)]);

    /// <summary>Those of a block and of what is inside it that carry a scheme.</summary>
    public static Block[] WithScheme(Block block) => Carrying.GetValue(block, c => [.. WithInner(c).Where(i => i.Scheme is not null)]);

    /// <summary>Whether a block or one in it differs from its look.</summary>
    public static bool HaveOwnValues(Block block) => WithOwnValues(block).Length > 0;

    /// <summary>How many blocks wear each look, by the look's id.</summary>
    public static IReadOnlyDictionary<string, int> CountByLook(Site site)
    {
        var counts = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var (look, count) in OfFrame(site).Concat(site.Pages.Select(CountsOf)).SelectMany(c => c.Looks)) counts[look] = counts.GetValueOrDefault(look) + count;
        return counts;
    }

    /// <summary>At which widths some block of the site is hidden: words of <see cref="Breaks.Names"/>.</summary>
    public static IReadOnlySet<string> HiddenAt(Site site) =>
        HiddenOnSite.GetValue(site, s => [.. Outermost(s).SelectMany(b => Hidden.GetValue(b, h => [.. WithInner(h).Where(i => i.HiddenAt.Length > 0).SelectMany(i => i.HiddenAt.Split(' ')).Distinct()]))]);

    /// <summary>How many blocks there are of each part, and on how many pages, by the part's id.</summary>
    public static IReadOnlyDictionary<string, (int Blocks, int Pages)> CountByPart(Site site)
    {
        var counts = new Dictionary<string, (int Blocks, int Pages)>(StringComparer.Ordinal);
        foreach (var (part, count) in OfFrame(site).SelectMany(c => c.Parts)) counts[part] = (counts.GetValueOrDefault(part).Blocks + count, site.Pages.Length);
        var inFrame = counts.Keys.ToHashSet(StringComparer.Ordinal);
        foreach (var (part, count) in site.Pages.SelectMany(p => CountsOf(p).Parts))
        {
            var (blocks, pages) = counts.GetValueOrDefault(part);
            counts[part] = (blocks + count, inFrame.Contains(part) ? pages : pages + 1);
        }
        return counts;
    }

    public static Block? Find(Site site, string id)
    {
        foreach (var page in site.Pages)
        {
            if (Find(page, id) is { } found) return found;
        }
        return Frame(site).SelectMany(WithInner).FirstOrDefault(b => b.Id == id);
    }

    /// <summary>A block that stands on a page, the frame left out.</summary>
    public static Block? Find(Page page, string id) =>
        ById.GetValue(page, p => p.Sections.SelectMany(WithInner).DistinctBy(b => b.Id, StringComparer.Ordinal).ToDictionary(b => b.Id, StringComparer.Ordinal)).GetValueOrDefault(id);

    /// <summary>Blocks by their ids, in the order of the site.</summary>
    public static IEnumerable<Block> Find(Site site, IReadOnlySet<string> ids) =>
        Frame(site).Concat(site.Pages.Where(p => ids.Any(id => Find(p, id) is not null)).SelectMany(p => p.Sections)).SelectMany(WithInner).Where(b => ids.Contains(b.Id));

    /// <summary>The site with the block of the same id replaced. What is elsewhere keeps its identity.</summary>
    public static Site Put(Site site, Block block) =>
        site.Pages.FirstOrDefault(p => Find(p, block.Id) is not null) is { } page ? site with { Pages = site.Pages.Put(page with { Sections = page.Sections.Each(s => In(s, block)) }) } : Map(site, outermost => In(outermost, block));

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

    private static IEnumerable<Counts> OfFrame(Site site) => Frame(site).Select(CountsOf);

    private static Counts CountsOf(Page page) => OfPage.GetValue(page, p => Counts.Of(p.Sections.SelectMany(WithInner)));

    private static Counts CountsOf(Block outermost) => OfOutermost.GetValue(outermost, o => Counts.Of(WithInner(o)));

    /// <summary>How many blocks there are of each part, and in each look.</summary>
    private sealed record Counts(int All, (string Part, int Count)[] Parts, (string Look, int Count)[] Looks)
    {
        public static Counts Of(IEnumerable<Block> blocks)
        {
            var all = blocks.ToList();
            return new(all.Count, [.. all.CountBy(b => b.Part, StringComparer.Ordinal).Select(c => (c.Key, c.Value))], [.. all.CountBy(b => b.Look, StringComparer.Ordinal).Select(c => (c.Key, c.Value))]);
        }
    }

    private static Block In(Block outer, Block block)
    {
        if (outer.Id == block.Id) return block;
        var inner = outer.Blocks.Each(b => In(b, block));
        return inner == outer.Blocks ? outer : outer with { Blocks = inner };
    }
}

using System.Collections.Immutable;
using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using Sandbar.Core.Design;
using Sandbar.Core.Foundations.Fills;
using Sandbar.Core.Foundations.Space;

namespace Sandbar.Core.Rendering;

/// <summary>A block at the top of a page whose HTML changed.</summary>
/// <param name="Page">Id of the page it stands on.</param>
/// <param name="Block">Id of the block.</param>
public sealed record BlockChange(string Page, string Block, string Html);

/// <summary>The sections of a page where they came, went or moved.</summary>
/// <param name="Page">Id of the page.</param>
/// <param name="Sections">Their ids, from top to bottom.</param>
public sealed record SectionOrder(string Page, ImmutableArray<string> Sections);

/// <summary>What of the pages' HTML differs from one site to another.</summary>
public static class PageChanges
{
    private static readonly Surroundings Anywhere = new((page, turn) => $"{page.Slug} {turn}", item => item.Hash, Head: "", MarkBlocks: true) { ShowEmpty = true };

    private static readonly ConditionalWeakTable<Page, Marked> Marks = [];

    // Of the site that was edited last: another one computes its own anew.
    private static volatile MarkedSpecimen? specimen;

    /// <summary>The changed blocks of some pages. Blocks that stayed as they are cost nothing.</summary>
    /// <param name="pages">Ids of the pages that are looked at.</param>
    public static IEnumerable<BlockChange> Between(Site before, Site after, IEnumerable<string> pages, Surroundings surroundings)
    {
        var isSameAround = Around.Of(before).Equals(Around.Of(after));
        var arePostsSame = before.Posts == after.Posts && before.Categories == after.Categories;
        foreach (var id in pages)
        {
            if (before.Pages.Find(id) is not { } earlier || after.Pages.Find(id) is not { } page) continue;
            var known = Blocks.OnPage(before, earlier).ToDictionary(b => b.Id, StringComparer.Ordinal);
            foreach (var block in Blocks.OnPage(after, page))
            {
                var was = known.GetValueOrDefault(block.Id);
                if (isSameAround && ReferenceEquals(was, block) && (arePostsSame || !PostLists.Show(block)) && (earlier.Sections == page.Sections || !PostLists.ShowTurns(block))) continue;
                var html = PageWriter.Write(after, page, block, surroundings);
                if (was is null || html != PageWriter.Write(before, earlier, was, surroundings)) yield return new(id, block.Id, html);
            }
        }
    }

    /// <summary>The sections of those pages where they came, went or moved.</summary>
    public static IEnumerable<SectionOrder> Orders(Site before, Site after, IEnumerable<string> pages) =>
        from id in pages
        let earlier = before.Pages.Find(id)
        let page = after.Pages.Find(id)
        where earlier is not null && page is not null && earlier.Sections != page.Sections && !earlier.Sections.Select(s => s.Id).SequenceEqual(page.Sections.Select(s => s.Id), StringComparer.Ordinal)
        select new SectionOrder(id, [.. page.Sections.Select(s => s.Id)]);

    /// <summary>What tells the HTML of a page from every other: the same as long as not a letter of it changes. Kept for as long as what it is written from stays.</summary>
    public static string Mark(Site site, Page page)
    {
        var around = Around.Of(site);
        if (Marks.TryGetValue(page, out var marked) && marked.Header == site.Frame.Header && marked.Footer == site.Frame.Footer
            && ((marked.Posts == site.Posts && marked.Categories == site.Categories) || !PostLists.Show(site, page)))
        {
            if (marked.Around.Equals(around)) return marked.Mark;
            // Other pages may come, go or be found elsewhere: that changes those alone that lead there.
            if (marked.Around.OtherPages(around) is { } others && !PageLinks.Lead(site, page, others))
            {
                Marks.AddOrUpdate(page, marked with { Around = around });
                return marked.Mark;
            }
        }
        var mark = MarkOf(PageWriter.Write(site, page, Anywhere));
        Marks.AddOrUpdate(page, new(site.Frame.Header, site.Frame.Footer, site.Posts, site.Categories, around, mark));
        return mark;
    }

    /// <summary>What tells the HTML of the specimen page from what it was.</summary>
    public static string SpecimenMark(Site site)
    {
        var around = Around.Of(site);
        if (specimen is { } kept && kept.Pages == site.Pages && kept.Posts == site.Posts && kept.Categories == site.Categories && ReferenceEquals(kept.Type, site.Type) && kept.Around.Equals(around)) return kept.Mark;
        var mark = MarkOf(Specimen.Write(site, Anywhere));
        specimen = new(site.Pages, site.Posts, site.Categories, site.Type, around, mark);
        return mark;
    }

    private static string MarkOf(string html) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(html)))[..16];

    private sealed record MarkedSpecimen(ImmutableArray<Page> Pages, ImmutableArray<Post> Posts, ImmutableArray<Category> Categories, TypeFoundation Type, Around Around, string Mark);

    private sealed record Marked(Block Header, Block Footer, ImmutableArray<Post> Posts, ImmutableArray<Category> Categories, Around Around, string Mark);

    /// <summary>What the HTML of a block reads besides the block: all that can change an address, a class or a menu.</summary>
    private sealed class Around(Site site) : IEquatable<Around>
    {
        private static readonly ConditionalWeakTable<Site, Around> Kept = [];

        private static volatile Around? latest;

        private volatile Comparison? compared;

        private readonly ImmutableArray<Menu> menus = site.Menus;
        private readonly ImmutableArray<ShelfItem> shelf = site.Shelf;
        private readonly (string, string)[] looks = [.. site.Looks.Select(l => (l.Id, l.CssName))];
        private readonly (string, string)[] pages = [.. site.Pages.Select(p => (p.Id, p.Slug))];
        private readonly string[] fills = [.. FillMarkup(site)];
        private readonly bool hasSidebar = PaperKind.HasSidebar(site.Space.Paper[0]);
        private readonly (string, string)[] schemes = [.. site.Palette.Schemes.Select(s => (s.Id, s.CssName))];

        /// <summary>Edits rarely change any of it: then it is the one from before, and comparing costs nothing however many pages there are.</summary>
        public static Around Of(Site site) => Kept.GetValue(site, s =>
        {
            var fresh = new Around(s);
            if (latest is { } known && known.Equals(fresh)) return known;
            return latest = fresh;
        });

        public bool Equals(Around? other) => other is not null && (ReferenceEquals(this, other)
            || (IsSameButPages(other) && pages.AsSpan().SequenceEqual(other.pages)));

        /// <summary>Ids of the pages that are only in one of both, or found elsewhere in the other, where they are all that differs; null where more does.</summary>
        public HashSet<string>? OtherPages(Around other)
        {
            // Every page of a site asks the same.
            if (compared is { } known && ReferenceEquals(known.With, other)) return known.Others;
            HashSet<string>? others = IsSameButPages(other) ? [.. pages.Except(other.pages).Concat(other.pages.Except(pages)).Select(p => p.Item1)] : null;
            compared = new(other, others);
            return others;
        }

        private sealed record Comparison(Around With, HashSet<string>? Others);

        private bool IsSameButPages(Around other) =>
            hasSidebar == other.hasSidebar && fills.AsSpan().SequenceEqual(other.fills) && menus == other.menus && shelf == other.shelf && looks.AsSpan().SequenceEqual(other.looks) && schemes.AsSpan().SequenceEqual(other.schemes);

        /// <summary>The backgrounds that are elements, and what wears them: with none, nothing is looked through.</summary>
        private static IEnumerable<string> FillMarkup(Site site)
        {
            foreach (var background in site.Fills.Backgrounds.Where(BackgroundKind.NeedsElement))
            {
                yield return FillLayers.Markup(site, background);
                foreach (var look in site.Looks)
                {
                    foreach (var (cell, value) in look.Cells)
                    {
                        if (value is ReferenceValue { To: BackgroundKind.Kind } worn && worn.Id == background.Id) yield return $"{look.Id} {cell}";
                    }
                }
                foreach (var value in new[] { site.Space.Paper[0].Fill, site.Space.Paper[0].Around })
                {
                    if (value is ReferenceValue { To: BackgroundKind.Kind } worn && worn.Id == background.Id) yield return value == site.Space.Paper[0].Fill ? "paper" : "around";
                }
            }
        }

        public override bool Equals(object? obj) => Equals(obj as Around);

        public override int GetHashCode() => looks.Length;
    }
}

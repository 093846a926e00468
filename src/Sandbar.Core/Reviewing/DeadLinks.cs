using Sandbar.Core.Catalogue;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Css;

namespace Sandbar.Core.Reviewing;

/// <summary>A link that leads nowhere.</summary>
/// <param name="Page">Id of the page it stands on; null in the frame.</param>
/// <param name="Block">Id of the block.</param>
/// <param name="Says">What is wrong, in a sentence.</param>
public sealed record DeadLink(string? Page, string Block, string Says);

/// <summary>Links to pages that are gone or set aside, and to addresses that no block of their page has.</summary>
public static class DeadLinks
{
    public static IEnumerable<DeadLink> Of(Site site)
    {
        var addresses = new Dictionary<string, HashSet<string>>(StringComparer.Ordinal);
        foreach (var block in new[] { site.Frame.Header, site.Frame.Footer })
        {
            foreach (var dead in In(block, null)) yield return dead;
        }
        // Items of menus are told of once, at the first place that shows them.
        foreach (var menu in site.Menus)
        {
            if (Blocks.All(site).FirstOrDefault(b => Shows(b, menu)) is not { } shown) continue;
            var page = BlockTree.PlaceOf(site, shown.Id)?.Page;
            foreach (var dead in menu.All().Select(i => Dead(shown.Id, Quoted.Text(i.Label), i.Page, page is null ? null : site.Pages.Get(page))).OfType<DeadLink>()) yield return dead;
        }
        // So are posts and categories.
        foreach (var links in PostLists.Links(site).GroupBy(l => l.Part, StringComparer.Ordinal))
        {
            if (Blocks.All(site).FirstOrDefault(b => b.Part == links.Key) is not { } list) continue;
            var page = BlockTree.PlaceOf(site, list.Id)?.Page;
            foreach (var dead in links.Select(l => Dead(list.Id, Quoted.Text(l.Name), l.To, page is null ? null : site.Pages.Get(page))).OfType<DeadLink>()) yield return dead;
        }
        foreach (var page in site.Pages)
        {
            foreach (var dead in page.Sections.SelectMany(s => In(s, page))) yield return dead;
        }

        static bool Shows(Block block, Menu menu) => PartCatalogue.Find(block.Part) is { } part && part.Slots.Any(s => s.Kind == SlotKind.Menu && block.Content.GetValueOrDefault(s.Id) == menu.Id);

        IEnumerable<DeadLink> In(Block outermost, Page? page) => PageLinks.In(outermost).Select(l => Dead(l.Block, l.Name, l.To, page)).OfType<DeadLink>();

        DeadLink? Dead(string block, string name, string to, Page? page)
        {
            var at = to.IndexOf('#', StringComparison.Ordinal);
            var (id, anchor) = (at < 0 ? to : to[..at], at < 0 ? "" : to[(at + 1)..]);
            if (id.Length > 0 && !Names.IsId(id)) return null;
            var target = id.Length == 0 ? page : site.Pages.Find(id);
            if (id.Length > 0 && target is null)
            {
                var aside = site.Aside.Pages.Find(id);
                return new(page?.Id, block, aside is null ? $"{name} leads to a page that is gone." : $"{name} leads to {aside.Name}, which is set aside.");
            }
            return anchor.Length > 0 && target is not null && !Addresses(target).Contains(anchor) ? new(page?.Id, block, $"{name} leads to #{anchor}, and nothing on {target.Name} has this address.") : null;
        }

        HashSet<string> Addresses(Page page)
        {
            if (addresses.TryGetValue(page.Id, out var known)) return known;
            return addresses[page.Id] = Blocks.OnPage(site, page).SelectMany(Blocks.WithInner).Select(b => b.Address).Where(a => a.Length > 0).ToHashSet(StringComparer.Ordinal);
        }
    }
}

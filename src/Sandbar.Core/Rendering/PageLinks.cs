using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Rendering;

/// <summary>A link of a block.</summary>
/// <param name="Block">Id of the block.</param>
/// <param name="Name">What it is called, quoted.</param>
/// <param name="To">Where it leads, as links have it.</param>
internal readonly record struct BlockLink(string Block, string Name, string To);

/// <summary>Where the links of pages lead. What does not change costs nothing.</summary>
internal static class PageLinks
{
    private static readonly ConditionalWeakTable<Block, BlockLink[]> OfBlock = [];

    /// <summary>Whether a page, its frame, a menu or a post it lists leads to one of some pages.</summary>
    /// <param name="pages">Their ids.</param>
    public static bool Lead(Site site, Page page, HashSet<string> pages) =>
        Blocks.OnPage(site, page).Any(o => In(o).Any(l => pages.Contains(ContentCheck.PageOf(l.To)))) || site.Menus.Any(m => m.All().Any(i => pages.Contains(ContentCheck.PageOf(i.Page))))
        || (PostLists.Show(site, page) && PostLists.Links(site).Any(l => pages.Contains(ContentCheck.PageOf(l.To))));

    /// <summary>The links of a block and of those in it.</summary>
    public static BlockLink[] In(Block outermost) => OfBlock.GetValue(outermost, Links);

    private static BlockLink[] Links(Block outermost) =>
    [
        .. from block in Blocks.WithInner(outermost)
           let part = PartCatalogue.Find(block.Part)
           where part is not null
           from slot in part.Slots
           let held = block.Content.GetValueOrDefault(slot.Id, "")
           where held.Length > 0
           from to in slot.Kind switch { SlotKind.Link => [held], SlotKind.Text or SlotKind.List or SlotKind.Table => InlineText.Links(held), _ => [] }
           where to.Length > 0 && ContentCheck.IsSafe(to)
           select new BlockLink(block.Id, Quoted.Text(block.Name), to),
    ];
}

using System.Globalization;
using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Rendering;

/// <summary>Which posts are shown where. What does not change costs nothing.</summary>
public static class PostLists
{
    private const string List = "posts", CategoryList = "categories", FurtherLinks = "paging";

    /// <summary>As many pages as the specimen goes on to, so that what leads to them shows.</summary>
    private const int OnSpecimen = 3;

    private static readonly ConditionalWeakTable<Block, Block[]> OfBlock = [];

    /// <summary>The posts a block lists, the newest first; of one day those added last.</summary>
    internal static IReadOnlyList<Post> Of(Site site, Block block)
    {
        var category = Held(block, "category");
        return [.. site.Posts.Where(p => category.Length == 0 || p.Category == category).OrderByDescending(p => p.Date, StringComparer.Ordinal)];
    }

    /// <summary>Those of them that stand on one of the pages it goes on to.</summary>
    internal static IEnumerable<Post> OnTurn(Site site, Block block, int turn) => Of(site, block).Skip(GoesOn(block) ? (turn - 1) * AtMost(block) : 0).Take(AtMost(block));

    /// <summary>How many pages the lists of a page go on to, itself included; 1 where they go on to none.</summary>
    public static int Turns(Site site, Page page)
    {
        if (page.Id == PageIds.Specimen) return OnSpecimen;
        var most = 1;
        foreach (var list in Blocks.OnPage(site, page).SelectMany(In).Where(b => b.Part == List && GoesOn(b))) most = Math.Max(most, (Of(site, list).Count + AtMost(list) - 1) / AtMost(list));
        return most;
    }

    /// <summary>Whether a block or one in it shows posts or categories.</summary>
    internal static bool Show(Block outermost) => In(outermost).Length > 0;

    /// <summary>Whether a block or one in it says how many pages the lists on its page go on to.</summary>
    internal static bool ShowTurns(Block outermost) => Array.Exists(In(outermost), b => b.Part == FurtherLinks);

    /// <summary>Whether a page or its frame shows posts or categories.</summary>
    internal static bool Show(Site site, Page page) => Blocks.OnPage(site, page).Any(Show);

    /// <summary>Where posts and categories lead, with what each is called and the part that shows it.</summary>
    internal static IEnumerable<(string Part, string Name, string To)> Links(Site site) =>
        site.Posts.Select(p => (Part: List, Name: p.Title, p.To)).Concat(site.Categories.Select(c => (Part: CategoryList, c.Name, c.To))).Where(l => l.To.Length > 0 && ContentCheck.IsSafe(l.To));

    private static Block[] In(Block outermost) => OfBlock.GetValue(outermost, o => [.. Blocks.WithInner(o).Where(b => PartCatalogue.Find(b.Part)?.Group == PartGroup.Posts)]);

    private static bool GoesOn(Block block) => Held(block, "beyond") == "further";

    private static int AtMost(Block block) => int.Parse(Held(block, "most"), CultureInfo.InvariantCulture);

    /// <summary>What a slot holds; of a choice that was not made the first of its words.</summary>
    private static string Held(Block block, string slot) =>
        block.Content.GetValueOrDefault(slot, "") is { Length: > 0 } held ? held : PartCatalogue.Get(block.Part).Slots.First(s => s.Id == slot).Words is [var first, ..] ? first.Code : "";
}

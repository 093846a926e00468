using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Interchange.Upgrades;

/// <summary>A site brought up from an older format without the values that it took and no format should have: browsers dropped them, or the page did not come.</summary>
internal static class ValuesThatHold
{
    public static Site In(Site site)
    {
        site = site with { Looks = site.Looks.Each(look => PartCatalogue.Find(look.Part) is { } part && Held(site, part, look.Cells, look.Cells) is { } cells ? look with { Cells = cells } : look) };
        return Blocks.Map(site, block => In(site, block));
    }

    private static Block In(Site site, Block block)
    {
        if (block.Own.Count > 0 && PartCatalogue.Find(block.Part) is { } part && site.Looks.Find(block.Look) is { } look && Held(site, part, block.Own, look.Cells) is { } own) block = block with { Own = own };
        var inner = block.Blocks.Each(b => In(site, b));
        return inner == block.Blocks ? block : block with { Blocks = inner };
    }

    /// <summary>The cells that hold; null where all do.</summary>
    private static ImmutableSortedDictionary<string, Value>? Held(Site site, Part part, ImmutableSortedDictionary<string, Value> cells, ImmutableSortedDictionary<string, Value> rests)
    {
        var wrong = LookCheck.Cells(site, "", part, cells, rests).Select(p => p.Path[1..]).ToList();
        return wrong.Count == 0 ? null : cells.RemoveRange(wrong);
    }
}

namespace Sandbar.Core.Design;

/// <summary>Where a block stands.</summary>
/// <param name="Page">Id of the page; null in the frame.</param>
/// <param name="Parent">Id of the block it stands in; null on the page itself.</param>
/// <param name="At">Its place there, from 0.</param>
public readonly record struct BlockPlace(string? Page, string? Parent, int At);

/// <summary>Taking blocks out of pages, putting them in, and copying them.</summary>
public static class BlockTree
{
    /// <summary>Where a block stands; null where it stands nowhere. The header and the footer stand in the frame, at 0 and 1.</summary>
    public static BlockPlace? PlaceOf(Site site, string id)
    {
        foreach (var page in site.Pages)
        {
            if (Blocks.Find(page, id) is null) continue;
            for (var i = 0; i < page.Sections.Length; i++)
            {
                if (page.Sections[i].Id == id) return new(page.Id, null, i);
                if (Within(page.Sections[i], id, page.Id) is { } place) return place;
            }
        }
        return site.Frame.Header.Id == id ? new(null, null, 0) : site.Frame.Footer.Id == id ? new(null, null, 1) : Within(site.Frame.Header, id, null) ?? Within(site.Frame.Footer, id, null);
    }

    /// <summary>The blocks a block stands in, the innermost first.</summary>
    public static IEnumerable<Block> Around(Site site, string id)
    {
        for (var place = PlaceOf(site, id); place?.Parent is { } parent; place = PlaceOf(site, parent)) yield return Blocks.Find(site, parent)!;
    }

    /// <summary>The site without a block.</summary>
    public static Site Without(Site site, string id)
    {
        if (PlaceOf(site, id) is not { } place) return site;
        if (place.Parent is { } parent) return Blocks.Find(site, parent) is { } outer ? Blocks.Put(site, outer with { Blocks = outer.Blocks.RemoveAt(place.At) }) : site;
        return place.Page is { } page && site.Pages.Get(page) is var on ? site with { Pages = site.Pages.Put(on with { Sections = on.Sections.RemoveAt(place.At) }) } : site;
    }

    /// <summary>The site with a block put in; a place beyond the end is the end.</summary>
    /// <exception cref="KeyNotFoundException">What it is put in is not there.</exception>
    public static Site With(Site site, BlockPlace place, params ReadOnlySpan<Block> blocks)
    {
        if (place.Parent is { } parent)
        {
            var outer = Blocks.Find(site, parent) ?? throw new KeyNotFoundException($"No block {parent}.");
            return Blocks.Put(site, outer with { Blocks = outer.Blocks.InsertRange(Math.Clamp(place.At, 0, outer.Blocks.Length), blocks) });
        }
        var page = site.Pages.Get(place.Page!);
        return site with { Pages = site.Pages.Put(page with { Sections = page.Sections.InsertRange(Math.Clamp(place.At, 0, page.Sections.Length), blocks) }) };
    }

    /// <summary>How many blocks deep it goes: 1 for one that holds none.</summary>
    public static int Depth(Block block) => block.Blocks.IsEmpty ? 1 : 1 + block.Blocks.Max(Depth);

    /// <summary>The same block with ids of its own: the first is the one given, those inside count on from it. Addresses stay with the one that had them.</summary>
    /// <param name="keepShared">Whether it is the same for another place where it is shown in several; what is shared inside always is.</param>
    public static Block Copy(Block block, string id, bool keepShared = false)
    {
        var n = 0;
        return Of(keepShared ? block : block with { Shared = null }, isShared: false);

        Block Of(Block one, bool isShared)
        {
            var own = n == 0 ? id : $"{id}-{n}";
            n++;
            var within = isShared || one.Shared is not null;
            return one with { Id = own, Address = "", Twin = isShared ? one.Twin ?? one.Id : null, Blocks = [.. one.Blocks.Select(b => Of(b, within))] };
        }
    }

    private static BlockPlace? Within(Block outer, string id, string? page)
    {
        for (var i = 0; i < outer.Blocks.Length; i++)
        {
            if (outer.Blocks[i].Id == id) return new(page, outer.Id, i);
            if (Within(outer.Blocks[i], id, page) is { } place) return place;
        }
        return null;
    }
}

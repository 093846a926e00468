using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Values;

namespace Sandbar.Core.Editing;

/// <summary>Adds an empty block of a part, with what it needs inside.</summary>
/// <param name="Id">Its new id; what is inside counts on from it.</param>
/// <param name="Page">Id of the page.</param>
/// <param name="Parent">Id of the block it comes into; null for the page itself.</param>
/// <param name="At">Its place there, from 0; beyond the end is the end.</param>
public sealed record AddBlock(string Id, string Part, string Page, string? Parent, int At) : Edit
{
    protected override Outcome Change(Site site) => PartCatalogue.Find(Part) is { } part
        ? BlockEdits.Put(site, new(Page, Parent, At), NewBlock.Of(site, part, Id))
        : new Problem("/part", "This program does not know this part.");

    public override string Describe(Site site) => $"{PartCatalogue.Find(Part)?.Name ?? "Block"} added{BlockEdits.On(site, Page)}";
}

/// <summary>Adds a section as one of the starting arrangements has it.</summary>
/// <param name="Id">Its new id; what is inside counts on from it.</param>
public sealed record AddArrangement(string Id, string Arrangement, string Page, int At) : Edit
{
    protected override Outcome Change(Site site) => Arrangements.Find(Arrangement) is { } arrangement
        ? BlockEdits.Put(site, new(Page, null, At), arrangement.Make(site, Id))
        : new Problem("/arrangement", "There is no such arrangement.");

    public override string Describe(Site site) => $"{Arrangements.Find(Arrangement)?.Name ?? "Section"} added{BlockEdits.On(site, Page)}";
}

/// <summary>Makes a block a second time, right after it.</summary>
/// <param name="Id">The new id; what is inside counts on from it.</param>
public sealed record DuplicateBlock(string Block, string Id) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (place is { Page: null, Parent: null }) return new Problem("/block", $"There is one {block.Name.ToLowerInvariant()} on every page.");
        return BlockEdits.Put(site, place with { At = place.At + 1 }, BlockTree.Copy(block, Id));
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} duplicated";
}

/// <summary>Moves blocks within their pages or to another: there they follow each other, in the order they had.</summary>
/// <param name="BlockIds">Ids of the blocks, in any order. What stands in one of them goes with it.</param>
/// <param name="At">Their place there once they are gone from where they were, from 0; beyond the end is the end.</param>
public sealed record MoveBlocks(IReadOnlyList<string> BlockIds, string Page, string? Parent, int At) : Edit
{
    protected override Outcome Change(Site site)
    {
        var ids = BlockIds.ToHashSet(StringComparer.Ordinal);
        var blocks = Blocks.Find(site, ids).ToList();
        if (blocks.Count < ids.Count || ids.Count == 0) return ContentEdits.GoneBlock;
        var inner = blocks.SelectMany(b => Blocks.WithInner(b).Skip(1)).Select(b => b.Id).ToHashSet(StringComparer.Ordinal);
        if (blocks.Find(b => BlockTree.PlaceOf(site, b.Id) is { Page: null }) is { } framed) return new Problem("/block", $"{framed.Name} belongs to the frame: it stays there.");
        if (Parent is not null && (ids.Contains(Parent) || inner.Contains(Parent))) return new Problem("/parent", "A block cannot stand in itself.");
        var moved = blocks.Where(b => !inner.Contains(b.Id)).ToList();
        return BlockEdits.Put(moved.Aggregate(site, (s, b) => BlockTree.Without(s, b.Id)), new(Page, Parent, At), [.. moved]);
    }

    public override string Describe(Site site) =>
        $"{(BlockIds.Count == 1 ? BlockEdits.Name(site, BlockIds[0]) : $"{BlockIds.Count} blocks")} moved{(BlockIds.All(id => BlockTree.PlaceOf(site, id)?.Page == Page) ? "" : BlockEdits.On(site, Page))}";
}

/// <summary>Takes a block away, with all that stands in it.</summary>
public sealed record RemoveBlock(string Block) : Edit
{
    protected override Outcome Change(Site site) => BlockTree.PlaceOf(site, Block) switch
    {
        null => ContentEdits.GoneBlock,
        { Page: null, Parent: null } => new Problem("/block", "The header and the footer stay."),
        _ => BlockTree.Without(site, Block),
    };

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} removed";
}

/// <summary>Puts blocks that follow each other into a new one.</summary>
/// <param name="BlockIds">Ids of the blocks, in any order.</param>
/// <param name="Part">Id of the part around them.</param>
/// <param name="Look">Id of the look it wears; null for the first of its part.</param>
/// <param name="Id">Its new id.</param>
public sealed record WrapBlocks(IReadOnlyList<string> BlockIds, string Part, string? Look, string Id) : Edit
{
    protected override Outcome Change(Site site)
    {
        var places = BlockIds.Distinct(StringComparer.Ordinal).Select(id => BlockTree.PlaceOf(site, id)).ToList();
        if (places.Count == 0 || places.Contains(null)) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(Part) is not { HoldsBlocks: true } part) return new Problem("/part", "Nothing stands in a block of this part.");
        var sorted = places.Select(p => p!.Value).OrderBy(p => p.At).ToList();
        if (sorted.Exists(p => (p.Page, p.Parent) != (sorted[0].Page, sorted[0].Parent)) || sorted[^1].At - sorted[0].At >= sorted.Count) return new Problem("/blockIds", "Only blocks that follow each other can be put into one.");
        if (sorted[0] is { Page: null, Parent: null }) return new Problem("/blockIds", "The header and the footer stay as they are.");
        var inner = BlockIds.Distinct(StringComparer.Ordinal).Select(id => Blocks.Find(site, id)!).OrderBy(b => BlockTree.PlaceOf(site, b.Id)!.Value.At).ToList();
        if (inner is [var only] && PartCatalogue.Find(only.Part) is { IsOutermost: true } section) return new Problem("/blockIds", $"It is a {section.Name.ToLowerInvariant()} already: choose more than one to make one of them.");
        foreach (var block in inner)
        {
            // A section that is wrapped gives up being one: what it holds comes into the new block.
            if (PartCatalogue.Find(block.Part) is { IsOutermost: false } one && Standing.Refusal(one, part) is { } refusal) return new Problem("/part", refusal);
        }
        var wrapper = NewBlock.Of(site, part, Id) with { Blocks = [.. inner.SelectMany(b => PartCatalogue.Find(b.Part) is { IsOutermost: true } ? b.Blocks : [b])] };
        if (Look is not null && site.Looks.Find(Look)?.Part != Part) return new Problem("/look", $"A {part.Name.ToLowerInvariant()} has no such look.");
        if (Look is not null) wrapper = wrapper with { Look = Look };
        var without = inner.Aggregate(site, (s, b) => BlockTree.Without(s, b.Id));
        return BlockEdits.Put(without, sorted[0], wrapper);
    }

    public override string Describe(Site site) =>
        $"{(BlockIds.Count == 1 ? BlockEdits.Name(site, BlockIds[0]) : $"{BlockIds.Count} blocks")} put into {Sentence.A(PartCatalogue.Find(Part)?.Name.ToLowerInvariant() ?? "block")}";
}

/// <summary>Puts what stands in a block in its place.</summary>
public sealed record UnwrapBlock(string Block) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (block.Blocks.IsEmpty) return new Problem("/block", $"Nothing stands in {block.Name}.");
        return BlockEdits.Put(BlockTree.Without(site, Block), place, [.. block.Blocks]);
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} taken away from around what it held";
}

/// <summary>Something of a block that is neither content nor look.</summary>
public enum BlockField
{
    /// <summary>What the designer calls it.</summary>
    Name,

    /// <summary>Its address within the page.</summary>
    Address,

    Classes,

    /// <summary>At which widths it is hidden.</summary>
    HiddenAt,
}

/// <summary>Sets what a block is called, its address, its classes, or at which widths it is hidden.</summary>
public sealed record SetBlock(string Block, BlockField Field, string Text) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        var text = string.Join(' ', Text.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries));
        var changed = Field switch
        {
            BlockField.Name => block with { Name = text },
            BlockField.Address => block with { Address = text.TrimStart('#') },
            BlockField.Classes => block with { Classes = text.Replace(".", "", StringComparison.Ordinal) },
            _ => block with { HiddenAt = string.Join(' ', Breaks.Names.Where(text.Split(' ').Contains)) },
        };
        if (Field == BlockField.HiddenAt && text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Except(Breaks.Names).Any()) return new Problem("/text", "There are narrow, middle and wide windows.");
        if (Field == BlockField.Name && text.Length == 0) return new Problem("/text", "Give it a name.");
        return BlockCheck.Problems(site, changed).FirstOrDefault() is { } problem ? new Problem("/text", problem.Message) : Blocks.Put(site, changed);
    }

    public override string Describe(Site site) => Field switch
    {
        BlockField.Name => $"{BlockEdits.Name(site, Block)} called {Text.Trim()}",
        BlockField.Address => Text.Trim().Length == 0 ? $"{BlockEdits.Name(site, Block)} · no address" : $"{BlockEdits.Name(site, Block)} · address → #{Text.Trim().TrimStart('#')}",
        BlockField.Classes => $"{BlockEdits.Name(site, Block)} · classes",
        _ => $"{BlockEdits.Name(site, Block)} · {(Text.Trim().Length == 0 ? "shown at every width" : "hidden at some widths")}",
    };
}

/// <summary>Takes a block off its page and keeps it with all its settings.</summary>
public sealed record SetBlockAside(string Block) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (place.Page is not { } page) return new Problem("/block", $"{block.Name} belongs to the frame: it stays there.");
        return BlockTree.Without(site, Block) with { Aside = site.Aside with { Blocks = site.Aside.Blocks.Add(new(Block, block, page, place.At) { Parent = place.Parent }) } };
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} set aside";
}

/// <summary>Puts a block that was set aside back: where it stood if that is still there, else at the end of a page.</summary>
/// <param name="Page">Id of the page it comes to where its own is gone; null for its own.</param>
public sealed record PutBlockBack(string Block, string? Page) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (site.Aside.Blocks.Find(Block) is not { } aside) return new Problem("/block", "This block is not set aside any more.");
        var page = Page ?? aside.Page;
        if (site.Pages.Find(page) is null) return new Problem("/page", "The page it stood on is no longer there: choose another.");
        var without = site with { Aside = site.Aside with { Blocks = site.Aside.Blocks.Remove(aside) } };
        var there = page == aside.Page && (aside.Parent is null || BlockTree.PlaceOf(site, aside.Parent)?.Page == page);
        if (there) return BlockEdits.Put(without, new(page, aside.Parent, aside.At), aside.Block);
        // What it stood in is gone: it comes to the end of the page, in a section of its own where it is none.
        if (PartCatalogue.Find(aside.Block.Part) is { IsOutermost: true }) return BlockEdits.Put(without, new(page, null, int.MaxValue), aside.Block);
        return site.Pages.Get(page).Sections is [.., var last] && Standing.Refusal(PartCatalogue.Get(aside.Block.Part), PartCatalogue.Find(last.Part)) is null
            ? BlockEdits.Put(without, new(page, last.Id, int.MaxValue), aside.Block)
            : new Problem("/page", "What it stood in is gone, and the page has no section at its end that could hold it.");
    }

    public override string Describe(Site site) => $"{site.Aside.Blocks.Find(Block)?.Block.Name ?? "Block"} put back";
}

/// <summary>Gives up a block that was set aside.</summary>
public sealed record DropAside(string Block) : Edit
{
    protected override Outcome Change(Site site) => site.Aside.Blocks.Find(Block) is { } aside
        ? site with { Aside = site.Aside with { Blocks = site.Aside.Blocks.Remove(aside) } }
        : new Problem("/block", "This block is not set aside any more.");

    public override string Describe(Site site) => $"{site.Aside.Blocks.Find(Block)?.Block.Name ?? "Block"} given up";
}

internal static class BlockEdits
{
    /// <summary>The site with blocks put in where they may stand.</summary>
    public static Outcome Put(Site site, BlockPlace place, params ImmutableArray<Block> blocks)
    {
        if (place.Page is { } page && site.Pages.Find(page) is null) return new Problem("/page", "This page is no longer there.");
        var outer = place.Parent is { } parent ? Blocks.Find(site, parent) : null;
        if (place.Parent is not null && outer is null) return new Problem("/parent", "What it was to stand in is no longer there.");
        var around = outer is null ? 0 : 1 + BlockTree.Around(site, outer.Id).Count();
        foreach (var block in blocks)
        {
            if (PartCatalogue.Find(block.Part) is { } part && Standing.Refusal(part, outer is null ? null : PartCatalogue.Find(outer.Part)) is { } refusal) return new Problem("/parent", refusal);
            if (around + BlockTree.Depth(block) > Standing.Deepest) return new Problem("/parent", $"Blocks stand at most {Standing.Deepest} deep in each other.");
        }
        var taken = Blocks.SetAside(site).Select(b => b.Id).ToHashSet(StringComparer.Ordinal);
        foreach (var id in blocks.SelectMany(Blocks.WithInner).Select(b => b.Id))
        {
            if (Names.CheckId(id, !taken.Add(id) || Blocks.Find(site, id) is not null, "/id") is { } bad) return bad;
        }
        if (taken.Count + Blocks.Count(site) > PageCheck.MostBlocks) return new Problem("/id", $"A site holds at most {PageCheck.MostBlocks} blocks.");
        var after = BlockTree.With(site, place, [.. blocks]);
        // It may bring an address that something on the page has got meanwhile.
        var twice = blocks.SelectMany(Blocks.WithInner).Where(b => b.Address.Length > 0).SelectMany(b => BlockCheck.Problems(after, b)).FirstOrDefault();
        return twice is null ? after : new Problem("/page", $"It brings an address along. {twice.Message}");
    }

    public static string Name(Site site, string block) => Blocks.Find(site, block)?.Name ?? "Block";

    public static string On(Site site, string page) => site.Pages.Find(page) is { } on ? $" on {on.Name}" : "";
}

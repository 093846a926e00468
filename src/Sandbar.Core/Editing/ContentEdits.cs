using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;

namespace Sandbar.Core.Editing;

/// <summary>Sets what a slot of a block holds.</summary>
/// <param name="Text">As the slot's kind has it: text with marks, an id, an address or a word; empty for nothing.</param>
public sealed record SetContent(string Block, string Slot, string Text) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(block.Part) is not { } part) return new Problem("/block", "This program does not know what this block is.");
        if (part.Slots.FirstOrDefault(s => s.Id == Slot) is not { } slot) return new Problem("/slot", $"A {part.Name.ToLowerInvariant()} has no such piece.");
        if (ContentCheck.Refusal(site, slot, Text) is { } refusal) return new Problem("/text", refusal);
        return Blocks.Put(site, block with { Content = string.IsNullOrWhiteSpace(Text) ? block.Content.Remove(Slot) : block.Content.SetItem(Slot, Text) });
    }

    public override string Describe(Site site) => WritingEdits.Place(site, Block, Slot);
}

/// <summary>Gives a block another look of its part.</summary>
public sealed record SetBlockLook(string Block, string Look) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        return site.Looks.Find(Look) is { } look && look.Part == block.Part
            ? OwnEdits.Checked(site, block with { Look = Look })
            : new Problem("/look", $"A {PartCatalogue.Find(block.Part)?.Name.ToLowerInvariant() ?? "block of this kind"} has no such look.");
    }

    public override string Describe(Site site) => $"{Blocks.Find(site, Block)?.Name ?? "Block"} · look → {site.Looks.Find(Look)?.Name}";
}

/// <summary>Gives a block a scheme of its own, or lets it take the one around it.</summary>
/// <param name="Scheme">Id of a scheme; null for the one around it.</param>
public sealed record SetBlockScheme(string Block, string? Scheme) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        if (Scheme is not null && site.Palette.Schemes.Find(Scheme) is null) return new Problem("/scheme", "This scheme is no longer there.");
        return Blocks.Put(site, block with { Scheme = Scheme });
    }

    public override string Describe(Site site) =>
        $"{Blocks.Find(site, Block)?.Name ?? "Block"} · scheme → {(Scheme is null ? "the page’s" : site.Palette.Schemes.Find(Scheme)?.Name)}";
}

internal static class ContentEdits
{
    public static readonly Problem GoneBlock = new("/block", "This block is no longer there.");
}

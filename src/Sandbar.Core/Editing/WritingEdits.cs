using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Writing;

namespace Sandbar.Core.Editing;

/// <summary>Sets what a slot of a block holds to what was written on the stage.</summary>
/// <param name="Html">What the browser made of it: letters, marks and links are taken of it, and nothing else.</param>
public sealed record WriteContent(string Block, string Slot, string Html) : Edit
{
    protected override Outcome Change(Site site) =>
        WritingEdits.Find(site, Block, Slot, out var found) is { } problem ? problem
        : WritingEdits.Read(found, Html, out var text) is { } bad ? bad
        : WritingEdits.Held(site, found, text) is { } refused ? refused
        : Blocks.Put(site, WritingEdits.With(found.Block, Slot, text));

    public override string Describe(Site site) => WritingEdits.Place(site, Block, Slot);
}

/// <summary>Ends a block where the caret stands: what follows comes into a block of its own after it, of the same part and look; a heading is followed by a paragraph.</summary>
/// <param name="Before">HTML of what stays.</param>
/// <param name="After">HTML of what comes into the new block.</param>
/// <param name="Id">The new block's id.</param>
public sealed record SplitContent(string Block, string Slot, string Before, string After, string Id) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (WritingEdits.Find(site, Block, Slot, out var found) is { } problem) return problem;
        if (found.Part.Running != Slot) return WritingEdits.NotRunning(found);
        if (WritingEdits.Read(found, Before, out var before) is { } badBefore) return badBefore;
        if (WritingEdits.Read(found, After, out var after) is { } badAfter) return badAfter;
        var next = found.Part.Group == PartGroup.Text && (found.Slot.Kind == SlotKind.List || (after.Length == 0 && found.Part.Id != "paragraph"))
            ? WritingEdits.Paragraph(site, Id)
            : found.Block with { Id = Id, Address = "", Content = found.Block.Content.Clear() };
        // What is left of a list after the item it was left at is a list of its own.
        var rest = found.Slot.Kind == SlotKind.List
            ? after.Length == 0 ? ImmutableArray.Create(next) : [next, WritingEdits.With(found.Block with { Id = $"{Id}-1", Address = "" }, Slot, after)]
            : [WritingEdits.With(next, PartCatalogue.Get(next.Part).Running!, after)];
        return WritingEdits.After(Blocks.Put(site, WritingEdits.With(found.Block, Slot, before)), Block, rest);
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} split";
}

/// <summary>Joins a block's text to the end of the block before it.</summary>
/// <param name="Html">What was written in it.</param>
public sealed record JoinContent(string Block, string Slot, string Html) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (WritingEdits.Find(site, Block, Slot, out var found) is { } problem) return problem;
        if (found.Part.Running != Slot) return WritingEdits.NotRunning(found);
        if (WritingEdits.Read(found, Html, out var text) is { } bad) return bad;
        if (BlockTree.PlaceOf(site, Block) is not { At: > 0 } place) return new Problem("/block", "Nothing stands before it that it could be joined to.");
        var before = WritingEdits.Beside(site, place)[place.At - 1];
        if (PartCatalogue.Find(before.Part) is not { Running: { } slot } part) return new Problem("/block", $"{before.Name}, which stands before it, holds no running text.");
        var held = before.Content.GetValueOrDefault(slot, "");
        // An item of a list is a line; of a list that is joined to, the lines stay lines.
        var joined = found.Slot.Kind == SlotKind.List && part.Slots.First(s => s.Id == slot).Kind != SlotKind.List
            ? WritingEdits.Joined(held, string.Join("\\\n", BlockText.Lists(text).SelectMany(WritingEdits.Lines)))
            : found.Slot.Kind == SlotKind.List ? string.Join('\n', new[] { held, text }.Where(t => t.Length > 0)) : WritingEdits.Joined(held, text);
        var after = WritingEdits.With(before, slot, joined);
        return WritingEdits.Held(site, new(after, part, part.Slots.First(s => s.Id == slot)), joined) is { } refused ? refused : BlockTree.Without(Blocks.Put(site, after), Block);
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} joined to what stands before it";
}

/// <summary>Puts blocks of text from elsewhere in at the caret: the first and the last go on in the paragraphs they meet.</summary>
/// <param name="Before">HTML of what stands before the caret.</param>
/// <param name="After">HTML of what stands after it.</param>
/// <param name="Id">Id of the first new block; the others count on from it.</param>
public sealed record PasteContent(string Block, string Slot, string Before, string After, ImmutableArray<Piece> Pieces, string Id) : Edit
{
    private const int Most = 500;

    protected override Outcome Change(Site site)
    {
        if (WritingEdits.Find(site, Block, Slot, out var found) is { } problem) return problem;
        if (found.Part.Running != Slot || found.Slot.Kind != SlotKind.Text) return WritingEdits.NotRunning(found);
        if ((WritingEdits.TooLong(found, Before) ?? WritingEdits.TooLong(found, After)) is { } tooLong) return tooLong;
        if (Pieces.IsDefaultOrEmpty) return new Problem("/pieces", "There is nothing to paste.");
        if (Pieces.Length > Most) return new Problem("/pieces", $"That is {Pieces.Length} paragraphs and lists: at most {Most} are pasted at once.");
        var (before, after, pieces) = (SlotHtml.Runs(Before), SlotHtml.Runs(After), Pieces.ToList());
        // The first goes on where the caret stands; what it is by itself counts where it is no paragraph.
        if (pieces[0].Part == "paragraph")
        {
            before = [.. before, .. WritingEdits.Said(pieces[0])];
            pieces.RemoveAt(0);
        }
        if (pieces.Count == 0) (before, after) = ([.. before, .. after], []);
        var blocks = new List<Block>();
        // The last goes on in what stood after the caret, in its look.
        if (Runs.Normal(after).Count > 0 && pieces is [.., { Part: "paragraph" } last])
        {
            pieces.RemoveAt(pieces.Count - 1);
            after = [.. WritingEdits.Said(last), .. after];
        }
        foreach (var piece in pieces)
        {
            if (WritingEdits.Made(site, piece, NextId(), out var block) is { } bad) return bad;
            blocks.Add(block);
        }
        var (text, rest) = (Runs.Marked(before), Runs.Marked(after));
        if (rest.Length > 0) blocks.Add(WritingEdits.With(found.Block with { Id = NextId(), Address = "" }, Slot, rest));
        if (WritingEdits.Held(site, found, text) is { } refused) return refused;
        var outcome = WritingEdits.After(Blocks.Put(site, WritingEdits.With(found.Block, Slot, text)), Block, [.. blocks]);
        // An empty paragraph that something was pasted into has given it its place.
        return outcome.Site is { } pasted && text.Length == 0 && blocks.Count > 0
            ? Blocks.Put(BlockTree.Without(pasted, Block), blocks[0] with { Address = found.Block.Address })
            : outcome;

        string NextId() => blocks.Count == 0 ? Id : $"{Id}-{blocks.Count}";
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} · text pasted";
}

/// <summary>Makes a list of paragraphs and headings that stand one after another: a line is an item.</summary>
/// <param name="BlockIds">Ids of the blocks, from the top; the first becomes the list.</param>
public sealed record LinesToList(ImmutableArray<string> BlockIds) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (BlockIds.IsDefaultOrEmpty) return ContentEdits.GoneBlock;
        var items = new List<ListItem>();
        BlockPlace? first = null;
        for (var i = 0; i < BlockIds.Length; i++)
        {
            if (Blocks.Find(site, BlockIds[i]) is not { } block || BlockTree.PlaceOf(site, block.Id) is not { } place) return ContentEdits.GoneBlock;
            if (PartCatalogue.Find(block.Part) is not { Running: { } slot } part || part.Slots.First(s => s.Id == slot).Kind != SlotKind.Text) return new Problem("/blockIds", $"{block.Name} is no line of text.");
            first ??= place;
            if (place != first.Value with { At = first.Value.At + i }) return new Problem("/blockIds", "Only lines that stand one after another become a list.");
            items.AddRange(Runs.Lines(block.Content.GetValueOrDefault(slot, "")).Where(l => l.Length > 0).Select(l => new ListItem(l, [])));
        }
        if (items.Count == 0) return new Problem("/blockIds", "There is no line here yet.");
        var list = PartCatalogue.Get("list");
        var made = WritingEdits.With(WritingEdits.Like(Blocks.Find(site, BlockIds[0])!, NewBlock.Of(site, list, BlockIds[0])), list.Running!, ListText.Of([new(false, items)]));
        foreach (var id in BlockIds) site = BlockTree.Without(site, id);
        return BlockEdits.Put(site, first!.Value, made);
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, BlockIds.IsDefaultOrEmpty ? "" : BlockIds[0])} made a list";
}

/// <summary>Makes a paragraph of every item of a list.</summary>
/// <param name="Id">Id of the second paragraph, the others count on from it; the first keeps the list's.</param>
public sealed record ListToLines(string Block, string Id) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(block.Part) is not { Running: { } slot } part || part.Slots.First(s => s.Id == slot).Kind != SlotKind.List) return new Problem("/block", $"{block.Name} is no list.");
        var lines = BlockText.Lists(block.Content.GetValueOrDefault(slot, "")).SelectMany(WritingEdits.Lines).ToList();
        if (lines.Count == 0) lines.Add("");
        var made = lines.Select((line, i) => WritingEdits.With(WritingEdits.Like(i == 0 ? block : block with { Address = "" }, WritingEdits.Paragraph(site, i switch { 0 => Block, 1 => Id, _ => $"{Id}-{i - 1}" })), "text", line));
        return BlockEdits.Put(BlockTree.Without(site, Block), place, [.. made]);
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} made lines";
}

internal static class WritingEdits
{
    /// <summary>The slot of a block that is written in.</summary>
    public readonly record struct Written(Block Block, Part Part, Slot Slot);

    public static Problem? Find(Site site, string id, string slotId, out Written found)
    {
        found = default;
        if (Blocks.Find(site, id) is not { } block) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(block.Part) is not { } part) return new("/block", "This program does not know what this block is.");
        if (part.Slots.FirstOrDefault(s => s.Id == slotId) is not { } slot) return new("/slot", $"A {part.Name.ToLowerInvariant()} has no such piece.");
        if (slot.Kind is not (SlotKind.Text or SlotKind.List or SlotKind.Table)) return new("/slot", $"{slot.Name} is chosen, not written.");
        found = new(block, part, slot);
        return null;
    }

    /// <summary>What was written, as the slot has it.</summary>
    public static Problem? Read(Written place, string html, out string text)
    {
        text = "";
        if (TooLong(place, html) is { } tooLong) return tooLong;
        text = SlotHtml.Read(place.Slot, html);
        return null;
    }

    public static Problem? TooLong(Written place, string html) => html.Length > SlotHtml.Longest ? new("/html", $"{place.Slot.Name} has at most {ContentCheck.Longest} characters.") : null;

    public static IReadOnlyList<Run> Said(Piece piece) => Runs.Of(piece.Content.GetValueOrDefault("text", ""));

    /// <summary>Why a slot cannot hold a text. On a page it may be left empty, since the stage shows what belongs there; the header and the footer are on every page.</summary>
    public static Problem? Held(Site site, Written place, string text) =>
        (text.Length > 0 || place.Part.Layer == Layer.Frame) && ContentCheck.Refusal(site, place.Slot, text) is { } refusal ? new("/html", refusal) : null;

    public static Block With(Block block, string slot, string text) =>
        block with { Content = text.Length == 0 ? block.Content.Remove(slot) : block.Content.SetItem(slot, text) };

    /// <summary>A block of text from elsewhere.</summary>
    public static Problem? Made(Site site, Piece piece, string id, out Block block)
    {
        block = null!;
        if (PartCatalogue.Find(piece.Part) is not { Group: PartGroup.Text, Layer: not Layer.Frame } part || !part.Hook.StartsWith('.')) return new("/pieces", "Text comes as headings, paragraphs, lists, tables and quotes.");
        block = NewBlock.Of(site, part, id);
        foreach (var (name, text) in piece.Content)
        {
            if (part.Slots.FirstOrDefault(s => s.Id == name) is not { } slot) return new("/pieces", $"A {part.Name.ToLowerInvariant()} has no such piece.");
            if (ContentCheck.Refusal(site, slot, text) is { } refusal) return new("/pieces", refusal);
            block = With(block, name, text);
        }
        return null;
    }

    /// <summary>A block with all that another carries which any part can: address, classes, scheme, and where it is hidden.</summary>
    public static Block Like(Block other, Block made) => made with { Address = other.Address, Classes = other.Classes, Scheme = other.Scheme, HiddenAt = other.HiddenAt };

    public static Block Paragraph(Site site, string id) => NewBlock.Of(site, PartCatalogue.Get("paragraph"), id);

    /// <summary>The site with blocks right after another one.</summary>
    public static Outcome After(Site site, string block, ImmutableArray<Block> added) =>
        added.IsEmpty ? site : BlockTree.PlaceOf(site, block) is { } place ? BlockEdits.Put(site, place with { At = place.At + 1 }, added) : ContentEdits.GoneBlock;

    /// <summary>The blocks that stand at a place, from the top.</summary>
    public static ImmutableArray<Block> Beside(Site site, BlockPlace place) =>
        place.Parent is { } parent ? Blocks.Find(site, parent)!.Blocks : place.Page is { } page ? site.Pages.Get(page).Sections : [site.Frame.Header, site.Frame.Footer];

    /// <summary>One text that goes on in another, with the marks of both.</summary>
    public static string Joined(string before, string after) => before.Length == 0 ? after : after.Length == 0 ? before : Runs.Marked(Runs.Of(before).Concat(Runs.Of(after)));

    /// <summary>Every item of a list, as a line.</summary>
    public static IEnumerable<string> Lines(TextList list) => list.Items.SelectMany(i => i.Lists.SelectMany(Lines).Prepend(i.Text)).Where(l => l.Length > 0);

    public static Problem NotRunning(Written place) => new("/slot", $"{place.Slot.Name} of a {place.Part.Name.ToLowerInvariant()} is one line of text.");

    public static string Place(Site site, string block, string slot)
    {
        var found = Blocks.Find(site, block);
        var name = found is null ? null : PartCatalogue.Find(found.Part)?.Slots.FirstOrDefault(s => s.Id == slot)?.Name.ToLowerInvariant();
        return $"{found?.Name ?? "Block"} · {name ?? "content"}";
    }
}

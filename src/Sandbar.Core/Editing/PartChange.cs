using System.Collections.Immutable;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Core.Rendering;
using Sandbar.Core.Writing;

namespace Sandbar.Core.Editing;

/// <summary>A block as one of another part: what it holds goes where the other has a place for it.</summary>
/// <param name="Left">What has no place there, in a designer's words: pieces, own values, blocks inside.</param>
public sealed record PartChange(Block Block, IReadOnlyList<string> Left)
{
    public static PartChange Of(Site site, Block block, Part to)
    {
        var from = PartCatalogue.Get(block.Part);
        var left = new List<string>();
        var made = NewBlock.Of(site, to, block.Id);
        var look = site.Looks.Find(block.Look) is { } worn && site.Looks.FirstOrDefault(l => l.Part == to.Id && l.Name == worn.Name) is { } same ? same.Id : made.Look;
        var content = made.Content;
        var free = to.Slots.ToList();
        foreach (var slot in from.Slots.Where(s => !string.IsNullOrWhiteSpace(block.Content.GetValueOrDefault(s.Id))))
        {
            // The same piece, else the first that holds the like.
            var fit = free.FirstOrDefault(s => s.Id == slot.Id && s.Kind == slot.Kind) ?? free.FirstOrDefault(s => Turned(slot, s, block.Content[slot.Id]) is not null);
            if (fit is null || Turned(slot, fit, block.Content[slot.Id]) is not { } text || ContentCheck.Broken(site, fit, text) is not null)
            {
                left.Add(slot.Name.ToLowerInvariant());
                continue;
            }
            content = content.SetItem(fit.Id, text);
            free.Remove(fit);
        }
        var own = Fitting(site, block.Own, to, site.Looks.Get(look));
        left.AddRange(block.Own.Keys.Except(own.Keys).Select(k => CellKey.Parse(k).Property).Distinct().Select(p => $"its own {from.Property(p)?.Name.ToLowerInvariant() ?? p}"));
        var inner = block.Blocks.Where(b => PartCatalogue.Find(b.Part) is { } part && Standing.Refusal(part, to) is null).ToImmutableArray();
        left.AddRange(block.Blocks.Except(inner).Select(b => $"the {PartCatalogue.Find(b.Part)?.Name.ToLowerInvariant() ?? "block"} {b.Name}".Trim()));
        return new(
            block with { Part = to.Id, Look = look, Name = block.Name == from.Name ? to.Name : block.Name, Content = content, Own = own, Blocks = inner },
            left);
    }

    /// <summary>What a piece is as another; null where it cannot be.</summary>
    private static string? Turned(Slot from, Slot to, string text) => (from.Kind, to.Kind) switch
    {
        (SlotKind.Choice, _) or (_, SlotKind.Choice) => null,
        var (one, other) when one == other => text,
        (SlotKind.Text, SlotKind.List) => ListText.Of([new(false, [.. Runs.Lines(text).Where(l => l.Length > 0).Select(l => new ListItem(l, []))])]),
        (SlotKind.List, SlotKind.Text) => string.Join("\\\n", BlockText.Lists(text).SelectMany(WritingEdits.Lines)),
        _ => null,
    };

    /// <summary>The own values that another part has settings for.</summary>
    private static ImmutableSortedDictionary<string, Value> Fitting(Site site, ImmutableSortedDictionary<string, Value> own, Part part, Look look)
    {
        while (LookCheck.Cells(site, "", part, own, look.Cells).FirstOrDefault() is { } problem) own = own.Remove(problem.Path[1..]);
        return own;
    }
}

/// <summary>Makes a block one of another part. Where not all of it fits, it is kept as it was among what is set aside.</summary>
/// <param name="Id">Id of what is kept; what is inside counts on from it.</param>
public sealed record ChangePart(string Block, string Part, string Id) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (PartCatalogue.Find(Part) is not { } part || !part.Hook.StartsWith('.')) return new Problem("/part", "This program does not know this part.");
        if (part.Id == block.Part) return new Problem("/part", $"It is a {part.Name.ToLowerInvariant()} already.");
        if (place.Page is null && place.Parent is null) return new Problem("/block", $"{block.Name} belongs to the frame: it stays what it is.");
        var outer = place.Parent is { } parent ? Blocks.Find(site, parent) : null;
        if (Standing.Refusal(part, outer is null ? null : PartCatalogue.Get(outer.Part)) is { } refusal) return new Problem("/part", refusal);
        var (made, left) = PartChange.Of(site, block, part);
        var after = Blocks.Put(site, made);
        if (left.Count == 0) return after;
        if (Names.CheckId(Id, Blocks.All(site).Concat(Blocks.SetAside(site)).Any(b => b.Id == Id), "/id") is { } bad) return bad;
        var kept = BlockTree.Copy(block, Id);
        return after with { Aside = after.Aside with { Blocks = after.Aside.Blocks.Add(new(Id, kept, place.Page ?? site.Pages[0].Id, place.At + 1) { Parent = place.Parent }) } };
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} made a {PartCatalogue.Find(Part)?.Name.ToLowerInvariant() ?? "block"}";
}

using System.Runtime.CompilerServices;
using Sandbar.Core.Catalogue;
using Sandbar.Core.Checking;
using Sandbar.Core.Design;
using Sandbar.Css;

namespace Sandbar.Core.Editing;

/// <summary>Shows a block in another place too: from then on both are one, whichever of them is edited.</summary>
/// <param name="Id">Id of the block at the other place; what is inside counts on from it.</param>
/// <param name="Page">Id of the page it comes to.</param>
/// <param name="Parent">Id of the block it comes into; null for the page itself.</param>
/// <param name="At">Its place there, from 0; beyond the end is the end.</param>
public sealed record ShareBlock(string Block, string Id, string Page, string? Parent, int At) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block || BlockTree.PlaceOf(site, Block) is not { } place) return ContentEdits.GoneBlock;
        if (place is { Page: null, Parent: null }) return new Problem("/block", $"{block.Name} stands on every page already.");
        var shared = block.Shared is null ? block with { Shared = block.Id } : block;
        return BlockEdits.Put(Blocks.Put(site, shared), new(Page, Parent, At), BlockTree.Copy(shared, Id, keepShared: true));
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} shown{BlockEdits.On(site, Page)} too";
}

/// <summary>Makes a block that is shown in several places one of its own again. It stays as it is, and so do the others.</summary>
public sealed record CutLoose(string Block) : Edit
{
    protected override Outcome Change(Site site)
    {
        if (Blocks.Find(site, Block) is not { } block) return ContentEdits.GoneBlock;
        return block.Shared is null ? new Problem("/block", $"{Quoted.Text(block.Name)} is shown here alone.") : Blocks.Put(site, SharedBlocks.Loose(block));
    }

    public override string Describe(Site site) => $"{BlockEdits.Name(site, Block)} cut loose";
}

/// <summary>
/// Blocks shown in several places. At every place stands a block of its own, with its own id and address; after every edit the others follow the one that changed.
/// What stands inside corresponds by <see cref="Block.Twin"/>.
/// </summary>
internal static class SharedBlocks
{
    private static readonly ConditionalWeakTable<Block, Block[]> OfBlock = [];

    /// <summary>What is inside a block of blocks shown in several places, itself included. What does not change costs nothing.</summary>
    public static Block[] In(Block outermost) => OfBlock.GetValue(outermost, o => [.. Blocks.WithInner(o).Where(b => b.Shared is not null)]);

    /// <summary>The site after an edit, with every block that is shown in several places the same in all of them; why that cannot be where it cannot.</summary>
    public static Outcome Follow(Site before, Site after)
    {
        if (before.Frame == after.Frame && before.Pages == after.Pages) return after;
        var known = Blocks.Outermost(before).ToHashSet(ReferenceEqualityComparer.Instance);
        var touched = Blocks.Outermost(after).Where(o => !known.Contains(o)).SelectMany(In).Select(b => b.Shared!).Distinct(StringComparer.Ordinal).ToList();
        if (touched.Count == 0) return after;
        var earlier = Members(before).ToDictionary(b => b.Id, StringComparer.Ordinal);
        foreach (var shared in touched)
        {
            var members = Members(after).Where(b => b.Shared == shared).ToList();
            if (members.Count < 2) continue;
            if (members.Find(m => In(m).Any(b => b.Id != m.Id && b.Shared == shared)) is { } self) return new Problem("/block", $"{Quoted.Text(self.Name)} is shown in several places: it cannot stand in itself.");
            // The one that changed; where none did, and one has come or come back, those that were there.
            var source = members.Find(m => earlier.TryGetValue(m.Id, out var was) && !IsLike(was, m)) ?? members.Find(m => earlier.ContainsKey(m.Id)) ?? members[0];
            foreach (var id in members.Where(m => m.Id != source.Id && !IsLike(m, source)).Select(m => m.Id))
            {
                // It may have gone with what it stood in.
                if (Blocks.Find(after, id) is not { } member) continue;
                if (Misplaced(after, member, source) is { } misplaced) return misplaced;
                after = Blocks.Put(after, Like(after, source, member));
            }
        }
        return Blocks.Count(after) > PageCheck.MostBlocks ? new Problem("/block", $"A site holds at most {PageCheck.MostBlocks} blocks.") : after;
    }

    /// <summary>The same block, shown in one place.</summary>
    public static Block Loose(Block block)
    {
        return Of(block) with { Shared = null };

        // What is shared inside stays so.
        Block Of(Block one) => one with { Twin = null, Blocks = one.Blocks.Each(b => b.Shared is null ? Of(b) : b) };
    }

    private static IEnumerable<Block> Members(Site site) => Blocks.Outermost(site).SelectMany(In);

    /// <summary>Why what a block became cannot stand where another of its places is; null where it can.</summary>
    private static Problem? Misplaced(Site site, Block member, Block source)
    {
        var around = BlockTree.Around(site, member.Id).ToList();
        var outer = around.Count == 0 ? null : PartCatalogue.Find(around[0].Part);
        var page = BlockTree.PlaceOf(site, member.Id)?.Page is { } id ? $" on {site.Pages.Get(id).Name}" : "";
        if (PartCatalogue.Find(source.Part) is { } part && member.Part != source.Part && Standing.Refusal(part, outer) is { } refusal) return new("/block", $"It is shown{page} too. {refusal} Cut it loose first.");
        return around.Count + BlockTree.Depth(source) > Standing.Deepest ? new("/block", $"It is shown{page} too, and blocks stand at most {Standing.Deepest} deep in each other.") : null;
    }

    /// <summary>A block as another is, with the ids and addresses it has.</summary>
    private static Block Like(Site site, Block source, Block member)
    {
        var mine = new Dictionary<string, Block>(StringComparer.Ordinal);
        foreach (var block in Blocks.WithInner(member).Skip(1)) mine.TryAdd(Key(block), block);
        var taken = Blocks.All(site).Concat(Blocks.SetAside(site)).Select(b => b.Id).ToHashSet(StringComparer.Ordinal);
        var used = new HashSet<string>(StringComparer.Ordinal);
        return source with { Id = member.Id, Address = member.Address, Twin = member.Twin, Blocks = source.Blocks.Each(Of) };

        Block Of(Block block)
        {
            var key = Key(block);
            var own = mine.GetValueOrDefault(key);
            var id = own is not null && used.Add(own.Id) ? own.Id : Free($"{member.Id}-{key}");
            return block with { Id = id, Address = own?.Address ?? "", Twin = key, Blocks = block.Blocks.Each(Of) };
        }

        string Free(string wanted)
        {
            // Ids have an end.
            if (!Names.IsId(wanted)) wanted = Asset.Of("", System.Text.Encoding.UTF8.GetBytes(wanted)).Hash;
            var free = wanted;
            for (var n = 2; !taken.Add(free); n++) free = $"{wanted}-{n}";
            return free;
        }
    }

    private static string Key(Block block) => block.Twin ?? block.Id;

    /// <summary>Whether two blocks are the same but for their ids and addresses.</summary>
    internal static bool IsLike(Block a, Block b) =>
        ReferenceEquals(a, b)
        || ((a.Part, a.Look, a.Name, a.Scheme, a.Classes, a.HiddenAt) == (b.Part, b.Look, b.Name, b.Scheme, b.Classes, b.HiddenAt)
            && Same(a.Content, b.Content) && Same(a.Own, b.Own)
            && a.Blocks.Length == b.Blocks.Length && a.Blocks.Zip(b.Blocks).All(p => p.First.Shared == p.Second.Shared && IsLike(p.First, p.Second)));

    private static bool Same<T>(IReadOnlyDictionary<string, T> a, IReadOnlyDictionary<string, T> b) => ReferenceEquals(a, b) || (a.Count == b.Count && a.SequenceEqual(b));
}
